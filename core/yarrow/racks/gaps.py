"""What is between the pipes of a rack: the least air, and what rounding does to the spacing."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.geometry.rounded_polyline import rounded
from yarrow.geometry.vectors import Vector, along, cross, length, subtract
from yarrow.racks.pipe_paths import RackPipePath, outside
from yarrow.racks.rack_plan import Gap, RackPipe
from yarrow.role import Role
from yarrow.runs.model.lines import labelled_line
from yarrow.runs.model.run import Rack, ResolvedRun
from yarrow.wording.phrase import Phrase, count
from yarrow.wording.wording import EN_US

_HAIR = 1e-6


def gap_between(
    one: RackPipe,
    other: RackPipe,
    lines: Sequence[RackPipePath],
    radii: Sequence[Sequence[float]],
    setup: ResolvedRun,
) -> Gap:
    """What is between two neighbours, along the corners as they are planned; the first of them as
    it was built, where that is told.

    Args:
        lines: the way of every pipe in order.
        radii: of every pipe's corners in order, in the run's unit.
        setup: the run that the rack is a copy of.
    """
    words = setup.lengths
    line, next_line = lines[one.pipe], lines[other.pipe]
    base = line.real or line.vertices
    beside = rounded(next_line.vertices, radii[other.pipe])
    near = rounded(base, radii[one.pipe]).nearest_to(beside)
    air = near.distance - (outside(line.run) + outside(next_line.run)) / 2
    centres = next_line.offset - line.offset
    off = _legs_off(one, other)
    at = "the legs, as spaced"
    if near.distance < centres - _HAIR:
        feature = line.owners[max(near.corner, 1) - 1][0]
        at = EN_US.text(labelled_line(setup, feature))
    return Gap(
        pipe=one.pipe,
        centres=centres,
        centres_text=words.reading(centres),
        air=air,
        air_text=words.reading(words.down(max(air, 0.0))),
        at=near.place,
        at_text=at,
        off=off,
        off_text=words.off(off),
    )


def _legs_off(one: RackPipe, other: RackPipe) -> float:
    """The most by which the middle of any leg lies nearer or further than planned, once the marks
    are rounded; legs within a bend in shots are no legs."""
    worst = 0.0
    legs = list(zip(_leg_ends(one), _leg_ends(other), strict=True))
    if not (one.comes_out_as and other.comes_out_as):
        return worst
    for (a, b), (c, d) in legs:
        planned = _apart(one.path[a], one.path[b], other.path[c], other.path[d])
        made = _apart(
            one.comes_out_as[a], one.comes_out_as[b], other.comes_out_as[c], other.comes_out_as[d]
        )
        if abs(made - planned) > abs(worst):
            worst = made - planned
    return worst


def _leg_ends(pipe: RackPipe) -> list[tuple[int, int]]:
    """The vertices that each leg runs between, but for the flats between shots."""
    inside = {
        bend.vertex
        for bend, after in pairwise(pipe.bends)
        if bend.role is after.role is Role.SEGMENT and bend.feature == after.feature
    }
    return [(n, n + 1) for n in range(len(pipe.path) - 1) if n not in inside]


def _apart(begins: Vector, ends: Vector, other_begins: Vector, other_ends: Vector) -> float:
    """How far the middle of one leg lies from the line of another."""
    way = subtract(ends, begins)
    middle = along(other_begins, subtract(other_ends, other_begins), 0.5)
    return length(cross(subtract(middle, begins), way)) / (length(way) or 1.0)


def touching(gaps: Sequence[Gap], rack: Rack, setup: ResolvedRun) -> list[Finding]:
    """Where pipes would cut into each other: the worst of them, and the spacing that frees all."""
    overlapping = [gap for gap in gaps if gap.air < -_HAIR]
    if not overlapping:
        return []
    worst = min(overlapping, key=lambda gap: gap.air)
    words, others = setup.lengths, len(overlapping) - 1
    wider = words.reading(words.up(rack.spacing - worst.air))
    return [
        Finding(
            FindingCode.PIPES_TOUCH,
            {
                "one": count(worst.pipe + 1),
                "other": count(worst.pipe + 2),
                "more": count(others),
                "cut": words.needed(-worst.air),
                "at": worst.at_text,
            },
            path="rack.spacing",
            remedy=Remedy(Phrase("space-them", {"spacing": wider}), "rack.spacing", str(wider)),
            variant=("", "one-more", "more")[min(others, 2)],
        )
    ]
