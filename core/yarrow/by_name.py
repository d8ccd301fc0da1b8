"""Functions by the name of their room, which is loaded when one is first asked for."""

from __future__ import annotations

from importlib import import_module
from typing import Any


def function_named(where: str) -> Any:
    """A function of the core, or what else has a name there.

    Args:
        where: its room and its name: ``documents.wall.reading:read_framed_wall``.

    Returns:
        The function itself.

    Raises:
        ImportError; AttributeError, where that room has none of that name.
    """
    room, _, name = where.partition(":")
    return getattr(import_module(f"yarrow.{room}"), name)
