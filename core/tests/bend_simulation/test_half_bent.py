"""The half-bent pipe in the bender: where it lies, what it meets, by hand and by finer sampling."""

from __future__ import annotations

import math
import random
import unittest
from dataclasses import replace
from itertools import pairwise
from typing import Any

from hypothesis import given, settings

from core.tests.bend_simulation.half_bent_cases import HOOKS, cases, developed
from core.tests.builders import end, metric, offset, run, turn
from core.tests.properties.strategies import makeable_runs
from yarrow.bend_simulation.collisions import find_collisions
from yarrow.bend_simulation.half_bent import ArcSegment, half_bent
from yarrow.bend_simulation.reach import pushed_down
from yarrow.catalog.stances import Stance, stances
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.rounded_polyline import StraightSegment

HALF = 0.353
FLOOR = Stance("floor", 0.0, 0.0)


def on_floor(document: dict[str, Any], made: list[int], index: int, hook: Any) -> float:
    """How high the bender has to stand for one bend, on a floor and without a handle."""
    planned, pipe, _ = developed(document)
    met = find_collisions(pipe, made, index, hook, planned.bender, FLOOR, planned.unit)
    return max((strike.by for strike in met), default=0.0)


STUB_AND_OFFSET = run(turn(18, "left"), offset(40, 4, 30, "right"), end(80))


class ByHand(unittest.TestCase):
    def test_a_stub_that_points_down_wants_its_own_height(self) -> None:
        # 18 to its back: its end lies 18 − 0.353 under the centreline, which is 0.353 up.
        self.assertAlmostEqual(on_floor(STUB_AND_OFFSET, [0], 1, "end"), 18 - 2 * HALF, places=6)

    def test_turned_the_other_way_it_stands_up_and_is_clear(self) -> None:
        up = run(turn(18, "left"), offset(40, 4, 30, "left"), end(80))
        self.assertEqual(on_floor(up, [0], 1, "end"), 0)

    def test_square_to_the_bend_it_lies_on_the_floor(self) -> None:
        flat = run(turn(18, "left"), offset(40, 4, 30, "out"), end(80))
        self.assertEqual(on_floor(flat, [0], 1, "end"), 0)

    def test_the_second_bend_of_a_set_hangs_by_the_slope_of_the_first(self) -> None:
        document = run(offset(40, 4, 30, "left"), end(80))
        planned, pipe, _ = developed(document)
        first = pipe.bends[0]
        # What lies before the first bend falls at 30 degrees; its far edge is D/2 cos 30° under
        # its middle. The bend itself lowers it by R (1 − cos 30°).
        fall = first.arc_start * math.sin(math.radians(30))
        bent = planned.bender.radius * (1 - math.cos(math.radians(30)))
        edge = HALF * math.cos(math.radians(30))
        wanted = fall + bent + edge - HALF
        self.assertAlmostEqual(on_floor(document, [0], 1, "end"), wanted, places=6)

    def test_nothing_is_met_by_a_pipe_that_is_still_straight(self) -> None:
        self.assertEqual(on_floor(STUB_AND_OFFSET, [], 0, "start"), 0)

    def test_on_a_bench_there_is_room_below(self) -> None:
        document = metric(turn(400, "left"), offset(900, 80, 30, "right"), end(1800))
        planned, pipe, _ = developed(document)
        bench = replace(stances("bench").usual, table=None)
        met = find_collisions(pipe, [0], 1, "end", planned.bender, bench, "mm")
        self.assertEqual(met, ())
        longer = metric(turn(1000, "left"), offset(900, 80, 30, "right"), end(1800))
        planned, pipe, _ = developed(longer)
        met = find_collisions(pipe, [0], 1, "end", planned.bender, bench, "mm")
        # A stub of 1000 to its back, from a bench of 850.
        self.assertAlmostEqual(met[0].by, 1000 - 10 - 10 - 850, places=6)

    def test_in_the_air_what_is_behind_the_shoe_is_pushed_down(self) -> None:
        planned, pipe, _ = developed(run(turn(20), end(60)))
        air = stances("hand").at("air")
        assert air
        (met,) = find_collisions(pipe, [], 0, "start", planned.bender, air, "in")
        # At 90 it stands on end: its straight part, less the 965 mm of the handle.
        self.assertAlmostEqual(met.by, pipe.straights[1] - 965 / 25.4, places=6)
        self.assertEqual(find_collisions(pipe, [], 0, "end", planned.bender, air, "in"), ())

    def test_what_hangs_toward_the_floor_is_lowest_before_the_bend_is_made(self) -> None:
        # 20 behind a shoe of radius 4 and 3 toward the floor: (20 − 4φ) sin φ − cos φ beyond the
        # shoe's centre. That is most where tan φ = (20 − 4φ)/3: at 78.3 degrees, not at 90.
        level = StraightSegment((-20.0, 0.0, 3.0), (-20.0, 5.0, 3.0))
        deepest = pushed_down([level], 0.0, 0.0, 4.0, math.pi / 2)
        assert deepest
        self.assertAlmostEqual(deepest.under, 14.0289, places=3)
        self.assertAlmostEqual(math.degrees(deepest.moment), 78.33, places=1)


class Simulated(unittest.TestCase):
    @settings(max_examples=40)
    @given(makeable_runs())
    def test_the_bent_pipe_is_the_planned_one_wherever_it_lies(
        self, document: dict[str, Any]
    ) -> None:
        _, pipe, _ = developed(document)
        if not pipe.bends:
            return
        everything = range(len(pipe.bends))
        shapes = [
            half_bent(pipe, everything, n, pipe.bends[n].angle, hook)
            for n in (0, len(pipe.bends) - 1)
            for hook in HOOKS
        ]
        tips = [[piece.points(1)[0] for piece in shape.pieces] for shape in shapes]
        for others in tips[1:]:
            for n in range(0, len(others), 2):
                self.assertAlmostEqual(
                    math.dist(others[0], others[n]), math.dist(tips[0][0], tips[0][n]), places=5
                )

    def test_behind_the_shoe_it_lies_still_and_ahead_it_is_swept_up(self) -> None:
        _, pipe, _ = developed(STUB_AND_OFFSET)
        for angle_so_far in (0.0, 10.0, 30.0):
            bent = half_bent(pipe, [0], 1, angle_so_far, "end")
            lying = bent.pieces[2]
            self.assertAlmostEqual(lying.points(1)[0][2], 0)
            self.assertAlmostEqual(lying.points(1)[1][2], 0)
            self.assertGreaterEqual(bent.pieces[-1].points(1)[1][2], -1e-9)

    def test_arcs_keep_their_length_while_they_form(self) -> None:
        _, pipe, _ = developed(STUB_AND_OFFSET)
        for hook in HOOKS:
            bent = half_bent(pipe, [], 0, 45.0, hook)
            (arc,) = (piece for piece in bent.pieces if isinstance(piece, ArcSegment))
            self.assertAlmostEqual(arc.radius * arc.turn, arc_length(arc.radius, 45))
            straight = sum(
                math.dist(*piece.points(1))
                for piece in bent.pieces
                if not isinstance(piece, ArcSegment)
            )
            self.assertAlmostEqual(straight + arc.radius * arc.turn, pipe.cut_length)

    def test_what_is_said_to_be_clear_never_goes_under_when_sampled_ten_times_finer(self) -> None:
        rng = random.Random(4)
        clear = 0
        for document, made, index, hook in cases(rng, 150):
            planned, pipe, _ = developed(document)
            met = find_collisions(pipe, made, index, hook, planned.bender, FLOOR, "in")
            lowest = self.lowest(pipe, made, index, hook, planned.bender.diameter)
            if met:
                # The finer look finds no less, and hardly more: it was looked at where it is close.
                self.assertGreater(met[0].by, -lowest - 0.1)
            else:
                clear += 1
                self.assertGreaterEqual(lowest, -0.03 * planned.bender.diameter)
        self.assertGreater(clear, 20)

    def lowest(
        self, pipe: StraightPipe, made: list[int], index: int, hook: Any, diameter: float
    ) -> float:
        count = max(1, math.ceil(pipe.bends[index].angle / 0.5))
        found = math.inf
        for n in range(count + 1):
            angle_so_far = pipe.bends[index].angle * n / count
            bent = half_bent(pipe, made, index, angle_so_far, hook)
            for piece in (*bent.behind, *bent.ahead):
                points = piece.points(20)
                for a, b in pairwise(points):
                    size = math.dist(a, b) or 1.0
                    level = math.sqrt(max(1 - ((b[2] - a[2]) / size) ** 2, 0))
                    found = min(found, min(a[2], b[2]) - diameter / 2 * level + diameter / 2)
        return found
