"""A most of work for a request: what takes more processor time than that is ended, and its thread
is free again; so is what nobody waits for any more. Counted in processor time of the request's own
thread, so that a machine that is busy ends nobody's work early."""

from __future__ import annotations

import ctypes
import threading
import time
from collections import Counter
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from dataclasses import dataclass

from django.conf import settings
from django.db import connection
from django.http import HttpRequest, HttpResponse

from api.problem_answers import problem_answer

_LOOKS_EVERY_S = 0.05

_NOBODY_WAITS = 499
"""Nobody reads it but who reads the log."""


class WorkOver(BaseException):
    """A request has had all the work that it may have. No handler of errors takes it for one."""


@dataclass(slots=True)
class _Watched:
    """A request that is being answered: its thread's clock, when on that it is over, and whether
    whoever asked has left."""

    clock: int
    over_at: float
    left: Callable[[], bool]
    ended: bool = False

    @property
    def over(self) -> bool:
        """Whether nothing more is to be done for it."""
        return time.clock_gettime(self.clock) > self.over_at or self.left()


class _Watch:
    """Looks at the requests of this process, and ends those that are over."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._watched: dict[int, _Watched] = {}
        self._thread: threading.Thread | None = None

    @contextmanager
    def over_after(self, seconds: float, left: Callable[[], bool]) -> Iterator[None]:
        """Ends what is done within it after so much processor time of this thread, or once nobody
        waits for it any more.

        Args:
            left: whether whoever asked has gone.

        Raises:
            WorkOver.
        """
        number = threading.get_ident()
        clock = time.pthread_getcpuclockid(number)
        watched = _Watched(clock, time.clock_gettime(clock) + seconds, left)
        with self._lock:
            self._watched[number] = watched
            # A process that was forked has none of the threads of its parent.
            if self._thread is None or not self._thread.is_alive():
                self._thread = threading.Thread(target=self._look, daemon=True)
                self._thread.start()
        try:
            yield
        finally:
            with self._lock:
                del self._watched[number]
                if watched.ended:
                    _raise_in(number, None)

    def _look(self) -> None:
        while True:
            time.sleep(_LOOKS_EVERY_S)
            with self._lock:
                for number, watched in self._watched.items():
                    # Told again until it ends: what was raised in a callback is lost.
                    if watched.over:
                        watched.ended = True
                        _raise_in(number, WorkOver)


def _raise_in(thread: int, error: type[BaseException] | None) -> None:
    wanted = ctypes.py_object(error) if error else None
    ctypes.pythonapi.PyThreadState_SetAsyncExc(ctypes.c_ulong(thread), wanted)


def _stays() -> bool:
    """Where the server does not tell."""
    return False


_WATCH = _Watch()
_under_way: Counter[str] = Counter()
_counting = threading.Lock()


class WorkDeadline:
    """Answers 413 where a request takes too much work or would be answered at too great length, and
    429 where one session has too many of them under way."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Pass the request on, for as long as it may take."""
        if not request.path.startswith("/api/"):
            return self.get_response(request)
        left = request.META.get("waitress.client_disconnected", _stays)
        if left():
            # It waited for its turn for longer than whoever asked: another key has been pressed.
            return HttpResponse(status=_NOBODY_WAITS)
        files = any(part in request.path for part in settings.LONG_WORK)
        who = request.COOKIES.get(settings.SESSION_COOKIE_NAME) or request.META["REMOTE_ADDR"]
        with _counting:
            if _under_way[who] >= settings.MOST_AT_ONCE:
                return problem_answer(
                    429, "throttled", "Too much is under way at once. Wait a moment."
                )
            _under_way[who] += 1
        try:
            with _WATCH.over_after(settings.WORK_S[files], left):
                response = self.get_response(request)
        except WorkOver:
            if not connection.in_atomic_block:
                # Whatever was under way on it is over too.
                with suppress(Exception):
                    connection.close()
            return problem_answer(
                413, "too-much-work", "This takes more work than one request may: make it smaller."
            )
        finally:
            with _counting:
                _under_way[who] -= 1
                if not _under_way[who]:
                    del _under_way[who]
        if not files and not response.streaming and len(response.content) > settings.LONGEST_ANSWER:
            return problem_answer(
                413, "too-large", "The answer would be too long to send: make it smaller."
            )
        return response
