"""Documents of earlier versions of a format made into today's: one small step for each version."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from yarrow.documents.errors import DocumentError

Upgrade = Callable[[dict[str, Any]], dict[str, Any]]
"""A document of one version → a new one of the next, whose name stands in its ``format``."""

STEPS: dict[str, Upgrade] = {}
"""By the name of the version that a step takes (``yarrow.run/1``). All formats are at their first
version; fields have only been added, with what they stand for when they are not there."""


def upgrade(document: Any) -> Any:
    """A document as the newest version of its format has it; itself, where it is that already.

    What no step knows, and what is so broken that a step fails on it, stays as it is, for the
    schema to refuse.

    Args:
        document: as JSON gives it, of whatever version.

    Returns:
        As JSON has it.
    """
    while isinstance(document, dict):
        step = STEPS.get(str(document.get("format")))
        if step is None:
            break
        try:
            document = step(document)
        except (LookupError, TypeError, ValueError, AttributeError):
            break
    return document


def refuse_newer(document: Any, newest: str | None) -> None:
    """Says of a document that a newer core wrote it, where it did.

    Args:
        document: as JSON gives it.
        newest: the format and version that this core writes; None where there are none.

    Raises:
        DocumentError.
    """
    result = document.get("format") if isinstance(document, dict) and newest else None
    if _version(result, str(newest)) > _version(newest, str(newest)):
        raise DocumentError("format", f"{newest} or older; a newer Yarrow wrote this")


def _version(name: object, newest: str) -> int:
    """0 where it is no version of the same format."""
    family, _, number = str(name).partition("/")
    same = family == newest.partition("/")[0] and number.isascii() and number.isdecimal()
    return int(number[:9]) if same else 0
