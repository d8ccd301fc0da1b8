"""A fitting, a bender, a way of filling and a reading at the bench that Yarrow does not have, each
put in one place."""

from __future__ import annotations

import unittest
from dataclasses import dataclass, replace
from typing import ClassVar
from unittest import mock

import yarrow
from core.tests.builders import end, run, turn
from yarrow.bench.readings.reading import BentPiece, ReadingSchema, number_schema
from yarrow.bench.readings.registry import READINGS
from yarrow.catalog.fittings import Fitting, fittings
from yarrow.catalog.tables import benders
from yarrow.documents.run.wires import us_wire
from yarrow.documents.schema import reader, schema
from yarrow.fill.area import Area
from yarrow.fill.check import check_fill, raceway_of
from yarrow.fill.conductor import Raceway
from yarrow.fill.method import FillMethod, PrintedRow


class AFitting(unittest.TestCase):
    def test_it_is_read_allowed_for_and_drawn(self) -> None:
        gland = Fitting("gland", "gland plate", ("threaded",), "box", 150.0)
        for forget in (schema.cache_clear, reader.cache_clear):
            forget()
            self.addCleanup(forget)
        with mock.patch.dict(fittings(), {"gland": gland}):
            rigid = {"conduit": {"type": "rmc", "size": "1"}, "bender": "ratchet-1"}
            plan = yarrow.plan(run(turn(30), end(30, fitting="gland"), **rigid))
            coupled = yarrow.plan(run(turn(30), end(30, fitting="coupling"), **rigid))
            known = [each["names"]["en-US"] for each in yarrow.catalog()["fittings"]]
        self.assertEqual(plan["cut_length"], coupled["cut_length"])
        self.assertIn("thread-added", [each["code"] for each in plan["findings"]])
        self.assertAlmostEqual(plan["things"][-1]["along"], 150 / 25.4, places=3)
        self.assertIn("gland plate", known)


class ABender(unittest.TestCase):
    def test_it_is_offered_and_marks_by_its_own_numbers(self) -> None:
        shoe = replace(benders()["hand-emt-1/2"], id="example", name="Example bender")
        with mock.patch.dict(benders(), {"example": shoe}):
            plan = yarrow.plan(run(turn(30), end(30), bender="example"))
            offered = [each["id"] for each in yarrow.catalog()["benders"]]
        self.assertEqual(plan["bender"]["name"], "Example bender")
        self.assertEqual(plan["marks"], yarrow.plan(run(turn(30), end(30)))["marks"])
        self.assertIn("example", offered)


@dataclass(frozen=True, slots=True)
class Halved(Area):
    """Half of what is allowed by area; nothing is said of heat."""

    def limit(self, raceway: Raceway, count: int) -> float:
        return Area.limit(self, raceway, count) / 2

    def rows(self, raceway: Raceway) -> tuple[PrintedRow, ...]:
        return (PrintedRow(1.0, 2.0),)

    def ampacity_percent(self, carrying: int) -> int | None:
        return None


class AWayOfFilling(unittest.TestCase):
    def test_counting_sizes_and_findings_are_common_to_all(self) -> None:
        way: FillMethod = Halved("in")
        wires = [us_wire({"insulation": "thhn", "size": "12"}, "conductors[0]", 5)]
        half = check_fill(way, raceway_of("emt", "1/2"), wires, 0.0)
        whole = check_fill(Area("in"), raceway_of("emt", "1/2"), wires, 0.0)
        self.assertAlmostEqual(half.limit, whole.limit / 2)
        self.assertAlmostEqual(half.share, whole.share * 2)
        # 5 No. 12 take 0.0665 in² of 0.122; nine fit by area, four by half of it.
        self.assertEqual((whole.most, half.most), ((9,), (4,)))
        self.assertEqual((whole.smallest, half.smallest), ("1/2", "3/4"))
        self.assertEqual((half.rows, half.heat.percent), ((PrintedRow(1.0, 2.0),), None))
        self.assertIn("does-not-fit", [each.code for each in half.findings])


@dataclass(frozen=True, slots=True)
class HalfAngle:
    """Read from the bend's middle to one leg."""

    field: str = "half"
    schema: ClassVar[ReadingSchema] = number_schema("Half of the angle that stayed.", 1, 85)

    def applies(self, piece: BentPiece, bend: int) -> bool:
        return True

    def refused(self, piece: BentPiece, bend: int, value: float) -> str:
        return "" if value < 80 else "half of a bend"

    def applied(self, piece: BentPiece, bend: int, value: float) -> BentPiece:
        was = piece.bends[bend]
        return piece.with_bend(bend, was.arc_start, 2 * value, piece.rolls[bend])


class AReadingAtTheBench(unittest.TestCase):
    def test_it_is_read_offered_refused_and_taken_in(self) -> None:
        document = run(turn(30), end(30))
        for forget in (schema.cache_clear, reader.cache_clear):
            forget()
            self.addCleanup(forget)
        came_out = {"format": "yarrow.bench/1", "units": "in"}
        read = {"bend": 0, "half": 44, "as_is": True}
        with mock.patch.dict(READINGS, {"half": HalfAngle()}):
            answer = yarrow.bench(document, {**came_out, "made": [read]})
            with self.assertRaisesRegex(yarrow.DocumentError, r"made\[0\].half"):
                yarrow.bench(document, {**came_out, "made": [{**read, "half": 81}]})
        (bend,) = answer["bends"]
        self.assertEqual(bend["angle"], 88)
        self.assertEqual(bend["readings"][-1], "half")


if __name__ == "__main__":
    unittest.main()
