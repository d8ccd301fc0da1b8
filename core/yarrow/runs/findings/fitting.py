"""What would fit instead: the steepest angle and the least rise that leave arcs their room."""

from __future__ import annotations

import math
from dataclasses import replace
from fractions import Fraction

from yarrow.bends.box_offset import BoxOffset
from yarrow.bends.leg import FIRST_LEG, Pipe
from yarrow.bends.offset import Offset
from yarrow.bends.registry import Line
from yarrow.bends.saddle3 import Saddle3
from yarrow.bends.saddle4 import Saddle4
from yarrow.findings.finding import Remedy
from yarrow.geometry.pipe import develop
from yarrow.runs.run import Run
from yarrow.runs.words import Words
from yarrow.runs.words import angle as angle_quantity
from yarrow.wording.phrase import Phrase, Value

Angled = Offset | Saddle3 | Saddle4 | BoxOffset
"""Lines with several arcs of their own, at an angle that can be chosen."""

USUAL_ANGLES = (60.0, 45.0, 30.0, 22.5, 15.0, 10.0)
"""The angles that benders are marked with, steepest first."""

_FAR = 1000.0
_HALVINGS = 40


def own_room(line: Angled, pipe: Pipe) -> float:
    """The least straight between a line's own arcs; below zero where they overlap."""
    laid = line.lay(FIRST_LEG, pipe)
    reach = _FAR * pipe.radius
    vertices = [
        FIRST_LEG.point(laid.begins - reach),
        *(corner.point for corner in laid.corners),
        laid.after.point(laid.ends + reach),
    ]
    return min(develop(vertices, pipe.radius).straights[1:-1], default=math.inf)


def steepest_angle(line: Angled, pipe: Pipe, straight: float) -> float | None:
    """The steepest usual angle below the line's own that leaves so much straight; None without."""
    for angle in USUAL_ANGLES:
        if angle < line.angle and own_room(replace(line, angle=angle), pipe) >= straight:
            return angle
    return None


def least_rise(line: Angled, pipe: Pipe, straight: float) -> float:
    """The least rise at which the line, at its own angle, leaves so much straight."""
    low, high = 0.0, _FAR * pipe.radius
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        fits = own_room(replace(line, rise=Fraction(middle)), pipe) >= straight
        low, high = (low, middle) if fits else (middle, high)
    return high


def shallower(run: Run, feature: int, pipe: Pipe, straight: float) -> tuple[Phrase, Remedy | None]:
    """Advice, and its touch, for a line whose own arcs are too close for ``straight`` between."""
    line = run.walk[feature]
    if not isinstance(line, Angled):
        return Phrase("larger-rise"), None
    angle = steepest_angle(line, pipe, straight)
    if angle is None:
        return Phrase("larger-rise"), None
    told = angle_quantity(angle)
    advice, use = Phrase("use-angle", {"angle": told}), Phrase("use", {"what": told})
    if feature in run.answers:
        pick = f"{line.document.kind} {angle:g}"
        return advice, Remedy(use, f"walk[{feature}].pick", pick)
    return advice, Remedy(use, f"walk[{feature}].angle", angle)


def rise_needed(line: Line, pipe: Pipe, words: Words) -> Value:
    """The least rise at the line's own angle; empty for a line without one."""
    if not isinstance(line, Angled):
        return ""
    return words.needed(least_rise(line, pipe, 0.0))
