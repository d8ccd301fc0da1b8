"""The shapes that the API takes and gives. Plans and catalogues are the core's own dataclasses."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import datetime
from fractions import Fraction
from typing import Annotated, Any, Literal

from django.db.models import Count, QuerySet, Sum
from ninja import Schema
from pydantic import BeforeValidator, ConfigDict, Field, StringConstraints, WithJsonSchema

from accounts.models import Member
from benders.models import CrewBender
from benders.services import carried_by
from jobs.models import STAGES, Job, PieceAtBench, Run, Stage
from jobs.services import problem_of
from versions.models import DocumentRevision, VersionedDocument
from yarrow.documents.bender_file import BenderNumbers, bender_numbers
from yarrow.fill.site_box import SiteBoxResult
from yarrow.measure.rounding import USUAL_STEP, cut_text
from yarrow.measure.units import convert_length

RunDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run"})]
"""A ``yarrow.run/1`` document. The core reads it; its schema stands in the contract."""

WallDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "wall"})]
"""A ``yarrow.wall/1`` document, likewise."""

DuctsDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "site"})]
"""A ``yarrow.site/1`` document, likewise."""

CameOutDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "bench"})]
"""A ``yarrow.bench/1`` document, likewise."""

QuickDocument = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "quick_file"})
]
"""A ``yarrow.quick/1`` document."""

BenderDocument = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "bender_file"})
]
"""A ``yarrow.bender/1`` document, which is part of the run's schema."""

FillDocument = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "fill_file"})
]
"""A ``yarrow.fill/1`` document, whose parts a run has too."""

OwnBender = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "own_bender"})]
MeasuredBend = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "test_bend"})
]
BoxDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "box"})]
PullBoxDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "pullbox"})]
EntriesDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "entries"})]
SiteBoxDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "sitebox"})]

ConductorShape = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "conductor"})
]

LineDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "line"})]
"""One line of a run document's walk."""

_PRINTABLE = r"^[^\x00-\x1f\x7f-\x9f\u061c\u200b-\u200f\u2028-\u202e\u2060-\u206f\ufeff]*$"
"""No control code, and nothing that turns the direction of what stands beside it."""

Name = Annotated[
    str,
    StringConstraints(strip_whitespace=True, min_length=1, max_length=120, pattern=_PRINTABLE),
]
Place = Annotated[str, StringConstraints(strip_whitespace=True, max_length=200, pattern=_PRINTABLE)]
Secret = Annotated[str, StringConstraints(min_length=1, max_length=200)]


def _plain_number(value: object) -> object:
    """Digits alone: Python would take 1_0 for ten."""
    if isinstance(value, str) and not (value.isascii() and value.isdigit()):
        raise ValueError("a whole number")
    return value


Id = Annotated[int, BeforeValidator(_plain_number), Field(ge=1, le=2**62)]

MOST_LISTED = 100
"""Rows of one page of a list; of what was removed, the newest are all that is listed."""

Search = Annotated[str, StringConstraints(max_length=120, pattern=_PRINTABLE)]
RowsSkipped = Annotated[int, BeforeValidator(_plain_number), Field(ge=0, le=1_000_000)]
Version = Annotated[int, BeforeValidator(_plain_number), Field(ge=1, le=2_000_000_000)]

VersionOrNone = Annotated[int, Field(ge=0, le=2_000_000_000)]
"""The version that something was made from; 0 where nothing was said of it yet."""

Units = Literal["in", "mm"]
RunsBy = Literal["name", "changed", "longest", "bends", "stage"]
Rules = Literal["us", "uk"]


class Body(Schema):
    """What comes in: unknown fields are refused."""

    model_config = ConfigDict(extra="forbid")


class SignIn(Body):
    """A member's name and password."""

    username: Annotated[str, StringConstraints(min_length=1, max_length=150, pattern=_PRINTABLE)]
    password: Secret


class PasswordChange(Body):
    """The password that is, and the one that is to be."""

    current: Secret
    new: Secret


class JobBody(Body):
    """A new job."""

    name: Name
    place: Place = ""
    units: Units
    rules: Rules | None = None


class JobChange(Body):
    """A job's name and place, and its rule set where that is to be another."""

    name: Name
    place: Place = ""
    rules: Rules | None = None


class RunSave(Body):
    """A whole document and the version that it was made from."""

    document: RunDocument
    base_version: Version


class BenderSave(Body):
    """A whole bender document and the version that it was made from."""

    document: BenderDocument
    base_version: Version


class BendsMeasured(Body):
    """Bends that were measured on a bender, lengths with their unit."""

    bends: Annotated[list[MeasuredBend], Field(min_length=1, max_length=60)]


class JobBoxSave(Body):
    """A whole box document and the version that it was made from; 0 for a box not told of yet."""

    document: SiteBoxDocument
    base_version: VersionOrNone


class Taken(Schema):
    """How many runs a schedule was taken by."""

    runs: int


class WireText(Schema):
    """Conductors as a document has them."""

    conductors: list[ConductorShape]


class JobBoxSummary(Schema):
    """A box in a list: the runs that meet there, and whether something is told of it."""

    name: str
    runs: list[str]
    told: bool
    passes: bool


class JobBoxDetail(Schema):
    """A box with its document and its answer; version 0 where nothing is told of it yet.
    ``run_ids`` has the runs that meet there, by their keys."""

    name: str
    version: int
    job_id: int
    job_name: str
    document: SiteBoxDocument
    result: SiteBoxResult
    run_ids: dict[str, int]


class TypedText(Body):
    """What was typed for a line of the walk."""

    text: Annotated[str, StringConstraints(max_length=200, pattern=_PRINTABLE)]
    units: Units


class AtBench(Body):
    """A run, one of its pieces counted from 1 (none: the run as one), and what was read of the
    bends that are made."""

    document: RunDocument
    came_out: CameOutDocument
    piece: int | None = None


class KnownBetter(Body):
    """A run, and its bender as it is known now."""

    document: RunDocument
    bender: OwnBender


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


class Conversion(Body):
    """A run, and the unit that it is to be in. What can't be read yet stays as it was typed."""

    document: RunDocument
    to: Units


class DxfText(Body):
    """A DXF drawing as text; ``units`` is what it is drawn in, where it does not say."""

    dxf: Annotated[str, StringConstraints(max_length=900_000)]
    into: Units
    units: Units | None = None


class PathShape(Schema):
    """Centreline vertices with both ends, as a run's ``path`` takes them, and the radius that each
    arc is drawn with, along it."""

    path: list[tuple[float, float, float]]
    radii: list[float]


class Restore(Body):
    """The version that the person was looking at when they asked for an older one."""

    base_version: Version


class MemberShape(Schema):
    """The person who is signed in."""

    username: str
    name: str
    crew: str


class Session(Schema):
    """Who is signed in, and the token that every change has to carry (X-CSRFToken)."""

    member: MemberShape | None
    csrf: str


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
    document: RunDocument
    problem: str


class JobSummary(Schema):
    """A job in a list."""

    id: int
    name: str
    place: str
    units: Units
    run_count: int


class JobTotals(Schema):
    """Of all runs of a job: how many are at each stage, and the pipe that they take together."""

    pipe_text: str
    stages: dict[Stage, int]


class StageBody(Body):
    """How far a run is."""

    stage: Stage


class JobDetail(Schema):
    """A job with the first of its runs; the others are listed page by page."""

    id: int
    name: str
    place: str
    units: Units
    rules: Rules
    run_count: int
    totals: JobTotals
    runs: list[RunSummary]


class RevisionSummary(Schema):
    """A revision in a run's history."""

    version: int
    saved_at: datetime
    saved_by: str
    restored_from: int | None


class RevisionDetail(RevisionSummary):
    """A revision with its document."""

    document: RunDocument


class CarriedBender(Schema):
    """A bender as a run carries it, in a run of inches and in one of millimetres."""

    inches: OwnBender
    millimetres: OwnBender


class BenderDetail(Schema):
    """One of the crew's own benders: its document, and its numbers worked out."""

    id: int
    name: str
    version: int
    updated_at: datetime
    updated_by: str
    document: BenderDocument
    numbers: BenderNumbers
    carried: CarriedBender


class CompletionShape(Schema):
    """What could be typed next: the whole text with it, and what it is for."""

    text: str
    hint: str


class TypedLineShape(Schema):
    """A typed line as far as it can be read; ``line`` is null until nothing more is expected."""

    line: LineDocument | None
    expected: str
    completions: list[CompletionShape]


class QuickBendShape(Schema):
    """A bend by itself as a run; ``run`` is null until nothing more is expected."""

    run: RunDocument | None
    expected: str
    completions: list[CompletionShape]


class RemovedSummary(Schema):
    """Something that was removed and can be brought back; ``id`` is its number, of a box its name
    is what it is called by."""

    id: int
    name: str
    version: int
    removed_at: datetime


class RemovedFromJob(Schema):
    """What was removed from a job."""

    runs: list[RemovedSummary]
    boxes: list[RemovedSummary]
    walls: list[RemovedSummary]
    sites: list[RemovedSummary]


class Nothing(Schema):
    """An empty answer."""


def member_shape(member: Member) -> MemberShape:
    """A member as the page shows them."""
    return MemberShape(username=member.username, name=member.shown_name, crew=member.crew.name)


def removed_summary(row: VersionedDocument) -> RemovedSummary:
    """A removed document as a list shows it."""
    assert row.removed_at is not None  # it is on the list of those that are
    return RemovedSummary(id=row.pk, name=str(row), version=row.version, removed_at=row.removed_at)


def run_summary(run: Run) -> RunSummary:
    """A run as a list shows it. Its ``updated_by`` should be loaded."""
    return RunSummary(**_run_summary(run))


def run_detail(run: Run) -> RunDetail:
    """A run with its document. Its ``updated_by`` and ``job`` should be loaded."""
    return RunDetail(
        **_run_summary(run),
        job_id=run.job_id,
        job_name=run.job.name,
        job_rules=run.job.rulebook,
        document=run.document,
        problem=problem_of(run.document),
    )


def job_detail(job: Job, runs: Iterable[Run], run_count: int) -> JobDetail:
    """A job with the first of its runs."""
    return JobDetail(
        id=job.id,
        name=job.name,
        place=job.place,
        units=job.unit,
        rules=job.rulebook,
        run_count=run_count,
        totals=_totals(job),
        runs=[run_summary(run) for run in runs],
    )


def _totals(job: Job) -> JobTotals:
    live = job.runs.filter(removed_at=None).order_by().values_list("stage")
    rows = list(live.annotate(count=Count("id"), pipe=Sum("cut_length_mm")))
    counted = {stage: count for stage, count, _ in rows}
    length = convert_length(sum(pipe or 0.0 for _, _, pipe in rows), "mm", job.unit)
    step = Fraction(USUAL_STEP[job.unit])
    return JobTotals(
        pipe_text=cut_text(length, step, job.unit),
        stages={stage: counted.get(stage, 0) for stage in STAGES},
    )


def revision_summary(revision: DocumentRevision) -> RevisionSummary:
    """A revision as the history shows it."""
    return RevisionSummary(**_revision(revision))


def revision_page(revisions: QuerySet[Any], before: int | None) -> list[RevisionSummary]:
    """A page of a history, newest first: the newest, or those before a version."""
    older = revisions.filter(version__lt=before) if before else revisions
    newest = older.order_by("-version").select_related("saved_by").defer("document")
    return [revision_summary(revision) for revision in newest[:MOST_LISTED]]


def revision_detail(revision: DocumentRevision) -> RevisionDetail:
    """A revision with its document."""
    return RevisionDetail(**_revision(revision), document=revision.document)


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


def bender_detail(bender: CrewBender) -> BenderDetail:
    """A bender with all its numbers. Its ``updated_by`` should be loaded."""
    return BenderDetail(
        id=bender.id,
        name=bender.name,
        version=bender.version,
        updated_at=bender.updated_at,
        updated_by=bender.updated_by.shown_name,
        document=bender.document,
        numbers=bender_numbers(bender.document),
        carried=CarriedBender(
            inches=carried_by(bender, "in"), millimetres=carried_by(bender, "mm")
        ),
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


def _revision(revision: DocumentRevision) -> dict[str, Any]:
    return {
        "version": revision.version,
        "saved_at": revision.saved_at,
        "saved_by": revision.saved_by.shown_name,
        "restored_from": revision.restored_from,
    }
