"""The demo data: two made-up sites, measured off believable walls, and a second crew next door."""

from __future__ import annotations

from typing import Any

from accounts.roles import CrewRole
from jobs.demo_bender import OLD_HALF_INCH
from jobs.demo_site import GROUNDS

PASSWORD = "kestrel-over-marsh"
MEMBERS = {
    "Heron crew": {
        "wren": "Wren Hallow",
        "rook": "Rook Tansley",
        "dunlin": "Dunlin Ashe",
        "siskin": "Siskin Marle",
    },
    "Osprey crew": {"tern": "Tern Ivesley"},
}
ROLES = {"rook": CrewRole.PLANNER, "dunlin": CrewRole.BENDER, "siskin": CrewRole.INSPECTOR}
"""What they are, who do not lead their crew."""

_EMT = {
    "units": "in",
    "round_to": "1/16",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
}
_EMT_34 = {**_EMT, "conduit": {"type": "emt", "size": "3/4"}, "bender": "hand-emt-3/4"}
_RIGID = {**_EMT, "conduit": {"type": "rmc", "size": "1/2"}, "bender": "hand-emt-3/4"}
_EMT_114 = {**_EMT, "conduit": {"type": "emt", "size": "1-1/4"}, "bender": "hand-emt-1-1/4"}
_STEEL_20 = {
    "units": "mm",
    "round_to": "1",
    "conduit": {"type": "steel", "size": "20"},
    "bender": "bench-steel-20",
}
_PLASTIC_20 = {
    **_STEEL_20,
    "conduit": {"type": "plastic", "size": "20"},
    "bender": "heat-form-metric",
}
_STEEL_25 = {**_STEEL_20, "conduit": {"type": "steel", "size": "25"}, "bender": "bench-steel-25"}


def _demo_run(
    name: str, base: dict[str, Any], start: dict[str, Any], *walk: dict[str, Any]
) -> dict[str, Any]:
    return {
        "format": "yarrow.run/1",
        "name": name,
        **base,
        "method": "exact",
        "start": start,
        "walk": list(walk),
    }


def _box(label: str, kind: str = "connector", box: str = "") -> dict[str, Any]:
    return {"kind": kind, "label": label, **({"box": box} if box else {})}


def _circuit(kind: str, size: str | float, count: int = 1, **more: Any) -> dict[str, Any]:
    wire = {"insulation": "thhn", "size": size} if isinstance(size, str) else {"csa": size}
    return {"kind": kind, "count": count, **wire, **more}


def _wired(base: dict[str, Any], *circuits: dict[str, Any], **more: Any) -> dict[str, Any]:
    """What a run is made of, with the circuits that are to go through it."""
    return {**base, "wires": {"circuits": list(circuits), **more}}


def _offset(at: str, rise: str, toward: str, label: str, **more: Any) -> dict[str, Any]:
    return {
        "kind": "offset",
        "at": at,
        "of": "full",
        "rise": rise,
        "toward": toward,
        "angle": 30,
        "label": label,
        **more,
    }


def _obstacle(kind: str, at: str, **more: Any) -> dict[str, Any]:
    """Something that is there, without its bends."""
    return {
        "kind": kind,
        "at": at,
        **({} if kind in ("wall", "hole") else {"toward": "out"}),
        **more,
    }


def _turn(at: str, toward: str, label: str = "", **more: Any) -> dict[str, Any]:
    return {
        "kind": "turn",
        "at": at,
        "of": "back",
        "from": "back",
        "toward": toward,
        "angle": 90,
        "label": label,
        **more,
    }


def _end(at: str, label: str, fitting: str = "connector", **more: Any) -> dict[str, Any]:
    return {"kind": "end", "at": at, "from": "back", "fitting": fitting, "label": label, **more}


SALTMARSH = {
    "name": "Saltmarsh Cider Works",
    "place": "Press hall, cellar and bottling",
    "units": "in",
    "runs": [
        _demo_run(
            "Press hall feed, bay 2",
            _wired(_EMT, _circuit("three_phase", "12"), _circuit("lighting", "12", 2), spare=20),
            _box("isolator", box="Press hall junction"),
            _offset("33", "4 3/8", "left", "press plinth"),
            _turn("71 5/8", "left", "corner post"),
            _end("34 1/8", "pump panel"),
        ),
        _demo_run(
            "Cellar lighting, north wall",
            _wired(_EMT, _circuit("lighting", "12", 2, travellers=2)),
            _box("switch box", box="Press hall junction"),
            _turn("18 3/8", "right", "under the joists"),
            _offset("41 7/16", "2 3/4", "out", "stone sill", angle=22.5),
            _end("88 1/4", "first luminaire"),
        ),
        _demo_run(
            "Bottling line drop",
            _wired(
                _EMT_34,
                _circuit("three_phase", "8", earth_size="10"),
                pull={"state": "dry", "up": "back"},
            ),
            _box("tray end", "open"),
            _offset("27 11/16", "6 1/8", "right", "filler guard", angle=45),
            _offset("68 3/4 - 2 7/8", "6 1/8", "left", "back to the column", angle=45),
            _turn("96 1/2", "out", "foot of the column"),
            _end("14 5/16", "conveyor motor"),
        ),
        _demo_run(
            "Weighbridge kiosk, rigid",
            _RIGID,
            _box("gland plate", "hub"),
            _turn("22 9/16", "left", "up the kiosk"),
            _offset("38 1/4", "3 1/2", "right", "roof lip"),
            _end("61 7/8", "load cell box", "hub"),
        ),
        _demo_run(
            "Cellar main, over the water pipe",
            _wired(_EMT, _circuit("lighting", "12", 3), _circuit("radial", "10", 1)),
            _box("cellar board", box="Press hall junction"),
            {
                "kind": "box_offset",
                "where": "start",
                "rise": "7/16",
                "toward": "in",
                "angle": 10,
                "margin": "2 1/8",
                "label": "knockout off the wall",
            },
            {
                "kind": "saddle3",
                "at": "38 7/8",
                "rise": "1 5/8",
                "clearance": "3/8",
                "toward": "out",
                "angle": 45,
                "label": "water pipe",
            },
            _turn("74 3/4", "left", "door frame"),
            {"kind": "kick", "at": "9 1/2", "rise": "1 1/8", "toward": "in", "label": "bored hole"},
            _end("29 5/8", "top plate", "open"),
        ),
        _demo_run(
            "Framed office, as the tape met it",
            _EMT,
            _box("office board"),
            {"kind": "box", "where": "start", "knockout": "1 1/8", "label": "knockout"},
            _obstacle("round", "31 7/8", across="1 5/8", clearance="3/8", label="water pipe"),
            _obstacle("wall", "63 1/4", toward="left", label="gable wall"),
            _obstacle("hole", "21 3/8", depth="1 1/8", toward="out", label="bored plate"),
            _end("33 5/8", "top plate", "open"),
        ),
        _demo_run(
            "Weighbridge, on strut",
            {**_EMT_34, "stand_off": "13/16"},
            _box("kiosk board"),
            _obstacle("round", "36 3/4", across="2 3/8", label="air line"),
            _obstacle("round", "46 1/8", across="1 7/8", label="water line"),
            _obstacle("ledge", "82 1/2", height="3 1/8", label="ramp kerb"),
            _end("108 3/4", "cell housing"),
        ),
        _demo_run(
            "Press 2, between two boxes that are up",
            _EMT,
            _box("isolator"),
            _offset("33", "4 3/8", "out", "press plinth", loose=["rise"]),
            _turn("70", "left", "corner post", loose=["at"]),
            _end("34", "pump panel", loose=["at"], meet=["71 1/4", "33 3/8", "4 5/8"]),
        ),
        _demo_run(
            "Bottling feeder",
            _wired(_EMT_114, _circuit("three_phase", "2", earth_size="6")),
            _box("main board"),
            _turn("38 1/4", "left", "out of the switch room"),
            _offset("46 7/8", "5 3/8", "out", "roof purlin"),
            _end("81 5/8", "pull box", box="Bottling pull box"),
        ),
        _demo_run(
            "Labeller feeder",
            _wired(_EMT_114, _circuit("three_phase", "2", earth_size="6")),
            _box("pull box", box="Bottling pull box"),
            _turn("52 3/8", "right", "labeller post"),
            _end("33 1/4", "labeller panel"),
        ),
        _demo_run(
            "Bottling feeds, a bank of five",
            {**_EMT, "rack": {"count": 5, "side": "right", "spacing": "2 1/4"}},
            _box("trough"),
            _offset("29 5/8", "3 1/4", "left", "drip tray"),
            _turn("58 1/8", "left", "mezzanine post"),
            _end("31 3/8", "line panels"),
        ),
        _demo_run(
            "Kiosk feed over the strut, rigid",
            {
                **_RIGID,
                "joints": {
                    "places": [{"at": "floor to hub 45 1/4 - strut 3 3/8"}],
                    "ends": {"start": "comes-off", "end": "comes-off"},
                },
            },
            _box("gland plate", "hub"),
            _offset("24 1/2", "2 1/4", "out", "strut", angle=22.5),
            _turn("88", "left", "kiosk corner"),
            _end("36 3/8", "meter box", "hub"),
        ),
        _demo_run(
            "Scale house stub, to half a coupling",
            _RIGID,
            _box("scale box", "hub"),
            _offset("21 3/8", "3", "out", "sill beam"),
            _turn("52 1/2", "left", "scale house corner"),
            _end("27 5/8", "stub in the wall", "coupling_middle"),
        ),
        _demo_run(
            "Loft feed, three sticks",
            {**_EMT_34, "joints": {}},
            _box("mill board"),
            _offset("34", "3 1/2", "out", "tie beam", angle=22.5),
            _turn("96", "left", "gable post"),
            _turn("118 1/2", "right", "under the loft"),
            _end("140", "loft panel"),
        ),
    ],
    "walls": [
        {
            "format": "yarrow.wall/1",
            "name": "Framed office, gable wall",
            "units": "in",
            "conduit": {"type": "emt", "size": "1/2"},
            "bender": "hand-emt-1/2",
            "length": "16'",
            "height": "8'",
            "studs": {"first": "3/4"},
            "openings": [
                {"name": "Window", "begins": "115 1/2", "width": "26 3/4", "sill": 36, "head": 60}
            ],
            "boxes": [
                {"name": "Board", "kind": "board", "stud": 2, "height": 62},
                {"name": "Switch", "kind": "square", "stud": 5, "side": "left", "height": 48},
                {"name": "Outlet 1", "kind": "square", "stud": 7, "height": 16},
                {
                    "name": "Outlet 2",
                    "kind": "square",
                    "stud": 12,
                    "side": "left",
                    "height": 16,
                },
            ],
            "ways_out": [{"name": "Ceiling light"}],
            "lines": [
                {"name": "upper", "height": 80},
                {"name": "middle", "height": 74},
                {"name": "lower", "height": 30, "bit": "1 1/4"},
            ],
            "feeds": [
                {
                    "from": "Board",
                    "to": "Switch",
                    "line": "middle",
                    "wires": "2 x 12 thhn, 1 x 12 bare",
                },
                {
                    "from": "Switch",
                    "to": "Ceiling light",
                    "wires": "2 x 12 thhn, 1 x 12 bare",
                },
                {
                    "from": "Board",
                    "to": "Outlet 1",
                    "line": "upper",
                    "wires": "2 x 12 thhn, 1 x 12 bare",
                },
                {
                    "from": "Outlet 1",
                    "to": "Outlet 2",
                    "line": "lower",
                    "wires": "2 x 12 thhn, 1 x 12 bare",
                },
            ],
        },
    ],
    "stock": {
        "format": "yarrow.jobstock/1",
        "units": "in",
        "offcuts": [
            {"type": "emt", "size": "3/4", "name": "under the loft stair", "length": "111 3/4"},
            {"type": "rmc", "size": "1/2", "name": "behind the kiosk", "length": "43 1/2"},
        ],
    },
    "boxes": [
        {
            "format": "yarrow.sitebox/1",
            "name": "Press hall junction",
            "units": "in",
            "contents": {"box": "square-4-11/16-2-1/8", "rings": [6.5]},
            "through": [{"size": "12", "count": 3}],
            "sides": {"width": "4 11/16", "height": "4 11/16", "depth": "2 1/8"},
        },
        {
            "format": "yarrow.sitebox/1",
            "name": "Bottling pull box",
            "units": "in",
            "entries": [
                {"run": "Bottling feeder", "end": "end", "wall": "left"},
                {"run": "Labeller feeder", "end": "start", "wall": "bottom"},
            ],
            "sides": {"width": "12", "height": "12", "depth": "6"},
        },
    ],
    "runs_with_bender": [
        _demo_run(
            "Capper drop, own bender",
            _EMT,
            _box("tray", "connector"),
            _turn("18 3/8", "out", "down to the capper"),
            _offset("44", "4 3/8", "left", "guard rail"),
            _end("62", "capper", "connector"),
        )
    ],
    "benders": [OLD_HALF_INCH],
}

HARROW_LOCK = {
    "name": "Harrow Lock pump house",
    "place": "Pump floor and wet well stair",
    "units": "mm",
    "runs": [
        _demo_run(
            "Pump 1 supply",
            _wired(_STEEL_20, _circuit("three_phase", 2.5, earth_csa=1.5)),
            _box("isolator", "hub", "Pump floor box"),
            _offset("846", "112", "left", "pump bed"),
            _turn("1863", "left", "to the starter"),
            _end("924", "starter", "hub"),
        ),
        _demo_run(
            "Level sensor, wet well stair",
            _STEEL_20,
            _box("stair box", "hub"),
            _turn("618", "out", "round the pier"),
            _turn("437", "right", "down the stair"),
            _end("1291", "sensor head", "coupling"),
        ),
        _demo_run(
            "Gate motor",
            _wired(_STEEL_25, _circuit("three_phase", 6.0), _circuit("radial", 2.5), spare=15),
            _box("trunking", "open"),
            _offset("523", "74", "out", "cable ladder", angle=22.5),
            _offset("1487", "74", "in", "back to the wall", angle=22.5),
            _turn("2216", "left", "gate pillar"),
            _end("781", "gate motor", "hub"),
        ),
        _demo_run(
            "Outfall panel, over the duct",
            _wired(_STEEL_20, _circuit("radial", 2.5, earth_csa=1.5)),
            _box("pump panel", "hub"),
            {
                "kind": "saddle4",
                "at": "748",
                "width": "212",
                "rise": "96",
                "toward": "out",
                "angle": 30,
                "label": "air duct",
            },
            _turn("1712", "right", "end of the wall"),
            _turn("665", "left", "corner of the pit"),
            _end("418", "outfall panel", "hub"),
        ),
        _demo_run(
            "Pump 2 supply, set and back to back",
            _wired(_STEEL_20, _circuit("three_phase", 2.5, earth_csa=1.5), _circuit("radial", 1.5)),
            _box("isolator", "hub", "Pump floor box"),
            _offset("712", "86", "out", "pipe flange"),
            _turn("1384", "left", "pump room wall"),
            _turn("640", "left", "wall of the stair"),
            _end("574", "starter", "hub"),
        ),
        _demo_run(
            "Angle box, running coupler",
            {
                **_STEEL_20,
                "joints": {
                    "coupling": "running-coupler",
                    "places": [{"leg": 2, "at": "310", "to": "near"}],
                    "ends": {"start": "comes-off"},
                    "closing": {"by": "running-coupler", "at": 1},
                },
            },
            _box("isolator", "hub"),
            _offset("712", "86", "out", "pipe flange"),
            _turn("1184", "left", "pump room wall"),
            _end("620", "angle box", "hub"),
        ),
        _demo_run(
            "Wet well stair, plastic",
            _PLASTIC_20,
            _box("stair box"),
            _obstacle("block", "743", width="158", height="64", label="pipe bracket"),
            _obstacle("wall", "1586", toward="left", label="landing"),
            _end("812", "bulkhead"),
        ),
        _demo_run(
            "Starter bank, about one centre",
            {
                **_STEEL_20,
                "rack": {"count": 3, "side": "right", "spacing": "48", "corners": "concentric"},
            },
            _box("trunking", "open"),
            _turn("1126", "left", "inner corner"),
            _end("683", "starters", "hub"),
        ),
    ],
    "boxes": [
        {
            "format": "yarrow.sitebox/1",
            "name": "Pump floor box",
            "units": "mm",
            "sides": {"width": "150", "height": "150", "depth": "75"},
        },
    ],
    "benders": [],
    "ducts": GROUNDS,
}

OTHER_CREW = {
    "name": "Reedbank Mill",
    "place": "Sluice room",
    "units": "in",
    "runs": [
        _demo_run(
            "Sluice gate",
            _EMT,
            _box("panel"),
            _turn("44 3/4", "left"),
            _end("26 1/2", "limit switch"),
        ),
    ],
    "boxes": [],
    "benders": [],
}

JOBS: dict[str, list[dict[str, Any]]] = {
    "Heron crew": [SALTMARSH, HARROW_LOCK],
    "Osprey crew": [OTHER_CREW],
}
