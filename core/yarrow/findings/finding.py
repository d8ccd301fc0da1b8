"""Findings: what there is to know beforehand, how bad, where, and what to change."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import field

from yarrow.findings.code import FindingCode, Level
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Value
from yarrow.wording.wording import EN_US, Wording


@dataclass(frozen=True, slots=True)
class Remedy:
    """A finding's fix: what it does, and the one field that it sets."""

    does: Phrase
    path: str
    value: str | float | tuple[str, ...]

    @property
    def label(self) -> str:
        """What it does, in US English."""
        return EN_US.text(self.does)


@dataclass(frozen=True, slots=True)
class Finding:
    """Something to know before metal is bent: what, with its figures, where, and what to change.

    ``variant`` tells sentences of one code apart; ``feature`` is the line of the walk, ``path`` the
    field, ``bends`` the bends it is about; ``source`` where a rule is written, empty where it is
    the geometry or the tool that says so. ``still``: what can be done all the same, which makes a
    warning of an error.
    """

    code: FindingCode
    values: Mapping[str, Value] = field(default_factory=dict)
    feature: int | None = None
    path: str = ""
    bends: tuple[int, ...] = ()
    remedy: Remedy | None = None
    source: str = ""
    variant: str = ""
    still: Phrase | None = None

    @property
    def level(self) -> Level:
        """How bad it is."""
        return self.code.level if self.still is None else "warning"

    @property
    def phrase(self) -> Phrase:
        """What it says, to be worded, or to stand in another finding's sentence."""
        own = Phrase(f"{self.code}/{self.variant}" if self.variant else self.code, self.values)
        if self.still is None:
            return own
        return Phrase("and-still", {"said": own, "still": self.still})

    @property
    def text(self) -> str:
        """What it says, in US English."""
        return self.sentence(EN_US)

    def sentence(self, wording: Wording) -> str:
        """What it says, in a language's words.

        Returns:
            Whole sentences.
        """
        return wording.text(self.phrase)


def errors_of(findings: Iterable[Finding]) -> tuple[Finding, ...]:
    """Those that keep it from being made."""
    return tuple(finding for finding in findings if finding.level == "error")


def nothing_wrong(findings: Iterable[Finding]) -> bool:
    """Whether none of them is an error."""
    return not errors_of(findings)


def gravest_first(findings: Iterable[Finding]) -> tuple[Finding, ...]:
    """As an answer has them: each once; errors, then warnings, then notes, else as they were
    found."""
    alike: dict[object, list[Finding]] = {}
    for finding in findings:
        place = (finding.code, finding.variant, finding.path, finding.feature, finding.bends)
        kept = alike.setdefault(place, [])
        if finding not in kept:
            kept.append(finding)
    once = [finding for kept in alike.values() for finding in kept]
    return tuple(sorted(once, key=lambda finding: _GRAVEST_FIRST[finding.level]))


_GRAVEST_FIRST: Mapping[Level, int] = {"error": 0, "warning": 1, "note": 2}
