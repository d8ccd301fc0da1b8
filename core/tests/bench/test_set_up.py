"""How a larger machine is set up for a pipe, before its first bend and not again."""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from core.tests.builders import end, offset, run, turn

CAME_OUT = {"format": "yarrow.bench/1", "units": "in", "made": []}


class SetUp(unittest.TestCase):
    def checks(self, kind: str, bender: str, size: str = "1") -> list[list[str]]:
        conduit = {"type": kind, "size": size}
        walk = (turn(40), offset(70, 6), end(90))
        answer: Any = yarrow.bench(run(*walk, conduit=conduit, bender=bender), CAME_OUT)
        return [each["checks"] for each in answer["before"]]

    def test_groove_pin_follow_bar_and_least_stub_of_a_mechanical_one(self) -> None:
        first, *others = self.checks("rmc", "mechanical-2", "1-1/4")
        told = " ".join(first)
        for words in ("marked rigid", "Pin and roller", "its rigid side in", "No stub on it"):
            with self.subTest(words):
                self.assertIn(words, told)
                self.assertNotIn(words, str(others))
        self.assertIn("marked thin wall", " ".join(self.checks("emt", "mechanical-2", "1-1/4")[0]))

    def test_a_powered_one_s_scale_is_believed_and_hands_are_off(self) -> None:
        told = " ".join(self.checks("rmc", "powered-2")[0])
        for words in ("not the readout", "roller set", "Hands are off"):
            self.assertIn(words, told)

    def test_what_swings_up_is_said_as_high_as_it_comes_over_the_floor(self) -> None:
        # A stub of 12 stands 12 over the floor that the bend's back lies on; the other side of the
        # mark, rounded to 1/16, may make it one mark more.
        for walk in ((turn(12), end(40)), (turn(40), end(12))):
            answer: Any = yarrow.bench(run(*walk), CAME_OUT)
            self.assertRegex(answer["before"][0]["checks"][-1], r"swings up, 12( 1/16)? in over")

    def test_a_hand_bender_has_nothing_to_set(self) -> None:
        self.assertNotIn(
            "groove is the one", " ".join(self.checks("emt", "hand-emt-1/2", "1/2")[0])
        )


if __name__ == "__main__":
    unittest.main()
