"""Whose code holds on a job, and what is measured in and spoken there."""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache
from typing import Literal, cast

from yarrow.catalog.reading import toml
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.wording.wording import WORDINGS, Language, Wording

Rules = Literal["us", "uk"]
"""A code's short name."""


@dataclass(frozen=True, slots=True)
class RuleBook:
    """A code that jobs are built by.

    Args:
        code: what it is called.
        where: it holds, in short.
        units: that are usual there.
        language: that is spoken there.
        wires: fields of a run's ``wires`` that it says of every run, whatever the conduit.
        source: where that is written.
    """

    code: str
    where: str
    units: Unit
    language: Language
    wires: Mapping[str, str]
    source: str


@cache
def rulebooks() -> dict[Rules, RuleBook]:
    """Every code there is a row for, by its short name.

    Returns:
        In the order of ``rulebooks.toml``.
    """
    result = {name: RuleBook(**row) for name, row in toml("rulebooks").items()}
    return cast(dict[Rules, RuleBook], result)


def usual_rules(units: object) -> Rules:
    """Whose code holds where nothing says so.

    Args:
        units: that are measured in there; what is none counts as inches.

    Returns:
        The short name of the first code that those are usual with.
    """
    wanted = "mm" if units == "mm" else "in"
    return next(name for name, book in rulebooks().items() if book.units == wanted)


def wording_of(language: Language | None, units: object) -> Wording:
    """The words of a language.

    Args:
        language: one of ``LANGUAGES``; None: the one that is spoken where those units are usual.
        units: of a document.

    Returns:
        Its words, whose catalogue is read when its first sentence is asked for.
    """
    return WORDINGS[language or rulebooks()[usual_rules(units)].language]
