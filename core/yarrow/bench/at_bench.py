"""A piece at the bench: its order of bends as it stands after what came out, and whether it still
fits."""

from __future__ import annotations

import math
from collections.abc import Collection, Iterator, Mapping, Sequence
from typing import Literal

from yarrow.bench.before_bending import BeforeBending, before_bending
from yarrow.bench.calibration_reading import BendForBender, calibration_reading
from yarrow.bench.plausible_angle import plausible_angle
from yarrow.bench.readings.reading import BentPiece
from yarrow.bench.readings.registry import in_order, that_apply
from yarrow.bench.recovery import (
    SAME,
    SCRAP,
    Mending,
    MendingWay,
    Recovery,
    RecoveryWay,
    can_be_opened,
    opened_at_most,
    recovered,
)
from yarrow.bench.refit import HungPiece, Refit, hung_up
from yarrow.bench.warming import WarmBend, warm_bends
from yarrow.benders.bender import Bender
from yarrow.geometry.pipe import PipeBend
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import convert_length
from yarrow.runs.bending_sequence import OrderHandling, as_it_came_out
from yarrow.runs.marking.working import on_the_scale
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.model.run import ResolvedRun
from yarrow.runs.stages import BuildablePlan
from yarrow.runs.written_plan import write_plan
from yarrow.values import dataclass
from yarrow.wording.lengths import degrees
from yarrow.wording.phrase import AngleReading, Phrase, Shown, Value, count

FORMAT = "yarrow.bench-plan/1"
FIT_FORMAT = "yarrow.bench-fit/1"

Verdict = Literal["fits", "gives", "scrap"]


@dataclass(frozen=True, slots=True)
class MadeBend:
    """A bend that is made, counted along the pipe from 0, with what was read of it, by the name of
    the reading: nothing where it came out as planned. ``mended``: it was bent on or opened before
    that was read. ``as_is``: nothing is done to it. ``done``: what was to be done to it is done."""

    bend: int
    readings: Mapping[str, float]
    mended: bool = False
    as_is: bool = False
    done: bool = False


@dataclass(frozen=True, slots=True)
class LegAsBent:
    """A leg, counted from 0: its ``name``; how far it comes to lie from where it was to be. The
    slope of a set ``matters`` to nobody. ``holds``: it lies there, to the tape's own step."""

    leg: int
    name: Phrase
    off: float
    off_text: Shown
    matters: bool
    holds: bool


@dataclass(frozen=True, slots=True)
class MendAtBench:
    """What a person does to a bend that is made, along the pipe from 0: the angle that has to stay
    in it, what to bend to on the bender's scale for that, and ``how``; ``told`` says so."""

    bend: int
    to: float
    bend_to: float
    bend_to_text: AngleReading
    how: MendingWay
    told: Phrase


@dataclass(frozen=True, slots=True)
class BendAtBench:
    """A bend as it is, where it is ``made``, or as it has to be: its arc on the straight pipe, its
    angle, and its roll from the bend before it, degrees; and what can be read of it."""

    bend: int
    made: bool
    arc_start: float
    arc_end: float
    angle: float
    roll: float
    radius: float
    readings: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class BenchFit:
    """What becomes of a piece with what came out of its bends: ``legs``, how it will hang;
    ``told``, what to do about it, and what has to give way; ``learnt``, what the readings tell of
    the bender; ``mend``, what is done to bends that are made before anything else, and ``by``, the
    way that is taken then. ``straight_left`` is the longest straight that still can be cut off:
    where the piece is scrap, another may come of that."""

    format: str
    legs: tuple[LegAsBent, ...]
    verdict: Verdict
    mend: tuple[MendAtBench, ...]
    by: RecoveryWay
    told: tuple[Phrase, ...]
    learnt: tuple[BendForBender, ...]
    straight_left_mm: float
    straight_left_text: Shown


@dataclass(frozen=True, slots=True)
class BenchPlan:
    """A piece at the bench, ``planned`` as it was before anything was bent. ``order`` is how its
    bends are made, with marks, steps and pictures of the piece as it has come out so far; ``bends``
    are those bends along the pipe, which is ``cut_length`` long and hangs, by its first leg, at
    ``path``; ``before``, what is looked at before each bend, and ``warming``, how plastic is warmed
    for it; ``legs``, how it will hang; ``mend``, what is done to bends that are made before
    anything else (all the rest is of the piece once that is done), and ``by``, the way that is
    taken then; ``told``, what came out and what has to give way; ``learnt``, what the readings tell
    of the bender. ``straight_left`` is the longest straight that still can be cut off: where the
    piece is scrap, another may come of that."""

    format: str
    planned: WrittenPlan
    cut_length: float
    bends: tuple[BendAtBench, ...]
    path: tuple[Vector, ...]
    order: OrderHandling
    before: tuple[BeforeBending, ...]
    warming: tuple[WarmBend, ...]
    legs: tuple[LegAsBent, ...]
    verdict: Verdict
    mend: tuple[MendAtBench, ...]
    by: RecoveryWay
    told: tuple[Phrase, ...]
    learnt: tuple[BendForBender, ...]
    straight_left_mm: float
    straight_left_text: Shown


@dataclass(frozen=True, slots=True)
class _PieceSoFar:
    """A piece so far: the numbers of the bends that are made, whether anything was ``read`` of
    them, and what the others have to be."""

    made: tuple[int, ...]
    read: bool
    refit: Refit
    fit: BenchFit


def bench_fit(plan: BuildablePlan, made: Sequence[MadeBend], held: int | None = None) -> BenchFit:
    """How a piece comes to lie after what came out of the bends that are made: as at_bench, and
    without the order of those that are left.

    Args:
        plan: as of at_bench.
        made: likewise.
        held: likewise.
    """
    return _so_far(plan, made, held).fit


def at_bench(plan: BuildablePlan, made: Sequence[MadeBend], held: int | None = None) -> BenchPlan:
    """The bends that are left, worked out anew from what came out of those that are made.

    Args:
        plan: of a piece that can be made.
        made: what is bent, in the order that it was, and what was read of it; a bend that nothing
            was read of was made as it had to be by then.
        held: the leg that is to hold before the others, counted from 0.

    Source:
        docs/pieces-and-walls.md, at the bench.
    """
    run = plan.resolution.run
    bent = _so_far(plan, made, held)
    pipe = bent.refit.pipe(plan.placed.pipe) if bent.read else plan.placed.pipe
    order = as_it_came_out(plan, pipe)
    fit = bent.fit
    return BenchPlan(
        format=FORMAT,
        planned=write_plan(plan),
        cut_length=pipe.cut_length,
        bends=tuple(
            BendAtBench(
                number,
                number in bent.made,
                bend.arc_start,
                bend.arc_end,
                bend.angle,
                bend.roll,
                bend.radius,
                tuple(
                    name
                    for name in that_apply(bent.refit.bent, number)
                    # No plane is there yet that the first bend could be out of.
                    if name != "twist" or number != order.bends[0].bend
                ),
            )
            for number, bend in enumerate(pipe.bends)
        ),
        path=bent.refit.path,
        order=order,
        before=before_bending(run, order),
        warming=warm_bends(run, order, pipe),
        legs=fit.legs,
        verdict=fit.verdict,
        mend=fit.mend,
        by=fit.by,
        told=fit.told,
        learnt=fit.learnt,
        straight_left_mm=fit.straight_left_mm,
        straight_left_text=fit.straight_left_text,
    )


def _so_far(plan: BuildablePlan, made: Sequence[MadeBend], held: int | None) -> _PieceSoFar:
    """A piece with what was read of it. Args: made and held, as of at_bench."""
    run = plan.resolution.run
    planned, hung = bent_as_planned(plan), hung_as_planned(plan)
    opened, step = opened_at_most(run.conduit.type), float(run.round_to)
    refit = hung_up(planned, hung, held)
    by = RecoveryWay.NONE
    bends: list[int] = []
    learnt: list[BendForBender] = []
    messages: list[Phrase] = []
    mend: list[MendAtBench] = []
    cut_short = False
    for made_bend in made:
        bends.append(made_bend.bend)
        if not made_bend.readings:
            continue
        aimed = refit.bent
        placing = plan.placed.placings[made_bend.bend]
        of_the_bender = calibration_reading(
            run, aimed, planned.cut, placing, made_bend.bend, made_bend.readings
        )
        # A bend that was bent on or opened is no longer what the bender made of it.
        learnt += [of_the_bender] if of_the_bender and not made_bend.mended else []
        readings = dict(made_bend.readings)
        if "angle" in readings and not made_bend.mended:
            wanted = aimed.bends[made_bend.bend].angle
            readings["angle"] = plausible_angle(run.bender, wanted, readings["angle"])
            messages += _believed(made_bend, readings["angle"])
        piece = _with_readings(aimed, readings, made_bend.bend)
        after = Recovery(hung, opened, held, step)
        done = recovered(aimed, piece, tuple(bends), after, as_is=made_bend.as_is)
        refit, by = done.piece, max(by, done.by, key=list(RecoveryWay).index)
        if not made_bend.done:
            mend += [_mend_at_bench(run.bender, mending) for mending in done.mendings]
        messages += _nothing_done(aimed, piece, made_bend, opened, done.mendings)
        cut_short = cut_short or done.cut_short
    if cut_short:
        messages.append(Phrase("bench/not-all-looked-at"))
    legs = _legs(run, refit, hung)
    read = any(made_bend.readings for made_bend in made)
    straight = straight_left([refit.bent.bends[bend] for bend in bends], planned.cut)
    sentences = _fit_sentences(run, refit, planned, legs) if read else ()
    fit = BenchFit(
        format=FIT_FORMAT,
        legs=legs,
        verdict=_verdict(refit, legs, by),
        mend=tuple(mend),
        by=by,
        told=(*messages, *sentences),
        learnt=tuple(learnt),
        straight_left_mm=convert_length(straight, run.unit, "mm"),
        straight_left_text=run.lengths.length(run.lengths.down(straight)),
    )
    return _PieceSoFar(tuple(bends), read, refit, fit)


def _mend_at_bench(bender: Bender, mending: Mending) -> MendAtBench:
    bend_to = bender.bend_to(mending.to)
    text = on_the_scale(bend_to, mending.to)
    values: dict[str, Value] = {
        "bend": count(mending.bend + 1),
        "by": _half_degrees(mending.by),
        "to": text,
    }
    message = Phrase(f"bench/{mending.how}", values)
    return MendAtBench(mending.bend, mending.to, bend_to, text, mending.how, message)


def _nothing_done(
    aimed: BentPiece,
    piece: BentPiece,
    made: MadeBend,
    opened: float,
    mendings: Collection[Mending],
) -> Iterator[Phrase]:
    """What is said of an angle that nothing is done about."""
    over = piece.bends[made.bend].angle - aimed.bends[made.bend].angle
    if abs(over) <= SAME or any(mending.how != MendingWay.PRESS_FLAT for mending in mendings):
        return
    values: dict[str, Value] = {"bend": count(made.bend + 1), "by": _half_degrees(abs(over))}
    if not can_be_opened(over, opened):
        yield Phrase("bench/too-far-to-open", values)
    else:
        yield Phrase("bench/left-over" if over > 0 else "bench/left-short", values)


def _with_readings(piece: BentPiece, readings: Mapping[str, float], bend: int) -> BentPiece:
    for kind, value in in_order(readings):
        piece = kind.applied(piece, bend, value)
    return piece


def straight_left(made: Sequence[PipeBend], cut: float) -> float:
    """The longest straight before or behind all bends that are made.

    Args:
        made: on the straight pipe, in its unit.
        cut: how long that is.

    Returns:
        In the same unit; the whole piece where no bend is made.
    """
    begins = min((bend.arc_start for bend in made), default=cut)
    ends = max((bend.arc_end for bend in made), default=0.0)
    return max(begins, cut - ends, 0.0)


def bent_as_planned(plan: BuildablePlan) -> BentPiece:
    """A piece as its plan has it.

    Args:
        plan: of a piece that can be made.
    """
    pipe = plan.placed.pipe
    hooks = tuple(placing.hook for placing in plan.placed.placings)
    diameter = plan.resolution.run.bender.diameter
    return BentPiece(pipe.bends, tuple(pipe.rolls_from_start), hooks, pipe.cut_length, diameter)


def hung_as_planned(plan: BuildablePlan) -> HungPiece:
    """Where its plan hangs a piece.

    Args:
        plan: of a piece that can be made.
    """
    layout, pipe = plan.layout, plan.placed.pipe
    corners = (layout.vertices[at] for at in pipe.corners)
    vertices = (layout.vertices[0], *corners, layout.vertices[-1])
    # Between two bends of one line of the walk.
    lines = layout.features_of(pipe)
    slopes = frozenset(at for at in range(1, len(lines)) if lines[at - 1] == lines[at])
    groups = tuple(
        group
        for line in dict.fromkeys(lines)
        if len(group := tuple(at for at, of in enumerate(lines) if of == line)) > 1
    )
    return HungPiece(vertices, slopes, groups)


def _legs(run: ResolvedRun, refit: Refit, hung: HungPiece) -> tuple[LegAsBent, ...]:
    """How its legs come to lie: what is off by no more than a step of the tape, holds."""
    words, step = run.lengths, float(run.round_to)
    last = len(refit.off) - 1
    legs = []
    for at, off in enumerate(refit.off):
        name = Phrase("bench/leg-between", {"one": count(at), "other": count(at + 1)})
        if at == 0:
            name = Phrase("bench/leg-first")
        elif at == last:
            name = Phrase("bench/leg-last", {"bend": count(at)})
        legs.append(LegAsBent(at, name, off, words.length(off), at not in hung.slopes, off <= step))
    return tuple(legs)


def _verdict(refit: Refit, legs: Sequence[LegAsBent], by: RecoveryWay) -> Verdict:
    worst = max((leg.off for leg in legs if leg.matters), default=0.0)
    if refit.overlap or by is RecoveryWay.SCRAP or worst > SCRAP * refit.bent.diameter:
        return "scrap"
    return "fits" if all(leg.holds for leg in legs if leg.matters) else "gives"


def _believed(made: MadeBend, taken: float) -> Iterator[Phrase]:
    """Whether a reading was not taken as it was read."""
    read = made.readings["angle"]
    if abs(read - taken) >= SAME / 2:
        values: dict[str, Value] = {
            "bend": count(made.bend + 1),
            "read": degrees(read),
            "taken": degrees(round(taken, 1)),
        }
        yield Phrase("bench/taken-as", values)


def _half_degrees(angle: float) -> str:
    """An angle as a level shows it."""
    return degrees(math.floor(2 * angle + 0.5) / 2)


def _fit_sentences(
    run: ResolvedRun, refit: Refit, planned: BentPiece, legs: Sequence[LegAsBent]
) -> list[Phrase]:
    words = run.lengths
    sentences = []
    if refit.overlap:
        sentences.append(Phrase("bench/no-room", {"by": words.needed(refit.overlap)}))
    for leg in legs:
        if leg.matters and not leg.holds:
            sentences.append(
                Phrase("bench/leg-off", {"leg": leg.name, "by": words.measured(leg.off)})
            )
    for end, over in (("start", refit.over_start), ("end", planned.cut - refit.bent.cut)):
        if not words.off(over).is_zero:
            way = "cut-off" if over > 0 else "short"
            sentences.append(Phrase(f"bench/{way}-at-{end}", {"by": words.measured(abs(over))}))
    return sentences
