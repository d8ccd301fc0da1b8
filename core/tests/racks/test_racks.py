"""Racks: parallel pipes by hand and as a property, corners in shots, next from last, bad racks."""

from __future__ import annotations

import math
import unittest
from itertools import pairwise
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from core.tests.builders import DIAMETER, RADIUS, end, metric, offset, refused, run, saddle3, turn
from core.tests.properties.strategies import makeable_runs
from yarrow.documents.run.reading import read_run
from yarrow.geometry.parallel import carried, chamfered, offset_polyline
from yarrow.geometry.pipe import PipeBend, fold
from yarrow.geometry.rounded_polyline import rounded
from yarrow.geometry.vectors import Vector, dot, length, subtract
from yarrow.racks.rack import plan_rack
from yarrow.racks.rack_plan import RackPipe, RackPlan

CORNER = (offset(40, 4, 30, "left"), turn(70, "left", label="post"), end(40))


def racked(*walk: dict[str, Any], **rack: Any) -> RackPlan:
    return plan_rack(read_run(run(*walk, rack={"count": 3, "side": "left", "spacing": 3, **rack})))


def legs(path: tuple[Vector, ...]) -> list[tuple[Vector, Vector]]:
    return list(pairwise(path))


def to_line(point: Vector, leg: tuple[Vector, Vector]) -> float:
    """How far a point is from a leg's line, by the height of the triangle that it spans."""
    a, b = leg
    sides = [math.dist(a, b), math.dist(b, point), math.dist(point, a)]
    half = sum(sides) / 2
    area = math.sqrt(max(half * math.prod(half - side for side in sides), 0.0))
    return 2 * area / sides[0]


class SameShoe(unittest.TestCase):
    def test_at_a_quarter_turn_the_mark_moves_by_the_spacing(self) -> None:
        # The rack's side is the inside of the turn: the next leg is a spacing shorter.
        plan = racked(turn(60, "left"), end(40))
        self.assertEqual(
            [tuple(map(str, pipe.moved)) for pipe in plan.pipes], [(), ("−3",), ("−3",)]
        )
        out = racked(turn(60, "left"), end(40), side="right")
        self.assertEqual(
            [tuple(map(str, pipe.moved)) for pipe in out.pipes], [(), ("+3",), ("+3",)]
        )
        # Both legs grow by the spacing.
        lengths = [pipe.cut_length for pipe in out.pipes]
        self.assertAlmostEqual(lengths[1] - lengths[0], 6)

    def test_at_a_set_both_marks_move_by_the_spacing_times_the_tangent_of_half_the_angle(
        self,
    ) -> None:
        # 3 tan 15° = 0.8038: 13/16, toward the side that the set steps away from.
        plan = racked(offset(40, 4, 30, "left"), end(80))
        self.assertEqual(tuple(map(str, plan.pipes[1].moved)), ("−13/16", "−13/16"))
        exact = [
            other.position - mark.position
            for mark, other in zip(plan.pipes[0].marks, plan.pipes[1].marks, strict=True)
        ]
        for moved in exact:
            self.assertAlmostEqual(moved, -3 * math.tan(math.radians(15)), places=6)

    def test_what_leaves_the_rack_s_plane_is_the_same_on_every_pipe(self) -> None:
        plan = racked(offset(40, 4, 30, "out"), saddle3(80, 2, toward="out"), end(120))
        self.assertEqual(len({pipe.cut_length_text for pipe in plan.pipes}), 1)
        self.assertEqual(tuple(map(str, plan.pipes[2].moved)), ("0",) * 5)

    @settings(max_examples=25)
    @given(
        makeable_runs(),
        st.sampled_from(["left", "right", "out", "in"]),
        st.floats(1.0, 4.0),
    )
    def test_every_leg_of_every_pipe_keeps_the_spacing(
        self, document: dict[str, Any], side: str, spacing: float
    ) -> None:
        wide = spacing if document["units"] == "in" else spacing * 25
        rack = {"count": 3, "side": side, "spacing": wide}
        plan = plan_rack(read_run({**document, "rack": rack}))
        for one, other in pairwise(plan.pipes):
            if other.pipe != one.pipe + 1:
                continue
            for leg, mate in zip(legs(one.path), legs(other.path), strict=True):
                for point in mate:
                    self.assertAlmostEqual(to_line(point, leg), wide, delta=1e-4 * wide)

    def test_thicker_pipes_keep_their_air_and_lie_as_high_as_they_are_thick(self) -> None:
        plan = racked(
            turn(60, "right"),
            end(40),
            between="air",
            spacing=1,
            pipes=[{"conduit": {"type": "emt", "size": "1"}, "bender": "hand-emt-1"}],
        )
        first, second, third = plan.pipes
        # 0.706 and 1.163 across: an inch and half of both from centre to centre.
        self.assertAlmostEqual(second.offset, 1 + (0.706 + 1.163) / 2)
        self.assertAlmostEqual(third.offset - second.offset, second.offset)
        self.assertAlmostEqual(second.path[0][2] - first.path[0][2], (1.163 - 0.706) / 2)
        self.assertEqual(third.conduit.size, "1/2")
        # The wider shoe outside cuts its corner: nearest half-way round, by the diagonals.
        flat = second.offset * math.sqrt(2)
        flat -= (second.bender.radius - RADIUS) * (math.sqrt(2) - 1)
        near = math.hypot(flat, (1.163 - 0.706) / 2) - (0.706 + 1.163) / 2
        self.assertLess(near, 1)
        self.assertAlmostEqual(plan.gaps[0].air, near, places=6)
        self.assertEqual(plan.gaps[0].at_text, "line 1")


class Concentric(unittest.TestCase):
    def plan(self, **more: Any) -> RackPlan:
        return racked(turn(60, "left"), end(40), corners="concentric", side="right", **more)

    def test_every_next_radius_is_a_spacing_wider_and_the_innermost_is_the_shoe_s(self) -> None:
        plan = self.plan()
        self.assertEqual(plan.pipes[0].shots, ())
        self.assertEqual(len(plan.pipes[0].marks), 1)
        for number in (1, 2):
            (shots,) = plan.pipes[number].shots
            self.assertAlmostEqual(shots.radius, RADIUS + 3 * number)
            self.assertEqual((shots.count, shots.degrees), (15, 6.0))

    def test_shots_by_hand(self) -> None:
        (shots,) = self.plan().pipes[1].shots
        # r = 7.471: 15 shots of 6°; apart: 4.471 x 0.10472 in the arc, 2 x 3 tan 3° between arcs.
        apart = RADIUS * math.radians(6) + 6 * math.tan(math.radians(3))
        self.assertAlmostEqual(shots.apart, apart, places=9)
        self.assertAlmostEqual(shots.developed, 15 * apart, places=9)
        # As much pipe as the arc itself, to what the flats cut off.
        self.assertAlmostEqual(shots.developed, 7.471 * math.pi / 2, delta=0.02)

    def test_folded_as_marked_it_leaves_as_the_wide_bend_does(self) -> None:
        plan = self.plan()
        pipe = plan.pipes[2]
        bends = [PipeBend(b.arc_start, b.angle, b.roll, b.radius) for b in pipe.bends]
        out = fold(bends, pipe.cut_length, start=pipe.path[0], first_toward=(0, 1, 0))
        self.assertLess(math.dist(out.vertices[-1], pipe.path[-1]), 1e-6)
        # Centre line of the leg after it: 60 less half a diameter and two spacings further out.
        self.assertAlmostEqual(pipe.path[-1][0], 60 - DIAMETER / 2 + 6, places=6)

    def test_pipes_about_one_centre_are_as_far_apart_in_the_corner_as_along_the_legs(self) -> None:
        for gap in self.plan().gaps:
            self.assertAlmostEqual(gap.air, 3 - DIAMETER, places=6)

    def test_fewer_degrees_a_shot_make_more_shots(self) -> None:
        (shots,) = self.plan(shot=5).pipes[1].shots
        self.assertEqual((shots.count, shots.degrees), (18, 5.0))

    def test_on_the_inside_the_first_pipe_is_the_wide_one(self) -> None:
        plan = racked(turn(60, "left"), end(40), corners="concentric", side="left")
        self.assertEqual([len(pipe.shots) for pipe in plan.pipes], [1, 1, 0])
        self.assertAlmostEqual(plan.pipes[0].shots[0].radius, RADIUS + 6)

    def test_sets_keep_to_the_shoe(self) -> None:
        plan = racked(offset(40, 4), end(80), corners="concentric")
        self.assertTrue(all(pipe.shots == () for pipe in plan.pipes))


class NextFromLast(unittest.TestCase):
    def test_the_next_is_laid_beside_the_last_as_it_was_built(self) -> None:
        plan = racked(
            turn(60, "left"), end(40), built=[{"pipe": 0, "bends": [{"bend": 0, "angle": 92}]}]
        )
        self.assertAlmostEqual(plan.pipes[1].bends[0].angle, 92)
        self.assertEqual(plan.pipes[0].bends[0].angle, 90)
        real = plan.pipes[0].built_as
        for leg, mate in zip(legs(real), legs(plan.pipes[1].path), strict=True):
            for point in mate:
                self.assertAlmostEqual(to_line(point, leg), 3, places=6)

    def test_a_mark_that_was_put_elsewhere_moves_the_next_one_too(self) -> None:
        straight = racked(turn(60, "left"), end(40))
        mark = straight.pipes[0].marks[0].position
        plan = racked(
            turn(60, "left"),
            end(40),
            built=[{"pipe": 0, "bends": [{"bend": 0, "mark": mark + 0.5}]}],
        )
        moved = plan.pipes[1].marks[0].position - straight.pipes[1].marks[0].position
        self.assertAlmostEqual(moved, 0.5, places=6)

    def test_bends_that_it_has_not_are_said(self) -> None:
        plan = racked(turn(60), end(40), built=[{"pipe": 0, "bends": [{"bend": 4, "angle": 30}]}])
        self.assertEqual([finding.code for finding in plan.findings], ["built-bend-unknown"])

    def test_what_can_t_have_been_built_is_said(self) -> None:
        plan = racked(
            offset(40, 4), end(80), built=[{"pipe": 0, "bends": [{"bend": 1, "mark": 5}]}]
        )
        self.assertIn("built-not-possible", [finding.code for finding in plan.findings])
        self.assertFalse(plan.can_be_made)


class Trouble(unittest.TestCase):
    def test_pipes_that_are_too_close_are_said_with_what_frees_them(self) -> None:
        plan = racked(*CORNER, spacing="1/2")
        finding = plan.findings[0]
        self.assertEqual((finding.level, finding.code), ("error", "pipes-touch"))
        # 0.706 − 0.5 = 0.206: the next sixteenth is 1/4.
        self.assertIn("space them 1/4 in wider", finding.text)
        # One word for all of them, and the touch that mends it does.
        self.assertEqual(len(plan.findings), 1)
        assert finding.remedy is not None
        self.assertEqual((finding.remedy.path, finding.remedy.value), ("rack.spacing", "3/4"))
        self.assertEqual(racked(*CORNER, spacing=finding.remedy.value).findings, ())

    def test_an_inner_pipe_that_can_t_be_bent_is_named_and_the_others_keep_their_marks(
        self,
    ) -> None:
        plan = racked(*CORNER, count=20)
        named = [f for f in plan.findings if f.code == "rack-pipe-cannot-be-made"]
        self.assertTrue(named[0].text.startswith("Pipe 13 can't be bent"))
        self.assertIn("other side", named[0].text)
        self.assertEqual(len(plan.pipes[11].marks), 3)
        self.assertEqual(plan.pipes[12].marks, ())

    def test_a_leg_that_is_used_up_ends_the_rack_with_a_word(self) -> None:
        plan = racked(turn(30), turn(20), end(30), count=8)
        gone = [f for f in plan.findings if f.code == "rack-leg-gone"]
        self.assertEqual(len(gone), 1)
        self.assertIn("before line 2", gone[0].text)
        self.assertLess(len(plan.pipes), 8)

    def test_a_run_that_can_t_be_made_is_a_rack_that_can_t(self) -> None:
        plan = racked(offset(40, 1, 60), end(80))
        self.assertFalse(plan.can_be_made)

    def test_printed_marks_are_set_aside_and_said(self) -> None:
        document = run(
            turn(60), end(40), method="table", rack={"count": 2, "side": "left", "spacing": 3}
        )
        plan = plan_rack(read_run(document))
        self.assertIn("rack-is-exact", [finding.code for finding in plan.findings])

    def test_what_can_t_be_read_is_refused_by_its_path(self) -> None:
        good = {"count": 3, "side": "left", "spacing": 3}
        for wrong, expected in (
            ({"count": 1}, "rack.count"),
            ({"count": 41}, "rack.count"),
            ({"spacing": 0}, "rack.spacing"),
            ({"spacing": "-3"}, "rack.spacing"),
            ({"side": "up"}, "rack.side"),
            ({"corners": "round"}, "rack.corners"),
            ({"shot": 0}, "rack.shot"),
            ({"pipes": [{}]}, "rack.pipes[0].conduit"),
            (
                {"pipes": [{"conduit": {"type": "emt", "size": "9"}, "bender": "hand-emt-1"}]},
                "rack.pipes[0].conduit.size",
            ),
            (
                {
                    "count": 2,
                    "pipes": [{"conduit": {"type": "emt", "size": "1"}, "bender": "hand-emt-1"}]
                    * 2,
                },
                "rack.pipes",
            ),
            ({"built": [{"pipe": 3, "bends": [{"bend": 0, "angle": 90}]}]}, "rack.built[0].pipe"),
            (
                {
                    "corners": "concentric",
                    "built": [{"pipe": 0, "bends": [{"bend": 0, "mark": 9}]}],
                },
                "rack.built[0].bends[0].mark",
            ),
        ):
            with self.subTest(expected=expected):
                told = refused(run(turn(60), end(40), rack={**good, **wrong}))
                self.assertTrue(told.startswith(expected), told)

    def test_five_pipes_keep_their_spacing_within_what_rounding_costs(self) -> None:
        walk = (offset(846, 112, 30), turn(1863), end(924))
        plan = plan_rack(read_run(metric(*walk, rack={"count": 5, "side": "right", "spacing": 60})))
        self.assertEqual(len(plan.gaps), 4)
        for gap in plan.gaps:
            # Half a millimetre for each of three marks of both pipes, and for where they are cut.
            self.assertLess(abs(gap.off), 0.5 * 3 * 2 + 0.5)

    def test_the_gap_that_is_told_is_that_of_the_rounded_marks(self) -> None:
        plan = racked(*CORNER)
        for gap in plan.gaps:
            one, other = plan.pipes[gap.pipe], plan.pipes[gap.pipe + 1]
            self.assertAlmostEqual(abs(gap.off), worst_leg(one, other), places=6)


def worst_leg(one: RackPipe, other: RackPipe) -> float:
    """By how much the middle of any leg misses the spacing, worked out from the vertices."""
    worst = 0.0
    for leg, mate in zip(legs(one.comes_out_as), legs(other.comes_out_as), strict=True):
        middle = tuple((a + b) / 2 for a, b in zip(*mate, strict=True))
        worst = max(worst, abs(to_line((middle[0], middle[1], middle[2]), leg) - 3))
    return worst


class Geometry(unittest.TestCase):
    def test_a_polyline_beside_another_by_hand(self) -> None:
        path: tuple[Vector, ...] = ((0, 0, 0), (10, 0, 0), (10, 10, 0))
        left = offset_polyline(path, carried(path, (0, 1, 0)), 2)
        for got, wanted in zip(left, ((0, 2, 0), (8, 2, 0), (8, 10, 0)), strict=True):
            self.assertLess(math.dist(got, wanted), 1e-12)
        out = offset_polyline(path, carried(path, (0, 0, 1)), 2)
        for got, wanted in zip(out, ((0, 0, 2), (10, 0, 2), (10, 10, 2)), strict=True):
            self.assertLess(math.dist(got, wanted), 1e-12)

    def test_the_small_corners_of_a_wide_one_are_equal_and_touch_its_arc(self) -> None:
        corner: tuple[Vector, ...] = ((-50, 0, 0), (0, 0, 0), (0, 50, 0))
        made = (corner[0], *chamfered(corner, 20, 9), corner[2])
        middle = (-20, 20, 0)
        for leg in legs(made)[1:-1]:
            self.assertAlmostEqual(to_line(middle, leg), 20)
        turns = []
        for before, at, after in zip(made, made[1:], made[2:], strict=False):
            a, b = subtract(at, before), subtract(after, at)
            turns.append(math.degrees(math.acos(dot(a, b) / length(a) / length(b))))
        for turned in turns:
            self.assertAlmostEqual(turned, 10, places=6)

    def test_the_closest_places_are_those_of_many_points(self) -> None:
        one: tuple[Vector, ...] = ((0, 0, 0), (30, 0, 0), (30, 30, 0))
        other: tuple[Vector, ...] = ((0, -3, 0), (33, -3, 0), (33, 30, 0))
        # Radius 2 inside, 9 outside: in the corner the outer pipe comes nearer than along the legs.
        near = rounded(one, [2.0]).nearest_to(rounded(other, [9.0]))
        apart = min(math.dist(p, q) for p in bent(one, 2.0) for q in bent(other, 9.0))
        self.assertAlmostEqual(near.distance, apart, delta=0.02)
        self.assertLess(near.distance, 3)
        self.assertEqual(near.corner, 1)


def bent(corner: tuple[Vector, ...], radius: float) -> list[Vector]:
    """Many points along a square corner with a round of a radius, worked out on its own."""
    (x0, y0, _), (x, y, _), (_, y1, _) = corner
    arc = [
        (
            x - radius + radius * math.sin(math.radians(n / 4)),
            y + radius - radius * math.cos(math.radians(n / 4)),
            0.0,
        )
        for n in range(361)
    ]
    before = [(x0 + (x - radius - x0) * n / 400, y0, 0.0) for n in range(401)]
    after = [(x, y + radius + (y1 - y - radius) * n / 400, 0.0) for n in range(401)]
    return [*before, *arc, *after]
