"""What is sent by mail: a link, and that somebody signed in."""

from __future__ import annotations

import logging
from dataclasses import dataclass
from smtplib import SMTPException

from django.conf import settings
from django.core.mail import send_mail

from accounts.models import EntryLink, Member

LOG = logging.getLogger("yarrow.mail")


@dataclass(frozen=True, slots=True)
class Letter:
    """Plain text with a subject."""

    subject: str
    text: str


def letter_of_invitation(link: EntryLink, address: str) -> Letter:
    """Who invites, into what, until when.

    Args:
        link: that was made.
        address: that opens it.
    """
    who = link.made_by.shown_name if link.made_by else "Whoever runs this Yarrow"
    return Letter(
        f"Come into {link.crew.name} on Yarrow",
        f"{who} invites you into {link.crew.name}, as {link.get_role_display().lower()}.\n\n"
        f"{address}\n\nThe link opens once, until {link.ends_at:%d %B %Y, %H:%M} UTC.\n",
    )


def letter_of_password_link(link: EntryLink, address: str) -> Letter:
    """How to take a new password.

    Args:
        link: that was made.
        address: that opens it.
    """
    return Letter(
        "A new password for Yarrow",
        f"By this link you take a new password for {link.crew.name} on Yarrow:\n\n{address}\n\n"
        f"It opens once, until {link.ends_at:%d %B %Y, %H:%M} UTC. If you did not ask for it, tell "
        "whoever leads your crew.\n",
    )


def letter_of_sign_in(member: Member, device: str, address: str | None) -> Letter:
    """Where somebody signed in for the first time.

    Args:
        member: as whom.
        device: as the browser calls itself.
        address: that it came from.
    """
    return Letter(
        "You signed in to Yarrow somewhere new",
        f"{member.username} of {member.crew.name} signed in from {address or 'nowhere known'}, by "
        f"{device or 'an unnamed program'}.\n\nIf that was not you, change your password and end "
        "the other sessions under your name on the page, and tell whoever leads your crew.\n",
    )


def sent(to: str, letter: Letter) -> bool:
    """Send a letter where mail is set up.

    Args:
        to: an address.
        letter: that goes there.

    Returns:
        Whether it was handed on.
    """
    if not settings.MAIL:
        return False
    try:
        return send_mail(letter.subject, letter.text, None, [to]) == 1
    except (OSError, SMTPException):
        LOG.exception("mail could not be handed on", extra={"to": to})
        return False
