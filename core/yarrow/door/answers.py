"""What every answer has."""

from __future__ import annotations

from yarrow.door.shared import Answer

HANDLING = "yarrow.handling/1"


def can_be_made(answer: Answer) -> bool:
    """Whether nothing in an answer is an error.

    Args:
        answer: of any function here.
    """
    parts = [answer, *answer.get("pipes", ())]
    result = [finding for part in parts for finding in part.get("findings", ())]
    if answer.get("format") == HANDLING:
        return not result  # none of its orders works
    # No box at hand passes nothing and fails nothing: None.
    fits = answer.get("passes") is not False and answer.get("verdict") != "scrap"
    return fits and all(finding["level"] != "error" for finding in result)
