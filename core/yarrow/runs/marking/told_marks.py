"""How a mark is found, in words: what the tape is hooked on, how it lies, what it reads."""

from __future__ import annotations

from typing import NamedTuple

from yarrow.runs.model.plan import FoundOn
from yarrow.wording.phrase import Phrase, TapeReading, Value, count


class ToldMark(NamedTuple):
    """How a mark is found as a sentence, and what its figure is measured from."""

    told: Phrase
    where: Phrase


def told(on: FoundOn, of: int | None, reads: TapeReading, *, over: bool, flat: bool) -> ToldMark:
    """The words of a mark that is found.

    Args:
        on: what it is measured from.
        of: the bend that this is of.
        reads: at the mark.
        over: whether the tape lies over bends between.
        flat: whether only the straight pipe tells it.
    """
    values: dict[str, Value] = {"reads": reads}
    if of is not None:
        values["of"] = count(of + 1)
    how = "flat" if flat else "over" if over else "straight"
    return ToldMark(Phrase(f"find/{on}/{how}", values), Phrase(f"found/{on}/{how}", values))
