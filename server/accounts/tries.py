"""How often something was tried, counted in the database: for all processes on all machines."""

from __future__ import annotations

from django.db import connection

from accounts.models import Tries

_TABLE = Tries._meta.db_table
_ONE_MORE = f"""
INSERT INTO {_TABLE} AS tries (what, count, ends_at)
VALUES (%(what)s, %(more)s, clock_timestamp() + make_interval(secs => %(seconds)s))
ON CONFLICT (what) DO UPDATE SET
    count = excluded.count
        + CASE WHEN tries.ends_at <= clock_timestamp() THEN 0 ELSE tries.count END,
    ends_at = CASE
        WHEN tries.ends_at <= clock_timestamp() THEN excluded.ends_at ELSE tries.ends_at
    END
RETURNING count
"""
"""By the database's clock: machines that disagree about the time count as one."""


def one_more(what: str, seconds: int, more: int = 1) -> int:
    """Count a try.

    Args:
        what: is tried, and by whom.
        seconds: after the first of them that it is forgotten.
        more: tries, where several are counted at once.

    Returns:
        How many there were, with these.
    """
    with connection.cursor() as cursor:
        cursor.execute(_ONE_MORE, {"what": what[:200], "more": more, "seconds": seconds})
        (count,) = cursor.fetchone()
    return int(count)


def forget_ended(at_once: int) -> None:
    """Put away what is counted no longer.

    Args:
        at_once: rows, at most: whoever signs in waits for no more.
    """
    with connection.cursor() as cursor:
        cursor.execute(
            f"DELETE FROM {_TABLE} WHERE what IN "
            f"(SELECT what FROM {_TABLE} WHERE ends_at <= clock_timestamp() LIMIT %s)",
            [at_once],
        )
