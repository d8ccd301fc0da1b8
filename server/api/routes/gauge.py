"""The gauge at the bender: paired by its code, then a stream of what it says."""

from __future__ import annotations

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
from api.streams import LASTS_S, as_events, event, stream_held
from gauge.pairing import pair, paired_with
from gauge.readings import ABSENT, UNPAIRED, GaugeReading, readings, shown_code

router = Router(tags=["gauge"])

_AGAIN_MS = 3000
_LOOKS_EVERY_S = 1.0
"""Whether it is still theirs is looked at so often: it ends with the session."""


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
    return as_events(_events(str(request.session.session_key)), _AGAIN_MS)


def _events(session_key: str) -> Iterator[bytes]:
    try:
        shown = shown_code(settings.GAUGE)
    except OSError:
        yield _event(ABSENT)
        return
    if not shown or paired_with(settings.GAUGE, session_key) != shown:
        yield _event(UNPAIRED)
        return
    with stream_held() as free:
        if not free:
            yield _event(ABSENT)
            return
        looked_at = time.monotonic()
        for reading in readings(settings.GAUGE, LASTS_S):
            if time.monotonic() - looked_at > _LOOKS_EVERY_S:
                looked_at = time.monotonic()
                if paired_with(settings.GAUGE, session_key) != shown:
                    yield _event(UNPAIRED)
                    return
            yield _event(reading)


def _event(reading: GaugeReading) -> bytes:
    return event(asdict(reading))
