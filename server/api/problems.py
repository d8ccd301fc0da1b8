"""One shape for everything that goes wrong, and the way from each error to it."""

from __future__ import annotations

from typing import Any

from django.core.exceptions import ObjectDoesNotExist, RequestDataTooBig
from django.http import HttpRequest, HttpResponse
from ninja import NinjaAPI, Schema
from ninja.errors import AuthenticationError, HttpError, ValidationError

from api.shapes import RunDetail, run_detail
from crib.services import Moved
from jobs.services import BoxMoved, Conflict
from yarrow.documents.refusal import Refusal
from yarrow.documents.schedule import Unreadable


class FieldProblem(Schema):
    """A field that can't be read: its path, and what was expected there."""

    path: str
    expected: str


class Problem(Schema):
    """What went wrong: a code to act on, a sentence to show, and the fields it is about."""

    code: str
    message: str
    errors: tuple[FieldProblem, ...] = ()


class ConflictProblem(Problem):
    """Someone else saved in between: what was sent, and the run as it stands."""

    yours: dict[str, Any]
    theirs: RunDetail


REFUSALS: dict[int, Any] = {
    400: Problem,
    401: Problem,
    403: Problem,
    404: Problem,
    413: Problem,
    422: Problem,
}
"""Declared on every route."""


def unreadable(error: Refusal) -> dict[str, Any]:
    """The problem of a document that can't be read."""
    field = {"path": error.path, "expected": error.expected}
    return {"code": "unreadable", "message": str(error), "errors": [field]}


def unreadable_table(error: Unreadable) -> dict[str, Any]:
    """The problem of a table that can't be read: every place that is wrong."""
    fields = [{"path": each.path, "expected": each.expected} for each in error.refusals]
    return {"code": "unreadable", "message": str(error.refusals[0]), "errors": fields}


def handle_problems(api: NinjaAPI) -> None:
    """Teach an API to answer every expected error with a Problem."""

    def answer(
        request: HttpRequest,
        status: int,
        code: str,
        message: str,
        errors: list[dict[str, str]] | None = None,
    ) -> HttpResponse:
        body = {"code": code, "message": message, "errors": errors or []}
        return api.create_response(request, body, status=status)

    @api.exception_handler(Refusal)
    def refused(request: HttpRequest, error: Refusal) -> HttpResponse:
        return api.create_response(request, unreadable(error), status=422)

    @api.exception_handler(Unreadable)
    def unreadable_rows(request: HttpRequest, error: Unreadable) -> HttpResponse:
        return api.create_response(request, unreadable_table(error), status=422)

    @api.exception_handler(ValidationError)
    def invalid(request: HttpRequest, error: ValidationError) -> HttpResponse:
        fields = [
            {"path": _path(problem["loc"]), "expected": str(problem["msg"])}
            for problem in error.errors
        ]
        first = fields[0] if fields else {"path": "document", "expected": "a document"}
        message = f"{first['path']}: {first['expected']}"
        return answer(request, 422, "unreadable", message, fields)

    @api.exception_handler(ObjectDoesNotExist)
    def missing(request: HttpRequest, error: ObjectDoesNotExist) -> HttpResponse:
        return answer(request, 404, "not-found", "There is nothing here that is yours to see.")

    @api.exception_handler(AuthenticationError)
    def stranger(request: HttpRequest, error: AuthenticationError) -> HttpResponse:
        return answer(request, 401, "signed-out", "Sign in first.")

    @api.exception_handler(Moved)
    def moved(request: HttpRequest, error: Moved) -> HttpResponse:
        who = error.current.updated_by.shown_name
        message = f"{who} changed this bender meanwhile. Open it again, then change it."
        return answer(request, 409, "conflict", message)

    @api.exception_handler(BoxMoved)
    def box_moved(request: HttpRequest, error: BoxMoved) -> HttpResponse:
        who = error.current.updated_by.shown_name
        message = f"{who} changed this box meanwhile. Open it again, then change it."
        return answer(request, 409, "conflict", message)

    @api.exception_handler(RequestDataTooBig)
    def too_large(request: HttpRequest, error: RequestDataTooBig) -> HttpResponse:
        return answer(request, 413, "too-large", "A request may carry at most 1 MB.")

    @api.exception_handler(HttpError)
    def other(request: HttpRequest, error: HttpError) -> HttpResponse:
        # Ninja turns what the parser raises into its own error; the cause says more.
        if isinstance(error.__cause__, Refusal):
            return refused(request, error.__cause__)
        return answer(request, error.status_code, "refused", str(error))

    @api.exception_handler(Conflict)
    def conflict(request: HttpRequest, error: Conflict) -> HttpResponse:
        theirs = error.current
        body = ConflictProblem(
            code="conflict",
            message=f"{theirs.updated_by.shown_name} saved this run in the meantime.",
            yours=getattr(request, "document", None) or {},
            theirs=run_detail(theirs),
        )
        return api.create_response(request, body, status=409)


def _path(location: tuple[Any, ...]) -> str:
    """Pydantic's place (``body, body, name``) as a path (``name``)."""
    parts = [part for part in location if part not in ("body", "path", "query")]
    text = ""
    for part in parts:
        text += f"[{part}]" if isinstance(part, int) else f".{part}" if text else str(part)
    return text or "document"
