"""Handling a run's piece: its orders with their steps, what it meets half bent, what helps."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from yarrow.benders.bender import Hook
from yarrow.benders.placing import Placing, place_bender
from yarrow.catalog.tables import Stance, stance
from yarrow.findings.finding import Finding, errors_of
from yarrow.geometry.pipe import develop
from yarrow.geometry.vectors import Vector
from yarrow.handling.half_bent import Arc, HalfBent, half_bent
from yarrow.handling.orders import Order, as_said, orders
from yarrow.handling.solids import top
from yarrow.measure.rounding import round_to
from yarrow.measure.units import convert_length
from yarrow.runs.advice import Met, helps_of, met, no_order, reason, too_many
from yarrow.runs.layout import Layout, lay_out
from yarrow.runs.marks import exact_marks
from yarrow.runs.plan import Mark, Plan, Step
from yarrow.runs.planner import ask, plan_asked, run_order
from yarrow.runs.run import Next, Run, Survey
from yarrow.runs.steps import Piece, steps
from yarrow.runs.wall import on_wall
from yarrow.runs.working import working

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
    meets: tuple[Met, ...]
    helps: tuple[str, ...]
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
    reason: str
    turns: int
    flips: int
    blocks_text: str
    bends: tuple[BendHandling, ...]
    marks: tuple[Mark, ...]
    steps: tuple[Step, ...]
    value: tuple[Next, ...]


@dataclass(frozen=True, slots=True)
class Handling:
    """The orders that a piece can be bent in, best first; none where it can't be made, and then the
    findings say why. Where there are orders and none works, a finding says what is in the way."""

    format: str
    place: str
    orders: tuple[OrderHandling, ...]
    findings: tuple[Finding, ...]


MOST_BENDS = 30
"""Bends of a piece whose handling is simulated: more than any stick takes, few enough to be
answered within two seconds."""


def handle_run(survey: Survey) -> Handling:
    """The handling of a run's piece.

    The pipe is simulated as long as it is cut: a longer stick hangs over at its end.
    Source: docs/geometry.md, the half-bent pipe.
    """
    asked = ask(survey)
    plan, run, words = plan_asked(asked), asked.run, asked.words
    errors = errors_of(plan.findings)
    where = run.stance or stance(run.bender.kind)
    if errors or not plan.bends:
        return Handling("yarrow.handling/1", where.place, (), errors)
    if len(plan.bends) > MOST_BENDS:
        return Handling(
            "yarrow.handling/1", where.place, (), (too_many(len(plan.bends), MOST_BENDS),)
        )
    layout = lay_out(run)
    pipe = develop(layout.vertices, run.bender.radius)
    roles = tuple(layout.owners[corner - 1][1] for corner in pipe.corners)
    cut = round_to(pipe.cut_length, run.round_to, run.unit, feet=True).text
    piece = Piece(run.bender, pipe, roles, cut, words)
    found = _different(orders(run.bender, pipe, roles, where, run.unit))
    sequence, hooks = run_order(run, roles)
    placings = place_bender(run.bender, pipe, roles, sequence, hooks)
    usual = _said(sequence, placings)
    if all(_next(order) != usual for order in found):
        own = as_said(run.bender, pipe, roles, sequence, placings, where, run.unit)
        found = (*found, own)
    told = tuple(
        _told(order, found, run, layout, piece, where, plan if _next(order) == usual else None)
        for order in found
    )
    return Handling("yarrow.handling/1", where.place, told, no_order(found[0], piece, where))


def _different(found: Sequence[Order]) -> tuple[Order, ...]:
    """Each order once: a single bend is the same from either end."""
    return tuple({_next(order): order for order in reversed(found)}.values())[::-1]


def _said(sequence: Sequence[int], placings: Sequence[Placing]) -> tuple[Next, ...]:
    return tuple(Next(index, placings[index].hook) for index in sequence)


def _next(order: Order) -> tuple[Next, ...]:
    return tuple(Next(each.bend, each.placing.hook) for each in order.bends)


def _told(
    order: Order,
    found: Sequence[Order],
    run: Run,
    layout: Layout,
    piece: Piece,
    where: Stance,
    taken_in: Plan | None,
) -> OrderHandling:
    """An order with its marks and steps: the plan's own, printed or exact, where it is the one that
    they are for."""
    by_bend = {each.bend: each.placing for each in order.bends}
    placings = tuple(by_bend[index] for index in range(len(by_bend)))
    if taken_in:
        marks, work = taken_in.marks, taken_in.steps
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
        bends=_bends(order, found, layout, piece, where, work),
        marks=marks,
        steps=work,
        value=_next(order),
    )


def _bends(
    order: Order,
    found: Sequence[Order],
    layout: Layout,
    piece: Piece,
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
                meets=tuple(met(strike, made, each.bend, piece) for strike in each.strikes),
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
        points += each.points(_ARC_POINTS if isinstance(each, Arc) else 1)
    return tuple(points)
