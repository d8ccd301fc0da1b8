"""What the bender needs and does not get: room ahead and behind, a stub, a mark on the pipe."""

from __future__ import annotations

import math
from collections.abc import Iterator
from fractions import Fraction

from yarrow.benders.catalogued import fit_for
from yarrow.benders.placing import Placing
from yarrow.catalog.limits import ByUnit, limits
from yarrow.catalog.tables import benders, other_least_radius, source_of_least_radius
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.measure.units import convert, convert_length
from yarrow.role import Role
from yarrow.runs.checks.end_fittings import shallower
from yarrow.runs.checks.placed_pipe import PlacedPipe
from yarrow.runs.model.lines import line_phrase
from yarrow.runs.model.run import ResolvedRun
from yarrow.wording.phrase import Phrase, Value, count

_HAIR = 1e-6


def bender_findings(run: ResolvedRun) -> list[Finding]:
    """An error where the bender's shoe does not take this conduit."""
    if run.bender_fits:
        return []
    fitting = [b for b in benders().values() if fit_for(b, run.conduit)]
    advice, remedy = Phrase("another-bender"), None
    if fitting:
        advice = Phrase("use", {"what": fitting[0].name})
        remedy = Remedy(advice, "bender", fitting[0].id)
    outside = float(convert(run.conduit.diameter, run.conduit.unit, run.unit))
    # The bender carries the numbers of its shoe's own size where the conduit is not that.
    narrow = outside > run.bender.diameter
    values: dict[str, Value] = {
        "bender": run.bender.name,
        "conduit": run.conduit.name,
        "why": Phrase("groove-too-narrow" if narrow else "groove-too-wide"),
        "advice": advice,
    }
    return [Finding(FindingCode.BENDER_DOES_NOT_FIT, values, path="bender", remedy=remedy)]


def stance_findings(run: ResolvedRun) -> list[Finding]:
    """A warning for each place that was said and that the tool can't be worked at, for a handle
    that no room is high enough for, and for blocks that nobody stands a bender on."""
    takes = tuple(Phrase(f"at-place/{stance.place}") for stance in run.stances.takes)
    not_taken = [
        Finding(
            FindingCode.STANCE_NOT_OF_THIS_TOOL,
            {
                "bender": run.bender.name,
                "place": Phrase(f"at-place/{place}"),
                "places": takes,
            },
            path=path,
            remedy=Remedy(
                Phrase(f"at-place/{run.stances.usual.place}"), path, run.stances.usual.place
            ),
        )
        for path, place in run.not_taken
    ]
    return [*not_taken, *_out_of_proportion(run)]


def _out_of_proportion(run: ResolvedRun) -> list[Finding]:
    words = run.lengths

    def compared(
        code: FindingCode, figure_mm: float, limit: ByUnit, path: str
    ) -> Iterator[Finding]:
        figure, most = convert_length(figure_mm, "mm", words.unit), limit.of(words.unit)
        if figure > most + _HAIR:
            values = {"is": words.measured(figure), "most": words.measured(most)}
            yield Finding(code, values, path=path)

    room, blocks = limits().room_height, limits().highest_blocks
    long = compared(FindingCode.HANDLE_TOO_LONG, run.stances.usual.handle_mm, room, "stance.handle")
    places = [(run.stances.picked or run.stances.usual, "stance.height")]
    places += [
        (stance, f"stances[{number}].height")
        for number, (_, stance) in enumerate(run.stances.by_bend)
    ]
    high = (
        compared(FindingCode.BLOCKS_TOO_HIGH, stance.height_mm, blocks, path)
        for stance, path in places
        if stance.place in ("blocks", "floor")
    )
    return [*long, *(finding for findings in high for finding in findings)]


def radius_findings(run: ResolvedRun) -> list[Finding]:
    """A warning where this bender bends tighter than the code's table allows: by the column for
    one-shot and full-shoe benders, or by that for other bends where there is no shoe."""
    if run.bender.traits.one_shot:
        return _under_code(run, run.bender.radius, run.conduit.least_radius)
    return _under_code(run, run.bender.radius, other_least_radius(run.conduit))


def shot_radius_findings(run: ResolvedRun, radius: float) -> list[Finding]:
    """The same for a wide bend that is made in many shots: that is no one-shot bend.

    Args:
        radius: of the wide bend, in the run's unit.
    """
    return _under_code(run, radius, other_least_radius(run.conduit))


def _under_code(run: ResolvedRun, radius: float, least: Fraction | None) -> list[Finding]:
    words = run.lengths
    if least is None:
        return []
    allowed = float(convert(least, run.conduit.unit, run.unit))
    if radius >= allowed - _HAIR:
        return []
    return [
        Finding(
            FindingCode.RADIUS_UNDER_CODE,
            {
                "radius": words.available(radius),
                "least": words.needed(allowed),
                "conduit": run.conduit.name,
            },
            path="bender",
            source=source_of_least_radius(run.conduit.unit),
        )
    ]


def room_findings(placed: PlacedPipe) -> list[Finding]:
    """Marks off the pipe, and straights that are shorter than the shoe needs on either side."""
    findings = []
    for mark in placed.marks:
        off = max(-mark.position, mark.position - placed.pipe.cut_length)
        placing = placed.placings[mark.bend]
        if placed.role(mark.bend) is Role.SEGMENT:
            # The shoe sits on what the last shot left, which is as good as straight.
            continue
        if off > _HAIR:
            findings.append(_mark_off(placed, mark.bend, off))
        elif placing.short_before > _HAIR:
            if placing.before is None:
                findings.append(_near_start(placed, mark.bend, placing.room, placing.need))
            else:
                pair = (placing.before, mark.bend)
                findings.append(_too_close(placed, pair, placing))
        elif placing.short_after > _HAIR:
            if placing.after is None:
                findings.append(_tight_after(placed, mark.bend))
            else:
                pair = (mark.bend, placing.after)
                findings.append(_too_close(placed, pair, placing))
    return findings


def _mark_off(placed: PlacedPipe, bend: int, off: float) -> Finding:
    feature = placed.feature(bend)
    at_start = placed.marks[bend].position < 0
    moved = feature if at_start else len(placed.run.walk) - 1
    return Finding(
        FindingCode.MARK_OFF_PIPE,
        {"mark": count(bend + 1), "off": placed.run.lengths.needed(off)},
        feature,
        placed.field(moved),
        (bend,),
        placed.move(moved, off),
        variant="start" if at_start else "end",
    )


def _too_close(placed: PlacedPipe, pair: tuple[int, int], placing: Placing) -> Finding:
    """Two bends with less straight between them than the shoe takes when the second is made."""
    words = placed.run.lengths
    before, after = (placed.feature(bend) for bend in pair)
    path = placed.field(after)
    if placed.run.walk and before == after:
        advice, remedy = shallower(placed.run, after, placed.layout.pipe, placing.need)
        path = f"walk[{after}].angle"
    else:
        short = placed.further(after, pair[1], placing.need)
        remedy = placed.move(after, short)
        line = line_phrase(placed.run, after)
        if math.isinf(short):
            advice = Phrase("smaller-kick")
        elif remedy:
            advice = Phrase("move-line-to", {"line": line, "place": str(remedy.value)})
        else:
            advice = Phrase("move-line-by", {"line": line, "more": words.needed(short)})
    values: dict[str, Value] = {
        "one": count(pair[0] + 1),
        "other": count(pair[1] + 1),
        "room": words.available(placing.room),
        "need": words.needed(placing.need),
        "advice": advice,
    }
    return Finding(FindingCode.BENDS_TOO_CLOSE, values, after, path, pair, remedy)


def _near_start(placed: PlacedPipe, bend: int, has: float, need: float) -> Finding:
    feature = placed.feature(bend)
    words = placed.run.lengths
    short = placed.further(feature, 0, need) if bend == 0 else need - has
    remedy = placed.move(feature, short)
    bender = placed.run.bender
    stub = placed.pipe.bends[bend].angle > 80 and placed.placings[bend].hook == "start"
    values: dict[str, Value] = {
        "bend": count(bend + 1),
        "room": words.available(has),
        "need": words.needed(need),
        "more": words.needed(need - has),
        "least": words.needed(bender.take_up + bender.hook),
    }
    return Finding(
        FindingCode.STUB_TOO_SHORT if stub else FindingCode.TOO_CLOSE_TO_END,
        values,
        feature,
        placed.field(feature),
        (bend,),
        remedy,
        variant="" if stub else "start",
    )


def _tight_after(placed: PlacedPipe, bend: int) -> Finding:
    words, placing = placed.run.lengths, placed.placings[bend]
    variant = "heel" if placing.hook == "start" else "hook"
    if placed.run.bender.traits.warms:
        variant = "form"
    last = len(placed.run.walk) - 1
    short = placing.short_after
    if bend == len(placed.pipe.bends) - 1:
        short = placed.further(last, bend + 1, placed.pipe.straights[-1] + short)
    return Finding(
        FindingCode.TOO_CLOSE_TO_END,
        {"bend": count(bend + 1), "more": words.needed(placing.short_after)},
        last if placed.run.walk else None,
        placed.field(last),
        (bend,),
        placed.move(last, short),
        variant=variant,
    )
