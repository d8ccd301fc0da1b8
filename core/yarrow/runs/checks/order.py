"""Lines that lie behind one another: found before anything is bent round their corners."""

from __future__ import annotations

from itertools import pairwise

from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.runs.layout.walk import Layout
from yarrow.runs.model.lines import line_phrase, move, place_field
from yarrow.runs.model.run import ResolvedRun
from yarrow.wording.phrase import Phrase

_HAIR = 1e-9


def order_findings(run: ResolvedRun, layout: Layout) -> list[Finding]:
    """An error for every line whose first corner does not come after the corner before it."""
    words = run.lengths
    findings = []
    reached, leg = -float(run.start.allowance), 0
    before: int | None = None
    last = len(layout.lines) - 1
    for feature, line in enumerate(layout.lines):
        if not line.laid.corners:
            continue
        if line.leg.number != leg:
            reached, leg = 0.0, line.leg.number
        behind = reached - line.laid.begins
        if behind >= -_HAIR:
            first = before is None
            code = FindingCode.BEFORE_START if first else FindingCode.OUT_OF_ORDER
            findings.append(
                Finding(
                    FindingCode.END_SHORT if feature == last else code,
                    {
                        "line": line_phrase(run, feature),
                        "behind": words.measured(behind),
                        "before": _end_of(run, before),
                    },
                    feature,
                    place_field(run, feature),
                    remedy=move(run, feature, behind + _room(layout)),
                )
            )
        reached = line.laid.ends if line.laid.after.number == leg else reached
        before = feature
    return [*findings, *_kick_findings(run, layout)]


def _end_of(run: ResolvedRun, feature: int | None) -> Phrase:
    """Where the line before ends; None: the pipe's start."""
    if feature is None:
        return Phrase("start-of-pipe")
    return Phrase("line-ends", {"line": line_phrase(run, feature)})


def _kick_findings(run: ResolvedRun, layout: Layout) -> list[Finding]:
    """An error for a line that leans the pipe over, where what follows does not end its leg."""
    bent = [feature for feature, item in enumerate(layout.lines) if item.laid.corners]
    return [
        Finding(FindingCode.KICK_NOT_LAST, {}, feature, place_field(run, feature))
        for feature, following in pairwise(bent)
        if layout.lines[feature].laid.corners[-1].role.leans
        and layout.lines[following].line.ends_leg(layout.lines[following].leg, layout.pipe) is None
    ]


def _room(layout: Layout) -> float:
    """A first guess at the room that a corner needs: a quarter bend's radius."""
    return layout.pipe.radius
