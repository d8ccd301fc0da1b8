"""The core's answers, as they are."""

from __future__ import annotations

import json
from typing import Any

from django.http import HttpResponse
from ninja.responses import NinjaJSONEncoder
from pydantic_core import to_json


def answered(answer: dict[str, Any]) -> HttpResponse:
    """An answer of the core: its shape stands in the contract, and tests hold it to that.

    Args:
        answer: plain JSON, as a verb of the core gives it.

    Raises:
        ValueError, where a number in it is none.
    """
    return HttpResponse(plain_json(answer), content_type="application/json")


def plain_json(answer: dict[str, Any]) -> bytes:
    """An answer of the core as JSON, in a quarter of the time that ``strict_json`` takes.

    Args:
        answer: text, numbers, lists and dictionaries.

    Returns:
        UTF-8.

    Raises:
        ValueError, for NaN and Infinity.
    """
    try:
        text = to_json(answer, inf_nan_mode="constants")
    except ValueError:  # half a character: that can be written, escaped
        return strict_json(answer)
    # What is no number, or a name that reads like one: the other writer knows.
    return strict_json(answer) if b"NaN" in text or b"Infinity" in text else text


def strict_json(answer: Any) -> bytes:
    """JSON with no blank that need not be there.

    Args:
        answer: plain JSON.

    Returns:
        UTF-8.

    Raises:
        ValueError, for NaN and Infinity.
    """
    # An answer is a tree: it need not be looked through for circles.
    text = json.dumps(
        answer,
        cls=NinjaJSONEncoder,
        allow_nan=False,
        check_circular=False,
        separators=(",", ":"),
    )
    return text.encode()
