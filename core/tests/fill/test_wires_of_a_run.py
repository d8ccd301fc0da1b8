"""The wire of a run: the run's own length and bends decide, and every change checks anew."""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from core.tests.builders import (
    end,
    metric,
    offset,
    planned,
    run,
    saddle3,
    saddle4,
    text_of,
    turn,
)
from core.tests.fill.helpers import core, wire
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.reading import read_run
from yarrow.runs.checks.wires import duct_metres
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.model.wires import PlannedPull, PlannedWires


def wired(*walk: dict[str, Any], conductors: list[dict[str, Any]], **wires: Any) -> PlannedWires:
    plan = planned(*walk, wires={"conductors": conductors, **wires})
    assert plan.wires is not None
    return plan.wires


def steel(*walk: dict[str, Any], conductors: list[dict[str, Any]], **wires: Any) -> WrittenPlan:
    return yarrow.plan.values({**metric(*walk), "wires": {"conductors": conductors, **wires}})


def pull_of(wires: PlannedWires) -> PlannedPull:
    assert wires.pull is not None
    return wires.pull


class ByTheRunItself(unittest.TestCase):
    def test_a_us_run_by_area_and_a_metric_one_by_factors(self) -> None:
        us = wired(end(60), conductors=[wire(9, "12")])
        assert us.fill is not None
        self.assertEqual((us.fill.method, us.fill.limit, us.fits), ("area", 0.304 * 0.4, True))
        metric_wires = steel(turn(900), end(900), conductors=[core(6, 2.5)]).wires
        assert metric_wires is not None
        assert metric_wires.fill is not None
        self.assertEqual(metric_wires.fill.method, "factor")
        # About 1.77 m and one bend: 10000 / (31 + 1.77 x 2) = 290.
        self.assertEqual((metric_wires.bends, metric_wires.fill.limit), (1, 290))

    def test_a_straight_run_under_3_m_is_read_in_the_short_table(self) -> None:
        straight = steel(end(2900), conductors=[core(10, 2.5)]).wires
        assert straight is not None
        assert straight.fill is not None
        self.assertEqual((straight.fill.used, straight.fill.limit), (430, 460))

    def test_another_bend_can_push_the_pipe_a_size_up(self) -> None:
        few = steel(turn(1500), end(1500), conductors=[core(8, 2.5)])
        more = steel(offset(700, 60), turn(1500), turn(900), end(1200), conductors=[core(8, 2.5)])
        self.assertNotIn("wires-do-not-fit", [f.code for f in few.findings])
        finding = next(f for f in more.findings if f.code == "wires-do-not-fit")
        self.assertEqual((finding.level, more.can_be_made), ("warning", True))
        assert finding.remedy is not None
        self.assertEqual((finding.remedy.path, finding.remedy.value), ("conduit.size", "25"))

    def test_a_double_set_counts_as_one_bend_and_a_saddle_as_two(self) -> None:
        counted = {
            1: (offset(40, 4), end(80)),
            2: (saddle3(50, 3), end(100)),
            3: (saddle4(50, 6, 3), turn(100), end(40)),
        }
        for bends, walk in counted.items():
            self.assertEqual(wired(*walk, conductors=[wire(1, "12")]).bends, bends)
        past_90 = wired(turn(50, angle=110), end(40), conductors=[wire(1, "12")])
        self.assertEqual(past_90.bends, 2)

    def test_the_method_can_be_switched_and_the_other_is_told_beside(self) -> None:
        wires = steel(turn(900), end(900), conductors=[core(6, 2.5)], method="area").wires
        assert wires is not None
        assert wires.fill is not None
        assert wires.fill.beside is not None
        self.assertEqual((wires.fill.method, wires.fill.beside.method), ("area", "factor"))

    def test_what_the_rule_set_has_no_figure_for_is_said_not_refused(self) -> None:
        plan = steel(turn(900), end(900), conductors=[wire(3, "12")])
        assert plan.wires is not None
        self.assertIsNone(plan.wires.fill)
        self.assertIn("wires-not-checked", [f.code for f in plan.findings])
        self.assertTrue(plan.can_be_made)

    def test_a_run_without_wire_says_nothing_of_it(self) -> None:
        self.assertIsNone(planned(end(60)).wires)
        empty = wired(end(60), conductors=[])
        self.assertEqual((empty.fill, empty.pull, empty.fits), (None, None, False))

    def test_refusals_name_the_field_of_the_run(self) -> None:
        cases = {
            "wires.conductors[0].size": {"conductors": [wire(1, "13")]},
            "wires.conductors[0].insulation": {"conductors": [wire(1, "12", "silk")]},
            "wires.conductors[0].count": {"conductors": [wire(0, "12")]},
            "wires.method": {"conductors": [wire(1, "12")], "method": "factor"},
            "wires.circuits[0]": {"circuits": [{"kind": "radial"}]},
            "wires.pull.friction": {"pull": {"friction": 9}},
            "wires.most_degrees": {"most_degrees": 30},
        }
        for path, wires in cases.items():
            with self.subTest(path=path), self.assertRaises(DocumentError) as refused:
                read_run(run(end(60), wires=wires))
            self.assertEqual(refused.exception.path, path)


class PullPointsOfARun(unittest.TestCase):
    FIVE = (*(turn(40, side) for side in ("left", "out", "left", "out", "left")), end(40))

    def test_where_to_break_it_and_with_what(self) -> None:
        wires = wired(*self.FIVE, conductors=[wire(3, "12")])
        (only,) = wires.breaks
        self.assertEqual(only.point.bend, 3)
        self.assertIn("conduit body", text_of(only.text))
        self.assertIn("between bends 3 and 4", text_of(only.text))
        # The place is in the straight between those bends.
        self.assertLess(only.point.begins, only.point.at)
        large = wired(*self.FIVE, conductors=[wire(3, "4")])
        self.assertIn("pull box", text_of(large.breaks[0].kind))

    def test_the_stricter_habit(self) -> None:
        self.assertEqual(len(wired(*self.FIVE, conductors=[], most_degrees=270).breaks), 1)
        four = (*self.FIVE[:4], end(40))
        self.assertEqual(len(wired(*four, conductors=[]).breaks), 0)
        strict = planned(*four, wires={"most_degrees": 270})
        self.assertEqual(strict.totals.limit_degrees, 270)
        self.assertIn("270°", next(f for f in strict.findings if f.code == "too-many-degrees").text)

    def test_a_metric_run_gets_a_draw_in_box(self) -> None:
        plan = steel(*(turn(400, side) for side in ("left", "out") * 3), end(400), conductors=[])
        assert plan.wires is not None
        self.assertIn("draw-in", text_of(plan.wires.breaks[0].kind))


class OutdoorDucts(unittest.TestCase):
    def test_two_hundred_metres_less_fifty_a_quarter_and_never_more_than_270(self) -> None:
        # 0, 1, 2 and 3 quarters: 200, 150, 100, 50 m.
        self.assertEqual([duct_metres(90 * n) for n in range(6)], [200, 150, 100, 50, 0, 0])
        four = [turn(40, side) for side in ("left", "out", "left", "out")]
        plan = planned(*four, end(40), wires={"duct": True})
        self.assertEqual(plan.totals.limit_degrees, 270)
        assert plan.wires is not None
        self.assertEqual(plan.wires.duct_m, 0)
        self.assertIn("too-many-degrees", [f.code for f in plan.findings])

    def test_a_duct_that_is_too_long_for_its_bends(self) -> None:
        # 5,000 in of straight and 1,000 more round a corner: 152 m, 500 ft, of 150, which are 492.
        long = planned(turn(5000), end(1000), wires={"duct": True})
        finding = next(f for f in long.findings if f.code == "duct-too-long")
        self.assertIn("492 ft between pull points; this is 500 ft", finding.text)
        assert long.wires is not None
        told = (str(long.wires.length_text), str(long.wires.duct_text))
        self.assertEqual(told, ("500 ft", "492 ft"))
        self.assertTrue(finding.source)
        short = planned(turn(4900), end(1000), wires={"duct": True})
        self.assertNotIn("duct-too-long", [f.code for f in short.findings])
        indoors = planned(turn(5000), end(1000), wires={})
        self.assertNotIn("duct-too-long", [f.code for f in indoors.findings])

    def test_a_limit_of_one_s_own_stands_over_it(self) -> None:
        plan = planned(end(60), wires={"duct": True, "most_degrees": 180})
        self.assertEqual(plan.totals.limit_degrees, 180)


class ThePull(unittest.TestCase):
    def test_a_straight_level_run_by_hand(self) -> None:
        # 10 ft of 2 lb/ft at 0.5: 10 lbf, the same from both ends.
        pull = pull_of(
            wired(end(120), conductors=[wire(1, "12")], pull={"mass": 2, "friction": 0.5})
        )
        self.assertAlmostEqual(pull.pull.ways[0].tension, 10)
        self.assertAlmostEqual(pull.pull.ways[1].tension, 10)
        self.assertEqual((pull.force, pull.mass_estimated), ("lbf", False))

    def test_in_newtons_and_kilograms(self) -> None:
        # 3 m of 2 kg/m at 0.5: 3 x 2 x 9.80665 x 0.5 = 29.42 N.
        plan = steel(end(3000), conductors=[core(1, 1.5)], pull={"mass": 2, "friction": 0.5})
        assert plan.wires is not None
        pull = pull_of(plan.wires)
        self.assertAlmostEqual(pull.pull.ways[0].tension, 29.42, delta=0.005)
        self.assertEqual((pull.force, pull.pressure), ("N", "N/m"))

    def test_up_the_wall_from_the_top_is_easier(self) -> None:
        walk = (turn(40, "left"), end(100))
        pull = pull_of(wired(*walk, conductors=[wire(3, "4")], pull={"state": "dry", "up": "left"}))
        self.assertEqual(pull.pull.feed_at, "end")
        self.assertIn("Feed in at the end", text_of(pull.text))
        self.assertEqual(pull.friction, 0.5)
        down = pull_of(
            wired(*walk, conductors=[wire(3, "4")], pull={"state": "dry", "up": "right"})
        )
        self.assertEqual(down.pull.feed_at, "start")

    def test_mass_and_limits_where_nothing_is_told_are_estimates(self) -> None:
        pull = pull_of(wired(end(120), conductors=[wire(3, "12")]))
        # 12 AWG: 3.31 mm2 of copper, 29.4 g, and 5.27 mm2 of cover, 7.4 g: 36.8 g/m = 0.0247 lb/ft.
        self.assertAlmostEqual(pull.mass, 3 * 0.0247, delta=0.0003)
        self.assertTrue(pull.mass_estimated)
        # 8 lbf a kcmil: 3 x 6.53 x 8.
        self.assertAlmostEqual(pull.pull.tension_limit or 0, 156.7, delta=0.05)
        cable = pull_of(wired(end(120), conductors=[{"count": 1, "diameter": 0.3}]))
        self.assertIsNone(cable.pull.tension_limit)

    def test_too_hard_a_pull_is_a_warning(self) -> None:
        pull = pull_of(
            wired(
                turn(60),
                end(60),
                conductors=[wire(3, "12")],
                pull={"mass": 40, "most_tension": 100, "most_side_wall": 50},
            )
        )
        codes = [finding.code for finding in pull.findings]
        self.assertEqual(codes, ["pull-tension", "sidewall-pressure"])
