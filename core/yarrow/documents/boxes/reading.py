"""Reading ``yarrow.box/1``, ``yarrow.pullbox/1`` and ``yarrow.entries/1``, and their answers."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction
from typing import Any

from yarrow.catalog.tables import TradeSize
from yarrow.catalog.wiring import WireSize, box_allowances, copper_kcmil, lock_rings, standard_boxes
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.wires import trade_size
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.fill.boxes import BoxResult, BoxWires, Devices, OutletBox, Sized, check_box
from yarrow.fill.entries import EntriesResult, Entry, OpenBox, check_entries
from yarrow.fill.pull_boxes import MarkedBody, PullBox, PullBoxResult, RacewayInWall, check_pull_box


def box_document(document: object) -> BoxResult:
    """The worked sum of a box.

    Args:
        document: ``yarrow.box/1``.

    Raises:
        DocumentError.

    Source:
        docs/other-files.md.
    """
    return check_box(read_box(document))


def read_box(document: object) -> OutletBox:
    """A box and what is in it.

    Args:
        document: ``yarrow.box/1``.

    Raises:
        DocumentError.
    """
    if not isinstance(document, dict):
        raise DocumentError("", "a JSON object")
    shape = reader("box")(document, "", "in")
    box_id, volume, body = _which(shape)
    if shape["gangs"] > 1 and volume is not None:
        raise DocumentError("gangs", "1: a stamped volume is that of the whole box")
    if shape["gangs"] > 1 and not standard_boxes()[box_id].per_gang:
        per_gang = [b.id for b in standard_boxes().values() if b.per_gang]
        raise DocumentError("gangs", f"1; several go with {', '.join(per_gang)}")
    grounds = shape.get("grounds")
    return OutletBox(
        id=box_id,
        volume=volume,
        gangs=shape["gangs"],
        added=tuple(_as_written(ring) for ring in shape["rings"]),
        wires=tuple(
            BoxWires(
                _size(conductor, f"conductors[{at}]"),
                conductor["ends"],
                conductor["passes"],
                conductor["loops"],
                conductor["inside"],
            )
            for at, conductor in enumerate(shape["conductors"])
        ),
        grounds=Sized(_size(grounds, "grounds"), grounds["count"]) if grounds else None,
        devices=tuple(
            Devices(_size(device, f"devices[{at}]"), device["count"], device["gangs"])
            for at, device in enumerate(shape["devices"])
        ),
        clamps=shape["clamps"],
        fittings=shape["fittings"],
        terminals=tuple(
            Sized(_size(terminal, f"terminals[{at}]"), terminal["count"])
            for at, terminal in enumerate(shape["terminals"])
        ),
        body=body,
    )


def _which(shape: dict[str, Any]) -> tuple[str, Fraction | None, tuple[Fraction, Fraction] | None]:
    box = shape["box"]
    if isinstance(box, str):
        if box not in standard_boxes():
            raise DocumentError("box", f"one of {', '.join(standard_boxes())}, or a volume")
        return box, None, None
    if ("inside" in box) != ("conduit" in box):
        missing = "conduit" if "inside" in box else "inside"
        raise DocumentError(f"box.{missing}", "a value; it is missing")
    body = (_as_written(box["inside"]), _as_written(box["conduit"])) if "inside" in box else None
    return "", _as_written(box["volume"]), body


def _as_written(number: float) -> Fraction:
    """A figure as it was written, not as a float has it."""
    return Fraction(str(number))


def _size(shape: dict[str, Any], path: str) -> WireSize:
    if shape["size"] not in box_allowances():
        sizes = ", ".join(box_allowances())
        raise DocumentError(f"{path}.size", f"one of {sizes}; larger wire goes by pull box")
    return WireSize(shape["size"])


def pull_box_document(document: object) -> PullBoxResult:
    """The least pull box.

    Args:
        document: ``yarrow.pullbox/1``.

    Raises:
        DocumentError.

    Source:
        docs/other-files.md.
    """
    unit = read_unit(document)
    shape = reader("pullbox")(document, "", unit)
    entries = [
        RacewayInWall(
            knockout["id"],
            knockout["wall"],
            knockout["row"],
            _trade_size(knockout["size"], f"entries[{at}].size"),
        )
        for at, knockout in enumerate(shape["entries"])
    ]
    known = _distinct([entry.id for entry in entries])
    pulls = []
    for at, (one, other) in enumerate(shape["pulls"]):
        for place, end in enumerate((one, other)):
            if end not in known:
                raise DocumentError(f"pulls[{at}][{place}]", f"an entry: one of {', '.join(known)}")
        if one == other:
            raise DocumentError(f"pulls[{at}][1]", "another entry than the first")
        pulls.append((one, other))
    have = shape.get("have")
    body = _body(shape["body"]) if "body" in shape else None
    sides = (float(have["width"].value), float(have["height"].value)) if have else None
    return check_pull_box(PullBox(unit, tuple(entries), tuple(pulls), sides, body))


def _body(shape: dict[str, Any]) -> MarkedBody:
    def sized(name: str) -> Sized:
        size = shape[name]["size"]
        if size not in copper_kcmil():
            raise DocumentError(f"body.{name}.size", f"one of {', '.join(copper_kcmil())}")
        return Sized(WireSize(size), shape[name]["count"])

    return MarkedBody(sized("marked"), sized("conductors"))


def entries_document(document: object) -> EntriesResult:
    """Whether the holes of a box go together.

    Args:
        document: ``yarrow.entries/1``.

    Raises:
        DocumentError.

    Source:
        docs/other-files.md.
    """
    unit = read_unit(document)
    shape = reader("entries")(document, "", unit)
    _distinct([entry["id"] for entry in shape["entries"]])
    entries = tuple(
        Entry(
            entry["id"],
            entry["wall"],
            float(entry["at"].value) if "at" in entry else None,
            float(entry["deep"].value) if "deep" in entry else None,
            _trade_size(entry["size"], f"entries[{at}].size"),
        )
        for at, entry in enumerate(shape["entries"])
    )
    width, height, depth = (float(shape["box"][s].value) for s in ("width", "height", "depth"))
    return check_entries(OpenBox(unit, width, height, depth, entries, shape["device"]))


def _trade_size(size: str, path: str) -> TradeSize:
    known = trade_size(size)
    if known not in lock_rings():
        raise DocumentError(path, f"one of {', '.join(lock_rings())}")
    return known


def _distinct(ids: Sequence[str]) -> list[str]:
    """Raises: DocumentError where one name stands for two entries, as on two walls it would."""
    for at, id_ in enumerate(ids):
        if id_ in ids[:at]:
            raise DocumentError(f"entries[{at}].id", f"a name of its own; {id_} is on another wall")
    return list(ids)
