"""Two fixed ends, and the numbers that may float until they meet."""

from __future__ import annotations

import math
import random
import unittest

from core.tests.builders import codes, end, found, kick, offset, planned, refused, run, turn
from yarrow.geometry.pipe import PipeBend, fold
from yarrow.runs.model.plan import WrittenPlan


def reached(plan: WrittenPlan) -> tuple[float, float, float]:
    """Where the pipe's own bends, folded, end."""
    bends = [PipeBend(b.arc_start, b.angle, b.roll, b.radius) for b in plan.bends]
    folded = fold(bends, plan.cut_length, start=plan.path[0], first_toward=plan.first_toward)
    return folded.vertices[-1]


class Meeting(unittest.TestCase):
    def test_a_leg_that_floats_along_one_straight(self) -> None:
        # Back of the turn at 40 and the end 30 − 0.353 up: moved to 52 1/2 and 31.
        plan = planned(
            turn(40, loose=["at"]), end(30, loose=["at"], meet=["52 1/2 - 0.353", 31, 0])
        )
        self.assertEqual(
            [(s.feature, s.field, str(s.became_text)) for s in plan.solved],
            [(0, "at", "52 1/2"), (1, "at", "31 3/8")],
        )
        self.assertIn("said: 40", found(plan, "free-dimension").text)

    def test_in_three_dimensions_any_end_is_met_and_what_is_tight_stays(self) -> None:
        rng = random.Random(3)
        for _ in range(200):
            rise = rng.uniform(3, 6)
            walk = [
                offset(40, rise, 22.5, "out"),
                turn(70, "left", loose=["at"]),
                turn(40, "out", loose=["at"]),
                end(45, loose=["at"]),
            ]
            free = planned(*walk)
            target = [float(v) + rng.uniform(-6, 6) for v in free.path[-1]]
            walk[-1] = end(45, loose=["at"], meet=[f"{v:.9f}" for v in target])
            plan = planned(*walk)
            self.assertTrue(plan.can_be_made, plan.findings)
            self.assertLess(math.dist(reached(plan), target), 1e-5)
            tight = [d for d in plan.dimensions if not d.loose]
            self.assertEqual(len(tight), 2)
            self.assertAlmostEqual(tight[1].asked, rise)

    def test_an_angle_floats_only_where_it_is_let(self) -> None:
        walk = [turn(40, angle=60, loose=["angle"]), end(40, loose=["at"], meet=[70, 28, 0])]
        plan = planned(*walk)
        self.assertLess(math.dist(reached(plan), (70, 28, 0)), 1e-5)
        self.assertNotAlmostEqual(plan.bends[0].angle, 60)

    def test_a_kick_s_rise_floats(self) -> None:
        walk = [turn(40, loose=["at"]), kick(12, 1, "out", loose=["rise"])]
        plan = planned(*walk, end(40, loose=["at"], meet=[44, 41, "2 1/2"]))
        self.assertLess(math.dist(reached(plan), (44, 41, 2.5)), 1e-5)

    def test_an_end_that_nothing_reaches_says_by_how_much_and_what_would(self) -> None:
        plan = planned(
            turn(40, loose=["at"]),
            offset(20, 2, 30, "out"),
            end(40, loose=["at"], meet=[44, 41, "3 1/2"]),
        )
        finding = found(plan, "end-not-reached")
        self.assertIn("1 1/2 in too far in", finding.text)
        assert finding.remedy
        self.assertEqual((finding.remedy.path, finding.remedy.value), ("walk[1].loose", ("rise",)))
        self.assertFalse(plan.can_be_made)
        self.assertTrue(plan.path)

    def test_where_no_number_runs_that_way_it_takes_another_bend(self) -> None:
        plan = planned(turn(40, loose=["at"]), end(30, loose=["at"], meet=[44, 41, 3]))
        self.assertIn("another bend", found(plan, "end-not-reached").text)

    def test_a_number_that_would_have_to_be_below_zero_is_no_answer(self) -> None:
        plan = planned(offset(40, 4, 30, "out", loose=["rise"]), end(80, meet=[80, 0, -2]))
        self.assertIn("would have to be −2", found(plan, "end-not-reached").text.replace("-", "−"))

    def test_without_a_fixed_end_loose_only_says_which_number_matters_less(self) -> None:
        plan = planned(offset(40, 4, loose=["at"]), end(80))
        self.assertEqual([d.loose for d in plan.dimensions], [True, False, False])
        self.assertNotIn("free-dimension", codes(plan))

    def test_more_lines_than_any_pipe_between_two_ends(self) -> None:
        self.assertIn("60 lines", refused(run(*[turn(40)] * 60, end(30, meet=[1, 2, 3]))))
        self.assertIn("walk[0].loose[0]", refused(run(turn(40, loose=["rise"]), end(30))))
