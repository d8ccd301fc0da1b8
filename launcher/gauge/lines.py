"""The gauge's lines: what it sends to whoever is connected, as docs/gauge.md has it."""

from __future__ import annotations

import socket
import threading
import time
from contextlib import suppress

from launcher.gauge.simulated_bender import SimulatedBender

NAME = "simulated powered bender"
EVERY_S = 0.05


class Gauge:
    """A bender that runs in real time, and everyone who listens to its gauge."""

    def __init__(self, bender: SimulatedBender, code: str = "000000") -> None:
        """Args: code, of six digits, that it shows to whoever stands at it."""
        self.bender = bender
        self.code = code
        self.lock = threading.Lock()
        self.silent = False
        self._listeners: list[socket.socket] = []

    def line(self) -> bytes:
        """A reading as it is sent."""
        with self.lock:
            held = "L" if self.bender.loaded else "F"
            return f"A {self.bender.reading:.2f} {held}\n".encode()

    def run(self) -> None:
        """Bends and sends, twenty times a second, without an end."""
        last = due = time.monotonic()
        while True:
            due += EVERY_S
            time.sleep(max(due - time.monotonic(), 0.0))
            now = time.monotonic()
            with self.lock:
                self.bender.run(now - last)
            last = now
            if not self.silent:
                self._send(self.line())

    def accept(self, server: socket.socket) -> None:
        """Takes whoever connects, without an end."""
        while True:
            listener, _ = server.accept()
            listener.settimeout(1.0)
            with suppress(OSError):
                listener.sendall(f"YARROW-GAUGE/1 {NAME} {self.code}\n".encode())
                with self.lock:
                    self._listeners.append(listener)

    def _send(self, line: bytes) -> None:
        for listener in list(self._listeners):
            try:
                listener.sendall(line)
            except OSError:
                # Whoever does not read is not waited for.
                listener.close()
                with self.lock:
                    self._listeners.remove(listener)
