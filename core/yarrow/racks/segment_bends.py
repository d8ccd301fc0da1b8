"""Corners of a rack about one centre: each pipe's radius, and wide bends as many small ones."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.geometry.arcs import arc_length
from yarrow.geometry.parallel import chamfered
from yarrow.geometry.vectors import Vector, angle_between, subtract
from yarrow.measure import ieee
from yarrow.racks.pipe_paths import RackPipePath
from yarrow.racks.rack_plan import SegmentBend
from yarrow.role import Role
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.model.run import Rack, ResolvedRun

_HAIR = 1e-6


def radii(line: RackPipePath, laid: Sequence[RackPipePath], rack: Rack) -> list[float]:
    """The radius of each corner of a pipe: its shoe's; about one centre, wider by as much as it
    lies further out than the innermost, and nowhere tighter than any pipe's own shoe.

    Args:
        laid: the lines of all pipes that have one.

    Returns:
        One a corner, in the run's unit.
    """
    own = line.run.bender.radius
    if rack.corners == "same":
        return [own] * len(line.outward)
    result = []
    for corner, outward in enumerate(line.outward):
        if not line.owners[corner][1].turns:
            result.append(own)
            continue
        centre = max(path.run.bender.radius - path.outward[corner] for path in laid)
        result.append(centre + outward)
    return result


Wide = list[tuple[int, float, int]]
"""Wide bends: the line of the walk, the radius, the number of shots."""


def bends_of(line: RackPipePath, radii: Sequence[float], rack: Rack) -> int:
    """How many bends a pipe takes, each shot counted.

    Args:
        radii: of its corners, in the run's unit.
    """
    return sum(
        _count(line, radius, _angle(line.vertices[corner : corner + 3]), rack)
        for corner, radius in enumerate(radii)
    )


def _count(line: RackPipePath, radius: float, angle: float, rack: Rack) -> int:
    if radius <= line.run.bender.radius + _HAIR:
        return 1
    return max(math.ceil(angle / rack.shot - 1e-9), 1)


def in_segments(
    line: RackPipePath, radii: Sequence[float], rack: Rack
) -> tuple[tuple[Vector, ...], tuple[tuple[int, Role], ...], Wide]:
    """A pipe's vertices with every corner that is wider than its shoe as many small ones.

    Args:
        radii: of its corners, in the run's unit.

    Returns:
        The vertices, the part of each bend, and which corners are wide.
    """
    vertices: list[Vector] = [line.vertices[0]]
    owners: list[tuple[int, Role]] = []
    wide: Wide = []
    for corner, radius in enumerate(radii):
        around = line.vertices[corner : corner + 3]
        angle = _angle(around)
        owner = line.owners[corner]
        count = _count(line, radius, angle, rack)
        if count > 1:
            wide.append((owner[0], radius, count))
            owner = (owner[0], Role.SEGMENT)
        made = chamfered(around, radius, count)
        vertices += made
        owners += [owner] * len(made)
    vertices.append(line.vertices[-1])
    owners.append(line.owners[-1])
    return tuple(vertices), tuple(owners), wide


def _angle(around: Sequence[Vector]) -> float:
    return angle_between(subtract(around[1], around[0]), subtract(around[2], around[1]))


def segment_bend_of(
    run: ResolvedRun, plan: WrittenPlan, feature: int, radius: float, count: int
) -> SegmentBend:
    """A wide bend's figures, as they are read off on the pipe.

    Args:
        run: of the pipe.
        feature: the line of the walk that the bend is of.
        radius: of the whole, in the run's unit.
        count: of its segments.
    """
    words = run.lengths
    own = [
        n
        for n, bend in enumerate(plan.bends)
        if (bend.feature, bend.role) == (feature, Role.SEGMENT)
    ]
    first = plan.bends[own[0]]
    step = math.radians(first.angle)
    flat = 2 * (radius - first.radius) * ieee.tan(step / 2)
    apart = arc_length(first.radius, first.angle) + flat
    marks = {mark.bend: mark for mark in plan.marks}
    return SegmentBend(
        feature=feature,
        bend=own[0],
        radius=radius,
        radius_text=words.reading(radius),
        count=count,
        degrees=first.angle,
        apart=apart,
        apart_text=words.reading(apart),
        first_text=marks[own[0]].text if own[0] in marks else "",
        developed=count * apart,
        developed_text=words.reading(count * apart),
    )
