"""Strikes: where the half-bent pipe meets the floor or the handle while a bend is made."""

from __future__ import annotations

import math
from collections.abc import Collection, Sequence
from dataclasses import dataclass
from itertools import pairwise
from typing import Literal

from yarrow.benders.bender import Bender, Hook
from yarrow.catalog.tables import Stance
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.vectors import Vector, along, dot, subtract
from yarrow.handling.half_bent import Arc, Piece, half_bent
from yarrow.measure.units import Unit, convert_length

SWEEP_STEP = 5.0
FINEST = 0.5
"""Degrees between the moments of a bend that are looked at: at first, and where it is close."""

_HANDLE_LEANS = 45.0
"""Degrees from the pipe on the hook's side to the handle: upright when a bend is at 45."""

_HANDLE_HALF_MM = 15.0
_ARC_STEPS = 6
_LYING = 0.02
"""Of the diameter: pipe that is no lower than this lies on the floor, it does not strike it."""


@dataclass(frozen=True, slots=True)
class Strike:
    """What the pipe meets: by how much it would have to be higher (``floor``), or how deep it would
    cut in (``handle``); the place on the straight pipe that meets it, and the moment, degrees."""

    what: Literal["floor", "handle"]
    by: float
    at: float
    swept: float


def strikes(
    pipe: StraightPipe,
    made: Collection[int],
    index: int,
    hook: Hook,
    bender: Bender,
    stance: Stance,
    unit: Unit,
) -> tuple[Strike, ...]:
    """The worst strike on the floor and on the handle while one bend is made.

    Between two moments a point of a turning arm falls below what they tell by no more than
    its length × step² / 8. Where that could reach the floor, moments half-way are looked at, down
    to half a degree.

    Args: as for half_bent; stance, where the bender is worked.
    Source: docs/geometry.md, the half-bent pipe.
    """
    if not made:
        return ()
    angle = pipe.bends[index].angle
    height = convert_length(stance.height_mm, "mm", unit) + bender.diameter / 2
    handle = convert_length(stance.handle_mm, "mm", unit)
    count = max(1, math.ceil(angle / SWEEP_STEP))
    moments = [angle * n / count for n in range(count + 1)]
    lying = _LYING * bender.diameter
    at_rest = half_bent(pipe, made, index, 0.0, hook)
    found = [_lowest(at_rest.behind, bender, height, 0.0)]
    met: Strike | None = None
    swept_up: list[Strike] = []
    for swept in moments if at_rest.ahead or handle else ():
        bent = half_bent(pipe, made, index, swept, hook)
        swept_up.append(_lowest(bent.ahead, bender, height, swept))
        free = (*bent.behind, *bent.ahead)
        deep = _on_handle(free, swept, bender, handle, unit) if handle else None
        if deep and (met is None or deep[0] > met.by):
            met = Strike("handle", deep[0], deep[1], swept)

    def between(begins: Strike, ends: Strike) -> None:
        step = ends.swept - begins.swept
        near = max(begins.by, ends.by) + pipe.cut_length * math.radians(step) ** 2 / 8
        if step > FINEST and near > 0:
            swept = (begins.swept + ends.swept) / 2
            bent = half_bent(pipe, made, index, swept, hook)
            middle = _lowest(bent.ahead, bender, height, swept)
            found.append(middle)
            between(begins, middle)
            between(middle, ends)

    found += swept_up
    if at_rest.ahead and max(strike.by for strike in found) <= lying:
        for begins, ends in pairwise(swept_up):
            between(begins, ends)
    worst = max(found, key=lambda strike: strike.by)
    floor = worst if worst.by > lying else None
    return tuple(strike for strike in (floor, met) if strike)


def _lowest(pieces: Sequence[Piece], bender: Bender, height: float, swept: float) -> Strike:
    """How far below the floor pieces reach; below zero, how far above they stay."""
    radius = bender.diameter / 2
    below, at = max(
        ((-(piece.lowest(radius) + height), piece.at) for piece in pieces),
        default=(-math.inf, 0.0),
    )
    return Strike("floor", below, at, swept)


def _on_handle(
    pieces: Collection[Piece],
    swept: float,
    bender: Bender,
    handle: float,
    unit: Unit,
) -> tuple[float, float] | None:
    """How deep earlier bends' legs would cut into the handle, and where on the pipe."""
    lean = math.radians(_HANDLE_LEANS + swept)
    way = (math.cos(lean), 0.0, math.sin(lean))
    middle = (0.0, 0.0, bender.radius)
    near = 2 * bender.radius
    apart = bender.diameter + convert_length(_HANDLE_HALF_MM, "mm", unit)
    lowest = middle[2] + min(near * way[2], handle * way[2])
    worst: tuple[float, float] | None = None
    for piece in pieces:
        points = piece.points(_ARC_STEPS if isinstance(piece, Arc) else 1)
        for begins, ends in pairwise(points):
            # The handle stands in the plane of the bend, well over the shoe.
            if max(begins[2], ends[2]) + apart < lowest:
                continue
            if min(abs(begins[1]), abs(ends[1])) > apart and begins[1] * ends[1] > 0:
                continue
            distance = _between(begins, ends, middle, way, near, handle)
            deep = apart - distance
            if deep > 0 and (worst is None or deep > worst[0]):
                worst = (deep, piece.at)
    return worst


def _between(
    begins: Vector, ends: Vector, middle: Vector, way: Vector, low: float, high: float
) -> float:
    """The least distance of a segment from the handle, between two places along it."""
    leg = subtract(ends, begins)
    off = subtract(begins, middle)
    size, across = dot(leg, leg), dot(leg, way)
    if size == 0.0:
        place = min(max(dot(off, way), low), high)
        return math.dist(begins, along(middle, way, place))
    spread = size - across * across
    part = 0.0 if spread <= 1e-12 else (across * dot(off, way) - dot(off, leg)) / spread
    best = math.inf
    for share in (min(max(part, 0.0), 1.0), 0.0, 1.0):
        point = along(begins, leg, share)
        place = min(max(dot(subtract(point, middle), way), low), high)
        on_handle = along(middle, way, place)
        again = min(max(dot(subtract(on_handle, begins), leg) / size, 0.0), 1.0)
        best = min(best, math.dist(along(begins, leg, again), on_handle))
    return best
