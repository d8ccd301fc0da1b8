"""A bender that is known better than when a run was planned: what moves, as the tape reads."""

from __future__ import annotations

import unittest

import yarrow
from core.tests.builders import end, run, turn

OWN = {"kind": "hand", "take_up": 5, "radius": 4.471}


class KnownBetter(unittest.TestCase):
    RUN = run(turn("18 3/8"), end(30), bender=OWN)

    def test_a_longer_take_up_brings_the_mark_nearer_by_as_much(self) -> None:
        answer = yarrow.recalibrated(self.RUN, {**OWN, "take_up": "5 1/8"})
        self.assertEqual(answer["marks"], [{"bend": 0, "was": "13 3/8", "now": "13 1/4"}])
        self.assertEqual(answer["cut_was"], answer["cut_now"])

    def test_a_wider_radius_saves_pipe(self) -> None:
        # 0.429 of what it is wider by: 1 makes 7/16.
        answer = yarrow.recalibrated(self.RUN, {**OWN, "radius": 5.471})
        self.assertEqual((answer["cut_was"], answer["cut_now"]), ("3' 9 3/4\"", "3' 9 5/16\""))

    def test_the_same_moves_nothing(self) -> None:
        self.assertEqual(yarrow.recalibrated(self.RUN, OWN)["marks"], [])


if __name__ == "__main__":
    unittest.main()
