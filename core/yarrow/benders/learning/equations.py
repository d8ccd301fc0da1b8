"""What a measured bend tells of a bender: equations in its unknowns, each with its own error."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Literal

from yarrow.benders.learning.likely import ANGLE_READING, STOPPED
from yarrow.benders.learning.measured_bend import MeasuredBend
from yarrow.benders.springback import Springback

Group = Literal["stub", "gain", "angle"]
"""Equations whose scatter is of one kind: where a bend lies, what it saves, how far it goes."""

READING = 1 / math.sqrt(3)
"""Standard deviation of one reading, in marks of the tape: it is off by up to a whole mark, as
likely by little as by much."""

_ROUNDED = 1 / math.sqrt(12)
"""Standard deviation of what is rounded to the nearest whole, in wholes."""

_TURN = 90.0


@dataclass(frozen=True, slots=True)
class Equation:
    """Σ factor × unknown = ``value``, give or take ``error`` (one standard deviation): told by the
    bend of that number."""

    bend: int
    group: Group
    factors: tuple[float, ...]
    value: float
    error: float


@dataclass(frozen=True, slots=True)
class Tape:
    """What lengths are read with and on: the conduit's ``diameter`` and the tape's smallest
    ``mark``, in one unit."""

    diameter: float
    mark: float


@dataclass(frozen=True, slots=True)
class KeptAngle:
    """An angle that stayed and its standard deviation, degrees."""

    angle: float
    error: float


def angles_read(bends: Sequence[MeasuredBend]) -> list[KeptAngle]:
    """The angles of bends as they were read; of one that was made a 90 by the square, exactly that.

    Args:
        bends: in the order that they were made.
    """
    return [KeptAngle(bend.kept, 0.0 if bend.angle is None else ANGLE_READING) for bend in bends]


def lengths_read(
    bends: Sequence[MeasuredBend], angles: Sequence[KeptAngle], tape: Tape, radius: float
) -> Iterator[Equation]:
    """What the legs say as they were read, in take-up and radius.

    Stub less mark is K − (R + D/2)(1 − t), stub and tail less stick R(2t − θ) + D t, with t the
    tangent of half the angle; a tail alone, as a stub from the far side.

    Args:
        bends: in the order that they were made.
        angles: theirs, degrees.
        tape: that they were read with.
        radius: about, in its unit; what an angle that is off makes of a length.
    Source:
        docs/geometry.md, learning a bender.
    """
    for number, (bend, angle) in enumerate(zip(bends, angles, strict=True)):
        yield from _of_a_bend(number, bend, angle, tape, radius)


def length_equations(
    bends: Sequence[MeasuredBend], angles: Sequence[KeptAngle], tape: Tape, radius: float
) -> Iterator[Equation]:
    """The same without what two of them have in common: both are off by one stub and one angle that
    were read, so of the stub's that share is taken which the other tells already.

    Args:
        bends, angles, tape, radius: as for lengths_read, in the tape's unit.
    Source:
        docs/geometry.md, learning a bender.
    """
    for number, (bend, angle) in enumerate(zip(bends, angles, strict=True)):
        equations = list(_of_a_bend(number, bend, angle, tape, radius))
        if len(equations) == 2:
            stub, saved = equations
            by_angle = _leg_tilted(angle, tape, radius) * _saving_tilted(angle, tape, radius)
            shared = (READING * tape.mark) ** 2 + by_angle
            share = shared / saved.error**2
            factors = tuple(
                one - share * other for one, other in zip(stub.factors, saved.factors, strict=True)
            )
            error = math.sqrt(stub.error**2 - share * shared)
            equations[0] = replace(
                stub, factors=factors, value=stub.value - share * saved.value, error=error
            )
        yield from equations


def _of_a_bend(
    number: int, bend: MeasuredBend, angle: KeptAngle, tape: Tape, radius: float
) -> Iterator[Equation]:
    half, reading = tape.diameter / 2, READING * tape.mark
    theta = math.radians(angle.angle)
    t = math.tan(theta / 2)
    if bend.mark is not None and bend.stub is not None:
        value = float(bend.stub) - float(bend.mark) + half * (1 - t)
        error = math.hypot(math.sqrt(2) * reading, _leg_tilted(angle, tape, radius))
        yield Equation(number, "stub", (1.0, t - 1), value, error)
    if bend.stick is None or bend.tail is None:
        return
    if bend.stub is not None:
        value = float(bend.stub) + float(bend.tail) - float(bend.stick) - tape.diameter * t
        error = math.hypot(math.sqrt(3) * reading, _saving_tilted(angle, tape, radius))
        yield Equation(number, "gain", (0.0, 2 * t - theta), value, error)
    elif bend.mark is not None:
        value = float(bend.tail) - float(bend.stick) + float(bend.mark) - half * (1 + t)
        error = math.hypot(math.sqrt(3) * reading, _leg_tilted(angle, tape, radius))
        yield Equation(number, "stub", (-1.0, 1 - theta + t), value, error)


def _leg_tilted(angle: KeptAngle, tape: Tape, radius: float) -> float:
    """What an angle that is off makes of a leg."""
    t = math.tan(math.radians(angle.angle) / 2)
    return math.radians(angle.error) * (radius + tape.diameter / 2) * (1 + t * t) / 2


def _saving_tilted(angle: KeptAngle, tape: Tape, radius: float) -> float:
    """What an angle that is off makes of what both legs save."""
    t = math.tan(math.radians(angle.angle) / 2)
    return math.radians(angle.error) * (radius * t * t + tape.diameter / 2 * (1 + t * t))


def angle_equations(bends: Sequence[MeasuredBend], usual: Springback) -> Iterator[Equation]:
    """What commanded angles and clicks tell: how far the scale is off at nothing, by what the
    springback is more than the usual, in degrees at a 90 and its curve, and the degrees of a click.

    Args:
        bends: in the order that they were made.
        usual: springback that nobody measured.
    Source:
        docs/geometry.md, learning a bender.
    """
    for number, bend in enumerate(bends):
        share = bend.kept / _TURN
        read = 0.0 if bend.angle is None else ANGLE_READING
        bend_to = usual.bend_to(bend.kept)
        if bend.commanded is not None:
            factors = (1.0, share, share * share, 0.0)
            error = math.hypot(STOPPED, read)
            yield Equation(number, "angle", factors, bend.commanded - bend_to, error)
        if bend.clicks:
            about = bend_to / bend.clicks
            factors = (0.0, -share, -share * share, float(bend.clicks))
            error = math.hypot(about * _ROUNDED, read)
            yield Equation(number, "angle", factors, bend_to, error)
