"""The crew's own fittings, as one list."""

from __future__ import annotations

from typing import Annotated, Any

from ninja import Path, Query, Router, Schema
from pydantic import WithJsonSchema

from api.problems import REFUSALS, ConflictProblem
from api.request import MemberRequest
from api.shapes import Body, Restore, RevisionSummary, Version, VersionOrNone, revision_page
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


@router.get(
    "/fittings/revisions",
    response={200: list[RevisionSummary], **REFUSALS},
    operation_id="list_fittings_revisions",
)
def list_revisions(
    request: MemberRequest, before: Query[Version | None] = None
) -> list[RevisionSummary]:
    """A page of the list's history, newest first: the newest, or those before a version."""
    return revision_page(fittings_for(request.user).get().revisions.all(), before)


@router.post(
    "/fittings/revisions/{version}/restore",
    response={200: FittingsDetail, 409: ConflictProblem, **REFUSALS},
    operation_id="restore_fittings",
)
def restore_fittings(
    request: MemberRequest, version: Path[Version], body: Restore
) -> FittingsDetail:
    """Bring an earlier list back, as the next version."""
    return _fittings_detail(
        services.FITTINGS.restore(
            request.user, fittings_for(request.user).get().id, version, body.base_version
        )
    )


def _fittings_detail(row: CrewFittings | None) -> FittingsDetail:
    return FittingsDetail(
        version=row.version if row else 0,
        document=row.document if row else services.no_fittings(),
    )
