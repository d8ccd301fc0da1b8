"""What a Yarrow that people work with refuses to start on: each in words, all of them at once."""

from __future__ import annotations

from collections.abc import Iterator
from functools import cache
from ipaddress import ip_address
from urllib.parse import urlsplit

from django.contrib.auth.hashers import check_password
from django.db import DatabaseError, OperationalError, connection
from django.db.migrations.loader import MigrationLoader
from django.db.migrations.recorder import MigrationRecorder

from accounts.models import Member
from config.operating import Operating
from jobs.demo import MEMBERS, PASSWORD

_SHORTEST_SECRET = 40


def unfit(operating: Operating) -> list[str]:
    """Everything that is unsafe or missing in the settings and, where those will do, in the
    database.

    Args:
        operating: the settings.

    Returns:
        Sentences; none, where nothing is.
    """
    return list(_unfit_settings(operating)) or list(_unfit_database())


def _unfit_settings(operating: Operating) -> Iterator[str]:
    if operating.debug:
        yield "debug shows whoever asks how Yarrow works inside: leave it out."
    if len(operating.secret_key.get_secret_value()) < _SHORTEST_SECRET:
        yield (
            f"secret_key has to have {_SHORTEST_SECRET} characters or more that nobody can guess: "
            "see docs/operating.md for a command that makes one."
        )
    if not operating.hosts or "*" in operating.hosts:
        yield "hosts has to name what people reach this Yarrow by, and no more (yarrow.example)."
    if operating.https:
        yield from _https(operating)
    elif not all(_is_here(host) for host in operating.hosts):
        yield (
            "https has to be true where people come from other machines: passwords would go over "
            "the network as they are typed."
        )
    host = operating.address.rpartition(":")[0].strip("[]")
    if not operating.proxies and not _is_here(host):
        yield (
            f"address is {operating.address}, and the server speaks plain HTTP: let it listen on "
            "127.0.0.1 and put a proxy that ends TLS before it (proxies = 1)."
        )
    database = operating.database_settings
    at = database["HOST"]
    if at and not at.startswith("/") and not _is_here(at):
        mode = database.get("OPTIONS", {}).get("sslmode", "")
        if mode not in ("require", "verify-ca", "verify-full"):
            yield (
                "database is on another machine: its address has to end with ?sslmode=verify-full."
            )


def _https(operating: Operating) -> Iterator[str]:
    if not operating.proxies:
        yield "https needs a proxy that ends TLS before the server: proxies = 1."
    for origin in operating.trusted_origins:
        parts = urlsplit(origin)
        if parts.scheme != "https" or parts.hostname not in operating.hosts:
            yield f"origins has {origin}: each is https:// and one of the hosts."


def _is_here(host: str) -> bool:
    """Whether a name or an address is this machine's own."""
    try:
        return ip_address(host).is_loopback
    except ValueError:
        return host == "localhost"


def _unfit_database() -> Iterator[str]:
    try:
        connection.ensure_connection()
        missing = missing_migrations()
    except (OperationalError, DatabaseError) as error:
        yield f"The database can't be reached: {str(error).strip()}"
        return
    if missing:
        yield (
            f"The database lacks {len(missing)} changes of this version, the first of them "
            f"{missing[0]}: run ./yarrow upgrade."
        )
        return
    for name in _with_demo_password():
        yield f"{name} can sign in with the password of the demo: everybody knows that one."


def missing_migrations() -> list[str]:
    """The migrations that the database has not had yet.

    Returns:
        Each as ``app.name``, in their order.

    Raises:
        OperationalError, where it can't be reached.
    """
    applied = MigrationRecorder(connection).applied_migrations()
    return [
        f"{app}.{name}"
        for (app, name), steps in _own_migrations().items()
        if (app, name) not in applied and not (steps and all(step in applied for step in steps))
    ]


@cache
def _own_migrations() -> dict[tuple[str, str], tuple[tuple[str, str], ...]]:
    """The migrations of this version in their order, each with the steps that it is in one: a
    database that has been through those has it."""
    graph = MigrationLoader(None).graph
    steps: dict[tuple[str, str], tuple[tuple[str, str], ...]] = {}
    for leaf in sorted(graph.leaf_nodes()):
        for key in graph.forwards_plan(leaf):
            steps.setdefault(key, tuple(map(tuple, graph.nodes[key].replaces)))
    return steps


def _with_demo_password() -> list[str]:
    names = [name for people in MEMBERS.values() for name in people]
    members = Member.objects.filter(username__in=names, is_active=True).order_by("username")
    return [member.username for member in members if check_password(PASSWORD, member.password)]
