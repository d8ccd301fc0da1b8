"""Jobs and runs. A run is its document; beside it stands only what lists and queries need."""

from __future__ import annotations

from typing import Any, ClassVar, Literal, cast
from uuid import uuid4

from django.db import models
from django.db.models import Q

from accounts.models import Crew
from versions.models import VersionedDocument
from yarrow import RuleBook, Rules, Unit, Wording, rulebooks, wording_of


class Job(models.Model):
    """A place that a crew works at, and the rule set that holds there."""

    crew = models.ForeignKey(Crew, on_delete=models.CASCADE, related_name="jobs")
    name = models.CharField(max_length=120)
    place = models.CharField(max_length=200, blank=True)
    units = models.CharField(max_length=2, choices=[("in", "inches"), ("mm", "millimetres")])
    rules = models.CharField(max_length=8)
    created_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("name", "id")
        constraints: ClassVar = [
            models.CheckConstraint(
                condition=~Q(rules="") & Q(units__in=("in", "mm")), name="job_has_rules_and_units"
            )
        ]

    def __str__(self) -> str:
        return self.name

    def save(self, *args: Any, **kwargs: Any) -> None:
        """Under rules that there are alone.

        Args:
            args, kwargs: as Django's own takes them.

        Raises:
            ValueError: where the catalogue has no such rules.
        """
        if self.rules not in rulebooks():
            raise ValueError(f"rules {self.rules!r}: expected one of {', '.join(rulebooks())}")
        super().save(*args, **kwargs)

    @property
    def unit(self) -> Unit:
        """What its lengths are in."""
        return "mm" if self.units == "mm" else "in"

    @property
    def rule_set(self) -> Rules:
        """Whose rules hold there, by their short name: no other is saved."""
        return cast(Rules, self.rules)

    @property
    def rulebook(self) -> RuleBook:
        """Whose rules hold there."""
        return rulebooks()[self.rule_set]

    @property
    def wording(self) -> Wording:
        """The words that are spoken where its rules hold."""
        return wording_of(self.rulebook.language, self.unit)


Stage = Literal["draft", "ready", "bent", "fitted"]
STAGES: tuple[Stage, ...] = ("draft", "ready", "bent", "fitted")
"""How far a run is, in order."""


def new_key() -> str:
    """A key that no other run has.

    Returns:
        32 hexadecimal digits.
    """
    return uuid4().hex


class Run(VersionedDocument):
    """One pipe; its document is a ``yarrow.run/1``. ``key`` is which one of its job it is, also in
    an archive: what is told of a box goes by it, so that a run can be renamed. ``shape`` are points
    of a small drawing of it, y up; ``stage`` is how far it is. ``wall`` is the framed wall that
    makes it, if one does, by its key."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="runs")
    key = models.CharField(max_length=40, default=new_key, editable=False)
    name = models.CharField(max_length=120)
    conduit = models.CharField(max_length=60)
    cut_length_text = models.CharField(max_length=30)
    bend_degrees = models.FloatField()
    worst_finding = models.CharField(max_length=10, blank=True)
    cut_length_mm = models.FloatField(default=0)
    shape: models.JSONField[list[list[float]], list[list[float]]] = models.JSONField(default=list)
    stage = models.CharField(max_length=6, default=STAGES[0])
    wall = models.ForeignKey(
        "JobWall", null=True, blank=True, on_delete=models.SET_NULL, related_name="runs"
    )

    class Meta:
        ordering = ("name", "id")
        constraints = (
            models.UniqueConstraint(fields=["job", "key"], name="one_run_a_key_in_a_job"),
            models.CheckConstraint(condition=Q(stage__in=STAGES), name="run_has_a_stage"),
        )

    def __str__(self) -> str:
        return self.name


class SiteBox(VersionedDocument):
    """What is told of a box of a job; the runs that meet there name it. ``key`` is its name as it
    is compared; its document is a ``yarrow.sitebox/1``."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="boxes")
    name = models.CharField(max_length=80)
    key = models.CharField(max_length=160)

    class Meta:
        ordering = ("name", "id")
        constraints = (
            models.UniqueConstraint(fields=["job", "key"], name="one_box_a_name_in_a_job"),
        )

    def __str__(self) -> str:
        return self.name


class JobStock(VersionedDocument):
    """What is in hand on a job: its document is a ``yarrow.jobstock/1``. A job has one, from the
    first time that something of it is said."""

    job = models.OneToOneField(Job, on_delete=models.CASCADE, related_name="stock")

    def __str__(self) -> str:
        return f"Stock of {self.job}"


class JobWall(VersionedDocument):
    """A framed wall of a job; its document is a ``yarrow.wall/1``."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="walls")
    name = models.CharField(max_length=120)
    came_with_its_runs = False
    """Of one that is just being brought in with them, which no wall has yet."""

    class Meta:
        ordering = ("name", "id")

    def __str__(self) -> str:
        return self.name


class JobSite(VersionedDocument):
    """Ducts between the buildings of a job; its document is a ``yarrow.site/1``."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="sites")
    name = models.CharField(max_length=120)

    class Meta:
        ordering = ("name", "id")

    def __str__(self) -> str:
        return self.name


class SitePicture(models.Model):
    """A picture that lies under a site's plan, as it was drawn anew here; known by its ``key``."""

    site = models.ForeignKey(JobSite, on_delete=models.CASCADE, related_name="pictures")
    key = models.CharField(max_length=64)
    data = models.BinaryField()
    width = models.PositiveIntegerField()
    height = models.PositiveIntegerField()
    created_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        constraints = (models.UniqueConstraint(fields=["site", "key"], name="one_picture_a_key"),)

    def __str__(self) -> str:
        return f"{self.site}: {self.key}"


class PieceAtBench(VersionedDocument):
    """How far a piece of a run is at the bench, and what came out; as built, once it was offered
    up. ``piece`` is counted from 1, 0 is a run of one; its document is a ``yarrow.bench/1``."""

    run = models.ForeignKey(Run, on_delete=models.CASCADE, related_name="at_bench")
    piece = models.PositiveSmallIntegerField()

    class Meta:
        constraints = (
            models.UniqueConstraint(fields=["run", "piece"], name="one_bench_a_piece_of_a_run"),
        )

    def __str__(self) -> str:
        return f"{self.run}, piece {self.piece}"
