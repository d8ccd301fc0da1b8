"""The crew's own benders: what is in the crib, and what a test bend says."""

from __future__ import annotations

from django.http import HttpRequest
from ninja import Body, Path, Router

from api.problems import REFUSALS, Problem
from api.shapes import (
    BenderDetail,
    BenderDocument,
    BenderSave,
    Id,
    Nothing,
    bender_detail,
)
from crib import services
from crib.policy import benders_for
from yarrow.documents.bender_file import BenderNumbers, bender_numbers

router = Router(tags=["crib"])


@router.get("/benders", response={200: list[BenderDetail], **REFUSALS}, operation_id="list_benders")
def list_benders(request: HttpRequest) -> list[BenderDetail]:
    """The crew's own benders, by name."""
    return [bender_detail(bender) for bender in benders_for(request.user)]


@router.post("/benders", response={201: BenderDetail, **REFUSALS}, operation_id="add_bender")
def add_bender(request: HttpRequest, document: Body[BenderDocument]) -> tuple[int, BenderDetail]:
    """Keep a bender."""
    return 201, bender_detail(services.add_bender(request.user, document))


@router.post(
    "/benders/numbers", response={200: BenderNumbers, **REFUSALS}, operation_id="bender_numbers"
)
def numbers(request: HttpRequest, document: Body[BenderDocument]) -> BenderNumbers:
    """What a bender's numbers or test bends come to; nothing is saved."""
    return bender_numbers(document)


@router.put(
    "/benders/{bender_id}",
    response={200: BenderDetail, 409: Problem, **REFUSALS},
    operation_id="save_bender",
)
def save_bender(request: HttpRequest, bender_id: Path[Id], body: BenderSave) -> BenderDetail:
    """Other numbers for a bender."""
    return bender_detail(
        services.save_bender(request.user, bender_id, body.document, body.base_version)
    )


@router.delete(
    "/benders/{bender_id}", response={200: Nothing, **REFUSALS}, operation_id="remove_bender"
)
def remove_bender(request: HttpRequest, bender_id: Path[Id]) -> Nothing:
    """Take a bender out of the crib; runs keep the numbers that they were planned with."""
    services.remove_bender(request.user, bender_id)
    return Nothing()
