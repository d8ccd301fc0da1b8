"""In which order bends are made, which way round the bender goes on, and what it lacks room for."""

from __future__ import annotations

import math
import unittest
from dataclasses import replace

from hypothesis import given
from hypothesis import strategies as st

from core.tests.builders import end, planned, saddle3, saddle4, text_of, turn
from yarrow.benders.bender import Bender, Hook
from yarrow.benders.habits import _at_a_box, inner_orders, worked_together
from yarrow.benders.placing import Placing, made_neighbours, place
from yarrow.geometry.pipe import PipeBend, StraightPipe, develop
from yarrow.role import SADDLE, Role
from yarrow.runs.model.plan import WrittenPlan

BENDER = Bender("test", "Test", "hand", 4.0, 4.75, 2.0, 1.0, 0.7)
"""a = K − R − D/2 = 0.4: the hook's side takes 2.4 of straight, the heel's 1."""


def made(plan: WrittenPlan) -> list[int]:
    return [step.bend + 1 for step in plan.steps if step.bend is not None]


class AtABox(unittest.TestCase):
    def test_both_bends_of_a_set_are_worked_from_the_end_that_it_is_close_to(self) -> None:
        # Close is half as far again as the hook's 2.4: 3.6.
        roles = (Role.NEAR, Role.FAR)
        bends = (PipeBend(10, 30, 0, 4), PipeBend(16, 30, 180, 4))
        # What sums leave over, a few parts in ten million, makes no difference.
        for straights, hook in (
            ((10, 4, 3.5), "end"),
            ((3.5, 4, 10), "start"),
            ((4, 4, 4), None),
            ((10, 4, 3.6 + 5e-7), "end"),
            ((10, 4, 3.6 + 5e-6), None),
        ):
            pipe = StraightPipe(22, straights, bends, (1, 2), (1, 0, 0), (0, 1, 0))
            with self.subTest(straights=straights):
                found = [_at_a_box(BENDER, pipe, roles, index) for index in (0, 1)]
                self.assertEqual(found, [hook, hook])


class Together(unittest.TestCase):
    def test_the_bends_of_a_line_are_made_one_after_the_other(self) -> None:
        roles = [Role.NEAR, Role.FAR, *SADDLE, Role.TURN, *(Role.NEAR, Role.FAR) * 2]
        lines = [0, 0, 1, 1, 1, 2, 3, 3, 3, 3]
        self.assertEqual(worked_together(roles, lines), ((0, 1), (2, 3, 4), (5,), (6, 7, 8, 9)))
        self.assertEqual(inner_orders(BENDER, roles, (2, 3, 4)), ((3, 2, 4), (3, 4, 2)))
        machine = replace(BENDER, kind="powered")
        self.assertEqual(inner_orders(machine, roles, (2, 3, 4)), ((2, 3, 4), (4, 3, 2)))

    @given(st.lists(st.sampled_from([Role.TURN, Role.KICK, Role.NEAR, Role.FAR]), max_size=9))
    def test_every_bend_is_in_one_group(self, roles: list[Role]) -> None:
        groups = worked_together(roles, range(len(roles)))
        self.assertEqual([bend for group in groups for bend in group], [*range(len(roles))])


class Sides(unittest.TestCase):
    def placed(self, *corners: tuple[float, float], hook: Hook = "end") -> list[Placing]:
        vertices = [(x, y, 0.0) for x, y in corners]
        pipe = develop(vertices, BENDER.radius)
        roles = (Role.TURN,) * len(pipe.bends)
        return [
            place(BENDER, pipe, roles, bend, hook, made_neighbours(range(bend), bend))
            for bend in range(len(pipe.bends))
        ]

    def test_a_stub_at_the_start_is_hooked_toward_it(self) -> None:
        mark = planned(turn(14), end(60)).marks[0]
        self.assertEqual((mark.hook, mark.reference), ("start", "front"))

    def test_a_long_leg_goes_on_its_back_of_bend_mark(self) -> None:
        mark = planned(turn(60), end(30)).marks[0]
        self.assertEqual((mark.hook, mark.reference), ("end", "back"))

    def test_what_lacks_is_told_with_the_room_and_the_need(self) -> None:
        (only,) = self.placed((0, 0), (60, 0), (60, 4.5), hook="start")
        self.assertFalse(only.fits)
        self.assertAlmostEqual(only.room, 0.5)
        self.assertAlmostEqual(only.short_after, only.need - 0.5)

    def test_the_hook_lies_over_a_bend_of_15_degrees_and_no_more(self) -> None:
        # 2.4 of straight are wanted and 1.8 are there: within the hook's play of 0.08 x 0.7 a pipe
        # that leaves the straight on a radius of 4 goes on for sqrt(2 x 4 x 0.056) = 0.67.
        for degrees, fits in ((15, True), (16, False)):
            first = math.radians(degrees)
            ahead = 4 * math.tan(first / 2) + 1.8 + 4
            x, y = 20 + ahead * math.cos(first), ahead * math.sin(first)
            on = (x - 30 * math.sin(first), y + 30 * math.cos(first))
            _, second = self.placed((0, 0), (20, 0), (x, y), on, hook="start")
            self.assertEqual(second.fits, fits, degrees)

    def test_of_just_15_degrees_it_still_does(self) -> None:
        beyond = 20 + 4 * math.radians(15.0) + 1.8
        bends = (PipeBend(20, 15.0, 0, 4), PipeBend(beyond, 90, 0, 4))
        pipe = StraightPipe(80, (20, 1.8, 30), bends, (1, 2), (1, 0, 0), (0, 1, 0))
        placing = place(BENDER, pipe, (Role.TURN,) * 2, 1, "start", made_neighbours([0], 1))
        self.assertTrue(placing.fits)

    def test_a_bend_that_is_not_made_yet_is_not_in_the_way(self) -> None:
        # 0.9 of straight between the arcs: the first is made while all behind it is straight, the
        # second finds too little for its heel; the hook's side would need more.
        placings = self.placed((0, 0), (40, 0), (40, 8.9), (80, 8.9))
        self.assertTrue(placings[0].fits)
        self.assertEqual((placings[1].before, placings[1].fits), (0, False))

    def test_the_outers_of_a_saddle_face_its_centre(self) -> None:
        plan = planned(saddle3(60, 3), end(110))
        near, _, far = plan.marks
        self.assertEqual((near.hook, far.hook), ("end", "start"))
        self.assertEqual(made(plan)[0], 2)

    def test_the_room_beside_a_made_centre_counts(self) -> None:
        # Outers so close to the centre that the hook, which faces it, has no room.
        plan = planned(saddle3(60, "5/8"), end(120))
        finding = next(f for f in plan.findings if f.code in ("bends-too-close", "arcs-overlap"))
        self.assertIn(1, finding.bends)


class Steps(unittest.TestCase):
    def test_the_pipe_is_turned_by_what_lies_between_the_last_bend_and_the_next(self) -> None:
        # A saddle in the air, centre first: half over for the near outer, and so for the far one.
        plan = planned(saddle3(53, 2), end(100))
        by_bend = {step.bend: text_of(step.do) for step in plan.steps if step.bend is not None}
        self.assertIn("Turn the pipe half over.", by_bend[0])
        self.assertIn("Carry the pipe round, end for end. Pipe stays as it lies.", by_bend[2])

    def test_from_the_floor_into_the_air_the_pipe_is_turned_half_over_for_the_same_way(
        self,
    ) -> None:
        # Up on the floor, down in the air: a 90 and a 45 to the same side.
        plan = planned(turn(18, "left"), turn(40, "left", angle=45), end(30))
        by_bend = {step.bend: text_of(step.do) for step in plan.steps if step.bend is not None}
        self.assertIn("In the air", by_bend[1])
        self.assertIn("Turn the pipe half over.", by_bend[1])

    def test_checks_have_a_figure_where_one_can_be_put_to_them(self) -> None:
        plan = planned(saddle4(40, 9, "4 1/2"), turn(80, "left"), end(20))
        checks = {step.bend: text_of(step.check) for step in plan.steps if step.bend is not None}
        # Of each offset, at the bend that is made second.
        self.assertEqual(["4 1/2 in" in checks[bend] for bend in range(4)].count(True), 2)
        self.assertIn("twist", checks[4])
