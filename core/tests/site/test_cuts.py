"""What one cut takes down and second ways, held to removing each stretch and searching."""

from __future__ import annotations

import math
import os
import random
import unittest
from collections.abc import Collection, Iterator
from typing import Any

import yarrow
from core.tests.site.helpers import fibre, hole, random_network, site, trench

_SITES = int(os.environ.get("YARROW_SITES", "800"))


def reached(answer: dict[str, Any], start: int, without: Collection[int]) -> set[int]:
    """The stops that can be come to from one, by stretches that are not left out."""
    found, waiting = {start}, [start]
    while waiting:
        at = waiting.pop()
        for stretch in answer["stretches"]:
            one, other = stretch["ends"]
            if stretch["number"] not in without and at in (one, other):
                beyond = other if at == one else one
                if beyond not in found:
                    found.add(beyond)
                    waiting.append(beyond)
    return found


class Cuts(unittest.TestCase):
    def chain(self, *more: dict[str, Any]) -> dict[str, Any]:
        """A hub and three places along one trench from it, each with a cable of its own."""
        places = [hole(name, 50 * x, 0) for x, name in enumerate("HABC")]
        trenches = [trench("T", (0, 0), (150, 0)), *more]
        return yarrow.site(site(places, trenches, [fibre(each, "H") for each in "ABC"]))

    def test_one_cut_near_the_hub_darkens_all_and_one_trench_frees_all(self) -> None:
        answer = self.chain()
        dark = {each["name"]: each["dark"] for each in answer["stretches"]}
        self.assertEqual(dark, {"H–A": ["A", "B", "C"], "A–B": ["B", "C"], "B–C": ["C"]})
        self.assertEqual([stop["dark"] for stop in answer["stops"]][1:], [["B", "C"], ["C"], []])
        frees = {tuple(way["frees"]): way["length_m"] for way in answer["second_ways"]}
        self.assertEqual(frees[("A", "B", "C")], 150)
        self.assertEqual(answer["stretches"][0]["no_way_round"], ["A", "B", "C"])

    def test_a_ring_has_a_way_round_and_its_cables_are_cut_all_the_same(self) -> None:
        answer = self.chain(trench("Back", (150, 0), (150, 60), (0, 60), (0, 0)))
        self.assertEqual(answer["second_ways"], [])
        self.assertTrue(all(not each["no_way_round"] for each in answer["stretches"]))
        # One cable each, the short way: what it goes through takes it down.
        self.assertEqual(answer["stretches"][0]["dark"], ["A", "B", "C"])

    def test_two_ways_that_share_no_stretch_leave_nothing_dark(self) -> None:
        places = [hole("H", 0, 0), hole("A", 100, 0), hole("X", 50, 0)]
        ring = [trench("T", (0, 0), (100, 0)), trench("U", (100, 0), (100, 60), (0, 60), (0, 0))]
        cable = fibre("A", "H", second=True)
        answer = yarrow.site(site(places, ring, [cable]))
        (told,) = answer["cables"]
        self.assertFalse(set(told["way"]) & set(told["second"]))
        self.assertTrue(all(not each["dark"] for each in answer["stretches"]))
        alone = yarrow.site(site(places, ring[:1], [cable]))
        self.assertIn("no-second-way", [each["code"] for each in alone["findings"]])

    def test_a_second_way_beside_one_that_was_picked(self) -> None:
        # By A, X, H on the short side; the other way round the ring shares nothing with it.
        places = [hole("H", 0, 0), hole("A", 100, 0), hole("X", 50, 0)]
        ring = [trench("T", (0, 0), (100, 0)), trench("U", (100, 0), (100, 60), (0, 60), (0, 0))]
        cable = fibre("A", "H", second=True, via=["X"])
        (told,) = yarrow.site(site(places, ring, [cable]))["cables"]
        self.assertEqual(told["through"], ["A", "X", "H"])
        self.assertTrue(told["second"])
        self.assertFalse(set(told["way"]) & set(told["second"]))
        alone = yarrow.site(site(places, ring[:1], [cable]))
        text = next(each["text"] for each in alone["findings"] if each["code"] == "no-second-way")
        self.assertIn("that was picked", text)

    def test_a_place_with_cables_to_two_hubs_is_freed_by_what_serves_both(self) -> None:
        # H - P - K in a line: a trench from H to P frees P's cables to H alone; from H to K both.
        places = [hole(name, x, 0) for name, x in (("H", 0), ("P", 100), ("K", 200))]
        cables = [fibre("P", "H"), fibre("P", "K")]
        answer = yarrow.site(site(places, [trench("T", (0, 0), (200, 0))], cables))
        (way,) = answer["second_ways"]
        self.assertEqual((way["frees"], way["length_m"]), (["P"], 200))
        # With both hubs on branches of one trench from P, no one trench does.
        places = [hole(*at) for at in (("H", 100, 50), ("P", 0, 0), ("B", 50, 0), ("K", 100, -50))]
        lines = [
            trench("PB", (0, 0), (50, 0)),
            trench("BH", (50, 0), (100, 50)),
            trench("BK", (50, 0), (100, -50)),
        ]
        answer = yarrow.site(site(places, lines, cables))
        self.assertEqual(answer["second_ways"], [])
        text = next(
            each["text"] for each in answer["findings"] if each["code"] == "one-cut-takes-down"
        )
        self.assertIn("more than one hub", text)

    def test_with_two_hubs_second_ways_agree_with_digging_them_and_cutting(self) -> None:
        rng = random.Random(12)
        for number in range(300):
            document = random_network(rng)
            names = [place["name"] for place in document["places"]]
            if len(names) > 2:
                document["cables"] += [fibre(name, names[1]) for name in names[2:]]
            answer = yarrow.site(document)
            stops = {stop["name"]: stop["number"] for stop in answer["stops"]}
            for way in answer["second_ways"]:
                dug = {"number": -1, "ends": way["ends"]}
                with_it = {**answer, "stretches": [*answer["stretches"], dug]}
                for place in way["frees"]:
                    hubs = {c["to"] for c in document["cables"] if c["from"] == place}
                    whole = reached(answer, stops[place], ())
                    for stretch in answer["stretches"]:
                        left = reached(with_it, stops[place], (stretch["number"],))
                        lost = {stops[hub] for hub in hubs} & whole - left
                        self.assertFalse(lost, (number, place, way["ends"]))

    def test_two_ways_apart_are_found_where_the_shortest_is_in_neither(self) -> None:
        # The short way A-C-D-B leaves no other: the two are A-C-B and A-D-B.
        at = {"A": (0, 0), "C": (10, 10), "D": (20, -10), "B": (30, 0)}
        lines = [
            trench("AC", at["A"], at["C"]),
            trench("CD", at["C"], at["D"]),
            trench("DB", at["D"], at["B"]),
            trench("AD", at["A"], (0, -60), (20, -60), at["D"]),
            trench("CB", at["C"], (10, 60), (30, 60), at["B"]),
        ]
        places = [hole(name, *spot) for name, spot in at.items()]
        rules = {"most_straight_m": 5000, "less_per_quarter_m": 0, "most_degrees": 720}
        answer = yarrow.site(site(places, lines, [fibre("A", "B", second=True)], rules=rules))
        (told,) = answer["cables"]
        self.assertFalse(set(told["way"]) & set(told["second"]))
        used = {answer["stretches"][each]["name"] for each in (*told["way"], *told["second"])}
        self.assertEqual(used, {"A–C", "C–B", "A–D", "D–B"})

    def test_cuts_and_second_ways_agree_with_removing_each_stretch(self) -> None:
        rng = random.Random(4)
        for number in range(_SITES):
            answer = yarrow.site(random_network(rng))
            whole = reached(answer, 0, ())
            names = {stop["name"]: stop["number"] for stop in answer["stops"]}
            fed = {stop for name, stop in names.items() if name != "N0" and stop in whole}
            fed &= {each["place"] for each in answer["stops"] if each["place"] is not None}
            cut_off: dict[int, set[int]] = {}
            for stretch in answer["stretches"]:
                lost = fed - reached(answer, 0, (stretch["number"],))
                self.assertEqual({names[each] for each in stretch["no_way_round"]}, lost, number)
                cut_off[stretch["number"]] = lost
            held = {stop for lost in cut_off.values() for stop in lost}
            self.assertEqual(
                {names[each] for way in answer["second_ways"] for each in way["frees"]}, held
            )
            for way in answer["second_ways"]:
                self.check_second_way(answer, way, fed)

    def test_two_ways_apart_are_the_shortest_together_that_there_are(self) -> None:
        rng = random.Random(11)
        found = 0
        for _ in range(_SITES // 4):
            document = random_network(rng)
            first = document["cables"][0]
            answer = yarrow.site({**document, "cables": [{**first, "second": True}]})
            (told,) = answer["cables"]
            start, end = (
                next(stop["number"] for stop in answer["stops"] if stop["name"] == first[which])
                for which in ("from", "to")
            )
            long = [each["length_m"] for each in answer["stretches"]]
            ways = list(simple_ways(answer, start, end))
            pairs = [
                sum(long[each] for each in (*one, *other))
                for at, one in enumerate(ways)
                for other in ways[at + 1 :]
                if not set(one) & set(other)
            ]
            self.assertEqual(bool(told["second"]), bool(pairs))
            if pairs:
                found += 1
                both = sum(long[each] for each in (*told["way"], *told["second"]))
                self.assertAlmostEqual(both, min(pairs))
        self.assertGreater(found, 50)

    def check_second_way(
        self, answer: dict[str, Any], way: dict[str, Any], fed: Collection[int]
    ) -> None:
        """With it, no one cut takes down whom it frees; of whom it was looked for, nothing shorter
        frees them."""
        names = {stop["name"]: stop["number"] for stop in answer["stops"]}
        frees = {names[each] for each in way["frees"]}
        self.assertEqual(freed_by(answer, way["ends"]) & set(fed), frees)
        at = [stop["at"] for stop in answer["stops"]]
        whole = reached(answer, 0, ())
        shorter = [
            {one, other}
            for one in whole
            for other in whole
            if one < other and math.dist(at[one], at[other]) < way["length_m"] - 1e-6
        ]
        best_of_one = [
            stop
            for stop in frees
            if not any(stop in freed_by(answer, tuple(pair)) for pair in shorter)
        ]
        self.assertTrue(best_of_one, way)


def simple_ways(
    answer: dict[str, Any], at: int, end: int, been: tuple[int, ...] = ()
) -> Iterator[tuple[int, ...]]:
    """Every way from a stop to another that comes to none twice, as its stretches."""
    if at == end:
        yield ()
        return
    for stretch in answer["stretches"]:
        if at in stretch["ends"]:
            one, other = stretch["ends"]
            beyond = other if at == one else one
            if beyond not in (*been, at):
                for rest in simple_ways(answer, beyond, end, (*been, at)):
                    yield (stretch["number"], *rest)


def freed_by(answer: dict[str, Any], ends: Collection[int]) -> set[int]:
    """The stops that some stretch cuts off from the first, and none does with one more."""
    more = {"number": -1, "ends": list(ends)}
    grown = {**answer, "stretches": [*answer["stretches"], more]}
    whole = reached(answer, 0, ())
    held, still = set(), set()
    for stretch in answer["stretches"]:
        held |= whole - reached(answer, 0, (stretch["number"],))
        still |= whole - reached(grown, 0, (stretch["number"],))
    return held - still
