"""Who is signed in, and how they come in."""

from __future__ import annotations

from typing import Annotated

from ninja import Schema
from pydantic import StringConstraints

from accounts.models import Member
from api.shapes import PRINTABLE, Body, Secret


class SignIn(Body):
    """A member's name and password."""

    username: Annotated[str, StringConstraints(min_length=1, max_length=150, pattern=PRINTABLE)]
    password: Secret


class PasswordChange(Body):
    """The password that is, and the one that is to be."""

    current: Secret
    new: Secret


class MemberShape(Schema):
    """The person who is signed in."""

    username: str
    name: str
    crew: str


class Session(Schema):
    """Who is signed in, and the token that every change has to carry (X-CSRFToken)."""

    member: MemberShape | None
    csrf: str


def member_shape(member: Member) -> MemberShape:
    """A member as the page shows them."""
    return MemberShape(username=member.username, name=member.shown_name, crew=member.crew.name)


class GaugeCode(Body):
    """The code that a gauge shows."""

    code: Annotated[str, StringConstraints(min_length=1, max_length=12)]


class GaugePaired(Schema):
    """Whether the gauge is this session's own now."""

    paired: bool
