"""Reading ``yarrow.stock/1`` and answering with what is cut from what."""

from __future__ import annotations

from typing import Any

from yarrow.documents.errors import DocumentError
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.stock.cut_list import CutList, NamedBar, Stock, cut_list

MOST_PIECES = 10_000
"""Pieces of a list, counts multiplied out: more than any job has, few enough to be answered."""


def stock_document(document: object, seconds: float = 4.0) -> CutList:
    """The cut list of a stock document.

    Args:
        document: ``yarrow.stock/1``.
        seconds: the time in seconds that looking for fewer sticks may take.

    Raises:
        DocumentError; also where a stick is all lost at its end.

    Source:
        docs/other-files.md.
    """
    unit = read_unit(document)
    shape = reader("stock")(document, "", unit)
    stick, end = shape["stick"].value, shape["end"].value
    if end >= stick:
        raise DocumentError("end", "less than a stick")
    pieces = _named(shape["pieces"], "pieces")
    offcuts = _named(shape["offcuts"], "offcuts")
    for name, bars in (("pieces", pieces), ("offcuts", offcuts)):
        if len(bars) > MOST_PIECES:
            raise DocumentError(name, f"at most {MOST_PIECES}, with their counts")
    together = _together(shape["together"], pieces)
    stock = Stock(
        name=shape["name"],
        unit=unit,
        stick=stick,
        sticks=shape.get("sticks"),
        kerf=shape["kerf"].value,
        end=end,
        keep=shape["keep"].value,
        pieces=pieces,
        offcuts=offcuts,
        together=together,
    )
    return cut_list(stock, seconds)


def _together(wanted: list[list[str]], pieces: tuple[NamedBar, ...]) -> tuple[tuple[int, ...], ...]:
    """The pieces that are named, by their places; a piece is put together once, and a name that no
    piece has any more is let go."""
    free: dict[str, list[int]] = {}
    for number, piece in enumerate(pieces):
        free.setdefault(piece.name, []).append(number)
    result = []
    for names in wanted:
        group = tuple(free[name].pop(0) for name in names if free.get(name))
        if len(group) > 1:
            result.append(group)
    return tuple(result)


def _named(shapes: list[dict[str, Any]], field: str) -> tuple[NamedBar, ...]:
    return tuple(
        NamedBar(shape["name"], shape["length"].value, f"{field}[{number}]")
        for number, shape in enumerate(shapes)
        for _ in range(shape["count"])
    )
