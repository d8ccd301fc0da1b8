"""A line of the walk in what is said of it: its number and label, its place, and moving it."""

from __future__ import annotations

import math

from yarrow.features.feature import Feature
from yarrow.findings.finding import Remedy
from yarrow.runs.model.run import ResolvedRun
from yarrow.wording.phrase import Phrase, count


def place_field(run: ResolvedRun, feature: int) -> str:
    """The path of the field that says where a line is; of the whole path where there is no walk.

    Args:
        feature: the line's number, from 0.

    Returns:
        A path in the document.
    """
    if not run.walk:
        return "path"
    if feature in run.answers:
        return f"walk[{feature}].pick"
    return f"walk[{feature}].{run.walk[feature].place_field}"


def placed_at(line: Feature) -> float:
    """The number that says where a line is, in its own field.

    Returns:
        In the document's unit.
    """
    return float(getattr(line, line.place_field))


def move(run: ResolvedRun, feature: int, by: float) -> Remedy | None:
    """The fix that sets a line's place further along, to the next mark of the tape.

    Args:
        feature: the line's number, from 0.
        by: at least so far along the leg, in the document's unit.
    """
    words = run.lengths
    if not run.walk or feature in run.answers or math.isinf(by):
        return None
    path = place_field(run, feature)
    text = words.reading(words.up(placed_at(run.walk[feature]) + by))
    return Remedy(Phrase("move-to", {"place": text}), path, str(text))


def line_phrase(run: ResolvedRun, feature: int) -> Phrase:
    """``line 2 (ledge)``: as it is numbered on the page, with its label where it has one.

    Args:
        feature: the line's number, from 0.
    """
    if not run.walk and not run.corners:
        return Phrase("corner", {"number": count(feature + 1)})
    return labelled_line(run, feature)


def labelled_line(run: ResolvedRun, feature: int) -> Phrase:
    """A line by its number, with its label where the walk has one for it.

    Args:
        feature: the line's number, from 0.
    """
    number = count(feature + 1)
    label = run.walk[feature].label if feature < len(run.walk) else ""
    if label:
        return Phrase("line/labelled", {"number": number, "label": label})
    return Phrase("line", {"number": number})
