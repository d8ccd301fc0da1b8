"""A framed wall as it was read, and where everything of it lies: x along it from its left end, y
toward the room from the studs' front face, z up from the floor; lengths in one unit. A wall that
goes round a corner is told as if it were laid flat."""

from __future__ import annotations

from typing import Literal

from yarrow.catalog.tables import Conduit
from yarrow.catalog.wall_boxes import WallBoxKind
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.walls.studs import Opening, Studs
from yarrow.wording.lengths import JobTape

HeightTo = Literal["top", "middle", "bottom"]
BoxSide = Literal["left", "right"]
Edge = Literal["top", "bottom", "left", "right"]
Plate = Literal["top", "bottom"]


@dataclass(frozen=True, slots=True)
class WallBox:
    """A box against the face of a stud, ``face`` along the wall, on its ``side``; its height as it
    was measured ``to`` its top, middle or bottom; how far it stands ``proud`` of the stud for the
    board to come; its size; ``knockout`` is how far the middle of its knockouts is off its back;
    its ``kind``, where it is of one; how many ``devices`` are in it."""

    name: str
    stud: int
    face: float
    side: BoxSide
    height: float
    to: HeightTo
    proud: float
    width: float
    tall: float
    deep: float
    knockout: float
    kind: WallBoxKind | None
    devices: int

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

    @property
    def begins(self) -> float:
        """Its left edge along the wall."""
        return self.face if self.side == "right" else self.face - self.width

    @property
    def ends(self) -> float:
        """Its right edge along the wall."""
        return self.begins + self.width

    @property
    def middle(self) -> float:
        """Half way between those."""
        return (self.begins + self.ends) / 2


@dataclass(frozen=True, slots=True)
class WayOut:
    """Where a pipe leaves the wall through a plate: ``along`` it (None: straight over or under the
    box that feeds it), and how far it goes ``beyond`` the plate."""

    name: str
    plate: Plate
    along: float | None
    beyond: float


@dataclass(frozen=True, slots=True)
class WallCorner:
    """Where the wall turns: ``inside`` toward the room, or away from it."""

    at: float
    inside: bool


@dataclass(frozen=True, slots=True)
class HoleLine:
    """Holes bored at one height: their middle ``setback`` behind the studs' face, with one bit."""

    name: str
    height: float
    setback: float
    bit: float


@dataclass(frozen=True, slots=True)
class FeedEnd:
    """What a feed goes to: a box or a way out by its number from 0, the boxes first; the
    ``knockout`` that somebody named ("": none)."""

    place: int
    knockout: str


@dataclass(frozen=True, slots=True)
class Feed:
    """A pipe from one place to another along a line of holes, by its number from 0; ``key``, which
    of the wall's it is, whatever changes; ``wires``, as they are said; ``any_line``: nobody said
    which line it goes along."""

    number: int
    key: str
    start: FeedEnd
    end: FeedEnd
    line: int
    wires: str
    any_line: bool = False

    @property
    def ends(self) -> tuple[FeedEnd, FeedEnd]:
        """Both."""
        return self.start, self.end


@dataclass(frozen=True, slots=True)
class FramedWall:
    """A wall with what is in it. ``plates`` are how thick the bottom and the top one are;
    ``diameter`` is that of its pipe, ``apart`` how far the middles of two knockouts are from each
    other, so that their lock rings do not meet."""

    name: str
    unit: Unit
    conduit: Conduit
    diameter: float
    apart: float
    length: float
    height: float
    plates: tuple[float, float]
    studs: Studs
    openings: tuple[Opening, ...]
    corners: tuple[WallCorner, ...]
    boxes: tuple[WallBox, ...]
    ways_out: tuple[WayOut, ...]
    lines: tuple[HoleLine, ...]
    feeds: tuple[Feed, ...]

    @property
    def lengths(self) -> JobTape:
        """How its tape is read: in its unit, to the usual marks."""
        return JobTape.usual(self.unit)

    @property
    def upright(self) -> tuple[float, float]:
        """Where the studs begin and end over the floor, between the plates."""
        return self.plates[0], self.height - self.plates[1]

    def box_of(self, end: FeedEnd) -> WallBox | None:
        """The box that a feed goes to; None where it goes out of the wall.

        Args:
            end: of a feed of the wall.
        """
        return self.boxes[end.place] if end.place < len(self.boxes) else None

    def way_out_of(self, end: FeedEnd) -> WayOut | None:
        """Where a feed goes out of the wall; None where it goes to a box.

        Args:
            end: of a feed of the wall.
        """
        at = end.place - len(self.boxes)
        return self.ways_out[at] if at >= 0 else None

    def name_of(self, end: FeedEnd) -> str:
        """What a feed's end is called.

        Args:
            end: of a feed of the wall.

        Returns:
            A box's name, or a way out's.
        """
        named = self.box_of(end) or self.way_out_of(end)
        assert named is not None
        return named.name

    def goes_straight(self, feed: Feed) -> bool:
        """Whether a feed goes from its box straight through a plate, along no line of holes.

        Args:
            feed: of the wall.
        """
        outs = [out for end in feed.ends if (out := self.way_out_of(end))]
        return any(out.along is None for out in outs)
