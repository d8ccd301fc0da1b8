"""A piece at the bench: kept by version, so that no two devices go on with it unawares."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from accounts.models import Member
from jobs.models import STAGES, PieceAtBench, Run
from jobs.runs import RUNS
from versions.folders import Arrival, Documents, Folder
from versions.kinds import SavedKind
from yarrow import DocumentError

MOST_OFFERED = 6


class BenchFolder(Folder):
    """The pieces at the bench of a job's file: ``run``, of which of its runs, counted from 1;
    ``piece``; and what ``came_out``, as the document has it."""

    name, one, most = "bench", "piece at the bench", 2000

    def out(self, member: Member, job: Any) -> Documents:
        """Those of the job's runs, in their order."""
        runs = RUNS.there(member).filter(job=job).order_by("id").values_list("id", flat=True)
        number = {run_id: number for number, run_id in enumerate(runs, 1)}
        rows = AT_BENCH.there(member).filter(run__in=number).order_by("run_id", "piece")
        return [
            {"run": number[row.run_id], "piece": row.piece, "came_out": row.document}
            for row in rows[: self.most]
        ]

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> PieceAtBench:
        """Of a run that has come in.

        Raises:
            DocumentError.
        """
        _, run = arrival.named("runs", document, "run")
        piece, came_out = document.get("piece"), document.get("came_out")
        if not isinstance(piece, int) or not 0 <= piece <= MOST_PIECES:
            raise DocumentError("piece", f"a whole number, 0 to {MOST_PIECES}")
        if not isinstance(came_out, dict):
            raise DocumentError("came_out", "what came out, as an object")
        return AT_BENCH.put(arrival.member, run.id, came_out, 0, piece=piece)


MOST_PIECES = 200


class BenchKind(SavedKind[PieceAtBench]):
    """Pieces at the bench; each belongs to its run."""

    one, many, called = "at_bench", "bench", "piece"
    model = PieceAtBench
    format = "bench"
    owner, crew = "run", "run__job__crew_id"
    beside = ("updated_by", "run")
    most_bytes = 16_000

    @property
    def folders(self) -> Sequence[Folder]:
        """By the runs of the job, as the file counts them."""
        return (BenchFolder(),)

    def owner_for(self, member: Member, owner_id: int) -> Run:
        """Its run, locked.

        Raises:
            Run.DoesNotExist.
        """
        return RUNS.there(member).select_for_update(of=("self",)).get(id=owner_id)


AT_BENCH = BenchKind()


def could_become(member: Member, run_id: int, straight_mm: float) -> list[Run]:
    """The runs of the same job and conduit that are still to be bent and are cut no longer than a
    straight that is left, the longest first: what scrap can become.

    Args:
        run_id: the run that was spoilt.
        straight_mm: the longest straight that is left of it, millimetres.

    Raises:
        Run.DoesNotExist.
    """
    run = RUNS.there(member).get(id=run_id)
    others = RUNS.there(member).filter(job=run.job_id, conduit=run.conduit).exclude(id=run.id)
    fit = others.filter(stage__in=STAGES[:2], cut_length_mm__gt=0, cut_length_mm__lte=straight_mm)
    return list(fit.order_by("-cut_length_mm")[:MOST_OFFERED])
