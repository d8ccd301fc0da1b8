"""What every answer has."""

from __future__ import annotations

from yarrow.door.shared import Answer


def can_be_made(answer: Answer) -> bool:
    """Whether nothing in an answer is an error.

    Args: answer, of any function here.
    """
    parts = [answer, *answer.get("pipes", ())]
    found = [finding for part in parts for finding in part.get("findings", ())]
    # No box at hand passes nothing and fails nothing: None.
    return answer.get("passes") is not False and all(each["level"] != "error" for each in found)
