"""In which order bends are made, which way round the bender goes on, and what it lacks room for."""

from __future__ import annotations

import unittest

from hypothesis import given
from hypothesis import strategies as st

from core.tests.builders import end, offset, planned, saddle3, saddle4, said, turn
from yarrow.benders.bender import Bender
from yarrow.benders.placing import making_order, place_bender
from yarrow.geometry.pipe import develop
from yarrow.role import SADDLE, Role
from yarrow.runs.model.plan import WrittenPlan

BENDER = Bender("test", "Test", "hand", 4.0, 4.75, 2.0, 1.0, 0.7)
"""a = K − R − D/2 = 0.4: the hook's side takes 2.4 of straight, the heel's 1."""


def made(plan: WrittenPlan) -> list[int]:
    return [step.bend + 1 for step in plan.steps if step.bend is not None]


class Order(unittest.TestCase):
    def test_along_the_pipe_but_a_saddle_s_centre_first(self) -> None:
        roles = [Role.NEAR, Role.FAR, *SADDLE, Role.TURN]
        self.assertEqual(making_order(roles), (0, 1, 3, 2, 4, 5))

    def test_two_saddles_each_from_their_own_centre(self) -> None:
        plan = planned(saddle3(40, 2), saddle3(80, 2), end(120))
        self.assertEqual(made(plan), [2, 1, 3, 5, 4, 6])

    @given(st.lists(st.sampled_from([Role.TURN, Role.KICK, Role.NEAR, Role.FAR]), max_size=9))
    def test_every_bend_is_made_once(self, roles: list[Role]) -> None:
        self.assertEqual(sorted(making_order(roles)), list(range(len(roles))))


class Sides(unittest.TestCase):
    def placed(self, *corners: tuple[float, float], roles: tuple[Role, ...] = ()) -> list[object]:
        vertices = [(x, y, 0.0) for x, y in corners]
        pipe = develop(vertices, BENDER.radius)
        named = roles or (Role.TURN,) * len(pipe.bends)
        order = making_order(named)
        return list(place_bender(BENDER, pipe, named, order))

    def test_the_hook_faces_what_is_still_straight(self) -> None:
        placings = self.placed((0, 0), (40, 0), (60, 12), (100, 12))
        self.assertEqual([p.hook for p in placings], ["end", "end"])

    def test_a_stub_at_the_start_is_hooked_toward_it(self) -> None:
        (first,) = self.placed((0, 0), (14, 0), (14, 60))
        self.assertEqual((first.hook, first.reference), ("start", "front"))

    def test_a_long_leg_goes_on_its_back_of_bend_mark(self) -> None:
        (first,) = self.placed((0, 0), (60, 0), (60, 30))
        self.assertEqual((first.hook, first.reference), ("end", "back"))

    def test_it_is_turned_round_where_the_other_way_fits(self) -> None:
        # After the arc 6 − 4 = 2 of straight: under the hook's 2.4, over the heel's 1.
        (only,) = self.placed((0, 0), (60, 0), (60, 6))
        self.assertEqual((only.hook, only.fits), ("start", True))

    def test_what_lacks_is_told_with_the_room_and_the_need(self) -> None:
        (only,) = self.placed((0, 0), (60, 0), (60, 4.5))
        self.assertFalse(only.fits)
        self.assertAlmostEqual(only.room, 0.5)
        self.assertAlmostEqual(only.short_after, only.need - 0.5)

    def test_a_bend_that_is_not_made_yet_is_not_in_the_way(self) -> None:
        # 0.9 of straight between the arcs: the first is made while all behind it is straight, the
        # second finds too little for its heel; the hook's side would need more.
        placings = self.placed((0, 0), (40, 0), (40, 8.9), (80, 8.9))
        self.assertTrue(placings[0].fits)
        self.assertEqual((placings[1].before, placings[1].fits), (0, False))

    def test_the_outers_of_a_saddle_face_its_centre(self) -> None:
        plan = planned(saddle3(60, 3), end(120))
        self.assertEqual([m.hook for m in plan.marks], ["end", "end", "start"])
        self.assertEqual(made(plan), [2, 1, 3])

    def test_the_room_beside_a_made_centre_counts(self) -> None:
        # Outers so close to the centre that the hook, which faces it, has no room.
        plan = planned(saddle3(60, "5/8"), end(120))
        finding = next(f for f in plan.findings if f.code in ("bends-too-close", "arcs-overlap"))
        self.assertIn(1, finding.bends)


class Steps(unittest.TestCase):
    def test_the_pipe_is_turned_by_what_lies_between_the_last_bend_and_the_next(self) -> None:
        # Over, centre first: from the offset's second bend to the centre it is 180 + 180 = 0.
        plan = planned(offset(30, 3, toward="out"), saddle3(70, 2), end(120))
        by_bend = {step.bend: said(step.do) for step in plan.steps if step.bend is not None}
        self.assertTrue(by_bend[3].startswith("Pipe stays as it lies."))
        self.assertTrue(by_bend[2].startswith("Turn the pipe half over."))
        self.assertTrue(by_bend[4].startswith("Pipe stays as it lies."))

    def test_checks_have_a_figure_where_one_can_be_put_to_them(self) -> None:
        plan = planned(saddle4(60, 9, "4 1/2"), turn(120), end(30))
        checks = {step.bend: said(step.check) for step in plan.steps if step.bend is not None}
        self.assertIn("4 1/2 in", checks[1])
        self.assertIn("4 1/2 in", checks[3])
        self.assertIn("twist", checks[4])
