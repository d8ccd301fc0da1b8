"""The sheets of a run: its pipe, or each piece of it, its rack and its wire."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal

import yarrow
from exports.drawing import Drawing
from exports.page import PAPERS, Heading
from exports.rack_sheet import compose_rack_sheet
from exports.sheet import compose_sheet
from exports.wires_sheet import compose_wires_sheet
from jobs.models import Run
from papers.headings import heading_of
from yarrow import WrittenPlan

Paper = Literal["a4", "letter"]
What = Literal["run", "rack", "wires"]


def run_sheet(run: Run, paper: Paper, what: What = "run", piece: int = 1) -> Drawing:
    """The sheet of a run, of its rack or of its wire.

    Args:
        piece: which of its pieces, counted from 1, where it is parted.

    Raises:
        DocumentError.
    """
    heading = heading_of(run)
    if what == "wires":
        return compose_wires_sheet(yarrow.plan.values(run.document), heading, PAPERS[paper])
    if what == "rack":
        plan = yarrow.plan.values(run.document)
        return compose_rack_sheet(plan, yarrow.rack.values(run.document), heading, PAPERS[paper])
    return _piece_sheet(run, shown_piece(run, piece), heading, paper)


@dataclass(frozen=True, slots=True)
class ShownPiece:
    """What is printed of a run: its plan, or that of one of its pieces (``number`` from 1, of so
    many; 0: it is not parted), with all that is done to that."""

    plan: WrittenPlan
    number: int = 0
    count: int = 0

    def title(self, name: str) -> str:
        """The run's name, with which piece of it this is.

        Args:
            name: the run's.

        Returns:
            One line.
        """
        return f"Piece {self.number} of {self.count}, {name}" if self.count > 1 else name

    @property
    def file_part(self) -> str:
        """Of the name of a file."""
        return f"-piece-{self.number}" if self.count > 1 else ""


def shown_piece(run: Run, piece: int) -> ShownPiece:
    """One of a run's pieces, the nearest that there is; the run where it is not parted.

    Args:
        piece: counted from 1.

    Raises:
        DocumentError.
    """
    pieces = _shown_pieces(run)
    return pieces[min(max(piece, 1), len(pieces)) - 1]


def run_sheets(run: Run, paper: Paper) -> Iterator[Drawing]:
    """All sheets that a run is bent by: of each of its pieces.

    Raises:
        DocumentError.
    """
    heading = heading_of(run)
    for shown in _shown_pieces(run):
        yield _piece_sheet(run, shown, heading, paper)


def _shown_pieces(run: Run) -> list[ShownPiece]:
    """The run's pieces in turn; itself alone, where it is not parted."""
    pieces = yarrow.pieces.values(run.document).pieces if "joints" in run.document else ()
    if not pieces:
        return [ShownPiece(yarrow.plan.values(run.document))]
    return [
        ShownPiece(
            replace(each.plan, steps=(*each.before, *each.plan.steps, *each.after)),
            number,
            len(pieces),
        )
        for number, each in enumerate(pieces, 1)
    ]


def _piece_sheet(run: Run, shown: ShownPiece, heading: Heading, paper: Paper) -> Drawing:
    plan, heading = shown.plan, replace(heading, run=shown.title(run.name))
    handled = yarrow.handle.values(run.document, shown.number or None)
    order = next((order for order in handled.orders if order.taken), None)
    hooks = {bend.bend: bend.hook for bend in order.bends} if order else {}
    # A printed mark may ask for the hook the other way round: then no picture is better than one.
    if any(hooks.get(mark.bend) != mark.hook for mark in plan.marks):
        order = None
    return compose_sheet(plan, order, heading, PAPERS[paper])
