"""A second factor beside the password: a code that changes every half minute, shown by a program on
the member's phone, or a passkey of a device (accounts/passkeys.py); and codes on paper for when
that is lost."""

from __future__ import annotations

import io

import segno
from django.db import transaction
from django_otp.plugins.otp_static.models import StaticDevice
from django_otp.plugins.otp_totp.models import TOTPDevice

from accounts.models import Member, Passkey

RECOVERY_CODES = 10
_SHOWN_DIGITS = 6


class SecondFactorWanted(Exception):
    """The password is the right one, and a code is wanted beside it.

    Args:
        code: ``second-factor``, where none was given; ``second-factor-wrong``; or
            ``second-factor-wait``, where too many were wrong.
    """

    def __init__(self, code: str) -> None:
        super().__init__(_WORDS[code])
        self.code = code


_WORDS = {
    "second-factor": (
        "Type the six digits that your phone shows, sign in with your passkey, or type one of your "
        "recovery codes."
    ),
    "second-factor-wrong": "That is not the code that your phone shows now.",
    "second-factor-wait": "Too many wrong codes. Wait a moment.",
}


def is_on(member: Member) -> bool:
    """Whether a member's password alone is not enough."""
    return shows_codes(member) or bool(member.passkeys.exists())


def shows_codes(member: Member) -> bool:
    """Whether a phone of the member's shows codes."""
    return bool(TOTPDevice.objects.filter(user=member, confirmed=True).exists())


def recovery_codes_left(member: Member) -> int:
    """How many of the codes on paper were not used yet."""
    device = StaticDevice.objects.filter(user=member).first()
    return int(device.token_set.count()) if device else 0


@transaction.atomic
def begin(member: Member) -> TOTPDevice:
    """A new secret for the member's phone, which counts once a code of it was typed.

    Returns:
        The device; ``config_url`` is what a phone reads.
    """
    TOTPDevice.objects.filter(user=member, confirmed=False).delete()
    return TOTPDevice.objects.create(user=member, name="phone", confirmed=False)


def picture_of(device: TOTPDevice) -> bytes:
    """What the phone is held before.

    Returns:
        An SVG.
    """
    out = io.BytesIO()
    segno.make(device.config_url, error="m").save(out, kind="svg", scale=5, border=3, light="white")
    return out.getvalue()


@transaction.atomic
def confirm(member: Member, code: str) -> list[str]:
    """Turns it on, by a code of the new secret; a secret of before opens nothing any more.

    Args:
        code: that the phone shows.

    Returns:
        Recovery codes, each good once. They are shown this once.

    Raises:
        SecondFactorWanted, where the code is another.
    """
    device = TOTPDevice.objects.select_for_update().filter(user=member, confirmed=False).first()
    if device is None or not code.isascii() or not device.verify_token(code):
        raise SecondFactorWanted("second-factor-wrong")
    TOTPDevice.objects.filter(user=member).exclude(pk=device.pk).delete()
    device.confirmed = True
    device.save()
    return new_paper(member)


def new_paper(member: Member) -> list[str]:
    """Other recovery codes in the place of those that the member has.

    Returns:
        Codes, each good once. They are shown this once.
    """
    StaticDevice.objects.filter(user=member).delete()
    paper = StaticDevice.objects.create(user=member, name="paper")
    tokens = [paper.token_set.model.random_token() for _ in range(RECOVERY_CODES)]
    paper.token_set.bulk_create(
        paper.token_set.model(device=paper, token=token) for token in tokens
    )
    return tokens


@transaction.atomic
def turn_off(member: Member) -> None:
    """A password is enough again."""
    TOTPDevice.objects.filter(user=member).delete()
    StaticDevice.objects.filter(user=member).delete()
    Passkey.objects.filter(member=member).delete()


@transaction.atomic
def take_off_passkey(member: Member, passkey_id: int) -> None:
    """A device signs in no more; where nothing else is left beside the password, neither are the
    codes on paper.

    Args:
        member: whose it is.
        passkey_id: of their own.

    Raises:
        Passkey.DoesNotExist.
    """
    member.passkeys.get(pk=passkey_id).delete()
    if not is_on(member):
        turn_off(member)


def check_code(member: Member, code: str) -> None:
    """Whether somebody who knows a member's password may come in.

    Args:
        code: of the phone, or of the paper; empty, where none was given.

    Raises:
        SecondFactorWanted.
    """
    if not is_on(member):
        return
    code = code.replace(" ", "").lower()
    if not code:
        raise SecondFactorWanted("second-factor")
    shown = len(code) == _SHOWN_DIGITS and code.isascii() and code.isdigit()
    kind = TOTPDevice if shown else StaticDevice
    # What a wrong code costs is kept even where it is refused.
    with transaction.atomic():
        device = kind.objects.select_for_update().filter(user=member, confirmed=True).first()
        if device is None:
            raise SecondFactorWanted("second-factor-wrong")
        allowed, _ = device.verify_is_allowed()
        passed = allowed and device.verify_token(code)
    if not passed:
        raise SecondFactorWanted("second-factor-wrong" if allowed else "second-factor-wait")
