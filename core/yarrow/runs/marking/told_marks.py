"""How a mark is found, in words: what the tape is hooked on, how it lies, what it reads."""

from __future__ import annotations

from yarrow.runs.model.plan import FoundMark
from yarrow.values import replace
from yarrow.wording.phrase import Phrase, Value, count


def told(found: FoundMark) -> FoundMark:
    """A mark with its words: as a sentence, and what its figure is measured from.

    Args:
        found: the mark.
    """
    values: dict[str, Value] = {"reads": found.at_mark_text}
    if found.of is not None:
        values["of"] = count(found.of + 1)
    how = "flat" if found.flat else "over" if found.over else "straight"
    return replace(
        found,
        told=Phrase(f"find/{found.on}/{how}", values),
        where=Phrase(f"found/{found.on}/{how}", values),
    )
