"""Rules for the finished run, slips of the pen, and what was added without being asked."""

from __future__ import annotations

from yarrow.benders.bender import NOTCH_ANGLE
from yarrow.bends.end import End
from yarrow.bends.straight import Straight
from yarrow.bends.turn import Turn
from yarrow.fill.pull_points import pull_points
from yarrow.finding import Finding, Remedy
from yarrow.measure.units import convert
from yarrow.runs.findings.draft import Draft, line_name
from yarrow.runs.layout import Layout
from yarrow.runs.run import Run
from yarrow.runs.wires import bends_on, breaks_in_words
from yarrow.runs.words import Words, degrees


def degree_findings(draft: Draft) -> list[Finding]:
    """A warning where the run bends more than is allowed between pull points, and where to break
    it."""
    points = pull_points(bends_on(draft.pipe), draft.run.most_degrees)
    if not points.points:
        return []
    first = points.points[0]
    feature = draft.feature(first.bend)
    return [
        Finding(
            "warning",
            "too-many-degrees",
            f"The run bends {degrees(points.degrees)} between pull points; "
            f"{degrees(points.limit)} is the most. Put a box or a conduit body before "
            f"{line_name(draft.run, feature)}: {breaks_in_words(points, draft.words)}. Or use "
            "shallower offsets.",
            feature,
            "",
            (first.bend,),
            source=points.source,
        )
    ]


def picked_order_findings(run: Run, bends: int) -> list[Finding]:
    """Why the sequence that a person picked is not the one that the marks are made for."""
    if not run.order:
        return []
    if sorted(each.bend for each in run.order) != list(range(bends)):
        text = (
            f"The order was picked for other bends: there are {bends} now. The usual order is "
            "taken; pick one anew in the steps."
        )
        return [Finding("warning", "order-not-of-these-bends", text, path="order")]
    if run.method == "table":
        text = "Printed marks are for the usual order: the picked one is set aside."
        return [Finding("note", "order-set-aside", text, path="order")]
    return []


def stick_findings(draft: Draft) -> list[Finding]:
    """A warning where the pipe is longer than a stick, with how many it takes."""
    conduit, words = draft.run.conduit, draft.words
    stick = float(convert(conduit.stick, conduit.unit, draft.run.unit))
    over = draft.pipe.cut_length - stick
    if over <= 1e-6:
        return []
    sticks = int(-(-draft.pipe.cut_length // stick))
    return [
        Finding(
            "warning",
            "longer-than-stick",
            f"The pipe is {words.length(over)} longer than a stick of {words.length(stick)}. "
            f"It takes {sticks} sticks: end this piece at a coupling in a straight part, and start "
            "the next one there.",
            path="walk",
        )
    ]


def slip_findings(run: Run, words: Words) -> list[Finding]:
    """A warning for every number that looks like a slip of the pen or the tape."""
    stick = float(convert(run.conduit.stick, run.conduit.unit, run.unit))
    found = []
    for feature, line in enumerate(run.walk):
        if not hasattr(line, "at") or feature in run.answers:
            continue
        at = float(line.at)
        rise = float(getattr(line, "rise", 0))
        if at == 0:
            found.append(_slip(feature, "at", "0 is where the tape is hooked. Was it measured?"))
        elif at > stick:
            found.append(
                _slip(
                    feature,
                    "at",
                    f"{words.length(at)} is more than a stick of {words.length(stick)}. "
                    "Read the tape again, and check the unit.",
                )
            )
        if rise > stick:
            found.append(
                _slip(
                    feature,
                    "rise",
                    f"A rise of {words.length(rise)} is more than a stick. Check the unit.",
                )
            )
        elif rise > at > 0:
            found.append(
                _slip(
                    feature,
                    "rise",
                    f"The rise of {words.length(rise)} is more than the {words.length(at)} that "
                    "lead up to it. Are the two numbers the right way round?",
                )
            )
    return found


def stand_off_findings(run: Run, layout: Layout, words: Words) -> list[Finding]:
    """An error for a rise that spacers carry the pipe over already, and a note that they were taken
    into account, so that nobody takes their height off again."""
    if not run.stand_off:
        return []
    off = words.length(float(run.stand_off))
    found = [
        Finding(
            "note",
            "stand-off-taken",
            f"The stand-off of {off} is taken off every rise off the surface, and off every leg "
            "measured to or from a wall. Do not take it off again.",
            path="stand_off",
        )
    ]
    for feature, item in enumerate(layout.lines):
        line = item.line
        if isinstance(line, Turn | End | Straight) or line.rise_from == "pipe":
            continue
        rise = line.rise + getattr(line, "clearance", 0)
        if item.leg.carried(layout.pipe, rise, line.toward, line.rise_from) <= 0:
            carried = item.leg.off_surface(layout.pipe) if line.toward == "out" else run.stand_off
            found.append(
                Finding(
                    "error",
                    "stand-off-carries",
                    f"Spacers of {words.length(float(carried))} carry the pipe past "
                    f"{words.length(float(rise))} already. Remove this line, or say that its "
                    "rise was measured from the pipe.",
                    feature,
                    f"walk[{feature}].rise_from",
                    (),
                    Remedy("Measured from the pipe", f"walk[{feature}].rise_from", "pipe"),
                )
            )
    return found


def _slip(feature: int, field: str, text: str) -> Finding:
    return Finding("warning", "looks-like-a-slip", text, feature, f"walk[{feature}].{field}")


def allowance_findings(run: Run, words: Words) -> list[Finding]:
    """A note wherever what the fitting takes in was added, so that nobody adds it twice."""
    threaded = run.conduit.joint == "threaded"
    what = "of thread" if threaded else "of pipe, down to the stop of the socket,"
    added = words.length(float(convert(run.conduit.engaged, run.conduit.unit, run.unit)))
    return [
        Finding(
            "note",
            "thread-added" if threaded else "socket-added",
            f"{added} {what} is added beyond this face: a typical fitting takes that in. "
            "Measure yours, and do not add it again.",
            None if place == "start" else len(run.walk) - 1,
            f"{place}.allowance",
            source=f"catalogue, {'threads' if threaded else 'sockets'}",
        )
        for place in run.own_allowances
    ]


def notch_findings(draft: Draft) -> list[Finding]:
    """A note where a saddle's centre is not the bend that the notch is for; no notch is used by a
    former or a chart."""
    if draft.run.bender.centre_reference != "centre":
        return []
    return [
        Finding(
            "note",
            "centre-notch-does-not-serve",
            f"The centre notch is that of a {degrees(NOTCH_ANGLE)} bend; this centre bends "
            f"{degrees(bend.angle)}: its mark is for the "
            f"{draft.run.bender.mark_name(placing.reference)}.",
            draft.feature(index),
            f"walk[{draft.feature(index)}].angle",
            (index,),
        )
        for index, (bend, placing) in enumerate(zip(draft.pipe.bends, draft.placings, strict=True))
        if draft.role(index).on_centre_mark and placing.reference != "centre"
    ]


def table_findings(run: Run) -> list[Finding]:
    """A note where the printed method was asked for and there is no walk to work it on."""
    if run.method == "table" and not run.walk:
        text = "A path has no walk to work multipliers on: the marks are the exact ones."
        return [Finding("note", "table-needs-walk", text, path="method")]
    return []
