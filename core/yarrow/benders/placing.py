"""Which way round the bender goes on for each bend, and what is too tight for it either way."""

from __future__ import annotations

from dataclasses import dataclass

from yarrow.benders.bender import Bender, Hook, Reference
from yarrow.geometry.pipe import StraightPipe

_SQUARE = 1e-6
"""Degrees from 90 within which a bend counts as a 90, for the back-of-bend mark."""

_STUB_FROM = 80.0
"""Degrees from which a bend at an end is handled as a stub: hook toward the short end."""


@dataclass(frozen=True, slots=True)
class Placing:
    """The bender on one bend: the end its hook faces, the mark to use, and by how much the straight
    before the arc (``short_before``) and behind it (``short_behind``) falls short of its needs.

    ``need_before`` is the straight that it needs between the start's side neighbour and the arc.
    """

    hook: Hook
    reference: Reference
    need_before: float
    short_before: float
    short_after: float

    @property
    def fits(self) -> bool:
        """Whether this bender can take hold here, to a hair."""
        return self.short_before <= _HAIR and self.short_after <= _HAIR


_HAIR = 1e-6


def place_bender(bender: Bender, pipe: StraightPipe) -> tuple[Placing, ...]:
    """The bender's placing for each bend, when they are made from the start to the end.

    Behind a bend that is being made everything to the pipe's end is still straight, so the hook
    faces the end. A 90 near an end is hooked toward that short end: the first bend toward the
    start, unless its stub is longer than half the pipe. Where the chosen way does not fit and the
    other does, the other is taken. A 90 hooked toward the end goes on its back-of-bend mark.

    Source: docs/geometry.md, which way the hook faces.
    """
    placings = []
    for index, bend in enumerate(pipe.bends):
        stub = bend.arc_start + bender.radius + bender.diameter / 2
        short_end_first = index == 0 and bend.angle >= _STUB_FROM and stub <= pipe.cut_length / 2
        preferred: Hook = "start" if short_end_first else "end"
        before, after = pipe.straights[index], pipe.cut_length - bend.arc_end
        choice = _placing(bender, preferred, bend.angle, before, after)
        if not choice.fits:
            other: Hook = "end" if preferred == "start" else "start"
            turned = _placing(bender, other, bend.angle, before, after)
            choice = turned if turned.fits else choice
        placings.append(choice)
    return tuple(placings)


def _placing(bender: Bender, hook: Hook, angle: float, before: float, after: float) -> Placing:
    ahead = max(bender.arc_behind_front + bender.hook, 0.0)
    need_before, need_after = (ahead, bender.heel) if hook == "start" else (bender.heel, ahead)
    square = abs(angle - 90) < _SQUARE and hook == "end"
    return Placing(
        hook=hook,
        reference=bender.back_reference if square else bender.front_reference,
        need_before=need_before,
        short_before=max(need_before - before, 0.0),
        short_after=max(need_after - after, 0.0),
    )
