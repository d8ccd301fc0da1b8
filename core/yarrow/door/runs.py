"""A run: planned, planned anew by a bender that is known better, converted."""

from __future__ import annotations

from yarrow.documents.converting import convert_document
from yarrow.documents.run.reading import read_run
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer, Document, Units
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.planner import plan_run
from yarrow.runs.recalibrated import recalibrated as marks_moved
from yarrow.runs.written_plan import write_plan


def plan(document: object) -> WrittenPlan:
    """Where and how to bend a run.

    Args:
        document: ``yarrow.run/1``.

    Returns:
        ``yarrow.plan/1``, lengths in the run's units, angles in degrees.

    Raises:
        DocumentError.

    Source:
        docs/geometry.md.
    """
    return write_plan(plan_run(read_run(document)))


def recalibrated(document: Document, bender: Answer) -> Answer:
    """What a run's bender that is known better by now changes in it.

    Args:
        document: ``yarrow.run/1``.
        bender: the same one as a run carries it now.

    Returns:
        ``yarrow.recalibrated/1``: the marks that move and the cut, as the tape reads.

    Raises:
        DocumentError.
    """
    return plain(marks_moved(plan(document), plan({**document, "bender": bender})))


def convert(document: Document, to: Units, *, half_typed: bool = False) -> Answer:
    """The same document in another unit: what it says is the same pipe, box or bender.

    Args:
        document: of any format that has units.
        to: ``in`` or ``mm``.
        half_typed: whether what can't be read yet stays as it was typed.

    Returns:
        A new document.

    Raises:
        DocumentError.
    """
    return convert_document(document, to, half_typed=half_typed)
