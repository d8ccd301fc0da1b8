"""Who follows long work is told at once when it changes, whichever machine works on it: PostgreSQL
tells every process that listens, and each has one connection that does."""

from __future__ import annotations

import threading
import time
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

import psycopg
from django.db import connection
from procrastinate.contrib.django.utils import connector_params

_CHANNEL = "yarrow_long_work"
_AGAIN_S = 2.0


def notify(*work_ids: int) -> None:
    """Tell that works changed, once the transaction is over.

    Args:
        work_ids: which.
    """
    with connection.cursor() as cursor:
        for work_id in work_ids:
            cursor.execute("SELECT pg_notify(%s, %s)", [_CHANNEL, str(work_id)])


class _Followed:
    """The works that somebody in this process follows."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._followers: dict[int, list[threading.Event]] = {}
        self._listener: threading.Thread | None = None

    @contextmanager
    def follow(self, work_id: int) -> Iterator[threading.Event]:
        """An event that is set whenever the work may have changed.

        Args:
            work_id: which.
        """
        changed = threading.Event()
        with self._lock:
            self._followers.setdefault(work_id, []).append(changed)
            if self._listener is None or not self._listener.is_alive():
                self._listener = threading.Thread(
                    target=self._listen, args=(connector_params(),), daemon=True
                )
                self._listener.start()
        try:
            yield changed
        finally:
            with self._lock:
                self._followers[work_id].remove(changed)
                if not self._followers[work_id]:
                    del self._followers[work_id]

    def _listen(self, parameters: dict[str, Any]) -> None:
        """Until nobody follows anything. Where the database is away it is tried again, and all look
        for themselves: what was told meanwhile was told to nobody."""
        while True:
            try:
                with psycopg.connect(**parameters, autocommit=True) as listening:
                    listening.execute(f"LISTEN {_CHANNEL}")
                    self._wake(None)
                    while self._wanted():
                        for told in listening.notifies(timeout=_AGAIN_S):
                            self._wake(int(told.payload))
                    return
            except psycopg.OperationalError:
                time.sleep(_AGAIN_S)
                self._wake(None)

    def _wanted(self) -> bool:
        with self._lock:
            if not self._followers:
                self._listener = None
            return bool(self._followers)

    def _wake(self, work_id: int | None) -> None:
        """Those who follow a work; None: all."""
        with self._lock:
            for followed, events in self._followers.items():
                if work_id in (None, followed):
                    for event in events:
                        event.set()


FOLLOWED = _Followed()
