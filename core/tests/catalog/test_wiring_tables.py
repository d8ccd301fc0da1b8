"""Tables of wire, boxes, factors and lock rings: internally true, complete, with their source."""

from __future__ import annotations

import csv
import math
import unittest
from dataclasses import fields
from itertools import pairwise
from typing import ClassVar
from unittest import mock

from yarrow.catalog.fittings import fittings
from yarrow.catalog.limits import fill_limits, limits
from yarrow.catalog.reading import FOLDER, rows, source_of, toml
from yarrow.catalog.tables import conduits
from yarrow.catalog.wiring import (
    adjustment,
    bores,
    box_allowances,
    copper_kcmil,
    factor_rule,
    insulation_called,
    lock_rings,
    standard_boxes,
    trunkings,
    uk_cables,
    us_wires,
    wire_name,
)

TABLES = (
    "adjustment-us",
    "bores-metric",
    "box-allowances-us",
    "boxes-us",
    "cables-uk",
    "conductors-bare-us",
    "conductors-us",
    "conduit-factors-uk",
    "lock-rings",
    "trunking-uk",
    "wire-sizes-us",
)


class Sources(unittest.TestCase):
    def test_every_table_has_a_title_a_source_an_edition_and_a_unit(self) -> None:
        for table in TABLES:
            about = toml(table)
            for word in ("title", "source", "edition", "unit"):
                with self.subTest(table=table, word=word):
                    self.assertTrue(str(about[word]).strip())
            self.assertIn(about["edition"], source_of(table))

    def test_every_limit_has_its_source(self) -> None:
        for group in (fill_limits(), limits()):
            for field in fields(group):
                with self.subTest(limit=field.name):
                    self.assertTrue(getattr(group, field.name).source.strip())

    def test_a_limit_that_nothing_knows_is_refused(self) -> None:
        with (
            mock.patch("yarrow.catalog.limits.toml", return_value={"shares": {}}),
            self.assertRaisesRegex(ValueError, "shares"),
        ):
            fill_limits.__wrapped__()

    def test_no_cell_has_a_space_around_it_and_no_row_too_many_cells(self) -> None:
        for table in TABLES:
            with (FOLDER / f"{table}.csv").open() as file:
                head, *body = list(csv.reader(file))
            for row in body:
                with self.subTest(table=table, row=row):
                    self.assertEqual(len(row), len(head))
                    self.assertEqual(row, [cell.strip() for cell in row])

    def test_no_row_stands_twice(self) -> None:
        for table in TABLES:
            keys = [tuple(row.values())[:2] for row in rows(table)]
            self.assertEqual(len(keys), len(set(keys)), table)


class Wires(unittest.TestCase):
    def test_areas_are_those_of_their_diameters(self) -> None:
        for wire in us_wires().values():
            area = math.pi / 4 * float(wire.diameter) ** 2
            # Printed to four places (bare to three), from diameters printed to three.
            places = 0.00055 if wire.insulation == "bare" else 0.00008
            slack = math.pi / 2 * float(wire.diameter) * 0.0005
            with self.subTest(wire=wire.name):
                self.assertAlmostEqual(area, float(wire.area), delta=places + slack)

    def test_wires_ascend_within_an_insulation_and_bare_is_thinnest(self) -> None:
        for insulation in ("thhn", "xhhw", "thw", "bare"):
            areas = [wire.area for (kind, _), wire in us_wires().items() if kind == insulation]
            self.assertEqual(len(areas), 18)
            self.assertEqual(areas, sorted(areas))
        for (_, size), wire in us_wires().items():
            self.assertGreaterEqual(wire.area, us_wires()["bare", size].area)

    def test_copper_is_that_of_the_gauge(self) -> None:
        # d = 0.005 in x 92^((36 - n) / 39); a circular mil is a thousandth of an inch squared.
        for size, gauge in (("18", 18), ("14", 14), ("12", 12), ("6", 6), ("1", 1), ("1/0", 0)):
            mils = 5 * 92 ** ((36 - gauge) / 39)
            with self.subTest(size=size):
                self.assertAlmostEqual(float(copper_kcmil()[size]), mils**2 / 1000, delta=0.1)
        sizes = list(copper_kcmil().values())
        self.assertEqual(sizes, sorted(sizes))

    def test_copper_is_less_than_what_is_round_it(self) -> None:
        for (_, size), wire in us_wires().items():
            metal = math.pi / 4 * float(copper_kcmil()[size]) / 1000
            self.assertLess(metal, float(wire.area) + 0.0006, wire.name)

    def test_names_that_share_dimensions(self) -> None:
        for word, insulation in (("THWN-2", "thhn"), ("tw", "thw"), ("Thw-2", "thw")):
            self.assertEqual(insulation_called(word), insulation)
        self.assertIsNone(insulation_called("silk"))
        self.assertEqual([wire_name(size) for size in ("12", "4/0", "250")], NAMES)


NAMES = ["12 AWG", "4/0 AWG", "250 kcmil"]


class UkTables(unittest.TestCase):
    def test_factors_rise_with_the_cable_and_short_runs_have_the_larger(self) -> None:
        stranded = [cable for (_, build), cable in uk_cables().items() if build == "stranded"]
        for one, other in pairwise(stranded):
            self.assertLess(one.long or 0, other.long or 0)
        for cable in uk_cables().values():
            if cable.short is not None and cable.long is not None:
                self.assertGreater(cable.short, cable.long)

    def test_conduit_factors_rise_with_size(self) -> None:
        short = [conduit.short for conduit in factor_rule().conduits.values()]
        self.assertEqual(short, sorted(short))
        self.assertEqual(len(short), 7)

    def test_printed_trunking_factors_are_under_45_percent_of_the_name(self) -> None:
        for trunking in trunkings().values():
            nominal = 0.45 * trunking.width * trunking.height
            with self.subTest(size=trunking.size):
                # Walls and lid take something off a nominal size, and no more than a fifth.
                self.assertLess(trunking.factor, nominal)
                self.assertGreater(trunking.factor, 0.8 * nominal)
                self.assertEqual(trunking.size, f"{trunking.width}x{trunking.height}")

    def test_metric_bores_lie_within_their_conduits(self) -> None:
        for (kind, size), bore in bores().items():
            conduit = conduits()[kind, size]
            with self.subTest(conduit=bore.name):
                self.assertLess(bore.inside, conduit.diameter)
                self.assertGreater(bore.inside, conduit.diameter * 0.6)
        for size, factor in factor_rule().conduits.items():
            self.assertLess(factor.bore_mm, int(size))


class Boxes(unittest.TestCase):
    KNOWN: ClassVar[dict[str, float]] = {
        "octagon-4-1-1/2": 15.5,
        "square-4-1-1/4": 18.0,
        "square-4-1-1/2": 21.0,
        "square-4-2-1/8": 30.3,
        "square-4-11/16-2-1/8": 42.0,
        "device-3-2-3-1/2": 18.0,
        "masonry-3-1/2": 21.0,
        "fd-multi": 24.0,
    }

    def test_volumes_as_printed(self) -> None:
        for box, volume in self.KNOWN.items():
            self.assertEqual(float(standard_boxes()[box].volume), volume)
        self.assertEqual(len(standard_boxes()), 24)

    def test_deeper_is_larger_within_a_shape(self) -> None:
        families: dict[str, list[float]] = {}
        for box in standard_boxes().values():
            families.setdefault(box.family, []).append(float(box.volume))
        for family, volumes in families.items():
            with self.subTest(family=family):
                self.assertEqual(volumes, sorted(volumes))
        self.assertEqual(len(families["4 in square"]), 3)

    def test_those_told_per_gang(self) -> None:
        per_gang = [box.id for box in standard_boxes().values() if box.per_gang]
        self.assertEqual(per_gang, ["masonry-2-1/2", "masonry-3-1/2", "fs-multi", "fd-multi"])

    def test_larger_wire_takes_more(self) -> None:
        volumes = list(box_allowances().values())
        self.assertEqual(volumes, sorted(volumes))
        self.assertEqual(list(box_allowances()), ["18", "16", "14", "12", "10", "8", "6"])


class RingsAndAdjustment(unittest.TestCase):
    def test_a_ring_is_wider_than_its_hole_and_the_hole_than_the_conduit(self) -> None:
        for size, (ring, unit) in lock_rings().items():
            kind = "rmc" if unit == "in" else "steel"
            conduit = conduits()[kind, size]
            with self.subTest(size=size):
                self.assertGreater(ring.ring, ring.hole)
                self.assertGreaterEqual(float(ring.hole), float(conduit.diameter) - 0.01)
                self.assertGreater(ring.reach, 0)

    def test_every_conduit_of_the_catalogue_has_a_ring(self) -> None:
        self.assertEqual({size for _, size in conduits()} - set(lock_rings()), set())

    def test_the_adjustment_leaves_no_count_out_and_falls(self) -> None:
        left = [adjustment(count) for count in range(1, 60)]
        self.assertEqual(left[:3], [100, 100, 100])
        self.assertEqual(left, sorted(left, reverse=True))
        self.assertEqual((adjustment(40), adjustment(41), adjustment(4000)), (40, 35, 35))

    def test_fittings_that_end_at_a_box_are_drawn_as_one(self) -> None:
        self.assertEqual(fittings()["connector"].drawn, "box")
