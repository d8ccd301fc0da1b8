"""A backup: one file with all of the database and what it has to hold, checked as it is written and
before anything of it is taken in.

It is a tar with ``manifest.json`` and ``database.dump`` (of ``pg_dump``, its custom format), inside
of an age file where a key is given.
"""

from __future__ import annotations

import hashlib
import json
import os
import shutil
import subprocess
import tarfile
import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import asdict, dataclass
from datetime import UTC, datetime
from pathlib import Path
from typing import IO, Any

import pyrage
from django.db import connection, transaction
from django.db.migrations.loader import MigrationLoader
from django.db.migrations.recorder import MigrationRecorder
from pydantic import TypeAdapter, ValidationError

import yarrow

FORMAT = "yarrow.backup/1"
_MANIFEST, _DUMP = "manifest.json", "database.dump"
_PIECE = 1 << 20
_AGE = b"age-encryption.org/v1"


class BackupRefused(Exception):
    """A backup that can't be made, or can't be taken in; the text says why."""


@dataclass(frozen=True, slots=True)
class Manifest:
    """What a backup says of itself. ``migrations`` are those that its database had had, as
    ``app.name``; ``rows`` how many each table has; ``sha256`` is of the dump, of ``bytes`` bytes.
    """

    format: str
    version: str
    made_at: str
    migrations: tuple[str, ...]
    rows: dict[str, int]
    sha256: str
    bytes: int


def new_key() -> str:
    """A key for backups, as the text of its file.

    Returns:
        An age identity.
    """
    identity = pyrage.x25519.Identity.generate()
    return f"# what it is opened by: keep it off the machine that is backed up\n{identity}\n"


def back_up(to: Path, key: Path | None = None) -> Manifest:
    """Write a backup, and read it again.

    Args:
        to: a file; one that is there is replaced once the new one was read again.
        key: the file of a key that it is locked with.

    Returns:
        What it says of itself.

    Raises:
        BackupRefused.
    """
    identity = _identity(key) if key else None
    with tempfile.TemporaryDirectory(prefix=".yarrow-backup-", dir=to.parent) as name:
        folder = Path(name)
        manifest = _dumped(folder)
        (folder / _MANIFEST).write_text(json.dumps(asdict(manifest), indent=1))
        whole = folder / "backup"
        with tarfile.open(whole, "w") as tar:
            for part in (_MANIFEST, _DUMP):
                tar.add(folder / part, arcname=part)
        if identity:
            locked = folder / "locked"
            pyrage.encrypt_file(str(whole), str(locked), [identity.to_public()])
            whole = locked
        whole.chmod(0o600)
        with unpacked(whole, key) as (read, _):
            if read != manifest:
                raise BackupRefused("What was written does not read as it was.")
        with whole.open("rb") as file:
            os.fsync(file.fileno())
        whole.replace(to)
    return manifest


def restore(backup: Path, key: Path | None = None) -> Manifest:
    """Take a backup into an empty database; the whole of it, or nothing.

    Args:
        backup: a file.
        key: the file of the key that it was locked with.

    Returns:
        What it says of itself.

    Raises:
        BackupRefused, before anything was touched, or with nothing changed.
    """
    with unpacked(backup, key) as (manifest, dump):
        _check_known(manifest)
        if connection.introspection.table_names():
            raise BackupRefused(
                "The database is not empty: restore into one that is, and look at both before you "
                "go on with either."
            )
        connection.close()
        _run("pg_restore", "--single-transaction", "--exit-on-error", "--no-owner", str(dump))
        with transaction.atomic():
            rows = _row_counts()
        if rows != manifest.rows:
            raise BackupRefused(
                "What came in has other rows than the backup says: drop the database."
            )
    return manifest


@contextmanager
def unpacked(backup: Path, key: Path | None) -> Iterator[tuple[Manifest, Path]]:
    """A backup that was read from end to end: what it says of itself, and its dump.

    Args:
        backup: a file.
        key: the file of the key that it was locked with.

    Raises:
        BackupRefused.
    """
    if not backup.is_file():
        raise BackupRefused(f"There is no file {backup}.")
    with tempfile.TemporaryDirectory(prefix="yarrow-backup-") as name:
        folder = Path(name)
        whole = _unlocked(backup, key, folder)
        try:
            with tarfile.open(whole, "r:") as tar:
                for part in (_MANIFEST, _DUMP):
                    # Not by extract: its filters are younger than Debian's Python.
                    with _opened(tar, part) as packed, (folder / part).open("wb") as file:
                        shutil.copyfileobj(packed, file, _PIECE)
            manifest = _MANIFESTS.validate_json((folder / _MANIFEST).read_bytes())
        except (tarfile.TarError, KeyError, EOFError, OSError, ValidationError):
            raise BackupRefused(f"{backup} is no backup of Yarrow, or was cut short.") from None
        if manifest.format != FORMAT:
            raise BackupRefused(f"{backup} is a {manifest.format}; this Yarrow reads {FORMAT}.")
        dump = folder / _DUMP
        if dump.stat().st_size != manifest.bytes or _sha256(dump) != manifest.sha256:
            raise BackupRefused(f"{backup} was cut short, or changed since it was written.")
        yield manifest, dump


def _opened(tar: tarfile.TarFile, part: str) -> IO[bytes]:
    """A file of a tar. Raises: KeyError, where there is none of that name."""
    found = tar.extractfile(part)
    if found is None:
        raise KeyError(part)
    return found


_MANIFESTS: TypeAdapter[Manifest] = TypeAdapter(Manifest)


def _unlocked(backup: Path, key: Path | None, folder: Path) -> Path:
    """The tar of a backup. Raises: BackupRefused."""
    with backup.open("rb") as file:
        is_locked = file.read(len(_AGE)) == _AGE
    if not is_locked:
        return backup
    if key is None:
        raise BackupRefused(f"{backup} is locked: say by which key it is opened.")
    whole = folder / "unlocked"
    try:
        pyrage.decrypt_file(str(backup), str(whole), [_identity(key)])
    except (pyrage.DecryptError, OSError):
        raise BackupRefused(
            f"{backup} is locked by another key than {key}, was cut short, or was changed."
        ) from None
    return whole


def _identity(key: Path) -> Any:
    """The identity in a key's file. Raises: BackupRefused."""
    try:
        lines = [line.strip() for line in key.read_text().splitlines()]
        (line,) = (line for line in lines if line and not line.startswith("#"))
        return pyrage.x25519.Identity.from_str(line)
    except (OSError, UnicodeDecodeError, ValueError, pyrage.IdentityError):
        raise BackupRefused(f"{key} is no key of a backup.") from None


def _dumped(folder: Path) -> Manifest:
    """Dumps the database as it is at one moment."""
    with transaction.atomic(), connection.cursor() as cursor:
        cursor.execute("SET TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY")
        cursor.execute("SELECT pg_export_snapshot()")
        (snapshot,) = cursor.fetchone()
        applied = MigrationRecorder(connection).applied_migrations()
        rows = _row_counts()
        dump = folder / _DUMP
        _run("pg_dump", "--format=custom", f"--snapshot={snapshot}", f"--file={dump}")
    return Manifest(
        format=FORMAT,
        version=yarrow.__version__,
        made_at=datetime.now(UTC).isoformat(timespec="seconds"),
        migrations=tuple(sorted(f"{app}.{name}" for app, name in applied)),
        rows=rows,
        sha256=_sha256(dump),
        bytes=dump.stat().st_size,
    )


def _check_known(manifest: Manifest) -> None:
    """Refuses what a newer version made: this one would not know what it holds."""
    loader = MigrationLoader(None)
    known = {f"{app}.{name}" for app, name in loader.disk_migrations or ()}
    known |= {
        f"{app}.{name}" for one in loader.disk_migrations.values() for app, name in one.replaces
    }
    unknown = sorted(set(manifest.migrations) - known)
    if unknown:
        raise BackupRefused(
            f"The backup is of Yarrow {manifest.version}, which is newer than this one "
            f"({yarrow.__version__}): it has {unknown[0]}."
        )


def _row_counts() -> dict[str, int]:
    """How many rows each table has."""
    with connection.cursor() as cursor:
        result = {}
        for table in sorted(connection.introspection.table_names(cursor)):
            cursor.execute(f"SELECT count(*) FROM {connection.ops.quote_name(table)}")
            result[table] = int(cursor.fetchone()[0])
    return result


def _run(program: str, *arguments: str) -> None:
    """One of PostgreSQL's own programs on the database. Raises: BackupRefused."""
    settings = connection.settings_dict
    environment = {
        "PGHOST": settings["HOST"],
        "PGPORT": str(settings["PORT"]),
        "PGUSER": settings["USER"],
        "PGPASSWORD": settings["PASSWORD"],
        "PGSSLMODE": settings["OPTIONS"].get("sslmode", ""),
    }
    given = {name: value for name, value in environment.items() if value}
    done = subprocess.run(
        [program_at(program), "--no-password", f"--dbname={settings['NAME']}", *arguments],
        env={**os.environ, **given},
        capture_output=True,
        text=True,
        check=False,
    )
    if done.returncode:
        raise BackupRefused(f"{program} says: {done.stderr.strip()[:2000]}")


def program_at(program: str) -> str:
    """Where one of PostgreSQL's programs is; the newest of those that Debian has.

    Args:
        program: by its name.

    Returns:
        A path.

    Raises:
        BackupRefused, where there is none.
    """
    there = Path("/usr/lib/postgresql").glob(f"*/bin/{program}")
    newest = sorted(there, key=lambda path: int(path.parts[-3]))
    found = str(newest[-1]) if newest else shutil.which(program)
    if found is None:
        raise BackupRefused(f"{program} is not there: apt-get install postgresql-client.")
    return found


def _sha256(file: Path) -> str:
    digest = hashlib.sha256()
    with file.open("rb") as opened:
        while piece := opened.read(_PIECE):
            digest.update(piece)
    return digest.hexdigest()
