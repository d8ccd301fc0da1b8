"""The gauge at the bender, as a stream."""

from __future__ import annotations

import json
import threading
from collections.abc import Iterator
from dataclasses import asdict

from django.conf import settings
from django.http import StreamingHttpResponse
from ninja import Router

from api.problems import REFUSALS
from api.request import MemberRequest
from gauge.readings import ABSENT, GaugeReading, readings

router = Router(tags=["gauge"])

_LASTS_S = 50.0
"""A stream ends after so long, and the page asks for the next: a thread is held no longer by one
that nobody looks at."""

_AGAIN_MS = 3000
_MOST_STREAMS = 2
"""Of one process, so that it has threads left for everything else."""

_free = threading.BoundedSemaphore(_MOST_STREAMS)


@router.get("/gauge", response={200: GaugeReading, **REFUSALS}, operation_id="gauge_readings")
def gauge_readings(request: MemberRequest) -> StreamingHttpResponse:
    """What the gauge says, as server-sent events, each a reading."""
    stream = StreamingHttpResponse(_events(), content_type="text/event-stream")
    stream["Cache-Control"] = "no-store"
    stream["X-Accel-Buffering"] = "no"
    return stream


def _events() -> Iterator[str]:
    yield f"retry: {_AGAIN_MS}\n\n"
    if not _free.acquire(blocking=False):
        yield _event(ABSENT)
        return
    try:
        for reading in readings(settings.GAUGE, _LASTS_S):
            yield _event(reading)
    finally:
        _free.release()


def _event(reading: GaugeReading) -> str:
    return f"data: {json.dumps(asdict(reading))}\n\n"
