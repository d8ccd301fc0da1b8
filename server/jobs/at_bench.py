"""A piece at the bench: kept by version, so that no two devices go on with it unawares."""

from __future__ import annotations

from typing import Any

from django.db import transaction

from accounts.models import Member
from jobs.models import STAGES, PieceAtBench, Run
from jobs.policy import at_bench_for, runs_for
from versions import services as versions
from yarrow import check_came_out

MOST_OFFERED = 6


def could_become(member: Member, run_id: int, straight_mm: float) -> list[Run]:
    """The runs of the same job and conduit that are still to be bent and are cut no longer than a
    straight that is left, the longest first: what scrap can become.

    Raises: Run.DoesNotExist.
    """
    run = runs_for(member).get(id=run_id)
    others = runs_for(member).filter(job=run.job_id, conduit=run.conduit).exclude(id=run.id)
    fit = others.filter(stage__in=STAGES[:2], cut_length_mm__gt=0, cut_length_mm__lte=straight_mm)
    return list(fit.order_by("-cut_length_mm")[:MOST_OFFERED])


@transaction.atomic
def save_at_bench(
    member: Member, run_id: int, piece: int, document: dict[str, Any], base_version: int
) -> PieceAtBench:
    """Keep how far a piece is; version 0 is one that was not begun yet.

    Raises: Run.DoesNotExist; PieceAtBench.DoesNotExist; DocumentError; VersionConflict, where
    another device has gone on with it: nothing changes.
    """
    run = runs_for(member).select_for_update(of=("self",)).get(id=run_id)
    check_came_out(document)
    rows = at_bench_for(member).filter(run=run, piece=piece)
    there = versions.only(rows, member, document, base_version)
    row: PieceAtBench = there.row or PieceAtBench(run=run, piece=piece)
    if not there.saved:
        versions.write(row, member, document)
    return row
