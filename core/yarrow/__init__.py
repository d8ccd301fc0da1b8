"""Plan conduit runs and check what goes into them: documents in, answers out.

    >>> import yarrow
    >>> yarrow.plan(document)["cut_length_text"]

A document is a mapping in one of the open formats (docs/run-file.md); its lengths are as they were
read off a tape (``"18 3/8"``), or numbers, in the document's own ``units``. An answer is plain
JSON: dictionaries, lists, text and numbers, in the same units, with angles in degrees. What can't
be made is an answer with a finding; only what can't be read is an error. Nothing here is stored.
What is found is told in the words of a ``country``, ``us`` or ``uk``; where none is named, in those
of the country whose units the document has.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any, Literal, NamedTuple

from yarrow.documents.bench_file import bench_document, bench_fit_document
from yarrow.documents.bender_file import bender_numbers, with_bends
from yarrow.documents.bends_file import fold_document
from yarrow.documents.box_files import box_document, entries_document, pull_box_document
from yarrow.documents.catalogue import catalogue
from yarrow.documents.converting import convert_document
from yarrow.documents.errors import DocumentError, TableError
from yarrow.documents.fill_file import fill_document
from yarrow.documents.fittings_file import read_fittings
from yarrow.documents.job_stock import (
    StockOfConduit,
    TakenByRun,
    stock_of_taken,
    taken_by_run,
)
from yarrow.documents.notation import typed_line
from yarrow.documents.quick_bend import quick_bend
from yarrow.documents.run_file import read_run
from yarrow.documents.schedule import check_schedule, read_schedule, schedule_csv
from yarrow.documents.schema import SCHEMAS
from yarrow.documents.schema import schema as _schema
from yarrow.documents.site_box_file import site_box_document
from yarrow.documents.site_file import plan_of_site, read_site, site_document
from yarrow.documents.site_geojson import geojson_of, site_of_geojson
from yarrow.documents.stock_file import stock_document
from yarrow.documents.stock_in_hand import (
    after_cutting,
    cut_from,
    held_against,
    place_in_stock,
    read_job_stock,
)
from yarrow.documents.wall_file import wall_document
from yarrow.documents.wall_laying import read_framed_wall as _read_framed_wall
from yarrow.documents.wall_runs import brought_up_to_date
from yarrow.documents.wall_runs import runs_of_wall as runs_of_each_feed
from yarrow.documents.wire_notation import read_wire_text
from yarrow.documents.writing import bend_table_csv, marks_csv, plain, plan_text
from yarrow.documents.writing import pieces_text as _pieces_text
from yarrow.documents.writing import rack_csv as _rack_csv
from yarrow.documents.writing import site_csv as _site_csv
from yarrow.documents.writing import work_text as _work_text
from yarrow.pieces.order_of_work import order_of_work
from yarrow.pieces.piece_plan import PiecesOfRun, PlanInPieces
from yarrow.pieces.pieces import piece_plans, pieces_of, pieces_of_plan
from yarrow.racks.rack import plan_rack
from yarrow.racks.rack_plan import RackPlan
from yarrow.runs.bending_sequence import Handling, handle_plan, handle_run
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.model.run import Survey
from yarrow.runs.planned import Plan
from yarrow.runs.planner import plan_run
from yarrow.runs.recalibrated import recalibrated as marks_moved
from yarrow.runs.written_plan import write_plan
from yarrow.site.site import DuctSite
from yarrow.site.site_plan import SitePlan
from yarrow.walls.wall_plan import WallPlan
from yarrow.wording.wording import Country, Wording, wording_of

__version__ = "0.1.0"

__all__ = [
    "SCHEMAS",
    "DocumentError",
    "StockOfConduit",
    "TableError",
    "TakenByRun",
    "Written",
    "after_cutting",
    "bench",
    "bench_fit",
    "bender",
    "box",
    "can_be_made",
    "catalog",
    "convert",
    "cut",
    "cut_of_job",
    "entries",
    "fill",
    "fold",
    "handle",
    "handling_values",
    "learn",
    "line",
    "materials_of_job",
    "pieces",
    "pieces_as_text",
    "pieces_values",
    "plan",
    "plan_as",
    "plan_in_pieces",
    "plan_values",
    "pullbox",
    "quick",
    "rack",
    "rack_as_csv",
    "rack_values",
    "read_ducts",
    "read_framed_wall",
    "read_own_fittings",
    "read_stock",
    "recalibrated",
    "run_of_wall",
    "runs_of_wall",
    "schedule",
    "schema",
    "site",
    "site_as_csv",
    "site_from_geojson",
    "site_to_geojson",
    "site_values",
    "sitebox",
    "stock_of_taken",
    "taken_by_run",
    "wall",
    "wall_values",
    "wires",
    "work",
    "work_as_text",
]

Document = Mapping[str, Any]
Answer = dict[str, Any]
Units = Literal["in", "mm"]


def _wording(document: Document, country: Country | None) -> Wording:
    return wording_of(country, document.get("units"))


def plan(document: Document, country: Country | None = None) -> Answer:
    """Where and how to bend a run: cut length, marks, steps, findings.

    Args: document, a run (``yarrow.run/1``).
    Returns: ``yarrow.plan/1``, lengths in the run's units.
    Raises: DocumentError.
    Source: docs/geometry.md.
    """
    return plain(plan_values(document), _wording(document, country))


def plan_values(document: Document) -> WrittenPlan:
    """The same plan as frozen values, for who draws it.

    Args: document, a run (``yarrow.run/1``).
    Raises: DocumentError.
    """
    return write_plan(plan_run(read_run(document)))


class Written(NamedTuple):
    """An answer as lines of ``text``, lengths in the document's units, and whether nothing in it is
    an error."""

    text: str
    can_be_made: bool


def plan_as(document: Document, form: Literal["text", "csv", "bends"]) -> Written:
    """A run's plan to read at the bench, its marks as a table, or its bends as one.

    Args: document, a run; form, ``text``; ``csv``, a row a mark; ``bends``, a row a bend.
    Raises: DocumentError.
    """
    made = plan_values(document)
    if form == "text":
        text = plan_text(made, _wording(document, None))
    else:
        text = {"csv": marks_csv, "bends": bend_table_csv}[form](made)
    return Written(text, made.can_be_made)


def handle(document: Document, country: Country | None = None, piece: int | None = None) -> Answer:
    """The orders that a run's piece can be bent in, what each costs and what the pipe meets.

    Args: document, a run; piece, of which of its pieces, counted from 1 (None: of the run as one).
    Returns: the order picked, the best ones and the usual one, each with its bends' handling.
    Raises: DocumentError, also where there is no such piece.
    """
    return plain(handling_values(document, piece), _wording(document, country))


def handling_values(document: Document, piece: int | None = None) -> Handling:
    """The same orders as frozen values, for who draws them.

    Args: document, a run; piece, as for handle.
    Raises: DocumentError.
    """
    survey = read_run(document)
    if piece is None:
        return handle_run(survey)
    return handle_plan(_piece_of(survey, piece))


def _piece_of(survey: Survey, piece: int) -> Plan:
    plans, _ = piece_plans(survey)
    if not 1 <= piece <= len(plans):
        raise DocumentError("piece", f"a piece of this run, 1 to {len(plans)}")
    return plans[piece - 1]


def bench(
    run: Document,
    came_out: Document,
    country: Country | None = None,
    piece: int | None = None,
) -> Answer:
    """A piece at the bench: what is left to do after what came out of the bends that are made.

    Args: run, ``yarrow.run/1``; came_out, ``yarrow.bench/1``, in the run's units; piece, as for
    handle.
    Returns: ``yarrow.bench-plan/1``: the order of bends with marks, steps and pictures of the piece
    as it is, how each leg will lie, and whether it fits, has to give way somewhere, or is scrap.
    Raises: DocumentError.
    Source: docs/geometry.md, at the bench.
    """
    answer = bench_document(_run_or_piece(run, piece), came_out)
    return plain(answer, _wording(run, country))


def bench_fit(
    run: Document,
    came_out: Document,
    country: Country | None = None,
    piece: int | None = None,
) -> Answer:
    """How a piece at the bench comes to lie: of what bench answers, what a reading that is still
    being typed makes of it.

    Args: run, came_out and piece, as for bench.
    Returns: ``yarrow.bench-fit/1``: how each leg will lie, the verdict, what to do about it.
    Raises: DocumentError.
    """
    answer = bench_fit_document(_run_or_piece(run, piece), came_out)
    return plain(answer, _wording(run, country))


def _run_or_piece(run: Document, piece: int | None) -> Plan:
    survey = read_run(run)
    return plan_run(survey) if piece is None else _piece_of(survey, piece)


def pieces(document: Document, country: Country | None = None) -> Answer:
    """A run parted into sticks: every piece's own marks and steps, the joints between them, and
    what other ways to part it cost.

    Args: document, a run; its ``joints`` say how, or leave it to Yarrow.
    Returns: ``yarrow.pieces/1``, lengths in the run's units.
    Raises: DocumentError.
    Source: docs/geometry.md, pieces.
    """
    return plain(pieces_values(document), _wording(document, country))


def pieces_values(document: Document) -> PiecesOfRun:
    """The same pieces as frozen values, for who draws them.

    Args: document, a run.
    Raises: DocumentError.
    """
    return pieces_of(read_run(document))


def plan_in_pieces(document: Document, country: Country | None = None) -> Answer:
    """A run's plan as one and its pieces, planned once for both.

    Args: document, a run.
    Returns: ``plan``, as of plan, and ``pieces``, as of pieces.
    Raises: DocumentError.
    """
    planned = plan_run(read_run(document))
    both = PlanInPieces(write_plan(planned), pieces_of_plan(planned))
    return plain(both, _wording(document, country))


def pieces_as_text(document: Document) -> Written:
    """A run's pieces to read at the bench: joints, and every piece's cut, marks and steps.

    Args: document, a run.
    Raises: DocumentError.
    """
    made = pieces_values(document)
    return Written(_pieces_text(made, _wording(document, None)), made.can_be_made)


def work(document: Document, country: Country | None = None) -> Answer:
    """The order of work of a run: everything that is done for it, ticked off by its ``done``, and
    what an inspector asks.

    Args: document, a run.
    Returns: ``yarrow.work/1``.
    Raises: DocumentError.
    """
    return plain(order_of_work(read_run(document)), _wording(document, country))


def work_as_text(document: Document) -> Written:
    """The order of work as a list to tick with a pencil.

    Args: document, a run.
    Raises: DocumentError.
    """
    found = order_of_work(read_run(document))
    return Written(_work_text(found, _wording(document, None)), found.can_be_made)


def rack(document: Document, country: Country | None = None) -> Answer:
    """The marks of every pipe of a run's rack, and the gaps between them.

    Args: document, a run with ``rack``.
    Returns: pipes and gaps, lengths in the run's units.
    Raises: DocumentError.
    """
    return plain(rack_values(document), _wording(document, country))


def rack_values(document: Document) -> RackPlan:
    """The same rack as frozen values, for who draws it.

    Args: document, a run with ``rack``.
    Raises: DocumentError.
    """
    return plan_rack(read_run(document))


def rack_as_csv(document: Document) -> Written:
    """A rack's marks as a table, a row a mark of every pipe.

    Args: document, a run with ``rack``.
    Raises: DocumentError.
    """
    made = rack_values(document)
    return Written(_rack_csv(made), made.can_be_made)


def fold(document: Document) -> Answer:
    """The shape that straight pipe comes to with bends at given places.

    Args: document, ``yarrow.bends/1``.
    Returns: its points, arcs and length, in the document's units.
    Raises: DocumentError.
    """
    return plain(fold_document(document))


def fill(document: Document, country: Country | None = None) -> Answer:
    """Whether conductors fit a conduit or trunking.

    Args: document, ``yarrow.fill/1``.
    Returns: used and allowed area or factors, the smallest size that fits, findings.
    Raises: DocumentError.
    Source: docs/fill.md.
    """
    return plain(fill_document(document), _wording(document, country))


def box(document: Document, country: Country | None = None) -> Answer:
    """Whether a box is large enough for what is in it.

    Args: document, ``yarrow.box/1``.
    Returns: the sum, line by line, in cubic inches or cubic centimetres; findings.
    Raises: DocumentError.
    Source: docs/fill.md.
    """
    return plain(box_document(document), _wording(document, country))


def pullbox(document: Document, country: Country | None = None) -> Answer:
    """The least sides of a box for large conductors.

    Args: document, ``yarrow.pullbox/1``.
    Returns: each side with the rule that decides it, in the document's units; findings.
    Raises: DocumentError.
    Source: docs/fill.md.
    """
    return plain(pull_box_document(document), _wording(document, country))


def entries(document: Document, country: Country | None = None) -> Answer:
    """Whether the holes in a box's walls go together.

    Args: document, ``yarrow.entries/1``.
    Returns: each entry with its ring and its distances, in the document's units; findings.
    Raises: DocumentError.
    """
    return plain(entries_document(document), _wording(document, country))


def sitebox(
    document: Document, runs: Sequence[Document] = (), country: Country | None = None
) -> Answer:
    """A box of a job with all the runs that meet there: its volume, its sides, its holes.

    Args: document, ``yarrow.sitebox/1``; runs, those that name it at an end.
    Returns: the checks of the box, together.
    Raises: DocumentError.
    """
    answer = site_box_document(document, runs)
    return plain(answer, _wording(document, country))


def schedule(table: bytes, units: Units) -> Answer:
    """A table of runs with their wire, each row checked.

    Args: table, CSV in UTF-8; units, of lengths that name none.
    Returns: ``rows``, an answer each, and ``csv``, the table with its answers.
    Raises: TableError, with the place of everything that can't be read.
    """
    rows = read_schedule(table, units)
    answers = list(check_schedule(rows))
    return {"rows": [plain(answer) for answer in answers], "csv": schedule_csv(rows, answers)}


def bender(document: Document) -> Answer:
    """The numbers of a bender of one's own, worked from its test bends where there are any.

    Args: document, ``yarrow.bender/1``.
    Returns: its numbers with how well each is known, lengths in the document's units.
    Raises: DocumentError.
    """
    return plain(bender_numbers(document))


def learn(document: Answer, bends: Sequence[Answer]) -> Answer:
    """A bender with more bends that were measured on it; one that is ``of`` a bend that it has
    stands in its place.

    Args: document, ``yarrow.bender/1``; bends, as its ``tests``, lengths with their unit.
    Returns: the new document.
    Raises: DocumentError, where no bender could have made them.
    """
    return with_bends(document, bends)


def recalibrated(document: Document, bender: Answer) -> Answer:
    """What a run's bender that is known better by now changes in it.

    Args: document, a run; bender, the same one as a run carries it now.
    Returns: ``yarrow.recalibrated/1``: the marks that move and the cut, as the tape reads.
    Raises: DocumentError.
    """
    was, now = plan_values(document), plan_values({**document, "bender": bender})
    return plain(marks_moved(was, now))


def line(text: str, units: Units) -> Answer:
    """A line of a walk as it is said, in the run's own shape.

    Args: text, such as ``offset 4 3/8 at 33``; units, of its lengths.
    Returns: ``line`` (None where it can't be read yet), what is ``expected``, and ``completions``.
    """
    return plain(typed_line(text, units))


def quick(document: Document) -> Answer:
    """A bend by itself, as it is said, as a run to plan: ``stub 18 3/8``.

    Args: document, ``yarrow.quick/1``.
    Returns: ``run`` (None where it can't be read yet), what is ``expected``, and ``completions``.
    Raises: DocumentError.
    """
    return plain(quick_bend(document))


def wires(text: str, units: Units) -> Answer:
    """Conductors as they are said, in a document's shape.

    Args: text, such as ``3 x 12 thhn; 1 x 12 bare``; units, ``in`` for AWG, ``mm`` for mm².
    Returns: ``conductors``.
    Raises: DocumentError.
    """
    return {"conductors": read_wire_text(text, units, "text")}


def convert(document: Document, to: Units, *, half_typed: bool = False) -> Answer:
    """The same document in another unit: what it says is the same pipe, box or bender.

    Args: document, of any format that has units; half_typed, whether what can't be read yet stays.
    Returns: a new document.
    Raises: DocumentError.
    """
    return convert_document(document, to, half_typed=half_typed)


def catalog() -> Answer:
    """All that a document can name: conduits, benders, fittings, conductors, boxes, trunking.

    Returns: each list with the source of its figures; lengths in the unit that each names.
    """
    return plain(catalogue())


def schema(of: str) -> Answer:
    """The JSON Schema (draft 2020-12) of a format, as documents are read by it.

    Args: of, the format's name without its version: one of ``SCHEMAS``.
    Raises: KeyError, for a name that is none.
    """
    if of not in SCHEMAS:
        raise KeyError(of)
    return dict(_schema(of))


def cut(document: Document, country: Country | None = None, seconds: float = 4.0) -> Answer:
    """What is cut from what: pieces on whole sticks and offcuts, as few sticks as are found.

    Args: document, ``yarrow.stock/1``; seconds, that looking for fewer than by first fit may take
    (with the extra ``yarrow[stock]``; 0: none).
    Returns: ``yarrow.cut-list/1``, lengths in the document's units.
    Raises: DocumentError.
    Source: docs/geometry.md, stock.
    """
    return plain(stock_document(document, seconds), _wording(document, country))


def read_stock(document: object) -> None:
    """Whether a job's stock can be read.

    Args: document, ``yarrow.jobstock/1``.
    Raises: DocumentError.
    """
    read_job_stock(document)


def read_own_fittings(document: object) -> None:
    """Whether a crew's own fittings can be read.

    Args: document, ``yarrow.fittings/1``.
    Raises: DocumentError.
    """
    read_fittings(document)


def cut_of_job(
    wanted: StockOfConduit,
    stock: Document,
    country: Country | None = None,
    seconds: float = 0.0,
) -> Answer:
    """The cut list of one conduit of a job, from what is in hand there.

    Args: wanted, what its runs take; stock, ``yarrow.jobstock/1``; seconds, as for cut.
    Returns: ``yarrow.cut-list/1``.
    Raises: DocumentError, with the place in the job's stock.
    """
    of = (wanted.type, wanted.size)
    try:
        return cut(cut_from(wanted.document, stock, *of), country, seconds)
    except DocumentError as refusal:
        raise DocumentError(place_in_stock(refusal.path, stock, *of), refusal.expected) from None


def materials_of_job(wanted: Sequence[StockOfConduit], stock: Document) -> Answer:
    """What a job takes besides sticks, held against what is in hand there.

    Args: wanted, what its runs take; stock, ``yarrow.jobstock/1``.
    Returns: ``by_conduit``, a list for each, in which a thing has ``what``, ``count``, ``in_hand``
    and ``to_get``; ``spare``, what lies there and no run takes.
    """
    return plain(held_against([each.materials for each in wanted], stock))


def read_framed_wall(document: object) -> None:
    """Whether a framed wall can be read.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError.
    """
    _read_framed_wall(document)


def wall(document: Document, country: Country | None = None) -> Answer:
    """A framed wall: its boxes and holes, a run for every feed with its pieces, and what is wrong
    before anything is bored.

    Args: document, ``yarrow.wall/1``.
    Returns: ``yarrow.wall-plan/1``, lengths in the document's units.
    Raises: DocumentError.
    Source: docs/geometry.md, framed walls.
    """
    return plain(wall_document(document), _wording(document, country))


def wall_values(document: Document) -> WallPlan:
    """The same as frozen values, for who draws it.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError.
    """
    return wall_document(document)


def runs_of_wall(document: Document) -> dict[str, Answer]:
    """Every feed of a framed wall as a run of its own, by the feed's key.

    Args: document, ``yarrow.wall/1``.
    Returns: ``yarrow.run/1`` each.
    Raises: DocumentError.
    """
    return runs_of_each_feed(document)


def run_of_wall(run: Document, made: Document) -> Answer:
    """A run of a wall as somebody worked on it, with what the wall now says of it.

    Args: run, ``yarrow.run/1``; made, the same feed's of runs_of_wall.
    """
    return brought_up_to_date(run, made)


def site(document: Document, country: Country | None = None) -> Answer:
    """Ducts between buildings: pull points, the ways of cables, ducts, what one cut takes down.

    Args: document, ``yarrow.site/1``.
    Returns: ``yarrow.site-plan/1``, points and lengths in metres.
    Raises: DocumentError; also where the extra ``yarrow[site]`` is not installed.
    Source: docs/ducts.md.
    """
    return plain(site_document(document), _wording(document, country))


def read_ducts(document: object) -> None:
    """Whether a site of ducts can be read.

    Args: document, ``yarrow.site/1``.
    Raises: DocumentError.
    """
    read_site(document)


def site_values(document: Document) -> tuple[DuctSite, SitePlan]:
    """The site as it was told and the same answer, as frozen values, for who draws it.

    Args: document, ``yarrow.site/1``.
    Raises: DocumentError.
    """
    site_read = read_site(document)
    return site_read, plan_of_site(site_read)


def site_to_geojson(document: Document) -> Answer:
    """Ducts between buildings as GeoJSON in local metres.

    Args: document, ``yarrow.site/1``.
    Raises: DocumentError.
    """
    return geojson_of(document)


def site_from_geojson(collection: object) -> Answer:
    """A site's document out of GeoJSON in local metres.

    Args: collection, a FeatureCollection.
    Returns: ``yarrow.site/1``.
    Raises: DocumentError.
    """
    return site_of_geojson(collection)


def site_as_csv(document: Document, country: Country | None = None) -> str:
    """What a site takes, as a table: what, how much, its unit, and as it is read.

    Args: document, ``yarrow.site/1``.
    Raises: DocumentError.
    """
    return _site_csv(site(document, country))


def can_be_made(answer: Answer) -> bool:
    """Whether nothing in an answer is an error.

    Args: answer, of any function here.
    """
    parts = [answer, *answer.get("pipes", ())]
    found = [finding for part in parts for finding in part.get("findings", ())]
    # No box at hand passes nothing and fails nothing: None.
    return answer.get("passes") is not False and all(each["level"] != "error" for each in found)
