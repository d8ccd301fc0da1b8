"""What is asked without saving that is no verb of one document; and the catalogue."""

from __future__ import annotations

from django.http import HttpResponse
from ninja import Body

import yarrow
from api.answers import answered
from api.documents import QuickDocument, RunDocument
from api.limits import CHECKS, FILES
from api.planning_shapes import (
    AtBench,
    Conversion,
    DxfText,
    KnownBetter,
    PathShape,
    QuickBendShape,
    TypedLineShape,
    TypedText,
)
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.shapes import Nothing
from exports.dxf import read_path
from yarrow import BenchFit, BenchPlan, Catalogue, Language, Recalibrated

router = Router(tags=["planning"], throttle=CHECKS, keeps=False)


@router.post("/bench", response={200: BenchPlan, **REFUSALS}, operation_id="at_bench")
def at_bench(
    request: MemberRequest, body: AtBench, language: Language | None = None
) -> HttpResponse:
    """What is left to do at the bench after what came out of a piece's bends; nothing is saved."""
    return answered(yarrow.bench(body.document, body.came_out, language=language, piece=body.piece))


@router.post("/bench/fit", response={200: BenchFit, **REFUSALS}, operation_id="bench_fit")
def bench_fit(
    request: MemberRequest, body: AtBench, language: Language | None = None
) -> HttpResponse:
    """What a reading that is still being typed makes of a piece; nothing is saved."""
    return answered(
        yarrow.bench_fit(body.document, body.came_out, language=language, piece=body.piece)
    )


@router.post("/recalibrated", response={200: Recalibrated, **REFUSALS}, operation_id="recalibrated")
def recalibrated(request: MemberRequest, body: KnownBetter) -> HttpResponse:
    """What a run's bender that is known better by now changes in it; nothing is saved."""
    return answered(yarrow.recalibrated(body.document, body.bender))


@router.post("/line", response={200: TypedLineShape, **REFUSALS}, operation_id="read_line")
def read_line(request: MemberRequest, body: TypedText) -> HttpResponse:
    """A walk line as it is said, in the run file's shape, and how it could go on."""
    return answered(yarrow.line(body.text, body.units))


@router.post("/quick", response={200: QuickBendShape, **REFUSALS}, operation_id="quick_bend")
def quick_bend(request: MemberRequest, document: Body[QuickDocument]) -> HttpResponse:
    """A bend by itself, as it is said, as a run to plan; nothing is saved."""
    return answered(yarrow.quick(document))


@router.post("/convert", response={200: RunDocument, **REFUSALS}, operation_id="convert")
def convert(request: MemberRequest, body: Conversion) -> HttpResponse:
    """The same run in the other unit, half typed or not; nothing is saved."""
    return answered(yarrow.convert(body.document, body.to, half_typed=True))


@router.post(
    "/dxf", response={200: PathShape, **REFUSALS}, throttle=[FILES], operation_id="read_dxf"
)
def read_dxf(request: MemberRequest, body: DxfText) -> PathShape:
    """The one line of a DXF as the vertices of a run's path; nothing is saved."""
    result = read_path(body.dxf, body.units, body.into)
    return PathShape(path=result.path, radii=result.radii)


@router.get("/catalogue", response={200: Catalogue, **REFUSALS}, operation_id="get_catalogue")
def get_catalogue(request: MemberRequest) -> HttpResponse:
    """Everything that a run can name."""
    return answered(yarrow.catalog())


@router.get(
    "/nothing", response={200: Nothing, **REFUSALS}, throttle=[], operation_id="get_nothing"
)
def get_nothing(request: MemberRequest) -> Nothing:
    """An empty answer: whether the server is there, and what it costs to ask it anything."""
    return Nothing()
