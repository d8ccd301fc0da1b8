"""Reading ``yarrow.bender/1``, a crew's own bender, and answering with its worked numbers."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction
from typing import Any, get_args

from yarrow.benders.bender import Bender, Reference
from yarrow.benders.kinds import BenderKind, BendingMethod
from yarrow.benders.known_to import KnownTo
from yarrow.benders.learning.calibration import Calibration
from yarrow.catalog.tables import Conduit
from yarrow.documents.bender.own_bender import OwnBender, read_own_bender
from yarrow.documents.converting import convert_document
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.reading import read_conduit, read_step, read_tape
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.measure.rounding import round_to
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.wording.phrase import Shown


@dataclass(frozen=True, slots=True)
class MarkName:
    """What a mark of a bender is called."""

    reference: Reference
    name: str


@dataclass(frozen=True, slots=True)
class BenderNumbers:
    """What is known of a bender, worked out: lengths in ``units``, with the tape's reading of those
    that are read off it; ``back_of_bend`` is how far its star lies behind the front mark.
    ``tested`` is None where its numbers were typed in."""

    format: str
    name: str
    units: Unit
    conduit_name: str
    kind: BenderKind
    way: BendingMethod
    radius: float
    radius_text: Shown
    take_up: float
    take_up_text: str
    gain: float
    gain_text: str
    back_of_bend: float
    back_of_bend_text: str
    least_stub: float
    least_stub_text: str
    springback_at_90: float
    springback_typical: bool
    clicks_at_90: int | None
    marks: tuple[MarkName, ...]
    tested: Calibration | None


def mark_names(bender: Bender) -> tuple[MarkName, ...]:
    """What every mark of a bender is called."""
    return tuple(MarkName(mark, bender.mark_name(mark)) for mark in get_args(Reference))


_DIGITS: dict[Unit, int] = {"in": 4, "mm": 2}
"""Places that a length is carried to: finer than any tape."""


def carried_bender(document: object, to: Unit) -> dict[str, Any]:
    """A kept bender as a run carries it: not every bend that was measured on it, but the numbers
    that follow from those, with how well they are known and what they were learnt from.

    Args:
        document: ``yarrow.bender/1``.
        to: the run's unit.

    Returns:
        The ``bender`` of a ``yarrow.run/1``, lengths in that unit.

    Raises:
        DocumentError.

    Source:
        docs/other-files.md.
    """
    converted = convert_document(document, to)
    own: dict[str, Any] = {
        name: value for name, value in converted["bender"].items() if name not in _OF_THE_TOOL
    }
    if "tests" not in own:
        return own
    *_, read = _own_bender_of(converted, to)
    bender, known = read.bender, read.calibration
    assert known is not None
    digits = _DIGITS[to]
    days = [test["when"] for test in own["tests"] if "when" in test]
    result = {name: value for name, value in own.items() if name not in _LEARNT}
    result |= {
        "radius": round(bender.radius, digits),
        "take_up": round(bender.take_up, digits),
        "known_to": {
            "take_up": round(known.take_up_known_to, digits),
            "radius": round(known.radius_known_to, digits),
            "together": round(known.together, 3),
            **_angles_known_to(known.known_to),
        },
        "learnt": {"bends": known.tests, **({"until": max(days)} if days else {})},
    }
    if not bender.springback.typical:
        result["springback"] = [
            {"commanded": round(commanded, 2), "kept": kept}
            for commanded, kept in bender.springback.points
        ]
    if bender.scale_offset:
        result["scale_offset"] = round(bender.scale_offset, 2)
    if bender.degrees_per_click is not None:
        result["degrees_per_click"] = round(bender.degrees_per_click, 3)
    return result


def with_bends(document: dict[str, Any], bends: Sequence[dict[str, Any]]) -> dict[str, Any]:
    """A kept bender with more bends that were measured on it; one that is ``of`` the same bend as
    one that it has stands in its place. Of very many the first are let go.

    Args:
        document: ``yarrow.bender/1``.
        bends: as its ``tests``, lengths with their unit.

    Returns:
        The new document.

    Raises:
        DocumentError, where none could have been made so.
    """
    bender_numbers(document)
    own: dict[str, Any] = document["bender"]
    tests = list(own.get("tests", ()))
    places = {test["of"]: at for at, test in enumerate(tests) if "of" in test}
    if isinstance(bends, str) or not isinstance(bends, Sequence):
        raise DocumentError("bends", "a list of bends")
    for number, bend in enumerate(bends):
        if not isinstance(bend, dict):
            raise DocumentError(f"bends[{number}]", "a bend, as an object")
        at = places.get(bend.get("of", ""))
        if at is not None:
            kept = {name: tests[at][name] for name in _OF_THE_PIECE if name in tests[at]}
            tests[at] = {**bend, **kept}
        else:
            tests.append(bend)
    result = {**document, "bender": {**own, "tests": tests[-MOST_MEASURED:]}}
    bender_numbers(result)
    return result


def _angles_known_to(known: KnownTo) -> dict[str, float]:
    read = {"springback": known.springback, "angles": known.angles}
    return {name: round(value, 2) for name, value in read.items() if value is not None}


_OF_THE_PIECE = ("when", "who", "use")
"""What of a bend stays as it was when it is read again."""

MOST_MEASURED = 300
"""Bends that a bender keeps: as its schema has it."""

_OF_THE_TOOL = ("notes", "condition", "check_due")
"""What is said of the tool itself: no run carries that."""

_LEARNT = ("tests", "springback", "degrees_per_click", "scale_offset")
"""What of a kept bender its bends say better."""


def _own_bender_of(document: object, unit: Unit) -> tuple[Conduit, Fraction, OwnBender]:
    """The conduit in it, the smallest mark of its tape, and the bender."""
    shape = reader("run", "bender_file")(document, "", unit)
    conduit, round_to = read_conduit(shape["conduit"]), shape.get("round_to")
    own = read_own_bender(shape["bender"], conduit, unit, read_tape(round_to, unit))
    return conduit, read_step(round_to, unit), own


def bender_numbers(document: object) -> BenderNumbers:
    """The numbers of a bender document.

    Args:
        document: ``yarrow.bender/1``.

    Raises:
        DocumentError; also where a test bend is one that no bender could have made.

    Source:
        docs/other-files.md.
    """
    unit = read_unit(document)
    conduit, step, read = _own_bender_of(document, unit)
    bender = read.bender

    def text(value: float) -> str:
        return round_to(value, step, unit).text

    return BenderNumbers(
        format="yarrow.bender-numbers/1",
        name=bender.name,
        units=unit,
        conduit_name=conduit.name,
        kind=bender.kind,
        way=bender.way,
        radius=bender.radius,
        radius_text=text(bender.radius),
        take_up=bender.take_up,
        take_up_text=text(bender.take_up),
        gain=bender.gain_90,
        gain_text=text(bender.gain_90),
        back_of_bend=bender.behind_front("back"),
        back_of_bend_text=text(bender.behind_front("back")),
        least_stub=bender.least_stub,
        least_stub_text=text(bender.least_stub),
        springback_at_90=bender.bend_to(90) - 90,
        springback_typical=bender.springback.typical,
        clicks_at_90=bender.clicks(90),
        marks=mark_names(bender),
        tested=read.calibration,
    )
