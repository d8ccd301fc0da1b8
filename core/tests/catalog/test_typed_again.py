"""Every figure of the catalogue stands a second time, read in another way, or follows a formula."""

from __future__ import annotations

import math
import tomllib
import unittest
from collections.abc import Iterator
from fractions import Fraction
from typing import Any

from core.tests.catalog.typed_again import FIGURES, TYPED_AGAIN
from yarrow.catalog.reading import FOLDER
from yarrow.catalog.tables import benders, conduits, other_least_radius
from yarrow.catalog.wiring import bores, copper_kcmil, lock_rings, uk_cables

THREADS_AN_INCH = {14: ("1/2", "3/4"), 11.5: ("1", "1-1/4", "1-1/2", "2"), 8: ("2-1/2", "3", "4")}


class TypedAgain(unittest.TestCase):
    def test_every_cell_of_every_table(self) -> None:
        tables = {path.stem for path in FOLDER.glob("*.csv")}
        self.assertEqual(tables, set(TYPED_AGAIN))
        for name, columns in TYPED_AGAIN.items():
            head, *body = (FOLDER / f"{name}.csv").read_text("utf-8").splitlines()
            self.assertEqual(head.split(","), list(columns), name)
            for at, (column, cells) in enumerate(columns.items()):
                with self.subTest(table=name, column=column):
                    self.assertEqual([row.split(",")[at] for row in body], cells.split("|"))

    def test_every_single_figure(self) -> None:
        found = {
            f"{name}.{path}": str(value)
            for name in (
                "couplings",
                "ducts",
                "elastic",
                "fill",
                "framing",
                "heat",
                "limits",
                "stances",
                "supports",
                "usual-angles",
                "wall-boxes",
                "work-times",
            )
            for path, value in numbers(tomllib.loads((FOLDER / f"{name}.toml").read_text("utf-8")))
        }
        self.assertEqual(found, FIGURES)


def numbers(part: dict[str, Any], before: str = "") -> Iterator[tuple[str, object]]:
    for key, value in part.items():
        if isinstance(value, dict):
            yield from numbers(value, f"{before}{key}.")
        elif isinstance(value, int | float | list) and not isinstance(value, bool):
            yield f"{before}{key}", value


class Formulas(unittest.TestCase):
    def test_us_taper_thread_is_as_long_as_its_standard_says(self) -> None:
        # Effective length L2 = (0.8 D + 6.8) / threads an inch.
        for per_inch, sizes in THREADS_AN_INCH.items():
            for size in sizes:
                with self.subTest(size=size):
                    pipe = conduits()["rmc", size]
                    length = (0.8 * float(pipe.diameter) + 6.8) / per_inch
                    self.assertAlmostEqual(float(pipe.engaged), length, delta=0.0002)

    def test_gauge_wire_by_its_formula(self) -> None:
        for size, kcmil in copper_kcmil().items():
            gauge = -int(size[0]) + 1 if size.endswith("/0") else int(size)
            mils = 5 * 92 ** ((36 - gauge) / 39)
            wanted = mils**2 / 1000 if gauge <= 18 else gauge
            with self.subTest(size=size):
                self.assertAlmostEqual(float(kcmil), wanted, delta=wanted * 0.003)

    def test_a_ring_is_larger_than_its_hole_and_the_hole_than_the_pipe(self) -> None:
        for size, (each, unit) in lock_rings().items():
            with self.subTest(size=size, unit=unit):
                kind = "rmc" if unit == "in" else "steel"
                if (kind, size) in conduits():
                    pipe = float(conduits()[kind, size].diameter)
                    self.assertGreater(float(each.hole), pipe)
                    self.assertLess(float(each.hole), 1.2 * pipe + 0.1)
                self.assertGreater(each.ring, each.hole)
                self.assertGreater(each.reach, 0)

    def test_metric_walls_are_those_of_conduit(self) -> None:
        for (kind, size), bore in bores().items():
            if bore.unit == "mm" and (kind, size) in conduits():
                wall = (float(conduits()[kind, size].diameter) - float(bore.inside)) / 2
                self.assertTrue(1.4 <= wall <= 2.3, (kind, size, wall))

    def test_cables_take_of_a_trunking_what_their_diameter_makes(self) -> None:
        for cable in uk_cables().values():
            if cable.diameter is not None and cable.trunking is not None:
                area = math.pi / 4 * float(cable.diameter) ** 2
                self.assertAlmostEqual(float(cable.trunking), area, delta=0.012 * area + 0.05)

    def test_a_shoe_takes_up_more_than_its_own_bend(self) -> None:
        for bender in benders().values():
            for fit in bender.fits:
                self.assertGreater(fit.hook, 0)
                self.assertGreater(fit.heel, 0)
                if bender.kind in ("hand", "ratchet", "mechanical", "powered"):
                    self.assertGreater(fit.hook, fit.heel, bender.id)

    def test_no_bender_stands_under_the_least_radius_that_its_pipe_may_have(self) -> None:
        # One-shot and full-shoe benders have a table of their own; a form has the other.
        for bender in benders().values():
            for fit in bender.fits:
                pipe = conduits()[fit.type, fit.size]
                heat = bender.kind == "heat"
                least = other_least_radius(pipe) if heat else pipe.least_radius
                radius = fit.radius
                if fit.gain is not None:
                    radius = (fit.gain - pipe.diameter) / (2 - Fraction(math.pi) / 2)
                with self.subTest(bender=bender.id, conduit=f"{fit.type} {fit.size}"):
                    self.assertGreaterEqual(radius, least)


if __name__ == "__main__":
    unittest.main()
