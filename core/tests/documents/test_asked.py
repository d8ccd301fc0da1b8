"""What is asked at an address: as the verb answers, and what can't be read is a problem."""

from __future__ import annotations

import json
import unittest
from pathlib import Path
from typing import Any

import yarrow

PRESS_HALL: dict[str, Any] = json.loads(
    (Path(__file__).parents[1] / "press-hall.run.json").read_text()
)

OUT = {"format": "yarrow.bench/1", "units": "in"}


def asked(address: str, sent: Any = None, **options: str) -> tuple[int, Any]:
    told = yarrow.asked_at(address, "" if sent is None else json.dumps(sent), options)
    return told.status, json.loads(told.text)


class AskedAtAnAddress(unittest.TestCase):
    def test_every_verb_that_everyone_asks_has_one(self) -> None:
        for verb in yarrow.VERBS.values():
            if verb.asked_by_everyone and not verb.beside:
                self.assertIn(verb.name.replace("_", "-"), yarrow.ADDRESSES)

    def test_a_verb_answers_in_the_language_that_is_asked_for(self) -> None:
        for language in yarrow.LANGUAGES:
            wanted = json.loads(json.dumps(yarrow.plan(PRESS_HALL, language=language)))
            self.assertEqual(asked("plan", PRESS_HALL, language=language), (200, wanted))

    def test_an_option_is_told_by_its_name(self) -> None:
        status, answer = asked("handle", PRESS_HALL, piece="1")
        self.assertEqual(status, 200)
        self.assertEqual(answer, json.loads(json.dumps(yarrow.handle(PRESS_HALL, piece=1))))

    def test_a_bench_takes_what_came_out_beside_the_run(self) -> None:
        for address, verb in (("bench", yarrow.bench), ("bench/fit", yarrow.bench_fit)):
            status, answer = asked(address, {"document": PRESS_HALL, "came_out": OUT})
            self.assertEqual((status, answer), (200, json.loads(json.dumps(verb(PRESS_HALL, OUT)))))

    def test_what_is_typed_is_read(self) -> None:
        _, line = asked("line", {"text": "offset 4 3/8 at 33", "units": "in"})
        self.assertEqual((line["line"]["kind"], line["line"]["rise"]), ("offset", "4 3/8"))
        _, wires = asked("wires", {"text": "3 x 12 thhn", "units": "in"})
        self.assertEqual(wires["conductors"][0]["count"], 3)
        said = {"format": "yarrow.quick/1", "units": "in", "said": "stub 18 3/8"}
        emt = {"conduit": {"type": "emt", "size": "1/2"}, "bender": "hand-emt-1/2"}
        _, quick = asked("quick", said | emt)
        self.assertIn("run", quick)
        _, other = asked("convert", {"document": PRESS_HALL, "to": "mm"})
        self.assertEqual(other["units"], "mm")
        first, *rest = PRESS_HALL["walk"]
        half = {**PRESS_HALL, "walk": [{**first, "at": "33 and"}, *rest]}
        _, other = asked("convert", {"document": half, "to": "mm"})
        self.assertEqual(other["walk"][0]["at"], "33 and")
        self.assertIn("conduit", asked("catalogue")[1])

    def test_what_cant_be_read_is_told_with_its_place(self) -> None:
        for address, sent, options, path in (
            ("plan", {"format": "yarrow.run/1"}, {}, "units"),
            ("plan", [], {}, "document"),
            ("plan", PRESS_HALL, {"language": "xx"}, "language"),
            ("handle", PRESS_HALL, {"piece": "two"}, "piece"),
            ("bench", {"document": PRESS_HALL, "came_out": {}, "piece": "1"}, {}, "piece"),
            ("bench", {"document": PRESS_HALL}, {}, "document"),
            ("bench", {"document": PRESS_HALL, "came_out": OUT, "piece": 9}, {}, "piece"),
            ("line", {"text": 3, "units": "in"}, {}, "text"),
            ("line", {"text": "stub", "units": "ft"}, {}, "units"),
            ("convert", {"document": PRESS_HALL, "to": None}, {}, "to"),
            ("recalibrated", {"document": PRESS_HALL}, {}, "document"),
        ):
            with self.subTest(address=address, path=path):
                status, problem = asked(address, sent, **options)
                self.assertEqual((status, problem["code"]), (422, "unreadable"))
                self.assertEqual([one["path"] for one in problem["errors"]], [path])

    def test_what_is_no_json_is_told_too(self) -> None:
        self.assertEqual(yarrow.asked_at("plan", "{", {}).status, 422)
