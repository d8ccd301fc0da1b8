"""A drawn pipe as a run's path: straights and arcs that join, found in whatever they are drawn."""

from __future__ import annotations

import math
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from itertools import pairwise, product
from typing import Any

from ezdxf.entities.dxfentity import DXFEntity
from ezdxf.layouts.base import BaseLayout
from ezdxf.math import OCS, Matrix44, Vec3
from ezdxf.math.transformtools import NonUniformScalingError
from ezdxf.sections.blocks import BlocksSection

from yarrow import DocumentError

MOST_PIECES = 4000
"""Straights and arcs that are looked at: far beyond any run, and quick to join."""

MOST_NESTED = 8
"""Blocks within blocks."""

_JOIN = 1e-4
"""Of the drawing's size: ends as close as this are one place."""

_TANGENT = 1.0
"""Degrees by which an arc's tangent may be off the straight beside it and still be a bend of it."""

_STEEPEST = 175.0
"""Degrees of an arc from which its tangents meet too far away to be a bend's vertex."""

DRAWN = {"LINE", "ARC", "LWPOLYLINE", "POLYLINE"}


@dataclass(frozen=True, slots=True)
class DrawnPiece:
    """A straight, or an arc by its tangents' directions at both ends, its radius and angle."""

    start: Vec3
    end: Vec3
    leaves: Vec3
    arrives: Vec3
    radius: float = 0.0
    angle: float = 0.0

    def turned_round(self) -> DrawnPiece:
        """The same, drawn the other way."""
        return DrawnPiece(
            self.end, self.start, -self.arrives, -self.leaves, self.radius, self.angle
        )


@dataclass(frozen=True, slots=True)
class DrawnPath:
    """Vertices in the drawing's unit, with both ends, and the radius of every arc among them."""

    vertices: tuple[Vec3, ...]
    radii: tuple[float, ...]


def drawn(layout: BaseLayout) -> list[DXFEntity]:
    """What is drawn, also in blocks that are put in, at their scale and turn. It is counted first:
    a few blocks in one another can be more lines than there is room for.

    Args:
        layout: of a drawing.

    Raises:
        DocumentError, where blocks lie too deep in one another, are not there, or have no size, or
        what is drawn is too much.
    """
    assert layout.doc is not None
    blocks = layout.doc.blocks
    if _count(layout, blocks, {}, 0) > MOST_PIECES:
        raise DocumentError("dxf", f"at most {MOST_PIECES} lines")
    return list(_put_in(layout, blocks, None))


def _count(
    entities: Iterable[DXFEntity], blocks: BlocksSection, known: dict[str, int], depth: int
) -> int:
    """How many lines are drawn. Args: known, of blocks that are counted already, by their names."""
    if depth > MOST_NESTED:
        raise DocumentError("dxf", f"blocks at most {MOST_NESTED} deep in one another")
    count = 0
    for entity in entities:
        if entity.dxftype() in DRAWN:
            count += 1
        elif entity.dxftype() == "INSERT":
            insert: Any = entity
            name = insert.dxf.name
            block = blocks.get(name)
            if block is None:
                raise DocumentError("dxf", f"blocks that are in it: {name[:40]} is not")
            scales = (insert.dxf.xscale, insert.dxf.yscale, insert.dxf.zscale)
            if not all(math.isfinite(scale) and scale for scale in scales):
                raise DocumentError("dxf", f"blocks of some size: {name[:40]} has none")
            if name not in known:
                known[name] = _count(block, blocks, known, depth + 1)
            count += known[name] * max(insert.mcount, 1)
    return count


def _put_in(
    entities: Iterable[DXFEntity], blocks: BlocksSection, by: Matrix44 | None
) -> Iterator[DXFEntity]:
    """The lines of a block, where it is put in ``by``; None: they lie where they are drawn."""
    for entity in entities:
        if entity.dxftype() == "INSERT":
            insert: Any = entity
            for single in insert.multi_insert() if insert.mcount > 1 else (insert,):
                here = single.matrix44()
                yield from _put_in(
                    blocks[single.dxf.name], blocks, here if by is None else here * by
                )
        elif entity.dxftype() in DRAWN:
            if by is None:
                yield entity
                continue
            copy: Any = entity.copy()
            try:
                yield copy.transform(by)
            except NonUniformScalingError:
                expected = "blocks put in at one scale: another makes no arc of an arc"
                raise DocumentError("dxf", expected) from None


def pieces_of(entity: DXFEntity) -> list[DrawnPiece]:
    """The straights and arcs of one entity, in order.

    Raises:
        DocumentError.
    """
    line: Any = entity
    if entity.dxftype() == "LINE":
        return _straight(Vec3(line.dxf.start), Vec3(line.dxf.end))
    if entity.dxftype() == "ARC":
        sweep = math.radians((line.dxf.end_angle - line.dxf.start_angle) % 360)
        return [_arc(line.start_point, line.end_point, sweep, line.ocs())]
    if entity.dxftype() == "POLYLINE" and not line.is_2d_polyline:
        points = [Vec3(vertex.dxf.location) for vertex in line.vertices]
        return [piece for a, b in _pairs(points) for piece in _straight(a, b)]
    ocs = line.ocs()
    if entity.dxftype() == "POLYLINE":
        flat = [(Vec3(v.dxf.location), float(v.dxf.get("bulge", 0.0))) for v in line.vertices]
    else:
        high = float(line.dxf.elevation)
        flat = [(Vec3(x, y, high), float(b)) for x, y, b in line.get_points("xyb")]
    if line.is_closed:
        flat.append((flat[0][0], 0.0))
    result: list[DrawnPiece] = []
    for (start, bulge), (end, _) in _pairs(flat):
        one, other = ocs.to_wcs(start), ocs.to_wcs(end)
        if bulge:
            result.append(_arc(one, other, 4 * math.atan(bulge), ocs))
        else:
            result += _straight(one, other)
    return result


def joined(groups: Sequence[Sequence[DrawnPiece]]) -> list[list[DrawnPiece]]:
    """Groups of pieces that join end to end as one each, whichever way they were drawn: from the
    first one on, the next at its end, and then those before its start.

    Args:
        groups: of pieces in order, in the drawing's unit.
    """
    left = [list(group) for group in groups if group]
    size = max((piece.start.magnitude for group in left for piece in group), default=1.0)
    ends = _Ends(left, max(size * _JOIN, 1e-9))
    result: list[list[DrawnPiece]] = []
    for number, group in enumerate(left):
        if not ends.take(number):
            continue
        chain = group
        while (then := ends.after(chain)) is not None:
            chain = [*chain, *then]
        back = _turned_round(chain)
        while (then := ends.after(back)) is not None:
            back = [*back, *then]
        result.append(_turned_round(back))
    return result


def _turned_round(chain: Sequence[DrawnPiece]) -> list[DrawnPiece]:
    return [piece.turned_round() for piece in reversed(chain)]


class _Ends:
    """The groups of pieces that are left, found by where they begin or end."""

    def __init__(self, groups: Sequence[list[DrawnPiece]], close: float) -> None:
        self._groups, self._close = groups, close
        self._left = set(range(len(groups)))
        self._at: dict[tuple[int, int, int], list[tuple[int, bool]]] = {}
        for number, group in enumerate(groups):
            for place, back in ((group[0].start, False), (group[-1].end, True)):
                self._at.setdefault(self._cell(place), []).append((number, back))

    def _cell(self, place: Vec3) -> tuple[int, int, int]:
        wide = self._close * 2
        return (math.floor(place.x / wide), math.floor(place.y / wide), math.floor(place.z / wide))

    def take(self, number: int) -> bool:
        """Whether a group is left; it is taken then."""
        if number not in self._left:
            return False
        self._left.remove(number)
        return True

    def after(self, chain: Sequence[DrawnPiece]) -> list[DrawnPiece] | None:
        """The group that goes on from a chain's end, taken, in the chain's direction; None where
        none does."""
        end, arrives = chain[-1].end, chain[-1].arrives
        x, y, z = self._cell(end)
        for cell in product((x - 1, x, x + 1), (y - 1, y, y + 1), (z - 1, z, z + 1)):
            for number, back in self._at.get(cell, ()):
                if number not in self._left:
                    continue
                group = self._groups[number]
                first = group[-1].turned_round() if back else group[0]
                # The same line drawn twice does not go on from itself.
                if (
                    first.start.distance(end) <= self._close
                    and _degrees(arrives, first.leaves) < _STEEPEST
                ):
                    self.take(number)
                    return _turned_round(group) if back else group
        return None


def path_of(chain: Sequence[DrawnPiece]) -> DrawnPath:
    """The vertices of joined pieces: an arc between two straights is one bend, whose vertex is
    where their tangents meet.

    Raises:
        DocumentError, where an arc is no bend.
    """
    vertices = [chain[0].start]
    radii: list[float] = []
    for number, piece in enumerate(chain):
        if piece.radius:
            _check_bend(chain, number)
            reach = piece.radius * math.tan(piece.angle / 2)
            vertices.append(piece.start + piece.leaves * reach)
            radii.append(piece.radius)
        elif number and not chain[number - 1].radius:
            vertices.append(piece.start)
    vertices.append(chain[-1].end)
    return DrawnPath(tuple(vertices), tuple(radii))


def _check_bend(chain: Sequence[DrawnPiece], number: int) -> None:
    piece = chain[number]
    place = f"({piece.start.x:.4g}, {piece.start.y:.4g})"
    if math.degrees(piece.angle) > _STEEPEST:
        raise DocumentError(
            "dxf", f"arcs of less than {_STEEPEST:g} degrees; not the one from {place}"
        )
    before = chain[number - 1].arrives if number else piece.leaves
    after = chain[number + 1].leaves if number + 1 < len(chain) else piece.arrives
    off = max(_degrees(before, piece.leaves), _degrees(piece.arrives, after))
    if off > _TANGENT:
        raise DocumentError(
            "dxf",
            f"arcs that go on from the straights beside them; the one from {place} is {off:.1f} "
            "degrees off, so it is no bend",
        )


def _straight(start: Vec3, end: Vec3) -> list[DrawnPiece]:
    way = end - start
    if way.magnitude == 0.0:
        return []
    ahead = way.normalize()
    return [DrawnPiece(start, end, ahead, ahead)]


def _arc(start: Vec3, end: Vec3, sweep: float, ocs: OCS) -> DrawnPiece:
    """An arc from one place to another that turns by ``sweep`` radians, to the left of travel where
    that is above zero, in the plane that it is drawn in."""
    chord = end - start
    up = ocs.to_wcs(Vec3(0, 0, 1)) if ocs.transform else Vec3(0, 0, 1)
    if chord.magnitude == 0.0:
        raise DocumentError("dxf", "arcs that are no whole circles")
    ahead = chord.normalize()
    left = up.cross(ahead)
    half = sweep / 2
    leaves = ahead * math.cos(half) - left * math.sin(half)
    arrives = ahead * math.cos(half) + left * math.sin(half)
    radius = chord.magnitude / (2 * abs(math.sin(half)))
    return DrawnPiece(start, end, leaves, arrives, radius, abs(sweep))


def _degrees(one: Vec3, other: Vec3) -> float:
    return math.degrees(one.angle_between(other))


def _pairs(items: Sequence[Any]) -> list[tuple[Any, Any]]:
    return list(pairwise(items))
