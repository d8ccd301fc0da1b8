"""One shape for everything that goes wrong, and the way from each error to it."""

from __future__ import annotations

from collections.abc import Callable
from datetime import datetime
from functools import partial
from typing import Any

from django.core.exceptions import ObjectDoesNotExist, RequestDataTooBig
from django.http import HttpRequest, HttpResponse
from ninja import NinjaAPI, Schema
from ninja.errors import AuthenticationError, HttpError, Throttled, ValidationError

from accounts.links import LinkRefused
from accounts.passkeys import PasskeyRefused
from accounts.roles import NotForRole
from accounts.second_factor import SecondFactorWanted
from api.failures import failed
from jobs.stock import CutOfAnother
from jobs.taken import StillWorkingOut
from long_work.services import MOST_UNFINISHED, TooMuchAsked
from versions.services import TooLong, VersionConflict
from yarrow import DocumentError, TableError, unreadable


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


def unreadable_table(error: TableError) -> dict[str, Any]:
    """The problem of a table that can't be read: every place that is wrong.

    Returns:
        As RFC 9457 has it, with ``errors``.
    """
    fields = [{"path": problem.path, "expected": problem.expected} for problem in error.errors]
    return {"code": "unreadable", "message": str(error.errors[0]), "errors": fields}


Told = tuple[int, Problem | dict[str, Any]]
"""How an error is answered: the status, and the body."""

_Teller = Callable[[HttpRequest, Any], Told]

_TELLERS: dict[type[Exception], _Teller] = {}
"""By the error that is expected."""


def handle_problems(api: NinjaAPI) -> None:
    """Teach an API to answer every expected error with a Problem."""
    for error, teller in _TELLERS.items():
        api.add_exception_handler(error, partial(_answered, api, teller))
    api.exception_handler(Exception)(failed)


def _answered(
    api: NinjaAPI, teller: _Teller, request: HttpRequest, error: Exception
) -> HttpResponse:
    status, body = teller(request, error)
    return api.create_response(request, body, status=status)


def _tells(error: type[Exception]) -> Callable[[_Teller], _Teller]:
    def kept(teller: _Teller) -> _Teller:
        _TELLERS[error] = teller
        return teller

    return kept


@_tells(DocumentError)
def _unreadable(request: HttpRequest, error: DocumentError) -> Told:
    return 422, unreadable(error)


@_tells(TableError)
def _unreadable_rows(request: HttpRequest, error: TableError) -> Told:
    return 422, unreadable_table(error)


@_tells(TooLong)
def _too_long(request: HttpRequest, error: TooLong) -> Told:
    message = f"This is longer than one may be: {error.expected}."
    return 413, Problem(code="too-large", message=message)


@_tells(StillWorkingOut)
def _working(request: HttpRequest, error: StillWorkingOut) -> Told:
    return 503, Problem(code="still-working", message=str(error))


@_tells(CutOfAnother)
def _of_another(request: HttpRequest, error: CutOfAnother) -> Told:
    message = "Runs or stock have changed since this cut list was made: look at it again."
    return 422, Problem(code="changed-since", message=message)


@_tells(TooMuchAsked)
def _too_much_asked(request: HttpRequest, error: TooMuchAsked) -> Told:
    message = f"{MOST_UNFINISHED} things that you asked for are not done yet. Wait, or stop one."
    return 429, Problem(code="too-much-asked", message=message)


@_tells(ValidationError)
def _invalid(request: HttpRequest, error: ValidationError) -> Told:
    fields = tuple(
        FieldProblem(
            path=_path(problem["loc"]),
            expected=str(problem["msg"]).removeprefix("Value error, "),
        )
        for problem in error.errors
    )
    first = fields[0] if fields else FieldProblem(path="document", expected="a document")
    message = f"{first.path}: {first.expected}"
    return 422, Problem(code="unreadable", message=message, errors=fields)


@_tells(ObjectDoesNotExist)
def _missing(request: HttpRequest, error: ObjectDoesNotExist) -> Told:
    return 404, Problem(code="not-found", message="There is nothing here that is yours to see.")


@_tells(AuthenticationError)
def _stranger(request: HttpRequest, error: AuthenticationError) -> Told:
    return 401, Problem(code="signed-out", message="Sign in first.")


@_tells(RequestDataTooBig)
def _too_large(request: HttpRequest, error: RequestDataTooBig) -> Told:
    return 413, Problem(code="too-large", message="This request carries too much.")


@_tells(Throttled)
def _throttled(request: HttpRequest, error: Throttled) -> Told:
    wait = f" Wait {error.wait:.0f} seconds." if error.wait else " Wait a minute."
    return 429, Problem(code="throttled", message=f"Too many tries.{wait}")


@_tells(NotForRole)
def _not_theirs(request: HttpRequest, error: NotForRole) -> Told:
    return 403, Problem(code="not-for-role", message=str(error))


@_tells(SecondFactorWanted)
def _second_factor(request: HttpRequest, error: SecondFactorWanted) -> Told:
    return 403, Problem(code=error.code, message=str(error))


@_tells(PasskeyRefused)
def _passkey_refused(request: HttpRequest, error: PasskeyRefused) -> Told:
    return 403, Problem(code="passkey-refused", message=str(error))


@_tells(LinkRefused)
def _link_refused(request: HttpRequest, error: LinkRefused) -> Told:
    return 403, Problem(code=error.code, message=str(error))


@_tells(StaleToken)
def _stale(request: HttpRequest, error: StaleToken) -> Told:
    return 403, Problem(code="stale-token", message="The page is out of date. Load it again.")


@_tells(HttpError)
def _other(request: HttpRequest, error: HttpError) -> Told:
    # Ninja turns what the parser raises into its own error; the cause says more.
    if isinstance(error.__cause__, DocumentError):
        return _unreadable(request, error.__cause__)
    if str(error) == _CSRF_FAILED:
        return _stale(request, StaleToken())
    return error.status_code, Problem(code="refused", message=str(error))


@_tells(VersionConflict)
def _conflict(request: HttpRequest, error: VersionConflict) -> Told:
    current = error.current
    who = current.updated_by.shown_name
    # Two tabs of one person are no two people.
    own = current.updated_by == request.user
    message = f"{who} saved this {error.called} in the meantime."
    if own:
        message = f"You saved this {error.called} in another tab, or on another device."
    return 409, ConflictProblem(
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


def _path(location: tuple[Any, ...]) -> str:
    """Pydantic's place (``body, body, name``) as a path (``name``)."""
    parts = [part for part in location if part not in ("body", "path", "query")]
    text = ""
    for part in parts:
        text += f"[{part}]" if isinstance(part, int) else f".{part}" if text else str(part)
    return text or "document"
