"""Where documents lie in a job's file: how they go out into it, and come in again."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Any, Protocol

from accounts.models import Member
from versions.stored import StoredDocuments
from yarrow import DocumentError

MOST_ENTRY_BYTES = 100_000
"""Unpacked: twice what a document that is kept here may take, and more than a manifest does. One
entry at a time is in memory, so that how many there are costs none."""


class Documents(Protocol):
    """Some documents, of which no more is asked than how many there are and each in turn."""

    def __len__(self) -> int: ...

    def __iter__(self) -> Iterator[dict[str, Any]]: ...


@dataclass(frozen=True, slots=True)
class Archive:
    """What a job's file holds: the job's name, place, unit and rules, the documents of each of its
    folders, by that, and by what key the boxes know each run. Documents may be fetched only when
    they are asked for."""

    name: str
    place: str
    units: str
    documents: Mapping[str, Documents]
    rules: str | None = None
    keys: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Arrival:
    """A job that is coming in from its file: who brings it, the job as far as it is there, by what
    keys its file knows its runs; the rows that were made so far, and what of a bound that all of a
    folder have together is spent, by their folders."""

    member: Member
    job: Any
    keys: Sequence[str] = ()
    rows: dict[str, list[Any]] = field(default_factory=dict)
    spent: dict[str, int] = field(default_factory=dict)

    def named(self, folder: str, document: Mapping[str, Any], by: str) -> tuple[int, Any]:
        """Which row of a folder that is in a document names, counted from 1, and that row.

        Args:
            folder: its name.
            document: that came in.
            by: the field that has its number.

        Returns:
            The number, and the row as it was made.

        Raises:
            DocumentError, at that field.
        """
        rows, number = self.rows[folder], document.get(by)
        if not isinstance(number, int) or not 1 <= number <= len(rows):
            raise DocumentError(by, f"one of {len(rows)} {folder}, counted from 1")
        return number, rows[number - 1]


class Folder(ABC):
    """A folder of a job's file: its ``name``, what ``one`` of its documents is called, how many
    there may be, and how long one."""

    name: str
    one: str
    most: int
    most_bytes: int = MOST_ENTRY_BYTES

    @abstractmethod
    def out(self, member: Member, job: Any) -> Documents:
        """What of a job lies in it.

        Args:
            job: whose file it is.
        """

    @abstractmethod
    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> Any:
        """A document of it comes in; its row.

        Args:
            number: in the folder, from 0.
            document: as the file has it.

        Returns:
            A row of the folder's kind.

        Raises:
            DocumentError.
        """

    def take_all(self, arrival: Arrival, documents: Iterable[dict[str, Any]]) -> Iterator[None]:
        """All of them come in, told after each.

        Args:
            documents: as the file has them, in order.

        Raises:
            DocumentError, with which one it is.
        """
        rows = arrival.rows[self.name] = []
        for number, document in enumerate(documents):
            try:
                rows.append(self.take(arrival, number, document))
            except DocumentError as refusal:
                place = f"{self.one} {number + 1}, {refusal.path}"
                raise DocumentError(place, refusal.expected) from None
            yield


class KindFolder(Folder):
    """The documents of a kind that belongs to a job, as they are."""

    def __init__(self, kind: Any) -> None:
        self.kind = kind
        self.name, self.one, self.most = kind.many, kind.one, kind.most or 1

    def out(self, member: Member, job: Any) -> Documents:
        """Those of the job that were not removed."""
        return StoredDocuments(self.kind.there(member).filter(job=job))

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> Any:
        """A new one of the job.

        Raises:
            DocumentError.
        """
        return self.kind.create(arrival.member, arrival.job.id, document)
