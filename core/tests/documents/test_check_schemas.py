"""The schemas of the checks: our reader and a full validator agree; answers are as described."""

from __future__ import annotations

import copy
import json
import random
import unittest
from collections.abc import Callable
from typing import Any, ClassVar

import jsonschema
from hypothesis import given, settings
from hypothesis import strategies as st

import yarrow
from core.tests.builders import end, run, turn
from core.tests.fill.test_absurd_checks import BOX, FILL, HOLES, METRIC, PULL_BOX
from core.tests.properties.strategies import json_junk
from yarrow.documents.boxes.reading import box_document, entries_document, pull_box_document
from yarrow.documents.boxes.sitebox import site_box_document
from yarrow.documents.errors import DocumentError
from yarrow.documents.fill.reading import fill_document
from yarrow.documents.schema import schema
from yarrow.documents.writing import plain

SITE_BOX: dict[str, Any] = {
    "format": "yarrow.sitebox/1",
    "name": "Junction",
    "units": "in",
    "contents": {"box": "square-4-1-1/2", "devices": [{"size": "12", "count": 1}]},
    "through": [{"size": "12", "count": 1}],
    "sides": {"width": 4, "height": 4, "depth": 2},
    "entries": [{"run": "A", "end": "start", "wall": "left"}],
}
FULL_BOX = {
    **BOX,
    "rings": [6.5],
    "conductors": [{"size": "12", "ends": 4}],
    "grounds": {"size": "12", "count": 2},
    "devices": [{"size": "12", "count": 1}],
    "terminals": [{"size": "10", "count": 1}],
}
CIRCUITS = {
    **FILL,
    "circuits": [{"kind": "lighting", "count": 2, "insulation": "thhn", "size": "12"}],
    "spare": 10,
}


def meets(document: object) -> object:
    return site_box_document(document, [])


Read = Callable[[object], object]
GOOD: dict[str, tuple[Read, str, list[dict[str, Any]]]] = {
    "fill": (fill_document, "run", [FILL, METRIC, CIRCUITS]),
    "box": (box_document, "box", [BOX, FULL_BOX]),
    "pullbox": (pull_box_document, "pullbox", [{**PULL_BOX, "have": {"width": 20, "height": 20}}]),
    "entries": (entries_document, "entries", [HOLES]),
    "sitebox": (meets, "sitebox", [SITE_BOX]),
}


def full(name: str) -> dict[str, Any]:
    """A check's schema on its own; a fill document's is a part of the run's."""
    of = schema(GOOD[name][1])
    return {"$ref": "#/$defs/fill_file", "$defs": of["$defs"]} if name == "fill" else of


def places(document: Any) -> list[Any]:
    """Every object and list in a document."""
    inner = document.values() if isinstance(document, dict) else document
    found = [each for each in inner if isinstance(each, dict | list) and each]
    return [document, *(place for each in found for place in places(each))]


def spoiled(documents: list[dict[str, Any]], seed: int, junk: object) -> dict[str, Any]:
    """One of the documents with junk at some place in it, or one key too many."""
    chance = random.Random(seed)
    document = copy.deepcopy(chance.choice(documents))
    place = chance.choice(places(document))
    if isinstance(place, dict):
        place[chance.choice([*place, "surplus"])] = junk
    else:
        place[chance.randrange(len(place))] = junk
    return document


class BothReaders(unittest.TestCase):
    def test_they_are_schemas_and_take_what_is_good(self) -> None:
        for name, (read, _, documents) in GOOD.items():
            jsonschema.Draft202012Validator.check_schema(full(name))
            for document in documents:
                with self.subTest(name=name):
                    jsonschema.validate(document, full(name))
                    read(document)

    @settings(max_examples=150)
    @given(st.sampled_from(sorted(GOOD)), st.integers(0, 2**32), json_junk)
    def test_what_a_full_validator_refuses_we_refuse(
        self, name: str, seed: int, junk: object
    ) -> None:
        read, _, documents = GOOD[name]
        document = spoiled(documents, seed, junk)
        if not jsonschema.Draft202012Validator(full(name)).is_valid(document):
            with self.assertRaises(DocumentError):
                read(document)

    @settings(max_examples=150)
    @given(st.sampled_from(sorted(GOOD)), st.integers(0, 2**32), json_junk)
    def test_whatever_stands_there_it_is_an_answer_or_a_refusal(
        self, name: str, seed: int, junk: object
    ) -> None:
        read, _, documents = GOOD[name]
        document = spoiled(documents, seed, junk)
        try:
            answer = read(document)
        except DocumentError as refusal:
            self.assertTrue(refusal.path)
            self.assertTrue(refusal.expected)
        else:
            json.dumps(plain(answer), allow_nan=False)

    def test_a_document_that_is_no_object(self) -> None:
        for name, (read, _, _) in GOOD.items():
            for document in (None, [], "text", 3):
                with self.subTest(name=name, document=document), self.assertRaises(DocumentError):
                    read(document)


class Plans(unittest.TestCase):
    WIRES: ClassVar[dict[str, Any]] = {
        "circuits": [{"kind": "three_phase", "insulation": "thhn", "size": "8"}],
        "conductors": [{"count": 1, "diameter": "0.3"}],
        "typed": "2 x 12",
        "spare": 20,
        "pull": {"state": "dry", "up": "left"},
    }

    def test_a_plan_with_wires_is_what_its_schema_says(self) -> None:
        for wires in (self.WIRES, {}, {"conductors": [], "most_degrees": 270}):
            document = run(turn(40), end(60), wires=wires)
            jsonschema.validate(document, schema("run"))
            plan = yarrow.plan(document)
            jsonschema.validate(plan, schema("plan"))
            self.assertIsNotNone(plan["wires"])

    def test_a_run_that_no_pipe_comes_of_has_no_wires_to_check(self) -> None:
        nothing = run(end(60), path=None)
        nothing.pop("walk")
        nothing["path"] = [[0, 0, 0], [10, 0, 0], [0, 0, 0]]
        nothing["wires"] = {"typed": "3 x 12"}
        self.assertIsNone(yarrow.plan.values(nothing).wires)
