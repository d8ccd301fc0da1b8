"""Tape notation: what people write is what is read, exactly."""

from __future__ import annotations

import unittest
from decimal import Decimal
from fractions import Fraction

from hypothesis import given
from hypothesis import strategies as st

from yarrow.measure.rounding import exact_text, round_to
from yarrow.measure.tape import LengthSyntaxError, Reading, in_other_unit, read_length
from yarrow.measure.units import Unit


def inches(text: object) -> Fraction:
    return read_length(text, "in").value


class Notation(unittest.TestCase):
    def test_what_the_contract_lists(self) -> None:
        cases: list[tuple[object, Unit, Fraction]] = [
            ("27 11/16", "in", Fraction(443, 16)),
            ("27-11/16", "in", Fraction(443, 16)),
            ("7' 2 5/8\"", "in", Fraction(693, 8)),
            ("618", "mm", Fraction(618)),
            ("618 mm", "mm", Fraction(618)),
            ("4 7/8 in", "in", Fraction(39, 8)),
            (91, "in", Fraction(91)),
            (0.1, "in", Fraction(1, 10)),
            (Decimal("33.25"), "in", Fraction(133, 4)),
        ]
        for text, unit, value in cases:
            with self.subTest(text=text):
                self.assertEqual(read_length(text, unit).value, value)

    def test_other_ways_that_people_write_it(self) -> None:
        cases = {
            "7'": 84, "7' 2": 86, "7'2\"": 86, "7'-2 5/8\"": Fraction(693, 8), "7 ft 2 in": 86,
            "5/8": Fraction(5, 8), "33½": Fraction(67, 2), "7′ 2⅝″": Fraction(693, 8),
            ".5": Fraction(1, 2), "33.": 33, " 33 ": 33, "-3": -3, "3 x 16": 48,
        }  # fmt: skip
        for text, value in cases.items():
            with self.subTest(text=text):
                self.assertEqual(inches(text), value)

    def test_a_written_unit_wins(self) -> None:
        self.assertEqual(read_length("25.4 mm", "in").value, 1)
        self.assertEqual(read_length('1"', "mm").value, Fraction(127, 5))
        self.assertEqual(read_length("2 ft", "mm").value, Fraction(3048, 5))
        self.assertEqual(read_length("1.2 m", "mm").value, 1200)

    def test_a_sum_keeps_its_working(self) -> None:
        reading = read_length("52 3/4 - 2 7/8", "in")
        self.assertEqual(reading.value, Fraction(399, 8))
        self.assertEqual(reading.worked, "52 3/4 - 2 7/8 = 49 7/8")
        self.assertEqual(read_length("27 - 11/16", "in").value, Fraction(421, 16))
        self.assertEqual(read_length("3/4-2 7/8", "in").value, Fraction(-17, 8))
        self.assertEqual(read_length("33", "in").worked, "")

    def test_terms_of_a_sum_keep_their_names(self) -> None:
        reading = read_length("floor to hub 45 1/4 - strut 3 3/8", "in")
        self.assertEqual(reading.value, Fraction(335, 8))
        self.assertEqual(reading.worked, "floor to hub 45 1/4 - strut 3 3/8 = 41 7/8")
        self.assertEqual(read_length("Wall to box 612 mm + Dose 42", "mm").value, 654)
        kept = in_other_unit("floor to hub 45 1/4 - strut 3 3/8", "in")
        self.assertEqual(kept, "floor to hub 45 1/4 in - strut 3 3/8 in")
        self.assertEqual(in_other_unit(kept, "mm"), "floor to hub 45 1/4 - strut 3 3/8")
        # A name alone makes no length, nor does a unit before its figure.
        for wrong in ("hub 45", "hub", "mm 45 - in 3", "45 - strut", "x 16 + x 3", "a1 4 - 3"):
            with self.subTest(wrong), self.assertRaises(LengthSyntaxError):
                read_length(wrong, "in")

    def test_what_is_no_length_is_refused(self) -> None:
        for text in (
            "", " ", "abc", "27 11/", "27 11/0", "3//4", "27 19/16", "1/2/3", "4 7/8 ly", "7'' 2",
            "1 2 3", "--3", "3 -", "7' 2 mm", "9" * 61, "1e5", "٣", None, True, [], {},
            float("nan"), float("inf"), 10**400, Decimal("1e999999999"), "99999999",
        ):  # fmt: skip
            with self.subTest(text=text), self.assertRaises(LengthSyntaxError):
                read_length(text, "in")

    @given(st.integers(-(10**7), 10**7), st.sampled_from([8, 16, 32]))
    def test_what_is_written_out_reads_back_as_it_was(self, over: int, under: int) -> None:
        value = Fraction(over, under)
        if abs(value) > 1_000_000:
            return
        text = exact_text(value, "in")
        # "-5 3/8" is minus all of it, as it is written.
        sign = -1 if text.startswith("-") else 1
        self.assertEqual(sign * inches(text.lstrip("-")), value)

    @given(st.floats(-9999, 9999), st.sampled_from([8, 16, 32]), st.booleans())
    def test_a_rounded_text_reads_back_as_the_rounded_mark(
        self, value: float, under: int, feet: bool
    ) -> None:
        rounded = round_to(value, Fraction(1, under), "in", feet=feet)
        sign = -1 if rounded.text.startswith("-") else 1
        self.assertEqual(float(sign * inches(rounded.text.lstrip("-"))), rounded.value)
        self.assertLessEqual(abs(rounded.moved), 1 / under / 2 + 1e-9)

    @given(st.text(max_size=30))
    def test_any_text_is_a_reading_or_a_clear_refusal(self, text: str) -> None:
        try:
            self.assertIsInstance(read_length(text, "mm"), Reading)
        except LengthSyntaxError as error:
            self.assertTrue(error.expected)


class Rounding(unittest.TestCase):
    def test_texts_as_on_the_pipe_and_as_on_the_cut(self) -> None:
        sixteenth = Fraction(1, 16)
        self.assertEqual(round_to(14.83, sixteenth, "in").text, "14 13/16")
        self.assertEqual(round_to(118.431, sixteenth, "in", feet=True).text, "9' 10 7/16\"")
        self.assertEqual(round_to(24.0, sixteenth, "in", feet=True).text, "2' 0\"")
        self.assertEqual(round_to(11.5, sixteenth, "in", feet=True).text, '11 1/2"')
        self.assertEqual(round_to(617.6, Fraction(1), "mm").text, "618")
        self.assertEqual(round_to(2977.2, Fraction(1), "mm", feet=True).text, "2977 mm")

    def test_half_way_goes_up_and_the_move_is_told(self) -> None:
        rounded = round_to(1 + 1 / 32, Fraction(1, 16), "in")
        self.assertEqual(rounded.text, "1 1/16")
        self.assertAlmostEqual(rounded.moved, 1 / 32)
