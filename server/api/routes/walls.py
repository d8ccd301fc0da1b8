"""A job's framed walls, saved by version."""

from __future__ import annotations

from django.http import HttpResponse
from ninja import Body as Given
from ninja import Path, Query, Router, Schema

import yarrow
from api.documents import WallDocument
from api.papers import Paper, as_file, file_name, heading_of, one_page
from api.problems import REFUSALS
from api.request import MemberRequest
from api.saved import SavedKind, add_saved_routes, by_number
from api.shapes import Body, Id, Version
from exports.drawing import Drawing
from exports.page import PAPERS
from exports.pdf import sheet_pdf
from exports.wall_sheet import compose_wall_sheet
from jobs import walls as services
from jobs.models import JobWall, Run
from jobs.policy import jobs_for, walls_for

router = Router(tags=["walls"])


class WallSave(Body):
    """A whole wall, and the version that it was made from."""

    document: WallDocument
    base_version: Version


class WallSummary(Schema):
    """A wall as a list shows it."""

    id: int
    name: str


class WallRun(Schema):
    """A run that a wall makes: the ``key`` of its feed, and at which version it is."""

    id: int
    key: str
    version: int


class WallDetail(WallSummary):
    """A wall of a job, at a version."""

    version: int
    job_id: int
    job_name: str
    document: WallDocument


@router.get(
    "/jobs/{job_id}/walls", response={200: list[WallSummary], **REFUSALS}, operation_id="list_walls"
)
def list_walls(request: MemberRequest, job_id: Path[Id]) -> list[JobWall]:
    """The framed walls of a job, by name."""
    job = jobs_for(request.user).get(id=job_id)
    return list(walls_for(request.user).filter(job=job).defer("document"))


@router.post(
    "/jobs/{job_id}/walls", response={201: WallDetail, **REFUSALS}, operation_id="create_wall"
)
def create_wall(
    request: MemberRequest, job_id: Path[Id], document: Given[WallDocument]
) -> tuple[int, WallDetail]:
    """A new wall."""
    return 201, _wall_detail(services.create_wall(request.user, job_id, document))


@router.get(
    "/walls/{wall_id}/runs",
    response={200: list[WallRun], **REFUSALS},
    operation_id="list_wall_runs",
)
def list_runs(request: MemberRequest, wall_id: Path[Id]) -> list[Run]:
    """The runs that a wall makes, by the keys of its feeds."""
    wall = walls_for(request.user).get(id=wall_id)
    return list(wall.runs.filter(removed_at=None).only("id", "key", "version"))


@router.get(
    "/walls/{wall_id}/sheet.svg",
    response={200: str, **REFUSALS},
    operation_id="get_wall_sheet_svg",
    openapi_extra={"responses": {200: {"content": {"image/svg+xml": {}}}}},
)
def get_sheet_svg(
    request: MemberRequest,
    wall_id: Path[Id],
    paper: Query[Paper] = "a4",
    page: Query[int] = 1,
) -> HttpResponse:
    """A page of the sheet of a wall, counted from 1, as the page shows and prints it; how many
    there are stands in ``X-Pages``. Beyond the last, that."""
    return one_page(_wall_sheet(walls_for(request.user).get(id=wall_id), paper), page)


@router.get(
    "/walls/{wall_id}/sheet.pdf",
    response={200: str, **REFUSALS},
    operation_id="get_wall_sheet_pdf",
    openapi_extra={"responses": {200: {"content": {"application/pdf": {}}}}},
)
def get_sheet_pdf(
    request: MemberRequest, wall_id: Path[Id], paper: Query[Paper] = "a4"
) -> HttpResponse:
    """The same sheet as a PDF, all of its pages."""
    wall = walls_for(request.user).get(id=wall_id)
    return as_file(
        sheet_pdf(*_wall_sheet(wall, paper)), "application/pdf", f"{file_name(wall)}.pdf"
    )


def _wall_sheet(wall: JobWall, paper: Paper) -> tuple[Drawing, ...]:
    plan = yarrow.wall_values(wall.document)
    return compose_wall_sheet(plan, heading_of(wall), PAPERS[paper])


def _wall_detail(wall: JobWall) -> WallDetail:
    return WallDetail(
        id=wall.id,
        name=wall.name,
        version=wall.version,
        job_id=wall.job_id,
        job_name=wall.job.name,
        document=wall.document,
    )


add_saved_routes(
    router,
    SavedKind(
        "wall",
        "a wall",
        "/walls/{wall_id}",
        *by_number("wall"),
        services.WALLS,
        WallDetail,
        _wall_detail,
        WallSave,
    ),
)
