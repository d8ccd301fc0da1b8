"""A whole job as one file: its run files and a manifest in a zip, out and in again without loss."""

from __future__ import annotations

import io
import json
import re
import zipfile
import zlib
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import chain
from typing import Any, Protocol

from yarrow import DocumentError, read_json

FORMAT = "yarrow.job/1"
MANIFEST = "manifest.json"
MOST_RUNS = 1000
"""As many as a job may have."""

_MOST_OF = {"walls": 200, "sites": 20, "pictures": 20, "benders": 200, "stock": 1}
"""As many as there may be of what is not as many as runs: told before any of them is read."""

MOST_ENTRY_BYTES = 100_000
"""Unpacked: twice what a document that is kept here may take, and more than a manifest does. One
entry at a time is in memory, so that how many there are costs none."""

MOST_PICTURE_BYTES = 900_000
"""Of an entry with a picture: it is told in base 64."""

_ROOMS = ("runs", "boxes", "benders", "stock", "walls", "sites", "pictures")
_OPTIONAL = _ROOMS[1:]

_DATE = (2026, 1, 1, 0, 0, 0)
"""The same for every entry, so that the same job gives the same bytes."""


class Documents(Protocol):
    """Some documents, of which no more is asked than how many there are and each in turn."""

    def __len__(self) -> int: ...

    def __iter__(self) -> Iterator[dict[str, Any]]: ...


@dataclass(frozen=True, slots=True)
class Archive:
    """What an archive holds: the job's name, place and unit, its run documents in order, what is
    told of its boxes, the crew's own benders, what is in hand there (one document or none), its
    framed walls and ducts, the pictures under those (``of`` which, counted from 1, and the
    ``jpeg``, in base 64), and by what key the boxes know each run. Documents may be fetched only
    when they are asked for."""

    name: str
    place: str
    units: str
    runs: Documents
    boxes: Documents = ()
    benders: Documents = ()
    rules: str | None = None
    keys: tuple[str, ...] = ()
    stock: Documents = ()
    walls: Documents = ()
    sites: Documents = ()
    pictures: Documents = ()


def pack(job: Archive) -> Iterator[bytes]:
    """The zip, a file at a time: ``manifest.json`` with the job and the names of its files, then
    ``runs/0001.json`` …"""
    rooms: dict[str, Documents] = {room: getattr(job, room) for room in _ROOMS}
    names = {
        room: [f"{room}/{number + 1:04}.json" for number in range(len(documents))]
        for room, documents in rooms.items()
    }
    manifest = {
        "format": FORMAT,
        "name": job.name,
        "place": job.place,
        "units": job.units,
        "runs": names["runs"],
        **{room: names[room] for room in _OPTIONAL if names[room]},
        **({"rules": job.rules} if job.rules else {}),
        **({"run_keys": list(job.keys)} if job.keys else {}),
    }
    files = (MANIFEST, *(name for room in _ROOMS for name in names[room]))
    documents = chain([manifest], *(rooms[room] for room in _ROOMS))
    written = _Written()
    with zipfile.ZipFile(written, "w", zipfile.ZIP_DEFLATED) as packed:
        for name, document in zip(files, documents, strict=True):
            info = zipfile.ZipInfo(name, _DATE)
            info.compress_type = zipfile.ZIP_DEFLATED
            packed.writestr(info, json.dumps(document, ensure_ascii=False))
            yield written.taken()
    yield written.taken()


class _Written(io.RawIOBase):
    """What a zip file is written to, taken away as it comes."""

    def __init__(self) -> None:
        self.parts: list[bytes] = []

    def writable(self) -> bool:
        """It is; and it can't be wound back."""
        return True

    def write(self, data: Any) -> int:
        """Bytes of the zip."""
        self.parts.append(bytes(data))
        return len(data)

    def taken(self) -> bytes:
        """All since this was last asked."""
        parts, self.parts = self.parts, []
        return b"".join(parts)


@dataclass(frozen=True, slots=True)
class _Zipped:
    """Documents that stay in the zip until they are asked for, one after the other."""

    packed: zipfile.ZipFile
    names: tuple[str, ...]

    def __len__(self) -> int:
        return len(self.names)

    def __iter__(self) -> Iterator[dict[str, Any]]:
        for name in self.names:
            document = _json(self.packed, name)
            if not isinstance(document, dict):
                raise DocumentError(name, "a document, as an object")
            yield document


def unpack(data: bytes) -> Archive:
    """What a zip holds. Nothing is written anywhere: every entry is looked at, within bounds, and
    the documents are read as they are asked for.

    Raises: DocumentError: not a zip, a name outside of the folders that an archive has, more
    than an entry may hold, a manifest that does not name what is there; and, when documents are
    asked for, one that is not JSON.
    """
    try:
        packed = zipfile.ZipFile(io.BytesIO(data))
        infos = packed.infolist()
        _check_names(infos)
        for info in infos:
            _read_text(packed, info)
    except DocumentError:
        raise
    except (zipfile.BadZipFile, EOFError, OSError, RuntimeError, ValueError, zlib.error):
        raise DocumentError("archive", "a zip file that is whole") from None
    return _archive(packed, [info.filename for info in infos])


def _check_names(infos: Sequence[zipfile.ZipInfo]) -> None:
    names = [info.filename for info in infos]
    if len(names) > len(_ROOMS) * MOST_RUNS + 1:
        raise DocumentError("archive", f"at most {MOST_RUNS} runs")
    if len(set(names)) != len(names):
        raise DocumentError("archive", "every file once")
    for name in names:
        room, _, file = name.rpartition("/")
        plain = file.removesuffix(".json")
        known = room in _ROOMS and file == f"{plain}.json" and plain.isalnum()
        if name != MANIFEST and not known:
            shown = name if len(name) <= 60 and name.isprintable() else "…"
            folders = ", ".join(f"{room}/….json" for room in _ROOMS)
            raise DocumentError("archive", f"{MANIFEST}, {folders} alone, not {shown}")


def _read_text(packed: zipfile.ZipFile, info: zipfile.ZipInfo) -> bytes:
    picture = info.filename.startswith("pictures/")
    most = MOST_PICTURE_BYTES if picture else MOST_ENTRY_BYTES
    if info.file_size > most:
        raise DocumentError(info.filename, f"at most {most:,} bytes")
    # A header may lie about the size: no more than was declared is unpacked.
    with packed.open(info) as file:
        text = file.read(info.file_size + 1)
    if len(text) > info.file_size:
        raise DocumentError(info.filename, "as many bytes as the archive says")
    return text


def _json(packed: zipfile.ZipFile, name: str) -> Any:
    try:
        return read_json(_read_text(packed, packed.getinfo(name)))
    except DocumentError as refusal:
        raise DocumentError(name, refusal.expected) from None


def _archive(packed: zipfile.ZipFile, names: Sequence[str]) -> Archive:
    manifest = _json(packed, MANIFEST) if MANIFEST in names else None
    if not isinstance(manifest, dict) or manifest.get("format") != FORMAT:
        raise DocumentError(MANIFEST, f"an object of format {FORMAT}")
    listed: dict[str, list[str]] = {}
    for room in _ROOMS:
        files = manifest.get(room, [] if room in _OPTIONAL else None)
        there = sorted(name for name in names if name.startswith(f"{room}/"))
        if not isinstance(files, list) or sorted(map(str, files)) != there:
            expected = f"the names of the {room} that are in the archive, each once"
            raise DocumentError(f"{MANIFEST}.{room}", expected)
        most = _MOST_OF.get(room, MOST_RUNS)
        if len(files) > most:
            raise DocumentError(f"{MANIFEST}.{room}", f"at most {most} of them")
        listed[room] = files
    name, place, units = (manifest.get(field, "") for field in ("name", "place", "units"))
    if not isinstance(name, str) or not 1 <= len(name.strip()) <= 120 or not name.isprintable():
        raise DocumentError(f"{MANIFEST}.name", "a name of 1 to 120 letters")
    if not isinstance(place, str) or len(place) > 200 or not (place.isprintable() or not place):
        raise DocumentError(f"{MANIFEST}.place", "a text of at most 200 letters")
    if units not in ("in", "mm"):
        raise DocumentError(f"{MANIFEST}.units", "in or mm")
    rules = manifest.get("rules")
    if rules not in (None, "us", "uk"):
        raise DocumentError(f"{MANIFEST}.rules", "us or uk")
    keys = _keys(manifest.get("run_keys", []), len(listed["runs"]))
    if len(listed["stock"]) > 1:
        raise DocumentError(f"{MANIFEST}.stock", "one file, or none")
    rooms = {room: _Zipped(packed, tuple(files)) for room, files in listed.items()}
    return Archive(name, place, units, rules=rules, keys=keys, **rooms)


def _keys(keys: Any, runs: int) -> tuple[str, ...]:
    """Of every run or of none."""
    good = isinstance(keys, list) and all(
        isinstance(key, str) and _KEY.fullmatch(key) for key in keys
    )
    if not good or len(set(keys)) != len(keys) or len(keys) not in (0, runs):
        expected = f"a key of 1 to 40 letters and digits for each of {runs} runs, each another"
        raise DocumentError(f"{MANIFEST}.run_keys", expected)
    return tuple(keys)


_KEY = re.compile("[0-9A-Za-z]{1,40}")
