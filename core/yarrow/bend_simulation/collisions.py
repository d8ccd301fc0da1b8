"""Strikes: where the half-bent pipe meets floor, bench, handle or heel while a bend is made."""

from __future__ import annotations

import math
from collections.abc import Callable, Collection
from heapq import heappop, heappush
from typing import Literal

from yarrow.bend_simulation.moving import Moving, moving
from yarrow.bend_simulation.reach import FloorPenetration, hanging, lying, pushed_down, swept
from yarrow.bend_simulation.solids import Bar, Top, bars, top
from yarrow.benders.bender import Bender, Hook
from yarrow.catalog.stances import Stance, stance_give_mm
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.rounded_polyline import Segment
from yarrow.measure.units import Unit, convert_length
from yarrow.values import dataclass, replace

_NEAR = 0.25
"""Of the diameter: as near as it is known how close a pipe comes to a bar or a table's edge; what
comes no nearer than that counts as met."""

_LYING = 0.02
"""Of the diameter: pipe that is no lower than this lies on the floor, it does not strike it."""

InTheWay = Literal["floor", "bench", "handle", "heel"]
TOOL: tuple[InTheWay, ...] = ("handle", "heel")
"""Parts of the tool itself: no block helps against them."""


@dataclass(frozen=True, slots=True)
class Collision:
    """What the pipe meets: by how much it would have to be higher (``floor``, ``bench``), or how
    deep it would cut in (``handle``, ``heel``); the place on the straight pipe that meets it; the
    moment, degrees into the bend."""

    what: InTheWay
    by: float
    at: float
    angle_so_far: float


def find_collisions(
    pipe: StraightPipe,
    made: Collection[int],
    index: int,
    hook: Hook,
    bender: Bender,
    stance: Stance,
    unit: Unit,
) -> tuple[Collision, ...]:
    """The worst collision on each thing round the bender while one bend is made; none where nothing
    is met.

    What is said to be clear is so between the moments too (docs/at-the-bender.md, the half-bent
    pipe).

    Args:
        pipe: as for half_bent.
        made: as for half_bent.
        index: as for half_bent.
        hook: as for half_bent.
        stance: where the bender is worked.
        unit: of the pipe's lengths.
    """
    if bender.traits.warms or (not made and not stance.in_air):
        # Warm plastic is laid into its form on a bench.
        return ()
    moves = moving(pipe, made, index, hook)
    floor = _in_the_air if stance.in_air else _on_the_floor
    collisions = [floor(moves, bender, stance, unit)]
    table = top(bender, stance, unit)
    if table:
        collisions.append(_on_table(moves, table, bender.diameter / 2, _LYING * bender.diameter))
    tool = bars(bender, stance, unit)
    collisions += [
        _on_bar(moves, tool[what], what, bender.diameter) for what in TOOL if what in tool
    ]
    give = convert_length(stance_give_mm(), "mm", unit)
    return tuple(
        collision
        for collision in collisions
        if collision and (collision.what in TOOL or collision.by > give)
    )


def _on_the_floor(moves: Moving, bender: Bender, stance: Stance, unit: Unit) -> Collision | None:
    """The floor under a tool that stands upright; over an edge it is lower ahead of the hook."""
    half = bender.diameter / 2
    floor = -convert_length(stance.height_mm, "mm", unit) - half
    dropped = floor - convert_length(stance.drop_mm, "mm", unit)
    return _floor(
        lying(moves.behind, half, floor),
        swept(moves.ahead, half, dropped, moves.radius, moves.turn),
        _LYING * bender.diameter,
    )


def _in_the_air(moves: Moving, bender: Bender, stance: Stance, unit: Unit) -> Collision | None:
    """The floor under a tool that is the other way up: as far beyond the shoe's centre as it is
    high."""
    half = bender.diameter / 2
    floor = convert_length(stance.height_mm, "mm", unit)
    return _floor(
        hanging(moves.ahead, half, floor, moves.radius),
        pushed_down((moves.tail, *moves.behind), half, floor, moves.radius, moves.turn),
        _LYING * bender.diameter,
    )


def _floor(
    still: FloorPenetration | None, moved: FloorPenetration | None, lies: float
) -> Collision | None:
    """The worse of two ways to reach a floor, where it is more than lying on it."""
    worst = max(filter(None, (still, moved)), key=lambda through: through.under, default=None)
    if worst is None or worst.under <= lies:
        return None
    return Collision("floor", worst.under, worst.at, math.degrees(worst.moment))


def _on_table(moves: Moving, table: Top, half: float, lies: float) -> Collision | None:
    """As on the floor, over a table's top alone. What lies behind the shoe is drawn over it: it is
    met where any part of the way is. What is swept moves sideways too, on to the top and off it."""
    under, place = replace(table, low=table.low - moves.drawn(moves.angle)).lowest(
        moves.behind, half
    )
    collisions = [Collision("bench", under, place, 0.0)]
    low = swept(moves.ahead, half, table.height, moves.radius, moves.turn)
    if low and low.under > lies:

        def look(angle_so_far: float, moved: float) -> Look:
            pieces = moves.ahead_at(angle_so_far)
            under, place = table.lowest(pieces, half)
            could, _ = table.lowest(pieces, half + moved)
            return Collision("bench", under, place, angle_so_far), could + moved

        reach = math.hypot(max(-table.low, table.high), table.aside)
        collisions += _worst(moves.angle, look, reach, 2 * _NEAR * half, lies)
    worst = max(collisions, key=lambda collision: collision.by)
    return worst if worst.by > lies else None


def _on_bar(moves: Moving, bar: Bar, what: InTheWay, diameter: float) -> Collision | None:
    """What lies ahead of the hook turns with the tool: one look tells all. What lies behind comes
    nearer by no more than the bar's own way."""

    def collision(pieces: Collection[Segment], angle_so_far: float) -> Collision:
        distance, place = bar.closest(pieces, angle_so_far)
        return Collision(what, bar.apart - distance, place, angle_so_far)

    def look(angle_so_far: float, moved: float) -> Look:
        result = collision(moves.behind_at(angle_so_far), angle_so_far)
        return result, min(result.by + moved, bar.apart)

    collisions = [collision(moves.ahead, 0.0)]
    middle = (0.0, 0.0, moves.radius)
    nearest = min((piece.at_least_off(middle) for piece in moves.behind), default=math.inf)
    if nearest - moves.drawn(moves.angle) < bar.far + bar.apart:
        collisions += _worst(moves.angle, look, bar.speed(), _NEAR * diameter, 0.0)
    worst = max(collisions, key=lambda collision: collision.by)
    return worst if worst.by > 0 else None


Look = tuple[Collision, float]
"""What is met at a moment, and the most that could be met beside it."""


def _worst(
    angle: float,
    look: Callable[[float, float], Look],
    speed: float,
    near: float,
    least: float,
) -> list[Collision]:
    """What is met the most while a bend is made, to within ``near``; none where none is met. The
    stretch of the bend that could meet the most is halved: one look at its middle tells for the
    whole of it, as nothing moves further meanwhile than its speed has it.

    Args: angle, of the bend, degrees; look, at a moment, told how far anything moves beside it;
    speed, the most that a distance changes in a radian; least, what counts as met from.
    """
    waiting: list[tuple[float, float, float]] = []
    deepest: Collision | None = None

    def wait(begins: float, ends: float) -> None:
        nonlocal deepest
        moved = speed * math.radians(ends - begins) / 2
        collision, could = look((begins + ends) / 2, moved)
        if could > least:
            heappush(waiting, (-could, begins, ends))
            if deepest is None or collision.by > deepest.by:
                deepest = collision

    wait(0.0, angle)
    while waiting and deepest:
        less, begins, ends = heappop(waiting)
        if -less <= deepest.by + near or speed * math.radians(ends - begins) <= 2 * near:
            # What comes so near counts as met.
            return [deepest if deepest.by > least else replace(deepest, by=-less)]
        middle = (begins + ends) / 2
        wait(begins, middle)
        wait(middle, ends)
    return []
