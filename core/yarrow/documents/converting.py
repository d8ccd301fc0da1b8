"""A document in the other unit: the same pipe, the same cables, the same box, exactly."""

from __future__ import annotations

from collections.abc import Callable
from decimal import Decimal
from fractions import Fraction
from typing import Any

from yarrow.documents.errors import DocumentError
from yarrow.documents.registry import format_of
from yarrow.documents.run.wire_notation import wires_in_other_unit
from yarrow.documents.schema import reader, resolved, schema, usual_values
from yarrow.documents.unit import read_unit
from yarrow.documents.upgrading import upgrade
from yarrow.measure.rounding import USUAL_STEP
from yarrow.measure.tape import LengthSyntaxError, in_other_unit
from yarrow.measure.units import MM_PER_INCH, Unit, convert
from yarrow.values import dataclass

_KG_PER_LB = Fraction("0.45359237")
_NEWTONS_PER_LBF = _KG_PER_LB * Fraction("9.80665")
_METRES_PER_FOOT = MM_PER_INCH * 12 / 1000

METRIC_PER_US = {
    "mass-per-length": _KG_PER_LB / _METRES_PER_FOOT,
    "force": _NEWTONS_PER_LBF,
    "force-per-length": _NEWTONS_PER_LBF / _METRES_PER_FOOT,
}
"""How many kg/m, N and N/m (in a document of millimetres) one lb/ft, lbf and lbf/ft (in one of
inches) is: exact by definition."""

_NOISE = 1e-15
"""Of a converted force or mass: what floats lose there and back, so that it is the same again."""


def convert_document(document: object, to: Unit, *, half_typed: bool = False) -> dict[str, Any]:
    """The same document in a unit: every plan and every answer of it stays the same.

    The lengths are those that its schema marks as such. Text keeps what was read off the tape, with
    its unit behind it (``18 3/8`` becomes ``18 3/8 in``); a number becomes the number in the other
    unit where that has an end (25.4), else text. What was left out and stands for another length
    in the other unit is written down. Converted twice, a document reads as it did.

    Args:
        document: of any format that has units.
        to: "in" or "mm".
        half_typed: whether what can't be read yet stays as it was typed, instead of being refused.

    Returns:
        A new document; a copy where it is in that unit already.

    Raises:
        DocumentError, with the field's path and what was expected.
    """
    unit = read_unit(document)
    result: dict[str, Any] = upgrade(document)
    of = format_of(result, lambda row: row.converts)
    read = reader(of.schema, of.part)
    if not half_typed:
        read(result, "", unit)
    if unit == to:
        return dict(result)
    root = schema(of.schema)
    node = root["$defs"][of.part] if of.part else root
    converted = _Converting(unit, root).object(node, result)
    converted["units"] = to
    if of.name == "bender" and "round_to" not in result:
        # How well its bends were measured goes by the tape that they were measured with.
        converted["round_to"] = f"{USUAL_STEP[unit]} {unit}"
    if not half_typed:
        read(converted, "", to)  # a length may be too long for the other unit
    return converted


@dataclass(frozen=True, slots=True)
class _Converting:
    """One conversion out of ``unit``, by a schema whose parts ``root`` defines. What is not as its
    schema wants it stays as it is."""

    unit: Unit
    root: dict[str, Any]

    def value(self, node: dict[str, Any], value: Any) -> Any:
        node = resolved(node, self.root)
        quantity = node.get("x-quantity", node.get("format"))
        if quantity in _QUANTITIES:
            return self._quantity(quantity, value)
        if "oneOf" in node:
            branch = self._branch(node, value)
            return value if branch is None else self.value(branch, value)
        if node.get("type") == "object" and isinstance(value, dict):
            return self.object(node, value)
        if node.get("type") == "array" and isinstance(value, list):
            return [self.value(node["items"], item) for item in value]
        return value

    def object(self, node: dict[str, Any], value: dict[str, Any]) -> dict[str, Any]:
        properties = node["properties"]
        result = {
            key: self.value(properties[key], item) if key in properties else item
            for key, item in value.items()
        }
        for key, child in properties.items():
            usual = usual_values(resolved(child, self.root))
            if key not in value and usual is not None and usual["in"] != usual["mm"]:
                result[key] = self._quantity("length", usual[self.unit])
        return result

    def _quantity(self, name: str, value: Any) -> Any:
        try:
            return _QUANTITIES[name](value, self.unit)
        except (LengthSyntaxError, DocumentError, TypeError, ValueError, ArithmeticError):
            return value

    def _branch(self, node: dict[str, Any], value: Any) -> dict[str, Any] | None:
        """The branch that the reader takes: by its discriminator, or by the value's type."""
        branches = [resolved(branch, self.root) for branch in node["oneOf"]]
        if "discriminator" in node:
            name = node["discriminator"]["propertyName"]
            tag = value.get(name) if isinstance(value, dict) else None
            return next((b for b in branches if b["properties"][name]["const"] == tag), None)
        kind = "object" if isinstance(value, dict) else "string"
        kind = kind if isinstance(value, dict | str) else "number"
        return next((branch for branch in branches if branch["type"] == kind), None)


def _converted_length(value: Any, unit: Unit) -> Any:
    if isinstance(value, str):
        return in_other_unit(value, unit)
    exactly = _number_as_fraction(value)
    other = convert(exactly, unit, "mm" if unit == "in" else "in")
    number = _json_number(other)
    return number if _number_as_fraction(number) == other else f"{_plain_number(exactly)} {unit}"


def _plain_number(value: Fraction) -> str:
    """A number that JSON had, without an exponent."""
    return f"{Decimal(value.numerator) / Decimal(value.denominator):f}"


def _scaled(per_us: Fraction) -> Callable[[Any, Unit], float]:
    def converted(value: Any, unit: Unit) -> float:
        exactly = _number_as_fraction(value)
        result = float(exactly * per_us if unit == "in" else exactly / per_us)
        shorter = (float(f"{result:.{digits}g}") for digits in range(1, 17))
        return next((n for n in shorter if abs(n - result) <= _NOISE * abs(result)), result)

    return converted


def _tape(value: Any, unit: Unit) -> str:
    """A tape goes by its marks: it keeps its own, with the unit that they are in."""
    text = value if isinstance(value, str) else _plain_number(_number_as_fraction(value))
    return in_other_unit(text, unit)


def _number_as_fraction(value: Any) -> Fraction:
    return Fraction(repr(value)) if isinstance(value, float) else Fraction(value)


def _json_number(value: Fraction) -> float | int:
    return value.numerator if value.denominator == 1 else float(value)


_QUANTITIES: dict[str, Callable[[Any, Unit], Any]] = {
    "length": _converted_length,
    **{name: _scaled(per_us) for name, per_us in METRIC_PER_US.items()},
    "tape": _tape,
    "wires": wires_in_other_unit,
}
