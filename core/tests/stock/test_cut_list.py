"""Pieces on sticks and offcuts: hand-worked lists, and small ones against every way there is."""

from __future__ import annotations

import random
import unittest
from typing import Any
from unittest import mock

from yarrow import DocumentError, cut
from yarrow.stock import solver


def stock(*lengths: Any, **more: Any) -> dict[str, Any]:
    pieces = [{"length": length, "name": f"p{number}"} for number, length in enumerate(lengths)]
    return {"format": "yarrow.stock/1", "units": "in", "stick": 120, "pieces": pieces, **more}


def on_bars(answer: dict[str, Any]) -> list[list[float]]:
    return [[each["length"] for each in bar["cuts"]] for bar in answer["bars"]]


class ByHand(unittest.TestCase):
    def test_each_cut_takes_its_kerf(self) -> None:
        answer = cut(stock(50, 50, 50))
        self.assertEqual(on_bars(answer), [[50.0, 50.0], [50.0]])
        # 120 less twice 50 and two cuts of 1/16; 120 less 50 and one.
        self.assertEqual([bar["left_text"] for bar in answer["bars"]], ["19 7/8", "69 15/16"])
        self.assertEqual([bar["kept"] for bar in answer["bars"]], [False, True])
        self.assertEqual((answer["waste"], answer["kept_text"]), (19.875, "69 15/16"))
        self.assertEqual([each["begins"] for each in answer["bars"][0]["cuts"]], [0.0, 50.0625])

    def test_a_piece_that_ends_with_its_stick_is_not_cut_off(self) -> None:
        answer = cut(stock(60, "59 15/16"))
        self.assertEqual(answer["sticks"], 1)
        self.assertEqual(answer["bars"][0]["left"], 0.0)
        self.assertEqual(cut(stock(60, 60))["sticks"], 2)
        self.assertEqual(cut(stock(60, 60, kerf=0))["sticks"], 1)

    def test_pieces_with_their_cuts_fill_a_bar_to_its_last_cut(self) -> None:
        lost = cut(stock(60, "57 15/16", end=2))
        (bar,) = lost["bars"]
        # 118 of the stick, and a cut of 1/16 that may lie beyond it.
        self.assertEqual(bar["room"], 118.0625)
        self.assertEqual([each["takes"] for each in bar["cuts"]], [60.0625, 58.0])
        (offcut,) = cut(stock(33, offcuts=[{"length": 34}]))["bars"]
        self.assertEqual(offcut["room"], 34.0625)

    def test_what_is_just_as_long_as_is_kept_is_kept(self) -> None:
        for length, kept in ((96, True), ("96 1/16", False)):
            (bar,) = cut(stock(length, kerf=0, keep=24))["bars"]
            self.assertEqual(bar["kept"], kept)

    def test_offcuts_go_before_a_new_stick_the_shortest_that_does(self) -> None:
        hand = [{"length": 40, "name": "by the door"}, {"length": 90}, {"length": 34}]
        answer = cut(stock(33, offcuts=hand))
        self.assertEqual(answer["sticks"], 0)
        self.assertEqual([bar["length"] for bar in answer["bars"]], [34.0])

    def test_what_is_lost_at_an_end_is_not_cut_from(self) -> None:
        self.assertEqual(cut(stock(119))["sticks"], 1)
        lost = cut(stock(119, end=2))
        self.assertEqual(lost["findings"][0]["code"], "piece-longer-than-stock")
        self.assertEqual(cut(stock(50, end=2))["bars"][0]["cuts"][0]["begins"], 2.0)

    def test_a_stick_that_is_all_lost_is_refused(self) -> None:
        with self.assertRaises(DocumentError) as caught:
            cut(stock(10, end=120))
        self.assertEqual(caught.exception.path, "end")

    def test_a_piece_too_long_is_told_and_the_others_are_cut(self) -> None:
        answer = cut(stock(130, 50))
        self.assertEqual(on_bars(answer), [[50.0]])
        (found,) = answer["findings"]
        self.assertEqual(
            (found["code"], found["path"]), ("piece-longer-than-stock", "pieces[0].length")
        )
        self.assertIn("P0 is 10 in longer", found["text"])

    def test_one_long_offcut_serves_one_long_piece_and_the_other_is_told(self) -> None:
        answer = cut(stock(130, 132, offcuts=[{"length": 140}]))
        self.assertEqual(on_bars(answer), [[132.0]])
        (found,) = answer["findings"]
        self.assertEqual(found["path"], "pieces[0].length")
        self.assertIn("no offcut is left", found["text"])
        both = cut(stock(130, 132, offcuts=[{"length": 270}]))
        self.assertEqual((on_bars(both), both["findings"]), ([[132.0, 130.0]], []))

    def test_sticks_that_run_out_are_told(self) -> None:
        answer = cut(stock(100, 100, 100, sticks=2))
        (found,) = answer["findings"]
        self.assertEqual(found["text"], "It takes 3 sticks, 1 more than there are.")

    def test_one_stick_is_not_called_sticks(self) -> None:
        self.assertIn("1 stick, ", cut(stock(50, 40))["says"])
        self.assertIn("2 sticks, ", cut(stock(100, 100))["says"])

    def test_millimetres_have_their_own_usual_kerf_and_least_offcut(self) -> None:
        answer = cut({**stock(1000, 1390), "units": "mm", "stick": 3000})
        self.assertEqual(answer["bars"][0]["left_text"], "607")
        self.assertTrue(answer["bars"][0]["kept"])

    def test_absurd_counts_are_refused(self) -> None:
        many = [{"length": 1, "count": 400}] * 26
        with self.assertRaises(DocumentError) as caught:
            cut({**stock(1), "pieces": many})
        self.assertEqual(caught.exception.path, "pieces")


class Fewest(unittest.TestCase):
    def test_small_lists_agree_with_every_way_there_is(self) -> None:
        rng = random.Random(17)
        better = 0
        for number in range(500):
            lengths = [rng.randint(12, 70) for _ in range(rng.randint(1, 7))]
            hand = [rng.randint(15, 80) for _ in range(rng.randint(0, 2))]
            document = stock(
                *lengths, stick=100, kerf=1, offcuts=[{"length": length} for length in hand]
            )
            answer, least = cut(document, seconds=5), fewest(lengths, hand)
            with self.subTest(number=number, lengths=lengths, hand=hand):
                self.assertEqual((answer["sticks"], answer["how"]), (least, "proven"))
                self.assertEqual(answer["bound"], least)
                self.whole(answer, lengths)
                quick = cut(document, seconds=0)
                self.assertLessEqual(quick["bound"], least)
            better += quick["sticks"] > least
        # Else nothing was looked for.
        self.assertGreater(better, 0)

    def test_a_bound_by_prices_is_never_more_than_can_be(self) -> None:
        rng = random.Random(23)
        # As of a list with more patterns than are looked at one by one.
        with mock.patch.object(solver, "MOST_PATTERNS", 0):
            for number in range(60):
                lengths = [rng.randint(12, 70) for _ in range(rng.randint(3, 7))]
                answer, least = cut(stock(*lengths, stick=100, kerf=1)), fewest(lengths, [])
                with self.subTest(number=number, lengths=lengths):
                    self.assertLessEqual(answer["bound"], least)
                    self.assertGreaterEqual(answer["sticks"], least)
                    self.whole(answer, lengths)

    def test_what_can_go_beside_a_long_piece_asks_for_no_stick_of_its_own(self) -> None:
        # 45 goes beside 52, not beside 60; the other two share a stick: three in all. Four 45s find
        # no room beside three 60s, and two sticks more are the least.
        three = stock(52, 60, 45, 45, 45, stick=100, kerf=0)
        self.assertEqual((cut(three, seconds=0)["bound"], cut(three)["sticks"]), (3, 3))
        five = stock(60, 60, 60, 45, 45, 45, 45, stick=100, kerf=0)
        self.assertEqual(cut(five, seconds=0)["bound"], 5)

    def test_offcuts_take_no_more_off_the_bound_than_they_are_long(self) -> None:
        # 5 of 40 are 200; ten ends of 5 have 50 of it at most: 150 is two sticks still.
        ends = [{"length": 5, "count": 10}]
        short = stock(*(40,) * 5, stick=100, kerf=0, offcuts=ends)
        self.assertEqual(cut(short, seconds=0)["bound"], 2)

    def test_without_the_solver_first_fit_says_what_it_is(self) -> None:
        lengths, hand = HARD
        document = stock(*lengths, stick=100, kerf=1, offcuts=[{"length": each} for each in hand])
        with mock.patch.object(solver, "highspy", None):
            answer = cut(document)
        self.assertEqual(answer["how"], "first-fit")
        self.assertIn("longest first", answer["says"])
        self.assertGreater(answer["sticks"], fewest(lengths, hand))
        self.whole(answer, lengths)

    def test_long_lists_stay_within_two_percent_of_what_can_t_be_beaten(self) -> None:
        rng = random.Random(4)
        lengths = [rng.randint(160, 1440) / 16 for _ in range(300)]
        answer = cut(stock(*lengths), seconds=0)
        self.assertLessEqual(answer["sticks"], answer["bound"] * 1.02)
        self.whole(answer, lengths)

    def whole(self, answer: dict[str, Any], lengths: list[Any]) -> None:
        """Every piece is cut once, and no bar holds more than it is long."""
        cuts = [each["piece"] for bar in answer["bars"] for each in bar["cuts"]]
        self.assertEqual(sorted(cuts), list(range(len(lengths))))
        for bar in answer["bars"]:
            last = bar["cuts"][-1]
            self.assertLessEqual(last["begins"] + last["length"], bar["length"] + 1e-9)


HARD: tuple[list[int], list[int]] = ([27, 42, 29, 49, 30], [37, 58])


def fewest(lengths: list[int], hand: list[int]) -> int:
    """By trying each piece on every bar, longest first; sticks of 100, a cut of 1."""
    sizes = sorted((length + 1 for length in lengths), reverse=True)
    best = len(sizes)

    def place(at: int, rooms: tuple[int, ...], sticks: int) -> None:
        nonlocal best
        if sticks >= best:
            return
        if at == len(sizes):
            best = sticks
            return
        for bar in dict.fromkeys(rooms):
            if bar >= sizes[at]:
                left = list(rooms)
                left[left.index(bar)] -= sizes[at]
                place(at + 1, tuple(left), sticks)
        place(at + 1, (*rooms, 101 - sizes[at]), sticks + 1)

    place(0, tuple(length + 1 for length in hand), 0)
    return best


if __name__ == "__main__":
    unittest.main()
