"""Every change to jobs and runs: checked against the policy, in one transaction, on the record."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Any

from django.db import transaction
from django.db.models import QuerySet

import yarrow
from accounts.models import Member
from jobs.models import Job, Run, SiteBox, Stage, new_key
from jobs.policy import all_boxes_for, all_runs_for, jobs_for, runs_for
from jobs.room import check_room
from versions import services as versions
from versions.changes import Changes
from yarrow import (
    MOST_TOLD,
    DocumentError,
    ScheduleRow,
    TableError,
    WrittenPlan,
    box_key,
    convert_length,
    ends_named,
    placed_in_row,
    plain,
    site_box_document,
    wires_of_row,
)

UNNAMED = "Unnamed run"


MOST_RUNS = 1000
MOST_BOXES = 1000
"""Of one job, without those that were removed: as many as its archive takes."""

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
def create_run(member: Member, job_id: int, document: dict[str, Any], key: str = "") -> Run:
    """A new run in a job.

    Args: key, which run of the job it is, where an archive says so.
    Raises: Job.DoesNotExist; DocumentError, where the document can't be read or the job is full.
    """
    job = jobs_for(member).get(id=job_id)
    check_room(job.runs, "runs", MOST_RUNS)
    return write_run(Run(job=job, key=key or new_key()), member, document)


@transaction.atomic
def duplicate_run(member: Member, run_id: int) -> Run:
    """A copy of a run in its job, a draft with a history of its own. Raises: Run.DoesNotExist;
    DocumentError, where the job is full."""
    run = runs_for(member).get(id=run_id)
    name = f"{run.name}, copy"[:LONGEST_NAME]
    return create_run(member, run.job_id, {**run.document, "name": name})


@transaction.atomic
def move_run(member: Member, run_id: int, job_id: int) -> Run:
    """Put a run into another job of the crew, with its history. Raises: Run.DoesNotExist;
    Job.DoesNotExist; DocumentError, where that job is full."""
    run = runs_for(member).select_for_update(of=("self",)).get(id=run_id)
    job = jobs_for(member).get(id=job_id)
    if job != run.job:
        check_room(job.runs, "runs", MOST_RUNS)
        # What a wall made it from stays behind: from here on it is a run like any other. In a copy
        # of its own job a run has its key already.
        if job.runs.filter(key=run.key).exists():
            run.key = new_key()
        run.job, run.wall = job, None
        run.save(update_fields=["job", "wall", "key"])
    return run


def set_stage(member: Member, run_id: int, stage: Stage) -> Run:
    """Say how far a run is; that is no version of it. Raises: Run.DoesNotExist."""
    run = runs_for(member).get(id=run_id)
    run.stage = stage
    run.save(update_fields=["stage"])
    return run


LONGEST_NAME = 120


def write_run(
    run: Run, member: Member, document: dict[str, Any], restored_from: int | None = None
) -> Run:
    """A document as a run's next version, with what lists tell of it. Raises: DocumentError."""
    _tell(run, document)
    versions.write(run, member, document, restored_from)
    return run


def new_run(member: Member, job: Job, document: dict[str, Any], key: str = "") -> Run:
    """A run of a job that is not written yet: with others, by ``versions.write_new``.

    Args: key, which run of the job it is, where an archive says so.
    Raises: DocumentError.
    """
    run = Run(job=job, key=key or new_key())
    _tell(run, document)
    versions.new(run, member, document)
    return run


def _tell(run: Run, document: dict[str, Any]) -> None:
    """What lists tell of a run, by its plan. Raises: DocumentError."""
    plan = yarrow.plan_values(document)
    run.name = plan.name.strip() or UNNAMED
    run.conduit = plan.conduit.name
    run.cut_length_text = plan.cut_length_text
    run.bend_degrees = plan.totals.bend_degrees
    run.worst_finding = _worst(plan)
    run.cut_length_mm = convert_length(plan.cut_length, plan.units, "mm")
    run.shape = shape_of(plan)


class RunChanges(Changes[Run]):
    """Changes to runs."""

    def every(self, member: Member) -> QuerySet[Run]:
        """Those of the crew's jobs."""
        return all_runs_for(member)

    def removed(self, member: Member) -> QuerySet[Run]:
        """Also one that is there: it is where it was wanted."""
        return self.every(member)

    def check_room(self, row: Run) -> None:
        """In its job. Raises: DocumentError."""
        check_room(row.job.runs, "runs", MOST_RUNS)

    def write(
        self, row: Run, member: Member, document: dict[str, Any], restored_from: int | None = None
    ) -> Run:
        """With what lists tell of it. Raises: DocumentError."""
        return write_run(row, member, document, restored_from)


RUNS = RunChanges()


def shape_of(plan: WrittenPlan) -> list[list[float]]:
    """The pipe's corners seen along the axis that it goes least along: ahead to the right."""
    points = (plan.comes_out_as or plan.path)[:MOST_CORNERS]
    extents = [max(axis) - min(axis) for axis in zip(*points, strict=True)]
    across, up = sorted(sorted(range(3), key=lambda axis: -extents[axis])[:2])
    return [[round(point[across], 1), round(point[up], 1)] for point in points]


MOST_CORNERS = 60
"""Of a small drawing: more can't be told apart in it."""


def _worst(plan: WrittenPlan) -> str:
    """The gravest level among the findings; a plan lists that first."""
    return plan.findings[0].level if plan.findings else ""


@transaction.atomic
def save_box(member: Member, job_id: int, document: dict[str, Any], base_version: int) -> SiteBox:
    """Save what is told of a box, by the name in its document; version 0 is a box not told of yet.

    A box that was removed and is told of again goes on from its last version.

    Raises: Job.DoesNotExist; DocumentError, also where the runs that meet there can't bear it;
    VersionConflict, where it has been saved since: nothing changes.
    """
    job = jobs_for(member).select_for_update().get(id=job_id)
    check_box(job, document)
    key = box_key(document["name"])
    box = SiteBox.objects.select_for_update().filter(job=job, key=key).first()
    there = box is not None and box.removed_at is None
    if base_version and not there:
        raise SiteBox.DoesNotExist
    if box is not None and there:
        if versions.is_saved_already(box, member, document, base_version):
            return box
        versions.check_version(box, base_version, document)
    if not there:
        check_room(job.boxes, "boxes", MOST_BOXES)
    return _write_box(box or SiteBox(job=job, key=key), member, document)


def _write_box(
    box: SiteBox, member: Member, document: dict[str, Any], restored_from: int | None = None
) -> SiteBox:
    box.name = document["name"].strip()
    versions.write(box, member, document, restored_from)
    return box


class BoxChanges(Changes[SiteBox]):
    """Changes to what is told of boxes."""

    def every(self, member: Member) -> QuerySet[SiteBox]:
        """Those of the crew's jobs."""
        return all_boxes_for(member)

    def removed(self, member: Member) -> QuerySet[SiteBox]:
        """Also one that is there: it is where it was wanted."""
        return self.every(member)

    def check_room(self, row: SiteBox) -> None:
        """In its job. Raises: DocumentError."""
        check_room(row.job.boxes, "boxes", MOST_BOXES)

    def write(
        self,
        row: SiteBox,
        member: Member,
        document: dict[str, Any],
        restored_from: int | None = None,
    ) -> SiteBox:
        """By the runs that meet there. Raises: DocumentError, also where they can't bear it."""
        check_box(row.job, document)
        return _write_box(row, member, document, restored_from)


BOXES = BoxChanges()


def box_id(member: Member, job_id: int, name: str) -> int:
    """Which box of a job is called so, removed or not. Raises: SiteBox.DoesNotExist."""
    return all_boxes_for(member).get(job_id=job_id, key=box_key(name)).id


@transaction.atomic
def take_schedule(member: Member, job_id: int, rows: Sequence[ScheduleRow]) -> int:
    """Give the runs that a schedule names the wire that it says, or none of them.

    Returns: how many runs there were. Raises: Job.DoesNotExist; TableError, with line and column.
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
            write_run(run, member, document)
        except DocumentError as refusal:
            refusals.append(placed_in_row(refusal, row))
    if refusals:
        raise TableError(refusals[:MOST_TOLD])
    return len(rows)


def by_rules(job: Job, wires: dict[str, Any]) -> dict[str, Any]:
    """A run's wire checked by its job's rules: by area in the US, whatever the conduit; in the UK
    as the conduit's own country does, since US pipe has no drawing-in factors."""
    return {**wires, "method": "area"} if job.rules == "us" else wires


@dataclass(frozen=True, slots=True)
class RunsAtBox:
    """The runs that meet at a box: their documents, and which runs of the job they are."""

    runs: list[dict[str, Any]] = field(default_factory=list)
    keys: list[str] = field(default_factory=list)
    ids: list[int] = field(default_factory=list)


def runs_by_box(job: Job) -> dict[str, RunsAtBox]:
    """The runs of a job that name each box, by its key, in the order that they were made; without
    those that were removed. A run that can't be read names none, so that it takes nothing else of
    the job with it."""
    found: dict[str, RunsAtBox] = {}
    live = job.runs.filter(removed_at=None).order_by("id")
    for document, run_key, run_id in live.values_list("document", "key", "id"):
        boxes = dict.fromkeys(box_key(name) for _, name in ends_named(document))
        if boxes and not problem_of(document):
            for key in boxes:
                at_box = found.setdefault(key, RunsAtBox())
                at_box.runs.append(document)
                at_box.keys.append(run_key)
                at_box.ids.append(run_id)
    return found


def problem_of(document: object) -> str:
    """Why a run's document can't be read; empty where it can."""
    try:
        Run.check_document(document)
    except DocumentError as refusal:
        return str(refusal)
    return ""


def check_box(job: Job, document: dict[str, Any]) -> dict[str, Any]:
    """A box with all runs of its job that meet there, in the words of the job's country.

    Returns: ``yarrow.sitebox-result/1``.
    Raises: DocumentError.
    """
    key = box_key(str(document.get("name", "")))
    return box_answer(job, document, runs_by_box(job).get(key, RunsAtBox()))


def box_answer(job: Job, document: dict[str, Any], at_box: RunsAtBox) -> dict[str, Any]:
    """The same where the runs that meet there are known."""
    return plain(site_box_document(document, at_box.runs, at_box.keys), job.wording)
