"""Arcs that have no room: overlapping, before the start of the pipe, beyond its end."""

from __future__ import annotations

import math

from yarrow.bends.offset import Offset
from yarrow.runs.findings.draft import Draft, line_name
from yarrow.runs.plan import Finding, Remedy
from yarrow.runs.words import degrees

_HAIR = 1e-9

USUAL_ANGLES = (60.0, 45.0, 30.0, 22.5, 15.0, 10.0)
"""The angles that benders are marked with, steepest first."""


def arc_findings(draft: Draft) -> list[Finding]:
    """An error for every straight of the pipe that would be shorter than nothing."""
    bends = len(draft.pipe.bends)
    found = []
    for index, straight in enumerate(draft.pipe.straights):
        if straight >= -_HAIR:
            continue
        if index == 0 and bends:
            found.append(_before_start(draft, -straight))
        elif index == bends:
            found.append(_beyond_end(draft, -straight))
        else:
            found.append(_overlap(draft, index, -straight))
    return found


def _before_start(draft: Draft, short: float) -> Finding:
    feature = draft.feature(0)
    need = draft.words.at_least(short)
    return Finding(
        "error",
        "before-start",
        f"The first arc would begin {need} before the pipe does. Measure further from the start, "
        f"or start the pipe {need} earlier.",
        feature,
        f"walk[{feature}].at" if draft.run.walk else "path",
        (0,),
        draft.move(feature, short),
    )


def _beyond_end(draft: Draft, short: float) -> Finding:
    last = len(draft.run.walk) - 1
    bend = len(draft.pipe.bends) - 1
    need = draft.words.at_least(short)
    return Finding(
        "error",
        "end-short",
        f"The pipe ends {need} short of the end of its last arc. The end has to be at least "
        f"{need} further on, or the last bend that much earlier.",
        last if draft.run.walk else None,
        f"walk[{last}].at" if draft.run.walk else "path",
        (bend,) if bend >= 0 else (),
        draft.move(last, short),
    )


def _overlap(draft: Draft, index: int, short: float) -> Finding:
    before, after = draft.feature(index - 1), draft.feature(index)
    line = draft.run.walk[after] if draft.run.walk else None
    need = draft.words.at_least(short)
    if isinstance(line, Offset) and before == after:
        return _offset_too_steep(draft, after, line, index)
    name = line_name(draft.run, before)
    return Finding(
        "error",
        "arcs-overlap",
        f"The arc of {line_name(draft.run, after)} would begin {need} before the arc of {name} "
        f"has ended. Move it at least {need} further along.",
        after,
        f"walk[{after}].at" if line else "path",
        (index - 1, index),
        draft.move(after, short),
    )


def _offset_too_steep(draft: Draft, feature: int, line: Offset, index: int) -> Finding:
    least_rise = 2 * draft.pipe.bends[index].radius * (1 - math.cos(math.radians(line.angle)))
    angle = steepest_offset(float(line.rise), draft.pipe.bends[index].radius, 0.0, line.angle)
    advice = f"use {degrees(angle)}" if angle else "a kick or a box offset is the usual way"
    return Finding(
        "error",
        "arcs-overlap",
        f"At {degrees(line.angle)} this bender's two arcs need a rise of at least "
        f"{draft.words.at_least(least_rise)}; this one is {draft.words.length(float(line.rise))}: "
        f"{advice}.",
        feature,
        f"walk[{feature}].angle",
        (index - 1, index),
        Remedy(f"Use {degrees(angle)}", f"walk[{feature}].angle", angle) if angle else None,
    )


def steepest_offset(rise: float, radius: float, straight: float, below: float) -> float | None:
    """The steepest usual angle under ``below`` that leaves ``straight`` between an offset's arcs.

    From h / sin θ − 2 r tan(θ/2) ≥ straight. Source: docs/geometry.md.

    Args: rise, radius and straight in one unit; below in degrees. Returns: degrees, or None.
    """
    for angle in USUAL_ANGLES:
        radians = math.radians(angle)
        room = rise / math.sin(radians) - 2 * radius * math.tan(radians / 2)
        if angle < below and room >= straight:
            return angle
    return None
