"""Reading ``yarrow.run/1``: the document's shape by its schema, then its meaning."""

from __future__ import annotations

from fractions import Fraction
from functools import cache
from typing import Any, cast

from yarrow.benders.bender import Bender
from yarrow.benders.catalogued import catalogued, fit_for
from yarrow.benders.kinds import BendingMethod
from yarrow.catalog.fittings import allowance, fittings
from yarrow.catalog.limits import limits
from yarrow.catalog.tables import Conduit, benders, conduits
from yarrow.documents.bender.own_bender import read_own_bender
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.joints import read_joints
from yarrow.documents.run.stances import read_stances
from yarrow.documents.run.wires import most_degrees, read_wires, trade_size
from yarrow.documents.run.worked_sums import record_sum
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.features.feature import Feature
from yarrow.features.offset import Offset
from yarrow.features.registry import KINDS
from yarrow.geometry.vectors import Vector
from yarrow.measure.rounding import STEPS, USUAL_STEP
from yarrow.measure.tape import Reading
from yarrow.measure.units import Unit, convert, other_unit
from yarrow.obstacles.free_offset import FreeOffset
from yarrow.obstacles.obstacle import Obstacle
from yarrow.obstacles.registry import OBSTACLES
from yarrow.runs.model.run import (
    Built,
    BuiltBend,
    EvaluatedSum,
    OrderedBend,
    OtherPipe,
    Points,
    Rack,
    RunSetup,
    RunStart,
    Survey,
)
from yarrow.values import replace

_NAMES = {"from": "measured_from"}
"""Fields whose name is a word of Python."""


def read_run(document: object) -> Survey:
    """What a run's document says was met, with every default filled in and every name looked up.

    Args:
        document: as JSON gives it (numbers may be int, float or Decimal).

    Raises:
        DocumentError, with the field's path and what was expected.

    Source:
        docs/run-file.md.
    """
    unit = read_unit(document)
    shape = reader("run")(document, "", unit)
    conduit = read_conduit(shape["conduit"])
    bender, fits = read_bender(
        shape["bender"], conduit, unit, read_step(shape.get("round_to"), unit)
    )
    if "way" in shape:
        bender = replace(bender, way=cast(BendingMethod, shape["way"]))
    sums: list[EvaluatedSum] = []
    own_allowances: list[str] = []
    features, meet = _walk(shape, conduit, unit, sums, own_allowances)
    places = read_stances(shape, bender.kind, sums)
    setup = RunSetup(
        name=shape["name"],
        unit=unit,
        round_to=read_step(shape.get("round_to"), unit),
        conduit=conduit,
        bender=bender,
        bender_fits=fits,
        method=shape["method"],
        stand_off=record_sum(shape["stand_off"], "stand_off", sums),
        start=_start(shape.get("start"), conduit, unit, sums, own_allowances),
        path=_path(shape, sums),
        worked=tuple(sums),
        own_allowances=tuple(own_allowances),
        order=tuple(OrderedBend(**bend) for bend in shape.get("order", [])),
        stances=places.stances,
        not_taken=places.not_taken,
        wires=read_wires(shape["wires"], conduit, unit) if "wires" in shape else None,
        most_degrees=most_degrees(shape.get("wires", {})),
        done=tuple(shape.get("done", ())),
        picked_marking=shape.get("marking"),
        joints=read_joints(shape["joints"], conduit, unit, sums) if "joints" in shape else None,
    )
    rack = _read_rack(shape["rack"], unit, sums, setup) if "rack" in shape else None
    return Survey(replace(setup, worked=tuple(sums)), features, meet, rack)


def _read_rack(
    shape: dict[str, Any], unit: Unit, sums: list[EvaluatedSum], setup: RunSetup
) -> Rack:
    """What a run is copied into. Raises: DocumentError."""
    others = []
    for number, pipe in enumerate(shape.get("pipes", [])):
        place = f"rack.pipes[{number}]"
        try:
            conduit = read_conduit(pipe["conduit"])
            bender, fits = read_bender(pipe["bender"], conduit, unit, setup.round_to)
        except DocumentError as refusal:
            raise DocumentError(f"{place}.{refusal.path}", refusal.expected) from None
        others.append(OtherPipe(conduit, bender, fits))
    if len(others) >= shape["count"]:
        raise DocumentError(
            "rack.pipes", f"fewer than the count of {shape['count']}: the first is the run"
        )
    built = []
    for number, pipe in enumerate(shape.get("built", [])):
        if pipe["pipe"] >= shape["count"]:
            raise DocumentError(
                f"rack.built[{number}].pipe", f"less than the count of {shape['count']}"
            )
        marked = [at for at, bend in enumerate(pipe["bends"]) if "mark" in bend]
        if marked and shape["corners"] == "concentric":
            expected = "no mark where corners are concentric: tell the angle of the whole bend"
            raise DocumentError(f"rack.built[{number}].bends[{marked[0]}].mark", expected)
        bends = tuple(
            BuiltBend(
                bend["bend"],
                bend.get("angle"),
                float(bend["mark"].value) if "mark" in bend else None,
            )
            for bend in pipe["bends"]
        )
        built.append(Built(pipe["pipe"], bends))
    return Rack(
        count=shape["count"],
        side=shape["side"],
        spacing=float(record_sum(shape["spacing"], "rack.spacing", sums)),
        between=shape["between"],
        corners=shape["corners"],
        shot=shape.get("shot", limits().shot.degrees),
        others=tuple(others),
        built=tuple(built),
    )


def read_conduit(shape: dict[str, Any]) -> Conduit:
    """A conduit of the catalogue.

    Args:
        shape: as the schema's conduit reads it.

    Raises:
        DocumentError.
    """
    kind, size = shape["type"], trade_size(shape["size"])
    known = conduits()
    if (kind, size) in known:
        return known[kind, size]
    sizes = [other for other_kind, other in known if other_kind == kind]
    if sizes:
        raise DocumentError("conduit.size", f"one of {', '.join(sizes)}")
    raise DocumentError("conduit.type", f"one of {', '.join(dict.fromkeys(k for k, _ in known))}")


def read_bender(shape: Any, conduit: Conduit, unit: Unit, step: Fraction) -> tuple[Bender, bool]:
    """A bender with a conduit in it, and whether it takes that.

    Args:
        shape: as the schema's bender reads it: an id of the catalogue, or numbers of one's own.
        conduit: that is bent.
        unit: of the document.
        step: of its tape, in that unit.

    Returns:
        The bender in the document's unit.

    Raises:
        DocumentError.
    """
    if isinstance(shape, str):
        entry = benders().get(shape)
        if entry is None:
            raise DocumentError("bender", f"an id of the catalogue, one of {', '.join(benders())}")
        fit = fit_for(entry, conduit)
        if fit is not None:
            return catalogued(entry, fit, conduit, unit), True
        own = entry.fits[0]
        return catalogued(entry, own, conduits()[own.type, own.size], unit), False
    return read_own_bender(shape, conduit, unit, step).bender, True


def setup_of_path(shape: Any, conduit: Conduit, unit: Unit, start: str) -> RunSetup:
    """What a run whose path is still to come is planned with, where nothing else was said of it.

    Args:
        shape: of its bender, as the schema's bender reads it.
        conduit: that it is of.
        unit: of its lengths.
        start: the fitting that it begins in.

    Raises:
        DocumentError, for a bender that is none.
    """
    step, sums = read_step(None, unit), list[EvaluatedSum]()
    bender, fits = read_bender(shape, conduit, unit, step)
    places = read_stances({"bender": shape}, bender.kind, sums)
    beyond = allowance(fittings()[start], conduit, unit)
    return RunSetup(
        name="",
        unit=unit,
        round_to=step,
        conduit=conduit,
        bender=bender,
        bender_fits=fits,
        method="exact",
        stand_off=Fraction(0),
        start=RunStart(start, beyond),
        path=(),
        stances=places.stances,
        worked=tuple(sums),
        own_allowances=("start",) if beyond else (),
        not_taken=places.not_taken,
    )


def _is_step(reading: Reading, unit: Unit) -> bool:
    return convert(reading.value, reading.unit, unit) in STEPS[unit].values()


def read_step(reading: Reading | None, unit: Unit) -> Fraction:
    """The smallest mark of the tape in use; the usual one where a tape in the other unit is named,
    as a document that was converted does.

    Returns:
        In the document's unit.

    Raises:
        DocumentError.
    """
    steps = STEPS[unit]
    if reading is None or _is_step(reading, other_unit(unit)):
        return steps[USUAL_STEP[unit]]
    if reading.value not in steps.values():
        raise DocumentError("round_to", f"one of {', '.join(steps)}")
    return reading.value


def read_tape(reading: Reading | None, unit: Unit) -> Fraction:
    """The smallest mark of the tape that was measured with: as for read_step, but one in the other
    unit is as long as it is there.

    Args:
        reading: what is said of it; None: nothing.
        unit: of the document.

    Returns:
        In the document's unit.

    Raises:
        DocumentError.
    """
    if reading is not None and _is_step(reading, other_unit(unit)):
        return reading.value
    return read_step(reading, unit)


def _start(
    shape: dict[str, Any] | None,
    conduit: Conduit,
    unit: Unit,
    sums: list[EvaluatedSum],
    own: list[str],
) -> RunStart:
    shape = shape or {"kind": "open", "box": "", "label": "", "own": ""}
    beyond = _allowance(shape, shape["kind"], "start", conduit, unit, sums, own)
    return RunStart(shape["kind"], beyond, shape["box"], shape["label"], shape["own"])


def _walk(
    shape: dict[str, Any],
    conduit: Conduit,
    unit: Unit,
    sums: list[EvaluatedSum],
    own: list[str],
) -> tuple[tuple[Feature | Obstacle, ...], Vector | None]:
    if ("walk" in shape) == ("path" in shape):
        raise DocumentError("walk", "either a walk or a path" + (", not both" * ("path" in shape)))
    if "path" in shape:
        return (), None
    features: list[Feature | Obstacle] = []
    meet = None
    last = len(shape["walk"]) - 1
    for number, line in enumerate(shape["walk"]):
        path = f"walk[{number}]"
        fields = dict(line)
        kind = fields.pop("kind")
        if (kind == "end") != (number == last):
            expected = "end on the last line" if number == last else "end only on the last line"
            raise DocumentError(f"{path}.kind", expected)
        if "where" in fields:
            _check_place(fields, number, last, path)
        for name, other in _alike(kind):
            fields.setdefault(name, fields[other])
        if kind == "end":
            beyond = _allowance(fields, fields["fitting"], path, conduit, unit, sums, own)
            fields["allowance"] = beyond
            if "meet" in fields:
                x, y, z = (
                    record_sum(coordinate, f"{path}.meet", sums)
                    for coordinate in fields.pop("meet")
                )
                meet = (float(x), float(y), float(z))
        # The fields of a schema's line and of its dataclass are the same by design and by a test.
        features.append(_line_type(kind, fields)(**_exact_fields(fields, path, sums)))
    _check_open(features, meet)
    return tuple(features), meet


MOST_OBSTACLES = 100
"""Things that bends are chosen for: more than any pipe ever met, few enough to answer at once."""

MOST_FIXED = 60
MOST_LOOSE = 40
"""Lines and loose numbers of a run whose ends are both fixed."""


def _check_open(features: list[Feature | Obstacle], meet: Vector | None) -> None:
    """How much may be left open, so that it is answered at once. Raises: DocumentError."""
    if sum(line.is_obstacle for line in features) > MOST_OBSTACLES:
        raise DocumentError(
            "walk", f"at most {MOST_OBSTACLES} things that bends are to be chosen for"
        )
    if meet is None:
        return
    if len(features) > MOST_FIXED:
        raise DocumentError("walk", f"at most {MOST_FIXED} lines where both ends are fixed")
    if sum(len(line.loose) for line in features if not line.is_obstacle) > MOST_LOOSE:
        raise DocumentError("walk", f"at most {MOST_LOOSE} loose numbers")


def _class_of(kind: str) -> type[Feature | Obstacle]:
    return KINDS[kind] if kind in KINDS else OBSTACLES[kind]


@cache
def _alike(kind: str) -> tuple[tuple[str, str], ...]:
    return _class_of(kind).document.alike


def _line_type(kind: str, fields: dict[str, Any]) -> type[Feature | Obstacle]:
    """What a line becomes; an offset without an angle of its own is left to be chosen."""
    if kind != "offset":
        return _class_of(kind)
    if fields["angle"] != "choose" and "within" not in fields:
        return Offset
    fields.pop("angle")
    return FreeOffset


def _check_place(fields: dict[str, Any], number: int, last: int, path: str) -> None:
    """A box stands at an end of the pipe, so at an end of the walk."""
    stands = 0 if fields["where"] == "start" else last - 1
    if number != stands:
        expected = "start on the first line, or end on the line before the end"
        raise DocumentError(f"{path}.where", expected)


def _allowance(
    shape: dict[str, Any],
    fitting: str,
    path: str,
    conduit: Conduit,
    unit: Unit,
    sums: list[EvaluatedSum],
    own: list[str],
) -> Fraction:
    if "allowance" in shape:
        return record_sum(shape["allowance"], f"{path}.allowance", sums)
    beyond = allowance(fittings()[fitting], conduit, unit)
    if beyond:
        own.append(path)
    return beyond


def _path(shape: dict[str, Any], sums: list[EvaluatedSum]) -> Points:
    points = []
    for number, point in enumerate(shape.get("path", [])):
        x, y, z = (record_sum(item, f"path[{number}]", sums) for item in point)
        points.append((x, y, z))
    return tuple(points)


def _exact_fields(fields: dict[str, Any], path: str, sums: list[EvaluatedSum]) -> dict[str, Any]:
    return {
        _NAMES.get(key, key): record_sum(value, f"{path}.{key}", sums)
        if isinstance(value, Reading)
        else (tuple(value) if isinstance(value, list) else value)
        for key, value in fields.items()
    }
