"""What the bender needs and does not get: room ahead and behind, a stub, a mark on the pipe."""

from __future__ import annotations

import math
from fractions import Fraction

from yarrow.benders.catalogued import fit_for
from yarrow.benders.placing import Placing
from yarrow.catalog.tables import benders, other_least_radius, source_of_least_radius
from yarrow.finding import Finding, Remedy
from yarrow.measure.units import convert
from yarrow.role import Role
from yarrow.runs.findings.draft import Draft, line_name
from yarrow.runs.findings.fitting import shallower
from yarrow.runs.run import Run
from yarrow.runs.words import Words

_HAIR = 1e-6


def bender_findings(run: Run) -> list[Finding]:
    """An error where the bender's shoe does not take this conduit."""
    if run.bender_fits:
        return []
    fitting = [b for b in benders().values() if fit_for(b, run.conduit)]
    advice = f"Use {fitting[0].name}" if fitting else "Choose another bender, or enter your own"
    outside = float(convert(run.conduit.diameter, run.conduit.unit, run.unit))
    # The bender carries the numbers of its shoe's own size where the conduit is not that.
    why = "does not go into the groove" if outside > run.bender.diameter else "would flatten in it"
    return [
        Finding(
            "error",
            "bender-does-not-fit",
            f"{run.bender.name} has no shoe for {run.conduit.name}: the pipe {why}. {advice}. "
            "No marks are given for a wrong shoe.",
            path="bender",
            remedy=Remedy(f"Use {fitting[0].name}", "bender", fitting[0].id) if fitting else None,
        )
    ]


def radius_findings(run: Run, words: Words) -> list[Finding]:
    """A warning where this bender bends tighter than the code's table allows: by the column for
    one-shot and full-shoe benders, or by that for other bends where there is no shoe."""
    if run.bender.one_shot:
        return _under_code(run, run.bender.radius, run.conduit.least_radius, words)
    return _under_code(run, run.bender.radius, other_least_radius(run.conduit), words)


def shot_radius_findings(run: Run, radius: float, words: Words) -> list[Finding]:
    """The same for a wide bend that is made in many shots: that is no one-shot bend."""
    return _under_code(run, radius, other_least_radius(run.conduit), words)


def _under_code(run: Run, radius: float, least: Fraction | None, words: Words) -> list[Finding]:
    if least is None:
        return []
    allowed = float(convert(least, run.conduit.unit, run.unit))
    if radius >= allowed - _HAIR:
        return []
    return [
        Finding(
            "warning",
            "radius-under-code",
            f"A radius of {words.at_most(radius)} is under the least of "
            f"{words.at_least(allowed)} for {run.conduit.name}. Bend it to that radius or more.",
            path="bender",
            source=source_of_least_radius(run.conduit.unit),
        )
    ]


def room_findings(draft: Draft) -> list[Finding]:
    """Marks off the pipe, and straights that are shorter than the shoe needs on either side."""
    found = []
    for mark in draft.marks:
        off = max(-mark.position, mark.position - draft.pipe.cut_length)
        placing = draft.placings[mark.bend]
        if draft.role(mark.bend) is Role.SEGMENT:
            # The shoe sits on what the last shot left, which is as good as straight.
            continue
        if off > _HAIR:
            found.append(_mark_off(draft, mark.bend, off))
        elif placing.short_before > _HAIR:
            if placing.before is None:
                found.append(_near_start(draft, mark.bend, placing.room, placing.need))
            else:
                pair = (placing.before, mark.bend)
                found.append(_too_close(draft, pair, placing))
        elif placing.short_after > _HAIR:
            if placing.after is None:
                found.append(_tight_after(draft, mark.bend))
            else:
                pair = (mark.bend, placing.after)
                found.append(_too_close(draft, pair, placing))
    return found


def _mark_off(draft: Draft, bend: int, off: float) -> Finding:
    feature = draft.feature(bend)
    need = draft.words.at_least(off)
    at_start = draft.marks[bend].position < 0
    moved = feature if at_start else len(draft.run.walk) - 1
    return Finding(
        "error",
        "mark-off-pipe",
        f"Mark {bend + 1} would lie {need} off the {'start' if at_start else 'end'} of the pipe: "
        f"the leg there is shorter than the bender's take-up. It has to be {need} longer.",
        feature,
        draft.field(moved),
        (bend,),
        draft.move(moved, off),
    )


def _too_close(draft: Draft, pair: tuple[int, int], placing: Placing) -> Finding:
    """Two bends with less straight between them than the shoe takes when the second is made."""
    words = draft.words
    before, after = (draft.feature(bend) for bend in pair)
    text = (
        f"Between bends {pair[0] + 1} and {pair[1] + 1} there are {words.at_most(placing.room)} of "
        f"straight; this shoe needs {words.at_least(placing.need)}"
    )
    path = draft.field(after)
    if draft.run.walk and before == after:
        advice, remedy = shallower(draft.run, after, draft.layout.pipe, placing.need)
        path = f"walk[{after}].angle"
    else:
        short = draft.further(after, pair[1], placing.need)
        remedy = draft.move(after, short)
        advice = "make the kick's rise smaller"
        if not math.isinf(short):
            where = f"to {remedy.value}" if remedy else f"by {words.at_least(short)}"
            advice = f"move {line_name(draft.run, after)} {where}"
    return Finding("warning", "bends-too-close", f"{text}: {advice}.", after, path, pair, remedy)


def _near_start(draft: Draft, bend: int, has: float, need: float) -> Finding:
    feature = draft.feature(bend)
    words = draft.words
    short = draft.further(feature, 0, need) if bend == 0 else need - has
    remedy = draft.move(feature, short)
    bender = draft.run.bender
    if draft.pipe.bends[bend].angle > 80 and draft.placings[bend].hook == "start":
        code = "stub-too-short"
        least = words.at_least(bender.take_up + bender.hook)
        text = (
            f"The stub is under this bender's least of {least}: make it "
            f"{words.at_least(need - has)} longer"
        )
    else:
        code = "too-close-to-end"
        text = (
            f"Bend {bend + 1} has {words.at_most(has)} of straight before it, and needs "
            f"{words.at_least(need)}"
        )
    return Finding(
        "warning",
        code,
        f"{text}, or bend it from a longer piece and cut the start afterwards.",
        feature,
        draft.field(feature),
        (bend,),
        remedy,
    )


def _tight_after(draft: Draft, bend: int) -> Finding:
    words, placing = draft.words, draft.placings[bend]
    last = len(draft.run.walk) - 1
    short = placing.short_after
    if bend == len(draft.pipe.bends) - 1:
        short = draft.further(last, bend + 1, draft.pipe.straights[-1] + short)
    need = words.at_least(placing.short_after)
    return Finding(
        "warning",
        "too-close-to-end",
        f"Behind bend {bend + 1} the pipe ends {need} too soon for the "
        f"{'heel' if placing.hook == 'start' else 'hook'} of this bender. Leave it {need} longer "
        "and cut it after bending.",
        last if draft.run.walk else None,
        draft.field(last),
        (bend,),
        draft.move(last, short),
    )
