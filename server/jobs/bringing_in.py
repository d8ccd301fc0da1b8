"""A whole job from its file, in one transaction: all of it, or nothing."""

from __future__ import annotations

from collections.abc import Iterator

from django.db import transaction

from accounts.models import Member
from jobs.models import Job
from jobs.services import create_job
from versions.folders import Archive, Arrival
from versions.kinds import every_folder


def bring_in_job(member: Member, archive: Archive) -> Iterator[Job]:
    """A whole job with all that its file has, and those of its benders and fittings that the crew
    has not got, or nothing of it: the job, and again after every document that is in.

    It is one transaction: where the caller stops asking, or a document can't be read, nothing is
    kept.

    Raises:
        DocumentError, with which document it is before the field, where one can't be read.
    """
    with transaction.atomic():
        job = create_job(
            member,
            name=archive.name,
            place=archive.place,
            units=archive.units,
            rules=archive.rules,
        )
        yield job
        arrival = Arrival(member, job, archive.keys)
        for folder in every_folder():
            for _ in folder.take_all(arrival, archive.documents.get(folder.name, ())):
                yield job
