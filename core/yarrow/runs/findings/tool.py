"""What the bender needs and does not get: room ahead and behind, a stub, a mark on the pipe."""

from __future__ import annotations

from yarrow.benders.catalogued import fit_for
from yarrow.bends.offset import Offset
from yarrow.catalog.tables import benders, source_of_least_radius
from yarrow.measure.units import convert
from yarrow.runs.findings.arcs import steepest_offset
from yarrow.runs.findings.draft import Draft, line_name
from yarrow.runs.plan import Finding, Remedy
from yarrow.runs.run import Run
from yarrow.runs.words import Words, degrees

_HAIR = 1e-6


def bender_findings(run: Run) -> list[Finding]:
    """An error where the bender's shoe does not take this conduit."""
    if run.bender_fits:
        return []
    fitting = [b for b in benders().values() if fit_for(b, run.conduit)]
    advice = f"use {fitting[0].name}" if fitting else "choose another bender, or enter your own"
    return [
        Finding(
            "error",
            "bender-does-not-fit",
            f"{run.bender.name} does not take {run.conduit.name}: {advice}. "
            "No marks are given for a wrong shoe.",
            path="bender",
            remedy=Remedy(f"Use {fitting[0].name}", "bender", fitting[0].id) if fitting else None,
        )
    ]


def radius_findings(run: Run, words: Words) -> list[Finding]:
    """A warning where this bender bends tighter than the code's table allows."""
    least = run.conduit.least_radius
    if least is None:
        return []
    allowed = float(convert(least, run.conduit.unit, run.unit))
    if run.bender.radius >= allowed - _HAIR:
        return []
    return [
        Finding(
            "warning",
            "radius-under-code",
            f"This bender's radius of {words.length(run.bender.radius)} is under the least of "
            f"{words.length(allowed)} for {run.conduit.name}. Use a shoe of that radius or more.",
            path="bender",
            source=source_of_least_radius(run.conduit.unit),
        )
    ]


def room_findings(draft: Draft) -> list[Finding]:
    """Marks off the pipe, and straights that are shorter than the shoe needs on either side."""
    found = []
    for mark in draft.marks:
        off = max(-mark.position, mark.position - draft.pipe.cut_length)
        if off > _HAIR:
            found.append(_mark_off(draft, mark.bend, off))
            continue
        placing = draft.placings[mark.bend]
        if placing.short_before > _HAIR:
            found.append(_tight_before(draft, mark.bend))
        if placing.short_after > _HAIR:
            found.append(_tight_after(draft, mark.bend))
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
        f"walk[{moved}].at" if draft.run.walk else "path",
        (bend,),
        draft.move(moved, off),
    )


def _tight_before(draft: Draft, bend: int) -> Finding:
    placing = draft.placings[bend]
    has, need = draft.pipe.straights[bend], placing.need_before
    if bend == 0:
        return _near_start(draft, has, need)
    before, after = draft.feature(bend - 1), draft.feature(bend)
    words = draft.words
    text = (
        f"Between bends {bend} and {bend + 1} there are {words.length(has)} of straight; this "
        f"shoe needs {words.at_least(need)}"
    )
    line = draft.run.walk[after] if draft.run.walk else None
    if isinstance(line, Offset) and before == after:
        bend_radius = draft.pipe.bends[bend].radius
        angle = steepest_offset(float(line.rise), bend_radius, need, line.angle)
        advice = f": use {degrees(angle)}." if angle else ": a larger rise, or another bender."
        remedy = Remedy(f"Use {degrees(angle)}", f"walk[{after}].angle", angle) if angle else None
        path = f"walk[{after}].angle"
    else:
        remedy = draft.move(after, placing.short_before)
        advice = f": move {line_name(draft.run, after)}"
        advice += f" to {remedy.value}." if remedy else f" {words.at_least(placing.short_before)}."
        path = f"walk[{after}].at" if line else "path"
    return Finding(
        "warning", "bends-too-close", text + advice, after, path, (bend - 1, bend), remedy
    )


def _near_start(draft: Draft, has: float, need: float) -> Finding:
    feature = draft.feature(0)
    short = need - has
    words = draft.words
    remedy = draft.move(feature, short)
    stub = draft.pipe.bends[0].angle > 80
    bender = draft.run.bender
    if stub and draft.placings[0].hook == "start":
        code = "stub-too-short"
        least = words.at_least(bender.take_up + bender.hook)
        text = f"The stub is under this bender's least of {least}: make it"
    else:
        code = "too-close-to-end"
        text = f"Bend 1 has {words.length(has)} of straight before it, and needs"
    return Finding(
        "warning",
        code,
        f"{text} {words.at_least(short) if stub else words.at_least(need)}"
        f"{' longer' if stub and code == 'stub-too-short' else ''}, or bend it from a longer piece "
        "and cut the start afterwards.",
        feature,
        f"walk[{feature}].at" if draft.run.walk else "path",
        (0,),
        remedy,
    )


def _tight_after(draft: Draft, bend: int) -> Finding:
    words, placing = draft.words, draft.placings[bend]
    last = len(draft.run.walk) - 1
    need = words.at_least(placing.short_after)
    return Finding(
        "warning",
        "too-close-to-end",
        f"Behind bend {bend + 1} the pipe ends {need} too soon for the "
        f"{'heel' if placing.hook == 'start' else 'hook'} of this bender. Leave it {need} longer "
        "and cut it after bending.",
        last if draft.run.walk else None,
        f"walk[{last}].at" if draft.run.walk else "path",
        (bend,),
        draft.move(last, placing.short_after),
    )
