"""What a member does to documents that are saved by version: checked, done and recorded in one
place, for every kind of them."""

from __future__ import annotations

from abc import ABC, abstractmethod
from typing import Any, Generic, TypeVar

from django.db import transaction
from django.db.models import QuerySet

from accounts.models import Member
from versions import services as versions
from versions.models import VersionedDocument

Row = TypeVar("Row", bound=VersionedDocument)


class Changes(ABC, Generic[Row]):
    """The changes to one kind of documents. A kind says who may change which, and how one is
    written; all that is done is one transaction."""

    @abstractmethod
    def every(self, member: Member) -> QuerySet[Row]:
        """Those that a member may see, removed or not."""

    def there(self, member: Member) -> QuerySet[Row]:
        """Those of them that were not removed."""
        return self.every(member).filter(removed_at=None)

    def removed(self, member: Member) -> QuerySet[Row]:
        """Those that a member may bring back."""
        return self.every(member).exclude(removed_at=None)

    @abstractmethod
    def write(
        self, row: Row, member: Member, document: dict[str, Any], restored_from: int | None = None
    ) -> Row:
        """A document as the row's next version, with what lists tell of it.

        Args: restored_from, the version that it was once. Raises: DocumentError.
        """

    def check(self, row: Row, member: Member, document: dict[str, Any]) -> None:
        """Whether this member may save that. Raises: DocumentError."""

    def check_room(self, row: Row) -> None:
        """Whether there is room for one more where it belongs. Raises: DocumentError."""

    def after_removing(self, row: Row) -> None:
        """What goes with it."""

    def after_bringing_back(self, row: Row, member: Member) -> None:
        """What comes with it."""

    @transaction.atomic
    def save(self, member: Member, row_id: int, document: dict[str, Any], base_version: int) -> Row:
        """Save a document as its next version.

        Args: base_version, the version that the document was made from.
        Raises: DoesNotExist; DocumentError; VersionConflict, where it has moved on: nothing
        changes.
        """
        row: Row = versions.locked(self.there(member), row_id)
        if versions.is_saved_already(row, member, document, base_version):
            return row
        versions.check_version(row, base_version, document)
        self.check(row, member, document)
        return self.write(row, member, document)

    @transaction.atomic
    def restore(self, member: Member, row_id: int, version: int, base_version: int) -> Row:
        """Bring an earlier revision back, as a new version.

        Raises: as save; also DoesNotExist where there is no such version.
        """
        row: Row = versions.locked(self.there(member), row_id)
        versions.check_version(row, base_version, {})
        revision = row.revisions.get(version=version)
        return self.write(row, member, revision.document, restored_from=version)

    @transaction.atomic
    def remove(self, member: Member, row_id: int) -> None:
        """Put it away. Its revisions stay. Raises: DoesNotExist."""
        row = self.there(member).select_for_update(of=("self",)).get(id=row_id)
        versions.remove(row)
        self.after_removing(row)

    @transaction.atomic
    def bring_back(self, member: Member, row_id: int) -> Row:
        """Bring a removed one back. Raises: DoesNotExist; DocumentError, where there is no room."""
        row = self.removed(member).select_for_update(of=("self",)).get(id=row_id)
        self.check_room(row)
        versions.bring_back(row)
        self.after_bringing_back(row, member)
        return row
