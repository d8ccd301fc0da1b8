"""What stands round a run while its pieces are turned: the surfaces it lies on, things on them."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.geometry.frame import Frame
from yarrow.geometry.sweeping import Block, Rod
from yarrow.geometry.vectors import Vector, along, cross, dot, subtract
from yarrow.pieces.places import RunToPart
from yarrow.runs.layout.walk import LaidLine
from yarrow.runs.model.lines import labelled_line
from yarrow.runs.model.plan import SiteObject
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, count

_SAME_WAY = 0.99
"""Cosine from which two surfaces face the same way: one wall, or two that are level."""

_HAIR = 1e-6


@dataclass(frozen=True, slots=True)
class Stands:
    """Something that a pipe must not meet, and what it is called."""

    name: Phrase
    block: Block

    def moved(self, by: Vector) -> Stands:
        """The same, further on.

        Args:
            by: how far and which way, in the run's unit.
        """
        return replace(self, block=self.block.moved(by))


@dataclass(frozen=True, slots=True)
class Surface:
    """What a stretch of a leg lies on: its ``leg``, counted from 0, the frame there, where its
    centreline starts, how high that rests over the surface; and the stretch of the leg, along
    ``ahead`` from the start."""

    leg: int
    frame: Frame
    origin: Vector
    rest: float
    begins: float
    ends: float

    def off(self, point: Vector) -> float:
        """How far over the surface a point is.

        Args:
            point: anywhere, in the run's unit.

        Returns:
            In the run's unit; below zero, under it.
        """
        return dot(subtract(point, self.origin), self.frame.out) + self.rest

    def lies_under(self, point: Vector) -> bool:
        """Whether it is what this point of the pipe lies on.

        Args:
            point: on the run, in its unit.
        """
        reads = dot(subtract(point, self.origin), self.frame.ahead)
        return (
            abs(self.off(point) - self.rest) < _HAIR
            and self.begins - _HAIR <= reads <= self.ends + _HAIR
        )

    def faces_as(self, other: Surface) -> bool:
        """Whether it faces the same way as another, as two legs on one wall do.

        Args:
            other: of the same run.
        """
        return dot(self.frame.out, other.frame.out) > _SAME_WAY

    def goes_on_as(self, other: Surface) -> bool:
        """Whether another is the same one further along its leg.

        Args:
            other: the next of the run.
        """
        same_leg = self.leg == other.leg
        return same_leg and abs(self.off(other.origin) - other.rest) < _HAIR

    def block(self, before: float, after: float, aside: float, deep: float) -> Block:
        """It as a solid.

        Args:
            before, after: how far it goes on beyond its stretch of the leg.
            aside: how far to either side of the leg.
            deep: how far under its top; all in the run's unit.
        """
        low, high = self.begins - before, self.ends + after
        top = along(self.origin, self.frame.out, -self.rest)
        middle = along(along(top, self.frame.ahead, (low + high) / 2), self.frame.out, -deep / 2)
        axes = (self.frame.ahead, self.frame.left, self.frame.out)
        return Block(middle, axes, ((high - low) / 2, aside, deep / 2))


def surfaces_of(parted: RunToPart) -> tuple[Surface, ...]:
    """What the run lies on, from its start to its end: one surface for each stretch of a leg, or
    more where it steps on to another; none where the run is a path.

    Args:
        parted: the run.
    """
    layout, pipe = parted.layout, parted.layout.pipe
    surfaces: list[Surface] = []
    for line in layout.lines:
        leg, begins, ends = line.leg, _arrives(layout.lines, line), line.laid.begins
        if ends - begins > _HAIR:
            rest = leg.rest_above_surface(pipe, "out")
            surface = Surface(leg.number, leg.frame, leg.origin, rest, begins, ends)
            if surfaces and surfaces[-1].goes_on_as(surface):
                surfaces[-1] = replace(surfaces[-1], ends=ends)
            else:
                surfaces.append(surface)
    return tuple(surfaces)


def _arrives(lines: Sequence[LaidLine], line: LaidLine) -> float:
    """Where a line's leg is reached from the line before it, along that leg."""
    at = lines.index(line)
    if at == 0 or lines[at - 1].leg.number != line.leg.number:
        return 0.0
    return lines[at - 1].laid.ends


def near_of(parted: RunToPart, wide: float) -> tuple[Stands, ...]:
    """What was said to stand near, as solids that go on as far as the run does.

    Args:
        parted: the run.
        wide: how far, in its unit.
    """
    joints, lines = parted.run.joints, parted.layout.lines
    if joints is None or not lines:
        return ()
    frame = lines[0].leg.frame
    result = []
    for stands_near in joints.near:
        side = frame.toward(stands_near.toward)
        middle = along(lines[0].leg.origin, side, float(stands_near.off) + wide / 2)
        block = Block(middle, (frame.ahead, cross(side, frame.ahead), side), (wide, wide, wide / 2))
        result.append(Stands(Phrase("getting-in/near", {"what": stands_near.what}), block))
    return tuple(result)


def things_of(parted: RunToPart, wide: float) -> tuple[Stands, ...]:
    """What stands beside the run as solids: what it goes over runs on to either side.

    Args:
        parted: the run.
        wide: how far, in its unit.
    """
    return tuple(
        Stands(_name_of(parted, thing), _solid(thing, wide))
        for thing in parted.things
        if thing.kind != "hole"
    )


def _solid(thing: SiteObject, wide: float) -> Block:
    across = cross(thing.ahead, thing.toward)
    at_end = thing.kind in ("box", "coupling")
    # A fitting lies round its pipe; what is gone over lies under where the pipe passes.
    down = 0.0 if at_end else -thing.height / 2
    middle = along(along(thing.at, thing.ahead, thing.along / 2), thing.toward, down)
    half = (thing.along / 2, thing.height / 2 if at_end else wide, thing.height / 2)
    return Block(middle, (thing.ahead, across, thing.toward), half)


def _name_of(parted: RunToPart, thing: SiteObject) -> Phrase:
    if thing.feature is None:
        return Phrase("getting-in/start-fitting", {"label": thing.label} if thing.label else {})
    return labelled_line(parted.run, thing.feature)


def walls_of(
    surfaces: Sequence[Surface], half: float, run: Sequence[Rod], wide: float
) -> tuple[Stands, ...]:
    """The surfaces as solids. Each goes on to all sides, as a wall does, but round an outside
    corner; one that the run itself would go through is taken as wide as the pipe alone.

    Args:
        surfaces: of the run, in order.
        half: of the pipe's diameter.
        run: all of its rods, where they hang.
        wide: how far a surface goes on, in the run's unit.
    """
    result = []
    for at, surface in enumerate(surfaces):
        before = _reaches_on(surface, surfaces[at - 1] if at else None, wide, -1.0)
        after = _reaches_on(
            surface, surfaces[at + 1] if at + 1 < len(surfaces) else None, wide, 1.0
        )
        block = surface.block(before, after, wide, wide)
        if any(block.distance(rod.ends) < half - _HAIR for rod in run):
            block = surface.block(0.0, 0.0, half, wide)
        name = Phrase("getting-in/surface", {"leg": count(surface.leg + 1)})
        result.append(Stands(name, block))
    return tuple(result)


def _reaches_on(surface: Surface, beside: Surface | None, wide: float, way: float) -> float:
    """How far a surface goes on beyond its stretch, on the side of the one beside it: as far as one
    that faces the same way begins, or to the corner with one that does not."""
    if beside is None:
        return wide
    if surface.faces_as(beside):
        # The lower of two reaches up to the higher; two that are level are one.
        step = dot(subtract(beside.origin, surface.origin), surface.frame.out)
        step += surface.rest - beside.rest
        ahead = dot(surface.frame.ahead, beside.frame.ahead) > _SAME_WAY
        level = abs(step) < surface.rest / 2
        return wide if level or not ahead else (wide if step > 0 else 0.0)
    # Round a corner: the other wall's surface is where this one ends.
    turns_out = way * dot(beside.frame.out, surface.frame.ahead) < 0
    return beside.rest if turns_out else -beside.rest
