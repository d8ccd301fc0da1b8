"""Arcs that have no room: overlapping, before the start of the pipe, beyond its end."""

from __future__ import annotations

from yarrow.features.feature import Feature
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.runs.checks.end_fittings import rise_needed, shallower
from yarrow.runs.checks.placed_pipe import PlacedPipe
from yarrow.runs.model.lines import line_phrase
from yarrow.wording.lengths import angle

_HAIR = 1e-9


def arc_findings(placed: PlacedPipe) -> list[Finding]:
    """An error for every straight of the pipe that would be shorter than nothing."""
    bends = len(placed.pipe.bends)
    findings = []
    for index, straight in enumerate(placed.pipe.straights):
        if straight >= -_HAIR:
            continue
        if index == 0 and bends:
            findings.append(_before_start(placed))
        elif index == bends:
            findings.append(_beyond_end(placed))
        else:
            findings.append(_arcs_overlap(placed, index, -straight))
    return findings


def _before_start(placed: PlacedPipe) -> Finding:
    feature = placed.feature(0)
    short = placed.further(feature, 0, 0.0)
    return Finding(
        FindingCode.BEFORE_START,
        {
            "behind": placed.run.lengths.needed(-placed.pipe.straights[0]),
            "advice": placed.advise(short, "measure-further"),
        },
        feature,
        placed.field(feature),
        (0,),
        placed.move(feature, short),
        variant="arc",
    )


def _beyond_end(placed: PlacedPipe) -> Finding:
    last = len(placed.run.walk) - 1
    bend = len(placed.pipe.bends) - 1
    short = placed.further(last, bend + 1, 0.0)
    return Finding(
        FindingCode.END_SHORT,
        {
            "behind": placed.run.lengths.needed(-placed.pipe.straights[-1]),
            "advice": placed.advise(short, "end-further"),
        },
        last if placed.run.walk else None,
        placed.field(last),
        (bend,) if bend >= 0 else (),
        placed.move(last, short),
        variant="arc",
    )


def _arcs_overlap(placed: PlacedPipe, index: int, short: float) -> Finding:
    before, after = placed.feature(index - 1), placed.feature(index)
    line = placed.run.walk[after] if placed.run.walk else None
    if line is not None and before == after:
        return _line_too_steep(placed, after, line, index)
    further = placed.further(after, index, 0.0)
    return Finding(
        FindingCode.ARCS_OVERLAP,
        {
            "line": line_phrase(placed.run, after),
            "before": line_phrase(placed.run, before),
            "overlap": placed.run.lengths.needed(short),
            "advice": placed.advise(further, "move-further"),
        },
        after,
        placed.field(after),
        (index - 1, index),
        placed.move(after, further),
    )


def _line_too_steep(placed: PlacedPipe, feature: int, line: Feature, index: int) -> Finding:
    pipe = placed.layout.pipe
    advice, remedy = shallower(placed.run, feature, pipe, 0.0)
    return Finding(
        FindingCode.ARCS_OVERLAP,
        {
            "angle": angle(getattr(line, "angle", 0.0)),
            "least": rise_needed(placed.run, line, pipe),
            "rise": placed.run.lengths.measured(float(getattr(line, "rise", 0))),
            "advice": advice,
        },
        feature,
        f"walk[{feature}].angle",
        (index - 1, index),
        remedy,
        variant="too-steep",
    )
