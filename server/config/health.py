"""Whether this server is there, and whether people can work with it: for what watches it."""

from __future__ import annotations

import shutil
import time
from collections.abc import Callable
from dataclasses import asdict, dataclass
from datetime import UTC, datetime

from django.conf import settings
from django.db import DatabaseError, connection
from django.http import HttpRequest, HttpResponse, JsonResponse

import yarrow
from config.fitness import missing_migrations
from config.metrics import metrics_answer
from long_work.services import queue_now

_LEAST_FREE_MB = 500
_CLOCKS_APART_S = 5.0
_WAITS_S = 300.0


@dataclass(frozen=True, slots=True)
class LookedAt:
    """One thing that was looked at; ``needed``, where people can't work without it."""

    ok: bool
    words: str
    needed: bool = True


class Health:
    """Answers ``/health``, ``/ready`` and ``/metrics`` before anything else is asked: no session,
    and nobody's name. They are for this machine: the proxy's example keeps others from them."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Answer, or pass the request on."""
        if request.path == "/health":
            return JsonResponse({"ok": True, "version": yarrow.__version__})
        if request.path == "/ready":
            return _ready()
        if request.path == "/metrics":
            return metrics_answer()
        return self.get_response(request)


def _ready() -> HttpResponse:
    """503 where people can't work now, with what is wrong."""
    looked_at = {
        "database": _database_ready(),
        "queue": _queue(),
        "clock": _clock(),
        "disk": _disk(),
    }
    ok = all(finding.ok or not finding.needed for finding in looked_at.values())
    answer = {"ok": ok, **{name: asdict(finding) for name, finding in looked_at.items()}}
    return JsonResponse(answer, status=200 if ok else 503)


def _database_ready() -> LookedAt:
    try:
        missing = missing_migrations()
    except DatabaseError as error:
        _let_go()
        return LookedAt(False, f"can't be reached: {str(error).strip()}")
    if missing:
        return LookedAt(False, f"lacks {', '.join(missing)}: run ./yarrow upgrade")
    return LookedAt(True, "answers, and is of this version")


def _clock() -> LookedAt:
    """Sessions and links end by it, and two machines that differ end them twice."""
    try:
        with connection.cursor() as cursor:
            cursor.execute("SELECT clock_timestamp()")
            theirs: datetime = cursor.fetchone()[0]
    except DatabaseError:
        _let_go()
        return LookedAt(False, "the database, that it is held against, does not answer")
    apart = abs((datetime.fromtimestamp(time.time(), UTC) - theirs).total_seconds())
    return LookedAt(apart <= _CLOCKS_APART_S, f"{apart:.1f} s from the database's")


def _queue() -> LookedAt:
    """Long work waits where no worker is; people plan and bend all the same."""
    try:
        now = queue_now()
    except DatabaseError:
        _let_go()
        return LookedAt(False, "can't be looked at without the database", needed=False)
    words = f"{now.workers} workers on all machines, {now.waiting} things wait"
    if now.longest_s > _WAITS_S:
        return LookedAt(False, f"{words}, the first for {now.longest_s:.0f} s", needed=False)
    return LookedAt(now.workers > 0, words, needed=False)


def _let_go() -> None:
    """The next who asks tries a new connection."""
    if not connection.in_atomic_block:
        connection.close()


def _disk() -> LookedAt:
    free_mb = shutil.disk_usage(settings.ROOT).free // 1_000_000
    return LookedAt(free_mb >= _LEAST_FREE_MB, f"{free_mb} MB free, {_LEAST_FREE_MB} wanted")
