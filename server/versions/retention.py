"""How long every save is kept: after so many days, of each thing the last of a day."""

from __future__ import annotations

from django.db import connection

from versions.models import Revision

_TABLE = Revision._meta.db_table
_THIN_OUT = f"""
DELETE FROM {_TABLE} WHERE id IN (
    SELECT id FROM (
        SELECT id, version,
            max(version) OVER (
                PARTITION BY kind, row_id, date_trunc('day', saved_at AT TIME ZONE 'UTC')
            ) AS last_of_day,
            min(version) OVER (PARTITION BY kind, row_id) AS first
        FROM {_TABLE} WHERE saved_at < clock_timestamp() - make_interval(days => %(days)s)
    ) AS kept_longer
    WHERE version NOT IN (last_of_day, first)
    LIMIT %(at_once)s
)
"""
"""By the database's clock. The first of a thing is kept too: what it was begun as."""

_AT_ONCE = 1000


def thin_out(days: int) -> int:
    """Put away saves of more than so many days ago that others of their day came after.

    Args:
        days: for which every save is kept; 0: for ever.

    Returns:
        How many went.
    """
    gone = 0
    while days:
        with connection.cursor() as cursor:
            cursor.execute(_THIN_OUT, {"days": days, "at_once": _AT_ONCE})
            gone += cursor.rowcount
            if cursor.rowcount < _AT_ONCE:
                break
    return gone
