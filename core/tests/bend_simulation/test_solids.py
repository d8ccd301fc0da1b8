"""Bench, handle and heel: what the half-bent pipe meets of them, by hand and by finer sampling."""

from __future__ import annotations

import math
import random
import unittest
from dataclasses import replace
from typing import Any

from core.tests.bend_simulation.half_bent_cases import cases, developed
from core.tests.builders import DIAMETER, RADIUS, end, metric, offset, run, turn
from yarrow.bend_simulation.collisions import Collision, find_collisions
from yarrow.bend_simulation.half_bent import half_bent
from yarrow.bend_simulation.moving import moving
from yarrow.bend_simulation.solids import bars
from yarrow.benders.bender import Hook
from yarrow.catalog.stances import Stance, stances
from yarrow.documents.run.reading import read_run
from yarrow.geometry.vectors import Vector
from yarrow.runs.bending_sequence import handle_run
from yarrow.wording.phrase import Phrase, Quantity

APART = DIAMETER / 2 + 15 / 25.4
"""Centreline of the pipe to that of a handle 30 mm thick."""

SPARE = 0.25
"""Inches that the simulation keeps to spare on a handle of 965 mm, at most."""


def met(
    document: dict[str, Any], made: list[int], index: int, hook: Hook, where: Stance
) -> dict[str, Collision]:
    planned, pipe, _ = developed(document)
    found = find_collisions(pipe, made, index, hook, planned.bender, where, planned.unit)
    return {strike.what: strike for strike in found}


class Reach(unittest.TestCase):
    def test_a_heel_is_measured_from_the_groove_that_the_pipe_lies_in(self) -> None:
        # The groove's bottom is half a pipe beyond the centreline; 100 mm of heel below that.
        bender = read_run(run(turn(40), end(30))).setup.bender
        usual = stances("hand").usual
        heel = bars(bender, replace(usual, heel_mm=100), "in")["heel"]
        self.assertAlmostEqual(heel.far, RADIUS + DIAMETER / 2 + 100 / 25.4)


class Handle(unittest.TestCase):
    """A U: the second 90 is in the pipe, its leg stands up ahead of the hook at the first."""

    def leg(self, height: float) -> dict[str, Collision]:
        return met(run(turn(30), turn(20), end(height)), [1], 0, "end", stances("hand").usual)

    def test_a_leg_that_crosses_the_handle_meets_it(self) -> None:
        # Middle through middle: as deep as both are thick.
        self.assertAlmostEqual(self.leg(40)["handle"].by, APART, places=9)

    def test_the_longest_handle_that_clears_a_leg_is_told(self) -> None:
        document = run(turn(40), turn(20), end(60))
        handling = handle_run(read_run(document))
        first, second = handling.orders[0].bends
        told = handling.findings[0].values["shorter"]
        assert isinstance(told, Phrase)
        reach = told.values["reach"]
        assert isinstance(reach, Quantity)

        def with_handle(inches: float) -> dict[str, Collision]:
            where = replace(stances("hand").usual, handle_mm=inches * 25.4)
            return met(document, [first.bend], second.bend, second.hook, where)

        self.assertNotIn("handle", with_handle(reach.value))
        self.assertIn("handle", with_handle(reach.value + 0.5))

    def test_a_leg_that_ends_below_it_does_not(self) -> None:
        # Over the shoe's centre the handle rises by tan 60° of the way along; what keeps a tip
        # from it is its distance over cos 60°.
        along = (20 - DIAMETER) - RADIUS
        tip = RADIUS + along * math.sqrt(3) - (APART + SPARE) * 2
        self.assertNotIn("handle", self.leg(tip - 0.1 + DIAMETER / 2))
        self.assertIn("handle", self.leg(tip + SPARE * 3 + DIAMETER / 2))

    def test_a_leg_that_leaves_sideways_is_never_met(self) -> None:
        flat = run(turn(30), turn(20, "out"), end(60))
        self.assertNotIn("handle", met(flat, [1], 0, "end", stances("hand").usual))

    def test_a_shorter_handle_clears_it(self) -> None:
        along = (20 - DIAMETER) - RADIUS
        short = replace(stances("hand").usual, handle_mm=(along * 2 - 3) * 25.4)
        document = run(turn(30), turn(20), end(40))
        self.assertNotIn("handle", met(document, [1], 0, "end", short))


class Heel(unittest.TestCase):
    def test_a_leg_close_behind_the_shoe_meets_the_heel_as_it_comes_down(self) -> None:
        # 11 from back to back: the leg stands 11 − D − R behind the arc at first, and is drawn
        # nearer by the length of the arc while the heel swings down behind the shoe.
        close = met(run(turn(30), turn(11), end(30)), [0], 1, "end", stances("hand").usual)
        self.assertIn("heel", close)
        self.assertGreater(close["heel"].angle_so_far, 45)

    def test_far_behind_it_does_not(self) -> None:
        far = met(run(turn(12), turn(30), end(30)), [0], 1, "end", stances("hand").usual)
        self.assertNotIn("heel", far)


class Bench(unittest.TestCase):
    def test_a_leg_that_points_down_beside_the_bench_is_clear_and_over_it_is_not(self) -> None:
        bench = stances("bench").usual
        # A stub of 200 to its back, drawn on by 30 degrees of arc: it stands well behind.
        beside = metric(turn(200, "left"), offset(1200, 80, 30, "right"), end(1800))
        self.assertEqual(met(beside, [0], 1, "end", bench), {})
        over = metric(turn(200, "left"), offset(480, 80, 30, "right"), end(1800))
        strike = met(over, [0], 1, "end", bench)["bench"]
        # Its end lies 200 − 10 under the centreline, the top 10 + 60.
        self.assertAlmostEqual(strike.by, 200 - 10 - 10 - 60, places=6)

    def test_the_second_bend_of_a_set_may_hang_as_far_as_the_top_is_below(self) -> None:
        # The leg before it falls at 30 degrees: half its length, and a little for the bend itself.
        for begins, clear in ((60, True), (200, False)):
            document = metric(offset(begins, 60, 30, of="begin"), end(1500))
            strike = met(document, [0], 1, "end", stances("bench").usual)
            self.assertEqual("bench" not in strike, clear, begins)


class Moved(unittest.TestCase):
    def test_what_is_swept_and_drawn_lies_where_the_bent_pipe_does(self) -> None:
        rng = random.Random(11)
        for document, made, index, hook in cases(rng, 40):
            _, pipe, _ = developed(document)
            moves = moving(pipe, made, index, hook)
            for part in (0.0, 0.4, 1.0):
                angle_so_far = part * moves.angle
                bent = half_bent(pipe, made, index, angle_so_far, hook)
                for mine, true in (
                    (moves.ahead_at(angle_so_far), bent.ahead),
                    (moves.behind_at(angle_so_far), bent.behind),
                ):
                    for one, other in zip(mine, true, strict=True):
                        for a, b in zip(one.points(3), other.points(3), strict=True):
                            self.assertLess(math.dist(a, b), 1e-6)

    def test_what_is_clear_of_handle_heel_and_bench_is_so_when_sampled_ten_times_finer(
        self,
    ) -> None:
        rng = random.Random(12)
        clear = {"handle": 0, "heel": 0, "bench": 0}
        table = stances("bench").usual.table
        where = replace(stances("hand").usual, height_mm=850, table=table)
        for document, made, index, hook in cases(rng, 60):
            planned, pipe, _ = developed(document)
            found = find_collisions(pipe, made, index, hook, planned.bender, where, "in")
            said = {strike.what for strike in found}
            tool = bars(planned.bender, where, "in")
            count = max(1, math.ceil(pipe.bends[index].angle / 0.5))
            closest = {"handle": math.inf, "heel": math.inf}
            deepest = -math.inf
            for n in range(count + 1):
                angle_so_far = pipe.bends[index].angle * n / count
                bent = half_bent(pipe, made, index, angle_so_far, hook)
                points = [p for each in (*bent.behind, *bent.ahead) for p in each.points(20)]
                for what in closest:
                    closest[what] = min(
                        closest[what],
                        *(to_bar(p, tool[what], angle_so_far) for p in points),
                        math.inf,
                    )
                deepest = max([deepest, *(in_table(p, planned.bender.diameter) for p in points)])
            for what in closest.keys() - said:
                clear[what] += 1
                self.assertGreater(closest[what], APART - 1e-6, (document, made, index, hook))
            if "bench" not in said:
                clear["bench"] += 1
                self.assertLess(deepest, 0.03 * DIAMETER, (document, made, index, hook))
        self.assertGreater(min(clear.values()), 10, clear)


def to_bar(point: Vector, bar: Any, angle_so_far: float) -> float:
    """How far a point is from a handle or heel, worked out on its own."""
    lean = math.radians(bar.leans + angle_so_far)
    x, y, z = point[0], point[1], point[2] - RADIUS
    out = min(max(x * math.cos(lean) + z * math.sin(lean), bar.near), bar.far)
    return math.dist((x, y, z), (out * math.cos(lean), 0.0, out * math.sin(lean)))


def in_table(point: Vector, diameter: float) -> float:
    """How far the centreline lies too low over the bench, for a pipe that lies level."""
    x, y, z = point
    if not (-350 / 25.4 < x < 150 / 25.4 and abs(y) < 150 / 25.4):
        return -math.inf
    # A sloping pipe's skin is nearer to its centreline: what counts as clear for that is certain.
    return -z - 60 / 25.4 - diameter / 2 - diameter / 2
