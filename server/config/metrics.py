"""What a server counts of itself, as Prometheus reads it: of all its processes together."""

from __future__ import annotations

import os
from collections.abc import Iterator

from django.db import DatabaseError
from django.http import HttpRequest, HttpResponse
from prometheus_client import CONTENT_TYPE_LATEST, REGISTRY, CollectorRegistry, Counter, Histogram
from prometheus_client import generate_latest as written
from prometheus_client.core import GaugeMetricFamily, Metric
from prometheus_client.multiprocess import MultiProcessCollector
from prometheus_client.registry import Collector

from long_work.services import queue_now

FOLDER = "PROMETHEUS_MULTIPROC_DIR"
"""The environment names where processes count, before any of this is loaded."""

_ANSWERS = Counter("yarrow_answers", "Answers, by what was asked.", ("method", "route", "status"))
_SECONDS = Histogram(
    "yarrow_answer_seconds",
    "How long an answer took, by what was asked.",
    ("route",),
    buckets=(0.005, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 20),
)
_NO_ROUTE = "none"


def count(request: HttpRequest, status: int, seconds: float) -> None:
    """An answer more.

    Args:
        request: that was answered. What is counted by is its route, of which there are so many, and
            not its address.
        status: of HTTP.
        seconds: that it took.
    """
    match = request.resolver_match
    route = str(match.route) if match else _NO_ROUTE
    method = request.method if request.method in _METHODS else "other"
    _ANSWERS.labels(method, route, str(status)).inc()
    _SECONDS.labels(route).observe(seconds)


_METHODS = ("GET", "HEAD", "POST", "PUT", "DELETE", "OPTIONS", "PATCH")


def metrics_answer() -> HttpResponse:
    """All that was counted."""
    registry = REGISTRY
    if FOLDER in os.environ:
        registry = CollectorRegistry()
        MultiProcessCollector(registry)  # type: ignore[no-untyped-call]
    return HttpResponse(written(registry) + _of_queue(), content_type=CONTENT_TYPE_LATEST)


def _of_queue() -> bytes:
    """What of the queue is the same on all machines; nothing, where the database is away."""
    registry = CollectorRegistry()
    registry.register(_Queue())
    try:
        return written(registry)
    except DatabaseError:
        return b""


class _Queue(Collector):
    """The queue, looked at when it is asked for."""

    def collect(self) -> Iterator[Metric]:
        """Its numbers.

        Raises:
            DatabaseError.
        """
        now = queue_now()
        for name, words, value in (
            ("workers", "Workers that were heard of lately, on all machines.", now.workers),
            ("long_work_waiting", "Long work that no worker has begun.", now.waiting),
            ("long_work_longest_wait_seconds", "For how long the first of it.", now.longest_s),
        ):
            yield GaugeMetricFamily(f"yarrow_{name}", words, value)
