"""How an angle that is on no scale is bent: by what a level and a tape show of the longer leg."""

from __future__ import annotations

import math

from yarrow.benders.kinds import Marking
from yarrow.catalog.limits import limits
from yarrow.geometry.pipe import StraightPipe
from yarrow.measure import ieee
from yarrow.wording.lengths import JobTape
from yarrow.wording.phrase import AngleReading, Phrase

LEGS_PARALLEL = Phrase("gauge/parallel")
"""What shows that the second bend of a set is right."""

_MOST_LENGTHS_OUT = 3


def is_on_a_scale(degrees: float) -> bool:
    """Whether an angle is one that can be read on a bender, a level or a protractor: to half a
    degree.

    Args:
        degrees: the angle.
    """
    return AngleReading(degrees).is_read_as(round(2 * degrees) / 2)


def is_bent_parallel(degrees: float, marking: Marking, *, second: bool) -> bool:
    """Whether a bend is made until the legs on both sides of its set or saddle are parallel, and
    not to an angle.

    Args:
        degrees: its angle.
        marking: the habit.
        second: whether the other bend of its pair is made by then.
    """
    return second and not (marking == "flat" and is_on_a_scale(degrees))


def gauge(words: JobTape, pipe: StraightPipe, index: int) -> Phrase:
    """How much the longer leg beside a bend rises over how much of its length, the other level, or
    how far it is from plumb where it is steep: as far out as a tape takes in at once, and no
    farther than the leg goes.

    Args:
        words: the job's tape.
        pipe: before any bend, in the tape's unit.
        index: of the bend.

    Source:
        catalog/limits.toml.
    """
    once = limits().height_noted_over.of(words.unit)
    leg = max(pipe.straights[index], pipe.straights[index + 1])
    over = once * min(max(math.floor(leg / once), 1), _MOST_LENGTHS_OUT)
    theta = math.radians(pipe.bends[index].angle)
    far = words.measured(over)
    if abs(ieee.sin(theta)) <= abs(ieee.cos(theta)):
        rise = words.measured(over * ieee.sin(theta))
        return Phrase("gauge/rises", {"rise": rise, "over": far})
    lean = over * ieee.cos(theta)
    side = "short-of-plumb" if lean > 0 else "past-plumb"
    return Phrase(f"gauge/{side}", {"lean": words.measured(abs(lean)), "over": far})
