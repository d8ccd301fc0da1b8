"""Changing the unit changes no pipe: a converted document gives the same plan and answers."""

from __future__ import annotations

import unittest
from collections.abc import Iterator
from dataclasses import asdict
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

import yarrow
from core.tests.builders import block, box, box_offset, end, offset, round_thing, run, turn
from core.tests.properties.strategies import makeable_runs
from yarrow.documents.bender.reading import bender_numbers
from yarrow.documents.bends.reading import fold_document
from yarrow.documents.boxes.reading import entries_document, pull_box_document
from yarrow.documents.converting import convert_document
from yarrow.documents.errors import DocumentError
from yarrow.documents.fill.reading import fill_document
from yarrow.documents.run.reading import read_run
from yarrow.documents.run.wire_notation import read_wire_text
from yarrow.measure.tape import in_other_unit, read_length
from yarrow.measure.units import Unit, other_unit
from yarrow.racks.rack import plan_rack
from yarrow.runs.model.plan import WrittenPlan

OWN = {"kind": "hand", "radius": 4.471, "take_up": 5}
TESTED = {
    "kind": "hand",
    "tests": [{"mark": "12 1/4", "stick": 60, "stub": "17 1/4", "tail": "45 3/8"}],
}


def other(document: dict[str, Any]) -> dict[str, Any]:
    return convert_document(document, other_unit(document["units"]))


def pipe(plan: WrittenPlan) -> Iterator[float]:
    """Everything of a plan that is a place on the pipe or in space, in millimetres."""
    scale = 25.4 if plan.units == "in" else 1.0
    yield plan.cut_length * scale
    yield from (number * scale for point in plan.path for number in point)
    yield from (mark.position * scale for mark in plan.marks)
    yield from (n * scale for bend in plan.bends for n in (bend.arc_start, bend.arc_end))
    yield from (bend.angle for bend in plan.bends)


class ConvertedRuns(unittest.TestCase):
    def assert_same_pipe(self, document: dict[str, Any]) -> None:
        one, two = (yarrow.plan.values(each) for each in (document, other(document)))
        self.assertEqual([m.reference for m in one.marks], [m.reference for m in two.marks])
        self.assertEqual([m.hook for m in one.marks], [m.hook for m in two.marks])
        for before, after in zip(pipe(one), pipe(two), strict=True):
            self.assertAlmostEqual(before, after, delta=1e-9 * max(abs(before), 1.0))

    def assert_comes_back(self, document: dict[str, Any]) -> None:
        again = other(other(document))
        self.assertEqual(self.read(again), self.read(document))

    def read(self, document: dict[str, Any]) -> str:
        survey = read_run(document)
        # Worked sums are told as they were typed, in either spelling of their unit.
        return repr(survey).replace(" in ", " ")

    def test_a_set_just_as_close_to_its_box_is_hooked_toward_it_in_either_unit(self) -> None:
        # 40 mm for the hook, and half as much again: what adds up to 60 is not beyond 60.
        document = run(
            box_offset("start", "16", "left", margin="60"),
            end("1760"),
            units="mm",
            conduit={"type": "steel", "size": "20"},
            bender="bench-steel-20",
        )
        for each in (document, other(document)):
            self.assertEqual([m.hook for m in yarrow.plan.values(each).marks], ["start", "start"])

    @given(makeable_runs())
    def test_any_run_is_the_same_pipe_and_comes_back(self, document: dict[str, Any]) -> None:
        self.assert_same_pipe(document)
        self.assert_comes_back(document)

    def test_every_place_where_a_length_stands(self) -> None:
        steel = {"type": "steel", "size": "20"}
        cases = {
            "own bender": run(turn("18 3/8"), end(60), bender=OWN),
            "tested bender": run(turn("18 3/8"), end(60), bender=TESTED),
            "path": {
                **{key: value for key, value in run().items() if key != "walk"},
                "path": [[0, 0, 0], ["21 3/8", 0, 0], [40, "8 1/2", 0], [70, 8.5, "1/8"]],
            },
            "usual clearance, margin and room": run(
                box("start", "1 1/4"), round_thing("40 1/4", "1 5/8"), end(90), bender=OWN
            ),
            "within": run(offset(40, 4, within="14 1/2"), end(80)),
            "metres, feet and sums": run(
                turn("52 3/4 - 2 7/8", of="back"), end("4' 2 1/2 + 1 m"), stand_off="3/8"
            ),
            "met ends": run(
                offset(40, 4, loose=["at", "rise"]),
                end(80, loose=["at"], meet=["81 1/2", "4 1/4", 0]),
            ),
            "stance": run(turn(20), end(40), stance={"height": "1 1/2", "handle": 38}),
            "tape": run(turn(20), end(40), round_to="1/32"),
            "as far as may be bent, to a hair": run(
                block("83.6", "8.525", "6.875", "left"),
                round_thing("254.925", "2.2", "left", clearance="1/4"),
                round_thing("391.325", "2.2", "left", clearance="1/4"),
                end("496.925"), conduit={"type": "emt", "size": "1-1/4"}, bender="hand-emt-1-1/4",
            ),
            "order": run(
                offset(40, 4), turn(80), end(30),
                order=[{"bend": n, "hook": "end"} for n in (2, 0, 1)],
            ),
            "metric": run(
                turn(618), offset(900, "85"), end(1500),
                units="mm", conduit=steel, bender="bench-steel-20", round_to=1,
            ),
        }  # fmt: skip
        for name, document in cases.items():
            with self.subTest(name):
                self.assert_same_pipe(document)
                self.assert_comes_back(document)

    def test_the_mark_of_an_own_bender_stays_where_it_was(self) -> None:
        document = run(turn("18 3/8"), end(60), bender=OWN)
        mark = yarrow.plan.values(document).marks[0]
        converted = yarrow.plan.values(other(document))
        self.assertEqual(str(converted.marks[0].text), "340")  # 18 3/8 - 5, 13 3/8 in, is 339.7 mm
        self.assertAlmostEqual(converted.marks[0].position, mark.position * 25.4)

    def test_racks_and_what_was_built_of_them(self) -> None:
        document = run(
            turn("30 1/4"),
            end(60),
            rack={
                "count": 3,
                "side": "left",
                "spacing": "2 1/8",
                "pipes": [{"conduit": {"type": "emt", "size": "3/4"}, "bender": OWN}],
                "built": [{"pipe": 0, "bends": [{"bend": 0, "mark": "25 3/8", "angle": 89}]}],
            },
        )
        one, two = (plan_rack(read_run(each)) for each in (document, other(document)))
        for before, after in zip(one.pipes, two.pipes, strict=True):
            for mark, converted in zip(before.marks, after.marks, strict=True):
                self.assertAlmostEqual(mark.position * 25.4, converted.position, places=6)

    def test_wires_limits_and_wire_as_it_was_said(self) -> None:
        pull = {"mass": 0.62, "most_tension": 900, "most_side_wall": 500}
        wires = {"typed": "9 x 12, 1 x 0.43 in, 2 x 2.5 mm2", "pull": pull}
        document = run(turn(30), end(60), conduit={"type": "emt", "size": "2"}, wires=wires)
        converted = other(document)
        one, two = (yarrow.plan.values(each).wires for each in (document, converted))
        assert one is not None
        assert two is not None
        # 0.62 lb/ft is 0.92266 kg/m, 900 lbf 4003.4 N, 500 lbf/ft 7296.95 N/m: by hand.
        self.assertAlmostEqual(converted["wires"]["pull"]["mass"], 0.92266, places=5)
        self.assertAlmostEqual(converted["wires"]["pull"]["most_tension"], 4003.4, places=1)
        self.assertAlmostEqual(converted["wires"]["pull"]["most_side_wall"], 7296.95, places=1)
        self.assertAlmostEqual(one.fill.used, two.fill.used)
        easiest = [
            min(way.most_tension for way in each.pull.pull.ways)
            for each in (one, two)
            if each.pull is not None
        ]
        self.assertAlmostEqual(easiest[0] * 4.4482216, easiest[1], places=4)
        self.assertEqual(other(converted)["wires"]["pull"], pull)


class ConvertedChecks(unittest.TestCase):
    def test_fill_comes_out_the_same_in_either_unit(self) -> None:
        cables: list[dict[str, Any]] = [
            {"count": 2, "diameter": "0.43", "label": "feed"},
            {"count": 1, "width": 0.6, "height": 0.3, "label": "flat"},
        ]
        document = {
            "format": "yarrow.fill/1", "method": "area", "units": "in",
            "length": 22, "nipple": True, "conductors": cables,
            "conduit": {"type": "emt", "size": "1"},
        }  # fmt: skip
        self.assertEqual(asdict(fill_document(document)), asdict(fill_document(other(document))))

    def test_a_pull_box_its_holes_and_a_shape(self) -> None:
        entries = {
            "format": "yarrow.entries/1", "units": "in",
            "box": {"width": 8, "height": 8, "depth": 4},
            "entries": [{"id": "A", "wall": "left", "size": "1", "at": 4, "deep": "1 3/4"}],
        }  # fmt: skip
        pulls = {
            "format": "yarrow.pullbox/1", "units": "in",
            "entries": [{"id": "A", "wall": "left", "size": "3"},
                        {"id": "B", "wall": "bottom", "size": "2"}],
            "pulls": [["A", "B"]],
        }  # fmt: skip
        bends = {
            "format": "yarrow.bends/1", "units": "in", "radius": 4.471, "cut_length": 60,
            "bends": [{"arc_start": 12.31, "angle": 30, "roll": 0}],
        }  # fmt: skip
        own = {
            "format": "yarrow.bender/1", "units": "in", "round_to": "1/16",
            "conduit": {"type": "emt", "size": "1/2"}, "bender": TESTED,
        }  # fmt: skip
        for read, document, numbers in (
            (entries_document, entries, lambda a: [f.code for f in a.findings]),
            (pull_box_document, pulls, lambda a: (a.least.width, a.least.height)),
            (fold_document, bends, lambda a: a.end),
            (bender_numbers, own, lambda a: (a.radius, a.take_up)),
        ):
            with self.subTest(document["format"]):
                one, two = numbers(read(document)), numbers(read(other(document)))
                for before, after in zip(one, two, strict=True):
                    if isinstance(before, float):
                        self.assertAlmostEqual(before * 25.4, after, places=7)
                    else:
                        self.assertEqual(before, after)
                self.assertEqual(numbers(read(other(other(document)))), one)

    def test_what_can_not_be_converted_is_refused_by_its_path(self) -> None:
        cases: list[tuple[Any, str]] = [
            ([], ": expected a JSON object"),
            ({"units": "in", "format": "yarrow.box/1"}, "format"),
            ({"units": "in", "format": ["x"]}, "format"),
            ({**run(turn(20), end(40)), "units": "ft"}, "units"),
            (run(turn("x"), end(40)), "walk[0].at"),
            (run(turn(900_000), end(40)), "walk[0].at"),
        ]
        for document, path in cases:
            with self.subTest(path), self.assertRaises(DocumentError) as caught:
                convert_document(document, "mm")
            self.assertIn(path, str(caught.exception))

    def test_half_typed_what_can_be_read_is_converted_and_the_rest_stays(self) -> None:
        document = run(turn("18 3/8"), offset("", "3 1/"), end(60, meet="here"), start=None, to="?")
        converted = convert_document(document, "mm", half_typed=True)
        self.assertEqual([line["at"] for line in converted["walk"]], ["18 3/8 in", "", 1524])
        self.assertEqual(converted["walk"][1]["rise"], "3 1/")
        self.assertEqual((converted["walk"][2]["meet"], converted["to"]), ("here", "?"))


class Notation(unittest.TestCase):
    def test_what_was_read_off_a_tape_stays_what_was_read(self) -> None:
        cases = {
            "18 3/8": "18 3/8 in",
            "52 3/4 - 2 7/8": "52 3/4 in - 2 7/8 in",
            "7' 2 5/8\"": "7' 2 5/8\"",
            "618 mm": "618",
            "3 x 16 - 1/2": "3 x 16 in - 1/2 in",
            "27½": "27 1/2 in",
            "-1/8": "-1/8 in",
        }
        for text, converted in cases.items():
            with self.subTest(text):
                self.assertEqual(in_other_unit(text, "in"), converted)

    @given(
        st.lists(
            st.tuples(
                st.sampled_from(["18 3/8", "7' 2", "618 mm", "3 x 16", "0.25", "1/2 in", "4 cm"]),
                st.sampled_from([" + ", " - ", "+", "-"]),
            ),
            min_size=1,
            max_size=9,
        ),
        st.sampled_from(["in", "mm"]),
    )
    def test_any_sum_is_the_same_length(self, terms: list[tuple[str, str]], unit: Unit) -> None:
        text = "".join(f"{sign}{term}" for term, sign in terms)[:60].rstrip("+-x' /")
        try:
            value = read_length(text, unit).value
        except ValueError:
            return
        converted = in_other_unit(text, unit)
        scale = 25.4 if unit == "in" else 1 / 25.4
        self.assertAlmostEqual(
            float(read_length(converted, other_unit(unit)).value), float(value) * scale, places=6
        )
        self.assertEqual(read_length(in_other_unit(converted, other_unit(unit)), unit).value, value)

    def test_a_sum_too_long_with_its_units_is_told_by_its_value(self) -> None:
        text = " + ".join(["1 1/2"] * 7)
        self.assertEqual(in_other_unit(text, "in"), "21/2 in")

    def test_wire_keeps_its_meaning(self) -> None:
        for text, unit in (("9 x 12, 1 x ø 0.43", "in"), ("6 x 2.5, 1 x ⌀ 11, 2 x 4 earth", "mm")):
            document = {
                "format": "yarrow.fill/1", "units": unit, "typed": text,
                "conduit": {"type": "emt", "size": "2"}, "method": "area",
            }  # fmt: skip
            converted = other(document)
            self.assertEqual(
                read_wire_text(converted["typed"], other_unit(unit)),  # type: ignore[arg-type]
                read_wire_text(document["typed"], unit),  # type: ignore[arg-type]
            )


if __name__ == "__main__":
    unittest.main()
