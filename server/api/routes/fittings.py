"""The crew's own fittings, as one list."""

from __future__ import annotations

from typing import Annotated, Any

from ninja import Router, Schema
from pydantic import WithJsonSchema

from api.problems import REFUSALS, ConflictProblem
from api.request import MemberRequest
from api.saved import SavedKind, add_history
from api.shapes import Body, VersionOrNone
from benders import fittings as services
from benders.models import CrewFittings
from benders.policy import fittings_for

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
    return _fittings_detail(fittings_for(request.user).first())


@router.put(
    "/fittings",
    response={200: FittingsDetail, 409: ConflictProblem, **REFUSALS},
    operation_id="save_fittings",
)
def save_fittings(request: MemberRequest, body: FittingsSave) -> FittingsDetail:
    """Another list."""
    return _fittings_detail(services.save_fittings(request.user, body.document, body.base_version))


def _fittings_detail(row: CrewFittings | None) -> FittingsDetail:
    return FittingsDetail(
        version=row.version if row else 0,
        document=row.document if row else services.no_fittings(),
    )


add_history(
    router,
    SavedKind(
        "fittings",
        "the list",
        "/fittings",
        {},
        lambda member: fittings_for(member).get().pk,
        services.FITTINGS,
        FittingsDetail,
        _fittings_detail,
    ),
)
