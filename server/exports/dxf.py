"""DXF, both ways: a plan as elevation, plan and 3D centreline; a 3D polyline as a run's path."""

from __future__ import annotations

import io
import math
import re
from dataclasses import dataclass

from ezdxf.document import Drawing
from ezdxf.filemanagement import new, read
from ezdxf.lldxf.const import DXFError

from exports.dxf_path import drawn, joined, path_of, pieces_of
from exports.layout import centreline
from yarrow import DocumentError, Unit, WrittenPlan, along, convert_length

MOST_POINTS = 2000
_UNITS: dict[Unit, int] = {"in": 1, "mm": 4}
SCALES: dict[int, tuple[Unit, float]] = {
    1: ("in", 1.0),
    2: ("in", 12.0),
    4: ("mm", 1.0),
    5: ("mm", 10.0),
    6: ("mm", 1000.0),
}
"""What $INSUNITS names: inches, feet, millimetres, centimetres, metres."""

_ARC_STEPS = 12

_FARTHEST = 1_000_000

_NO_NUMBER = re.compile(r"^\s*[+-]?(nan|inf(inity)?|[\d.]+e[+-]?\d{3,})\s*$", re.I | re.M)
"""A line that a float would be read from, and that is no place."""


@dataclass(frozen=True, slots=True)
class ReadPath:
    """A drawing's vertices with both ends, and the radius of each arc, along it."""

    path: list[tuple[float, float, float]]
    radii: list[float]


def plan_dxf(plan: WrittenPlan) -> bytes:
    """A plan as a DXF (R2010): layer ``CENTRELINE_3D`` with the vertices, as a 3D polyline that
    imports again; ``ELEVATION`` (ahead and left) and ``PLAN`` (ahead and out) with round corners,
    beside each other; ``SITE`` with what was met.

    Returns:
        A DXF file.
    """
    document = new("R2010")
    document.header["$INSUNITS"] = _UNITS[plan.units]
    model = document.modelspace()
    for layer in ("CENTRELINE_3D", "ELEVATION", "PLAN", "SITE"):
        document.layers.add(layer)
    model.add_polyline3d(plan.path, dxfattribs={"layer": "CENTRELINE_3D"})
    pieces = centreline(plan.path, plan.arcs, _ARC_STEPS)
    arcs = (piece for bend, piece in pieces if bend is not None)
    rounded = [plan.path[0], *(point for arc in arcs for point in arc), plan.path[-1]]
    below = (
        -2 * max((abs(point[1]) for point in plan.path), default=0.0) - 10 * plan.conduit.diameter
    )
    elevation = [(x, y) for x, y, _ in rounded]
    above = [(x, below + z) for x, _, z in rounded]
    model.add_lwpolyline(elevation, dxfattribs={"layer": "ELEVATION"})
    model.add_lwpolyline(above, dxfattribs={"layer": "PLAN"})
    for thing in plan.things:
        if thing.kind in ("ledge", "round"):
            near, far = thing.at, along(thing.at, thing.ahead, thing.along)
            corners = (near, far, along(far, thing.toward, -thing.height))
            outline = [*corners, along(near, thing.toward, -thing.height), near]
            model.add_polyline3d(outline, dxfattribs={"layer": "SITE"})
    return drawing_bytes(document)


def drawing_bytes(document: Drawing) -> bytes:
    """A DXF drawing as a file.

    Returns:
        UTF-8.
    """
    stream = io.StringIO()
    document.write(stream)
    return stream.getvalue().encode()


def read_path(text: str, units: Unit | None, into: Unit) -> ReadPath:
    """The one line of a DXF as centreline vertices: lines, arcs and polylines that join, also in
    blocks; an arc between two straights is one bend.

    Args:
        text: a DXF file's.
        units: what the file is drawn in where it does not say.
        into: the unit of the vertices.

    Raises:
        DocumentError: not a DXF, no line, several, an arc that is no bend, too many points, units
        that are not told, numbers that are none.
    """
    document = read_drawing(text)
    lines = drawn(document.modelspace())
    named = [line for line in lines if line.dxf.layer == "CENTRELINE_3D"]
    result = named or lines
    if not result:
        raise DocumentError("dxf", "a drawing with a polyline in its model space")
    pieces = [pieces_of(line) for line in result]
    if any(not math.isfinite(n) for group in pieces for piece in group for n in piece.end):
        raise DocumentError("dxf", "coordinates that are numbers")
    chains = joined(pieces)
    if len(chains) != 1:
        raise DocumentError(
            "dxf",
            "one polyline, or one on a layer CENTRELINE_3D; there are "
            f"{len(chains)} lines that do not join",
        )
    path = path_of(chains[0])
    if not 2 <= len(path.vertices) <= MOST_POINTS:
        many = len(path.vertices)
        raise DocumentError("dxf", f"a polyline of 2 to {MOST_POINTS} points; this has {many}")
    scale = _scale(document.header.get("$INSUNITS", 0), units, into)
    vertices = [
        (round(x * scale, 6), round(y * scale, 6), round(z * scale, 6)) for x, y, z in path.vertices
    ]
    if any(abs(value) > _FARTHEST for point in vertices for value in point):
        raise DocumentError("dxf", f"places up to {_FARTHEST:,} {into} away")
    return ReadPath(vertices, [round(radius * scale, 6) for radius in path.radii])


def read_drawing(text: str) -> Drawing:
    """A DXF drawing.

    Args:
        text: a DXF file's.

    Raises:
        DocumentError, where it is none, or has numbers that are none.
    """
    if _NO_NUMBER.search(text):
        raise DocumentError("dxf", "coordinates that are numbers")
    try:
        return read(io.StringIO(text))
    except (DXFError, ArithmeticError, ValueError, LookupError, AttributeError, TypeError):
        raise DocumentError("dxf", "a DXF drawing as text") from None


def _scale(named: int, units: Unit | None, into: Unit) -> float:
    known = SCALES.get(named)
    if known is None:
        if units is None:
            raise DocumentError("units", "in or mm: the file does not say what it is drawn in")
        known = (units, 1.0)
    unit, times = known
    return convert_length(times, unit, into)
