"""Whether a threaded run can be screwed together: who turns, and what a bent piece sweeps."""

from __future__ import annotations

import math
import random
import unittest
from typing import Any

from core.tests.builders import end, metric, run, turn
from yarrow import pieces_values
from yarrow.geometry.vectors import along, cross, dot, length, scaled, subtract
from yarrow.pieces.getting_in import reach_of_turn

RIGID: dict[str, Any] = {"conduit": {"type": "rmc", "size": "3/4"}, "bender": "ratchet-1"}
HUB: dict[str, Any] = {"start": {"kind": "hub"}}


def codes(document: dict[str, Any]) -> list[str]:
    found = {"sweeps-when-turned", "both-ends-held"}
    return [str(each.code) for each in pieces_values(document).findings if each.code in found]


class GettingIn(unittest.TestCase):
    def test_thin_wall_is_pushed_in_and_nothing_is_said(self) -> None:
        self.assertEqual(codes(run(turn(70), end(110, fitting="connector"))), [])

    def test_a_straight_piece_turns_in_its_own_length(self) -> None:
        self.assertEqual(codes(run(end(200), **HUB, **RIGID)), [])

    def test_a_bent_piece_sweeps(self) -> None:
        long = run(turn(70), end(60), **HUB, **RIGID)
        self.assertEqual(codes(long), ["sweeps-when-turned"])
        # The first piece is straight then, and the bent one goes on to it.
        parted = {**long, "joints": {"places": [{"at": 40}]}}
        self.assertEqual(codes(parted), ["sweeps-when-turned"])
        self.assertIn("on to the piece before, piece 2", pieces_values(parted).findings[0].text)
        # From an open start the piece before a joint is only pushed up to it.
        one = run(turn(30), end(60), **RIGID)
        self.assertEqual(codes(one), [])

    def test_two_threaded_ends_want_something_that_closes_without_a_turn(self) -> None:
        both = run(end(200, fitting="hub"), **HUB, **RIGID)
        self.assertEqual(codes(both), ["both-ends-held"])
        self.assertEqual(codes({**both, "joints": {"coupling": "union"}}), [])
        said = pieces_values(both).findings[0].text
        self.assertIn("three-piece coupling", said)

    def test_a_running_coupler_closes_a_metric_run(self) -> None:
        steel = {"conduit": {"type": "steel", "size": "20"}, "bender": "bench-steel-20"}
        both = metric(end(5000, fitting="hub"), **HUB, **steel)
        self.assertEqual(codes(both), ["both-ends-held"])
        self.assertIn("running coupler", pieces_values(both).findings[0].text)
        self.assertEqual(codes({**both, "joints": {"coupling": "running-coupler"}}), [])

    def test_the_sweep_is_the_widest_that_any_turn_comes_to(self) -> None:
        rng = random.Random(2)
        for number in range(40):
            path = [(0.0, 0.0, 0.0), (rng.uniform(5, 20), 0.0, 0.0)]
            for _ in range(3):
                path.append(tuple(each + rng.uniform(-30, 30) for each in path[-1]))
            turned = [
                abs(_about(path[1], point, angle)[1])
                for point in path
                for angle in range(0, 360, 1)
            ]
            with self.subTest(number):
                found = reach_of_turn(path, 2.0)
                self.assertGreaterEqual(found, max(turned) + 1.0 - 1e-9)
                self.assertLess(found, (max(turned)) * 1.001 + 1.0)


def _about(way: Any, point: Any, degrees: int) -> Any:
    """A point turned about the line from the origin in a direction."""
    axis = scaled(way, 1 / length(way))
    angle = math.radians(degrees)
    flat = scaled(axis, dot(point, axis))
    off = subtract(point, flat)
    aside = along(scaled(off, math.cos(angle)), cross(axis, off), math.sin(angle))
    return along(flat, aside, 1.0)


if __name__ == "__main__":
    unittest.main()
