"""A shift with three benders that are not what their labels say, one of which wears: the bench
learns them."""

from __future__ import annotations

import random
import unittest
from typing import Any

import yarrow
from core.tests.bench.shift import (
    RISE,
    SET,
    STUB,
    STUB_UP,
    TrueBender,
    crews,
    learn,
    made,
    piece_of,
    rise_of,
    stub_of,
)

PIECES, EDGE = 20, 5
BENDERS = (
    TrueBender(take_up=5.75, radius=4.80, scale=2.0, springs=6.0),
    TrueBender(take_up=4.35, radius=4.20, scale=-3.0, springs=5.0),
    TrueBender(take_up=5.60, radius=4.60, scale=0.0, springs=7.0, wears=0.012),
)


class AShift(unittest.TestCase):
    def test_each_is_known_in_the_end_and_the_last_pieces_are_half_as_far_out(self) -> None:
        first = last_ones = 0.0
        for number, truly in enumerate(BENDERS):
            with self.subTest(bender=number + 1):
                kept, out = a_shift(truly, random.Random(100 + number))
                first, last_ones = first + sum(out[:EDGE]), last_ones + sum(out[-EDGE:])
                known = yarrow.bender(kept)["tested"]
                last = truly.at(PIECES - 1)
                self.assertLessEqual(abs(known["take_up"] - last), known["take_up_known_to"])
                self.assertLessEqual(abs(known["radius"] - truly.radius), known["radius_known_to"])
                for each in known["bent_to"]:
                    if each["angle"] in (30, 90):
                        by = each["bend_to"] - truly.shows(each["angle"])
                        self.assertLessEqual(abs(by), each["known_to"])
        self.assertLessEqual(last_ones, 0.5 * first)


def a_shift(truly: TrueBender, rng: random.Random) -> tuple[dict[str, Any], list[float]]:
    """The bender as it is known in the end, and what each piece was out by as it came from it,
    inches: a stub, and the depth of a set."""
    kept, out = crews("A bender"), []
    for number in range(PIECES):
        stub = made(piece_of(kept, STUB_UP), truly, number, rng)
        of_two = made(piece_of(kept, SET), truly, number, rng)
        depth = rise_of(of_two.as_bent[0], of_two.as_bent[1], truly)
        out.append(abs(stub_of(stub.as_bent[0], truly) - STUB) + abs(depth - RISE))
        kept = learn(kept, [*stub.told, *of_two.told])
    return kept, out


if __name__ == "__main__":
    unittest.main()
