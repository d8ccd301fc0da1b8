"""JSON as text, bounded before it is parsed: what is refused costs next to nothing."""

from __future__ import annotations

import json
import re
from collections.abc import Callable
from decimal import Decimal
from typing import Any, NoReturn

from yarrow.documents.errors import DocumentError

MOST_ITEMS = 60_000
"""Values in one document: a walk of a thousand lines with everything said of each has a third."""

DEEPEST = 24
"""Lists and objects within one another: the deepest format has eight."""


def read_json(data: bytes, *, exact: bool = False) -> Any:
    """The value of a JSON text in UTF-8.

    Args:
        data: in UTF-8.
        exact: whether fractions are kept as they were written.

    Returns:
        Dictionaries, lists, text, numbers, True, False and None.

    Raises:
        DocumentError: no JSON, NaN or Infinity, too many values, too deep.
    """
    if items_of(data) > MOST_ITEMS:
        raise DocumentError("", f"at most {MOST_ITEMS:,} values")
    _check_depth(data)
    number: Callable[[str], Any] = Decimal if exact else float
    try:
        return json.loads(data, parse_constant=_no_constant, parse_float=number)
    except (ValueError, RecursionError, ArithmeticError) as error:
        where = f" ({error})" if isinstance(error, json.JSONDecodeError) else ""
        raise DocumentError("", f"JSON in UTF-8{where}") from None


def items_of(data: bytes) -> int:
    """No less than the number of values that a JSON text holds, counted without parsing it.

    Args:
        data: in UTF-8.

    Returns:
        So many, 1 for a single value.
    """
    return 1 + data.count(b",") + data.count(b"[") + data.count(b"{")


def _check_depth(data: bytes) -> None:
    depth = 0
    for match in _STRUCTURE.finditer(data):
        sign = match[0][:1]
        if sign in b"[{":
            depth += 1
            if depth > DEEPEST:
                raise DocumentError("", f"lists and objects at most {DEEPEST} deep in one another")
        elif sign in b"]}":
            depth -= 1


_STRUCTURE = re.compile(rb'"(?:[^"\\]|\\.)*"|[\[\]{}]', re.DOTALL)
"""Texts as a whole, so that what stands in them counts for nothing, and brackets."""


def _no_constant(name: str) -> NoReturn:
    raise ValueError(name)
