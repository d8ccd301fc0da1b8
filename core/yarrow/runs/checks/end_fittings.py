"""What would fit instead: the steepest angle and the least rise that leave arcs their room."""

from __future__ import annotations

import math
from fractions import Fraction

from yarrow.features.feature import Feature, changed, lay
from yarrow.features.leg import FIRST_LEG, Pipe
from yarrow.findings.finding import Remedy
from yarrow.geometry.pipe import develop
from yarrow.runs.model.run import ResolvedRun
from yarrow.wording.lengths import angle as angle_quantity
from yarrow.wording.phrase import Phrase, Value

USUAL_ANGLES = (60.0, 45.0, 30.0, 22.5, 15.0, 10.0)
"""The angles that benders are marked with, steepest first."""

_FAR = 1000.0
_HALVINGS = 40


def own_room(line: Feature, pipe: Pipe) -> float:
    """The least straight between a line's own arcs; below zero where they overlap.

    Returns:
        In the run's unit.
    """
    laid = lay(line, FIRST_LEG, pipe)
    reach = _FAR * pipe.radius
    vertices = [
        FIRST_LEG.point(laid.begins - reach),
        *(corner.point for corner in laid.corners),
        laid.after.point(laid.ends + reach),
    ]
    return min(develop(vertices, pipe.radius).straights[1:-1], default=math.inf)


def steepest_angle(line: Feature, pipe: Pipe, straight: float) -> float | None:
    """The steepest usual angle below the line's own that leaves so much straight; None without.

    Args:
        straight: that is wanted, in the run's unit.

    Returns:
        Degrees.
    """
    own = line.own_angle or 0.0
    for angle in USUAL_ANGLES:
        if angle < own and own_room(changed(line, angle=angle), pipe) >= straight:
            return angle
    return None


def least_rise(line: Feature, pipe: Pipe, straight: float) -> float:
    """The least rise at which the line, at its own angle, leaves so much straight.

    Args:
        straight: that is wanted, in the run's unit.

    Returns:
        In that unit.
    """
    low, high = 0.0, _FAR * pipe.radius
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        fits = own_room(changed(line, rise=Fraction(middle)), pipe) >= straight
        low, high = (low, middle) if fits else (middle, high)
    return high


def shallower(
    run: ResolvedRun, feature: int, pipe: Pipe, straight: float
) -> tuple[Phrase, Remedy | None]:
    """Advice, and its touch, for a line whose own arcs are too close for ``straight`` between.

    Args:
        feature: the line's number, from 0.
        straight: the length that must be left between its arcs, in the run's unit.
    """
    line = run.walk[feature]
    angle = steepest_angle(line, pipe, straight)
    if angle is None:
        return Phrase("larger-rise"), None
    gentler = angle_quantity(angle)
    advice, use = Phrase("use-angle", {"angle": gentler}), Phrase("use", {"what": gentler})
    if feature in run.answers:
        pick = f"{line.document.kind} {angle:g}"
        return advice, Remedy(use, f"walk[{feature}].pick", pick)
    return advice, Remedy(use, f"walk[{feature}].angle", angle)


def usual_gentler(line: Feature) -> tuple[float, ...]:
    """The usual angles that are gentler than a line's own, the steepest first; none for a line
    without one.

    Args:
        line: of a walk.

    Returns:
        Degrees.
    """
    own = line.own_angle or 0.0
    return tuple(angle for angle in USUAL_ANGLES if angle < own)


def rise_needed(run: ResolvedRun, line: Feature, pipe: Pipe) -> Value:
    """The least rise at the line's own angle; empty for a line without one."""
    if line.own_angle is None:
        return ""
    return run.lengths.needed(least_rise(line, pipe, 0.0))
