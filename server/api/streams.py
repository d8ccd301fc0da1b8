"""Streams of events to a page. Each holds a thread of its process for as long as it lasts."""

from __future__ import annotations

import threading
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from django.http import StreamingHttpResponse

from api.answers import plain_json

LASTS_S = 50.0
"""A stream ends after so long, and the page asks for the next: a thread is held no longer by one
that nobody looks at."""

_MOST_STREAMS = 2
"""Of one process, so that it has threads left for everything else."""

_free = threading.BoundedSemaphore(_MOST_STREAMS)


@contextmanager
def stream_held() -> Iterator[bool]:
    """Whether there is a thread to spare for a stream, for as long as it takes."""
    free = _free.acquire(blocking=False)
    try:
        yield free
    finally:
        if free:
            _free.release()


def event(told: dict[str, Any]) -> bytes:
    """One event.

    Args:
        told: plain JSON.

    Returns:
        As server-sent events have it.
    """
    return b"data: " + plain_json(told) + b"\n\n"


def as_events(events: Iterator[bytes], again_ms: int) -> StreamingHttpResponse:
    """An answer of events.

    Args:
        events: each as ``event`` gives it.
        again_ms: after which the page asks for the next stream.
    """

    def with_pace() -> Iterator[bytes]:
        yield f"retry: {again_ms}\n\n".encode()
        yield from events

    stream = StreamingHttpResponse(with_pace(), content_type="text/event-stream")
    stream["Cache-Control"] = "no-store"
    stream["X-Accel-Buffering"] = "no"
    return stream
