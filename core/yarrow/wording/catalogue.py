"""A language's words: its catalogue, a gettext ``.po`` file of sentences by their keys."""

from __future__ import annotations

import re
from pathlib import Path

_HERE = Path(__file__).parent / "catalogues"

_ENTRY = re.compile(
    r'^msgid (?P<key>(?:"(?:[^"\\]|\\.)*"\s*)+)^msgstr (?P<text>(?:"(?:[^"\\]|\\.)*"\s*)+)', re.M
)

_ESCAPE = re.compile(r"\\(.)")


def read_catalogue(language: str) -> dict[str, str]:
    """Sentences by their keys, as a catalogue has them.

    Args:
        language: the name of its file: ``en-GB``.

    Returns:
        All but the entry without a key, in which a catalogue tells of itself.

    Raises:
        FileNotFoundError, for a language that has none; ValueError, for a key that is twice.
    """
    text = (_HERE / f"{language}.po").read_text("utf-8")
    result: dict[str, str] = {}
    for entry in _ENTRY.finditer(text):
        key = _unquoted(entry["key"])
        if key in result:
            raise ValueError(f"{language}: {key} stands there twice")
        result[key] = _unquoted(entry["text"])
    del result[""]
    return result


def _unquoted(parts: str) -> str:
    """Quoted texts one after the other, as one."""
    return "".join(_ESCAPE.sub(_meant, part.strip()[1:-1]) for part in parts.splitlines() if part)


def _meant(escape: re.Match[str]) -> str:
    return "\n" if escape[1] == "n" else escape[1]


def languages() -> tuple[str, ...]:
    """Every language that there is a catalogue of.

    Returns:
        Their tags, in alphabetical order.
    """
    return tuple(sorted(path.stem for path in _HERE.glob("*.po")))
