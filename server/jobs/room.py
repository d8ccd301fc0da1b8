"""How much of a kind a job may have: as many as its archive takes."""

from __future__ import annotations

from typing import Any

from yarrow import DocumentError


def check_room(rows: Any, what: str, most: int) -> None:
    """Args: rows, a job's of one kind; those that were removed don't count.

    Raises: DocumentError, where there is room for none more.
    """
    if rows.filter(removed_at=None).count() >= most:
        raise DocumentError("job", f"at most {most} {what} in a job")
