"""Lines and bends as they are said."""

from __future__ import annotations

from yarrow.documents.run.notation import typed_line
from yarrow.documents.run.quick_bend import quick_bend
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer, Document, Units


def line(text: str, units: Units) -> Answer:
    """A line of a walk as it is said, in the run's own shape.

    Args:
        text: such as ``offset 4 3/8 at 33``.
        units: of its lengths.

    Returns:
        ``line`` (None where it can't be read yet), what is ``expected``, and ``completions``.
    """
    return plain(typed_line(text, units))


def quick(document: Document) -> Answer:
    """A bend by itself, as it is said, as a run to plan: ``stub 18 3/8``.

    Args:
        document: ``yarrow.quick/1``.

    Returns:
        ``run`` (None where it can't be read yet), what is ``expected``, and ``completions``.

    Raises:
        DocumentError.
    """
    return plain(quick_bend(document))
