"""How many ducts, how they lie, what pulling takes: sums by hand."""

from __future__ import annotations

import math
import random
import unittest
from typing import Any

import yarrow
from core.tests.site.helpers import between_holes, building, fibre, hole, site, trench
from yarrow import DocumentError

PLACES = [hole("A", 0, 0), hole("B", 100, 0)]


def ducts(cables: list[dict[str, Any]], *, of: str = "100", **more: Any) -> list[dict[str, Any]]:
    said = {key: more.pop(key) for key in ("inner",) if key in more}
    laid = trench("T", (0, 0), (100, 0), duct=of, **said)
    answer = yarrow.site(site(PLACES, [laid], cables, **more))
    found: list[dict[str, Any]] = answer["stretches"][0]["ducts"]
    return found


class Counts(unittest.TestCase):
    def test_40_percent_of_a_duct_is_29_fibres_of_12_mm(self) -> None:
        # 40 % of 102 mm is 3268 mm², and one takes 113.1: 28.9, which counts as 29.
        self.assertEqual(len(ducts([fibre("A", "B", count=29)], future=0)), 1)
        two = ducts([fibre("A", "B", count=30)], future=0)
        self.assertEqual([each["cables"] for each in two], [[[0, 29]], [[0, 1]]])
        self.assertEqual(two[0]["used_text"], "100 %")

    def test_a_duct_through_two_trenches_lies_as_deep_as_the_deeper(self) -> None:
        line = [trench("T", (0, 0), (40, 0), cover=600), trench("U", (40, 0), (80, 0), cover=900)]
        for trenches in (line, line[::-1]):
            places = [hole("A", 0, 0), hole("B", 80, 0)]
            (stretch,) = yarrow.site(site(places, trenches, [fibre("A", "B")]))["stretches"]
            self.assertEqual(stretch["section"]["cover"], 900)

    def test_every_duct_has_a_rope_of_its_own(self) -> None:
        cables = [fibre("A", "B")] * 2 + [{**fibre("A", "B"), "kind": "power", "diameter": 60}]
        answer = yarrow.site(between_holes((0, 0), (80, 0), cables=cables))
        amounts = {each["what"]: each["amount"] for each in answer["quantities"]}
        laid = len(answer["stretches"][0]["ducts"])
        self.assertGreater(laid, 1)
        self.assertEqual(amounts["pull rope"], 80.0 * laid)

    def test_as_many_again_are_kept_for_later_with_a_rope_in_them(self) -> None:
        laid = ducts([fibre("A", "B")])
        self.assertEqual([each["kind"] for each in laid], ["fibre", "spare, rope in it"])
        self.assertEqual(
            [each["label"] for each in laid], ["A–B · 1 of 2 · 100", "A–B · 2 of 2 · 100"]
        )
        self.assertEqual(len(ducts([fibre("A", "B", count=40)], future=50)), 3)

    def test_two_unlike_cables_in_one_duct_keep_within_the_rule_for_two(self) -> None:
        # 28 mm and 10 mm take 694 mm²; 31 % of a bore of 51 is 633, 40 % would be 817. Three do:
        # 28, 10 and 10 are 773.
        power = [fibre("A", "B", kind="power", diameter=mm) for mm in (28, 10)]
        laid = ducts(power, of="50", future=0)
        self.assertEqual([len(each["cables"]) for each in laid], [1, 1])
        power[1]["count"] = 2
        self.assertEqual(len(ducts(power, of="50", future=0)), 1)

    def test_no_duct_is_filled_over_its_rule(self) -> None:
        rng = random.Random(13)
        for number in range(300):
            cables = [
                fibre("A", "B", kind="power", diameter=rng.randint(8, 34), count=rng.randint(1, 4))
                for _ in range(rng.randint(1, 5))
            ]
            laid = ducts(cables, of=rng.choice(["50", "100"]), future=0)
            with self.subTest(number=number):
                self.assertLessEqual(max(each["used"] for each in laid), 1 + 1e-9)

    def test_ducts_too_small_for_a_building_are_told(self) -> None:
        for size, told in (("32", ["2 × 32 lead to Hut"]), ("50", []), ("100", [])):
            ends = [building("Hut", 0, 0), hole("B", 60, 0)]
            laid = trench("T", (0, 0), (60, 0), duct=size)
            answer = yarrow.site(site(ends, [laid], [fibre("Hut", "B", diameter=6)], future=0))
            of_code = [
                each["text"].split(".")[0]
                for each in answer["findings"]
                if each["code"] == "ducts-too-small-for-building"
            ]
            self.assertEqual(of_code, told, size)

    def test_fibre_copper_and_power_have_ducts_of_their_own(self) -> None:
        cables = [fibre("A", "B", kind=kind) for kind in ("power", "fibre", "copper")]
        laid = ducts(cables, future=0)
        self.assertEqual([each["kind"] for each in laid], ["fibre", "copper", "power"])
        self.assertEqual([each["power"] for each in laid], [False, False, True])

    def test_to_a_building_there_are_one_of_100_or_two_of_50(self) -> None:
        for size, least in (("100", 1), ("150", 1), ("50", 2), ("32", 2)):
            ends = [building("Hut", 0, 0), hole("B", 60, 0)]
            laid = trench("T", (0, 0), (60, 0), duct=size)
            answer = yarrow.site(site(ends, [laid], [fibre("Hut", "B", diameter=6)], future=0))
            self.assertEqual(len(answer["stretches"][0]["ducts"]), least, size)

    def test_inner_ducts_take_the_fibre_three_to_a_duct(self) -> None:
        # 38 mm over all is 1134 mm²: 3268 take 2.88 of them, which counts as 3; in 32 mm, 40 % is
        # 321.7 mm², which takes 2.84 of 113.1: 3. Ten want four inner ducts, and those two ducts.
        laid = ducts([fibre("A", "B", count=10)], inner="32", future=0)
        self.assertEqual([each["inner_text"] for each in laid], ["3 × 32", "3 × 32"])
        self.assertEqual(len(ducts([fibre("A", "B", count=9)], inner="32", future=0)), 1)
        power = ducts([fibre("A", "B", kind="power")], inner="32", future=0)
        self.assertEqual(power[0]["inner_text"], "")
        with self.assertRaisesRegex(DocumentError, r"trenches\[0\].inner"):
            ducts([], inner="31")

    def test_a_cable_too_wide_for_an_inner_duct_is_told(self) -> None:
        laid = trench("T", (0, 0), (100, 0), inner="32")
        answer = yarrow.site(site(PLACES, [laid], [fibre("A", "B", diameter=30)]))
        found = next(each for each in answer["findings"] if each["code"] == "duct-too-small")
        self.assertIn("into a duct of 32", found["text"])


class Section(unittest.TestCase):
    def test_four_ducts_lie_two_by_two_under_their_tape(self) -> None:
        answer = yarrow.site(
            site(PLACES, [trench("T", (0, 0), (100, 0))], [fibre("A", "B", count=40)])
        )
        section = answer["stretches"][0]["section"]
        # 75 beside, two of 114 with 50 between; from the surface 450 to the upper ones.
        self.assertEqual((section["width"], section["depth"]), (428, 803))
        self.assertEqual((section["cover"], section["tape"]), (450, 200))
        middles = [(each["across"], each["deep"]) for each in section["ducts"]]
        self.assertEqual(middles, [(132, 507), (296, 507), (132, 671), (296, 671)])

    def test_power_lies_300_off(self) -> None:
        cables = [fibre("A", "B"), fibre("A", "B", kind="power")]
        laid = trench("T", (0, 0), (100, 0), cover=600)
        answer = yarrow.site(site(PLACES, [laid], cables, future=0))
        one, other = answer["stretches"][0]["section"]["ducts"]
        self.assertEqual(other["across"] - one["across"], 114 + 300)


class Pulling(unittest.TestCase):
    def test_a_level_way_with_a_quarter_bend_in_its_middle(self) -> None:
        # 0.15 kg a metre over 50 m: 25.75 N; the bend multiplies by e^(0.35 π/2); 25.75 more.
        line = trench("T", (0, 0), (50, 0), (50, 50))
        ends = [hole("A", 0, 0), hole("B", 50, 50)]
        answer = yarrow.site(site(ends, [line], [fibre("A", "B")]))
        half = 0.15 * 9.81 * 0.35 * 50
        whole = half * math.exp(0.35 * math.pi / 2) + half
        self.assertEqual(round(whole), 70)
        self.assertIn("about 70 N of 2,700 N", answer["cables"][0]["pull"])
        # 100 m, and 5 at either end.
        self.assertEqual(answer["cables"][0]["length_m"], 110)

    def test_it_is_easier_to_feed_in_at_the_top_of_a_rise(self) -> None:
        ends = [building("Tower", 0, 0, floor=9), hole("B", 60, 0)]
        cable = fibre("Tower", "B", mass=3)
        answer = yarrow.site(site(ends, [trench("T", (0, 0), (60, 0))], [cable]))
        self.assertIn("fed in at Tower", answer["cables"][0]["pull"])

    def past_a_corner(self, **of_corner: Any) -> dict[str, Any]:
        """50 m to a hand hole, a quarter turn in it, 50 m more: one cable of 0.3 kg a metre."""
        places = [hole("A", 0, 0), hole("M", 50, 0, **of_corner), hole("B", 50, 50)]
        line = trench("T", (0, 0), (50, 0), (50, 50))
        answer = yarrow.site(site(places, [line], [fibre("A", "B", mass=0.3)]))
        cable: dict[str, Any] = answer["cables"][0]
        return cable

    def test_a_pull_in_one_go_turns_at_the_pull_points_on_its_way(self) -> None:
        # 51.5 N over 50 m, times e^(0.35 π/2) round the corner, and 51.5 more.
        half = 0.3 * 9.81 * 0.35 * 50
        turned = half * math.exp(0.35 * math.pi / 2)
        cable = self.past_a_corner()
        self.assertAlmostEqual(cable["tension_n"], turned + half, places=6)
        self.assertIn("about 141 N of 2,700 N", cable["pull"])
        # Behind the bend 89.2 N, over a sweep of ten times 114 mm.
        self.assertAlmostEqual(cable["side_wall_n_m"], turned / 1.14, places=6)
        self.assertIn("78 N/m of 7,300 N/m", cable["pull"])

    def test_a_sheave_or_a_second_person_takes_the_corner_off(self) -> None:
        for feeding in ("sheave", "person"):
            cable = self.past_a_corner(feeding=feeding)
            self.assertAlmostEqual(cable["tension_n"], 0.3 * 9.81 * 0.35 * 100, places=6)
            self.assertEqual(cable["side_wall_n_m"], 0)

    def test_through_a_building_a_cable_goes_up_and_down_again(self) -> None:
        # Its cover of 450 mm down, 90 degrees, 50 m; at the far end 90 up and 450 mm: then half a
        # turn, and the same once more.
        places = [building(name, x, 0) for name, x in (("A", 0), ("M", 50), ("B", 100))]
        one = trench("T", (0, 0), (50, 0)), trench("U", (50, 0), (100, 0))
        cable = fibre("A", "B", mass=0.3)
        answer = yarrow.site(site(places, list(one), [cable]))
        weight, quarter = 0.3 * 9.81, math.exp(0.35 * math.pi / 2)
        tension = 0.0
        for _ in range(2):
            tension = max(tension - weight * 0.45, 0) * quarter
            tension = (tension + weight * 0.35 * 50) * quarter + weight * 0.45
            tension *= quarter**2
        self.assertAlmostEqual(answer["cables"][0]["tension_n"], tension / quarter**2, places=6)

    def test_a_building_on_the_way_is_gone_up_into_and_down_again(self) -> None:
        # From a hand hole 50 m level, up 450 mm at the building, half a turn, down, 50 m level.
        places = [hole("A", 0, 0), building("M", 50, 0), hole("B", 100, 0)]
        lines = [trench("T", (0, 0), (50, 0)), trench("U", (50, 0), (100, 0))]
        cable = fibre("A", "B", mass=0.3)
        weight, quarter = 0.3 * 9.81, math.exp(0.35 * math.pi / 2)
        level = weight * 0.35 * 50
        up = (level * quarter + weight * 0.45) * quarter**2
        tension = (up - weight * 0.45) * quarter + level
        answer = yarrow.site(site(places, lines, [cable]))
        self.assertAlmostEqual(answer["cables"][0]["tension_n"], tension, places=6)

    def test_a_duct_keeps_the_largest_size_on_its_way_and_is_joined_every_6_m(self) -> None:
        lines = [trench("T", (0, 0), (50, 0), duct="50"), trench("U", (50, 0), (100, 0))]
        answer = yarrow.site(site(PLACES, lines, [fibre("A", "B")]))
        ducts = answer["stretches"][0]["ducts"]
        self.assertEqual([duct["size"] for duct in ducts], ["100", "100"])
        # 100 m are 17 lengths of 6 m, with 16 couplings between them, in each of two.
        amounts = {each["what"]: each["amount"] for each in answer["quantities"]}
        self.assertEqual(amounts["couplings 100"], 2 * 16)

    def test_a_cable_that_presses_too_hard_on_a_bend_is_told(self) -> None:
        # 2,600 N are borne; over a radius of 200 mm that is up to 13,000 N a metre.
        ends = [hole("A", 0, 0), hole("B", 60, 60)]
        line = trench("T", (0, 0), (60, 0), (60, 60), radius=200)
        cable = fibre("A", "B", kind="copper", mass=12, most_tension=9000, diameter=8)
        answer = yarrow.site(site(ends, [line], [cable]))
        told = next(each for each in answer["findings"] if each["code"] == "cable-pulls-too-hard")
        behind = 12 * 9.81 * 0.35 * 60 * math.exp(0.35 * math.pi / 2)
        self.assertIn(f"{behind / 0.2:,.0f} N/m against a bend of A–B", told["text"])
        self.assertIn("7,300 N/m", told["text"])

    def test_slack_is_left_in_each_pull_point(self) -> None:
        places = [hole("A", 0, 0), hole("M", 50, 0), hole("B", 100, 0)]
        answer = yarrow.site(site(places, [trench("T", (0, 0), (100, 0))], [fibre("A", "B")]))
        self.assertEqual(answer["cables"][0]["length_m"], 100 + 3 + 2 * 5)
        self.assertEqual(answer["cables"][0]["through"], ["A", "M", "B"])


class Sweeps(unittest.TestCase):
    def test_a_sweep_is_ten_ducts_and_twenty_cables_wide(self) -> None:
        line = trench("T", (0, 0), (50, 0), (50, 50))
        ends = [hole("A", 0, 0), hole("B", 50, 50)]

        def paths(diameter: float, radius: float) -> list[str]:
            swept = [{**line, "radius": radius}]
            document = site(ends, swept, [fibre("A", "B", diameter=diameter)])
            return [each["path"] for each in yarrow.site(document)["findings"]]

        # 114 mm over all: 1,140; a cable of 58 wants 1,160.
        self.assertNotIn("cables[0].diameter", paths(57, 1140))
        self.assertIn("cables[0].diameter", paths(58, 1140))
        self.assertNotIn("trenches[0].radius", paths(12, 1140))
        self.assertIn("trenches[0].radius", paths(12, 1139))


class Ways(unittest.TestCase):
    PLACES = (hole("A", 0, 0), hole("B", 100, 0), hole("M", 50, 40))
    TRENCHES = (
        trench("Bent", (0, 0), (10, 0), (10, 5), (90, 5), (90, 0), (100, 0)),
        trench("Wide", (0, 0), (50, 40)),
        trench("Back", (50, 40), (100, 0)),
    )

    def through(self, **more: Any) -> list[str]:
        answer = yarrow.site(site([*self.PLACES], [*self.TRENCHES], [fibre("A", "B", **more)]))
        found: list[str] = answer["cables"][0]["through"]
        return [name for name in found if name in "AMB"]

    def test_the_shortest_the_straightest_and_the_one_that_was_picked(self) -> None:
        self.assertEqual(self.through(), ["A", "B"])
        self.assertEqual(self.through(by="fewest-bends"), ["A", "M", "B"])
        self.assertEqual(self.through(via=["M"]), ["A", "M", "B"])
        with self.assertRaisesRegex(DocumentError, r"cables\[0\].via\[0\]"):
            self.through(via=["Nowhere"])


class Network(unittest.TestCase):
    def test_what_crosses_does_not_meet_and_what_touches_does(self) -> None:
        places = [hole("A", 0, 0), hole("B", 100, 0), hole("C", 50, 50)]
        crossing = [trench("T", (0, 0), (100, 0)), trench("U", (50, 50), (50, -10))]
        answer = yarrow.site(site(places, crossing, [fibre("C", "A")]))
        codes = [each["code"] for each in answer["findings"]]
        self.assertIn("trenches-cross", codes)
        self.assertIn("cable-without-a-way", codes)
        touching = [crossing[0], trench("U", (50, 50), (50, 0))]
        answer = yarrow.site(site(places, touching, [fibre("C", "A")]))
        self.assertEqual(len(answer["stretches"]), 3)
        self.assertNotIn("trenches-cross", [each["code"] for each in answer["findings"]])

    def test_a_trench_that_crosses_itself_and_one_whose_it_is(self) -> None:
        places = [hole("A", 0, 0), hole("B", 20, -20)]
        line = [(0, 0), (40, 0), (40, 20), (20, 20), (20, -20)]
        answer = yarrow.site(site(places, [trench("T", *line, owner="the Council")]))
        self.assertIn("crosses itself", " ".join(each["text"] for each in answer["findings"]))
        self.assertIn("in T of the Council", answer["stretches"][0]["lies"][0])

    def test_what_no_one_digs_is_refused_before_it_is_worked_out(self) -> None:
        far = [trench(f"T{n}", (0, n), (20000, n)) for n in range(400)]
        with self.assertRaisesRegex(DocumentError, "rules.most_straight_m"):
            yarrow.site(site([], far, rules={"most_straight_m": 10}))
        with self.assertRaisesRegex(DocumentError, "cables: expected at most 83 over"):
            places = [hole("A", -9000, 0), hole("B", 9000, 0)]
            long = trench("T", (-9000, 0), (9000, 0))
            cables = [fibre("A", "B")] * 84
            yarrow.site(site(places, [long], cables, rules={"most_straight_m": 50}))
        many = [trench(f"T{n}", *((n, float(x)) for x in range(200))) for n in range(16)]
        with self.assertRaisesRegex(DocumentError, "at most 3,000 points in all"):
            yarrow.site(site([], many))
        alike = [trench(f"T{n}", (0, 0), (150, 0)) for n in range(400)]
        alike.append(trench("Steps", *((float(x), 0) for x in range(150))))
        with self.assertRaisesRegex(DocumentError, "lie on one another"):
            yarrow.site(site([], alike))

    def test_a_cable_to_a_place_that_is_not_there_is_told_which_are(self) -> None:
        line = [trench("T", (0, 0), (100, 0))]
        for places, said in ((PLACES, "a place: A, B"), ([], "a place: none is there")):
            with self.subTest(said), self.assertRaisesRegex(DocumentError, said):
                yarrow.site(site(places, line, [fibre("A" if places else "B", "C")]))

    def test_a_building_with_two_entries_is_one_place(self) -> None:
        both = building("Hut", 50, 10, entries=[[50, -10]])
        places = [hole("A", 0, 10), hole("B", 0, -10), both]
        lines = [trench("T", (0, 10), (50, 10)), trench("U", (0, -10), (50, -10))]
        answer = yarrow.site(site(places, lines, [fibre("B", "A")]))
        self.assertEqual(answer["cables"][0]["through"], ["B", "Hut", "A"])
