"""The names of the public door, for type checkers."""

from yarrow.bench.at_bench import BenchFit as BenchFit
from yarrow.bench.at_bench import BenchPlan as BenchPlan
from yarrow.catalog.rulebooks import RuleBook as RuleBook
from yarrow.catalog.rulebooks import Rules as Rules
from yarrow.catalog.rulebooks import rulebooks as rulebooks
from yarrow.catalog.rulebooks import usual_rules as usual_rules
from yarrow.catalog.rulebooks import wording_of as wording_of
from yarrow.documents.bender.reading import BenderNumbers as BenderNumbers
from yarrow.documents.bender.reading import carried_bender as carried_bender
from yarrow.documents.bends.reading import FoldedPipe as FoldedPipe
from yarrow.documents.boxes.sitebox import box_key as box_key
from yarrow.documents.boxes.sitebox import ends_named as ends_named
from yarrow.documents.catalogue import Catalogue as Catalogue
from yarrow.documents.errors import DocumentError as DocumentError
from yarrow.documents.errors import TableError as TableError
from yarrow.documents.fill.schedule import MOST_TOLD as MOST_TOLD
from yarrow.documents.fill.schedule import CheckedRow as CheckedRow
from yarrow.documents.fill.schedule import ScheduleRow as ScheduleRow
from yarrow.documents.fill.schedule import check_schedule as check_schedule
from yarrow.documents.fill.schedule import placed_in_row as placed_in_row
from yarrow.documents.fill.schedule import read_schedule as read_schedule
from yarrow.documents.fill.schedule import run_csv_row as run_csv_row
from yarrow.documents.fill.schedule import run_row as run_row
from yarrow.documents.fill.schedule import runs_csv_head as runs_csv_head
from yarrow.documents.fill.schedule import schedule_csv as schedule_csv
from yarrow.documents.fill.schedule import wires_of_row as wires_of_row
from yarrow.documents.jobstock.in_hand import after_cutting as after_cutting
from yarrow.documents.jobstock.taken import StockOfConduit as StockOfConduit
from yarrow.documents.jobstock.taken import TakenByRun as TakenByRun
from yarrow.documents.jobstock.taken import stock_of_taken as stock_of_taken
from yarrow.documents.jobstock.taken import taken_by_run as taken_by_run
from yarrow.documents.json_text import read_json as read_json
from yarrow.documents.references import Reference as Reference
from yarrow.documents.references import follow as follow
from yarrow.documents.references import references as references
from yarrow.documents.registry import FORMATS as FORMATS
from yarrow.documents.registry import Format as Format
from yarrow.documents.registry import read as read
from yarrow.documents.schema import SCHEMAS as SCHEMAS
from yarrow.documents.upgrading import upgrade as upgrade
from yarrow.documents.writing import plain as plain
from yarrow.documents.written_finding import WrittenFinding as WrittenFinding
from yarrow.door.answers import can_be_made as can_be_made
from yarrow.door.asked import ADDRESSES as ADDRESSES
from yarrow.door.asked import Told as Told
from yarrow.door.asked import asked_at as asked_at
from yarrow.door.asked import unreadable as unreadable
from yarrow.door.benders import learn as learn
from yarrow.door.checks import schedule as schedule
from yarrow.door.checks import wires as wires
from yarrow.door.cutting import cut_of_job as cut_of_job
from yarrow.door.cutting import materials_of_job as materials_of_job
from yarrow.door.ducts import site_from_geojson as site_from_geojson
from yarrow.door.ducts import site_to_geojson as site_to_geojson
from yarrow.door.framed_walls import merge_wall_run as merge_wall_run
from yarrow.door.framed_walls import runs_of_wall as runs_of_wall
from yarrow.door.reference import catalog as catalog
from yarrow.door.reference import schema as schema
from yarrow.door.runs import convert as convert
from yarrow.door.runs import recalibrated as recalibrated
from yarrow.door.shared import Answer as Answer
from yarrow.door.shared import Document as Document
from yarrow.door.shared import Units as Units
from yarrow.door.typed import line as line
from yarrow.door.typed import quick as quick
from yarrow.door.verb import Verb as Verb
from yarrow.door.verb import Written as Written
from yarrow.door.verbs import VERBS as VERBS
from yarrow.fill.boxes import BoxResult as BoxResult
from yarrow.fill.entries import EntriesResult as EntriesResult
from yarrow.fill.pull_boxes import PullBoxResult as PullBoxResult
from yarrow.fill.result import FillResult as FillResult
from yarrow.fill.result import Part as Part
from yarrow.fill.site_box import SiteBoxResult as SiteBoxResult
from yarrow.findings.code import FindingCode as FindingCode
from yarrow.findings.finding import Finding as Finding
from yarrow.geometry.frame import Side as Side
from yarrow.geometry.rounded_polyline import arc_between as arc_between
from yarrow.geometry.vectors import Vector as Vector
from yarrow.geometry.vectors import along as along
from yarrow.measure.rounding import USUAL_STEP as USUAL_STEP
from yarrow.measure.rounding import cut_text as cut_text
from yarrow.measure.units import Unit as Unit
from yarrow.measure.units import convert_length as convert_length
from yarrow.pieces.piece_plan import PiecesOfRun as PiecesOfRun
from yarrow.pieces.piece_plan import PlanInPieces as PlanInPieces
from yarrow.pieces.work_plan import OrderOfWork as OrderOfWork
from yarrow.racks.rack_plan import RackPipe as RackPipe
from yarrow.racks.rack_plan import RackPlan as RackPlan
from yarrow.runs.bending_sequence import BendHandling as BendHandling
from yarrow.runs.bending_sequence import Handling as Handling
from yarrow.runs.bending_sequence import OrderHandling as OrderHandling
from yarrow.runs.model.plan import ArcToDraw as ArcToDraw
from yarrow.runs.model.plan import Mark as Mark
from yarrow.runs.model.plan import SiteObject as SiteObject
from yarrow.runs.model.plan import Step as Step
from yarrow.runs.model.plan import WrittenPlan as WrittenPlan
from yarrow.runs.model.wires import PlannedPull as PlannedPull
from yarrow.runs.model.wires import PlannedWires as PlannedWires
from yarrow.runs.recalibrated import Recalibrated as Recalibrated
from yarrow.shapes import BenchDocument as BenchDocument
from yarrow.shapes import BenderDocument as BenderDocument
from yarrow.shapes import BendsDocument as BendsDocument
from yarrow.shapes import BoxDocument as BoxDocument
from yarrow.shapes import EntriesDocument as EntriesDocument
from yarrow.shapes import FillDocument as FillDocument
from yarrow.shapes import FittingsDocument as FittingsDocument
from yarrow.shapes import JobstockDocument as JobstockDocument
from yarrow.shapes import PullboxDocument as PullboxDocument
from yarrow.shapes import QuickDocument as QuickDocument
from yarrow.shapes import RunDocument as RunDocument
from yarrow.shapes import SiteboxDocument as SiteboxDocument
from yarrow.shapes import SiteDocument as SiteDocument
from yarrow.shapes import StockDocument as StockDocument
from yarrow.shapes import WallDocument as WallDocument
from yarrow.site.site import DuctSite as DuctSite
from yarrow.site.site import PlanPoint as PlanPoint
from yarrow.site.site_plan import SiteCable as SiteCable
from yarrow.site.site_plan import SitePlan as SitePlan
from yarrow.site.site_plan import SiteStretch as SiteStretch
from yarrow.stock.cut_list import CutList as CutList
from yarrow.walls.wall_plan import PlannedFeed as PlannedFeed
from yarrow.walls.wall_plan import WallPlan as WallPlan
from yarrow.wording.lengths import degrees as degrees
from yarrow.wording.phrase import READINGS as READINGS
from yarrow.wording.phrase import Phrase as Phrase
from yarrow.wording.phrase import Quantity as Quantity
from yarrow.wording.phrase import Shown as Shown
from yarrow.wording.phrase import TapeReading as TapeReading
from yarrow.wording.phrase import Value as Value
from yarrow.wording.phrase import count as count
from yarrow.wording.phrase import in_turn as in_turn
from yarrow.wording.wording import EN_US as EN_US
from yarrow.wording.wording import LANGUAGES as LANGUAGES
from yarrow.wording.wording import Language as Language
from yarrow.wording.wording import Wording as Wording

__version__: str
__all__: list[str]

bench: Verb[RunDocument, BenchPlan]
bench_fit: Verb[RunDocument, BenchFit]
bender: Verb[BenderDocument, BenderNumbers]
box: Verb[BoxDocument, BoxResult]
cut: Verb[StockDocument, CutList]
entries: Verb[EntriesDocument, EntriesResult]
fill: Verb[FillDocument, FillResult]
fold: Verb[BendsDocument, FoldedPipe]
handle: Verb[RunDocument, Handling]
pieces: Verb[RunDocument, PiecesOfRun]
plan: Verb[RunDocument, WrittenPlan]
plan_in_pieces: Verb[RunDocument, PlanInPieces]
pullbox: Verb[PullboxDocument, PullBoxResult]
rack: Verb[RunDocument, RackPlan]
site: Verb[SiteDocument, SitePlan]
sitebox: Verb[SiteboxDocument, SiteBoxResult]
wall: Verb[WallDocument, WallPlan]
work: Verb[RunDocument, OrderOfWork]
