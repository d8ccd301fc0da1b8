"""A whole job as its file has it."""

from __future__ import annotations

from django.utils.text import slugify

from accounts.models import Member
from jobs.models import Job
from jobs.runs import RUNS
from versions.folders import Archive
from versions.kinds import every_folder


def file_name_of(job: Job) -> str:
    """What a file of a whole job is called, without its ending.

    Returns:
        Small letters, digits, dashes and underscores.
    """
    return slugify(job.name) or "job"


def archive_of(member: Member, job: Job) -> Archive:
    """A job with all that its file has, each document as it is asked for.

    Args:
        member: who sees it.
        job: of their crew.
    """
    runs = RUNS.there(member).filter(job=job).order_by("id")
    return Archive(
        job.name,
        job.place,
        job.units,
        {folder.name: folder.out(member, job) for folder in every_folder()},
        job.rules,
        tuple(runs.values_list("key", flat=True)),
    )
