"""Runs of the demo data that are joined: every cut held to a sum worked by hand."""

from __future__ import annotations

import math
import unittest
from typing import Any

import yarrow
from jobs.demo import JOBS
from yarrow.pieces.piece_plan import PiecesOfRun


def demo(name: str) -> PiecesOfRun:
    documents: dict[str, Any] = {
        run["name"]: run for crew in JOBS.values() for job in crew for run in job["runs"]
    }
    return yarrow.pieces.values(documents[name])


def set_adds(rise: float, degrees: float, radius: float) -> float:
    """What a set of two bends takes beyond going straight on."""
    half = math.radians(degrees) / 2
    saved = 2 * radius * math.tan(half) - radius * 2 * half
    return rise * math.tan(half) - 2 * saved


def quarter(radius: float) -> float:
    """What a 90 saves beside its two legs."""
    return 2 * radius - math.pi / 2 * radius


class Joined(unittest.TestCase):
    def cuts(self, made: PiecesOfRun, *wanted: float) -> None:
        self.assertTrue(made.can_be_made)
        for piece, length in zip(made.pieces, wanted, strict=True):
            self.assertAlmostEqual(piece.plan.cut_length, length, places=3)

    def test_threads_from_box_to_box_over_a_strut(self) -> None:
        made = demo("Kiosk feed over the strut, rigid")
        radius, diameter = made.pieces[0].plan.bender.radius, 0.84
        thread, apart = 0.5337, 0.125
        # Floor to hub less the strut, 45 1/4 - 3 3/8, to the middle of the coupling.
        to_joint = 41.875
        self.cuts(
            made,
            thread + to_joint + set_adds(2.25, 22.5, radius) - apart / 2,
            (88 - to_joint) + 36.375 - diameter - quarter(radius) - apart / 2 + thread,
        )
        self.assertEqual([len(piece.threads) for piece in made.pieces], [1, 1])

    def test_a_running_coupler_at_an_angle_box(self) -> None:
        made = demo("Angle box, running coupler")
        radius, diameter = made.pieces[0].plan.bender.radius, 20.0
        # The coupler's near end is at 310: the pipe goes half a coupler, 15, beyond that.
        to_end = 310 + 15
        self.cuts(
            made,
            12 + 1184 + set_adds(86, 30, radius) + to_end - diameter - quarter(radius),
            620 - to_end + 12,
        )
        # Coupler, ring and two turns on the first piece's end; the box takes an ordinary thread.
        threads = [tuple(map(str, piece.threads)) for piece in made.pieces]
        self.assertEqual(threads, [("37",), ("12",)])

    def test_a_set_and_a_90_measured_to_half_a_coupling(self) -> None:
        made = demo("Scale house stub, to half a coupling")
        radius, diameter, thread = made.pieces[0].plan.bender.radius, 0.84, 0.5337
        # Half of the eighth that stays open in the coupling is short of its middle.
        self.cuts(
            made,
            thread + 52.5 + set_adds(3, 30, radius) + 27.625 - diameter - quarter(radius) - 0.0625,
        )

    def test_three_sticks_of_a_loft_feed(self) -> None:
        made = demo("Loft feed, three sticks")
        whole = sum(piece.plan.cut_length for piece in made.pieces) + 2 * 1.6 / 25.4
        radius, diameter = made.pieces[0].plan.bender.radius, 0.922
        legs = 96 + 118.5 + 140 - 2 * diameter
        self.assertAlmostEqual(whole, legs + set_adds(3.5, 22.5, radius) - 2 * quarter(radius), 3)


if __name__ == "__main__":
    unittest.main()
