"""A walk line typed as it is said: ``pipe 1 5/8 at 57 7/8``, ``90 left at 71 5/8``, ``stub 18``.

Words and numbers, in any order after the first words; what was typed as a number stays as it was
typed. The grammar for people: docs/run-file.md, typed lines.
"""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from difflib import get_close_matches
from typing import Any, NamedTuple

from yarrow.features.in_document import InDocument, TypedForm
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


class LineInItsForm(NamedTuple):
    """A typed line, and which form it has, where it can be read."""

    typed: TypedLine
    form: TypedForm | None = None


def _forms() -> dict[str, tuple[InDocument, TypedForm]]:
    """By first word: the kind of line, and how it is said."""
    return {
        word: (kind.document, form)
        for kind in (*OBSTACLES.values(), *KINDS.values())
        for form in kind.document.typed
        for word in form.words
    }


_AHEAD = {"at": "at", "by": "angle", "within": "within", "clear": "clearance", "from": "from"}
"""Words that come before their number."""

_BEHIND = {
    "wide": "width",
    "high": "height",
    "across": "across",
    "deep": "depth",
    "air": "clearance",
}
"""Words that come behind their number."""

_DEGREE_WORDS = ("°", "deg", "degree", "degrees")
_UNITS = ("in", "mm", "inch", "inches")
_NUMBER = re.compile(r"\d+(?:\.\d+)?|\d+/\d+|\d+-\d+/\d+")
_DEGREES_FIRST = re.compile(r"(?:[1-9]\d?|1[01]\d|120)(?:\.\d+)?")
_TURN = "turn"
_LONGEST_PHRASE = 3
_CLOSE = 0.6
"""How much alike two words are before one is taken for the other, from 0 to 1."""

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
    return read_typed_line(text, unit).typed


def read_typed_line(text: str, unit: Unit, *, alone: bool = False) -> LineInItsForm:
    """Read a line as it is said, with how it was said.

    Args: text and unit, as for typed_line; alone, whether it is a piece by itself, which need not
    say where it is.
    """
    if len(text) > LONGEST:
        return LineInItsForm(TypedLine(None, f"at most {LONGEST} characters", ()))
    typed, _, label = text.partition(",")
    words = _split(typed)
    forms = {word: found for word, found in _forms().items() if found[1].alone or not alone}
    phrase, rest = _beginning(words, forms)
    if not phrase:
        return LineInItsForm(_not_begun(words, forms))
    if not rest and not typed.endswith(" "):
        begun = _first_words(phrase, forms)
        return LineInItsForm(TypedLine(None, f"a number after {phrase}", begun))
    longer = _first_words(" ".join(words), forms)
    if rest and longer:
        wanted = f"a number after {longer[0].text.strip()}"
        return LineInItsForm(TypedLine(None, wanted, longer))
    document, form = forms[phrase]
    fields, trouble = _typed_fields(document.kind, form, rest)
    others = (kind for name, kind in form.with_field.items() if name in fields)
    blank = dict.fromkeys(form.blank, "")
    line: dict[str, Any] = {"kind": next(others, document.kind), **blank, **form.given, **fields}
    side = document.field("toward")
    if side and side.default:
        line.setdefault("toward", side.default)
    if label.strip():
        line["label"] = label.strip()[:80]
    trouble = trouble or _not_a_length(line, unit)
    placed = ("at",) if form.alone and form.alone.place and alone else ()
    missing = [name for name in form.needs if not line.get(name) and name not in placed]
    expected = trouble
    if missing and not trouble:
        first = form.main in missing
        expected = f"a number after {phrase}" if first else _WORDS[missing[0]]
    completions = () if trouble else _completions(text, document, form, line, missing)
    return LineInItsForm(TypedLine(None if expected else line, expected, completions), form)


def _beginning(words: list[str], forms: Mapping[str, object]) -> tuple[str, list[str]]:
    """The form that words begin with, and the words after it: the longest that there is. A number
    of degrees first is a turn: ``90 left at 40``."""
    lower = [word.lower() for word in words]
    for count in range(min(len(words), _LONGEST_PHRASE), 0, -1):
        phrase = " ".join(lower[:count])
        if phrase in forms:
            return phrase, words[count:]
    if len(words) > 1 and _DEGREES_FIRST.fullmatch(lower[0]):
        rest = words[2:] if lower[1] in _DEGREE_WORDS else words[1:]
        if not rest or not _NUMBER.fullmatch(rest[0]):
            return _TURN, [words[0], "degrees", *(word for word in rest if word.lower() != "turn")]
    return "", words


def _not_begun(words: list[str], forms: Mapping[str, tuple[InDocument, TypedForm]]) -> TypedLine:
    """What to begin with, where nothing that is known was: how it could go on, or the nearest."""
    begun = " ".join(words).lower()
    leading = _first_words(begun, forms)
    if not leading and len(words) == 1 and _DEGREES_FIRST.fullmatch(begun):
        turns = (Completion(f"{begun} {side} at ", f"a turn {side}") for side in ("left", "right"))
        return TypedLine(None, _WORDS["at"], tuple(turns))
    for count in () if leading else (_LONGEST_PHRASE, 1):
        start = " ".join(words[:count]).lower()
        for close in get_close_matches(start, forms, 1, _CLOSE):
            after = " ".join(words[len(close.split()) :])
            there = Completion(f"{close} {after}", forms[close][1].hint)
            return TypedLine(None, f"{close}: the nearest to {words[0]} that is known", (there,))
    return TypedLine(None, f"one of {', '.join(forms)} first", leading)


def _split(text: str) -> list[str]:
    """Words, with ``7'`` and ``30°`` and ``7x2`` taken apart where two things meet in one."""
    apart = re.sub(r"(?<=[\d/\"'])\s*[x×]\s*(?=\d)", " x ", text)
    return apart.replace("°", " ° ").split()


def _values(words: list[str]) -> Iterator[str]:
    """The numbers in a row of words, each as it was typed: ``4 3/8 30`` are two. A whole number
    goes on with a fraction, feet with inches, and a sum with what is added."""
    value: list[str] = []
    for word in words:
        before = value[-1] if value else ""
        ends = _NUMBER.fullmatch(before) or before.lower() in _UNITS or before.endswith('"')
        if ends and _NUMBER.fullmatch(word) and not _goes_on(before, word):
            yield " ".join(value)
            value = []
        value.append(word)
    if value:
        yield " ".join(value)


def _goes_on(before: str, word: str) -> bool:
    """Whether a number belongs to the one before it: a fraction to a whole one."""
    return "/" in word and before.isdigit() and "-" not in word


def _typed_fields(kind: str, form: TypedForm, words: list[str]) -> tuple[dict[str, Any], str]:
    """The fields that words and numbers say, and what can't be read (empty: nothing)."""
    found: dict[str, Any] = {}
    for name, value in _typed_values(form, words):
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


def _typed_values(form: TypedForm, words: list[str]) -> Iterator[tuple[str, str]]:
    """Field and value of everything after the first word, in order."""
    pending: list[str] = []
    ahead = ""
    unnamed = iter((form.main, form.second))

    def flush(name: str = "") -> Iterator[tuple[str, str]]:
        nonlocal ahead
        values = list(_values(pending))
        for value in values[:-1] if name else values[1:] if ahead else values:
            yield next(unnamed, "") or "number", value
        if values and (name or ahead):
            yield name or ahead, values[-1] if name else values[0]
        pending.clear()
        ahead = ""

    for word in words:
        lower = word.lower()
        if lower in _DEGREE_WORDS and pending:
            ahead = ""  # "at 30 degrees" is an angle
            yield from flush("angle")
        elif lower in _BEHIND and pending and not ahead:
            if _BEHIND[lower] == form.main:
                next(unnamed, "")
            yield from flush(_BEHIND[lower])
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
        if not line.get(name):
            continue
        try:
            read_length(line[name], unit)
        except LengthSyntaxError as error:
            return f'{error.expected}, not "{line[name]}"'
    return ""


def _first_words(
    begun: str, forms: Mapping[str, tuple[InDocument, TypedForm]]
) -> tuple[Completion, ...]:
    return tuple(
        Completion(f"{word} ", form.hint)
        for word, (_, form) in forms.items()
        if word.startswith(begun.lower()) and (begun or word == form.words[0])
    )


def _completions(
    text: str, document: InDocument, form: TypedForm, line: dict[str, Any], missing: list[str]
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
