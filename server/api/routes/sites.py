"""What a job's ducts between buildings have beside what all saved documents have: pictures, what
goes out of them, and what comes in."""

from __future__ import annotations

from typing import Annotated, Any

from django.http import HttpResponse
from ninja import Body as Given
from ninja import Path, Query, Schema
from pydantic import StringConstraints

import yarrow
from api.documents import DuctsDocument
from api.limits import FILES
from api.papers import LargePaper, as_file, one_page
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.shapes import Body, Id
from exports.drawing import Drawing
from exports.page import LARGE_PAPERS
from exports.pdf import sheet_pdf
from exports.site_dxf import read_site_dxf, site_dxf
from exports.site_sheet import compose_site_sheet
from jobs import sites as services
from jobs.models import JobSite, SitePicture
from jobs.sites import SITES
from papers.headings import file_name, heading_of

router = Router(tags=["sites"])


class SiteDxf(Body):
    """A DXF drawing as text."""

    dxf: Annotated[str, StringConstraints(max_length=900_000)]


class PictureKept(Schema):
    """A picture that can lie under the plan: the key that a document names it by, and its size in
    pixels."""

    key: str
    width: int
    height: int


@router.post(
    "/sites/{site_id}/picture",
    response={201: PictureKept, **REFUSALS},
    throttle=[FILES],
    operation_id="add_site_picture",
    openapi_extra={"requestBody": {"content": {"image/*": {}}, "required": True}},
)
def add_picture(request: MemberRequest, site_id: Path[Id]) -> tuple[int, SitePicture]:
    """A PNG or JPEG to lie under the plan: it is drawn anew, and what it told of its place is
    gone. The document says where it lies."""
    return 201, services.add_picture(request.user, site_id, request.body)


@router.get(
    "/sites/{site_id}/pictures/{key}",
    response={200: str, **REFUSALS},
    operation_id="get_site_picture",
    openapi_extra={"responses": {200: {"content": {"image/jpeg": {}}}}},
)
def get_picture(request: MemberRequest, site_id: Path[Id], key: Path[str]) -> HttpResponse:
    """A picture as it was drawn anew."""
    picture = SITES.there(request.user).get(id=site_id).pictures.get(key=key)
    answer = HttpResponse(bytes(picture.data), content_type="image/jpeg")
    answer["Cache-Control"] = "private, max-age=31536000, immutable"
    return answer


@router.get(
    "/sites/{site_id}/plan.geojson",
    response={200: dict[str, Any], **REFUSALS},
    operation_id="get_site_geojson",
)
def get_geojson(request: MemberRequest, site_id: Path[Id]) -> dict[str, Any]:
    """The site as GeoJSON in local metres, which comes in again without loss."""
    return yarrow.site_to_geojson(SITES.there(request.user).get(id=site_id).document)


@router.post(
    "/site/geojson",
    response={200: DuctsDocument, **REFUSALS},
    operation_id="read_site_geojson",
)
def read_geojson(request: MemberRequest, collection: Given[dict[str, Any]]) -> dict[str, Any]:
    """A site's document out of GeoJSON in local metres; nothing is saved."""
    return yarrow.site_from_geojson(collection)


@router.get(
    "/sites/{site_id}/plan.dxf",
    response={200: str, **REFUSALS},
    operation_id="get_site_dxf",
    openapi_extra={"responses": {200: {"content": {"image/vnd.dxf": {}}}}},
)
def get_dxf(request: MemberRequest, site_id: Path[Id]) -> HttpResponse:
    """The site as DXF in metres, which comes in again without loss."""
    site = SITES.there(request.user).get(id=site_id)
    plan = yarrow.site.values(site.document)
    return as_file(site_dxf(site.document, plan), "image/vnd.dxf", f"{file_name(site)}.dxf")


@router.post(
    "/site/dxf",
    response={200: DuctsDocument, **REFUSALS},
    throttle=[FILES],
    operation_id="read_site_dxf",
)
def read_dxf(request: MemberRequest, body: SiteDxf) -> dict[str, Any]:
    """A site's document out of a DXF; nothing is saved."""
    return read_site_dxf(body.dxf)


@router.get(
    "/sites/{site_id}/quantities.csv",
    response={200: str, **REFUSALS},
    operation_id="get_site_quantities",
    openapi_extra={"responses": {200: {"content": {"text/csv": {}}}}},
)
def get_quantities(request: MemberRequest, site_id: Path[Id]) -> HttpResponse:
    """What the site takes: trench, ducts, bends, ropes, pull points, cable."""
    site = SITES.there(request.user).get(id=site_id)
    text = yarrow.site.written(site.document, "csv", site.job.rulebook.language).text
    return as_file(text.encode(), "text/csv; charset=utf-8", f"{file_name(site)}.csv")


@router.get(
    "/sites/{site_id}/sheet.svg",
    response={200: str, **REFUSALS},
    operation_id="get_site_sheet_svg",
    openapi_extra={"responses": {200: {"content": {"image/svg+xml": {}}}}},
)
def get_sheet_svg(
    request: MemberRequest,
    site_id: Path[Id],
    paper: Query[LargePaper] = "a4",
    page: Query[int] = 1,
) -> HttpResponse:
    """A page of the sheets of a site, counted from 1: the plan, then the schedule; how many there
    are stands in ``X-Pages``. Beyond the last, that."""
    return one_page(_site_sheet(SITES.there(request.user).get(id=site_id), paper), page)


@router.get(
    "/sites/{site_id}/sheet.pdf",
    response={200: str, **REFUSALS},
    operation_id="get_site_sheet_pdf",
    openapi_extra={"responses": {200: {"content": {"application/pdf": {}}}}},
)
def get_sheet_pdf(
    request: MemberRequest, site_id: Path[Id], paper: Query[LargePaper] = "a4"
) -> HttpResponse:
    """The same sheets as a PDF, all of their pages."""
    site = SITES.there(request.user).get(id=site_id)
    sheet = sheet_pdf(*_site_sheet(site, paper))
    return as_file(sheet, "application/pdf", f"{file_name(site)}.pdf")


def _site_sheet(site: JobSite, paper: LargePaper) -> tuple[Drawing, ...]:
    site_read, plan = yarrow.read(site.document, "site"), yarrow.site.values(site.document)
    return compose_site_sheet(site_read, plan, heading_of(site), LARGE_PAPERS[paper])
