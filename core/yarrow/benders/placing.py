"""The order in which bends are made, which way round the bender goes on, and what is too tight."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from yarrow.benders.bender import NOTCH_ANGLE, Bender, Hook, Reference
from yarrow.geometry.pipe import PipeBend, StraightPipe

_SAME = 1e-6
"""Degrees within which a bend counts as a 90, or as the one that the centre notch is for."""

_STUB_FROM = 80.0
"""Degrees from which a bend at an end is handled as a stub: hook toward the short end."""

_HAIR = 1e-6


@dataclass(frozen=True, slots=True)
class Placing:
    """The bender on one bend: the end its hook faces, the mark to use, what is missing
    of the straight before the arc (``short_before``) and after it (``short_after``).

    ``before`` and ``after`` name the made bends next to it, None where the pipe ends; ``room`` and
    ``need`` are the straight that there is and that it takes, on the side that is shorter of it.
    """

    hook: Hook
    reference: Reference
    before: int | None
    after: int | None
    room: float
    need: float
    short_before: float
    short_after: float

    @property
    def fits(self) -> bool:
        """Whether this bender can take hold here, to a hair."""
        return self.short_before <= _HAIR and self.short_after <= _HAIR


def making_order(roles: Sequence[str]) -> tuple[int, ...]:
    """The order in which bends are made: along the pipe, a saddle's centre before its outers.

    Args: roles, each bend's part in its line, in order along the pipe.
    """
    order: list[int] = []
    for index, role in enumerate(roles):
        if role == "saddle-centre" and order and roles[index - 1] == "outer-near":
            order.insert(-1, index)
        else:
            order.append(index)
    return tuple(order)


def place_bender(
    bender: Bender, pipe: StraightPipe, roles: Sequence[str], order: Sequence[int]
) -> tuple[Placing, ...]:
    """The bender's placing for each bend, when they are made in an order.

    Past the bends that are made everything to the pipe's end is still straight, so the hook faces
    the end. A first 90 is hooked toward the start, unless its stub is longer than half the pipe; a
    saddle's outers are hooked toward its centre. Where the chosen way does not fit and the other
    does, the other is taken. A 90 hooked toward the end goes on its back-of-bend mark, a saddle's
    centre of 45 on the notch.

    Source: docs/geometry.md, which way the hook faces.
    """
    placings: dict[int, Placing] = {}
    furthest = -1
    for index in order:
        earlier = next((n for n in range(index - 1, -1, -1) if n in placings), None)
        later = next((n for n in range(index + 1, furthest + 1) if n in placings), None)
        furthest = max(furthest, index)
        preferred = _preferred(bender, pipe, index, roles[index])
        choice = _placing(bender, pipe, index, roles[index], preferred, earlier, later)
        if not choice.fits:
            other: Hook = "end" if preferred == "start" else "start"
            turned = _placing(bender, pipe, index, roles[index], other, earlier, later)
            choice = turned if turned.fits else choice
        placings[index] = choice
    return tuple(placings[index] for index in range(len(pipe.bends)))


def _preferred(bender: Bender, pipe: StraightPipe, index: int, role: str) -> Hook:
    if role == "outer-far":
        return "start"
    bend = pipe.bends[index]
    stub = bend.arc_start + bender.radius + bender.diameter / 2
    short_end_first = index == 0 and bend.angle >= _STUB_FROM and stub <= pipe.cut_length / 2
    return "start" if short_end_first else "end"


def _placing(
    bender: Bender,
    pipe: StraightPipe,
    index: int,
    role: str,
    hook: Hook,
    earlier: int | None,
    later: int | None,
) -> Placing:
    bend = pipe.bends[index]
    before = bend.arc_start - (pipe.bends[earlier].arc_end if earlier is not None else 0.0)
    after = (pipe.bends[later].arc_start if later is not None else pipe.cut_length) - bend.arc_end
    ahead = max(bender.arc_behind_front + bender.hook, 0.0)
    need_before, need_after = (ahead, bender.heel) if hook == "start" else (bender.heel, ahead)
    short_before, short_after = max(need_before - before, 0.0), max(need_after - after, 0.0)
    tight_before = short_before > _HAIR
    return Placing(
        hook=hook,
        reference=_reference(bender, bend, role, hook),
        before=earlier,
        after=later,
        room=before if tight_before else after,
        need=need_before if tight_before else need_after,
        short_before=short_before,
        short_after=short_after,
    )


def _reference(bender: Bender, bend: PipeBend, role: str, hook: Hook) -> Reference:
    if role == "saddle-centre" and abs(bend.angle - NOTCH_ANGLE) < _SAME:
        return bender.centre_reference
    if abs(bend.angle - 90) < _SAME and hook == "end":
        return bender.back_reference
    return bender.front_reference
