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
from typing import Any

from versions.folders import MOST_ENTRY_BYTES, Archive, Folder
from yarrow import DocumentError, read_json, rulebooks

FORMAT = "yarrow.job/1"
MANIFEST = "manifest.json"
FIRST = "runs"
"""The folder that every job's file names, also where nothing is in it."""

_DATE = (2026, 1, 1, 0, 0, 0)
"""The same for every entry, so that the same job gives the same bytes."""


def pack(job: Archive) -> Iterator[bytes]:
    """The zip, a file at a time: ``manifest.json`` with the job and the names of its files, then
    ``runs/0001.json`` …

    Returns:
        The zip in parts, in order.
    """
    names = {
        folder: [f"{folder}/{number + 1:04}.json" for number in range(len(documents))]
        for folder, documents in job.documents.items()
    }
    manifest = {
        "format": FORMAT,
        "name": job.name,
        "place": job.place,
        "units": job.units,
        FIRST: names.get(FIRST, []),
        **{folder: files for folder, files in names.items() if files},
        **({"rules": job.rules} if job.rules else {}),
        **({"run_keys": list(job.keys)} if job.keys else {}),
    }
    files = (MANIFEST, *chain.from_iterable(names.values()))
    documents = chain([manifest], *job.documents.values())
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


def unpack(data: bytes, folders: Sequence[Folder]) -> Archive:
    """What a zip holds. Nothing is written anywhere: every entry is looked at, within bounds, and
    the documents are read as they are asked for.

    Args:
        data: the zip's bytes.
        folders: that a job's file has.

    Raises:
        DocumentError: not a zip, a name outside of the folders that an archive has, more than an
        entry may hold, a manifest that does not name what is there; and, when documents are asked
        for, one that is not JSON.
    """
    try:
        packed = zipfile.ZipFile(io.BytesIO(data))
        infos = packed.infolist()
        _check_names(infos, folders)
        most_bytes = {folder.name: folder.most_bytes for folder in folders}
        for info in infos:
            folder = info.filename.rpartition("/")[0]
            _read_text(packed, info, most_bytes.get(folder, MOST_ENTRY_BYTES))
    except DocumentError:
        raise
    except (zipfile.BadZipFile, EOFError, OSError, RuntimeError, ValueError, zlib.error):
        raise DocumentError("archive", "a zip file that is whole") from None
    return _archive(packed, [info.filename for info in infos], folders)


def _check_names(infos: Sequence[zipfile.ZipInfo], folders: Sequence[Folder]) -> None:
    names = [info.filename for info in infos]
    most = sum(folder.most for folder in folders)
    if len(names) > most + 1:
        raise DocumentError("archive", f"at most {most} documents")
    if len(set(names)) != len(names):
        raise DocumentError("archive", "every file once")
    known = {folder.name for folder in folders}
    for name in names:
        folder, _, file = name.rpartition("/")
        plain = file.removesuffix(".json")
        expected = folder in known and file == f"{plain}.json" and plain.isalnum()
        if name != MANIFEST and not expected:
            shown = name if len(name) <= 60 and name.isprintable() else "…"
            listed = ", ".join(f"{folder.name}/….json" for folder in folders)
            raise DocumentError("archive", f"{MANIFEST}, {listed} alone, not {shown}")


def _read_text(packed: zipfile.ZipFile, info: zipfile.ZipInfo, most: int) -> bytes:
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
        info = packed.getinfo(name)
        return read_json(_read_text(packed, info, info.file_size))
    except DocumentError as refusal:
        raise DocumentError(name, refusal.expected) from None


def _archive(packed: zipfile.ZipFile, names: Sequence[str], folders: Sequence[Folder]) -> Archive:
    manifest = _json(packed, MANIFEST) if MANIFEST in names else None
    if not isinstance(manifest, dict) or manifest.get("format") != FORMAT:
        raise DocumentError(MANIFEST, f"an object of format {FORMAT}")
    documents = {
        folder.name: _Zipped(packed, _files_of(folder, manifest, names)) for folder in folders
    }
    name, place, units = (manifest.get(field, "") for field in ("name", "place", "units"))
    if not isinstance(name, str) or not 1 <= len(name.strip()) <= 120 or not name.isprintable():
        raise DocumentError(f"{MANIFEST}.name", "a name of 1 to 120 letters")
    if not isinstance(place, str) or len(place) > 200 or not (place.isprintable() or not place):
        raise DocumentError(f"{MANIFEST}.place", "a text of at most 200 letters")
    if units not in ("in", "mm"):
        raise DocumentError(f"{MANIFEST}.units", "in or mm")
    rules = manifest.get("rules")
    if rules not in (None, *rulebooks()):
        raise DocumentError(f"{MANIFEST}.rules", " or ".join(rulebooks()))
    keys = _keys(manifest.get("run_keys", []), len(documents[FIRST]))
    return Archive(name, place, units, documents, rules, keys)


def _files_of(folder: Folder, manifest: dict[str, Any], names: Sequence[str]) -> tuple[str, ...]:
    """The files of a folder, as the manifest has them."""
    files = manifest.get(folder.name, None if folder.name == FIRST else [])
    there = sorted(name for name in names if name.startswith(f"{folder.name}/"))
    if not isinstance(files, list) or sorted(map(str, files)) != there:
        expected = f"the names of the {folder.name} that are in the archive, each once"
        raise DocumentError(f"{MANIFEST}.{folder.name}", expected)
    if len(files) > folder.most:
        raise DocumentError(f"{MANIFEST}.{folder.name}", f"at most {folder.most} of them")
    return tuple(files)


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
