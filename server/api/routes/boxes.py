"""The boxes of a job: what is told of them, and every run that meets there."""

from __future__ import annotations

from typing import Annotated

from django.http import HttpResponse
from ninja import Body, Path, Query
from pydantic import StringConstraints

import yarrow
from api.answers import answered
from api.box_shapes import JobBoxDetail, JobBoxSave, JobBoxSummary
from api.documents import SiteBoxDocument
from api.problems import REFUSALS, ConflictProblem
from api.request import MemberRequest
from api.router import Router
from api.saved import HISTORY, PUT_AWAY, SavedRoutes
from api.shapes import Id
from jobs import boxes as services
from jobs.boxes import BOXES
from jobs.models import Job, SiteBox
from jobs.policy import jobs_for
from yarrow import SiteBoxResult, box_key, ends_named

router = Router(tags=["boxes"])

BoxName = Annotated[str, StringConstraints(min_length=1, max_length=80)]


@router.get(
    "/jobs/{job_id}/boxes",
    response={200: list[JobBoxSummary], **REFUSALS},
    operation_id="list_boxes",
)
def list_boxes(request: MemberRequest, job_id: Path[Id]) -> list[JobBoxSummary]:
    """Every box that a run names or that something is told of, by name."""
    job = jobs_for(request.user).get(id=job_id)
    saved = {box.key: box for box in BOXES.there(request.user).filter(job=job)}
    names = {key: box.name for key, box in saved.items()}
    by_box = services.runs_by_box(job)
    for at_box in by_box.values():
        for run in at_box.runs:
            for _, name in ends_named(run):
                names.setdefault(box_key(name), name)
    return sorted(
        (
            _box_summary(job, by_box.get(key, services.RunsAtBox()), name, saved.get(key))
            for key, name in names.items()
        ),
        key=lambda box: box.name.casefold(),
    )


@router.get("/jobs/{job_id}/box", response={200: JobBoxDetail, **REFUSALS}, operation_id="get_box")
def get_box(request: MemberRequest, job_id: Path[Id], name: Query[BoxName]) -> JobBoxDetail:
    """A box by its name, with every run that meets there; one not told of yet is empty."""
    job = jobs_for(request.user).get(id=job_id)
    return _box_detail(
        job, name, BOXES.there(request.user).filter(job=job, key=box_key(name)).first()
    )


@router.put(
    "/jobs/{job_id}/box",
    response={200: JobBoxDetail, 409: ConflictProblem, **REFUSALS},
    operation_id="save_box",
)
def save_box(request: MemberRequest, job_id: Path[Id], body: JobBoxSave) -> JobBoxDetail:
    """What is told of a box, whole, and the version that it was made from (0: a new one)."""
    box = services.put_box(request.user, job_id, body.document, body.base_version)
    return _box_detail(box.job, box.name, box)


@router.post(
    "/jobs/{job_id}/box/check",
    response={200: SiteBoxResult, **REFUSALS},
    operation_id="check_site_box",
)
def check_box(
    request: MemberRequest, job_id: Path[Id], document: Body[SiteBoxDocument]
) -> HttpResponse:
    """A box with every run that meets there; nothing is saved."""
    return answered(services.check_box(jobs_for(request.user).get(id=job_id), document))


def _box_document(job: Job, name: str, box: SiteBox | None) -> dict[str, object]:
    if box is not None:
        return dict(box.document)
    return {"format": "yarrow.sitebox/1", "name": name, "units": job.units}


def _box_detail(job: Job, name: str, box: SiteBox | None) -> JobBoxDetail:
    document = _box_document(job, name, box)
    at_box = services.runs_by_box(job).get(box_key(name), services.RunsAtBox())
    return JobBoxDetail.model_validate(
        {
            "name": box.name if box else name,
            "version": box.version if box else 0,
            "job_id": job.id,
            "job_name": job.name,
            "document": document,
            "result": services.box_answer(job, document, at_box),
            "run_ids": dict(zip(at_box.keys, at_box.ids, strict=True)),
        }
    )


def _box_summary(
    job: Job, at_box: services.RunsAtBox, name: str, box: SiteBox | None
) -> JobBoxSummary:
    result = yarrow.sitebox.values(_box_document(job, name, box), at_box.runs, at_box.keys)
    return JobBoxSummary(
        name=box.name if box else name,
        runs=[at_box.run for at_box in result.met],
        told=box is not None,
        passes=result.passes,
    )


SAVED = SavedRoutes(
    BOXES,
    "/jobs/{job_id}/box",
    {"job_id": Path[Id], "name": Query[BoxName]},
    services.box_id,
    JobBoxDetail,
    lambda box: _box_detail(box.job, box.name, box),
    has=(PUT_AWAY, HISTORY),
)
