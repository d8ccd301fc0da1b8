"""What is in hand on a job, and how it changes when the job's cut list is cut."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Any

from django.db import transaction
from django.db.models import QuerySet

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


class CutOfAnother(Exception):
    """A cut list was made of other runs, or of another stock, than there are now."""


@transaction.atomic
def cut_now(
    member: Member,
    job_id: int,
    document: dict[str, Any],
    base_version: int,
    seconds: float,
    found: dict[str, Any] | None = None,
) -> JobStock:
    """The job's cut list was cut: offcuts that it took are gone, what is worth keeping is there.

    Args:
        job_id: of the crew's.
        document: the stock that it was cut from, ``yarrow.jobstock/1``.
        base_version: the version that it was made from.
        seconds: for looking for fewer sticks.
        found: the list that was cut, as ``CutsOfRuns.answer`` has it, where it was looked for
            longer than somebody waits.

    Raises:
        Job.DoesNotExist; DocumentError; VersionConflict; StillWorkingOut; CutOfAnother.
    """
    job = jobs_for(member).get(id=job_id)
    if found is None:
        cuts = cuts_of(job, document, seconds)
        cuts.complete()
        conduits = cuts.answer["conduits"]
    elif found["made_of"] == _made_of(document, _to_cut(job)):
        conduits = found["conduits"]
    else:
        raise CutOfAnother
    cut = [(row["type"], row["size"], row["cuts"]) for row in conduits if row["cuts"]]
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
    until all of its ``runs`` are ``worked_out``. ``made_of`` tells it from the list of other runs
    or of another stock; ``bent`` runs were cut long since."""

    runs: int
    worked_out: int
    lists: list[CutOfConduit]
    spare: list[dict[str, Any]]
    made_of: str
    bent: int

    def complete(self) -> list[CutOfConduit]:
        """The lists of all runs.

        Raises:
            StillWorkingOut.
        """
        if self.worked_out < self.runs:
            raise StillWorkingOut(self.worked_out, self.runs)
        return self.lists

    @property
    def answer(self) -> dict[str, Any]:
        """It as plain JSON."""
        return {
            "runs": self.runs,
            "worked_out": self.worked_out,
            "made_of": self.made_of,
            "bent": self.bent,
            "spare": self.spare,
            "conduits": [
                {
                    "type": row.of.type,
                    "size": row.of.size,
                    "name": row.of.name,
                    "left_out": row.of.left_out,
                    "cuts": row.cuts,
                    "materials": row.materials,
                }
                for row in self.lists
            ],
        }


def _runs_of(job: Job) -> QuerySet[Run]:
    return Run.objects.filter(job=job, removed_at=None)


def _to_cut(job: Job) -> list[dict[str, Any]]:
    """The documents of the runs that are not bent yet, in the order of their names."""
    rows = _runs_of(job).exclude(stage__in=CUT)
    return list(rows.order_by("name", "id").values_list("document", flat=True))


def _made_of(stock: dict[str, Any], documents: Sequence[dict[str, Any]]) -> str:
    of = json.dumps([stock, documents], sort_keys=True)
    return hashlib.blake2s(of.encode()).hexdigest()


def _nobody(_done: int, _of: int) -> None:
    """Nobody is told."""


def cuts_of(
    job: Job,
    stock: dict[str, Any],
    seconds: float = 0.0,
    tell: Callable[[int, int], None] = _nobody,
) -> CutsOfRuns:
    """What those runs of a job are cut from that are not bent yet.

    Args:
        stock: ``yarrow.jobstock/1``.
        seconds: that looking for fewer sticks may take, for all conduits together.
        tell: how many conduits are looked at, of how many.

    Raises:
        DocumentError, with the place in the stock.
    """
    documents = _to_cut(job)
    bent = _runs_of(job).filter(stage__in=CUT).count()
    by_run = taken_by_runs(job, documents)
    if not by_run.complete:
        return CutsOfRuns(len(documents), by_run.worked_out, [], [], "", bent)
    made_of = _made_of(stock, documents)
    names = (str(document.get("name", "")) for document in documents)
    wanted = yarrow.stock_of_taken(zip(names, by_run.taken, strict=True), job.unit)
    held = yarrow.materials_of_job(wanted, stock)
    lists: list[CutOfConduit] = []
    to_cut = sum(bool(of.document["pieces"]) for of in wanted)
    language = job.rulebook.language
    for of, materials in zip(wanted, held["by_conduit"], strict=True):
        there = bool(of.document["pieces"])
        cuts = yarrow.cut_of_job(of, stock, language, seconds / to_cut) if there else None
        lists.append(CutOfConduit(of, cuts, materials))
        tell(len(lists), len(wanted))
    return CutsOfRuns(len(documents), len(documents), lists, held["spare"], made_of, bent)
