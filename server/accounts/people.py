"""Who is in a crew: the first lead, those who are invited, what they may do, who is put out."""

from __future__ import annotations

from django.contrib.auth.password_validation import validate_password
from django.contrib.auth.validators import UnicodeUsernameValidator
from django.core.exceptions import ValidationError
from django.db import IntegrityError, transaction
from django.utils import timezone

from accounts.links import new_invitation, new_password_link, opened
from accounts.models import Crew, EntryLink, Member, MemberSession
from accounts.roles import CrewRole
from yarrow import DocumentError

_LONGEST_NAME = 120


@transaction.atomic
def first_crew(name: str) -> tuple[EntryLink, str]:
    """A new crew, and the way in for who will lead it.

    Args:
        name: of the crew; no other has it.

    Returns:
        The invitation, and the key that it is opened by.

    Raises:
        DocumentError, where a crew has that name, or it is none.
    """
    name = name.strip()
    if not 0 < len(name) <= _LONGEST_NAME:
        raise DocumentError("name", "the crew's name, at most 120 characters")
    crew, made = Crew.objects.get_or_create(name=name)
    if not made and crew.members.exists():
        raise DocumentError("name", f"another name: there are people in {name!r} already")
    # One that was handed over before is another way in that nobody thinks of any more.
    crew.links.filter(used_at=None, withdrawn_at=None).update(withdrawn_at=timezone.now())
    return new_invitation(crew, CrewRole.LEAD, None)


@transaction.atomic
def invite(lead: Member, role: CrewRole, email: str) -> tuple[EntryLink, str]:
    """A way into the lead's crew.

    Args:
        role: that whoever comes in has.
        email: where it is sent; empty, where the lead hands it over.

    Returns:
        The invitation, and the key that it is opened by.
    """
    return new_invitation(lead.crew, role, lead, email)


def withdraw(lead: Member, link_id: int) -> None:
    """Nobody comes in by that link any more.

    Args:
        link_id: of an invitation of the lead's crew.

    Raises:
        EntryLink.DoesNotExist, also where it was used.
    """
    links = EntryLink.objects.filter(crew=lead.crew_id, invites=True, used_at=None)
    link = links.get(id=link_id)
    link.withdrawn_at = link.withdrawn_at or timezone.now()
    link.save(update_fields=["withdrawn_at"])


@transaction.atomic
def join(key: str, username: str, name: str, password: str) -> Member:
    """Come into a crew by an invitation.

    Args:
        key: that it is opened by.
        username: to sign in with; nobody else's.
        name: that the others see.
        password: of their own.

    Raises:
        LinkRefused; DocumentError, where a field is not as it has to be.
    """
    link = opened(key, locked=True)
    if not link.invites:
        raise DocumentError("key", "an invitation")
    first, _, last = name.strip().partition(" ")
    member = Member(
        username=username.strip(),
        first_name=first,
        last_name=last.strip(),
        email=link.email,
        crew=link.crew,
        role=link.role,
    )
    _check_username(member.username)
    check_new_password(password, member)
    member.set_password(password)
    try:
        with transaction.atomic():
            member.save()
    except IntegrityError:  # somebody took that name just now
        raise DocumentError("username", _TAKEN) from None
    link.member, link.used_at = member, timezone.now()
    link.save(update_fields=["member", "used_at"])
    return member


@transaction.atomic
def take_password(key: str, password: str) -> Member:
    """A new password by a link; every session of theirs ends. A second factor stays what it was.

    Args:
        key: that the link is opened by.
        password: that is to be.

    Raises:
        LinkRefused; DocumentError, where it is too weak.
    """
    link = opened(key, locked=True)
    member = link.member
    if link.invites or member is None:
        raise DocumentError("key", "a link to a new password")
    check_new_password(password, member)
    member.set_password(password)
    member.save(update_fields=["password"])
    end_sessions(member)
    link.used_at = timezone.now()
    link.save(update_fields=["used_at"])
    return member


@transaction.atomic
def set_role(lead: Member, member_id: int, role: CrewRole) -> Member:
    """What somebody of the lead's crew is from now on.

    Args:
        member_id: of the crew.
        role: that is to be.

    Raises:
        Member.DoesNotExist; DocumentError, where nobody would lead the crew.
    """
    member = _of_crew(lead, member_id)
    member.role = role
    _check_lead(member)
    member.save(update_fields=["role"])
    return member


@transaction.atomic
def put_out(lead: Member, member_id: int) -> Member:
    """Somebody of the lead's crew comes in no longer; what they did stays.

    Args:
        member_id: of the crew.

    Raises:
        Member.DoesNotExist; DocumentError, where nobody would lead the crew.
    """
    member = _of_crew(lead, member_id)
    member.is_active = False
    _check_lead(member)
    member.save(update_fields=["is_active"])
    end_sessions(member)
    return member


@transaction.atomic
def let_in_again(lead: Member, member_id: int) -> Member:
    """Somebody who was put out comes in again, as what they were.

    Args:
        member_id: of the crew.

    Raises:
        Member.DoesNotExist.
    """
    member = _of_crew(lead, member_id)
    member.is_active = True
    member.save(update_fields=["is_active"])
    return member


@transaction.atomic
def link_for(lead: Member, member_id: int) -> tuple[EntryLink, str]:
    """A way to a new password for somebody of the lead's crew.

    Args:
        member_id: of the crew.

    Returns:
        The link, and the key that it is opened by.

    Raises:
        Member.DoesNotExist.
    """
    return new_password_link(_of_crew(lead, member_id), lead)


def end_sessions(member: Member, *, but: str | None = None) -> int:
    """Signs a member out everywhere.

    Args:
        but: a session that goes on.

    Returns:
        How many ended.
    """
    ended, _ = MemberSession.objects.filter(member=member).exclude(session_key=but).delete()
    return ended


def of_crew(lead: Member, member_id: int) -> Member:
    """A member of the lead's crew.

    Args:
        member_id: of the crew.

    Raises:
        Member.DoesNotExist.
    """
    return Member.objects.get(id=member_id, crew=lead.crew_id)


def _of_crew(lead: Member, member_id: int) -> Member:
    """The same; nobody else changes who is in it meanwhile."""
    Crew.objects.select_for_update().get(id=lead.crew_id)
    return Member.objects.select_related("crew").get(id=member_id, crew=lead.crew_id)


def _check_lead(changed: Member) -> None:
    others = Member.objects.filter(crew=changed.crew_id, role=CrewRole.LEAD, is_active=True)
    leads = changed.is_active and changed.role == CrewRole.LEAD
    if not leads and not others.exclude(id=changed.pk).exists():
        raise DocumentError("role", "somebody else who leads the crew first: it would have nobody")


_TAKEN = "another name: somebody has this one"


def _check_username(username: str) -> None:
    try:
        UnicodeUsernameValidator()(username)
    except ValidationError:
        raise DocumentError("username", "letters, digits and @ . + - _") from None
    if Member.objects.filter(username__iexact=username).exists():
        raise DocumentError("username", _TAKEN)


def check_new_password(password: str, member: Member, field: str = "password") -> None:
    """Whether a member may have that password.

    Args:
        password: that is to be.
        member: whose it is.
        field: where it was typed.

    Raises:
        DocumentError.
    """
    if password.strip().casefold() in (member.username.casefold(), member.shown_name.casefold()):
        raise DocumentError(field, "something other than your name")
    try:
        validate_password(password, member)
    except ValidationError as error:
        raise DocumentError(field, " ".join(error.messages)) from None
