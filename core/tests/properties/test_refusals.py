"""No document of random junk gets anything but a clear refusal, and none gets a traceback."""

from __future__ import annotations

import copy
import random
import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

import yarrow
from core.tests.builders import end, offset, run, turn
from core.tests.properties.strategies import json_junk
from yarrow.documents.bends.reading import fold_document
from yarrow.documents.errors import DocumentError
from yarrow.runs.model.plan import WrittenPlan

GOOD = run(offset("33", "4 3/8"), turn("71 5/8"), end("34 1/8"), start={"kind": "hub"})


def answer(document: object) -> WrittenPlan | DocumentError:
    try:
        return yarrow.plan.values(document)
    except DocumentError as refusal:
        return refusal


class Junk(unittest.TestCase):
    @given(json_junk)
    def test_junk_is_refused_with_a_path(self, junk: object) -> None:
        refusal = answer(junk)
        self.assertIsInstance(refusal, DocumentError)
        self.assertNotIn("\n", str(refusal))
        with self.assertRaises(DocumentError):
            fold_document(junk)

    @given(st.integers(0, 2**32), json_junk)
    def test_a_good_run_with_one_value_spoilt_is_planned_or_refused(
        self, seed: int, junk: object
    ) -> None:
        document = copy.deepcopy(GOOD)
        _spoil(document, random.Random(seed), junk)
        got = answer(document)
        self.assertIsInstance(got, WrittenPlan | DocumentError)

    @given(
        st.lists(
            st.tuples(
                st.sampled_from(["offset", "turn"]),
                st.integers(-999_999, 999_999),
                st.integers(1, 999_999),
                st.floats(1, 120),
                st.sampled_from(["left", "right", "out", "in"]),
            ),
            max_size=6,
        ),
        st.integers(-999_999, 999_999),
    )
    def test_absurd_numbers_are_findings_and_never_an_exception(
        self, lines: list[tuple[str, int, int, float, str]], last: int
    ) -> None:
        walk = [
            offset(at, rise, angle, toward) if kind == "offset" else turn(at, toward, angle)
            for kind, at, rise, angle, toward in lines
        ]
        for method in ("exact", "table"):
            got = answer(run(*walk, end(last), method=method))
            self.assertIsInstance(got, WrittenPlan)


def _spoil(document: Any, chance: random.Random, junk: object) -> None:
    """Replace one value somewhere in a document."""
    place = document
    while True:
        keys = list(place) if isinstance(place, dict) else list(range(len(place)))
        key = chance.choice(keys)
        if isinstance(place[key], dict | list) and place[key] and chance.random() < 0.7:
            place = place[key]
            continue
        place[key] = junk
        return
