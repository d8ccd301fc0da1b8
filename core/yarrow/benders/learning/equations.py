"""What a measured bend tells of a bender: equations in its unknowns, each with its own error."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from statistics import median
from typing import Literal

from yarrow.benders.learning.likely_angle import ANGLE_READING, STOPPED
from yarrow.benders.learning.measured_bend import MeasuredBend
from yarrow.benders.springback import Springback
from yarrow.measure import ieee
from yarrow.values import dataclass, replace

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
        docs/at-the-bender.md, learning a bender.
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
        docs/at-the-bender.md, learning a bender.
    """
    for number, (bend, angle) in enumerate(zip(bends, angles, strict=True)):
        equations = list(_of_a_bend(number, bend, angle, tape, radius))
        if len(equations) == 2:
            stub, saved = equations
            by_angle = _leg_tilted(angle, tape, radius) * _saving_tilted(angle, tape, radius)
            shared = ieee.square(READING * tape.mark) + by_angle
            share = shared / ieee.square(saved.error)
            factors = tuple(
                one - share * other for one, other in zip(stub.factors, saved.factors, strict=True)
            )
            error = math.sqrt(ieee.square(stub.error) - share * shared)
            equations[0] = replace(
                stub, factors=factors, value=stub.value - share * saved.value, error=error
            )
        yield from equations


def _of_a_bend(
    number: int, bend: MeasuredBend, angle: KeptAngle, tape: Tape, radius: float
) -> Iterator[Equation]:
    half, reading = tape.diameter / 2, READING * tape.mark
    theta = math.radians(angle.angle)
    t = ieee.tan(theta / 2)
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
    t = ieee.tan(math.radians(angle.angle) / 2)
    return math.radians(angle.error) * (radius + tape.diameter / 2) * (1 + t * t) / 2


def _saving_tilted(angle: KeptAngle, tape: Tape, radius: float) -> float:
    """What an angle that is off makes of what both legs save."""
    t = ieee.tan(math.radians(angle.angle) / 2)
    return math.radians(angle.error) * (radius * t * t + tape.diameter / 2 * (1 + t * t))


def angle_equations(
    bends: Sequence[MeasuredBend], usual: Springback, known: AngleUnknowns
) -> Iterator[Equation]:
    """What commanded angles and clicks tell: how far the scale is off at nothing, by what the
    springback is more than the usual, in degrees at a 90 and its curve, and the degrees of a click.

    What is read is an angle, with its error; so an unknown's factor goes by what the tool was set
    to, not by that reading. With the reading on both sides of the equation no clicks and no
    springback at all would explain it best.

    Args:
        bends: in the order that they were made.
        usual: springback that nobody measured.
        known: about, of the unknowns: what a setting makes of an angle.

    Returns:
        One a setting that was kept. Where a bend has both, the second is without the share of the
        angle's error that it has in common with the first.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    for number, bend in enumerate(bends):
        read = 0.0 if bend.angle is None else ANGLE_READING
        bend_to = usual.bend_to(bend.kept)
        scale: Equation | None = None
        if bend.commanded is not None:
            share = _share_of_90(bend, known.kept_at(bend.commanded - known.offset, usual))
            factors: tuple[float, ...] = (1.0, share, share * share, 0.0)
            error = math.hypot(STOPPED, read)
            scale = Equation(number, "angle", factors, bend.commanded - bend_to, error)
            yield scale
        if bend.clicks:
            share = _share_of_90(bend, known.kept_at(known.click * bend.clicks, usual))
            factors = (0.0, -share, -share * share, float(bend.clicks))
            variance, value = ieee.square(known.click * _ROUNDED) + read * read, bend_to
            if scale is not None:
                common = read * read / ieee.square(scale.error)
                factors = tuple(
                    one + common * other for one, other in zip(factors, scale.factors, strict=True)
                )
                value += common * scale.value
                variance -= common * read * read
            yield Equation(number, "angle", factors, value, math.sqrt(variance))


_BELIEVABLE = 25.0
"""Degrees by which a setting and what was read may differ and still be of one bend."""


def _share_of_90(bend: MeasuredBend, by_setting: float) -> float:
    """Of a 90, how far a bend went: by what the tool was set to; as it was read where a square said
    so, or where the two are of different bends."""
    sure = bend.angle is None or abs(by_setting - bend.angle) > _BELIEVABLE
    return (bend.kept if sure else by_setting) / _TURN


@dataclass(frozen=True, slots=True)
class AngleUnknowns:
    """What is known of a scale and of springback, degrees: the ``offset`` at nothing, how much more
    the springback is than the usual at a 90 (``more``) and by its ``curve``, and a ``click``."""

    offset: float
    more: float
    curve: float
    click: float

    @classmethod
    def at_first(
        cls, bends: Sequence[MeasuredBend], usual: Springback, click: float
    ) -> AngleUnknowns:
        """Before any fit: the usual springback, and the click that most bends say.

        Args:
            bends: that were measured.
            usual: springback that nobody measured.
            click: degrees, where no bend says so.
        """
        clicked = [usual.bend_to(bend.kept) / bend.clicks for bend in bends if bend.clicks]
        return cls(0.0, 0.0, 0.0, median(clicked) if clicked else click)

    def kept_at(self, bent_to: float, usual: Springback) -> float:
        """The angle that stays of one that the pipe was bent to.

        Args:
            bent_to: degrees, by a scale that is right.
            usual: springback that nobody measured.

        Returns:
            Degrees.
        """
        angle = usual.kept_of(bent_to)
        for _ in range(_TURNS_OF_SPRINGBACK):
            share = angle / _TURN
            angle = usual.kept_of(bent_to - self.more * share - self.curve * share * share)
        return angle


_TURNS_OF_SPRINGBACK = 3
"""Springback hangs on the angle that stays: so often it is worked out from the last."""
