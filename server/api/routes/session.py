"""Signing in and out, and changing the password."""

from __future__ import annotations

from django.contrib.auth import authenticate, login, logout, update_session_auth_hash
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.http import HttpRequest
from django.middleware.csrf import get_token
from ninja import Router
from ninja.errors import HttpError
from ninja.utils import check_csrf

from accounts.sessions import clear_ended
from api.limits import PASSWORD_CHANGES, SIGN_INS
from api.problems import REFUSALS, StaleToken
from api.request import MemberRequest
from api.session_shapes import PasswordChange, Session, SignIn, member_shape
from api.shapes import Nothing
from yarrow import DocumentError

router = Router(tags=["session"])


@router.get("/session", response={200: Session, **REFUSALS}, auth=None, operation_id="get_session")
def get_session(request: HttpRequest) -> Session:
    """Who is signed in; null where nobody is."""
    return _session(request)


@router.post(
    "/session",
    response={200: Session, **REFUSALS},
    auth=None,
    throttle=[SIGN_INS],
    operation_id="sign_in",
)
def sign_in(request: HttpRequest, body: SignIn) -> Session:
    """Sign in. Five wrong passwords for one name from one address close the door between those two
    for five minutes; an address has thirty tries a minute for all names together."""
    _check_csrf(request)
    member = authenticate(request, username=body.username, password=body.password)
    if member is None:
        # Where the door has just closed, django-axes answers instead: config/limits.py.
        raise HttpError(403, "That name and password do not go together.")
    login(request, member)
    clear_ended()
    return _session(request)


@router.delete("/session", response={200: Session, **REFUSALS}, operation_id="sign_out")
def sign_out(request: HttpRequest) -> Session:
    """Sign out."""
    logout(request)
    return _session(request)


@router.put(
    "/session/password",
    response={200: Nothing, **REFUSALS},
    throttle=[PASSWORD_CHANGES],
    operation_id="change_password",
)
def change_password(request: MemberRequest, body: PasswordChange) -> Nothing:
    """Change the password of the member who is signed in; other sessions end."""
    member = request.user
    if not member.check_password(body.current):
        raise DocumentError("current", "the password that you signed in with")
    if body.new.strip().casefold() in (member.username.casefold(), member.shown_name.casefold()):
        raise DocumentError("new", "something other than your name")
    try:
        validate_password(body.new, member)
    except ValidationError as error:
        raise DocumentError("new", " ".join(error.messages)) from None
    member.set_password(body.new)
    member.save(update_fields=["password"])
    update_session_auth_hash(request, member)
    return Nothing()


def _session(request: HttpRequest) -> Session:
    member = request.user
    known = member_shape(member) if member.is_authenticated else None
    return Session(member=known, csrf=get_token(request))


def _check_csrf(request: HttpRequest) -> None:
    """Signing in needs the token as well: nobody is to be signed in as someone else."""
    if check_csrf(request) is not None:
        raise StaleToken
