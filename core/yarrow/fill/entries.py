"""Where raceways enter a box: lock rings and bushes that must not meet, and a device's screws."""

from __future__ import annotations

import math
from fractions import Fraction
from itertools import combinations

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.tables import TradeSize
from yarrow.fill.method import FillRule
from yarrow.fill.pull_boxes import OPPOSITE, BoxWall, Sides
from yarrow.fill.rings import least_spacing, lock_ring, row_of_holes
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, gravest_first, nothing_wrong
from yarrow.measure.rounding import USUAL_STEP, round_to
from yarrow.measure.units import Unit, convert_length
from yarrow.values import dataclass
from yarrow.wording.figures import Way, trimmed, trimmed_up
from yarrow.wording.phrase import Phrase, Quantity, Shown, Value, figure


@dataclass(frozen=True, slots=True)
class Entry:
    """A raceway's hole: the middle ``along`` its wall from the left or the bottom, ``deep`` from
    the back. None: side by side with the others that have none, as close as lock rings allow, in
    the middle of the wall; in the middle of its depth."""

    id: str
    wall: BoxWall
    along: float | None
    deep: float | None
    size: TradeSize


@dataclass(frozen=True, slots=True)
class OpenBox:
    """A box as one looks into it: inside sides, its entries, and whether a device is in it."""

    unit: Unit
    width: float
    height: float
    depth: float
    entries: tuple[Entry, ...]
    device: bool


@dataclass(frozen=True, slots=True)
class PlacedEntry:
    """An entry with the diameters of its hole and lock ring, and how far they stand in;
    ``along_text`` as the tape tells it."""

    id: str
    wall: BoxWall
    along: float
    along_text: Shown
    deep: float
    size: str
    hole: float
    ring: float
    reach: float


@dataclass(frozen=True, slots=True)
class Spacing:
    """From the middle of one hole to the middle of the next on a wall: as it is, and at least."""

    between: tuple[str, str]
    wall: BoxWall
    is_now: float
    least: float


@dataclass(frozen=True, slots=True)
class EntriesResult:
    """Whether all entries go together, and how far apart they have to be, in a box of those
    inside ``sides``, with a ``device`` in the middle or none."""

    format: str
    units: Unit
    sides: Sides
    device: Sides | None
    passes: bool
    entries: tuple[PlacedEntry, ...]
    spacings: tuple[Spacing, ...]
    rule: FillRule
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error."""
        return self.passes


def check_entries(box: OpenBox) -> EntriesResult:
    """Every entry against its wall, the others, and the device.

    Source:
        docs/fill.md, working figures of the catalogue.
    """
    placed = _all_placed(box)
    findings = [
        finding for at, entry in enumerate(placed) for finding in _over_edge(box, entry, at)
    ]
    spacings = []
    for (_, one), (at, other) in combinations(enumerate(placed), 2):
        if one.wall == other.wall:
            least = least_spacing(one.size, other.size, box.unit)
            is_now = math.dist((one.along, one.deep), (other.along, other.deep))
            spacings.append(Spacing((one.id, other.id), one.wall, is_now, least))
            if is_now < least - 1e-9:
                findings.append(_meeting(box, one, other, at, least))
        elif _collides_round_the_corner(box, one, other):
            pair = {"one": one.id, "other": other.id}
            findings.append(Finding(FindingCode.MEET_AT_CORNER, pair, path=f"entries[{at}].at"))
    if box.device:
        findings += [f for at, entry in enumerate(placed) for f in _at_device(box, entry, at)]
    limits = fill_limits().entries
    passes = nothing_wrong(findings)
    return EntriesResult(
        "yarrow.entries-result/1",
        box.unit,
        Sides(box.width, box.height),
        _device(box),
        passes,
        tuple(placed),
        tuple(spacings),
        FillRule(Phrase("fill-rule/entries"), limits.source, limits.edition),
        gravest_first(findings),
    )


def _device(box: OpenBox) -> Sides | None:
    """How large the device in the middle is taken to be; None: there is none."""
    limits = fill_limits().entries
    if not box.device:
        return None
    wide, high = (
        convert_length(side, "in", box.unit)
        for side in (limits.device_wide_in, limits.device_high_in)
    )
    return Sides(wide, high)


def _all_placed(box: OpenBox) -> list[PlacedEntry]:
    """Every entry in its place; those without one in a row in the middle of their wall."""
    along: dict[str, float] = {}
    for wall in dict.fromkeys(entry.wall for entry in box.entries):
        unplaced = [entry for entry in box.entries if entry.wall == wall and entry.along is None]
        *middles, taken = row_of_holes([entry.size for entry in unplaced], box.unit)
        spare = (_wall_length(box, wall) - taken) / 2
        along |= {entry.id: spare + at for entry, at in zip(unplaced, middles, strict=True)}
    return [_placed(entry, box, along.get(entry.id, 0.0)) for entry in box.entries]


def _placed(entry: Entry, box: OpenBox, in_a_row: float) -> PlacedEntry:
    hole, ring, reach = lock_ring(entry.size, box.unit)
    along = entry.along if entry.along is not None else in_a_row
    deep = entry.deep if entry.deep is not None else box.depth / 2
    text = round_to(along, Fraction(USUAL_STEP[box.unit]), box.unit).text
    return PlacedEntry(entry.id, entry.wall, along, text, deep, entry.size, hole, ring, reach)


def _wall_length(box: OpenBox, wall: BoxWall) -> float:
    return box.height if wall in ("left", "right") else box.width


def _measured(box: OpenBox, length: float, way: Way = trimmed) -> Quantity:
    return figure(length, box.unit, 2 if box.unit == "in" else 0, f" {box.unit}", way)


def _over_edge(box: OpenBox, entry: PlacedEntry, at: int) -> list[Finding]:
    half, long = entry.ring / 2, _wall_length(box, entry.wall)
    if half <= entry.along <= long - half and half <= entry.deep <= box.depth - half:
        return []
    values: dict[str, Value] = {
        "entry": entry.id,
        "ring": _measured(box, entry.ring),
        "wall": _measured(box, long),
        "depth": _measured(box, box.depth),
    }
    return [Finding(FindingCode.OVER_THE_EDGE, values, path=f"entries[{at}].at")]


def _meeting(box: OpenBox, one: PlacedEntry, other: PlacedEntry, at: int, least: float) -> Finding:
    values: dict[str, Value] = {
        "one": one.id,
        "other": other.id,
        "least": _measured(box, least, trimmed_up),
    }
    source = fill_limits().entries.source
    return Finding(FindingCode.RINGS_MEET, values, path=f"entries[{at}].at", source=source)


def _collides_round_the_corner(box: OpenBox, one: PlacedEntry, other: PlacedEntry) -> bool:
    """Lock ring and bush as a drum on each wall: whether the two have space in common."""
    if abs(one.deep - other.deep) >= (one.ring + other.ring) / 2:
        return False
    if OPPOSITE[one.wall] == other.wall:
        between = box.width if one.wall in ("left", "right") else box.height
        beside = abs(one.along - other.along) < (one.ring + other.ring) / 2
        return beside and one.reach + other.reach > between
    return _from_corner(box, one, other.wall) < other.reach and (
        _from_corner(box, other, one.wall) < one.reach
    )


def _from_corner(box: OpenBox, entry: PlacedEntry, wall: BoxWall) -> float:
    """From a wall next to an entry's own to the near edge of its lock ring."""
    low = wall in ("left", "bottom")
    middle = entry.along if low else _wall_length(box, entry.wall) - entry.along
    return middle - entry.ring / 2


def _at_device(box: OpenBox, entry: PlacedEntry, at: int) -> list[Finding]:
    """A warning where wire comes in right at the screws of the device in the middle."""
    limits = fill_limits().entries
    wide, room, high, deep = (
        convert_length(inches, "in", box.unit)
        for inches in (
            limits.device_wide_in,
            limits.wire_room_in,
            limits.screws_high_in,
            limits.deep_in,
        )
    )
    if entry.wall not in ("left", "right"):
        return []
    beside = (box.width - wide) / 2 < entry.reach + room
    level = abs(entry.along - box.height / 2) < (high + entry.hole) / 2
    in_front = entry.deep + entry.hole / 2 > box.depth - deep
    if not (beside and level and in_front):
        return []
    source, path = limits.source, f"entries[{at}].at"
    return [Finding(FindingCode.AT_THE_SCREWS, {"entry": entry.id}, path=path, source=source)]
