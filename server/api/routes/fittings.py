"""The crew's own fittings, as one list."""

from __future__ import annotations

from typing import Annotated, Any

from ninja import Schema
from pydantic import WithJsonSchema

from api.problems import REFUSALS, ConflictProblem
from api.request import MemberRequest
from api.router import Router
from api.saved import HISTORY, SavedRoutes
from api.shapes import Body, VersionOrNone
from benders.fittings import FITTINGS, no_fittings
from benders.models import CrewFittings

router = Router(tags=["fittings"])

FittingsDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "fittings"})]


class FittingsSave(Body):
    """The whole list, and the version that it was made from (0: nothing was in it yet)."""

    document: FittingsDocument
    base_version: VersionOrNone


class FittingsDetail(Schema):
    """A crew's own fittings, at a version."""

    version: int
    document: FittingsDocument


@router.get("/fittings", response={200: FittingsDetail, **REFUSALS}, operation_id="get_fittings")
def get_fittings(request: MemberRequest) -> FittingsDetail:
    """The crew's own fittings; none yet is an empty list."""
    return _fittings_detail(FITTINGS.there(request.user).first())


@router.put(
    "/fittings",
    response={200: FittingsDetail, 409: ConflictProblem, **REFUSALS},
    operation_id="save_fittings",
)
def save_fittings(request: MemberRequest, body: FittingsSave) -> FittingsDetail:
    """Another list."""
    member = request.user
    return _fittings_detail(FITTINGS.put(member, member.crew_id, body.document, body.base_version))


def _fittings_detail(row: CrewFittings | None) -> FittingsDetail:
    return FittingsDetail(
        version=row.version if row else 0,
        document=row.document if row else no_fittings(),
    )


SAVED = SavedRoutes(
    FITTINGS,
    "/fittings",
    {},
    lambda member: FITTINGS.there(member).get().pk,
    FittingsDetail,
    _fittings_detail,
    has=(HISTORY,),
)
