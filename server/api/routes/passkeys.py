"""Passkeys: made by a device of whoever is signed in, shown at the door, taken off."""

from __future__ import annotations

from django.http import HttpRequest
from ninja import Path

from accounts import passkeys
from accounts.second_factor import new_paper, recovery_codes_left, take_off_passkey
from accounts.sessions import device_of
from api.limits import SECOND_FACTORS, SIGN_INS
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.routes.session import check_password, check_token, come_in, session_of
from api.session_shapes import (
    AskedOfDevice,
    OwnPassword,
    RecoveryCodes,
    Session,
    ShownPasskey,
)
from api.shapes import Id, Nothing

router = Router(tags=["session"])


@router.post(
    "/session/passkey",
    response={200: AskedOfDevice, **REFUSALS},
    auth=None,
    throttle=[SIGN_INS],
    operation_id="ask_for_passkey",
)
def ask_for_passkey(request: HttpRequest) -> AskedOfDevice:
    """What whoever is at the door shows a passkey by."""
    check_token(request)
    return AskedOfDevice(options=passkeys.ask(request))


@router.put(
    "/session/passkey",
    response={200: Session, **REFUSALS},
    auth=None,
    throttle=[SIGN_INS],
    operation_id="sign_in_by_passkey",
)
def sign_in_by_passkey(request: HttpRequest, body: ShownPasskey) -> Session:
    """Sign in by a passkey alone: the device has seen that it is its member who holds it."""
    check_token(request)
    come_in(request, passkeys.shown(request, body.credential), "sign_in")
    return session_of(request)


@router.post(
    "/session/passkeys",
    response={201: AskedOfDevice, **REFUSALS},
    throttle=[SECOND_FACTORS],
    operation_id="begin_passkey",
)
def begin_passkey(request: MemberRequest, body: OwnPassword) -> tuple[int, AskedOfDevice]:
    """What a device of the member's makes a passkey by."""
    check_password(request.user, body.password)
    return 201, AskedOfDevice(options=passkeys.offer(request, request.user))


@router.put(
    "/session/passkeys",
    response={200: RecoveryCodes, **REFUSALS},
    throttle=[SECOND_FACTORS],
    operation_id="add_passkey",
)
def add_passkey(request: MemberRequest, body: ShownPasskey) -> RecoveryCodes:
    """Keep a passkey that the device made. With the first that is beside the password come codes on
    paper, for when the device is lost."""
    member = request.user
    passkeys.add(request, member, body.credential, device_of(request))
    return RecoveryCodes(codes=[] if recovery_codes_left(member) else new_paper(member))


@router.delete(
    "/session/passkeys/{passkey_id}",
    response={200: Nothing, **REFUSALS},
    throttle=[SECOND_FACTORS],
    operation_id="take_off_passkey",
)
def take_off(request: MemberRequest, passkey_id: Path[Id], body: OwnPassword) -> Nothing:
    """A device signs in for the member no more."""
    check_password(request.user, body.password)
    take_off_passkey(request.user, passkey_id)
    return Nothing()
