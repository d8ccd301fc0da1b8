"""The crew's own benders, and what a test bend says."""

from __future__ import annotations

from django.http import HttpResponse
from ninja import Body, Path, Query, Router

import yarrow
from api.answers import answered
from api.bender_shapes import BenderDetail, BenderSave, BendsMeasured, bender_detail
from api.documents import BenderDocument
from api.problems import REFUSALS, ConflictProblem
from api.request import MemberRequest
from api.shapes import (
    MOST_LISTED,
    Id,
    Nothing,
    RemovedSummary,
    Restore,
    RevisionSummary,
    Version,
    removed_summary,
    revision_page,
)
from benders import services
from benders.policy import benders_for, removed_benders_for
from yarrow.documents.bender_file import BenderNumbers

router = Router(tags=["benders"])


@router.get("/benders", response={200: list[BenderDetail], **REFUSALS}, operation_id="list_benders")
def list_benders(request: MemberRequest) -> list[BenderDetail]:
    """The crew's own benders, by name."""
    return [bender_detail(bender) for bender in benders_for(request.user)]


@router.post("/benders", response={201: BenderDetail, **REFUSALS}, operation_id="add_bender")
def add_bender(request: MemberRequest, document: Body[BenderDocument]) -> tuple[int, BenderDetail]:
    """Keep a bender."""
    return 201, bender_detail(services.add_bender(request.user, document))


@router.post(
    "/benders/numbers", response={200: BenderNumbers, **REFUSALS}, operation_id="bender_numbers"
)
def numbers(request: MemberRequest, document: Body[BenderDocument]) -> HttpResponse:
    """What a bender's numbers or test bends come to; nothing is saved."""
    return answered(yarrow.bender(document))


@router.get(
    "/benders/removed",
    response={200: list[RemovedSummary], **REFUSALS},
    operation_id="list_removed_benders",
)
def list_removed(request: MemberRequest) -> list[RemovedSummary]:
    """The benders that were removed."""
    return [removed_summary(bender) for bender in removed_benders_for(request.user)[:MOST_LISTED]]


@router.post(
    "/benders/{bender_id}/bring-back",
    response={200: BenderDetail, **REFUSALS},
    operation_id="bring_back_bender",
)
def bring_back(request: MemberRequest, bender_id: Path[Id]) -> BenderDetail:
    """Bring back a bender that was taken out."""
    return bender_detail(services.BENDERS.bring_back(request.user, bender_id))


@router.get(
    "/benders/{bender_id}/revisions",
    response={200: list[RevisionSummary], **REFUSALS},
    operation_id="list_bender_revisions",
)
def list_revisions(
    request: MemberRequest, bender_id: Path[Id], before: Query[Version | None] = None
) -> list[RevisionSummary]:
    """A page of a bender's history, newest first: the newest, or those before a version."""
    bender = benders_for(request.user).get(id=bender_id)
    return revision_page(bender.revisions.all(), before)


@router.post(
    "/benders/{bender_id}/revisions/{version}/restore",
    response={200: BenderDetail, 409: ConflictProblem, **REFUSALS},
    operation_id="restore_bender",
)
def restore_bender(
    request: MemberRequest, bender_id: Path[Id], version: Path[Version], body: Restore
) -> BenderDetail:
    """Bring an earlier revision of a bender back, as the next version."""
    return bender_detail(
        services.BENDERS.restore(request.user, bender_id, version, body.base_version)
    )


@router.put(
    "/benders/{bender_id}",
    response={200: BenderDetail, 409: ConflictProblem, **REFUSALS},
    operation_id="save_bender",
)
def save_bender(request: MemberRequest, bender_id: Path[Id], body: BenderSave) -> BenderDetail:
    """Other numbers for a bender."""
    return bender_detail(
        services.BENDERS.save(request.user, bender_id, body.document, body.base_version)
    )


@router.post(
    "/benders/{bender_id}/bends",
    response={200: BenderDetail, **REFUSALS},
    operation_id="learn_bender",
)
def learn(request: MemberRequest, bender_id: Path[Id], body: BendsMeasured) -> BenderDetail:
    """More bends that were measured on a bender; sent again, they are kept once."""
    return bender_detail(services.learn_bender(request.user, bender_id, body.bends))


@router.delete(
    "/benders/{bender_id}", response={200: Nothing, **REFUSALS}, operation_id="remove_bender"
)
def remove_bender(request: MemberRequest, bender_id: Path[Id]) -> Nothing:
    """Remove a bender; runs keep the numbers that they were planned with."""
    services.BENDERS.remove(request.user, bender_id)
    return Nothing()
