"""What every document that is saved by version has, and the revisions of all of them."""

from __future__ import annotations

from typing import ClassVar

from django.contrib.contenttypes.fields import GenericForeignKey, GenericRelation
from django.contrib.contenttypes.models import ContentType
from django.db import models

from accounts.models import Member
from versions.fields import DocumentField


class Revision(models.Model):
    """A document ``of`` some kind as it was saved once. Never changed; it goes when its document's
    row does."""

    kind = models.ForeignKey(ContentType, on_delete=models.PROTECT, related_name="+")
    row_id = models.PositiveBigIntegerField()
    of = GenericForeignKey("kind", "row_id")
    version = models.PositiveIntegerField()
    document = DocumentField()
    saved_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")
    saved_at = models.DateTimeField(auto_now_add=True)
    restored_from = models.PositiveIntegerField(null=True, blank=True)

    class Meta:
        ordering = ("-version",)
        constraints: ClassVar = [
            models.UniqueConstraint(
                fields=["kind", "row_id", "version"], name="one_revision_of_a_document_a_version"
            )
        ]

    def __str__(self) -> str:
        return f"{self.kind.model} {self.row_id} v{self.version}"


class VersionedDocument(models.Model):
    """A document and what stands beside it. ``version`` counts its revisions, the newest of which
    stands here too; ``removed_at`` is when it was put away, None while it is there."""

    document = DocumentField()
    version = models.PositiveIntegerField(default=1)
    updated_at = models.DateTimeField(auto_now=True)
    updated_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")
    removed_at = models.DateTimeField(null=True, blank=True)
    revisions = GenericRelation(Revision, content_type_field="kind", object_id_field="row_id")

    class Meta:
        abstract = True
