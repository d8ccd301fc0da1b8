"""The work in order, in words: mark, bend by bend, cut, each with how to check it."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.benders.bender import Reference
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.pipe import StraightPipe
from yarrow.runs.plan import Mark, Step
from yarrow.runs.words import Words, degrees

REFERENCE_NAMES: dict[Reference, str] = {
    "front": "front mark",
    "back": "back-of-bend mark",
    "centre": "centre mark",
    "former": "former's edge",
    "square": "square at the back",
}

_SAME_PLANE = 0.05
"""Degrees of roll that no one can set on a pipe."""

_MARK_CAUTION = "Mark all the way round, so that no mark is lost in the shoe."
_BEND_CAUTION = "Gloves on; fingers away from shoe and roller."
_CUT_CAUTION = "Gloves and eye protection. A burr cuts the wire: ream it."


def steps(
    pipe: StraightPipe,
    marks: tuple[Mark, ...],
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
    made: list[int] = []
    for index in order:
        found.append(_bend_step(len(found) + 1, pipe, marks[index], roles[index], made, words))
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


def _bend_step(
    number: int, pipe: StraightPipe, mark: Mark, role: str, made: list[int], words: Words
) -> Step:
    bend = pipe.bends[mark.bend]
    turn = _roll_words(_roll_between(pipe, made[-1], mark.bend)) if made else ""
    reference = REFERENCE_NAMES[mark.reference]
    do = (
        f"{turn}{reference[0].upper()}{reference[1:]} on {mark.text}, hook toward the "
        f"{mark.hook} of the pipe. Bend {degrees(bend.angle)}, rather under than over."
    )
    return Step(
        number,
        f"Bend {mark.bend + 1}",
        do,
        _check(pipe, mark, role, made, words),
        _BEND_CAUTION,
        mark.bend,
    )


def _roll_words(roll: float) -> str:
    if abs(roll) < _SAME_PLANE:
        return "Pipe stays as it lies. "
    if _opposite(roll):
        return "Turn the pipe half over. "
    way = "clockwise" if roll > 0 else "anticlockwise"
    return f"Turn the pipe {degrees(abs(roll))} {way}, seen from its start. "


def _roll_between(pipe: StraightPipe, last: int, bend: int) -> float:
    """By how much the pipe is turned from the bend made last to this one, −180 < roll ≤ 180."""
    if bend > last:
        roll = sum(pipe.bends[other].roll for other in range(last + 1, bend + 1))
    else:
        roll = -sum(pipe.bends[other].roll for other in range(bend + 1, last + 1))
    return 180.0 - (180.0 - roll) % 360.0


def _check(pipe: StraightPipe, mark: Mark, role: str, made: list[int], words: Words) -> str:
    """How to see that this bend is right, with a figure where one can be put to it."""
    index = mark.bend
    bend = pipe.bends[index]
    against = f"{degrees(bend.angle)} against a level or square"
    if not made:
        return f"{against}."
    roll = _roll_between(pipe, made[-1], index)
    if role == "far":
        apart = _parallel_distance(bend.angle, bend.radius, pipe.straights[index])
        return f"Both legs parallel, {words.length(apart)} from centre line to centre line."
    if role == "outer-far":
        return "Both legs in one line: sight along the pipe, and lay it on something flat."
    if abs(roll) > _SAME_PLANE and not _opposite(roll):
        return f"{against}; sight down the pipe for a twist."
    return f"{against}."


def _opposite(roll: float) -> bool:
    return abs(abs(roll) - 180) < _SAME_PLANE


def _parallel_distance(angle: float, radius: float, straight: float) -> float:
    """Rise of two equal opposite bends with a straight between: (straight + 2 T) sin θ."""
    slope = straight + 2 * tangent_length(radius, angle)
    return slope * math.sin(math.radians(angle))
