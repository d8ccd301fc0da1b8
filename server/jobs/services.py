"""Changes to jobs as a whole: checked against the policy, in one transaction."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from django.db import transaction

from accounts.models import Member
from jobs.models import Job, Run
from jobs.policy import jobs_for
from jobs.runs import RUNS
from yarrow import (
    MOST_TOLD,
    DocumentError,
    ScheduleRow,
    TableError,
    box_key,
    placed_in_row,
    usual_rules,
    wires_of_row,
)


def create_job(
    member: Member, *, name: str, place: str, units: str, rules: str | None = None
) -> Job:
    """A new job of the member's crew, by the rules that are usual with its units if not said.

    Args:
        name: that it is called by.
        place: where it is.
        units: ``in`` or ``mm``.
        rules: one of ``rulebooks``; None: what is usual with the units.
    """
    return Job.objects.create(
        crew_id=member.crew_id,
        name=name,
        place=place,
        units=units,
        rules=rules or usual_rules(units),
    )


def change_job(
    member: Member, job_id: int, *, name: str, place: str, rules: str | None = None
) -> Job:
    """Give a job another name, place or rule set (None: as it is).

    Args:
        job_id: of the crew's.
        name: that it is called by from now on.
        place: where it is.
        rules: one of ``rulebooks``; None: as they are.

    Raises:
        Job.DoesNotExist.
    """
    job = jobs_for(member).get(id=job_id)
    job.name, job.place, job.rules = name, place, rules or job.rules
    job.save(update_fields=["name", "place", "rules"])
    return job


@transaction.atomic
def take_schedule(member: Member, job_id: int, rows: Sequence[ScheduleRow]) -> int:
    """Give the runs that a schedule names the wire that it says, or none of them.

    Args:
        job_id: of the crew's.

    Returns:
        How many runs there were.

    Raises:
        Job.DoesNotExist; TableError, with line and column of each DocumentError.
    """
    job = jobs_for(member).get(id=job_id)
    runs: dict[str, list[Run]] = {}
    for run in job.runs.select_for_update().filter(removed_at=None):
        runs.setdefault(box_key(run.name), []).append(run)
    refusals = []
    # A run that is named often is written once, as it is named last.
    documents: dict[int, tuple[Run, dict[str, Any], ScheduleRow]] = {}
    for row in rows:
        named = runs.get(box_key(row.cells["name"]), [])
        try:
            if len(named) != 1:
                expected = "one run of this job" if named else "a run of this job"
                raise DocumentError("name", expected)
            run = named[0]
            wires = by_rules(job, wires_of_row(row))
            documents[run.id] = run, {**run.document, "wires": wires}, row
        except DocumentError as refusal:
            refusals.append(placed_in_row(refusal, row))
    for run, document, row in () if refusals else documents.values():
        try:
            RUNS.write(run, member, document)
        except DocumentError as refusal:
            refusals.append(placed_in_row(refusal, row))
    if refusals:
        raise TableError(refusals[:MOST_TOLD])
    return len(rows)


def by_rules(job: Job, wires: dict[str, Any]) -> dict[str, Any]:
    """A run's wire, checked as its job's rules say.

    Args:
        job: that the run is of.
        wires: the ``wires`` of a run's document.

    Returns:
        The same, with what the rules say.
    """
    return {**wires, **job.rulebook.wires}
