"""Reading ``yarrow.bench/1``, what came out at the bench, and answering with what is left to do."""

from __future__ import annotations

from typing import Any, NamedTuple

from yarrow.bench.at_bench import (
    BenchFit,
    BenchPlan,
    MadeBend,
    at_bench,
    bench_fit,
    bent_as_planned,
)
from yarrow.bench.readings.reading import BentPiece
from yarrow.bench.readings.registry import READINGS, in_order
from yarrow.documents.errors import DocumentError
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.runs.planner import MOST_SIMULATED
from yarrow.runs.stages import BuildablePlan, Plan


class _CameOut(NamedTuple):
    """What came out, of a piece that can be made; and the leg that is to hold."""

    plan: BuildablePlan
    made: list[MadeBend]
    held: int | None


def bench_document(plan: Plan, document: object) -> BenchPlan:
    """The bends of a piece that are left, after what was read of those that are made.

    Args:
        plan: of the piece.
        document: ``yarrow.bench/1``, in the run's units.

    Raises:
        DocumentError; also for a piece that can't be made, another unit than the run's, a bend or a
        leg that is not there, and a reading that no bend could have.

    Source:
        docs/run-file.md.
    """
    return at_bench(*_read_came_out(plan, document))


def bench_fit_document(plan: Plan, document: object) -> BenchFit:
    """How a piece comes to lie after what was read of the bends that are made, and no more.

    Args:
        plan: of the piece.
        document: ``yarrow.bench/1``, in the run's units.

    Raises:
        DocumentError, as bench_document.
    """
    return bench_fit(*_read_came_out(plan, document))


def _read_came_out(plan: Plan, document: object) -> _CameOut:
    unit = read_unit(document)
    shape = reader("bench")(document, "", unit)
    if not isinstance(plan, BuildablePlan):
        raise DocumentError("", "readings of a piece that can be made: this one can't")
    if unit != plan.resolution.run.unit:
        raise DocumentError("units", f"the run's, {plan.resolution.run.unit}")
    bends = len(plan.placed.pipe.bends)
    if bends > MOST_SIMULATED:
        raise DocumentError("", f"a piece of at most {MOST_SIMULATED} bends: this one has {bends}")
    held = shape.get("held")
    if held is not None and held > bends:
        raise DocumentError("held", f"a leg of this piece, 0 to {bends}")
    piece = bent_as_planned(plan)
    made: list[MadeBend] = []
    for at, entry in enumerate(shape["made"]):
        path = f"made[{at}]"
        if entry["bend"] >= bends or any(entry["bend"] == other.bend for other in made):
            expected = f"a bend of this piece, 0 to {bends - 1}, once" if bends else "none"
            raise DocumentError(f"{path}.bend", expected)
        readings = {name: _number(value) for name, value in entry.items() if name in READINGS}
        piece = _with_checked(piece, entry["bend"], readings, path)
        made.append(
            MadeBend(entry["bend"], readings, entry["mended"], entry["as_is"], entry["done"])
        )
    return _CameOut(plan, made, held)


def _with_checked(piece: BentPiece, bend: int, readings: dict[str, float], path: str) -> BentPiece:
    """The piece with a bend as it was read. Raises: DocumentError, where none could read so."""
    for kind, value in in_order(readings):
        refused = kind.refused(piece, bend, value)
        if refused:
            raise DocumentError(f"{path}.{kind.field}", refused)
        piece = kind.applied(piece, bend, value)
    return piece


def _number(value: Any) -> float:
    return float(getattr(value, "value", value))
