"""What of a document names something else in it, as its schema declares: ``x-names`` the lists that
are named, ``x-gone`` what becomes of an entry once what it names is taken out."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from yarrow.documents.registry import FORMATS, format_name
from yarrow.documents.schema import resolved, schema
from yarrow.values import dataclass

GOES = "goes"
"""The entry goes with what it names; else it names nothing from then on."""


@dataclass(frozen=True, slots=True)
class Reference:
    """Entries of the list ``inside`` that name one of the lists ``to``, or several, by a field."""

    inside: str
    by: str
    to: tuple[str, ...]
    gone: str


def references(of: str) -> tuple[Reference, ...]:
    """All that a format declares.

    Args:
        of: its name: one of ``FORMATS``.

    Returns:
        In the order of its lists and their fields.
    """
    row = FORMATS[of]
    root = schema(row.schema)
    whole = root["$defs"][row.part] if row.part else root
    result = []
    for inside, listed in whole["properties"].items():
        entry = resolved(listed.get("items", {}), root)
        for by, field in entry.get("properties", {}).items():
            if "x-names" in field:
                result.append(Reference(inside, by, tuple(field["x-names"]), field["x-gone"]))
    return tuple(result)


def follow(document: Mapping[str, Any], named: str, before: str, after: str | None) -> Any:
    """A document with all that named an entry of a list following it.

    Args:
        document: of a format that declares what names what.
        named: the list whose entry is called otherwise, or is taken out.
        before: what it was called.
        after: what it is called from now on; None: it is taken out.

    Returns:
        A new document; the entry itself is left as it is.

    Raises:
        KeyError: for a document of no known format.
    """
    result = dict(document)
    for reference in references(format_name(document["format"])):
        if named in reference.to and isinstance(result.get(reference.inside), list):
            result[reference.inside] = [
                kept
                for entry in result[reference.inside]
                for kept in _followed_entry(entry, reference, before, after)
            ]
    return result


def _followed_entry(
    entry: dict[str, Any], reference: Reference, before: str, after: str | None
) -> list[dict[str, Any]]:
    """The entry as it names what it named; nothing where it goes too."""
    names = entry.get(reference.by)
    if isinstance(names, list):
        kept = [after if name == before else name for name in names]
        return [{**entry, reference.by: [name for name in kept if name is not None]}]
    if names != before:
        return [entry]
    if after is None and reference.gone == GOES:
        return []
    return [{**entry, reference.by: after or ""}]
