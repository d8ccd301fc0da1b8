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
from yarrow.wording.lengths import LengthFormatter, degrees

_STUB_FROM = 80.0
"""Degrees from which a bend at the start is told as a stub."""

_MARK_CAUTION = (
    "Mark all the way round, so that no mark is lost in the shoe: in pencil where the pipe stays "
    "in sight, since ink bleeds through paint."
)
_BEND_CAUTIONS = {
    "hand": "Gloves on; fingers away from shoe and roller.",
    "ratchet": "The handle comes out when no one holds it. Fingers away from shoe and roller.",
    "mechanical": "The handle comes out when no one holds it. Fingers away from shoe and roller.",
    "powered": "Hands off the pipe while the shoe turns. Lift long pipe with two.",
    "bench": "Gloves on; fingers away from former and arm.",
    "heat": "Heat guns and hot plastic burn: gloves on, and air in the room.",
}
_CUT_CAUTION = "Gloves and eye protection. A burr cuts the wire: ream it."


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

    Args: rows, how each bend is worked; order, the sequence in which bends are made.
    """
    if not marks and piece.pipe.bends:
        return ()
    found = []
    if marks:
        listed = ", ".join(mark.text for mark in marks)
        found.append(
            Step(
                1,
                "Mark",
                f"From the start end, mark {listed}. The cut comes at {piece.cut_text}.",
                "Hook the tape once and read every mark from there; add nothing up on the pipe. "
                "The edge of a line toward the start is the figure: that edge goes on the bender.",
                _MARK_CAUTION,
                None,
            )
        )
    if marks and piece.bender.kind == "heat":
        found.append(_form_step(piece.bender, piece.words))
    made: set[int] = set()
    last = -1
    lies = piece.pipe.rolls_from_start
    from_line = [normalised(roll - lies[order[0]]) for roll in lies] if order else []
    lined = any(abs(roll) >= SAME_PLANE for roll in from_line)
    for index in order:
        mark, bend = marks[index], piece.pipe.bends[index]
        turn = _turn_words(roll_between(piece.pipe, last, index)) if made else ""
        parts = [
            f"{turn}{_set_up(piece.bender, mark, bend, rows[index], piece.words)}",
            _line_words(from_line[index]) if lined and made else "",
            _bend(piece.bender, bend, rows[index], first=not made),
            _LINE if lined and not made else "",
        ]
        found.append(
            Step(
                len(found) + 1,
                f"Bend {index + 1}",
                " ".join(part for part in parts if part),
                _check(piece, index, last, made, rows[index]),
                _BEND_CAUTIONS[piece.bender.kind],
                index,
            )
        )
        made.add(index)
        last = index
    found.append(
        Step(
            len(found) + 1,
            "Cut",
            f"Cut square at {piece.cut_text} from the start end, when the last bend has been "
            "checked."
            if marks
            else f"Cut square at {piece.cut_text}.",
            "Offer it up before the fittings go on.",
            _CUT_CAUTION,
            None,
        )
    )
    return tuple(found)


def _form_step(bender: Bender, words: LengthFormatter) -> Step:
    held = words.at_least(max(bender.hook, bender.heel))
    return Step(
        2,
        "Form",
        f"Set the form up: it takes {held} of straight pipe on both sides of an arc.",
        "A square or a drawn line for every angle, before the pipe is warm.",
        _BEND_CAUTIONS["heat"],
        None,
    )


def _set_up(
    bender: Bender, mark: Mark, bend: PipeBend, row: Working, words: LengthFormatter
) -> str:
    """How the pipe goes into the bender, in the words of the way of working."""
    name = mark.name[0].upper() + mark.name[1:]
    put = f"{name} on {mark.text}, hook toward the {mark.hook} of the pipe."
    if bender.kind == "heat":
        return (
            f"Warm evenly from {row.warm_from} to {row.warm_to}, turning the pipe. "
            f"{name} on {mark.text}: the bend begins there and runs toward the "
            f"{other_end(mark.hook)} of the pipe."
        )
    if bender.way == "chart":
        before = "bend before" if mark.bend else "start of the pipe"
        return (
            f"{put} By the chart: the bend begins on that mark and runs to {row.end_of_bend}, hook "
            f"at {row.hook_at}, {row.between} of straight to the {before}, {row.developed} in the "
            "bend."
        )
    if mark.reference == "square":
        return (
            f"Stand an offcut in the former with a square against the pipe. {name} on {mark.text}, "
            f"former toward the {mark.hook} of the pipe: that end goes in first."
        )
    if bender.kind == "bench":
        return f"{put[:-1]}: that end goes in first."
    if mark.reference == "front" and mark.hook == "start" and bend.angle >= _STUB_FROM:
        stub = words.reading(mark.position + bender.take_up)
        hung = words.reading(bender.take_up)
        return f"{put} Or hang the take-up of {hung} over the end and mark the whole {stub}."
    return put


def _bend(bender: Bender, bend: PipeBend, row: Working, *, first: bool) -> str:
    """The angle, what to bend to so that it stays (at the first bend, how that is known), and the
    clicks where there are any."""
    wanted = degrees(bend.angle)
    if bender.kind == "heat":
        return f"Bend {wanted} against the form, a little past it, and hold it until it is cold."
    known = " (usual for this pipe; measure yours)" if bender.springback.typical else " (measured)"
    if row.bend_to_text == wanted:
        return f"Bend {wanted}, rather under than over."
    clicks = f", about {row.clicks} clicks" if row.clicks else ""
    spring = f"it springs back to {wanted}{known if first else ''}"
    return f"Bend {wanted}, rather under than over: to {row.bend_to_text}{clicks}; {spring}."


def _turn_words(roll: float) -> str:
    """How the pipe is turned since the last bend. A bend whose plane lies clockwise of the last
    one's comes up by turning the pipe the other way."""
    if abs(roll) < SAME_PLANE:
        return "Pipe stays as it lies. "
    if _opposite(roll):
        return "Turn the pipe half over. "
    way = "anticlockwise" if roll > 0 else "clockwise"
    return f"Turn the pipe {degrees(abs(roll))} {way}, seen from its start. "


_LINE = "Before you take it out, pencil a line along the top."


def _line_words(roll: float) -> str:
    """Where the line that was pencilled along the top at the first bend lies at one that is rolled
    from it by so much."""
    if abs(roll) < SAME_PLANE:
        return "The pencil line is on top."
    if _opposite(roll):
        return "The pencil line is underneath."
    side = "left" if roll > 0 else "right"
    if abs(abs(roll) - 90) < SAME_PLANE:
        return f"The pencil line is on the {side}, seen from the start."
    return f"The pencil line is {degrees(abs(roll))} to the {side} of the top, seen from the start."


def _check(piece: PieceToBend, index: int, last: int, made: set[int], row: Working) -> str:
    """How to see that this bend is right, with a figure where one can be put to it."""
    pipe, words, role = piece.pipe, piece.words, piece.roles[index]
    bend = pipe.bends[index]
    roll = roll_between(pipe, last, index) if made else 0.0
    pair = index + role.partner in made if role.partner else False
    if role is Role.FAR and pair:
        return (
            f"Both legs parallel, {words.suffixed(row.depth)} from centre line to centre line: "
            f"gauge that depth with a straightedge before you bend. {_parallel_within(words)}"
        )
    if role is Role.NEAR and pair:
        depth = words.length(set_depth(bend.angle, bend.radius, pipe.straights[index + 1]))
        legs = f"Both legs parallel, {depth} from centre line to centre line."
        return f"{legs} {_parallel_within(words)}"
    if pair:
        return "Both legs in one line: sight along the pipe, and lay it on something flat."
    twist = "; sight down the pipe for a twist" if abs(roll) > SAME_PLANE else ""
    if _opposite(roll):
        twist = ""
    return f"{degrees(bend.angle)} against a level or square{twist}. {_figure(piece, index, made)}"


def _parallel_within(words: LengthFormatter) -> str:
    """How parallel is parallel. Source: catalog/limits.toml."""
    limit = limits().parallel_within
    within, over = limit.within.of(words.unit), limit.over.of(words.unit)
    return f"No more than {words.length(within)} closer at one end over {words.length(over)}."


def _figure(piece: PieceToBend, index: int, made: set[int]) -> str:
    """A length to measure: the stub of a 90, or what a leg rises over so much of its length."""
    pipe, words = piece.pipe, piece.words
    bend = pipe.bends[index]
    back = bend.radius + piece.bender.diameter / 2
    if abs(bend.angle - 90) < SAME_PLANE:
        if not any(earlier < index for earlier in made):
            stub = words.length(bend.arc_start + back)
            return f"The leg plumb when the other is level: {stub} from its back to the start end."
        if index - 1 in made and abs(pipe.bends[index - 1].angle - 90) < SAME_PLANE:
            apart = words.length(pipe.straights[index] + 2 * back)
            return f"The leg plumb when the last is level: {apart} from back to back."
        return "The leg plumb when the last is level."
    over = float(limits().height_told_over.of(words.unit))
    rise = words.length(over * math.sin(math.radians(bend.angle)))
    return f"With one leg level the other rises {rise} over {words.length(over)} of its length."


def _opposite(roll: float) -> bool:
    return abs(abs(roll) - 180) < SAME_PLANE
