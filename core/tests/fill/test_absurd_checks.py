"""Absurd checks get a clear word that names the field, for little work."""

from __future__ import annotations

import unittest
from collections.abc import Callable
from typing import Any

from core.tests.fill.helpers import cable, core, wire
from core.tests.work import counted
from yarrow.documents.boxes.reading import box_document, entries_document, pull_box_document
from yarrow.documents.errors import DocumentError
from yarrow.documents.fill.reading import fill_document

FILL: dict[str, Any] = {
    "format": "yarrow.fill/1",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "conductors": [wire(3, "12")],
}
NO_SIZE = {"count": 1, "insulation": "thhn"}
METRIC = {
    **FILL,
    "units": "mm",
    "conduit": {"type": "steel", "size": "20"},
    "length": 3000,
    "conductors": [core(3, 2.5)],
}
BOX: dict[str, Any] = {"format": "yarrow.box/1", "box": "square-4-1-1/2"}
ENTRY = {"id": "A", "wall": "left", "size": "3"}
ON_TOP = {**ENTRY, "wall": "top"}
PULL_BOX: dict[str, Any] = {"format": "yarrow.pullbox/1", "units": "in", "entries": [ENTRY]}
HOLE = {"id": "A", "wall": "left", "at": 2, "deep": 1, "size": "1/2"}
HOLES: dict[str, Any] = {
    "format": "yarrow.entries/1",
    "units": "in",
    "box": {"width": 4, "height": 4, "depth": 2},
    "entries": [HOLE],
}

Case = tuple[str, str, dict[str, Any]]

REFUSED: dict[Callable[[object], object], list[Case]] = {
    fill_document: [
        ("conductors[0].size", "14, 12, 10", {**FILL, "conductors": [wire(1, "13")]}),
        ("conductors[0].insulation", "thhn", {**FILL, "conductors": [wire(1, "12", "wool")]}),
        ("conductors[0].count", "1 to 10000", {**FILL, "conductors": [wire(0, "12")]}),
        ("conductors[0].count", "1 to 10000", {**FILL, "conductors": [wire(1_000_000, "12")]}),
        ("conductors[0].count", "whole number", {**FILL, "conductors": [wire(-3, "12")]}),
        ("conductors", "at most 20000", {**FILL, "conductors": [wire(9999, "12")] * 3}),
        ("conductors[0].diameter", "above 0", {**FILL, "conductors": [cable(1, -1)]}),
        ("conductors[0].diameter", "a length", {**FILL, "conductors": [cable(1, "thick")]}),
        ("conductors[0]", "one of: insulation", {**FILL, "conductors": [{"count": 1}]}),
        ("conductors[0]", "one of", {**FILL, "conductors": [{**wire(1, "12"), "diameter": 1}]}),
        (
            "conductors[0].size",
            "missing",
            {**FILL, "conductors": [{"count": 1, "insulation": "thhn"}]},
        ),
        ("conductors[0].height", "missing", {**FILL, "conductors": [{"count": 1, "width": 1}]}),
        ("conductors", "at least one", {**FILL, "conductors": []}),
        ("conduit.size", "1/2, 3/4", {**FILL, "conduit": {"type": "emt", "size": "5/8"}}),
        ("conduit.type", "emt, imc", {**FILL, "conduit": {"type": "hose", "size": "1"}}),
        ("conduit", "either", {**FILL, "trunking": {"width": 1, "height": 1}}),
        ("method", "area or factor", {**FILL, "method": "space"}),
        ("conduit.type", "steel", {**FILL, "method": "factor"}),
        ("length", "the run's length", {k: v for k, v in METRIC.items() if k != "length"}),
        ("length", "above 0", {**METRIC, "length": 0}),
        ("bends", "0 to 40", {**METRIC, "bends": 400}),
        ("conductors[0].csa", "1, 1.5, 2.5, 4", {**METRIC, "conductors": [core(1, 3)]}),
        ("conductors[0].csa", "factor", {**METRIC, "conductors": [cable(1, 9)]}),
        ("conductors[0].build", "solid", {**METRIC, "conductors": [core(1, 2.5, "woven")]}),
        ("spare", "0 to 90", {**FILL, "spare": 100}),
        ("units", "in, mm", {**FILL, "units": "cubits"}),
        ("", "JSON object", {}),
    ],
    box_document: [
        ("box", "octagon-4", {**BOX, "box": "shoe"}),
        ("box.volume", "0.1 to 10000", {**BOX, "box": {"volume": -3}}),
        ("rings[0]", "0.1 to 10000", {**BOX, "rings": [-6]}),
        ("conductors[0].size", "pull box", {**BOX, "conductors": [{"size": "4", "ends": 1}]}),
        ("conductors[0].ends", "0 to 1000", {**BOX, "conductors": [{"size": "12", "ends": -1}]}),
        ("gangs", "masonry", {**BOX, "gangs": 2}),
        ("gangs", "whole box", {**BOX, "box": {"volume": 20}, "gangs": 2}),
        ("box.conduit", "missing", {**BOX, "box": {"volume": 20, "inside": 1}}),
        ("grounds.count", "missing", {**BOX, "grounds": {"size": "12"}}),
    ],
    pull_box_document: [
        (
            "entries[1].id",
            "another wall",
            {**PULL_BOX, "entries": [ENTRY, {**ENTRY, "wall": "top"}]},
        ),
        ("entries[0].size", "1/2", {**PULL_BOX, "entries": [{**ENTRY, "size": "7"}]}),
        ("entries[0].wall", "left", {**PULL_BOX, "entries": [{**ENTRY, "wall": "floor"}]}),
        ("entries", "at least 1", {**PULL_BOX, "entries": []}),
        ("pulls[0][1]", "one of A", {**PULL_BOX, "pulls": [["A", "B"]]}),
        ("pulls[0][1]", "another", {**PULL_BOX, "pulls": [["A", "A"]]}),
    ],
    entries_document: [
        ("box.depth", "above 0", {**HOLES, "box": {"width": 4, "height": 4, "depth": 0}}),
        ("entries[0].at", "a length", {**HOLES, "entries": [{**HOLE, "at": "middle"}]}),
        ("entries[1].id", "another wall", {**HOLES, "entries": [HOLE, {**HOLE, "wall": "top"}]}),
        ("entries[0].size", "1/2", {**HOLES, "entries": [{**HOLE, "size": "9"}]}),
    ],
}


class Refused(unittest.TestCase):
    def test_by_the_field_and_what_was_expected(self) -> None:
        for read, cases in REFUSED.items():
            for path, expected, document in cases:
                with self.subTest(path=path, expected=expected):
                    if not path:
                        document, path = [], "document"  # type: ignore[assignment]
                    with self.assertRaises(DocumentError) as refused:
                        read(document)
                    self.assertEqual(refused.exception.path, path)
                    self.assertIn(expected, refused.exception.expected)


class Quick(unittest.TestCase):
    def test_a_check_of_200_kinds_adds_up_a_few_times_a_kind(self) -> None:
        sizes = ("14", "12", "10", "8")
        many = [wire(100, sizes[n % 4]) for n in range(200)]
        with counted() as work:
            result = fill_document({**FILL, "conductors": many})
        self.assertFalse(result.passes)
        self.assertLessEqual(work["sums"], 200 * 5)

    def test_a_hair_of_a_cable_and_one_as_thick_as_a_house(self) -> None:
        hair = fill_document({**FILL, "conductors": [cable(1, "1/100000")]})
        self.assertGreater(hair.most[0], 1_000_000)
        house = fill_document({**FILL, "conductors": [cable(1, 999_999)]})
        self.assertEqual((house.passes, house.most, house.smallest), (False, (0,), None))
