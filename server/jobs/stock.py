"""What is in hand on a job, and how it changes when the job's cut list is cut."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from django.db import transaction
from django.db.models import QuerySet

import yarrow
from accounts.models import Member
from jobs.models import Job, JobStock, Run
from jobs.policy import jobs_for, stocks_for
from versions import services as versions
from versions.changes import Changes

CUT: tuple[str, ...] = ("bent", "fitted")
"""Stages at which a run's pieces were cut long since."""


def no_stock(job: Job) -> dict[str, Any]:
    """The stock of a job that nothing was said of yet."""
    return {"format": "yarrow.jobstock/1", "units": job.units}


@transaction.atomic
def save_stock(
    member: Member, job_id: int, document: dict[str, Any], base_version: int
) -> JobStock:
    """Save what is in hand on a job; version 0 is a stock that nothing was said of yet.

    Raises: Job.DoesNotExist; DocumentError; VersionConflict, where it has been saved since.
    """
    job = jobs_for(member).select_for_update().get(id=job_id)
    rows = JobStock.objects.filter(job=job)
    stock = versions.only(rows, base_version, document) or JobStock(job=job)
    return STOCKS.write(stock, member, document)


class StockChanges(Changes[JobStock]):
    """Changes to what is in hand on jobs; a stock is never removed."""

    def every(self, member: Member) -> QuerySet[JobStock]:
        """Those of the crew's jobs."""
        return stocks_for(member)

    def write(
        self,
        row: JobStock,
        member: Member,
        document: dict[str, Any],
        restored_from: int | None = None,
    ) -> JobStock:
        """Raises: DocumentError."""
        yarrow.read_stock(document)
        versions.write(row, member, document, restored_from)
        return row


STOCKS = StockChanges()


def stock_id(member: Member, job_id: int) -> int:
    """Which stock is a job's. Raises: JobStock.DoesNotExist."""
    return stocks_for(member).get(job_id=job_id).id


@transaction.atomic
def cut_now(
    member: Member, job_id: int, document: dict[str, Any], base_version: int, seconds: float
) -> JobStock:
    """The job's cut list was cut: offcuts that it took are gone, what is worth keeping is there.

    Raises: as save_stock.
    """
    job = jobs_for(member).get(id=job_id)
    lists, _ = cuts_of(job, document, seconds)
    cut = [(each.of.type, each.of.size, each.cuts) for each in lists if each.cuts]
    return save_stock(member, job_id, yarrow.after_cutting(document, cut), base_version)


@dataclass(frozen=True, slots=True)
class CutOfConduit:
    """What is wanted ``of`` one conduit of a job; its cut list, None where nothing can be cut yet;
    what goes with that, held against what is in hand."""

    of: yarrow.StockOfConduit
    cuts: dict[str, Any] | None
    materials: list[dict[str, Any]]


def cuts_of(
    job: Job, stock: dict[str, Any], seconds: float = 0.0
) -> tuple[list[CutOfConduit], list[dict[str, Any]]]:
    """What a job is cut from, conduit by conduit, and what lies there that no run takes.

    Args: stock, ``yarrow.jobstock/1``; seconds, that looking for fewer sticks may take.
    Raises: DocumentError, with the place in the stock.
    """
    taken = wanted(job)
    held = yarrow.materials_of_job(taken, stock)
    found = []
    for each, materials in zip(taken, held["by_conduit"], strict=True):
        there = bool(each.document["pieces"])
        cuts = yarrow.cut_of_job(each, stock, job.rulebook, seconds) if there else None
        found.append(CutOfConduit(each, cuts, materials))
    return found, held["spare"]


def wanted(job: Job) -> Sequence[yarrow.StockOfConduit]:
    """What the runs of a job take that are not bent yet, by conduit."""
    runs = Run.objects.filter(job=job, removed_at=None).exclude(stage__in=CUT)
    documents = list(runs.order_by("name", "id").values_list("document", flat=True))
    return yarrow.stock_of_runs(documents, job.unit, job.wording)
