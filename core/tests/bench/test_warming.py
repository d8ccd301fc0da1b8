"""Plastic at the bench: its stages, how long each takes, and none for what is bent cold."""

from __future__ import annotations

import math
import unittest

import yarrow
from core.tests.builders import end, metric, run, turn

CAME_OUT = {"format": "yarrow.bench/1", "made": []}


class Warming(unittest.TestCase):
    def test_a_90_of_20_mm_is_warmed_by_its_length(self) -> None:
        plastic = {"type": "plastic", "size": "20"}
        document = metric(turn(500), end(400), conduit=plastic, bender="heat-form-metric")
        answer = yarrow.bench(document, {**CAME_OUT, "units": "mm"})
        (bend,) = answer["warming"]
        warm, soften, form, cool = bend["stages"]
        radius = answer["bends"][0]["radius"]
        # The arc and 10 mm either side, 0.45 s a mm at 20 mm, to 5 s.
        by_hand = 0.45 * (radius * math.pi / 2 + 20)
        self.assertAlmostEqual(warm["seconds"], by_hand, delta=2.5)
        self.assertEqual((soften["seconds"], form["seconds"], cool["seconds"]), (20, 20, 60))
        self.assertIn("10 mm off and always moving", warm["do"])
        self.assertIn("droop", warm["looks"])
        self.assertIn("opens", cool["too_little"])

    def test_what_is_bent_cold_has_none(self) -> None:
        answer = yarrow.bench(run(turn(20), end(30)), {**CAME_OUT, "units": "in"})
        self.assertEqual(answer["warming"], [])


if __name__ == "__main__":
    unittest.main()
