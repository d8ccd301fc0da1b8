"""Runs, their revisions, and their pieces at the bench."""

from __future__ import annotations

from datetime import datetime
from typing import Any

from ninja import Schema

from api.documents import CameOutDocument, RunDocument
from api.shapes import Body, RevisionSummary, Version, VersionOrNone, revision_fields
from jobs.models import PieceAtBench, Run, Stage
from jobs.runs import problem_of
from versions.models import Revision
from yarrow import Language, Rules


class RunSave(Body):
    """A whole document and the version that it was made from."""

    document: RunDocument
    base_version: Version


class AtBenchSave(Body):
    """A piece at the bench and the version that it was made from; 0 for one not begun yet."""

    document: CameOutDocument
    base_version: VersionOrNone


class AtBenchDetail(Schema):
    """A piece at the bench as it was left; version 0 and no document where nobody began it."""

    version: int
    document: CameOutDocument | None
    updated_by: str
    updated_at: datetime | None


class NamedWall(Schema):
    """The framed wall that makes a run."""

    id: int
    name: str


class RunSummary(Schema):
    """A run in a list; ``wall`` is what makes it, if a wall does."""

    id: int
    name: str
    version: int
    conduit: str
    cut_length_text: str
    bend_degrees: float
    worst_finding: str
    stage: Stage
    shape: list[list[float]]
    wall: NamedWall | None
    updated_at: datetime
    updated_by: str


class RunDetail(RunSummary):
    """A run with its document; ``problem`` is why that can't be read, empty where it can."""

    job_id: int
    job_name: str
    job_rules: Rules
    job_language: Language
    document: RunDocument
    problem: str


class StageBody(Body):
    """How far a run is."""

    stage: Stage


class RevisionDetail(RevisionSummary):
    """A revision with its document."""

    document: RunDocument


def run_summary(run: Run) -> RunSummary:
    """A run as a list shows it. Its ``updated_by`` should be loaded."""
    return RunSummary(**_run_summary(run))


def run_detail(run: Run) -> RunDetail:
    """A run with its document. Its ``updated_by`` and ``job`` should be loaded."""
    return RunDetail(
        **_run_summary(run),
        job_id=run.job_id,
        job_name=run.job.name,
        job_rules=run.job.rule_set,
        job_language=run.job.rulebook.language,
        document=run.document,
        problem=problem_of(run.document),
    )


def revision_detail(revision: Revision) -> RevisionDetail:
    """A revision with its document."""
    return RevisionDetail(**revision_fields(revision), document=revision.document)


def at_bench_detail(row: PieceAtBench | None) -> AtBenchDetail:
    """A piece at the bench, where somebody began it. Its ``updated_by`` should be loaded."""
    if row is None:
        return AtBenchDetail(version=0, document=None, updated_by="", updated_at=None)
    return AtBenchDetail(
        version=row.version,
        document=row.document,
        updated_by=row.updated_by.shown_name,
        updated_at=row.updated_at,
    )


def _run_summary(run: Run) -> dict[str, Any]:
    return {
        "id": run.id,
        "name": run.name,
        "version": run.version,
        "conduit": run.conduit,
        "cut_length_text": run.cut_length_text,
        "bend_degrees": run.bend_degrees,
        "worst_finding": run.worst_finding,
        "stage": run.stage,
        "shape": run.shape,
        "wall": {"id": run.wall.id, "name": run.wall.name} if run.wall else None,
        "updated_at": run.updated_at,
        "updated_by": run.updated_by.shown_name,
    }
