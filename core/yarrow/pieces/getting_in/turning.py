"""A bent piece that is turned on to what it is screwed to: how wide it sweeps, what that meets, and
how far the pipe before it has to be lifted off the wall so that it clears."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import field

from yarrow.catalog.elastic import end_lifts, least_elastic_radius, lifted_over
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.parallel import carried, offset_polyline
from yarrow.geometry.rounded_polyline import Segment, StraightSegment, rounded
from yarrow.geometry.straights import StraightPart, straight_at
from yarrow.geometry.sweeping import Rod, Sweep, TurnAxis, rods_of
from yarrow.geometry.vectors import ORIGIN, Vector, along, dot, scaled, subtract, unit
from yarrow.pieces.getting_in.around import (
    Stands,
    Surface,
    near_of,
    surfaces_of,
    things_of,
    walls_of,
)
from yarrow.pieces.places import RunToPart
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase

_NEAR = 0.02
"""Of the diameter: as close as it is looked whether something is met."""

_HAIR = 1e-6


@dataclass(frozen=True, slots=True)
class Side:
    """A side that pieces are hung from: where its pieces lie on the run before it is bent, from
    ``begins`` to ``ends``, and whether the fitting that they are hung from can be moved."""

    begins: float
    ends: float
    free: bool


@dataclass(frozen=True, slots=True)
class Turned:
    """A piece that is turned about the leg it is joined by, at ``place`` on the run before it is
    bent: how far it reaches from there, half its thickness included; what it ``meets`` where the
    run hangs (None: nothing); how far the pipe before it has to be lifted so that it clears and
    over what length that gives so much (0: it need not be); ``works``: it can be turned so."""

    place: float
    reach: float
    meets: Phrase | None
    lift: float
    over: float
    works: bool


@dataclass(frozen=True, slots=True)
class HungRun:
    """A run where it hangs, with all that stands ``around`` it and the ``neighbours`` of its rack.
    ``whole`` are the rods of each segment; ``corners`` are the places where it
    goes round to a surface that faces another way; ``springs_back`` is the tightest curve that
    leaves no bend in it. What was found of a turn is kept."""

    parted: RunToPart
    segments: tuple[Segment, ...]
    whole: tuple[tuple[Rod, ...], ...]
    surfaces: tuple[Surface, ...]
    corners: tuple[float, ...]
    around: tuple[Stands, ...]
    neighbours: tuple[Rod, ...]
    springs_back: float
    known: dict[tuple[float, float, Side, bool], Turned] = field(default_factory=dict)

    @classmethod
    def of(cls, parted: RunToPart) -> HungRun:
        """A run on its surfaces.

        Args:
            parted: the run.
        """
        layout, pipe = parted.layout, parted.pipe
        radii = dict(zip(pipe.corners, (bend.radius for bend in pipe.bends), strict=True))
        inner = range(1, len(layout.vertices) - 1)
        segments = rounded(layout.vertices, [radii.get(n, 0.0) for n in inner]).segments
        wide = 2 * math.fsum(segment.length for segment in segments)
        surfaces = surfaces_of(parted)
        return cls(
            parted=parted,
            segments=segments,
            whole=tuple(map(_rods_of_whole, segments)),
            surfaces=surfaces,
            corners=_corners(parted.straights, surfaces),
            around=(
                *walls_of(surfaces, layout.pipe.diameter / 2, rods_of(segments), wide),
                *near_of(parted, wide),
                *things_of(parted, wide),
            ),
            neighbours=_neighbours(parted, radii),
            springs_back=least_elastic_radius(parted.run.conduit, parted.run.unit),
        )

    @property
    def diameter(self) -> float:
        """Of the pipe."""
        return self.parted.layout.pipe.diameter

    def rods(self, begins: float, ends: float) -> tuple[Rod, ...]:
        """The run between two places of a straight each.

        Args:
            begins, ends: on the run before it is bent, in its unit.
        """
        result: list[Rod] = []
        for segment, whole in zip(self.segments, self.whole, strict=True):
            if begins <= segment.at and segment.at + segment.length <= ends:
                result += whole
            elif part := _part_between(segment, begins, ends):
                result += rods_of((part,))
        return tuple(result)

    def bends_between(self, begins: float, ends: float) -> bool:
        """Whether a piece is bent.

        Args:
            begins, ends: of the piece, on the run before it is bent, in its unit.
        """
        return any(begins < bend.arc_start < ends for bend in self.parted.pipe.bends)

    def turned(self, begins: float, ends: float, side: Side, *, at_end: bool) -> Turned:
        """A piece that is screwed to what hangs on one side of it.

        Args:
            begins, ends: of the piece, on the run before it is bent, in its unit.
            side: what hangs there already.
            at_end: whether it is turned about its far end.
        """
        key = (begins, ends, side, at_end)
        if key not in self.known:
            self.known[key] = self._turned(begins, ends, side, at_end=at_end)
        return self.known[key]

    def _turned(self, begins: float, ends: float, side: Side, *, at_end: bool) -> Turned:
        place = ends if at_end else begins
        part = straight_at(self.parted.straights, place)
        piece = self._sweep(begins, ends, at_end=at_end)
        reach = max(ring.most + rod.off for rod, ring in piece.rods) + self.diameter / 2
        hung = (side.begins, side.ends)
        collision = self._collision(piece, hung, self.around)
        lift, works = 0.0, collision is None
        surface = self._under(part)
        if collision and side.free:
            # What is not yet on the wall is put together away from it.
            works = self._collision(piece, hung, ()) is None
            lift = math.inf
        elif collision and surface:
            lift = self._wanted(piece, surface)
            up = scaled(surface.frame.out, -lift)
            lower = tuple(surface.moved(up) for surface in self.around)
            works = (
                lift <= self._gives(place, side, at_end=at_end)
                and self._collision(piece, hung, lower, up) is None
            )
        over = lifted_over(lift, self.springs_back) if math.isfinite(lift) else 0.0
        return Turned(place, reach, collision, lift, over, works)

    def collides_with_others(
        self, begins: float, ends: float, others: float, *, at_end: bool
    ) -> bool:
        """Whether a piece that is turned meets the pieces that hang from the start already.

        Args:
            begins, ends: of the piece, on the run before it is bent, in its unit.
            others: how far those reach, from the run's start.
            at_end: whether it is turned about its far end.
        """
        if others <= 0.0:
            return False
        piece = self._sweep(begins, ends, at_end=at_end)
        return self._collision(piece, (0.0, others), ()) is not None

    @property
    def _travel(self) -> float:
        """A piece comes from as far off as it is to go in: half of that either way."""
        return self.parted.coupling.takes / 2

    def _sweep(self, begins: float, ends: float, *, at_end: bool) -> Sweep:
        place = ends if at_end else begins
        part = straight_at(self.parted.straights, place)
        way = scaled(part.ahead, -1.0) if at_end else part.ahead
        aside = scaled(way, self._travel)
        axis = TurnAxis(part.at(place), way)
        return Sweep.of(axis, (rod.moved(aside) for rod in self.rods(begins, ends)))

    def box_turned(self, place: float, half: float, side: Side) -> Turned:
        """A box that is turned on to an end of the run.

        Args:
            place: that end, on the run before it is bent.
            half: from the middle of the box to a corner, in the run's unit.
            side: what hangs there.
        """
        surface = self._under(straight_at(self.parted.straights, place))
        rest = surface.rest if surface else math.inf
        lift = max(half - rest, 0.0)
        if lift == 0.0 or surface is None:
            return Turned(place, half, None, 0.0, 0.0, True)
        name = Phrase("getting-in/its-surface")
        if side.free:
            return Turned(place, half, name, math.inf, 0.0, True)
        works = lift <= self._gives(place, side, at_end=place <= side.begins)
        return Turned(place, half, name, lift, lifted_over(lift, self.springs_back), works)

    def _collision(
        self, piece: Sweep, hung: tuple[float, float], around: Sequence[Stands], up: Vector = ORIGIN
    ) -> Phrase | None:
        """The first thing that a piece meets while it is turned; None where it meets none.

        Args: piece; hung, the run that hangs there already, as it was before it was bent; around,
        what stands there; up, how the joint was moved, so that pipes beside it lie lower.
        """
        near, diameter = _NEAR * self.diameter, self.diameter
        for stands in around:
            if piece.meets(stands.block, diameter / 2 + self._travel, near):
                return stands.name
        for rod in self.rods(*hung):
            if piece.meets(rod, diameter + self._travel, near):
                return Phrase("getting-in/own-pipe")
        for rod in self.neighbours if around else ():
            if piece.meets(rod.moved(up), diameter + self._travel, near):
                return Phrase("getting-in/neighbour")
        return None

    def _wanted(self, piece: Sweep, surface: Surface) -> float:
        """How far off its surface the joint has to be so that the piece clears that all round."""
        axis = piece.axis
        slope = dot(axis.way, surface.frame.out)
        square = math.sqrt(max(1.0 - slope * slope, 0.0))
        low = math.inf
        for rod, _ in piece.rods:
            for point in (rod.begins, rod.ends):
                ahead = dot(subtract(point, axis.origin), axis.way)
                least = surface.off(axis.origin) + ahead * slope - axis.off(point) * square
                low = min(low, least - rod.off)
        return max(self.diameter / 2 + self._travel - low, 0.0)

    def _gives(self, place: float, side: Side, *, at_end: bool) -> float:
        """How far the pipe that hangs there can be lifted off its surface at the joint and spring
        back: held at its other end, or where it goes round to a surface that faces another way."""
        beyond = [at for at in self.corners if side.begins < at < side.ends]
        held = min([*beyond, side.ends]) if at_end else max([side.begins, *beyond])
        return end_lifts(abs(place - held), self.springs_back)

    def _under(self, part: StraightPart) -> Surface | None:
        return _under(self.surfaces, part)


def _under(surfaces: Sequence[Surface], part: StraightPart) -> Surface | None:
    """What a straight of the run lies on; None on its way from one surface to another."""
    middle = part.at((part.begins + part.ends) / 2)
    return next((surface for surface in surfaces if surface.lies_under(middle)), None)


def _corners(straights: Sequence[StraightPart], surfaces: Sequence[Surface]) -> tuple[float, ...]:
    result: list[float] = []
    before: Surface | None = None
    for part in straights:
        surface = _under(surfaces, part)
        if surface and before and not surface.faces_as(before):
            result.append(part.begins)
        before = surface or before
    return tuple(result)


def _neighbours(parted: RunToPart, radii: Mapping[int, float]) -> tuple[Rod, ...]:
    """The other pipes of the run's rack, as rods; none where it has none, or they can't be laid."""
    rack, vertices = parted.rack, parted.layout.vertices
    if rack is None or not parted.layout.lines:
        return ()
    apart = rack.spacing + (parted.layout.pipe.diameter if rack.between == "air" else 0.0)
    side = carried(vertices, parted.layout.lines[0].leg.frame.toward(rack.side))
    rods: list[Rod] = []
    for number in range(1, rack.count):
        try:
            line = offset_polyline(vertices, side, number * apart)
        except GeometryError:
            continue
        inner = range(1, len(line) - 1)
        rods += rods_of(rounded(line, [radii.get(n, 0.0) for n in inner]).segments)
    return tuple(rods)


def _rods_of_whole(segment: Segment) -> tuple[Rod, ...]:
    whole = _part_between(segment, -math.inf, math.inf)
    return rods_of((whole,)) if whole else ()


def _part_between(segment: Segment, begins: float, ends: float) -> Segment | None:
    """What of a segment lies between two places on the run before it is bent; an arc is never
    parted."""
    low, high = max(segment.at, begins), min(segment.at + segment.length, ends)
    if high - low <= _HAIR:
        return None
    if segment.bent:
        return segment
    way = unit(subtract(segment.ends, segment.begins))
    return StraightSegment(
        along(segment.begins, way, low - segment.at),
        along(segment.begins, way, high - segment.at),
        low,
    )
