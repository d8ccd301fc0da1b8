"""What the readings of a piece tell of its bender: bends as it keeps them."""

from __future__ import annotations

from collections.abc import Mapping

from yarrow.bench.readings.reading import BentPiece
from yarrow.benders.bender import Bender
from yarrow.benders.placing import Placing
from yarrow.measure.rounding import round_to
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import dataclass

_ON_THE_TOOL = ("front", "former")
"""References whose place take-up tells; others are stamped where they are."""


@dataclass(frozen=True, slots=True)
class BendForBender:
    """A bend, counted along the pipe from 0, as a bender keeps it: what was not read of it is None.
    Lengths are in the run's unit; ``mark`` is the front mark's from the end that the hook faced."""

    bend: int
    mark: float | None
    stick: float | None
    stub: float | None
    tail: float | None
    angle: float | None
    commanded: float | None
    clicks: int | None


def calibration_reading(
    run: ResolvedRun,
    aimed: BentPiece,
    stick: float,
    placing: Placing,
    bend: int,
    readings: Mapping[str, float],
) -> BendForBender | None:
    """What a reading tells; None where it tells nothing of the bender: a twist, a mark that slid.

    Args:
        run: for its bender and its tape.
        aimed: the piece as it was to be when this bend was made.
        stick: how long the pipe was then, in the run's unit.
        placing: of the bender on this bend.
        bend: along the pipe, from 0.
        readings: of it, by the names of their kinds.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    angle, stub = readings.get("angle"), readings.get("stub")
    lies = stub is not None and "slid" not in readings and placing.reference in _ON_THE_TOOL
    if angle is None and not lies:
        return None
    to_stay = aimed.bends[bend].angle
    commanded, clicks = _dialled(run.bender, to_stay) if angle is not None else (None, None)
    kept = to_stay if angle is None else angle
    if not lies:
        return BendForBender(bend, None, None, None, None, kept, commanded, clicks)
    made = aimed.bends[bend]
    at = run.bender.mark_position(made.arc_start, made.arc_end, placing.hook, "front")
    # The pencil is on the tape's own marks.
    at = round_to(at, run.round_to, run.unit).value
    mark = at if placing.hook == "start" else stick - at
    beside_hook = (placing.hook == "start") == (bend == 0)
    near, far = (stub, None) if beside_hook else (None, stub)
    return BendForBender(bend, mark, stick, near, far, kept, commanded, clicks)


def _dialled(bender: Bender, angle: float) -> tuple[float | None, int | None]:
    """What was dialled: clicks where it has some, else its scale, to its half degrees."""
    clicks = bender.clicks(angle)
    if clicks is not None:
        return None, clicks
    return None if bender.traits.warms else round(2 * bender.bend_to(angle)) / 2, None
