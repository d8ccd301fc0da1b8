"""The work in order, in words: mark, bend by bend, cut, each with how to check it."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.benders.bender import Bender
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.handling.orders import SAME_PLANE, roll_between
from yarrow.runs.plan import Mark, Step, Working
from yarrow.runs.words import Words, degrees

_STUB_FROM = 80.0
"""Degrees from which a bend at the start is told as a stub."""

_MARK_CAUTION = "Mark all the way round, so that no mark is lost in the shoe."
_BEND_CAUTIONS = {
    "hand": "Gloves on; fingers away from shoe and roller.",
    "ratchet": "The handle comes out when no one holds it. Fingers away from shoe and roller.",
    "mechanical": "The handle comes out when no one holds it. Fingers away from shoe and roller.",
    "powered": "Hands off the pipe while the shoe turns. Lift long pipe with two.",
    "bench": "Gloves on; fingers away from former and arm.",
    "heat": "Heat guns and hot plastic burn: gloves on, and air in the room.",
}
_CUT_CAUTION = "Gloves and eye protection. A burr cuts the wire: ream it."


def steps(
    bender: Bender,
    pipe: StraightPipe,
    marks: tuple[Mark, ...],
    rows: Sequence[Working],
    roles: Sequence[str],
    order: Sequence[int],
    cut_text: str,
    words: Words,
) -> tuple[Step, ...]:
    """What to do, in order, with the figures of this plan; nothing where there are no marks."""
    if not marks and pipe.bends:
        return ()
    found = []
    if marks:
        listed = ", ".join(mark.text for mark in marks)
        found.append(
            Step(
                1,
                "Mark",
                f"From the start end, mark {listed}. The cut comes at {cut_text}.",
                "Hook the tape once and read every mark from there; add nothing up on the pipe.",
                _MARK_CAUTION,
                None,
            )
        )
    if marks and bender.kind == "heat":
        found.append(_form_step(bender, words))
    made: list[int] = []
    for index in order:
        mark, bend = marks[index], pipe.bends[index]
        turn = _roll_words(roll_between(pipe, made[-1], index)) if made else ""
        found.append(
            Step(
                len(found) + 1,
                f"Bend {index + 1}",
                f"{turn}{_set_up(bender, mark, bend, rows[index], words)} "
                f"{_bend(bender, bend, rows[index], first=not made)}",
                _check(pipe, index, roles[index], made, rows[index], words),
                _BEND_CAUTIONS[bender.kind],
                index,
            )
        )
        made.append(index)
    found.append(
        Step(
            len(found) + 1,
            "Cut",
            f"Cut square at {cut_text} from the start end, when the last bend has been checked."
            if marks
            else f"Cut square at {cut_text}.",
            "Offer it up before the fittings go on.",
            _CUT_CAUTION,
            None,
        )
    )
    return tuple(found)


def _form_step(bender: Bender, words: Words) -> Step:
    held = words.length(max(bender.hook, bender.heel))
    return Step(
        2,
        "Form",
        f"Set the form up: it takes {held} of straight pipe on both sides of an arc.",
        "A square or a drawn line for every angle, before the pipe is warm.",
        _BEND_CAUTIONS["heat"],
        None,
    )


def _set_up(bender: Bender, mark: Mark, bend: PipeBend, row: Working, words: Words) -> str:
    """How the pipe goes into the bender, in the words of the way of working."""
    name = mark.name[0].upper() + mark.name[1:]
    put = f"{name} on {mark.text}, hook toward the {mark.hook} of the pipe."
    if bender.kind == "heat":
        return (
            f"Warm evenly from {row.warm_from} to {row.warm_to}, turning the pipe. "
            f"{name} on {mark.text}, the form toward the {mark.hook} of the pipe."
        )
    if bender.way == "chart":
        return (
            f"{put} By the chart: bend starts at {row.start_of_bend}, hook at {row.hook_at}, "
            f"{row.between} of straight before it, {row.developed} in the bend."
        )
    if mark.reference == "square":
        return (
            f"Stand an offcut in the former with a square against the pipe. {name} on {mark.text}, "
            f"former toward the {mark.hook} of the pipe."
        )
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
    spring = f"for the spring{known if first else ''}"
    return f"Bend {wanted}, rather under than over: to {row.bend_to_text}{clicks}, {spring}."


def _roll_words(roll: float) -> str:
    if abs(roll) < SAME_PLANE:
        return "Pipe stays as it lies. "
    if _opposite(roll):
        return "Turn the pipe half over. "
    way = "clockwise" if roll > 0 else "anticlockwise"
    return f"Turn the pipe {degrees(abs(roll))} {way}, seen from its start. "


def _check(
    pipe: StraightPipe, index: int, role: str, made: list[int], row: Working, words: Words
) -> str:
    """How to see that this bend is right, with a figure where one can be put to it."""
    bend = pipe.bends[index]
    against = f"{degrees(bend.angle)} against a level or square"
    if not made:
        return f"{against}."
    roll = roll_between(pipe, made[-1], index)
    if role == "far":
        return (
            f"Both legs parallel, {words.suffixed(row.depth)} from centre line to centre line: "
            "gauge that depth with a straightedge before you bend."
        )
    if role == "outer-far":
        return "Both legs in one line: sight along the pipe, and lay it on something flat."
    if abs(roll) > SAME_PLANE and not _opposite(roll):
        return f"{against}; sight down the pipe for a twist."
    return f"{against}."


def _opposite(roll: float) -> bool:
    return abs(abs(roll) - 180) < SAME_PLANE
