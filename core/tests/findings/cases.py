"""A document for every finding, with what it is to say: its level and place, the figures in its
words, its source, its remedy.

Each was read against its document; figures that need a sum are worked in the tests of their room.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from typing import Any, NamedTuple
from unittest import mock

from core.tests.builders import (
    end,
    framed_wall,
    hole,
    kick,
    metric,
    offset,
    round_thing,
    run,
    saddle3,
    turn,
)
from core.tests.fill.helpers import cable, core, wire
from core.tests.site.helpers import between_holes, building, fibre, site, trench
from core.tests.site.helpers import hole as hand_hole
from yarrow import pieces_values, plan_values
from yarrow.documents.box_files import box_document, entries_document, pull_box_document
from yarrow.documents.fill_file import fill_document
from yarrow.documents.run_file import read_run
from yarrow.documents.site_box_file import site_box_document
from yarrow.documents.site_file import site_document
from yarrow.documents.stock_file import stock_document
from yarrow.documents.wall_file import wall_document
from yarrow.findings.finding import Finding
from yarrow.obstacles.outline import Air
from yarrow.racks.rack import plan_rack
from yarrow.runs.bending_sequence import handle_run

Found = Callable[[], Sequence[Finding]]

POWERED: dict[str, Any] = {"conduit": {"type": "rmc", "size": "2"}, "bender": "powered-2"}
RIGID: dict[str, Any] = {"conduit": {"type": "rmc", "size": "3/4"}, "bender": "ratchet-1"}
RACK: dict[str, Any] = {"count": 2, "side": "right", "spacing": 3}


class Case(NamedTuple):
    """A document's findings, and what the one of its code is to say."""

    found: Found
    level: str
    path: str
    feature: int | None
    bends: tuple[int, ...]
    figures: str
    source: str
    remedy: tuple[str, Any] | None


def framed(**more: Any) -> Found:
    return lambda: wall_document(framed_wall(**more)).findings


def planned_(*walk: dict[str, Any], **more: Any) -> Found:
    return lambda: plan_values(run(*walk, **more)).findings


def pieces_(*walk: dict[str, Any], **joints: Any) -> Found:
    return lambda: pieces_values(run(*walk, joints=joints)).findings


def metric_(*walk: dict[str, Any], **more: Any) -> Found:
    return lambda: plan_values(metric(*walk, **more)).findings


def path_(*points: tuple[int, int, int], **more: Any) -> Found:
    document = {key: value for key, value in run(**more).items() if key != "walk"}
    document["path"] = [list(point) for point in points]
    return lambda: plan_values(document).findings


def racked(*walk: dict[str, Any], rack: dict[str, Any], **more: Any) -> Found:
    return lambda: plan_rack(read_run(run(*walk, rack=rack, **more))).findings


def handled(*walk: dict[str, Any], **more: Any) -> Found:
    return lambda: handle_run(read_run(run(*walk, **more))).findings


def pulled(*walk: dict[str, Any], **more: Any) -> Found:
    def found() -> Sequence[Finding]:
        planned = plan_values(run(*walk, **more)).wires
        assert planned is not None
        assert planned.pull is not None
        return planned.pull.findings

    return found


def wires(*walk: dict[str, Any], **more: Any) -> Found:
    def found() -> Sequence[Finding]:
        planned = plan_values(metric(*walk, **more)).wires
        assert planned is not None
        return planned.findings

    return found


def touching() -> Found:
    """What no choice of Yarrow's leads to, since saddles are lifted: a pick with no air left."""

    def found() -> Sequence[Finding]:
        with mock.patch("yarrow.runs.selection.candidates.least_air", return_value=Air(-0.5, 60.0)):
            return planned_(round_thing(60, 2, pick="saddle3 45"), end(110))()

    return found


def fill_check(document: dict[str, Any]) -> Found:
    return lambda: fill_document(document).findings


def filled(**more: Any) -> Found:
    conduit = {"type": "emt", "size": "1/2"}
    return fill_check({"format": "yarrow.fill/1", "units": "in", "conduit": conduit, **more})


def boxed(**more: Any) -> Found:
    return lambda: box_document({"format": "yarrow.box/1", **more}).findings


def pull_box(entries: list[dict[str, Any]], pulls: list[list[str]], **more: Any) -> Found:
    document = {"format": "yarrow.pullbox/1", "units": "in", "entries": entries, "pulls": pulls}
    return lambda: pull_box_document({**document, **more}).findings


def holes(entries: list[dict[str, Any]], box: dict[str, Any], **more: Any) -> Found:
    document = {"format": "yarrow.entries/1", "units": "in", "box": box, "entries": entries}
    return lambda: entries_document({**document, **more}).findings


def site_box(told: dict[str, Any], *runs: dict[str, Any]) -> Found:
    document = {"format": "yarrow.sitebox/1", "units": "in", "name": "P", **told}
    return lambda: site_box_document(document, list(runs)).findings


def ducts(document: dict[str, Any]) -> Found:
    return lambda: site_document(document).findings


PAIR = [hand_hole("A", 0, 0), hand_hole("B", 100, 0)]
STRAIGHT = trench("T", (0, 0), (100, 0))
HABIT = (
    "The habit of crews who lay ducts between buildings: 200 m straight, 50 m less for each "
    "quarter bend, never over 270°"
)
SWEEPS = (
    "Yarrow's working figures: a sweep of ten times the duct's outside; a cable not bent tighter "
    "than 20 diameters while it is pulled"
)


def entry(name: str, wall: str, size: str, **more: Any) -> dict[str, Any]:
    return {"id": name, "wall": wall, "size": size, **more}


CASES: dict[str, Case] = {
    "arc-in-hole": Case(
        planned_(hole(40, "1/2", pick="kick 45"), end(90), **POWERED),
        "error",
        "walk[0].pick",
        0,
        (),
        "45 3 3/8",
        "",
        ("walk[0].pick", "kick 10"),
    ),
    "arcs-overlap": Case(
        planned_(turn(30), turn(6, "right"), end(40)),
        "error",
        "walk[1].at",
        1,
        (0, 1),
        "2 3 11/16 1 3 11/16",
        "",
        ("walk[1].at", "9 11/16"),
    ),
    "before-start": Case(
        planned_(turn(3), end(40)),
        "error",
        "walk[0].at",
        0,
        (0,),
        "1 7/8 1 7/8",
        "",
        ("walk[0].at", "4 7/8"),
    ),
    "out-of-order": Case(
        planned_(offset(40, 4), offset(38, 4), end(90)),
        "error",
        "walk[1].at",
        1,
        (),
        "2 8 15/16 1",
        "",
        ("walk[1].at", "51 7/16"),
    ),
    "end-short": Case(
        planned_(turn(30), end(3)),
        "error",
        "walk[1].at",
        1,
        (0,),
        "1 7/8 1 7/8",
        "",
        ("walk[1].at", "4 7/8"),
    ),
    "kick-not-last": Case(
        planned_(kick(20, 2), offset(40, 4), end(80)), "error", "walk[0].at", 0, (), "", "", None
    ),
    "repeated-point": Case(
        path_((0, 0, 0), (10, 0, 0), (10, 0, 0), (20, 4, 0)),
        "error",
        "path[2]",
        None,
        (),
        "",
        "",
        None,
    ),
    "folds-back": Case(
        path_((0, 0, 0), (30, 0, 0), (10, 0, 0)), "error", "path[1]", None, (), "", "", None
    ),
    "at-the-screws": Case(
        holes(
            [entry("A", "left", "1/2", at=2, deep=1.5)],
            {"width": 4, "height": 4, "depth": 2},
            device=True,
        ),
        "warning",
        "entries[0].at",
        None,
        (),
        "",
        "Yarrow's working figures",
        None,
    ),
    "bender-does-not-fit": Case(
        planned_(turn(30), end(40), bender="hand-emt-1"),
        "error",
        "bender",
        None,
        (),
        "1 1/2 1/2",
        "",
        ("bender", "hand-emt-1/2"),
    ),
    "bends-too-close": Case(
        planned_(turn(30), turn("10 1/4", "right"), end(40)),
        "warning",
        "walk[1].at",
        1,
        (0, 1),
        "1 2 9/16 1 2 10 11/16",
        "",
        ("walk[1].at", "10 11/16"),
    ),
    "stub-too-short": Case(
        planned_(turn("5 1/2"), end(60)),
        "warning",
        "walk[0].at",
        0,
        (0,),
        "7 1 1/2",
        "",
        ("walk[0].at", "7"),
    ),
    "too-close-to-end": Case(
        planned_(turn(30), end("5 1/2")),
        "warning",
        "walk[1].at",
        1,
        (0,),
        "1 1 1/2 1 1/2",
        "",
        ("walk[1].at", "7"),
    ),
    "mark-off-pipe": Case(
        planned_(turn(5), end(40), bender={"kind": "hand", "radius": 4, "take_up": 7}),
        "error",
        "walk[0].at",
        0,
        (0,),
        "1 2 2",
        "",
        ("walk[0].at", "7"),
    ),
    "beyond-the-table": Case(
        fill_check(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "conduit": {"type": "steel", "size": "25"},
                "length": 4000,
                "bends": 5,
                "conductors": [core(2, 2.5)],
            }
        ),
        "warning",
        "bends",
        None,
        (),
        "4 10",
        "Guidance to BS 7671: con",
        None,
    ),
    "body-is-marked": Case(
        pull_box(
            [entry("A", "left", "3"), entry("B", "right", "3")],
            [["A", "B"]],
            body={"marked": {"size": "1/0", "count": 3}, "conductors": {"size": "1/0", "count": 3}},
        ),
        "note",
        "body",
        None,
        (),
        "3 1/0",
        "NFPA 70, 314.28(A) (2023",
        None,
    ),
    "over-its-marking": Case(
        pull_box(
            [entry("A", "left", "3"), entry("B", "right", "3")],
            [["A", "B"]],
            body={"marked": {"size": "1/0", "count": 3}, "conductors": {"size": "2/0", "count": 3}},
        ),
        "error",
        "body",
        None,
        (),
        "3 1/0 3 2/0",
        "NFPA 70, 314.28(A) (2023",
        None,
    ),
    "body-too-narrow": Case(
        boxed(box={"volume": 20, "inside": 0.8, "conduit": 0.533}),
        "error",
        "box.inside",
        None,
        (),
        "0.8 2 0.533",
        "NFPA 70, 314.16(C)(1) (2",
        None,
    ),
    "box-too-small": Case(
        boxed(box="square-4-1-1/2", conductors=[{"size": "12", "ends": 10}]),
        "error",
        "box",
        None,
        (),
        "22.5 21 4 2 1/8",
        "NFPA 70, 314.16(B) (2023",
        None,
    ),
    "centre-notch-does-not-serve": Case(
        planned_(saddle3(60, 2, 60), end(120)), "note", "walk[0].angle", 0, (1,), "45 60", "", None
    ),
    "does-not-fit": Case(
        filled(conductors=[wire(10, "12")]),
        "error",
        "conductors",
        None,
        (),
        "0.133 0.1216 109 3/4",
        "NFPA 70, chapter 9, tabl",
        ("conduit.size", "3/4"),
    ),
    "does-not-fit-within": Case(
        planned_({"kind": "offset", "at": 60, "rise": 6, "toward": "out", "within": 5}, end(120)),
        "error",
        "walk[0].within",
        0,
        (),
        "5 8 11/16",
        "",
        ("walk[0].within", "8 11/16"),
    ),
    "end-not-reached": Case(
        planned_(turn(40), end(40, meet=[40, 40, 3])),
        "error",
        "walk[1].meet",
        1,
        (),
        "3/8 3/8 3",
        "",
        None,
    ),
    "free-dimension": Case(
        planned_(turn(40, loose=["at"]), end(40, meet=["41", 39.647, 0])),
        "note",
        "walk[0].at",
        0,
        (),
        "1 41 3/8 40",
        "",
        None,
    ),
    "figure-to-check": Case(
        fill_check(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "method": "space",
                "trunking": {"width": 50, "height": 50},
                "conductors": [{**core(4, 2.5), "cover": "thermosetting"}],
            }
        ),
        "note",
        "conductors",
        None,
        (),
        "",
        "Guidance to BS 7671: con",
        None,
    ),
    "printed-factor": Case(
        fill_check(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "method": "space",
                "trunking": {"width": 50, "height": 50},
                "conductors": [core(4, 2.5)],
            }
        ),
        "note",
        "trunking",
        None,
        (),
        "50 50 45 50 50 1125",
        "Guidance to BS 7671: tru",
        None,
    ),
    "heat-is-separate": Case(
        filled(conductors=[wire(9, "12")]),
        "note",
        "",
        None,
        (),
        "9 70",
        "NFPA 70, table 310.15(C)",
        None,
    ),
    "inside-is-a-working-figure": Case(
        fill_check(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "method": "area",
                "conduit": {"type": "steel", "size": "20"},
                "conductors": [core(2, 2.5)],
            }
        ),
        "note",
        "conduit.size",
        None,
        (),
        "20",
        "Yarrow's working figures",
        None,
    ),
    "into-the-surface": Case(
        planned_(round_thing(40, 2, "in"), end(90)),
        "warning",
        "walk[0].toward",
        0,
        (),
        "",
        "",
        ("walk[0].toward", "out"),
    ),
    "piece-longer-than-stock": Case(
        lambda: (
            stock_document(
                {
                    "format": "yarrow.stock/1",
                    "units": "in",
                    "stick": 120,
                    "pieces": [{"length": 130}],
                },
                0,
            ).findings
        ),
        "error",
        "pieces[0].length",
        None,
        (),
        "130 10 120",
        "",
        None,
    ),
    # A plate of 3 under 96: 95 is 2 beyond 93.
    "studs-too-close": Case(
        framed(studs={"at": [1, 17, 19, 35, 51, 67, 83, 99, 115]}),
        "error",
        "studs",
        None,
        (),
        "2 3 1/2 1",
        "",
        None,
    ),
    "trench-of-no-length": Case(
        ducts(site(PAIR, [STRAIGHT, trench("Stub", (50, 40))])),
        "warning",
        "trenches[1].line",
        None,
        (),
        "",
        "",
        None,
    ),
    "trenches-cross": Case(
        ducts(
            site(
                [*PAIR, hand_hole("C", 50, 40), hand_hole("D", 50, -40)],
                [STRAIGHT, trench("U", (50, 40), (50, -40))],
            )
        ),
        "warning",
        "trenches[1].line",
        None,
        (),
        "",
        "",
        None,
    ),
    "trench-ends-in-the-open": Case(
        ducts(site(PAIR, [trench("T", (0, 0), (120, 0))])),
        "warning",
        "trenches[0].line",
        None,
        (),
        "",
        "",
        None,
    ),
    "pull-point-wanted": Case(
        ducts(between_holes((0, 0), (300, 0))),
        "warning",
        "trenches[0]",
        None,
        (),
        "150 1",
        HABIT,
        None,
    ),
    # Nobody stands a pull point in a road: 300 m straight, where 200 are the most.
    "stretch-over-its-limit": Case(
        ducts(
            site(
                [hand_hole("A", 0, 0), hand_hole("B", 300, 0)],
                [trench("T", (0, 0), (300, 0), surface="road")],
            )
        ),
        "error",
        "trenches[0]",
        None,
        (),
        "300 0 200 270",
        HABIT,
        None,
    ),
    # 114 mm outside: ten times that.
    "sweep-too-tight": Case(
        ducts(site(PAIR, [trench("T", (0, 0), (50, 0), (50, 20), (100, 0), radius=900)])),
        "error",
        "trenches[0].radius",
        None,
        (),
        "900 1140",
        SWEEPS,
        None,
    ),
    "place-not-reached": Case(
        ducts(site([*PAIR, building("Hut", 50, 30)], [STRAIGHT])),
        "error",
        "places[2].at",
        None,
        (),
        "",
        "",
        None,
    ),
    "one-cut-takes-down": Case(
        ducts(site(PAIR, [STRAIGHT], [fibre("B", "A")])),
        "warning",
        "places[1]",
        None,
        (),
        "100",
        "",
        None,
    ),
    "cable-without-a-way": Case(
        ducts(
            site(
                [*PAIR, hand_hole("C", 0, 50), hand_hole("D", 100, 50)],
                [STRAIGHT, trench("U", (0, 50), (100, 50))],
                [fibre("C", "A")],
            )
        ),
        "error",
        "cables[0].to",
        None,
        (),
        "1",
        "",
        None,
    ),
    "no-second-way": Case(
        ducts(site(PAIR, [STRAIGHT], [fibre("B", "A", second=True)])),
        "error",
        "cables[0].second",
        None,
        (),
        "1",
        "",
        None,
    ),
    # One cable may take 53 % of 102 mm: 74.2 mm across, and eight tenths of one count as one: 83.
    "duct-too-small": Case(
        ducts(site(PAIR, [STRAIGHT], [fibre("B", "A", kind="power", diameter=85)])),
        "error",
        "cables[0].diameter",
        None,
        (),
        "1 100 150",
        "",
        None,
    ),
    # 12 kg a metre over 100 m level: 12 x 9.81 x 0.35 x 100 = 4,120 N.
    "cable-pulls-too-hard": Case(
        ducts(site(PAIR, [STRAIGHT], [fibre("B", "A", kind="power", mass=12, most_tension=4000)])),
        "error",
        "cables[0].most_tension",
        None,
        (),
        "1 4 120 4 000",
        "Yarrow's working figure: what makers of outdoor fibre usually allow; its own sheet "
        "decides",
        None,
    ),
    "box-beyond-the-wall": Case(
        framed(boxes=[{"name": "A", "stud": 3, "height": 95}]),
        "error",
        "boxes[0].height",
        None,
        (),
        "2",
        "",
        None,
    ),
    "box-wider-than-its-bay": Case(
        framed(boxes=[{"name": "A", "stud": 3, "height": 40, "width": 15}]),
        "error",
        "boxes[0].width",
        None,
        (),
        "14 1/2",
        "",
        None,
    ),
    # Two lock rings of 1.13 and the air between them, twice.
    "knockouts-too-close": Case(
        framed(feeds=[{"from": "A", "to": "B"}, {"from": "B", "to": "C"}]),
        "warning",
        "boxes[1].width",
        None,
        (),
        "2 1 1/8 1 5/16",
        "",
        None,
    ),
    "boxes-overlap": Case(
        framed(
            boxes=[{"name": "A", "stud": 3, "height": 40}, {"name": "B", "stud": 3, "height": 42}]
        ),
        "error",
        "boxes[1].height",
        None,
        (),
        "",
        "",
        None,
    ),
    "bit-too-small": Case(
        framed(lines=[{"name": "a", "height": 40, "bit": "5/8"}]),
        "error",
        "lines[0].bit",
        None,
        (),
        "5/8 11/16",
        "",
        None,
    ),
    # 40 % of 3 1/2 is 1.4.
    "hole-too-large": Case(
        framed(lines=[{"name": "a", "height": 40, "bit": "1 1/2"}]),
        "warning",
        "lines[0].bit",
        None,
        (),
        "1 1/2 1 3/8 5/8 1",
        "residential code for woo",
        None,
    ),
    "hole-near-edge": Case(
        framed(lines=[{"name": "a", "height": 40, "setback": "1 1/2"}]),
        "warning",
        "lines[0].setback",
        None,
        (),
        "1 1 1/4",
        "NFPA 70 (2023), 300.4(A)",
        None,
    ),
    "feed-to-itself": Case(
        framed(feeds=[{"from": "A", "to": "A"}]),
        "error",
        "feeds[0].to",
        None,
        (),
        "",
        "",
        None,
    ),
    "feed-loop": Case(
        framed(feeds=[{"from": "A", "to": "B"}, {"from": "B", "to": "A"}]),
        "error",
        "feeds[1].to",
        None,
        (),
        "",
        "",
        None,
    ),
    # 16 up to the box's top; 1.4 radii of 4.47, and 2.18 that the bender holds beside a bend.
    "hole-too-low": Case(
        framed(lines=[{"name": "a", "height": 20}], feeds=[{"from": "A", "to": "B"}]),
        "error",
        "lines[0].height",
        None,
        (),
        "4 90 8 7/16 24 7/16",
        "",
        None,
    ),
    "hole-shared": Case(
        framed(feeds=[{"from": "A", "to": "B"}, {"from": "A", "to": "C"}]),
        "error",
        "lines[0]",
        None,
        (),
        "2 4",
        "",
        None,
    ),
    "cannot-be-slid": Case(
        framed(lines=[{"name": "a", "height": 40, "bit": "7/8"}], feeds=[{"from": "A", "to": "B"}]),
        "error",
        "feeds[0]",
        None,
        (),
        "1 22 1/8 14 1/2",
        "",
        None,
    ),
    # The fifth stud, in the window, ends at its sill.
    "box-without-a-stud": Case(
        framed(
            openings=[{"name": "W", "begins": 60, "width": 32, "sill": 36}],
            boxes=[{"name": "A", "stud": 5, "height": 40}],
        ),
        "error",
        "boxes[0]",
        None,
        (),
        "",
        "",
        None,
    ),
    "knockout-behind-screws": Case(
        framed(
            boxes=[
                {"name": "A", "kind": "square", "stud": 3, "height": 16},
                {"name": "B", "stud": 9, "height": 16},
            ],
            feeds=[{"from": "A", "to": "B", "from_knockout": "right middle"}],
        ),
        "warning",
        "feeds[0]",
        None,
        (),
        "",
        "",
        None,
    ),
    "knockout-against-stud": Case(
        framed(
            boxes=[
                {"name": "A", "kind": "square", "stud": 3, "height": 16},
                {"name": "B", "stud": 9, "height": 16},
            ],
            feeds=[{"from": "A", "to": "B", "from_knockout": "left upper"}],
        ),
        "error",
        "feeds[0]",
        None,
        (),
        "",
        "",
        None,
    ),
    # The sixth stud stands at 80 3/4.
    "bend-in-a-hole": Case(
        framed(corners=[{"at": 80}], feeds=[{"from": "A", "to": "C"}]),
        "error",
        "feeds[0]",
        None,
        (),
        "6",
        "",
        None,
    ),
    "through-an-opening": Case(
        framed(
            openings=[{"name": "Door", "begins": 60, "width": 12}], feeds=[{"from": "A", "to": "B"}]
        ),
        "error",
        "feeds[0]",
        None,
        (),
        "",
        "",
        None,
    ),
    "pipes-cross": Case(
        framed(
            lines=[{"name": "a", "height": 40}, {"name": "b", "height": 60}],
            feeds=[
                {"from": "A", "to": "B", "line": "a"},
                {"from": "A", "to": "C", "line": "a", "from_knockout": ""},
            ],
        ),
        "error",
        "feeds[1].line",
        None,
        (),
        "",
        "",
        None,
    ),
    "way-out-in-a-stud": Case(
        framed(ways_out=[{"name": "L", "at": 65}], feeds=[{"from": "A", "to": "L"}]),
        "error",
        "feeds[0].to",
        None,
        (),
        "65 5",
        "",
        None,
    ),
    # Four conductors, two for the device, one for the ground, at 2.25.
    "box-of-wall-too-full": Case(
        framed(
            boxes=[
                {"name": "A", "kind": "device", "stud": 3, "height": 16},
                {"name": "B", "stud": 9, "height": 16},
            ],
            feeds=[{"from": "A", "to": "B", "wires": "4 x 12 thhn, 1 x 12 bare"}],
        ),
        "error",
        "boxes[0]",
        None,
        (),
        "15.75 14.5",
        "NFPA 70, 314.16(B) (2023)",
        None,
    ),
    # 70 and 60 with a kerf of 1/16 are longer than 120.
    "not-from-one-stick": Case(
        lambda: (
            stock_document(
                {
                    "format": "yarrow.stock/1",
                    "units": "in",
                    "stick": 120,
                    "pieces": [{"name": "a", "length": 70}, {"name": "b", "length": 60}],
                    "together": [["a", "b"]],
                },
                0,
            ).findings
        ),
        "warning",
        "together",
        None,
        (),
        "",
        "",
        None,
    ),
    "sticks-run-out": Case(
        lambda: (
            stock_document(
                {
                    "format": "yarrow.stock/1",
                    "units": "in",
                    "stick": 120,
                    "sticks": 1,
                    "pieces": [{"length": 100, "count": 3}],
                },
                0,
            ).findings
        ),
        "error",
        "sticks",
        None,
        (),
        "3 2",
        "",
        None,
    ),
    "pieces-are-exact": Case(
        lambda: pieces_values(run(end(90), method="table")).findings,
        "note",
        "method",
        None,
        (),
        "",
        "",
        None,
    ),
    "too-many-pieces": Case(
        pieces_(end(900), stick=4), "error", "joints.stick", None, (), "4 225 200", "", None
    ),
    "no-room-for-a-joint": Case(
        # Twice a coupling's own length, 1 9/16, is left at either end.
        pieces_(end(90), stick=1),
        "error",
        "joints",
        None,
        (),
        "1 3 1/8",
        "",
        None,
    ),
    "joint-off-the-run": Case(
        pieces_(turn(70), end(40), places=[{"leg": 3, "at": 10}]),
        "error",
        "joints.places[0].leg",
        None,
        (),
        "2 3",
        "",
        None,
    ),
    # The arc begins 4 1/2 before the vertex, which is half a diameter short of the back at 70; the
    # bender holds 2 1/4 in front of it: its take-up of 5, less 4 1/2 and 3/8, and 2 of hook.
    "joint-in-bend": Case(
        pieces_(turn(70), end(40), places=[{"at": 68}]),
        "error",
        "joints.places[0].at",
        None,
        (),
        "1",
        "",
        ("joints.places[0].at", "62 7/8"),
    ),
    "joint-in-reach": Case(
        pieces_(turn(70), end(40), places=[{"at": 64}]),
        "warning",
        "joints.places[0].at",
        None,
        (0,),
        "1 1 1/8 1 2 3/16",
        "",
        ("joints.places[0].at", "62 7/8"),
    ),
    "joint-in-hole": Case(
        pieces_(hole(60, 1), end(100), places=[{"at": 60}]),
        "error",
        "joints.places[0].at",
        0,
        (),
        "1 1",
        "",
        ("joints.places[0].at", "58 1/2"),
    ),
    # About the first leg: 40 up from the corner's back, less half of the pipe at its foot, and half
    # of it more for its own thickness.
    "cannot-be-turned": Case(
        lambda: pieces_values(run(turn(30), end(40), start={"kind": "hub"}, **RIGID)).findings,
        "warning",
        "joints.ends",
        None,
        (),
        "1 40 1 1",
        "",
        None,
    ),
    # A running coupler wants 37 of thread on the piece before it; a back at 105 leaves 105 less 10,
    # which is half of the pipe, and 65 of the arc, of straight: 30.
    "thread-longer-than-leg": Case(
        lambda: (
            pieces_values(
                metric(
                    turn(400),
                    end(900),
                    conduit={"type": "steel", "size": "20"},
                    bender="bench-steel-20",
                    joints={"coupling": "running-coupler", "places": [{"leg": 2, "at": 105}]},
                )
            ).findings
        ),
        "error",
        "joints",
        None,
        (),
        "1 37 30",
        "",
        None,
    ),
    # A 4 in box, 2.84 from its middle to its corner, on a pipe 0.525 off the wall.
    "box-cannot-be-turned": Case(
        lambda: (
            pieces_values(
                run(
                    end(40, fitting="hub"),
                    start={"kind": "hub"},
                    joints={"ends": {"end": "comes-off"}},
                    **RIGID,
                )
            ).findings
        ),
        "warning",
        "joints.ends",
        None,
        (),
        "2 3/8 1",
        "",
        None,
    ),
    "closing-not-offered": Case(
        lambda: (
            pieces_values(
                run(
                    end(150, fitting="hub"),
                    start={"kind": "hub"},
                    joints={"closing": {"by": "union", "at": 9}},
                    **RIGID,
                )
            ).findings
        ),
        "warning",
        "joints.closing",
        None,
        (),
        "",
        "",
        None,
    ),
    "both-ends-held": Case(
        lambda: pieces_values(run(end(90, fitting="hub"), start={"kind": "hub"}, **RIGID)).findings,
        "warning",
        "joints.ends",
        None,
        (),
        "1",
        "",
        None,
    ),
    # An arc of 40 right at the start, 62 13/16 long: half a strap beyond it is the first straight.
    "strap-too-far": Case(
        lambda: (
            pieces_values(
                run(
                    turn(41),
                    end(80),
                    bender={"kind": "hand", "name": "Wide", "radius": 40, "take_up": 41},
                )
            ).findings
        ),
        "warning",
        "walk",
        None,
        (),
        "64 36",
        "NFPA 70 (2023), 358.30",
        None,
    ),
    "joints-too-close": Case(
        pieces_(end(100), places=[{"at": 50}, {"at": 51}]),
        "error",
        "joints.places",
        None,
        (),
        "1 5/8",
        "",
        None,
    ),
    "piece-too-long": Case(
        pieces_(end(200), places=[{"at": 50}]), "error", "joints", None, (), "2 30 120", "", None
    ),
    "piece-cannot-be-bent": Case(
        pieces_(turn(40), turn(20), end(60), places=[{"leg": 3, "at": 50}]),
        "error",
        "joints",
        None,
        (),
        "1",
        "",
        None,
    ),
    "longer-than-stick": Case(
        planned_(turn(80), end(80)), "warning", "walk", None, (), "37 3/8 120 2", "", None
    ),
    "suspect-dimension": Case(
        planned_(offset(4, 30, 30), end(90)), "warning", "walk[0].rise", 0, (), "30 4", "", None
    ),
    "may-jam": Case(
        filled(conduit={"type": "emt", "size": "2"}, conductors=[cable(3, 0.70)]),
        "warning",
        "conduit.size",
        None,
        (),
        "2.95 3.10 2.8 3.2",
        "NFPA 70, chapter 9, tabl",
        None,
    ),
    "meet-at-corner": Case(
        holes(
            [
                entry("A", "left", "1", at="3/4", deep="1"),
                entry("B", "bottom", "1", at="3/4", deep="1"),
            ],
            {"width": 6, "height": 6, "depth": 2},
        ),
        "error",
        "entries[1].at",
        None,
        (),
        "",
        "",
        None,
    ),
    "rings-meet": Case(
        holes(
            [entry("A", "left", "1/2", at=2, deep=1), entry("B", "left", "1/2", at=3, deep=1)],
            {"width": 6, "height": 6, "depth": 2},
        ),
        "error",
        "entries[1].at",
        None,
        (),
        "1.26",
        "Yarrow's working figures",
        None,
    ),
    "over-the-edge": Case(
        holes([entry("A", "left", "1", at="1/2", deep=1)], {"width": 6, "height": 6, "depth": 2}),
        "error",
        "entries[0].at",
        None,
        (),
        "1.69 6 2",
        "",
        None,
    ),
    "no-order": Case(
        handled(turn(40), turn(20), end(60)),
        "error",
        "",
        None,
        (1,),
        "2 15 11/16 10 5/16 1 2",
        "",
        None,
    ),
    "stance-not-of-this-tool": Case(
        planned_(
            turn(18),
            end(60),
            conduit={"type": "rmc", "size": "1"},
            bender="ratchet-1",
            stance={"place": "air"},
        ),
        "warning",
        "stance.place",
        None,
        (),
        "1/2 1",
        "",
        ("stance.place", "stand"),
    ),
    "handle-too-long": Case(
        planned_(turn(18), end(60), stance={"handle": 120}),
        "warning",
        "stance.handle",
        None,
        (),
        "120 96",
        "",
        None,
    ),
    "blocks-too-high": Case(
        planned_(turn(18), end(60), stance={"place": "blocks", "height": 40}),
        "warning",
        "stance.height",
        None,
        (),
        "40 24",
        "",
        None,
    ),
    "too-many-bends-to-handle": Case(
        handled(*[turn(60, SIDES) for SIDES in ["left", "out", "right", "in"] * 8], end(60)),
        "error",
        "",
        None,
        (),
        "32 30",
        "",
        None,
    ),
    "no-pull": Case(
        pull_box(
            [entry("A", "left", "3"), entry("B", "right", "3"), entry("C", "top", "2")],
            [["A", "B"]],
        ),
        "note",
        "pulls",
        None,
        (),
        "",
        "NFPA 70, 314.28(A) (2023",
        None,
    ),
    "pull-box-too-small": Case(
        pull_box(
            [entry("A", "left", "3"), entry("B", "bottom", "2")],
            [["A", "B"]],
            have={"width": 12, "height": 12},
        ),
        "error",
        "have",
        None,
        (),
        "18 12",
        "NFPA 70, 314.28(A) (2023",
        None,
    ),
    "rule-leaves-no-room": Case(
        pull_box([entry("A", "left", "3"), entry("B", "bottom", "2")], [["A", "B"]]),
        "note",
        "entries",
        None,
        (),
        "21 15",
        "NFPA 70, 314.28(A) (2023",
        None,
    ),
    "too-close": Case(
        pull_box(
            [
                entry("A", "left", "6"),
                entry("B", "right", "6"),
                entry("C", "left", "3"),
                entry("D", "top", "2"),
                entry("E", "right", "2"),
                entry("F", "bottom", "3"),
            ],
            [["A", "B"], ["B", "C"], ["C", "D"], ["D", "E"], ["E", "F"]],
        ),
        "warning",
        "pulls",
        None,
        (),
        "",
        "NFPA 70, 314.28(A) (2023",
        None,
    ),
    "not-a-nipple": Case(
        filled(conductors=[wire(2, "12")], nipple=True, length=30),
        "warning",
        "nipple",
        None,
        (),
        "24",
        "NFPA 70, chapter 9, note",
        None,
    ),
    "rounded-up": Case(
        filled(conductors=[wire(6, "8")], conduit={"type": "emt", "size": "3/4"}),
        "note",
        "conductors",
        None,
        (),
        "",
        "NFPA 70, chapter 9, note",
        None,
    ),
    "spare-not-kept": Case(
        filled(conductors=[wire(8, "12")], spare=25),
        "warning",
        "spare",
        None,
        (),
        "25 88 3/4",
        "NFPA 70, chapter 9, tabl",
        ("conduit.size", "3/4"),
    ),
    "tight": Case(
        filled(conductors=[wire(9, "12")]),
        "note",
        "conductors",
        None,
        (),
        "98",
        "Yarrow's working figure:",
        None,
    ),
    "wider-than-inside": Case(
        filled(conductors=[cable(1, 0.7)]), "error", "conductors[0]", None, (), "0.7 1/2", "", None
    ),
    "order-not-of-these-bends": Case(
        planned_(offset(40, 4), end(80), order=[{"bend": 0, "hook": "end"}]),
        "warning",
        "order",
        None,
        (),
        "2",
        "",
        None,
    ),
    "order-set-aside": Case(
        planned_(
            offset(40, 4),
            end(80),
            order=[{"bend": 1, "hook": "end"}, {"bend": 0, "hook": "start"}],
            method="table",
        ),
        "note",
        "order",
        None,
        (),
        "",
        "",
        None,
    ),
    "pick-not-offered": Case(
        planned_(round_thing(40, 2, pick="turn 45"), end(90)),
        "warning",
        "walk[0].pick",
        0,
        (),
        "45 3 45",
        "",
        ("walk[0].pick", "saddle3 45"),
    ),
    "obstacle-clash": Case(touching(), "error", "walk[0].pick", 0, (), "45 1/2 60", "", None),
    "touches-sides": Case(
        planned_(saddle3(60, 14, 45), end(140)),
        "warning",
        "walk[0].clearance",
        0,
        (),
        "14 1/4 1/4",
        "",
        ("walk[0].clearance", "1/4"),
    ),
    "pipes-touch": Case(
        racked(turn(40), end(40), rack={**RACK, "spacing": "1/2"}),
        "error",
        "rack.spacing",
        None,
        (),
        "1 2 1/4 1/4",
        "",
        ("rack.spacing", "3/4"),
    ),
    "built-bend-unknown": Case(
        racked(
            turn(40),
            end(40),
            rack={**RACK, "built": [{"pipe": 0, "bends": [{"bend": 4, "angle": 80}]}]},
        ),
        "warning",
        "rack.built[0]",
        None,
        (),
        "1 1",
        "",
        None,
    ),
    "built-not-possible": Case(
        racked(
            turn(40),
            turn(12),
            end(40),
            rack={**RACK, "built": [{"pipe": 0, "bends": [{"bend": 1, "mark": 2}]}]},
        ),
        "error",
        "rack.built[0]",
        None,
        (),
        "1",
        "",
        None,
    ),
    "rack-is-exact": Case(
        racked(offset(40, 4), end(80), rack=RACK, method="table"),
        "note",
        "method",
        None,
        (),
        "",
        "",
        None,
    ),
    "rack-leg-gone": Case(
        racked(
            turn(40, "left"),
            turn(12, "left"),
            end(40),
            rack={"count": 4, "side": "left", "spacing": 4},
        ),
        "error",
        "rack.spacing",
        None,
        (),
        "3 2 8",
        "",
        None,
    ),
    "rack-too-large": Case(
        racked(
            *[turn(60, s) for s in ["left", "out", "right", "in"] * 10],
            end(60),
            rack={"count": 40, "side": "right", "spacing": 3, "corners": "concentric", "shot": 1},
        ),
        "error",
        "rack.count",
        None,
        (),
        "34620 2000",
        "",
        None,
    ),
    "rack-pipe-cannot-be-made": Case(
        racked(
            turn(40, "left"),
            turn(14, "left"),
            end(40),
            rack={"count": 2, "side": "left", "spacing": 3},
        ),
        "error",
        "rack",
        1,
        (0, 1),
        "2 2 1 11/16 1",
        "",
        None,
    ),
    "radius-under-code": Case(
        planned_(turn(40), end(40), bender={"kind": "hand", "radius": 3.5, "take_up": 4}),
        "warning",
        "bender",
        None,
        (),
        "3 1/2 4 1/2",
        "NFPA 70, chapter 9, tabl",
        None,
    ),
    "socket-added": Case(
        metric_(
            turn(400),
            end(400, fitting="connector"),
            conduit={"type": "plastic", "size": "20"},
            bender="heat-form-metric",
        ),
        "note",
        "walk[1].allowance",
        1,
        (),
        "20",
        "catalogue, sockets",
        None,
    ),
    # Half of an eighth, which two tapered threads leave between them.
    "fitting-allowed-for": Case(
        planned_(
            turn(40),
            end(40, fitting="coupling_middle"),
            conduit={"type": "rmc", "size": "1"},
            bender="ratchet-1",
        ),
        "note",
        "walk[1].allowance",
        1,
        (),
        "1/16",
        "what its coupling holds open: couplings",
        None,
    ),
    "thread-added": Case(
        planned_(
            turn(40),
            end(40, fitting="hub"),
            conduit={"type": "rmc", "size": "1"},
            bender="ratchet-1",
        ),
        "note",
        "walk[1].allowance",
        1,
        (),
        "11/16",
        "catalogue, threads",
        None,
    ),
    "stand-off-carries": Case(
        planned_(offset(40, "3/4", 10, "out"), end(90), stand_off=1),
        "error",
        "walk[0].rise_from",
        0,
        (),
        "1 3/4",
        "",
        ("walk[0].rise_from", "pipe"),
    ),
    "stand-off-taken": Case(
        planned_(offset(40, 4, 30, "out"), end(90), stand_off=1),
        "note",
        "stand_off",
        None,
        (),
        "1",
        "",
        None,
    ),
    "table-needs-walk": Case(
        path_((0, 0, 0), (30, 0, 0), (30, 30, 0), method="table"),
        "note",
        "method",
        None,
        (),
        "",
        "",
        None,
    ),
    "too-many-degrees": Case(
        planned_(*[turn(40, s) for s in ["left", "out", "right", "in", "left"]], end(40)),
        "warning",
        "",
        3,
        (3,),
        "450 360 4 132 1/8 3 4",
        "NFPA 70 (2023), 358.26 a",
        None,
    ),
    "more-through-than-come": Case(
        site_box(
            {"contents": {"box": "square-4-1-1/2"}, "through": [{"size": "12", "count": 2}]},
            run(
                end(60),
                start={"kind": "connector", "box": "P"},
                wires={"conductors": [wire(3, "12")]},
            ),
        ),
        "error",
        "through",
        None,
        (),
        "2 12 4 3",
        "",
        None,
    ),
    "no-allowance": Case(
        site_box(
            {"contents": {"box": "square-4-1-1/2"}},
            metric(
                end(600),
                start={"kind": "connector", "box": "P"},
                wires={"conductors": [core(2, 2.5)]},
            ),
        ),
        "note",
        "contents",
        None,
        (),
        "2.5",
        "",
        None,
    ),
    "duct-too-long": Case(
        metric_(end(230000), wires={"duct": True, "conductors": [core(1, 2.5)]}),
        "warning",
        "wires.duct",
        None,
        (),
        "0 200 230",
        "Habit of the trade for o",
        None,
    ),
    "no-figure": Case(
        wires(turn(2000), end(2000), wires={"conductors": [cable(1, 11)]}),
        "error",
        "wires.conductors[0].csa",
        None,
        (),
        "1 1.5 2.5 4 6 10 16 25",
        "",
        None,
    ),
    "sidewall-pressure": Case(
        pulled(
            turn(100),
            end(100),
            wires={
                "conductors": [wire(3, "12")],
                "pull": {"mass": 5, "friction": 1, "most_side_wall": 10},
            },
        ),
        "warning",
        "wires.pull",
        None,
        (),
        "559 10",
        "Usual cautious limit for",
        None,
    ),
    "pull-tension": Case(
        pulled(
            turn(100),
            end(100),
            wires={
                "conductors": [wire(3, "12")],
                "pull": {"mass": 5, "friction": 1, "most_tension": 10},
            },
        ),
        "warning",
        "wires.pull",
        None,
        (),
        "234 10",
        "Usual limit on copper pu",
        None,
    ),
    "wires-do-not-fit": Case(
        planned_(end(60), wires={"conductors": [wire(30, "12")]}),
        "warning",
        "wires",
        None,
        (),
        "0.399 0.1216 328 1 1/4",
        "NFPA 70, chapter 9, tabl",
        ("conduit.size", "1-1/4"),
    ),
    "wires-not-checked": Case(
        metric_(turn(2000), end(2000), wires={"conductors": [cable(1, 11)]}),
        "warning",
        "wires",
        None,
        (),
        "1 1.5 2.5 4 6 10 16 25",
        "",
        None,
    ),
}
