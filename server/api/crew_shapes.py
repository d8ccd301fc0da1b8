"""Who is in a crew, the links that let somebody in, and the record of what was changed."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any

from django.core.exceptions import ValidationError
from django.core.validators import validate_email
from ninja import Schema
from pydantic import AfterValidator, StringConstraints

from accounts.models import AuditEntry, EntryLink, Member
from accounts.roles import CrewRole
from api.shapes import PRINTABLE, Body, Name, Secret

Key = Annotated[str, StringConstraints(min_length=8, max_length=100, pattern=r"^[A-Za-z0-9_-]+$")]

Username = Annotated[
    str, StringConstraints(strip_whitespace=True, min_length=1, max_length=150, pattern=PRINTABLE)
]


def mail_address(value: str) -> str:
    """One that mail can be sent to, or nothing.

    Args:
        value: as it was typed.

    Returns:
        Itself.

    Raises:
        ValueError.
    """
    try:
        if value:
            validate_email(value)
    except ValidationError:
        raise ValueError("a mail address") from None
    return value


MailAddress = Annotated[
    str, StringConstraints(strip_whitespace=True, max_length=254), AfterValidator(mail_address)
]


class Invitation(Body):
    """What whoever comes in will be; ``email`` is where the link is sent, if anywhere."""

    role: CrewRole
    email: MailAddress = ""


class MemberChange(Body):
    """What a member is from now on."""

    role: CrewRole


class LinkKey(Body):
    """What a link is opened by: what stands behind the # of its address."""

    key: Key


class Joining(LinkKey):
    """Who comes in by an invitation."""

    username: Username
    name: Name
    password: Secret


class NewPassword(LinkKey):
    """A password by a link; with the code of the second factor, where there is one."""

    password: Secret
    code: Annotated[str, StringConstraints(max_length=40)] = ""


class CrewMember(Schema):
    """Somebody of the crew, as the others see them."""

    id: int
    username: str
    name: str
    role: CrewRole
    there: bool
    last_signed_in: datetime | None


class OpenInvitation(Schema):
    """A way in that nobody has used yet."""

    id: int
    role: CrewRole
    email: str
    made_by: str
    ends_at: datetime


class CrewShape(Schema):
    """The crew: who is in it, and who may come."""

    name: str
    members: list[CrewMember]
    invitations: list[OpenInvitation]


class MadeLink(Schema):
    """A link as it was made: ``path`` is shown this once. ``sent_to`` says where it went by mail,
    empty where it has to be handed over."""

    id: int
    path: str
    ends_at: datetime
    sent_to: str


class OpenedLink(Schema):
    """What a link leads to: into a crew as somebody of that role, or to a password for a
    ``username``."""

    invites: bool
    crew: str
    role: CrewRole
    username: str
    email: str
    ends_at: datetime


class RecordEntry(Schema):
    """Something that was done: ``did`` is the operation, ``about`` which of its kind."""

    id: int
    at: datetime
    who: str
    did: str
    about: dict[str, Any]
    address: str | None


def crew_member(member: Member) -> CrewMember:
    """A member as the crew sees them."""
    return CrewMember(
        id=member.pk,
        username=member.username,
        name=member.shown_name,
        role=CrewRole(member.role),
        there=member.is_active,
        last_signed_in=member.last_login,
    )


def open_invitation(link: EntryLink) -> OpenInvitation:
    """An invitation as a lead sees it."""
    return OpenInvitation(
        id=link.pk,
        role=CrewRole(link.role),
        email=link.email,
        made_by=link.made_by.shown_name if link.made_by else "",
        ends_at=link.ends_at,
    )


def opened_link(link: EntryLink) -> OpenedLink:
    """A link as it shows itself to who has it."""
    return OpenedLink(
        invites=link.invites,
        crew=link.crew.name,
        role=CrewRole(link.role),
        username=link.member.username if link.member else "",
        email=link.email,
        ends_at=link.ends_at,
    )


def record_entry(entry: AuditEntry) -> RecordEntry:
    """An entry of the record as a lead reads it."""
    return RecordEntry(
        id=entry.pk,
        at=entry.at,
        who=entry.member.shown_name if entry.member else "",
        did=entry.did,
        about=entry.about,
        address=entry.address,
    )
