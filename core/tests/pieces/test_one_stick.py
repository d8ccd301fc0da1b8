"""Does one stick do? And where it does not by a little, what would make it do."""

from __future__ import annotations

import math
import unittest

import yarrow
from core.tests.builders import RADIUS, end, found, metric, offset, planned, run, turn


def set_adds(rise: float, degrees: float) -> float:
    """What a set of two bends takes beyond going straight on."""
    half = math.radians(degrees) / 2
    return rise * math.tan(half) - 2 * RADIUS * 2 * (math.tan(half) - half)


class OneStick(unittest.TestCase):
    def test_a_gentler_angle_is_told_where_one_stick_does_with_it(self) -> None:
        # By hand: a set of 6 takes 2.30 more at 45 degrees, 1.53 at 30 and 1.16 at 22 1/2.
        more = {angle: set_adds(6, angle) for angle in (45.0, 30.0, 22.5)}
        for length, wanted in ((118.2, 30.0), (118.6, 22.5)):
            self.assertGreater(length + more[45.0], 120)
            self.assertLessEqual(length + more[wanted], 120)
            plan = planned(offset(50, 6, 45), end(length))
            finding = found(plan, "longer-than-stick")
            with self.subTest(length):
                assert finding.remedy is not None
                self.assertEqual(finding.remedy.value, wanted)
                self.assertEqual(finding.remedy.path, "walk[0].angle")
                mended = planned(offset(50, 6, wanted), end(length))
                self.assertNotIn("longer-than-stick", {f.code for f in mended.findings})

    def test_where_none_would_do_it_is_not_said(self) -> None:
        for document in (
            run(offset(50, 6, 45), end(130)),
            run(turn(80), end(80)),
            metric(offset(900, 100, 45), end(3900), bender="bench-steel-20"),
        ):
            finding = found(yarrow.plan.values(document), "longer-than-stick")
            self.assertIsNone(finding.remedy)
            self.assertIn("sticks", finding.text)


if __name__ == "__main__":
    unittest.main()
