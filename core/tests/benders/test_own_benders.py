"""A crew's own bender: by its numbers or a test 90, its springback, clicks and stamped marks."""

from __future__ import annotations

import unittest
from fractions import Fraction
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

import yarrow
from core.tests.builders import (
    RADIUS,
    codes,
    end,
    found,
    kick,
    metric,
    offset,
    planned,
    refused,
    run,
    saddle3,
    text_of,
    turn,
)
from core.tests.properties.strategies import makeable_runs
from yarrow import bender as bender_answer
from yarrow.benders.bender import Bender
from yarrow.benders.learning.calibration import calibrate
from yarrow.benders.learning.measured_bend import MeasuredBend
from yarrow.benders.springback import springback
from yarrow.catalog.tables import benders, conduits
from yarrow.documents.run.reading import read_run
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.errors import GeometryError
from yarrow.runs.model.plan import WrittenPlan

TEST_90 = {"mark": "13 3/8", "stick": 40, "stub": "18 3/8", "tail": "24 1/4"}
"""geometry.md's half-inch bender: take-up 18 3/8 − 13 3/8, gain 18 3/8 + 24 1/4 − 40."""


def own(**more: Any) -> dict[str, Any]:
    return {"kind": "hand", "radius": 4.471, "take_up": 5, **more}


class TestNinety(unittest.TestCase):
    def test_the_check_values(self) -> None:
        plan = planned(turn("18 3/8"), end(30), bender={"kind": "hand", "tests": [TEST_90]})
        self.assertAlmostEqual(plan.bender.radius, RADIUS)
        self.assertAlmostEqual(plan.bender.take_up, 5)
        self.assertAlmostEqual(plan.marks[0].position, 13.375)
        document = {"format": "yarrow.bender/1", "units": "in", "conduit": thin("1/2")}
        numbers = bender_answer({**document, "bender": {"kind": "hand", "tests": [TEST_90]}})
        # The star: take-up 5 less the gain of 2 5/8.
        self.assertEqual(numbers["back_of_bend_text"], "2 3/8")

    def test_repeated_tests_are_averaged_and_say_how_well_the_radius_is_known(self) -> None:
        first = MeasuredBend(*(Fraction(v) for v in (13.375, 40, 18.375, 24.25)))
        second = MeasuredBend(*(Fraction(v) for v in (13.375, 40, 18.5, 24.25)))
        known = calibrate([first, second], 0.706, 1 / 16)
        self.assertAlmostEqual(known.take_up, 5.0625)
        self.assertAlmostEqual(known.gain, 2.6875)
        # Two tests with a tape of 1/16: 2.33 times 2 / 16 / sqrt(2).
        self.assertAlmostEqual(known.radius_known_to, 0.2059, places=3)
        effects = {e.angle: e.by for e in known.effects}
        self.assertLess(effects[30], 0.01)
        self.assertAlmostEqual(effects[90], known.radius_known_to * 0.4292, places=4)

    def test_one_that_no_bender_made_is_refused(self) -> None:
        first = MeasuredBend(*(Fraction(v) for v in (13.375, 40, 13, 30)))
        with self.assertRaises(GeometryError):
            calibrate([first], 0.706, 1 / 16)
        wrong = {**TEST_90, "tail": "20"}
        text = refused(run(end(30), bender={"kind": "hand", "tests": [wrong]}))
        self.assertIn("bender.tests[0]", text)

    def test_tests_or_numbers_and_beside_tests_the_numbers_are_the_label(self) -> None:
        plan = planned(turn("18 3/8"), end(30), bender=own(tests=[TEST_90], take_up=6))
        # The label is believed to within a diameter, the tape to a sixteenth.
        self.assertAlmostEqual(plan.bender.take_up, 5, delta=0.01)
        self.assertIn("bender.radius", refused(run(end(30), bender={"kind": "hand"})))


class Springback(unittest.TestCase):
    def test_between_points_in_straight_lines_and_beyond_in_proportion(self) -> None:
        known = springback([(93, 90), (31, 30)], typical=False)
        for angle, bend_to in ((30, 31), (90, 93), (60, 62), (15, 15.5), (120, 124)):
            self.assertAlmostEqual(known.bend_to(angle), bend_to)

    def test_one_point_is_in_proportion_and_none_is_the_material_s_usual(self) -> None:
        self.assertAlmostEqual(springback([(94, 90)], typical=False).bend_to(45), 47)
        self.assertTrue(planned(turn(30), end(30)).bender.springback_typical)
        plan = planned(turn(30), end(30), bender=own(springback=[{"commanded": 92, "kept": 90}]))
        self.assertFalse(plan.bender.springback_typical)
        self.assertAlmostEqual(plan.working[0].bend_to, 92)
        self.assertIn("to 92°", text_of(plan.steps[1].do))

    def test_a_scale_that_shows_too_much_is_read_so_much_further(self) -> None:
        # A 90 is bent to 92, which that scale shows as 93.5; a clean 45 to 46, shown as 47.5.
        knocked = own(springback=[{"commanded": 92, "kept": 90}], scale_offset=1.5)
        for angle, shown in ((90, 93.5), (45, 47.5)):
            plan = planned(turn(30, angle=angle), end(30), bender=knocked)
            self.assertAlmostEqual(plan.working[0].bend_to, shown)

    def test_points_that_contradict_each_other_are_refused(self) -> None:
        for points in ([(88, 90)], [(93, 90), (92, 91)], [(93, 90), (94, 90)]):
            shapes = [{"commanded": a, "kept": b} for a, b in points]
            self.assertIn("bender.springback", refused(run(end(9), bender=own(springback=shapes))))

    def test_clicks(self) -> None:
        clicking = own(degrees_per_click=1.5, springback=[{"commanded": 93, "kept": 90}])
        plan = planned(turn(30), end(30), bender={**clicking, "kind": "ratchet"})
        self.assertEqual(plan.working[0].clicks, 62)
        self.assertIn("about 62 clicks", text_of(plan.steps[1].do))
        self.assertIn("handle comes out", text_of(plan.steps[1].caution))

    def test_between_two_clicks_and_two_half_degrees_the_nearer_is_told(self) -> None:
        # 22.5 is bent to 22.5 x 93 / 90 = 23.25: the scale's 23.5, and 15.5 clicks of 1.5.
        clicking = own(degrees_per_click=1.5, springback=[{"commanded": 93, "kept": 90}])
        plan = planned(offset(25, 6, 22.5), end(60), bender={**clicking, "kind": "ratchet"})
        told = [(row.bend_to, str(row.bend_to_text), row.clicks) for row in plan.working]
        self.assertEqual(told, [(23.25, "23.5°", 16)] * 2)


class Names(unittest.TestCase):
    def test_marks_are_called_what_is_stamped_on_the_bender(self) -> None:
        plan = planned(turn(12), end(60), bender=own(marks={"front": "the notch"}))
        self.assertEqual(plan.marks[0].name, "the notch")
        self.assertIn("The notch on", text_of(plan.steps[1].do))


class Ways(unittest.TestCase):
    @settings(max_examples=60)
    @given(makeable_runs(), st.booleans())
    def test_three_ways_of_working_give_the_same_folded_pipe(
        self, document: dict[str, Any], table: bool
    ) -> None:
        """Every mark, put on its own reference, begins the arc at the same place."""
        method = "table" if table else "exact"
        plans = {
            way: yarrow.plan.values({**document, "way": way, "method": method})
            for way in ("mark", "bench", "chart")
        }
        starts = {way: arc_starts(document, plan) for way, plan in plans.items()}
        for way in ("bench", "chart"):
            for one, other in zip(starts["mark"], starts[way], strict=True):
                self.assertAlmostEqual(one, other, places=6)

    def test_each_way_has_its_own_marks_and_words(self) -> None:
        walk = [turn("18 3/8"), offset(40, 4, 30, "out"), end(70)]
        do = {
            w: [text_of(s.do) for s in planned(*walk, way=w).steps]
            for w in ("mark", "bench", "chart")
        }
        self.assertIn("hang the take-up of 5 over the end and mark the whole 18 3/8", do["mark"][1])
        self.assertIn("the bend runs from 13 9/16 to 20 9/16", do["chart"][1])
        self.assertIn("tart-of-bend mark on 13 9/16", do["bench"][1])
        square = yarrow.plan.values(metric(turn(640), end(400))).steps[0]
        self.assertIn("Stand an offcut in the former with a square", text_of(square.do))
        depth = planned(*walk, way="bench").working[2].depth
        self.assertEqual(str(depth), "4")
        self.assertIn("gauge that depth", text_of(planned(*walk).steps[3].check))

    def test_the_chart_s_lengths_add_up_to_the_pipe(self) -> None:
        document = metric(turn(400), turn(640), offset(900, 80, 30, "out"), end(1500), way="chart")
        plan = yarrow.plan.values(document)
        whole = sum(int(str(r.between)) + int(str(r.developed)) for r in plan.working)
        last = plan.bends[-1]
        self.assertAlmostEqual(whole, last.arc_end, delta=len(plan.bends))

    def test_a_saddle_and_a_kick_by_the_bench_school(self) -> None:
        plan = planned(saddle3(50, 2), turn(90), kick(20, 1), end(50), way="bench")
        self.assertEqual({m.reference for m in plan.marks}, {"former", "square"})


class AmpacityAdjustment(unittest.TestCase):
    def plan(self) -> WrittenPlan:
        plastic = {"type": "plastic", "size": "20"}
        walk = [turn(500), offset(600, 60, 30, "out"), end(1200, fitting="connector")]
        start = {"kind": "connector"}
        document = metric(*walk, conduit=plastic, bender="heat-form-metric", start=start)
        return yarrow.plan.values(document)

    def test_where_to_warm_from_and_to(self) -> None:
        plan = self.plan()
        self.assertIn("takes 40 mm of straight pipe on both sides", text_of(plan.steps[1].do))
        bend, row = plan.bends[0], plan.working[0]
        self.assertEqual(str(row.warm_from), str(round(bend.arc_start - 10)))
        self.assertEqual(str(row.warm_to), str(round(bend.arc_end + 10)))
        self.assertIn(
            f"Warm evenly from {row.warm_from} to {row.warm_to}", text_of(plan.steps[2].do)
        )
        self.assertIn("burn", text_of(plan.steps[2].caution))
        self.assertIn("until it is cold", text_of(plan.steps[2].do))

    def test_the_stops_of_both_connectors_take_pipe(self) -> None:
        plan = self.plan()
        self.assertEqual(codes(plan).count("socket-added"), 2)
        self.assertAlmostEqual(plan.path[0][0], -20)

    def test_the_form_needs_straight_pipe_at_the_end(self) -> None:
        plastic = {"type": "plastic", "size": "20"}
        document = metric(turn(100), end(400), conduit=plastic, bender="heat-form-metric")
        self.assertIn("stub-too-short", codes(yarrow.plan.values(document)))


class Catalogue(unittest.TestCase):
    def test_every_kind_is_there_with_its_numbers(self) -> None:
        kinds = {entry.kind for entry in benders().values()}
        self.assertEqual(kinds, {"hand", "ratchet", "mechanical", "powered", "bench", "heat"})

    def test_a_wrong_shoe_says_why_and_what_fits(self) -> None:
        plan = planned(turn(30), end(30), bender="hand-emt-1/2", conduit=thin("1"))
        self.assertIn("does not go into the groove", found(plan, "bender-does-not-fit").text)
        plan = planned(turn(30), end(30), bender="hand-emt-1", conduit=thin("1/2"))
        finding = found(plan, "bender-does-not-fit")
        self.assertIn("would flatten", finding.text)
        assert finding.remedy
        self.assertEqual(finding.remedy.value, "hand-emt-1/2")
        self.assertEqual(plan.working_marks, ())

    def test_every_conduit_that_is_bent_has_a_bender(self) -> None:
        taken = {(f.type, f.size) for entry in benders().values() for f in entry.fits}
        for kind, size in conduits():
            if kind in ("emt", "imc", "rmc", "pvc40") and size in ("1/2", "3/4", "1", "2"):
                self.assertIn((kind, size), taken)


def thin(size: str) -> dict[str, str]:
    return {"type": "emt", "size": size}


def arc_starts(document: dict[str, Any], plan: WrittenPlan) -> list[float]:
    """Where each arc begins when its mark is put on its reference, by the bender's own numbers."""
    bender: Bender = read_run(document).setup.bender
    return [
        bender.arc_start(
            mark.position, arc_length(bend.radius, bend.angle), mark.hook, mark.reference
        )
        for mark, bend in zip(plan.marks, plan.bends, strict=True)
    ]
