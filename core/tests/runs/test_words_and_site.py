"""Figures in sentences, and the site's numbers and things in space."""

from __future__ import annotations

import unittest
from fractions import Fraction

import yarrow
from core.tests.builders import (
    DIAMETER,
    block,
    box,
    end,
    hole,
    metric,
    offset,
    planned,
    round_thing,
    run,
    saddle3,
    saddle4,
    turn,
)
from yarrow.documents.catalogue import catalogue
from yarrow.documents.forms import plan_text
from yarrow.wording.lengths import JobTape, degrees

INCHES = JobTape("in", Fraction(1, 16))
METRIC = JobTape("mm", Fraction(1))


class Sentences(unittest.TestCase):
    def test_lengths_are_told_as_on_the_tape(self) -> None:
        self.assertEqual(str(INCHES.length(4.375)), "4 3/8 in")
        self.assertEqual(str(METRIC.length(617.6)), "618 mm")
        self.assertEqual(str(INCHES.reading(0.03)), "0")

    def test_what_is_needed_is_rounded_up_and_a_mark_stays_itself(self) -> None:
        self.assertEqual(INCHES.needed(2.01).text, "2 1/16 in")
        self.assertEqual(INCHES.needed(2.0).text, "2 in")
        self.assertEqual(METRIC.needed(59.2).text, "60 mm")

    def test_differences_carry_their_sign(self) -> None:
        self.assertEqual(str(INCHES.off(0.19)), "+3/16")
        self.assertEqual(str(INCHES.off(-0.19)), "−3/16")
        self.assertEqual(str(INCHES.off(0.02)), "0")

    def test_angles(self) -> None:
        self.assertEqual([degrees(a) for a in (30.0, 22.5, 3.205)], ["30°", "22.5°", "3.21°"])


class Site(unittest.TestCase):
    def test_every_number_lies_between_the_places_it_was_measured_from_and_to(self) -> None:
        plan = planned(offset(33, "4 3/8"), turn("71 5/8"), end("34 1/8"))
        by_name = {(d.feature, d.field): d for d in plan.site}
        at = by_name[0, "at"]
        self.assertEqual((str(at.text), at.start, at.end), ("33", (0, 0, 0), (33, 0, 0)))
        rise = by_name[0, "rise"]
        self.assertEqual((str(rise.text), rise.end), ("4 3/8", (33, 4.375, 0)))
        # The leg up is measured from the back of the turn, half a pipe below its centre line.
        last = by_name[2, "at"]
        self.assertAlmostEqual(last.start[1], 4.375 - DIAMETER / 2)
        self.assertAlmostEqual(last.end[1] - last.start[1], 34.125)

    def test_a_ledge_reaches_to_what_comes_next_with_its_top_under_the_pipe(self) -> None:
        plan = planned(offset(33, "4 3/8", label="plinth"), turn("71 5/8"), end("34 1/8"))
        (ledge,) = plan.things
        self.assertEqual((ledge.kind, ledge.label, ledge.height), ("ledge", "plinth", 4.375))
        self.assertAlmostEqual(ledge.at[1], 4.375 - DIAMETER / 2)
        self.assertAlmostEqual(ledge.at[0] + ledge.along, 71.625 - DIAMETER / 2)

    def test_what_saddles_go_over_is_as_large_as_was_said(self) -> None:
        plan = planned(saddle3(40, 2), saddle4(80, 9, 3), end(130))
        pipe, duct = plan.things
        self.assertEqual((pipe.kind, pipe.along, pipe.height), ("round", 2, 2))
        self.assertAlmostEqual(pipe.at[0] + pipe.along / 2, 40)
        self.assertEqual((duct.kind, duct.along, duct.height), ("ledge", 9, 3))
        self.assertAlmostEqual(duct.at[0], 80)

    def test_what_was_met_stands_where_it_was_met_whatever_is_put_to_it(self) -> None:
        for pick in ("saddle3 45", "saddle4 30"):
            plan = planned(round_thing(40, 2, pick=pick), block(90, 9, 3), end(150))
            pipe, duct = plan.things
            self.assertEqual((pipe.kind, pipe.along, pipe.height), ("round", 2, 2))
            self.assertAlmostEqual(pipe.at[0], 39)
            # It stands on the surface, half a pipe below the centreline.
            self.assertAlmostEqual(pipe.at[2], 2 - DIAMETER / 2)
            self.assertEqual((duct.kind, duct.at[0], duct.along), ("ledge", 90, 9))

    def test_on_spacers_the_surface_lies_lower(self) -> None:
        plan = planned(round_thing(40, 2), end(90), stand_off="7/8")
        self.assertAlmostEqual(plan.things[0].at[2], 2 - DIAMETER / 2 - 0.875)

    def test_a_hole_is_drawn_at_its_middle_and_a_box_with_a_name(self) -> None:
        plan = planned(box("start", 1, label="panel"), hole(40, 2, "left"), end(80))
        panel, bored = plan.things[:2]
        self.assertEqual((panel.kind, panel.label), ("box", "panel"))
        self.assertEqual(bored.kind, "hole")
        self.assertAlmostEqual(bored.at[1], 2)

    def test_numbers_of_what_was_met_are_dimensions(self) -> None:
        plan = planned(round_thing(40, 2), block(90, 9, 3), end(150))
        texts = {(d.feature, d.field): str(d.text) for d in plan.site}
        self.assertEqual(texts[0, "at"], "40")
        self.assertEqual(texts[0, "height"], "2")
        self.assertEqual((texts[1, "width"], texts[1, "height"]), ("9", "3"))

    def test_boxes_stand_at_the_ends_that_have_one(self) -> None:
        document = run(end(60, fitting="coupling"), start={"kind": "connector", "label": "panel"})
        box, coupling = yarrow.plan.values(document).things
        self.assertEqual((box.kind, box.label, box.ahead), ("box", "panel", (-1, 0, 0)))
        self.assertEqual((coupling.kind, coupling.at), ("coupling", (60, 0, 0)))


class Writing(unittest.TestCase):
    def test_a_metric_plan_reads_in_whole_millimetres(self) -> None:
        text = plan_text(yarrow.plan.values(metric(turn(618), end(437), name="Stair")))
        self.assertIn("millimetres", text)
        self.assertIn("square at the back", text)
        self.assertRegex(text, r"Cut   \d+ mm")

    def test_the_catalogue_offers_only_pairs_that_fit(self) -> None:
        whole = catalogue()
        known = {(c.type, c.size) for c in whole.conduit}
        for bender in whole.benders:
            self.assertTrue(bender.takes)
            self.assertLessEqual({(t.type, t.size) for t in bender.takes}, known)
        self.assertIn("running_coupler", {fitting.kind for fitting in whole.fittings})
