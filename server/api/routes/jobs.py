"""Jobs and the runs in them."""

from __future__ import annotations

import json
from collections.abc import Iterable, Iterator
from typing import Annotated, Any

from django.db.models import Case, Count, Q, QuerySet, When
from django.http import StreamingHttpResponse
from ninja import Body, Header, Path, Query

from api.documents import RunDocument
from api.job_shapes import (
    JobBody,
    JobChange,
    JobDetail,
    JobSummary,
    RemovedFromJob,
    RowsSkipped,
    RunsBy,
    Search,
    Taken,
    job_detail,
)
from api.limits import FILES
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.run_shapes import RunDetail, RunSummary, run_detail, run_summary
from api.shapes import MOST_LISTED, Id, removed_summary
from exports.job_archive import pack, unpack
from jobs import services
from jobs.bringing_in import bring_in_job as bring_in_job_of
from jobs.models import STAGES, Job, Run, Stage
from jobs.policy import jobs_for
from jobs.runs import RUNS, make_once
from jobs.taking_out import archive_of, file_name_of
from versions.folders import Archive
from versions.kinds import every_folder, every_kind
from yarrow import DocumentError, read_schedule, run_csv_row, run_row, runs_csv_head, unreadable

router = Router(tags=["jobs"])


@router.get("/jobs", response={200: list[JobSummary], **REFUSALS}, operation_id="list_jobs")
def list_jobs(request: MemberRequest) -> list[Job]:
    """The crew's jobs."""
    live = Count("runs", filter=Q(runs__removed_at=None))
    return list(jobs_for(request.user).annotate(run_count=live))


@router.post("/jobs", response={201: JobDetail, **REFUSALS}, operation_id="create_job")
def create_job(request: MemberRequest, body: JobBody) -> tuple[int, JobDetail]:
    """A new job."""
    return 201, job_detail(services.create_job(request.user, **body.dict()), [], 0)


@router.post(
    "/jobs/archive",
    response={201: JobDetail, **REFUSALS},
    throttle=[FILES],
    operation_id="bring_in_job",
    openapi_extra={"requestBody": {"content": {"application/zip": {}}, "required": True}},
)
def bring_in_job(request: MemberRequest) -> tuple[int, JobDetail]:
    """A whole job from its archive, or nothing of it."""
    *_, job = bring_in_job_of(request.user, unpack(request.body, every_folder()))
    return 201, _job_detail(request, job)


@router.post(
    "/jobs/archive/progress",
    response={200: str, **REFUSALS},
    throttle=[FILES],
    operation_id="bring_in_job_with_progress",
    openapi_extra={
        "requestBody": {"content": {"application/zip": {}}, "required": True},
        "responses": {200: {"content": {"application/x-ndjson": {}}}},
    },
)
def bring_in_job_with_progress(request: MemberRequest) -> StreamingHttpResponse:
    """The same, telling on a line each how far it is: ``{"done", "of"}`` …, then ``{"job"}`` with
    its id, or ``{"problem"}``. A client that goes away stops it, and nothing is kept."""
    archive = unpack(request.body, every_folder())
    lines = _import_progress(request.user, archive)
    return StreamingHttpResponse(lines, content_type="application/x-ndjson")


def _import_progress(member: Any, archive: Archive) -> Iterator[str]:
    of = sum(len(documents) for documents in archive.documents.values())
    job_id = 0
    try:
        for done, job in enumerate(bring_in_job_of(member, archive)):
            job_id = job.id
            if done % _TOLD_EVERY == 0 or done == of:
                yield json.dumps({"done": done, "of": of}) + "\n"
    except DocumentError as refusal:
        yield json.dumps({"problem": unreadable(refusal)}) + "\n"
        return
    yield json.dumps({"job": job_id}) + "\n"


_TOLD_EVERY = 10


@router.get(
    "/jobs/{job_id}/archive",
    response={200: str, **REFUSALS},
    throttle=[FILES],
    operation_id="get_job_archive",
    openapi_extra={"responses": {200: {"content": {"application/zip": {}}}}},
)
def get_job_archive(request: MemberRequest, job_id: Path[Id]) -> StreamingHttpResponse:
    """The whole job as one file: its runs and a manifest in a zip, told a file at a time."""
    job = jobs_for(request.user).get(id=job_id)
    headers = {"Content-Disposition": f'attachment; filename="{file_name_of(job)}.zip"'}
    return StreamingHttpResponse(
        pack(archive_of(request.user, job)), content_type="application/zip", headers=headers
    )


@router.get(
    "/jobs/{job_id}/schedule.csv",
    response={200: str, **REFUSALS},
    throttle=[FILES],
    operation_id="get_job_schedule",
    openapi_extra={"responses": {200: {"content": {"text/csv": {}}}}},
)
def get_job_schedule(request: MemberRequest, job_id: Path[Id]) -> StreamingHttpResponse:
    """The job's runs with their wire as a schedule, which comes in again as it is; without those
    that can't be read. It is told row by row, as they are planned."""
    job = jobs_for(request.user).get(id=job_id)
    documents = RUNS.there(request.user).filter(job=job).values_list("document", flat=True)
    headers = {"Content-Disposition": f'attachment; filename="{file_name_of(job)}.csv"'}
    return StreamingHttpResponse(
        _table(documents.iterator(chunk_size=100)),
        content_type="text/csv; charset=utf-8",
        headers=headers,
    )


@router.post(
    "/jobs/{job_id}/schedule",
    response={200: Taken, **REFUSALS},
    throttle=[FILES],
    operation_id="take_schedule",
    openapi_extra={"requestBody": {"content": {"text/csv": {}}, "required": True}},
)
def take_schedule(request: MemberRequest, job_id: Path[Id]) -> Taken:
    """Give the runs that a schedule names the wire that it says, or none of them."""
    job = jobs_for(request.user).get(id=job_id)
    rows = read_schedule(request.body, job.unit)
    return Taken(runs=services.take_schedule(request.user, job.id, rows))


@router.get(
    "/jobs/{job_id}/removed",
    response={200: RemovedFromJob, **REFUSALS},
    operation_id="list_removed",
)
def list_removed(request: MemberRequest, job_id: Path[Id]) -> RemovedFromJob:
    """What was removed of a job, kind by kind, the newest first."""
    job = jobs_for(request.user).get(id=job_id)
    return {
        kind.many: [
            removed_summary(row)
            for row in kind.removed(request.user).filter(job=job).defer("document")[:MOST_LISTED]
        ]
        for kind in every_kind()
        if kind.owner == "job" and kind.most
    }


@router.get("/jobs/{job_id}", response={200: JobDetail, **REFUSALS}, operation_id="get_job")
def get_job(request: MemberRequest, job_id: Path[Id]) -> JobDetail:
    """A job with the first of its runs."""
    return _job_detail(request, jobs_for(request.user).get(id=job_id))


@router.get(
    "/jobs/{job_id}/runs", response={200: list[RunSummary], **REFUSALS}, operation_id="list_runs"
)
def list_runs(
    request: MemberRequest,
    job_id: Path[Id],
    offset: Query[RowsSkipped | None] = None,
    search: Query[Search | None] = None,
    stage: Query[Stage | None] = None,
    by: Query[RunsBy | None] = None,
) -> list[RunSummary]:
    """A page of a job's runs, without their documents, after so many: those with a text in their
    name or conduit, at a stage, in an order."""
    job = jobs_for(request.user).get(id=job_id)
    runs = _runs(request, job)
    words = (search or "").strip()
    if words:
        runs = runs.filter(Q(name__icontains=words) | Q(conduit__icontains=words))
    if stage:
        runs = runs.filter(stage=stage)
    start = offset or 0
    return [
        run_summary(run) for run in runs.order_by(*_BY[by or "name"])[start : start + MOST_LISTED]
    ]


_BY: dict[RunsBy, tuple[Any, ...]] = {
    "name": ("name", "id"),
    "changed": ("-updated_at", "id"),
    "longest": ("-cut_length_mm", "id"),
    "bends": ("-bend_degrees", "id"),
    "stage": (
        Case(*(When(stage=stage, then=at) for at, stage in enumerate(STAGES))),
        "name",
        "id",
    ),
}


@router.put("/jobs/{job_id}", response={200: JobDetail, **REFUSALS}, operation_id="change_job")
def change_job(request: MemberRequest, job_id: Path[Id], body: JobChange) -> JobDetail:
    """Another name or place."""
    return _job_detail(request, services.change_job(request.user, job_id, **body.dict()))


@router.post(
    "/jobs/{job_id}/runs", response={201: RunDetail, **REFUSALS}, operation_id="create_run"
)
def create_run(
    request: MemberRequest,
    job_id: Path[Id],
    document: Body[RunDocument],
    idempotency_key: Annotated[str | None, Header(pattern=r"^[0-9a-f]{32}$")] = None,
) -> tuple[int, RunDetail]:
    """A new run from its document: a fresh one, a copy, or a file that was imported. With a key of
    32 hexadecimal digits it is made once, however often it is asked for."""
    if idempotency_key:
        return 201, run_detail(make_once(request.user, job_id, document, idempotency_key))
    return 201, run_detail(RUNS.create(request.user, job_id, document))


def _table(documents: Iterable[dict[str, Any]]) -> Iterator[bytes]:
    yield runs_csv_head().encode()
    for document in documents:
        try:
            yield run_csv_row(run_row(document)).encode()
        except DocumentError:
            continue


def _job_detail(request: MemberRequest, job: Job) -> JobDetail:
    runs = _runs(request, job)
    return job_detail(job, runs[:MOST_LISTED], runs.count())


def _runs(request: MemberRequest, job: Job) -> QuerySet[Run]:
    """As lists show them."""
    runs: QuerySet[Run] = RUNS.there(request.user).filter(job=job)
    return runs.defer("document")
