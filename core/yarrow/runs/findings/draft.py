"""What the checks look at: a run as far as it has been worked out."""

from __future__ import annotations

from dataclasses import dataclass

from yarrow.benders.placing import Placing
from yarrow.finding import Remedy
from yarrow.geometry.pipe import StraightPipe
from yarrow.runs.layout import Layout
from yarrow.runs.plan import Mark
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

    def role(self, bend: int) -> str:
        """The part that a bend has in its line."""
        return self.layout.owners[self.pipe.corners[bend] - 1][1]

    def field(self, feature: int) -> str:
        """The path of the field that says where a line is."""
        return place_field(self.run, feature)

    def move(self, feature: int, by: float) -> Remedy | None:
        """The fix that moves a line further along by at least so much; None on a path run."""
        return move(self.run, self.words, feature, by)


def place_field(run: Run, feature: int) -> str:
    """The path of the field that says where a line is; of the whole path where there is no walk."""
    if not run.walk:
        return "path"
    if feature in run.answers:
        return f"walk[{feature}].pick"
    return f"walk[{feature}].{'at' if hasattr(run.walk[feature], 'at') else 'margin'}"


def move(run: Run, words: Words, feature: int, by: float) -> Remedy | None:
    """The fix that sets a line's place further along, to the next mark of the tape."""
    if not run.walk or feature in run.answers:
        return None
    path = place_field(run, feature)
    place = getattr(run.walk[feature], path.rpartition(".")[2])
    text = words.reading(words.up(float(place) + by))
    return Remedy(f"Move it to {text}", path, text)


def line_name(run: Run, feature: int) -> str:
    """``line 2 (ledge)``: as it is numbered on the page, with its label where it has one."""
    if not run.walk:
        return f"{'line' if run.corners else 'corner'} {feature + 1}"
    label = run.walk[feature].label
    return f"line {feature + 1} ({label})" if label else f"line {feature + 1}"
