"""Passkeys: a device signs in for its member, who shows it a finger, a face or its number. The
password is not asked for, and the passkey is a second factor beside it."""

from __future__ import annotations

import json
from dataclasses import dataclass
from ipaddress import ip_address
from typing import Any

from django.db import transaction
from django.http import HttpRequest
from django.http.request import split_domain_port
from django.utils import timezone
from webauthn import (
    base64url_to_bytes,
    generate_authentication_options,
    generate_registration_options,
    options_to_json,
    verify_authentication_response,
    verify_registration_response,
)
from webauthn.helpers.exceptions import WebAuthnException
from webauthn.helpers.structs import (
    AuthenticatorSelectionCriteria,
    PublicKeyCredentialDescriptor,
    ResidentKeyRequirement,
    UserVerificationRequirement,
)

from accounts.models import Member, Passkey

MOST = 10
"""Of one member."""

_CALLED = "Yarrow"
_CHALLENGE = "passkey-challenge"
_GOOD_FOR_S = 300


class PasskeyRefused(Exception):
    """A passkey is not taken.

    Args:
        why: a sentence for whoever tried.
    """


_NOT_KNOWN = "This passkey does not open this Yarrow. Sign in with your password."


@dataclass(frozen=True, slots=True)
class _Place:
    """Where the page is from: the name that passkeys are kept under, and the whole of it."""

    name: str
    origin: str


def _place(request: HttpRequest) -> _Place:
    """Raises: PasskeyRefused, where people come by an address and not by a name."""
    host = request.get_host()
    name, _ = split_domain_port(host)
    try:
        ip_address(name.strip("[]"))
    except ValueError:
        return _Place(name, f"{request.scheme}://{host}")
    raise PasskeyRefused(
        "Devices keep passkeys by a name, and this Yarrow is reached by a number. Reach it by its "
        "name, or use a code of your phone."
    )


def offer(request: HttpRequest, member: Member) -> dict[str, Any]:
    """What a device of the member who is signed in makes a passkey by.

    Args:
        request: of the page; its session keeps what is to be answered.
        member: who is signed in.

    Returns:
        As WebAuthn has it: PublicKeyCredentialCreationOptions in JSON.

    Raises:
        PasskeyRefused.
    """
    place = _place(request)
    if member.passkeys.count() >= MOST:
        raise PasskeyRefused(f"You have {MOST} passkeys. Take off one that you do not use.")
    options = generate_registration_options(
        rp_id=place.name,
        rp_name=_CALLED,
        user_id=str(member.pk).encode(),
        user_name=member.username,
        user_display_name=member.shown_name,
        authenticator_selection=AuthenticatorSelectionCriteria(
            resident_key=ResidentKeyRequirement.REQUIRED,
            user_verification=UserVerificationRequirement.REQUIRED,
        ),
        exclude_credentials=[
            PublicKeyCredentialDescriptor(id=bytes(passkey.credential_id))
            for passkey in member.passkeys.all()
        ],
    )
    _keep(request, options.challenge)
    return _plain_options(options)


@transaction.atomic
def add(request: HttpRequest, member: Member, credential: dict[str, Any], device: str) -> Passkey:
    """Keep a passkey that a device made.

    Args:
        request: of the page that was offered one.
        member: who is signed in.
        credential: as the browser gives it, in JSON.
        device: what it was made on, for its member to know it by.

    Raises:
        PasskeyRefused.
    """
    place = _place(request)
    try:
        made = verify_registration_response(
            credential=credential,
            expected_challenge=_kept(request),
            expected_rp_id=place.name,
            expected_origin=place.origin,
            require_user_verification=True,
        )
    except (WebAuthnException, ValueError, KeyError, TypeError):
        raise PasskeyRefused("This device made no passkey that can be used. Try again.") from None
    if Passkey.objects.filter(credential_id=made.credential_id).exists():
        raise PasskeyRefused("This passkey is here already.")
    return Passkey.objects.create(
        member=member,
        credential_id=made.credential_id,
        public_key=made.credential_public_key,
        sign_count=made.sign_count,
        device=device[:200],
    )


def ask(request: HttpRequest) -> dict[str, Any]:
    """What whoever is at the door shows a passkey by; it says itself whose it is.

    Args:
        request: of the page; its session keeps what is to be answered.

    Returns:
        As WebAuthn has it: PublicKeyCredentialRequestOptions in JSON.

    Raises:
        PasskeyRefused.
    """
    options = generate_authentication_options(
        rp_id=_place(request).name, user_verification=UserVerificationRequirement.REQUIRED
    )
    _keep(request, options.challenge)
    return _plain_options(options)


@transaction.atomic
def shown(request: HttpRequest, credential: dict[str, Any]) -> Member:
    """Whose a passkey is that was shown at the door.

    Args:
        request: of the page that asked for it.
        credential: as the browser gives it, in JSON.

    Raises:
        PasskeyRefused.
    """
    place, challenge = _place(request), _kept(request)
    try:
        number = base64url_to_bytes(credential["id"])
        passkey = (
            Passkey.objects.select_for_update(of=("self",))
            .select_related("member__crew")
            .get(credential_id=number, member__is_active=True)
        )
        verified = verify_authentication_response(
            credential=credential,
            expected_challenge=challenge,
            expected_rp_id=place.name,
            expected_origin=place.origin,
            credential_public_key=bytes(passkey.public_key),
            credential_current_sign_count=passkey.sign_count,
            require_user_verification=True,
        )
    except (WebAuthnException, ValueError, KeyError, TypeError, Passkey.DoesNotExist):
        raise PasskeyRefused(_NOT_KNOWN) from None
    passkey.sign_count = verified.new_sign_count
    passkey.used_at = timezone.now()
    passkey.save(update_fields=["sign_count", "used_at"])
    return passkey.member


def _keep(request: HttpRequest, challenge: bytes) -> None:
    request.session[_CHALLENGE] = [challenge.hex(), timezone.now().timestamp() + _GOOD_FOR_S]


def _kept(request: HttpRequest) -> bytes:
    """What is to be answered; once. Raises: PasskeyRefused."""
    challenge, ends_at = request.session.pop(_CHALLENGE, ("", 0.0))
    if timezone.now().timestamp() > ends_at:
        raise PasskeyRefused("That took too long. Try again.")
    return bytes.fromhex(challenge)


def _plain_options(options: Any) -> dict[str, Any]:
    result: dict[str, Any] = json.loads(options_to_json(options))
    return result
