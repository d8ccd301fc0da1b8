"""One step says one place: what is worked with is the pipe that its marks make."""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import given, settings

import yarrow
from core.tests.builders import end, kick, metric, offset, planned, saddle3, text_of, turn
from core.tests.properties.strategies import makeable_runs
from yarrow.measure.tape import read_length
from yarrow.runs.model.plan import WrittenPlan

POWERED: dict[str, Any] = {"conduit": {"type": "rmc", "size": "2"}, "bender": "powered-2"}


def number(text: object) -> float:
    return float(read_length(str(text), "in").value)


class PrintedMarks(unittest.TestCase):
    def test_by_the_chart_the_hook_goes_on_the_mark(self) -> None:
        walk = (offset(60, 12, 30), turn(120), end(60))
        exact, printed = (planned(*walk, method=m, **POWERED) for m in ("exact", "table"))
        self.assertNotEqual(exact.marks[0].text, printed.marks[0].text)
        for plan in (exact, printed):
            for mark, row in zip(plan.marks, plan.working, strict=True):
                self.assertEqual(str(row.hook_at), str(mark.text))

    def test_the_gauge_is_the_depth_that_the_printed_spacing_makes(self) -> None:
        # R 9 1/2 at 30°, printed 2 x 4 3/8 = 8 3/4 apart: 4.43 deep, and 4 3/8 was wanted.
        own = {"kind": "hand", "radius": 9.5, "take_up": 11}
        walk = (offset(60, "4 3/8", 30), end(120))
        printed = planned(*walk, method="table", bender=own, round_to="1/32")
        self.assertAlmostEqual(number(printed.working[1].depth), 4.43, delta=1 / 32)
        gauge = next(
            text_of(step.check) for step in printed.steps if text_of(step.title) == "Bend 2"
        )
        self.assertIn(f"{printed.working[1].depth} in from centre line", gauge)

    def test_plastic_is_warmed_where_the_printed_mark_puts_the_form(self) -> None:
        plastic = {"conduit": {"type": "plastic", "size": "20"}, "bender": "heat-form-metric"}
        document = metric(offset(600, 110, 45), end(1200), method="table", **plastic)
        plan = yarrow.plan.values(document)
        for mark, row in zip(plan.marks, plan.working, strict=True):
            beyond = -10 if mark.hook == "start" else 10
            edge = row.warm_from if mark.hook == "start" else row.warm_to
            self.assertAlmostEqual(float(str(edge)), mark.position + beyond, delta=0.51)

    @settings(max_examples=50)
    @given(makeable_runs())
    def test_by_either_method_the_figures_of_a_row_are_one_pipe(self, run: dict[str, Any]) -> None:
        for method in ("exact", "table"):
            plan = yarrow.plan.values({**run, "method": method, "way": "chart"})
            if not plan.steps:
                continue
            self.assert_one_pipe(plan)

    def assert_one_pipe(self, plan: WrittenPlan) -> None:
        unit = plan.units
        reached = 0.0
        slack = 3 / 16 if unit == "in" else 3.0
        for mark, row in zip(plan.marks, plan.working, strict=True):
            places = [
                float(read_length(str(t), unit).value) for t in (row.start_of_bend, row.end_of_bend)
            ]
            self.assertAlmostEqual(float(read_length(str(row.hook_at), unit).value), mark.rounded)
            between = float(read_length(str(row.between), unit).value)
            self.assertAlmostEqual(min(places) - reached, between, delta=slack)
            reached = max(places)


class OnePlace(unittest.TestCase):
    def test_a_chart_tells_the_hook_once_and_where_the_bend_runs_from_there(self) -> None:
        plan = planned(turn(60), offset(40, 12, 30), end(80), **POWERED)
        for mark, row in zip(plan.marks[1:], plan.working[1:], strict=True):
            (step,) = (text_of(step.do) for step in plan.steps if step.bend == mark.bend)
            self.assertIn(f"Edge of the hook on {mark.text}", step)
            self.assertIn(f"runs from {row.start_of_bend} to {row.end_of_bend}", step)
            self.assertEqual(step.count(str(mark.text)), 1)


class HalfDegrees(unittest.TestCase):
    def test_both_bends_of_a_set_are_bent_to_the_same(self) -> None:
        # 22.5 kept of 93 for 90 is 23.25, half-way between two half degrees: up, for both.
        for at in range(30, 90):
            with self.subTest(at=at):
                plan = planned(kick(at - 20, "1/2", "out"), offset(at, 4, 22.5), end(120))
                if plan.working:
                    texts = {str(row.bend_to_text) for row in plan.working[1:]}
                    self.assertEqual(texts, {"23.5°"})

    def test_clicks_do_not_depend_on_noise_either(self) -> None:
        ratchet = {"conduit": {"type": "rmc", "size": "1"}, "bender": "ratchet-1"}
        for rise in range(3, 12):
            plan = planned(saddle3(60, rise, 45, "left"), end(140), **ratchet)
            outers = {plan.working[n].clicks for n in (0, 2)} if plan.working else set()
            self.assertLessEqual(len(outers), 1)


if __name__ == "__main__":
    unittest.main()
