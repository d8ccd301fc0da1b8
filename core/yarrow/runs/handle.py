"""Handling a run's piece: its orders with their steps, what it meets half bent, what helps."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from dataclasses import dataclass
from typing import Literal

from yarrow.benders.bender import Bender, Hook
from yarrow.benders.placing import Placing
from yarrow.catalog.tables import Stance, stance
from yarrow.geometry.pipe import StraightPipe, develop
from yarrow.geometry.vectors import Vector
from yarrow.handling.half_bent import Arc, half_bent
from yarrow.handling.orders import Handled, Order, orders
from yarrow.handling.strikes import Strike, strikes
from yarrow.measure.rounding import round_to
from yarrow.measure.units import Unit, convert_length
from yarrow.runs.layout import lay_out
from yarrow.runs.marks import exact_marks
from yarrow.runs.plan import Finding, Mark, Step
from yarrow.runs.planner import ask, plan_asked
from yarrow.runs.run import Survey
from yarrow.runs.steps import steps
from yarrow.runs.words import Words
from yarrow.runs.working import working

_ARC_POINTS = 8


@dataclass(frozen=True, slots=True)
class Met:
    """What the half-bent pipe meets while a bend is made: by how much it would have to be higher,
    or how deep it would cut in; the place on the straight pipe; the moment, degrees into the bend.
    """

    what: Literal["floor", "handle"]
    by: float
    by_text: str
    at_text: str
    swept: float
    text: str


@dataclass(frozen=True, slots=True)
class BendHandling:
    """One bend of an order: by how much the pipe is turned since the last one, degrees seen from
    its start; its step in the list; what it meets, and what helps; the pipe's centreline as it lies
    in the bender before the bend and after it, x toward the hook, z up, the floor at ``floor``."""

    bend: int
    step: int
    hook: Hook
    turned: float
    meets: tuple[Met, ...]
    helps: tuple[str, ...]
    before: tuple[Vector, ...]
    after: tuple[Vector, ...]
    floor: float


@dataclass(frozen=True, slots=True)
class OrderHandling:
    """An order with its price: turns of the pipe about itself, flips end for end, and how high the
    bender has to stand (empty: on the floor, as usual)."""

    name: str
    chosen: bool
    reason: str
    turns: int
    flips: int
    blocks_text: str
    bends: tuple[BendHandling, ...]
    marks: tuple[Mark, ...]
    steps: tuple[Step, ...]


@dataclass(frozen=True, slots=True)
class Handling:
    """The orders that a piece can be bent in, best first; none where it can't be made, and then the
    findings say why."""

    format: str
    place: str
    orders: tuple[OrderHandling, ...]
    findings: tuple[Finding, ...]


def handle_run(survey: Survey) -> Handling:
    """The handling of a run's piece.

    The pipe is simulated as long as it is cut: a longer stick hangs over at its end.
    Source: docs/geometry.md, the half-bent pipe.
    """
    asked = ask(survey)
    plan, run, words = plan_asked(asked), asked.run, asked.words
    errors = tuple(finding for finding in plan.findings if finding.level == "error")
    where = stance(run.bender.kind)
    if errors or not plan.bends:
        return Handling("yarrow.handling/1", where.place, (), errors)
    layout = lay_out(run)
    pipe = develop(layout.vertices, run.bender.radius)
    roles = tuple(layout.owners[corner - 1][1] for corner in pipe.corners)
    cut = round_to(pipe.cut_length, run.round_to, run.unit, feet=True).text
    found = orders(run.bender, pipe, roles, where, run.unit)
    told = []
    for order in found:
        placings = _placings(order)
        marks = exact_marks(run, pipe, placings)
        rows = working(run, pipe, roles, placings, words)
        sequence = [each.bend for each in order.bends]
        work = steps(run.bender, pipe, marks, rows, roles, sequence, cut, words)
        bends = _bends(order, found, run.bender, pipe, where, run.unit, words, work)
        told.append(
            OrderHandling(
                name=order.name,
                chosen=order is found[0],
                reason=_reason(order, found, words),
                turns=order.turns,
                flips=order.flips,
                blocks_text=words.reading(words.up(order.blocks)) if order.blocks else "",
                bends=bends,
                marks=marks,
                steps=work,
            )
        )
    return Handling("yarrow.handling/1", where.place, tuple(told), ())


def _placings(order: Order) -> tuple[Placing, ...]:
    by_bend = {each.bend: each.placing for each in order.bends}
    return tuple(by_bend[index] for index in range(len(by_bend)))


def _reason(order: Order, found: Sequence[Order], words: Words) -> str:
    """Why an order is first, or what it costs against the first."""
    first = found[0]
    if order is first:
        if len(found) == 1 or order.cost == found[1].cost:
            return "The usual way: one end after the other."
        if order.blocks < found[1].blocks:
            return "The half-bent pipe hangs the least."
        return "The pipe is turned and carried the least."
    if order.blocks > first.blocks:
        return f"Hangs {words.length(order.blocks - first.blocks)} lower than {first.name}."
    more = order.turns + order.flips - first.turns - first.flips
    return f"Turned or carried {more} more time{'s' if more != 1 else ''}."


def _bends(
    order: Order,
    found: Sequence[Order],
    bender: Bender,
    pipe: StraightPipe,
    where: Stance,
    unit: Unit,
    words: Words,
    work: Sequence[Step],
) -> tuple[BendHandling, ...]:
    made: list[int] = []
    told = []
    for each in order.bends:
        angle = pipe.bends[each.bend].angle
        step = next(step.number for step in work if step.bend == each.bend)
        told.append(
            BendHandling(
                bend=each.bend,
                step=step,
                hook=each.placing.hook,
                turned=each.turned,
                meets=tuple(_met(strike, words) for strike in each.strikes),
                helps=_helps(each, made, order, found, bender, pipe, where, unit, words),
                before=_centreline(pipe, made, each, 0.0),
                after=_centreline(pipe, made, each, angle),
                floor=-convert_length(where.height_mm, "mm", unit) - bender.diameter / 2,
            )
        )
        made.append(each.bend)
    return tuple(told)


def _met(strike: Strike, words: Words) -> Met:
    what, by, at, swept = strike.what, strike.by, strike.at, strike.swept
    place = words.length(at)
    if what == "floor":
        text = f"The pipe from {place} on would be {words.at_least(by)} under the floor"
    else:
        text = f"The pipe from {place} on would meet the handle"
    when = "as it is put in" if swept == 0 else f"{swept:.0f}° into the bend"
    return Met(what, by, words.reading(words.up(by)), words.reading(at), swept, f"{text}, {when}.")


def _helps(
    each: Handled,
    made: Collection[int],
    order: Order,
    found: Sequence[Order],
    bender: Bender,
    pipe: StraightPipe,
    where: Stance,
    unit: Unit,
    words: Words,
) -> tuple[str, ...]:
    """What frees a bend that meets something: simplest first."""
    if not each.strikes:
        return ()
    helps = []
    other: Hook = "end" if each.placing.hook == "start" else "start"
    turned = strikes(pipe, made, each.bend, other, bender, where, unit)
    if not turned:
        helps.append(f"Hook it toward the {other} of the pipe instead: that is clear.")
    low = max((s.by for s in each.strikes if s.what == "floor"), default=0.0)
    if low:
        reach = convert_length(where.handle_mm, "mm", unit)
        if where.place == "floor" and low < reach:
            helps.append("Bend it in the air: handle on the floor, the pipe pushed down.")
        helps.append(
            f"Put the bender up by {words.at_least(low)}: on blocks, or at the edge of a dock."
        )
    for another in found:
        if another is not order and another.blocks == 0 and not another.blocked:
            helps.append(f"Bend it {another.name}: that is clear.")
    return tuple(helps)


def _centreline(
    pipe: StraightPipe, made: Collection[int], each: Handled, swept: float
) -> tuple[Vector, ...]:
    bent = half_bent(pipe, made, each.bend, swept, each.placing.hook)
    points: list[Vector] = []
    for piece in bent.pieces:
        points += piece.points(_ARC_POINTS if isinstance(piece, Arc) else 1)
    return tuple(points)
