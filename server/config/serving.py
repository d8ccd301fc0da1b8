"""The server's processes: whole requests alone reach Django, so that slow clients hold up nobody.

Every process reads all its connections in one loop (waitress), with a deadline for each request's
head and body, and a most of connections an address; threads answer what is complete.
"""

from __future__ import annotations

import argparse
import gc
import os
import signal
import socket
import sys
import tempfile
import threading
import time
import traceback
from collections import Counter
from collections.abc import Callable
from types import FrameType
from typing import Any

from waitress.adjustments import Adjustments
from waitress.channel import HTTPChannel
from waitress.server import TcpWSGIServer
from waitress.task import ThreadedTaskDispatcher

import yarrow
from config.operating import UNFIT, operating
from config.turns import Turns

PROCESSES = operating().processes or min(2 * (os.cpu_count() or 1), 8)
"""Left to itself, two for each core: a sheet that is worked out in one holds up few of the others'
answers."""

WORKERS = operating().workers

THREADS = 4

DEADLINE_S = 20.0
"""From a request's first byte to its last."""

MOST_FROM_ONE = 100
"""Connections that one address may hold open in one process."""

_BEHIND_PROXIES = operating().proxies > 0
"""All connections come from our own proxy then, which counts them by address itself."""

MOST_CONNECTIONS = 1000

_LARGEST_BODY = 56_100_000
"""Bytes: over this nothing is read; what Django refuses in words is a little less."""


class Channel(HTTPChannel):
    """A connection that knows when the request that it is reading began."""

    began: float | None = None

    def received(self, data: bytes) -> Any:
        """What waitress does with bytes, and when the first of a request came.

        Args:
            data: as they came.

        Returns:
            As waitress answers.
        """
        if self.began is None:
            self.began = time.time()
        result = super().received(data)
        if self.request is None:
            self.began = None
        return result


class Server(TcpWSGIServer):
    """waitress, with a deadline for requests and a limit for each address."""

    channel_class = Channel

    def maintenance(self, now: float) -> None:
        """Closes what is idle, and what has not come to its end in time.

        Args:
            now: seconds of the server's clock.
        """
        super().maintenance(now)
        for channel in list(self.active_channels.values()):
            if channel.began is not None and now - channel.began > DEADLINE_S:
                channel.will_close = True

    def handle_accept(self) -> None:
        """Takes a connection, unless its address has enough of them."""
        super().handle_accept()
        open_ = list(self.active_channels.values())
        held = Counter(channel.addr[0] for channel in open_)
        if open_ and not _BEHIND_PROXIES and held[open_[-1].addr[0]] > MOST_FROM_ONE:
            open_[-1].will_close = True


def make_server(application: Any, listener: socket.socket) -> Server:
    """A server of an application on a socket that is bound already.

    Args:
        application: by WSGI.
    """
    adjustments = Adjustments(
        sockets=[listener],
        threads=THREADS,
        connection_limit=MOST_CONNECTIONS,
        max_request_body_size=_LARGEST_BODY,
        max_request_header_size=32_768,
        cleanup_interval=2,
        channel_timeout=60,
        # Read on while a request is worked at: so it is seen that whoever asked has left.
        channel_request_lookahead=1,
        asyncore_use_poll=True,
        # config.proxies knows which of them count.
        clear_untrusted_proxy_headers=False,
        ident=None,
    )
    threads = ThreadedTaskDispatcher()
    threads.queue = Turns()
    threads.set_thread_count(THREADS)
    return Server(
        application,
        {},
        True,
        listener,
        dispatcher=threads,
        adj=adjustments,
        bind_socket=False,
        sockinfo=(listener.family, listener.type, listener.proto, listener.getsockname()),
    )


def main() -> int:
    """Serve until a signal ends it.

    Returns:
        The exit status; 2, where something is unfit for people to work with.
    """
    parser = argparse.ArgumentParser(prog="config.serving")
    parser.add_argument("--port", type=int, help="instead of the port of the settings' address")
    parser.add_argument("--parent", type=int, help="process with whose end this ends")
    parser.add_argument(
        "--fit", action="store_true", help="refuse to start on what is unsafe or missing"
    )
    options = parser.parse_args()
    with tempfile.TemporaryDirectory(prefix="yarrow-counts-") as counts:
        os.environ[_COUNTS] = counts
        if options.fit and _tell_unfit():
            return UNFIT
        return _serve(options.port, options.parent)


_COUNTS = "PROMETHEUS_MULTIPROC_DIR"
"""Where processes count what they answer: see config/metrics.py, which is loaded after this."""


def _serve(port: int | None, parent: int | None) -> int:
    """Serve until a signal ends it. Returns: the exit status."""
    listener = _listener(port)
    if parent:
        _end_with(parent, lambda: os.kill(os.getpid(), signal.SIGTERM))
    application = _loaded()
    from long_work.worker import serve_queue  # once its models can be loaded

    def answer() -> None:
        make_server(application, listener).run()

    def work() -> None:
        listener.close()
        serve_queue()

    does: list[Callable[[], None]] = [answer] * PROCESSES + [work] * WORKERS
    children = {_child(do): do for do in does}
    signal.signal(signal.SIGTERM, _stop)
    signal.signal(signal.SIGINT, _stop)
    try:
        while True:
            ended, _ = os.wait()
            do = children.pop(ended)
            children[_child(do)] = do
    except SystemExit:
        for child in children:
            os.kill(child, signal.SIGTERM)
        return 0


def _listener(port: int | None) -> socket.socket:
    """The socket that all processes take connections from.

    Args:
        port: instead of that of the settings' address.
    """
    host, _, usual = operating().address.rpartition(":")
    host = host.strip("[]")
    listener = socket.socket(socket.AF_INET6 if ":" in host else socket.AF_INET)
    listener.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    listener.bind((host, port or int(usual)))
    listener.listen(1024)
    return listener


def _tell_unfit() -> bool:
    """Whether there is anything to refuse to start on; it is told."""
    import django

    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")
    django.setup()
    from django.db import connection

    from config.fitness import unfit

    found = unfit(operating())
    connection.close()  # the processes that are to come have connections of their own
    for sentence in found:
        sys.stderr.write(f"· {sentence}\n")
    if found:
        sys.stderr.write("Yarrow does not start like this.\n")
    return bool(found)


def _stop(_number: int, _frame: FrameType | None) -> None:
    raise SystemExit


def _loaded() -> Any:
    """The application with all that its first request would load, before any process is made: each
    has that in common with the others, and connections to the database of its own."""
    from django.urls import get_resolver

    from config.wsgi import application

    _ = get_resolver().url_patterns
    for verb in yarrow.VERBS.values():
        verb.load()
    # What was loaded stays: no process looks through it for what can be thrown away.
    gc.collect()
    gc.freeze()
    return application


def _child(do: Callable[[], None]) -> int:
    """A process that does something for as long as it is there; its number. It is started anew
    where it ends."""
    parent = os.getpid()
    number = os.fork()
    if number:
        return number
    signal.signal(signal.SIGTERM, signal.SIG_DFL)
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    _end_with(parent, lambda: os._exit(0))
    try:
        do()
    except BaseException:
        traceback.print_exc()
    os._exit(0)


def _end_with(parent: int, end: Callable[[], None]) -> None:
    """However the one who started this process ends, its port is held no longer than a second."""

    def watch() -> None:
        while os.getppid() == parent:
            time.sleep(1.0)
        end()

    threading.Thread(target=watch, daemon=True).start()


if __name__ == "__main__":
    sys.exit(main())
