"""Reading ``yarrow.run/1``: the document's shape by its schema, then its meaning."""

from __future__ import annotations

from fractions import Fraction
from typing import Any, cast

from yarrow.benders.bender import Bender
from yarrow.benders.catalogued import TYPICAL_HEEL, TYPICAL_HOOK, catalogued, fit_for
from yarrow.bends.box_offset import BoxOffset
from yarrow.bends.end import End
from yarrow.bends.registry import KINDS, Line
from yarrow.catalog.tables import Conduit, TradeSize, allowance, benders, conduits, fittings
from yarrow.documents.refusal import Refusal
from yarrow.documents.schema import reader
from yarrow.measure.rounding import STEPS, USUAL_STEP
from yarrow.measure.tape import Reading
from yarrow.measure.units import Unit, convert
from yarrow.runs.run import Points, Run, Start, Worked

BOX_MARGIN: dict[Unit, Fraction] = {"in": Fraction(2), "mm": Fraction(50)}
"""Straight left at a box where nothing is said: what a hook takes without crushing the end."""

_NAMES = {"from": "measured_from"}
"""Fields whose name is a word of Python."""


def read_unit(document: object) -> Unit:
    """The unit of a document, which every other reading needs first.

    Raises: Refusal.
    """
    if not isinstance(document, dict):
        raise Refusal("", "a JSON object")
    unit = document.get("units")
    if unit not in ("in", "mm") or not isinstance(unit, str):
        raise Refusal("units", "one of in, mm")
    return cast(Unit, unit)


def read_run(document: object) -> Run:
    """A run from its document, with every default filled in and every name looked up.

    Args: document, as JSON gives it (numbers may be int, float or Decimal).
    Raises: Refusal, with the field's path and what was expected.
    Source: docs/run-file.md.
    """
    unit = read_unit(document)
    shape = reader("run")(document, "", unit)
    conduit = _conduit(shape["conduit"])
    bender, fits = _bender(shape["bender"], conduit, unit)
    worked: list[Worked] = []
    own_allowances: list[str] = []
    return Run(
        name=shape["name"],
        unit=unit,
        round_to=_round_to(shape.get("round_to"), unit),
        conduit=conduit,
        bender=bender,
        bender_fits=fits,
        method=shape["method"],
        start=_start(shape.get("start"), conduit, unit, worked, own_allowances),
        walk=_walk(shape, conduit, unit, worked, own_allowances),
        path=_path(shape, worked),
        worked=tuple(worked),
        own_allowances=tuple(own_allowances),
    )


def _conduit(shape: dict[str, Any]) -> Conduit:
    kind, size = shape["type"], TradeSize(shape["size"].strip().replace(" ", "-"))
    known = conduits()
    if (kind, size) in known:
        return known[kind, size]
    sizes = [other for other_kind, other in known if other_kind == kind]
    if sizes:
        raise Refusal("conduit.size", f"one of {', '.join(sizes)}")
    raise Refusal("conduit.type", f"one of {', '.join(dict.fromkeys(k for k, _ in known))}")


def _bender(shape: Any, conduit: Conduit, unit: Unit) -> tuple[Bender, bool]:
    if isinstance(shape, str):
        entry = benders().get(shape)
        if entry is None:
            raise Refusal("bender", f"an id of the catalogue, one of {', '.join(benders())}")
        fit = fit_for(entry, conduit)
        if fit is not None:
            return catalogued(entry, fit, conduit, unit), True
        own = entry.fits[0]
        return catalogued(entry, own, conduits()[own.type, own.size], unit), False
    own_bender = Bender(
        id="own",
        name=shape["name"],
        kind=shape["kind"],
        radius=float(shape["radius"].value),
        take_up=float(shape["take_up"].value),
        hook=float(shape["hook"].value) if "hook" in shape else TYPICAL_HOOK[unit],
        heel=float(shape["heel"].value) if "heel" in shape else TYPICAL_HEEL[unit],
        diameter=float(convert(conduit.diameter, conduit.unit, unit)),
    )
    return own_bender, True


def _round_to(reading: Reading | None, unit: Unit) -> Fraction:
    steps = STEPS[unit]
    if reading is None:
        return steps[USUAL_STEP[unit]]
    if reading.value not in steps.values():
        raise Refusal("round_to", f"one of {', '.join(steps)}")
    return reading.value


def _start(
    shape: dict[str, Any] | None,
    conduit: Conduit,
    unit: Unit,
    worked: list[Worked],
    own: list[str],
) -> Start:
    shape = shape or {"kind": "open", "label": ""}
    beyond = _allowance(shape, shape["kind"], "start", conduit, unit, worked, own)
    return Start(shape["kind"], beyond, shape["label"])


def _walk(
    shape: dict[str, Any],
    conduit: Conduit,
    unit: Unit,
    worked: list[Worked],
    own: list[str],
) -> tuple[Line, ...]:
    if ("walk" in shape) == ("path" in shape):
        raise Refusal("walk", "either a walk or a path" + (", not both" * ("path" in shape)))
    if "path" in shape:
        return ()
    lines: list[Line] = []
    last = len(shape["walk"]) - 1
    for number, line in enumerate(shape["walk"]):
        path = f"walk[{number}]"
        fields = dict(line)
        kind = KINDS[fields.pop("kind")]
        if (kind is End) != (number == last):
            expected = "end on the last line" if number == last else "end only on the last line"
            raise Refusal(f"{path}.kind", expected)
        if kind is BoxOffset:
            _check_box_offset(fields, number, last, path)
            fields.setdefault("margin", Reading(BOX_MARGIN[unit], unit))
        if kind is End:
            beyond = _allowance(fields, fields["fitting"], path, conduit, unit, worked, own)
            fields["allowance"] = beyond
        # The fields of a schema's line and of its dataclass are the same by design and by a test.
        lines.append(kind(**_exact(fields, path, worked)))
    return tuple(lines)


def _check_box_offset(fields: dict[str, Any], number: int, last: int, path: str) -> None:
    """A box offset stands at an end of the pipe, so at an end of the walk."""
    stands = 0 if fields["where"] == "start" else last - 1
    if number != stands:
        expected = "start on the first line, or end on the line before the end"
        raise Refusal(f"{path}.where", expected)


def _allowance(
    shape: dict[str, Any],
    fitting: str,
    path: str,
    conduit: Conduit,
    unit: Unit,
    worked: list[Worked],
    own: list[str],
) -> Fraction:
    if "allowance" in shape:
        return _noted(shape["allowance"], f"{path}.allowance", worked)
    beyond = allowance(fittings()[fitting], conduit, unit)
    if beyond:
        own.append(path)
    return beyond


def _path(shape: dict[str, Any], worked: list[Worked]) -> Points:
    points = []
    for number, point in enumerate(shape.get("path", [])):
        x, y, z = (_noted(item, f"path[{number}]", worked) for item in point)
        points.append((x, y, z))
    return tuple(points)


def _exact(fields: dict[str, Any], path: str, worked: list[Worked]) -> dict[str, Any]:
    return {
        _NAMES.get(key, key): _noted(value, f"{path}.{key}", worked)
        if isinstance(value, Reading)
        else value
        for key, value in fields.items()
    }


def _noted(reading: Reading, path: str, worked: list[Worked]) -> Fraction:
    if reading.worked:
        worked.append(Worked(path, reading.worked))
    return reading.value
