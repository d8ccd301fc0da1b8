"""One country's words: a phrase becomes a sentence."""

from __future__ import annotations

from collections.abc import Mapping
from string import Formatter
from typing import Literal

from yarrow.wording.en_gb import EN_GB as _EN_GB
from yarrow.wording.en_us import EN_US as _EN_US
from yarrow.wording.phrase import Phrase, Quantity, Value


class Wording:
    """Templates by key, with places in braces: ``{name}``; ``{name!c}`` with a capital,
    ``{name!f}`` its first sentence without the stop, ``{count!s}`` the s of so many unless it is
    one, ``{names:, }`` several, with that between.

    A figure may go unsaid: it is there for who reads the answer as data.
    """

    def __init__(self, language: str, templates: Mapping[str, str]) -> None:
        self.language = language
        self.templates = templates
        self._parts = {key: tuple(Formatter().parse(text)) for key, text in templates.items()}

    def text(self, value: Value) -> str:
        """A phrase, or what stands in one, in these words. Raises: KeyError, for a key that has
        none."""
        return self._worded(value, " ")

    def _worded(self, value: Value, between: str) -> str:
        if isinstance(value, str):
            return value
        if isinstance(value, Quantity):
            return value.text
        if isinstance(value, tuple):
            return between.join(self._worded(each, " ") for each in value)
        return "".join(
            literal if name is None else literal + self._placed(value, name, between, conversion)
            for literal, name, between, conversion in self._parts[value.key]
        )

    def _placed(
        self, phrase: Phrase, name: str, between: str | None, conversion: str | None
    ) -> str:
        value = phrase.values[name]
        if conversion == "s":
            return "" if isinstance(value, Quantity) and value.value == 1 else "s"
        text = self._worded(value, between or " ")
        if conversion == "c":
            return text[:1].upper() + text[1:]
        if conversion == "f":
            return text.partition(". ")[0].rstrip(".")
        return text


Country = Literal["us", "uk"]

EN_US = Wording("en-US", _EN_US)
EN_GB = Wording("en-GB", {**_EN_US, **_EN_GB})


def wording_of(country: Country | None, units: object) -> Wording:
    """A country's words; where none is named, those of the country whose units they are."""
    british = country == "uk" if country else units == "mm"
    return EN_GB if british else EN_US
