"""Straps by hand-worked sums, and the rule over many runs; what a run takes."""

from __future__ import annotations

import random
import unittest
from itertools import pairwise
from typing import Any

import yarrow
from benchmarks.runs import random_run
from core.tests.builders import end, metric, run, turn
from core.tests.pieces.test_parting import KINDS
from yarrow.catalog.supports import support_rule
from yarrow.catalog.tables import conduits
from yarrow.pieces.piece_plan import PiecesOfRun, Supports
from yarrow.wording.wording import EN_GB


def held(document: dict[str, Any]) -> Supports:
    found = yarrow.pieces.values(document).supports
    assert found is not None
    return found


def reads(document: dict[str, Any]) -> list[str]:
    return [str(strap.at_text) for strap in held(document).straps]


class Straps(unittest.TestCase):
    def test_a_long_straight_is_held_near_its_ends_and_evenly_between(self) -> None:
        # 3 ft from either end of 200: 36 and 164, and as 128 are more than 10 ft, one half-way.
        self.assertEqual(reads(run(end(200))), ["36", "100", "164"])

    def test_a_short_one_is_held_in_its_middle(self) -> None:
        self.assertEqual(reads(run(end(60))), ["30"])
        self.assertEqual(reads(run(end(30))), ["15"])

    def test_thin_plastic_wants_one_every_three_feet(self) -> None:
        plastic = {"conduit": {"type": "pvc40", "size": "1/2"}, "bender": "heat-form-us"}
        self.assertEqual(reads(run(end(100), **plastic)), ["36", "64"])
        large = {"conduit": {"type": "pvc40", "size": "2"}, "bender": "heat-form-us"}
        # 2 in. every 5 ft: 36, 90 less 36 is 54, and 5 ft are enough.
        self.assertEqual(reads(run(end(90), **large)), ["36", "54"])

    def test_metric_steel_goes_by_habit_and_says_so(self) -> None:
        document = metric(
            end(3000), conduit={"type": "steel", "size": "20"}, bender="bench-steel-20"
        )
        self.assertEqual(reads(document), ["300", "1500", "2700"])
        self.assertFalse(held(document).law)
        self.assertTrue(held(run(end(60))).law)
        self.assertEqual(held(run(end(60))).source, "NFPA 70 (2023), 358.30(A)")

    def test_straight_rigid_with_threaded_couplings_may_have_them_further_apart(self) -> None:
        # 10 ft to 3/4, 12 ft at 1, 14 ft at 1 1/4 and 1 1/2, 16 to 2 1/2, 20 from 3: 3 ft from each
        # end of 30 ft leave 24 between. With a bend in it, or with no thread, it is 10 ft again.
        rigid = {"bender": "ratchet-1"}
        feet = "1/2 10, 3/4 10, 1 12, 1-1/4 14, 1-1/2 14, 2 16, 2-1/2 16, 3 20, 4 20, 6 20"
        for size, apart in (row.split() for row in feet.split(", ")):
            with self.subTest(size=size):
                rule = support_rule(conduits()["rmc", size], "in", straight=True)
                self.assertAlmostEqual(rule.spacing, int(apart) * 12, places=6)
                self.assertEqual(rule.source, "NFPA 70 (2023), 344.30(B)(2)")
        for size in ("1/2", "3/4", "1", "2", "3"):
            rule = support_rule(conduits()["imc", size], "in", straight=True)
            self.assertAlmostEqual(rule.spacing, 120, places=6)
            self.assertEqual(rule.source, "NFPA 70 (2023), 342.30(B)(1)")
        one = {"conduit": {"type": "rmc", "size": "1"}, **rigid}
        self.assertEqual(reads(run(end(30 * 12), **one)), ["36", "180", "324"])
        union = {"joints": {"coupling": "threadless-coupling"}}
        self.assertEqual(len(reads(run(end(30 * 12), **one, **union))), 4)
        self.assertEqual(str(held(run(turn(200), end(100), **one)).spacing_text), "120")

    def test_a_leg_that_stands_upright_has_them_further_apart(self) -> None:
        # 20 mm plastic: 1.5 m across, 1.75 m upright. 300 from either end of 7,300 leaves 6,700:
        # five steps across, four upright.
        across = metric(
            end(7300), conduit={"type": "plastic", "size": "20"}, bender="heat-form-metric"
        )
        upright = {**across, "joints": {"upright": [1]}}
        self.assertEqual(len(reads(across)), 6)
        self.assertEqual(len(reads(upright)), 5)
        self.assertEqual(str(held(upright).upright_text), "1750")
        # In the US the code knows no difference, and nothing is said of it.
        self.assertEqual(held(run(end(200), joints={"upright": [1]})).upright_text, "")

    def test_none_is_on_a_coupling(self) -> None:
        # Half a coupling of 1 9/16 and half a strap of 1 in.
        for strap in held(run(end(200), joints={"places": [{"at": 100}]})).straps:
            self.assertGreater(abs(strap.place - 100), 0.78 + 0.49)

    def test_over_many_runs_the_rule_is_kept_or_it_is_said(self) -> None:
        rng = random.Random(3)
        for units, conduit, bender, scale in KINDS:
            rule = support_rule(conduits()[conduit["type"], conduit["size"]], units)
            for number in range(15):
                made = yarrow.pieces.values(random_run(rng, units, conduit, bender, scale))
                if made.supports is None:
                    continue
                with self.subTest(units=units, conduit=conduit["type"], number=number):
                    self.clear_of_bends(made)
                    if not any(f.code == "strap-too-far" for f in made.findings):
                        self.within(made, rule.first, rule.spacing)

    def within(self, made: PiecesOfRun, first: float, spacing: float) -> None:
        assert made.supports is not None
        places = [strap.place for strap in made.supports.straps]
        self.assertLessEqual(places[0], first + 1e-6)
        self.assertGreaterEqual(places[-1], made.pieces[-1].ends - first - 1e-6)
        for one, other in pairwise(places):
            self.assertLessEqual(other - one, spacing + 1e-6)

    def clear_of_bends(self, made: PiecesOfRun) -> None:
        assert made.supports is not None
        for piece in made.pieces:
            for bend in piece.plan.bends:
                for strap in made.supports.straps:
                    at = strap.place - piece.begins
                    self.assertFalse(bend.arc_start < at < bend.arc_end)


class Materials(unittest.TestCase):
    def test_what_a_run_takes(self) -> None:
        made = yarrow.pieces.values(
            run(
                turn(70),
                end(110, fitting="hub"),
                start={"kind": "hub"},
                conduit={"type": "rmc", "size": "3/4"},
                bender="ratchet-1",
            )
        )
        found = [(str(each.what.key), each.count) for each in made.materials]
        self.assertEqual(
            found,
            [
                ("material/sticks", 2),
                ("material/sized", 1),
                ("material/sized", 2),
                ("material/straps", 2),
                ("material/zinc-and-oil", 1),
            ],
        )

    def test_one_thing_is_on_one_line(self) -> None:
        steel = {"conduit": {"type": "steel", "size": "20"}, "bender": "bench-steel-20"}
        for start, finish, wanted in (
            ("coupling", "coupling_middle", {"coupler, 20": 3}),
            ("bush_coupling", "open", {"coupler, 20": 2, "bush, 20": 1}),
            ("lock_rings", "open", {"coupler, 20": 1, "lock ring, 20": 2, "bush, 20": 1}),
        ):
            joints = {"ends": {"start": "comes-off"}, "places": [{"at": 2500}]}
            document = metric(
                end(5000, fitting=finish), start={"kind": start}, joints=joints, **steel
            )
            materials = yarrow.pieces.values(document).materials
            found = {EN_GB.text(each.what): each.count for each in materials}
            sized = {what: number for what, number in found.items() if what.endswith(", 20")}
            sized.pop("saddle with its screws, 20", None)
            self.assertEqual(sized, wanted)


if __name__ == "__main__":
    unittest.main()
