"""One country's words: a phrase becomes a sentence."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from string import Formatter
from typing import Any, Literal

from yarrow.wording.en_gb import EN_GB as _EN_GB
from yarrow.wording.en_us import EN_US as _EN_US
from yarrow.wording.phrase import Phrase, Quantity, Value


class Wording(Formatter):
    """Templates by key, with places in braces: ``{name}``; ``{name!c}`` with a capital,
    ``{name!f}`` its first sentence without the stop, ``{names:, }`` several, with that between.
    """

    def __init__(self, language: str, templates: Mapping[str, str]) -> None:
        self.language = language
        self.templates = templates

    def text(self, value: Value) -> str:
        """A phrase, or what stands in one, in these words. Raises: KeyError, for a key that has
        none."""
        if isinstance(value, Phrase):
            return self.vformat(self.templates[value.key], (), value.values)
        if isinstance(value, Quantity):
            return value.text
        return value if isinstance(value, str) else " ".join(map(self.text, value))

    def format_field(self, value: Any, format_spec: str) -> str:
        """A place: what stands in it, or several with what is between them."""
        if isinstance(value, tuple):
            return format_spec.join(map(self.text, value))
        return self.text(value)

    def convert_field(self, value: Any, conversion: str | None) -> Any:
        """The capital that begins a sentence; a sentence's own first one."""
        if conversion == "c":
            text = self.text(value)
            return text[:1].upper() + text[1:]
        if conversion == "f":
            return self.text(value).partition(". ")[0].rstrip(".")
        return value

    def check_unused_args(
        self, used_args: set[int | str], args: Sequence[Any], kwargs: Mapping[str, Any]
    ) -> None:
        """A figure may go unsaid: it is there for who reads the answer as data."""


Country = Literal["us", "uk"]

EN_US = Wording("en-US", _EN_US)
EN_GB = Wording("en-GB", {**_EN_US, **_EN_GB})


def wording_of(country: Country | None, units: object) -> Wording:
    """A country's words; where none is named, those of the country whose units they are."""
    british = country == "uk" if country else units == "mm"
    return EN_GB if british else EN_US
