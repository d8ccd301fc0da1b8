"""Second opinions that share no code: sums by hand of any box, drums that touch, pulls in steps."""

from __future__ import annotations

import math
import unittest
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from core.tests.fill.helpers import a_box, by_area, by_factor, core, in_trunking, wire
from core.tests.fill.test_pull_boxes import holes
from yarrow.catalog.wiring import bores, factor_rule, trunkings
from yarrow.fill.pull import Stretch, pull_both_ways, reversed_run, stretches, tension_after
from yarrow.geometry.pipe import develop

VOLUME = {"18": 1.5, "16": 1.75, "14": 2.0, "12": 2.25, "10": 2.5, "8": 3.0, "6": 5.0}
ORDER = list(VOLUME)

sizes = st.sampled_from(ORDER)
counts = st.integers(0, 9)
in_conduit = st.sampled_from(["14", "12", "10", "8", "6"])


class AnyBox(unittest.TestCase):
    @given(
        st.lists(st.tuples(sizes, counts, counts, counts), max_size=4),
        st.tuples(sizes, counts),
        st.lists(st.tuples(sizes, st.integers(1, 4), st.integers(1, 2)), max_size=3),
        st.booleans(),
        st.integers(0, 3),
    )
    def test_the_sum_as_one_would_do_it_on_paper(
        self,
        wires: list[tuple[str, int, int, int]],
        grounds: tuple[str, int],
        devices: list[tuple[str, int, int]],
        clamps: bool,
        fittings: int,
    ) -> None:
        result = a_box(
            {"volume": 100},
            conductors=[
                {"size": size, "ends": ends, "passes": passes, "loops": loops}
                for size, ends, passes, loops in wires
            ],
            grounds={"size": grounds[0], "count": grounds[1]},
            devices=[
                {"size": size, "count": count, "gangs": gangs} for size, count, gangs in devices
            ],
            clamps=clamps,
            fittings=fittings,
        )
        total = sum(VOLUME[size] * (e + p + 2 * loops) for size, e, p, loops in wires)
        total += sum(2 * VOLUME[size] * count * gangs for size, count, gangs in devices)
        if grounds[1]:
            total += VOLUME[grounds[0]] * (1 + max(grounds[1] - 4, 0) / 4)
        inside = [size for size, *n in wires if any(n)] + [grounds[0]] * bool(grounds[1])
        inside = inside or [size for size, _, _ in devices]
        if inside:
            largest = max(VOLUME[size] for size in inside)
            total += largest * (clamps + fittings)
        self.assertAlmostEqual(result.needed, total)
        self.assertAlmostEqual(sum(line.volume for line in result.lines), total)
        self.assertEqual(result.passes, total <= 100)


def drum(wall: str, along: float, deep: float, ring: float, reach: float) -> Any:
    """Whether a point of a 4 x 4 box lies in a hole's ring and bush."""

    def holds(x: float, y: float, z: float) -> bool:
        inward, across = {
            "left": (x, y),
            "right": (4 - x, y),
            "bottom": (y, x),
            "top": (4 - y, x),
        }[wall]
        return inward < reach and math.hypot(across - along, z - deep) < ring / 2

    return holds


class Drums(unittest.TestCase):
    places = st.floats(0.6, 3.4)
    depths = st.floats(0.6, 2.4)
    walls = st.sampled_from(["left", "right", "top", "bottom"])

    @settings(max_examples=60)
    @given(walls, places, depths, walls, places, depths)
    def test_rings_that_are_said_to_clear_have_no_point_in_common(
        self, wall: str, at: float, deep: float, wall_2: str, at_2: float, deep_2: float
    ) -> None:
        """The core takes a drum's square outline round a corner, which is on the safe side: what it
        lets pass has to be clear, looked at point by point."""
        result = holes(
            ("A", wall, at, deep, "1/2"),
            ("B", wall_2, at_2, deep_2, "1/2"),
            box={"width": 4, "height": 4, "depth": 3},
        )
        if not result.passes:
            return
        one, other = (
            drum(each.wall, each.along, each.deep, each.ring, each.reach) for each in result.entries
        )
        steps = [n * 4 / 40 for n in range(41)]
        shared = [
            (x, y, z)
            for x in steps
            for y in steps
            for z in (deep, deep_2, (deep + deep_2) / 2)
            if one(x, y, z) and other(x, y, z)
        ]
        self.assertEqual(shared, [])


class Pulls(unittest.TestCase):
    legs = st.lists(st.sampled_from(["left", "up", "out"]), min_size=1, max_size=4)

    def path(self, ways: list[str]) -> list[tuple[float, float, float]]:
        step = {"left": (60.0, 0.0, 0.0), "up": (0.0, 60.0, 0.0), "out": (0.0, 0.0, 60.0)}
        points = [(0.0, 0.0, 0.0), (0.0, -50.0, 20.0)]
        before = ""
        for way in ways:
            if way != before:
                x, y, z = points[-1]
                dx, dy, dz = step[way]
                points.append((x + dx, y + dy, z + dz))
            before = way
        return points

    @settings(max_examples=40)
    @given(legs, st.floats(0.05, 0.8))
    def test_what_goes_up_one_way_comes_down_the_other(
        self, ways: list[str], friction: float
    ) -> None:
        points = self.path(ways)
        run = stretches(develop(points, 5), points, (0.0, 1.0, 0.0))
        back = reversed_run(run)
        for one, again in zip(run, reversed_run(back), strict=True):
            self.assertAlmostEqual(one.begins, again.begins)
            self.assertEqual(
                (one.rise, one.degrees, one.bend), (again.rise, again.degrees, again.bend)
            )
        for one, other in zip(run, reversed(back), strict=True):
            self.assertAlmostEqual(one.rise, -other.rise)
        # From end to end the cable is lifted by what the ends differ in height.
        lifted = sum(each.rise * (each.ends - each.begins) for each in run if each.bend is None)
        arcs = sum(each.rise * (each.ends - each.begins) for each in run if each.bend is not None)
        rise = points[-1][1] - points[0][1]
        self.assertAlmostEqual(lifted + arcs, rise, delta=3 * max(len(run), 1))

    @settings(max_examples=30)
    @given(st.floats(-0.9, 0.9), st.floats(0.1, 0.7), st.floats(0, 50), st.floats(1, 200))
    def test_a_sloping_straight_walked_inch_by_inch(
        self, rise: float, friction: float, before: float, long: float
    ) -> None:
        weight = 0.2
        stepped, steps = before, 2000
        level = math.sqrt(1 - rise * rise)
        for _ in range(steps):
            stepped = max(stepped + weight * long / steps * (friction * level + rise), 0.0)
        whole = tension_after(before, Stretch(0, long, rise), weight, friction)
        # Where the cable runs by itself on the way the steps stop at 0 and may not come up again.
        self.assertAlmostEqual(whole, stepped, delta=1e-6 * max(before, long) + 1e-9)

    @settings(max_examples=30)
    @given(st.floats(0.1, 5), st.floats(1.1, 3))
    def test_more_weight_or_friction_never_makes_it_easier(
        self, weight: float, times: float
    ) -> None:
        run = (Stretch(0, 30, 0), Stretch(30, 32, 0, 90, 3, 0), Stretch(32, 60, 0.4))

        def most(weight: float, friction: float) -> float:
            return max(w.tension for w in pull_both_ways(run, weight, friction, None, 1e9).ways)

        self.assertGreater(most(weight * times, 0.3), most(weight, 0.3))
        self.assertGreater(most(weight, 0.3 * times), most(weight, 0.3))


class Sizes(unittest.TestCase):
    @settings(max_examples=60)
    @given(
        st.lists(
            st.tuples(st.integers(1, 12), in_conduit),
            max_size=4,
            min_size=1,
        )
    )
    def test_the_smallest_by_trying_every_size_from_below(
        self, listed: list[tuple[int, str]]
    ) -> None:
        conductors = [wire(count, size) for count, size in listed]
        trade = [size for kind, size in bores() if kind == "emt"]
        passing = [size for size in trade if by_area(*conductors, size=size).passes]
        smallest = by_area(*conductors, size="1/2").smallest
        self.assertEqual(smallest, passing[0] if passing else None)

    @settings(max_examples=40)
    @given(st.integers(1, 40), st.integers(200, 12_000), st.integers(0, 5))
    def test_longer_runs_and_more_bends_never_take_more(
        self, count: int, length: int, bends: int
    ) -> None:
        here = by_factor(core(count, 1.5), length=length, bends=bends)
        longer = by_factor(core(count, 1.5), length=length + 500, bends=bends)
        bent = by_factor(core(count, 1.5), length=length, bends=bends + 1)
        self.assertLessEqual(longer.limit, here.limit)
        self.assertLessEqual(bent.limit, here.limit)
        order = list(factor_rule().conduits)
        taken = [order.index(each.smallest or "63") for each in (here, longer, bent)]
        # A short straight run reads the cable in another table, which may ask for the larger size.
        if bends or length > 3000:
            self.assertLessEqual(taken[0], min(taken[1:]))

    @settings(max_examples=40)
    @given(st.integers(1, 300))
    def test_the_smallest_trunking_by_trying_every_one(self, count: int) -> None:
        tried = [
            size
            for size, each in trunkings().items()
            if in_trunking(core(count, 2.5), width=each.width, height=each.height).passes
        ]
        chosen = in_trunking(core(count, 2.5))
        self.assertEqual(chosen.smallest, tried[0] if tried else None)
        self.assertEqual(chosen.passes, bool(tried))
