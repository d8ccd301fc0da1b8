"""What is kept of a person, and how it is forgotten."""

from __future__ import annotations

from typing import Any

from django.db import transaction

from accounts.models import AuditEntry, EntryLink, Member, MemberSession
from accounts.people import end_sessions
from accounts.second_factor import turn_off


def data_of(member: Member) -> dict[str, Any]:
    """All that is kept of a person: who they are, where they are signed in, what they did.

    Returns:
        Plain JSON, ``yarrow.person/1``; times in UTC.
    """
    sessions = MemberSession.objects.filter(member=member)
    entries = AuditEntry.objects.filter(member=member).order_by("id")
    return {
        "format": "yarrow.person/1",
        "username": member.username,
        "name": member.shown_name,
        "email": member.email,
        "crew": member.crew.name,
        "role": member.role,
        "came": member.date_joined.isoformat(),
        "last_signed_in": member.last_login.isoformat() if member.last_login else None,
        "passkeys": [
            {"device": passkey.device, "made_at": passkey.made_at.isoformat()}
            for passkey in member.passkeys.order_by("made_at")
        ],
        "sessions": [
            {
                "device": row.device,
                "address": row.address,
                "begun_at": row.begun_at.isoformat() if row.begun_at else None,
            }
            for row in sessions.order_by("begun_at")
        ],
        "did": [
            {
                "at": entry.at.isoformat(),
                "did": entry.did,
                "about": entry.about,
                "address": entry.address,
            }
            for entry in entries
        ],
    }


@transaction.atomic
def forget(member: Member) -> str:
    """Nobody can tell any more who this was. What they made stays the crew's, by another name, and
    so does the record of what was done, which nobody changes.

    Args:
        member: who was put out of their crew before.

    Returns:
        What they are called from now on.

    Raises:
        ValueError, where they are still in it.
    """
    if member.is_active:
        raise ValueError(f"{member.username} is still in the crew: put them out first.")
    end_sessions(member)
    turn_off(member)
    EntryLink.objects.filter(member=member).update(email="")
    member.username = f"somebody-{member.pk}"
    member.first_name, member.last_name, member.email = "Somebody", "", ""
    member.set_unusable_password()
    member.save()
    return member.username
