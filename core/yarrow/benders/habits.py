"""What a good hand does without thinking: which bends belong together, in which order they are made
and which end the hook faces. Source: docs/at-the-bender.md, orders."""

from __future__ import annotations

from collections.abc import Sequence
from functools import cache
from typing import Literal, NamedTuple

from yarrow.benders.bender import Bender, Hook
from yarrow.benders.placing import MadeNeighbours
from yarrow.geometry.pipe import StraightPipe
from yarrow.role import SADDLE, Role

STUB_FROM = 80.0
"""Degrees from which a bend is handled as a 90: a stub, a long leg, or back to back."""

_SET = (Role.NEAR, Role.FAR)

_AT_A_BOX = 1.5
"""Of the straight that the hook takes: a set no further from the pipe's end is worked from that."""


_HAIR = 1e-6
"""What a sum of lengths may be off by: what is just as long is so in inches and in millimetres."""


def worked_together(roles: Sequence[Role], lines: Sequence[int]) -> tuple[tuple[int, ...], ...]:
    """The bends that are made one after the other whatever the order: those of one line, and a
    saddle's three.

    Args:
        roles: of each bend in order along the pipe.
        lines: the number of the line that it belongs to; of a path without lines, what it is.

    Returns:
        Each group's bends, by their number along the pipe.
    """
    result: list[tuple[int, ...]] = []
    index = 0
    while index < len(roles):
        size = 1
        for parts in (_SET * 2, SADDLE, _SET):
            same_line = len({*lines[index : index + len(parts)]}) == 1
            if tuple(roles[index : index + len(parts)]) == parts and same_line:
                size = len(parts)
                break
        result.append(tuple(range(index, index + size)))
        index += size
    return tuple(result)


def inner_orders(
    bender: Bender, roles: Sequence[Role], group: tuple[int, ...]
) -> tuple[tuple[int, ...], ...]:
    """The orders in which the bends of a group are made: by hand a saddle's centre before its
    outers, a wide one's two offsets one after the other, each from the side of what it goes over;
    on a machine along the pipe, from either side.

    Args:
        bender: that they are made on.
        roles: of each bend in order along the pipe.
        group: as worked_together has it.

    Returns:
        Bends by their numbers along the pipe, as they are made.
    """
    return _inner(group, roles[group[0]] is Role.OUTER_NEAR, bender.traits.centre_first)


@cache
def _inner(group: tuple[int, ...], saddle: bool, centre_first: bool) -> tuple[tuple[int, ...], ...]:
    if len(group) == 1:
        return (group,)
    if not centre_first:
        return group, group[::-1]
    if saddle:
        near, centre, far = group
        return (centre, near, far), (centre, far, near)
    if len(group) == 2:
        return group, group[::-1]
    one, two, three, four = group
    return (two, one, three, four), (three, four, two, one)


class HabitualHook(NamedTuple):
    """The end that the hook faces by habit, None where either will do, or neither; and whether it
    must."""

    hook: Hook | Literal["neither"] | None
    must: bool = False

    def against(self, hook: Hook) -> bool:
        """Whether a hook is not as a hand would have it.

        Args:
            hook: the end that it faces.
        """
        return self.hook not in (None, hook)


def bound_hook(
    bender: Bender, pipe: StraightPipe, roles: Sequence[Role], lines: Sequence[int], index: int
) -> Hook | None:
    """The end that the hook must face, whatever is bent already: by hand a saddle's bends are
    hooked toward what it goes over, on any tool a box offset's toward the box.

    Args:
        bender, pipe: for the straight that the hook takes.
        roles, lines: of each bend, as for worked_together.
        index: of the bend along the pipe.

    Returns:
        None where neither end is a must.
    """
    over = None
    if bender.traits.centre_first:
        over = _toward_what_it_goes_over(roles, lines, index)
    return over or _at_a_box(bender, pipe, roles, index)


def habitual_hook(
    bender: Bender,
    pipe: StraightPipe,
    bound: Hook | None,
    index: int,
    neighbours: MadeNeighbours,
) -> HabitualHook:
    """The end that the hook of a bend faces by habit. What is bent lies ahead of the hook; but for
    a 90 on a bender with a back-of-bend mark: a short leg is hooked toward its end, and one that is
    long or measured from a bend that is made, away from that.

    Args:
        bender, pipe: for the room that a leg takes.
        bound: the end that it must face, if any.
        index: of the bend along the pipe.
        neighbours: the made bends next to it.
    """
    if bound:
        return HabitualHook(bound, must=True)
    before, after = (neighbour is not None for neighbour in neighbours)
    bend = pipe.bends[index]
    if bend.angle >= STUB_FROM:
        back = bender.radius + bender.diameter / 2
        half = pipe.cut_length / 2 + _HAIR
        if index == 0 and bend.arc_start + back <= half:
            return HabitualHook("start")
        if not bender.follows_chart:
            short = index == len(pipe.bends) - 1 and pipe.cut_length - bend.arc_end + back <= half
            return HabitualHook("start" if after and not before and not short else "end")
    if before and after:
        return HabitualHook("neither")
    if not before and not after:
        return HabitualHook("start" if bender.follows_chart else None)
    return HabitualHook("start" if before else "end")


def _at_a_box(bender: Bender, pipe: StraightPipe, roles: Sequence[Role], index: int) -> Hook | None:
    """The hook of a set so close to the pipe's end that it is worked from there; else None."""
    close = _AT_A_BOX * (bender.hook + bender.arc_behind_front) + _HAIR
    role, last = roles[index], len(roles) - 1
    if role in _SET and index - (role is Role.FAR) == 0 and pipe.straights[0] <= close:
        return "start"
    if role in _SET and index + (role is Role.NEAR) == last and pipe.straights[-1] <= close:
        return "end"
    return None


def _toward_what_it_goes_over(
    roles: Sequence[Role], lines: Sequence[int], index: int
) -> Hook | None:
    """The hook of a 3-bend saddle's outer, or of one of a 4-bend saddle's; else None."""
    faces_end = roles[index].faces_end
    if faces_end is None and roles[index] in _SET:
        near = index - (roles[index] is Role.FAR)
        if _wide_saddle(roles, lines, near):
            faces_end = True
        elif _wide_saddle(roles, lines, near - 2):
            faces_end = False
    return None if faces_end is None else "end" if faces_end else "start"


def _wide_saddle(roles: Sequence[Role], lines: Sequence[int], first: int) -> bool:
    """Whether two offsets of one line begin with that bend."""
    wide = slice(first, first + 4)
    return first >= 0 and tuple(roles[wide]) == _SET * 2 and len(set(lines[wide])) == 1
