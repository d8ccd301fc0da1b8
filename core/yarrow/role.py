"""A bend's part in its line of the walk, and what follows from it at the bender."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from enum import StrEnum


class Role(StrEnum):
    """The part that a vertex has. Its text stands in plans (docs/run-file.md) and stays."""

    NEAR = "near"
    """The first of two equal bends that carry the pipe over to a parallel line."""
    FAR = "far"
    """The second of them."""
    OUTER_NEAR = "outer-near"
    SADDLE_CENTRE = "saddle-centre"
    OUTER_FAR = "outer-far"
    TURN = "turn"
    KICK = "kick"
    CORNER = "corner"
    """A corner of a path that was given as points."""
    SEGMENT = "shot"
    """One of many small bends that make a wide one."""
    END = "end"
    """No bend: where the pipe ends."""

    @property
    def saves_pipe(self) -> bool:
        """Whether the bend cuts a corner of the walk; others come back to its line."""
        return self in (Role.TURN, Role.CORNER, Role.KICK)

    @property
    def turns(self) -> bool:
        """Whether the run goes on another way after it, and a rack may bend it about one centre."""
        return self in (Role.TURN, Role.CORNER)

    @property
    def leans(self) -> bool:
        """Whether its slope goes on to the next bend, and changes with its place."""
        return self is Role.KICK

    @property
    def faces_end(self) -> bool | None:
        """Whether the hook faces the pipe's end by habit: a saddle's outers are hooked toward its
        centre. None where the bend's place decides."""
        return {Role.OUTER_NEAR: True, Role.OUTER_FAR: False}.get(self)

    @property
    def on_centre_mark(self) -> bool:
        """Whether the bender's centre mark is for it, where the angle is that mark's."""
        return self is Role.SADDLE_CENTRE

    @property
    def partner(self) -> int:
        """How many bends further along the bend is that this one makes a pair with; 0 for none."""
        return _PARTNERS.get(self, 0)


_PARTNERS = {Role.NEAR: 1, Role.FAR: -1, Role.OUTER_NEAR: 2, Role.OUTER_FAR: -2}

SADDLE = (Role.OUTER_NEAR, Role.SADDLE_CENTRE, Role.OUTER_FAR)
"""A 3-bend saddle, whose bends are made one after the other whatever the order."""


def closes_pair(roles: Sequence[Role], bend: int, made: Collection[int]) -> bool:
    """Whether the legs on both sides of a set or a saddle come parallel with this bend: the other
    of its pair is made, and what lies between them.

    Args:
        roles: the part of each bend, in order along the pipe.
        bend: that is made next.
        made: those that are in the pipe.
    """
    away = roles[bend].partner
    if not away or bend + away not in made:
        return False
    return abs(away) == 1 or bend + away // 2 in made
