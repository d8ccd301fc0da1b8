"""What the shapes of all routes share: names, numbers, units, revisions. Plans and catalogues are
the core's own dataclasses."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any, Literal

from django.db.models import QuerySet
from ninja import Schema
from pydantic import BeforeValidator, ConfigDict, Field, StringConstraints

from versions.models import Revision, VersionedDocument

PRINTABLE = r"^[^\x00-\x1f\x7f-\x9f\u061c\u200b-\u200f\u2028-\u202e\u2060-\u206f\ufeff]*$"
"""No control code, and nothing that turns the direction of what stands beside it."""

Name = Annotated[
    str,
    StringConstraints(strip_whitespace=True, min_length=1, max_length=120, pattern=PRINTABLE),
]

Place = Annotated[str, StringConstraints(strip_whitespace=True, max_length=200, pattern=PRINTABLE)]

Secret = Annotated[str, StringConstraints(min_length=1, max_length=200)]


def plain_number(value: object) -> object:
    """Digits alone: Python would take 1_0 for ten.

    Args:
        value: as it was sent.

    Returns:
        Itself, for Pydantic to read.

    Raises:
        ValueError, for other text.
    """
    if isinstance(value, str) and not (value.isascii() and value.isdigit()):
        raise ValueError("a whole number")
    return value


Id = Annotated[int, BeforeValidator(plain_number), Field(ge=1, le=2**62)]

MOST_LISTED = 100
"""Rows of one page of a list; of what was removed, the newest are all that is listed."""

Version = Annotated[int, BeforeValidator(plain_number), Field(ge=1, le=2_000_000_000)]

VersionOrNone = Annotated[int, Field(ge=0, le=2_000_000_000)]
"""The version that something was made from; 0 where nothing was said of it yet."""

Units = Literal["in", "mm"]


class Body(Schema):
    """What comes in: unknown fields are refused."""

    model_config = ConfigDict(extra="forbid")


class Restore(Body):
    """The version that the person was looking at when they asked for an older one."""

    base_version: Version


class RevisionSummary(Schema):
    """A revision in a run's history."""

    version: int
    saved_at: datetime
    saved_by: str
    restored_from: int | None


class RemovedSummary(Schema):
    """Something that was removed and can be brought back; ``id`` is its number, of a box its name
    is what it is called by."""

    id: int
    name: str
    version: int
    removed_at: datetime


class NamedSummary(Schema):
    """Something of a job as a list shows it."""

    id: int
    name: str


class NamedDetail(NamedSummary):
    """Something of a job, at a version; with its document."""

    version: int
    job_id: int
    job_name: str


class Nothing(Schema):
    """An empty answer."""


def removed_summary(row: VersionedDocument) -> RemovedSummary:
    """A removed document as a list shows it."""
    assert row.removed_at is not None  # it is on the list of those that are
    return RemovedSummary(id=row.pk, name=str(row), version=row.version, removed_at=row.removed_at)


def revision_summary(revision: Revision) -> RevisionSummary:
    """A revision as the history shows it."""
    return RevisionSummary(**revision_fields(revision))


def revision_page(revisions: QuerySet[Any], before: int | None) -> list[RevisionSummary]:
    """A page of a history, newest first: the newest, or those before a version.

    Args:
        revisions: of a row.
        before: a version; None: from the newest on.
    """
    older = revisions.filter(version__lt=before) if before else revisions
    newest = older.order_by("-version").select_related("saved_by").defer("document")
    return [revision_summary(revision) for revision in newest[:MOST_LISTED]]


def revision_fields(revision: Revision) -> dict[str, Any]:
    """What every revision tells beside its document.

    Returns:
        By the names of a revision's shape.
    """
    return {
        "version": revision.version,
        "saved_at": revision.saved_at,
        "saved_by": revision.saved_by.shown_name,
        "restored_from": revision.restored_from,
    }
