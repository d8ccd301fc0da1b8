"""A crew's own bender with one conduit in it."""

from __future__ import annotations

from django.db import models

from accounts.models import Crew, Member


class CribBender(models.Model):
    """``document`` is a ``yarrow.bender/1``; ``version`` counts its saves."""

    crew = models.ForeignKey(Crew, on_delete=models.CASCADE, related_name="benders")
    name = models.CharField(max_length=120)
    document = models.JSONField()
    version = models.PositiveIntegerField(default=1)
    updated_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")
    updated_at = models.DateTimeField(auto_now=True)

    class Meta:
        ordering = ("name", "id")

    def __str__(self) -> str:
        return self.name
