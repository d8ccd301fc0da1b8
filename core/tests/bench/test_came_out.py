"""What came out at the bench, and what is left: sums by hand, and properties of random slips."""

from __future__ import annotations

import math
import os
import random
import unittest
from itertools import combinations, pairwise
from typing import Any

import yarrow
from core.tests.builders import DIAMETER, RADIUS, end, metric, offset, run, saddle3, turn
from yarrow import DocumentError
from yarrow.geometry.pipe import PipeBend, fold, fold_anyhow
from yarrow.geometry.vectors import Vector, cross, length, subtract, unit

_SLIPS = int(os.environ.get("YARROW_SLIPS", "120"))
"""More where somebody wants to be sure: 2,000 take a few minutes."""


def came_out(*made: dict[str, Any], **more: Any) -> dict[str, Any]:
    return {"format": "yarrow.bench/1", "units": "in", "made": list(made), **more}


def gain_of(angle: float) -> float:
    half = math.radians(angle) / 2
    return 2 * RADIUS * math.tan(half) - RADIUS * 2 * half


class CameOut(unittest.TestCase):
    SET = run(offset(47, "4 3/8"), turn(70, toward="out"), end(30))

    def bench(self, document: dict[str, Any], *made: dict[str, Any], **more: Any) -> Any:
        return yarrow.bench(document, came_out(*made, **more))

    def test_what_came_out_as_planned_changes_nothing(self) -> None:
        planned = yarrow.plan(self.SET)
        answer = self.bench(self.SET, {"bend": 0}, {"bend": 1, "angle": 30})
        self.assertEqual(answer["verdict"], "fits")
        self.assertEqual(answer["told"], [])
        texts = [mark["text"] for mark in answer["order"]["marks"]]
        self.assertEqual(texts, [mark["text"] for mark in planned["marks"]])

    def test_a_set_whose_first_bend_came_out_over_keeps_its_depth(self) -> None:
        # By hand: the second bend is the first one's angle, and like points lie h / sin θ − g(θ)
        # apart: 4.375 / sin 32 − g(32) = 8.256 − 0.067.
        answer = self.bench(self.SET, {"bend": 0, "angle": 32, "as_is": True})
        self.assertEqual((answer["by"], answer["mend"]), ("match", []))
        first, second, third = answer["bends"]
        self.assertAlmostEqual(second["angle"], 32)
        spacing = 4.375 / math.sin(math.radians(32)) - gain_of(32)
        self.assertAlmostEqual(spacing, 8.189, places=3)
        self.assertAlmostEqual(second["arc_start"] - first["arc_start"], spacing, places=3)
        self.assertEqual(third["angle"], 90)
        # The set is shorter along the wall by h (cot 30 − cot 32): the leg after it is so much
        # longer, from corner to corner.
        planned = self.bench(self.SET, {"bend": 0})["bends"]
        tans = {angle: math.tan(math.radians(angle)) for angle in (15, 16, 30, 32)}
        longer = 4.375 * (1 / tans[30] - 1 / tans[32]) - RADIUS * (tans[16] - tans[15])
        before = planned[2]["arc_start"] - planned[1]["arc_end"]
        self.assertAlmostEqual(third["arc_start"] - second["arc_end"], before + longer, places=3)
        self.assertEqual(answer["verdict"], "fits")
        self.assertIn("Bend 1 is 2° over, and stays so", answer["told"][0])
        self.assertTrue(first["made"])
        self.assertFalse(second["made"])

    def test_a_bend_made_after_that_is_as_it_was_told_then(self) -> None:
        over = {"bend": 0, "angle": 32, "as_is": True}
        told = self.bench(self.SET, over)
        later = self.bench(self.SET, over, {"bend": 1})
        self.assertEqual(later["bends"][1]["angle"], told["bends"][1]["angle"])
        self.assertTrue(later["bends"][1]["made"])
        # And one that is read once more: a degree over again leaves the legs askew.
        again = self.bench(self.SET, over, {"bend": 1, "angle": 33, "as_is": True})
        self.assertEqual(again["verdict"], "gives")

    def test_what_is_left_moves_along_with_a_mark_that_slid_and_an_end_takes_it_up(self) -> None:
        planned = yarrow.plan(self.SET)
        for slid, told in (("1/4", "Cut 1/4 in off"), ("-1/4", "It ends 1/4 in short")):
            answer = self.bench(self.SET, {"bend": 0, "slid": slid})
            self.assertEqual((answer["by"], answer["verdict"]), ("move", "fits"))
            self.assertIn(f"{told} at the start.", answer["told"])
            by = 0.25 if slid == "1/4" else -0.25
            for bend, before in zip(answer["bends"], planned["bends"], strict=True):
                self.assertAlmostEqual(bend["arc_start"] - before["arc_start"], by, places=6)
                self.assertAlmostEqual(bend["angle"], before["angle"], places=6)
                self.assertAlmostEqual(bend["roll"], before["roll"], places=6)
            self.assertAlmostEqual(answer["cut_length"] - planned["cut_length"], by, places=6)

    def test_a_saddle_keeps_its_height_by_its_other_bends(self) -> None:
        # Centre 43 for 45: outers 21.5. The vertex stands R (1 / cos 21.5 - 1) over the rise.
        document = run(saddle3(53, "1 3/4"), end(110))
        made = {"bend": 1, "angle": 43, "as_is": True}
        answer = self.bench(document, made)
        near, centre, far = answer["bends"]
        self.assertEqual((answer["by"], answer["verdict"]), ("match", "fits"))
        self.assertEqual([near["angle"], far["angle"]], [21.5, 21.5])
        high = 1.75 + RADIUS * (1 / math.cos(math.radians(21.5)) - 1)
        slope = high / math.sin(math.radians(21.5))
        tangents = RADIUS * (math.tan(math.radians(21.5)) + math.tan(math.radians(21.5 / 2)))
        self.assertAlmostEqual(centre["arc_start"] - near["arc_end"], slope - tangents, places=5)
        self.assertAlmostEqual(far["arc_start"] - centre["arc_end"], slope - tangents, places=5)

    def test_the_page_s_own_cases_are_recovered_as_a_hand_does_it(self) -> None:
        # Steel, the first of two turns the wrong way round: the same piece with the rest turned.
        steel = metric(
            turn(673.78, "right"),
            turn(628.87, "out"),
            end(676.75),
            conduit={"type": "steel", "size": "20"},
            bender="bench-steel-20",
        )
        planned = yarrow.plan(steel)
        answer = self.bench(steel, {"bend": 0, "twist": 180}, units="mm")
        self.assertEqual((answer["by"], answer["verdict"], answer["told"]), ("turn", "fits", []))
        self.assertAlmostEqual(answer["cut_length"], planned["cut_length"], places=6)
        for bend, before in zip(answer["bends"], planned["bends"], strict=True):
            self.assertAlmostEqual(bend["arc_start"], before["arc_start"], places=6)
        self.assertAlmostEqual(answer["bends"][1]["roll"], planned["bends"][1]["roll"], places=6)
        # A 90 read 88: it is bent on, to what leaves a 90, and nothing behind it changes.
        document = run(turn(18), offset(40, "4 3/8"), end(70))
        answer = self.bench(document, {"bend": 0, "angle": 88})
        (mend,) = answer["mend"]
        self.assertEqual((mend["bend"], mend["to"], mend["how"]), (0, 90, "bend-on"))
        self.assertGreater(mend["bend_to"], 90)
        planned = yarrow.plan(document)
        texts = [mark["text"] for mark in answer["order"]["marks"]]
        self.assertEqual(texts, [mark["text"] for mark in planned["marks"]])
        done = self.bench(document, {"bend": 0, "angle": 88, "done": True})
        self.assertEqual((done["mend"], done["by"], done["verdict"]), ([], "mend", "fits"))
        self.assertEqual(len(done["learnt"]), 1)

    def test_a_straight_piece_has_a_bench_too(self) -> None:
        answer = self.bench(run(end(60)))
        self.assertEqual((answer["verdict"], answer["by"], answer["bends"]), ("fits", "none", []))
        self.assertEqual(answer["cut_length"], 60)
        with self.assertRaises(DocumentError):
            self.bench(run(end(60)), {"bend": 0})

    def test_a_mark_is_known_no_worse_after_a_reading(self) -> None:
        known = {"take_up": 0.1, "radius": 0.2, "together": 0.5}
        own = {"kind": "hand", "take_up": 5, "radius": 4.471, "known_to": known}
        document = {**self.SET, "bender": own}
        before = {mark["bend"]: mark["known_to"] for mark in yarrow.plan(document)["marks"]}
        for read in ({"slid": "1/2"}, {"angle": 32, "as_is": True}, {"twist": 40}):
            for mark in self.bench(document, {"bend": 0, **read})["order"]["marks"]:
                self.assertLessEqual(mark["known_to"], before[mark["bend"]] + 1e-6)

    def test_the_piece_hangs_as_long_as_it_is_cut(self) -> None:
        answer = self.bench(self.SET, {"bend": 0, "slid": "1/2"})
        bends = [
            PipeBend(bend["arc_start"] - 0.5, bend["angle"], bend["roll"], bend["radius"])
            for bend in answer["bends"]
        ]
        # Half an inch is cut off at the start.
        folded = fold(bends, answer["cut_length"] - 0.5).vertices
        for one, other in zip(pairwise(folded), pairwise(answer["path"]), strict=True):
            self.assertAlmostEqual(math.dist(*one), math.dist(*other), places=6)

    def test_a_stub_that_came_out_long_is_cut_off(self) -> None:
        # Marked for 18 3/8 to its back, it measures 18 1/2: the arc lies 1/8 further along.
        stub = run(turn("18 3/8"), end(30))
        answer = self.bench(stub, {"bend": 0, "stub": "18 1/2"})
        bend = answer["bends"][0]
        self.assertAlmostEqual(bend["arc_start"], 18.5 - RADIUS - DIAMETER / 2, places=6)
        self.assertIn("Cut 1/8 in off at the start.", answer["told"])
        self.assertEqual(answer["verdict"], "fits")

    def test_a_bend_the_wrong_way_round_is_the_same_piece_while_it_is_the_first(self) -> None:
        answer = self.bench(self.SET, {"bend": 0, "twist": 180})
        self.assertEqual(answer["verdict"], "fits")
        rolls = [bend["roll"] for bend in answer["bends"][1:]]
        planned = [bend["roll"] for bend in yarrow.plan(self.SET)["bends"][1:]]
        for now, before in zip(rolls, planned, strict=True):
            self.assertAlmostEqual(now, before, places=6)

    def test_a_set_bent_into_a_bow_is_scrap(self) -> None:
        answer = self.bench(self.SET, {"bend": 0}, {"bend": 1, "twist": 180})
        self.assertEqual(answer["verdict"], "scrap")

    def test_what_is_straight_still_can_be_cut_off_for_another_piece(self) -> None:
        # The turn at the far end is made first: all before its arc is straight.
        arc = yarrow.plan(self.SET)["bends"][2]["arc_start"]
        answer = self.bench(self.SET, {"bend": 2})
        self.assertAlmostEqual(answer["straight_left_mm"], 25.4 * arc, places=6)
        set_alone = self.bench(self.SET, {"bend": 0}, {"bend": 1})
        behind = set_alone["cut_length"] - set_alone["bends"][1]["arc_end"]
        self.assertAlmostEqual(set_alone["straight_left_mm"], 25.4 * behind, places=6)

    def test_a_set_that_came_out_too_deep_has_its_second_bend_further_on(self) -> None:
        # By hand: at 30 degrees a depth of 4 5/8 has its corners 9.25 apart, that of 4 3/8 8.75.
        before = yarrow.plan(self.SET)["bends"]
        bends = self.bench(self.SET, {"bend": 0}, {"bend": 1, "height": "4 5/8"})["bends"]
        apart = bends[1]["arc_start"] - bends[0]["arc_start"]
        was = before[1]["arc_start"] - before[0]["arc_start"]
        self.assertAlmostEqual(apart - was, 0.5, places=6)
        # Twist is read against bends that are made: of the first there are none.
        self.assertEqual(bends[0]["readings"], ["angle", "slid", "stub", "height"])
        self.assertEqual(bends[1]["readings"], ["angle", "slid", "height", "twist"])
        # Nor are two 90s a set.
        parallel = self.bench(run(turn(30, "left"), turn(40, "right"), end(30)))["bends"]
        self.assertFalse(any("height" in bend["readings"] for bend in parallel))
        # A 90 that turns back in the plane of a set has no height of it.
        mixed = self.bench(run(offset(20, 4), turn(60, "left"), end(30)))["bends"]
        self.assertEqual([("height" in bend["readings"]) for bend in mixed], [True, True, False])
        self.assertEqual(bends[2]["readings"], ["angle", "slid", "stub", "twist"])

    def test_of_very_many_bends_not_every_way_is_looked_at_and_that_is_said(self) -> None:
        sides = ("left", "out", "right", "in")
        said = "not every way to save it was looked at"
        for bends, cut_short in ((3, False), (30, True)):
            turns = (turn(24, sides[at % 4]) for at in range(bends))
            made = ({"bend": bend, "angle": 87, "as_is": True} for bend in range(bends // 2 + 1))
            answer = yarrow.bench_fit(run(*turns, end(24)), came_out(*made))
            self.assertEqual(any(said in each for each in answer["told"]), cut_short)

    def test_back_to_back_of_two_that_turn_the_same_way(self) -> None:
        # Planned 24 from back to back: 24 1/4 puts the second one a quarter on.
        u = run(turn(12), turn(24), end(12))
        before = yarrow.plan(u)["bends"]
        bends = self.bench(u, {"bend": 0}, {"bend": 1, "distance": "24 1/4"})["bends"]
        self.assertAlmostEqual(bends[1]["arc_start"] - before[1]["arc_start"], 0.25, places=6)
        self.assertIn("distance", bends[1]["readings"])

    def test_a_person_says_which_leg_holds(self) -> None:
        # The turn was made first, from the end, and came out 2 degrees short: leg and stub behind
        # it can't both lie where they were to be.
        made = {"bend": 2, "angle": 88, "as_is": True}
        self.assertEqual(self.bench(self.SET, made)["verdict"], "gives")
        for leg in (2, 3):
            with self.subTest(leg=leg):
                self.assertTrue(self.bench(self.SET, made, held=leg)["legs"][leg]["holds"])

    def test_what_was_read_is_the_bender_s_too(self) -> None:
        stub = run(turn("18 3/8"), end(30))
        (told,) = self.bench(stub, {"bend": 0, "angle": 89, "stub": "18 1/2"})["learnt"]
        # Marked at 18 3/8 - 5, hook to that end, bent to what leaves a 90.
        wanted = {"mark": 13.375, "stub": 18.5, "angle": 89, "tail": None, "clicks": None}
        self.assertEqual({name: told[name] for name in wanted}, wanted)
        work = yarrow.plan(stub)["working"][0]
        self.assertAlmostEqual(told["commanded"], work["bend_to"], delta=0.25)
        # A bend hooked toward the far end is measured from there; its stub is that hook's tail.
        far = run(turn(24, angle=60), end(12), order=[{"bend": 0, "hook": "end"}])
        (told,) = self.bench(far, {"bend": 0, "stub": 24})["learnt"]
        plan = yarrow.plan(far)
        mark = plan["bends"][0]["arc_end"] + (5 - RADIUS - DIAMETER / 2)
        self.assertAlmostEqual(told["mark"], plan["cut_length"] - mark, delta=0.05)
        self.assertEqual((told["stub"], told["tail"]), (None, 24))

    def test_what_was_mended_slid_or_twisted_tells_nothing_of_the_bender(self) -> None:
        stub = run(turn("18 3/8"), end(30))
        for read in ({"angle": 90, "mended": True}, {"slid": 1}, {"twist": 3}):
            with self.subTest(read=read):
                self.assertEqual(self.bench(stub, {"bend": 0, **read})["learnt"], [])

    def test_a_bender_that_is_known_is_believed_beside_a_level(self) -> None:
        # Known to 0.2 degrees, stopped to 0.5, read to 0.5: a reading one degree over is half that.
        known = {"take_up": 0.02, "radius": 0.1, "springback": 0.2}
        own = {"kind": "hand", "take_up": 5, "radius": 4.471, "known_to": known}
        document = {**self.SET, "bender": own}
        for read, taken in ((31, 30.51), (29, 29.49), (34, 34)):
            with self.subTest(read=read):
                made = {"bend": 0, "angle": read, "as_is": True}
                bend = self.bench(document, made)["bends"][0]
                self.assertAlmostEqual(bend["angle"], taken, places=2)
        made = {"bend": 0, "angle": 31, "mended": True, "as_is": True}
        mended = self.bench(document, made)["bends"][0]
        self.assertEqual(mended["angle"], 31)

    def test_what_is_still_being_typed_is_answered_as_it_will_be_when_it_is_kept(self) -> None:
        for made in ({"bend": 0, "angle": 32}, {"bend": 0, "stub": 46}, {"bend": 0, "twist": 180}):
            whole = self.bench(self.SET, made)
            fit = yarrow.bench_fit(self.SET, came_out(made))
            self.assertEqual(fit.pop("format"), "yarrow.bench-fit/1")
            self.assertEqual(fit, {name: whole[name] for name in fit})
        with self.assertRaisesRegex(DocumentError, r"made\[0\].bend"):
            yarrow.bench_fit(self.SET, came_out({"bend": 7}))

    def test_what_can_be_mended_is_said(self) -> None:
        for angle, how, words in (
            (28, "bend-on", "Bend 1 is 2° under: bend it on, on the same mark, to 31° on"),
            (25, "bend-on", "Bend 1 is 5° under"),
            (32, "open", "Bend 1 is 2° over: open it by that"),
        ):
            with self.subTest(angle=angle):
                answer = self.bench(self.SET, {"bend": 0, "angle": angle})
                (mend,) = answer["mend"]
                self.assertEqual((mend["how"], mend["bend"]), (how, 0))
                self.assertAlmostEqual(mend["to"], 30)
                self.assertIn(words, mend["told"])
                self.assertEqual((answer["by"], answer["verdict"]), ("mend", "fits"))
        # Thin wall is opened by 2 degrees and steel by 3; what is left then goes by the first bend.
        thin = self.bench(self.SET, {"bend": 0, "angle": 32.6})
        self.assertEqual((thin["mend"], thin["by"]), ([], "match"))
        self.assertIn("too far", thin["told"][0])
        rigid = {**self.SET, "conduit": {"type": "rmc", "size": "1/2"}, "bender": "hand-emt-3/4"}
        self.assertEqual(self.bench(rigid, {"bend": 0, "angle": 32.6})["mend"][0]["how"], "open")

    def test_a_small_twist_is_pressed_out_and_a_large_one_is_not(self) -> None:
        for twist, hows in ((3, ["press-flat"]), (0.4, []), (20, [])):
            with self.subTest(twist=twist):
                answer = self.bench(self.SET, {"bend": 0}, {"bend": 1, "twist": twist})
                self.assertEqual([each["how"] for each in answer["mend"]], hows)
        # Of the first bend there is nothing to press against: the rest is turned with it.
        first = self.bench(self.SET, {"bend": 0, "twist": 3})
        self.assertEqual((first["mend"], first["by"], first["verdict"]), ([], "turn", "fits"))

    def test_readings_that_cannot_be_are_refused_at_their_place(self) -> None:
        for made, path in (
            ({"bend": 2, "height": 3}, "made[0].height"),
            ({"bend": 1, "height": "1/8"}, "made[0].height"),
            ({"bend": 1, "distance": 20}, "made[0].distance"),
            ({"bend": 3}, "made[0].bend"),
            ({"bend": 0, "angle": 400}, "made[0].angle"),
            ({"bend": 0, "angle": "many"}, "made[0].angle"),
            ({"bend": 0, "stub": 400}, "made[0].stub"),
            ({"bend": 0, "stub": 1}, "made[0].stub"),
            ({"bend": 1, "stub": 20}, "made[0].stub"),
            ({"bend": 0, "slid": -50}, "made[0].slid"),
        ):
            with self.subTest(made=made), self.assertRaises(DocumentError) as caught:
                self.bench(self.SET, made)
            self.assertEqual(caught.exception.path, path)
        for document, path in (
            (came_out({"bend": 0}, {"bend": 0}), "made[1].bend"),
            (came_out(held=4), "held"),
            ({**came_out(), "units": "mm"}, "units"),
        ):
            with self.subTest(document=document), self.assertRaises(DocumentError) as caught:
                yarrow.bench(self.SET, document)
            self.assertEqual(caught.exception.path, path)

    def test_what_is_looked_at_before_each_bend(self) -> None:
        first, second, third = (each["checks"] for each in self.bench(self.SET)["before"])
        self.assertIn("EMT (thin wall) 1/2", first[0])
        self.assertIn("front mark is on 36 7/8, and the hook faces the start", first[1])
        self.assertIn("Stand clear", first[-1])
        self.assertFalse(any("for EMT" in check for check in (*second, *third)))
        self.assertTrue(any("bends that are made lie" in check for check in second))
        ratchet = {**self.SET, "conduit": {"type": "rmc", "size": "3/4"}, "bender": "ratchet-1"}
        checks = self.bench(ratchet)["before"][0]["checks"]
        self.assertTrue(any("dial stands on zero" in check for check in checks))

    def test_a_piece_of_a_run_is_at_the_bench_by_itself(self) -> None:
        parted = {**self.SET, "joints": {"places": [{"at": 20}]}}
        answer = yarrow.bench(parted, came_out({"bend": 0, "angle": 31}), piece=2)
        self.assertEqual(len(answer["bends"]), 3)
        with self.assertRaises(DocumentError):
            yarrow.bench(parted, came_out(), piece=3)


class RandomSlips(unittest.TestCase):
    def test_slips_are_recovered_as_a_good_hand_does_it(self) -> None:
        chance = random.Random(16)
        seen = 0
        while seen < _SLIPS:
            document = _random_piece(chance)
            plan = yarrow.plan(document)
            if not yarrow.can_be_made(plan):
                continue
            seen += 1
            order = [each["bend"] for each in yarrow.handle(document)["orders"][0]["bends"]]
            made = [{"bend": bend} for bend in order[: chance.randint(1, len(order))]]
            slip = _slip(chance, plan["bends"][made[-1]["bend"]]["angle"], first=len(made) == 1)
            made[-1] |= slip
            held = chance.choice((None, len(order)))
            with self.subTest(document=document, made=made, held=held):
                more = {} if held is None else {"held": held}
                answer = yarrow.bench(document, came_out(*made, **more))
                self.as_a_hand_does_it(plan, answer, made)
                self.hold(plan, answer)
                if held is not None and answer["verdict"] != "scrap":
                    self.assertTrue(answer["legs"][held]["holds"])

    def as_a_hand_does_it(self, plan: Any, answer: Any, made: list[dict[str, Any]]) -> None:
        """Mend, move, match, turn: whatever the slip is, angles and rolls that are left stay."""
        slip, bends, first = made[-1], plan["bends"], len(made) == 1
        over = slip["angle"] - bends[slip["bend"]]["angle"] if "angle" in slip else 0.0
        twist = abs(slip.get("twist", 0.0))
        mended = not slip.get("as_is") and (-5 <= over < -0.5 or 0.5 < over <= 2)
        if mended or (0.5 < twist <= 5 and not first):
            self.assertEqual((answer["by"], answer["verdict"]), ("mend", "fits"))
            self.stays(plan, answer)
        elif twist > 0.5:
            self.assertEqual((answer["by"], answer["verdict"]), ("turn", "fits"))
            self.stays(plan, answer)
        elif "slid" in slip and first:
            self.assertEqual((answer["by"], answer["verdict"]), ("move", "fits"))
        elif abs(over) <= 0.5 and "slid" not in slip:
            self.assertEqual(answer["by"], "none")
        if answer["by"] not in ("match", "angles") and not slip.get("as_is"):
            left = {each["bend"] for each in answer["bends"] if not each["made"]}
            for at in left:
                self.assertAlmostEqual(answer["bends"][at]["angle"], bends[at]["angle"], places=6)
                if at - 1 in left:
                    roll = answer["bends"][at]["roll"]
                    self.assertAlmostEqual(abs(roll), abs(bends[at]["roll"]), places=6)

    def stays(self, plan: Any, answer: Any) -> None:
        self.assertAlmostEqual(answer["cut_length"], plan["cut_length"], places=6)
        for bend, before in zip(answer["bends"], plan["bends"], strict=True):
            for name in ("arc_start", "angle"):
                self.assertAlmostEqual(bend[name], before[name], places=6)

    def hold(self, plan: Any, answer: Any) -> None:
        """The piece folds to what it hangs at, and legs that hold lie where they were to be."""
        if answer["verdict"] == "scrap":
            return
        bends = [
            PipeBend(bend["arc_start"], bend["angle"], bend["roll"], bend["radius"])
            for bend in answer["bends"]
        ]
        path = answer["path"]
        folded = fold_anyhow(bends, answer["cut_length"]).vertices
        for one, other in combinations(range(1, len(path) - 1), 2):
            self.assertAlmostEqual(
                math.dist(folded[one], folded[other]), math.dist(path[one], path[other]), places=6
            )
        for leg in answer["legs"]:
            if leg["holds"]:
                there = path[leg["leg"]], path[leg["leg"] + 1]
                for corner in plan["path"][leg["leg"] : leg["leg"] + 2]:
                    self.assertLessEqual(_off(corner, *there), 1 / 16 + 1e-6)


def _off(point: Vector, one: Vector, other: Vector) -> float:
    """How far a point is from a line."""
    way = unit(subtract(other, one))
    return length(cross(subtract(point, one), way))


def _random_piece(chance: random.Random) -> dict[str, Any]:
    lines: list[dict[str, Any]] = []
    for _ in range(chance.randint(1, 2)):
        at = chance.randint(20, 40)
        if chance.random() < 0.5:
            rise, angle = chance.randint(2, 6), chance.choice((22.5, 30, 45))
            lines.append(offset(at, rise, angle, chance.choice(("left", "right", "out"))))
            at += chance.randint(18, 30)
        lines.append(turn(at, chance.choice(("left", "right", "out"))))
    return run(*lines, end(chance.randint(16, 36)))


def _slip(chance: random.Random, angle: float, *, first: bool) -> dict[str, Any]:
    kind = chance.choice(("angle", "as-is", "slid", "twist"))
    if kind in ("angle", "as-is"):
        as_is = {"as_is": True} if kind == "as-is" else {}
        return {"angle": round(angle + chance.uniform(-6, 5), 1), **as_is}
    if kind == "slid":
        return {kind: round(chance.uniform(-1, 1), 2)}
    return {kind: round(chance.choice((1, 36 if first else 1)) * chance.uniform(-5, 5), 1)}
