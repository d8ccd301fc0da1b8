"""Sessions that know their member: who asks is found by one query, and not by two."""

from __future__ import annotations

from datetime import timedelta
from functools import cache
from typing import Any

from axes.models import AccessAttempt, AccessLog
from django.conf import settings
from django.contrib.auth import HASH_SESSION_KEY, SESSION_KEY, login
from django.contrib.auth.middleware import AuthenticationMiddleware
from django.contrib.auth.models import AnonymousUser
from django.contrib.sessions.backends import db
from django.contrib.sessions.middleware import SessionMiddleware
from django.db import OperationalError, connection
from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from django.utils.crypto import constant_time_compare
from django.utils.functional import SimpleLazyObject

from accounts.models import Member, MemberSession
from accounts.tries import forget_ended


@cache
def _fields() -> list[str]:
    return [field.attname for field in Member._meta.concrete_fields]


@cache
def _found() -> str:
    columns = ", ".join(f'member."{field.column}"' for field in Member._meta.concrete_fields)
    return (
        f"SELECT session.session_data, {columns} "
        f"FROM {MemberSession._meta.db_table} session "
        f"LEFT JOIN {Member._meta.db_table} member ON member.id = session.member_id "
        "WHERE session.session_key = %s AND session.expire_date > %s"
    )


class SessionStore(db.SessionStore):
    """Django's sessions in the database, in a table with the member beside the session.
    ``member`` is who is signed in by it, once it is loaded."""

    member: Member | None = None

    @classmethod
    def get_model_class(cls) -> type[MemberSession]:
        """The table."""
        return MemberSession

    def load(self) -> dict[str, Any]:
        """What the session holds, and its member. Every request asks this: the statement is always
        the same, and is not composed anew each time.

        Returns:
            What was kept in it; empty where there is no such session.
        """
        row = self._row()
        if row is None:
            self._session_key = None
            return {}
        data, *values = row
        self.member = Member.from_db(connection.alias, _fields(), values) if values[0] else None
        return self.decode(data)

    def _row(self) -> tuple[Any, ...] | None:
        """The session's columns and its member's. The database may have been started again since
        this connection was made: where it has, it is asked once more, which is cheaper than asking
        before every request whether it is there."""
        if connection.in_atomic_block:
            return self._ask()
        connection.health_check_done = True  # type: ignore[attr-defined]  # not in the stubs
        try:
            return self._ask()
        except OperationalError:
            connection.close()
            return self._ask()

    def _ask(self) -> tuple[Any, ...] | None:
        with connection.cursor() as cursor:
            cursor.execute(_found(), [self.session_key, timezone.now()])
            row: tuple[Any, ...] | None = cursor.fetchone()
        return row

    def create_model_instance(self, data: dict[str, Any]) -> MemberSession:
        """The session as a row.

        Args:
            data: what is kept in it.
        """
        row = super().create_model_instance(data)
        assert isinstance(row, MemberSession)  # by get_model_class
        row.member_id = data.get(SESSION_KEY)
        row.device, row.address = data.get(_DEVICE, ""), data.get(_ADDRESS)
        row.begun_at = data.get(_BEGUN)
        return row


_DEVICE, _ADDRESS, _BEGUN = "device", "address", "begun_at"
_LONGEST_DEVICE = 200


def device_of(request: HttpRequest) -> str:
    """What a request's program calls itself.

    Returns:
        As much of it as is kept.
    """
    return request.headers.get("User-Agent", "")[:_LONGEST_DEVICE]


def address_of(request: HttpRequest) -> str | None:
    """Where a request came from, as ``config.proxies`` found it.

    Returns:
        An address; None, where it is not known.
    """
    return request.META["REMOTE_ADDR"] or None


def begin(request: HttpRequest, member: Member) -> None:
    """Signs a member in by this request's session, which knows from then on where that was.

    Args:
        member: whose password, or link, was the right one.
    """
    login(request, member, backend=_BACKEND)
    session = request.session
    session[_DEVICE] = device_of(request)
    session[_ADDRESS] = address_of(request)
    session[_BEGUN] = timezone.now().isoformat()


_BACKEND = "django.contrib.auth.backends.ModelBackend"

_RECORDS_KEPT = timedelta(days=90)
_AT_ONCE = 1000
"""Rows of a kind that a sign-in clears: it waits for no more."""


def clear_ended() -> None:
    """Sessions that have ended and records of sign-ins that nobody needs any more are put away, as
    people sign in."""
    now = timezone.now()
    ended = MemberSession.objects.filter(expire_date__lt=now)
    old = now - _RECORDS_KEPT
    attempts = AccessAttempt.objects.filter(attempt_time__lt=now - settings.AXES_COOLOFF_TIME)
    logs = AccessLog.objects.filter(attempt_time__lt=old)
    for rows in (ended, attempts, logs):
        rows.model._default_manager.filter(pk__in=rows.values("pk")[:_AT_ONCE]).delete()
    forget_ended(_AT_ONCE)


class CookieMiddleware(SessionMiddleware):
    """Django's own, but that a cookie is taken away only by what ends the session."""

    def process_response(self, request: HttpRequest, response: HttpResponse) -> HttpResponse:
        """The answer with its cookie. One that found its session gone leaves the browser's cookie:
        whoever was asked to sign in again may have done so meanwhile, and this answer, which comes
        after that one, would sign them out once more."""
        session = request.session
        if session.is_empty() and not session.modified:
            return response
        return super().process_response(request, response)


class MemberMiddleware(AuthenticationMiddleware):
    """Django's own, with the member whom the session was loaded with."""

    def process_request(self, request: HttpRequest) -> None:
        """Who asks, looked up when that is first asked for."""
        super().process_request(request)
        request.user = SimpleLazyObject(lambda: _member(request))  # type: ignore[assignment]


def _member(request: HttpRequest) -> Member | AnonymousUser:
    """Whoever signed in by the session, unless their password is another one since then."""
    session: Any = request.session
    user_id = session.get(SESSION_KEY)  # loads it
    member = session.member
    if member is None or str(member.pk) != user_id or not member.is_active:
        return AnonymousUser()
    if not constant_time_compare(session.get(HASH_SESSION_KEY, ""), member.get_session_auth_hash()):
        session.flush()
        return AnonymousUser()
    result: Member = member
    return result
