"""Runs: their kind, and what is done with one beside saving it."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from typing import Any

from django.db import IntegrityError, transaction
from django.db.models import QuerySet

import yarrow
from accounts.models import Member
from jobs.models import Job, Run, Stage, new_key
from jobs.policy import OfJob, jobs_for
from versions.folders import Arrival, KindFolder
from versions.services import write_new
from yarrow import DocumentError, WrittenPlan, convert_length

UNNAMED = "Unnamed run"
LONGEST_NAME = 120
MOST_CORNERS = 60
"""Of a small drawing: more can't be told apart in it."""


class RunsFolder(KindFolder):
    """The runs of a job's file, by the keys that it knows them by."""

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> Run:
        """A run to be written with the others.

        Raises:
            DocumentError.
        """
        key = arrival.keys[number] if arrival.keys else new_key()
        row = Run(job=arrival.job, key=key)
        return RUNS.unwritten(row, arrival.member, _of_no_crew(document))

    def take_all(self, arrival: Arrival, documents: Iterable[dict[str, Any]]) -> Iterator[None]:
        """All of them, written together.

        Raises:
            DocumentError, with which one it is.
        """
        yield from super().take_all(arrival, documents)
        write_new(arrival.rows[self.name])


def _of_no_crew(document: dict[str, Any]) -> dict[str, Any]:
    """A run whose bender is not said to be one that is kept: by its number, it would be another."""
    bender = document.get("bender")
    if not isinstance(bender, dict) or "kept" not in bender:
        return document
    own = {name: value for name, value in bender.items() if name != "kept"}
    return {**document, "bender": own}


class Runs(OfJob[Run]):
    """Runs of jobs; ``most`` is as many as a job's file takes."""

    one, many, called = "run", "runs", "run"
    model = Run
    format = "run"
    most = 1000
    most_bytes = 24_000
    beside = ("updated_by", "job", "wall")
    folder = RunsFolder
    by_hand = frozenset({"done"})

    def every(self, member: Member) -> QuerySet[Run]:
        """Without the documents of the walls that make them."""
        return super().every(member).defer("wall__document")

    def owner_for(self, member: Member, owner_id: int) -> Job:
        """Their job; planning one keeps nobody from planning the next.

        Raises:
            Job.DoesNotExist.
        """
        return jobs_for(member).get(id=owner_id)

    def describe(self, row: Run, document: dict[str, Any]) -> None:
        """What lists tell of a run, by its plan.

        Raises:
            DocumentError.
        """
        plan = yarrow.plan.values(document)
        row.name = plan.name.strip() or UNNAMED
        row.conduit = plan.conduit.name
        row.cut_length_text = str(plan.cut_length_text)
        row.bend_degrees = plan.totals.bend_degrees
        row.worst_finding = _worst(plan)
        row.cut_length_mm = convert_length(plan.cut_length, plan.units, "mm")
        row.shape = shape_of(plan)


RUNS = Runs()


def make_once(member: Member, job_id: int, document: dict[str, Any], key: str) -> Run:
    """A new run, which whoever asks may have been given already without hearing of it.

    Args:
        job_id: of the crew's.
        document: as it was sent.
        key: that it was first asked for by: its own in its job.

    Returns:
        The same one for the same key, as it is by now.

    Raises:
        Job.DoesNotExist; DocumentError, where the job is full.
    """
    made = RUNS.every(member).filter(key=key)
    try:
        with transaction.atomic():
            return made.first() or RUNS.create(member, job_id, document, key=key)
    except IntegrityError:  # both askings were under way at once
        return made.get()


@transaction.atomic
def duplicate_run(member: Member, run_id: int) -> Run:
    """A copy of a run in its job, a draft with a history of its own.

    Args:
        run_id: of the crew's.

    Raises:
        Run.DoesNotExist; DocumentError, where the job is full.
    """
    run = RUNS.there(member).get(id=run_id)
    name = f"{run.name}, copy"[:LONGEST_NAME]
    return RUNS.create(member, run.job_id, {**run.document, "name": name})


@transaction.atomic
def move_run(member: Member, run_id: int, job_id: int) -> Run:
    """Put a run into another job of the crew, with its history.

    Args:
        run_id: of the crew's.
        job_id: where it goes.

    Raises:
        Run.DoesNotExist; Job.DoesNotExist; DocumentError, where that job is full.
    """
    run = RUNS.there(member).select_for_update(of=("self",)).get(id=run_id)
    job = jobs_for(member).get(id=job_id)
    if job != run.job:
        RUNS.check_room(job)
        # What a wall made it from stays behind: from here on it is a run like any other. In a copy
        # of its own job a run has its key already.
        if job.runs.filter(key=run.key).exists():
            run.key = new_key()
        run.job, run.wall = job, None
        run.save(update_fields=["job", "wall", "key"])
    return run


def set_stage(member: Member, run_id: int, stage: Stage) -> Run:
    """Say how far a run is; that is no version of it.

    Args:
        run_id: of the crew's.

    Raises:
        Run.DoesNotExist.
    """
    run = RUNS.there(member).get(id=run_id)
    run.stage = stage
    run.save(update_fields=["stage"])
    return run


def problem_of(document: object) -> str:
    """Why a run's document can't be read; empty where it can.

    Args:
        document: as it is kept.

    Returns:
        Where, and what was expected, in one line.
    """
    try:
        RUNS.check_document(document)
    except DocumentError as refusal:
        return str(refusal)
    return ""


def shape_of(plan: WrittenPlan) -> list[list[float]]:
    """The pipe's corners seen along the axis that it goes least along: ahead to the right.

    Returns:
        Places of two numbers each, in the run's unit.
    """
    points = (plan.comes_out_as or plan.path)[:MOST_CORNERS]
    extents = [max(axis) - min(axis) for axis in zip(*points, strict=True)]
    across, up = sorted(sorted(range(3), key=lambda axis: -extents[axis])[:2])
    return [[round(point[across], 1), round(point[up], 1)] for point in points]


def _worst(plan: WrittenPlan) -> str:
    """The gravest level among the findings; a plan lists that first."""
    return plan.findings[0].level if plan.findings else ""
