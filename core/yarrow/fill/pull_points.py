"""Bends between pull points: whether they are too many, and where to break the run."""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise

from yarrow.catalog.limits import fill_limits
from yarrow.values import dataclass

USUAL_DEGREES = fill_limits().pull_points.most_degrees
"""Between two pull points, where nothing stricter is asked for."""


@dataclass(frozen=True, slots=True)
class BendOnPipe:
    """A bend as a pull meets it: where its arc begins and ends along the pipe, and its degrees."""

    start: float
    end: float
    degrees: float


@dataclass(frozen=True, slots=True)
class PullPoint:
    """Where to break a run: before bend number ``bend`` (from 0), between ``begins`` and ``ends``
    of that straight, ``at`` its middle; and the degrees of the stretch that ends there."""

    bend: int
    at: float
    begins: float
    ends: float
    degrees_before: float


@dataclass(frozen=True, slots=True)
class PullPoints:
    """The degrees of a run against a limit, what is left of it, and the pull points that it needs
    (none where it keeps within)."""

    degrees: float
    limit: float
    left: float
    points: tuple[PullPoint, ...]
    degrees_after: float
    source: str


def pull_points(bends: Sequence[BendOnPipe], most_degrees: float | None = None) -> PullPoints:
    """As few pull points as keep every stretch within the limit, parting the bends evenly.

    Args:
        bends: in order along the pipe.
        most_degrees: between two points, in degrees (None: the usual).

    Source:
        docs/fill.md.
    """
    limit = float(most_degrees if most_degrees is not None else USUAL_DEGREES)
    total = math.fsum(bend.degrees for bend in bends)
    breaks = _even_breaks([bend.degrees for bend in bends], limit)
    points = []
    for last, bend in pairwise([0, *breaks]):
        begins, ends = bends[bend - 1].end, bends[bend].start
        before = math.fsum(passed.degrees for passed in bends[last:bend])
        points.append(PullPoint(bend, (begins + ends) / 2, begins, ends, before))
    after = math.fsum(bend.degrees for bend in bends[breaks[-1] if breaks else 0 :])
    return PullPoints(
        total, limit, limit - total, tuple(points), after, fill_limits().pull_points.source
    )


def _even_breaks(degrees: Sequence[float], limit: float) -> list[int]:
    """Before which bends to break, so that no stretch is over the limit, in as few stretches as
    that takes, the fullest of them as empty as can be."""
    few = _breaks(degrees, limit)
    low, high = max(degrees, default=0.0), limit
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        if len(_breaks(degrees, middle)) <= len(few):
            high = middle
        else:
            low = middle
    return _breaks(degrees, high)


_HALVINGS = 30


def _breaks(degrees: Sequence[float], limit: float) -> list[int]:
    """As late as possible each time. A bend that is over the limit by itself stands alone."""
    result: list[int] = []
    so_far = 0.0
    for index, turned in enumerate(degrees):
        if so_far and so_far + turned > limit + 1e-6:
            result.append(index)
            so_far = 0.0
        so_far += turned
    return result
