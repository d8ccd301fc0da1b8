"""What the checks look at: a run as far as it has been worked out."""

from __future__ import annotations

from dataclasses import dataclass

from yarrow.benders.placing import Placing
from yarrow.geometry.pipe import StraightPipe
from yarrow.runs.layout import Layout
from yarrow.runs.plan import Mark, Remedy
from yarrow.runs.run import Run
from yarrow.runs.words import Words


@dataclass(frozen=True, slots=True)
class Draft:
    """A run, laid out and developed, with the bender on each bend and the marks so far."""

    run: Run
    layout: Layout
    pipe: StraightPipe
    placings: tuple[Placing, ...]
    marks: tuple[Mark, ...]
    words: Words

    def feature(self, bend: int) -> int:
        """The line of the walk that a bend belongs to."""
        return self.layout.owners[self.pipe.corners[bend] - 1][0]

    def move(self, feature: int, by: float) -> Remedy | None:
        """The fix that moves a line further along by at least so much; None on a path run."""
        return move(self.run, self.words, feature, by)


def move(run: Run, words: Words, feature: int, by: float) -> Remedy | None:
    """The fix that sets a line's ``at`` further along, to the next mark of the tape."""
    if not run.walk:
        return None
    wanted = words.up(float(run.walk[feature].at) + by)
    text = words.reading(wanted)
    return Remedy(f"Move it to {text}", f"walk[{feature}].at", text)


def line_name(run: Run, feature: int) -> str:
    """``line 2 (ledge)``: as it is numbered on the page, with its label where it has one."""
    if not run.walk:
        return f"corner {feature + 1}"
    label = run.walk[feature].label
    return f"line {feature + 1} ({label})" if label else f"line {feature + 1}"
