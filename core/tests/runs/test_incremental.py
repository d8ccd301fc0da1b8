"""A plan after a key is the plan from nothing: what is kept meanwhile changes no answer."""

from __future__ import annotations

import os
import random
import sys
import unittest
from collections.abc import Iterator
from typing import Any

import yarrow
from benchmarks.runs import TWELVE

EDITS = int(os.environ.get("YARROW_EDITS", "120"))

LENGTHS = ("at", "rise", "across", "width", "height", "depth", "knockout")


def kept() -> Iterator[Any]:
    """What keeps answers from one call to the next, up to a number: tables that are read once are
    not among it."""
    for name, module in list(sys.modules.items()):
        if name.startswith("yarrow."):
            for thing in vars(module).values():
                parameters = getattr(thing, "cache_parameters", None)
                if parameters and parameters()["maxsize"] is not None:
                    yield thing


def from_nothing(document: dict[str, Any]) -> dict[str, Any]:
    """The plan of a core that has planned nothing yet."""
    for cache in kept():
        cache.cache_clear()
    return yarrow.plan(document)


def another_length(chance: random.Random, line: dict[str, Any]) -> dict[str, Any]:
    """A line with one of its lengths typed anew: near what it was, now and then out of reason."""
    field = chance.choice([field for field in LENGTHS if field in line])
    whole = int(line[field].partition(" ")[0])
    by = chance.choice([-1, 0, 0, 0, 1]) if chance.random() < 0.95 else chance.randint(10, 90)
    return {**line, field: f"{max(whole + by, 1)} {chance.randint(1, 7)}/8"}


def edited(chance: random.Random, document: dict[str, Any]) -> dict[str, Any]:
    """A document after one more change of somebody who works at it."""
    walk = document["walk"]
    settings = chance.random()
    if settings < 0.05:
        return {**document, "method": chance.choice(["exact", "table"])}
    if settings < 0.08:
        return {**document, "round_to": chance.choice(["1/8", "1/16", "1/32"])}
    if settings < 0.2:
        return TWELVE  # taken back
    at = chance.randrange(1, len(walk) - 1)
    typed = [another_length(chance, walk[at])]
    instead = chance.choice([*[typed] * 20, [walk[at], walk[at]], []])
    return {
        **document,
        "walk": [*walk[:at], *instead, *walk[at + 1 :]],
    }


class Incremental(unittest.TestCase):
    def test_after_a_key_the_plan_is_that_from_nothing(self) -> None:
        chance = random.Random(31)
        documents = [TWELVE]
        while len(documents) < EDITS:
            documents.append(edited(chance, documents[-1]))
        after_a_key = [yarrow.plan(document) for document in documents]
        self.assertTrue(any(cache.cache_info().hits for cache in kept()))
        made = 0
        for number, (document, plan) in enumerate(zip(documents, after_a_key, strict=True)):
            with self.subTest(number):
                self.assertEqual(plan, from_nothing(document))
            made += bool(plan["marks"])
        self.assertGreater(made, EDITS // 10)


if __name__ == "__main__":
    unittest.main()
