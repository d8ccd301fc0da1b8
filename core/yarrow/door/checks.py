"""What goes into conduit and boxes."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.documents.box_files import box_document, entries_document, pull_box_document
from yarrow.documents.fill_file import fill_document
from yarrow.documents.schedule import check_schedule, read_schedule, schedule_csv
from yarrow.documents.site_box_file import site_box_document
from yarrow.documents.wire_notation import read_wire_text
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer, Document, Units, wording_for
from yarrow.wording.wording import Country


def fill(document: Document, country: Country | None = None) -> Answer:
    """Whether conductors fit a conduit or trunking.

    Args: document, ``yarrow.fill/1``.
    Returns: used and allowed area or factors, the smallest size that fits, findings.
    Raises: DocumentError.
    Source: docs/fill.md.
    """
    return plain(fill_document(document), wording_for(document, country))


def box(document: Document, country: Country | None = None) -> Answer:
    """Whether a box is large enough for what is in it.

    Args: document, ``yarrow.box/1``.
    Returns: the sum, line by line, in cubic inches or cubic centimetres; findings.
    Raises: DocumentError.
    Source: docs/fill.md.
    """
    return plain(box_document(document), wording_for(document, country))


def pullbox(document: Document, country: Country | None = None) -> Answer:
    """The least sides of a box for large conductors.

    Args: document, ``yarrow.pullbox/1``.
    Returns: each side with the rule that decides it, in the document's units; findings.
    Raises: DocumentError.
    Source: docs/fill.md.
    """
    return plain(pull_box_document(document), wording_for(document, country))


def entries(document: Document, country: Country | None = None) -> Answer:
    """Whether the holes in a box's walls go together.

    Args: document, ``yarrow.entries/1``.
    Returns: each entry with its ring and its distances, in the document's units; findings.
    Raises: DocumentError.
    """
    return plain(entries_document(document), wording_for(document, country))


def sitebox(
    document: Document, runs: Sequence[Document] = (), country: Country | None = None
) -> Answer:
    """A box of a job with all the runs that meet there: its volume, its sides, its holes.

    Args: document, ``yarrow.sitebox/1``; runs, those that name it at an end.
    Returns: the checks of the box, together.
    Raises: DocumentError.
    """
    answer = site_box_document(document, runs)
    return plain(answer, wording_for(document, country))


def schedule(table: bytes, units: Units) -> Answer:
    """A table of runs with their wire, each row checked.

    Args: table, CSV in UTF-8; units, of lengths that name none.
    Returns: ``rows``, an answer each, and ``csv``, the table with its answers.
    Raises: TableError, with the place of everything that can't be read.
    """
    rows = read_schedule(table, units)
    answers = list(check_schedule(rows))
    return {"rows": [plain(answer) for answer in answers], "csv": schedule_csv(rows, answers)}


def wires(text: str, units: Units) -> Answer:
    """Conductors as they are said, in a document's shape.

    Args: text, such as ``3 x 12 thhn; 1 x 12 bare``; units, ``in`` for AWG, ``mm`` for mm².
    Returns: ``conductors``.
    Raises: DocumentError.
    """
    return {"conductors": read_wire_text(text, units, "text")}
