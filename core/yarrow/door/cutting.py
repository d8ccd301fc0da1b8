"""What runs are cut from, and what there is of it."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.documents.errors import DocumentError
from yarrow.documents.jobstock.in_hand import cut_from, place_in_stock, things_in_hand
from yarrow.documents.jobstock.taken import StockOfConduit
from yarrow.documents.stock.reading import stock_document
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer, Document, wording_for
from yarrow.stock.materials import allocate_materials
from yarrow.wording.wording import Language


def cut_of_job(
    wanted: StockOfConduit,
    stock: Document,
    language: Language | None = None,
    seconds: float = 0.0,
) -> Answer:
    """The cut list of one conduit of a job, from what is in hand there.

    Args:
        wanted: what its runs take.
        stock: ``yarrow.jobstock/1``.
        seconds: as for cut.

    Returns:
        ``yarrow.cut-list/1``.

    Raises:
        DocumentError, with the place in the job's stock.
    """
    of = (wanted.type, wanted.size)
    try:
        document = cut_from(wanted.document, stock, *of)
        return plain(stock_document(document, seconds), wording_for(document, language))
    except DocumentError as refusal:
        raise DocumentError(place_in_stock(refusal.path, stock, *of), refusal.expected) from None


def materials_of_job(wanted: Sequence[StockOfConduit], stock: Document) -> Answer:
    """What a job takes besides sticks, held against what is in hand there.

    Args:
        wanted: what its runs take.
        stock: ``yarrow.jobstock/1``.

    Returns:
        ``by_conduit``, a list for each, in which a thing has ``what``, ``count``, ``in_hand`` and
        ``to_get``; ``spare``, what lies there and no run takes.
    """
    wants = [stock.materials for stock in wanted]
    return plain(allocate_materials(wants, things_in_hand(stock)))
