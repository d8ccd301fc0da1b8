"""Saving by version: the check that nobody saved in between, the next version, and its revision."""

from __future__ import annotations

import json
from collections.abc import Sequence
from typing import Any

from django.utils import timezone

from accounts.models import Member
from versions.models import Revision, VersionedDocument
from yarrow import DocumentError


class TooLong(DocumentError):
    """A document that is longer than one of its kind may be."""


class VersionConflict(Exception):
    """Someone else saved in between.

    Args:
        called: what a person calls one of that kind.
        current: the document's row as it stands now.
        yours: what was to be saved.
    """

    def __init__(self, called: str, current: VersionedDocument, yours: dict[str, Any]) -> None:
        super().__init__(f"the {called} is at version {current.version}")
        self.called = called
        self.current = current
        self.yours = yours


def is_saved_already(
    row: VersionedDocument, member: Member, document: dict[str, Any], base_version: int
) -> bool:
    """Whether a save is one whose answer was lost: the same member saved the same document from the
    same version, and nobody has saved since.

    Args:
        document: as it was sent.
        base_version: the version that it was made from.
    """
    next_one = row.version == base_version + 1 and row.updated_by_id == member.pk
    return next_one and row.document == document


def check_version(
    called: str, row: VersionedDocument, base_version: int, yours: dict[str, Any]
) -> None:
    """Refuses what was made from another version than the row is at.

    Args:
        called: what the row is, in a word.
        base_version: the version that yours was made from.
        yours: the document that was sent.

    Raises:
        VersionConflict.
    """
    if row.version != base_version:
        raise VersionConflict(called, row, yours)


def set_next(
    row: VersionedDocument, member: Member, document: dict[str, Any], most_bytes: int
) -> None:
    """Sets a document as the row's next version, its first where it is new. A removed one is there
    again.

    Args:
        document: that was checked.
        most_bytes: that it may have as JSON.

    Raises:
        TooLong.
    """
    if len(json.dumps(document, ensure_ascii=False).encode()) > most_bytes:
        raise TooLong("document", f"at most {most_bytes:,} bytes: part it in two")
    row.version = row.version + 1 if row.pk else 1
    row.document, row.updated_by, row.removed_at = document, member, None


def write_new(rows: Sequence[VersionedDocument]) -> None:
    """New rows of one kind with their first revisions, all at once. Each was made by its kind's
    ``unwritten``."""
    if not rows:
        return
    type(rows[0])._default_manager.bulk_create(rows)
    Revision.objects.bulk_create(row.revision() for row in rows)


def remove(row: VersionedDocument) -> None:
    """Put it away; its revisions stay, and it can be brought back."""
    row.removed_at = timezone.now()
    row.save(update_fields=["removed_at"])


def bring_back(row: VersionedDocument) -> None:
    """It is there again, as it was."""
    row.removed_at = None
    row.save(update_fields=["removed_at"])
