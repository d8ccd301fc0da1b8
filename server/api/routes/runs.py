"""One run: open, save, its history, its file and its sheet."""

from __future__ import annotations

import json

from django.http import HttpResponse
from ninja import Path, Query

import yarrow
from api.documents import RunDocument
from api.papers import as_file
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.run_shapes import (
    RevisionDetail,
    RunDetail,
    RunSave,
    StageBody,
    revision_detail,
    run_detail,
)
from api.saved import SavedRoutes, by_number
from api.shapes import Id, Version
from exports.dxf import plan_dxf
from exports.pdf import sheet_pdf
from exports.stick import compose_stick
from exports.svg import drawing_svg
from jobs import runs as services
from jobs.models import Run
from jobs.runs import RUNS
from papers.headings import file_name
from papers.run_sheets import Paper, What, run_sheet, shown_piece

router = Router(tags=["runs"])


@router.post(
    "/runs/{run_id}/duplicate",
    response={201: RunDetail, **REFUSALS},
    operation_id="duplicate_run",
)
def duplicate_run(request: MemberRequest, run_id: Path[Id]) -> tuple[int, RunDetail]:
    """A copy of a run in its job."""
    return 201, run_detail(services.duplicate_run(request.user, run_id))


@router.post("/runs/{run_id}/move", response={200: RunDetail, **REFUSALS}, operation_id="move_run")
def move_run(request: MemberRequest, run_id: Path[Id], job_id: Query[Id]) -> RunDetail:
    """Put a run into another job of the crew."""
    return run_detail(services.move_run(request.user, run_id, job_id))


@router.put("/runs/{run_id}/stage", response={200: RunDetail, **REFUSALS}, operation_id="set_stage")
def set_stage(request: MemberRequest, run_id: Path[Id], body: StageBody) -> RunDetail:
    """Say how far a run is: draft, ready, bent or fitted."""
    return run_detail(services.set_stage(request.user, run_id, body.stage))


@router.get(
    "/runs/{run_id}/revisions/{version}",
    response={200: RevisionDetail, **REFUSALS},
    operation_id="get_revision",
)
def get_revision(
    request: MemberRequest, run_id: Path[Id], version: Path[Version]
) -> RevisionDetail:
    """A run as it was."""
    run = RUNS.there(request.user).get(id=run_id)
    return revision_detail(run.revisions.select_related("saved_by").get(version=version))


@router.get(
    "/runs/{run_id}/file", response={200: RunDocument, **REFUSALS}, operation_id="export_run"
)
def export_run(request: MemberRequest, run_id: Path[Id]) -> HttpResponse:
    """The run file, to keep or to hand on."""
    run = _run_of(request, run_id)
    body = json.dumps(run.document, indent=2, ensure_ascii=False)
    return as_file(body.encode(), "application/json", f"{file_name(run)}.json")


@router.get(
    "/runs/{run_id}/sheet.svg",
    response={200: str, **REFUSALS},
    operation_id="get_sheet_svg",
    openapi_extra={"responses": {200: {"content": {"image/svg+xml": {}}}}},
)
def get_sheet_svg(
    request: MemberRequest,
    run_id: Path[Id],
    paper: Query[Paper] = "a4",
    of: Query[What] = "run",
    piece: Query[int] = 1,
) -> HttpResponse:
    """The sheet of the run, of its rack or of its wire, as the page shows and prints it; of a run
    that is parted, of one of its pieces, counted from 1."""
    drawing = run_sheet(_run_of(request, run_id), paper, of, piece)
    return HttpResponse(drawing_svg(drawing), content_type="image/svg+xml")


@router.get(
    "/runs/{run_id}/sheet.pdf",
    response={200: str, **REFUSALS},
    operation_id="get_sheet_pdf",
    openapi_extra={"responses": {200: {"content": {"application/pdf": {}}}}},
)
def get_sheet_pdf(
    request: MemberRequest,
    run_id: Path[Id],
    paper: Query[Paper] = "a4",
    of: Query[What] = "run",
    piece: Query[int] = 1,
) -> HttpResponse:
    """The same sheet as a PDF."""
    run = _run_of(request, run_id)
    part = f"-{of}" if of != "run" else shown_piece(run, piece).file_part
    name = f"{file_name(run)}{part}.pdf"
    return as_file(sheet_pdf(run_sheet(run, paper, of, piece)), "application/pdf", name)


@router.get(
    "/runs/{run_id}/stick.svg",
    response={200: str, **REFUSALS},
    operation_id="get_stick_svg",
    openapi_extra={"responses": {200: {"content": {"image/svg+xml": {}}}}},
)
def get_stick_svg(request: MemberRequest, run_id: Path[Id], piece: Query[int] = 1) -> HttpResponse:
    """The unbent pipe to scale with its marks, alone; of a parted run, of one of its pieces."""
    run = _run_of(request, run_id)
    shown = shown_piece(run, piece)
    drawing = compose_stick(shown.plan, shown.title(run.name))
    name = f"{file_name(run)}{shown.file_part}-stick.svg"
    return as_file(drawing_svg(drawing).encode(), "image/svg+xml", name)


@router.get(
    "/runs/{run_id}/bends.csv",
    response={200: str, **REFUSALS},
    operation_id="get_bend_table",
    openapi_extra={"responses": {200: {"content": {"text/csv": {}}}}},
)
def get_bend_table(request: MemberRequest, run_id: Path[Id], piece: Query[int] = 1) -> HttpResponse:
    """Straight, roll and angle of every bend; of a run that is parted, of one of its pieces."""
    run = _run_of(request, run_id)
    shown = shown_piece(run, piece)
    table = yarrow.plan.text(shown.plan, "bends")
    return as_file(table.encode(), "text/csv", f"{file_name(run)}{shown.file_part}-bends.csv")


@router.get(
    "/runs/{run_id}/drawing.dxf",
    response={200: str, **REFUSALS},
    operation_id="get_drawing_dxf",
    openapi_extra={"responses": {200: {"content": {"image/vnd.dxf": {}}}}},
)
def get_drawing_dxf(request: MemberRequest, run_id: Path[Id]) -> HttpResponse:
    """Elevation, plan and 3D centreline as DXF."""
    run = _run_of(request, run_id)
    drawing = plan_dxf(yarrow.plan.values(run.document))
    return as_file(drawing, "image/vnd.dxf", f"{file_name(run)}.dxf")


def _run_of(request: MemberRequest, run_id: int) -> Run:
    result: Run = RUNS.there(request.user).get(id=run_id)
    return result


SAVED = SavedRoutes(RUNS, "/runs/{run_id}", *by_number("run"), RunDetail, run_detail, RunSave)
