"""What bends would touch: a saddle's sides, where it goes over more than its top."""

from __future__ import annotations

import math
from fractions import Fraction

from yarrow.bends.leg import FIRST_LEG
from yarrow.bends.saddle3 import Saddle3
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.obstacles.obstacle import Setting
from yarrow.obstacles.over import Hump
from yarrow.runs.findings.draft import Draft
from yarrow.wording.phrase import Phrase, Value

_HAIR = 1e-6


def touch_findings(draft: Draft) -> list[Finding]:
    """A warning where a 3-bend saddle clears the top of something round, as wide as it is high, and
    not its sides: over what is larger than the bend itself.

    Lines that were said as what is there are high enough by themselves.
    """
    run, words = draft.run, draft.words
    found = []
    for feature, line in enumerate(run.walk):
        if not isinstance(line, Saddle3) or feature in run.answers:
            continue
        hump = Hump(
            begins=line.at - line.rise / 2,
            width=line.rise,
            height=line.rise,
            clearance=Fraction(0),
            toward=line.toward,
            measured_from=line.measured_from,
            label=line.label,
            radius=line.rise / 2,
        )
        needed = hump.lift(line.angle, Setting(FIRST_LEG, draft.layout.pipe, None))
        short = needed - float(line.clearance)
        if short <= _HAIR:
            continue
        clearance = words.reading(words.up(needed))
        values: dict[str, Value] = {
            "across": words.measured(float(line.rise)),
            "cut": words.needed(short * math.cos(math.radians(line.angle) / 2)),
            "air": clearance,
        }
        path = f"walk[{feature}].clearance"
        remedy = Remedy(Phrase("ask-for-air", {"air": clearance}), path, clearance)
        found.append(Finding(FindingCode.TOUCHES_SIDES, values, feature, path, (), remedy))
    return found
