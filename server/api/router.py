"""Routes behind the wall: who is let in by them, and what their role may do there."""

from __future__ import annotations

from typing import Any
from urllib.parse import unquote

from django.http import HttpRequest
from ninja import Router as NinjaRouter
from ninja.constants import NOT_SET
from ninja.security import SessionAuth

from accounts.audit import CHANGE, Change
from accounts.models import Member
from accounts.roles import Act, CrewRole, NotForRole

_KEEPS_NOTHING = "GET"

_OF_THEMSELVES = (
    *("sign_out", "change_password", "end_session", "end_other_sessions"),
    *("begin_second_factor", "confirm_second_factor", "turn_off_second_factor"),
    *("begin_passkey", "add_passkey", "take_off_passkey"),
)
"""What whoever is signed in does for themselves: everybody may, and it is recorded."""

ACTS: dict[str, Act] = {
    **dict.fromkeys(_OF_THEMSELVES, Act.SEE),
    # Worked out of what is kept.
    **dict.fromkeys(
        (
            *("cut_list_of_job", "check_site_box", "read_site_geojson", "read_site_dxf"),
            *("ask_for_work", "stop_work"),
        ),
        Act.SEE,
    ),
    # What is done at the bender. What of a run or of ducts is done there, their kinds say.
    **dict.fromkeys(
        (
            *("save_run", "save_site", "save_at_bench", "restore_at_bench"),
            *("set_stage", "learn_bender", "cut_now", "pair_gauge"),
        ),
        Act.BEND,
    ),
    **dict.fromkeys(
        (
            *("invite", "withdraw_invitation", "change_member", "put_out", "let_in_again"),
            *("make_password_link", "reset_second_factor", "get_record"),
        ),
        Act.LEAD,
    ),
}
"""What operations do, by their names in the API, where ``act_of`` does not tell it."""


def act_of(operation_id: str, methods: list[str], keeps: bool) -> Act:
    """What an operation does: what changes something, and is not named, changes plans.

    Args:
        operation_id: its name in the API.
        methods: of HTTP.
        keeps: whether anything of it is kept.

    Returns:
        What a role has to be allowed to do.
    """
    if operation_id in ACTS:
        return ACTS[operation_id]
    return Act.PLAN if keeps and methods != [_KEEPS_NOTHING] else Act.SEE


class MemberAuth(SessionAuth):
    """Who is signed in; nobody, where the page that asks belongs to another member: whoever has
    signed in meanwhile in another tab is not to change things, or see them, in that one's page.

    Args:
        act: what the operation does; whose role does not is refused.
        changes: the operation's name, where something is kept by it.
    """

    def __init__(self, act: Act, changes: str | None) -> None:
        super().__init__()
        self.act = act
        self.changes = changes

    def authenticate(self, request: HttpRequest, key: str | None) -> Any:
        """The member; None where there is none.

        Args:
            key: of the session, from its cookie.

        Returns:
            An ``accounts.Member``.

        Raises:
            NotForRole.
        """
        member: Member | None = super().authenticate(request, key)
        meant = request.headers.get("X-Member")
        if member is None or (meant is not None and unquote(meant) != member.username):
            return None
        request.member_name = member.username  # type: ignore[attr-defined]  # for the log
        if not member.may(self.act):
            raise NotForRole(CrewRole(member.role))
        if self.changes:
            setattr(request, CHANGE, Change(self.changes, member))
        return member


class Router(NinjaRouter):
    """Ninja's router whose operations each know what they do; ``keeps`` False says of a whole
    router that nothing of what it is asked is kept.

    Args:
        keeps: whether what is not asked for by GET is kept.
        options: of Ninja's.
    """

    def __init__(self, *, keeps: bool = True, **options: Any) -> None:
        super().__init__(**options)
        self.keeps = keeps

    def add_api_operation(
        self, path: str, methods: Any, view_func: Any, *, auth: Any = NOT_SET, **options: Any
    ) -> None:
        """An operation, behind the wall unless it says that anybody may come.

        Args:
            path: of its address.
            methods: of HTTP.
            view_func: that answers.
            auth: None, where anybody may come.
            options: of Ninja's.
        """
        if auth is NOT_SET:
            operation_id = options["operation_id"]
            act = act_of(operation_id, list(methods), self.keeps)
            changed = act is not Act.SEE or operation_id in _OF_THEMSELVES
            changes = operation_id if changed and list(methods) != [_KEEPS_NOTHING] else None
            auth = MemberAuth(act, changes)
        super().add_api_operation(path, methods, view_func, auth=auth, **options)
