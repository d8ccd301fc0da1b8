"""Angles that are on no scale are bent by what can be gauged: the rise of a leg over its length."""

from __future__ import annotations

import math
import unittest
from typing import Any

import yarrow
from core.tests.builders import end, kick, metric, offset, planned, text_of, turn
from yarrow import WrittenPlan
from yarrow.wording.phrase import Phrase


def bends(plan: WrittenPlan) -> list[tuple[str, str]]:
    """What each bend's step says, and how it is looked at; in the order that they are made."""
    return [(text_of(step.do), text_of(step.check)) for step in plan.steps if step.bend is not None]


class Gauged(unittest.TestCase):
    def test_a_kick_is_bent_until_its_leg_rises_over_its_length(self) -> None:
        # 1 1/8 over 60 − 26 3/4 = 33 1/4: atan = 1.9379°. Two lengths of 12 in are on the leg:
        # 24 sin 1.9379° = 0.8116, 13/16. Half a degree: 33.19 sin 0.5° = 0.2896, 5/16.
        ((text, check),) = bends(planned(kick("26 3/4", "1 1/8"), end(60)))
        self.assertIn("until one leg rises 13/16 in over 24 in of its length", text)
        self.assertNotIn("1.94°", text + check)
        self.assertIn("Half a degree is 5/16 in at the end of the next leg", check)

    def test_a_plan_tells_the_gauge_and_the_angle_to_half_a_degree(self) -> None:
        # By hand as above: 1.9379° is about 2.
        plan = planned(kick("26 3/4", "1 1/8"), end(60))
        (row,) = plan.working
        self.assertIsInstance(row.gauge, Phrase)
        told = text_of(row.gauge) if isinstance(row.gauge, Phrase) else ""
        self.assertEqual(told, "one leg rises 13/16 in over 24 in of its length")
        self.assertEqual(str(row.angle_text), "2°")
        self.assertIn("about 2°", yarrow.plan.text(plan, "text"))
        first, second = planned(offset(33, 6, angle=27.3), end(40)).working
        self.assertEqual((str(first.angle_text), str(second.angle_text)), ("27.5°", "27.5°"))
        # The far one is made first; the near one is right once the legs are parallel.
        self.assertEqual(first.gauge, Phrase("gauge/parallel"))
        self.assertEqual([row.gauge for row in planned(offset(33, 6), end(40)).working], ["", ""])

    def test_in_millimetres_it_is_told_over_lengths_of_300(self) -> None:
        # 25 over 1 000: 1.4321°. At most three lengths: 900 sin 1.4321° = 22.49, 22 mm.
        ((text, _),) = bends(yarrow.plan.values(metric(kick(500, 25), end(1500))))
        self.assertIn("rises 22 mm over 900 mm of its length", text)

    def test_the_second_bend_of_a_set_is_right_once_the_legs_are_parallel(self) -> None:
        plan = planned(offset(33, 6, angle=27.3), end(40))
        (first, _), (second, check) = bends(plan)
        # One length of 12 in is on the leg of the far bend, which is made first: 12 sin 27.3° =
        # 5.5038, 5 1/2.
        self.assertIn("rises 5 1/2 in over 12 in", first)
        self.assertIn("until both legs are parallel", second)
        self.assertIn("Both legs parallel, 6 in", check)

    def test_a_steep_one_is_held_against_plumb(self) -> None:
        # 24 cos 87.3° = 1.1306, 1 1/8; 24 cos 92.7° is as much on the other side.
        for degrees, side in ((87.3, "short of"), (92.7, "past")):
            with self.subTest(degrees):
                ((text, _),) = bends(planned(turn(33, angle=degrees), end(30)))
                self.assertIn(f"one leg is 1 1/8 in {side} plumb over 24 in", text)

    def test_what_a_scale_tells_is_bent_by_the_scale(self) -> None:
        for degrees in (10, 22.5, 30, 27.5):
            with self.subTest(degrees):
                for text, check in bends(planned(offset(33, 6, angle=degrees), end(40))):
                    self.assertIn(f"Bend {degrees:g}°", text)
                    self.assertNotIn("Half a degree", check)

    def test_where_the_next_leg_is_short_half_a_degree_does_no_harm(self) -> None:
        # 1/16 in is half a degree of a leg of 0.0625 / sin 0.5° = 7.16 in.
        for length, harm in ((9.0, True), (6.0, False)):
            with self.subTest(length):
                rise = length * math.tan(math.radians(3.3))
                ((_, check),) = bends(planned(kick(40, f"{rise:.4f}"), end(40 + length)))
                self.assertEqual("Half a degree is" in check, harm)
                self.assertEqual("does no harm" in check, not harm)

    def test_nobody_is_asked_to_bend_to_a_hundredth_of_a_degree(self) -> None:
        walks: tuple[list[Any], ...] = (
            [kick(20, "1 7/16"), turn(50), end(30)],
            [offset(33, "4 3/8", angle=33.33), turn(70), end(34)],
            [kick(30, "2 1/8", toward="right"), end(70)],
        )
        for walk in walks:
            for text, check in bends(planned(*walk)):
                self.assertNotRegex(text + check, r"\d\.\d\d°")
