"""One run: open, save, its history, its file and its sheet."""

from __future__ import annotations

import json
from dataclasses import dataclass, replace
from typing import Literal

from django.http import HttpResponse
from ninja import Path, Query

import yarrow
from api.documents import RunDocument
from api.papers import Paper, as_file, file_name, heading_of
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
from exports.drawing import Drawing
from exports.dxf import plan_dxf
from exports.page import PAPERS
from exports.pdf import sheet_pdf
from exports.rack_sheet import compose_rack_sheet
from exports.sheet import compose_sheet
from exports.stick import compose_stick
from exports.svg import drawing_svg
from exports.wires_sheet import compose_wires_sheet
from jobs import runs as services
from jobs.models import Run
from jobs.runs import RUNS
from yarrow import WrittenPlan

router = Router(tags=["runs"])

What = Literal["run", "rack", "wires"]


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
    drawing = _sheet(_run_of(request, run_id), paper, of, piece)
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
    part = f"-{of}" if of != "run" else _shown(run, piece).file_part
    name = f"{file_name(run)}{part}.pdf"
    return as_file(sheet_pdf(_sheet(run, paper, of, piece)), "application/pdf", name)


@router.get(
    "/runs/{run_id}/stick.svg",
    response={200: str, **REFUSALS},
    operation_id="get_stick_svg",
    openapi_extra={"responses": {200: {"content": {"image/svg+xml": {}}}}},
)
def get_stick_svg(request: MemberRequest, run_id: Path[Id], piece: Query[int] = 1) -> HttpResponse:
    """The unbent pipe to scale with its marks, alone; of a parted run, of one of its pieces."""
    run = _run_of(request, run_id)
    shown = _shown(run, piece)
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
    shown = _shown(run, piece)
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


def _sheet(run: Run, paper: Paper, what: What, piece: int) -> Drawing:
    heading = heading_of(run)
    if what == "wires":
        return compose_wires_sheet(yarrow.plan.values(run.document), heading, PAPERS[paper])
    if what == "rack":
        plan = yarrow.plan.values(run.document)
        return compose_rack_sheet(plan, yarrow.rack.values(run.document), heading, PAPERS[paper])
    shown = _shown(run, piece)
    plan, heading = shown.plan, replace(heading, run=shown.title(run.name))
    handled = yarrow.handle.values(run.document, shown.number or None)
    order = next((order for order in handled.orders if order.taken), None)
    hooks = {bend.bend: bend.hook for bend in order.bends} if order else {}
    # A printed mark may ask for the hook the other way round: then no picture is better than one.
    if any(hooks.get(mark.bend) != mark.hook for mark in plan.marks):
        order = None
    return compose_sheet(plan, order, heading, PAPERS[paper])


@dataclass(frozen=True, slots=True)
class ShownPiece:
    """What is printed of a run: its plan, or that of one of its pieces (``number`` from 1, of so
    many; 0: it is not parted), with all that is done to that."""

    plan: WrittenPlan
    number: int = 0
    count: int = 0

    def title(self, name: str) -> str:
        """The run's name, with which piece of it this is.

        Args:
            name: the run's.

        Returns:
            One line.
        """
        return f"Piece {self.number} of {self.count}, {name}" if self.count > 1 else name

    @property
    def file_part(self) -> str:
        """Of the name of a file."""
        return f"-piece-{self.number}" if self.count > 1 else ""


def _shown(run: Run, piece: int) -> ShownPiece:
    """One of a run's pieces, the nearest that there is; the run where it is not parted."""
    pieces = yarrow.pieces.values(run.document).pieces if "joints" in run.document else ()
    if not pieces:
        return ShownPiece(yarrow.plan.values(run.document))
    number = min(max(piece, 1), len(pieces))
    shown = pieces[number - 1]
    steps = (*shown.before, *shown.plan.steps, *shown.after)
    return ShownPiece(replace(shown.plan, steps=steps), number, len(pieces))


SAVED = SavedRoutes(RUNS, "/runs/{run_id}", *by_number("run"), RunDetail, run_detail, RunSave)
