"""What every document that is saved by version has, and the revisions of all of them."""

from __future__ import annotations

from typing import ClassVar

from django.db import models

from accounts.models import Member
from versions.fields import DocumentField


class Revision(models.Model):
    """A document as it was saved once: ``kind`` is the label of its model, ``row_id`` which of its
    rows. Never changed; it goes when that row does."""

    kind = models.CharField(max_length=60)
    row_id = models.PositiveBigIntegerField()
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
        return f"{self.kind} {self.row_id} v{self.version}"


class VersionedDocument(models.Model):
    """A document and what stands beside it. ``version`` counts its revisions, the newest of which
    stands here too; ``removed_at`` is when it was put away, None while it is there."""

    document = DocumentField()
    version = models.PositiveIntegerField(default=1)
    updated_at = models.DateTimeField(auto_now=True)
    updated_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")
    removed_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        abstract = True

    @property
    def revisions(self) -> models.QuerySet[Revision]:
        """Every document that it had, the newest first."""
        return Revision.objects.filter(kind=self._meta.label_lower, row_id=self.pk)

    def revision(self, restored_from: int | None = None) -> Revision:
        """The row as it stands, to be kept as a revision of it.

        Args:
            restored_from: the version that it was once.
        """
        return Revision(
            kind=self._meta.label_lower,
            row_id=self.pk,
            version=self.version,
            document=self.document,
            saved_by=self.updated_by,
            restored_from=restored_from,
        )
