"""The crew's own benders, and what a test bend says."""

from __future__ import annotations

from ninja import Body, Path

from api.bender_shapes import BenderDetail, BenderSave, BendsMeasured, bender_detail
from api.documents import BenderDocument
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.saved import HISTORY, PUT_AWAY, SAVE, SavedRoutes, by_number
from api.shapes import (
    MOST_LISTED,
    Id,
    RemovedSummary,
    removed_summary,
)
from benders import services
from benders.services import BENDERS

router = Router(tags=["benders"])


@router.get("/benders", response={200: list[BenderDetail], **REFUSALS}, operation_id="list_benders")
def list_benders(request: MemberRequest) -> list[BenderDetail]:
    """The crew's own benders, by name."""
    return [bender_detail(bender) for bender in BENDERS.there(request.user)]


@router.post("/benders", response={201: BenderDetail, **REFUSALS}, operation_id="add_bender")
def add_bender(request: MemberRequest, document: Body[BenderDocument]) -> tuple[int, BenderDetail]:
    """Keep a bender."""
    return 201, bender_detail(BENDERS.create(request.user, request.user.crew_id, document))


@router.get(
    "/benders/removed",
    response={200: list[RemovedSummary], **REFUSALS},
    operation_id="list_removed_benders",
)
def list_removed(request: MemberRequest) -> list[RemovedSummary]:
    """The benders that were removed."""
    return [removed_summary(bender) for bender in BENDERS.removed(request.user)[:MOST_LISTED]]


@router.post(
    "/benders/{bender_id}/bends",
    response={200: BenderDetail, **REFUSALS},
    operation_id="learn_bender",
)
def learn(request: MemberRequest, bender_id: Path[Id], body: BendsMeasured) -> BenderDetail:
    """More bends that were measured on a bender; sent again, they are kept once."""
    return bender_detail(services.learn_bender(request.user, bender_id, body.bends))


SAVED = SavedRoutes(
    BENDERS,
    "/benders/{bender_id}",
    *by_number("bender"),
    BenderDetail,
    bender_detail,
    BenderSave,
    (SAVE, PUT_AWAY, HISTORY),
)
