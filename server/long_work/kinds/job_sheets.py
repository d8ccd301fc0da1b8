"""The sheets of all runs of a job, one behind the other."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from accounts.models import Member
from exports.drawing import Drawing
from exports.pdf import sheet_pdf
from jobs.models import Job
from jobs.runs import RUNS
from jobs.taking_out import file_name_of
from long_work.kind import CannotBeDone, Finished, Tell, WorkKind
from papers.run_sheets import run_sheets
from yarrow import DocumentError


class SheetsOfJob(WorkKind):
    """A PDF with a page for each pipe to bend, by the runs' names. Options: ``paper``."""

    name = "sheets"

    def work(self, member: Member, job: Job, options: Mapping[str, Any], tell: Tell) -> Finished:
        """Compose them.

        Raises:
            CannotBeDone, where there is no run that can be read.
        """
        runs = RUNS.there(member).filter(job=job).order_by("name", "id")
        of = runs.count()
        pages: list[Drawing] = []
        left_out = []
        for done, run in enumerate(runs.iterator(chunk_size=50), 1):
            try:
                pages.extend(run_sheets(run, options["paper"]))
            except DocumentError:
                left_out.append(run.name)
            tell(min(done, of), of)
        if not pages:
            raise CannotBeDone("There is no run that a sheet could be made of.")
        name = f"{file_name_of(job)}-sheets.pdf"
        return Finished(sheet_pdf(*pages), name, "application/pdf", tuple(left_out))
