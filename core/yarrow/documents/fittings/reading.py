"""Reading ``yarrow.fittings/1``: the fittings that a crew has measured itself."""

from __future__ import annotations

from fractions import Fraction
from typing import Any, cast

from yarrow.catalog.fittings import fittings
from yarrow.documents.errors import DocumentError
from yarrow.documents.schema import reader
from yarrow.measure.units import Unit
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class OwnFitting:
    """A fitting that a crew has measured: what of the catalogue it is ``like``, and how far pipe
    goes ``beyond`` its face, in ``unit`` (short of it below zero)."""

    name: str
    like: str
    unit: Unit
    beyond: Fraction


def read_fittings(document: object) -> tuple[OwnFitting, ...]:
    """A crew's own fittings, in order.

    Args:
        document: ``yarrow.fittings/1``.

    Raises:
        DocumentError; also for a name that stands twice or is empty, and for one that is like no
        fitting of the catalogue.
    """
    whole = reader("fittings")(document, "", "in")
    listed: list[Any] = dict(cast("dict[str, Any]", document)).get("fittings", [])
    result: list[OwnFitting] = []
    names: set[str] = set()
    for number, (fitting, raw) in enumerate(zip(whole["fittings"], listed, strict=True)):
        path = f"fittings[{number}]"
        # Its length is in its own unit.
        own = reader("fittings", "own_fitting")(raw, path, fitting["units"])
        name = own["name"].strip()
        if not name or name in names:
            raise DocumentError(f"{path}.name", "a name that no other has")
        if own["like"] not in fittings():
            raise DocumentError(f"{path}.like", f"one of {', '.join(fittings())}")
        names.add(name)
        result.append(OwnFitting(name, own["like"], own["units"], own["beyond"].value))
    return tuple(result)
