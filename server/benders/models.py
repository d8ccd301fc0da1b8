"""A crew's own bender with one conduit in it."""

from __future__ import annotations

from django.db import models

from accounts.models import Crew
from versions.models import DocumentRevision, VersionedDocument
from yarrow import bender_numbers, read_own_fittings


class CrewBender(VersionedDocument):
    """A bender; its document is a ``yarrow.bender/1``."""

    what = "bender"
    most_bytes = 64_000
    check_document = staticmethod(bender_numbers)

    crew = models.ForeignKey(Crew, on_delete=models.CASCADE, related_name="benders")
    name = models.CharField(max_length=120)

    class Meta:
        ordering = ("name", "id")

    def __str__(self) -> str:
        return self.name


class CrewFittings(VersionedDocument):
    """The fittings that a crew has measured itself: its document is a ``yarrow.fittings/1``. A crew
    has one, from the first fitting on."""

    what = "list of fittings"
    most_bytes = 24_000
    check_document = staticmethod(read_own_fittings)

    crew = models.OneToOneField(Crew, on_delete=models.CASCADE, related_name="fittings")

    def __str__(self) -> str:
        return f"Fittings of {self.crew}"


class FittingsRevision(DocumentRevision):
    """A crew's own fittings as they were saved once."""

    fittings = models.ForeignKey(CrewFittings, on_delete=models.CASCADE, related_name="revisions")

    class Meta(DocumentRevision.Meta):
        constraints = (
            models.UniqueConstraint(
                fields=["fittings", "version"], name="one_fittings_revision_a_version"
            ),
        )

    def __str__(self) -> str:
        return f"{self.fittings} v{self.version}"


class BenderRevision(DocumentRevision):
    """A bender as it was saved once."""

    bender = models.ForeignKey(CrewBender, on_delete=models.CASCADE, related_name="revisions")

    class Meta(DocumentRevision.Meta):
        constraints = (
            models.UniqueConstraint(
                fields=["bender", "version"], name="one_bender_revision_a_version"
            ),
        )

    def __str__(self) -> str:
        return f"{self.bender} v{self.version}"
