"""A framed wall as it was read, and where everything of it lies: x along it from its left end, y
into it from the studs' front face, z up from the floor; lengths in one unit."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from yarrow.catalog.tables import Conduit
from yarrow.fill.rings import least_spacing
from yarrow.measure.units import Unit, convert

HeightTo = Literal["top", "middle", "bottom"]
BoxSide = Literal["left", "right"]


@dataclass(frozen=True, slots=True)
class Studs:
    """The middles of the studs, in order, with their ``width`` along the wall and ``depth`` into
    it."""

    middles: tuple[float, ...]
    width: float
    depth: float
    bearing: bool

    def between(self, one: float, other: float) -> tuple[int, ...]:
        """The studs between two places, by their numbers from 0, from the left.

        Args:
            one, other: along the wall, in its unit.
        """
        low, high = min(one, other), max(one, other)
        return tuple(at for at, middle in enumerate(self.middles) if low < middle < high)

    def bay(self, place: float) -> tuple[float, float]:
        """The clear room between two studs round a place: from face to face.

        Args:
            place: along the wall, in its unit.
        """
        left = max((m for m in self.middles if m <= place), default=float("-inf"))
        right = min((m for m in self.middles if m > place), default=float("inf"))
        return left + self.width / 2, right - self.width / 2


@dataclass(frozen=True, slots=True)
class WallBox:
    """A box on a stud's ``side``: its stud counted from 0, its height as it was measured ``to`` its
    top, middle or bottom; how far it stands ``proud`` of the stud for the board to come; its size;
    ``knockout`` is how far the middle of its knockouts is off its back."""

    name: str
    stud: int
    side: BoxSide
    height: float
    to: HeightTo
    proud: float
    width: float
    tall: float
    deep: float
    knockout: float

    @property
    def bottom(self) -> float:
        """How high its lower edge is."""
        return self.height - {"top": self.tall, "middle": self.tall / 2, "bottom": 0.0}[self.to]

    @property
    def top(self) -> float:
        """How high its upper edge is."""
        return self.bottom + self.tall

    @property
    def knockout_depth(self) -> float:
        """How far behind the studs' face the middle of its knockouts lies."""
        return self.deep - self.proud - self.knockout


@dataclass(frozen=True, slots=True)
class HoleLine:
    """Holes bored at one height: their middle ``setback`` behind the studs' face, with one bit."""

    name: str
    height: float
    setback: float
    bit: float


@dataclass(frozen=True, slots=True)
class Feed:
    """A pipe from one box to another along a line of holes, each by its number from 0."""

    start: int
    end: int
    line: int


@dataclass(frozen=True, slots=True)
class FramedWall:
    """A wall with what is in it. ``plates`` are how thick the bottom and the top one are."""

    name: str
    unit: Unit
    conduit: Conduit
    length: float
    height: float
    plates: tuple[float, float]
    studs: Studs
    boxes: tuple[WallBox, ...]
    lines: tuple[HoleLine, ...]
    feeds: tuple[Feed, ...]

    @property
    def diameter(self) -> float:
        """Of its pipe."""
        return float(convert(self.conduit.diameter, self.conduit.unit, self.unit))

    def extent(self, box: WallBox) -> tuple[float, float]:
        """From where to where a box lies along the wall.

        Args:
            box: of the wall.
        """
        face = self.studs.middles[box.stud]
        half = self.studs.width / 2
        if box.side == "right":
            return face + half, face + half + box.width
        return face - half - box.width, face - half

    def middle_of(self, box: WallBox) -> float:
        """The middle of a box along the wall.

        Args:
            box: of the wall.
        """
        begins, ends = self.extent(box)
        return (begins + ends) / 2

    @property
    def apart(self) -> float:
        """From middle to middle of two knockouts side by side, so that their lock rings do not
        meet."""
        return least_spacing(self.conduit.size, self.conduit.size, self.unit)

    def pipes_of(self, box: int) -> tuple[Feed, ...]:
        """The feeds at a box, in the order that they leave it side by side: by where they go.

        Args:
            box: its number, from 0.
        """

        def beyond(feed: Feed) -> float:
            other = feed.end if feed.start == box else feed.start
            return self.middle_of(self.boxes[other])

        here = [feed for feed in self.feeds if box in (feed.start, feed.end)]
        return tuple(sorted((f for f in here if f.start != f.end), key=beyond))

    def knockout_at(self, box: int, feed: Feed) -> float:
        """Where along the wall a feed leaves a box: the knockouts of several stand side by side
        about its middle.

        Args:
            box: its number, from 0.
            feed: of the wall.
        """
        pipes = self.pipes_of(box)
        off = pipes.index(feed) - (len(pipes) - 1) / 2
        return self.middle_of(self.boxes[box]) + off * self.apart
