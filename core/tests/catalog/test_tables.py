"""The catalogue's tables: internally true, complete, and nobody's slip of the finger."""

from __future__ import annotations

import csv
import math
import tomllib
import unittest
from pathlib import Path

from yarrow.benders.catalogued import catalogued, fit_for, radius_from_gain
from yarrow.catalog import tables
from yarrow.catalog.tables import TradeSize, benders, conduits

FOLDER = Path(tables.__file__).parent


class Conduits(unittest.TestCase):
    def test_areas_are_those_of_their_diameters(self) -> None:
        with (FOLDER / "conduit-us.csv").open() as file:
            for row in csv.DictReader(file):
                with self.subTest(row=row):
                    area = math.pi / 4 * float(row["id_in"]) ** 2
                    # Areas are printed to a thousandth, from diameters printed to one.
                    self.assertAlmostEqual(
                        area, float(row["area_in2"]), delta=0.0016 * area + 0.0006
                    )

    def test_sizes_ascend_and_the_wall_is_between_the_diameters(self) -> None:
        before: dict[str, float] = {}
        for conduit in conduits().values():
            with self.subTest(conduit=conduit.name):
                self.assertGreater(conduit.diameter, before.get(conduit.type, 0))
                before[conduit.type] = float(conduit.diameter)
                if conduit.inside is not None:
                    self.assertLess(conduit.inside, conduit.diameter)

    def test_known_figures(self) -> None:
        half = conduits()["emt", "1/2"]
        self.assertEqual((float(half.diameter), float(half.stick)), (0.706, 120))
        self.assertEqual(conduits()["rmc", "3/4"].diameter, conduits()["pvc40", "3/4"].diameter)
        self.assertEqual(conduits()["steel", "20"].least_radius, 60)
        self.assertEqual(float(conduits()["emt", "1-1/4"].least_radius or 0), 7.25)

    def test_thin_wall_takes_no_thread_and_rigid_does(self) -> None:
        self.assertEqual(conduits()["emt", "3/4"].engaged, 0)
        # About half an inch at 3/4, as every fitter knows.
        self.assertAlmostEqual(float(conduits()["rmc", "3/4"].engaged), 0.5457)


class Benders(unittest.TestCase):
    def test_every_shoe_takes_a_conduit_of_the_catalogue_at_a_lawful_radius(self) -> None:
        for bender in benders().values():
            for fit in bender.fits:
                with self.subTest(bender=bender.id, size=fit.size):
                    conduit = conduits()[fit.type, fit.size]
                    made = catalogued(bender, fit, conduit, conduit.unit)
                    self.assertGreaterEqual(made.radius + 1e-9, float(conduit.least_radius or 0))
                    self.assertGreaterEqual(made.arc_behind_front, -1e-9)

    def test_gain_follows_from_the_radius_and_the_radius_from_the_gain(self) -> None:
        for bender in benders().values():
            for fit in bender.fits:
                if fit.gain is not None:
                    conduit = conduits()[fit.type, fit.size]
                    made = catalogued(bender, fit, conduit, "in")
                    self.assertAlmostEqual(made.gain_90, float(fit.gain), places=9)

    def test_a_thin_wall_shoe_takes_rigid_of_a_size_less_in_the_same_groove(self) -> None:
        shoe = benders()["hand-emt-3/4"]
        thin, rigid = conduits()["emt", "3/4"], conduits()["rmc", "1/2"]
        wide = catalogued(shoe, fit_for(shoe, thin) or shoe.fits[0], thin, "in")
        narrow = catalogued(shoe, fit_for(shoe, rigid) or shoe.fits[0], rigid, "in")
        groove = wide.radius - wide.diameter / 2
        self.assertAlmostEqual(narrow.radius - narrow.diameter / 2, groove, delta=0.001)
        self.assertAlmostEqual(narrow.arc_behind_front, wide.arc_behind_front, delta=0.001)
        self.assertIsNone(fit_for(shoe, conduits()["rmc", "3/4"]))

    def test_an_error_in_gain_is_2_33_of_it_in_the_radius(self) -> None:
        moved = radius_from_gain(2.725, 0.706) - radius_from_gain(2.625, 0.706)
        self.assertAlmostEqual(moved, 0.233, delta=0.0005)


class Sources(unittest.TestCase):
    def test_every_table_has_its_source_and_edition_beside_it(self) -> None:
        for table in FOLDER.glob("*.csv"):
            with self.subTest(table=table.name):
                if table.name == "benders.csv":
                    families = tomllib.loads((FOLDER / "benders.toml").read_text())
                    self.assertTrue(all(family["source"] for family in families.values()))
                    continue
                about = tomllib.loads(table.with_suffix(".toml").read_text())
                self.assertTrue(about["source"] and about["edition"] and about["title"])

    def test_a_trade_size_is_never_a_number(self) -> None:
        self.assertNotIsInstance(TradeSize("20"), int | float)
