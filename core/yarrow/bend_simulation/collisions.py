"""Strikes: where the half-bent pipe meets floor, bench, handle or heel while a bend is made."""

from __future__ import annotations

import math
from collections.abc import Callable, Collection, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise
from typing import Literal

from yarrow.bend_simulation.moving import Moving, moving
from yarrow.bend_simulation.solids import Bar, Top, bars, top
from yarrow.benders.bender import Bender, Hook
from yarrow.catalog.tables import Stance
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.rounded_polyline import Segment
from yarrow.measure.units import Unit, convert_length

SWEEP_STEP = 5.0
FINEST = 0.5
"""Degrees between the moments of a bend that are looked at: at first, and where it is close."""

_LYING = 0.02
"""Of the diameter: pipe that is no lower than this lies on the floor, it does not strike it."""

InTheWay = Literal["floor", "bench", "handle", "heel"]
TOOL: tuple[InTheWay, ...] = ("handle", "heel")
"""Parts of the tool itself: no block helps against them."""


@dataclass(frozen=True, slots=True)
class Collision:
    """What the pipe meets: by how much it would have to be higher (``floor``, ``bench``), or how
    deep it would cut in (``handle``, ``heel``); the place on the straight pipe that meets it; the
    moment, degrees into the bend; how far out on the handle or heel, from the shoe's centre."""

    what: InTheWay
    by: float
    at: float
    angle_so_far: float
    out: float = 0.0


def find_collisions(
    pipe: StraightPipe,
    made: Collection[int],
    index: int,
    hook: Hook,
    bender: Bender,
    stance: Stance,
    unit: Unit,
) -> tuple[Collision, ...]:
    """The worst strike on each thing round the bender while one bend is made; none where nothing
    is met.

    What is said to be clear is so between the moments too (docs/geometry.md, the half-bent pipe).

    Args: pipe, made, index and hook as for half_bent; stance, where the bender is worked; unit, of
    the pipe's lengths.
    """
    in_air = stance.place == "air"
    if not made and not in_air:
        return ()
    moves = moving(pipe, made, index, hook)
    half = bender.diameter / 2
    high = convert_length(stance.height_mm, "mm", unit)
    table = top(bender, stance, unit)
    lying = _LYING * bender.diameter
    found: list[Collision | None] = []
    if in_air:
        # Here the arm that is bent comes down toward the floor itself.
        arm = moving(pipe, made, index, hook, arm=True)
        floor = bender.radius + high
        found.append(_on_floor(arm, floor, half, lying, pipe.cut_length, over=True))
    elif not moves.never_under((table.height if table else -high - half) - lying, half):
        found.append(_on_floor(moves, -high - half, half, lying, pipe.cut_length, over=False))
        if table:
            found.append(_on_table(moves, table, half, lying))
    tool = bars(bender, stance, unit)
    found += [_on_bar(moves, tool[what], what) for what in TOOL if what in tool]
    return tuple(strike for strike in found if strike)


def _moments(angle: float, step: float) -> list[float]:
    count = max(1, math.ceil(angle / step - 1e-9))
    return [angle * n / count for n in range(count + 1)]


def _on_floor(
    moves: Moving, floor: float, half: float, lying: float, length: float, *, over: bool
) -> Collision | None:
    """The floor is under the pipe, or, where the tool is the other way up, over it.

    Between two moments a point of a turning arm goes further toward it than they tell by no more
    than its length × step² / 8; where that could reach, moments half-way are looked at.
    """
    reaches = _highest if over else _lowest
    still = reaches(moves.behind, half, floor, 0.0)

    def at(angle_so_far: float) -> Collision:
        return reaches(moves.ahead_at(angle_so_far), half, floor, angle_so_far)

    found = [still]
    if moves.ahead:
        swept_up = [at(angle_so_far) for angle_so_far in _moments(moves.angle, SWEEP_STEP)]
        found += swept_up
        if max(strike.by for strike in found) <= lying:
            found += _moments_between(swept_up, at, lambda step: length * step**2 / 8)
    worst = max(found, key=lambda strike: strike.by)
    return worst if worst.by > lying else None


def _on_table(moves: Moving, table: Top, half: float, lying: float) -> Collision | None:
    """As on the floor, over a table's top alone. What lies behind the shoe is drawn over it: it is
    met where any part of the way is. What is swept moves sideways too, so every half degree is
    looked at, with the way in between to spare."""
    under, place = replace(table, low=table.low - moves.drawn(moves.angle)).lowest(
        moves.behind, half
    )
    found = [Collision("bench", under, place, 0.0)]
    if moves.ahead and not replace(moves, behind=()).never_under(table.height - lying, half):
        reach = math.hypot(max(-table.low, table.high), table.aside)
        spare = half + reach * math.radians(FINEST) / 2
        for angle_so_far in _moments(moves.angle, FINEST):
            under, place = table.lowest(moves.ahead_at(angle_so_far), spare)
            found.append(Collision("bench", under, place, angle_so_far))
    worst = max(found, key=lambda strike: strike.by)
    return worst if worst.by > lying else None


def _on_bar(moves: Moving, bar: Bar, what: InTheWay) -> Collision | None:
    """What lies ahead of the hook turns with the tool: one look tells all. What lies behind comes
    nearer by no more than the bar's own way; so far moments are left out where it can't arrive."""
    spare = bar.speed() * math.radians(FINEST) / 2

    def strike(pieces: Collection[Segment], angle_so_far: float) -> Collision:
        distance, out, place = bar.closest(pieces, angle_so_far)
        return Collision(what, bar.apart + spare - distance, place, angle_so_far, out)

    def at(angle_so_far: float) -> Collision:
        return strike(moves.behind_at(angle_so_far), angle_so_far)

    found = [strike(moves.ahead, 0.0)]
    if moves.behind:
        nearing = [at(angle_so_far) for angle_so_far in (0.0, moves.angle)]
        found += nearing
        found += _moments_between(nearing, at, lambda step: bar.speed() * step / 2)
    worst = max(found, key=lambda each: each.by)
    return worst if worst.by > 0 else None


def _moments_between(
    looked_at: Sequence[Collision],
    at: Callable[[float], Collision],
    nears: Callable[[float], float],
) -> list[Collision]:
    """Moments between those that were looked at, wherever something could be met there.

    Args: nears, how much closer than at both of two moments it can be between them, by the step in
    radians.
    """
    found: list[Collision] = []
    waiting = list(pairwise(looked_at))
    while waiting:
        begins, ends = waiting.pop()
        step = ends.angle_so_far - begins.angle_so_far
        if step <= FINEST or max(begins.by, ends.by) + nears(math.radians(step)) <= 0:
            continue
        middle = at((begins.angle_so_far + ends.angle_so_far) / 2)
        found.append(middle)
        waiting += [(begins, middle), (middle, ends)]
    return found


def _lowest(pieces: Sequence[Segment], half: float, floor: float, angle_so_far: float) -> Collision:
    """How far below the floor pieces reach; below zero, how far above they stay."""
    below, at = max(
        ((floor - piece.lowest(half), piece.at) for piece in pieces), default=(-math.inf, 0.0)
    )
    return Collision("floor", below, at, angle_so_far)


def _highest(
    pieces: Sequence[Segment], half: float, floor: float, angle_so_far: float
) -> Collision:
    """How far beyond a floor that is over them pieces reach; below zero, how far off they stay."""
    beyond, at = max(
        ((piece.highest(half) - floor, piece.at) for piece in pieces), default=(-math.inf, 0.0)
    )
    return Collision("floor", beyond, at, angle_so_far)
