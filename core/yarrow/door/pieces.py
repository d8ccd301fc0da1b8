"""A run's pieces: each planned, the order that one is bent in, and all the work; answers as frozen
values."""

from __future__ import annotations

from yarrow.documents.errors import DocumentError
from yarrow.documents.run.reading import read_run
from yarrow.pieces import order_of_work as working
from yarrow.pieces.piece_plan import PiecesOfRun, PlanInPieces
from yarrow.pieces.pieces import piece_plans, pieces_of, pieces_of_plan
from yarrow.pieces.work_plan import OrderOfWork
from yarrow.runs.bending_sequence import Handling, handle_plan
from yarrow.runs.planner import plan_run
from yarrow.runs.stages import Plan
from yarrow.runs.written_plan import write_plan


def handle(document: object, piece: int | None = None) -> Handling:
    """The orders that a run's piece can be bent in, what each costs and what the pipe meets.

    Args:
        document: ``yarrow.run/1``.
        piece: of which of its pieces, counted from 1; None: of the run as one.

    Returns:
        The order picked, the best ones and the usual one, each with its bends' handling.

    Raises:
        DocumentError, also where there is no such piece.

    Source:
        docs/at-the-bender.md, the half-bent pipe.
    """
    return handle_plan(run_or_piece(document, piece))


def run_or_piece(document: object, piece: int | None) -> Plan:
    """The plan of a run as one, or of one of its pieces.

    Args:
        document: ``yarrow.run/1``.
        piece: counted from 1; None: the run as one.

    Returns:
        The plan, that of a run that can be made or not.

    Raises:
        DocumentError, also where there is no such piece.
    """
    survey = read_run(document)
    if piece is None:
        return plan_run(survey)
    plans, _ = piece_plans(survey)
    if not 1 <= piece <= len(plans):
        raise DocumentError("piece", f"a piece of this run, 1 to {len(plans)}")
    return plans[piece - 1]


def pieces(document: object) -> PiecesOfRun:
    """A run parted into sticks.

    Args:
        document: ``yarrow.run/1``; its ``joints`` say how, or leave it to Yarrow.

    Returns:
        ``yarrow.pieces/1``: every piece's own marks and steps, the joints between them, and what
        other ways to part it cost; lengths in the run's units.

    Raises:
        DocumentError.

    Source:
        docs/pieces-and-walls.md, pieces.
    """
    return pieces_of(read_run(document))


def plan_in_pieces(document: object) -> PlanInPieces:
    """A run's plan as one and its pieces, planned once for both.

    Args:
        document: ``yarrow.run/1``.

    Returns:
        ``plan``, as of plan, and ``pieces``, as of pieces.

    Raises:
        DocumentError.
    """
    planned = plan_run(read_run(document))
    return PlanInPieces(write_plan(planned), pieces_of_plan(planned))


def work(document: object) -> OrderOfWork:
    """The order of work of a run: everything that is done for it, and what an inspector asks.

    Args:
        document: ``yarrow.run/1``; its ``done`` ticks off what is.

    Returns:
        ``yarrow.work/1``.

    Raises:
        DocumentError.
    """
    return working.order_of_work(read_run(document))
