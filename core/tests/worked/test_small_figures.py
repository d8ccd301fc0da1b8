"""Small figures that nothing else would miss, each worked on paper."""

from __future__ import annotations

import math
import unittest
from typing import Any

import yarrow
from core.tests.builders import (
    DIAMETER,
    RADIUS,
    end,
    found,
    kick,
    metric,
    offset,
    planned,
    run,
    turn,
)
from core.tests.fill.helpers import core, wire
from yarrow.bend_simulation.cost import Cost
from yarrow.bend_simulation.solids import bars
from yarrow.benders.placing import MadeNeighbours, place
from yarrow.catalog.tables import benders, conduits
from yarrow.documents.boxes.reading import box_document, pull_box_document
from yarrow.documents.run.notation import typed_line
from yarrow.documents.run.reading import read_run
from yarrow.geometry.arcs import gain
from yarrow.geometry.pipe import develop
from yarrow.role import Role
from yarrow.runs.layout.walk import lay_out
from yarrow.runs.model.wires import PlannedPull
from yarrow.runs.planner import resolve_run


def pull_of(document: dict[str, Any]) -> PlannedPull:
    wires = yarrow.plan.values(document).wires
    assert wires is not None
    assert wires.pull is not None
    return wires.pull


class Pulls(unittest.TestCase):
    def test_copper_of_us_wire_in_metric(self) -> None:
        # 12 AWG is 6.53 kcmil: three of it 19.59; 8 lbf a kcmil: 156.7 lbf, in N 697.1.
        wires = {"conductors": [wire(3, "12")]}
        self.assertAlmostEqual(
            pull_of(run(turn(60), end(60), wires=wires)).pull.tension_limit or 0, 156.72, delta=0.1
        )
        # 2.5 mm2 is 2.5 / 0.5067 = 4.934 kcmil, so 39.47 lbf, 175.6 N each.
        steel = metric(turn(600), end(600), wires={"conductors": [core(1, 2.5)]})
        self.assertAlmostEqual(pull_of(steel).pull.tension_limit or 0, 175.6, delta=0.2)

    def test_the_usual_limits_on_a_bend_in_both_units(self) -> None:
        # 500 lbf/ft is 500 x 4.4482 N over 0.3048 m: 7297 N/m.
        wires = {"conductors": [wire(3, "12")]}
        self.assertAlmostEqual(
            pull_of(run(turn(60), end(60), wires=wires)).pull.side_wall_limit, 500
        )
        steel = metric(turn(600), end(600), wires={"conductors": [core(1, 2.5)]})
        self.assertAlmostEqual(pull_of(steel).pull.side_wall_limit, 7296.95, places=1)

    def test_a_mass_told_per_metre_weighs_by_gravity(self) -> None:
        # 3 m of 2 kg/m on the level at 0.5: 3 x 2 x 9.80665 x 0.5 = 29.42 N.
        wires = {"conductors": [core(1, 2.5)], "pull": {"mass": 2, "friction": 0.5}}
        easier = pull_of(metric(end(3000), wires=wires)).pull.easier
        self.assertAlmostEqual(easier.tension, 29.42, delta=0.005)


class PullBoxes(unittest.TestCase):
    def result(self, pulls: list[list[str]], *walls: str) -> Any:
        entries = [
            {"id": "ABC"[n], "wall": wall, "size": size}
            for n, (wall, size) in enumerate(zip(walls, ("3", "2", "1"), strict=False))
        ]
        document = {"format": "yarrow.pullbox/1", "units": "in", "entries": entries, "pulls": pulls}
        return pull_box_document(document)

    def test_a_u_pull_by_hand(self) -> None:
        # Both on the left wall: 6 x 3 + 2 = 20 across; entries of the pull 6 x 3 = 18 apart.
        result = self.result([["A", "B"]], "left", "left")
        self.assertEqual((result.least.width, result.apart), (20, (18,)))

    def test_a_straight_and_an_angle_pull_by_hand(self) -> None:
        self.assertEqual(self.result([["A", "B"]], "left", "right").least.width, 24)  # 8 x 3
        angle = self.result([["A", "B"]], "left", "bottom")
        self.assertEqual((angle.least.width, angle.least.height), (18, 12))  # 6 x 3, 6 x 2


class Boxes(unittest.TestCase):
    def needed(self, **told: Any) -> float:
        return float(box_document({"format": "yarrow.box/1", "box": {"volume": 90}, **told}).needed)

    def test_each_allowance_alone(self) -> None:
        twelve = {"conductors": [{"size": "12", "ends": 1}]}
        cases: list[tuple[dict[str, Any], float]] = [
            ({"conductors": [{"size": "12", "ends": 3}]}, 3 * 2.25),
            ({"conductors": [{"size": "14", "passes": 3}]}, 3 * 2.0),
            ({"conductors": [{"size": "10", "loops": 3}]}, 3 * 2 * 2.5),
            ({**twelve, "clamps": True}, 2 * 2.25),
            ({**twelve, "fittings": 2}, 3 * 2.25),
            ({"devices": [{"size": "14", "count": 2}]}, 2 * 2 * 2.0),
            ({"devices": [{"size": "12", "count": 1, "gangs": 2}]}, 4 * 2.25),
            ({"grounds": {"size": "12", "count": 4}}, 2.25),
            ({"grounds": {"size": "12", "count": 6}}, 2.25 + 2 * 2.25 / 4),
        ]
        for told, volume in cases:
            with self.subTest(told=told):
                self.assertAlmostEqual(self.needed(**told), volume)


class Totals(unittest.TestCase):
    def test_a_kick_and_a_turn_save_pipe_and_an_offset_uses_it(self) -> None:
        plan = planned(kick(20, 3, "out"), turn(50), offset(30, 4), end(70))
        angles = [bend.angle for bend in plan.bends]
        # The kick and the turn behind it are the first two bends.
        saved = gain(RADIUS, angles[0]) + gain(RADIUS, angles[1])
        self.assertAlmostEqual(plan.totals.gain, saved)

    def test_sticks_are_counted_whole(self) -> None:
        for length, sticks in ((119, 0), (121, 2), (239, 2), (241, 3), (361, 4)):
            plan = planned(end(length))
            if sticks:
                self.assertIn(f"It takes {sticks} sticks", found(plan, "longer-than-stick").text)
            else:
                self.assertFalse([f for f in plan.findings if f.code == "longer-than-stick"])


class Tools(unittest.TestCase):
    def test_the_handle_begins_beyond_the_shoe_and_reaches_as_far_as_it_is(self) -> None:
        survey = read_run(run(turn(40), end(40), stance={"handle": 38}))
        bender, where = survey.setup.bender, survey.setup.stances.usual
        handle = bars(bender, where, "in")["handle"]
        # The groove is R - D/2 deep; the shoe itself ends at about twice the radius.
        self.assertAlmostEqual(handle.near, 2 * RADIUS)
        self.assertAlmostEqual(handle.far, 38)

    def test_hook_ahead_and_heel_behind(self) -> None:
        # With the hook toward the start: a + hook before the arc, the heel behind it.
        survey = read_run(run(turn(20), end(20)))
        bender = survey.setup.bender
        pipe = develop(lay_out(resolve_run(survey).run).vertices, bender.radius)
        placing = place(bender, pipe, (Role.TURN,), 0, "start", MadeNeighbours())
        self.assertTrue(placing.fits)
        ahead = bender.arc_behind_front + bender.hook
        for stub, short in ((ahead + 0.01, False), (ahead - 0.01, True)):
            at = stub + RADIUS + DIAMETER / 2
            document = run(turn(at), end(60), order=[{"bend": 0, "hook": "start"}])
            codes = [f.code for f in yarrow.plan.values(document).findings]
            self.assertEqual("stub-too-short" in codes, short, stub)
        for tail, short in ((bender.heel + 0.01, False), (bender.heel - 0.01, True)):
            at = tail + RADIUS + DIAMETER / 2
            document = run(turn(40), end(at), order=[{"bend": 0, "hook": "start"}])
            codes = [f.code for f in yarrow.plan.values(document).findings]
            self.assertEqual("too-close-to-end" in codes, short, tail)

    def test_costs_weigh_as_they_sort(self) -> None:
        costs = [
            Cost(),
            Cost(reach=3),
            Cost(unusual=40),
            Cost(turns=1),
            Cost(flips=1),
            Cost(flips=1, turns=1, height=17.3),
            Cost(low=1),
            Cost(no_room=1, short=0.25),
            Cost(no_room=1, short=0.5),
        ]
        self.assertEqual(sorted(costs), costs)
        self.assertEqual(sorted(cost.weight for cost in costs), [cost.weight for cost in costs])
        one, other = costs[2], costs[5]
        self.assertEqual(one.plus(other).weight, one.weight + other.weight)


class Typed(unittest.TestCase):
    def test_a_hole_so_deep(self) -> None:
        line = typed_line("hole 1 1/4 deep at 30", "in").line
        assert line is not None
        self.assertEqual((line["kind"], line["depth"], line["at"]), ("hole", "1 1/4", "30"))


class Shoes(unittest.TestCase):
    def test_gain_and_take_up_of_the_usual_hand_benders(self) -> None:
        # 1/2 5 and 2 5/8; 3/4 6 and 3 1/4; 1 8 and 4; 1 1/4 11 and 5 5/8.
        printed = {"1/2": (5, 2.625), "3/4": (6, 3.25), "1": (8, 4), "1-1/4": (11, 5.625)}
        for size, (take_up, saved) in printed.items():
            fit = benders()[f"hand-emt-{size}"].fits[0]
            self.assertEqual((float(fit.take_up), float(fit.gain or 0)), (take_up, saved))
            radius = (saved - float(conduits()["emt", size].diameter)) / (2 - math.pi / 2)
            self.assertGreater(radius, 4)


if __name__ == "__main__":
    unittest.main()
