"""Pull boxes and entries: the rule by hand, and drawings that keep what they say."""

from __future__ import annotations

import itertools
import math
import random
import unittest
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from core.tests.fill.helpers import codes_in, finding_in
from yarrow.documents.boxes.reading import entries_document, pull_box_document
from yarrow.fill.entries import EntriesResult
from yarrow.fill.pull_boxes import OPPOSITE, Placed, PullBoxResult
from yarrow.fill.rings import least_spacing, row_of_holes
from yarrow.wording.wording import EN_US


def entry(id_: str, wall: str, size: str, row: int = 1) -> dict[str, Any]:
    return {"id": id_, "wall": wall, "row": row, "size": size}


def pull_box(*entries: dict[str, Any], pulls: str = "", **more: Any) -> PullBoxResult:
    return pull_box_document(
        {
            "format": "yarrow.pullbox/1",
            "units": "in",
            "entries": list(entries),
            "pulls": [pair.split("-") for pair in pulls.split()],
            **more,
        }
    )


class TheRule(unittest.TestCase):
    def sides(self, result: PullBoxResult) -> tuple[float, float]:
        return result.least.width, result.least.height

    def test_a_straight_pull_is_eight_times_the_larger(self) -> None:
        result = pull_box(entry("A", "left", "3"), entry("B", "right", "2"), pulls="A-B")
        self.assertEqual(self.sides(result), (24, 0))
        self.assertEqual(result.pulls[0].kind, "straight")

    def test_an_angle_pull_is_six_times_the_largest_on_each_wall(self) -> None:
        result = pull_box(entry("A", "left", "3"), entry("B", "bottom", "2"), pulls="A-B")
        self.assertEqual((self.sides(result), result.apart), ((18, 12), (18,)))

    def test_the_others_of_the_row_are_added(self) -> None:
        result = pull_box(
            entry("A", "left", "3"),
            entry("B", "left", "2-1/2"),
            entry("C", "left", "2"),
            entry("D", "bottom", "3"),
            pulls="A-D",
        )
        self.assertEqual(self.sides(result), (6 * 3 + 2.5 + 2, 18))

    def test_of_two_rows_the_one_that_asks_for_more(self) -> None:
        rows = [entry("A", "left", "2"), entry("B", "left", "2"), entry("C", "left", "3", row=2)]
        result = pull_box(*rows, entry("D", "top", "3"), pulls="A-D C-D B-D")
        # Row 1: 12 + 2; row 2: 18.
        self.assertEqual(result.least.width, 18)
        self.assertEqual(
            {EN_US.text(r.text) for r in result.reasons if r.wall == "left"},
            {"left wall, row 1: 6 × 2 + 2", "left wall, row 2: 6 × 3"},
        )

    def test_a_u_pull_goes_back_out_of_its_own_wall(self) -> None:
        result = pull_box(entry("A", "top", "2"), entry("B", "top", "2"), pulls="A-B")
        self.assertEqual((result.least.height, result.apart[0]), (14, 12))
        self.assertEqual(result.pulls[0].kind, "u")
        self.assertGreaterEqual(result.drawn.width, 12 + 2 * 2.469)

    def test_a_u_pull_is_the_same_whichever_end_is_named_first(self) -> None:
        # Two of 3 on the left: 6 x 3 + 3 to the opposite wall. In the drawing their two lock
        # rings and 18 between the holes' edges (3 5/8 wide each) take 18 + 2 x 3 5/8 and a bush's
        # room to the corners: the box is no larger than that.
        walls = entry("A", "left", "3"), entry("B", "left", "3")
        one, other = pull_box(*walls, pulls="A-B"), pull_box(*walls, pulls="B-A")
        self.assertEqual(one.least, other.least)
        self.assertEqual(one.drawn, other.drawn)
        self.assertEqual(self.sides(one), (21, 0))
        self.assertLess(one.drawn.height, 18 + 2 * 3.625 + 4)

    def test_every_random_box_is_drawn_as_its_pulls_ask_in_either_order(self) -> None:
        rng = random.Random(29)
        for number in range(300):
            walls = [
                entry(name, rng.choice(list(OPPOSITE)), rng.choice(["1", "2", "3", "4"]), row)
                for name, row in zip(
                    "ABCDEF"[: rng.randint(2, 6)], (1, 1, 2, 1, 2, 1), strict=False
                )
            ]
            names = [wall["id"] for wall in walls]
            pairs = [rng.sample(names, 2) for _ in names]
            forth, back = (
                pull_box(
                    *walls, pulls=" ".join(dict.fromkeys("-".join(pair[::by]) for pair in pairs))
                )
                for by in (1, -1)
            )
            with self.subTest(number=number, walls=walls, pairs=pairs):
                self.assertEqual((forth.least, forth.drawn), (back.least, back.drawn))
                for pull in forth.pulls:
                    self.assertGreaterEqual(pull.drawn, pull.apart - 1e-6)

    def test_straight_and_angle_through_one_box(self) -> None:
        result = pull_box(
            entry("A", "left", "4"),
            entry("B", "right", "4"),
            entry("C", "left", "2"),
            entry("D", "bottom", "2"),
            pulls="A-B C-D",
        )
        # Straight 8 x 4 = 32 beats the row of the left wall, 6 x 4 + 2 = 26.
        self.assertEqual(self.sides(result), (32, 12))

    def test_metric_boxes_go_by_metric_sizes(self) -> None:
        result = pull_box(
            entry("A", "left", "32"), entry("B", "right", "32"), pulls="A-B", units="mm"
        )
        self.assertEqual(result.least.width, 256)

    def test_the_box_at_hand(self) -> None:
        two = (entry("A", "left", "3"), entry("B", "bottom", "2"))
        self.assertTrue(pull_box(*two, pulls="A-B", have={"width": 18, "height": 12}).passes)
        small = pull_box(*two, pulls="A-B", have={"width": 18, "height": "11 15/16"})
        self.assertFalse(small.passes)
        self.assertIn("12", finding_in(small, "pull-box-too-small").text)
        self.assertIsNone(pull_box(*two, pulls="A-B").passes)

    def test_a_raceway_that_nothing_is_pulled_through_is_named(self) -> None:
        self.assertIn("A", finding_in(pull_box(entry("A", "left", "3")), "no-pull").text)


walls = st.sampled_from(["left", "right", "top", "bottom"])
raceways = st.lists(st.tuples(walls, st.sampled_from(["1", "2", "3", "4"])), min_size=2, max_size=6)


class TheDrawing(unittest.TestCase):
    @settings(max_examples=60)
    @given(raceways, st.data())
    def test_every_ring_is_within_its_wall_and_clear_of_its_neighbours(
        self, listed: list[tuple[str, str]], data: st.DataObject
    ) -> None:
        entries = [entry(str(at), wall, size) for at, (wall, size) in enumerate(listed)]
        ends = st.sampled_from([each["id"] for each in entries])
        pulls = data.draw(
            st.lists(st.tuples(ends, ends).filter(lambda p: p[0] != p[1]), max_size=3)
        )
        result = pull_box(*entries, pulls=" ".join("-".join(pair) for pair in pulls))
        self.assertGreaterEqual(result.drawn.width, result.least.width)
        self.assertGreaterEqual(result.drawn.height, result.least.height)
        for wall in ("left", "right", "top", "bottom"):
            long = result.drawn.height if wall in ("left", "right") else result.drawn.width
            placed = sorted((p for p in result.placed if p.wall == wall), key=lambda p: p.along)
            for one in placed:
                self.assertGreaterEqual(one.along - one.ring / 2, 0)
                self.assertLessEqual(one.along + one.ring / 2, long + 1e-9)
            for one, other in itertools.pairwise(placed):
                self.assertGreaterEqual(other.along - one.along, (one.ring + other.ring) / 2 - 1e-9)

    def test_the_distance_told_is_that_between_the_holes_drawn(self) -> None:
        result = pull_box(entry("A", "left", "3"), entry("B", "bottom", "2"), pulls="A-B")
        a, b = sorted(result.placed, key=lambda each: each.id)
        between = math.hypot(b.along, a.along) - (a.hole + b.hole) / 2
        self.assertAlmostEqual(result.pulls[0].drawn, between)
        self.assertGreaterEqual(between, 18)
        self.assertIsInstance(a, Placed)


def holes(*entries: tuple[str, str, object, object, str], **box: Any) -> EntriesResult:
    listed = [
        {"id": id_, "wall": wall, "at": at, "deep": deep, "size": size}
        for id_, wall, at, deep, size in entries
    ]
    return entries_document(
        {
            "format": "yarrow.entries/1",
            "units": "in",
            "box": {"width": 4, "height": 4, "depth": "1 1/2"},
            "entries": listed,
            **box,
        }
    )


class Entries(unittest.TestCase):
    def test_two_lock_rings_side_by_side(self) -> None:
        # Two rings of 1.13 and an eighth of air: 1 1/4 from middle to middle.
        self.assertAlmostEqual(least_spacing("1/2", "1/2", "in"), 1.255)
        self.assertTrue(holes(("A", "top", 1, 0.75, "1/2"), ("B", "top", 2.26, 0.75, "1/2")).passes)
        close = holes(("A", "top", 1, 0.75, "1/2"), ("B", "top", 2.25, 0.75, "1/2"))
        self.assertFalse(close.passes)
        self.assertIn("1.26", finding_in(close, "rings-meet").text)
        self.assertEqual(close.spacings[0].least, least_spacing("1/2", "1/2", "in"))

    def test_corner_knockouts_next_to_each_other_collide(self) -> None:
        corner = holes(("A", "top", 0.75, 0.75, "1/2"), ("B", "left", 3.25, 0.75, "1/2"))
        self.assertIn("meet-at-corner", codes_in(corner))
        # One of them in the middle of its wall, and both fit.
        self.assertTrue(
            holes(("A", "top", 2, 0.75, "1/2"), ("B", "left", 3.25, 0.75, "1/2")).passes
        )
        # The other corners are no nearer.
        self.assertTrue(
            holes(("A", "top", 0.75, 0.75, "1/2"), ("B", "right", 3.25, 0.75, "1/2")).passes
        )

    def test_a_ring_over_the_edge(self) -> None:
        self.assertIn("over-the-edge", codes_in(holes(("A", "top", 0.5, 0.75, "1/2"))))
        self.assertIn("over-the-edge", codes_in(holes(("A", "top", 2, 0.75, "1-1/4"))))

    def test_the_middle_side_knockout_behind_a_device_s_screws(self) -> None:
        middle = ("A", "left", 2, 0.75, "1/2")
        self.assertIn("at-the-screws", codes_in(holes(middle, device=True)))
        self.assertNotIn("at-the-screws", codes_in(holes(middle)))
        self.assertNotIn(
            "at-the-screws", codes_in(holes(("A", "left", 1, 0.75, "1/2"), device=True))
        )
        self.assertNotIn(
            "at-the-screws", codes_in(holes(("A", "top", 2, 0.75, "1/2"), device=True))
        )

    def test_opposite_bushes_in_a_narrow_box(self) -> None:
        narrow = {"width": 0.9, "height": 4, "depth": 1.5}
        facing = holes(("A", "left", 2, 0.75, "1/2"), ("B", "right", 2, 0.75, "1/2"), box=narrow)
        self.assertIn("meet-at-corner", codes_in(facing))

    def test_a_row_of_connectors(self) -> None:
        middles = row_of_holes(["1/2", "1/2", "3/4"], "in")
        # 1/8 + 1.13/2; then 1.255; then (1.13 + 1.38)/2 + 1/8; the wall ends 1.38/2 + 1/8 on.
        for got, by_hand in zip(middles, (0.69, 1.945, 3.325, 4.14), strict=True):
            self.assertAlmostEqual(got, by_hand)
        self.assertEqual(row_of_holes([], "in"), (0.0,))
