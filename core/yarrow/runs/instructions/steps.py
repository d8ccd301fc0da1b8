"""The work in order, in words: mark, bend by bend, cut, each with how to check it."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from itertools import accumulate

from yarrow.bend_simulation.order import SAME_PLANE, Handled, flipped, normalised
from yarrow.bend_simulation.piece import Piece
from yarrow.benders.habits import STUB_FROM
from yarrow.benders.kinds import Marking
from yarrow.benders.placing import other_end
from yarrow.catalog.limits import limits
from yarrow.geometry.pipe import PipeBend
from yarrow.measure import ieee
from yarrow.measure.units import convert_length
from yarrow.role import closes_pair
from yarrow.runs.marking.gauging import LEGS_PARALLEL, is_on_a_scale
from yarrow.runs.marking.working import warmed_beyond
from yarrow.runs.model.plan import FoundMark, Mark, Step, Working
from yarrow.values import dataclass
from yarrow.wording.lengths import JobTape, angle
from yarrow.wording.phrase import Phrase, Shown, TapeReading, Value, count, in_turn


@dataclass(frozen=True, slots=True)
class PieceToBend(Piece):
    """A piece with its cut as the tape reads, the job's tape that its numbers are told by, and how
    it is marked."""

    cut_text: Shown
    words: JobTape
    marking: Marking = "flat"


def steps(
    piece: PieceToBend,
    marks: tuple[Mark, ...],
    found: Sequence[FoundMark],
    rows: Sequence[Working],
    sequence: Sequence[Handled],
) -> tuple[Step, ...]:
    """What to do, in order, with the figures of this plan; nothing where there are no marks.

    Args:
        piece: what is bent.
        marks: one a bend, in order along the pipe.
        found: where each is found on the piece by then, in the order of making, and the cut.
        rows: how each bend is worked, in order along the pipe.
        sequence: the bends in the order that they are made, each with its hook and stance.
    """
    if not marks and piece.pipe.bends:
        return ()
    as_you_go = found if piece.marking == "as-you-go" else ()
    result = []
    if marks and not as_you_go:
        result.append(_mark_step(piece, marks))
    elif any(mark.flat for mark in as_you_go):
        result.append(_flat_step(as_you_go))
    if marks and piece.bender.traits.warms:
        result.append(_form_step(piece, len(result) + 1))
    made: set[int] = set()
    lies = [*accumulate(handled.turned for handled in sequence)]
    lined = any(abs(handled.turned) >= SAME_PLANE for handled in sequence)
    before: Handled | None = None
    for handled, turned in zip(sequence, lies, strict=True):
        mark, bend, row = marks[handled.bend], piece.pipe.bends[handled.bend], rows[handled.bend]
        parts = [
            *_find(as_you_go, handled.bend),
            *_where(piece, handled, before),
            *((_turn(handled, hooked=not piece.bender.traits.warms),) if before else ()),
            *_set_up(piece, mark, bend, row),
            *((_line(normalised(turned)),) if lined and before else ()),
            _bend(piece, handled.bend, made, row),
            *((Phrase("step/pencil-line"),) if lined and before is None else ()),
        ]
        result.append(
            Step(
                len(result) + 1,
                Phrase("step/bend-number", {"number": count(handled.bend + 1)}),
                in_turn(*parts),
                _how_to_check(piece, handled, made, row),
                Phrase(f"caution/{piece.bender.kind}"),
                handled.bend,
            )
        )
        made.add(handled.bend)
        before = handled
    result.append(_cut_step(piece, as_you_go, len(result) + 1))
    return tuple(result)


def _cut_step(piece: PieceToBend, as_you_go: Sequence[FoundMark], number: int) -> Step:
    bends = piece.pipe.bends
    cut = Phrase("step/cut-after-bends" if bends else "step/cut-straight", {"at": piece.cut_text})
    if as_you_go and bends:
        long = {"end": Phrase(f"pipe-end/{other_end(as_you_go[-1].first)}")}
        cut = in_turn(Phrase("step/long-end", long), as_you_go[-1].told, Phrase("step/cut-there"))
    caution = Phrase("caution/cutting")
    return Step(number, Phrase("step/cut"), cut, Phrase("check/offer-up"), caution, None)


def _flat_step(as_you_go: Sequence[FoundMark]) -> Step:
    """What only the straight pipe tells, before anything is bent."""
    flat = [mark for mark in as_you_go if mark.flat]
    marks = tuple(
        Phrase("find/bend-at", {"bend": count(mark.bend + 1), "reads": mark.reads_text})
        if mark.bend is not None
        else Phrase("find/cut-at", {"reads": mark.reads_text})
        for mark in flat
    )
    values: dict[str, Value] = {"marks": marks, "end": Phrase(f"pipe-end/{flat[0].on}")}
    return Step(
        1,
        Phrase("step/mark"),
        Phrase("step/mark-only-flat", values),
        Phrase("check/hook-tape-once", {"end": values["end"]}),
        Phrase("caution/marking"),
        None,
    )


def _find(as_you_go: Sequence[FoundMark], bend: int) -> Iterator[Phrase]:
    """Where the mark of a bend is found, and what else is marked while the pipe is straight."""
    for mark in as_you_go:
        if mark.bend == bend:
            yield mark.told
    for mark in as_you_go:
        if mark.on == "centre" and mark.of == bend and mark.bend is not None:
            side = "start" if mark.bend < bend else "end"
            values: dict[str, Value] = {
                "bend": count(mark.bend + 1),
                "reads": mark.reads_text,
                "side": Phrase(f"pipe-end/{side}"),
            }
            yield Phrase("find/mark-too", values)


def _where(piece: PieceToBend, handled: Handled, before: Handled | None) -> tuple[Phrase, ...]:
    """Where the bend is made, where that is not as it was or not the only way; what is put under
    it, and that the tool or the pipe is carried round."""
    words, stance = piece.words, handled.stance
    parts = []
    one_way = piece.stances.usual == piece.stances.small == stance
    if before.stance != stance if before else not one_way:
        high = words.measured(convert_length(stance.height_mm, "mm", words.unit))
        parts.append(Phrase(f"stance/{stance.place}", {"height": high}))
    if handled.low:
        parts.append(Phrase("stance/put-up", {"by": words.needed(handled.low)}))
    if before and before.placing.hook != handled.placing.hook:
        lies = before.stance.pipe_lies and stance.pipe_lies
        if flipped(before, handled):
            parts.append(Phrase("step/flip"))
        elif lies:
            parts.append(Phrase("step/bender-round"))
    return tuple(parts)


def _mark_step(piece: PieceToBend, marks: Sequence[Mark]) -> Step:
    places: dict[str, Value] = {"marks": tuple(mark.text for mark in marks), "cut": piece.cut_text}
    return Step(
        1,
        Phrase("step/mark"),
        Phrase("step/mark-from-start", places),
        Phrase("check/hook-tape-once", {"end": Phrase("pipe-end/start")}),
        Phrase("caution/marking"),
        None,
    )


def _form_step(piece: PieceToBend, number: int) -> Step:
    held = piece.words.needed(max(piece.bender.hook, piece.bender.heel))
    return Step(
        number,
        Phrase("step/form"),
        Phrase("step/set-form-up", {"held": held}),
        Phrase("check/square-for-angles"),
        Phrase("caution/heat"),
        None,
    )


def _set_up(piece: PieceToBend, mark: Mark, bend: PipeBend, row: Working) -> tuple[Phrase, ...]:
    """How the pipe goes into the bender, in the words of the way of working."""
    bender = piece.bender
    at: dict[str, Value] = {
        "name": mark.name,
        "mark": mark.text,
        "hook": Phrase(f"pipe-end/{mark.hook}"),
    }
    if bender.traits.warms:
        return _set_up_warm(piece, mark, bend, row, at)
    deduct = _deduct(piece, mark, bend)
    if bender.follows_chart:
        chart: dict[str, Value] = {
            "begins": row.start_of_bend,
            "end": row.end_of_bend,
            "between": row.between,
            "before": Phrase("step/bend-before" if mark.bend else "step/start-of-pipe"),
            "developed": row.developed,
        }
        return (
            Phrase(f"step/put/{piece.marking}", at),
            *deduct,
            Phrase(f"step/chart/{piece.marking}", chart),
        )
    if mark.reference == "square":
        return Phrase("step/square-in-former"), Phrase(f"step/former-toward/{piece.marking}", at)
    if bender.traits.goes_in_first:
        return (Phrase(f"step/goes-in-first/{piece.marking}", at),)
    return Phrase(f"step/put/{piece.marking}", at), *deduct


def _set_up_warm(
    piece: PieceToBend, mark: Mark, bend: PipeBend, row: Working, at: dict[str, Value]
) -> tuple[Phrase, ...]:
    """How warm plastic goes into its form: by figures from the pipe's start, or from the mark."""
    other = other_end(mark.hook)
    at = {**at, "other": Phrase(f"pipe-end/{other}")}
    on_edge = mark.reference == "former"
    if piece.marking == "flat":
        warm = Phrase("step/warm/flat", {"begins": row.warm_from, "ends": row.warm_to})
        if on_edge:
            return warm, Phrase("step/warm-mark/flat", at)
        arc = {**at, "begins": row.start_of_bend, "ends": row.end_of_bend}
        return warm, Phrase("step/warm-mark/elsewhere/flat", arc)
    reading, beyond = piece.words.reading, warmed_beyond(piece.unit)
    to_start, to_end = mark.position - bend.arc_start, bend.arc_end - mark.position
    warm = Phrase(
        "step/warm/as-you-go",
        {"to_start": reading(to_start + beyond), "to_end": reading(to_end + beyond)},
    )
    if on_edge:
        return warm, Phrase("step/warm-mark/as-you-go", at)
    ends = reading(to_end if other == "end" else to_start)
    return warm, Phrase(
        "step/warm-mark/elsewhere/as-you-go", {**at, "developed": row.developed, "ends": ends}
    )


def _deduct(piece: PieceToBend, mark: Mark, bend: PipeBend) -> tuple[Phrase, ...]:
    """How a stub's mark comes of its height, where it is hooked toward its end."""
    at_start = mark.bend == 0 and mark.hook == "start"
    if not at_start or mark.reference != "front" or bend.angle < STUB_FROM:
        return ()
    hung: dict[str, Value] = {
        "take_up": piece.words.reading(piece.bender.take_up),
        "stub": piece.words.reading(mark.position + piece.bender.take_up),
    }
    return (Phrase("step/hang-take-up", hung),)


def _bend(piece: PieceToBend, index: int, made: set[int], row: Working) -> Phrase:
    """The angle, what to bend to so that it stays (at the first bend, how that is known), and the
    clicks where there are any; by what can be gauged, where the angle is on no scale."""
    bender, bend = piece.bender, piece.pipe.bends[index]
    values: dict[str, Value] = {"angle": angle(bend.angle)}
    if bender.traits.warms:
        return Phrase("step/bend-warm", values)
    if not row.gauge and row.bend_to_text.is_read_as(bend.angle):
        return Phrase("step/bend", values)
    known = "springback-usual" if bender.springback.typical else "springback-measured"
    values["to"] = row.bend_to_text
    values["clicks"] = Phrase("step/clicks", {"clicks": count(row.clicks)}) if row.clicks else ""
    values["known"] = "" if made else Phrase(f"step/{known}")
    if not row.gauge:
        return Phrase("step/bend-to", values)
    if row.gauge == LEGS_PARALLEL:
        return Phrase("step/bend-parallel", values)
    return Phrase("step/bend-gauged", {**values, "gauge": row.gauge})


def _turn(handled: Handled, *, hooked: bool) -> Phrase:
    """How the pipe is turned since the last bend: as seen from its start, and by who stands with
    the hook on the right; where nothing is hooked, with the pipe's start on the left."""
    if abs(handled.turned) < SAME_PLANE:
        return Phrase("step/stays")
    if _opposite(handled.turned):
        return Phrase("step/half-over")
    way = "clockwise" if handled.turned > 0 else "anticlockwise"
    comes = (handled.turned > 0) == (not hooked or handled.placing.hook == "end")
    seen = "hook" if hooked else "start"
    values: dict[str, Value] = {
        "angle": angle(abs(handled.turned)),
        "top": Phrase(f"step/top-{'toward-you' if comes else 'away'}/{seen}"),
    }
    return Phrase(f"step/turn-{way}", values)


def _line(lies: float) -> Phrase:
    """Where the line lies that was pencilled along the top at the first bend.

    Args:
        lies: from the top, degrees clockwise seen from the start.
    """
    if abs(lies) < SAME_PLANE:
        return Phrase("step/line-on-top")
    if _opposite(lies):
        return Phrase("step/line-underneath")
    side = "right" if lies > 0 else "left"
    if abs(abs(lies) - 90) < SAME_PLANE:
        return Phrase(f"step/line-{side}")
    return Phrase(f"step/line-off-top-{side}", {"angle": angle(abs(lies))})


def _how_to_check(piece: PieceToBend, handled: Handled, made: set[int], row: Working) -> Phrase:
    """How to see that this bend is right, with a figure where one can be put to it."""
    index, roll = handled.bend, handled.rolled
    bend = piece.pipe.bends[index]
    pair = closes_pair(piece.roles, index, made)
    if pair and isinstance(row.depth, TapeReading):
        depth = {"depth": row.depth._replace(with_unit=True)}
        how = "gauged" if piece.marking == "flat" else "depth"
        return in_turn(Phrase(f"check/parallel-{how}", depth), _parallel_within(piece))
    if pair:
        return Phrase("check/in-one-line")
    twists = abs(roll) > SAME_PLANE and not _opposite(roll)
    if not is_on_a_scale(bend.angle) and not piece.bender.traits.warms:
        return in_turn(*_gauged_check(piece, index, twists=twists))
    level = Phrase("check/level-twist" if twists else "check/level", {"angle": angle(bend.angle)})
    return in_turn(level, _measured_check(piece, index, made))


def _gauged_check(piece: PieceToBend, index: int, *, twists: bool) -> Iterator[Phrase]:
    """What to look at where the angle itself was gauged: the twist, and how much hangs on it."""
    if twists:
        yield Phrase("check/twist")
    length = piece.pipe.straights[index + 1]
    off = length * ieee.sin(math.radians(limits().half_degree.degrees))
    if off > limits().as_good_as_right.of(piece.unit):
        yield Phrase("check/half-a-degree", {"off": piece.words.measured(off)})
    else:
        yield Phrase("check/near-enough")


def _parallel_within(piece: PieceToBend) -> Phrase:
    """How parallel is parallel. Source: catalog/limits.toml."""
    limit = limits().parallel_within
    within, over = (
        piece.words.measured(by_unit.of(piece.unit)) for by_unit in (limit.within, limit.over)
    )
    return Phrase("check/parallel-within", {"within": within, "over": over})


def _measured_check(piece: PieceToBend, index: int, made: set[int]) -> Phrase:
    """A length to measure: the stub of a 90, or what a leg rises over so much of its length."""
    pipe, words = piece.pipe, piece.words
    bend = pipe.bends[index]
    back = bend.radius + piece.bender.diameter / 2
    if abs(bend.angle - 90) < SAME_PLANE:
        for beside in (index - 1, index + 1):
            if beside in made and abs(pipe.bends[beside].angle - 90) < SAME_PLANE:
                apart = words.measured(pipe.straights[max(index, beside)] + 2 * back)
                return Phrase("check/back-to-back", {"apart": apart})
        if not any(earlier < index for earlier in made):
            stub = words.measured(bend.arc_start + back)
            return Phrase("check/stub-from-back", {"stub": stub})
        return Phrase("check/plumb")
    over = limits().height_noted_over.of(words.unit)
    rise = over * ieee.sin(math.radians(bend.angle))
    return Phrase("check/rises", {"rise": words.measured(rise), "over": words.measured(over)})


def _opposite(roll: float) -> bool:
    return abs(abs(roll) - 180) < SAME_PLANE
