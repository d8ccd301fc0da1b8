"""Of the bender, its marks and how it is worked."""

from __future__ import annotations

from typing import Any

import yarrow
from core.tests.builders import (
    end,
    offset,
    run,
    turn,
)
from core.tests.findings.cases.case import Case, Found, metric_, planned_
from yarrow.documents.run.reading import read_run
from yarrow.runs.bending_sequence import handle_run


def path_(*points: tuple[int, int, int], **more: Any) -> Found:
    document = {key: value for key, value in run(**more).items() if key != "walk"}
    document["path"] = [list(point) for point in points]
    return lambda: yarrow.plan.values(document).findings


def handled(*walk: dict[str, Any], **more: Any) -> Found:
    return lambda: handle_run(read_run(run(*walk, **more))).findings


CASES: dict[str, Case] = {
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
    "too-many-bends": Case(
        planned_(*[turn(60, SIDES) for SIDES in ["left", "out", "right", "in"] * 38], end(60)),
        "error",
        "walk",
        None,
        (),
        "152 150",
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
}
