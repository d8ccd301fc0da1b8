"""Arcs that have no room: overlapping, before the start of the pipe, beyond its end."""

from __future__ import annotations

from yarrow.bends.registry import Line
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.runs.findings.draft import Draft, line_phrase
from yarrow.runs.findings.fitting import rise_needed, shallower
from yarrow.wording.lengths import angle

_HAIR = 1e-9


def arc_findings(draft: Draft) -> list[Finding]:
    """An error for every straight of the pipe that would be shorter than nothing."""
    bends = len(draft.pipe.bends)
    found = []
    for index, straight in enumerate(draft.pipe.straights):
        if straight >= -_HAIR:
            continue
        if index == 0 and bends:
            found.append(_before_start(draft))
        elif index == bends:
            found.append(_beyond_end(draft))
        else:
            found.append(_overlap(draft, index, -straight))
    return found


def _before_start(draft: Draft) -> Finding:
    feature = draft.feature(0)
    short = draft.further(feature, 0, 0.0)
    return Finding(
        FindingCode.BEFORE_START,
        {
            "behind": draft.words.needed(-draft.pipe.straights[0]),
            "advice": draft.advise(short, "measure-further"),
        },
        feature,
        draft.field(feature),
        (0,),
        draft.move(feature, short),
        variant="arc",
    )


def _beyond_end(draft: Draft) -> Finding:
    last = len(draft.run.walk) - 1
    bend = len(draft.pipe.bends) - 1
    short = draft.further(last, bend + 1, 0.0)
    return Finding(
        FindingCode.END_SHORT,
        {
            "behind": draft.words.needed(-draft.pipe.straights[-1]),
            "advice": draft.advise(short, "end-further"),
        },
        last if draft.run.walk else None,
        draft.field(last),
        (bend,) if bend >= 0 else (),
        draft.move(last, short),
        variant="arc",
    )


def _overlap(draft: Draft, index: int, short: float) -> Finding:
    before, after = draft.feature(index - 1), draft.feature(index)
    line = draft.run.walk[after] if draft.run.walk else None
    if line is not None and before == after:
        return _line_too_steep(draft, after, line, index)
    further = draft.further(after, index, 0.0)
    return Finding(
        FindingCode.ARCS_OVERLAP,
        {
            "line": line_phrase(draft.run, after),
            "before": line_phrase(draft.run, before),
            "overlap": draft.words.needed(short),
            "advice": draft.advise(further, "move-further"),
        },
        after,
        draft.field(after),
        (index - 1, index),
        draft.move(after, further),
    )


def _line_too_steep(draft: Draft, feature: int, line: Line, index: int) -> Finding:
    pipe = draft.layout.pipe
    advice, remedy = shallower(draft.run, feature, pipe, 0.0)
    return Finding(
        FindingCode.ARCS_OVERLAP,
        {
            "angle": angle(getattr(line, "angle", 0.0)),
            "least": rise_needed(line, pipe, draft.words),
            "rise": draft.words.measured(float(getattr(line, "rise", 0))),
            "advice": advice,
        },
        feature,
        f"walk[{feature}].angle",
        (index - 1, index),
        remedy,
        variant="too-steep",
    )
