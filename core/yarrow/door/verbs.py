"""The verbs, a row each: what the command line and the network ask follows from here."""

from __future__ import annotations

from typing import Any, Final

from yarrow.door.verb import Argument, Option, Verb

_PIECE = Option("piece", int, "of which of its pieces, counted from 1; left out, of the run as one")
_SECONDS = Option("seconds", float, "for looking for fewer sticks than by first fit", 4.0)
_CAME_OUT = Argument("came_out", "what was read of its bends (yarrow.bench/1)")

_ROWS: Final[tuple[Verb[Any, Any], ...]] = (
    Verb(
        "plan",
        "run",
        "door.runs:plan",
        "WrittenPlan",
        "where and how to bend a run: cut length, marks, steps, findings",
        forms={
            "text": "documents.forms:plan_text",
            "csv": "documents.forms:marks_csv",
            "bends": "documents.forms:bend_table_csv",
        },
    ),
    Verb(
        "handle",
        "run",
        "door.pieces:handle",
        "Handling",
        "the orders that a run's piece can be bent in, what each costs and what it meets",
        options=(_PIECE,),
    ),
    Verb(
        "pieces",
        "run",
        "door.pieces:pieces",
        "PiecesOfRun",
        "a run in sticks: every piece's marks and steps, joints, ways to part it",
        forms={"text": "documents.forms:pieces_text"},
    ),
    Verb(
        "plan_in_pieces",
        "run",
        "door.pieces:plan_in_pieces",
        "PlanInPieces",
        "a run's plan as one and its pieces, planned once for both",
    ),
    Verb(
        "work",
        "run",
        "door.pieces:work",
        "OrderOfWork",
        "the order of work of a run, ticked off by its done",
        forms={"text": "documents.forms:work_text"},
    ),
    Verb(
        "rack",
        "run",
        "door.racks:rack",
        "RackPlan",
        "a run's rack: the marks of every pipe, the gaps between them",
        forms={"csv": "documents.forms:rack_csv"},
    ),
    Verb(
        "bench",
        "run",
        "door.at_the_bench:bench",
        "BenchPlan",
        "a piece whose bends came out different: what is left to do",
        beside=(_CAME_OUT,),
        options=(_PIECE,),
    ),
    Verb(
        "bench_fit",
        "run",
        "door.at_the_bench:bench_fit",
        "BenchFit",
        "how such a piece comes to lie, while a reading is still being typed",
        beside=(_CAME_OUT,),
        options=(_PIECE,),
    ),
    Verb(
        "wall",
        "wall",
        "documents.wall.runs:plan_wall_document",
        "WallPlan",
        "a framed wall: boxes, holes, a run for every feed",
    ),
    Verb(
        "site",
        "site",
        "documents.site.reading:site_document",
        "SitePlan",
        "ducts between buildings: pull points, ways, ducts, cuts",
        forms={"csv": "documents.forms:site_csv"},
    ),
    Verb(
        "fill",
        "fill",
        "documents.fill.reading:fill_document",
        "FillResult",
        "whether conductors go into a conduit or trunking",
    ),
    Verb(
        "box",
        "box",
        "documents.boxes.reading:box_document",
        "BoxResult",
        "whether a box is large enough for what is in it",
    ),
    Verb(
        "pullbox",
        "pullbox",
        "documents.boxes.reading:pull_box_document",
        "PullBoxResult",
        "the least box for large wire",
    ),
    Verb(
        "entries",
        "entries",
        "documents.boxes.reading:entries_document",
        "EntriesResult",
        "whether the holes in a box's walls go together",
    ),
    Verb(
        "sitebox",
        "sitebox",
        "documents.boxes.sitebox:site_box_document",
        "SiteBoxResult",
        "a box of a job, with the runs that meet there",
        beside=(Argument("runs", "those that name it at an end", many=True),),
    ),
    Verb(
        "bender",
        "bender",
        "documents.bender.reading:bender_numbers",
        "BenderNumbers",
        "a bender of one's own: its numbers, worked from its test bends",
    ),
    Verb(
        "fold",
        "bends",
        "documents.bends.reading:fold_document",
        "FoldedPipe",
        "the shape that straight pipe comes to with bends at given places",
    ),
    Verb(
        "cut",
        "stock",
        "documents.stock.reading:stock_document",
        "CutList",
        "what is cut from what: pieces on whole sticks and offcuts",
        options=(_SECONDS,),
        asked_by_everyone=False,
    ),
)

VERBS: Final = {verb.name: verb for verb in _ROWS}
