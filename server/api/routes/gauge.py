"""The gauge at the bender: paired by its code, then a stream of what it says."""

from __future__ import annotations

import json
import threading
import time
from collections.abc import Iterator
from dataclasses import asdict

from django.conf import settings
from django.http import StreamingHttpResponse
from ninja.errors import HttpError

from api.limits import GAUGE_CODES
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.session_shapes import GaugeCode, GaugePaired
from gauge.pairing import pair, paired_with
from gauge.readings import ABSENT, UNPAIRED, GaugeReading, readings, shown_code

router = Router(tags=["gauge"])

_LASTS_S = 50.0
"""A stream ends after so long, and the page asks for the next: a thread is held no longer by one
that nobody looks at."""

_AGAIN_MS = 3000
_LOOKS_EVERY_S = 1.0
"""Whether it is still theirs is looked at so often: it ends with the session."""

_MOST_STREAMS = 2
"""Of one process, so that it has threads left for everything else. Nobody but the one who has the
gauge takes any."""

_free = threading.BoundedSemaphore(_MOST_STREAMS)


@router.post(
    "/gauge/pairing",
    response={200: GaugePaired, **REFUSALS},
    throttle=[GAUGE_CODES],
    operation_id="pair_gauge",
)
def pair_gauge(request: MemberRequest, body: GaugeCode) -> GaugePaired:
    """The gauge is this session's own from here on, by the code that it shows."""
    try:
        paired = pair(settings.GAUGE, str(request.session.session_key), body.code)
    except OSError:
        raise HttpError(404, "There is no gauge.") from None
    if not paired:
        raise HttpError(403, "That is not the code that the gauge shows.")
    return GaugePaired(paired=True)


@router.get("/gauge", response={200: GaugeReading, **REFUSALS}, operation_id="gauge_readings")
def gauge_readings(request: MemberRequest) -> StreamingHttpResponse:
    """What the gauge says, as server-sent events, each a reading; that it is not paired, to
    everyone but the session that paired it."""
    events = _events(str(request.session.session_key))
    stream = StreamingHttpResponse(events, content_type="text/event-stream")
    stream["Cache-Control"] = "no-store"
    stream["X-Accel-Buffering"] = "no"
    return stream


def _events(session_key: str) -> Iterator[str]:
    yield f"retry: {_AGAIN_MS}\n\n"
    try:
        shown = shown_code(settings.GAUGE)
    except OSError:
        yield _event(ABSENT)
        return
    if not shown or paired_with(settings.GAUGE, session_key) != shown:
        yield _event(UNPAIRED)
        return
    if not _free.acquire(blocking=False):
        yield _event(ABSENT)
        return
    try:
        looked_at = time.monotonic()
        for reading in readings(settings.GAUGE, _LASTS_S):
            if time.monotonic() - looked_at > _LOOKS_EVERY_S:
                looked_at = time.monotonic()
                if paired_with(settings.GAUGE, session_key) != shown:
                    yield _event(UNPAIRED)
                    return
            yield _event(reading)
    finally:
        _free.release()


def _event(reading: GaugeReading) -> str:
    return f"data: {json.dumps(asdict(reading))}\n\n"
