"""A kind of documents that are saved by version: what it is, who may see and change which, and all
that can be done with one, in one place for every kind."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Sequence
from typing import Any, ClassVar, Generic, TypeVar

from django.core.exceptions import ImproperlyConfigured
from django.db import transaction
from django.db.models import Model, QuerySet

import yarrow
from accounts.models import Member
from accounts.roles import Act, CrewRole, NotForRole
from versions import services as versions
from versions.folders import Folder, KindFolder
from versions.models import VersionedDocument
from yarrow import DocumentError

Row = TypeVar("Row", bound=VersionedDocument)


class SavedKind(ABC, Generic[Row]):
    """One kind. A subclass names its parts and says what is its own; every change is one
    transaction, checked, written and recorded here.

    ``format`` is the name of its documents' format; ``one`` and ``many`` are what operations and
    lists call it by, ``called`` what a person does. ``owner`` is the column of what it belongs to,
    ``crew`` the way from a row to its crew, and ``beside`` what is fetched with one. ``most`` is
    how many there may be where it belongs (None: its owner has one), ``most_bytes`` how long one
    may be as JSON: what is kept goes out in a job's file, and that has to come in again.
    ``folder`` is how it lies in such a file. ``by_hand`` are the fields that whoever bends may
    change, and no others.
    """

    one: ClassVar[str]
    many: ClassVar[str]
    called: ClassVar[str]
    model: type[Row]
    format: ClassVar[str]
    owner: ClassVar[str]
    crew: ClassVar[str]
    beside: ClassVar[tuple[str, ...]] = ("updated_by",)
    most: ClassVar[int | None] = None
    most_bytes: ClassVar[int]
    folder: ClassVar[type[KindFolder]] = KindFolder
    by_hand: ClassVar[frozenset[str]] = frozenset()

    @property
    def folders(self) -> Sequence[Folder]:
        """Where it lies in a job's file: its own folder, and what lies beside that."""
        return (self.folder(self),)

    def every(self, member: Member) -> QuerySet[Row]:
        """Those that a member may see, removed or not: their crew's."""
        of_crew = self.model._default_manager.filter(**{self.crew: member.crew_id})
        return of_crew.select_related(*self.beside)

    def there(self, member: Member) -> QuerySet[Row]:
        """Those of them that were not removed."""
        return self.every(member).filter(removed_at=None)

    def removed(self, member: Member) -> QuerySet[Row]:
        """Those of them that were, the newest first."""
        return self.every(member).exclude(removed_at=None).order_by("-removed_at")

    @abstractmethod
    def owner_for(self, member: Member, owner_id: int) -> Any:
        """What a new one belongs to, locked, so that no two are first.

        Args:
            owner_id: its row's.

        Returns:
            The owner's row.

        Raises:
            DoesNotExist, where it is not this member's.
        """

    def check_document(self, document: object) -> None:
        """Whether a document can be read as this kind's are.

        Args:
            document: as it was sent.

        Raises:
            DocumentError.
        """
        yarrow.read(document, self.format)

    def describe(self, row: Row, document: dict[str, Any]) -> None:
        """Sets what lists tell of one beside its document.

        Args:
            document: that can be read.

        Raises:
            DocumentError, where that can't be read.
        """
        self.check_document(document)

    def check(self, row: Row, member: Member, document: dict[str, Any]) -> None:
        """Whether this member may save that.

        Args:
            document: as it was sent.

        Raises:
            DocumentError.
        """

    def complete(self, row: Row, document: dict[str, Any]) -> dict[str, Any]:
        """A document that can be read, with what it is kept with beside what was sent.

        Args:
            document: that can be read.

        Returns:
            Of the same format.
        """
        return document

    def after_writing(self, row: Row, member: Member) -> None:
        """What follows from a new version.

        Raises:
            DocumentError.
        """

    def after_removing(self, row: Row) -> None:
        """What goes with it."""

    def after_bringing_back(self, row: Row, member: Member) -> None:
        """What comes with it.

        Raises:
            DocumentError.
        """

    def check_room(self, owner: Model) -> None:
        """Refuses one more where there is no room for it.

        Args:
            owner: what it belongs to.

        Raises:
            DocumentError.
        """
        if self.most is None:
            return
        there = self.model._default_manager.filter(**{self.owner: owner}, removed_at=None)
        if there.count() >= self.most:
            most = f"at most {self.most} {self.many} in a {self.owner}"
            raise DocumentError(self.owner, most)

    def write(
        self, row: Row, member: Member, document: dict[str, Any], restored_from: int | None = None
    ) -> Row:
        """A document as the row's next version (its first, where it is new), with its revision.

        Args:
            document: that was checked.
            restored_from: the version that it was once.

        Raises:
            DocumentError; TooLong.
        """
        self.describe(row, document)
        document = self.complete(row, document)
        versions.set_next(row, member, document, self.most_bytes)
        row.save()
        row.revision(restored_from).save()
        self.after_writing(row, member)
        return row

    def unwritten(self, row: Row, member: Member, document: dict[str, Any]) -> Row:
        """A new row to be written with others of its kind, by ``versions.write_new``; nothing
        follows from it.

        Args:
            document: that was checked.

        Raises:
            DocumentError; TooLong.
        """
        self.describe(row, document)
        versions.set_next(row, member, document, self.most_bytes)
        return row

    @transaction.atomic
    def create(
        self, member: Member, owner_id: int, document: dict[str, Any], **columns: Any
    ) -> Row:
        """A new one.

        Args:
            owner_id: of what it belongs to.
            document: as it was sent.
            columns: what else its row is made with.

        Raises:
            DoesNotExist; DocumentError, also where there is no room.
        """
        owner = self.owner_for(member, owner_id)
        self.check_room(owner)
        row = self.model(**{self.owner: owner}, document={}, **columns)
        self.check(row, member, document)
        return self.write(row, member, document)

    @transaction.atomic
    def put(
        self,
        member: Member,
        owner_id: int,
        document: dict[str, Any],
        base_version: int,
        **known_by: Any,
    ) -> Row:
        """Save the one that is known by its owner and what else there is; version 0 is one that
        nothing was said of yet. A removed one that is told of again goes on from its last version.

        Args:
            owner_id: its row's.
            document: as it was sent.
            base_version: the version that it was made from.

        Raises:
            DoesNotExist; DocumentError; VersionConflict, where it has moved on: nothing changes.
        """
        owner = self.owner_for(member, owner_id)
        by = {self.owner: owner, **known_by}
        row = self.model._default_manager.select_for_update().filter(**by).first()
        there = row is not None and row.removed_at is None
        if base_version and not there:
            raise self.model.DoesNotExist
        if row is not None and there:
            if versions.is_saved_already(row, member, document, base_version):
                return row
            versions.check_version(self.called, row, base_version, document)
        else:
            self.check_room(owner)
        row = row or self.model(**by)
        self.check(row, member, document)
        return self.write(row, member, document)

    @transaction.atomic
    def save(self, member: Member, row_id: int, document: dict[str, Any], base_version: int) -> Row:
        """Save a document as its next version.

        Args:
            row_id: of one that this member sees.
            document: as it was sent.
            base_version: the version that the document was made from.

        Raises:
            DoesNotExist; DocumentError; VersionConflict, where it has moved on: nothing changes.
        """
        row = self._locked(self.there(member), row_id)
        if versions.is_saved_already(row, member, document, base_version):
            return row
        versions.check_version(self.called, row, base_version, document)
        self._check_hand(row, member, document)
        self.check(row, member, document)
        return self.write(row, member, document)

    @transaction.atomic
    def restore(self, member: Member, row_id: int, version: int, base_version: int) -> Row:
        """Bring an earlier revision back, as a new version.

        Args:
            row_id: of one that this member sees.
            version: that comes back.
            base_version: the version that this was asked from.

        Raises:
            as save; also DoesNotExist where there is no such version.
        """
        row = self._locked(self.there(member), row_id)
        versions.check_version(self.called, row, base_version, {})
        revision = row.revisions.get(version=version)
        return self.write(row, member, revision.document, restored_from=version)

    @transaction.atomic
    def remove(self, member: Member, row_id: int) -> None:
        """Put it away. Its revisions stay.

        Args:
            row_id: of one that this member sees.

        Raises:
            DoesNotExist.
        """
        row = self._locked(self.there(member), row_id)
        versions.remove(row)
        self.after_removing(row)

    @transaction.atomic
    def bring_back(self, member: Member, row_id: int) -> Row:
        """Bring a removed one back; one that is there is where it was wanted.

        Args:
            row_id: of one that this member saw.

        Raises:
            DoesNotExist; DocumentError, where there is no room.
        """
        row = self._locked(self.every(member), row_id)
        if row.removed_at is not None:
            self.check_room(getattr(row, self.owner))
            versions.bring_back(row)
            self.after_bringing_back(row, member)
        return row

    def _check_hand(self, row: Row, member: Member, document: dict[str, Any]) -> None:
        """Whoever bends changes what is done by hand alone. Raises: NotForRole."""
        if member.may(Act.PLAN):
            return
        names = {*row.document, *document}
        changed = {name for name in names if row.document.get(name) != document.get(name)}
        if not member.may(Act.BEND) or changed - self.by_hand:
            raise NotForRole(CrewRole(member.role))

    def _locked(self, rows: QuerySet[Row], row_id: int) -> Row:
        """One that nobody else can change until the transaction ends. Raises: DoesNotExist."""
        return rows.select_for_update(of=("self",)).get(id=row_id)


_KINDS: list[SavedKind[Any]] = []
_SAID = ("one", "many", "called", "model", "format", "owner", "crew", "most_bytes")
"""What every kind has to say of itself."""


def register(*kinds: SavedKind[Any]) -> None:
    """Kinds that everything goes by which goes by all kinds: routes, a job's file, lists of what
    was removed, the check of all that is stored.

    Raises:
        ImproperlyConfigured, where one leaves out what it has to say of itself.
    """
    for kind in kinds:
        if unsaid := [name for name in _SAID if not hasattr(kind, name)]:
            raise ImproperlyConfigured(f"{type(kind).__name__} does not say {', '.join(unsaid)}.")
    _KINDS.extend(kinds)


def every_kind() -> tuple[SavedKind[Any], ...]:
    """All kinds there are, in the order that a job's file comes in by.

    Returns:
        Each once.
    """
    return tuple(_KINDS)


def every_folder() -> tuple[Folder, ...]:
    """All folders that a job's file has, likewise."""
    return tuple(folder for kind in _KINDS for folder in kind.folders)
