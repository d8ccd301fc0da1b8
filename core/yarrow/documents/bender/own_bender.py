"""Reading a bender of one's own: its numbers, or every bend that was measured on it."""

from __future__ import annotations

from fractions import Fraction
from typing import Any, cast

from yarrow.benders.bender import Bender, Reference
from yarrow.benders.catalogued import typical
from yarrow.benders.kinds import BENDER_KINDS
from yarrow.benders.known_to import KnownTo
from yarrow.benders.learning.calibration import Calibration, Stamped, calibrate
from yarrow.benders.learning.measured_bend import MeasuredBend
from yarrow.benders.springback import Springback, springback
from yarrow.catalog.tables import Conduit
from yarrow.documents.errors import DocumentError
from yarrow.geometry.errors import GeometryError
from yarrow.measure.units import Unit, convert
from yarrow.values import dataclass

_LENGTHS = ("mark", "stick", "stub", "tail")
_COUNTS = ("angle", "commanded", "clicks", "use")


@dataclass(frozen=True, slots=True)
class OwnBender:
    """A bender of one's own, and what its measured bends say; None where it has none."""

    bender: Bender
    calibration: Calibration | None


def read_own_bender(
    shape: dict[str, Any], conduit: Conduit, unit: Unit, step: Fraction
) -> OwnBender:
    """A person's own bender, by its numbers or by the bends that were measured on it; then the
    numbers are what is stamped on it.

    Args:
        shape: as the schema's own_bender reads it.
        conduit: that goes into it.
        unit: of its lengths.
        step: the smallest mark of the tape.

    Raises:
        DocumentError.
    """
    diameter = float(convert(conduit.diameter, conduit.unit, unit))
    usual = _springback(shape) if "springback" in shape else typical(conduit)
    known = _calibration(shape, diameter, step, usual) if "tests" in shape else None
    kind = shape["kind"]
    bender = Bender(
        id="own",
        name=shape["name"],
        kind=kind,
        radius=known.radius if known else _stamped(shape, "radius"),
        take_up=known.take_up if known else _stamped(shape, "take_up"),
        hook=float(shape["hook"].value),
        heel=float(shape["heel"].value),
        diameter=diameter,
        way=BENDER_KINDS[kind].usual_way,
        springback=known.springback(usual) if known else usual,
        degrees_per_click=known.degrees_per_click if known else shape.get("degrees_per_click"),
        scale_offset=(known.scale_offset or 0.0) if known else shape["scale_offset"],
        known_to=known.known_to if known else _known_to(shape),
        renamed=tuple(
            (cast(Reference, mark), name) for mark, name in shape.get("marks", {}).items()
        ),
    )
    return OwnBender(bender, known)


def _stamped(shape: dict[str, Any], field: str) -> float:
    if field not in shape:
        raise DocumentError(f"bender.{field}", "a length, or tests to find it by; it is missing")
    return float(shape[field].value)


def _known_to(shape: dict[str, Any]) -> KnownTo | None:
    known = shape.get("known_to")
    if known is None:
        return None
    take_up, radius = float(known["take_up"].value), float(known["radius"].value)
    return KnownTo(take_up, radius, known["together"], known.get("springback"), known.get("angles"))


def _calibration(
    shape: dict[str, Any], diameter: float, step: Fraction, usual: Springback
) -> Calibration:
    label = Stamped(
        take_up=_stamped(shape, "take_up") if "take_up" in shape else None,
        radius=_stamped(shape, "radius") if "radius" in shape else None,
        degrees_per_click=shape.get("degrees_per_click"),
    )
    try:
        return calibrate(_bends(shape["tests"]), diameter, float(step), label, usual)
    except GeometryError:
        expected = "both legs of a bend, or take-up and radius as they are stamped"
        raise DocumentError("bender.tests[0]", expected) from None


def _bends(shapes: list[dict[str, Any]]) -> list[MeasuredBend]:
    """Measured bends, as the schema's test_bend reads them. Args: shapes, one a bend."""
    return [
        MeasuredBend(
            **{name: shape[name].value for name in _LENGTHS if name in shape},
            **{name: shape[name] for name in _COUNTS if name in shape},
        )
        for shape in shapes
    ]


def _springback(shape: dict[str, Any]) -> Springback:
    points = [(point["commanded"], point["kept"]) for point in shape["springback"]]
    try:
        return springback(points, typical=False)
    except ValueError:
        expected = "points that keep less than they were bent to, and more the further"
        raise DocumentError("bender.springback", expected) from None
