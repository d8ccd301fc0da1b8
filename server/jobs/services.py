"""Every change to jobs and runs: checked against the policy, in one transaction, on the record."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from typing import Any

from django.db import transaction
from django.utils import timezone

from accounts.models import Member
from jobs.models import Job, Revision, Run, SiteBox
from jobs.policy import boxes_for, jobs_for, revisions_for, runs_for
from yarrow.documents.refusal import Refusal
from yarrow.documents.run_file import read_run
from yarrow.documents.schedule import (
    MOST_TOLD,
    ScheduleRow,
    Unreadable,
    placed_in_row,
    wires_of_row,
)
from yarrow.documents.site_box_file import box_key, site_box_document
from yarrow.fill.site_box import SiteBoxResult
from yarrow.runs.plan import Plan
from yarrow.runs.planner import plan_run

UNNAMED = "Unnamed run"


class Conflict(Exception):
    """Someone else saved in between. ``current`` is the run as it stands now."""

    def __init__(self, current: Run) -> None:
        super().__init__(f"the run is at version {current.version}")
        self.current = current


USUAL_RULES = {"in": "us", "mm": "uk"}
"""The rule set of a job where nothing is said, by what it is measured in."""


def create_job(
    member: Member, *, name: str, place: str, units: str, rules: str | None = None
) -> Job:
    """A new job of the member's crew, by the rules that are usual with its units if not said."""
    return Job.objects.create(
        crew_id=member.crew_id,
        name=name,
        place=place,
        units=units,
        rules=rules or USUAL_RULES[units],
    )


def change_job(
    member: Member, job_id: int, *, name: str, place: str, rules: str | None = None
) -> Job:
    """Give a job another name, place or rule set (None: as it is). Raises: Job.DoesNotExist."""
    job = jobs_for(member).get(id=job_id)
    job.name, job.place, job.rules = name, place, rules or job.rules
    job.save(update_fields=["name", "place", "rules"])
    return job


@transaction.atomic
def create_run(member: Member, job_id: int, document: dict[str, Any]) -> Run:
    """A new run in a job. Raises: Job.DoesNotExist; Refusal, where the document can't be read."""
    job = jobs_for(member).get(id=job_id)
    run = Run(job=job, version=1)
    return _written(run, member, document)


def bring_in_job(
    member: Member,
    *,
    name: str,
    place: str,
    units: str,
    runs: Sequence[dict[str, Any]],
    boxes: Sequence[dict[str, Any]] = (),
    rules: str | None = None,
) -> Iterator[Job]:
    """A whole job with its runs and boxes, or nothing of it: the job after every run that is in.

    It is one transaction: where the caller stops asking, or a run can't be read, nothing is kept.

    Raises: Refusal, with the number of the run before the field, where one can't be read.
    """
    with transaction.atomic():
        job = create_job(member, name=name, place=place, units=units, rules=rules)
        yield job
        for number, document in enumerate(runs):
            try:
                create_run(member, job.id, document)
            except Refusal as refusal:
                raise Refusal(f"run {number + 1}, {refusal.path}", refusal.expected) from None
            yield job
        for number, document in enumerate(boxes):
            try:
                save_box(member, job.id, document, 0)
            except Refusal as refusal:
                raise Refusal(f"box {number + 1}, {refusal.path}", refusal.expected) from None


@transaction.atomic
def save_run(member: Member, run_id: int, document: dict[str, Any], base_version: int) -> Run:
    """Save a document as the next version of a run.

    Args: base_version, the version that the document was made from.
    Raises: Run.DoesNotExist; Refusal; Conflict, where the run has moved on: nothing changes.
    """
    run = _locked(member, run_id, base_version)
    run.version += 1
    return _written(run, member, document)


@transaction.atomic
def restore_revision(member: Member, run_id: int, version: int, base_version: int) -> Run:
    """Bring an earlier revision back, as a new version.

    Raises: as save_run; Revision.DoesNotExist.
    """
    run = _locked(member, run_id, base_version)
    revision = revisions_for(member).get(run=run, version=version)
    run.version += 1
    return _written(run, member, revision.document, restored_from=version)


@transaction.atomic
def remove_run(member: Member, run_id: int) -> Run:
    """Put a run away. Its revisions stay. Raises: Run.DoesNotExist."""
    run = runs_for(member).select_for_update(of=("self",)).get(id=run_id)
    run.removed_at = timezone.now()
    run.save(update_fields=["removed_at"])
    return run


@transaction.atomic
def bring_back_run(member: Member, run_id: int) -> Run:
    """Bring a removed run back. Raises: Run.DoesNotExist."""
    run = Run.objects.select_for_update().get(id=run_id, job__in=jobs_for(member))
    run.removed_at = None
    run.save(update_fields=["removed_at"])
    return run


def _locked(member: Member, run_id: int, base_version: int) -> Run:
    run = runs_for(member).select_for_update(of=("self",)).get(id=run_id)
    if run.version != base_version:
        raise Conflict(run)
    return run


def _written(
    run: Run, member: Member, document: dict[str, Any], restored_from: int | None = None
) -> Run:
    plan = plan_run(read_run(document))
    run.document = document
    run.name = plan.name.strip() or UNNAMED
    run.conduit = plan.conduit.name
    run.cut_length_text = plan.cut_length_text
    run.bend_degrees = plan.totals.bend_degrees
    run.worst_finding = _worst(plan)
    run.updated_by = member
    run.save()
    Revision.objects.create(
        run=run,
        version=run.version,
        document=document,
        saved_by=member,
        restored_from=restored_from,
    )
    return run


def _worst(plan: Plan) -> str:
    """The gravest level among the findings; a plan lists that first."""
    return plan.findings[0].level if plan.findings else ""


class BoxMoved(Exception):
    """Someone else saved the box in between. ``current`` is the box as it stands now."""

    def __init__(self, current: SiteBox) -> None:
        super().__init__(f"the box is at version {current.version}")
        self.current = current


@transaction.atomic
def save_box(member: Member, job_id: int, document: dict[str, Any], base_version: int) -> SiteBox:
    """Save what is told of a box, by the name in its document; version 0 is a box not told of yet.

    Raises: Job.DoesNotExist; Refusal, also where the runs that meet there can't bear it; BoxMoved,
    where it has been saved since: nothing changes.
    """
    job = jobs_for(member).select_for_update().get(id=job_id)
    check_box(job, document)
    key = box_key(document["name"])
    box = SiteBox.objects.select_for_update().filter(job=job, key=key).first()
    if (box.version if box else 0) != base_version:
        if box is None:
            raise SiteBox.DoesNotExist
        raise BoxMoved(box)
    box = box or SiteBox(job=job, key=key, version=0)
    box.name, box.document = document["name"].strip(), document
    box.version += 1
    box.updated_by = member
    box.save()
    return box


@transaction.atomic
def take_schedule(member: Member, job_id: int, rows: Sequence[ScheduleRow]) -> int:
    """Give the runs that a schedule names the wire that it says, or none of them.

    Returns: how many runs there were. Raises: Job.DoesNotExist; Unreadable, with line and column.
    """
    job = jobs_for(member).get(id=job_id)
    runs: dict[str, list[Run]] = {}
    for run in job.runs.select_for_update().filter(removed_at=None):
        runs.setdefault(box_key(run.name), []).append(run)
    refusals = []
    for row in rows:
        named = runs.get(box_key(row.cells["name"]), [])
        try:
            if len(named) != 1:
                expected = "one run of this job" if named else "a run of this job"
                raise Refusal("name", expected)
            run = named[0]
            run.version += 1
            _written(run, member, {**run.document, "wires": by_rules(job, wires_of_row(row))})
        except Refusal as refusal:
            refusals.append(placed_in_row(refusal, row))
    if refusals:
        raise Unreadable(refusals[:MOST_TOLD])
    return len(rows)


def by_rules(job: Job, wires: dict[str, Any]) -> dict[str, Any]:
    """A run's wire checked by its job's rules: by area in the US, whatever the conduit; in the UK
    as the conduit's own country does, since US pipe has no drawing-in factors."""
    return {**wires, "method": "area"} if job.rules == "us" else wires


def remove_box(member: Member, job_id: int, name: str) -> None:
    """Forget what is told of a box; runs go on naming it. Raises: SiteBox.DoesNotExist."""
    boxes_for(member).get(job_id=job_id, key=box_key(name)).delete()


def run_documents(job: Job) -> list[dict[str, Any]]:
    """What the runs of a job say, without those that were removed, in the order they were made."""
    live = job.runs.filter(removed_at=None).order_by("id")
    return list(live.values_list("document", flat=True))


def check_box(job: Job, document: dict[str, Any]) -> SiteBoxResult:
    """A box with all runs of its job that meet there. Raises: Refusal."""
    return site_box_document(document, run_documents(job))
