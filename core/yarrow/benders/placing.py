"""The order in which bends are made, which way round the bender goes on, and what is too tight."""

from __future__ import annotations

from bisect import bisect
from collections.abc import Collection, Sequence
from dataclasses import dataclass

from yarrow.benders.bender import NOTCH_ANGLE, Bender, Hook, Reference
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.role import Role, groups

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


def in_group(group: tuple[int, ...], side: Hook) -> tuple[int, ...]:
    """A group's bends as they are made by someone who comes from one end: a saddle's centre before
    its outers."""
    if len(group) == 1:
        return group
    near, centre, far = group
    return (centre, near, far) if side == "start" else (centre, far, near)


def making_order(roles: Sequence[Role]) -> tuple[int, ...]:
    """The usual order: along the pipe, a saddle's centre before its outers."""
    return tuple(bend for group in groups(roles) for bend in in_group(group, "start"))


def place_bender(
    bender: Bender,
    pipe: StraightPipe,
    roles: Sequence[Role],
    order: Sequence[int],
    hooks: Sequence[Hook] = (),
) -> tuple[Placing, ...]:
    """The bender's placing for each bend, when they are made in an order.

    Args: hooks, the end to face at each bend of the order; left to habit where there are none, and
    turned round where the habit's way does not fit and the other does.
    Returns: the placings in order along the pipe.
    Source: docs/geometry.md, which way the hook faces.
    """
    placings: dict[int, Placing] = {}
    made: list[int] = []
    for number, index in enumerate(order):
        at = bisect(made, index)
        beside = (made[at - 1] if at else None, made[at] if at < len(made) else None)
        preferred = hooks[number] if hooks else habit(bender, pipe, roles, index, "start")
        choice = _placing(bender, pipe, index, roles[index], preferred, *beside)
        if not choice.fits and not hooks:
            other = other_end(preferred)
            turned = _placing(bender, pipe, index, roles[index], other, *beside)
            choice = turned if turned.fits else choice
        placings[index] = choice
        made.insert(at, index)
    return tuple(placings[index] for index in range(len(pipe.bends)))


def other_end(side: Hook) -> Hook:
    """The other end of a pipe."""
    return "end" if side == "start" else "start"


def habit(
    bender: Bender, pipe: StraightPipe, roles: Sequence[Role], index: int, side: Hook
) -> Hook:
    """The end that the hook faces by habit, for someone who comes from a side: past the bends that
    are made everything is still straight, so the hook faces the other end. A 90 at the near end is
    hooked toward that end, unless its stub is longer than half the pipe; a saddle's outers are
    hooked toward its centre.

    Args: index, of the bend along the pipe; side, the end that is come from.
    """
    faces_end = roles[index].faces_end
    if faces_end is not None:
        return "end" if faces_end else "start"
    bend = pipe.bends[index]
    nearest = 0 if side == "start" else len(pipe.bends) - 1
    leg = bend.arc_start if side == "start" else pipe.cut_length - bend.arc_end
    stub = leg + bender.radius + bender.diameter / 2
    short = index == nearest and bend.angle >= _STUB_FROM and stub <= pipe.cut_length / 2
    return side if short else other_end(side)


def place(
    bender: Bender,
    pipe: StraightPipe,
    roles: Sequence[Role],
    index: int,
    hook: Hook,
    made: Collection[int],
) -> Placing:
    """The bender on one bend, with the hook toward an end, while others are in the pipe already.

    Args: index, of the bend along the pipe; hook, the end that the hook faces; made, the bends that
    are in it already.
    """
    earlier = max((n for n in made if n < index), default=None)
    later = min((n for n in made if n > index), default=None)
    return _placing(bender, pipe, index, roles[index], hook, earlier, later)


def _placing(
    bender: Bender,
    pipe: StraightPipe,
    index: int,
    role: Role,
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


def _reference(bender: Bender, bend: PipeBend, role: Role, hook: Hook) -> Reference:
    if role.on_centre_mark and abs(bend.angle - NOTCH_ANGLE) < _SAME:
        return bender.centre_reference
    if abs(bend.angle - 90) < _SAME and hook == "end":
        return bender.back_reference
    return bender.front_reference
