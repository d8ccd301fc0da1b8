"""A finding as an answer has it: in words, with the figures in them as data."""

from __future__ import annotations

from typing import cast

from yarrow.findings.code import FindingCode, Level
from yarrow.findings.finding import Finding
from yarrow.values import dataclass
from yarrow.wording.phrase import Quantity, Value
from yarrow.wording.wording import Wording


@dataclass(frozen=True, slots=True)
class WrittenQuantity:
    """A figure with its unit, and as it is read."""

    value: float
    unit: str
    text: str


Figure = WrittenQuantity | str
"""A figure; what is no figure, as it is read."""


@dataclass(frozen=True, slots=True)
class WrittenRemedy:
    """What to do about it: what that is, and the one field that it sets."""

    label: str
    path: str
    value: str | float | tuple[str, ...]


@dataclass(frozen=True, slots=True)
class WrittenFinding:
    """Something to know before metal is bent. ``feature`` is the line of the walk, ``path`` the
    field, ``bends`` the bends it is about; ``source`` where a rule is written."""

    level: Level
    code: FindingCode
    text: str
    values: dict[str, Figure | tuple[Figure, ...]]
    feature: int | None
    path: str
    bends: tuple[int, ...]
    remedy: WrittenRemedy | None
    source: str


def written(finding: Finding, wording: Wording) -> WrittenFinding:
    """A finding in a language's words."""
    remedy = finding.remedy
    return WrittenFinding(
        finding.level,
        finding.code,
        finding.sentence(wording),
        {name: _figures(value, wording) for name, value in finding.values.items()},
        finding.feature,
        finding.path,
        finding.bends,
        WrittenRemedy(wording.text(remedy.does), remedy.path, remedy.value) if remedy else None,
        finding.source,
    )


def _figures(value: Value, wording: Wording) -> Figure | tuple[Figure, ...]:
    if type(value) is tuple:
        several = cast("tuple[Value, ...]", value)
        return tuple(_written_figure(part, wording) for part in several)
    return _written_figure(value, wording)


def _written_figure(value: Value, wording: Wording) -> Figure:
    if isinstance(value, Quantity):
        return WrittenQuantity(value.value, value.unit, value.text)
    return wording.text(value)
