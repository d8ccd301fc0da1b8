"""Wire as it is said, and schedules: in, checked, out, and what can't be read by its cell."""

from __future__ import annotations

import csv
import io
import unittest
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

import yarrow
from core.tests.builders import end, run, turn
from core.tests.fill.helpers import by_area
from core.tests.properties.strategies import makeable_runs
from yarrow.catalog.wiring import uk_cables, us_wires
from yarrow.documents.errors import DocumentError
from yarrow.documents.fill.reading import fill_document
from yarrow.documents.fill.schedule import (
    TableError,
    check_schedule,
    read_schedule,
    run_row,
    runs_csv,
    schedule_csv,
    wires_of_row,
)
from yarrow.documents.run.reading import read_run
from yarrow.documents.run.wire_notation import read_wire_text, wire_text
from yarrow.measure.units import Unit

HEAD = "name,type,size,length,bends,wires"


class AsItIsSaid(unittest.TestCase):
    def test_what_people_write(self) -> None:
        cases: dict[tuple[str, Unit], list[dict[str, Any]]] = {
            ("9 x 12 thhn", "in"): [{"count": 9, "insulation": "thhn", "size": "12"}],
            ("9x#12", "in"): [{"count": 9, "insulation": "thhn", "size": "12"}],
            ("3 × 4/0 AWG XHHW", "in"): [{"count": 3, "insulation": "xhhw", "size": "4/0"}],
            ("2 x 250 kcmil thw; 1 x 12 bare", "in"): [
                {"count": 2, "insulation": "thw", "size": "250"},
                {"count": 1, "insulation": "bare", "size": "12"},
            ],
            ("1 x 12 thwn-2 ground", "in"): [
                {"count": 1, "insulation": "thhn", "size": "12", "role": "earth"}
            ],
            ("6 x 2.5, 3 x 1.5 mm2 solid", "mm"): [
                {"count": 6, "csa": 2.5, "build": "stranded"},
                {"count": 3, "csa": 1.5, "build": "solid"},
            ],
            ("4 x 2.5 mm²", "in"): [{"count": 4, "csa": 2.5, "build": "stranded"}],
            ("3 x 12 thhn", "mm"): [{"count": 3, "insulation": "thhn", "size": "12"}],
            ("0.43 in", "in"): [{"count": 1, "diameter": "0.43 in"}],
            ("2 x ø 11", "mm"): [{"count": 2, "diameter": "11 mm"}],
            ("", "in"): [],
        }
        for (text, unit), conductors in cases.items():
            with self.subTest(text=text):
                self.assertEqual(read_wire_text(text, unit), conductors)

    def test_what_is_no_wire_is_shown_as_it_was_written(self) -> None:
        for text in (
            "twelve",
            "9 x",
            "9 x 13",
            "9 x 12 wool",
            "9 x 1/0 mm2",
            "x 12",
            "9 x 12 in y",
        ):
            with self.subTest(text=text), self.assertRaises(DocumentError) as refused:
                read_wire_text(f"1 x 12, {text}", "in")
            self.assertIn(f'not "{text}"', refused.exception.expected)

    us = st.sampled_from(sorted(us_wires())).map(
        lambda wire: {"insulation": wire[0], "size": str(wire[1])}
    )
    uk = st.sampled_from(sorted(uk_cables())).map(
        lambda cable: {"csa": float(cable[0]), "build": cable[1]}
    )
    across = st.integers(1, 400).map(lambda thousandths: {"diameter": thousandths / 1000})

    @given(st.lists(st.tuples(st.integers(1, 99), us | uk | across), min_size=1, max_size=5))
    def test_said_and_read_again_is_the_same_wire(
        self, listed: list[tuple[int, dict[str, Any]]]
    ) -> None:
        first = [{"count": count, **kind} for count, kind in listed]
        read = read_run(run(end(60), wires={"conductors": first})).setup.wires
        assert read is not None
        said = wire_text(read.conductors)
        again = read_run(run(end(60), wires={"typed": said})).setup.wires
        assert again is not None
        self.assertEqual(wire_text(again.conductors), said)
        self.assertEqual(
            sum(each.count for each in again.conductors), sum(count for count, _ in listed)
        )

    def test_typed_beside_listed_in_a_document(self) -> None:
        both = by_area({"count": 2, "insulation": "thhn", "size": "10"}, typed="9 x 12", size="1")
        self.assertEqual(
            [(part.count, part.size) for part in both.conductors], [(2, "10"), (9, "12")]
        )
        with self.assertRaises(DocumentError) as refused:
            by_area(typed="9 x 99")
        self.assertEqual(refused.exception.path, "typed")


def table(*rows: str, head: str = HEAD) -> bytes:
    return "\n".join([head, *rows]).encode()


class Schedules(unittest.TestCase):
    def test_every_row_is_checked_as_its_document_would_be(self) -> None:
        rows = read_schedule(
            table("Feed,emt,1/2,12' 3,3,9 x 12 thhn; 1 x 12 bare", "Drop,emt,,60,,10 x 12"), "in"
        )
        feed, drop = check_schedule(rows)
        alone = fill_document(rows[0].document)
        self.assertEqual((feed.passes, feed.used, feed.limit), (False, alone.used, alone.limit))
        self.assertIn("3/4", feed.says)
        self.assertEqual(
            (drop.passes, drop.conduit, drop.smallest), (True, "EMT (thin wall) 3/4", "3/4")
        )
        self.assertEqual((feed.line, drop.line), (2, 3))

    def test_a_metric_one_with_semicolons_a_bom_and_windows_line_ends(self) -> None:
        text = (
            "\ufeffName;Type;Size;Length;Bends;Wires\r\nPump;steel;20;3400;1;3 x 2.5, 1 x 1.5\r\n"
        )
        (row,) = check_schedule(read_schedule(text.encode(), "mm"))
        self.assertEqual((row.name, row.passes, row.amount), ("Pump", True, "factor"))

    def test_the_answered_table_comes_in_again(self) -> None:
        rows = read_schedule(table("Feed,emt,1/2,,,9 x 12", "'=x,emt,1/2,,,12 x 12"), "in")
        checked = list(check_schedule(rows))
        out = schedule_csv(rows, checked)
        cells = list(csv.DictReader(io.StringIO(out)))
        self.assertEqual([cell["passes"] for cell in cells], ["yes", "no"])
        self.assertEqual(cells[0]["percent"], "98.4")
        again = list(check_schedule(read_schedule(out.encode(), "in")))
        self.assertEqual([each.used for each in again], [each.used for each in checked])

    def refused(self, data: bytes, unit: Unit = "in") -> list[tuple[str, str]]:
        with self.assertRaises(TableError) as caught:
            list(check_schedule(read_schedule(data, unit)))
        return [(each.path, each.expected) for each in caught.exception.errors]

    def test_wrong_columns_are_named(self) -> None:
        ((first, expected), (second, _)) = self.refused(table("a,b", head="name,wires"))
        self.assertEqual((first, second), ("line 1", "line 1"))
        self.assertIn('"type"', expected)
        ((place, told),) = self.refused(table(head=f"{HEAD},colour"))
        self.assertEqual(place, "line 1, column 7")
        self.assertIn('not "colour"', told)
        self.assertIn("once", self.refused(table(head=f"{HEAD},name"))[0][1])

    def test_another_encoding(self) -> None:
        latin = f"{HEAD}\nFörder,emt,1/2,,,9 x 12".encode("latin-1")
        self.assertEqual(self.refused(latin)[0][0], "line 2, letter 2")
        self.assertIn("UTF-16", self.refused(HEAD.encode("utf-16"))[0][1])
        self.assertIn("control codes", self.refused(table("a\x00,emt,1/2,,,9 x 12"))[0][1])

    def test_formulas_and_cells_that_can_t_be_read_by_line_and_column(self) -> None:
        found = self.refused(
            table(
                "=HYPERLINK(1),emt,1/2,,,9 x 12",
                "b,emt,1/2,,,+cmd",
                "c,emt,5/8,,,9 x 12",
                "d,emt,1/2,,,2000000 x 12",
                "e,hose,1/2,,,9 x 12",
                "f,emt,1/2,-4,,9 x 12",
                "g,emt,1/2,,two,9 x 12",
                "h,emt,1/2,,,",
                "i,emt,1/2,,,9 x 12,surplus",
            )
        )
        self.assertEqual(
            [place for place, _ in found],
            [
                "line 2, column 1 (name)",
                "line 3, column 6 (wires)",
                "line 8, column 5 (bends)",
                "line 9, column 6 (wires)",
                "line 10, column 7",
            ],
        )
        # What the check itself refuses comes after all rows could be parted into cells.
        later = self.refused(
            table(
                "c,emt,5/8,,,9 x 12",
                "d,emt,1/2,,,2000000 x 12",
                "e,hose,,,,9 x 12",
                "f,emt,1/2,-4,,9 x 12",
            )
        )
        self.assertEqual(
            [place for place, _ in later],
            [
                "line 2, column 3 (size)",
                "line 3, column 6 (wires)",
                "line 4, column 2 (type)",
                "line 5, column 4 (length)",
            ],
        )

    def test_a_cell_over_two_lines_keeps_the_count_of_lines(self) -> None:
        found = self.refused(table('"Feed,\nupper",emt,1/2,,,9 x 12', "b,emt,5/8,,,9 x 12"))
        self.assertEqual([place for place, _ in found], ["line 4, column 3 (size)"])

    def test_a_cell_without_end_and_a_quote_that_is_never_closed(self) -> None:
        endless = table(f"{'x' * 200_000},emt,1/2,,,9 x 12")
        self.assertEqual(self.refused(endless)[0][0], "line 2")
        open_quote = table('"a,emt,1/2,,,9 x 12', *["b,emt,1/2,,,9 x 12"] * 30)
        ((place, told),) = self.refused(open_quote)
        self.assertTrue(place.startswith("line 2"))
        self.assertIn("400 letters", told)

    def test_factors_without_a_length_say_which_column(self) -> None:
        head = "name,type,size,wires"
        ((place, told),) = self.refused(table("a,steel,20,3 x 2.5", head=head), "mm")
        self.assertEqual(place, "line 2")
        self.assertIn('"length"', told)

    def test_nothing_and_too_much(self) -> None:
        self.assertIn("columns", self.refused(b"")[0][1])
        self.assertIn("at least one row", self.refused(table())[0][1])
        self.assertIn("at most 5000", self.refused(table(*["a,emt,1/2,,,9 x 12"] * 5001))[0][1])
        self.assertEqual(len(self.refused(table(*["a,emt,9,,,9 x 12"] * 50))), 20)

    def test_runs_out_and_in_again(self) -> None:
        wired = run(
            turn(40),
            end(60),
            name="Feed",
            wires={
                "circuits": [{"kind": "lighting", "count": 2, "insulation": "thhn", "size": "12"}],
                "spare": 20,
            },
        )
        row = run_row(wired)
        self.assertEqual(
            (row.bends, row.wires), (1, "2 x 12 thhn; 2 x 12 thhn neutral; 1 x 12 thhn earth")
        )
        (read,) = read_schedule(runs_csv([row]).encode(), "in")
        again = run(turn(40), end(60), name="Feed", wires=wires_of_row(read))
        self.assertEqual(run_row(again), row)

    @settings(max_examples=60)
    @given(makeable_runs(), st.sampled_from(["exact", "table"]), st.sampled_from([1, 8]))
    def test_a_row_has_the_figures_of_the_plan(
        self, document: dict[str, Any], method: str, shorter: int
    ) -> None:
        asked = {"conductors": [{"count": 2, "diameter": "1/8"}]}
        last = document["walk"][-1]
        closer = {**last, "at": str(float(last["at"]) / shorter)}
        document = {**document, "method": method, "wires": asked}
        document = {**document, "walk": [*document["walk"][:-1], closer]}
        planned, row = yarrow.plan.values(document), run_row(document)
        of, cut = planned.conduit, str(planned.cut_length_text)
        told = (planned.name, of.type, of.size, cut)
        self.assertEqual((row.name, row.type, row.size, row.length), told)
        self.assertEqual(row.bends, planned.wires.bends if planned.wires else 0)
