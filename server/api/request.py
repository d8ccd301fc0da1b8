"""A request of somebody who is signed in: every route but the door's is behind that wall."""

from __future__ import annotations

from django.http import HttpRequest

from accounts.models import Member


class MemberRequest(HttpRequest):
    """``user`` is a member: the wall lets nobody else through."""

    user: Member
