"""A run: planned, bent in order, in pieces, in a rack, converted."""

from __future__ import annotations

from typing import Literal, NamedTuple

from yarrow.documents.bends_file import fold_document
from yarrow.documents.converting import convert_document
from yarrow.documents.errors import DocumentError
from yarrow.documents.run_file import read_run
from yarrow.documents.writing import bend_table_csv, marks_csv, plain, plan_text
from yarrow.documents.writing import pieces_text as _pieces_text
from yarrow.documents.writing import rack_csv as _rack_csv
from yarrow.documents.writing import work_text as _work_text
from yarrow.door.shared import Answer, Document, Units, wording_for
from yarrow.pieces.order_of_work import order_of_work
from yarrow.pieces.piece_plan import PiecesOfRun, PlanInPieces
from yarrow.pieces.pieces import piece_plans, pieces_of, pieces_of_plan
from yarrow.racks.rack import plan_rack
from yarrow.racks.rack_plan import RackPlan
from yarrow.runs.bending_sequence import Handling, handle_plan
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.planned import Plan
from yarrow.runs.planner import plan_run
from yarrow.runs.recalibrated import recalibrated as marks_moved
from yarrow.runs.written_plan import write_plan
from yarrow.wording.wording import Country


def plan(document: Document, country: Country | None = None) -> Answer:
    """Where and how to bend a run: cut length, marks, steps, findings.

    Args: document, a run (``yarrow.run/1``).
    Returns: ``yarrow.plan/1``, lengths in the run's units.
    Raises: DocumentError.
    Source: docs/geometry.md.
    """
    return plain(plan_values(document), wording_for(document, country))


def plan_values(document: Document) -> WrittenPlan:
    """The same plan as frozen values, for who draws it.

    Args: document, a run (``yarrow.run/1``).
    Raises: DocumentError.
    """
    return write_plan(plan_run(read_run(document)))


class Written(NamedTuple):
    """An answer as lines of ``text``, lengths in the document's units, and whether nothing in it is
    an error."""

    text: str
    can_be_made: bool


def plan_as(document: Document, form: Literal["text", "csv", "bends"]) -> Written:
    """A run's plan to read at the bench, its marks as a table, or its bends as one.

    Args: document, a run; form, ``text``; ``csv``, a row a mark; ``bends``, a row a bend.
    Raises: DocumentError.
    """
    made = plan_values(document)
    if form == "text":
        text = plan_text(made, wording_for(document, None))
    else:
        text = {"csv": marks_csv, "bends": bend_table_csv}[form](made)
    return Written(text, made.can_be_made)


def handle(document: Document, country: Country | None = None, piece: int | None = None) -> Answer:
    """The orders that a run's piece can be bent in, what each costs and what the pipe meets.

    Args: document, a run; piece, of which of its pieces, counted from 1 (None: of the run as one).
    Returns: the order picked, the best ones and the usual one, each with its bends' handling.
    Raises: DocumentError, also where there is no such piece.
    """
    return plain(handling_values(document, piece), wording_for(document, country))


def handling_values(document: Document, piece: int | None = None) -> Handling:
    """The same orders as frozen values, for who draws them.

    Args: document, a run; piece, as for handle.
    Raises: DocumentError.
    """
    return handle_plan(run_or_piece(document, piece))


def run_or_piece(document: Document, piece: int | None) -> Plan:
    """The plan of a run as one, or of one of its pieces.

    Args: document, a run; piece, counted from 1 (None: the run as one).
    Raises: DocumentError, also where there is no such piece.
    """
    survey = read_run(document)
    if piece is None:
        return plan_run(survey)
    plans, _ = piece_plans(survey)
    if not 1 <= piece <= len(plans):
        raise DocumentError("piece", f"a piece of this run, 1 to {len(plans)}")
    return plans[piece - 1]


def pieces(document: Document, country: Country | None = None) -> Answer:
    """A run parted into sticks: every piece's own marks and steps, the joints between them, and
    what other ways to part it cost.

    Args: document, a run; its ``joints`` say how, or leave it to Yarrow.
    Returns: ``yarrow.pieces/1``, lengths in the run's units.
    Raises: DocumentError.
    Source: docs/geometry.md, pieces.
    """
    return plain(pieces_values(document), wording_for(document, country))


def pieces_values(document: Document) -> PiecesOfRun:
    """The same pieces as frozen values, for who draws them.

    Args: document, a run.
    Raises: DocumentError.
    """
    return pieces_of(read_run(document))


def plan_in_pieces(document: Document, country: Country | None = None) -> Answer:
    """A run's plan as one and its pieces, planned once for both.

    Args: document, a run.
    Returns: ``plan``, as of plan, and ``pieces``, as of pieces.
    Raises: DocumentError.
    """
    planned = plan_run(read_run(document))
    both = PlanInPieces(write_plan(planned), pieces_of_plan(planned))
    return plain(both, wording_for(document, country))


def pieces_as_text(document: Document) -> Written:
    """A run's pieces to read at the bench: joints, and every piece's cut, marks and steps.

    Args: document, a run.
    Raises: DocumentError.
    """
    made = pieces_values(document)
    return Written(_pieces_text(made, wording_for(document, None)), made.can_be_made)


def work(document: Document, country: Country | None = None) -> Answer:
    """The order of work of a run: everything that is done for it, ticked off by its ``done``, and
    what an inspector asks.

    Args: document, a run.
    Returns: ``yarrow.work/1``.
    Raises: DocumentError.
    """
    return plain(order_of_work(read_run(document)), wording_for(document, country))


def work_as_text(document: Document) -> Written:
    """The order of work as a list to tick with a pencil.

    Args: document, a run.
    Raises: DocumentError.
    """
    found = order_of_work(read_run(document))
    return Written(_work_text(found, wording_for(document, None)), found.can_be_made)


def rack(document: Document, country: Country | None = None) -> Answer:
    """The marks of every pipe of a run's rack, and the gaps between them.

    Args: document, a run with ``rack``.
    Returns: pipes and gaps, lengths in the run's units.
    Raises: DocumentError.
    """
    return plain(rack_values(document), wording_for(document, country))


def rack_values(document: Document) -> RackPlan:
    """The same rack as frozen values, for who draws it.

    Args: document, a run with ``rack``.
    Raises: DocumentError.
    """
    return plan_rack(read_run(document))


def rack_as_csv(document: Document) -> Written:
    """A rack's marks as a table, a row a mark of every pipe.

    Args: document, a run with ``rack``.
    Raises: DocumentError.
    """
    made = rack_values(document)
    return Written(_rack_csv(made), made.can_be_made)


def fold(document: Document) -> Answer:
    """The shape that straight pipe comes to with bends at given places.

    Args: document, ``yarrow.bends/1``.
    Returns: its points, arcs and length, in the document's units.
    Raises: DocumentError.
    """
    return plain(fold_document(document))


def recalibrated(document: Document, bender: Answer) -> Answer:
    """What a run's bender that is known better by now changes in it.

    Args: document, a run; bender, the same one as a run carries it now.
    Returns: ``yarrow.recalibrated/1``: the marks that move and the cut, as the tape reads.
    Raises: DocumentError.
    """
    was, now = plan_values(document), plan_values({**document, "bender": bender})
    return plain(marks_moved(was, now))


def convert(document: Document, to: Units, *, half_typed: bool = False) -> Answer:
    """The same document in another unit: what it says is the same pipe, box or bender.

    Args: document, of any format that has units; half_typed, whether what can't be read yet stays.
    Returns: a new document.
    Raises: DocumentError.
    """
    return convert_document(document, to, half_typed=half_typed)
