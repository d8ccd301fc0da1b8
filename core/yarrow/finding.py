"""Findings: what there is to know beforehand, how bad, where, and what to change."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

Level = Literal["error", "warning", "note"]


@dataclass(frozen=True, slots=True)
class Remedy:
    """A finding's fix: what it does in words, and the one field that it sets."""

    label: str
    path: str
    value: str | float | tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Finding:
    """Something to know before metal is bent: how bad, what, where, and what to change.

    ``feature`` is the line of the walk, ``path`` the field, ``bends`` the bends it is about;
    ``source`` where a rule is written, empty where it is the geometry or the tool that says so.
    """

    level: Level
    code: str
    text: str
    feature: int | None = None
    path: str = ""
    bends: tuple[int, ...] = ()
    remedy: Remedy | None = None
    source: str = ""


def nothing_wrong(findings: Iterable[Finding]) -> bool:
    """Whether none of them is an error."""
    return not any(finding.level == "error" for finding in findings)
