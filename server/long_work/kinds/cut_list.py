"""A job's cut list, looked at for fewer sticks for longer than somebody waits."""

from __future__ import annotations

import json
from collections.abc import Mapping
from typing import Any

import yarrow
from accounts.models import Member
from jobs.models import Job
from jobs.stock import cuts_of
from long_work.kind import Finished, Tell, WorkKind


class CutListOfJob(WorkKind):
    """``CutsOfRuns.answer`` as JSON. Options: the stock as a ``document``, and ``seconds`` for all
    conduits together."""

    name = "cut-list"

    def check(self, options: Mapping[str, Any]) -> None:
        """Whether its stock can be read.

        Raises:
            DocumentError.
        """
        yarrow.read(options["document"], "jobstock")

    def work(self, member: Member, job: Job, options: Mapping[str, Any], tell: Tell) -> Finished:
        """Look, conduit by conduit, once every run is worked out.

        Raises:
            DocumentError.
        """
        stock = options["document"]
        runs = self._worked_out(job, stock, tell)
        found = cuts_of(
            job, stock, options["seconds"], lambda done, of: tell(runs + done, runs + of)
        )
        body = json.dumps(found.answer, allow_nan=False).encode()
        return Finished(body, "cut-list.json", "application/json")

    def _worked_out(self, job: Job, stock: dict[str, Any], tell: Tell) -> int:
        """How many runs there are, once what each of them takes is worked out."""
        while (so_far := cuts_of(job, stock)).worked_out < so_far.runs:
            tell(so_far.worked_out, so_far.runs)
        return so_far.runs
