"""Framed walls at random: what holds of each, and each of its pieces folded to its boxes."""

from __future__ import annotations

import math
import os
import random
import unittest
from dataclasses import replace
from itertools import pairwise
from typing import Any

import yarrow
from core.tests.builders import RADIUS
from core.tests.walls.helpers import OPEN, box, feed, lay_wall, wall
from yarrow.documents.run.reading import read_run
from yarrow.documents.wall.runs import plan_wall_document as wall_document
from yarrow.findings.finding import nothing_wrong
from yarrow.pieces.pieces import piece_plans
from yarrow.runs.written_plan import write_plan
from yarrow.walls.laying import LaidWall, survey_of_feed
from yarrow.walls.wall_plan import PlannedFeed

WALLS = int(os.environ.get("YARROW_WALLS", "150"))


class AtRandom(unittest.TestCase):
    def test_many_walls(self) -> None:
        """No coupling in a stud, no piece that can't be slid in, no bend in a hole, and its pieces
        fold to their boxes."""
        rng, feeds, turned = random.Random(15), 0, 0
        for _ in range(WALLS):
            document = self.a_wall(rng)
            laid = lay_wall(document)
            if nothing_wrong(laid.findings):
                answer = wall_document(document)
                if answer.can_be_made:
                    feeds += 1
                    turned += len(answer.corners)
                    self.holds(laid)
                    self.reads_again(laid, answer.feeds[0])
                    self.folds(laid, answer.feeds[0])
        self.assertGreater(feeds, 0.55 * WALLS)
        self.assertGreater(turned, 0.03 * WALLS)

    def a_wall(self, rng: random.Random) -> dict[str, Any]:
        spacing = rng.choice((16, 24, 19.2))
        studs = int(rng.uniform(100, 300) / spacing)
        one, other = rng.sample(range(2, studs), 2)
        boxes = [
            box("A", one, height=rng.uniform(12, 50), side=rng.choice(("left", "right"))),
            box("B", other, height=rng.uniform(12, 50), side=rng.choice(("left", "right"))),
        ]
        corner = (rng.randint(3, studs) - 0.5) * spacing
        if rng.random() < 0.3 and corner < studs * spacing:
            more = {"corners": [{"at": corner, "turns": rng.choice(("inside", "outside"))}]}
        else:
            window = {"name": "W", "begins": rng.uniform(10, 60), "width": 30, "head": 50}
            more = {"openings": [window]} if rng.random() < 0.3 else {}
        more |= {"length": studs * spacing, "height": 120, "studs": {"spacing": spacing}}
        lines = [{"name": "only", "height": rng.uniform(58, 90), "bit": rng.choice((0.875, 1))}]
        boxes = self.standing(boxes, more)
        return wall(feed("A", "B", "only"), boxes=boxes, lines=lines, **more)

    def standing(self, boxes: list[dict[str, Any]], more: dict[str, Any]) -> list[dict[str, Any]]:
        """The boxes, beside the window where their stud gave way to its frame."""
        numbers = {stud["number"] for stud in yarrow.wall(wall(boxes=[], **more))["studs"]}
        beside = {"stud": 1, "beside": "W"}
        return [each if each["stud"] in numbers else {**each, **beside} for each in boxes]

    def reads_again(self, laid: LaidWall, feed: PlannedFeed) -> None:
        """The run that is kept for a feed is, read again, what the wall planned of it."""
        survey = read_run(feed.run)
        (way,) = laid.routes
        self.assertEqual(
            replace(survey, setup=replace(survey.setup, name="")),
            survey_of_feed(laid, way, feed.run["path"]),
        )

    def holds(self, laid: LaidWall) -> None:
        """No coupling is in a stud, and none so near that no driver comes to its screws; no bend is
        in one; no straight piece is too long to be slid in from a bay between two studs."""
        wall, (way,) = laid.wall, laid.routes
        height = wall.lines[0].height
        members = wall.studs.members(height)
        half = 0.75 + OPEN / 2
        for joint in way.joints:
            for member in members:
                near = min(abs(member.begins - joint.along), abs(member.ends - joint.along))
                self.assertGreater(near, half + 2)
                self.assertFalse(member.begins < joint.along < member.ends)
        for drop in (way.vertices[:3], way.vertices[:-4:-1]):
            corner = next(v for v in drop if v[2] == height)
            for member in way.members:
                off = min(abs(member.begins - corner[0]), abs(member.ends - corner[0]))
                self.assertGreater(off, 0.9 * RADIUS)
        bays = [b.begins - a.ends for a, b in pairwise(members)]
        joints = [each.along for each in way.joints]
        for low, high in pairwise(joints):
            self.assertLessEqual(abs(high - low), 2 * max(bays) + 3 + 1e-6)

    def folds(self, laid: LaidWall, each: PlannedFeed) -> None:
        """Its pieces, joined, go from the one box's knockout to the other's, and every piece begins
        where a coupling's stop is from where the one before it ends."""
        plans, wrong = piece_plans(read_run(each.run))
        self.assertEqual([found for found in wrong if found.level == "error"], [])
        pieces = [write_plan(plan) for plan in plans]
        first = laid.routes[0].folded[0]
        ends = [pieces[0].path[0], pieces[-1].path[-1]]
        for end, wanted in zip(ends, (first, laid.routes[0].folded[-1]), strict=True):
            place = [at + off for at, off in zip(end, first, strict=True)]
            self.assertLess(math.dist(place, wanted), 1e-4)
        for before, after in pairwise(pieces):
            self.assertAlmostEqual(math.dist(before.path[-1], after.path[0]), OPEN, places=4)


if __name__ == "__main__":
    unittest.main()
