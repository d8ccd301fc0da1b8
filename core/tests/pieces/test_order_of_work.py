"""The order of work: everything in its order, and ticks that hold only for what they said."""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from core.tests.builders import end, metric, offset, run, turn
from yarrow import DocumentError

RIGID: dict[str, Any] = {"conduit": {"type": "rmc", "size": "3/4"}, "bender": "ratchet-1"}
HUB: dict[str, Any] = {"start": {"kind": "hub"}}


def work(*walk: dict[str, Any], **more: Any) -> dict[str, Any]:
    return yarrow.work(run(*walk, **more))


def titles(found: dict[str, Any]) -> list[tuple[int, str]]:
    return [(item["piece"], item["title"]) for item in found["items"]]


def text_of(found: dict[str, Any], kind: str) -> str:
    return next(item["do"] for item in found["items"] if item["kind"] == kind)


def asked(found: dict[str, Any]) -> dict[str, int]:
    return {point["name"]: point["open"] for point in found["inspection"]}


class Order(unittest.TestCase):
    def test_a_bent_thin_wall_piece(self) -> None:
        self.assertEqual(
            titles(work(turn(30), end(40, fitting="connector"))),
            [
                (0, "Measure"),
                (1, "Mark"),
                (1, "Bend 1"),
                (1, "Cut"),
                (1, "Ream"),
                (0, "Straps"),
                (0, "Label"),
            ],
        )

    def test_what_comes_off_comes_off_first_and_the_box_goes_on_last(self) -> None:
        found = work(
            end(200, fitting="hub"),
            joints={"places": [{"at": 90}], "ends": {"end": "comes-off"}},
            **RIGID,
            **HUB,
        )
        order = titles(found)
        self.assertEqual(order[:2], [(0, "Measure"), (0, "Box off")])
        self.assertIn("end's box comes off", text_of(found, "off-comes-off"))
        joined = [each for each in order if each[1] in ("Join", "Close")]
        self.assertEqual(joined, [(1, "Join"), (2, "Join"), (2, "Close")])
        self.assertLess(order.index((2, "Close")), order.index((0, "Straps")))

    def test_a_run_that_is_closed_at_a_joint_goes_up_from_both_ends(self) -> None:
        found = work(
            end(300, fitting="hub"), joints={"closing": {"by": "union", "at": 1}}, **RIGID, **HUB
        )
        pieces = [piece for piece, title in titles(found) if title == "Cut" or title == "Join"]
        self.assertEqual(list(dict.fromkeys(pieces)), [1, 3, 2])
        two = {item["people"] for item in found["items"] if item["kind"] in ("join", "close")}
        self.assertEqual(two, {2})

    def test_threads_are_cut_before_they_are_painted(self) -> None:
        found = work(end(100, fitting="hub"), joints={"places": [{"at": 40}]}, **RIGID, **HUB)
        kinds = [item["kind"] for item in found["items"]]
        self.assertLess(kinds.index("thread"), kinds.index("zinc"))
        self.assertNotIn("zinc", [i["kind"] for i in work(turn(30), end(40))["items"]])


class OfferedUp(unittest.TestCase):
    def test_the_last_piece_is_cut_where_it_was_held(self) -> None:
        found = work(turn(30), end(40, fitting="hub"), joints={"cut": "offered"}, **RIGID)
        cut = text_of(found, "cut")
        # A hand's breadth, 100 mm; and the thread of three quarters, 0.5457.
        self.assertIn("3 15/16 in too long", cut)
        self.assertIn("add 9/16 in for the thread", cut)

    def test_at_a_joint_half_of_what_stays_open_comes_off(self) -> None:
        joints = {"cut": "offered", "closing": {"by": "union", "at": 1}}
        cuts = [
            item["do"]
            for item in work(end(200, fitting="hub"), joints=joints, **RIGID, **HUB)["items"]
            if item["kind"] == "cut"
        ]
        # Half of the half inch that a three-piece coupling holds open.
        self.assertIn("take off 1/4 in", cuts[-1])
        self.assertTrue(all("take off" not in cut for cut in cuts[:-1]))

    def test_clips_that_are_off_are_no_error(self) -> None:
        plain = metric(turn(400), end(500), joints={"cut": "offered"}, stand_off=8)
        check = next(i["check"] for i in yarrow.work(plain)["items"] if i["kind"] == "cut")
        self.assertIn("8 mm nearer the wall", check)

    def test_what_takes_up_the_error(self) -> None:
        running = yarrow.work(
            metric(
                end(5000, fitting="hub"),
                conduit={"type": "steel", "size": "20"},
                bender="bench-steel-20",
                **HUB,
            )
        )
        # Two spare turns of 1.5.
        self.assertIn("3 mm either way", running["takes_up"])
        self.assertIn("open end", work(turn(30), end(40))["takes_up"])
        self.assertIn("stop", work(turn(30), end(40, fitting="connector"))["takes_up"])


class Ticks(unittest.TestCase):
    def test_a_tick_holds_until_what_it_said_is_another(self) -> None:
        walk = (offset(30, 4), end(90))
        first = work(*walk)
        mark = next(item["id"] for item in first["items"] if item["kind"] == "mark")
        label = next(item["id"] for item in first["items"] if item["kind"] == "label")
        ticked = work(*walk, done=[mark, label])
        self.assertEqual(
            [item["kind"] for item in ticked["items"] if item["done"]], ["mark", "label"]
        )
        self.assertEqual(ticked["stale"], 0)
        # Another rise has other marks; the label is as it was.
        moved = work(offset(30, 5), end(90), done=[mark, label])
        self.assertEqual([item["kind"] for item in moved["items"] if item["done"]], ["label"])
        self.assertEqual(moved["stale"], 1)

    def test_an_inspector_is_answered_from_the_ticks(self) -> None:
        walk, more = (
            (end(100, fitting="hub"),),
            {"joints": {"places": [{"at": 40}]}, **RIGID, **HUB},
        )
        first = work(*walk, **more)
        self.assertEqual(asked(first)["Cut threads have zinc on"], 1)
        self.assertEqual(asked(first)["Every threaded joint has its turns"], 3)
        done = [item["id"] for item in first["items"] if item["kind"] in ("zinc", "join")]
        after = asked(work(*walk, **more, done=done))
        self.assertEqual(after["Cut threads have zinc on"], 0)
        self.assertEqual(after["Every threaded joint has its turns"], 1)
        self.assertEqual(after["It is labelled"], 1)

    def test_thin_wall_and_plastic_have_neither_turns_nor_oil(self) -> None:
        plastic = {"conduit": {"type": "pvc40", "size": "1"}, "bender": "heat-form-us"}
        for more, joint in (({}, "in up to its stop"), (plastic, "glued up to its stop")):
            found = work(end(200), **more)
            points = [point["name"] for point in found["inspection"]]
            self.assertTrue(any(joint in each for each in points), points)
            self.assertFalse(any("turns" in each for each in points))
            self.assertNotIn("oil", " ".join(item["do"] for item in found["items"]))
        self.assertIn("oil", " ".join(item["do"] for item in work(end(200), **RIGID)["items"]))

    def test_every_item_has_an_id_of_its_own(self) -> None:
        found = work(end(500, fitting="hub"), **RIGID, **HUB)
        ids = [item["id"] for item in found["items"]]
        self.assertEqual(len(set(ids)), len(ids))

    def test_a_list_to_tick_with_a_pencil(self) -> None:
        text = yarrow.work.written(run(turn(30), end(40)), "text").text
        self.assertIn("[ ] Piece 1, Bend 1:", text)
        self.assertIn("It is labelled: 1 of 1 open", text)

    def test_a_run_that_cannot_be_made_has_no_work(self) -> None:
        found = work(turn(1), end(2))
        self.assertEqual(found["items"], [])
        self.assertFalse(yarrow.can_be_made(found))

    def test_what_is_no_list_of_ticks_is_refused(self) -> None:
        for done in ("all", [7], ["x" * 61]):
            with self.subTest(done), self.assertRaises(DocumentError):
                work(turn(30), end(40), done=done)


if __name__ == "__main__":
    unittest.main()
