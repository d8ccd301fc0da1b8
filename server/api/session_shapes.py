"""Who is signed in, and how they come in."""

from __future__ import annotations

import hashlib
from datetime import datetime
from typing import Annotated, Any

from ninja import Schema
from pydantic import StringConstraints

from accounts.models import Member, MemberSession
from accounts.roles import Act, CrewRole
from api.shapes import PRINTABLE, Body, Secret


class SignIn(Body):
    """A member's name and password."""

    username: Annotated[str, StringConstraints(min_length=1, max_length=150, pattern=PRINTABLE)]
    password: Secret
    code: Annotated[str, StringConstraints(max_length=40)] = ""


class PasswordChange(Body):
    """The password that is, and the one that is to be."""

    current: Secret
    new: Secret


class MemberShape(Schema):
    """The person who is signed in."""

    username: str
    name: str
    crew: str
    role: CrewRole
    may: list[Act]


class Session(Schema):
    """Who is signed in, and the token that every change has to carry (X-CSRFToken)."""

    member: MemberShape | None
    csrf: str


def member_shape(member: Member) -> MemberShape:
    """A member as the page shows them."""
    return MemberShape(
        username=member.username,
        name=member.shown_name,
        crew=member.crew.name,
        role=CrewRole(member.role),
        may=[act for act in Act if member.may(act)],
    )


SessionName = Annotated[str, StringConstraints(pattern=r"^[0-9a-f]{16}$")]


class OpenSession(Schema):
    """Somewhere that the member is signed in; ``name`` is what it is ended by."""

    name: SessionName
    this: bool
    device: str
    address: str | None
    begun_at: datetime | None


class OwnData(Schema):
    """All that is kept of a person: ``did`` is what the record has of them."""

    format: str
    username: str
    name: str
    email: str
    crew: str
    role: CrewRole
    came: datetime
    last_signed_in: datetime | None
    passkeys: list[dict[str, Any]]
    sessions: list[dict[str, Any]]
    did: list[dict[str, Any]]


def session_name(key: str) -> str:
    """What a session is called where it is shown: nobody gets in by that.

    Args:
        key: that its cookie has.

    Returns:
        16 hexadecimal digits.
    """
    return hashlib.sha256(f"session {key}".encode()).hexdigest()[:16]


def session_shape(row: MemberSession, this: str | None) -> OpenSession:
    """A session as the page shows it.

    Args:
        row: of it.
        this: the key of the session that asks.
    """
    return OpenSession(
        name=session_name(row.session_key),
        this=row.session_key == this,
        device=row.device,
        address=row.address,
        begun_at=row.begun_at,
    )


class OwnPasskey(Schema):
    """A device that signs in for the member."""

    id: int
    device: str
    made_at: datetime
    used_at: datetime | None


class SecondFactor(Schema):
    """Whether the member's password alone is not enough: because a phone ``shows_codes``, or
    because of ``passkeys``; and how many codes on paper are left."""

    on: bool
    shows_codes: bool
    passkeys: list[OwnPasskey]
    recovery_codes_left: int


class AskedOfDevice(Schema):
    """What a browser asks its devices for, as WebAuthn has it."""

    options: dict[str, Any]


class ShownPasskey(Body):
    """What a device answered, as WebAuthn has it."""

    credential: dict[str, Any]


class NewSecondFactor(Schema):
    """A secret for the member's phone: as a picture to hold it before (SVG), and to be typed."""

    picture: str
    secret: str


class ShownCode(Body):
    """The code that the phone shows."""

    code: Annotated[str, StringConstraints(min_length=1, max_length=12)]


class RecoveryCodes(Schema):
    """Codes for when the phone is lost, each good once; shown this once."""

    codes: list[str]


class OwnPassword(Body):
    """The member's password, where what is asked for should be nobody else's doing."""

    password: Secret


class GaugeCode(Body):
    """The code that a gauge shows."""

    code: Annotated[str, StringConstraints(min_length=1, max_length=12)]


class GaugePaired(Schema):
    """Whether the gauge is this session's own now."""

    paired: bool
