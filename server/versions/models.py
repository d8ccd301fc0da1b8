"""What every document that is saved by version has, and every revision of one."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, ClassVar

from django.db import models

from accounts.models import Member
from versions.fields import DocumentField


class VersionedDocument(models.Model):
    """A document and its name. ``version`` counts its revisions, the newest of which stands here
    too; ``removed_at`` is when it was put away, None while it is there."""

    document = DocumentField()
    version = models.PositiveIntegerField(default=1)
    updated_at = models.DateTimeField(auto_now=True)
    updated_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")
    removed_at = models.DateTimeField(null=True, blank=True)

    revisions: Any
    what: ClassVar[str] = "document"
    """What a person calls one."""

    most_bytes: ClassVar[int]
    """Of one, as JSON: what is kept goes out in a job's file, and that has to come in again."""

    check_document: Callable[[object], object]
    """Reads a document as this kind's are; raises DocumentError, where it can't be read."""

    class Meta:
        abstract = True


class DocumentRevision(models.Model):
    """A document as it was saved once. Never changed and never deleted."""

    version = models.PositiveIntegerField()
    document = DocumentField()
    saved_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")
    saved_at = models.DateTimeField(auto_now_add=True)
    restored_from = models.PositiveIntegerField(null=True, blank=True)

    class Meta:
        abstract = True
        ordering = ("-version",)
