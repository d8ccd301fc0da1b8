"""Jobs and runs. A run is its document; beside it stands only what lists and queries need."""

from __future__ import annotations

from django.db import models

from accounts.models import Crew, Member


class Job(models.Model):
    """A place that a crew works at, and the rule set that holds there."""

    crew = models.ForeignKey(Crew, on_delete=models.CASCADE, related_name="jobs")
    name = models.CharField(max_length=120)
    place = models.CharField(max_length=200, blank=True)
    units = models.CharField(max_length=2, choices=[("in", "inches"), ("mm", "millimetres")])
    rules = models.CharField(max_length=2, choices=[("us", "NFPA 70"), ("uk", "BS 7671")])
    created_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("name", "id")

    def __str__(self) -> str:
        return self.name


class Run(models.Model):
    """One pipe. ``version`` counts its revisions; the newest one's document stands here too."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="runs")
    name = models.CharField(max_length=120)
    document = models.JSONField()
    version = models.PositiveIntegerField(default=1)
    conduit = models.CharField(max_length=60)
    cut_length_text = models.CharField(max_length=30)
    bend_degrees = models.FloatField()
    worst_finding = models.CharField(max_length=10, blank=True)
    updated_at = models.DateTimeField(auto_now=True)
    updated_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")
    removed_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering = ("name", "id")

    def __str__(self) -> str:
        return self.name


class SiteBox(models.Model):
    """What is told of a box of a job; the runs that meet there name it. ``key`` is its name as it
    is compared, ``document`` a ``yarrow.sitebox/1``; ``version`` counts its saves."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="boxes")
    name = models.CharField(max_length=80)
    key = models.CharField(max_length=160)
    document = models.JSONField()
    version = models.PositiveIntegerField(default=1)
    updated_at = models.DateTimeField(auto_now=True)
    updated_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")

    class Meta:
        ordering = ("name", "id")
        constraints = (
            models.UniqueConstraint(fields=["job", "key"], name="one_box_a_name_in_a_job"),
        )

    def __str__(self) -> str:
        return self.name


class Revision(models.Model):
    """A run as it was saved once. Never changed and never deleted."""

    run = models.ForeignKey(Run, on_delete=models.CASCADE, related_name="revisions")
    version = models.PositiveIntegerField()
    document = models.JSONField()
    saved_by = models.ForeignKey(Member, on_delete=models.PROTECT, related_name="+")
    saved_at = models.DateTimeField(auto_now_add=True)
    restored_from = models.PositiveIntegerField(null=True, blank=True)

    class Meta:
        ordering = ("-version",)
        constraints = (
            models.UniqueConstraint(fields=["run", "version"], name="one_revision_a_version"),
        )

    def __str__(self) -> str:
        return f"{self.run} v{self.version}"
