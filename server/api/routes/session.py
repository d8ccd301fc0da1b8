"""Signing in and out, and changing the password."""

from __future__ import annotations

from base64 import b32encode

from django.contrib.auth import authenticate, logout, update_session_auth_hash
from django.db.models import F
from django.http import HttpRequest, HttpResponse
from django.middleware.csrf import get_token
from django.utils import timezone
from ninja import Path
from ninja.errors import HttpError
from ninja.utils import check_csrf

from accounts import second_factor
from accounts.audit import record
from accounts.letters import letter_of_sign_in, sent
from accounts.models import AuditEntry, Member, MemberSession
from accounts.own_data import data_of
from accounts.people import check_new_password, end_sessions
from accounts.second_factor import SecondFactorWanted, check_code
from accounts.sessions import address_of, begin, clear_ended, device_of
from api.answers import answered
from api.limits import FILES, PASSWORD_CHANGES, SECOND_FACTORS, SIGN_INS
from api.problems import REFUSALS, StaleToken
from api.request import MemberRequest
from api.router import Router
from api.session_shapes import (
    NewSecondFactor,
    OpenSession,
    OwnData,
    OwnPasskey,
    OwnPassword,
    PasswordChange,
    RecoveryCodes,
    SecondFactor,
    Session,
    SessionName,
    ShownCode,
    SignIn,
    member_shape,
    session_name,
    session_shape,
)
from api.shapes import Nothing
from yarrow import DocumentError

router = Router(tags=["session"])


@router.get("/session", response={200: Session, **REFUSALS}, auth=None, operation_id="get_session")
def get_session(request: HttpRequest) -> Session:
    """Who is signed in; null where nobody is."""
    return session_of(request)


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
    check_token(request)
    member = authenticate(request, username=body.username, password=body.password)
    if member is None:
        # Where the door has just closed, django-axes answers instead: config/limits.py.
        _record_refusal(request, body.username)
        raise HttpError(403, "That name and password do not go together.")
    try:
        check_code(member, body.code)
    except SecondFactorWanted as wanted:
        if body.code:
            _record_refusal(request, body.username, "second_factor_refused")
        raise wanted
    come_in(request, member, "sign_in")
    return session_of(request)


@router.delete("/session", response={200: Session, **REFUSALS}, operation_id="sign_out")
def sign_out(request: HttpRequest) -> Session:
    """Sign out."""
    logout(request)
    return session_of(request)


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
    check_new_password(body.new, member, "new")
    member.set_password(body.new)
    member.save(update_fields=["password"])
    update_session_auth_hash(request, member)
    end_sessions(member, but=request.session.session_key)
    return Nothing()


@router.get(
    "/sessions", response={200: list[OpenSession], **REFUSALS}, operation_id="list_sessions"
)
def list_sessions(request: MemberRequest) -> list[OpenSession]:
    """Where the member is signed in, this session first, then the newest."""
    open_ones = MemberSession.objects.filter(
        member=request.user, expire_date__gt=timezone.now()
    ).order_by(F("begun_at").desc(nulls_last=True))
    shown = [session_shape(row, request.session.session_key) for row in open_ones]
    return sorted(shown, key=lambda session: not session.this)


@router.delete("/sessions/{name}", response={200: Nothing, **REFUSALS}, operation_id="end_session")
def end_session(request: MemberRequest, name: Path[SessionName]) -> Nothing:
    """Sign out somewhere else."""
    for row in MemberSession.objects.filter(member=request.user):
        if session_name(row.session_key) == name:
            row.delete()
            return Nothing()
    raise MemberSession.DoesNotExist


@router.delete("/sessions", response={200: Nothing, **REFUSALS}, operation_id="end_other_sessions")
def end_other_sessions(request: MemberRequest) -> Nothing:
    """Sign out everywhere but here."""
    end_sessions(request.user, but=request.session.session_key)
    return Nothing()


@router.get(
    "/session/data",
    response={200: OwnData, **REFUSALS},
    throttle=[FILES],
    operation_id="get_own_data",
)
def get_own_data(request: MemberRequest) -> HttpResponse:
    """All that is kept of the member who is signed in, as a file of their own."""
    answer = answered(data_of(request.user))
    answer["Content-Disposition"] = 'attachment; filename="what-is-kept-of-me.json"'
    return answer


@router.get(
    "/session/second-factor",
    response={200: SecondFactor, **REFUSALS},
    operation_id="get_second_factor",
)
def get_second_factor(request: MemberRequest) -> SecondFactor:
    """Whether something is wanted beside the member's password, and what."""
    member = request.user
    return SecondFactor(
        on=second_factor.is_on(member),
        shows_codes=second_factor.shows_codes(member),
        passkeys=[OwnPasskey.from_orm(passkey) for passkey in member.passkeys.order_by("made_at")],
        recovery_codes_left=second_factor.recovery_codes_left(member),
    )


@router.post(
    "/session/second-factor",
    response={201: NewSecondFactor, **REFUSALS},
    throttle=[SECOND_FACTORS],
    operation_id="begin_second_factor",
)
def begin_second_factor(request: MemberRequest, body: OwnPassword) -> tuple[int, NewSecondFactor]:
    """A secret for the member's phone; it counts once a code of it was typed."""
    check_password(request.user, body.password)
    device = second_factor.begin(request.user)
    secret = b32encode(device.bin_key).decode()
    return 201, NewSecondFactor(picture=second_factor.picture_of(device).decode(), secret=secret)


@router.put(
    "/session/second-factor",
    response={200: RecoveryCodes, **REFUSALS},
    throttle=[SECOND_FACTORS],
    operation_id="confirm_second_factor",
)
def confirm_second_factor(request: MemberRequest, body: ShownCode) -> RecoveryCodes:
    """Turn it on, by a code that the phone shows."""
    return RecoveryCodes(codes=second_factor.confirm(request.user, body.code.replace(" ", "")))


@router.delete(
    "/session/second-factor",
    response={200: Nothing, **REFUSALS},
    throttle=[SECOND_FACTORS],
    operation_id="turn_off_second_factor",
)
def turn_off_second_factor(request: MemberRequest, body: OwnPassword) -> Nothing:
    """The password is enough again."""
    check_password(request.user, body.password)
    second_factor.turn_off(request.user)
    return Nothing()


def check_password(member: Member, password: str) -> None:
    """Whether it is the member's own doing.

    Args:
        member: who is signed in.
        password: as it was typed just now.

    Raises:
        DocumentError, where it is not theirs.
    """
    if not member.check_password(password):
        raise DocumentError("password", "the password that you signed in with")


def come_in(request: HttpRequest, member: Member, did: str) -> None:
    """Sign somebody in, and record how.

    Args:
        member: who comes.
        did: the operation, as the record calls it.
    """
    begin(request, member)
    device = device_of(request)
    before = AuditEntry.objects.filter(member=member, about__device=device)
    told = member.email and did == "sign_in" and not before.exists()
    record(did, crew=member.crew_id, member=member, about={"device": device}, request=request)
    if told:
        sent(member.email, letter_of_sign_in(member, device, address_of(request)))
    clear_ended()


def _record_refusal(request: HttpRequest, username: str, did: str = "sign_in_refused") -> None:
    """That somebody tried to be this member: their crew's lead reads it."""
    meant = Member.objects.filter(username=username).first()
    if meant is not None:
        about = {"username": meant.username}
        record(did, crew=meant.crew_id, member=None, about=about, request=request)


def session_of(request: HttpRequest) -> Session:
    """Who is signed in by a request, and its token."""
    member = request.user
    known = member_shape(member) if member.is_authenticated else None
    return Session(member=known, csrf=get_token(request))


def check_token(request: HttpRequest) -> None:
    """Signing in needs the token as well: nobody is to be signed in as someone else."""
    if check_csrf(request) is not None:
        raise StaleToken
