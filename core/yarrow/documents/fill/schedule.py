"""Schedules: a table of runs with their wire, in as CSV, checked row by row, and out again.

A row is a run: ``name``, ``type`` and ``size`` of its conduit, ``length``, ``bends``, ``wires`` as
they are said, and maybe ``spare`` and ``nipple``. Nothing of a table is taken unless all of it can
be read.
"""

from __future__ import annotations

import csv
import io
import re
from collections.abc import Iterator, Sequence
from dataclasses import asdict
from typing import Any

from yarrow.catalog.rulebooks import wording_of
from yarrow.documents.errors import DocumentError, TableError
from yarrow.documents.fill.reading import fill_document
from yarrow.documents.run.reading import read_run
from yarrow.documents.run.wire_notation import read_wire_text, wire_text
from yarrow.fill.result import FillResult
from yarrow.measure.units import Unit
from yarrow.runs.planner import summarise
from yarrow.values import dataclass

NEEDED = ("name", "type", "size", "wires")
COLUMNS = ("name", "type", "size", "length", "bends", "wires", "spare", "nipple")
ANSWER_COLUMNS = ("passes", "percent", "used", "limit", "smallest", "says")
"""Columns that a checked table has more; they are passed over where it comes in again."""

MOST_ROWS = 5000
MOST_TOLD = 20
"""Errors of one table."""
LONGEST_CELL = 400


@dataclass(frozen=True, slots=True)
class ScheduleRow:
    """A row that could be read: its line in the table and the table's columns, its cells, and the
    check that it asks for."""

    line: int
    columns: tuple[str, ...]
    cells: dict[str, str]
    document: dict[str, Any]


@dataclass(frozen=True, slots=True)
class CheckedRow:
    """A row with its answer. ``says`` is the gravest finding that is more than a note."""

    line: int
    name: str
    conduit: str
    wires: str
    passes: bool
    percent: float
    used: float
    limit: float
    amount: str
    smallest: str | None
    says: str


def read_schedule(data: bytes, unit: Unit) -> list[ScheduleRow]:
    """Every row of a table, parted by commas, semicolons or tabs.

    Args:
        data: CSV in UTF-8.
        unit: of lengths that name none.

    Raises:
        TableError, with line and column of everything that can't be read.
    """
    text = _decoded(data)
    filled = _filled_lines(text)
    if not filled:
        raise TableError([DocumentError("line 1", f"the columns {', '.join(NEEDED)}")])
    head, named = filled[0]
    columns = [cell.strip().lower() for cell in named]
    _check_columns(columns, head)
    if len(filled) - 1 > MOST_ROWS:
        raise TableError([DocumentError("table", f"at most {MOST_ROWS} rows")])
    schedule_rows, refusals = [], []
    for at, cells in filled[1:]:
        try:
            schedule_rows.append(_read_row(at, columns, cells, unit))
        except DocumentError as refusal:
            refusals.append(refusal)
    if not schedule_rows and not refusals:
        refusals = [DocumentError(f"line {head + 1}", "at least one row below the columns")]
    if refusals:
        raise TableError(refusals[:MOST_TOLD])
    return schedule_rows


def check_schedule(rows: Sequence[ScheduleRow]) -> Iterator[CheckedRow]:
    """Each row's answer, one after the other.

    Raises:
        TableError, after the last row, with the cells of all that have none.
    """
    refusals: list[DocumentError] = []
    for row in rows:
        try:
            yield _checked(row, fill_document(row.document))
        except DocumentError as refusal:
            refusals.append(placed_in_row(refusal, row))
    if refusals:
        raise TableError(refusals[:MOST_TOLD])


def schedule_csv(rows: Sequence[ScheduleRow], checked: Sequence[CheckedRow]) -> str:
    """The table with its answers, for a spreadsheet: no cell begins as a formula does.

    Returns:
        CSV with a head, a row a run.
    """
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow([*COLUMNS, *ANSWER_COLUMNS])
    for row, answer in zip(rows, checked, strict=True):
        cells = [harmless(row.cells.get(column, "")) for column in COLUMNS]
        figures = [
            "yes" if answer.passes else "no",
            f"{answer.percent:.1f}",
            f"{answer.used:.4f}".rstrip("0").rstrip("."),
            f"{answer.limit:.4f}".rstrip("0").rstrip("."),
            answer.smallest or "",
            harmless(answer.says),
        ]
        writer.writerow([*cells, *figures])
    return out.getvalue()


@dataclass(frozen=True, slots=True)
class RunRow:
    """A run as a row of a schedule."""

    name: str
    type: str
    size: str
    length: str
    bends: int
    wires: str
    spare: float
    nipple: bool


def run_row(document: dict[str, Any]) -> RunRow:
    """A run's document as a row, its wire as it is said.

    Args:
        document: ``yarrow.run/1``.

    Raises:
        DocumentError.
    """
    survey = read_run(document)
    run, piece, wires = survey.setup, summarise(survey), survey.setup.wires
    return RunRow(
        name=run.name,
        type=run.conduit.type,
        size=run.conduit.size,
        length=str(piece.cut_length_text),
        bends=piece.right_angles,
        wires=wire_text(wires.conductors) if wires else "",
        spare=wires.spare if wires else 0.0,
        nipple=wires.nipple if wires else False,
    )


def runs_csv(rows: Sequence[RunRow]) -> str:
    """Runs as a schedule that comes in again as it is.

    Returns:
        CSV with a head, a row a run.
    """
    return runs_csv_head() + "".join(map(run_csv_row, rows))


def runs_csv_head() -> str:
    """The first line of a schedule of runs.

    Returns:
        With its line's end.
    """
    return _csv_line(COLUMNS)


def run_csv_row(row: RunRow) -> str:
    """One run as a line of a schedule.

    Returns:
        With its line's end.
    """
    cells = {
        **asdict(row),
        "spare": f"{row.spare:g}" if row.spare else "",
        "nipple": "yes" if row.nipple else "",
    }
    return _csv_line([harmless(str(cells[column])) for column in COLUMNS])


def _csv_line(cells: Sequence[str]) -> str:
    out = io.StringIO()
    csv.writer(out, lineterminator="\r\n").writerow(cells)
    return out.getvalue()


def wires_of_row(row: ScheduleRow) -> dict[str, Any]:
    """What a row says of a run's wire, as the run's document has it.

    Returns:
        The ``wires`` of a ``yarrow.run/1``.
    """
    document = row.document
    return {
        "conductors": document["conductors"],
        **({"spare": document["spare"]} if document.get("spare") else {}),
        **({"nipple": True} if document.get("nipple") else {}),
    }


def _decoded(data: bytes) -> str:
    if data.startswith((b"\xff\xfe", b"\xfe\xff")):
        raise TableError([DocumentError("line 1, column 1", "a table in UTF-8, not in UTF-16")])
    try:
        text = data.decode("utf-8-sig")
    except UnicodeDecodeError as error:
        before = data[: error.start]
        line = before.count(b"\n") + 1
        letter = error.start - before.rfind(b"\n")
        place = f"line {line}, letter {letter}"
        raise TableError(
            [DocumentError(place, "a table in UTF-8: save it so and try again")]
        ) from None
    if "\x00" in text:
        line = text[: text.index("\x00")].count("\n") + 1
        raise TableError([DocumentError(f"line {line}", "a table as text, without control codes")])
    return text.replace("\r\n", "\n").replace("\r", "\n")


def _filled_lines(text: str) -> list[tuple[int, list[str]]]:
    """Every record that is not empty, with the line of the file that it begins on."""
    reader = csv.reader(io.StringIO(text), delimiter=_delimiter(text))
    result = []
    begins = 1
    try:
        for cells in reader:
            if any(map(str.strip, cells)):
                result.append((begins, cells))
            begins = reader.line_num + 1
    except csv.Error:
        expected = f"cells of at most {LONGEST_CELL} letters, every quote closed"
        raise TableError([DocumentError(f"line {begins}", expected)]) from None
    return result


def _delimiter(text: str) -> str:
    head = next((line for line in text.split("\n") if line.strip()), "")
    return max(",;\t", key=head.count)


def _check_columns(columns: Sequence[str], line: int) -> None:
    refusals = [
        DocumentError(f"line {line}", f'a column "{needed}"; there is none')
        for needed in NEEDED
        if needed not in columns
    ]
    for at, column in enumerate(columns):
        place = f"line {line}, column {at + 1}"
        if column not in (*COLUMNS, *ANSWER_COLUMNS):
            shown = f', not "{column}"' if column.isprintable() and len(column) <= 30 else ""
            refusals.append(DocumentError(place, f"one of {', '.join(COLUMNS)}{shown}"))
        elif column in columns[:at]:
            refusals.append(DocumentError(place, f'the column "{column}" once'))
    if refusals:
        raise TableError(refusals[:MOST_TOLD])


def _read_row(line: int, columns: Sequence[str], cells: Sequence[str], unit: Unit) -> ScheduleRow:
    if len(cells) > len(columns):
        raise DocumentError(f"line {line}, column {len(columns) + 1}", "no more cells than columns")
    # A row may end before its last columns.
    filled = zip(columns[: len(cells)], cells, strict=True)
    given = {column: cell.strip() for column, cell in filled}
    row = {column: as_it_was(cell) for column, cell in given.items()}
    for column, cell in given.items():
        place = _cell_place(line, columns, column)
        if column in COLUMNS and is_formula(cell):
            raise DocumentError(
                place, "a value, not a formula (with an apostrophe before it, it is one)"
            )
        if len(cell) > LONGEST_CELL:
            raise DocumentError(place, f"at most {LONGEST_CELL} letters")
    document: dict[str, Any] = {
        "format": "yarrow.fill/1",
        "units": unit,
        "conduit": {"type": row.get("type", "").lower()},
        "conductors": _read_wires_cell(row, unit, _cell_place(line, columns, "wires")),
    }
    if row.get("size"):
        document["conduit"]["size"] = row["size"]
    if row.get("length"):
        document["length"] = row["length"]
    for column in ("bends", "spare"):
        if row.get(column):
            document[column] = _cell_number(row[column], _cell_place(line, columns, column))
    if row.get("nipple"):
        document["nipple"] = _yes(row["nipple"], _cell_place(line, columns, "nipple"))
    every = {column: row.get(column, "") for column in COLUMNS}
    return ScheduleRow(line, tuple(columns), every, document)


def _cell_place(line: int, columns: Sequence[str], column: str) -> str:
    return f"line {line}, column {list(columns).index(column) + 1} ({column})"


def placed_in_row(refusal: DocumentError, row: ScheduleRow) -> DocumentError:
    """A refusal of a row's document at the cell that it came from."""
    first = refusal.path.split("[")[0]
    column = {"conduit.type": "type", "conduit.size": "size", "conductors": "wires"}.get(
        first, first if first in COLUMNS else "wires"
    )
    if column not in row.columns:
        return DocumentError(f"line {row.line}", f'a column "{column}": {refusal.expected}')
    return DocumentError(_cell_place(row.line, row.columns, column), refusal.expected)


def _read_wires_cell(cells: dict[str, str], unit: Unit, place: str) -> list[dict[str, Any]]:
    result = read_wire_text(cells.get("wires", ""), unit, place)
    if not result:
        raise DocumentError(place, "at least one conductor")
    return result


def _cell_number(cell: str, place: str) -> int | float:
    try:
        number = float(cell)
    except ValueError:
        raise DocumentError(place, "a number") from None
    return int(number) if number.is_integer() else number


def _yes(cell: str, place: str) -> bool:
    if cell.lower() not in ("yes", "no"):
        raise DocumentError(place, "yes or no")
    return cell.lower() == "yes"


_FORMULA_BEGINS = ("=", "+", "-", "@", "\t", "\r", "＝", "＋", "－", "＠")
_PLAIN_NUMBER = re.compile(r"[+-]?\d+(\.\d+)?")


def is_formula(cell: str) -> bool:
    """Whether a spreadsheet would take a cell for something to work out; a number is none.

    Args:
        cell: its text.
    """
    bare = cell.lstrip(" ")
    return bare.startswith(_FORMULA_BEGINS) and not _PLAIN_NUMBER.fullmatch(bare.strip())


def harmless(cell: str) -> str:
    """A cell for a spreadsheet: what it would work out has an apostrophe before it, and so has what
    would lose one when it comes in again.

    Args:
        cell: its text.

    Returns:
        The cell as it is written.
    """
    return f"'{cell}" if is_formula(cell) or _is_escaped(cell) else cell


def as_it_was(cell: str) -> str:
    """The way back from harmless().

    Args:
        cell: as harmless() left it.

    Returns:
        The cell's text.
    """
    return cell[1:] if _is_escaped(cell) else cell


def _is_escaped(cell: str) -> bool:
    bare = cell.lstrip("'")
    return len(bare) < len(cell) and is_formula(bare)


def _checked(row: ScheduleRow, result: FillResult) -> CheckedRow:
    wording = wording_of(None, row.document.get("units"))
    grave = [finding.sentence(wording) for finding in result.findings if finding.level != "note"]
    return CheckedRow(
        line=row.line,
        name=row.cells["name"],
        conduit=result.conduit.name,
        wires=row.cells["wires"],
        passes=result.passes,
        percent=result.share * 100,
        used=result.used,
        limit=result.limit,
        amount=result.amount,
        smallest=result.smallest,
        says=grave[0] if grave else "",
    )
