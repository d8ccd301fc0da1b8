"""The catalogue's files as they stand: rows of a table, what is told of it, and its source."""

from __future__ import annotations

import csv
import tomllib
from collections.abc import Mapping
from functools import cache
from pathlib import Path
from typing import Any

FOLDER = Path(__file__).parent


def rows(table: str) -> list[dict[str, str]]:
    """The rows of a table as printed.

    Args:
        table: the file's name, without its ending.

    Returns:
        Each by its column's name, cells as text.
    """
    with (FOLDER / f"{table}.csv").open(encoding="utf-8", newline="") as file:
        return list(csv.DictReader(file))


@cache
def toml(name: str) -> dict[str, Any]:
    """What a file beside the tables holds, read once: nobody changes it.

    Args:
        name: the file's, without its ending.

    Returns:
        As TOML has it.
    """
    return tomllib.loads((FOLDER / f"{name}.toml").read_text(encoding="utf-8"))


def source_of(table: str) -> str:
    """Where a table is printed, with its edition.

    Args:
        table: the file's name, without its ending.

    Returns:
        To be read behind a figure.
    """
    return written_in(toml(table))


def written_in(about: Mapping[str, Any]) -> str:
    """Where a figure is written, with its edition, of what a file tells beside it.

    Args:
        about: with ``source`` and ``edition``.

    Returns:
        To be read behind a figure.
    """
    return f"{about['source']} ({about['edition']})"
