"""Where a pipe ends at each fitting, by hand-worked sums."""

from __future__ import annotations

import unittest
from fractions import Fraction

import yarrow
from core.tests.builders import end, metric, run, turn
from yarrow.catalog.fittings import allowance, fittings
from yarrow.catalog.tables import conduits

THREE_QUARTERS = conduits()["rmc", "3/4"]
STEEL = conduits()["steel", "20"]
THIN = conduits()["emt", "1/2"]


class Ends(unittest.TestCase):
    def test_how_far_pipe_goes_beyond_where_the_tape_is_held(self) -> None:
        for kind, conduit, wanted in (
            ("open", THREE_QUARTERS, 0),
            ("hub", THREE_QUARTERS, "0.5457"),
            ("conduit_body", THREE_QUARTERS, "0.5457"),
            # Thin wall goes to a body's stop, which is what the tape is held to.
            ("conduit_body", THIN, 0),
            # Half of the eighth that two tapered threads leave between them.
            ("coupling_middle", THREE_QUARTERS, "-0.0625"),
            # A bush and a coupler: its face against the box, and half of it takes the pipe.
            ("bush_coupling", conduits()["steel", "20"], -15),
        ):
            unit = "mm" if conduit is STEEL else "in"
            with self.subTest(kind):
                self.assertEqual(allowance(fittings()[kind], conduit, unit), Fraction(wanted))
        rings = allowance(fittings()["lock_rings"], STEEL, "mm")
        self.assertEqual(rings, 10)

    def test_threaded_pipe_is_screwed_into_them(self) -> None:
        screwed = {kind for kind, each in fittings().items() if each.takes_thread}
        self.assertEqual(
            screwed,
            {"coupling", "hub", "union", "coupling_middle", "bush_coupling", "lock_rings"}
            | {"conduit_body", "nipple"},
        )

    def test_every_figure_of_a_fitting_has_its_source(self) -> None:
        for each in fittings().values():
            if each.beyond_mm or each.coupling:
                self.assertTrue(each.source, each.kind)

    def test_a_run_is_cut_so(self) -> None:
        plain = yarrow.plan.values(metric(turn(500), end(600), bender="bench-steel-20")).cut_length
        bush = metric(turn(500), end(600, fitting="bush_coupling"), bender="bench-steel-20")
        self.assertAlmostEqual(yarrow.plan.values(bush).cut_length, plain - 15, places=6)
        said = metric(
            turn(500), end(600, fitting="bush_coupling", allowance=-20), bender="bench-steel-20"
        )
        self.assertAlmostEqual(yarrow.plan.values(said).cut_length, plain - 20, places=6)
        rigid = {"conduit": {"type": "rmc", "size": "3/4"}, "bender": "ratchet-1"}
        half = yarrow.plan.values(
            run(turn(20), end(30, fitting="coupling_middle"), **rigid)
        ).cut_length
        self.assertAlmostEqual(
            half, yarrow.plan.values(run(turn(20), end(30), **rigid)).cut_length - 0.0625, places=4
        )


if __name__ == "__main__":
    unittest.main()
