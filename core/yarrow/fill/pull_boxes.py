"""Pull and junction boxes for large wire (US): the least box from its raceways, and a box of that
size with the raceways placed in it."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from typing import Literal

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.tables import TradeSize
from yarrow.catalog.wiring import copper_kcmil, lock_rings, wire_name
from yarrow.fill.boxes import Sized
from yarrow.fill.conductor import Conductor
from yarrow.fill.method import FillRule
from yarrow.fill.rings import lock_ring, ring_gap
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, gravest_first, nothing_wrong
from yarrow.measure.tape import read_length
from yarrow.measure.units import Unit, convert_length
from yarrow.values import dataclass, replace
from yarrow.wording.figures import trimmed_up
from yarrow.wording.phrase import Phrase, Value, count, figure

BoxWall = Literal["left", "right", "top", "bottom"]

OPPOSITE: dict[str, BoxWall] = {"left": "right", "right": "left", "top": "bottom", "bottom": "top"}


@dataclass(frozen=True, slots=True)
class RacewayInWall:
    """A raceway that enters a wall in a row of it; ``size`` is its trade size."""

    id: str
    wall: BoxWall
    row: int
    size: TradeSize


@dataclass(frozen=True, slots=True)
class MarkedBody:
    """A conduit body: the wires that its maker has marked it for, and those to go through it."""

    marked: Sized
    conductors: Sized

    @property
    def takes_them(self) -> bool:
        """No more wires than marked, and none larger."""
        sizes = list(copper_kcmil())
        largest = sizes.index(self.conductors.size) <= sizes.index(self.marked.size)
        return largest and self.conductors.count <= self.marked.count


@dataclass(frozen=True, slots=True)
class PullBox:
    """The raceways of a box, what is pulled from which to which, and the box at hand if any:
    width, height; ``body`` where that is a conduit body with a marking of its own."""

    unit: Unit
    raceways: tuple[RacewayInWall, ...]
    pulls: tuple[tuple[str, str], ...]
    have: tuple[float, float] | None = None
    body: MarkedBody | None = None


@dataclass(frozen=True, slots=True)
class Sides:
    """The sides of a box as one looks into it."""

    width: float
    height: float


@dataclass(frozen=True, slots=True)
class Reason:
    """Why a side has to be so long: which wall and row, the sum, the length."""

    side: Literal["width", "height"]
    wall: str
    row: int
    text: Phrase
    length: float


@dataclass(frozen=True, slots=True)
class Placed:
    """A raceway in the drawn box: the middle of its hole along its wall from the left or the
    bottom, and the diameters of the hole and of the lock ring."""

    id: str
    wall: BoxWall
    row: int
    size: str
    along: float
    hole: float
    ring: float


@dataclass(frozen=True, slots=True)
class PullLine:
    """One pull: its kind, the least distance between its raceways (``apart``), and what that is in
    the drawn box, between the nearest edges of the two holes."""

    ends: tuple[str, str]
    kind: Literal["straight", "angle", "u"]
    apart: float
    drawn: float


@dataclass(frozen=True, slots=True)
class PullBoxResult:
    """The least box by the rule, the distances, and the box drawn: ``drawn`` is at least ``least``
    and has room for every lock ring and distance. ``passes`` (None: no box at hand)."""

    format: str
    units: Unit
    least: Sides
    apart: tuple[float, ...]
    pulls: tuple[PullLine, ...]
    reasons: tuple[Reason, ...]
    drawn: Sides
    placed: tuple[Placed, ...]
    have: Sides | None
    passes: bool | None
    rule: FillRule
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error."""
        return nothing_wrong(self.findings)


def is_large(conductor: Conductor) -> bool:
    """4 AWG and up, which goes by the pull box rule."""
    sizes = list(copper_kcmil())
    from_size = sizes.index(fill_limits().pull_box.from_size)
    return conductor.size is not None and sizes.index(conductor.size) >= from_size


def nominal(size: str, unit: Unit) -> float:
    """A trade size as the length that the rule multiplies: 1-1/4 is 1.25 in, 20 is 20 mm.

    Args:
        size: as the table writes it.

    Returns:
        In the unit of its table.

    Raises:
        KeyError for a size that is not in the table.
    """
    _, of = lock_rings()[size]
    own_unit: Unit = "in" if of == "in" else "mm"
    return convert_length(float(read_length(size, own_unit).value), own_unit, unit)


def check_pull_box(box: PullBox) -> PullBoxResult:
    """The least sides of a box and the distances between raceways.

    A straight pull: 8 times its larger raceway, from wall to wall. An angle or U pull: from its
    wall to the opposite one 6 times the largest raceway of a row and the others of that row, the
    row that asks for most; between the two raceways 6 times the larger.

    Source:
        NFPA 70 (2023), 314.28(A).
    """
    limits = fill_limits().pull_box
    by_id = {raceway.id: raceway for raceway in box.raceways}
    reasons = [*_straight(box, by_id), *_angled(box, by_id)]
    least = Sides(_longest(reasons, "width"), _longest(reasons, "height"))
    apart = tuple(limits.apart * _larger(box, by_id, pull) for pull in box.pulls)
    drawn, placed = _draw(box, least, apart)
    where = {entry.id: entry for entry in placed}
    pulls = tuple(
        PullLine(
            pull, _kind(by_id[pull[0]], by_id[pull[1]]), distance, _edge_to_edge(where, pull, drawn)
        )
        for pull, distance in zip(box.pulls, apart, strict=True)
    )
    times: dict[str, Value] = {"straight": count(limits.straight), "angle": count(limits.angle)}
    rule = FillRule(Phrase("fill-rule/pull-box", times), limits.source, limits.edition)
    have = Sides(*box.have) if box.have else None
    findings = [*_pull_box_findings(box, least, drawn, have, rule)]
    return PullBoxResult(
        format="yarrow.pullbox-result/1",
        units=box.unit,
        least=least,
        apart=apart,
        pulls=pulls,
        reasons=tuple(reasons),
        drawn=drawn,
        placed=placed,
        have=have,
        passes=None if have is None and box.body is None else nothing_wrong(findings),
        rule=rule,
        findings=gravest_first(findings),
    )


def _kind(one: RacewayInWall, other: RacewayInWall) -> Literal["straight", "angle", "u"]:
    if one.wall == other.wall:
        return "u"
    return "straight" if OPPOSITE[one.wall] == other.wall else "angle"


def _larger(box: PullBox, by_id: dict[str, RacewayInWall], pull: tuple[str, str]) -> float:
    return max(nominal(by_id[end].size, box.unit) for end in pull)


def _across(wall: str) -> Literal["width", "height"]:
    """The side of the box that leads from a wall to the opposite one."""
    return "width" if wall in ("left", "right") else "height"


def _straight(box: PullBox, by_id: dict[str, RacewayInWall]) -> list[Reason]:
    times = fill_limits().pull_box.straight
    reasons = []
    for pull in box.pulls:
        one, other = (by_id[end] for end in pull)
        if _kind(one, other) != "straight":
            continue
        larger = _larger(box, by_id, pull)
        values: dict[str, Value] = {
            "one": one.id,
            "other": other.id,
            "times": count(times),
            "larger": figure(larger, box.unit, 2),
        }
        text = Phrase("pull-box/straight", values)
        reasons.append(Reason(_across(one.wall), one.wall, one.row, text, times * larger))
    return reasons


def _angled(box: PullBox, by_id: dict[str, RacewayInWall]) -> list[Reason]:
    times = fill_limits().pull_box.angle
    turning = {
        (by_id[end].wall, by_id[end].row)
        for pull in box.pulls
        if _kind(by_id[pull[0]], by_id[pull[1]]) != "straight"
        for end in pull
    }
    # Conductors that are spliced here are not pulled through: the rule counts them as it does an
    # angle pull.
    turning |= {(raceway.wall, raceway.row) for raceway in _spliced(box)}
    reasons = []
    for wall, row in sorted(turning):
        sizes = sorted(
            (nominal(r.size, box.unit) for r in box.raceways if (r.wall, r.row) == (wall, row)),
            reverse=True,
        )
        largest, *others = (figure(size, box.unit, 2) for size in sizes)
        values: dict[str, Value] = {
            "wall": Phrase(f"box-wall/{wall}"),
            "row": count(row),
            "sum": (Phrase("times", {"times": count(times), "size": largest}), *others),
        }
        text = Phrase("pull-box/angled", values)
        reasons.append(
            Reason(_across(wall), wall, row, text, times * sizes[0] + math.fsum(sizes[1:]))
        )
    return reasons


def _longest(reasons: Sequence[Reason], side: str) -> float:
    return max((reason.length for reason in reasons if reason.side == side), default=0.0)


def _draw(box: PullBox, least: Sides, apart: Sequence[float]) -> tuple[Sides, tuple[Placed, ...]]:
    """A box of at least the least size with its raceways placed, widened until all is apart, to
    the next whole inch.

    Raceways of a wall stand in a row from its corner, as far from each other as their lock rings
    and their pulls ask; those of an angle pull stand as far from the common corner as they can,
    those that are pulled round both corners in the middle.
    """
    width, height = least.width, least.height
    for _ in range(_WIDENINGS):
        placed, need = _place_raceways(box, width, height, apart)
        if need.width > width + 1e-9 or need.height > height + 1e-9:
            width, height = max(width, need.width), max(height, need.height)
            continue
        where = {entry.id: entry for entry in placed}
        lacking = max(
            (
                distance - _edge_to_edge(where, pull, Sides(width, height))
                for pull, distance in zip(box.pulls, apart, strict=True)
            ),
            default=0.0,
        )
        if lacking <= 1e-9:
            break
        width, height = width + lacking / 2, height + lacking / 2
    step = convert_length(1.0, "in", box.unit)
    sides = Sides(*(step * math.ceil(side / step - 1e-6) for side in (width, height)))
    return sides, tuple(_place_raceways(box, sides.width, sides.height, apart)[0])


_WIDENINGS = 60


def _place_raceways(
    box: PullBox, width: float, height: float, apart: Sequence[float]
) -> tuple[list[Placed], Sides]:
    """Every raceway in a box of a size, and the size that all of them side by side ask for."""
    by_id = {raceway.id: raceway for raceway in box.raceways}
    toward: dict[str, set[BoxWall]] = {}
    u_pulls: dict[str, list[tuple[str, float]]] = {}
    for pull, distance in zip(box.pulls, apart, strict=True):
        one, other = (by_id[end] for end in pull)
        kind = _kind(one, other)
        if kind == "angle":
            toward.setdefault(one.id, set()).add(other.wall)
            toward.setdefault(other.id, set()).add(one.wall)
        elif kind == "u":
            u_pulls.setdefault(one.id, []).append((other.id, distance))
            u_pulls.setdefault(other.id, []).append((one.id, distance))
    # Beside a corner there is room for the bushes of the wall round it.
    corner = max((lock_ring(raceway.size, box.unit)[2] for raceway in box.raceways), default=0.0)
    placed: list[Placed] = []
    need = {"width": 0.0, "height": 0.0}
    for wall in dict.fromkeys(raceway.wall for raceway in box.raceways):
        along_side: Literal["width", "height"] = "height" if wall in ("left", "right") else "width"
        long = height if along_side == "height" else width
        low_end: BoxWall = "bottom" if along_side == "height" else "left"
        groups: dict[str, list[RacewayInWall]] = {"low": [], "high": [], "middle": []}
        for raceway in box.raceways:
            if raceway.wall == wall:
                ends = toward.get(raceway.id, set()) & {low_end, OPPOSITE[low_end]}
                group = "middle" if len(ends) == 2 else "high" if low_end in ends else "low"
                groups[group].append(raceway)
        low, from_low = _in_rows(groups["low"], box.unit, u_pulls, corner)
        high, from_high = _in_rows(groups["high"], box.unit, u_pulls, corner)
        middle, across = _in_rows(groups["middle"], box.unit, u_pulls, 0.0)
        sides = 2 * max(from_low, from_high) if middle else from_low + from_high
        need[along_side] = max(need[along_side], sides + across + ring_gap(box.unit))
        placed += low
        placed += [replace(entry, along=long - entry.along) for entry in high]
        placed += [replace(entry, along=(long - across) / 2 + entry.along) for entry in middle]
    return placed, Sides(need["width"], need["height"])


def _in_rows(
    raceways: Sequence[RacewayInWall],
    unit: Unit,
    u_pulls: Mapping[str, Sequence[tuple[str, float]]],
    corner: float,
) -> tuple[list[Placed], float]:
    """Side by side in their rows, ``corner`` away from a corner and as far from each other, in
    whichever row, as U pulls ask; and how far from the corner they reach."""
    gap = ring_gap(unit)
    placed: dict[str, Placed] = {}
    reach: dict[int, float] = {}
    for raceway in raceways:
        hole, ring, _ = lock_ring(raceway.size, unit)
        middle = reach.get(raceway.row, corner) + gap + ring / 2
        for partner, distance in u_pulls.get(raceway.id, ()):
            if partner in placed:
                first = placed[partner]
                middle = max(middle, first.along + first.hole / 2 + distance + hole / 2)
        placed[raceway.id] = Placed(
            raceway.id, raceway.wall, raceway.row, raceway.size, middle, hole, ring
        )
        reach[raceway.row] = middle + ring / 2
    return list(placed.values()), max(reach.values(), default=corner)


def _hole_middle(placed: Placed, box: Sides) -> tuple[float, float]:
    return {
        "left": (0.0, placed.along),
        "right": (box.width, placed.along),
        "bottom": (placed.along, 0.0),
        "top": (placed.along, box.height),
    }[placed.wall]


def _edge_to_edge(where: dict[str, Placed], pull: tuple[str, str], box: Sides) -> float:
    """From edge to edge of two holes, as one looks into the box."""
    one, other = (where[end] for end in pull)
    middles = math.dist(_hole_middle(one, box), _hole_middle(other, box))
    return middles - (one.hole + other.hole) / 2


def _by_its_marking(body: MarkedBody, source: str) -> Finding:
    """A body may be smaller than a box has to be, for no more than what is marked on it."""
    marked, wanted = body.marked, body.conductors
    values: dict[str, Value] = {
        name: Phrase("conductors-of", {"count": count(of.count), "size": wire_name(of.size)})
        for name, of in (("marked", marked), ("asked", wanted))
    }
    code = FindingCode.BODY_IS_MARKED if body.takes_them else FindingCode.OVER_ITS_MARKING
    return Finding(code, values, path="body", source=source)


def _pull_box_findings(
    box: PullBox,
    least: Sides,
    drawn: Sides,
    have: Sides | None,
    rule: FillRule,
) -> list[Finding]:
    source = rule.written
    findings = []
    if box.body is not None:
        findings.append(_by_its_marking(box.body, source))
    elif have is not None and (have.width < least.width or have.height < least.height):
        sides = _sides(least, box.unit)
        findings.append(Finding(FindingCode.PULL_BOX_TOO_SMALL, sides, path="have", source=source))
    if drawn.width > least.width + 1e-6 or drawn.height > least.height + 1e-6:
        sides = _sides(drawn, box.unit)
        findings.append(
            Finding(FindingCode.RULE_LEAVES_NO_ROOM, sides, path="entries", source=source)
        )
    spliced = tuple(raceway.id for raceway in _spliced(box))
    if spliced:
        values = {"raceways": spliced}
        findings.append(Finding(FindingCode.NO_PULL, values, path="pulls", source=source))
    return findings


def _sides(sides: Sides, unit: Unit) -> dict[str, Value]:
    return {
        "width": figure(sides.width, unit, 2, way=trimmed_up),
        "height": figure(sides.height, unit, 2, f" {unit}", trimmed_up),
    }


def _spliced(box: PullBox) -> list[RacewayInWall]:
    """Raceways that no pull goes through."""
    pulled = {end for pull in box.pulls for end in pull}
    return [raceway for raceway in box.raceways if raceway.id not in pulled]
