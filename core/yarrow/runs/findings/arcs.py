"""Arcs that have no room: overlapping, before the start of the pipe, beyond its end."""

from __future__ import annotations

from yarrow.bends.registry import Line
from yarrow.finding import Finding
from yarrow.runs.findings.draft import Draft, line_name
from yarrow.runs.findings.fitting import rise_needed, shallower
from yarrow.runs.words import degrees

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
    begins = draft.words.at_least(-draft.pipe.straights[0])
    short = draft.further(feature, 0, 0.0)
    advice = draft.advise(
        short, "Measure {} further from the start, or start the pipe that much earlier."
    )
    return Finding(
        "error",
        "before-start",
        f"The first arc would begin {begins} before the pipe does. {advice}",
        feature,
        draft.field(feature),
        (0,),
        draft.move(feature, short),
    )


def _beyond_end(draft: Draft) -> Finding:
    last = len(draft.run.walk) - 1
    bend = len(draft.pipe.bends) - 1
    ends = draft.words.at_least(-draft.pipe.straights[-1])
    short = draft.further(last, bend + 1, 0.0)
    advice = draft.advise(
        short, "The end has to be at least {} further on, or the last bend that much earlier."
    )
    return Finding(
        "error",
        "end-short",
        f"The pipe ends {ends} short of the end of its last arc. {advice}",
        last if draft.run.walk else None,
        draft.field(last),
        (bend,) if bend >= 0 else (),
        draft.move(last, short),
    )


def _overlap(draft: Draft, index: int, short: float) -> Finding:
    before, after = draft.feature(index - 1), draft.feature(index)
    line = draft.run.walk[after] if draft.run.walk else None
    if line is not None and before == after:
        return _line_too_steep(draft, after, line, index)
    name, overlap = line_name(draft.run, before), draft.words.at_least(short)
    short = draft.further(after, index, 0.0)
    advice = draft.advise(short, "Move it at least {} further along.")
    return Finding(
        "error",
        "arcs-overlap",
        f"The arc of {line_name(draft.run, after)} would begin {overlap} before the arc of {name} "
        f"has ended. {advice}",
        after,
        draft.field(after),
        (index - 1, index),
        draft.move(after, short),
    )


def _line_too_steep(draft: Draft, feature: int, line: Line, index: int) -> Finding:
    pipe = draft.layout.pipe
    advice, remedy = shallower(draft.run, feature, pipe, 0.0)
    return Finding(
        "error",
        "arcs-overlap",
        f"At {degrees(getattr(line, 'angle', 0.0))} this bender's arcs need a rise of at least "
        f"{rise_needed(line, pipe, draft.words)}; this one is "
        f"{draft.words.length(float(getattr(line, 'rise', 0)))}: {advice}.",
        feature,
        f"walk[{feature}].angle",
        (index - 1, index),
        remedy,
    )
