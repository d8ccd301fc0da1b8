"""Of racks."""

from __future__ import annotations

from typing import Any

from core.tests.builders import (
    end,
    offset,
    run,
    turn,
)
from core.tests.findings.cases.case import Case, Found
from yarrow.documents.run.reading import read_run
from yarrow.racks.rack import plan_rack

RACK: dict[str, Any] = {"count": 2, "side": "right", "spacing": 3}


def racked(*walk: dict[str, Any], rack: dict[str, Any], **more: Any) -> Found:
    return lambda: plan_rack(read_run(run(*walk, rack=rack, **more))).findings


CASES: dict[str, Case] = {
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
}
