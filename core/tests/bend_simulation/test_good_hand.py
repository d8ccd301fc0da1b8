"""The default is how a good hand would do it: the cases that every hand knows, least flips and
blocks against all orders there are, and steps that make the piece when followed as written."""

from __future__ import annotations

import itertools
import math
import random
import unittest
from collections.abc import Iterator
from typing import Any

from hypothesis import given, settings

import yarrow
from core.tests.bend_simulation.test_orders import RATCHET, piece_of
from core.tests.builders import (
    box_offset,
    end,
    kick,
    metric,
    offset,
    run,
    saddle3,
    saddle4,
    text_of,
    turn,
)
from core.tests.following import gauged_within, played
from core.tests.properties.strategies import makeable_runs
from yarrow.bend_simulation.collisions import find_collisions
from yarrow.bend_simulation.order import Order
from yarrow.bend_simulation.orders import best_order
from yarrow.bend_simulation.piece import Piece
from yarrow.bend_simulation.search import HOOKS
from yarrow.benders.bender import Hook
from yarrow.benders.habits import bound_hook, habitual_hook, inner_orders, worked_together
from yarrow.benders.placing import made_neighbours, place
from yarrow.documents.run.reading import read_run
from yarrow.geometry.pipe import fold
from yarrow.runs.bending_sequence import handle_run
from yarrow.runs.model.plan import Mark


def first(document: dict[str, Any]) -> tuple[Order, tuple[Mark, ...]]:
    """The plan's own order, which is the first of the handling, and its marks."""
    handling = handle_run(read_run(document))
    assert handling.orders[0].taken, "another order costs less than the plan's own"
    return best_order(piece_of(document)), yarrow.plan.values(document).marks


def heat_form_with_a_front_mark() -> dict[str, Any]:
    """A form of one's own, worked by a mark that lies 1/2 in before its arc."""
    return {
        "kind": "heat",
        "name": "Form with a mark",
        "radius": 6.5,
        "take_up": 7.6575,
        "hook": 1.5,
        "heel": 1.5,
    }


def told(order: Order) -> list[tuple[int, str, str]]:
    return [(each.bend + 1, each.stance.place, each.placing.hook) for each in order.bends]


class Cases(unittest.TestCase):
    """Half-inch thin wall, a hand bender, 10 ft sticks."""

    def test_a_stub_stands_on_the_floor_hooked_to_its_end_by_its_deduct(self) -> None:
        order, marks = first(run(turn("17 1/4"), end(60)))
        self.assertEqual(told(order), [(1, "floor", "start")])
        self.assertEqual((marks[0].reference, str(marks[0].text)), ("front", "12 1/4"))

    def test_an_offset_is_made_in_the_air_the_far_mark_first_and_fed_back(self) -> None:
        order, _ = first(run(offset(47, "4 3/8", 30), end(80)))
        self.assertEqual(told(order), [(2, "air", "end"), (1, "air", "end")])
        self.assertEqual((order.flips, order.turns), (0, 1))

    def test_an_offset_of_sixty_is_in_the_air_a_steeper_one_begins_on_the_floor(self) -> None:
        sixty, steeper = (first(run(offset(47, 12, angle), end(80)))[0] for angle in (60, 75))
        self.assertEqual([each.stance.place for each in sixty.bends], ["air", "air"])
        self.assertEqual(steeper.bends[0].stance.place, "floor")

    def test_a_box_offset_is_hooked_to_the_box_and_first_marked_at_the_margin(self) -> None:
        order, marks = first(run(box_offset("start", "7/16"), end(60)))
        self.assertEqual(told(order), [(1, "air", "start"), (2, "air", "start")])
        self.assertEqual((order.flips, order.turns, str(marks[0].text)), (0, 1, "2"))
        printed = yarrow.plan.values(run(box_offset("start", "7/16"), end(60), method="table"))
        self.assertEqual(str(printed.marks[0].text), "2")

    def test_where_the_hook_has_no_room_at_the_box_the_arc_begins_at_the_margin(self) -> None:
        # By hand: the hook of this ratchet takes 3 in, and faces away from a box 2 in off.
        plan = yarrow.plan.values(run(box_offset("start", 1), end(60), **RATCHET))
        self.assertEqual((plan.marks[0].hook, plan.bends[0].arc_start), ("end", 2))
        # Its heel takes 1 1/2 of straight: no arc begins nearer to the pipe's end than that.
        tight = yarrow.plan.values(run({**box_offset("start", 1), "margin": 1}, end(60), **RATCHET))
        self.assertEqual((tight.marks[0].hook, tight.bends[0].arc_start), ("end", 1.5))
        wide = yarrow.plan.values(run({**box_offset("start", 1), "margin": 4}, end(60), **RATCHET))
        self.assertEqual((wide.marks[0].hook, str(wide.marks[0].text)), ("start", "4"))

    def test_a_saddle_is_made_from_its_centre_with_one_flip(self) -> None:
        order, marks = first(run(saddle3(53, "1 3/4"), end(100)))
        self.assertEqual(told(order), [(2, "air", "end"), (1, "air", "end"), (3, "air", "start")])
        self.assertEqual((order.flips, marks[1].reference), (1, "centre"))

    def test_a_wide_saddle_has_its_heels_away_from_what_it_goes_over(self) -> None:
        order, _ = first(run(saddle4(50, 8, 3), end(100)))
        hooks = {bend: hook for bend, _, hook in told(order)}
        self.assertEqual(hooks, {1: "end", 2: "end", 3: "start", 4: "start"})
        self.assertEqual(order.flips, 1)

    def test_one_piece_uses_air_and_floor(self) -> None:
        order, _ = first(
            run(box_offset("start", "7/16"), saddle3(40, "1 3/4"), turn(80, "left"), end(40))
        )
        places = {bend: place for bend, place, _ in told(order)}
        self.assertEqual(places, {**dict.fromkeys(range(1, 6), "air"), 6: "floor"})
        self.assertLessEqual(order.flips, 1)
        self.assertEqual(order.blocks, 0)

    def test_a_stub_that_hangs_from_a_stand_wants_a_height_that_is_said_or_comes_last(self) -> None:
        for at in (50, 60):
            document = run(turn("27 1/2"), offset(at, "6 1/2", 30, "right"), end(90), **RATCHET)
            order, _ = first(document)
            self.assertTrue(order.works)
            if order.blocks:
                steps = " ".join(text_of(step.do) for step in yarrow.plan.values(document).steps)
                self.assertIn("Block the bender up", steps)
            else:
                self.assertNotEqual(order.bends[0].bend, 0)

    def test_back_to_back_goes_by_the_back_of_bend_mark(self) -> None:
        order, marks = first(run(turn(20), turn(44), end(20)))
        self.assertEqual(told(order), [(1, "floor", "start"), (2, "floor", "end")])
        self.assertEqual((marks[1].reference, order.flips), ("back", 0))

    def test_every_machine_with_a_deduct_marks_a_stub_by_it(self) -> None:
        for kind, pipe, bender in (
            ("ratchet", "1", "ratchet-1"),
            ("mechanical", "2", "mechanical-2"),
            ("powered", "2", "powered-2"),
        ):
            document = run(
                turn("37 3/4"), end(70), conduit={"type": "rmc", "size": pipe}, bender=bender
            )
            order, (mark,) = first(document)
            deduct = piece_of(document).bender.take_up
            self.assertEqual((kind, mark.hook, mark.reference), (kind, "start", "front"))
            self.assertAlmostEqual(mark.position, 37.75 - deduct, places=6)
            self.assertEqual(order.flips, 0)

    def test_by_the_chart_the_hook_ascends_from_the_end_that_was_measured_from(self) -> None:
        powered = {"conduit": {"type": "rmc", "size": "2"}, "bender": "powered-2"}
        order, marks = first(run(offset(60, 12, 30), end(110), **powered))
        self.assertEqual([bend for bend, *_ in told(order)], [1, 2])
        self.assertEqual({mark.hook for mark in marks}, {"start"})
        self.assertLess(marks[0].position, marks[1].position)
        self.assertEqual({mark.name for mark in marks}, {"edge of the hook"})


def random_pieces(seed: int, count: int) -> Iterator[dict[str, Any]]:
    """Runs of up to six bends that a stick of 10 ft is long enough for."""
    rng = random.Random(seed)
    made = 0
    while made < count:
        at, walk, bends = 0.0, [], 0
        while bends < 6 and rng.random() < 0.9:
            kinds = ["turn", "offset", "kick"] + ["saddle"] * (bends <= 3)
            kind = rng.choice(kinds)
            at += rng.uniform(10, 40)
            toward = rng.choice(["left", "right", "out", "in"])
            if kind == "turn":
                walk.append(turn(at, toward))
                at, bends = 0.0, bends + 1
            elif kind == "offset" and bends <= 4:
                walk.append(offset(at, rng.uniform(2, 6), rng.choice([22.5, 30]), toward))
                bends += 2
            elif kind == "saddle":
                walk.append(saddle3(at, rng.uniform(1, 3), 45, toward))
                at, bends = at + 8, bends + 3
            elif bends <= 4:
                walk += [kick(at, rng.uniform(1, 3), "out"), turn(at + 14, "left")]
                at, bends = 0.0, bends + 2
        document = run(*walk, end(at + rng.uniform(8, 40)))
        plan = yarrow.plan.values(document)
        if bends and plan.steps and plan.cut_length <= 120:
            made += 1
            yield document


class BruteForce:
    """The least trouble and the fewest flips of a piece, by going through every sequence of what
    belongs together with every hook, each bend where it is made by habit or where that is clear."""

    def __init__(self, piece: Piece) -> None:
        self.piece = piece
        self.made: dict[tuple[frozenset[int], int, Hook], tuple[tuple[int, ...], bool]] = {}

    def least(self) -> tuple[int, ...]:
        piece = self.piece
        groups = worked_together(piece.roles, piece.lines)
        found = []
        for sequence in itertools.permutations(groups):
            inner = (inner_orders(piece.bender, piece.roles, group) for group in sequence)
            for chosen in itertools.product(*inner):
                found.append(self.of([bend for group in chosen for bend in group]))
        return min(found)

    def of(self, bends: list[int]) -> tuple[int, ...]:
        """The best hooks of a sequence, one by one."""
        best = (math.inf,)
        sets = [frozenset(bends[:n]) for n in range(len(bends))]
        for hooks in itertools.product(HOOKS, repeat=len(bends)):
            each = [self.bend(*of) for of in zip(sets, bends, hooks, strict=True)]
            trouble = [sum(item) for item in zip(*(cost for cost, _ in each), strict=True)]
            flips = sum(
                one != other and not (lies or next_lies)
                for (one, other), ((_, lies), (_, next_lies)) in zip(
                    itertools.pairwise(hooks), itertools.pairwise(each), strict=True
                )
            )
            best = min(best, (*trouble, flips))
        return best

    def bend(self, made: frozenset[int], bend: int, hook: Hook) -> tuple[tuple[int, ...], bool]:
        """No room, the tool met, blocks, hooked away, made elsewhere; and whether the pipe lies."""
        if (made, bend, hook) not in self.made:
            piece, near = self.piece, made_neighbours(made, bend)
            placing = place(piece.bender, piece.pipe, piece.roles, bend, hook, near)
            bound = bound_hook(piece.bender, piece.pipe, piece.roles, piece.lines, bend)
            habit = habitual_hook(piece.bender, piece.pipe, bound, bend, near)
            costs = []
            for number, stance in enumerate(piece.stances.of(bend, piece.pipe.bends[bend].angle)):
                met = {
                    each.what
                    for each in find_collisions(
                        piece.pipe, made, bend, hook, piece.bender, stance, piece.unit
                    )
                }
                tool, under = met & {"handle", "heel"}, met & {"floor", "bench"}
                away = habit.must and habit.hook != hook
                cost = (not placing.fits, bool(tool), bool(under), away, number)
                costs.append(((*map(int, cost),), stance.pipe_lies))
            self.made[made, bend, hook] = min(costs)
        return self.made[made, bend, hook]


class AgainstAllOrders(unittest.TestCase):
    def test_no_order_has_less_trouble_needs_no_blocks_or_takes_fewer_flips(self) -> None:
        for document in random_pieces(5, 20):
            piece = piece_of(document)
            if len(worked_together(piece.roles, piece.lines)) > 4:
                continue
            cost = best_order(piece).cost
            if cost.no_room:
                continue
            found = (cost.no_room, cost.blocked, cost.low, cost.away, cost.elsewhere, cost.flips)
            # Of several saddles the far outers may be made on the way back: better than one by one.
            self.assertLessEqual(found, BruteForce(piece).least(), document)


MACHINES: dict[str, dict[str, Any]] = {
    "powered": {"conduit": {"type": "rmc", "size": "1"}, "bender": "powered-2"},
    "mechanical": {"conduit": {"type": "rmc", "size": "1-1/2"}, "bender": "mechanical-2"},
    "ratchet": RATCHET,
}


class Machines(unittest.TestCase):
    """A machine goes along the pipe: no centre comes first there."""

    def test_a_saddle_has_no_flip_and_no_blocks(self) -> None:
        saddles = (
            ("powered", run(saddle3(40, 2), end(100), **MACHINES["powered"])),
            ("mechanical", run(saddle4(50, 9, 3), end(110), **MACHINES["mechanical"])),
        )
        for kind, document in saddles:
            with self.subTest(kind):
                order, _ = first(document)
                self.assertEqual((order.flips, order.blocks), (0, 0))
                if kind == "powered":
                    self.assertEqual([each.bend for each in order.bends], [0, 1, 2])

    def test_blocks_or_a_flip_only_where_no_order_does_without(self) -> None:
        for kind, more in MACHINES.items():
            for document in random_pieces(20, 6):
                document = {**document, **more}
                plan = yarrow.plan.values(document)
                if not plan.steps or len(plan.bends) > 4 or plan.cut_length > 120:
                    continue
                piece = piece_of(document)
                cost, every = best_order(piece).cost, BruteForce(piece)
                least = min(
                    every.of(list(order))
                    for order in itertools.permutations(range(len(plan.bends)))
                )
                found = (
                    cost.no_room,
                    cost.blocked,
                    cost.low,
                    cost.away,
                    cost.elsewhere,
                    cost.flips,
                )
                with self.subTest(kind, walk=document["walk"]):
                    self.assertLessEqual(found, least)

    def test_a_ratchet_s_stand_is_high_enough_for_the_usual_offsets(self) -> None:
        # Legs of 60: on a stand of 500 mm every order of these wanted blocks.
        for rise in (4, 6, 8, 10):
            order, _ = first(run(offset(60, rise, 30), end(120), **RATCHET))
            self.assertEqual(order.blocks, 0, rise)

    def test_two_saddles_by_hand_take_one_flip(self) -> None:
        order, _ = first(run(saddle3(26, "1 3/4"), saddle3(46, "1 3/4"), end(70)))
        self.assertEqual(order.flips, 1)

    def test_what_a_pipe_gives_is_no_block_and_warm_plastic_meets_no_floor(self) -> None:
        crossover = metric(
            saddle3(600, 40),
            end(1400),
            conduit={"type": "steel", "size": "20"},
            bender="bench-steel-20",
        )
        self.assertEqual(first(crossover)[0].blocks, 0)
        stub = {"conduit": {"type": "pvc40", "size": "1"}, "bender": "heat-form-us"}
        for walk in ((turn(40), end(34)), (offset(50, 8), turn(60, "out"), end(40))):
            self.assertEqual(first(run(*walk, **stub))[0].blocks, 0)


class NeverContradicts(unittest.TestCase):
    def test_what_works_is_clear_once_it_is_put_up_and_the_first_is_the_plan_s_own(self) -> None:
        for document in random_pieces(6, 60):
            handling = handle_run(read_run(document))
            first_order = handling.orders[0]
            self.assertTrue(first_order.taken and first_order.chosen, document)
            for order in handling.orders:
                met = {each.what for bend in order.bends for each in bend.meets}
                self.assertFalse(order.works and met & {"handle", "heel"}, document)
                self.assertEqual(bool(met & {"floor", "bench"}), bool(order.blocks_text))
                for bend in order.bends:
                    self.assertEqual(bool(bend.meets), bool(bend.helps), document)
            self.assertEqual(bool(handling.findings), not first_order.works)


class WhereItIsMade(unittest.TestCase):
    def test_a_height_without_a_place_leaves_each_bend_where_a_good_hand_makes_it(self) -> None:
        walk = (turn("17 1/4"), offset(40, "4 3/8", 30), end(80))
        for said, heights in ((None, {0.0}), ({"height": 10}, {254.0})):
            more = {"stance": said} if said else {}
            order, _ = first(run(*walk, **more))
            places = {bend: place for bend, place, _ in told(order)}
            self.assertEqual(places, {1: "floor", 2: "air", 3: "air"})
            on_floor = {e.stance.height_mm for e in order.bends if e.stance.place == "floor"}
            self.assertEqual(on_floor, heights)

    def test_a_pipe_longer_than_a_stick_is_drawn_where_its_steps_say(self) -> None:
        handling = handle_run(read_run(run(turn(40, angle=60), end(100))))
        (order,) = handling.orders
        self.assertEqual((order.bends[0].place, order.bends[0].meets), ("air", ()))
        self.assertIn("In the air", text_of(order.steps[1].do))


class Followed(unittest.TestCase):
    def test_warm_plastic_followed_by_the_words_alone(self) -> None:
        forms = {"conduit": {"type": "pvc40", "size": "1"}, "bender": "heat-form-us"}
        own = {**forms, "bender": heat_form_with_a_front_mark(), "way": "mark"}
        for more in (forms, own):
            for walk in (
                (turn(40), end(34)),
                (turn(40, "out"), turn(50, "left"), end(34)),
                (offset(30, 8), saddle3(70, 3), turn(60, "out"), end(40)),
            ):
                document = run(*walk, **more)
                self.assert_made(document)
                words = " ".join(text_of(step.do) for step in yarrow.plan.values(document).steps)
                self.assertNotIn("hook", words)

    def test_the_steps_make_the_piece_and_never_its_mirror_image(self) -> None:
        for document in random_pieces(7, 60):
            self.assert_made(document)

    @settings(max_examples=40)
    @given(makeable_runs())
    def test_so_do_those_of_any_run(self, document: dict[str, Any]) -> None:
        self.assert_made(document)

    def assert_made(self, document: dict[str, Any]) -> None:
        document = {**document, "marking": "flat"}
        plan = yarrow.plan.values(document)
        if not plan.steps or not plan.bends or len(plan.bends) > 30:
            return
        bends = played(plan.steps, plan.units, read_run(document).setup.bender)
        vertices = fold(
            bends, plan.cut_length, start=plan.path[0], first_toward=plan.first_toward
        ).vertices
        # Marks and what is gauged are told to a sixteenth or a millimetre, angles on a scale to a
        # hundredth of a degree; both bends of a set are off alike.
        half = (1 / 16 if plan.units == "in" else 1.0) / 2
        slack = 2 * half * (2 * len(bends) + 1) + math.radians(0.02) * plan.cut_length
        slack += 2 * gauged_within(plan.steps, plan.units, half) * plan.cut_length
        for made, planned in zip(vertices, plan.path, strict=True):
            self.assertLess(math.dist(made, planned), slack, document)


if __name__ == "__main__":
    unittest.main()
