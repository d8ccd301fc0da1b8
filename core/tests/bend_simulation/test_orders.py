"""Orders: what is searched for, what each costs, and what a person's pick does to the plan."""

from __future__ import annotations

import itertools
import math
import unittest
from dataclasses import fields
from typing import Any

from hypothesis import given, settings

import yarrow
from core.tests.bend_simulation.half_bent_cases import developed
from core.tests.bend_simulation.test_half_bent import STUB_AND_OFFSET
from core.tests.builders import (
    DIAMETER,
    RADIUS,
    codes,
    end,
    kick,
    metric,
    offset,
    refused,
    run,
    saddle3,
    text_of,
    turn,
)
from core.tests.properties.strategies import makeable_runs
from yarrow.bend_simulation.collisions import Collision
from yarrow.bend_simulation.orders import as_given, orders
from yarrow.bend_simulation.piece import Piece
from yarrow.bend_simulation.search import HOOKS
from yarrow.documents.run.reading import read_run
from yarrow.geometry.arcs import arc_length
from yarrow.runs import planner
from yarrow.runs.bending_sequence import Handling, OrderHandling, handle_run
from yarrow.runs.instructions.advice import interference
from yarrow.runs.instructions.steps import PieceToBend
from yarrow.runs.planner import resolve_run, straighten
from yarrow.runs.stages import StraightenedRun

RATCHET: dict[str, Any] = {"conduit": {"type": "rmc", "size": "1"}, "bender": "ratchet-1"}


def handled(document: dict[str, Any]) -> Handling:
    return handle_run(read_run(document))


def piece_of(document: dict[str, Any]) -> Piece:
    """What is bent, of a run that can be."""
    resolved = resolve_run(read_run(document))
    straight = straighten(resolved)
    assert isinstance(straight, StraightenedRun)
    return planner.piece_of(resolved.run, straight.layout, straight.pipe)


def stretch(at: float, made: list[int], making: int) -> str:
    """What is said to meet the floor, of a pipe with bends from 13.18, 46.05 and 54.00."""
    asked = resolve_run(read_run(STUB_AND_OFFSET))
    piece = piece_of(STUB_AND_OFFSET)
    told = {each.name: getattr(piece, each.name) for each in fields(Piece)}
    worded = PieceToBend(**told, cut_text="", words=asked.run.lengths)
    return text_of(interference(Collision("floor", 1.0, at, 0.0), made, making, worded).text)


def named(handling: Handling, name: str) -> OrderHandling:
    return next(order for order in handling.orders if order.name == name)


class Stretches(unittest.TestCase):
    def test_the_stretch_that_meets_something_ends_at_the_next_bend_in_it(self) -> None:
        self.assertIn("from 5 in to 13 3/16 in", stretch(5, [0], 1))
        # Bend 2 is being made: its arc, from 46.05 to 48.39, ends what begins in it.
        self.assertIn("from 47 in to 48 3/8 in", stretch(47, [0], 1))
        self.assertIn("from 47 in to 54 in", stretch(47, [2], 0))
        self.assertIn("from 60 in to 96 5/16 in", stretch(60, [0, 1], 2))


class Searched(unittest.TestCase):
    @settings(max_examples=25)
    @given(makeable_runs())
    def test_every_order_makes_every_bend_once_and_gives_the_same_pipe(
        self, document: dict[str, Any]
    ) -> None:
        planned, pipe, _ = developed(document)
        for order in handled(document).orders:
            self.assertEqual(
                sorted(each.bend for each in order.bends), list(range(len(pipe.bends)))
            )
            for mark, bend in zip(order.marks, pipe.bends, strict=True):
                length = arc_length(bend.radius, bend.angle)
                starts = planned.bender.arc_start(mark.position, length, mark.hook, mark.reference)
                self.assertAlmostEqual(starts, bend.arc_start, places=6)

    @settings(max_examples=25)
    @given(makeable_runs())
    def test_the_last_bend_made_leaves_the_planned_pipe_on_the_wall(
        self, document: dict[str, Any]
    ) -> None:
        plan = yarrow.plan.values(document)
        for order in handled(document).orders:
            tips = {order.bends[-1].wall[0], order.bends[-1].wall[-1]}
            for tip, end_point in zip(
                sorted(tips), sorted((plan.path[0], plan.path[-1])), strict=True
            ):
                # As finely as a picture shows.
                self.assertLess(math.dist(tip, end_point), 0.01)

    def test_no_hooks_cost_less_than_those_that_were_found(self) -> None:
        # All ways to hook every bend in that sequence, simulated one by one.
        for document in (
            run(turn(18, "left"), offset(40, 4, 30, "out"), turn(70, "right"), end(20)),
            run(turn(12), turn(20), kick(40, 2), end(60)),
            metric(offset(600, 90, 30), turn(1500, "right"), end(700)),
        ):
            piece = piece_of(document)
            best = next(order for order in orders(piece) if order.name == "from the start")
            sequence = [each.bend for each in best.bends]
            costs = [
                as_given(piece, (*zip(sequence, hooks, strict=True),)).cost[:9]
                for hooks in itertools.product(HOOKS, repeat=len(sequence))
            ]
            self.assertEqual(best.cost[:9], min(costs))

    def test_the_best_is_first_and_the_others_say_what_they_cost(self) -> None:
        best, *others = handled(STUB_AND_OFFSET).orders
        self.assertTrue(best.chosen)
        self.assertFalse(any(other.chosen for other in others))
        self.assertTrue(all(text_of(other.reason) != text_of(best.reason) for other in others))

    def test_a_stub_before_an_offset_on_a_stand_tells_the_height_that_helps(self) -> None:
        # A stub of 40 on a stand of 650 mm: it hangs while the offset is made.
        document = run(turn(40), offset(40, 4, 30, "right"), end(60), **RATCHET)
        order = named(handled(document), "from the start")
        (met,) = (each for each in order.bends if each.meets)
        self.assertIn("under the floor", text_of(met.meets[0].text))
        self.assertTrue(any("Block the bender up" in text for text in map(text_of, met.helps)))
        self.assertIn(str(order.blocks_text), text_of(order.steps[met.step - 1].do))

    def test_what_hangs_from_one_end_and_not_from_the_other_is_begun_there(self) -> None:
        # A set near the start: its first leg hangs while the second bend is made, whichever comes
        # first; the turn far away hangs only when it is in the pipe already.
        document = metric(offset(500, 70, 30), turn(1500, "right"), end(900))
        best = handled(document).orders[0]
        self.assertEqual(best.blocks_text, "")

    def test_a_saddle_s_centre_is_first_from_either_end(self) -> None:
        for order in orders(piece_of(run(saddle3(40, 2), end(90)))):
            self.assertEqual(order.bends[0].bend, 1)

    def test_one_bend_has_one_order(self) -> None:
        (only,) = handled(run(turn(40), end(30))).orders
        self.assertEqual((only.turns, only.flips, only.taken), (0, 0, True))

    def test_a_run_that_can_t_be_made_has_no_orders_but_the_findings(self) -> None:
        handling = handled(run(offset(40, 1, 60), end(80)))
        self.assertEqual(handling.orders, ())
        self.assertEqual(handling.findings[0].code, "arcs-overlap")

    def test_a_straight_piece_needs_no_order(self) -> None:
        handling = handled(run(end(80)))
        self.assertEqual((handling.orders, handling.findings), ((), ()))


def named_taken(handling: Handling) -> OrderHandling:
    return next(order for order in handling.orders if order.taken)


class Helps(unittest.TestCase):
    def test_where_the_hook_the_other_way_is_clear_a_picked_order_says_so(self) -> None:
        # The second bend of a set on a bench: the first leg hangs over the table, or stands clear.
        order = [{"bend": bend, "hook": "end"} for bend in (0, 1)]
        document = metric(offset(600, 90, 30), end(1500), order=order)
        taken = named_taken(handled(document))
        self.assertEqual(taken.name, "as marked")
        (low,) = (each for each in taken.bends if each.meets)
        self.assertEqual(low.meets[0].what, "bench")
        self.assertIn("Hook it toward the start of the pipe instead", text_of(low.helps[0]))
        self.assertTrue(
            any("over the edge of the bench" in text for text in map(text_of, low.helps))
        )


class Places(unittest.TestCase):
    """Where the crew says that it works, and with what."""

    def blocks(self, document: dict[str, Any] = STUB_AND_OFFSET, **stance: Any) -> str:
        picked = [{"bend": bend, "hook": "end"} for bend in (0, 1, 2)]
        return str(
            named_taken(handled({**document, "stance": stance, "order": picked})).blocks_text
        )

    def test_on_blocks_that_are_high_enough_nothing_is_met(self) -> None:
        # On the floor the stub of 18 wants 18 less one diameter of height, 17 5/16.
        self.assertEqual(self.blocks(place="floor"), "17 5/16")
        self.assertEqual(self.blocks(place="blocks", height="17"), "5/16")
        # A sixteenth is what a scrap under the tool takes.
        self.assertEqual(self.blocks(place="blocks", height="17 1/4"), "")
        self.assertEqual(self.blocks(place="blocks", height="17 5/16"), "")

    def test_in_the_air_what_pointed_at_the_floor_points_up(self) -> None:
        self.assertEqual(self.blocks(place="air"), "")

    def test_over_an_edge_what_is_ahead_of_the_hook_hangs_free(self) -> None:
        picked = [{"bend": bend, "hook": "start"} for bend in (0, 1, 2)]
        for place, blocks in (("floor", "17 5/16"), ("edge", "")):
            document = {**STUB_AND_OFFSET, "stance": {"place": place}, "order": picked}
            self.assertEqual(str(named_taken(handled(document)).blocks_text), blocks, place)

    def test_each_bend_can_have_a_place_of_its_own(self) -> None:
        document = {**STUB_AND_OFFSET, "stances": [{"bend": 2, "place": "floor"}]}
        places = {each.bend: each.place for each in named_taken(handled(document)).bends}
        self.assertEqual(places, {0: "floor", 1: "air", 2: "floor"})

    def test_a_crew_says_it_once_of_its_own_bender(self) -> None:
        own = {"kind": "hand", "radius": RADIUS, "take_up": 5, "stance": {"place": "floor"}}
        for said_of_run, place in ({}, "floor"), ({"stance": {"place": "air"}}, "air"):
            handling = handled({**STUB_AND_OFFSET, "bender": own, **said_of_run})
            self.assertEqual({each.place for each in named_taken(handling).bends}, {place})

    def test_a_place_that_the_tool_can_t_take_is_said_and_set_aside(self) -> None:
        document = run(turn(18), end(60), stance={"place": "air"}, **RATCHET)
        plan = yarrow.plan.values(document)
        (finding,) = (f for f in plan.findings if f.code == "stance-not-of-this-tool")
        self.assertIn("can't be worked in the air", finding.text)
        self.assertIn("on a stand", finding.text)
        self.assertEqual(finding.path, "stance.place")
        self.assertEqual(handled(document).orders[0].bends[0].place, "stand")

    def test_in_the_air_the_tail_is_pushed_down_toward_the_floor(self) -> None:
        # Hooked to the start, 60 of tail goes down by sin 30° of what is left of it behind the
        # arc, and the arc by R (1 − cos 30°) of the shoe's R: the floor is 38 from its centre.
        stance = {"place": "air"}
        order = [{"bend": bend, "hook": "start"} for bend in (0, 1)]
        for length in (80, 118):
            document = run(offset(25, 4, 30), end(length), stance=stance, order=order)
            order_taken = named_taken(handled(document))
            pipe = piece_of(document).pipe
            bend = pipe.bends[0]
            tail = pipe.cut_length - bend.arc_end
            under = tail * 0.5 - RADIUS * math.sqrt(0.75) - 965 / 25.4
            edge = DIAMETER / 2 * math.sqrt(0.75)
            met = [each.by for each in order_taken.bends[0].meets if each.what == "floor"]
            wanted = [under + edge] if under + edge > 0 else []
            self.assertEqual(len(met), len(wanted), length)
            for by, hand in zip(met, wanted, strict=True):
                self.assertAlmostEqual(by, hand, places=6)

    def test_a_shorter_handle_of_one_s_own_clears_a_u(self) -> None:
        u = run(turn(40), turn(20), end(60))
        self.assertEqual(handled(u).findings[0].code, "no-order")
        self.assertEqual(handled({**u, "stance": {"handle": 17}}).findings, ())

    def test_places_that_there_are_not_are_refused(self) -> None:
        self.assertIn("stance.place", refused({**STUB_AND_OFFSET, "stance": {"place": "roof"}}))
        self.assertIn("stance.height", refused({**STUB_AND_OFFSET, "stance": {"height": "-4"}}))
        wrong = {**STUB_AND_OFFSET, "stances": [{"bend": 0, "place": "roof"}]}
        self.assertIn("stances[0].place", refused(wrong))


class NoOrder(unittest.TestCase):
    def test_the_bend_in_the_way_and_two_pieces_that_free_it_are_named(self) -> None:
        handling = handled(run(turn(40), turn(20), end(60)))
        (finding,) = handling.findings
        self.assertEqual((finding.level, finding.code), ("error", "no-order"))
        self.assertIn("meets the handle", finding.text)
        self.assertIn("between bends 1 and 2: both can be made", finding.text)
        self.assertIn("A handle that reaches less than", finding.text)
        self.assertFalse(any(order.works for order in handling.orders))

    def test_where_no_coupling_fits_more_straight_is_asked_for(self) -> None:
        (finding,) = handled(run(turn(30), turn(11), end(30))).findings
        self.assertIn("Leave more straight", finding.text)

    def test_both_ends_are_tried_where_neither_alone_will_do(self) -> None:
        names = [order.name for order in handled(run(turn(30), turn(16), turn(30), end(40))).orders]
        self.assertIn("from both ends", names)


class Picked(unittest.TestCase):
    def test_the_plan_s_marks_are_those_of_the_order_that_was_picked(self) -> None:
        document = run(turn(18, "left"), offset(60, 4, 30, "out"), end(90))
        for order in handled(document).orders:
            value = [{"bend": each.bend, "hook": each.hook} for each in order.value]
            picked = {**document, "order": value}
            plan = yarrow.plan.values(picked)
            self.assertEqual(plan.marks, order.marks)
            self.assertEqual(
                [text_of(step.do) for step in plan.steps],
                [text_of(step.do) for step in order.steps],
            )
            taken = [each for each in handled(picked).orders if each.taken]
            self.assertEqual([each.value for each in taken], [order.value])

    def test_an_order_for_other_bends_is_said_and_the_usual_is_taken(self) -> None:
        document = run(turn(18), turn(40), end(20))
        plan = yarrow.plan.values({**document, "order": [{"bend": 0, "hook": "end"}]})
        self.assertIn("order-not-of-these-bends", codes(plan))
        self.assertEqual(plan.marks, yarrow.plan.values(document).marks)

    def test_printed_marks_keep_the_usual_order_and_say_so(self) -> None:
        order = [{"bend": n, "hook": "end"} for n in (1, 0)]
        plan = yarrow.plan.values(run(offset(40, 4), end(80), order=order, method="table"))
        self.assertIn("order-set-aside", codes(plan))

    def test_the_steps_of_printed_marks_tell_the_printed_marks(self) -> None:
        document = run(offset(40, 4, 45), turn(70), end(30), method="table")
        plan = yarrow.plan.values(document)
        taken = named_taken(handled(document))
        self.assertEqual((taken.marks, taken.steps), (plan.marks, plan.steps))
        exact = named_taken(handled({**document, "method": "exact"}))
        self.assertNotEqual(taken.marks, exact.marks)

    def test_a_bend_that_there_is_not_and_a_hook_that_faces_nowhere_are_refused(self) -> None:
        document = run(turn(18), end(20))
        self.assertIn("order[0].hook", refused({**document, "order": [{"bend": 0, "hook": "up"}]}))
        self.assertIn(
            "order[0].bend", refused({**document, "order": [{"bend": -1, "hook": "end"}]})
        )
        self.assertIn("order", refused({**document, "order": []}))


class Told(unittest.TestCase):
    def steps(self, *walk: dict[str, Any]) -> dict[int, str]:
        plan = yarrow.plan.values(run(*walk))
        return {
            step.bend: f"{text_of(step.do)} {text_of(step.check)}"
            for step in plan.steps
            if step.bend is not None
        }

    def test_a_turn_left_and_then_out_is_turned_anticlockwise(self) -> None:
        # Looking along the pipe with left on top, out lies to the right: to bring it to the top
        # the pipe goes anticlockwise, and the line that was on top comes to lie on the left.
        told = self.steps(turn(30, "left"), turn(40, "out"), end(30))
        self.assertIn("pencil a line along the top", told[0])
        self.assertIn("Turn the pipe 90° anticlockwise, seen from its start:", told[1])
        self.assertIn("its top goes away from you", told[1])
        self.assertIn("The pencil line is on the left, seen from the start.", told[1])

    def test_with_the_start_on_your_right_the_top_comes_toward_you(self) -> None:
        # Hooked toward the start, that is on your right. Who looks along the pipe from there has
        # you on their left, where the top goes as the pipe is turned anticlockwise.
        told = self.steps(offset(20, 4, 30, "left"), offset(60, 4, 30, "out"), end(100))
        self.assertIn("hook toward the start of the pipe", told[2])
        self.assertIn("90° anticlockwise, seen from its start: its top comes toward you", told[2])

    def test_the_other_way_round_it_is_clockwise(self) -> None:
        told = self.steps(turn(30, "left"), turn(40, "in"), end(30))
        self.assertIn("90° clockwise", told[1])
        self.assertIn("on the right", told[1])

    def test_a_pipe_that_stays_in_one_plane_needs_no_line(self) -> None:
        told = self.steps(turn(30, "left"), turn(40, "left"), end(30))
        self.assertNotIn("pencil", told[0] + told[1])

    def test_checks_carry_the_figure_to_measure(self) -> None:
        told = self.steps(turn("18 3/8", "left"), turn(40, "left"), offset(30, 3, 22.5), end(48))
        alone = self.steps(turn("18 3/8", "left"), end(60))
        self.assertIn("18 3/8 in from its back to the start end", alone[0])
        self.assertIn("40 in from back to back", told[0] + told[1])
        # 12 sin 22.5° = 4.592, at whichever bend of the set is made first.
        first, second = sorted((told[2], told[3]), key=lambda text: "parallel" in text)
        self.assertIn("rises 4 9/16 in over 12 in", first)
        self.assertIn("3 in from centre line to centre line", second)
        self.assertIn("No more than 1/8 in closer at one end over 24 in", second)

    def test_springback_and_the_edge_of_a_line_are_told(self) -> None:
        plan = yarrow.plan.values(run(turn(30), kick("9 1/2", 1), end(30)))
        self.assertIn(
            "The edge of a line toward the start is the figure", text_of(plan.steps[0].check)
        )
        self.assertIn("it springs back to 90°", text_of(plan.steps[1].do))
