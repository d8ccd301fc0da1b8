"""What goes into conduit, as tables and typed text tell it."""

from __future__ import annotations

from yarrow.documents.fill.schedule import check_schedule, read_schedule, schedule_csv
from yarrow.documents.run.wire_notation import read_wire_text
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer, Units


def schedule(table: bytes, units: Units) -> Answer:
    """A table of runs with their wire, each row checked.

    Args:
        table: CSV in UTF-8.
        units: of lengths that name none.

    Returns:
        ``rows``, an answer each, and ``csv``, the table with its answers.

    Raises:
        TableError, with the place of everything that can't be read.
    """
    rows = read_schedule(table, units)
    answers = list(check_schedule(rows))
    return {"rows": [plain(answer) for answer in answers], "csv": schedule_csv(rows, answers)}


def wires(text: str, units: Units) -> Answer:
    """Conductors as they are said, in a document's shape.

    Args:
        text: such as ``3 x 12 thhn; 1 x 12 bare``.
        units: ``in`` for AWG, ``mm`` for mm².

    Returns:
        ``conductors``.

    Raises:
        DocumentError.
    """
    return {"conductors": read_wire_text(text, units, "text")}
