"""The shapes of long work."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any, Literal

from ninja import Field, Schema

from api.shapes import Body
from api.stock_shapes import JobStockDocument
from long_work.models import LongWork, WorkState
from papers.run_sheets import Paper


class ArchiveAsked(Body):
    """The job as one file."""

    kind: Literal["archive"]


class SheetsAsked(Body):
    """The sheets of all its runs as one PDF."""

    kind: Literal["sheets"]
    paper: Paper = "a4"


class CutListAsked(Body):
    """Its cut list of a stock, looked at for fewer sticks for so many seconds."""

    kind: Literal["cut-list"]
    document: JobStockDocument
    seconds: float = Field(20, gt=0, le=60)


class LongWorkAsked(Body):
    """What is to be done, by its kind."""

    work: Annotated[ArchiveAsked | SheetsAsked | CutListAsked, Field(discriminator="kind")]

    @property
    def options(self) -> dict[str, Any]:
        """Of the kind that is asked for."""
        return self.work.dict(exclude={"kind"})


class LongWorkDetail(Schema):
    """How far long work is: so much ``done`` ``of`` so much, by its kind (0 of 0: it waits for a
    worker). Once it is done its file can be fetched for a day; ``left_out`` is what could not be
    read."""

    id: int
    kind: Literal["archive", "sheets", "cut-list"]
    job_id: int
    state: WorkState
    done: int
    of: int
    problem: str
    left_out: list[str]
    file_name: str
    asked_at: datetime


def work_detail(work: LongWork) -> LongWorkDetail:
    """As the API tells it."""
    return LongWorkDetail.from_orm(work)
