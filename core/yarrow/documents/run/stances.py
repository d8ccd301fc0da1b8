"""Where a bender is worked: what a run says of its piece and of single bends, and a crew of its
own bender."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from yarrow.catalog.stances import Place, Stance, Stances, stances
from yarrow.documents.run.worked_sums import record_sum
from yarrow.measure.tape import Reading
from yarrow.measure.units import convert
from yarrow.runs.model.run import EvaluatedSum
from yarrow.values import dataclass, replace


@dataclass(frozen=True, slots=True)
class ReadStances:
    """Where a bender is worked, and what was said of places that it can't be worked at: the field,
    and the place."""

    stances: Stances
    not_taken: tuple[tuple[str, Place], ...]


def read_stances(shape: Mapping[str, Any], kind: str, sums: list[EvaluatedSum]) -> ReadStances:
    """The stances of a run's bender: as its kind is worked, with what the crew says of its own,
    then of this piece, then of single bends.

    Args:
        shape: of a run as the schema reads it.
        kind: of its bender.
        sums: the sums so far.
    """
    result = stances(kind)
    not_taken: list[tuple[str, Place]] = []
    bender = shape["bender"]
    own = bender.get("stance") if isinstance(bender, dict) else None
    for path, stance in (("bender.stance", own), ("stance", shape.get("stance"))):
        if stance is None:
            continue
        if "handle" in stance:
            result = result.with_handle(_in_mm(stance["handle"], f"{path}.handle", sums))
        picked = _picked(result, stance, path, sums)
        if picked:
            result = replace(result, picked=picked)
        elif "place" in stance:
            not_taken.append((f"{path}.place", stance["place"]))
        elif "height" in stance:
            result = result.at_height(_in_mm(stance["height"], f"{path}.height", sums))
    by_bend: list[tuple[int, Stance]] = []
    for number, stance in enumerate(shape.get("stances", [])):
        path = f"stances[{number}]"
        picked = _picked(result, stance, path, sums)
        if picked:
            by_bend.append((stance["bend"], picked))
        else:
            not_taken.append((f"{path}.place", stance["place"]))
    return ReadStances(replace(result, by_bend=tuple(by_bend)), tuple(not_taken))


def _picked(
    result: Stances, shape: Mapping[str, Any], path: str, sums: list[EvaluatedSum]
) -> Stance | None:
    """The one place that was said, of this piece or of the bender before; None where none was, or
    the tool can't be worked there."""
    stance = result.picked if "height" in shape else None
    if "place" in shape:
        stance = result.at(shape["place"])
    if stance and "height" in shape:
        return stance.raised(_in_mm(shape["height"], f"{path}.height", sums))
    return stance


def _in_mm(reading: Reading, path: str, sums: list[EvaluatedSum]) -> float:
    return float(convert(record_sum(reading, path, sums), reading.unit, "mm"))
