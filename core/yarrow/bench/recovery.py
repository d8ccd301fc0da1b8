"""How a piece goes on after a bend came out different: as a good hand does it, in this order, and
the first that does is the plan. Mend what is made; move with it; match it; turn the rest with it;
give a dimension; only then other angles; scrap."""

from __future__ import annotations

import math
from collections.abc import Collection, Iterator, Mapping, Sequence
from enum import StrEnum
from functools import lru_cache
from itertools import pairwise

from yarrow.bench.readings.reading import BentPiece
from yarrow.bench.refit import HungPiece, Refit, Work, hung_up, with_angles_found, with_places_found
from yarrow.bend_simulation.order import normalised
from yarrow.geometry.arcs import arc_length, tangent_length
from yarrow.geometry.vectors import angle_between, subtract
from yarrow.measure import ieee
from yarrow.values import dataclass, replace

SAME = 0.5
"""Degrees that no level on site tells apart."""

BENT_ON = 5.0
"""Degrees under that are bent on before anything else is thought of: the habit of crews."""

PRESSED = 5.0
"""Degrees of twist that are pressed out on a flat floor: the habit of crews."""

_OPENED = {"emt": 2.0}
_OPENED_AT_MOST = 3.0
"""Degrees over that a bend can be opened by, by the conduit's type, and of all others: a bend that
is opened further flattens. The habit of crews."""

SCRAP = 2.0
"""Diameters that a leg may lie off before nobody hangs the piece: a working figure."""

_ALIKE = 1e-6
"""Degrees within which two bends of a plan are alike."""


class RecoveryWay(StrEnum):
    """What a person does about a bend that came out different."""

    NONE = "none"
    MEND = "mend"
    MOVE = "move"
    MATCH = "match"
    TURN = "turn"
    GIVE = "give"
    ANGLES = "angles"
    SCRAP = "scrap"


class MendingWay(StrEnum):
    """What is done to a bend that is made."""

    BEND_ON = "bend-on"
    OPEN = "open"
    PRESS_FLAT = "press-flat"


@dataclass(frozen=True, slots=True)
class Mending:
    """A bend, along the pipe from 0, by how much it is off, degrees, the angle that has to stay in
    it then, and how that is done."""

    bend: int
    by: float
    to: float
    how: MendingWay


@dataclass(frozen=True, slots=True)
class Recovered:
    """A piece after a bend of it was read: what is to be mended first, the piece once that is done
    and the bends that are left are where they have to be, and which way of the list that is;
    ``cut_short``: not everything was looked at."""

    mendings: tuple[Mending, ...]
    piece: Refit
    by: RecoveryWay
    cut_short: bool = False


def opened_at_most(conduit_type: str) -> float:
    """Degrees that a bend can be opened by.

    Args:
        conduit_type: of the catalogue.

    Returns:
        Degrees; the usual ones where its type has none of its own.
    """
    return _OPENED.get(conduit_type, _OPENED_AT_MOST)


def can_be_opened(over: float, opened: float) -> bool:
    """Whether a bend that is over can be brought back.

    Args:
        over: degrees that it has too many.
        opened: degrees that one can be opened by.
    """
    return over <= opened + _ALIKE


def mendings_of(
    aimed: BentPiece, piece: BentPiece, bend: int, opened: float, *, first: bool
) -> Iterator[Mending]:
    """What is done to a bend so that it is as it had to be, where that is a small thing.

    Args:
        aimed: the piece as it was to be, degrees.
        piece: as it was read.
        bend: along the pipe, from 0.
        opened: degrees that it can be opened by.
        first: no other bend is made: there is no plane yet that it could be out of.
    """
    wanted = aimed.bends[bend].angle
    over = piece.bends[bend].angle - wanted
    if -BENT_ON - _ALIKE <= over < -SAME - _ALIKE:
        yield Mending(bend, -over, wanted, MendingWay.BEND_ON)
    elif over > SAME + _ALIKE and can_be_opened(over, opened):
        yield Mending(bend, over, wanted, MendingWay.OPEN)
    twist = abs(_twist(aimed, piece, bend))
    if not first and SAME + _ALIKE < twist <= PRESSED + _ALIKE:
        yield Mending(bend, twist, wanted, MendingWay.PRESS_FLAT)


@dataclass(frozen=True, slots=True)
class Recovery:
    """What a piece that came out different is brought back to: how it was to be ``hung``, by how
    many degrees a bend can be ``opened``, the leg that is ``held`` before the others, counted from
    0 (None: none), and the ``step`` of the tape: what is off by no more, holds."""

    hung: HungPiece
    opened: float
    held: int | None
    step: float


@lru_cache(maxsize=400)
def recovered(
    aimed: BentPiece,
    piece: BentPiece,
    made: tuple[int, ...],
    to: Recovery,
    *,
    as_is: bool,
) -> Recovered:
    """How a piece goes on after the last bend that was made was read. It is remembered: at the next
    reading the bends that were made before it are as they were.

    Args:
        aimed: as it was to be when that bend was made, lengths in one unit.
        piece: the same with that bend as it was read.
        made: the bends that are made, in order, that one last.
        to: what it is brought back to.
        as_is: nothing is done to it.

    Source:
        docs/pieces-and-walls.md, at the bench.
    """
    hung, held = to.hung, to.held
    bend, first = made[-1], len(made) == 1
    mendings = () if as_is else tuple(mendings_of(aimed, piece, bend, to.opened, first=first))
    mended = _once_mended(aimed, piece, bend, mendings)
    left = [at for at in range(len(piece.bends)) if at not in made]
    work = Work.of_reading(len(piece.bends))
    tried: list[Refit] = []
    for by, refit in _ways(aimed, mended, hung, made, left, held, work):
        tried.append(refit)
        if _holds(refit, hung, to.step):
            done = RecoveryWay.MEND if mendings and by is RecoveryWay.NONE else by
            return Recovered(mendings, refit, done)
    under = aimed.bends[bend].angle - mended.bends[bend].angle
    if not as_is and under > SAME + _ALIKE:
        # Nothing else does: it goes on bending on the same mark as far as it has to.
        on = Mending(bend, under, aimed.bends[bend].angle, MendingWay.BEND_ON)
        again = recovered(aimed, _once_mended(aimed, mended, bend, (on,)), made, to, as_is=True)
        by = RecoveryWay.MEND if again.by is RecoveryWay.NONE else again.by
        return Recovered((*mendings, on), again.piece, by, again.cut_short or work.cut_short)
    most = SCRAP * piece.diameter
    least_off = min(tried, key=lambda refit: _badness(refit, hung))
    if not least_off.overlap and least_off.worst(hung) <= most:
        return Recovered(mendings, least_off, RecoveryWay.GIVE, work.cut_short)
    if left:
        other = with_angles_found(least_off.bent, hung, left, held, work)
        if not other.overlap and other.worst(hung) <= most:
            return Recovered(mendings, other, RecoveryWay.ANGLES, work.cut_short)
    return Recovered(mendings, least_off, RecoveryWay.SCRAP, work.cut_short)


def _holds(refit: Refit, hung: HungPiece, step: float) -> bool:
    return not refit.overlap and refit.worst(hung) <= step


def _badness(refit: Refit, hung: HungPiece) -> tuple[float, float]:
    """Overlap before legs that lie off, the sum of these where the worst are alike."""
    return refit.overlap, refit.worst(hung) + math.fsum(refit.off) * 1e-3


def _twist(aimed: BentPiece, piece: BentPiece, bend: int) -> float:
    return normalised(piece.rolls[bend] - aimed.rolls[bend])


def _once_mended(
    aimed: BentPiece, piece: BentPiece, bend: int, mendings: Collection[Mending]
) -> BentPiece:
    """The piece with a bend mended; what no level tells is as it was to be. The arc keeps its end
    on the hook's side, where the bender's mark was put."""
    hows = {mending.how for mending in mendings}
    was, wanted = piece.bends[bend], aimed.bends[bend].angle
    angle, arc_start, roll = was.angle, was.arc_start, piece.rolls[bend]
    bent_again = hows & {MendingWay.BEND_ON, MendingWay.OPEN}
    if bent_again or abs(was.angle - wanted) <= SAME + _ALIKE:
        angle = wanted
        if piece.hooks[bend] == "end":
            arc_start = was.arc_end - arc_length(was.radius, wanted)
    if MendingWay.PRESS_FLAT in hows or abs(_twist(aimed, piece, bend)) <= SAME + _ALIKE:
        roll = aimed.rolls[bend]
    return piece.with_bend(bend, arc_start, angle, roll)


def _ways(
    aimed: BentPiece,
    piece: BentPiece,
    hung: HungPiece,
    made: Sequence[int],
    left: Sequence[int],
    held: int | None,
    work: Work,
) -> Iterator[tuple[RecoveryWay, Refit]]:
    """The piece with the bends that are left as each way of the list has them, their angles and
    rolls as planned wherever it is not those that it is about: in the list's order."""
    bend = made[-1]
    moved = abs(piece.bends[bend].arc_start - aimed.bends[bend].arc_start) > 1e-6 * piece.diameter
    over = abs(piece.bends[bend].angle - aimed.bends[bend].angle) > _ALIKE
    twist = _twist(aimed, piece, bend)
    if not moved and not over and abs(twist) <= _ALIKE:
        yield RecoveryWay.NONE, hung_up(piece, hung, held)
        return
    lengths = dict(enumerate(hung.lengths))
    ways: list[tuple[RecoveryWay, BentPiece, Mapping[int, float]]] = []
    matched = _matched(piece, hung, bend, left) if over else None
    ways.append((RecoveryWay.MOVE, piece, lengths))
    if matched is not None:
        ways.insert(0, (RecoveryWay.MATCH, matched.piece, lengths | matched.lengths))
    if abs(twist) > _ALIKE:
        ways = [
            *((RecoveryWay.TURN, _rolled_along(of, left, twist), legs) for _, of, legs in ways),
            *ways,
        ]
    for by, shape, legs in ways:
        laid = _laid_out(shape, made, left, legs)
        yield by, hung_up(laid, hung, held)
        if left:
            yield by, with_places_found(laid, hung, left, held, work)


def _rolled_along(piece: BentPiece, left: Sequence[int], twist: float) -> BentPiece:
    """All bends that are left rolled along with one."""
    rolls = tuple(roll + twist if at in left else roll for at, roll in enumerate(piece.rolls))
    return replace(piece, rolls=rolls)


@dataclass(frozen=True, slots=True)
class _Matched:
    """A piece whose bends of one line have the angle of the one that is made, and the legs, by
    their numbers, that are as long as that takes."""

    piece: BentPiece
    lengths: dict[int, float]


def _matched(
    piece: BentPiece, hung: HungPiece, bend: int, left: Collection[int]
) -> _Matched | None:
    """The other bends of a set, or of a saddle of three, by the angle of the one that is made;
    None where it belongs to neither, or another of them is made too."""
    group = next((bends for bends in _sets(piece, hung) if bend in bends), None)
    if group is None or not all(other in left for other in group if other != bend):
        return None
    lengths = hung.lengths
    first, last = group[0], group[-1]
    slope = first + 1
    was = _planned_angle(hung, first)
    angle = piece.bends[bend].angle
    if len(group) == 3 and bend == group[1]:
        angle /= 2
    if not 0 < angle < 85:
        return None
    rise = lengths[slope] * ieee.sin(math.radians(was))
    taken: dict[int, float] = {}
    run_was = rise / ieee.tan(math.radians(was))
    if len(group) == 3:
        # The arc cuts the corner: the vertex stands higher than what the pipe has to clear.
        radius = piece.bends[group[1]].radius
        rise += radius * (1 / ieee.cos(math.radians(angle)) - 1 / ieee.cos(math.radians(was)))
    shorter = run_was - rise / ieee.tan(math.radians(angle))
    for at in range(slope, last + 1):
        taken[at] = rise / ieee.sin(math.radians(angle))
    sides = (first, last + 1) if len(group) == 3 else (last + 1 if bend == first else first,)
    for side in sides:
        taken[side] = lengths[side] + shorter
    angles = {first: angle, last: angle}
    if len(group) == 3:
        angles[group[1]] = 2 * angle
    bent = piece
    for other, turns in angles.items():
        if other != bend:
            was_at = bent.bends[other]
            bent = bent.with_bend(other, was_at.arc_start, turns, bent.rolls[other])
    return _Matched(bent, taken)


def _planned_angle(hung: HungPiece, bend: int) -> float:
    before, at, after = hung.vertices[bend : bend + 3]
    return angle_between(subtract(at, before), subtract(after, at))


def _sets(piece: BentPiece, hung: HungPiece) -> Iterator[tuple[int, ...]]:
    """Two equal bends opposite ways, and three whose middle one is twice the outers, of one line
    each: the sets and saddles of a piece."""
    for group in hung.groups:
        parts = [group] if len(group) < 4 else [group[:2], group[2:]]
        for part in parts:
            angles = [_planned_angle(hung, bend) for bend in part]
            rolls = [piece.rolls[other] - piece.rolls[one] for one, other in pairwise(part)]
            if any(abs(abs(normalised(roll)) - 180) > SAME for roll in rolls):
                continue
            shape = [angle / angles[0] for angle in angles]
            wanted = {2: [1, 1], 3: [1, 2, 1]}.get(len(part), [])
            if len(wanted) == len(shape) and all(
                abs(one - other) < 1e-3 for one, other in zip(shape, wanted, strict=True)
            ):
                yield part


def _laid_out(
    piece: BentPiece,
    made: Collection[int],
    left: Collection[int],
    lengths: Mapping[int, float],
) -> BentPiece:
    """The piece with each bend that is left as far from the bends beside it as its legs are to be
    long: from those that are made on to either end. Between two that are made, from the first."""
    bent = piece
    tangents = [tangent_length(bend.radius, bend.angle) for bend in piece.bends]
    for at in range(min(made) - 1, -1, -1):
        after = bent.bends[at + 1]
        straight = lengths[at + 1] - tangents[at] - tangents[at + 1]
        arc = arc_length(bent.bends[at].radius, bent.bends[at].angle)
        begins = after.arc_start - straight - arc
        bent = bent.with_bend(at, begins, bent.bends[at].angle, bent.rolls[at])
    for at in range(min(made) + 1, len(piece.bends)):
        if at in left:
            straight = lengths[at] - tangents[at - 1] - tangents[at]
            begins = bent.bends[at - 1].arc_end + straight
            bent = bent.with_bend(at, begins, bent.bends[at].angle, bent.rolls[at])
    last = len(piece.bends) - 1
    cut = bent.bends[last].arc_end + lengths[last + 1] - tangents[last]
    return replace(bent, cut=cut)
