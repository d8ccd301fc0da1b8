"""Reading ``yarrow.bender/1``, a crew's own bender, and answering with its worked numbers."""

from __future__ import annotations

from dataclasses import dataclass
from typing import get_args

from yarrow.benders.bender import Bender, Reference
from yarrow.benders.calibration import Calibration, calibrate
from yarrow.benders.kinds import BenderKind, Way
from yarrow.documents.run_file import read_bender, read_conduit, read_step, read_unit, test_bends
from yarrow.documents.schema import reader
from yarrow.measure.rounding import round_to
from yarrow.measure.units import Unit


@dataclass(frozen=True, slots=True)
class MarkName:
    """What a mark of a bender is called."""

    reference: Reference
    name: str


@dataclass(frozen=True, slots=True)
class BenderNumbers:
    """What is known of a bender, worked out: lengths in ``units``, with the tape's reading of those
    that are read off it. ``tested`` is None where its numbers were typed in."""

    format: str
    name: str
    units: Unit
    conduit_name: str
    kind: BenderKind
    way: Way
    radius: float
    radius_text: str
    take_up: float
    take_up_text: str
    gain: float
    gain_text: str
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


def bender_numbers(document: object) -> BenderNumbers:
    """The numbers of a bender document.

    Raises: DocumentError; also where a test bend is one that no bender could have made.
    Source: docs/run-file.md.
    """
    unit = read_unit(document)
    shape = reader("run", "bender_file")(document, "", unit)
    conduit = read_conduit(shape["conduit"])
    step = read_step(shape.get("round_to"), unit)
    own = shape["bender"]
    bender: Bender = read_bender(own, conduit, unit, step)
    tested = None
    if "tests" in own:
        tested = calibrate(test_bends(own["tests"]), bender.diameter, float(step))

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
        least_stub=bender.least_stub,
        least_stub_text=text(bender.least_stub),
        springback_at_90=bender.springback.bend_to(90) - 90,
        springback_typical=bender.springback.typical,
        clicks_at_90=bender.clicks(90),
        marks=mark_names(bender),
        tested=tested,
    )
