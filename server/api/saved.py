"""The routes that every kind of document which is saved by version has: open and save, put away and
bring back, history and an earlier version again; of those that a job has, list and create too."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any

from ninja import Body as Given
from ninja import Path as InPath
from ninja import Query, Schema
from pydantic import create_model

from accounts.models import Member
from api.documents import document_of
from api.problems import REFUSALS, ConflictProblem
from api.request import MemberRequest
from api.router import Router
from api.shapes import (
    Body,
    Id,
    NamedDetail,
    NamedSummary,
    Nothing,
    Restore,
    RevisionSummary,
    Version,
    revision_page,
)
from api.signatures import with_parameters
from jobs.policy import jobs_for
from versions.kinds import SavedKind

Parameters = Mapping[str, Any]
"""What stands in an address or behind it, by its name, as its annotation."""

_OLDER: Any = Query[Version | None]  # type: ignore[misc]

OPEN, SAVE, PUT_AWAY, HISTORY = "open", "save", "put away", "history"


@dataclass(frozen=True, slots=True)
class SavedRoutes:
    """A kind of saved documents, as its routes know it.

    ``at`` is the address of one, ``parameters`` what names it there, and ``row_id`` its number by
    those. ``detail_of`` makes the answer that has the document, ``save`` is what is sent; ``has``
    are the routes that it goes by as all do, where it has none of its own for that.
    """

    kind: SavedKind[Any]
    at: str
    parameters: Parameters
    row_id: Callable[..., int]
    detail: type[Schema]
    detail_of: Callable[[Any], Any]
    save: type[Schema] | None = None
    has: tuple[str, ...] = (OPEN, SAVE, PUT_AWAY, HISTORY)


def by_number(one: str) -> tuple[Parameters, Callable[..., int]]:
    """The parameters of a kind that is addressed by its number, and how that is found in them.

    Args:
        one: what it is called by.

    Returns:
        Each parameter's name with its type; and what takes their values to the number.
    """
    name = f"{one}_id"

    def row_id(_: Member, **values: Any) -> int:
        return int(values[name])

    return {name: InPath[Id]}, row_id


def add_routes(router: Router, routes: SavedRoutes) -> None:
    """The routes of a kind that go as all kinds' do.

    Args:
        router: that they are added to.
        routes: of that kind.
    """
    adders = {OPEN: _open, SAVE: _save, PUT_AWAY: _put_away, HISTORY: _history}
    for route in routes.has:
        adders[route](router, routes)


def routes_in_a_job(router: Router, kind: SavedKind[Any]) -> SavedRoutes:
    """The routes of a kind that a job has some of, each with a name: all that there are to it.

    Args:
        router: that listing and creating are added to.
        kind: of documents.
    """
    shown = kind.one.capitalize()
    document = document_of(kind.format)
    summary = create_model(f"{shown}Summary", __base__=NamedSummary)
    detail = create_model(f"{shown}Detail", __base__=NamedDetail, document=(document, ...))
    save = create_model(
        f"{shown}Save", __base__=Body, document=(document, ...), base_version=(Version, ...)
    )
    routes = SavedRoutes(
        kind, f"/{kind.many}/{{{kind.one}_id}}", *by_number(kind.one), detail, _named, save
    )

    def listed(request: MemberRequest, *, job_id: int) -> Any:
        job = jobs_for(request.user).get(id=job_id)
        return list(kind.there(request.user).filter(job=job).defer("document"))

    def create(request: MemberRequest, *, job_id: int, document: Any) -> tuple[int, Any]:
        return 201, _named(kind.create(request.user, job_id, document))

    of_job = {"job_id": InPath[Id]}
    at = f"/jobs/{{job_id}}/{kind.many}"
    listing = {200: list[summary], **REFUSALS}  # type: ignore[valid-type]
    _add(router, at, "GET", f"list_{kind.many}", listing, listed, "Those of a job.", of_job)
    made = {201: detail, **REFUSALS}
    body: Any = Given[document]  # type: ignore[misc, valid-type]  # one of each kind
    takes = {**of_job, "document": body}
    _add(router, at, "POST", f"create_{kind.one}", made, create, "A new one.", takes)
    return routes


def _named(row: Any) -> dict[str, Any]:
    return {
        "id": row.id,
        "name": row.name,
        "version": row.version,
        "job_id": row.job_id,
        "job_name": row.job.name,
        "document": row.document,
    }


def _open(router: Router, routes: SavedRoutes) -> None:
    def get(request: MemberRequest, **values: Any) -> Any:
        return routes.detail_of(_row(request.user, routes, values))

    words, operation = f"A {routes.kind.called} as it stands.", f"get_{routes.kind.one}"
    _add(router, routes.at, "GET", operation, _detail(routes), get, words, routes.parameters)


def _save(router: Router, routes: SavedRoutes) -> None:
    def save(request: MemberRequest, *, body: Any, **values: Any) -> Any:
        row_id = routes.row_id(request.user, **values)
        return routes.detail_of(
            routes.kind.save(request.user, row_id, body.document, body.base_version)
        )

    words = f"Another version of a {routes.kind.called}; 409 with both where someone was faster."
    answers = {**_detail(routes), 409: ConflictProblem}
    takes = {**routes.parameters, "body": routes.save}
    _add(router, routes.at, "PUT", f"save_{routes.kind.one}", answers, save, words, takes)


def _put_away(router: Router, routes: SavedRoutes) -> None:
    def remove(request: MemberRequest, **values: Any) -> Nothing:
        routes.kind.remove(request.user, routes.row_id(request.user, **values))
        return Nothing()

    def bring_back(request: MemberRequest, **values: Any) -> Any:
        row_id = routes.row_id(request.user, **values)
        return routes.detail_of(routes.kind.bring_back(request.user, row_id))

    one, called, takes = routes.kind.one, routes.kind.called, routes.parameters
    gone = {200: Nothing, **REFUSALS}
    words = f"Put a {called} away; it can be brought back."
    _add(router, routes.at, "DELETE", f"remove_{one}", gone, remove, words, takes)
    at, words = f"{routes.at}/bring-back", f"Bring back a {called} that was put away."
    _add(router, at, "POST", f"bring_back_{one}", _detail(routes), bring_back, words, takes)


def _history(router: Router, routes: SavedRoutes) -> None:
    def revisions(request: MemberRequest, *, before: int | None = None, **values: Any) -> Any:
        return revision_page(_row(request.user, routes, values).revisions.all(), before)

    def restore(request: MemberRequest, *, version: int, body: Restore, **values: Any) -> Any:
        row_id = routes.row_id(request.user, **values)
        return routes.detail_of(
            routes.kind.restore(request.user, row_id, version, body.base_version)
        )

    one, called, at = routes.kind.one, routes.kind.called, f"{routes.at}/revisions"
    words = f"A page of a {called}'s history, newest first: the newest, or those before a version."
    page = {200: list[RevisionSummary], **REFUSALS}
    takes = {**routes.parameters, "before": _OLDER}
    _add(router, at, "GET", f"list_{one}_revisions", page, revisions, words, takes)
    answers = {**_detail(routes), 409: ConflictProblem}
    words = f"Bring an earlier revision of a {called} back, as the next version."
    takes = {**routes.parameters, "version": InPath[Version], "body": Restore}
    at = f"{at}/{{version}}/restore"
    _add(router, at, "POST", f"restore_{one}", answers, restore, words, takes)


def _detail(routes: SavedRoutes) -> dict[int, Any]:
    return {200: routes.detail, **REFUSALS}


def _row(member: Member, routes: SavedRoutes, values: dict[str, Any]) -> Any:
    return routes.kind.there(member).get(id=routes.row_id(member, **values))


def _add(
    router: Router,
    at: str,
    method: str,
    operation: str,
    response: dict[int, Any],
    view: Callable[..., Any],
    words: str,
    takes: Parameters,
) -> None:
    """A route of a kind: its function has the parameters that the kind's address wants."""
    usual = {name: None for name, annotation in takes.items() if annotation is _OLDER}
    with_parameters(view, takes, usual)
    view.__name__, view.__doc__ = operation, words
    router.add_api_operation(at, [method], view, response=response, operation_id=operation)
