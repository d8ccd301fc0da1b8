"""A framed wall by hand-worked sums, what is wrong with one, and two thousand at random."""

from __future__ import annotations

import math
import random
import unittest
from itertools import pairwise
from typing import Any

import yarrow
from core.tests.builders import RADIUS, framed_wall
from yarrow import DocumentError
from yarrow.documents.wall_file import LaidWall, lay_wall
from yarrow.findings.finding import nothing_wrong
from yarrow.walls.sliding import longest_slid, most_tilt, narrowest_bay
from yarrow.walls.wall import HoleLine, Studs

OPEN = 1.6 / 25.4
"""What a set-screw coupling's stop holds apart."""


def wall(*feeds: dict[str, Any], **more: Any) -> dict[str, Any]:
    boxes = [box("A", 3), box("B", 6), box("C", 9, height=48)]
    lines = [{"name": "low", "height": 40}, {"name": "high", "height": 72}]
    return framed_wall(**{"boxes": boxes, "lines": lines, "feeds": list(feeds), **more})


def box(name: str, stud: int, **more: Any) -> dict[str, Any]:
    return {"name": name, "stud": stud, "height": 16, **more}


def feed(one: str, other: str, line: str = "low") -> dict[str, Any]:
    return {"from": one, "to": other, "line": line}


def codes(answer: dict[str, Any]) -> list[str]:
    return [each["code"] for each in answer["findings"]]


class Placed(unittest.TestCase):
    def test_boxes_stand_on_their_studs_and_holes_are_in_those_between(self) -> None:
        answer = yarrow.wall(wall(feed("A", "B")))
        # Studs 16 apart from 3/4: the third's middle at 32 3/4, its right face at 33 1/2.
        first = answer["boxes"][0]
        self.assertEqual((first["begins"], first["ends"], first["top"]), (33.5, 35.75, 16.0))
        self.assertEqual(first["bottom"], 16 - 3.75)
        self.assertEqual([hole["stud"] for hole in answer["holes"]], [4, 5, 6])
        self.assertEqual(answer["to_bore"], [{"bit_text": "1", "height_text": "40", "count": 3}])

    def test_a_height_goes_to_the_edge_that_was_measured(self) -> None:
        for to, bottom in (("top", 12.25), ("middle", 14.125), ("bottom", 16.0)):
            answer = yarrow.wall(wall(boxes=[box("A", 3, to=to)]))
            self.assertEqual(answer["boxes"][0]["bottom"], bottom)


class Worked(unittest.TestCase):
    def test_pieces_by_hand(self) -> None:
        answer = yarrow.wall(wall(feed("A", "B")))
        (only,) = answer["feeds"]
        # Knockouts 48 apart: studs three bays on. Joints in the middle of the first bay behind a
        # stud and of the last before the box's own, 8 from the studs' middles.
        begins, bays = 34.625, (56.75, 72.75)
        pieces = yarrow.pieces(only["run"])["pieces"]
        cuts = [piece["plan"]["cut_length"] for piece in pieces]
        # From the box's top at 16 to the holes at 40, leaning by 7/8 from the knockout's depth to
        # the holes' behind the first straight: the box 2 1/8 deep, 1/2 proud, knockouts 3/4 off
        # its back lie 7/8 behind the studs' face, the holes 1 3/4.
        path = only["path"]
        straight = path[1][2] - 16
        slope = math.hypot(0.875, 24 - straight)
        kick = math.degrees(math.atan2(0.875, 24 - straight))
        turn = math.degrees(math.acos(0.0))
        saved = sum(
            2 * RADIUS * math.tan(math.radians(angle) / 2) - RADIUS * math.radians(angle)
            for angle in (kick, turn)
        )
        wanted = straight + slope + (bays[0] - begins) - OPEN / 2 - saved
        self.assertAlmostEqual(cuts[0], wanted, places=3)
        self.assertAlmostEqual(cuts[1], bays[1] - bays[0] - OPEN, places=3)
        self.assertAlmostEqual(cuts[1], 16 - OPEN, places=3)
        self.assertEqual(only["kick_text"], f"{round(kick, 2):g}°")
        self.assertEqual([piece["bends"] for piece in only["pieces"]], [2, 0, 2])

    def test_both_ends_of_boxes_that_are_alike_are_alike(self) -> None:
        (only,) = yarrow.wall(wall(feed("A", "B")))["feeds"]
        path = only["path"]
        middle = (path[0][0] + path[-1][0]) / 2
        for (x, y, z), (other, deep, high) in zip(path, reversed(path), strict=True):
            self.assertAlmostEqual(x - middle, middle - other)
            self.assertAlmostEqual(y, deep)
            self.assertAlmostEqual(z, high)

    def test_a_box_of_another_height_replans_its_pieces(self) -> None:
        low = yarrow.wall(wall(feed("A", "B")))["feeds"][0]["pieces"]
        high = yarrow.wall(wall(feed("A", "B"), boxes=[box("A", 3, height=18), box("B", 6)]))
        self.assertNotEqual(low[0]["cut_text"], high["feeds"][0]["pieces"][0]["cut_text"])
        self.assertEqual(low[1:], high["feeds"][0]["pieces"][1:])

    def test_two_pipes_leave_a_box_side_by_side(self) -> None:
        answer = yarrow.wall(wall(feed("A", "B"), feed("B", "C", "high")))
        into, out = (each["path"] for each in answer["feeds"])
        apart = out[0][0] - into[-1][0]
        # Two lock rings of 1.13 do not meet; the one that comes from the left is on the left.
        self.assertGreater(apart, 1.13)
        self.assertLess(apart, 1.5)
        middle = answer["boxes"][1]["knockout"]
        self.assertAlmostEqual((out[0][0] + into[-1][0]) / 2, middle)

    def test_metric(self) -> None:
        answer = yarrow.wall(
            wall(
                feed("A", "B"),
                units="mm",
                conduit={"type": "plastic", "size": "20"},
                bender="heat-form-metric",
                length=4800,
                height=2400,
                boxes=[box("A", 3, height=400), box("B", 6, height=400)],
                lines=[{"name": "low", "height": 1000}],
            )
        )
        self.assertEqual(codes(answer), [])
        self.assertEqual(answer["couplings"], 2)


class Sliding(unittest.TestCase):
    def test_how_far_a_pipe_tilts_in_its_hole(self) -> None:
        studs = Studs((0.75, 16.75), 1.5, 3.5, bearing=True)
        # It lies against both edges of the hole: bit = D / cos φ + 1 1/2 tan φ.
        for bit in (0.875, 1.0, 1.25):
            tilt = most_tilt(0.706, HoleLine("a", 40, 1.75, bit), studs)
            self.assertAlmostEqual(0.706 / math.cos(tilt) + 1.5 * math.tan(tilt), bit, places=6)
        self.assertEqual(most_tilt(0.706, HoleLine("a", 40, 1.75, 0.7), studs), 0.0)

    def test_a_piece_is_slid_in_from_a_bay(self) -> None:
        studs = Studs((0.75, 16.75), 1.5, 3.5, bearing=True)
        # 14 1/2 clear. To hold its tail in front of the studs it has to come out 1 3/4 and half of
        # itself over that: 8.3 degrees, which a bit of 7/8 does not let it, and one of 1 does.
        self.assertGreater(math.degrees(math.asin((1.75 + 0.353) / 14.5)), 8.3)
        tight = longest_slid(0.706, HoleLine("a", 40, 1.75, 0.875), studs, 14.5)
        loose = longest_slid(0.706, HoleLine("a", 40, 1.75, 1.0), studs, 14.5)
        self.assertEqual((tight, loose), (14.5, 30.5))

    def test_a_piece_that_can_t_be_slid_in_is_told(self) -> None:
        lines = [{"name": "low", "height": 40, "bit": "7/8"}]
        answer = yarrow.wall(wall(feed("A", "B"), lines=lines))
        self.assertIn("cannot-be-slid", codes(answer))
        self.assertFalse(yarrow.can_be_made(answer))


class Wrong(unittest.TestCase):
    def test_what_can_t_be_read_is_refused_at_its_place(self) -> None:
        for more, path in (
            ({"boxes": [box("A", 40)]}, "boxes[0].stud"),
            ({"boxes": [box("A", 3), box("A", 4)]}, "boxes[1].name"),
            ({"feeds": [feed("A", "Z")]}, "feeds[0].to"),
            ({"feeds": [feed("A", "B", "attic")]}, "feeds[0].line"),
            ({"studs": {"spacing": 1}}, "studs.spacing"),
            ({"studs": {"at": [20, 10]}}, "studs.at"),
            ({"length": -4}, "length"),
            ({"bender": "spoon"}, "bender"),
            ({"lines": [{"name": "a", "height": "tall"}]}, "lines[0].height"),
        ):
            with self.subTest(path), self.assertRaises(DocumentError) as caught:
                yarrow.wall(wall(**more))
            self.assertEqual(caught.exception.path, path)

    def test_irregular_studs_are_said_one_by_one(self) -> None:
        answer = yarrow.wall(wall(studs={"at": [1, 20, 31, 60]}, boxes=[box("A", 2)]))
        self.assertEqual([stud["begins"] for stud in answer["studs"]], [0.25, 19.25, 30.25, 59.25])


class AtRandom(unittest.TestCase):
    def test_no_coupling_is_in_a_stud_and_every_piece_can_be_slid_in(self) -> None:
        rng, feeds = random.Random(15), 0
        for _ in range(2000):
            document = self.a_wall(rng)
            laid = lay_wall(document)
            if nothing_wrong(laid.findings):
                feeds += 1
                self.holds(laid)
        self.assertGreater(feeds, 700)

    def test_pieces_fold_to_their_box_and_hole(self) -> None:
        rng, feeds = random.Random(16), 0
        while feeds < 60:
            answer = yarrow.wall(self.a_wall(rng))
            if yarrow.can_be_made(answer):
                feeds += 1
                self.folds(answer["feeds"][0])

    def a_wall(self, rng: random.Random) -> dict[str, Any]:
        spacing = rng.choice((16, 24, 19.2))
        studs = int(rng.uniform(100, 300) / spacing)
        one, other = rng.sample(range(2, studs), 2)
        boxes = [
            box("A", one, height=rng.uniform(12, 50), side=rng.choice(("left", "right"))),
            box("B", other, height=rng.uniform(12, 50), side=rng.choice(("left", "right"))),
        ]
        return wall(
            feed("A", "B", "only"),
            length=studs * spacing,
            studs={"spacing": spacing},
            boxes=boxes,
            lines=[{"name": "only", "height": rng.uniform(55, 90), "bit": rng.choice((0.875, 1))}],
        )

    def holds(self, laid: LaidWall) -> None:
        """No coupling is in a stud, and no piece too long to be slid in."""
        wall, (way,) = laid.wall, laid.routes
        start, end = way.vertices[0][0], way.vertices[-1][0]
        turn = 1.0 if end > start else -1.0
        joints = [start + turn * at for at in way.joints]
        half = 0.75 + OPEN / 2
        for at in joints:
            for middle in wall.studs.middles:
                # And a driver's width beside it, for its screws.
                self.assertGreater(abs(middle - at) - wall.studs.width / 2, half + 2)
        longest = longest_slid(wall.diameter, wall.lines[0], wall.studs, narrowest_bay(wall))
        for low, high in pairwise([start, *joints, end]) if way.studs else ():
            self.assertLessEqual(abs(high - low), longest + 1e-6)

    def folds(self, each: dict[str, Any]) -> None:
        """Its pieces, joined, go from the one box's knockout to the other's."""
        pieces = yarrow.pieces(each["run"])["pieces"]
        path = [vertex for piece in pieces for vertex in piece["plan"]["path"]]
        first = each["path"][0]
        for end, wanted in ((path[0], first), (path[-1], each["path"][-1])):
            place = [at + off for at, off in zip(end, first, strict=True)]
            self.assertLess(math.dist(place, wanted), 1e-4)


if __name__ == "__main__":
    unittest.main()
