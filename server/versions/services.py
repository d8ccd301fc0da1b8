"""Saving by version: the check that nobody saved in between, the write, and the revision."""

from __future__ import annotations

import json
from collections.abc import Sequence
from typing import Any, NamedTuple

from django.db.models import QuerySet
from django.utils import timezone

from accounts.models import Member
from versions.models import VersionedDocument
from yarrow import DocumentError


class TooLong(DocumentError):
    """A document that is longer than one of its kind may be."""


class VersionConflict(Exception):
    """Someone else saved in between. ``current`` is the document's row as it stands now, ``yours``
    what was to be saved."""

    def __init__(self, current: VersionedDocument, yours: dict[str, Any]) -> None:
        super().__init__(f"the {current.what} is at version {current.version}")
        self.current = current
        self.yours = yours


def locked(rows: QuerySet[Any], row_id: int) -> Any:
    """A row that nobody else can change until the transaction ends.

    Args: rows, those that the member may change.
    Raises: DoesNotExist.
    """
    return rows.select_for_update(of=("self",)).get(id=row_id)


def is_saved_already(
    row: VersionedDocument, member: Member, document: dict[str, Any], base_version: int
) -> bool:
    """Whether a save is one whose answer was lost: the same member saved the same document from the
    same version, and nobody has saved since."""
    next_one = row.version == base_version + 1 and row.updated_by_id == member.pk
    return next_one and row.document == document


def check_version(row: VersionedDocument, base_version: int, yours: dict[str, Any]) -> None:
    """Raises: VersionConflict, where the row is at another version."""
    if row.version != base_version:
        raise VersionConflict(row, yours)


class Only(NamedTuple):
    """The one document of whoever has no more than one: its ``row``, None where nothing was said in
    it yet, which is version 0; ``saved``: a save whose answer was lost, and that went through."""

    row: Any
    saved: bool = False


def only(rows: QuerySet[Any], member: Member, yours: dict[str, Any], base_version: int) -> Only:
    """The one document of whoever has no more than one, to be written anew. Who owns it has to be
    locked, so that no two are first.

    Args: rows, it or nothing; yours, what is to be saved; base_version, what that was made from.
    Raises: DoesNotExist; VersionConflict, where the document has moved on.
    """
    row = rows.select_for_update(of=("self",)).first()
    if row is None:
        if base_version:
            raise rows.model.DoesNotExist
        return Only(None)
    if is_saved_already(row, member, yours, base_version):
        return Only(row, saved=True)
    check_version(row, base_version, yours)
    return Only(row)


def write(
    row: VersionedDocument,
    member: Member,
    document: dict[str, Any],
    restored_from: int | None = None,
) -> None:
    """Write a document as the row's next version (its first, where it is new), with its revision.

    What the row tells beside its document is set before. A removed one is there again.

    Raises: TooLong, where it is longer than one may be.
    """
    _set(row, member, document)
    row.save()
    row.revisions.create(
        version=row.version, document=document, saved_by=member, restored_from=restored_from
    )


def write_new(rows: Sequence[VersionedDocument], member: Member) -> None:
    """New rows of one kind with their first revisions, all at once. Each was made by ``new``."""
    if not rows:
        return
    kind = type(rows[0])
    kind._default_manager.bulk_create(rows)
    of = kind.revisions.rel
    of.related_model.objects.bulk_create(
        of.related_model(
            **{of.field.name: row}, version=row.version, document=row.document, saved_by=member
        )
        for row in rows
    )


def new(row: VersionedDocument, member: Member, document: dict[str, Any]) -> None:
    """A row that is not there yet, with its document, to be written with others of its kind.

    Raises: TooLong, where it is longer than one may be.
    """
    _set(row, member, document)


def _set(row: VersionedDocument, member: Member, document: dict[str, Any]) -> None:
    if len(json.dumps(document, ensure_ascii=False).encode()) > row.most_bytes:
        raise TooLong("document", f"at most {row.most_bytes:,} bytes: part it in two")
    row.version = row.version + 1 if row.pk else 1
    row.document, row.updated_by, row.removed_at = document, member, None


def remove(row: VersionedDocument) -> None:
    """Put it away; its revisions stay, and it can be brought back."""
    row.removed_at = timezone.now()
    row.save(update_fields=["removed_at"])


def bring_back(row: VersionedDocument) -> None:
    """It is there again, as it was."""
    row.removed_at = None
    row.save(update_fields=["removed_at"])
