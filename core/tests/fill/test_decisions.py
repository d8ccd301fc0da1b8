"""What the code's text leaves to be decided, decided once (docs/fill.md, decisions)."""

from __future__ import annotations

import unittest
from fractions import Fraction

from core.tests.builders import codes, end, found, planned, run, turn
from core.tests.fill.helpers import by_area, codes_in, finding_in, wire
from yarrow.benders.catalogued import radius_from_gain
from yarrow.catalog.wiring import us_wires
from yarrow.documents.boxes.reading import pull_box_document
from yarrow.documents.run.reading import read_run
from yarrow.racks.rack import plan_rack
from yarrow.runs.model.plan import WrittenPlan

TWO_INCH = {"type": "emt", "size": "2"}


def two_inch(radius: float, kind: str) -> WrittenPlan:
    own = {"kind": kind, "radius": radius, "take_up": 14}
    return planned(turn(60), end(60), conduit=TWO_INCH, bender=own)


class LeastRadius(unittest.TestCase):
    def test_one_shot_by_its_column_and_a_form_by_that_for_other_bends(self) -> None:
        # Table 2 for 2 in: 9 1/2 one-shot and full shoe, 12 for other bends.
        for kind in ("hand", "ratchet", "mechanical", "powered"):
            self.assertNotIn("radius-under-code", codes(two_inch(9.5, kind)))
            self.assertIn("radius-under-code", codes(two_inch(9.4, kind)))
        self.assertIn("12 in", found(two_inch(11.9, "heat"), "radius-under-code").text)
        self.assertNotIn("radius-under-code", codes(two_inch(12, "heat")))

    def test_corners_in_shots_are_other_bends(self) -> None:
        own = {"kind": "hand", "radius": 9.5, "take_up": 14}
        rack = {"count": 2, "side": "right", "spacing": "2 1/2", "corners": "concentric"}
        document = run(turn(60), end(60), conduit=TWO_INCH, bender=own)
        tight = plan_rack(read_run({**document, "rack": {**rack, "spacing": "2 1/4"}}))
        self.assertIn("radius-under-code", [f.code for f in tight.pipes[1].findings])
        wide = plan_rack(read_run({**document, "rack": rack}))
        self.assertNotIn("radius-under-code", [f.code for f in wide.pipes[1].findings])


class SideWall(unittest.TestCase):
    def test_the_pressure_is_on_the_inside_of_the_bend(self) -> None:
        pull = {"mass": 0.5, "friction": 0.5}
        plan = planned(turn(60), end(60), wires={"conductors": [wire(3, "12")], "pull": pull})
        assert plan.wires
        assert plan.wires.pull
        along = plan.wires.pull.pull.ways[0].along
        bend = next(each for each in along if each.bend == 0)
        # The inside of EMT 1/2 is 0.622: the cable lies 0.311 in from the centreline.
        inside = radius_from_gain(2.625, 0.706) - 0.311
        self.assertAlmostEqual(bend.side_wall, bend.tension / (inside / 12), places=6)


class Splices(unittest.TestCase):
    def box(self, *pulls: list[str]) -> tuple[float, float]:
        entries = [
            {"id": "A", "wall": "left", "size": "3"},
            {"id": "B", "wall": "right", "size": "3"},
            {"id": "C", "wall": "left", "size": "2"},
        ]
        result = pull_box_document({
            "format": "yarrow.pullbox/1", "units": "in", "entries": entries, "pulls": list(pulls),
        })  # fmt: skip
        return result.least.width, result.least.height

    def test_what_is_not_pulled_through_counts_as_an_angle_pull(self) -> None:
        # A straight to B: 8 x 3 = 24. C is spliced: its wall asks for 6 x 3 + 2 = 20, less.
        self.assertEqual(self.box(["A", "B"]), (24, 0))
        # Nothing is pulled at all: 6 x 3 + 2 = 20 across.
        self.assertEqual(self.box(), (20, 0))


class BareWire(unittest.TestCase):
    def test_solid_to_ten_and_stranded_from_eight(self) -> None:
        # Table 8: 10 AWG solid 0.102 (stranded 0.116), 8 AWG stranded 0.146 (solid 0.128).
        self.assertEqual(us_wires()["bare", "10"].diameter, Fraction("0.102"))
        self.assertEqual(us_wires()["bare", "8"].diameter, Fraction("0.146"))


class JamRatio(unittest.TestCase):
    def jams(self, diameter: float) -> bool:
        cable = {"count": 3, "diameter": diameter}
        return "may-jam" in codes_in(by_area(cable, size="2"))

    def test_a_warning_in_the_raw_band_and_in_the_stretched_one(self) -> None:
        # EMT 2 is 2.067 inside: raw 2.8 to 3.2 is 0.738 down to 0.646; stretched, 0.775 to 0.678.
        for diameter, warned in (
            (0.78, False),
            (0.77, True),
            (0.70, True),
            (0.65, True),
            (0.64, False),
        ):
            self.assertEqual(self.jams(diameter), warned, diameter)

    def test_it_says_both_ratios_and_where_it_is_written(self) -> None:
        finding = finding_in(by_area({"count": 3, "diameter": 0.65}, size="2"), "may-jam")
        self.assertIn("3.18", finding.text)
        self.assertIn("3.34", finding.text)
        self.assertIn("chapter 9, table 1", finding.source)
        self.assertEqual((finding.level, finding.path), ("warning", "conduit.size"))


if __name__ == "__main__":
    unittest.main()
