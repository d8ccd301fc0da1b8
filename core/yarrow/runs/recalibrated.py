"""What a bender that is known better since changes in a run that was planned before."""

from __future__ import annotations

from yarrow.runs.model.plan import WrittenPlan
from yarrow.values import dataclass
from yarrow.wording.phrase import Shown


@dataclass(frozen=True, slots=True)
class MarkMoved:
    """A mark of the bend of that number, along the pipe from 0, as the tape read and reads."""

    bend: int
    was: Shown
    now: Shown


@dataclass(frozen=True, slots=True)
class Recalibrated:
    """The marks that move, each as it was and is, and the cut; ``can_be_made`` with the bender as
    it is known now."""

    format: str
    marks: tuple[MarkMoved, ...]
    cut_was: Shown
    cut_now: Shown
    can_be_made: bool


def recalibrated(was: WrittenPlan, now: WrittenPlan) -> Recalibrated:
    """What moves between two plans of one run.

    Args:
        was: with the bender as it was known.
        now: with the same one as it is known now.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    before = {mark.bend: mark.text for mark in was.working_marks}
    moved = tuple(
        MarkMoved(mark.bend, before.get(mark.bend, ""), mark.text)
        for mark in now.working_marks
        if before.get(mark.bend) != mark.text
    )
    return Recalibrated(
        "yarrow.recalibrated/1", moved, was.cut_length_text, now.cut_length_text, now.can_be_made
    )
