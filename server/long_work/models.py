"""Work that was asked for, how far it is, and the file that came of it."""

from __future__ import annotations

from typing import ClassVar

from django.db import models

from accounts.models import Member
from jobs.models import Job


class WorkState(models.TextChoices):
    """How far it is."""

    WAITING = "waiting"
    UNDER_WAY = "under-way"
    DONE = "done"
    STOPPED = "stopped"
    FAILED = "failed"


UNFINISHED = (WorkState.WAITING, WorkState.UNDER_WAY)


class LongWork(models.Model):
    """Work of a ``kind`` on a job, for whoever asked for it. Each worker that takes it up makes an
    attempt: only the latest may tell how far it is, or what came of it."""

    kind = models.CharField(max_length=20)
    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="+")
    asked_by = models.ForeignKey(Member, on_delete=models.CASCADE, related_name="+")
    options = models.JSONField(default=dict)
    state = models.CharField(max_length=10, choices=WorkState.choices, default=WorkState.WAITING)
    attempt = models.PositiveIntegerField(default=0)
    done = models.PositiveIntegerField(default=0)
    of = models.PositiveIntegerField(default=0)
    problem = models.CharField(max_length=400, blank=True)
    left_out = models.JSONField(default=list)
    file_name = models.CharField(max_length=200, blank=True)
    media_type = models.CharField(max_length=80, blank=True)
    asked_at = models.DateTimeField(auto_now_add=True)
    ended_at = models.DateTimeField(null=True, db_index=True)

    class Meta:
        indexes: ClassVar = [models.Index(fields=["asked_by", "job", "-id"], name="work_of_whom")]

    def __str__(self) -> str:
        return f"{self.kind} {self.pk}, {self.state}"


class WorkFile(models.Model):
    """What came of it; by itself, so that a look at how far it is reads none of it."""

    work = models.OneToOneField(
        LongWork, on_delete=models.CASCADE, primary_key=True, related_name="file"
    )
    body = models.BinaryField()

    def __str__(self) -> str:
        return f"file of {self.work_id}"
