"""Cells of a table: none that leaves is a formula, and each comes in again as it was."""

from __future__ import annotations

import csv
import io
import unittest

from hypothesis import example, given
from hypothesis import strategies as st

from yarrow.documents.fill.schedule import (
    RunRow,
    TableError,
    as_it_was,
    harmless,
    is_formula,
    read_schedule,
    runs_csv,
)

BEGINS = st.sampled_from(["", "=", "+", "-", "@", "'", "''", "'=", "\t", "－", "＝", " "])
CELLS = st.builds(
    str.__add__, BEGINS, st.text(st.characters(exclude_categories=["Cs"]), max_size=12)
)


class Cells(unittest.TestCase):
    def test_what_a_spreadsheet_would_work_out(self) -> None:
        for cell in ("=1", "@x", "-2+3+cmd", "+1+1", "-A1", "\tx", "＝1", "  =1", "-1/2"):
            self.assertTrue(is_formula(cell), cell)
        for cell in ("-5", "+3.25", "feed", "5-2", "'=1", ""):
            self.assertFalse(is_formula(cell), cell)

    @given(CELLS)
    @example("'=1")
    @example("''-x")
    @example("'tis")
    def test_out_and_in_again(self, cell: str) -> None:
        out = harmless(cell)
        self.assertFalse(is_formula(out))
        self.assertEqual(as_it_was(out), cell)

    def test_a_run_by_any_name_comes_in_again_by_it(self) -> None:
        for name in ("=1+1", "-2+3 feed", "+1+1", "@home", "'quoted", "'=x", "feed"):
            table = runs_csv([RunRow(name, "emt", "1/2", "60", 0, "3 x 12 thhn", 0.0, False)])
            (cells,) = list(csv.DictReader(io.StringIO(table)))
            self.assertFalse(is_formula(cells["name"]), name)
            (row,) = read_schedule(table.encode(), "in")
            self.assertEqual(row.cells["name"], name)

    def test_one_that_comes_in_as_a_formula_is_refused_at_its_place(self) -> None:
        with self.assertRaises(TableError) as caught:
            read_schedule(b"name,type,size,wires\n-2+3|cmd,emt,1/2,9 x 12", "in")
        self.assertIn("not a formula", caught.exception.errors[0].expected)


if __name__ == "__main__":
    unittest.main()
