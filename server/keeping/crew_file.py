"""All of a crew in one file, to be taken in elsewhere: a zip with ``crew.json``, and each job as a
file that the page brings in too. The crew's benders and fittings are in the jobs' files."""

from __future__ import annotations

import json
import zipfile
from pathlib import Path
from typing import Any

from django.conf import settings
from django.db import transaction

from accounts.models import Crew, Member
from exports.job_archive import pack, unpack
from jobs.bringing_in import bring_in_job
from jobs.policy import jobs_for
from jobs.taking_out import archive_of
from keeping.backups import BackupRefused
from versions.kinds import every_folder
from yarrow import DocumentError, read_json

FORMAT = "yarrow.crew/1"
_ABOUT = "crew.json"
_MOST_JOBS = 10_000


def write_crew(crew: Crew, to: Path) -> int:
    """Write all of a crew into one file.

    Args:
        to: a file; one that is there is replaced once the new one is whole.

    Returns:
        How many jobs.

    Raises:
        BackupRefused, where nobody is in the crew.
    """
    member = crew.members.order_by("-is_active", "id").first()
    if member is None:
        raise BackupRefused(f"There is nobody in {crew.name}, and so nothing.")
    jobs = list(jobs_for(member).order_by("id"))
    draft = to.with_name(f".{to.name}.draft")
    try:
        with zipfile.ZipFile(draft, "w", zipfile.ZIP_STORED) as file:
            file.writestr(_ABOUT, json.dumps(_about(crew, len(jobs)), indent=1))
            for number, job in enumerate(jobs, 1):
                with file.open(_name_of(number), "w") as entry:
                    for part in pack(archive_of(member, job)):
                        entry.write(part)
        draft.chmod(0o600)
        draft.replace(to)
    finally:
        draft.unlink(missing_ok=True)
    return len(jobs)


def take_in_crew(file: Path, member: Member) -> int:
    """Take all jobs of such a file into the crew of a member, or none of them.

    Args:
        file: as ``write_crew`` wrote it.
        member: who is said to have made what comes in.

    Returns:
        How many jobs.

    Raises:
        BackupRefused, where one of them can't be read.
    """
    try:
        with zipfile.ZipFile(file) as packed, transaction.atomic():
            count = _jobs_in(packed)
            for number in range(1, count + 1):
                name = _name_of(number)
                try:
                    archive = unpack(_bytes_of(packed, name), every_folder())
                    for _ in bring_in_job(member, archive):
                        pass
                except DocumentError as refusal:
                    raise BackupRefused(f"{file}, {name}: {refusal}") from None
            return count
    except (zipfile.BadZipFile, KeyError, OSError, EOFError):
        raise BackupRefused(f"{file} is no file of a crew, or was cut short.") from None


def _about(crew: Crew, jobs: int) -> dict[str, Any]:
    people = [
        {"username": member.username, "name": member.shown_name, "role": member.role}
        for member in crew.members.order_by("id")
    ]
    return {"format": FORMAT, "name": crew.name, "people": people, "jobs": jobs}


def _jobs_in(packed: zipfile.ZipFile) -> int:
    """Raises: BackupRefused."""
    try:
        about: Any = read_json(_bytes_of(packed, _ABOUT))
    except DocumentError:
        about = None
    if not isinstance(about, dict) or about.get("format") != FORMAT:
        raise BackupRefused(f"{_ABOUT} has to be of format {FORMAT}.")
    jobs = about.get("jobs")
    if not isinstance(jobs, int) or not 0 <= jobs <= _MOST_JOBS:
        raise BackupRefused(f"{_ABOUT} has to say how many jobs there are.")
    return jobs


def _bytes_of(packed: zipfile.ZipFile, name: str) -> bytes:
    """Raises: KeyError, where it is not there; BackupRefused, where it is too long."""
    info = packed.getinfo(name)
    if info.file_size > settings.LARGEST_ARCHIVE:
        raise BackupRefused(f"{name} is longer than a job's file may be.")
    return packed.read(info)


def _name_of(number: int) -> str:
    return f"jobs/{number:04}.zip"
