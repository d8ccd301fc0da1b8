"""One surface: how high it stands at every place is known to everything that comes after."""

from __future__ import annotations

import unittest
from itertools import pairwise
from typing import Any, ClassVar

from hypothesis import given
from hypothesis import strategies as st

from core.tests.builders import (
    DIAMETER,
    block,
    box,
    codes,
    end,
    kick,
    ledge,
    offset,
    planned,
    round_thing,
    saddle3,
    saddle4,
    turn,
)
from yarrow.runs.model.plan import SiteObject, WrittenPlan

HALF = DIAMETER / 2


def underside(plan: WrittenPlan, at: float, stand_off: float) -> float:
    """How high the pipe's underside is over the wall at a place along the first leg, by its
    vertices alone: the surface lies half a pipe and the stand-off behind the start."""
    for (x, _, z), (next_x, _, next_z) in pairwise(plan.path):
        if x <= at <= next_x and next_x > x:
            return z + (next_z - z) * (at - x) / (next_x - x) + stand_off
    raise AssertionError(f"no pipe at {at}")


@st.composite
def stepped_walls(draw: Any) -> tuple[list[dict[str, Any]], list[tuple[float, float]], float]:
    """Ledges and blocks one after the other; where the underside is to be at the least, and the
    stand-off."""
    stand_off = draw(st.sampled_from([0, 0.5, 1, 1.75]))
    walk, wanted, surface, at = [], [], 0.0, 0.0
    for _ in range(draw(st.integers(1, 4))):
        at += 70
        height = draw(st.integers(1, 48)) / 8
        clearance = draw(st.sampled_from([0, 0.25, 1]))
        if draw(st.booleans()):
            walk.append(ledge(at, height, clearance=clearance))
            surface += height
            wanted += [(at + 0.01, surface + clearance), (at + 30, surface + clearance)]
        else:
            walk.append(block(at, 3, height, clearance=clearance, pick="saddle4 30"))
            wanted += [(at + 1.5, surface + height + clearance)]
    walk.append(end(at + 80))
    return walk, wanted, float(stand_off)


class OneSurface(unittest.TestCase):
    def test_a_ledge_after_a_ledge(self) -> None:
        # By hand: on the first ledge the pipe lies on its top, 4 up; the second's top is 7 up.
        plan = planned(ledge(40, 4), ledge(80, 3), end(120), stand_off=1)
        self.assertAlmostEqual(underside(plan, 60, 1), 4)
        self.assertAlmostEqual(underside(plan, 110, 1), 7)

    def test_a_block_and_an_end_box_after_a_ledge(self) -> None:
        plan = planned(
            ledge(40, 4), block(80, 3, 2, clearance=0, pick="saddle4 30"), end(140), stand_off=1
        )
        self.assertAlmostEqual(underside(plan, 81.5, 1), 6)
        self.assertAlmostEqual(underside(plan, 130, 1), 4)
        # The knockout's middle is 1 7/8 off the ledge, half a pipe of which the pipe has already.
        boxed = planned(ledge(40, 4), box("end", "1 7/8"), end(100), stand_off=1)
        self.assertAlmostEqual(underside(boxed, 99.9, 1) + HALF, 4 + 1.875)

    def test_a_leg_after_a_turn_out_is_measured_from_what_the_pipe_ran_along(self) -> None:
        # By hand: the ledge's top is at 4, the end 30 over it; on the wall itself it is at 30.
        plan = planned(ledge(40, 4), turn(80, "out"), end(30), stand_off=1)
        self.assertAlmostEqual(underside(plan, plan.path[-1][0], 1) - HALF, 0, delta=40)
        self.assertAlmostEqual(plan.path[-1][2] + HALF + 1, 34)
        flat = planned(turn(80, "out"), end(30), stand_off=1)
        self.assertAlmostEqual(flat.path[-1][2] + HALF + 1, 30)

    def test_what_spacers_carry_over_a_low_ledge_is_less_behind_it(self) -> None:
        plan = planned(ledge(40, "1/2"), ledge(80, 3), end(120), stand_off=1)
        self.assertAlmostEqual(underside(plan, 60, 1), 1)  # straight on, half an inch over it
        self.assertAlmostEqual(underside(plan, 110, 1), 3.5)

    def test_coming_back_in_the_pipe_is_on_its_spacers_again(self) -> None:
        plan = planned(
            offset(40, 4, toward="out"), offset(80, 4, toward="in"), ledge(120, 3), end(150),
            stand_off=1,
        )  # fmt: skip
        self.assertAlmostEqual(underside(plan, 60, 1), 4)
        self.assertAlmostEqual(underside(plan, 100, 1), 1)
        self.assertAlmostEqual(underside(plan, 140, 1), 3)

    def test_in_loses_the_stand_off_as_out_does_and_sideways_keeps_it(self) -> None:
        for toward, moved in (("in", 3), ("out", 3), ("left", 4), ("right", 4)):
            for line in (offset(40, 4, toward=toward), kick(30, 4, toward=toward)):
                with self.subTest(toward=toward, kind=line["kind"]):
                    plan = planned(line, end(80), stand_off=1)
                    self.assertAlmostEqual(sum(abs(n) for n in plan.path[-1][1:]), moved)
            for line in (saddle3(40, 4, toward=toward), saddle4(40, 4, 4, toward=toward)):
                plan = planned(line, end(90), stand_off=1)
                read = next(d for d in plan.dimensions if d.field == "rise")
                self.assertLess(abs(read.off), 0.1)

    def test_a_turn_along_the_wall_keeps_the_surface_and_one_off_it_does_not(self) -> None:
        for toward, height in (("left", 3), ("out", 2)):
            plan = planned(ledge(40, 4), turn(80, toward), ledge(60, 3), end(120), stand_off=1)
            side = 2 if toward == "left" else 0
            corner, last = plan.path[-4], plan.path[-1]
            self.assertAlmostEqual(abs(last[side] - corner[side]), height, places=6)

    def test_a_rise_that_the_pipe_has_already_is_said_where_it_lies(self) -> None:
        rise = offset(80, "3/4", 10, "out")
        self.assertIn("stand-off-carries", codes(planned(rise, end(120), stand_off=1)))
        on_ledge = planned(ledge(40, 4), rise, end(120), stand_off=1)
        self.assertNotIn("stand-off-carries", codes(on_ledge))

    @given(stepped_walls())
    def test_the_underside_is_never_under_what_is_there_and_lies_where_it_may(
        self, wall: tuple[list[dict[str, Any]], list[tuple[float, float]], float]
    ) -> None:
        walk, wanted, stand_off = wall
        plan = planned(*walk, stand_off=stand_off)
        reached = stand_off
        for at, height in wanted:
            found = underside(plan, at, stand_off)
            self.assertGreaterEqual(found, height - 1e-6)
            # No higher than asked, but for where it was so high already.
            reached = max(reached, height)
            self.assertLessEqual(found, reached + 1e-6)


class Drawn(unittest.TestCase):
    def things(self, plan: WrittenPlan) -> list[SiteObject]:
        return [each for each in plan.things if each.kind in ("ledge", "round")]

    def test_nothing_that_is_gone_over_is_drawn_inside_the_pipe(self) -> None:
        cases = (
            (offset(40, 4, toward="out"), 4),
            (saddle3(40, 4, toward="out", clearance="1/4"), 4),
            (saddle4(40, 4, 4, toward="out", clearance="1/4"), 4),
            (block(40, 4, 4), 4),
            (round_thing(40, 4), 4),
            (ledge(40, 4), 4),
        )
        for line, top in cases:
            for stand_off in (0, 1):
                with self.subTest(kind=line["kind"], stand_off=stand_off):
                    plan = planned(line, end(90), stand_off=stand_off)
                    (thing,) = self.things(plan)
                    # Tops stand as high over the wall as was said, whatever holds the pipe off it.
                    self.assertAlmostEqual(thing.at[2] + HALF + stand_off, top)

    def test_a_rise_is_shown_from_the_pipe_s_line_to_the_pipe_s_line(self) -> None:
        plan = planned(offset(40, 4, toward="out"), end(90), stand_off=1)
        shown = next(d for d in plan.site if d.field == "rise")
        self.assertAlmostEqual(shown.end[2], plan.path[-1][2])
        self.assertAlmostEqual(shown.end[2] - shown.start[2], 4)


class Kicks(unittest.TestCase):
    RIGID: ClassVar[dict[str, Any]] = {
        "conduit": {"type": "rmc", "size": "1"},
        "bender": "ratchet-1",
    }

    def at_face(self, plan: WrittenPlan, face: float) -> float:
        (x, _, z), (end_x, _, end_z) = plan.path[-2:]
        return z + (end_z - z) * (face - x) / (end_x - x)

    def test_a_kick_to_the_end_is_displaced_at_the_face_and_goes_on_as_steep(self) -> None:
        plan = planned(kick(20, 2, "out"), end(32, fitting="hub"), **self.RIGID)
        self.assertAlmostEqual(self.at_face(plan, 32), 2)
        self.assertGreater(plan.path[-1][2], 2)
        # Beyond the face, along the pipe, lies what the hub takes in.
        run = (12**2 + 2**2) ** 0.5
        whole = ((plan.path[-1][0] - 20) ** 2 + plan.path[-1][2] ** 2) ** 0.5
        self.assertAlmostEqual(whole - run, 0.6828, places=4)

    def test_where_the_face_is_fixed_it_passes_there(self) -> None:
        line = {**kick(20, 2, "out"), "loose": ["rise"]}
        plan = planned(line, end(32, fitting="hub", meet=[32, 0, 2.5]), **self.RIGID)
        self.assertAlmostEqual(self.at_face(plan, 32), 2.5, places=5)
        self.assertNotIn("end-not-reached", codes(plan))

    def test_what_comes_out_is_read_at_the_face_too(self) -> None:
        for allowance in ("3/4", 0, "-1/2"):
            plan = planned(kick(20, 2, "out"), end(32, allowance=allowance), **self.RIGID)
            for read in plan.dimensions:
                self.assertLess(abs(read.off), 0.1, (allowance, read.field))

    def test_an_offset_behind_a_kick_ends_its_lean(self) -> None:
        plan = planned(kick(20, 2, "out"), offset(60, 4), end(100, allowance=1))
        self.assertAlmostEqual(plan.path[-1][2], 2)


if __name__ == "__main__":
    unittest.main()
