"""How well test bends tell a bender: what is claimed for 19 of 20 cases holds in as many."""

from __future__ import annotations

import math
import random
import unittest
from fractions import Fraction

from yarrow.benders.learning.calibration import calibrate
from yarrow.benders.learning.equations import KeptAngle, Tape, _leg_tilted
from yarrow.benders.learning.measured_bend import MeasuredBend

CASES = 800
DIAMETER, RADIUS, TAKE_UP = 0.706, 4.4711, 5.0
GAIN = 2 * (RADIUS + DIAMETER / 2) - 3.14159265 * RADIUS / 2
SIXTEENTH, THIRTY_SECOND = 1 / 16, 1 / 32


def measured(rng: random.Random, error: float, scatter: float = 0.0) -> MeasuredBend:
    """A test 90 on a bender that is known exactly, read with a tape that is off by up to an error;
    ``scatter`` is what the bender itself does from bend to bend."""

    def read(length: float) -> Fraction:
        return Fraction(length + rng.uniform(-error, error))

    mark, stick = 12.0, 40.0
    stub = mark + TAKE_UP + rng.gauss(0, scatter)
    tail = stick + GAIN - mark - TAKE_UP + rng.gauss(0, scatter)
    return MeasuredBend(read(mark), read(stick), read(stub), read(tail))


def held(tests: int, error: float, mark: float, scatter: float = 0.0) -> tuple[float, float]:
    """In what share of the cases take-up and radius lie within what was claimed."""
    rng = random.Random(f"{tests} {error} {mark} {scatter}")
    take_up = radius = 0
    for _ in range(CASES):
        known = calibrate([measured(rng, error, scatter) for _ in range(tests)], DIAMETER, mark)
        take_up += abs(known.take_up - TAKE_UP) <= known.take_up_known_to
        radius += abs(known.radius - RADIUS) <= known.radius_known_to
    return take_up / CASES, radius / CASES


class AngleInALeg(unittest.TestCase):
    def test_a_leg_is_off_by_what_its_corner_moves(self) -> None:
        # From the arc to the back's corner is (R + D/2) tan(θ/2): with 5 and 1/2 in, by half a
        # degree more and half a degree less.
        def corner(angle: float) -> float:
            return (5 + 0.25) * math.tan(math.radians(angle / 2))

        for angle in (30.0, 90.0):
            wanted = corner(angle + 0.5) - corner(angle - 0.5)
            off = _leg_tilted(KeptAngle(angle, 1.0), Tape(0.5, 1 / 16), 5)
            self.assertAlmostEqual(off, wanted, places=4)


class NineteenOfTwenty(unittest.TestCase):
    def test_the_claim_holds_for_either_tape_and_any_number_of_tests(self) -> None:
        for mark in (SIXTEENTH, THIRTY_SECOND):
            for tests in (1, 2, 3, 5):
                with self.subTest(mark=mark, tests=tests):
                    for share in held(tests, mark, mark):
                        # 800 cases tell a share of 95 % to about 1.5 %.
                        self.assertGreaterEqual(share, 0.93)
                        self.assertLess(share, 0.985)

    def test_a_worse_tape_than_is_said_shows_in_the_spread_of_several_tests(self) -> None:
        careless = held(5, 4 * SIXTEENTH, SIXTEENTH)
        for share in careless:
            self.assertGreater(share, 0.9)

    def test_a_bender_that_is_never_twice_the_same_is_known_by_its_spread(self) -> None:
        for share in held(5, SIXTEENTH, SIXTEENTH, scatter=0.3):
            self.assertGreater(share, 0.93)

    def test_more_tests_and_a_finer_tape_narrow_it(self) -> None:
        rng = random.Random(1)
        tests = [measured(rng, 0.0) for _ in range(4)]
        one, four = (calibrate(tests[:n], DIAMETER, SIXTEENTH) for n in (1, 4))
        self.assertAlmostEqual(one.radius_known_to, 2 * four.radius_known_to)
        fine = calibrate(tests[:1], DIAMETER, THIRTY_SECOND)
        self.assertAlmostEqual(one.take_up_known_to, 2 * fine.take_up_known_to)

    def test_by_hand(self) -> None:
        # One test, a tape of 1/16: gain to 2/16 = 0.125, radius to 2.3298 of that; take-up to
        # 2 x sqrt(2/3) / 16 = 0.1021.
        known = calibrate([measured(random.Random(2), 0.0)], DIAMETER, SIXTEENTH)
        self.assertAlmostEqual(known.radius_known_to, 0.2912, places=4)
        self.assertAlmostEqual(known.take_up_known_to, 0.1021, places=4)


if __name__ == "__main__":
    unittest.main()
