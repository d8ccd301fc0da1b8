"""A kick is over its arc before the hole; what goes over two things has air to both of them."""

from __future__ import annotations

import math
import unittest
from typing import Any

from core.tests.builders import (
    block,
    choice,
    codes,
    end,
    found,
    hole,
    kick,
    ledge,
    planned,
    taken,
    turn,
)

POWERED: dict[str, Any] = {"conduit": {"type": "rmc", "size": "2"}, "bender": "powered-2"}


class Holes(unittest.TestCase):
    def test_a_kick_whose_arc_runs_through_the_face_does_not_fit(self) -> None:
        plan = planned(hole(40, "1/2", pick="kick 45"), end(90), **POWERED)
        finding = found(plan, "arc-in-hole")
        self.assertEqual(
            (finding.level, finding.path, finding.feature), ("error", "walk[0].pick", 0)
        )
        radius = plan.bender.radius
        least = radius * (1 - math.cos(math.radians(45)))
        self.assertIn(f"{math.ceil(least * 16) // 16} ", finding.text)
        assert finding.remedy
        mended = planned(hole(40, "1/2", pick=finding.remedy.value), end(90), **POWERED)
        self.assertNotIn("arc-in-hole", codes(mended))
        self.assertTrue(taken(mended, 0).fits)

    def test_it_fits_from_the_depth_that_its_arc_takes(self) -> None:
        radius = planned(turn(40), end(90), **POWERED).bender.radius
        for angle in (10, 22.5, 45):
            least = radius * (1 - math.cos(math.radians(angle)))
            for depth, fits in ((least + 0.01, True), (least - 0.01, False)):
                plan = planned(hole(60, depth, pick=f"kick {angle}"), end(160), **POWERED)
                self.assertEqual(taken(plan, 0).fits, fits, (angle, depth))

    def test_what_comes_out_is_read_on_the_arc(self) -> None:
        # The arc is quartered: at x into an arc of R the pipe is R − √(R² − x²) off the line.
        plan = planned(hole(40, "1/2", pick="kick 30"), end(90), **POWERED)
        self.assertIn("arc-in-hole", codes(plan))
        free = planned(hole(60, 3, pick="kick 22.5"), end(160))
        read = next(each for each in free.dimensions if each.field == "depth")
        self.assertLess(abs(read.off), 1 / 16)

    def test_a_kick_takes_r_sin_of_the_leg(self) -> None:
        plan = planned(hole(60, 3, pick="kick 22.5"), end(160))
        best = taken(plan, 0)
        self.assertAlmostEqual(best.room, plan.bender.radius * math.sin(math.radians(22.5)))

    def test_a_line_s_own_kick_is_not_a_hole_s(self) -> None:
        self.assertNotIn("arc-in-hole", codes(planned(kick(40, "1/4", "out"), end(90), **POWERED)))


class Both(unittest.TestCase):
    def test_the_air_is_that_to_the_nearer_of_the_two(self) -> None:
        plan = planned(block(60, 4, 1), block(70, 4, 3), end(140))
        for each in (c for c in choice(plan, 0).candidates if c.together and c.air is not None):
            # The clearance is a quarter inch, and it is the higher of the two that has it.
            self.assertAlmostEqual(each.air, 0.25)

    def test_an_offset_that_stays_up_is_held_to_the_ledge_as_well(self) -> None:
        plan = planned(block(60, 4, 1), ledge(68, 3, clearance="1/2"), end(140))
        airs = [c.air for c in choice(plan, 0).candidates if c.together and c.air is not None]
        self.assertTrue(airs)
        for air in airs:
            self.assertAlmostEqual(air, 0.5)


if __name__ == "__main__":
    unittest.main()
