"""A walk line typed as it is said: ``pipe 1 5/8 at 57 7/8``, ``left 11' 4``, ``box 29 5/8``.

Words and numbers, in any order after the first word; what was typed as a number stays as it was
typed. The grammar for people: docs/run-file.md, typed lines.
"""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Any

from yarrow.features.in_document import InDocument, Said
from yarrow.features.registry import KINDS
from yarrow.measure.tape import LengthSyntaxError, read_length
from yarrow.measure.units import Unit
from yarrow.obstacles.registry import OBSTACLES

LONGEST = 200


@dataclass(frozen=True, slots=True)
class Completion:
    """What could be typed next: the whole text with it, and what it is for."""

    text: str
    hint: str


@dataclass(frozen=True, slots=True)
class TypedLine:
    """A typed line as far as it can be read: ``line`` in the run file's own shape (None: not yet),
    what is still ``expected`` (empty: nothing), and how it could go on."""

    line: dict[str, Any] | None
    expected: str
    completions: tuple[Completion, ...]


def _forms() -> dict[str, tuple[InDocument, Said]]:
    """By first word: the kind of line, and how it is said."""
    return {
        word: (kind.document, said)
        for kind in (*OBSTACLES.values(), *KINDS.values())
        for said in kind.document.said
        for word in said.words
    }


_AHEAD = {"at": "at", "by": "angle", "within": "within", "clear": "clearance", "from": "from"}
"""Words that come before their number."""

_BEHIND = {
    "wide": "width",
    "high": "height",
    "across": "across",
    "deep": "depth",
    "air": "clearance",
    "°": "angle",
    "deg": "angle",
    "degrees": "angle",
}
"""Words that come behind their number."""

_SIDES = {"left": "left", "right": "right", "out": "out", "outward": "out", "inward": "in"}
"""In is the unit behind a number, so that a side is said as inward there."""

_FILLERS = ("going", "toward", "a", "the")
_DATUMS = ("back", "centre", "inside")
_WORDS = {
    "across": "how far across",
    "width": "how wide",
    "height": "how high",
    "rise": "how high",
    "depth": "how deep",
    "knockout": "how far off the wall",
    "at": "at, and where",
}
_INSERTS = {"width": " … wide", "height": " … high", "at": " at "}


def typed_line(text: str, unit: Unit) -> TypedLine:
    """Read a line as it is said.

    Args: text, at most 200 characters; unit, of numbers that do not name their own.
    Source: docs/run-file.md, typed lines.
    """
    if len(text) > LONGEST:
        return TypedLine(None, f"at most {LONGEST} characters", ())
    said, _, label = text.partition(",")
    words = _split(said)
    forms = _forms()
    found = forms.get(words[0].lower()) if words else None
    if found is None or (len(words) == 1 and not said.endswith(" ")):
        known = ", ".join(forms)
        expected = f"a number after {words[0]}" if found else f"one of {known} first"
        return TypedLine(None, expected, _first_words(words[0] if words else "", forms))
    document, form = found
    fields, trouble = _fields_said(document.kind, form, words[1:])
    others = (kind for name, kind in form.with_field.items() if name in fields)
    line: dict[str, Any] = {"kind": next(others, document.kind), **form.given, **fields}
    side = document.field("toward")
    if side and side.default:
        line.setdefault("toward", side.default)
    if label.strip():
        line["label"] = label.strip()[:80]
    trouble = trouble or _not_a_length(line, unit)
    missing = [name for name in form.needs if not line.get(name)]
    expected = trouble or (_WORDS[missing[0]] if missing else "")
    completions = () if trouble else _completions(text, document, form, line, missing)
    return TypedLine(None if expected else line, expected, completions)


def _split(text: str) -> list[str]:
    """Words, with ``7'`` and ``30°`` and ``7x2`` taken apart where two things meet in one."""
    apart = re.sub(r"(?<=[\d/\"'])\s*[x×]\s*(?=\d)", " x ", text)
    return apart.replace("°", " ° ").split()


def _fields_said(kind: str, form: Said, words: list[str]) -> tuple[dict[str, Any], str]:
    """The fields that words and numbers say, and what can't be read (empty: nothing)."""
    found: dict[str, Any] = {}
    for name, value in _values_said(form, words):
        if name not in (*form.needs, *form.also, "toward", "from"):
            return found, f"no {name} for a {kind}"
        if name in found:
            return found, f"{name} only once"
        if name == "angle":
            try:
                found[name] = float(value)
            except ValueError:
                return found, "degrees as a number"
        else:
            found[name] = value
    if form.firm:
        found = {name: value for name, value in found.items() if name not in form.given}
    return found, ""


def _values_said(form: Said, words: list[str]) -> Iterator[tuple[str, str]]:
    """Field and value of everything after the first word, in order."""
    pending: list[str] = []
    ahead = ""
    unnamed = iter((form.main, form.second))

    def flush(name: str = "") -> Iterator[tuple[str, str]]:
        nonlocal ahead
        if pending:
            where = name or ahead or next(unnamed, "") or "number"
            yield where, " ".join(pending)
            pending.clear()
        ahead = ""

    for word in words:
        lower = word.lower()
        if lower in _BEHIND and pending and not ahead:
            if _BEHIND[lower] == form.main:
                next(unnamed, "")
            yield from flush(_BEHIND[lower])
        elif lower in ("°", "deg", "degrees"):
            yield from flush("angle")
        elif lower in _AHEAD:
            yield from flush()
            ahead = _AHEAD[lower]
        elif lower == "x":
            yield from flush()
        elif lower in _DATUMS and ahead == "from":
            ahead = ""
            yield "from", lower
        elif lower in _SIDES or (lower == "in" and not pending):
            yield from flush()
            yield "toward", _SIDES.get(lower, "in")
        elif lower not in _FILLERS:
            pending.append(word)
    yield from flush()


def _not_a_length(line: dict[str, Any], unit: Unit) -> str:
    for name in (*_WORDS, "within", "clearance"):
        if name not in line:
            continue
        try:
            read_length(line[name], unit)
        except LengthSyntaxError as error:
            return f'{error.expected}, not "{line[name]}"'
    return ""


def _first_words(
    begun: str, forms: Mapping[str, tuple[InDocument, Said]]
) -> tuple[Completion, ...]:
    return tuple(
        Completion(f"{word} ", form.hint)
        for word, (_, form) in forms.items()
        if word.startswith(begun.lower())
    )


def _completions(
    text: str, document: InDocument, form: Said, line: dict[str, Any], missing: list[str]
) -> tuple[Completion, ...]:
    """How the text could go on: what is missing first, then what may be said as well."""
    base = text.rstrip()
    if missing and missing[0] != form.main:
        if missing[0] == "at":
            return (Completion(f"{base} at ", "then where it is"),)
        return (Completion(f"{base} x ", f"then {_WORDS[missing[0]]}"),)
    if missing or "," in text:
        return ()
    found = []
    if "clearance" in form.also and "clearance" not in line:
        found.append(Completion(f"{base} clear ", "then the air over it"))
    if "angle" in form.also and "angle" not in line:
        found.append(Completion(f"{base} by ", "then the angle"))
    if document.field("toward") and not form.firm:
        found += [
            Completion(f"{base} {word}", f"going {side}")
            for word, side in _SIDES.items()
            if line.get("toward") != side and word != "outward"
        ]
    found.append(Completion(f"{base}, ", "then what it is called"))
    return tuple(found)
