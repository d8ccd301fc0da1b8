"""The pieces of a run at the bench."""

from __future__ import annotations

from typing import Annotated

from ninja import Path, Query
from pydantic import Field

from accounts.models import Member
from api.problems import REFUSALS, ConflictProblem
from api.request import MemberRequest
from api.router import Router
from api.run_shapes import (
    AtBenchDetail,
    AtBenchSave,
    RunSummary,
    at_bench_detail,
    run_summary,
)
from api.saved import HISTORY, SavedRoutes
from api.shapes import Id
from jobs import at_bench as services
from jobs.at_bench import AT_BENCH, MOST_PIECES
from jobs.runs import RUNS

router = Router(tags=["at the bench"])

StraightMm = Annotated[float, Field(ge=0, le=100_000)]
PieceNumber = Annotated[int, Field(ge=0, le=MOST_PIECES)]


@router.get(
    "/runs/{run_id}/bench/{piece}",
    response={200: AtBenchDetail, **REFUSALS},
    operation_id="get_at_bench",
)
def get_at_bench(
    request: MemberRequest, run_id: Path[Id], piece: Path[PieceNumber]
) -> AtBenchDetail:
    """How far a piece is at the bench; 0 is a run of one piece."""
    run = RUNS.there(request.user).get(id=run_id)
    return at_bench_detail(AT_BENCH.there(request.user).filter(run=run, piece=piece).first())


@router.get(
    "/runs/{run_id}/could-become",
    response={200: list[RunSummary], **REFUSALS},
    operation_id="could_become",
)
def could_become(
    request: MemberRequest, run_id: Path[Id], straight_mm: Query[StraightMm]
) -> list[RunSummary]:
    """What of the same job and conduit is still to be bent and cut no longer than a straight."""
    result = services.could_become(request.user, run_id, straight_mm)
    return [run_summary(run) for run in result]


@router.put(
    "/runs/{run_id}/bench/{piece}",
    response={200: AtBenchDetail, 409: ConflictProblem, **REFUSALS},
    operation_id="save_at_bench",
)
def save_at_bench(
    request: MemberRequest, run_id: Path[Id], piece: Path[PieceNumber], body: AtBenchSave
) -> AtBenchDetail:
    """Keep how far a piece is; 409 where another device has gone on with it."""
    member = request.user
    row = AT_BENCH.put(member, run_id, body.document, body.base_version, piece=piece)
    return at_bench_detail(row)


def _row_id(member: Member, run_id: int, piece: int) -> int:
    return AT_BENCH.there(member).get(run_id=run_id, piece=piece).id


SAVED = SavedRoutes(
    AT_BENCH,
    "/runs/{run_id}/bench/{piece}",
    {"run_id": Path[Id], "piece": Path[PieceNumber]},
    _row_id,
    AtBenchDetail,
    at_bench_detail,
    has=(HISTORY,),
)
