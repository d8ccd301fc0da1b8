"""Plan conduit runs and check what goes into them: documents in, answers out.

    >>> import yarrow
    >>> yarrow.plan(document)["cut_length_text"]
    >>> yarrow.plan.values(document).cut_length
    >>> yarrow.plan.written(document, "csv").text

A document is a mapping in one of the open formats (docs/run-file.md); its lengths are as they were
read off a tape (``"18 3/8"``), or numbers, in the document's own ``units``. An answer is plain
JSON: dictionaries, lists, text and numbers, in the same units, with angles in degrees. What can't
be made is an answer with a finding; only what can't be read is an error. Nothing here is stored.
What is found is told in a ``language`` of ``LANGUAGES``; where none is named, in the one that is
spoken where the document's units are usual.
"""

from __future__ import annotations

import sys
from importlib import import_module
from types import ModuleType
from typing import Any, Final

__version__ = "0.1.0"

_ROOMS: Final = {
    "door.verbs": (
        "VERBS bench bench_fit bender box cut entries fill fold handle pieces plan plan_in_pieces "
        "pullbox rack site sitebox wall work"
    ),
    "door.answers": "can_be_made",
    "door.asked": "ADDRESSES asked_at Told unreadable",
    "door.benders": "learn",
    "door.checks": "schedule wires",
    "door.cutting": "cut_of_job materials_of_job",
    "door.ducts": "site_from_geojson site_to_geojson",
    "door.framed_walls": "merge_wall_run runs_of_wall",
    "door.reference": "catalog schema",
    "door.runs": "convert recalibrated",
    "door.shared": "Answer Document Units",
    "door.typed": "line quick",
    "door.verb": "Verb Written",
    "bench.at_bench": "BenchFit BenchPlan",
    "catalog.rulebooks": "RuleBook rulebooks Rules usual_rules wording_of",
    "documents.bender.reading": "BenderNumbers carried_bender",
    "documents.bends.reading": "FoldedPipe",
    "documents.catalogue": "Catalogue",
    "documents.errors": "DocumentError TableError",
    "documents.jobstock.taken": "stock_of_taken StockOfConduit taken_by_run TakenByRun",
    "documents.json_text": "read_json",
    "documents.references": "Reference follow references",
    "documents.registry": "FORMATS Format read",
    "documents.fill.schedule": (
        "check_schedule CheckedRow MOST_TOLD placed_in_row read_schedule run_csv_row run_row "
        "runs_csv_head schedule_csv ScheduleRow wires_of_row"
    ),
    "documents.schema": "SCHEMAS",
    "documents.boxes.sitebox": "box_key ends_named",
    "documents.jobstock.in_hand": "after_cutting",
    "documents.upgrading": "upgrade",
    "documents.writing": "plain",
    "documents.written_finding": "WrittenFinding",
    "fill.boxes": "BoxResult",
    "fill.entries": "EntriesResult",
    "fill.pull_boxes": "PullBoxResult",
    "fill.result": "FillResult Part",
    "fill.site_box": "SiteBoxResult",
    "findings.code": "FindingCode",
    "findings.finding": "Finding",
    "geometry.frame": "Side",
    "geometry.rounded_polyline": "arc_between",
    "geometry.vectors": "along Vector",
    "measure.rounding": "cut_text USUAL_STEP",
    "measure.units": "convert_length Unit",
    "pieces.piece_plan": "PiecesOfRun PlanInPieces",
    "pieces.work_plan": "OrderOfWork",
    "racks.rack_plan": "RackPipe RackPlan",
    "runs.bending_sequence": "BendHandling Handling OrderHandling",
    "runs.model.plan": "ArcToDraw Mark SiteObject Step WrittenPlan",
    "runs.model.wires": "PlannedPull PlannedWires",
    "runs.recalibrated": "Recalibrated",
    "shapes": (
        "BenchDocument BenderDocument BendsDocument BoxDocument EntriesDocument "
        "FillDocument FittingsDocument JobstockDocument PullboxDocument QuickDocument "
        "RunDocument SiteDocument SiteboxDocument StockDocument WallDocument"
    ),
    "site.site": "DuctSite PlanPoint",
    "site.site_plan": "SiteCable SitePlan SiteStretch",
    "stock.cut_list": "CutList",
    "walls.wall_plan": "PlannedFeed WallPlan",
    "wording.lengths": "degrees",
    "wording.phrase": "count in_turn Phrase Quantity READINGS Shown TapeReading Value",
    "wording.wording": "EN_US Language LANGUAGES Wording",
}
"""Where each name of the door is: a room is loaded when one of its names is first asked for. What a
type checker sees of it stands in ``__init__.pyi``."""

_HOME: Final = {name: room for room, names in _ROOMS.items() for name in names.split()}

__all__ = ["__version__", *_HOME]


def __getattr__(name: str) -> Any:
    """A name of the door, from its room."""
    if name not in _HOME:
        raise AttributeError(f"module {__name__!r} has no attribute {name!r}")
    room = import_module(f"{__name__}.{_HOME[name]}")
    globals()[name] = result = room.VERBS[name] if _is_verb(name) else getattr(room, name)
    return result


def _is_verb(name: str) -> bool:
    return _HOME[name] == "door.verbs" and name.islower()


def __dir__() -> list[str]:
    return sorted(__all__)


class _Door(ModuleType):
    """A verb keeps its name, where a room inside is called the same (``fill``, ``site``): that is
    set here when it is loaded, and would hide it."""

    def __setattr__(self, name: str, value: Any) -> None:
        if name in _HOME and isinstance(value, ModuleType):
            return
        super().__setattr__(name, value)


sys.modules[__name__].__class__ = _Door
