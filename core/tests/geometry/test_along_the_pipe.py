"""Places on a pipe and on its rounded line, by hand."""

from __future__ import annotations

import math
import unittest

from yarrow.bend_simulation.splitting import _stretch_of
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.geometry.rounded_polyline import rounded
from yarrow.geometry.straights import StraightPart, straight_at

X, Y = (1.0, 0.0, 0.0), (0.0, 1.0, 0.0)


class Rounded(unittest.TestCase):
    def test_a_corner_is_cut_on_its_inside(self) -> None:
        # A 90 of radius 2 at (10, 0): about (8, 2), from (8, 0) to (10, 2).
        line = rounded([(0, 0, 0), (10, 0, 0), (10, 10, 0)], [2.0])
        first, *_, last = line.segments[1].points(8)
        middle = line.segments[1].points(2)[1]
        half = 2 * math.sqrt(0.5)
        for found, wanted in (
            (first, (8, 0, 0)),
            (middle, (8 + half, 2 - half, 0)),
            (last, (10, 2, 0)),
        ):
            for one, other in zip(found, wanted, strict=True):
                self.assertAlmostEqual(one, other)


class Straights(unittest.TestCase):
    def test_a_place_in_an_arc_is_of_the_straight_that_is_nearer(self) -> None:
        one, other = StraightPart(0, 10, (0, 0, 0), X), StraightPart(14, 30, (12, 2, 0), Y)
        for place, wanted in (
            (-1, one),
            (4, one),
            (11, one),
            (13, other),
            (20, other),
            (40, other),
        ):
            with self.subTest(place=place):
                self.assertIs(straight_at((one, other), place), wanted)


class Stretches(unittest.TestCase):
    def test_a_stretch_of_a_pipe_begins_where_it_is_cut(self) -> None:
        # Two 90s of radius 4, 6.283 long, from 10 and from 30 on 60; cut at 20 and at 50.
        bends = (PipeBend(10, 90, 0, 4), PipeBend(30, 90, 180, 4))
        between = 30 - bends[0].arc_end
        straights = (10, between, 60 - bends[1].arc_end)
        pipe = StraightPipe(60, straights, bends, (1, 2), X, Y)
        stretch = _stretch_of(pipe, 1, 2, 20, 50)
        self.assertEqual(stretch.cut_length, 30)
        self.assertEqual((stretch.bends[0].arc_start, stretch.bends[0].roll), (10, 0))
        self.assertAlmostEqual(stretch.straights[0], 10)
        self.assertAlmostEqual(stretch.straights[1], 20 - 4 * math.pi / 2)


if __name__ == "__main__":
    unittest.main()
