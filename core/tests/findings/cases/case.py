"""What one finding is to say, and how a run is asked for its own."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from typing import Any, NamedTuple

import yarrow
from core.tests.builders import metric, run
from yarrow.findings.finding import Finding

Found = Callable[[], Sequence[Finding]]

POWERED: dict[str, Any] = {"conduit": {"type": "rmc", "size": "2"}, "bender": "powered-2"}
RIGID: dict[str, Any] = {"conduit": {"type": "rmc", "size": "3/4"}, "bender": "ratchet-1"}


class Case(NamedTuple):
    """A document's findings, and what the one of its code is to say."""

    found: Found
    level: str
    path: str
    feature: int | None
    bends: tuple[int, ...]
    figures: str
    source: str
    remedy: tuple[str, Any] | None


def planned_(*walk: dict[str, Any], **more: Any) -> Found:
    return lambda: yarrow.plan.values(run(*walk, **more)).findings


def metric_(*walk: dict[str, Any], **more: Any) -> Found:
    return lambda: yarrow.plan.values(metric(*walk, **more)).findings
