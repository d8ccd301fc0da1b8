"""What is said to stay clear while it is turned stays clear, however finely it is looked."""

from __future__ import annotations

import math
import random
import unittest

from yarrow.geometry.rounded_polyline import rounded
from yarrow.geometry.sweeping import Block, Rod, Sweep, TurnAxis, rods_of
from yarrow.geometry.vectors import Vector, along, cross, subtract, unit

FINE = 120
PARTS = 12
LONGWAYS = TurnAxis((0.0, 0.0, 0.0), (1.0, 0.0, 0.0))


def block(rng: random.Random) -> Block:
    one = unit((rng.uniform(-1, 1), rng.uniform(-1, 1), rng.uniform(-1, 1)))
    other = unit(cross(one, (0.3, 0.5, 0.8)))
    middle = (rng.uniform(-10, 20), rng.uniform(-20, 20), rng.uniform(-20, 20))
    half = (rng.uniform(0.5, 6), rng.uniform(0.5, 6), rng.uniform(0.5, 6))
    return Block(middle, (one, other, cross(one, other)), half)


def bent(rng: random.Random) -> tuple[Rod, ...]:
    path: list[Vector] = [(0.0, 0.0, 0.0), (rng.uniform(4, 10), 0.0, 0.0)]
    for _ in range(2):
        x, y, z = path[-1]
        path.append((x + rng.uniform(2, 12), y + rng.uniform(-9, 9), z + rng.uniform(-9, 9)))
    return rods_of(rounded(path, [1.0, 1.0]).segments)


def sampled(rods: tuple[Rod, ...], solid: Block | Rod) -> float:
    """The least distance of a rod's points from a solid, less what its arc may be off it. The leg
    that it is turned about stays where it is."""
    least = math.inf
    for rod in rods[1:]:
        for step in range(FINE):
            turned = LONGWAYS.turned(rod, math.tau * step / FINE)
            way = subtract(turned.ends, turned.begins)
            for part in range(PARTS + 1):
                point = along(turned.begins, way, part / PARTS)
                far = (
                    solid.distance(point)
                    if isinstance(solid, Block)
                    else solid.nearest(Rod(point, along(point, (1.0, 0.0, 0.0), 1e-9)))
                )
                least = min(least, far - rod.off)
    return least


class Clear(unittest.TestCase):
    def test_a_block_beside_a_turned_pipe(self) -> None:
        rng, said = random.Random(14), set()
        for number in range(16):
            rods, solid, apart = bent(rng), block(rng), rng.uniform(0.3, 1.2)
            meets = Sweep.of(LONGWAYS, rods).meets(solid, apart, near=0.02)
            said.add(meets)
            with self.subTest(number):
                if meets:
                    self.assertLess(sampled(rods, solid), apart + 0.06)
                else:
                    self.assertGreaterEqual(sampled(rods, solid), apart)
        self.assertEqual(said, {True, False})

    def test_another_pipe_beside_it(self) -> None:
        rng, said = random.Random(5), set()
        for number in range(10):
            rods = bent(rng)
            other = Rod(*((rng.uniform(-5, 25), rng.uniform(-9, 9), 4.0) for _ in range(2)))
            meets = Sweep.of(LONGWAYS, rods).meets(other, 0.8, near=0.02)
            said.add(meets)
            with self.subTest(number):
                if meets:
                    self.assertLess(sampled(rods, other), 0.8 + 0.06)
                else:
                    self.assertGreaterEqual(sampled(rods, other), 0.8)
        self.assertEqual(said, {True, False})

    def test_the_edge_of_what_it_clears(self) -> None:
        # A leg 10 off the line, turned round it under a plate whose underside is 12 off the line.
        leg = Rod((5.0, 0.0, 0.0), (5.0, 10.0, 0.0))
        sweep = Sweep.of(LONGWAYS, [leg])
        axes = ((1.0, 0.0, 0.0), (0.0, 1.0, 0.0), (0.0, 0.0, 1.0))
        plate = Block((0.0, 0.0, 17.0), axes, (50.0, 50.0, 5.0))
        self.assertFalse(sweep.meets(plate, 1.99, near=0.001))
        self.assertTrue(sweep.meets(plate, 2.01, near=0.001))
        # Beyond the leg's end along the line nothing comes, however near the line the plate is.
        beyond = Block((20.0, 0.0, 0.0), axes, (10.0, 1.0, 1.0))
        self.assertFalse(sweep.meets(beyond, 4.99, near=0.001))
        self.assertTrue(sweep.meets(beyond, 5.01, near=0.001))

    def test_what_lies_on_the_line_stays_where_it_is(self) -> None:
        straight = Rod((0.0, 0.0, 0.0), (30.0, 0.0, 0.0))
        through = Block((10.0, 0.0, 0.0), bent_axes(), (1.0, 1.0, 1.0))
        self.assertFalse(Sweep.of(LONGWAYS, [straight]).meets(through, 1.0, near=0.01))


class NearestToABlock(unittest.TestCase):
    def test_by_hand(self) -> None:
        cube = Block((0.0, 0.0, 0.0), bent_axes(), (1.0, 1.0, 1.0))
        for rod, distance in (
            (Rod((4.0, -5.0, 0.0), (4.0, 5.0, 0.0)), 3.0),  # along a face
            (Rod((4.0, 5.0, 0.0), (9.0, 9.0, 0.0)), 5.0),  # its own end, off an edge: 3, 4, 5
            (Rod((-5.0, 3.0, 0.0), (3.0, -5.0, 0.0)), 0.0),  # touches the edge at -1, -1
            (Rod((-6.0, 2.0, 0.0), (2.0, -6.0, 0.0)), math.sqrt(2.0)),  # 1 off either face there
        ):
            with self.subTest(rod):
                self.assertAlmostEqual(cube.nearest(rod), distance)

    def test_no_place_of_the_rod_is_nearer(self) -> None:
        rng = random.Random(40)
        for number in range(200):
            solid = block(rng)
            ends = [tuple(rng.uniform(-25, 25) for _ in range(3)) for _ in range(2)]
            rod = Rod((ends[0][0], ends[0][1], ends[0][2]), (ends[1][0], ends[1][1], ends[1][2]))
            way = subtract(rod.ends, rod.begins)
            looked = min(solid.distance(along(rod.begins, way, n / 400)) for n in range(401))
            with self.subTest(number):
                self.assertLessEqual(solid.nearest(rod), looked + 1e-9)
                self.assertGreater(solid.nearest(rod), looked - math.dist(*ends) / 800 - 1e-9)


def bent_axes() -> tuple[Vector, Vector, Vector]:
    return ((1.0, 0.0, 0.0), (0.0, 1.0, 0.0), (0.0, 0.0, 1.0))


if __name__ == "__main__":
    unittest.main()
