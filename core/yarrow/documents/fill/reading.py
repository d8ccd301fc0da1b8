"""Reading ``yarrow.fill/1`` and answering with ``yarrow.fill-result/1``."""

from __future__ import annotations

from fractions import Fraction
from typing import Any

from yarrow.catalog.wiring import trunkings
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.wires import read_conductors, read_raceway, usual_method
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.fill.area import Area
from yarrow.fill.cable_factor import CableFactorFill
from yarrow.fill.check import check_fill
from yarrow.fill.compare import compare_methods
from yarrow.fill.conductor import Raceway
from yarrow.fill.method import FillMethod, MethodName, MissingTableValue
from yarrow.fill.result import FillResult
from yarrow.fill.trunking_fill import TrunkingFill, trunking_of, usual_trunking
from yarrow.measure.units import convert


def fill_document(document: object) -> FillResult:
    """Whether the conductors of a document go in.

    Args:
        document: ``yarrow.fill/1``.

    Raises:
        DocumentError, with the field's path and what was expected.

    Source:
        docs/other-files.md.
    """
    unit = read_unit(document)
    shape = reader("run", "fill_file")(document, "", unit)
    name = _method_name(shape)
    conductors = read_conductors(shape, "", name, unit)
    if not conductors:
        raise DocumentError("conductors", "at least one conductor, or a circuit")
    raceway, choose = _raceway_of(shape, name)
    length = shape.get("length")
    length_m = convert(length.value, length.unit, "mm") / 1000 if length else None
    try:
        method = _way(name, shape, raceway, length_m)
        other = compare_methods(method, raceway, conductors, length_m, shape["bends"])
        return check_fill(method, raceway, conductors, shape["spare"], choose, other)
    except MissingTableValue as missing:
        raise DocumentError(missing.field, missing.expected) from None


def _method_name(shape: dict[str, Any]) -> MethodName:
    if ("trunking" in shape) == ("conduit" in shape):
        raise DocumentError("conduit", "either a conduit or a trunking")
    if "trunking" in shape:
        if shape.get("method", "space") != "space":
            raise DocumentError("method", "space, for trunking")
        return "space"
    name: MethodName = shape.get("method") or usual_method(shape["conduit"]["type"])
    if name == "space":
        raise DocumentError("method", "area or factor, for conduit")
    return name


def _raceway_of(shape: dict[str, Any], name: MethodName) -> tuple[Raceway, bool]:
    if name != "space":
        return read_raceway(shape["conduit"]["type"], shape["conduit"].get("size"), name)
    sides = shape["trunking"]
    if ("width" in sides) != ("height" in sides):
        missing = "height" if "width" in sides else "width"
        raise DocumentError(f"trunking.{missing}", "a value; it is missing")
    if "width" not in sides:
        return usual_trunking(next(iter(trunkings()))), True
    width, height = (
        convert(sides[side].value, sides[side].unit, "mm") for side in ("width", "height")
    )
    return trunking_of(width, height, sides["own"]), False


def _way(
    name: MethodName, shape: dict[str, Any], raceway: Raceway, length_m: Fraction | None
) -> FillMethod:
    if name == "space":
        return TrunkingFill(printed=raceway.factor is not None)
    if name == "factor":
        if length_m is None:
            raise DocumentError("length", "the run's length: the factors go by it")
        return CableFactorFill(length_m, shape["bends"])
    length = float(convert(length_m * 1000, "mm", raceway.unit)) if length_m is not None else None
    return Area(raceway.unit, shape["nipple"], length)
