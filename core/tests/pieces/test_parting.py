"""Parting over many runs: pieces fold to the run's own line, and no parting has fewer joints."""

from __future__ import annotations

import itertools
import random
import unittest

import yarrow
from benchmarks.runs import random_run
from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.tables import conduits
from yarrow.documents.run.reading import read_run
from yarrow.geometry.pipe import PipeBend, fold
from yarrow.geometry.vectors import along, length, subtract
from yarrow.pieces.parting import Sticks, fewest
from yarrow.pieces.piece_plan import PiecesOfRun
from yarrow.pieces.places import JointRoom, reach_of

KINDS = (
    ("in", {"type": "emt", "size": "1/2"}, "hand-emt-1/2", 1.0),
    ("in", {"type": "rmc", "size": "2"}, "mechanical-2", 2.5),
    ("mm", {"type": "steel", "size": "20"}, "bench-steel-20", 17.0),
)


class Joined(unittest.TestCase):
    def test_pieces_joined_by_their_couplings_are_the_run_itself(self) -> None:
        rng = random.Random(11)
        for units, conduit, bender, scale in KINDS:
            coupling = couplings()[usual_coupling(conduits()[conduit["type"], conduit["size"]])]
            opened = coupling.on(conduits()[conduit["type"], conduit["size"]], units).open
            for number in range(12):
                document = random_run(rng, units, conduit, bender, scale)
                made = yarrow.pieces.values({**document, "joints": {}})
                if not made.pieces:
                    continue
                with self.subTest(units=units, conduit=conduit["type"], number=number):
                    self.assertLess(self.furthest_off(made, opened), 1e-6)
                    self.out_of_reach(made, document)

    def furthest_off(self, made: PiecesOfRun, opened: float) -> float:
        """Each piece bent by its own marks' bends and hung on the end of the one before."""
        worst = 0.0
        first = made.pieces[0].plan
        start, ahead = first.path[0], None
        for piece in made.pieces:
            plan = piece.plan
            if ahead is None:
                leg = subtract(plan.path[1], plan.path[0])
                ahead = tuple(each / length(leg) for each in leg)
            bends = [PipeBend(b.arc_start, b.angle, b.roll, b.radius) for b in plan.bends]
            bent = fold(
                bends, plan.cut_length, start=start, ahead=ahead, first_toward=plan.first_toward
            )
            corners = [plan.path[0], *(plan.path[b.vertex] for b in plan.bends), plan.path[-1]]
            for one, other in zip(bent.vertices, corners, strict=True):
                worst = max(worst, length(subtract(one, other)))
            ahead = bent.direction
            start = along(bent.vertices[-1], ahead, opened)
        return worst

    def out_of_reach(self, made: PiecesOfRun, document: dict[str, object]) -> None:
        reach = reach_of(read_run(document).setup.bender)
        for number, piece in enumerate(made.pieces):
            bends = piece.plan.bends
            if not bends:
                continue
            if number:
                self.assertGreaterEqual(bends[0].arc_start, reach - 1e-6)
            if number < len(made.pieces) - 1:
                self.assertGreaterEqual(piece.plan.cut_length - bends[-1].arc_end, reach - 1e-6)
            self.assertLessEqual(piece.plan.cut_length, made.stick + 0.5)


COUPLING = couplings()["set-screw-coupling"].on(conduits()["emt", "1/2"], "in")


class Fewest(unittest.TestCase):
    def test_no_parting_has_fewer_joints(self) -> None:
        rng = random.Random(5)
        for number in range(200):
            cut = rng.uniform(30, 400)
            places = sorted(rng.uniform(4, cut - 4) for _ in range(2 * rng.randint(1, 5)))
            rooms = [JointRoom(a, b, False) for a, b in zip(places[::2], places[1::2], strict=True)]
            sticks = Sticks(cut, 120.0, COUPLING, 0.0)
            found = fewest(sticks, rooms)
            with self.subTest(number):
                self.assertEqual(
                    None if found is None else len(found), self.by_reach(sticks, rooms)
                )
                if found:
                    self.check(sticks, rooms, found)

    def check(self, sticks: Sticks, rooms: list[JointRoom], found: tuple[float, ...]) -> None:
        for begins, ends in itertools.pairwise((0.0, *found, sticks.length)):
            self.assertLessEqual(sticks.piece(begins, ends), sticks.stick + 1e-6)
        for middle in found:
            self.assertTrue(any(r.begins - 1e-9 <= middle <= r.ends + 1e-9 for r in rooms))

    def by_reach(self, sticks: Sticks, rooms: list[JointRoom]) -> int | None:
        """How far so many joints reach: everything between the nearest and the furthest place of
        each room that the reach of one joint less gets to."""
        reached = [JointRoom(0.0, 0.0, False)]
        for joints in range(20):
            if any(sticks.takes(r.ends, sticks.length) for r in reached):
                return joints
            following = []
            for before, room in itertools.product(reached, rooms):
                low = max(room.begins, before.begins + 2 * sticks.coupling.length)
                high = min(room.ends, sticks.furthest(before.ends))
                if low <= high:
                    following.append(JointRoom(low, high, False))
            reached = following
            if not reached:
                return None
        return None


if __name__ == "__main__":
    unittest.main()
