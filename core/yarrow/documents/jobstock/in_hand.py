"""A job's own stock: offcuts, fittings and the like that lie there, what is to be got beside them,
and how it changes when a cut list is cut."""

from __future__ import annotations

from collections import Counter
from collections.abc import Mapping, Sequence
from typing import Any

from yarrow.catalog.tables import conduits
from yarrow.documents.errors import DocumentError
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit

Document = Mapping[str, Any]
Answer = Mapping[str, Any]

_SAW = ("kerf", "end", "keep")


def read_job_stock(document: object) -> dict[str, Any]:
    """What a job's stock says, every field checked.

    Args:
        document: ``yarrow.jobstock/1``.

    Returns:
        By field, lengths as readings.

    Raises:
        DocumentError; also for an offcut of a conduit that is not in the catalogue.
    """
    unit = read_unit(document)
    shape: dict[str, Any] = reader("jobstock")(document, "", unit)
    for field in ("offcuts", "together"):
        for number, entry in enumerate(shape[field]):
            if (entry["type"], entry["size"]) not in conduits():
                raise DocumentError(f"{field}[{number}].size", "a conduit of the catalogue")
    return shape


def things_in_hand(stock: Document) -> Counter[str]:
    """What lies there besides offcuts: how many of what, by name.

    Args:
        stock: ``yarrow.jobstock/1``.

    Returns:
        Counts above 0.
    """
    result: Counter[str] = Counter()
    for thing in stock.get("things", ()):
        result[thing["what"]] += thing["count"]
    return result


def cut_from(wanted: Document, stock: Document, type: str, size: str) -> dict[str, Any]:
    """The stock document of one conduit of a job: what is wanted of it, with what is in hand.

    Args:
        wanted: ``yarrow.stock/1`` as the runs make it.
        stock: ``yarrow.jobstock/1``.
        type: of the conduit.
        size: of the conduit.

    Returns:
        ``yarrow.stock/1``.
    """
    saw = {field: stock[field] for field in _SAW if field in stock}
    hand = [
        {field: value for field, value in offcut.items() if field not in ("type", "size")}
        for offcut in stock.get("offcuts", ())
        if (offcut["type"], offcut["size"]) == (type, size)
    ]
    together = [
        cut["names"]
        for cut in stock.get("together", ())
        if (cut["type"], cut["size"]) == (type, size)
    ]
    return {**wanted, **saw, "offcuts": hand, "together": together}


def place_in_stock(path: str, stock: Document, type: str, size: str) -> str:
    """Where in a job's stock a field of one conduit's stock document is.

    Args:
        path: of that document.
        stock: ``yarrow.jobstock/1``.
        type: of the conduit.
        size: of the conduit.

    Returns:
        A path in that document; itself where it is of neither offcuts nor what goes together.
    """
    field, bracket, rest = path.partition("[")
    if not bracket or field not in ("offcuts", "together"):
        return path
    number, _, rest = rest.partition("]")
    own = [
        at
        for at, entry in enumerate(stock.get(field, ()))
        if (entry["type"], entry["size"]) == (type, size)
    ]
    return f"{field}[{own[int(number)]}]{rest}"


def after_cutting(stock: Document, cut: Sequence[tuple[str, str, Answer]]) -> dict[str, Any]:
    """A job's stock once its cut lists were cut: offcuts that were cut from are gone, what is left
    and worth keeping lies there by the name of the last piece that was cut off it, and what
    somebody put together is done.

    Args:
        stock: ``yarrow.jobstock/1``.
        cut: the cut lists (``yarrow.cut-list/1``), each with its conduit's type and size.

    Returns:
        ``yarrow.jobstock/1``.
    """
    offcuts = [dict(offcut) for offcut in stock.get("offcuts", ())]
    done = {(type, size) for type, size, _ in cut}
    fresh: list[dict[str, Any]] = []
    for type, size, answer in cut:
        own = [offcut for offcut in offcuts if (offcut["type"], offcut["size"]) == (type, size)]
        lying = [offcut for offcut in own for _ in range(offcut.get("count", 1))]
        for bar in answer["bars"]:
            if bar["offcut"] is not None:
                used = lying[bar["offcut"]]
                used["count"] = used.get("count", 1) - 1
            if bar["kept"]:
                last = bar["cuts"][-1]["name"] if bar["cuts"] else ""
                name = f"left of {last}"[:120] if last else ""
                left = bar["left_text"]
                fresh.append({"type": type, "size": size, "name": name, "length": left})
    kept = [offcut for offcut in offcuts if offcut.get("count", 1) > 0]
    for offcut in kept:
        if offcut.get("count") == 1:
            del offcut["count"]
    others = [
        bundle
        for bundle in stock.get("together", ())
        if (bundle["type"], bundle["size"]) not in done
    ]
    return {**stock, "offcuts": [*kept, *fresh], "together": others}
