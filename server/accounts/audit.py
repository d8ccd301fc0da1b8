"""The record of who changed what, when: every operation that changes something, as it is done."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from django.http import HttpRequest, HttpResponse

from accounts.models import AuditEntry, Member
from accounts.sessions import address_of


def record(
    did: str,
    *,
    crew: int | None,
    member: Member | None,
    about: dict[str, Any] | None = None,
    request: HttpRequest | None = None,
) -> None:
    """One more entry.

    Args:
        did: the operation, by its name in the API, or what else was done.
        crew: the number of that whose lead can read it; None, where it is nobody's.
        member: who did it; None, where nobody was signed in.
        about: which of its kind, by the names of the address.
        request: by which it was done; None, where it was a command.
    """
    address = address_of(request) if request else None
    AuditEntry.objects.create(
        did=did, crew_id=crew, member=member, about=about or {}, address=address
    )


CHANGE = "change"
"""What a request is given by the API as it lets somebody in who may change something."""


@dataclass(frozen=True, slots=True)
class Change:
    """An operation that keeps something, and who does it."""

    operation: str
    member: Member


class RecordedChanges:
    """Records what a member changes by the API once it is done, before it is answered."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Pass the request on; what it did is recorded."""
        answer = self.get_response(request)
        change: Change | None = getattr(request, CHANGE, None)
        if change is None or answer.status_code >= 400:
            return answer
        match = request.resolver_match
        record(
            change.operation,
            crew=change.member.crew_id,
            member=change.member,
            about={name: str(value)[:120] for name, value in match.kwargs.items()} if match else {},
            request=request,
        )
        return answer
