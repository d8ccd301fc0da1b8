"""In what sequence a run's piece is bent: orders with their steps, what is met, what helps."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from yarrow.bend_simulation.half_bent import HalfBent, half_bent
from yarrow.bend_simulation.orders import Order, as_said, orders
from yarrow.bend_simulation.solids import top
from yarrow.benders.bender import Hook
from yarrow.catalog.tables import Stance, stance
from yarrow.findings.finding import Finding, errors_of, gravest_first
from yarrow.geometry.vectors import Vector
from yarrow.measure.rounding import cut_text
from yarrow.measure.units import convert_length
from yarrow.runs.instructions.advice import (
    Interference,
    helps_of,
    interference,
    no_order,
    reason,
    too_many,
)
from yarrow.runs.instructions.steps import PieceToBend, steps
from yarrow.runs.layout.on_wall import on_wall
from yarrow.runs.layout.walk import Layout
from yarrow.runs.marking.marks import exact_marks
from yarrow.runs.marking.working import working
from yarrow.runs.model.plan import Mark, Step
from yarrow.runs.model.run import OrderedBend, ResolvedRun, Survey
from yarrow.runs.planned import BuildablePlan, UnbuildablePlan
from yarrow.runs.planner import plan_run
from yarrow.wording.phrase import Phrase

_ARC_POINTS = 8


@dataclass(frozen=True, slots=True)
class BendHandling:
    """One bend of an order: by how much the pipe is turned since the last one, degrees clockwise
    seen from its start; its step in the list; what it meets, and what helps.

    ``before`` and ``after`` are the pipe's centreline as it lies in the bender, x toward the hook,
    z up, y away from who stands with the hook on the right, the floor at ``floor`` and the shoe's
    centre at ``shoe``, which is below the pipe where it is bent in the air; ``bench`` are the ends
    of the table's top beside the pipe (none where there is none). ``wall`` is that same piece with
    this bend made where it belongs on the wall, in the frame of the plan.
    """

    bend: int
    step: int
    hook: Hook
    turned: float
    meets: tuple[Interference, ...]
    helps: tuple[Phrase, ...]
    before: tuple[Vector, ...]
    after: tuple[Vector, ...]
    wall: tuple[Vector, ...]
    floor: float
    shoe: float
    bench: tuple[Vector, ...]


@dataclass(frozen=True, slots=True)
class OrderHandling:
    """An order with its price: turns of the pipe about itself, flips end for end, and how high the
    bender has to stand (empty: as usual). ``taken``: the plan's marks are for this one; ``value``
    is what a run's ``order`` says to take it (empty: nothing, it is the usual one). ``works``:
    there is room at every bend, and the tool is not met."""

    name: str
    chosen: bool
    taken: bool
    works: bool
    reason: Phrase
    turns: int
    flips: int
    blocks_text: str
    bends: tuple[BendHandling, ...]
    marks: tuple[Mark, ...]
    steps: tuple[Step, ...]
    value: tuple[OrderedBend, ...]


@dataclass(frozen=True, slots=True)
class Handling:
    """The orders that a piece can be bent in, best first; none where it can't be made, and then the
    findings say why. Where there are orders and none works, a finding says what is in the way."""

    format: str
    place: str
    orders: tuple[OrderHandling, ...]
    findings: tuple[Finding, ...]


FORMAT = "yarrow.handling/1"

MOST_BENDS = 30
"""Bends of a piece whose handling is simulated: more than any stick takes, few enough to be
answered within two seconds."""


def handle_run(survey: Survey) -> Handling:
    """The handling of a run's piece.

    The pipe is simulated as long as it is cut: a longer stick hangs over at its end.
    Source: docs/geometry.md, the half-bent pipe.
    """
    plan = plan_run(survey)
    run = plan.resolution.run
    where = run.stance or stance(run.bender.kind)
    if isinstance(plan, UnbuildablePlan):
        return Handling(FORMAT, where.place, (), errors_of(gravest_first(plan.findings)))
    layout, placed, pipe = plan.layout, plan.placed, plan.placed.pipe
    if not pipe.bends:
        return Handling(FORMAT, where.place, (), ())
    if len(pipe.bends) > MOST_BENDS:
        return Handling(FORMAT, where.place, (), (too_many(len(pipe.bends), MOST_BENDS),))
    roles = layout.roles_of(pipe)
    cut = cut_text(pipe.cut_length, run.round_to, run.unit)
    piece = PieceToBend(run.bender, pipe, roles, cut, placed.words)
    found = _different(orders(run.bender, pipe, roles, where, run.unit))
    usual = tuple(OrderedBend(index, placed.placings[index].hook) for index in placed.order)
    if all(_order_of(order) != usual for order in found):
        own = as_said(run.bender, pipe, roles, placed.order, placed.placings, where, run.unit)
        found = (*found, own)
    handled = tuple(
        _handling(
            order, found, run, layout, piece, where, plan if _order_of(order) == usual else None
        )
        for order in found
    )
    return Handling(FORMAT, where.place, handled, no_order(found[0], piece, where))


def _different(found: Sequence[Order]) -> tuple[Order, ...]:
    """Each order once: a single bend is the same from either end."""
    return tuple({_order_of(order): order for order in reversed(found)}.values())[::-1]


def _order_of(order: Order) -> tuple[OrderedBend, ...]:
    return tuple(OrderedBend(each.bend, each.placing.hook) for each in order.bends)


def _handling(
    order: Order,
    found: Sequence[Order],
    run: ResolvedRun,
    layout: Layout,
    piece: PieceToBend,
    where: Stance,
    taken_in: BuildablePlan | None,
) -> OrderHandling:
    """An order with its marks and steps: the plan's own, printed or exact, where it is the one that
    they are for."""
    by_bend = {each.bend: each.placing for each in order.bends}
    placings = tuple(by_bend[index] for index in range(len(by_bend)))
    if taken_in:
        marks, work = taken_in.marked.marks, taken_in.steps
    else:
        marks = exact_marks(run, piece.pipe, placings)
        rows = working(run, piece.pipe, piece.roles, marks, piece.words)
        work = steps(piece, marks, rows, [each.bend for each in order.bends])
    words = piece.words
    return OrderHandling(
        name=order.name,
        chosen=order is found[0],
        taken=taken_in is not None,
        works=order.works,
        reason=reason(order, found, piece.words),
        turns=order.turns,
        flips=order.flips,
        blocks_text=words.reading(words.up(order.blocks)) if order.blocks else "",
        bends=_handled_bends(order, found, layout, piece, where, work),
        marks=marks,
        steps=work,
        value=_order_of(order),
    )


def _handled_bends(
    order: Order,
    found: Sequence[Order],
    layout: Layout,
    piece: PieceToBend,
    where: Stance,
    work: Sequence[Step],
) -> tuple[BendHandling, ...]:
    made: list[int] = []
    told = []
    high = convert_length(where.height_mm, "mm", piece.words.unit)
    radius, half = piece.bender.radius, piece.bender.diameter / 2
    in_air = where.place == "air"
    table = top(piece.bender, where, piece.words.unit)
    bench: tuple[Vector, ...] = ()
    if table:
        bench = ((table.low, 0.0, table.height), (table.high, 0.0, table.height))
    for each in order.bends:
        pipe, hook = piece.pipe, each.placing.hook
        after = half_bent(pipe, made, each.bend, pipe.bends[each.bend].angle, hook)
        told.append(
            BendHandling(
                bend=each.bend,
                step=next(step.number for step in work if step.bend == each.bend),
                hook=hook,
                turned=-each.rolled if each.rolled != 180.0 else 180.0,
                meets=tuple(
                    interference(strike, made, each.bend, piece) for strike in each.collisions
                ),
                helps=helps_of(each, made, order, found, piece, where),
                before=_as_seen(half_bent(pipe, made, each.bend, 0.0, hook), in_air=in_air),
                after=_as_seen(after, in_air=in_air),
                wall=on_wall(_centreline(after), layout, pipe, each.bend, hook),
                floor=-(radius + high) if in_air else -high - half,
                shoe=-radius if in_air else radius,
                bench=bench,
            )
        )
        made.append(each.bend)
    return tuple(told)


def _as_seen(bent: HalfBent, *, in_air: bool) -> tuple[Vector, ...]:
    """The centreline as it lies before who bends it; in the air turned over, about the pipe."""
    points = _centreline(bent)
    return tuple((x, -y, -z) for x, y, z in points) if in_air else points


def _centreline(bent: HalfBent) -> tuple[Vector, ...]:
    points: list[Vector] = []
    for each in bent.pieces:
        points += each.points(_ARC_POINTS)
    return tuple(points)
