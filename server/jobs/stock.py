"""What is in hand on a job, and how it changes when the job's cut list is cut."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from django.db import transaction

import yarrow
from accounts.models import Member
from jobs.models import Job, JobStock, Run
from jobs.policy import OfJob, jobs_for
from jobs.taken import StillWorkingOut, taken_by_runs
from versions.folders import Arrival, KindFolder

CUT: tuple[str, ...] = ("bent", "fitted")
"""Stages at which a run's pieces were cut long since."""


def no_stock(job: Job) -> dict[str, Any]:
    """The stock of a job that nothing was said of yet.

    Returns:
        ``yarrow.jobstock/1``.
    """
    return {"format": "yarrow.jobstock/1", "units": job.units}


class StockFolder(KindFolder):
    """The stock of a job's file: one document, or none."""

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> JobStock:
        """The job's.

        Raises:
            DocumentError.
        """
        return STOCKS.put(arrival.member, arrival.job.id, document, 0)


class Stocks(OfJob[JobStock]):
    """What is in hand on jobs; a job has one, which is never removed."""

    one, many, called = "stock", "stock", "stock"
    model = JobStock
    format = "jobstock"
    most_bytes = 24_000
    folder = StockFolder


STOCKS = Stocks()


def stock_id(member: Member, job_id: int) -> int:
    """Which stock is a job's.

    Args:
        job_id: of the crew's.

    Returns:
        Of its row.

    Raises:
        JobStock.DoesNotExist.
    """
    return STOCKS.there(member).get(job_id=job_id).id


@transaction.atomic
def cut_now(
    member: Member, job_id: int, document: dict[str, Any], base_version: int, seconds: float
) -> JobStock:
    """The job's cut list was cut: offcuts that it took are gone, what is worth keeping is there.

    Args:
        job_id: of the crew's.
        document: the stock that it was cut from, ``yarrow.jobstock/1``.
        base_version: the version that it was made from.
        seconds: for looking for fewer sticks.

    Raises:
        Job.DoesNotExist; DocumentError; VersionConflict; StillWorkingOut.
    """
    job = jobs_for(member).get(id=job_id)
    lists = cuts_of(job, document, seconds).complete()
    cut = [(row.of.type, row.of.size, row.cuts) for row in lists if row.cuts]
    return STOCKS.put(member, job_id, yarrow.after_cutting(document, cut), base_version)


@dataclass(frozen=True, slots=True)
class CutOfConduit:
    """What is wanted ``of`` one conduit of a job; its cut list, None where nothing can be cut yet;
    what goes with that, held against what is in hand."""

    of: yarrow.StockOfConduit
    cuts: dict[str, Any] | None
    materials: list[dict[str, Any]]


@dataclass(frozen=True, slots=True)
class CutsOfRuns:
    """What a job is cut from, conduit by conduit, and what lies there that no run takes; nothing
    until all of its ``runs`` are ``worked_out``."""

    runs: int
    worked_out: int
    lists: list[CutOfConduit]
    spare: list[dict[str, Any]]

    def complete(self) -> list[CutOfConduit]:
        """The lists of all runs.

        Raises:
            StillWorkingOut.
        """
        if self.worked_out < self.runs:
            raise StillWorkingOut(self.worked_out, self.runs)
        return self.lists


def cuts_of(job: Job, stock: dict[str, Any], seconds: float = 0.0) -> CutsOfRuns:
    """What those runs of a job are cut from that are not bent yet.

    Args:
        stock: ``yarrow.jobstock/1``.
        seconds: that looking for fewer sticks may take, for all conduits together.

    Raises:
        DocumentError, with the place in the stock.
    """
    rows = Run.objects.filter(job=job, removed_at=None).exclude(stage__in=CUT)
    documents = list(rows.order_by("name", "id").values_list("document", flat=True))
    by_run = taken_by_runs(job, documents)
    if not by_run.complete:
        return CutsOfRuns(len(documents), by_run.worked_out, [], [])
    names = (str(document.get("name", "")) for document in documents)
    wanted = yarrow.stock_of_taken(zip(names, by_run.taken, strict=True), job.unit)
    held = yarrow.materials_of_job(wanted, stock)
    lists = []
    to_cut = sum(bool(of.document["pieces"]) for of in wanted)
    language = job.rulebook.language
    for of, materials in zip(wanted, held["by_conduit"], strict=True):
        there = bool(of.document["pieces"])
        cuts = yarrow.cut_of_job(of, stock, language, seconds / to_cut) if there else None
        lists.append(CutOfConduit(of, cuts, materials))
    return CutsOfRuns(len(documents), len(documents), lists, held["spare"])
