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

    def test_a_hand_bender_has_nothing_to_set(self) -> None:
        self.assertNotIn(
            "groove is the one", " ".join(self.checks("emt", "hand-emt-1/2", "1/2")[0])
        )


if __name__ == "__main__":
    unittest.main()
