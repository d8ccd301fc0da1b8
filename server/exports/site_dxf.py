"""Ducts between buildings as DXF in metres, and out of it again: what is drawn by its geometry,
what else was said of it beside it; the lines of any other drawing as trenches."""

from __future__ import annotations

import json
from collections.abc import Iterator
from typing import Any

from ezdxf.entities.dxfentity import DXFEntity
from ezdxf.filemanagement import new

import yarrow
from exports.dxf import SCALES, drawing_bytes, read_drawing
from exports.dxf_path import drawn, joined, path_of, pieces_of
from yarrow import DocumentError, SitePlan, convert_length

_APP = "YARROW"
_METRES = 6
"""What $INSUNITS calls metres."""

_CHUNK = 240
_TEXT = 1000
"""Of extended data: a text, and how much of one."""

_MOST_LINES = 500
_NAME_M = 2.0


def site_dxf(document: dict[str, Any], plan: SitePlan) -> bytes:
    """A site as a DXF (R2010): ``PLACES`` and ``TRENCHES``, which come in again as they were;
    ``OUTLINES``, ``DUCTS`` and ``NAMES`` for who looks at it.

    Args:
        document: ``yarrow.site/1``.

    Returns:
        A DXF file.
    """
    drawing = new("R2010")
    drawing.header["$INSUNITS"] = _METRES
    drawing.appids.add(_APP)
    for layer in ("PLACES", "OUTLINES", "TRENCHES", "DUCTS", "NAMES"):
        drawing.layers.add(layer)
    model = drawing.modelspace()
    collection = yarrow.site_to_geojson(document)
    site = model.add_point((0, 0), dxfattribs={"layer": "0"})
    _lay_beside(site, {"site": collection["site"]})
    for feature in collection["features"]:
        points, properties = feature["geometry"]["coordinates"], feature["properties"]
        if properties["drawn"] == "place":
            entity: DXFEntity = model.add_point(points, dxfattribs={"layer": "PLACES"})
        else:
            entity = model.add_lwpolyline(points, dxfattribs={"layer": "TRENCHES"})
        _lay_beside(entity, properties)
    for place in document["places"]:
        if len(place.get("outline", ())) > 2:
            model.add_lwpolyline(place["outline"], close=True, dxfattribs={"layer": "OUTLINES"})
    for stretch in plan.stretches:
        model.add_lwpolyline(stretch.line, dxfattribs={"layer": "DUCTS"})
    for stop in plan.stops:
        attributes = {"layer": "NAMES", "height": _NAME_M, "insert": stop.at}
        model.add_text(stop.name, dxfattribs=attributes)
    return drawing_bytes(drawing)


def read_site_dxf(text: str) -> dict[str, Any]:
    """A site's document out of a DXF: what Yarrow wrote, as it was; else each line as a trench.

    Args:
        text: a DXF file's.

    Returns:
        ``yarrow.site/1``.

    Raises:
        DocumentError, where it can't be read, has no line, or does not say its unit.
    """
    drawing = read_drawing(text)
    drawn_in = SCALES.get(drawing.header.get("$INSUNITS", 0))
    if drawn_in is None:
        raise DocumentError("units", "a drawing that says what it is drawn in ($INSUNITS)")
    unit, times = drawn_in
    scale = convert_length(times, unit, "mm") / 1000
    model = drawing.modelspace()
    result = [(entity, beside) for entity in model if (beside := _data_beside(entity)) is not None]
    if result:
        features = [_feature(entity, beside) for entity, beside in result if "site" not in beside]
        sites = [beside["site"] for _, beside in result if "site" in beside]
        site = sites[0] if sites else {}
    else:
        features, site = list(_trenches(drawn(model), scale)), {"name": "From a drawing"}
    return yarrow.site_from_geojson(
        {"type": "FeatureCollection", "coordinates": "metres", "site": site, "features": features}
    )


def _feature(entity: DXFEntity, beside: dict[str, Any]) -> dict[str, Any]:
    """Where a thing lies is what is drawn: somebody may have moved it."""
    if entity.dxftype() == "POINT":
        x, y, _ = entity.dxf.location
        geometry: dict[str, Any] = {"type": "Point", "coordinates": [_plain(x), _plain(y)]}
    elif entity.dxftype() == "LWPOLYLINE":
        line = [[_plain(x), _plain(y)] for x, y in entity.get_points("xy")]  # type: ignore[attr-defined]
        geometry = {"type": "LineString", "coordinates": line}
    else:
        raise DocumentError("dxf", "places as points and trenches as polylines")
    return {"type": "Feature", "geometry": geometry, "properties": beside}


def _plain(value: float) -> float:
    """A number as a document has it: without what a drawing's own arithmetic adds."""
    rounded = round(value, 6)
    return int(rounded) if rounded == int(rounded) else rounded


def _trenches(lines: list[Any], scale: float) -> Iterator[dict[str, Any]]:
    chains = joined([pieces_of(line) for line in lines])
    if not chains:
        raise DocumentError("dxf", "a drawing with lines in its model space")
    if len(chains) > _MOST_LINES:
        raise DocumentError("dxf", f"at most {_MOST_LINES} lines; there are {len(chains)}")
    for number, chain in enumerate(chains, 1):
        points = [[_plain(x * scale), _plain(y * scale)] for x, y, _ in path_of(chain).vertices]
        yield {
            "type": "Feature",
            "geometry": {"type": "LineString", "coordinates": points},
            "properties": {"name": f"T{number}"},
        }


def _lay_beside(entity: DXFEntity, properties: dict[str, Any]) -> None:
    """Lays what is told beside what is drawn."""
    text = json.dumps(properties)
    chunks = [text[at : at + _CHUNK] for at in range(0, len(text), _CHUNK)]
    entity.set_xdata(_APP, [(_TEXT, chunk) for chunk in chunks])


def _data_beside(entity: DXFEntity) -> dict[str, Any] | None:
    if not entity.has_xdata(_APP):
        return None
    chunks = [tag.value for tag in entity.get_xdata(_APP) if tag.code == _TEXT]
    try:
        result = json.loads("".join(chunks))
    except ValueError:
        raise DocumentError("dxf", "what Yarrow said beside its lines, as it was") from None
    return result if isinstance(result, dict) else None
