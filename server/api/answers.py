"""The core's answers, as they are."""

from __future__ import annotations

import json
from typing import Any

from django.http import HttpResponse
from ninja.responses import NinjaJSONEncoder


def answered(answer: dict[str, Any]) -> HttpResponse:
    """An answer of the core: its shape stands in the contract, and tests hold it to that.

    Args:
        answer: plain JSON, as a verb of the core gives it.

    Raises:
        ValueError, where a number in it is none.
    """
    return HttpResponse(strict_json(answer), content_type="application/json")


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
