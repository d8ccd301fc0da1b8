"""Reading ``yarrow.wall/1``: its studs, openings, boxes, lines and feeds by their numbers."""

from __future__ import annotations

import json
from collections.abc import Mapping
from itertools import pairwise
from typing import Any

from yarrow.catalog.wall_boxes import wall_boxes
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.reading import read_conduit, setup_of_path
from yarrow.documents.run.wires import read_wires
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.fill.rings import least_spacing
from yarrow.measure.units import Unit, convert, convert_length
from yarrow.runs.model.wires import Wires
from yarrow.values import dataclass
from yarrow.walls.laying import WallToLay
from yarrow.walls.studs import Opening, Studs, framed
from yarrow.walls.wall import Feed, FeedEnd, FramedWall, HoleLine, WallBox, WallCorner, WayOut

_MOST_STUDS = 200
_SIZES = ("width", "tall", "deep", "knockout")


Bent = str | dict[str, Any]
"""A bender as a document says it: one of the catalogue by its name, or one's own numbers."""


@dataclass(frozen=True, slots=True)
class ReadWall:
    """A wall as its document says it, and its bender as it was said there."""

    to_lay: WallToLay
    said_bender: Bent


def read_framed_wall(document: object) -> ReadWall:
    """A framed wall as it is written, with all that it names looked up.

    Args:
        document: ``yarrow.wall/1``.

    Raises:
        DocumentError; also for a stud, a box or a line that is not there.
    """
    shape = read_shape(document)
    assert isinstance(document, dict)  # it could be read
    said: Bent = document["bender"]
    wall = read_wall(shape)
    setup = setup_of_path(shape["bender"], wall.conduit, wall.unit, "connector")
    fed = [feed for feed in wall.feeds if feed.start.place != feed.end.place]
    wires = {feed.number: _wires_of(wall, feed) for feed in fed if feed.wires.strip()}
    known_by = json.dumps([said, shape["conduit"], wall.unit], default=str)
    return ReadWall(WallToLay(wall, setup, known_by, wires), said)


def _wires_of(wall: FramedWall, feed: Feed) -> Wires:
    """What is drawn into a feed. Raises: DocumentError, where that can't be read."""
    try:
        shape = reader("run", "wires")({"typed": feed.wires}, "wires", wall.unit)
        return read_wires(shape, wall.conduit, wall.unit)
    except DocumentError as refusal:
        raise DocumentError(f"feeds[{feed.number}].wires", refusal.expected) from None


def read_shape(document: object) -> dict[str, Any]:
    """A wall as its schema reads it; what a box of a kind measures is filled in.

    Args:
        document: ``yarrow.wall/1``.

    Returns:
        By field, lengths as readings.

    Raises:
        DocumentError.
    """
    unit = read_unit(document)
    if isinstance(document, dict) and isinstance(document.get("boxes"), list):
        document = {**document, "boxes": [_of_kind(box, unit) for box in document["boxes"]]}
    shape: dict[str, Any] = reader("wall")(document, "", unit)
    return shape


def _of_kind(box: object, unit: Unit) -> object:
    kind = wall_boxes().get(str(box.get("kind", ""))) if isinstance(box, dict) else None
    if kind is None or not isinstance(box, dict):
        return box
    sizes = {name: convert_length(kind.sizes[name], kind.unit, unit) for name in _SIZES}
    return {**sizes, "devices": kind.devices, **box}


def read_wall(shape: dict[str, Any]) -> FramedWall:
    """A wall, with its studs, boxes, lines and feeds by their numbers.

    Args:
        shape: as read_shape answers it.

    Raises:
        DocumentError, for a stud, an opening, a box, a knockout or a line that is not there, or a
        name that is twice.
    """
    unit, length = shape["units"], float(shape["length"].value)
    plates = shape.get("plates") or reader("wall", "plates")({}, "plates", unit)
    bottom, top = float(plates["bottom"].value), float(plates["top"].value)
    height = float(shape["height"].value)
    middles = _middles(shape["studs"], length)
    width = float(shape["studs"]["width"].value)
    openings = _openings(shape["openings"], length, height, width)
    studs = Studs(
        framed(middles, width, (bottom, height - top), openings),
        width,
        float(shape["studs"]["depth"].value),
        shape["studs"]["bearing"],
    )
    boxes = _names_of(shape, "boxes")
    outs = _names_of(shape, "ways_out", boxes)
    lines = _names_of(shape, "lines")
    read_boxes = tuple(
        _box(box, f"boxes[{number}]", studs, openings) for number, box in enumerate(shape["boxes"])
    )
    conduit = read_conduit(shape["conduit"])
    return FramedWall(
        name=shape["name"],
        unit=unit,
        conduit=conduit,
        diameter=float(convert(conduit.diameter, conduit.unit, unit)),
        apart=least_spacing(conduit.size, conduit.size, unit),
        length=length,
        height=height,
        plates=(bottom, top),
        studs=studs,
        openings=openings,
        corners=_wall_corners(shape["corners"], length),
        boxes=read_boxes,
        ways_out=tuple(map(_way_out, outs, shape["ways_out"])),
        lines=tuple(map(_hole_line, lines, shape["lines"])),
        feeds=tuple(
            _feed(feed, number, (*boxes, *outs), read_boxes, lines)
            for number, feed in enumerate(shape["feeds"])
        ),
    )


def _way_out(name: str, shape: Mapping[str, Any]) -> WayOut:
    at = float(shape["at"].value) if "at" in shape else None
    return WayOut(name, shape["plate"], at, float(shape["beyond"].value))


def _hole_line(name: str, shape: Mapping[str, Any]) -> HoleLine:
    height, setback, bit = (float(shape[field].value) for field in ("height", "setback", "bit"))
    return HoleLine(name, height, setback, bit)


def _names_of(shape: Mapping[str, Any], field: str, others: list[str] | None = None) -> list[str]:
    names: list[str] = []
    for number, entry in enumerate(shape[field]):
        name = entry["name"].strip()
        if not name or name in names or name in (others or ()):
            raise DocumentError(f"{field}[{number}].name", "a name that no other has")
        names.append(name)
    return names


def _middles(studs: Mapping[str, Any], length: float) -> tuple[float, ...]:
    middles = tuple(float(stud.value) for stud in studs["at"]) or _spaced(studs, length)
    if list(middles) != sorted(set(middles)) or middles[-1] > length:
        raise DocumentError("studs.at", "the middles of studs in order, within the wall")
    width = float(studs["width"].value)
    if any(after - before < width - 1e-6 for before, after in pairwise(middles)):
        raise DocumentError("studs.at", f"studs at least as far apart as one is wide, {width:g}")
    return middles


def _spaced(studs: Mapping[str, Any], length: float) -> tuple[float, ...]:
    """The middles of studs: one flush with either end of the wall, those between at so many
    spacings from the first end; or, where the first one's middle was said, from there on."""
    spacing, width = float(studs["spacing"].value), float(studs["width"].value)
    if spacing <= width:
        raise DocumentError("studs.spacing", "more than a stud is wide")
    if length / spacing > _MOST_STUDS:
        raise DocumentError("length", f"at most {_MOST_STUDS} studs long")
    if length <= 2 * width:
        raise DocumentError("length", "more than the two studs at its ends are wide")
    result, last = [], length - width / 2
    middle = float(studs["first"].value) if "first" in studs else width / 2
    while middle <= length + 1e-9:
        result.append(middle)
        # From one end on, so that boards meet in the middle of a stud.
        middle = middle + spacing if "first" in studs else len(result) * spacing
    if not result:
        raise DocumentError("studs.first", "within the wall")
    # The last stands flush with the end; one that would stand in it is left out.
    return (*(place for place in result if place <= last - width + 1e-9), last)


def _openings(
    shapes: list[dict[str, Any]], length: float, height: float, stud: float
) -> tuple[Opening, ...]:
    result: list[Opening] = []
    for number, shape in enumerate(shapes):
        begins, width, sill, head, header = (
            float(shape[field].value) for field in ("begins", "width", "sill", "head", "header")
        )
        path = f"openings[{number}]"
        if begins < 2 * stud or begins + width + 2 * stud > length:
            raise DocumentError(f"{path}.begins", "within the wall, with two studs on either side")
        if not sill < head < height:
            raise DocumentError(f"{path}.head", "over its sill, and under the top of the wall")
        result.append(Opening(shape["name"].strip(), begins, begins + width, sill, head, header))
    for one, other in pairwise(sorted(result, key=lambda opening: opening.begins)):
        if other.begins - one.ends < 4 * stud:
            at = result.index(other)
            raise DocumentError(f"openings[{at}].begins", "beyond the frame of the one before it")
    return tuple(result)


def _wall_corners(shapes: list[dict[str, Any]], length: float) -> tuple[WallCorner, ...]:
    wall_corners = tuple(
        WallCorner(float(shape["at"].value), shape["turns"] == "inside") for shape in shapes
    )
    places = [corner.at for corner in wall_corners]
    if places != sorted(set(places)) or (places and places[-1] >= length):
        raise DocumentError("corners", "in order along the wall, within it")
    return wall_corners


def _box(shape: dict[str, Any], path: str, studs: Studs, openings: tuple[Opening, ...]) -> WallBox:
    if shape["kind"] and shape["kind"] not in wall_boxes():
        raise DocumentError(f"{path}.kind", f"one of {', '.join(wall_boxes())}")
    sizes = {name: float(shape[name].value) for name in ("height", "proud", *_SIZES)}
    side, beside = shape["side"], shape["beside"].strip()
    if beside:
        opening = next((opening for opening in openings if opening.name == beside), None)
        if opening is None:
            names = ", ".join(opening.name for opening in openings) or "none is there"
            raise DocumentError(f"{path}.beside", f"an opening: {names}")
        frame = 2 * studs.width
        face = opening.ends + frame if side == "right" else opening.begins - frame
    else:
        numbers = [stud.number for stud in studs.all if stud.number]
        if shape["stud"] not in numbers:
            expected = f"one of {max(numbers, default=0)} studs, not in an opening's frame"
            raise DocumentError(f"{path}.stud", expected)
        stud = studs.numbered(shape["stud"])
        face = stud.ends if side == "right" else stud.begins
    return WallBox(
        name=shape["name"].strip(),
        stud=0 if beside else shape["stud"],
        face=face,
        side=side,
        to=shape["to"],
        kind=wall_boxes().get(shape["kind"]),
        devices=shape.get("devices", 0),
        **sizes,
    )


def _feed(
    shape: dict[str, Any],
    number: int,
    places: tuple[str, ...],
    boxes: tuple[WallBox, ...],
    lines: list[str],
) -> Feed:
    path, ends = f"feeds[{number}]", []
    for field in ("from", "to"):
        name = shape[field].strip()
        if name not in places:
            expected = f"a box of the wall or a way out: {', '.join(places)}"
            raise DocumentError(f"{path}.{field}", expected)
        place, knockout = places.index(name), shape[f"{field}_knockout"].strip()
        kind = boxes[place].kind if place < len(boxes) else None
        if knockout and knockout not in (kind.knockouts if kind else ()):
            names = ", ".join(kind.knockouts) if kind else "none is named in a box of no kind"
            raise DocumentError(f"{path}.{field}_knockout", f"a knockout of {name}: {names}")
        ends.append(FeedEnd(place, knockout))
    if min(end.place for end in ends) >= len(boxes):
        raise DocumentError(f"{path}.to", "a box at one of its ends")
    said = shape["line"].strip()
    line = said or (lines[0] if lines else "")
    if line not in lines:
        expected = f"a line of holes: {', '.join(lines) or 'bore one first'}"
        raise DocumentError(f"{path}.line", expected)
    key = shape["key"] or f"{shape['from'].strip()} > {shape['to'].strip()}"
    return Feed(number, key, ends[0], ends[1], lines.index(line), shape["wires"], not said)
