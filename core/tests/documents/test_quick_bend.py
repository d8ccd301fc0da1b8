"""A bend by itself: one sentence, and its marks as every hand works them."""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from core.tests.builders import RADIUS, text_of
from yarrow.documents.errors import DocumentError

IN: dict[str, Any] = {
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
}
MM: dict[str, Any] = {
    "units": "mm",
    "conduit": {"type": "steel", "size": "20"},
    "bender": "bench-steel-20",
}


def quick(text: str, **of: Any) -> dict[str, Any]:
    return yarrow.quick({"format": "yarrow.quick/1", **IN, **of, "said": text})


class QuickBends(unittest.TestCase):
    def marks(self, text: str, **of: Any) -> list[tuple[str, str, str]]:
        run = quick(text, **of)["run"]
        self.assertIsNotNone(run, text)
        plan = yarrow.plan.values(run)
        self.assertTrue(plan.can_be_made, text)
        self.assertLess(plan.cut_length, plan.conduit.stick + 1e-6, text)
        return [(str(mark.text), mark.reference, mark.hook) for mark in plan.marks]

    def test_a_stub_is_its_height_less_the_deduct(self) -> None:
        self.assertEqual(self.marks("stub 18 3/8"), [("13 3/8", "front", "start")])

    def test_a_long_leg_is_its_length_on_the_back_of_bend_mark(self) -> None:
        self.assertEqual(self.marks("90 at 71 5/8"), [("71 5/8", "back", "end")])

    def test_back_to_back_is_what_lies_between_the_backs(self) -> None:
        first, second = self.marks("back to back 44")
        self.assertEqual((first[1], second[1]), ("front", "back"))
        # From the back of the first, 20 from its end, to the back of the second it takes 44 and
        # what the first bend saved: 20 + 44 less the gain of 2 5/8.
        self.assertEqual(second[0], "61 3/8")

    def test_every_kind_has_marks_at_once_in_both_units(self) -> None:
        for text, other, bends in (
            ("offset 4 3/8", "set 90", 2),
            ("offset 4 3/8 30 at 33", "set 90 30 at 600", 2),
            ("offset 3 within 16", "set 80 within 400", 2),
            ("saddle 1 3/4", "crossover 40", 3),
            ("saddle 2 x 6", "bridge 40 x 150", 4),
            ("kick 1 1/8", "kick 30", 1),
            ("box offset 7/16", "box set 11", 2),
            ("back to back 44", "back to back 640", 2),
            ("stub 18", "stub 400", 1),
        ):
            self.assertEqual(len(self.marks(text)), bends, text)
            self.assertEqual(len(self.marks(other, **MM)), bends, other)

    def test_the_rest_of_a_stick_goes_on_behind_a_stub(self) -> None:
        run = quick("stub 18")["run"]
        # 10 ft less the stub; what the bend saves is spare.
        self.assertEqual(run["walk"][-1], {"kind": "end", "at": 102.0})

    def test_what_is_not_a_piece_by_itself_says_what_is(self) -> None:
        for text in ("left 40", "hub 29", "pipe 2 at 40"):
            found = quick(text)
            self.assertIsNone(found["run"])
            self.assertIn("stub", found["expected"])

    def test_half_typed_it_says_what_is_still_to_come(self) -> None:
        self.assertIn("a number after offset", quick("offset")["expected"])
        self.assertIn("stub ", [each["text"] for each in quick("st")["completions"]])
        self.assertIn('not "tall"', quick("stub tall")["expected"])
        self.assertIn("a number after stub", quick("stub left")["expected"])

    def test_a_pipe_or_a_bender_that_there_is_not_is_refused_at_its_field(self) -> None:
        for field, value, path in (
            ("conduit", {"type": "emt", "size": "77"}, "conduit"),
            ("units", "ft", "units"),
            ("said", "x" * 201, "said"),
        ):
            with self.assertRaises(DocumentError) as caught:
                quick("stub 18", **{field: value} if field != "said" else {})
                quick(value if field == "said" else "stub 18")
            self.assertIn(path, caught.exception.path)

    def test_it_is_the_planner_s_engine(self) -> None:
        run = quick("offset 4 3/8 30 at 47")["run"]
        plan = yarrow.plan.values(run)
        # 8.695 apart (the handbook of every bender rounds it to 8 3/4).
        apart = plan.marks[1].position - plan.marks[0].position
        self.assertAlmostEqual(apart, 8.695, delta=0.001)
        self.assertEqual(plan.bends[0].radius, plan.bender.radius)
        self.assertAlmostEqual(plan.bender.radius, RADIUS, places=3)
        self.assertIn("air", " ".join(text_of(step.do) for step in plan.steps))


if __name__ == "__main__":
    unittest.main()
