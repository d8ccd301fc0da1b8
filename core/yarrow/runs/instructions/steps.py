"""The work in order, in words: mark, bend by bend, cut, each with how to check it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from yarrow.bend_simulation.orders import SAME_PLANE, normalised, roll_between
from yarrow.benders.bender import Bender
from yarrow.benders.placing import other_end
from yarrow.catalog.limits import limits
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.role import Role
from yarrow.runs.marking.working import set_depth
from yarrow.runs.model.plan import Mark, Step, Working
from yarrow.wording.lengths import LengthFormatter, angle, degrees
from yarrow.wording.phrase import Phrase, Value, count, in_turn

_STUB_FROM = 80.0
"""Degrees from which a bend at the start is told as a stub."""


@dataclass(frozen=True, slots=True)
class PieceToBend:
    """The piece that is bent: its bender, the straight pipe, each bend's part in its line, the cut
    as the tape reads, and how the job tells its numbers."""

    bender: Bender
    pipe: StraightPipe
    roles: tuple[Role, ...]
    cut_text: str
    words: LengthFormatter


def steps(
    piece: PieceToBend, marks: tuple[Mark, ...], rows: Sequence[Working], order: Sequence[int]
) -> tuple[Step, ...]:
    """What to do, in order, with the figures of this plan; nothing where there are no marks.

    Args:
        piece: what is bent.
        marks: one a bend, in order along the pipe.
        rows: how each bend is worked, in the same order.
        order: the sequence in which bends are made.
    """
    if not marks and piece.pipe.bends:
        return ()
    found = []
    if marks:
        found.append(_mark_step(piece, marks))
    if marks and piece.bender.traits.warms:
        found.append(_form_step(piece.bender, piece.words))
    made: set[int] = set()
    last = -1
    lies = piece.pipe.rolls_from_start
    from_line = [normalised(roll - lies[order[0]]) for roll in lies] if order else []
    lined = any(abs(roll) >= SAME_PLANE for roll in from_line)
    for index in order:
        mark, bend = marks[index], piece.pipe.bends[index]
        parts = [
            *((_turn(roll_between(piece.pipe, last, index)),) if made else ()),
            *_set_up(piece.bender, mark, bend, rows[index], piece.words),
            *((_line(from_line[index]),) if lined and made else ()),
            _bend(piece.bender, bend, rows[index], first=not made),
            *((Phrase("step/pencil-line"),) if lined and not made else ()),
        ]
        found.append(
            Step(
                len(found) + 1,
                Phrase("step/bend-number", {"number": count(index + 1)}),
                in_turn(*parts),
                _how_to_check(piece, index, last, made, rows[index]),
                Phrase(f"caution/{piece.bender.kind}"),
                index,
            )
        )
        made.add(index)
        last = index
    cut = Phrase("step/cut-after-bends" if marks else "step/cut-straight", {"at": piece.cut_text})
    caution = Phrase("caution/cutting")
    found.append(
        Step(len(found) + 1, Phrase("step/cut"), cut, Phrase("check/offer-up"), caution, None)
    )
    return tuple(found)


def _mark_step(piece: PieceToBend, marks: Sequence[Mark]) -> Step:
    places: dict[str, Value] = {"marks": tuple(mark.text for mark in marks), "cut": piece.cut_text}
    return Step(
        1,
        Phrase("step/mark"),
        Phrase("step/mark-from-start", places),
        Phrase("check/hook-tape-once"),
        Phrase("caution/marking"),
        None,
    )


def _form_step(bender: Bender, words: LengthFormatter) -> Step:
    held = words.needed(max(bender.hook, bender.heel))
    return Step(
        2,
        Phrase("step/form"),
        Phrase("step/set-form-up", {"held": held}),
        Phrase("check/square-for-angles"),
        Phrase("caution/heat"),
        None,
    )


def _set_up(
    bender: Bender, mark: Mark, bend: PipeBend, row: Working, words: LengthFormatter
) -> tuple[Phrase, ...]:
    """How the pipe goes into the bender, in the words of the way of working."""
    at: dict[str, Value] = {
        "name": mark.name,
        "mark": mark.text,
        "hook": Phrase(f"pipe-end/{mark.hook}"),
    }
    if bender.traits.warms:
        warm = {"begins": row.warm_from, "ends": row.warm_to}
        toward = {**at, "other": Phrase(f"pipe-end/{other_end(mark.hook)}")}
        return Phrase("step/warm", warm), Phrase("step/warm-mark", toward)
    if bender.way == "chart":
        chart: dict[str, Value] = {
            "end": row.end_of_bend,
            "hook_at": row.hook_at,
            "between": row.between,
            "before": Phrase("step/bend-before" if mark.bend else "step/start-of-pipe"),
            "developed": row.developed,
        }
        return Phrase("step/put", at), Phrase("step/chart", chart)
    if mark.reference == "square":
        return Phrase("step/square-in-former"), Phrase("step/former-toward", at)
    if bender.traits.goes_in_first:
        return (Phrase("step/goes-in-first", at),)
    if mark.reference == "front" and mark.hook == "start" and bend.angle >= _STUB_FROM:
        hung: dict[str, Value] = {
            "take_up": words.reading(bender.take_up),
            "stub": words.reading(mark.position + bender.take_up),
        }
        return Phrase("step/put", at), Phrase("step/hang-take-up", hung)
    return (Phrase("step/put", at),)


def _bend(bender: Bender, bend: PipeBend, row: Working, *, first: bool) -> Phrase:
    """The angle, what to bend to so that it stays (at the first bend, how that is known), and the
    clicks where there are any."""
    values: dict[str, Value] = {"angle": angle(bend.angle)}
    if bender.traits.warms:
        return Phrase("step/bend-warm", values)
    if row.bend_to_text == degrees(bend.angle):
        return Phrase("step/bend", values)
    known = "springback-usual" if bender.springback.typical else "springback-measured"
    values["to"] = row.bend_to_text
    values["clicks"] = Phrase("step/clicks", {"clicks": count(row.clicks)}) if row.clicks else ""
    values["known"] = Phrase(f"step/{known}") if first else ""
    return Phrase("step/bend-to", values)


def _turn(roll: float) -> Phrase:
    """How the pipe is turned since the last bend. A bend whose plane lies clockwise of the last
    one's comes up by turning the pipe the other way."""
    if abs(roll) < SAME_PLANE:
        return Phrase("step/stays")
    if _opposite(roll):
        return Phrase("step/half-over")
    way = "anticlockwise" if roll > 0 else "clockwise"
    return Phrase(f"step/turn-{way}", {"angle": angle(abs(roll))})


def _line(roll: float) -> Phrase:
    """Where the line that was pencilled along the top at the first bend lies at one that is rolled
    from it by so much."""
    if abs(roll) < SAME_PLANE:
        return Phrase("step/line-on-top")
    if _opposite(roll):
        return Phrase("step/line-underneath")
    side = "left" if roll > 0 else "right"
    if abs(abs(roll) - 90) < SAME_PLANE:
        return Phrase(f"step/line-{side}")
    return Phrase(f"step/line-off-top-{side}", {"angle": angle(abs(roll))})


def _how_to_check(
    piece: PieceToBend, index: int, last: int, made: set[int], row: Working
) -> Phrase:
    """How to see that this bend is right, with a figure where one can be put to it."""
    pipe, words, role = piece.pipe, piece.words, piece.roles[index]
    bend = pipe.bends[index]
    roll = roll_between(pipe, last, index) if made else 0.0
    pair = index + role.partner in made if role.partner else False
    if role is Role.FAR and pair:
        depth = {"depth": words.suffixed(row.depth)}
        return in_turn(Phrase("check/parallel-gauged", depth), _parallel_within(words))
    if role is Role.NEAR and pair:
        across = set_depth(bend.angle, bend.radius, pipe.straights[index + 1])
        return in_turn(
            Phrase("check/parallel", {"depth": words.measured(across)}), _parallel_within(words)
        )
    if pair:
        return Phrase("check/in-one-line")
    twists = abs(roll) > SAME_PLANE and not _opposite(roll)
    level = Phrase("check/level-twist" if twists else "check/level", {"angle": angle(bend.angle)})
    return in_turn(level, _measured_check(piece, index, made))


def _parallel_within(words: LengthFormatter) -> Phrase:
    """How parallel is parallel. Source: catalog/limits.toml."""
    limit = limits().parallel_within
    within, over = (words.measured(each.of(words.unit)) for each in (limit.within, limit.over))
    return Phrase("check/parallel-within", {"within": within, "over": over})


def _measured_check(piece: PieceToBend, index: int, made: set[int]) -> Phrase:
    """A length to measure: the stub of a 90, or what a leg rises over so much of its length."""
    pipe, words = piece.pipe, piece.words
    bend = pipe.bends[index]
    back = bend.radius + piece.bender.diameter / 2
    if abs(bend.angle - 90) < SAME_PLANE:
        if not any(earlier < index for earlier in made):
            stub = words.measured(bend.arc_start + back)
            return Phrase("check/stub-from-back", {"stub": stub})
        if index - 1 in made and abs(pipe.bends[index - 1].angle - 90) < SAME_PLANE:
            apart = words.measured(pipe.straights[index] + 2 * back)
            return Phrase("check/back-to-back", {"apart": apart})
        return Phrase("check/plumb")
    over = limits().height_told_over.of(words.unit)
    rise = over * math.sin(math.radians(bend.angle))
    return Phrase("check/rises", {"rise": words.measured(rise), "over": words.measured(over)})


def _opposite(roll: float) -> bool:
    return abs(abs(roll) - 180) < SAME_PLANE
