"""Of the walk: what lies where, what is met, what fits."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any
from unittest import mock

import yarrow
from core.tests.builders import (
    end,
    hole,
    kick,
    offset,
    round_thing,
    run,
    saddle3,
    turn,
)
from core.tests.findings.cases.case import POWERED, Case, Found, planned_
from yarrow.findings.finding import Finding
from yarrow.obstacles.outline import Air


def path_(*points: tuple[int, int, int], **more: Any) -> Found:
    document = {key: value for key, value in run(**more).items() if key != "walk"}
    document["path"] = [list(point) for point in points]
    return lambda: yarrow.plan.values(document).findings


def touching() -> Found:
    """What no choice of Yarrow's leads to, since saddles are lifted: a pick with no air left."""

    def found() -> Sequence[Finding]:
        with mock.patch("yarrow.runs.selection.candidates.least_air", return_value=Air(-0.5, 60.0)):
            return planned_(round_thing(60, 2, pick="saddle3 45"), end(110))()

    return found


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
    "bends-too-close": Case(
        planned_(turn(30), turn("10 1/4", "right"), end(40)),
        "warning",
        "walk[1].at",
        1,
        (0, 1),
        "9/16 1 2 1 2 10 11/16",
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
    "centre-notch-does-not-serve": Case(
        planned_(saddle3(60, 2, 60), end(120)), "note", "walk[0].angle", 0, (1,), "45 60", "", None
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
    "longer-than-stick": Case(
        planned_(turn(80), end(80)), "warning", "walk", None, (), "37 3/8 120 2", "", None
    ),
    "suspect-dimension": Case(
        planned_(offset(4, 30, 30), end(90)), "warning", "walk[0].rise", 0, (), "30 4", "", None
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
}
