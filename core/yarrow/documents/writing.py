"""Writing answers: values to plain JSON."""

from __future__ import annotations

from collections.abc import Callable, Iterable
from dataclasses import fields, is_dataclass
from functools import cache
from operator import attrgetter
from typing import Any

from yarrow.documents.written_finding import written
from yarrow.findings.finding import Finding
from yarrow.wording.phrase import Phrase, Reading
from yarrow.wording.wording import EN_US, Wording


def plain(answer: Any, wording: Wording = EN_US) -> dict[str, Any]:
    """An answer as JSON has it: a dataclass as a dictionary of its fields, a tuple as a list, what
    was found in a language's words.

    Four times as fast as ``dataclasses.asdict``, which copies what cannot change.

    Args:
        answer: a dataclass of the core.

    Returns:
        Dictionaries, lists, text, numbers, True, False and None.
    """
    kind: type = type(answer)
    names, values_of = _fields_of(kind)
    return {
        name: value if type(value) in _AS_IT_IS else _WRITERS[type(value)](value, wording)
        for name, value in zip(names, values_of(answer), strict=True)
    }


_Writer = Callable[[Any, Wording], Any]

_AS_IT_IS = frozenset({str, int, float, bool, type(None)})


class _Writers(dict[type, _Writer]):
    """What makes JSON of a value, by its type: found once a type."""

    def __missing__(self, kind: type) -> _Writer:
        self[kind] = result = _writer_of(kind)
        return result


_WRITERS = _Writers()


def _writer_of(kind: type) -> _Writer:
    if issubclass(kind, Reading):
        return lambda value, _: str(value)
    if kind is Phrase:
        return lambda value, wording: wording.text(value)
    if kind is Finding:
        return lambda value, wording: plain(written(value, wording), wording)
    if kind is dict:
        return lambda value, wording: dict(zip(value, _each(value.values(), wording), strict=True))
    if kind is tuple or kind is list:
        return _each
    return plain if is_dataclass(kind) else lambda value, _: value


def _each(values: Iterable[Any], wording: Wording) -> list[Any]:
    return [
        value if type(value) in _AS_IT_IS else _WRITERS[type(value)](value, wording)
        for value in values
    ]


@cache
def _fields_of(kind: type) -> tuple[tuple[str, ...], Callable[[Any], tuple[Any, ...]]]:
    """What a dataclass has, and what reads all of it at once."""
    names = tuple(field.name for field in fields(kind))
    if len(names) == 1:
        return names, lambda answer: (getattr(answer, names[0]),)
    return names, attrgetter(*names)
