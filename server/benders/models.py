"""A crew's own bender with one conduit in it."""

from __future__ import annotations

from django.db import models

from accounts.models import Crew
from versions.models import VersionedDocument


class CrewBender(VersionedDocument):
    """A bender; its document is a ``yarrow.bender/1``."""

    crew = models.ForeignKey(Crew, on_delete=models.CASCADE, related_name="benders")
    name = models.CharField(max_length=120)

    class Meta:
        ordering = ("name", "id")

    def __str__(self) -> str:
        return self.name


class CrewFittings(VersionedDocument):
    """The fittings that a crew has measured itself: its document is a ``yarrow.fittings/1``. A crew
    has one, from the first fitting on."""

    crew = models.OneToOneField(Crew, on_delete=models.CASCADE, related_name="fittings")

    def __str__(self) -> str:
        return f"Fittings of {self.crew}"
