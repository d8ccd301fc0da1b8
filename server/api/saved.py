"""The routes that every kind of document which is saved by version has: open and save, put away and
bring back, history and an earlier version again."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from inspect import Parameter, Signature
from typing import Any

from ninja import Path as InPath
from ninja import Query, Router, Schema

from accounts.models import Member
from api.problems import REFUSALS, ConflictProblem
from api.request import MemberRequest
from api.shapes import Id, Nothing, Restore, RevisionSummary, Version, revision_page
from versions.changes import Changes

Parameters = Mapping[str, Any]
"""What stands in an address or behind it, by its name, as its annotation."""


_OLDER: Any = Query[Version | None]  # type: ignore[misc]


@dataclass(frozen=True, slots=True)
class SavedKind:
    """A kind of saved documents, as its routes know it.

    ``one`` is what its operations are called by (``wall``), ``called`` what a person calls it (``a
    wall``); ``at`` is the address of one, ``parameters`` what names it there, and ``row_id`` its
    number by those. ``detail_of`` makes the answer that has the document.
    """

    one: str
    called: str
    at: str
    parameters: Parameters
    row_id: Callable[..., int]
    changes: Changes[Any]
    detail: type[Schema]
    detail_of: Callable[[Any], Any]
    save: type[Schema] | None = None


def by_number(one: str) -> tuple[Parameters, Callable[..., int]]:
    """The parameters of a kind that is addressed by its number, and how that is found in them.

    Args:
        one: what it is called by.
    """
    name = f"{one}_id"

    def row_id(_: Member, **values: Any) -> int:
        return int(values[name])

    return {name: InPath[Id]}, row_id


def add_open(router: Router, kind: SavedKind) -> None:
    """The document as it stands.

    Args:
        router: that it is added to.
        kind: of documents.
    """

    def get(request: MemberRequest, **values: Any) -> Any:
        return kind.detail_of(_row(request.user, kind, values))

    words = f"{kind.called} as it stands."
    _add(router, kind, "GET", "", f"get_{kind.one}", _detail(kind), get, words)


def add_save(router: Router, kind: SavedKind) -> None:
    """Another version of the document.

    Args:
        router: that it is added to.
        kind: of documents, with the shape of what is saved.
    """

    def save(request: MemberRequest, *, body: Any, **values: Any) -> Any:
        row_id = kind.row_id(request.user, **values)
        return kind.detail_of(
            kind.changes.save(request.user, row_id, body.document, body.base_version)
        )

    words = f"Another version of {kind.called}; 409 with both where someone else was faster."
    answers = {**_detail(kind), 409: ConflictProblem}
    _add(router, kind, "PUT", "", f"save_{kind.one}", answers, save, words, {"body": kind.save})


def add_put_away(router: Router, kind: SavedKind) -> None:
    """Put away, and brought back.

    Args:
        router: that they are added to.
        kind: of documents.
    """

    def remove(request: MemberRequest, **values: Any) -> Nothing:
        kind.changes.remove(request.user, kind.row_id(request.user, **values))
        return Nothing()

    def bring_back(request: MemberRequest, **values: Any) -> Any:
        row_id = kind.row_id(request.user, **values)
        return kind.detail_of(kind.changes.bring_back(request.user, row_id))

    gone = {200: Nothing, **REFUSALS}
    words = f"Put {kind.called} away; it can be brought back."
    _add(router, kind, "DELETE", "", f"remove_{kind.one}", gone, remove, words)
    words, operation = f"Bring back {kind.called} that was put away.", f"bring_back_{kind.one}"
    _add(router, kind, "POST", "/bring-back", operation, _detail(kind), bring_back, words)


def add_history(router: Router, kind: SavedKind) -> None:
    """Its revisions, and one of them again.

    Args:
        router: that they are added to.
        kind: of documents.
    """

    def revisions(request: MemberRequest, *, before: int | None, **values: Any) -> Any:
        return revision_page(_row(request.user, kind, values).revisions.all(), before)

    def restore(request: MemberRequest, *, version: int, body: Restore, **values: Any) -> Any:
        row_id = kind.row_id(request.user, **values)
        return kind.detail_of(
            kind.changes.restore(request.user, row_id, version, body.base_version)
        )

    _add(
        router,
        kind,
        "GET",
        "/revisions",
        f"list_{kind.one}_revisions",
        {200: list[RevisionSummary], **REFUSALS},
        revisions,
        f"A page of the history of {kind.called}, newest first: the newest, or those before a"
        " version.",
        {"before": _OLDER},
        {"before": None},
    )
    _add(
        router,
        kind,
        "POST",
        "/revisions/{version}/restore",
        f"restore_{kind.one}",
        {**_detail(kind), 409: ConflictProblem},
        restore,
        f"Bring an earlier revision of {kind.called} back, as the next version.",
        {"version": InPath[Version], "body": Restore},
    )


def add_saved_routes(router: Router, kind: SavedKind) -> None:
    """All of them.

    Args:
        router: that they are added to.
        kind: of documents.
    """
    add_open(router, kind)
    add_save(router, kind)
    add_put_away(router, kind)
    add_history(router, kind)


def _detail(kind: SavedKind) -> dict[int, Any]:
    return {200: kind.detail, **REFUSALS}


def _row(member: Member, kind: SavedKind, values: dict[str, Any]) -> Any:
    return kind.changes.there(member).get(id=kind.row_id(member, **values))


def _add(
    router: Router,
    kind: SavedKind,
    method: str,
    behind: str,
    operation: str,
    response: dict[int, Any],
    view: Callable[..., Any],
    words: str,
    more: Parameters | None = None,
    defaults: Parameters | None = None,
) -> None:
    """A route of a kind: its function has the parameters that the kind's address wants."""
    wanted = {"request": MemberRequest, **kind.parameters, **(more or {})}
    view.__signature__ = Signature(  # type: ignore[attr-defined]
        [
            Parameter(
                name,
                Parameter.KEYWORD_ONLY if name != "request" else Parameter.POSITIONAL_OR_KEYWORD,
                annotation=annotation,
                default=(defaults or {}).get(name, Parameter.empty),
            )
            for name, annotation in wanted.items()
        ]
    )
    view.__name__, view.__doc__ = operation, words[:1].upper() + words[1:]
    router.add_api_operation(
        f"{kind.at}{behind}", [method], view, response=response, operation_id=operation
    )
