"""A piece at the bench: its order of bends as it stands after what came out, and whether it still
fits."""

from __future__ import annotations

import math
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Literal

from yarrow.bench.before_bending import BeforeBending, before_bending
from yarrow.bench.for_the_bender import BendForBender, for_the_bender
from yarrow.bench.likely import taken_as
from yarrow.bench.readings.reading import BentPiece
from yarrow.bench.readings.registry import in_order, that_apply
from yarrow.bench.refit import HungPiece, Refit, refit
from yarrow.bench.warming import WarmBend, warm_bends
from yarrow.geometry.pipe import PipeBend
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import convert_length
from yarrow.runs.bending_sequence import OrderHandling, as_it_came_out
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.planned import BuildablePlan
from yarrow.runs.written_plan import write_plan
from yarrow.wording.lengths import LengthFormatter, degrees
from yarrow.wording.phrase import Phrase, Value, count

FORMAT = "yarrow.bench-plan/1"
FIT_FORMAT = "yarrow.bench-fit/1"

Verdict = Literal["fits", "gives", "scrap"]

_SCRAP = 2.0
"""Diameters that a leg may lie off before nobody hangs the piece: a working figure."""

_OPENS = 3.0
"""Degrees that a bend can be opened by on the bender. Source: the habit of crews; a bend that is
opened further flattens."""

_PRESSED = 5.0
"""Degrees of twist that are pressed out on a flat floor: a working figure."""

_SAME = 0.5
"""Degrees that no level on site tells apart."""


@dataclass(frozen=True, slots=True)
class MadeBend:
    """A bend that is made, counted along the pipe from 0, with what was read of it, by the name of
    the reading: nothing where it came out as planned. ``mended``: it was bent on or opened before
    that was read."""

    bend: int
    readings: Mapping[str, float]
    mended: bool = False


@dataclass(frozen=True, slots=True)
class LegAsBent:
    """A leg, counted from 0: its ``name``; how far it comes to lie from where it was to be. The
    slope of a set ``matters`` to nobody. ``holds``: it lies there, to the tape's own step."""

    leg: int
    name: Phrase
    off: float
    off_text: str
    matters: bool
    holds: bool


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
    the bender. ``straight_left`` is the longest straight that still can be cut off: where the piece
    is scrap, another may come of that."""

    format: str
    legs: tuple[LegAsBent, ...]
    verdict: Verdict
    told: tuple[Phrase, ...]
    learnt: tuple[BendForBender, ...]
    straight_left_mm: float
    straight_left_text: str


@dataclass(frozen=True, slots=True)
class BenchPlan:
    """A piece at the bench, ``planned`` as it was before anything was bent. ``order`` is how its
    bends are made, with marks, steps and pictures of the piece as it has come out so far; ``bends``
    are those bends along the pipe, which is ``cut_length`` long and hangs, by its first leg, at
    ``path``; ``before``, what is looked at before each bend, and ``warming``, how plastic is warmed
    for it; ``legs``, how it will hang; ``told``, what to do about what came out, and what has to
    give way; ``learnt``, what the readings tell of the bender. ``straight_left`` is the longest
    straight that still can be cut off: where the piece is scrap, another may come of that."""

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
    told: tuple[Phrase, ...]
    learnt: tuple[BendForBender, ...]
    straight_left_mm: float
    straight_left_text: str


@dataclass(frozen=True, slots=True)
class _PieceSoFar:
    """A piece so far: the numbers of the bends that are made, whether anything was ``read`` of
    them, and what the others have to be."""

    made: tuple[int, ...]
    read: bool
    found: Refit
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
        docs/geometry.md, at the bench.
    """
    run, words = plan.resolution.run, plan.placed.words
    bent = _so_far(plan, made, held)
    pipe = bent.found.pipe(plan.placed.pipe) if bent.read else plan.placed.pipe
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
                that_apply(bent.found.bent, number),
            )
            for number, bend in enumerate(pipe.bends)
        ),
        path=bent.found.path,
        order=order,
        before=before_bending(run, order, words),
        warming=warm_bends(run, order, pipe, words),
        legs=fit.legs,
        verdict=fit.verdict,
        told=fit.told,
        learnt=fit.learnt,
        straight_left_mm=fit.straight_left_mm,
        straight_left_text=fit.straight_left_text,
    )


def _so_far(plan: BuildablePlan, made: Sequence[MadeBend], held: int | None) -> _PieceSoFar:
    """A piece with what was read of it. Args: made and held, as of at_bench."""
    run, words = plan.resolution.run, plan.placed.words
    planned, hung = bent_as_planned(plan), hung_as_planned(plan)
    found = refit(planned, planned, hung, (), held)
    bends: list[int] = []
    learnt: list[BendForBender] = []
    taken: dict[int, Mapping[str, float]] = {}
    for each in made:
        bends.append(each.bend)
        if each.readings:
            placing = plan.placed.placings[each.bend]
            of_the_bender = for_the_bender(
                run, found.bent, planned.cut, placing, each.bend, each.readings
            )
            # A bend that was bent on or opened is no longer what the bender made of it.
            learnt += [of_the_bender] if of_the_bender and not each.mended else []
            readings = dict(each.readings)
            if "angle" in readings and not each.mended:
                aimed = found.bent.bends[each.bend].angle
                readings["angle"] = taken_as(run.bender, aimed, readings["angle"])
            taken[each.bend] = readings
            piece = _with_readings(found.bent, readings, each.bend)
            found = refit(piece, planned, hung, tuple(bends), held)
    legs = _legs(found, hung, float(run.round_to), words)
    straight = straight_left([found.bent.bends[bend] for bend in bends], planned.cut)
    read = any(each.readings for each in made)
    fit = BenchFit(
        format=FIT_FORMAT,
        legs=legs,
        verdict=_verdict(found, legs),
        told=(
            *_believed(made, taken),
            *_mends(planned, taken),
            *_fit_sentences(found, planned, legs, words),
        )
        if read
        else (),
        learnt=tuple(learnt),
        straight_left_mm=convert_length(straight, run.unit, "mm"),
        straight_left_text=words.length(words.down(straight)),
    )
    return _PieceSoFar(tuple(bends), read, found, fit)


def _with_readings(piece: BentPiece, readings: Mapping[str, float], bend: int) -> BentPiece:
    for kind, value in in_order(readings):
        piece = kind.applied(piece, bend, value)
    return piece


def straight_left(made: Sequence[PipeBend], cut: float) -> float:
    """The longest straight before or behind all bends that are made.

    Args:
        made: on the straight pipe, in its unit.
        cut: how long that is.
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
    return HungPiece(vertices, pipe.first_toward, slopes)


def _legs(
    found: Refit, hung: HungPiece, step: float, words: LengthFormatter
) -> tuple[LegAsBent, ...]:
    """How its legs come to lie. Args: step, of the tape: what is off by no more, holds."""
    last = len(found.off) - 1
    legs = []
    for at, off in enumerate(found.off):
        name = Phrase("bench/leg-between", {"one": count(at), "other": count(at + 1)})
        if at == 0:
            name = Phrase("bench/leg-first")
        elif at == last:
            name = Phrase("bench/leg-last", {"bend": count(at)})
        legs.append(LegAsBent(at, name, off, words.length(off), at not in hung.slopes, off <= step))
    return tuple(legs)


def _verdict(found: Refit, legs: Sequence[LegAsBent]) -> Verdict:
    worst = max((leg.off for leg in legs if leg.matters), default=0.0)
    if found.overlap or worst > _SCRAP * found.bent.diameter:
        return "scrap"
    return "fits" if all(leg.holds for leg in legs if leg.matters) else "gives"


def _mends(planned: BentPiece, taken: Mapping[int, Mapping[str, float]]) -> list[Phrase]:
    """What can still be done to a bend that was bent too far, or not far enough, or is twisted."""
    found = []
    for bend, readings in taken.items():
        if "angle" in readings:
            over = readings["angle"] - planned.bends[bend].angle
            values: dict[str, Value] = {"bend": count(bend + 1), "by": _half_degrees(abs(over))}
            if over < -_SAME:
                found.append(Phrase("bench/bend-on", values))
            elif _SAME < over <= _OPENS:
                found.append(Phrase("bench/open", values))
            elif over > _OPENS:
                found.append(Phrase("bench/too-far-to-open", values))
        twist = abs(readings.get("twist", 0.0))
        if _SAME < twist <= _PRESSED:
            values = {"bend": count(bend + 1), "by": _half_degrees(twist)}
            found.append(Phrase("bench/press-flat", values))
    return found


def _believed(
    made: Sequence[MadeBend], taken: Mapping[int, Mapping[str, float]]
) -> Iterator[Phrase]:
    """Which readings were not taken as they were read."""
    for each in made:
        read, as_angle = each.readings.get("angle"), taken.get(each.bend, {}).get("angle")
        if read is not None and as_angle is not None and abs(read - as_angle) >= _SAME / 2:
            yield Phrase(
                "bench/taken-as",
                {
                    "bend": count(each.bend + 1),
                    "read": degrees(read),
                    "taken": degrees(round(as_angle, 1)),
                },
            )


def _half_degrees(angle: float) -> str:
    """An angle as a level shows it."""
    return degrees(math.floor(2 * angle + 0.5) / 2)


def _fit_sentences(
    found: Refit, planned: BentPiece, legs: Sequence[LegAsBent], words: LengthFormatter
) -> list[Phrase]:
    sentences = []
    if found.overlap:
        sentences.append(Phrase("bench/no-room", {"by": words.needed(found.overlap)}))
    for leg in legs:
        if leg.matters and not leg.holds:
            sentences.append(
                Phrase("bench/leg-off", {"leg": leg.name, "by": words.measured(leg.off)})
            )
    for end, over in (("start", found.over_start), ("end", planned.cut - found.bent.cut)):
        if words.off(over) != "0":
            way = "cut-off" if over > 0 else "short"
            sentences.append(Phrase(f"bench/{way}-at-{end}", {"by": words.measured(abs(over))}))
    return sentences
