"""Calibration: what a bender does, from all that was measured on it with the tape of the work."""

from __future__ import annotations

import math
from collections.abc import Collection, Mapping, Sequence
from typing import Literal, NamedTuple

from yarrow.benders.known_to import KnownTo
from yarrow.benders.learning.drift import Drift, followed
from yarrow.benders.learning.equations import (
    AngleUnknowns,
    Equation,
    KeptAngle,
    Tape,
    angle_equations,
    angles_read,
    length_equations,
    lengths_read,
)
from yarrow.benders.learning.least_squares import Fitted, Prior, estimated_values, fitted
from yarrow.benders.learning.likely_angle import ANGLE_READING, STOPPED, likely_angle
from yarrow.benders.learning.measured_bend import SQUARE, MeasuredBend
from yarrow.benders.learning.next_test import GAIN_OF_RADIUS, NextTest, next_test
from yarrow.benders.springback import UNMEASURED, Springback
from yarrow.catalog.limits import limits
from yarrow.geometry.arcs import gain
from yarrow.geometry.errors import GeometryError
from yarrow.measure import ieee
from yarrow.values import dataclass

SHOWN_ANGLES = (30.0, 45.0, 90.0)

CURVE_AT = (15.0, 30.0, 45.0, 60.0, 90.0, 120.0)
"""Angles that a springback curve is kept at."""

_RADIUS_STAMPED = 0.15
"""Of a stamped radius: what it may be off by, until a bend tells. A working figure."""

_DIAMETERS = 5.0
"""A radius to begin with where none is stamped, in diameters of the conduit."""

_BELIEVED_OF_ANGLES = (Prior(0.0, 1.0), Prior(0.0, 3.0), Prior(0.0, 1.5))
"""Degrees: a scale that is off at nothing, springback that is not the usual at a 90, its curve.
Working figures, for as long as few bends tell."""

_A_CLICK = Prior(1.5, 1.0)
"""Degrees of a click, until bends tell. Source: trade, ratchets."""


@dataclass(frozen=True, slots=True)
class Effect:
    """What the doubt in the radius moves: the length that one bend of ``angle`` saves, ± ``by``."""

    angle: float
    by: float


@dataclass(frozen=True, slots=True)
class BentTo:
    """What to bend to for an angle to stay: within ``known_to`` degrees in 19 of 20 cases."""

    angle: float
    bend_to: float
    known_to: float


_FEWEST_ANGLES = 4
"""Angles that were read from which a bender's own scatter is told. A working figure."""

Impossible = Literal["stub-under-mark", "gain-too-small", "tells-nothing"]
"""Why no bender made a bend as it was read: its stub ends before the mark, its legs save nothing;
or nothing was read of it."""


@dataclass(frozen=True, slots=True)
class BendOff:
    """A measured bend, counted from 0, beside what is known now: by how much its stub, both its
    legs together and its angle are more than the bender would make (None: not read, or not told of
    yet). ``left_out``: it does not count, since a person said so or since it is too far off, or
    since it is ``impossible``: then why (empty: it is not)."""

    bend: int
    stub: float | None
    legs: float | None
    angle: float | None
    left_out: bool
    impossible: Impossible | Literal[""] = ""


@dataclass(frozen=True, slots=True)
class Stamped:
    """What a bender's label says, lengths in the document's unit; None where it says nothing."""

    take_up: float | None = None
    radius: float | None = None
    degrees_per_click: float | None = None


@dataclass(frozen=True, slots=True)
class Calibration:
    """What all the bends say: the bender's numbers, and within what of the truth they are in 19 of
    20 cases. ``bent_to`` and ``scale_offset`` (degrees that its scale is off at nothing) are None
    where nothing was read of angles, ``degrees_per_click`` where no clicks were. The gain and the
    star's place behind the front mark are known to what take-up and radius are."""

    tests: int
    take_up: float
    gain: float
    radius: float
    arc_behind_front: float
    take_up_known_to: float
    radius_known_to: float
    together: float
    effects: tuple[Effect, ...]
    stamped: Stamped
    gain_known_to: float
    back_of_bend_known_to: float
    scale_offset: float | None
    scale_offset_known_to: float | None
    bent_to: tuple[BentTo, ...] | None
    degrees_per_click: float | None
    degrees_per_click_known_to: float | None
    bends: tuple[BendOff, ...]
    drift: Drift | None
    next: NextTest

    @property
    def known_to(self) -> KnownTo:
        """How well take-up, radius and springback are known."""
        at_90 = next(
            (bent_to.known_to for bent_to in self.bent_to or () if bent_to.angle == SQUARE), None
        )
        return KnownTo(
            self.take_up_known_to, self.radius_known_to, self.together, at_90, self._angles
        )

    @property
    def _angles(self) -> float | None:
        """By how much the angles that stay scatter about what this bender makes of a setting, less
        what their reading does; a hand's usual spread counts for as many bends as tell anything."""
        off = [bend.angle for bend in self.bends if bend.angle is not None and not bend.left_out]
        if len(off) < _FEWEST_ANGLES:
            return None
        usual = limits().spread_of_angles.degrees
        squares = math.fsum(one * one - ieee.square(ANGLE_READING) for one in off)
        mean = (squares + _FEWEST_ANGLES * ieee.square(usual)) / (len(off) + _FEWEST_ANGLES)
        return max(math.sqrt(max(mean, 0.0)), STOPPED)

    def springback(self, usual: Springback) -> Springback:
        """The curve that was found; the usual one where nothing was read of angles.

        Args:
            usual: springback that nobody measured.
        """
        if self.bent_to is None:
            return usual
        points: list[tuple[float, float]] = []
        for bent_to in self.bent_to:
            # No pipe goes on bending by itself, and none keeps less the further it was bent.
            bend_to = max(bent_to.bend_to - (self.scale_offset or 0.0), bent_to.angle)
            points.append((max(bend_to, points[-1][0] + 0.1) if points else bend_to, bent_to.angle))
        return Springback(tuple(points), typical=False)


def calibrate(
    bends: Sequence[MeasuredBend],
    diameter: float,
    mark: float,
    stamped: Stamped | None = None,
    usual: Springback = UNMEASURED,
) -> Calibration:
    """All bends at once, each weighted by what it tells: K and R from the legs, springback, scale
    and clicks from the angles. Of test 90s alone K and R are the means.

    Args:
        bends: at least one, in the order that they were made.
        diameter: of the conduit, in the tape's unit.
        mark: the smallest of the tape.
        stamped: what the label says.
        usual: springback of the material that nobody measured.

    Raises:
        GeometryError("radius-untold", 0), where neither label nor any bend that counts tells
        take-up and radius.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    label = stamped or Stamped()
    tape = Tape(diameter, mark)
    guess = label.radius or _DIAMETERS * diameter
    why = _impossible_bends(bends, tape, guess)
    without = why.keys() | {n for n, bend in enumerate(bends) if bend.use == "left-out"}
    certain = frozenset(n for n, bend in enumerate(bends) if bend.use == "put-back")
    believed, of_angles = _believed_of_lengths(label, diameter), _believed_of_angles(label)
    turns = _settled_turns(bends, usual, of_angles, without)
    angles, angle_drift = followed(turns, of_angles, without, certain)
    likely = _likely_angles(bends, turns, angles)
    legs = list(length_equations(bends, likely, tape, guess))
    if not _are_known([leg for leg in legs if leg.bend not in without], label):
        raise GeometryError("radius-untold", 0)
    if label.radius is None and any(bend.angle is not None for bend in bends):
        radius = fitted(legs, believed, without, certain).values[1]
        legs = list(length_equations(bends, likely, tape, radius))
    # A bend of which one reading is wrong tells nothing: it may be another pipe's.
    lengths, length_drift = followed(legs, believed, angles.left_out, certain)
    if lengths.left_out - angles.left_out:
        angles, angle_drift = followed(turns, of_angles, lengths.left_out, certain)
    read = list(lengths_read(bends, likely, tape, lengths.values[1]))
    result = _Found(lengths, angles, length_drift or angle_drift)
    beside = _all_beside(bends, why, [(read, lengths), (turns, angles)])
    return _of_found(bends, result, tape, label, usual if turns else None, beside)


class _Found(NamedTuple):
    """What was found of a bender's lengths and of its angles, and how those moved."""

    lengths: Fitted
    angles: Fitted
    drift: Drift | None


def _believed_of_lengths(label: Stamped, diameter: float) -> tuple[Prior, Prior]:
    take_up, radius = label.take_up, label.radius
    return (
        Prior(take_up or 0.0, None if take_up is None else diameter),
        Prior(radius or 0.0, None if radius is None else _RADIUS_STAMPED * radius),
    )


def _believed_of_angles(label: Stamped) -> tuple[Prior, ...]:
    click = label.degrees_per_click
    return (*_BELIEVED_OF_ANGLES, _A_CLICK if click is None else Prior(click, 0.2 * click))


def _of_found(
    bends: Sequence[MeasuredBend],
    result: _Found,
    tape: Tape,
    label: Stamped,
    usual: Springback | None,
    beside: tuple[BendOff, ...],
) -> Calibration:
    """The numbers of a bender, each with how well it is known.

    Args: usual, springback of the material, where any bend told an angle.
    """
    lengths, angles = result.lengths, result.angles
    take_up, radius = lengths.values[:2]
    radius_width = lengths.known_to((0.0, 1.0))
    clicked = any(bend.clicks for bend in bends)
    commanded = any(bend.commanded is not None for bend in bends)
    return Calibration(
        tests=len(bends) - len(lengths.left_out),
        take_up=take_up,
        gain=gain(radius, 90) + tape.diameter,
        radius=radius,
        arc_behind_front=take_up - radius - tape.diameter / 2,
        take_up_known_to=lengths.known_to((1.0, 0.0)),
        radius_known_to=radius_width,
        together=_correlation(lengths),
        effects=tuple(Effect(angle, gain(radius_width, angle)) for angle in SHOWN_ANGLES),
        stamped=label,
        gain_known_to=lengths.known_to((0.0, GAIN_OF_RADIUS)),
        back_of_bend_known_to=lengths.known_to((1.0, -GAIN_OF_RADIUS)),
        scale_offset=angles.values[0] if commanded else None,
        scale_offset_known_to=angles.known_to((1.0, 0.0, 0.0)) if commanded else None,
        bent_to=_bent_to(angles, usual) if usual is not None else None,
        degrees_per_click=angles.values[3] if clicked else label.degrees_per_click,
        degrees_per_click_known_to=angles.known_to((0.0, 0.0, 0.0, 1.0)) if clicked else None,
        bends=beside,
        drift=result.drift,
        next=next_test(lengths, angles, tape),
    )


def _likely_angles(
    bends: Sequence[MeasuredBend], turns: Sequence[Equation], angles: Fitted
) -> list[KeptAngle]:
    """What bends most likely are. Read angles scatter more than bends do: taken as they are, they
    would make legs tell a radius that is too small."""
    kept_angles = angles_read(bends)
    # Of a bend that has both, its scale tells more than its clicks: that one comes first.
    for equation in {turn.bend: turn for turn in reversed(turns)}.values():
        bend = bends[equation.bend]
        if bend.angle is not None and equation.bend not in angles.left_out:
            off = angles.off(equation)
            expected = bend.angle + (off if bend.commanded is not None else -off)
            share = bend.angle / SQUARE
            known_to = angles.known_to((1.0, share, share * share))
            likely = likely_angle(bend.angle, expected, known_to)
            # The curve was learnt from these very readings: in the mean it knows no better.
            kept_angles[equation.bend] = KeptAngle(likely, ANGLE_READING)
    return kept_angles


def _settled_turns(
    bends: Sequence[MeasuredBend],
    usual: Springback,
    believed: Sequence[Prior],
    without: Collection[int],
) -> list[Equation]:
    """What settings tell, at what they themselves make of an angle."""
    known = AngleUnknowns.at_first(bends, usual, believed[-1].value)
    turns = list(angle_equations(bends, usual, known))
    for _ in range(_SETTLED_AFTER if turns else 0):
        counted = [turn for turn in turns if turn.bend not in without]
        known = AngleUnknowns(*estimated_values(counted, believed))
        turns = list(angle_equations(bends, usual, known))
    return turns


_SETTLED_AFTER = 2
"""Fits after which what settings make of an angle no longer changes."""

_SURELY = 6.0
"""Standard errors beyond which a reading can't be."""


def _impossible_bends(
    bends: Sequence[MeasuredBend], tape: Tape, radius: float
) -> dict[int, Impossible]:
    """The bends that no bender made as they were read, by more than readings scatter; a person's
    word counts for more. ``radius``: about."""
    read = list(lengths_read(bends, angles_read(bends), tape, radius))
    result: dict[int, Impossible] = {}
    measured = {equation.bend for equation in read}
    for number, bend in enumerate(bends):
        if number not in measured and bend.commanded is None and not bend.clicks:
            result[number] = "tells-nothing"
    for equation in read:
        bend, surely = bends[equation.bend], _SURELY * equation.error
        if bend.use == "put-back":
            continue
        # No legs save less than nothing, and no take-up of a 90 or more is less than nothing.
        if equation.group == "gain" and equation.value <= -surely:
            result[equation.bend] = "gain-too-small"
        elif (
            bend.mark is not None
            and bend.stub is not None
            and bend.kept >= SQUARE
            and float(bend.stub - bend.mark) <= -surely
        ):
            result[equation.bend] = "stub-under-mark"
    return result


def _are_known(legs: Sequence[Equation], label: Stamped) -> bool:
    """Whether bends or label tell both take-up and radius."""
    take_up = label.take_up is not None or any(leg.group == "stub" for leg in legs)
    radius = label.radius is not None or any(leg.group == "gain" for leg in legs)
    return take_up and radius


def _correlation(result: Fitted) -> float:
    (take_up, both, *_), (_, radius, *_) = result.covariance[:2]
    spread = math.sqrt(take_up * radius)
    return max(-1.0, min(1.0, both / spread)) if spread else 0.0


def _bent_to(angles: Fitted, usual: Springback) -> tuple[BentTo, ...]:
    commanded = []
    for angle in CURVE_AT:
        share = angle / 90
        factors = (1.0, share, share * share)
        bend_to = usual.bend_to(angle) + angles.value(factors)
        commanded.append(BentTo(angle, bend_to, angles.known_to(factors)))
    return tuple(commanded)


def _all_beside(
    bends: Sequence[MeasuredBend],
    why: Mapping[int, Impossible],
    fits: Sequence[tuple[Sequence[Equation], Fitted]],
) -> tuple[BendOff, ...]:
    """Every bend beside what was found."""
    off: dict[tuple[int, str], float] = {}
    left_out = set(why)
    for equations, result in fits:
        left_out |= result.left_out
        for equation in equations:
            stub = equation.group == "stub"
            by = result.off(equation)
            # A tail alone says it the other way round.
            off.setdefault(
                (equation.bend, equation.group), by * equation.factors[0] if stub else by
            )
    return tuple(
        BendOff(
            number,
            off.get((number, "stub")),
            off.get((number, "gain")),
            off.get((number, "angle")),
            number in left_out,
            why.get(number, ""),
        )
        for number in range(len(bends))
    )
