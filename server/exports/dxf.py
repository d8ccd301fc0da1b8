"""DXF, both ways: a plan as elevation, plan and 3D centreline; a 3D polyline as a run's path."""

from __future__ import annotations

import io
from typing import Any

import ezdxf
from ezdxf.document import Drawing
from ezdxf.entities import DXFEntity

from exports.layout import centreline
from yarrow.documents.refusal import Refusal
from yarrow.geometry.vectors import along
from yarrow.measure.units import Unit, convert_length
from yarrow.runs.plan import Plan

MOST_POINTS = 2000
_UNITS: dict[Unit, int] = {"in": 1, "mm": 4}
_SCALES: dict[int, tuple[Unit, float]] = {
    1: ("in", 1.0),
    2: ("in", 12.0),
    4: ("mm", 1.0),
    5: ("mm", 10.0),
    6: ("mm", 1000.0),
}
"""What $INSUNITS names: inches, feet, millimetres, centimetres, metres."""

_ARC_POINTS = 13
_LINES = {"POLYLINE", "LWPOLYLINE", "LINE"}


def plan_dxf(plan: Plan) -> bytes:
    """A plan as a DXF (R2010): layer ``CENTRELINE_3D`` with the vertices, as a 3D polyline that
    imports again; ``ELEVATION`` (ahead and left) and ``PLAN`` (ahead and out) with round corners,
    beside each other; ``SITE`` with what was met.
    """
    document = ezdxf.new("R2010")
    document.header["$INSUNITS"] = _UNITS[plan.units]
    model = document.modelspace()
    for layer in ("CENTRELINE_3D", "ELEVATION", "PLAN", "SITE"):
        document.layers.add(layer)
    model.add_polyline3d(plan.path, dxfattribs={"layer": "CENTRELINE_3D"})
    arcs = (piece for bend, piece in centreline(plan, _ARC_POINTS) if bend is not None)
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
    stream = io.StringIO()
    document.write(stream)
    return stream.getvalue().encode()


def read_path(text: str, units: Unit | None, into: Unit) -> list[list[float]]:
    """The one polyline of a DXF as centreline vertices.

    Args: units, what the file is drawn in where it does not say; into, the unit of the vertices.
    Raises: Refusal: not a DXF, no polyline, several, too many points, units that are not told.
    """
    document = _document(text)
    lines = [entity for entity in document.modelspace() if entity.dxftype() in _LINES]
    named = [line for line in lines if line.dxf.layer == "CENTRELINE_3D"]
    found = named or lines
    if not found:
        raise Refusal("dxf", "a drawing with a polyline in its model space")
    if len(found) > 1:
        raise Refusal(
            "dxf", f"one polyline, or one on a layer CENTRELINE_3D; there are {len(found)} lines"
        )
    points = _points(found[0])
    if not 2 <= len(points) <= MOST_POINTS:
        raise Refusal("dxf", f"a polyline of 2 to {MOST_POINTS} points; this has {len(points)}")
    scale = _scale(document.header.get("$INSUNITS", 0), units, into)
    return [[round(value * scale, 6) for value in point] for point in points]


def _document(text: str) -> Drawing:
    try:
        return ezdxf.read(io.StringIO(text))
    except (ezdxf.DXFError, ValueError, KeyError, IndexError, AttributeError, TypeError):
        raise Refusal("dxf", "a DXF drawing as text") from None


def _points(entity: DXFEntity) -> list[tuple[float, float, float]]:
    kind = entity.dxftype()
    line: Any = entity
    if kind == "LINE":
        points = [line.dxf.start, line.dxf.end]
    elif kind == "POLYLINE":
        points = [vertex.dxf.location for vertex in line.vertices]
    else:
        points = list(line.vertices_in_wcs())
    return [(float(point[0]), float(point[1]), float(point[2])) for point in points]


def _scale(named: int, units: Unit | None, into: Unit) -> float:
    known = _SCALES.get(named)
    if known is None:
        if units is None:
            raise Refusal("units", "in or mm: the file does not say what it is drawn in")
        known = (units, 1.0)
    unit, times = known
    return convert_length(times, unit, into)
