"""The bender on one bend: the mark to use, and what of the straight beside it is too tight."""

from __future__ import annotations

import math
from collections.abc import Collection, Sequence
from typing import NamedTuple

from yarrow.benders.bender import NOTCH_ANGLE, Bender, Hook, Reference
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.role import Role
from yarrow.values import dataclass

_SAME = 1e-6
"""Degrees within which a bend counts as a 90, or as the one that the centre notch is for."""

_HAIR = 1e-6

_MILD = 15.0
"""Degrees up to which the hook may lie over a bend that is made, as over a box offset's first."""

_HOOK_PLAY = 0.08
"""Of the diameter: how far a pipe may lie off the straight within the hook. A working figure."""


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

    @property
    def short_of_bends(self) -> float:
        """What is missing of the straight beside made bends."""
        before = self.short_before if self.before is not None else 0.0
        return before + (self.short_after if self.after is not None else 0.0)


def other_end(side: Hook) -> Hook:
    """The other end of a pipe."""
    return "end" if side == "start" else "start"


class MadeNeighbours(NamedTuple):
    """The made bends next to one, toward the start and toward the end; None where there is none."""

    before: int | None = None
    after: int | None = None


def made_neighbours(made: Collection[int], index: int) -> MadeNeighbours:
    """The made bends next to one.

    Args:
        made: those that are in the pipe.
        index: of the bend along the pipe.
    """
    return MadeNeighbours(
        max((n for n in made if n < index), default=None),
        min((n for n in made if n > index), default=None),
    )


def place(
    bender: Bender,
    pipe: StraightPipe,
    roles: Sequence[Role],
    index: int,
    hook: Hook,
    neighbours: MadeNeighbours,
) -> Placing:
    """The bender on one bend, with the hook toward an end, while others are in the pipe already.

    Args:
        index: of the bend along the pipe.
        hook: the end that the hook faces.
        neighbours: the made bends next to it.
    """
    role, (earlier, later) = roles[index], neighbours
    bend = pipe.bends[index]
    before = bend.arc_start - (pipe.bends[earlier].arc_end if earlier is not None else 0.0)
    after = (pipe.bends[later].arc_start if later is not None else pipe.cut_length) - bend.arc_end
    under_hook = earlier if hook == "start" else later
    ahead = max(bender.arc_behind_front + bender.hook, 0.0)
    if under_hook is not None:
        ahead = max(ahead - _hook_over(bender, pipe.bends[under_hook]), 0.0)
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


def _hook_over(bender: Bender, mild: PipeBend) -> float:
    """How far the hook may lie over a mild bend beside it, as at a box: until that has left the
    straight by the hook's play, x² / 2R."""
    if mild.angle > _MILD + _SAME:
        return 0.0
    within_play = math.sqrt(2 * mild.radius * _HOOK_PLAY * bender.diameter)
    return min(within_play, mild.arc_end - mild.arc_start)


def _reference(bender: Bender, bend: PipeBend, role: Role, hook: Hook) -> Reference:
    if role.on_centre_mark and abs(bend.angle - NOTCH_ANGLE) < _SAME:
        return bender.centre_reference
    if abs(bend.angle - 90) < _SAME and hook == "end":
        return bender.back_reference
    return bender.front_reference
