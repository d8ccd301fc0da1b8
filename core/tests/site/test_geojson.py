"""GeoJSON of other programs: what is no place is refused where it stands, whatever it is."""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from yarrow import DocumentError


def collection(*geometries: dict[str, Any], **more: Any) -> dict[str, Any]:
    features = [
        {"type": "Feature", "properties": {"name": f"F{number}"}, "geometry": geometry}
        for number, geometry in enumerate(geometries)
    ]
    return {"type": "FeatureCollection", "features": features, **more}


def point(*coordinates: Any) -> dict[str, Any]:
    return {"type": "Point", "coordinates": list(coordinates)}


def line(*points: Any) -> dict[str, Any]:
    return {"type": "LineString", "coordinates": list(points)}


class GeoJson(unittest.TestCase):
    def test_points_are_hand_holes_and_lines_are_trenches(self) -> None:
        site = yarrow.site_from_geojson(collection(point(0, 0), line([0, 0], [250.5, 40])))
        self.assertEqual(site["places"], [{"name": "F0", "kind": "hand-hole", "at": [0, 0]}])
        self.assertEqual(site["trenches"], [{"name": "F1", "line": [[0, 0], [250.5, 40]]}])

    def test_what_is_no_place_is_refused_at_its_field(self) -> None:
        for geometry, path in (
            (point(), "places[0].at"),
            (point(1), "places[0].at"),
            (point("a", "b"), "places[0].at[0]"),
            (point(10**400, 2), "places[0].at[0]"),
            (line([1], [2]), "trenches[0].line[0]"),
            (line([]), "trenches[0].line"),
            (line("ab", 3), "trenches[0].line[0]"),
            ({"type": "Point"}, "places[0].at"),
        ):
            with (
                self.subTest(geometry=str(geometry)[:60]),
                self.assertRaises(DocumentError) as said,
            ):
                yarrow.site_from_geojson(collection(geometry))
            self.assertTrue(said.exception.path.startswith(path), said.exception.path)

    def test_degrees_are_refused_unless_they_are_said_to_be_metres(self) -> None:
        small = (point(1.25, 51.5), line([1.25, 51.5], [1.5, 51.75]))
        with self.assertRaises(DocumentError) as said:
            yarrow.site_from_geojson(collection(*small))
        self.assertEqual(said.exception.path, "features")
        site = yarrow.site_from_geojson(collection(*small, coordinates="metres"))
        self.assertEqual(site["places"][0]["at"], [1.25, 51.5])
        # Whole metres are no degrees, and one place beyond them tells of all.
        for metres in ((point(3, 51),), (point(1.25, 51.5), point(181.5, 2.5))):
            self.assertTrue(yarrow.site_from_geojson(collection(*metres))["places"])

    def test_what_is_no_collection_is_refused(self) -> None:
        for wrong in ({}, {"type": "Feature"}, {**collection(), "features": {}}):
            with self.assertRaises(DocumentError):
                yarrow.site_from_geojson(wrong)


if __name__ == "__main__":
    unittest.main()
