"""Saddles, kicks and box offsets: they clear what they go over, and land where asked."""

from __future__ import annotations

import math
import unittest
from itertools import pairwise

from hypothesis import given
from hypothesis import strategies as st

from core.tests.builders import (
    DIAMETER,
    box_offset,
    codes,
    end,
    found,
    kick,
    offset,
    planned,
    saddle3,
    saddle4,
    turn,
)
from yarrow.documents.errors import DocumentError
from yarrow.geometry.vectors import Vector
from yarrow.runs.model.plan import WrittenPlan


def lowest_over(plan: WrittenPlan, begins: float, ends: float) -> float:
    """The least height (z) of the centreline over a stretch of the first leg, walked in steps."""
    least = math.inf
    here = plan.path[0]
    pieces = []
    for bend in plan.bends:
        before, vertex, after = (plan.path[bend.vertex + step] for step in (-1, 0, 1))
        reach = bend.radius * math.tan(math.radians(bend.angle) / 2)
        start = _toward(vertex, before, reach)
        pieces.append((here, start))
        stop = _toward(vertex, after, reach)
        steps = 60
        arc = [_on_arc(start, vertex, stop, bend.radius, n / steps) for n in range(steps + 1)]
        pieces += list(pairwise(arc))
        here = stop
    pieces.append((here, plan.path[-1]))
    for (x1, _, z1), (x2, _, z2) in pieces:
        for part in range(21):
            x, z = x1 + (x2 - x1) * part / 20, z1 + (z2 - z1) * part / 20
            if begins <= x <= ends:
                least = min(least, z)
    return least


def _toward(start: Vector, other: Vector, distance: float) -> Vector:
    return _between(start, other, distance / math.dist(start, other))


def _between(a: Vector, b: Vector, part: float) -> Vector:
    return (
        a[0] + (b[0] - a[0]) * part,
        a[1] + (b[1] - a[1]) * part,
        a[2] + (b[2] - a[2]) * part,
    )


def _on_arc(start: Vector, vertex: Vector, stop: Vector, radius: float, part: float) -> Vector:
    """A point of the arc that touches both legs of a vertex, by its centre and the chord."""
    middle = _between(start, stop, 0.5)
    half = math.dist(start, stop) / 2
    down = math.sqrt(radius**2 - half**2)
    centre = _between(vertex, middle, 1 + down / math.dist(vertex, middle))
    return _toward(centre, _between(start, stop, part), radius)


class MeasuredTo(unittest.TestCase):
    def test_a_90_to_its_inside_is_one_to_its_back_a_diameter_further_on(self) -> None:
        inside = planned(turn(40, of="inside"), end(60))
        back = planned(turn(40 + DIAMETER, of="back"), end(60))
        self.assertEqual(inside.path, back.path)
        # The inside's face is at 40: half a pipe behind it runs the centreline of the next leg.
        self.assertAlmostEqual(inside.path[1][0], 40 + DIAMETER / 2)

    def test_a_60_to_its_inside(self) -> None:
        # The inside faces meet half a diameter times the tangent of 30 short of the vertex.
        plan = planned(turn(40, of="inside", angle=60), end(60))
        self.assertAlmostEqual(plan.path[1][0], 40 + DIAMETER / 2 * math.tan(math.radians(30)))


class Saddles(unittest.TestCase):
    @given(st.floats(0.5, 5), st.floats(0, 1), st.sampled_from([30, 45, 60, 90]), st.floats(40, 60))
    def test_a_3_bend_passes_at_the_rise_and_the_air_and_no_higher(
        self, rise: float, air: float, angle: float, at: float
    ) -> None:
        plan = planned(saddle3(at, rise, angle, clearance=air), end(150))
        if not plan.can_be_made:
            return
        over = lowest_over(plan, at - 0.01, at + 0.01)
        self.assertAlmostEqual(over, rise + air, delta=0.01)

    @given(
        st.floats(0.5, 6), st.floats(0.5, 20), st.sampled_from([22.5, 30, 45]), st.floats(40, 60)
    )
    def test_a_4_bend_is_fully_over_the_whole_width_and_down_again_after(
        self, rise: float, width: float, angle: float, at: float
    ) -> None:
        plan = planned(saddle4(at, width, rise, angle), end(170))
        if not plan.can_be_made:
            return
        self.assertAlmostEqual(lowest_over(plan, at, at + width), rise, places=3)
        self.assertAlmostEqual(plan.path[-1][2], 0, places=9)

    def test_arcs_without_room_are_said_with_the_rise_that_has_it(self) -> None:
        # A 4-bend of 1/4 at 30°: each of its slopes needs 2 R (1 − cos 30°) = 1.198.
        finding = found(planned(saddle4(50, 8, "1/4"), end(120)), "arcs-overlap")
        self.assertIn("1 1/4 in", finding.text)
        assert finding.remedy
        self.assertEqual(finding.remedy.path, "walk[0].angle")

    def test_a_saddle_that_the_notch_is_not_for_says_so(self) -> None:
        plan = planned(saddle3(50, 3, 60), end(120))
        self.assertEqual(found(plan, "centre-notch-does-not-serve").level, "note")
        self.assertEqual({mark.reference for mark in plan.marks}, {"front"})


class Kicks(unittest.TestCase):
    def test_the_angle_follows_from_the_two_places(self) -> None:
        # From 20 on, over by 3 at the turn whose vertex lies at 60 − R... the back at 60.
        plan = planned(kick(20, 3), turn(60), end(40))
        run = 60 - DIAMETER / 2 - 20
        self.assertAlmostEqual(plan.bends[0].angle, math.degrees(math.atan(3 / run)), places=6)
        # The turn still leaves to the left.
        leaving = [b - a for a, b in zip(plan.path[-2], plan.path[-1], strict=True)]
        self.assertAlmostEqual(leaving[0], 0, places=9)
        self.assertAlmostEqual(leaving[2], 0, places=9)

    def test_to_the_end_it_leans_all_the_way(self) -> None:
        plan = planned(turn(40), kick("9 1/2", "1 1/8"), end("29 5/8"))
        self.assertAlmostEqual(plan.path[-1][2], -1.125, places=9)

    def test_nothing_comes_between_a_kick_and_its_turn(self) -> None:
        plan = planned(kick(20, 2), offset(50, 3), end(90))
        self.assertIn("kick-not-last", codes(plan))
        self.assertFalse(plan.can_be_made)


class BoxOffsets(unittest.TestCase):
    def test_on_spacers_a_turn_measures_what_was_asked_to_the_wall_behind_it(self) -> None:
        # 30 to the wall that its back stands 1 off: the centreline turns at 30 − 1 − 0.353.
        plan = planned(turn(30, "left"), end(30), stand_off=1)
        self.assertAlmostEqual(plan.path[1][0], 30 - 1 - 0.706 / 2, places=2)
        at = next(made for made in plan.dimensions if (made.feature, made.field) == (0, "at"))
        self.assertAlmostEqual(at.comes_out, 30, delta=1 / 16)

    def test_the_margin_is_left_at_either_end(self) -> None:
        plan = planned(
            box_offset("start", "7/16", margin="2 1/8"),
            box_offset("end", "7/16", toward="out", margin="2 1/4"),
            end(60, allowance="1/2"),
            start={"kind": "hub", "allowance": "1/2"},
        )
        # The mark that is nearer to each end, the hook toward that.
        first, last = plan.marks[0], plan.marks[-1]
        self.assertEqual((first.hook, last.hook), ("start", "end"))
        self.assertAlmostEqual(first.position, 2.125, places=9)
        self.assertAlmostEqual(plan.cut_length - last.position, 2.25, places=9)
        self.assertAlmostEqual(plan.path[2][2], -0.4375, places=9)
        self.assertAlmostEqual(plan.path[-1][2], 0, places=9)
        # By hand: the arc begins a = 0.176 beyond its mark.
        self.assertAlmostEqual(plan.bends[0].arc_start, 2.125 + 0.1759, 3)

    def test_it_stands_at_an_end_of_the_walk_alone(self) -> None:
        for walk in (
            (offset(30, 4), box_offset("start", 1), end(90)),
            (box_offset("end", 1), offset(30, 4), end(90)),
        ):
            with self.assertRaises(DocumentError) as caught:
                planned(*walk)
            self.assertIn(".where", caught.exception.path)


class Totals(unittest.TestCase):
    def test_legs_and_shrink_less_gain_make_the_cut(self) -> None:
        plan = planned(offset(47, "4 3/8"), turn(90), end(40))
        legs = (90 - DIAMETER / 2) + (40 - DIAMETER / 2)
        self.assertAlmostEqual(legs + plan.totals.shrink - plan.totals.gain, plan.cut_length)
        # h tan(θ/2) − 2 g = 1.172 − 0.110, as docs/geometry.md has it.
        self.assertAlmostEqual(plan.totals.shrink, 1.062, places=3)
