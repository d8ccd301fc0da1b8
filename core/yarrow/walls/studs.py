"""The studs of a wall, with those that frame its openings: what stands where, at any height."""

from __future__ import annotations

from bisect import bisect_right
from dataclasses import field

from yarrow.geometry.vectors import Vector
from yarrow.values import dataclass

_HAIR = 1e-6


@dataclass(frozen=True, slots=True)
class Stud:
    """A stud from ``begins`` to ``ends`` along the wall: its ``number``, counted from 1 among those
    that are spaced (0: it frames an opening), and the ``parts`` of it that stand, each from where
    to where over the floor."""

    number: int
    begins: float
    ends: float
    parts: tuple[tuple[float, float], ...]

    @property
    def middle(self) -> float:
        """Along the wall."""
        return (self.begins + self.ends) / 2

    def stands_at(self, height: float) -> bool:
        """Whether there is wood of it at a height.

        Args:
            height: over the floor, in the wall's unit.
        """
        return any(low - _HAIR <= height <= high + _HAIR for low, high in self.parts)


@dataclass(frozen=True, slots=True)
class Opening:
    """A door or a window: its clear width from ``begins`` to ``ends``, from its ``sill`` (0: a
    door) up to its ``head``, and how deep the ``header`` over it is."""

    name: str
    begins: float
    ends: float
    sill: float
    head: float
    header: float

    def meets(self, one: Vector, other: Vector) -> bool:
        """Whether a level or an upright line comes to its clear opening or its header.

        Args:
            one, other: the ends of the line, in the wall laid flat.
        """
        left, right = min(one[0], other[0]), max(one[0], other[0])
        low, high = min(one[2], other[2]), max(one[2], other[2])
        beside = right <= self.begins or left >= self.ends
        over = high <= self.sill or low >= self.head + self.header
        return not beside and not over


@dataclass(frozen=True, slots=True)
class BoredThrough:
    """Studs side by side that a hole goes through as one, from ``begins`` to ``ends``."""

    begins: float
    ends: float
    studs: tuple[Stud, ...]

    @property
    def thick(self) -> float:
        """How far a hole goes through it."""
        return self.ends - self.begins


@dataclass(frozen=True, slots=True)
class Studs:
    """All studs from the left, with their ``width`` along the wall and ``depth`` into it, and
    whether they carry what is above. What was found at a height is kept."""

    all: tuple[Stud, ...]
    width: float
    depth: float
    bearing: bool
    known: dict[float, tuple[BoredThrough, ...]] = field(default_factory=dict, compare=False)

    def numbered(self, number: int) -> Stud:
        """A stud by its number, which there has to be.

        Args:
            number: counted from 1.
        """
        return next(stud for stud in self.all if stud.number == number)

    def members(self, height: float) -> tuple[BoredThrough, ...]:
        """What stands at a height, from the left, studs that touch as one.

        Args:
            height: over the floor, in the wall's unit.
        """
        if height not in self.known:
            self.known[height] = self._members(height)
        return self.known[height]

    def _members(self, height: float) -> tuple[BoredThrough, ...]:
        result: list[BoredThrough] = []
        for stud in self.all:
            if not stud.stands_at(height):
                continue
            if result and stud.begins <= result[-1].ends + _HAIR:
                before = result.pop()
                ends = max(before.ends, stud.ends)
                result.append(BoredThrough(before.begins, ends, (*before.studs, stud)))
            else:
                result.append(BoredThrough(stud.begins, stud.ends, (stud,)))
        return tuple(result)

    def between(self, one: float, other: float, height: float) -> tuple[BoredThrough, ...]:
        """What is bored through from one place to another at a height, from the left.

        Args:
            one, other: along the wall, in its unit.
            height: over the floor.
        """
        low, high = min(one, other), max(one, other)
        return tuple(
            member
            for member in self.members(height)
            if low < (member.begins + member.ends) / 2 < high
        )

    def bay(self, place: float, height: float) -> tuple[float, float]:
        """The clear room between two studs round a place: from face to face.

        Args:
            place: along the wall, in its unit.
            height: over the floor.

        Returns:
            Both faces along the wall, in its unit.
        """
        members = self.members(height)
        after = bisect_right(members, place, key=lambda member: member.begins)
        left = members[after - 1].ends if after else float("-inf")
        right = members[after].begins if after < len(members) else float("inf")
        return left, right


def framed(
    middles: tuple[float, ...],
    width: float,
    upright: tuple[float, float],
    openings: tuple[Opening, ...],
) -> tuple[Stud, ...]:
    """The studs of a wall round its openings: two on either side of each, the inner of which ends
    under the header; those within it cut off at its sill and over its header.

    Args:
        middles: of those that are spaced, in order.
        width: of a stud along the wall.
        upright: where studs begin and end over the floor, between the plates.
        openings: in any order.
    """
    low, high = upright
    studs = []
    for number, middle in enumerate(middles, 1):
        begins, ends = middle - width / 2, middle + width / 2
        parts = [(low, high)]
        for opening in openings:
            if ends <= opening.begins - 2 * width or begins >= opening.ends + 2 * width:
                continue
            within = opening.begins <= begins and ends <= opening.ends
            parts = _cut_off(opening, low, high) if within else []
        if parts:
            studs.append(Stud(number, begins, ends, tuple(parts)))
    for opening in openings:
        for king in (opening.begins - 2 * width, opening.ends + width):
            studs.append(Stud(0, king, king + width, ((low, high),)))
        for jack in (opening.begins - width, opening.ends):
            studs.append(Stud(0, jack, jack + width, ((low, min(opening.head, high)),)))
    return tuple(sorted(studs, key=lambda stud: stud.begins))


def _cut_off(opening: Opening, low: float, high: float) -> list[tuple[float, float]]:
    parts = [(low, opening.sill), (opening.head + opening.header, high)]
    return [(begins, ends) for begins, ends in parts if ends - begins > _HAIR]
