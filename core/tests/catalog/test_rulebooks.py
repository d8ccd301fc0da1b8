"""Whose code holds on a job: what is usual with it, and that the page is told the same."""

from __future__ import annotations

import unittest

import yarrow


class Rulebooks(unittest.TestCase):
    def test_inches_go_with_american_rules_and_millimetres_with_british_ones(self) -> None:
        self.assertEqual(
            [yarrow.usual_rules(unit) for unit in ("in", "mm", None)], ["us", "uk", "us"]
        )

    def test_each_speaks_a_language_that_has_words(self) -> None:
        for name, book in yarrow.rulebooks().items():
            with self.subTest(name):
                self.assertIn(book.language, yarrow.LANGUAGES)

    def test_a_document_alone_is_answered_as_its_units_are_usual(self) -> None:
        spoken = [yarrow.wording_of(None, unit).language for unit in ("in", "mm")]
        self.assertEqual(spoken, ["en-US", "en-GB"])

    def test_wire_is_checked_by_area_in_the_us_whatever_the_conduit(self) -> None:
        books = yarrow.rulebooks()
        self.assertEqual(books["us"].wires, {"method": "area"})
        self.assertEqual(books["uk"].wires, {})


if __name__ == "__main__":
    unittest.main()
