"""A whole job as one file."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from accounts.models import Member
from exports.job_archive import pack
from jobs.models import Job
from jobs.taking_out import archive_of, file_name_of
from long_work.kind import Finished, Tell, WorkKind


class ArchiveOfJob(WorkKind):
    """The zip of a job, a document a step."""

    name = "archive"

    def work(self, member: Member, job: Job, options: Mapping[str, Any], tell: Tell) -> Finished:
        """Pack it.

        Raises:
            DocumentError.
        """
        archive = archive_of(member, job)
        of = sum(len(documents) for documents in archive.documents.values())
        parts = []
        # The first part is the manifest's.
        for done, part in enumerate(pack(archive)):
            parts.append(part)
            tell(min(done, of), of)
        return Finished(b"".join(parts), f"{file_name_of(job)}.zip", "application/zip")
