"""What is asked at an address and answered from what is sent alone: the same where a server answers
and where the core is in the page itself. An address is a verb's name, or one of a few more."""

from __future__ import annotations

import json
from collections.abc import Callable, Mapping
from typing import Any, Final, NamedTuple, cast, get_args

from yarrow.documents.errors import DocumentError
from yarrow.documents.json_text import read_json
from yarrow.door.checks import wires
from yarrow.door.reference import catalog
from yarrow.door.runs import convert, recalibrated
from yarrow.door.shared import Answer, Units
from yarrow.door.typed import line, quick
from yarrow.door.verb import Verb
from yarrow.door.verbs import VERBS
from yarrow.wording.wording import LANGUAGES, Language


class Told(NamedTuple):
    """An answer as it is sent: a status of HTTP's, and JSON."""

    status: int
    text: str


_Options = Mapping[str, str]
"""What the address says behind its question mark."""

_Asked = Callable[[Any, _Options], Answer]


def asked_at(address: str, sent: str, options: _Options) -> Told:
    """The answer at an address.

    Args:
        address: one of ``ADDRESSES``.
        sent: a JSON text: the document, or an object that has it.
        options: of the verb, as text, and the language of its words.

    Returns:
        Of status 200; or 422 and a problem, where something can't be read.
    """
    try:
        answer = _ASKED[address](read_json(sent.encode()) if sent else {}, options)
    except DocumentError as error:
        return Told(422, _json(unreadable(error)))
    return Told(200, _json(answer))


def unreadable(error: DocumentError) -> Answer:
    """The problem of a document that can't be read.

    Args:
        error: its place, and what was expected there.

    Returns:
        ``code``, ``message`` and ``errors``, each with ``path`` and ``expected``.
    """
    field = {"path": error.path, "expected": error.expected}
    return {"code": "unreadable", "message": str(error), "errors": [field]}


def _json(answer: Answer) -> str:
    return json.dumps(answer, ensure_ascii=False, allow_nan=False, separators=(",", ":"))


def _verb(verb: Verb[Any, Any]) -> _Asked:
    def ask(sent: Any, options: _Options) -> Answer:
        told = {one.name: _option(one.name, one.kind, options) for one in verb.options}
        given = {name: value for name, value in told.items() if value is not None}
        return verb(_mapping(sent), language=_language(options), **given)

    return ask


def _option(name: str, kind: type, options: _Options) -> Any:
    if name not in options:
        return None
    try:
        return kind(options[name])
    except ValueError:
        raise DocumentError(name, "a number") from None


def _language(options: _Options) -> Language | None:
    asked = options.get("language")
    if asked is not None and asked not in LANGUAGES:
        raise DocumentError("language", " or ".join(LANGUAGES))
    return cast(Language | None, asked)


def _at_bench(name: str) -> _Asked:
    verb = VERBS[name]

    def ask(sent: Any, options: _Options) -> Answer:
        document, came_out, piece = _of(sent, "document", "came_out", "piece")
        if piece is not None and not isinstance(piece, int):
            raise DocumentError("piece", "a whole number")
        return verb(document, came_out, language=_language(options), piece=piece)

    return ask


def _of(sent: Any, *names: str) -> list[Any]:
    """The fields of what is sent, in that order; None for what is not there."""
    return [_mapping(sent).get(name) for name in names]


def _mapping(sent: Any) -> Answer:
    if not isinstance(sent, dict):
        raise DocumentError("", "an object")
    return sent


def _units(value: Any, path: str) -> Units:
    if value not in get_args(Units):
        raise DocumentError(path, "'in' or 'mm'")
    return cast(Units, value)


def _text(value: Any) -> str:
    if not isinstance(value, str):
        raise DocumentError("text", "text")
    return value


def _asked_line(sent: Any, _: _Options) -> Answer:
    text, units = _of(sent, "text", "units")
    return line(_text(text), _units(units, "units"))


def _asked_wires(sent: Any, _: _Options) -> Answer:
    text, units = _of(sent, "text", "units")
    return wires(_text(text), _units(units, "units"))


def _asked_quick(sent: Any, _: _Options) -> Answer:
    return quick(_mapping(sent))


def _asked_catalogue(__: Any, _: _Options) -> Answer:
    return catalog()


def _asked_convert(sent: Any, _: _Options) -> Answer:
    document, to = _of(sent, "document", "to")
    return convert(_mapping(document), _units(to, "to"), half_typed=True)


def _asked_recalibrated(sent: Any, _: _Options) -> Answer:
    document, bender = _of(sent, "document", "bender")
    return recalibrated(_mapping(document), _mapping(bender))


_ASKED: Final[dict[str, _Asked]] = {
    name.replace("_", "-"): _verb(verb)
    for name, verb in VERBS.items()
    if verb.asked_by_everyone and not verb.beside
} | {
    "bench": _at_bench("bench"),
    "bench/fit": _at_bench("bench_fit"),
    "catalogue": _asked_catalogue,
    "convert": _asked_convert,
    "line": _asked_line,
    "quick": _asked_quick,
    "recalibrated": _asked_recalibrated,
    "wires": _asked_wires,
}

ADDRESSES: Final = tuple(_ASKED)
"""Below ``/api/``, where a server answers."""
