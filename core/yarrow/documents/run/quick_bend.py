"""A bend by itself, as it is said, as a run of one line: what was not said is as it usually is."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from yarrow.catalog.tables import conduits
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.notation import Completion, read_typed_line
from yarrow.documents.run.reading import read_conduit
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.features.in_document import Alone
from yarrow.measure.tape import LengthSyntaxError, read_length
from yarrow.measure.units import Unit, convert
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class QuickBend:
    """A bend as a run's document (None: it can't be read yet, and ``expected`` says what is still
    to come), and how what was said could go on."""

    run: dict[str, Any] | None
    expected: str
    completions: tuple[Completion, ...]


def quick_bend(document: object) -> QuickBend:
    """The run that a bend by itself is.

    Args:
        document: ``yarrow.quick/1``.

    Raises:
        DocumentError.

    Source:
        docs/command-line.md, quick bends.
    """
    unit = read_unit(document)
    shape = reader("run", "quick_file")(document, "", unit)
    fields: Mapping[str, Any] = document if isinstance(document, Mapping) else {}
    typed, form = read_typed_line(shape["said"], unit, alone=True)
    if typed.line is None or form is None or form.alone is None:
        return QuickBend(None, typed.expected, typed.completions)
    conduit = read_conduit(shape["conduit"])
    stick = float(convert(conduits()[conduit.type, conduit.size].stick, conduit.unit, unit))
    run = {
        "format": "yarrow.run/1",
        "name": shape["said"].strip(),
        "units": unit,
        **{
            key: fields[key] for key in ("round_to", "conduit", "bender", "method") if key in fields
        },
        # All of it is said at once, and all its marks are read at once.
        "marking": "flat",
        "walk": _piece(typed.line, form.alone, unit, stick),
    }
    return QuickBend(run, "", typed.completions)


def _piece(line: dict[str, Any], alone: Alone, unit: Unit, stick: float) -> list[dict[str, Any]]:
    """The line between what comes before it and where the pipe ends."""
    before = []
    if alone.before:
        turn = {"kind": "turn", "at": alone.before[unit], "toward": line["toward"]}
        before.append(turn)
    if alone.place and not line.get("at"):
        line = {**line, "at": alone.place[unit]}
    reached = _length(line["at"], unit) if "at" in line else 0.0
    return [*before, line, {"kind": "end", "at": alone.ends_at(reached, stick, unit)}]


def _length(value: Any, unit: Unit) -> float:
    """Raises: DocumentError, which a line that was read does not lead to."""
    try:
        reading = read_length(value, unit)
    except LengthSyntaxError as error:
        raise DocumentError("said", error.expected) from None
    return float(convert(reading.value, reading.unit, unit))
