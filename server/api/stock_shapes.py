"""The shapes of a job's stock and of what is cut from it."""

from __future__ import annotations

from typing import Annotated, Any

from ninja import Field, Schema
from pydantic import WithJsonSchema

from api.shapes import Body, Id, VersionOrNone
from jobs.models import Job, JobStock
from jobs.stock import no_stock
from yarrow import CutList

JobStockDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "jobstock"})]


class JobStockSave(Body):
    """What is in hand, and the version that it was made from."""

    document: JobStockDocument
    base_version: VersionOrNone


class CutNow(JobStockSave):
    """The stock that the cut list was made with, and how long looking for fewer sticks may take; or
    the long ``work`` that found it."""

    seconds: float = Field(0, ge=0, le=1)
    work: Id | None = None


class JobStockDetail(Schema):
    """What is in hand on a job, at a version (0: nothing was said yet)."""

    version: int
    job_id: int
    job_name: str
    document: JobStockDocument


class CutsRequest(Body):
    """What is in hand (left out: nothing), and how long looking for fewer sticks may take: 0, the
    first answer."""

    document: JobStockDocument | None = None
    seconds: float = Field(0, ge=0, le=1)


class MaterialOfJob(Schema):
    """Something that a job's runs take besides sticks: how many, how many of those are in hand, and
    how many are to be got."""

    what: str
    count: int
    in_hand: int
    to_get: int


class JobCuts(Schema):
    """The cut list of one conduit of a job; None where none of its runs can be made yet."""

    type: str
    size: str
    name: str
    left_out: list[str]
    cuts: CutList | None
    materials: list[MaterialOfJob]


class CutsOfJob(Schema):
    """A job's cut lists, a conduit each, once all of its ``runs`` are ``worked_out``; ``bent`` are
    the runs that were cut long since, ``spare`` is what lies there and no run takes, ``made_of``
    tells the list from one of other runs or another stock."""

    runs: int
    worked_out: int
    made_of: str
    conduits: list[JobCuts]
    bent: int
    spare: list[MaterialOfJob]


def stock_detail(job: Job, stock: JobStock | None) -> JobStockDetail:
    """What is in hand on a job."""
    return JobStockDetail.model_validate(
        {
            "version": stock.version if stock else 0,
            "job_id": job.id,
            "job_name": job.name,
            "document": stock.document if stock else no_stock(job),
        }
    )
