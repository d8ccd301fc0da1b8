"""``yarrow.site/1`` as GeoJSON in local metres, and out of it again without loss."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from typing import Any

from yarrow.documents.errors import DocumentError
from yarrow.documents.site.reading import read_site

_DRAWN = {"place": ("places", "at"), "trench": ("trenches", "line")}
"""What a feature is of: its list in the document, and the field that its geometry is."""

_GEOMETRY = {"place": "Point", "trench": "LineString"}

_LONGITUDE, _LATITUDE = 180.0, 90.0


def geojson_of(document: Mapping[str, Any]) -> dict[str, Any]:
    """A site as GeoJSON: a point for each place, a line for each trench, all else beside them.

    Args:
        document: ``yarrow.site/1``.

    Returns:
        A FeatureCollection, in metres.

    Raises:
        DocumentError.
    """
    read_site(document)
    features = [
        {
            "type": "Feature",
            "geometry": {"type": _GEOMETRY[kind], "coordinates": drawn[field]},
            "properties": {
                "drawn": kind,
                **{key: value for key, value in drawn.items() if key != field},
            },
        }
        for kind, (room, field) in _DRAWN.items()
        for drawn in document[room]
    ]
    rooms = [room for room, _ in _DRAWN.values()]
    properties = {key: value for key, value in document.items() if key not in rooms}
    return {
        "type": "FeatureCollection",
        "coordinates": "metres",
        "site": properties,
        "features": features,
    }


def site_of_geojson(collection: object) -> dict[str, Any]:
    """A site's document out of GeoJSON.

    Args:
        collection: a FeatureCollection, in metres east and north of a corner of its own.

    Returns:
        ``yarrow.site/1``.

    Raises:
        DocumentError, where it can't be read, or is in degrees of longitude and latitude.
    """
    if not isinstance(collection, dict) or collection.get("type") != "FeatureCollection":
        raise DocumentError("type", "FeatureCollection")
    features = collection.get("features")
    if not isinstance(features, list):
        raise DocumentError("features", "a list of features")
    properties = collection.get("site", {})
    if not isinstance(properties, dict):
        raise DocumentError("site", "what is told of the site beside its features")
    document: dict[str, Any] = {"format": "yarrow.site/1", "units": "mm", **properties}
    document |= {room: [] for room, _ in _DRAWN.values()}
    for number, feature in enumerate(features):
        kind, drawn = _read_feature(feature, f"features[{number}]")
        document[_DRAWN[kind][0]].append(drawn)
    if collection.get("coordinates") != "metres" and _looks_like_degrees(document):
        expected = 'coordinates in metres: these are degrees, or say "coordinates": "metres"'
        raise DocumentError("features", expected)
    read_site(document)
    return document


def _read_feature(feature: object, path: str) -> tuple[str, dict[str, Any]]:
    """Which kind of thing a feature is, and that thing. One of another program is told by its
    geometry."""
    geometry = feature.get("geometry") if isinstance(feature, dict) else None
    if not isinstance(feature, dict) or not isinstance(geometry, dict):
        raise DocumentError(path, "a feature with a geometry")
    kinds = {shape: kind for kind, shape in _GEOMETRY.items()}
    kind = kinds.get(str(geometry.get("type")))
    if kind is None:
        raise DocumentError(f"{path}.geometry.type", " or ".join(kinds))
    properties = feature.get("properties") or {}
    if not isinstance(properties, dict):
        raise DocumentError(f"{path}.properties", "an object")
    _, field = _DRAWN[kind]
    drawn = {key: value for key, value in properties.items() if key != "drawn"}
    if "drawn" not in properties:
        name = str(properties.get("name") or f"{kind} {path[9:-1]}")
        drawn = {"name": name} if kind == "trench" else {"name": name, "kind": "hand-hole"}
    return kind, {**drawn, field: geometry.get("coordinates")}


def _looks_like_degrees(document: Mapping[str, Any]) -> bool:
    points = list(_all_points(document))
    return bool(points) and all(
        abs(x) <= _LONGITUDE and abs(y) <= _LATITUDE and not (x == int(x) and y == int(y))
        for x, y in points
    )


def _all_points(document: Mapping[str, Any]) -> Iterator[tuple[float, float]]:
    for kind, (room, field) in _DRAWN.items():
        for drawn in document[room]:
            points = drawn[field] if kind == "trench" else [drawn[field]]
            for point in points if isinstance(points, list) else ():
                if isinstance(point, list) and len(point) > 1 and _are_numbers(point):
                    yield point[0], point[1]


def _are_numbers(point: list[Any]) -> bool:
    return all(isinstance(coordinate, int | float) for coordinate in point)
