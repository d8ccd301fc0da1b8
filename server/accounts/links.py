"""Links that let somebody in once, and end: into a crew, or to a new password."""

from __future__ import annotations

import hashlib
import secrets
from datetime import timedelta

from django.utils import timezone

from accounts.models import Crew, EntryLink, Member
from accounts.roles import CrewRole

INVITATION_LASTS = timedelta(days=7)
PASSWORD_LINK_LASTS = timedelta(days=1)
_KEY_BYTES = 24


class LinkRefused(Exception):
    """A link that lets nobody in.

    Args:
        code: ``link-unknown``, ``link-used``, ``link-ended`` or ``link-withdrawn``.
        link: that it is; None, where there is none.
    """

    def __init__(self, code: str, link: EntryLink | None) -> None:
        super().__init__(_WORDS[code])
        self.code = code
        self.link = link


_ANOTHER = "Ask whoever leads your crew for another one."
_WORDS = {
    "link-unknown": f"There is no such link: it may have been cut short on the way. {_ANOTHER}",
    "link-used": f"This link was used already, and opens once. {_ANOTHER}",
    "link-ended": f"This link has ended. {_ANOTHER}",
    "link-withdrawn": f"This link was withdrawn. {_ANOTHER}",
}


def new_invitation(
    crew: Crew, role: CrewRole, made_by: Member | None, email: str = ""
) -> tuple[EntryLink, str]:
    """A way into a crew for someone new.

    Args:
        role: that they will have.
        made_by: None, where whoever runs the server made it.
        email: where it is sent; empty, where it is handed over.

    Returns:
        The link, and the key that it is opened by.
    """
    return _new_link(
        crew=crew,
        role=role,
        email=email,
        invites=True,
        made_by=made_by,
        ends_at=timezone.now() + INVITATION_LASTS,
    )


def new_password_link(member: Member, made_by: Member | None) -> tuple[EntryLink, str]:
    """A way to a new password for a member. Those that there were open nothing any more.

    Args:
        made_by: None, where they asked for it themselves, or whoever runs the server did.

    Returns:
        The link, and the key that it is opened by.
    """
    open_ones = EntryLink.objects.filter(member=member, invites=False, used_at=None)
    open_ones.filter(withdrawn_at=None).update(withdrawn_at=timezone.now())
    return _new_link(
        crew=member.crew,
        role=member.role,
        email=member.email,
        member=member,
        invites=False,
        made_by=made_by,
        ends_at=timezone.now() + PASSWORD_LINK_LASTS,
    )


def opened(key: str, *, locked: bool = False) -> EntryLink:
    """The link that a key opens.

    Args:
        key: as its address has it.
        locked: to be used in this transaction, by nobody else meanwhile.

    Raises:
        LinkRefused.
    """
    found = EntryLink.objects.select_related("crew", "member")
    if locked:
        found = found.select_for_update(of=("self",))
    link = found.filter(digest=_digest(key)).first()
    if link is None:
        raise LinkRefused("link-unknown", None)
    if link.used_at is not None:
        raise LinkRefused("link-used", link)
    if link.withdrawn_at is not None or (link.member and not link.member.is_active):
        raise LinkRefused("link-withdrawn", link)
    if link.ends_at <= timezone.now():
        raise LinkRefused("link-ended", link)
    return link


def _new_link(**columns: object) -> tuple[EntryLink, str]:
    key = secrets.token_urlsafe(_KEY_BYTES)
    return EntryLink.objects.create(digest=_digest(key), **columns), key


def _digest(key: str) -> str:
    return hashlib.sha256(key.encode()).hexdigest()
