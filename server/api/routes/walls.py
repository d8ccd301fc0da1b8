"""What a framed wall has beside what all saved documents have: its runs and its sheet."""

from __future__ import annotations

from django.http import HttpResponse
from ninja import Path, Query, Schema

import yarrow
from api.papers import as_file, one_page
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.shapes import Id
from exports.drawing import Drawing
from exports.page import PAPERS
from exports.pdf import sheet_pdf
from exports.wall_sheet import compose_wall_sheet
from jobs.models import JobWall, Run
from jobs.walls import WALLS
from papers.headings import file_name, heading_of
from papers.run_sheets import Paper

router = Router(tags=["walls"])


class WallRun(Schema):
    """A run that a wall makes: the ``key`` of its feed, and at which version it is."""

    id: int
    key: str
    version: int


@router.get(
    "/walls/{wall_id}/runs",
    response={200: list[WallRun], **REFUSALS},
    operation_id="list_wall_runs",
)
def list_runs(request: MemberRequest, wall_id: Path[Id]) -> list[Run]:
    """The runs that a wall makes, by the keys of its feeds."""
    wall = WALLS.there(request.user).get(id=wall_id)
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
    return one_page(_wall_sheet(WALLS.there(request.user).get(id=wall_id), paper), page)


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
    wall = WALLS.there(request.user).get(id=wall_id)
    return as_file(
        sheet_pdf(*_wall_sheet(wall, paper)), "application/pdf", f"{file_name(wall)}.pdf"
    )


def _wall_sheet(wall: JobWall, paper: Paper) -> tuple[Drawing, ...]:
    plan = yarrow.wall.values(wall.document)
    return compose_wall_sheet(plan, heading_of(wall), PAPERS[paper])
