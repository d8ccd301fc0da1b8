"""In what sequence a run's piece is bent: orders with their steps, what is met, what helps."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import accumulate, chain

from yarrow.bend_simulation.half_bent import HalfBent, half_bent
from yarrow.bend_simulation.order import Handled, Order
from yarrow.bend_simulation.orders import as_given, orders
from yarrow.bend_simulation.picture import BenderView, centrelines, pencil_line, tool_shapes
from yarrow.bend_simulation.solids import Top, top
from yarrow.benders.bender import Hook, Reference
from yarrow.benders.drawn.shapes import Point, ToolShape
from yarrow.catalog.stances import Place
from yarrow.findings.finding import Finding, errors_of, gravest_first
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import convert_length
from yarrow.runs.checks.rules import stick_of
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
from yarrow.runs.model.plan import FoundMark, Mark, Step, Working
from yarrow.runs.model.run import OrderedBend, Survey
from yarrow.runs.planner import MOST_SIMULATED, find_marks, piece_to_bend, plan_run
from yarrow.runs.stages import BuildablePlan, Plan, UnbuildablePlan
from yarrow.runs.tape_on_piece import TapeOnPiece, tape_on_piece
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Shown


@dataclass(frozen=True, slots=True)
class BendHandling:
    """One bend of an order: where it is worked; by how much the pipe is turned since the last one,
    degrees clockwise seen from its start; its step in the list; what it meets, and what helps.

    ``tape`` is how its mark is found on the piece as it lies before it. ``before`` and ``after``
    are the pipe's centreline as it lies in the bender, x toward the hook, z up, y away from who
    stands with the hook on the right, the floor at ``floor`` (from the hook on ``drop`` lower) and
    the shoe's centre at ``shoe``, which is below the pipe where it is bent in the air; ``bands``
    are the arcs of ``after``, and ``tool`` is the bender round it from the side (x, z), with the
    mark that is used and the line that was pencilled along the top; ``bench`` are the ends of the
    table's top beside the pipe (none where there is none). ``wall`` is that same piece with this
    bend made where it belongs on the wall, in the frame of the plan.
    """

    bend: int
    step: int
    hook: Hook
    place: Place
    turned: float
    meets: tuple[Interference, ...]
    helps: tuple[Phrase, ...]
    tape: TapeOnPiece
    before: tuple[Vector, ...]
    after: tuple[Vector, ...]
    bands: tuple[tuple[Vector, ...], ...]
    tool: tuple[ToolShape, ...]
    wall: tuple[Vector, ...]
    floor: float
    drop: float
    shoe: float
    bench: tuple[Vector, ...]


@dataclass(frozen=True, slots=True)
class OrderHandling:
    """An order with its price: turns of the pipe about itself, flips end for end, changes of
    stance, and how high the bender has to be put up (empty: not at all). ``taken``: the plan's
    marks are for this one; ``value`` is what a run's ``order`` says to take it. ``works``: there is
    room at every bend and the tool is not met; what is below it is not met either, with it put up
    so high."""

    name: str
    chosen: bool
    taken: bool
    works: bool
    reason: Phrase
    turns: int
    flips: int
    changes: int
    blocks_text: Shown
    bends: tuple[BendHandling, ...]
    marks: tuple[Mark, ...]
    finding_marks: tuple[FoundMark, ...]
    working: tuple[Working, ...]
    steps: tuple[Step, ...]
    value: tuple[OrderedBend, ...]


@dataclass(frozen=True, slots=True)
class Handling:
    """The orders that a piece can be bent in, best first; none where it can't be made, and then the
    findings say why. Where there are orders and none works, a finding says what is in the way.
    ``place`` is where the whole piece is bent, as someone said; empty where each bend is made as it
    usually is. ``takes`` are the places that the tool can be worked at."""

    format: str
    place: str
    takes: tuple[Place, ...]
    orders: tuple[OrderHandling, ...]
    findings: tuple[Finding, ...]


FORMAT = "yarrow.handling/1"


def handle_run(survey: Survey) -> Handling:
    """The handling of a run's piece.

    The pipe is simulated as long as it is cut: a longer stick hangs over at its end. What is longer
    than a stick is bent in parts, so no other order is looked for, and nothing is met.

    Source:
        docs/at-the-bender.md, the half-bent pipe.
    """
    return handle_plan(plan_run(survey))


def handle_plan(plan: Plan) -> Handling:
    """The handling of a piece whose plan is known.

    Args:
        plan: of a run, or of a piece of one.
    """
    run = plan.resolution.run
    where = run.stances.picked.place if run.stances.picked else ""

    def answered(result: tuple[OrderHandling, ...], findings: tuple[Finding, ...]) -> Handling:
        return Handling(
            FORMAT, where, tuple(stance.place for stance in run.stances.takes), result, findings
        )

    if isinstance(plan, UnbuildablePlan):
        return answered((), errors_of(gravest_first(plan.findings)))
    placed = plan.placed
    bends = len(placed.pipe.bends)
    if not bends:
        return answered((), ())
    if bends > MOST_SIMULATED:
        return answered((), (too_many(bends, MOST_SIMULATED),))
    cut = run.lengths.cut(placed.pipe.cut_length)
    piece = piece_to_bend(placed, placed.pipe, cut)
    if placed.pipe.cut_length > stick_of(run):
        # Bent in parts: what the whole of it would meet says nothing.
        shown: tuple[Order, ...] = (replace(placed.order, name="as marked"),)
    else:
        shown = _with_own(_different(orders(piece)), piece, placed.order)
    handled = tuple(_handling(order, shown, piece, plan) for order in shown)
    return answered(handled, no_order(shown[0], piece))


def as_it_came_out(plan: BuildablePlan, pipe: StraightPipe) -> OrderHandling:
    """The plan's own order of bends on a pipe that some of them came out different on.

    Args:
        plan: of a piece that can be made.
        pipe: as many bends, made or to be made where they are.
    """
    run, own = plan.resolution.run, plan.placed.order
    piece = piece_to_bend(plan.placed, pipe, run.lengths.cut(pipe.cut_length))
    planned = pipe.bends == plan.placed.pipe.bends
    order = _simulated(own, piece, where_planned=planned) if own.bends else own
    return _handling(order, (order,), piece, plan, planned=planned)


def _different(result: Sequence[Order]) -> tuple[Order, ...]:
    """Each order once: a single bend is the same from either end."""
    once: dict[tuple[OrderedBend, ...], Order] = {}
    for order in result:
        once.setdefault(_order_of(order), order)
    return tuple(once.values())


def _with_own(result: tuple[Order, ...], piece: PieceToBend, own: Order) -> tuple[Order, ...]:
    """The orders found and, last, the plan's own, where it is none of them: simulated then, as a
    plan that goes by habit or by a picked order has it not."""
    if any(_order_of(order) == _order_of(own) for order in result):
        return result
    return (*result, _simulated(own, piece, where_planned=True))


def _simulated(own: Order, piece: PieceToBend, *, where_planned: bool) -> Order:
    """The plan's own order with what it meets; each bend where it was planned to be made, if so,
    else where that is best."""
    if where_planned:
        places = tuple((bend.bend, bend.stance) for bend in own.bends)
        piece = replace(piece, stances=replace(piece.stances, by_bend=places))
    return as_given(piece, tuple((bend.bend, bend.placing.hook) for bend in own.bends))


def _order_of(order: Order) -> tuple[OrderedBend, ...]:
    return tuple(OrderedBend(bend.bend, bend.placing.hook) for bend in order.bends)


def _handling(
    order: Order,
    result: Sequence[Order],
    piece: PieceToBend,
    plan: BuildablePlan,
    *,
    planned: bool = True,
) -> OrderHandling:
    """An order with its marks and steps: the plan's own, printed or exact, where it is the one that
    they are for, and the pipe is as it was ``planned``."""
    placed, words = plan.placed, piece.words
    taken = _order_of(order) == _order_of(placed.order)
    if taken and planned:
        marks, rows, work = plan.marked.marks, plan.working, plan.steps
        found = plan.finding_marks
    else:
        marks = exact_marks(placed.run, piece.pipe, order.placings)
        sequence = [bend.bend for bend in order.bends]
        rows = working(placed.run, piece.pipe, piece.roles, marks, sequence)
        found = find_marks(placed, piece, marks, order, piece.pipe.cut_length)
        work = steps(piece, marks, found, rows, order.bends)
    return OrderHandling(
        name=order.name,
        chosen=order is result[0],
        taken=taken,
        works=order.works,
        reason=reason(order, result),
        turns=order.turns,
        flips=order.flips,
        changes=order.changes,
        blocks_text=words.reading(words.up(order.blocks)) if order.blocks else "",
        bends=_handled_bends(order, result, plan.layout, piece, _Marked(marks, found, work)),
        marks=marks,
        finding_marks=found,
        working=rows,
        steps=work,
        value=_order_of(order),
    )


@dataclass(frozen=True, slots=True)
class _Marked:
    """What a piece's bends are made by in an order: its marks, where they are found, its steps."""

    marks: Sequence[Mark]
    found: Sequence[FoundMark]
    steps: Sequence[Step]


def _handled_bends(
    order: Order,
    result: Sequence[Order],
    layout: Layout,
    piece: PieceToBend,
    marked: _Marked,
) -> tuple[BendHandling, ...]:
    made: list[int] = []
    handled = []
    tools: dict[tuple[BenderView, Reference], tuple[ToolShape, ...]] = {}
    step_of = {step.bend: step.number for step in marked.steps}
    found = {mark.bend: mark for mark in marked.found}
    lies = accumulate(bend.turned for bend in order.bends)
    unit = piece.words.unit
    for handled_bend, line in zip(order.bends, lies, strict=True):
        pipe, hook, stance = piece.pipe, handled_bend.placing.hook, handled_bend.stance
        bend = pipe.bends[handled_bend.bend]
        before = half_bent(pipe, made, handled_bend.bend, 0.0, hook)
        after = half_bent(pipe, made, handled_bend.bend, bend.angle, hook)
        seen = BenderView(stance, bend.radius, bend.angle)
        as_it_was, number = replace(seen, angle=0.0), handled_bend.bend
        tape = tape_on_piece(pipe, before, found[number], marked.marks[number], hook)
        begun, lines = _joined(centrelines(before)), centrelines(after)
        drawn = [_drawn(seen.line(line)) for line in lines]
        high, drop = (
            convert_length(value, "mm", unit) for value in (stance.height_mm, stance.drop_mm)
        )
        half = piece.bender.diameter / 2
        table = top(piece.bender, stance, unit)
        tail = seen.line(after.tail.points(1))
        pencil = pencil_line(tail[0], tail[-1], line, hook, half)
        shown = (seen, handled_bend.placing.reference)
        if shown not in tools:
            tools[shown] = _tool(*shown, piece)
        tool = tools[shown]
        if pencil and made:
            tool = (*tool, pencil.moved(_as_fine))
        handled.append(
            BendHandling(
                bend=handled_bend.bend,
                step=step_of[handled_bend.bend],
                hook=hook,
                place=stance.place,
                turned=handled_bend.turned,
                meets=_meets(handled_bend, made, piece),
                helps=helps_of(handled_bend, made, order, result, piece),
                tape=_tape_drawn(as_it_was, tape),
                before=_drawn(as_it_was.line(begun)),
                after=_joined(drawn),
                bands=_bands(after, drawn),
                tool=tool,
                wall=_drawn(on_wall(_joined(lines), layout, pipe, handled_bend.bend, hook)),
                floor=-(bend.radius + high) if stance.in_air else -high - half,
                drop=drop,
                shoe=-bend.radius if stance.in_air else bend.radius,
                bench=_ends_of(table) if table else (),
            )
        )
        made.append(handled_bend.bend)
    return tuple(handled)


def _tape_drawn(seen: BenderView, lies: TapeOnPiece) -> TapeOnPiece:
    tape, straightedge = (_drawn(seen.line(line)) for line in (lies.tape, lies.straightedge))
    return TapeOnPiece(tape, straightedge)


def _meets(handled: Handled, made: Sequence[int], piece: PieceToBend) -> tuple[Interference, ...]:
    return tuple(
        interference(collision, made, handled.bend, piece) for collision in handled.collisions
    )


def _bands(bent: HalfBent, drawn: Sequence[tuple[Vector, ...]]) -> tuple[tuple[Vector, ...], ...]:
    """The arcs among the lines of a pipe's pieces."""
    return tuple(line for piece, line in zip(bent.pieces, drawn, strict=True) if piece.bent)


def _tool(seen: BenderView, reference: Reference, piece: PieceToBend) -> tuple[ToolShape, ...]:
    """The tool as it is seen, the mark last that a bend is put on."""
    shapes = tool_shapes(piece.bender, seen.stance, reference, piece.unit)
    return tuple(shape.moved(_as_fine) for shape in seen.tool(shapes))


def _as_fine(point: Point) -> Point:
    return round(point[0], 2), round(point[1], 2)


def _joined(lines: Sequence[Sequence[Vector]]) -> tuple[Vector, ...]:
    return tuple(chain.from_iterable(lines))


def _drawn(points: Sequence[Vector]) -> tuple[Vector, ...]:
    """As finely as a picture shows."""
    return tuple((round(x, 2), round(y, 2), round(z, 2)) for x, y, z in points)


def _ends_of(table: Top) -> tuple[Vector, ...]:
    return (table.low, 0.0, table.height), (table.high, 0.0, table.height)
