"""What a job is cut from: its stock, saved by version, and what is cut from what."""

from __future__ import annotations

import csv
import io

from django.http import HttpResponse
from django.utils.text import slugify
from ninja import Path

import yarrow
from api.answers import answered
from api.limits import FILES
from api.problems import REFUSALS, ConflictProblem, Problem
from api.request import MemberRequest
from api.router import Router
from api.saved import HISTORY, SavedRoutes
from api.shapes import Id
from api.stock_shapes import (
    CutNow,
    CutsOfJob,
    CutsRequest,
    JobStockDetail,
    JobStockSave,
    stock_detail,
)
from jobs import stock as services
from jobs.policy import jobs_for
from jobs.stock import STOCKS
from long_work.services import found_list

router = Router(tags=["stock"])


@router.get(
    "/jobs/{job_id}/stock", response={200: JobStockDetail, **REFUSALS}, operation_id="get_stock"
)
def get_stock(request: MemberRequest, job_id: Path[Id]) -> JobStockDetail:
    """What is in hand on a job; one that nothing was said of yet is empty."""
    job = jobs_for(request.user).get(id=job_id)
    return stock_detail(job, STOCKS.there(request.user).filter(job=job).first())


@router.put(
    "/jobs/{job_id}/stock",
    response={200: JobStockDetail, 409: ConflictProblem, **REFUSALS},
    operation_id="save_stock",
)
def save_stock(request: MemberRequest, job_id: Path[Id], body: JobStockSave) -> JobStockDetail:
    """What is in hand, whole, and the version that it was made from (0: nothing was said yet)."""
    stock = STOCKS.put(request.user, job_id, body.document, body.base_version)
    return stock_detail(stock.job, stock)


@router.post(
    "/jobs/{job_id}/stock/cut",
    response={200: JobStockDetail, 409: ConflictProblem, 503: Problem, **REFUSALS},
    throttle=[FILES],
    operation_id="cut_now",
)
def cut_now(request: MemberRequest, job_id: Path[Id], body: CutNow) -> JobStockDetail:
    """The cut list was cut: offcuts that it took are gone, what is worth keeping lies there."""
    found = found_list(request.user, job_id, body.work) if body.work else None
    stock = services.cut_now(
        request.user, job_id, body.document, body.base_version, body.seconds, found
    )
    return stock_detail(stock.job, stock)


@router.post(
    "/jobs/{job_id}/cuts",
    response={200: CutsOfJob, **REFUSALS},
    throttle=[FILES],
    operation_id="cut_list_of_job",
)
def cut_list_of_job(request: MemberRequest, job_id: Path[Id], body: CutsRequest) -> HttpResponse:
    """What the job's runs are cut from, conduit by conduit: whole sticks, and what is in hand.
    Nothing is saved. Of many runs some are worked out, and the rest where it is asked again."""
    job = jobs_for(request.user).get(id=job_id)
    stock = body.document or services.no_stock(job)
    yarrow.read(stock, "jobstock")
    return answered(services.cuts_of(job, stock, body.seconds).answer)


@router.get(
    "/jobs/{job_id}/materials.csv",
    response={200: str, 503: Problem, **REFUSALS},
    throttle=[FILES],
    operation_id="get_job_materials",
    openapi_extra={"responses": {200: {"content": {"text/csv": {}}}}},
)
def get_job_materials(request: MemberRequest, job_id: Path[Id]) -> HttpResponse:
    """What the job takes against what is in hand, a row a kind: sticks by its cut list, the
    offcuts that it is cut from, and all that goes with them; and what is to be got."""
    job = jobs_for(request.user).get(id=job_id)
    stock = stock_detail(job, STOCKS.there(request.user).filter(job=job).first()).document
    out = io.StringIO()
    table = csv.writer(out, lineterminator="\n")
    table.writerow(["conduit", "what", "count", "in hand", "to get"])
    for row in services.cuts_of(job, stock).complete():
        name = row.of.name
        if row.cuts:
            sticks = row.cuts["sticks"]
            table.writerow([name, f"stick of {row.of.document['stick']}", sticks, 0, sticks])
            for bar in row.cuts["bars"]:
                if bar["source"] == "offcut":
                    table.writerow([name, f"offcut of {bar['length_text']}", 1, 1, 0])
        for of in row.materials:
            table.writerow([name, of["what"], of["count"], of["in_hand"], of["to_get"]])
    answer = HttpResponse(out.getvalue(), content_type="text/csv")
    answer["Content-Disposition"] = f'attachment; filename="{slugify(job.name)}-materials.csv"'
    return answer


SAVED = SavedRoutes(
    STOCKS,
    "/jobs/{job_id}/stock",
    {"job_id": Path[Id]},
    services.stock_id,
    JobStockDetail,
    lambda stock: stock_detail(stock.job, stock),
    has=(HISTORY,),
)
