"""One language's words: a phrase becomes a sentence."""

from __future__ import annotations

from collections.abc import Mapping
from functools import cached_property
from string import Formatter
from typing import Final, Literal

from yarrow.wording.catalogue import read_catalogue
from yarrow.wording.phrase import READINGS, Phrase, Quantity, Term, Value

Language = Literal["en-US", "en-GB"]

LANGUAGES: Final[Mapping[Language, tuple[Language, ...]]] = {"en-US": (), "en-GB": ("en-US",)}
"""Each language, with those whose words it has where its own catalogue says none, nearest first."""


_Part = tuple[str, str | None, str | None, str | None]
"""Of a template: text, the place behind it (None: none), what is put between several things there,
and how they are changed."""


class Wording:
    """Templates by key, with places in braces: ``{name}``; ``{name!c}`` with a capital,
    ``{name!f}`` its first sentence without the stop, ``{count!s}`` the s of so many unless it is
    one, ``{names:, }`` several, with that between.

    A figure may go unsaid: it is there for who reads the answer as data. A language's catalogue is
    read when its first sentence is asked for.

    Args:
        language: one of ``LANGUAGES``.
    """

    def __init__(self, language: Language) -> None:
        self.language = language

    @cached_property
    def templates(self) -> Mapping[str, str]:
        """Every sentence by its key."""
        result: dict[str, str] = {}
        for language in (*reversed(LANGUAGES[self.language]), self.language):
            result |= read_catalogue(language)
        return result

    @cached_property
    def _parts(self) -> dict[str, tuple[_Part, ...]]:
        return {key: tuple(Formatter().parse(text)) for key, text in self.templates.items()}

    def text(self, value: Value) -> str:
        """A phrase, or what stands in one, in these words.

        Returns:
            To be read as it is.

        Raises:
            KeyError, for a key that has none.
        """
        return self._worded(value, " ")

    def _worded(self, value: Value, between: str) -> str:
        if isinstance(value, Phrase):
            parts = self._parts[value.key]
            if len(parts) == 1 and parts[0][1] is None:
                return parts[0][0]
            return "".join(
                [
                    literal if name is None else literal + self._placed(value, name, of, conversion)
                    for literal, name, of, conversion in parts
                ]
            )
        if isinstance(value, str):
            return value
        if isinstance(value, Quantity):
            return value.text
        if isinstance(value, READINGS):
            return str(value)
        if isinstance(value, Term):
            return self.templates.get(value.key, value.usual)
        return between.join([self._worded(part, " ") for part in value])

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


WORDINGS: Final[Mapping[Language, Wording]] = {
    language: Wording(language) for language in LANGUAGES
}

EN_US, EN_GB = WORDINGS["en-US"], WORDINGS["en-GB"]


def in_each_language(value: Value) -> dict[str, str]:
    """What is said of something in each language there is, by that.

    Args:
        value: a phrase, or what stands in one.

    Returns:
        By the language's tag.
    """
    return {language: wording.text(value) for language, wording in WORDINGS.items()}
