"""Reading ``yarrow.sitebox/1`` with the runs that meet there, and its answer."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from typing import Any

from yarrow.catalog.wiring import WireSize, box_allowances
from yarrow.documents.boxes.reading import read_box
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.reading import read_run
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.fill.site_box import BoxOnSite, Meeting, SiteBoxResult, Through, check_site_box
from yarrow.measure.units import Unit, convert

WALLS = ("left", "right", "top", "bottom")
LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ"


def read_site_box(document: object) -> dict[str, Any]:
    """What is told of a box, by its schema: all that can be checked without the runs there.

    Args:
        document: ``yarrow.sitebox/1``.

    Returns:
        By field, lengths as readings.

    Raises:
        DocumentError.

    Source:
        docs/other-files.md.
    """
    shape: dict[str, Any] = reader("sitebox")(document, "", read_unit(document))
    return shape


def site_box_document(
    document: object, runs: Sequence[Mapping[str, Any]], keys: Sequence[str] = ()
) -> SiteBoxResult:
    """A box with every run of its job that names it.

    Args:
        document: ``yarrow.sitebox/1``.
        runs: run documents; those that do not meet the box are passed over.
        keys: which run of its job each is, whatever it is called, where something keeps that: what
            is told of its hole goes by it.

    Raises:
        DocumentError, of the box's document or of a run that can't be read.

    Source:
        docs/other-files.md.
    """
    unit = read_unit(document)
    shape = read_site_box(document)
    if isinstance(runs, str | Mapping) or not isinstance(runs, Sequence):
        raise DocumentError("runs", "a list of runs")
    for at, run in enumerate(runs):
        if not isinstance(run, Mapping):
            raise DocumentError(f"runs[{at}]", "a run, as an object")
    contents = shape.get("contents")
    keyed = tuple(zip(runs, keys or [""] * len(runs), strict=True))
    meetings = tuple(_meetings(shape["name"], keyed, shape["entries"], unit))
    known = {meeting.id for meeting in meetings}
    for at, pull in enumerate(shape["pulls"]):
        if pull[0] == pull[1] or not known.issuperset(pull):
            raise DocumentError(f"pulls[{at}]", f"two of {', '.join(sorted(known)) or 'the runs'}")
    sides = shape.get("sides")
    box = BoxOnSite(
        unit=unit,
        name=shape["name"],
        contents=_contents(contents) if contents else None,
        through=tuple(_through(wire, at) for at, wire in enumerate(shape["through"])),
        sides=(
            float(sides["width"].value),
            float(sides["height"].value),
            float(sides["depth"].value),
        )
        if sides
        else None,
        device=shape["device"],
        meetings=meetings,
        pulls=tuple((one, other) for one, other in shape["pulls"]),
    )
    return check_site_box(box)


def ends_named(run: Mapping[str, Any]) -> Iterator[tuple[str, str]]:
    """Which boxes a run's document names: (start or end, name).

    Args:
        run: ``yarrow.run/1``.

    Returns:
        Both for a run that names both.
    """
    walk = run.get("walk") or [{}]
    if not isinstance(walk, list):
        return
    for end, place in (("start", run.get("start") or {}), ("end", walk[-1])):
        if isinstance(place, dict) and isinstance(place.get("box"), str) and place["box"].strip():
            yield end, place["box"].strip()


def box_key(name: str) -> str:
    """A box's name as it is compared: letter case and spaces around do not matter.

    Args:
        name: as it was typed.

    Returns:
        The same for names that are the same.
    """
    return name.strip().casefold()


def _contents(shape: dict[str, Any]) -> Any:
    try:
        return read_box({"format": "yarrow.box/1", **shape})
    except DocumentError as refusal:
        raise DocumentError(f"contents.{refusal.path}", refusal.expected) from None


def _through(shape: dict[str, Any], at: int) -> Through:
    if shape["size"] not in box_allowances():
        raise DocumentError(f"through[{at}].size", f"one of {', '.join(box_allowances())}")
    return Through(WireSize(shape["size"]), shape["count"], shape["loop"])


def _meetings(
    name: str,
    runs: Sequence[tuple[Mapping[str, Any], str]],
    entries: Sequence[dict[str, Any]],
    unit: Unit,
) -> Iterator[Meeting]:
    by_key = {(entry.get("run_key"), entry["end"]): entry for entry in entries}
    by_name = {(entry["run"], entry["end"]): entry for entry in entries if not entry.get("run_key")}
    count = 0
    for run, key in runs:
        for end, box in ends_named(run):
            if box_key(box) != box_key(name):
                continue
            setup = read_run(run).setup
            named = by_name.get((setup.name, end), {})
            entry = by_key.get((key, end), named) if key else named
            yield Meeting(
                id=_letter(count),
                run=setup.name,
                key=key,
                end=end,
                conduit=setup.conduit.name,
                size=setup.conduit.size,
                wires=setup.wires.conductors if setup.wires else (),
                wall=entry.get("wall", WALLS[count % len(WALLS)]),
                row=entry.get("row", 1),
                along=_entry_length(entry, "at", unit),
                deep=_entry_length(entry, "deep", unit),
            )
            count += 1


def _letter(count: int) -> str:
    """A, B … Z, A1, B1 …"""
    again, letter = divmod(count, len(LETTERS))
    return LETTERS[letter] + (str(again) if again else "")


def _entry_length(entry: dict[str, Any], field: str, unit: Unit) -> float | None:
    reading = entry.get(field)
    return None if reading is None else float(convert(reading.value, reading.unit, unit))
