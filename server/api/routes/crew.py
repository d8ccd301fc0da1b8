"""The crew: who is in it, who is invited, links that let somebody in, and the record."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager

from django.http import HttpRequest
from django.utils import timezone
from ninja import Path, Query

from accounts import people, second_factor
from accounts.audit import record
from accounts.letters import letter_of_invitation, letter_of_password_link, sent
from accounts.links import LinkRefused, opened
from accounts.models import AuditEntry, EntryLink
from accounts.roles import Act
from accounts.second_factor import check_code
from api.crew_shapes import (
    CrewMember,
    CrewShape,
    Invitation,
    Joining,
    LinkKey,
    MadeLink,
    MemberChange,
    NewPassword,
    OpenedLink,
    RecordEntry,
    crew_member,
    open_invitation,
    opened_link,
    record_entry,
)
from api.limits import LINKS
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.routes.session import check_token, come_in, session_of
from api.session_shapes import Session
from api.shapes import MOST_LISTED, Id, Nothing

router = Router(tags=["crew"])


@router.get("/crew", response={200: CrewShape, **REFUSALS}, operation_id="get_crew")
def get_crew(request: MemberRequest) -> CrewShape:
    """Who is in the crew; a lead also sees who was put out, and the invitations that are open."""
    crew, leads = request.user.crew, request.user.may(Act.LEAD)
    members = crew.members.order_by("-is_active", "first_name", "username")
    if not leads:
        members = members.filter(is_active=True)
    links = crew.links.filter(
        invites=True, used_at=None, withdrawn_at=None, ends_at__gt=timezone.now()
    )
    shown = links.select_related("made_by").order_by("-id") if leads else ()
    return CrewShape(
        name=crew.name,
        members=[crew_member(member) for member in members],
        invitations=[open_invitation(link) for link in shown],
    )


@router.post(
    "/crew/invitations",
    response={201: MadeLink, **REFUSALS},
    throttle=[LINKS],
    operation_id="invite",
)
def invite(request: MemberRequest, body: Invitation) -> tuple[int, MadeLink]:
    """A link by which somebody comes into the crew, once, within seven days."""
    link, key = people.invite(request.user, body.role, body.email)
    return 201, _handed_over(request, link, key)


@router.delete(
    "/crew/invitations/{link_id}",
    response={200: Nothing, **REFUSALS},
    operation_id="withdraw_invitation",
)
def withdraw_invitation(request: MemberRequest, link_id: Path[Id]) -> Nothing:
    """Nobody comes in by that link any more."""
    people.withdraw(request.user, link_id)
    return Nothing()


@router.put(
    "/crew/members/{member_id}",
    response={200: CrewMember, **REFUSALS},
    operation_id="change_member",
)
def change_member(request: MemberRequest, member_id: Path[Id], body: MemberChange) -> CrewMember:
    """What somebody of the crew is from now on."""
    return crew_member(people.set_role(request.user, member_id, body.role))


@router.delete(
    "/crew/members/{member_id}", response={200: CrewMember, **REFUSALS}, operation_id="put_out"
)
def put_out(request: MemberRequest, member_id: Path[Id]) -> CrewMember:
    """Somebody comes in no longer; what they did stays."""
    return crew_member(people.put_out(request.user, member_id))


@router.post(
    "/crew/members/{member_id}/bring-back",
    response={200: CrewMember, **REFUSALS},
    operation_id="let_in_again",
)
def let_in_again(request: MemberRequest, member_id: Path[Id]) -> CrewMember:
    """Somebody who was put out comes in again."""
    return crew_member(people.let_in_again(request.user, member_id))


@router.post(
    "/crew/members/{member_id}/password-link",
    response={201: MadeLink, **REFUSALS},
    throttle=[LINKS],
    operation_id="make_password_link",
)
def make_password_link(request: MemberRequest, member_id: Path[Id]) -> tuple[int, MadeLink]:
    """A link by which somebody of the crew takes a new password, once, within a day."""
    link, key = people.link_for(request.user, member_id)
    return 201, _handed_over(request, link, key)


@router.delete(
    "/crew/members/{member_id}/second-factor",
    response={200: Nothing, **REFUSALS},
    operation_id="reset_second_factor",
)
def reset_second_factor(request: MemberRequest, member_id: Path[Id]) -> Nothing:
    """Somebody of the crew lost their phone and their paper: their password is enough again."""
    second_factor.turn_off(people.of_crew(request.user, member_id))
    return Nothing()


@router.get(
    "/crew/record", response={200: list[RecordEntry], **REFUSALS}, operation_id="get_record"
)
def get_record(request: MemberRequest, before: Query[Id | None] = None) -> list[RecordEntry]:
    """A page of what was done in the crew, the newest first, or what was before an entry."""
    entries = AuditEntry.objects.filter(crew=request.user.crew_id).select_related("member")
    older = entries.filter(id__lt=before) if before else entries
    return [record_entry(entry) for entry in older[:MOST_LISTED]]


@router.post(
    "/link",
    response={200: OpenedLink, **REFUSALS},
    auth=None,
    throttle=[LINKS],
    operation_id="open_link",
)
def open_link(request: HttpRequest, body: LinkKey) -> OpenedLink:
    """What a link leads to; it is not used by that."""
    check_token(request)
    with _refusals_recorded(request):
        return opened_link(opened(body.key))


@router.post(
    "/link/join",
    response={201: Session, **REFUSALS},
    auth=None,
    throttle=[LINKS],
    operation_id="join_crew",
)
def join_crew(request: HttpRequest, body: Joining) -> tuple[int, Session]:
    """Come into a crew by an invitation, and be signed in."""
    check_token(request)
    with _refusals_recorded(request):
        member = people.join(body.key, body.username, body.name, body.password)
    come_in(request, member, "join_crew")
    return 201, session_of(request)


@router.post(
    "/link/password",
    response={200: Session, **REFUSALS},
    auth=None,
    throttle=[LINKS],
    operation_id="take_password",
)
def take_password(request: HttpRequest, body: NewPassword) -> Session:
    """Take a new password by a link, and be signed in; every other session ends."""
    check_token(request)
    with _refusals_recorded(request):
        link = opened(body.key)
        if link.member and not link.invites:
            check_code(link.member, body.code)
        member = people.take_password(body.key, body.password)
    come_in(request, member, "take_password")
    return session_of(request)


def _handed_over(request: MemberRequest, link: EntryLink, key: str) -> MadeLink:
    path = f"/enter#{key}"
    address = request.build_absolute_uri(path)
    letter = letter_of_invitation if link.invites else letter_of_password_link
    sent_to = link.email if link.email and sent(link.email, letter(link, address)) else ""
    return MadeLink(id=link.pk, path=path, ends_at=link.ends_at, sent_to=sent_to)


@contextmanager
def _refusals_recorded(request: HttpRequest) -> Iterator[None]:
    """What a link was refused for is in the record of the crew that it is of."""
    try:
        yield
    except LinkRefused as refused:
        if refused.link is not None:
            record(
                "link_refused",
                crew=refused.link.crew_id,
                member=None,
                about={"link": refused.link.pk, "code": refused.code},
                request=request,
            )
        raise
