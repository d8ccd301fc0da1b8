"""A walk line typed as it is said: ``pipe 1 5/8 at 57 7/8``, ``90 left at 71 5/8``, ``stub 18``.

Words and numbers, in any order after the first words; what was typed as a number stays as it was
typed. The grammar for people: docs/run-file.md, typed lines.
"""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from difflib import get_close_matches
from typing import Any, NamedTuple

from yarrow.documents.run.said_words import as_degrees, is_usual_angle, said_plainly
from yarrow.features.in_document import InDocument, TypedForm
from yarrow.features.registry import KINDS
from yarrow.measure.tape import LengthSyntaxError, read_length
from yarrow.measure.units import INCHES_PER_FOOT, Unit
from yarrow.obstacles.registry import OBSTACLES
from yarrow.values import dataclass

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


def typed_line(text: str, unit: Unit) -> TypedLine:
    """Read a line as it is said.

    Args:
        text: at most 200 characters.
        unit: of numbers that do not name their own.

    Source:
        docs/run-file.md, typed lines.
    """
    return read_typed_line(text, unit).typed


def read_typed_line(text: str, unit: Unit, *, alone: bool = False) -> LineInItsForm:
    """Read a line as it is said, with how it was said.

    Args:
        text: as for typed_line.
        unit: as for typed_line.
        alone: whether it is a piece by itself, which need not say where it is.
    """
    if len(text) > LONGEST:
        return LineInItsForm(TypedLine(None, f"at most {LONGEST} characters", ()))
    typed, label, expected = said_plainly(text)
    if expected:
        return LineInItsForm(TypedLine(None, expected, ()))
    words = _split(typed)
    forms = {word: result for word, result in _forms().items() if result[1].alone or not alone}
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
    fields, trouble = _typed_fields(document, form, phrase, rest, unit)
    others = (kind for name, kind in form.with_field.items() if name in fields)
    blank = dict.fromkeys(form.blank, "")
    line: dict[str, Any] = {"kind": next(others, document.kind), **blank, **form.given, **fields}
    side = document.field("toward")
    if side and side.default:
        line.setdefault("toward", side.default)
    if label:
        line["label"] = label[:80]
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
            degrees = [words[0], "degrees"]
        elif as_degrees(" ".join(words[:2])) is not None and words[2:]:
            degrees, rest = [*words[:2], "degrees"], words[2:]
            rest = rest[1:] if rest[0].lower() in _DEGREE_WORDS else rest
        else:
            degrees = []
        if degrees and (not rest or rest[0].lower() in (*_SIDES, _TURN, "at")):
            return _TURN, [*degrees, *(word for word in rest if word.lower() != "turn")]
    return _number_first(words, forms)


def _number_first(words: list[str], forms: Mapping[str, object]) -> tuple[str, list[str]]:
    """``4 3/8 offset at 33`` and ``30° offset 4 3/8``: the form behind a number, and that number
    among the words after it. A usual angle before one that has another number is degrees."""
    lower = [word.lower() for word in words]
    numbers = 0
    while numbers < len(words) and (
        _NUMBER.fullmatch(lower[numbers]) or lower[numbers] in (*_DEGREE_WORDS, *_UNITS, '"')
    ):
        numbers += 1
    for count in range(_LONGEST_PHRASE, 0, -1) if numbers else ():
        phrase = " ".join(lower[numbers : numbers + count])
        if phrase in forms and phrase not in _SIDES:
            ahead, rest = words[:numbers], words[numbers + count :]
            if is_usual_angle(" ".join(ahead)) and rest and _NUMBER.fullmatch(rest[0]):
                ahead = [*ahead, "degrees"]
            return phrase, [*ahead, *rest]
    return "", words


def _not_begun(words: list[str], forms: Mapping[str, tuple[InDocument, TypedForm]]) -> TypedLine:
    """What to begin with, where nothing that is known was: how it could go on, or the nearest."""
    begun = " ".join(words).lower()
    leading = _first_words(begun, forms)
    if not leading and len(words) == 1 and _DEGREES_FIRST.fullmatch(begun):
        turns = (Completion(f"{begun} {side} at ", f"a turn {side}") for side in ("left", "right"))
        return TypedLine(None, _WORDS["at"], tuple(turns))
    first = words[0].lower() if words else ""
    longer = [word for word in forms if first and word.startswith(f"{first} ")]
    if longer and not leading:
        after = " ".join(words[1:])
        further = tuple(Completion(f"{word} {after}", forms[word][1].hint) for word in longer)
        return TypedLine(None, f"{' or '.join(longer)}: which of them", further)
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
        # No tape has twelve inches and more behind its feet.
        ends = ends or (before.endswith("'") and word.isdigit() and int(word) >= INCHES_PER_FOOT)
        if ends and _NUMBER.fullmatch(word) and not _goes_on(before, word):
            yield " ".join(value)
            value = []
        value.append(word)
    if value:
        yield " ".join(value)


def _goes_on(before: str, word: str) -> bool:
    """Whether a number belongs to the one before it: a fraction to a whole one."""
    return "/" in word and before.isdigit() and "-" not in word


def _typed_fields(
    document: InDocument, form: TypedForm, phrase: str, words: list[str], unit: Unit
) -> tuple[dict[str, Any], str]:
    """The fields that words and numbers say, and what can't be read or is in doubt (empty:
    nothing)."""
    result: dict[str, Any] = {}
    unnamed: list[_Said] = []
    for said in _typed_values(form, words):
        if not said.name:
            unnamed.append(said)
            continue
        if said.name not in (*form.needs, *form.also, "toward", "from"):
            return result, f"no {said.name} for a {document.kind}"
        if said.name in result:
            return result, f"{said.name} only once"
        # ``2 by 6`` is how a block is said, and ``by 30`` an angle.
        by = said.name == "angle" and said.across and form.second == "width"
        if by and not is_usual_angle(said.value):
            return result, _wide_or_degrees(said.value)
        result[said.name] = said.value
    trouble = _put_in_fields(form, phrase, result, unnamed, unit)
    if trouble:
        return result, trouble
    if result.get("toward") in ("up", "down"):
        return result, "a side: left, right, out or in (up and down depend on the wall)"
    if result.get("from", "back") not in _DATUMS:
        return result, "from back, centre or inside"
    if "angle" in result:
        degrees = as_degrees(result["angle"])
        if degrees is None:
            return result, "degrees as a number"
        result["angle"] = int(degrees) if degrees.denominator == 1 else float(degrees)
    if form.firm:
        result = {name: value for name, value in result.items() if name not in form.given}
    return result, ""


def _put_in_fields(
    form: TypedForm, phrase: str, result: dict[str, Any], unnamed: list[_Said], unit: Unit
) -> str:
    """Puts numbers without a word to their fields: a usual angle behind a rise is an angle, in
    every kind. What stays in doubt is asked: what would settle it, else empty."""
    fields = (*form.needs, *form.also)
    angled = "angle" in fields and "angle" not in result
    for said in unnamed:
        usual = is_usual_angle(said.value)
        if form.main not in result and not (form.main == "at" and "at" in result):
            result[form.main] = said.value
        elif angled and "angle" not in result and not said.across and usual:
            result["angle"] = said.value
        elif form.main == "at" and angled and "angle" not in result and not said.across:
            return f"{said.value} with a word: {said.value} degrees, or at {said.value}"
        elif form.second == "angle" and "angle" not in result:
            result["angle"] = said.value
        elif form.second and form.second not in result and (said.across or not angled):
            result[form.second] = said.value
        elif form.second and form.second not in result:
            return _wide_or_degrees(said.value)
        else:
            return "one number less, or a word to each"
    return _doubt(form, phrase, result, unnamed, unit)


def _wide_or_degrees(number: str) -> str:
    return f"{number} with a word: {number} wide, or {number} degrees"


def _doubt(
    form: TypedForm, phrase: str, result: dict[str, Any], unnamed: list[_Said], unit: Unit
) -> str:
    """What two people would read in two ways: a number that may be degrees or a length."""
    first = unnamed[0].value if unnamed else ""
    angled = "angle" in (*form.needs, *form.also) and "angle" not in result
    turns = form.main == "at" and angled and phrase in (*_SIDES, "in", _TURN, "bend")
    if turns and result.get("at") == first and first in _TURNS_BY:
        return f"{first} degrees at …, or at {first} {unit}"
    if form.main == "rise" and "at" in result and angled and is_usual_angle(result["at"]):
        place = result["at"]
        return f"{place} degrees and where, or at {place} {unit}"
    if form.main == "rise" and result.get("rise") == first and unit == "in":
        leans = not {"angle", "width"} & set(fields_of(form))
        degrees = as_degrees(first) or 0
        few = is_usual_angle(first) and (leans or degrees >= _NO_RISE)
        if few and (leans or angled):
            return f"its rise in {unit}: {first} {unit}, or {first} degrees and a rise"
    return ""


def fields_of(form: TypedForm) -> tuple[str, ...]:
    """What a form may say.

    Args:
        form: of a line.

    Returns:
        Names of fields, those that it must have first.
    """
    return (*form.needs, *form.also)


_TURNS_BY = ("90", "45", "60", "30", "22.5", "22 1/2")
"""Numbers behind a turn that are as likely its degrees as its place."""

_NO_RISE = 30
"""Inches from which a number that is a usual angle is hardly a rise."""


class _Said(NamedTuple):
    """A number, or a side, as it was typed, with the field that a word gives it (empty: no word);
    ``across``: behind an x, or behind by."""

    name: str
    value: str
    across: bool = False


def _field_behind(word: str, form: TypedForm) -> str:
    """The field that a word gives the number ahead of it; empty: none."""
    field = _BEHIND.get(word, "")
    rises = field == "height" and field not in fields_of(form) and form.main == "rise"
    return "rise" if rises else field


def _typed_values(form: TypedForm, words: list[str]) -> Iterator[_Said]:
    """Every number and side after the first word, in order."""
    pending: list[str] = []
    ahead, across, by = "", False, False

    def flush(name: str = "") -> Iterator[_Said]:
        nonlocal ahead, across, by
        values = list(_values(pending))
        if values and name:
            yield _Said(name, values.pop())
        if values and ahead:
            yield _Said(ahead, values.pop(0), by)
        for at, value in enumerate(values):
            yield _Said("", value, across and at == 0 and not ahead)
        pending.clear()
        ahead, across, by = "", False, False

    fields = fields_of(form)
    for word in words:
        lower = word.lower()
        behind = _field_behind(lower, form)
        if lower in _DEGREE_WORDS and pending:
            ahead = ""  # "at 30 degrees" is an angle
            yield from flush("angle")
        elif behind and pending and (not ahead or len(list(_values(pending))) > 1):
            yield from flush(behind)
        elif lower == "by" and "angle" not in fields and form.second:
            yield from flush()
            across = True
        elif lower in _AHEAD:
            yield from flush()
            ahead, by = _AHEAD[lower], lower == "by"
        elif lower == "x" and form.second and form.second != "angle":
            yield from flush()
            across = True
        elif ahead == "from" and lower not in _FILLERS and not _NUMBER.fullmatch(word):
            ahead = ""
            yield _Said("from", lower)
        elif lower in (*_SIDES, "up", "down") or (lower == "in" and not pending):
            yield from flush()
            yield _Said("toward", _SIDES.get(lower, lower))
        elif lower not in _FILLERS:
            pending.append(word)
    yield from flush()


def _not_a_length(line: dict[str, Any], unit: Unit) -> str:
    for name in (*_WORDS, "within", "clearance"):
        if not line.get(name):
            continue
        try:
            value = read_length(line[name], unit).value
        except LengthSyntaxError as error:
            return f'{error.expected}, not "{line[name]}"'
        if value < 0 or (value == 0 and name != "clearance"):
            return f'a length above zero, not "{line[name]}"'
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
    completions = []
    if "clearance" in form.also and "clearance" not in line:
        completions.append(Completion(f"{base} clear ", "then the air over it"))
    if "angle" in form.also and "angle" not in line:
        completions.append(Completion(f"{base} by ", "then the angle"))
    if document.field("toward") and not form.firm:
        completions += [
            Completion(f"{base} {word}", f"going {side}")
            for word, side in _SIDES.items()
            if line.get("toward") != side and word != "outward"
        ]
    completions.append(Completion(f"{base}, ", "then what it is called"))
    return tuple(completions)
