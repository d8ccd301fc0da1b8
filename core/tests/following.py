"""Someone who follows the steps of a plan to the letter, and knows nothing else of it."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from dataclasses import dataclass

from core.tests.builders import text_of
from yarrow.benders.bender import Bender, Hook, Reference
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.pipe import PipeBend
from yarrow.measure.tape import read_length
from yarrow.measure.units import Unit
from yarrow.runs.model.plan import Step

_PLACE = re.compile(
    r"([A-Z][\w' -]+?) on ([\d/ ]+)"
    r"(?:, (?:hook|former) toward|: the bend begins there and runs toward) the (\w+) of"
)
_RUNS = re.compile(r"the bend runs from ([\d/ ]+) to ([\d/ ]+)\.")
_BEND = re.compile(r"Bend ([\d.]+)°")
_GAUGED = re.compile(
    r"one leg (rises|is) ([\d/ ]+) (?:in|mm) (?:(short of|past) plumb )?over ([\d/ ]+) (?:in|mm) of"
)
_TURN = re.compile(r"Turn the pipe ([\d.]+)° (clockwise|anticlockwise)")
_LINE = re.compile(r"The pencil line is (?:([\d.]+)° to|on) the (left|right)")


@dataclass
class Turning:
    """How a pipe lies about itself, by the words of step after step.

    Whoever stands at the pipe's start and looks along it has the bend come up toward the top; in
    the air it goes down. ``upward`` is the line of the pipe's skin that is on top there, in degrees
    clockwise from the line that was on top at the first bend: a pipe turned clockwise brings up
    what lay anticlockwise of it.
    """

    upward: float = 0.0
    lined: bool = False
    in_air: bool = False

    def inside(self, step: Step) -> float:
        """The line of the skin that a bend has on its inside."""
        self.upward -= _clockwise(step)
        text = text_of(step.do)
        if self.lined:
            assert abs((_line_clockwise(step) + self.upward + 180) % 360 - 180) < 0.02, text
        self.in_air = _in_air(step, before=self.in_air)
        self.lined = self.lined or "pencil a line along the top" in text
        return self.upward + (180.0 if self.in_air else 0.0)


def played(steps: Sequence[Step], unit: Unit, bender: Bender) -> list[PipeBend]:
    """What someone bends who reads nothing but the words of the steps."""
    made: list[tuple[float, float, float]] = []
    turning = Turning()
    for step in steps:
        if step.bend is None:
            continue
        inside = turning.inside(step)
        angle = _angle(step, unit, made)
        runs = _RUNS.search(text_of(step.do))
        if runs:
            ends = [float(read_length(each.strip(), unit).value) for each in runs.groups()]
            made.append((min(ends), angle, inside))
            continue
        name, text, hook = _found(_PLACE, step).groups()
        position = float(read_length(text.strip(), unit).value)
        reference = next(r for r in REFERENCES if bender.mark_name(r) == name[0].lower() + name[1:])
        side: Hook = "start" if hook == "start" else "end"
        length = arc_length(bender.radius, angle)
        if "begins there and runs toward" in text_of(step.do):
            made.append((position - (length if side == "start" else 0.0), angle, inside))
            continue
        made.append((bender.arc_start(position, length, side, reference), angle, inside))
    made.sort()
    before = made[0][2] if made else 0.0
    bends = []
    for arc_start, angle, line in made:
        # From the inside of one bend to that of the next, clockwise is the roll.
        bends.append(PipeBend(arc_start, angle, line - before, bender.radius))
        before = line
    return bends


REFERENCES: tuple[Reference, ...] = ("front", "back", "centre", "former", "square")


def _angle(step: Step, unit: Unit, made: Sequence[tuple[float, float, float]]) -> float:
    """By the scale, by the rise of a leg, or as much as the bend before it was bent."""
    if "until both legs are parallel" in text_of(step.do):
        return made[-1][1]
    return angle_said(step, unit)


def angle_said(step: Step, unit: Unit) -> float:
    """By the scale, or by the rise of a leg."""
    text = text_of(step.do)
    gauged = _GAUGED.search(text)
    if gauged is None:
        return float(_found(_BEND, step)[1])
    off, over = _gauge(gauged, unit)
    if gauged[1] == "rises":
        return math.degrees(math.asin(off / over))
    return math.degrees(math.acos(off / over if gauged[3] == "short of" else -off / over))


def _gauge(found: re.Match[str], unit: Unit) -> tuple[float, float]:
    """What the tape reads, over how much of the leg."""
    off, over = (float(read_length(found[part].strip(), unit).value) for part in (2, 4))
    return off, over


def gauged_within(steps: Sequence[Step], unit: Unit, half: float) -> float:
    """By how many radians all angles that are gauged may be off together, where a tape is read to
    ``half`` a mark."""
    within = 0.0
    for step in steps:
        found = _GAUGED.search(text_of(step.do))
        if found:
            off, over = _gauge(found, unit)
            within += half / math.sqrt(over**2 - off**2)
    return within


def _found(pattern: re.Pattern[str], step: Step) -> re.Match[str]:
    found = pattern.search(text_of(step.do))
    assert found, text_of(step.do)
    return found


_LAID_DOWN = ("On the floor", "On the stand", "At the bench", "On blocks", "At an edge")


def _in_air(step: Step, *, before: bool) -> bool:
    """Whether the tool is the other way up, as it was before where nothing is said."""
    text = text_of(step.do)
    return "In the air" in text or (before and not any(place in text for place in _LAID_DOWN))


def _clockwise(step: Step) -> float:
    """By how much the pipe is turned, clockwise to who looks along it from its start."""
    if "half over" in text_of(step.do):
        return 180.0
    found = _TURN.search(text_of(step.do))
    if not found:
        return 0.0
    return float(found[1]) * (1 if found[2] == "clockwise" else -1)


def _line_clockwise(step: Step) -> float:
    """Where the pencil line is said to be, clockwise from the top to who looks from the start."""
    if "The pencil line is on top" in text_of(step.do):
        return 0.0
    if "The pencil line is underneath" in text_of(step.do):
        return 180.0
    degrees, side = _found(_LINE, step).groups()
    return float(degrees or 90) * (1 if side == "right" else -1)
