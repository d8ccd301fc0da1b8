"""A framed wall by hand-worked sums, and what is wrong with one."""

from __future__ import annotations

import math
import os
import random
import unittest
from collections import Counter
from collections.abc import Iterator
from itertools import pairwise, product
from typing import Any

import yarrow
from core.tests.builders import RADIUS
from core.tests.walls.helpers import OPEN, box, codes, feed, lay_wall, wall
from yarrow import DocumentError
from yarrow.catalog.wall_boxes import wall_boxes
from yarrow.findings.finding import nothing_wrong
from yarrow.walls.sliding import longest_slid, studs_slid_through
from yarrow.walls.wall import HoleLine


class Placed(unittest.TestCase):
    def test_boxes_stand_on_their_studs_and_holes_are_in_those_between(self) -> None:
        answer = yarrow.wall(wall(feed("A", "B")))
        # Studs 16 apart from 3/4: the third's middle at 32 3/4, its right face at 33 1/2.
        first = answer["boxes"][0]
        self.assertEqual((first["begins"], first["ends"], first["top"]), (33.5, 35.75, 16.0))
        self.assertEqual(first["bottom"], 16 - 3.75)
        self.assertEqual([hole["stud"] for hole in answer["holes"]], [4, 5, 6])
        (alike,) = answer["to_bore"]
        self.assertEqual((alike["bit_text"], alike["height_text"], alike["count"]), ("1", "40", 3))

    def test_a_stud_where_an_opening_s_frame_stands_is_left_out(self) -> None:
        # The fourth, 47 1/4 to 48 3/4, is in the way of two studs from 48 to 51.
        door = {"name": "Door", "begins": 51, "width": 32}
        studs = yarrow.wall(wall(boxes=[box("A", 3)], openings=[door]))["studs"]
        spans = [(each["begins"], each["ends"]) for each in studs]
        self.assertIn((48.0, 49.5), spans)
        for (_, ends), (begins, _) in pairwise(sorted(spans)):
            self.assertLessEqual(ends, begins)

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
        self.assertEqual(only["kick_text"].partition(" ")[0], f"{round(kick, 2):g}°")
        self.assertEqual([piece["bends"] for piece in only["pieces"]], [2, 0, 2])

    def test_a_crew_s_own_bender(self) -> None:
        own = {"kind": "hand", "name": "Ours", "radius": 5, "take_up": "5 5/8"}
        boxes = [box("A", 3), box("B", 6, side="left")]
        lines = [{"name": "low", "height": 40, "setback": "7/8"}]
        (only,) = yarrow.wall(wall(feed("A", "B"), bender=own, boxes=boxes, lines=lines))["feeds"]
        self.assertEqual(only["run"]["bender"], own)
        # The holes as deep as the knockouts: 24 up, a 90 of its radius, to the joint at 56 3/4.
        cut = yarrow.pieces(only["run"])["pieces"][0]["plan"]["cut_length"]
        self.assertAlmostEqual(cut, 24 + 56.75 - 34.625 - OPEN / 2 - 5 * (2 - math.pi / 2))

    def test_a_connector_takes_the_pipe_in_beyond_the_box_s_face_at_both_ends(self) -> None:
        # Plastic goes 0.65 into its socket: both first bends are that much further from the end.
        plastic = {"conduit": {"type": "pvc40", "size": "1/2"}, "bender": "heat-form-us"}
        (only,) = yarrow.wall(wall(feed("A", "B"), **plastic))["feeds"]
        faces, pipe = only["path"], only["run"]["path"]
        for end, inner in ((0, 1), (-1, -2)):
            straight = abs(faces[inner][2] - faces[end][2])
            self.assertAlmostEqual(abs(pipe[inner][2] - pipe[end][2]), straight + 0.65)

    def test_both_ends_of_boxes_that_are_alike_are_alike(self) -> None:
        boxes = [box("A", 3), box("B", 6, side="left")]
        (only,) = yarrow.wall(wall(feed("A", "B"), boxes=boxes))["feeds"]
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

    def test_of_two_pipes_to_one_side_the_lower_leaves_further_to_that_side(self) -> None:
        # Else the one that goes on up would cross the one that bends away under it.
        for ends, way in ((("B", "C"), 1), (("B", "A"), -1)):
            with self.subTest(ends=ends):
                feeds = (feed(*ends, "high"), feed(*ends, "low"))
                high, low = (each["path"][0] for each in yarrow.wall(wall(*feeds))["feeds"])
                self.assertGreater(way * (low[0] - high[0]), 1.13)

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
        self.assertEqual([each["count"] for each in answer["needed"]], [2, 2, 2])


class Sliding(unittest.TestCase):
    def test_a_piece_is_slid_through_two_studs(self) -> None:
        # Bays of 14 1/2 and studs of 1 1/2: from the middle of one to that of the next but one, 32,
        # whatever bit leaves the pipe some play.
        bays, studs = (14.5, 14.5, 14.5), (1.5, 1.5)
        self.assertEqual(longest_slid(bays, studs, 2), 32)
        self.assertEqual(longest_slid(bays, studs, 1), 16)
        self.assertEqual(longest_slid(bays[:2], studs[:1], 2), 16)
        for bit, through in ((0.875, 2), (1.0, 2), (0.75, 1)):
            line = HoleLine("a", 40, 1.75, bit)
            self.assertEqual(studs_slid_through(0.706, line, "in"), through)

    def test_pieces_of_two_studs_in_either_bit(self) -> None:
        # From the third stud to the eleventh: middles of 32, and what is left, in either bit.
        boxes = [box("A", 3), box("B", 11, side="left")]
        for bit in ("7/8", "1"):
            lines = [{"name": "low", "height": 40, "bit": bit}]
            answer = yarrow.wall(wall(feed("A", "B"), boxes=boxes, lines=lines, length=240))
            self.assertEqual(codes(answer), [])
            cuts = [piece["cut_text"] for piece in answer["feeds"][0]["pieces"][1:-1]]
            self.assertEqual(cuts, ["2' 7 15/16\"", "2' 7 15/16\"", "1' 3 15/16\""])

    def test_a_piece_that_hardly_goes_in_is_a_warning_with_its_figures(self) -> None:
        # A bit of 3/4 leaves 1/2 thin wall no play: one stud a piece. A corner's two studs leave no
        # room for a coupling between them, so that a piece would go through both.
        lines = [{"name": "low", "height": 40, "bit": "3/4"}]
        studs = {"at": [8, 24, 40, 44, 60, 76]}
        boxes = [box("A", 1), box("B", 6, side="left")]
        answer = yarrow.wall(wall(feed("A", "B"), lines=lines, boxes=boxes, studs=studs))
        told = next(each for each in answer["findings"] if each["code"] == "cannot-be-slid")
        self.assertEqual(told["level"], "warning")
        self.assertIn("habit of crews", told["source"])
        self.assertTrue(yarrow.can_be_made(answer))


class Laid(unittest.TestCase):
    def test_a_stud_stands_flush_with_either_end_and_boards_meet_on_those_between(self) -> None:
        answer = yarrow.wall(wall(boxes=[], studs={}))
        middles = [(stud["begins"] + stud["ends"]) / 2 for stud in answer["studs"]]
        self.assertEqual(middles, [0.75, *range(16, 192, 16), 191.25])
        metric = wall(
            boxes=[],
            units="mm",
            length=4000,
            height=2400,
            lines=[],
            studs={"spacing": 600, "width": 45},
            conduit={"type": "plastic", "size": "20"},
            bender="heat-form-metric",
        )
        studs = yarrow.wall(metric)["studs"]
        self.assertEqual((studs[0]["begins"], studs[-1]["ends"]), (0, 4000))
        middles = [(stud["begins"] + stud["ends"]) / 2 for stud in studs[1:-1]]
        self.assertEqual(middles, [600, 1200, 1800, 2400, 3000, 3600])

    def test_one_that_would_stand_in_the_last_is_left_out(self) -> None:
        studs = yarrow.wall(wall(boxes=[], studs={}, length=177))["studs"]
        self.assertEqual(
            [(s["begins"], s["ends"]) for s in studs[-2:]], [(159.25, 160.75), (175.5, 177)]
        )


class ChosenTogether(unittest.TestCase):
    def outlets(self, *studs: int, **more: Any) -> dict[str, Any]:
        """Outlets in a row, each fed from the one before it."""
        names = "ABCDEF"[: len(studs)]
        boxes = [box(name, stud, kind="square") for name, stud in zip(names, studs, strict=True)]
        feeds = [feed(one, other) for one, other in pairwise(names)]
        return wall(*feeds, **{"boxes": boxes, **more})

    def test_two_outlets_in_a_row_are_clean(self) -> None:
        for one in (2, 3, 4):
            for other in (one + 1, one + 2, one + 4):
                with self.subTest(one=one, other=other):
                    self.assertTrue(yarrow.can_be_made(yarrow.wall(self.outlets(one, other))))

    def test_outlets_in_a_chain_are_clean(self) -> None:
        for studs in ((2, 4, 6), (2, 5, 9), (3, 4, 5), (2, 3, 4, 5, 6)):
            with self.subTest(studs=studs):
                self.assertTrue(yarrow.can_be_made(yarrow.wall(self.outlets(*studs))))

    def test_every_pipe_leaves_by_a_hole_that_is_there(self) -> None:
        # A device box has one knockout over it, and sides: the second pipe turns out of a side.
        boxes = [
            box(name, stud, kind="device") for name, stud in zip("ABC", (2, 5, 8), strict=True)
        ]
        answer = yarrow.wall(wall(feed("A", "B"), feed("B", "C"), boxes=boxes))
        self.assertEqual(codes(answer), [])
        for each in answer["feeds"]:
            self.assertTrue(each["from_knockout"])
            self.assertTrue(each["to_knockout"])

    def test_a_feed_without_a_hole_is_told_and_counts_nowhere(self) -> None:
        # One over, and upper, middle and lower on the free side: four pipes, and a fifth has none.
        boxes = [
            box("A", 2, kind="device"),
            *(box(name, 3 + at) for at, name in enumerate("BCDEF")),
        ]
        lines = [{"name": f"l{at}", "height": 40 + 8 * at} for at in range(5)]
        feeds = [feed("A", name, f"l{at}") for at, name in enumerate("BCDEF")]
        answer = yarrow.wall(wall(*feeds, boxes=boxes, lines=lines))
        told = [each for each in answer["findings"] if each["code"] == "no-knockout-left"]
        self.assertEqual(len(told), 1)
        self.assertEqual(len(answer["feeds"]), 4)
        self.assertEqual(answer["needed"][0]["count"], 8)

    def test_an_error_is_told_only_where_no_choice_of_knockouts_is_clean(self) -> None:
        rng = random.Random(16)
        for number in range(_CHOICES):
            count, units = rng.choice((2, 2, 2, 2, 3)), rng.choice(("in", "mm"))
            document = _random_outlets(rng, count, units)
            answer = yarrow.wall(document)
            if yarrow.can_be_made(answer):
                continue
            with self.subTest(number=number, document=document):
                clean = (nothing_wrong(lay_wall(each).findings) for each in _picked(document))
                self.assertFalse(any(clean))


_CHOICES = int(os.environ.get("YARROW_WALLS", "24"))
"""More where somebody wants to be sure: 2,000 take half an hour."""


def _random_outlets(rng: random.Random, count: int, units: str) -> dict[str, Any]:
    """Outlets in a chain, or all fed from the first."""
    studs = rng.sample(range(2, 10), count)
    scale = 1 if units == "in" else 25
    kinds = ("device", "square") if units == "in" else ("single", "double")
    boxes = [
        box(
            name,
            stud,
            kind=rng.choice(kinds),
            side=rng.choice(("left", "right")),
            height=rng.choice((14, 16, 18)) * scale,
        )
        for name, stud in zip("ABC", studs, strict=False)
    ]
    names = "ABC"[:count]
    pairs = list(pairwise(names)) if rng.random() < 0.7 else [("A", name) for name in names[1:]]
    more: dict[str, Any] = {"length": 192, "height": 96}
    if units == "mm":
        more = {
            "units": "mm",
            "length": 4800,
            "height": 2400,
            "conduit": {"type": "plastic", "size": "20"},
            "bender": "heat-form-metric",
        }
    lines = [{"name": "low", "height": rng.choice((24, 30, 36, 60)) * scale}]
    feeds = [feed(*pair) for pair in pairs]
    return wall(*feeds, boxes=boxes, lines=lines, studs={}, **more)


def _picked(document: dict[str, Any]) -> Iterator[dict[str, Any]]:
    """The wall with every pick of knockouts that there is, for all of its feeds."""
    kinds = {
        each["name"]: [
            name
            for name in wall_boxes()[each["kind"]].knockouts
            if name.split()[0] in ("top", each["side"])
        ]
        for each in document["boxes"]
    }
    ends = [(at, end) for at in range(len(document["feeds"])) for end in ("from", "to")]
    choices = [kinds[document["feeds"][at][end]] for at, end in ends]
    for picks in product(*choices):
        taken = Counter(
            (document["feeds"][at][end], pick) for (at, end), pick in zip(ends, picks, strict=True)
        )
        if max(taken.values()) > 1:
            continue
        feeds = [dict(each) for each in document["feeds"]]
        for (at, end), pick in zip(ends, picks, strict=True):
            feeds[at][f"{end}_knockout"] = pick
        yield {**document, "feeds": feeds}


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
            ({"bender": {"kind": "spoon", "radius": 5, "take_up": 6}}, "bender.kind"),
            ({"boxes": [box("A", 3, kind="sofa")]}, "boxes[0].kind"),
            ({"boxes": [box("A", 3, beside="Door")]}, "boxes[0].beside"),
            ({"openings": [{"name": "D", "begins": 1, "width": 9}]}, "openings[0].begins"),
            (
                {"openings": [{"name": "D", "begins": 9, "width": 9, "head": 99}]},
                "openings[0].head",
            ),
            ({"corners": [{"at": 50}, {"at": 20}]}, "corners"),
            ({"ways_out": [{"name": "A"}]}, "ways_out[0].name"),
            ({"feeds": [{**feed("A", "B"), "to_knockout": "top left"}]}, "feeds[0].to_knockout"),
            ({"feeds": [{**feed("A", "B"), "wires": "a rope"}]}, "feeds[0].wires"),
            ({"lines": [{"name": "a", "height": "tall"}]}, "lines[0].height"),
        ):
            with self.subTest(path), self.assertRaises(DocumentError) as caught:
                yarrow.wall(wall(**more))
            self.assertEqual(caught.exception.path, path)

    def test_irregular_studs_are_said_one_by_one(self) -> None:
        answer = yarrow.wall(wall(studs={"at": [1, 20, 31, 60]}, boxes=[box("A", 2)]))
        self.assertEqual([stud["begins"] for stud in answer["studs"]], [0.25, 19.25, 30.25, 59.25])


class Openings(unittest.TestCase):
    def test_a_door_s_frame_takes_the_place_of_studs(self) -> None:
        door = {"name": "Door", "begins": 60, "width": 32}
        studs = yarrow.wall(wall(openings=[door], boxes=[]))["studs"]
        near = [(s["number"], s["begins"], s["ends"]) for s in studs if 47 < s["begins"] < 100]
        # Two studs of 1 1/2 on either side; the fifth, at 64 3/4, and the sixth stood in the door,
        # and over its header, from 87 1/4 up, they still do.
        self.assertEqual(
            near,
            [
                *((4, 48.0, 49.5),),
                *((0, 57.0, 58.5), (0, 58.5, 60.0)),
                *((5, 64.0, 65.5), (6, 80.0, 81.5)),
                *((0, 92.0, 93.5), (0, 93.5, 95.0), (7, 96.0, 97.5)),
            ],
        )
        fifth = next(stud for stud in studs if stud["number"] == 5)
        self.assertEqual(fifth["parts"], [[87.25, 93]])

    def test_a_line_that_comes_to_a_door_is_told_and_one_over_it_is_bored(self) -> None:
        door = {"name": "Door", "begins": 60, "width": 20, "head": 66}
        boxes = [box("A", 3), box("C", 9, height=48)]
        low = yarrow.wall(wall(feed("A", "C"), openings=[door], boxes=boxes))
        self.assertIn("through-an-opening", codes(low))
        over = {"lines": [{"name": "low", "height": 80}], "height": 120}
        high = yarrow.wall(wall(feed("A", "C"), openings=[door], boxes=boxes, **over))
        self.assertEqual(codes(high), [])
        # The frame's inner studs end under the header: only its outer ones are bored.
        beside = [hole["along"] for hole in high["holes"] if hole["stud"] == 0]
        self.assertEqual(beside, [57.75, 82.25])

    def test_a_line_through_a_door_s_header_is_told(self) -> None:
        # Clear up to 66, and 6 of header over that.
        door = {"name": "Door", "begins": 60, "width": 20, "head": 66, "header": 6}
        boxes = [box("A", 3), box("C", 9, height=48)]
        for height, told in ((70, True), ("71 7/8", True), (73, False)):
            lines = {"lines": [{"name": "low", "height": height}], "height": 120}
            answer = yarrow.wall(wall(feed("A", "C"), openings=[door], boxes=boxes, **lines))
            self.assertEqual("through-an-opening" in codes(answer), told, height)

    def test_a_box_beside_a_frame(self) -> None:
        door = {"name": "Door", "begins": 60, "width": 32}
        boxes = [{"name": "S", "beside": "Door", "side": "left", "height": 48, "kind": "device"}]
        (switch,) = yarrow.wall(wall(openings=[door], boxes=boxes))["boxes"]
        self.assertEqual((switch["ends"], switch["begins"]), (57.0, 57.0 - 2.125))
        self.assertEqual(switch["on"], "left of an opening's frame")


class Bends(unittest.TestCase):
    def test_no_bend_lies_in_the_stud_beside_the_box(self) -> None:
        # B is on the right of its stud and fed from the left: 1 1/8 from the stud's face, where the
        # 90 wants more than its radius. The drop leans aside so far that the bend clears it.
        (only,) = yarrow.wall(wall(feed("A", "B")))["feeds"]
        corner, kick, end = only["path"][-3:]
        face = 16 * 5 + 0.75 + 0.75
        self.assertAlmostEqual(end[0] - face, 1.125)
        aside, high = corner[0] - end[0], 40 - kick[2]
        turn = math.acos(-aside / math.sqrt(aside**2 + high**2 + 0.875**2))
        self.assertAlmostEqual(corner[0] - face, RADIUS * math.tan(turn / 2), places=3)
        self.assertEqual([bent["bends"] for bent in only["pieces"]], [2, 0, 2])

    def test_a_pipe_that_hardly_leans_gets_no_kick(self) -> None:
        # The holes as deep as the knockouts but for 1/4 in, on 24: six tenths of a degree.
        lines = [{"name": "low", "height": 40, "setback": "1 1/8"}]
        boxes = [box("A", 3), box("B", 6, side="left")]
        (only,) = yarrow.wall(wall(feed("A", "B"), boxes=boxes, lines=lines))["feeds"]
        self.assertEqual(only["kick_text"], "")
        self.assertEqual([piece["bends"] for piece in only["pieces"]], [1, 1])

    def test_round_a_corner_the_lines_of_holes_meet_behind_both_faces(self) -> None:
        corner = {"at": 72, "turns": "inside"}
        boxes = [box("A", 2), box("B", 8, side="left")]
        laid = lay_wall(wall(feed("A", "B"), boxes=boxes, corners=[corner]))
        (way,) = laid.routes
        self.assertIn((72.0 + 1.75, -1.75, 40.0), way.folded)
        # From there on the wall goes toward the room: B's knockout is 1 1/8 short of its stud, at
        # 112, and 40 - 1 1/8 beyond the corner.
        x, y, z = way.folded[-1]
        self.assertAlmostEqual((x, y, z), (72 + 0.875, 112 - 1.125 - 72, 16))
        self.assertTrue(nothing_wrong(laid.findings), laid.findings)

    def test_a_corner_s_post_in_its_bend_is_told(self) -> None:
        corner = {"at": 80, "turns": "inside"}  # the sixth stud stands at 80 3/4
        answer = yarrow.wall(wall(feed("A", "C"), corners=[corner]))
        self.assertIn("bend-in-a-hole", codes(answer))

    def test_more_bends_than_wire_is_pulled_through_are_told(self) -> None:
        corner = {"at": 72, "turns": "inside"}
        boxes = [box("A", 2, kind="square"), box("B", 9, side="left", kind="square")]
        said = {"from_knockout": "right upper", "to_knockout": "left upper"}
        answer = yarrow.wall(wall({**feed("A", "B"), **said}, boxes=boxes, corners=[corner]))
        (only,) = answer["feeds"]
        # Two 90s and a kick at either box, and a 90 at the corner: 450 and what the kicks are.
        self.assertEqual([each["code"] for each in only["findings"]], ["too-many-degrees"])


class WaysOut(unittest.TestCase):
    def test_straight_through_the_plate_over_its_knockout(self) -> None:
        out = {"name": "Light", "beyond": 4}
        answer = yarrow.wall(wall(feed("A", "Light"), ways_out=[out]))
        (only,) = answer["feeds"]
        self.assertEqual([len(only["path"]), only["pieces"][0]["bends"]], [2, 0])
        # From the box's top at 16 to 4 over the wall's 96.
        self.assertEqual(only["pieces"][0]["cut_text"], "7' 0\"")
        (hole,) = answer["plate_holes"]
        self.assertEqual((hole["plate"], hole["deep_text"]), ("top", "7/8"))
        self.assertAlmostEqual(hole["along"], 34.625)
        (bored,) = answer["to_bore"]
        self.assertEqual((bored["plate"], bored["count"]), ("top", 1))

    def test_along_a_line_first(self) -> None:
        out = {"name": "Light", "at": 70}
        answer = yarrow.wall(wall(feed("A", "Light"), ways_out=[out]))
        self.assertEqual(codes(answer), [])
        self.assertEqual(answer["feeds"][0]["path"][-2:], [[70, -1.75, 40], [70, -1.75, 102]])

    def test_one_that_comes_down_on_a_stud_is_told(self) -> None:
        out = {"name": "Light", "at": 65}
        answer = yarrow.wall(wall(feed("A", "Light"), ways_out=[out]))
        self.assertIn("way-out-in-a-stud", codes(answer))

    def test_over_a_door_it_is_in_the_stud_over_the_header(self) -> None:
        # Over the header, from 87 1/4 up, the fifth stud stands still, at 64 to 65 1/2; at the
        # floor the door is open there.
        door = {"name": "Door", "begins": 60, "width": 32}
        out = {"name": "Light", "at": 64.75}
        boxes = [box("A", 2), box("B", 3)]
        answer = yarrow.wall(
            wall(feed("A", "Light", "high"), ways_out=[out], boxes=boxes, openings=[door],
                 lines=[{"name": "high", "height": 90}])
        )  # fmt: skip
        self.assertIn("way-out-in-a-stud", codes(answer))


class Knockouts(unittest.TestCase):
    def square(self, *feeds: dict[str, Any], **more: Any) -> dict[str, Any]:
        boxes = [box("A", 3, kind="square", **more), box("B", 6), box("C", 9, height=48)]
        return yarrow.wall(wall(*feeds, boxes=boxes))

    def test_two_pipes_take_the_outer_ones_and_three_have_no_room(self) -> None:
        answer = self.square(feed("A", "B"), feed("A", "C", "high"))
        self.assertEqual(codes(answer), [])
        named = {each["from_knockout"] for each in answer["feeds"]}
        self.assertEqual(named, {"top left", "top right"})
        third = self.square(feed("B", "A"), feed("A", "C", "high"), feed("A", "B", "high"))
        self.assertIn("knockouts-too-close", codes(third))

    def test_the_middle_of_a_side_is_behind_the_device_s_screws(self) -> None:
        said = {**feed("A", "C", "high"), "from_knockout": "right middle"}
        self.assertIn("knockout-behind-screws", codes(self.square(said)))
        self.assertEqual(codes(self.square(said, devices=0)), [])
        against = {**feed("A", "C", "high"), "from_knockout": "left upper"}
        self.assertIn("knockout-against-stud", codes(self.square(against)))

    def test_out_of_a_side_it_turns_up_before_it_kicks(self) -> None:
        said = {**feed("A", "B"), "from_knockout": "right upper"}
        answer = self.square(said)
        (only,) = answer["feeds"]
        self.assertEqual(codes(answer), [])
        # The box from 33 1/2, 4 wide; its upper side knockout 1 1/8 over its middle at 14.
        self.assertEqual(only["path"][0], [37.5, -0.875, 15.125])
        self.assertEqual(only["path"][1][1:], [-0.875, 15.125])
        self.assertEqual(only["pieces"][0]["bends"], 3)

    def test_a_box_is_filled_by_its_feeds(self) -> None:
        wires = {"wires": "4 x 12 thhn, 1 x 12 bare"}
        boxes = [box("A", 3, kind="device"), box("B", 6), box("C", 9, height=48)]
        answer = yarrow.wall(wall({**feed("A", "B"), **wires}, boxes=boxes))
        # 4 conductors and two for the device at 2.25, the ground as one: 15.75 of 14.5 in3.
        self.assertEqual(answer["boxes"][0]["volume_text"], "15.75 of 14.5 in³")
        self.assertIn("box-of-wall-too-full", codes(answer))
        boxes[0] = box("A", 3, kind="square")
        roomier = yarrow.wall(wall({**feed("A", "B"), **wires}, boxes=boxes))
        self.assertEqual(codes(roomier), [])
        self.assertIn("15.75 of 30.3", roomier["boxes"][0]["volume_text"])


class Lists(unittest.TestCase):
    def test_what_is_needed(self) -> None:
        out = {"name": "Light"}
        answer = yarrow.wall(wall(feed("A", "B"), feed("A", "Light"), ways_out=[out]))
        counts = [each["count"] for each in answer["needed"]]
        # Three ends at boxes; two joints and one over the plate; a strap for every drop.
        self.assertEqual(counts, [3, 3, 3])

    def test_straight_pieces_go_in_first_and_those_furthest_off_before_others(self) -> None:
        far = {"studs": {"spacing": 24}, "length": 480, "boxes": [box("A", 2), box("B", 12)]}
        (only,) = yarrow.wall(wall(feed("A", "B"), **far))["feeds"]
        turns = [piece["turn"] for piece in only["pieces"]]
        bends = [piece["bends"] > 0 for piece in only["pieces"]]
        straight = [turn for turn, bent in zip(turns, bends, strict=True) if not bent]
        self.assertEqual(sorted(straight), list(range(1, len(straight) + 1)))
        self.assertEqual(straight, sorted(straight, reverse=True))
        self.assertEqual(bends, [True, *[False] * len(straight), True])


if __name__ == "__main__":
    unittest.main()
