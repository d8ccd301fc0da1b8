"""One shape for everything that goes wrong, and the way from each error to it."""

from __future__ import annotations

from datetime import datetime
from typing import Any

from django.core.exceptions import ObjectDoesNotExist, RequestDataTooBig
from django.http import HttpRequest, HttpResponse
from ninja import NinjaAPI, Schema
from ninja.errors import AuthenticationError, HttpError, Throttled, ValidationError

from api.failures import failed
from jobs.taken import StillWorkingOut
from versions.services import TooLong, VersionConflict
from yarrow import DocumentError, TableError


class FieldProblem(Schema):
    """A field that can't be read: its path, and what was expected there."""

    path: str
    expected: str


class Problem(Schema):
    """What went wrong: a code to act on, a sentence to show, and the fields it is about."""

    code: str
    message: str
    errors: tuple[FieldProblem, ...] = ()


class Theirs(Schema):
    """A document as someone else saved it."""

    document: dict[str, Any]
    version: int
    updated_by: str
    updated_at: datetime


class ConflictProblem(Problem):
    """Someone else saved in between: what was sent, and the document as it stands."""

    yours: dict[str, Any]
    theirs: Theirs


REFUSALS: dict[int, Any] = {
    400: Problem,
    401: Problem,
    403: Problem,
    404: Problem,
    413: Problem,
    422: Problem,
    429: Problem,
}
"""Declared on every route."""


class StaleToken(Exception):
    """A change came without the token that goes with its session: the page asks for another."""


_CSRF_FAILED = "CSRF check Failed"
"""How Ninja's own check says so."""


def unreadable(error: DocumentError) -> dict[str, Any]:
    """The problem of a document that can't be read."""
    field = {"path": error.path, "expected": error.expected}
    return {"code": "unreadable", "message": str(error), "errors": [field]}


def unreadable_table(error: TableError) -> dict[str, Any]:
    """The problem of a table that can't be read: every place that is wrong."""
    fields = [{"path": each.path, "expected": each.expected} for each in error.errors]
    return {"code": "unreadable", "message": str(error.errors[0]), "errors": fields}


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

    @api.exception_handler(DocumentError)
    def refused(request: HttpRequest, error: DocumentError) -> HttpResponse:
        return api.create_response(request, unreadable(error), status=422)

    @api.exception_handler(TooLong)
    def too_long(request: HttpRequest, error: TooLong) -> HttpResponse:
        message = f"This is longer than one may be: {error.expected}."
        return answer(request, 413, "too-large", message)

    @api.exception_handler(StillWorkingOut)
    def working(request: HttpRequest, error: StillWorkingOut) -> HttpResponse:
        return answer(request, 503, "still-working", str(error))

    @api.exception_handler(TableError)
    def unreadable_rows(request: HttpRequest, error: TableError) -> HttpResponse:
        return api.create_response(request, unreadable_table(error), status=422)

    @api.exception_handler(ValidationError)
    def invalid(request: HttpRequest, error: ValidationError) -> HttpResponse:
        fields = [
            {
                "path": _path(problem["loc"]),
                "expected": str(problem["msg"]).removeprefix("Value error, "),
            }
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

    @api.exception_handler(RequestDataTooBig)
    def too_large(request: HttpRequest, error: RequestDataTooBig) -> HttpResponse:
        return answer(request, 413, "too-large", "This request carries too much.")

    @api.exception_handler(Throttled)
    def throttled(request: HttpRequest, error: Throttled) -> HttpResponse:
        wait = f" Wait {error.wait:.0f} seconds." if error.wait else " Wait a minute."
        return answer(request, 429, "throttled", f"Too many tries.{wait}")

    @api.exception_handler(HttpError)
    def other(request: HttpRequest, error: HttpError) -> HttpResponse:
        # Ninja turns what the parser raises into its own error; the cause says more.
        if isinstance(error.__cause__, DocumentError):
            return refused(request, error.__cause__)
        if str(error) == _CSRF_FAILED:
            return stale(request, StaleToken())
        return answer(request, error.status_code, "refused", str(error))

    @api.exception_handler(StaleToken)
    def stale(request: HttpRequest, error: StaleToken) -> HttpResponse:
        return answer(request, 403, "stale-token", "The page is out of date. Load it again.")

    @api.exception_handler(Exception)
    def broken(request: HttpRequest, error: Exception) -> HttpResponse:
        return failed(request, error)

    @api.exception_handler(VersionConflict)
    def conflict(request: HttpRequest, error: VersionConflict) -> HttpResponse:
        current = error.current
        who = current.updated_by.shown_name
        # Two tabs of one person are no two people.
        own = current.updated_by == request.user
        message = f"{who} saved this {error.called} in the meantime."
        if own:
            message = f"You saved this {error.called} in another tab, or on another device."
        body = ConflictProblem(
            code="conflict",
            message=message,
            yours=error.yours,
            theirs=Theirs(
                document=current.document,
                version=current.version,
                updated_by=who,
                updated_at=current.updated_at,
            ),
        )
        return api.create_response(request, body, status=409)


def _path(location: tuple[Any, ...]) -> str:
    """Pydantic's place (``body, body, name``) as a path (``name``)."""
    parts = [part for part in location if part not in ("body", "path", "query")]
    text = ""
    for part in parts:
        text += f"[{part}]" if isinstance(part, int) else f".{part}" if text else str(part)
    return text or "document"
