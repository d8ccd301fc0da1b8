"""What runs are cut from, and what there is of it."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.documents.errors import DocumentError
from yarrow.documents.job_stock import StockOfConduit
from yarrow.documents.stock_file import stock_document
from yarrow.documents.stock_in_hand import cut_from, held_against, place_in_stock, read_job_stock
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer, Document, wording_for
from yarrow.wording.wording import Country


def cut(document: Document, country: Country | None = None, seconds: float = 4.0) -> Answer:
    """What is cut from what: pieces on whole sticks and offcuts, as few sticks as are found.

    Args: document, ``yarrow.stock/1``; seconds, that looking for fewer than by first fit may take
    (with the extra ``yarrow[stock]``; 0: none).
    Returns: ``yarrow.cut-list/1``, lengths in the document's units.
    Raises: DocumentError.
    Source: docs/geometry.md, stock.
    """
    return plain(stock_document(document, seconds), wording_for(document, country))


def read_stock(document: object) -> None:
    """Whether a job's stock can be read.

    Args: document, ``yarrow.jobstock/1``.
    Raises: DocumentError.
    """
    read_job_stock(document)


def cut_of_job(
    wanted: StockOfConduit,
    stock: Document,
    country: Country | None = None,
    seconds: float = 0.0,
) -> Answer:
    """The cut list of one conduit of a job, from what is in hand there.

    Args: wanted, what its runs take; stock, ``yarrow.jobstock/1``; seconds, as for cut.
    Returns: ``yarrow.cut-list/1``.
    Raises: DocumentError, with the place in the job's stock.
    """
    of = (wanted.type, wanted.size)
    try:
        return cut(cut_from(wanted.document, stock, *of), country, seconds)
    except DocumentError as refusal:
        raise DocumentError(place_in_stock(refusal.path, stock, *of), refusal.expected) from None


def materials_of_job(wanted: Sequence[StockOfConduit], stock: Document) -> Answer:
    """What a job takes besides sticks, held against what is in hand there.

    Args: wanted, what its runs take; stock, ``yarrow.jobstock/1``.
    Returns: ``by_conduit``, a list for each, in which a thing has ``what``, ``count``, ``in_hand``
    and ``to_get``; ``spare``, what lies there and no run takes.
    """
    return plain(held_against([each.materials for each in wanted], stock))
