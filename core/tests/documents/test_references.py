"""What of a document names something else in it: renaming and taking out leave no name behind."""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from core.tests.builders import framed_wall
from core.tests.site.helpers import between_holes

WALL = framed_wall(
    openings=[{"name": "Door", "begins": 60, "width": 32}],
    boxes=[
        {"name": "A", "stud": 2, "height": 48},
        {"name": "B", "stud": 3, "height": 14},
        {"name": "C", "beside": "Door", "height": 48, "side": "left"},
    ],
    ways_out=[{"name": "Up"}],
    lines=[{"name": "low", "height": 24}, {"name": "high", "height": 60}],
    feeds=[
        {"from": "A", "to": "B", "line": "low"},
        {"from": "A", "to": "Up"},
        {"from": "B", "to": "C", "line": "high"},
    ],
)


def without(document: dict[str, Any], named: str, name: str) -> dict[str, Any]:
    followed: dict[str, Any] = yarrow.follow(document, named, name, None)
    followed[named] = [each for each in followed[named] if each["name"] != name]
    return followed


class References(unittest.TestCase):
    def test_a_wall_can_be_read_whatever_was_taken_out_of_it(self) -> None:
        yarrow.read(WALL, "wall")
        for named in ("boxes", "ways_out", "lines"):
            for entry in WALL[named]:
                with self.subTest(entry["name"]):
                    yarrow.read(without(WALL, named, entry["name"]), "wall")

    def test_feeds_go_with_their_box_and_forget_their_line(self) -> None:
        feeds = without(WALL, "boxes", "A")["feeds"]
        self.assertEqual(feeds, [{"from": "B", "to": "C", "line": "high"}])
        feeds = without(WALL, "lines", "low")["feeds"]
        self.assertEqual([each.get("line", "") for each in feeds], ["", "", "high"])
        boxes = without(WALL, "openings", "Door")["boxes"]
        self.assertEqual([each.get("beside", "") for each in boxes], ["", "", ""])

    def test_a_new_name_is_followed_and_nothing_else_changes(self) -> None:
        feeds = yarrow.follow(WALL, "boxes", "A", "Panel")["feeds"]
        self.assertEqual([each["from"] for each in feeds], ["Panel", "Panel", "B"])
        self.assertEqual(yarrow.follow(WALL, "lines", "A", "Panel"), WALL)
        self.assertEqual(yarrow.follow(WALL, "boxes", "a", "Panel"), WALL)

    def test_places_that_a_cable_is_led_through_are_several(self) -> None:
        site = between_holes((0, 0), (430, 0))
        (first, second, *_) = [place["name"] for place in site["places"]]
        cable = {"from": first, "to": second, "via": [second, "X", second]}
        told = yarrow.follow({**site, "cables": [cable]}, "places", second, "Pump")["cables"]
        self.assertEqual(told, [{"from": first, "to": "Pump", "via": ["Pump", "X", "Pump"]}])
        self.assertEqual(
            yarrow.follow({**site, "cables": [cable]}, "places", "X", None)["cables"],
            [{**cable, "via": [second, second]}],
        )
        self.assertEqual(
            yarrow.follow({**site, "cables": [cable]}, "places", second, None)["cables"], []
        )


if __name__ == "__main__":
    unittest.main()
