"""Jobs, and what lists of them say."""

from __future__ import annotations

from collections.abc import Iterable
from fractions import Fraction
from typing import Annotated, Literal

from django.db.models import Count, Sum
from ninja import Schema
from pydantic import BeforeValidator, Field, StringConstraints

from api.run_shapes import RunSummary, run_summary
from api.shapes import PRINTABLE, Body, Name, Place, RemovedSummary, Units, plain_number
from jobs.models import STAGES, Job, Run, Stage
from yarrow import USUAL_STEP, Rules, convert_length, cut_text

Search = Annotated[str, StringConstraints(max_length=120, pattern=PRINTABLE)]
RowsSkipped = Annotated[int, BeforeValidator(plain_number), Field(ge=0, le=1_000_000)]
RunsBy = Literal["name", "changed", "longest", "bends", "stage"]


class JobBody(Body):
    """A new job."""

    name: Name
    place: Place = ""
    units: Units
    rules: Rules | None = None


class JobChange(Body):
    """A job's name and place, and its rule set where that is to be another."""

    name: Name
    place: Place = ""
    rules: Rules | None = None


class Taken(Schema):
    """How many runs a schedule was taken by."""

    runs: int


class JobSummary(Schema):
    """A job in a list."""

    id: int
    name: str
    place: str
    units: Units
    run_count: int


class JobTotals(Schema):
    """Of all runs of a job: how many are at each stage, and the pipe that they take together."""

    pipe_text: str
    stages: dict[Stage, int]


class JobDetail(Schema):
    """A job with the first of its runs; the others are listed page by page."""

    id: int
    name: str
    place: str
    units: Units
    rules: Rules
    run_count: int
    totals: JobTotals
    runs: list[RunSummary]


RemovedFromJob = dict[str, list[RemovedSummary]]
"""What was removed from a job, by the kinds' names for many of them."""


def job_detail(job: Job, runs: Iterable[Run], run_count: int) -> JobDetail:
    """A job with the first of its runs.

    Args:
        run_count: how many runs it has.
    """
    return JobDetail(
        id=job.id,
        name=job.name,
        place=job.place,
        units=job.unit,
        rules=job.rule_set,
        run_count=run_count,
        totals=_totals(job),
        runs=[run_summary(run) for run in runs],
    )


def _totals(job: Job) -> JobTotals:
    live = job.runs.filter(removed_at=None).order_by().values_list("stage")
    rows = list(live.annotate(count=Count("id"), pipe=Sum("cut_length_mm")))
    counted = {stage: count for stage, count, _ in rows}
    length = convert_length(sum(pipe or 0.0 for _, _, pipe in rows), "mm", job.unit)
    step = Fraction(USUAL_STEP[job.unit])
    return JobTotals(
        pipe_text=cut_text(length, step, job.unit),
        stages={stage: counted.get(stage, 0) for stage in STAGES},
    )
