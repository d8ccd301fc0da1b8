"""Handling a run's piece: its orders with their steps, what it meets half bent, what helps."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from dataclasses import dataclass

from yarrow.benders.bender import Hook
from yarrow.benders.placing import Placing, other_end, place_bender
from yarrow.catalog.tables import Stance, stance, stance_at
from yarrow.geometry.pipe import develop
from yarrow.geometry.vectors import Vector
from yarrow.handling.half_bent import Arc, HalfBent, half_bent
from yarrow.handling.orders import Handled, Order, as_said, orders
from yarrow.handling.solids import top
from yarrow.handling.splitting import splits
from yarrow.handling.strikes import Strike, What, strikes
from yarrow.measure.rounding import round_to
from yarrow.measure.units import convert_length
from yarrow.runs.layout import Layout, lay_out
from yarrow.runs.marks import exact_marks
from yarrow.runs.plan import Finding, Mark, Step
from yarrow.runs.planner import ask, plan_asked, run_order
from yarrow.runs.run import Next, Run, Survey
from yarrow.runs.steps import Piece, steps
from yarrow.runs.wall import on_wall
from yarrow.runs.words import Words
from yarrow.runs.working import working

_ARC_POINTS = 8


@dataclass(frozen=True, slots=True)
class Met:
    """What the half-bent pipe meets while a bend is made: by how much it would have to be higher,
    or how deep it would cut in; the place on the straight pipe; the moment, degrees into the bend.
    """

    what: What
    by: float
    by_text: str
    at_text: str
    swept: float
    text: str


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
    errors = tuple(finding for finding in plan.findings if finding.level == "error")
    where = run.stance or stance(run.bender.kind)
    if errors or not plan.bends:
        return Handling("yarrow.handling/1", where.place, (), errors)
    if len(plan.bends) > MOST_BENDS:
        return Handling("yarrow.handling/1", where.place, (), (_too_many(len(plan.bends)),))
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
        _told(order, found, run, layout, piece, where, taken=_next(order) == usual)
        for order in found
    )
    return Handling("yarrow.handling/1", where.place, told, _no_order(found[0], piece, where))


def _too_many(count: int) -> Finding:
    return Finding(
        "error",
        "too-many-bends-to-handle",
        f"A piece of {count} bends is more than can be handled: {MOST_BENDS} is the most. Part it "
        "at a coupling.",
    )


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
    *,
    taken: bool,
) -> OrderHandling:
    by_bend = {each.bend: each.placing for each in order.bends}
    placings = tuple(by_bend[index] for index in range(len(by_bend)))
    marks = exact_marks(run, piece.pipe, placings)
    rows = working(run, piece.pipe, piece.roles, placings, piece.words)
    work = steps(piece, marks, rows, [each.bend for each in order.bends])
    words = piece.words
    return OrderHandling(
        name=order.name,
        chosen=order is found[0],
        taken=taken,
        works=order.works,
        reason=_reason(order, found, words),
        turns=order.turns,
        flips=order.flips,
        blocks_text=words.reading(words.up(order.blocks)) if order.blocks else "",
        bends=_bends(order, found, layout, piece, where, work),
        marks=marks,
        steps=work,
        value=_next(order),
    )


def _reason(order: Order, found: Sequence[Order], words: Words) -> str:
    """Why an order is first, or what it costs against the first."""
    first = found[0]
    if order is first:
        if not order.works:
            return "The least trouble, but it can't be made so."
        if len(found) == 1 or order.cost == found[1].cost:
            return "The usual way: one end after the other."
        if order.cost[:3] == found[1].cost[:3] and order.cost[3] == found[1].cost[3]:
            return "The half-bent pipe hangs the least."
        if order.cost[:2] < found[1].cost[:2]:
            return "The bender has room at every bend, and nothing meets it."
        if order.cost[2] < found[1].cost[2]:
            return "The half-bent pipe meets what is below it the least often."
        return "The pipe is turned and carried the least."
    if order.works < first.works:
        return "The bender lacks room, or is met."
    hangs = order.cost[2] - first.cost[2]
    if hangs > 0:
        return f"Hangs too low at {hangs} more bend{'s' if hangs > 1 else ''}."
    more = order.cost[3] - first.cost[3]
    if more > 0:
        return f"More handling: as much as turning the pipe {_times(more)} more."
    if order.blocks > first.blocks:
        return f"Hangs {words.length(order.blocks - first.blocks)} lower than {first.name}."
    return "As good."


def _times(count: int) -> str:
    return "once" if count == 1 else f"{count} times"


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
                meets=tuple(_met(strike, made, piece) for strike in each.strikes),
                helps=_helps(each, made, order, found, piece, where),
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


_MEETS = {"bench": "the bench", "handle": "the handle", "heel": "the bender's heel"}


def _met(strike: Strike, made: Collection[int], piece: Piece) -> Met:
    what, by, at, swept, words = strike.what, strike.by, strike.at, strike.swept, piece.words
    begins = [0.0, *(piece.pipe.bends[n].arc_end for n in sorted(made)), piece.pipe.cut_length]
    until = next((place for place in begins if place > at + 1e-6), piece.pipe.cut_length)
    which = f"The pipe from {words.length(at)} to {words.length(until)}"
    if what == "floor":
        text = f"{which} would be {words.at_least(by)} under the floor"
    elif what == "bench":
        text = f"{which} would be {words.at_least(by)} under the top of the bench"
    else:
        text = f"{which} would meet {_MEETS[what]}, {words.at_least(by)} deep"
    when = "as it is put in" if swept == 0 else f"{swept:.0f}° into the bend"
    return Met(what, by, words.reading(words.up(by)), words.reading(at), swept, f"{text}, {when}.")


def _helps(
    each: Handled,
    made: Collection[int],
    order: Order,
    found: Sequence[Order],
    piece: Piece,
    where: Stance,
) -> tuple[str, ...]:
    """What frees a bend that meets something: simplest first. An order that was searched for would
    have its hook the other way, if that helped."""
    if not each.strikes:
        return ()
    helps = []
    words = piece.words
    if order.name == "as marked":
        other = other_end(each.placing.hook)
        if not strikes(piece.pipe, made, each.bend, other, piece.bender, where, words.unit):
            helps.append(f"Hook it toward the {other} of the pipe instead: that is clear.")
    met = {strike.what: strike.by for strike in each.strikes}
    low = met.get("floor", 0.0)
    if low:
        in_air = stance_at(where, "air")
        if (
            where.place == "floor"
            and where.handle_mm
            and not strikes(
                piece.pipe, made, each.bend, each.placing.hook, piece.bender, in_air, words.unit
            )
        ):
            helps.append(
                "Bend it in the air, handle on the floor and the pipe pushed down: what is on top "
                "here is then underneath."
            )
        helps.append(
            f"Put the bender up by {words.at_least(low)}: on blocks, or at the edge of a dock."
        )
    if "bench" in met:
        helps.append(
            f"Let that leg hang over the edge of the bench, or put the tool up by "
            f"{words.at_least(met['bench'])}."
        )
    for strike in each.strikes:
        if strike.what == "handle":
            helps.append(_shorter(strike, words))
    for another in found:
        if another is not order and another.works and not any(h.strikes for h in another.bends):
            helps.append(f"Bend it {another.name}: that is clear.")
    return tuple(helps)


def _shorter(strike: Strike, words: Words) -> str:
    return f"A handle that reaches less than {words.length(strike.out)} from the shoe clears it."


def _no_order(best: Order, piece: Piece, where: Stance) -> tuple[Finding, ...]:
    """Where not even the best order works: the bend that is in the way, and what frees it."""
    if best.works:
        return ()
    words = piece.words
    bad = next(each for each in best.bends if each.blocked or not each.placing.fits)
    name = f"bend {bad.bend + 1}"
    if not bad.placing.fits:
        room, need = words.length(max(bad.placing.room, 0.0)), words.at_least(bad.placing.need)
        why = f"at {name} there is {room} of straight, and the bender takes {need}"
    else:
        what = _MEETS[next(s.what for s in bad.strikes if s.what in _MEETS and s.what != "bench")]
        why = f"at {name} what is bent already meets {what}, whichever way round"
    handle = [strike for strike in bad.strikes if strike.what == "handle"]
    parts = splits(piece.bender, piece.pipe, piece.roles, where, words.unit)
    if parts:
        after, straight = parts
        frees = (
            f"Make it in two pieces, with a coupling in the {words.length(straight)} of straight "
            f"between bends {after + 1} and {after + 2}: both can be made"
        )
    else:
        frees = "Leave more straight beside it, or bend it shallower"
    shorter = f" {_shorter(handle[0], words)}" if handle else ""
    text = f"No order can make this in one piece: {why}.{shorter} {frees}."
    return (Finding("error", "no-order", text, bends=(bad.bend,)),)


def _as_seen(bent: HalfBent, *, in_air: bool) -> tuple[Vector, ...]:
    """The centreline as it lies before who bends it; in the air turned over, about the pipe."""
    points = _centreline(bent)
    return tuple((x, -y, -z) for x, y, z in points) if in_air else points


def _centreline(bent: HalfBent) -> tuple[Vector, ...]:
    points: list[Vector] = []
    for each in bent.pieces:
        points += each.points(_ARC_POINTS if isinstance(each, Arc) else 1)
    return tuple(points)
