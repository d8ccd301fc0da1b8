"""A box on site as a whole: every run that meets there, its volume, its size, its holes."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.catalog.tables import TradeSize
from yarrow.catalog.wiring import WireSize, box_allowances
from yarrow.fill.boxes import BoxResult, BoxWires, OutletBox, Sized, check_box
from yarrow.fill.conductor import Conductor
from yarrow.fill.entries import EntriesResult, Entry, OpenBox, check_entries
from yarrow.fill.pull_boxes import (
    BoxWall,
    PullBox,
    PullBoxResult,
    RacewayInWall,
    check_pull_box,
    is_large,
)
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, gravest_first, nothing_wrong
from yarrow.measure.units import Unit
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Value, count


@dataclass(frozen=True, slots=True)
class Meeting:
    """A run that ends at the box: its conduit and what it brings, the wall and row it enters, and
    where its hole is, where that is told. ``key`` is which run of its job it is, empty where nobody
    keeps that."""

    id: str
    run: str
    key: str
    end: str
    conduit: str
    size: TradeSize
    wires: tuple[Conductor, ...]
    wall: BoxWall
    row: int
    along: float | None
    deep: float | None


@dataclass(frozen=True, slots=True)
class Through:
    """Wires of a size that pass through the box unbroken, with a loop of 12 in or more or not: each
    comes with two of the runs."""

    size: WireSize
    count: int
    loop: bool


@dataclass(frozen=True, slots=True)
class BoxOnSite:
    """The box with what is in it besides the runs' wires (None: no volume to check by), what passes
    through, its sides inside, and what large wire is pulled from which run to which."""

    unit: Unit
    name: str
    contents: OutletBox | None
    through: tuple[Through, ...]
    sides: tuple[float, float, float] | None
    device: bool
    meetings: tuple[Meeting, ...]
    pulls: tuple[tuple[str, str], ...]


@dataclass(frozen=True, slots=True)
class MeetingRun:
    """A run that meets the box, as it is told to people. ``run_key`` is which run of its job."""

    id: str
    run: str
    run_key: str
    end: str
    conduit: str
    size: str
    wires: tuple[Phrase, ...]
    wall: BoxWall
    row: int


@dataclass(frozen=True, slots=True)
class SiteBoxResult:
    """The box as a whole: None for what does not apply to it."""

    format: str
    units: Unit
    name: str
    met: tuple[MeetingRun, ...]
    volume: BoxResult | None
    pull_box: PullBoxResult | None
    entries: EntriesResult | None
    passes: bool
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether nothing about it is wrong."""
        return self.passes


def check_site_box(box: BoxOnSite) -> SiteBoxResult:
    """Everything about a box from the runs that meet there.

    Every wire of a run ends in the box, but for what passes ``through``: each of those comes with
    two runs and counts once (twice with a loop). Wires of 4 AWG and up go by the pull box rule.

    Source:
        docs/fill.md; NFPA 70 (2023), 314.16 and 314.28.
    """
    findings: list[Finding] = []
    volume = _volume(box, findings)
    pull_box = _pull_box(box)
    entries = _entries(box)
    parts = (volume, pull_box, entries)
    passes = all(part is None or part.can_be_made for part in parts)
    return SiteBoxResult(
        format="yarrow.sitebox-result/1",
        units=box.unit,
        name=box.name,
        met=tuple(_meeting_run(meeting) for meeting in box.meetings),
        volume=volume,
        pull_box=pull_box,
        entries=entries,
        passes=passes and nothing_wrong(findings),
        findings=gravest_first(findings),
    )


def _meeting_run(meeting: Meeting) -> MeetingRun:
    counts: dict[tuple[str, bool], int] = {}
    for wire in meeting.wires:
        alike = wire.name, wire.role == "earth"
        counts[alike] = counts.get(alike, 0) + wire.count
    wires = tuple(
        Phrase(
            "meeting-wires/earth" if earth else "meeting-wires",
            {"count": count(many), "name": name},
        )
        for (name, earth), many in counts.items()
    )
    return MeetingRun(
        meeting.id,
        meeting.run,
        meeting.key,
        meeting.end,
        meeting.conduit,
        meeting.size,
        wires,
        meeting.wall,
        meeting.row,
    )


def _volume(box: BoxOnSite, findings: list[Finding]) -> BoxResult | None:
    if box.contents is None:
        return None
    ends: dict[WireSize, int] = {}
    grounds: dict[WireSize, int] = {}
    uncounted = set()
    for meeting in box.meetings:
        for wire in meeting.wires:
            if wire.size is None or wire.size not in box_allowances():
                if not is_large(wire):
                    uncounted.add(wire.name)
                continue
            kept = grounds if wire.role == "earth" else ends
            kept[wire.size] = kept.get(wire.size, 0) + wire.count
    passing = [*box.contents.wires]
    for through in box.through:
        here = ends.get(through.size, 0)
        if 2 * through.count > here:
            values: dict[str, Value] = {
                "through": count(through.count),
                "size": through.size,
                "ends": count(2 * through.count),
                "come": count(here),
            }
            findings.append(Finding(FindingCode.MORE_THROUGH_THAN_COME, values, path="through"))
            continue
        ends[through.size] = here - 2 * through.count
        loops = through.count if through.loop else 0
        passing.append(BoxWires(through.size, passes=through.count - loops, loops=loops))
    passing += [BoxWires(size, ends=count) for size, count in ends.items() if count]
    if uncounted:
        wires = {"wires": tuple(sorted(uncounted))}
        findings.append(Finding(FindingCode.NO_ALLOWANCE, wires, path="contents"))
    together = _grounds(box.contents.grounds, grounds)
    return check_box(replace(box.contents, wires=_merged(passing), grounds=together))


def _grounds(own: Sized | None, of_runs: dict[WireSize, int]) -> Sized | None:
    counts = dict(of_runs)
    if own is not None:
        counts[own.size] = counts.get(own.size, 0) + own.count
    if not counts:
        return None
    largest = max(counts, key=lambda size: box_allowances()[size])
    return Sized(largest, sum(counts.values()))


def _merged(wires: Sequence[BoxWires]) -> tuple[BoxWires, ...]:
    """One line a size."""
    result: dict[WireSize, BoxWires] = {}
    for wire in wires:
        old = result.get(wire.size, BoxWires(wire.size))
        result[wire.size] = BoxWires(
            wire.size,
            old.ends + wire.ends,
            old.passes + wire.passes,
            old.loops + wire.loops,
            old.inside + wire.inside,
        )
    return tuple(result.values())


def _pull_box(box: BoxOnSite) -> PullBoxResult | None:
    """By the raceways that bring large wire; two of them alone are pulled one to the other."""
    large = [meeting for meeting in box.meetings if any(map(is_large, meeting.wires))]
    if not large:
        return None
    pulls = box.pulls or (((large[0].id, large[1].id),) if len(large) == 2 else ())
    raceways = tuple(RacewayInWall(m.id, m.wall, m.row, m.size) for m in box.meetings)
    have = box.sides[:2] if box.sides else None
    return check_pull_box(PullBox(box.unit, raceways, pulls, have))


def _entries(box: BoxOnSite) -> EntriesResult | None:
    """The holes of every run that meets here."""
    if box.sides is None or not box.meetings:
        return None
    entries = tuple(Entry(m.id, m.wall, m.along, m.deep, m.size) for m in box.meetings)
    return check_entries(OpenBox(box.unit, *box.sides, entries, box.device))
