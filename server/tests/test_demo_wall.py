"""The demo's framed office by hand-worked sums: every piece's cut, its holes, its boxes."""

from __future__ import annotations

import math
import unittest
from itertools import pairwise

import yarrow
from jobs.demo import JOBS

RADIUS = (2.625 - 0.706) / (2 - math.pi / 2)
"""Of the hand bender at 1/2 EMT: its card says a gain of 2 5/8 at a 90, back to end each."""

OPEN = 1.6 / 25.4
"""What a set-screw coupling's stop holds apart."""

HELD = 5 - RADIUS - 0.706 / 2 + 2 + RADIUS / 5
"""How far a drop is straight over its box: from the bender's front mark (take-up 5) back to where a
bend begins, the hook's own 2, and a fifth of the radius for the kick's tangent."""

SIXTEENTH = 1 / 16


def wall() -> dict[str, object]:
    (site,) = (site for site in JOBS["Heron crew"] if site["units"] == "in")
    (found,) = site["walls"]
    return dict(found)


def inches(text: str) -> float:
    """``2' 10 11/16"`` in inches."""
    feet, _, rest = text.rpartition("'")
    parts = rest.replace(chr(34), "").split()
    whole = sum(float(p) if "/" not in p else 0.0 for p in parts)
    over = sum(int(p.split("/")[0]) / int(p.split("/")[1]) for p in parts if "/" in p)
    return 12 * float(feet or 0) + whole + over


def saved(angle: float) -> float:
    """What a bend of an angle, in radians, saves of the length round its corner."""
    return 2 * RADIUS * math.tan(angle / 2) - RADIUS * angle


SQUARE = saved(math.pi / 2)


class FramedOffice(unittest.TestCase):
    def setUp(self) -> None:
        self.plan = yarrow.wall(wall())
        feeds = {f"{feed['start']} to {feed['end']}": feed for feed in self.plan["feeds"]}
        self.cuts = {
            name: [inches(piece["cut_text"]) for piece in feed["pieces"]]
            for name, feed in feeds.items()
        }

    def cut(self, name: str, *wanted: float) -> None:
        for number, (cut, hand) in enumerate(zip(self.cuts[name], wanted, strict=True), 1):
            with self.subTest(name, piece=number):
                self.assertAlmostEqual(cut, hand, delta=SIXTEENTH / 2 + 1e-3)

    def test_nothing_is_wrong_but_a_habit(self) -> None:
        self.assertEqual([each["code"] for each in self.plan["findings"]], ["hole-near-edge"])
        self.assertEqual([feed["findings"] for feed in self.plan["feeds"]], [[]] * 4)

    def test_a_switch_from_the_board(self) -> None:
        # Studs 16 apart from 3/4. The board, 14 1/4 wide, on the right of the second: its middle
        # 17 1/2 + 7 1/8 along, its top at 62, its knockouts 3 5/8 - 1/2 - 1 1/8 = 2 deep; holes at
        # 74, 1 3/4 deep: 1/4 on 12 is a lean of 1.2 degrees. A joint half way from stud 3 to 4.
        begins, joint = 17.5 + 7.125, 40.75
        first = math.hypot(12, 0.25) + joint - begins - SQUARE - OPEN / 2
        # The switch on the left of stud 5, from 60 to 64; its left knockout 1 1/8 off the middle,
        # 2 1/8 - 1/2 - 3/4 = 7/8 deep, 26 under the holes: 1.9 degrees.
        ends = 62 - 1.125
        last = math.hypot(26, 0.875) + ends - joint - SQUARE - OPEN / 2
        self.cut("Board to Switch", first, last)

    def test_a_light_in_the_ceiling(self) -> None:
        # From 48 through the plate to 6 over the wall's 96, with no bend.
        self.cut("Switch to Ceiling light", 54)
        (hole,) = self.plan["plate_holes"]
        self.assertEqual((hole["along"], hole["deep_text"]), (62 + 1.125, "7/8"))

    def test_an_outlet_from_the_board(self) -> None:
        # From the knockout 2 1/2 left of the board's middle, 18 up to 80.
        begins, joint = 17.5 + 7.125 - 2.5, 40.75
        first = math.hypot(18, 0.25) + joint - begins - SQUARE - OPEN / 2
        # Through two studs a piece: 32, and the 16 that are left.
        middles = 32 - OPEN, 16 - OPEN
        # The outlet on the right of stud 7, whose face is at 97 1/2: its left knockout 7/8 off
        # that, where the bend wants its tangent. The drop is straight for what the bender holds and
        # a fifth of a radius, then leans to the holes' depth and aside until the two agree.
        high = 80 - 16 - HELD
        aside = 0.0
        for _ in range(50):
            drop = math.sqrt(high**2 + aside**2 + 0.875**2)
            turn = math.acos(-aside / drop)
            aside = RADIUS * math.tan(turn / 2) - 0.875
        kick = math.atan2(math.hypot(aside, 0.875), high)
        corner = 97.5 + 0.875 + aside
        last = corner - 88.75 + drop + HELD - saved(turn) - saved(kick) - OPEN / 2
        self.cut("Board to Outlet 1", first, *middles, last)

    def test_under_the_window(self) -> None:
        # The window from 115 1/2, 26 3/4 wide: two studs of 1 1/2 on either side; its bays there
        # 98 to 112 1/2, 115 1/2 to 128, 129 1/2 to 142 1/4, 145 1/4 to 160, with joints in the
        # middle of the first and the last of the inner three: a piece goes through two studs.
        joints = [121.75, 152.625]
        high = 30 - 16 - HELD
        kick = math.atan2(0.875, high)
        drop = HELD + math.hypot(high, 0.875) - SQUARE - saved(kick)
        begins, ends = 99.5 + 1.125, 176 - 2
        inner = [b - a - OPEN for a, b in pairwise(joints)]
        first = drop + joints[0] - begins - OPEN / 2
        last = drop + ends - joints[-1] - OPEN / 2
        self.cut("Outlet 1 to Outlet 2", first, *inner, last)


if __name__ == "__main__":
    unittest.main()
