"""Of pieces, joints, getting in and stock."""

from __future__ import annotations

from typing import Any

import yarrow
from core.tests.builders import (
    end,
    hole,
    metric,
    run,
    turn,
)
from core.tests.findings.cases.case import RIGID, Case, Found
from yarrow.documents.stock.reading import stock_document

SIDES = ("left", "out", "right", "in")


def pieces_(*walk: dict[str, Any], run_of: dict[str, Any] | None = None, **joints: Any) -> Found:
    return lambda: yarrow.pieces.values(run(*walk, joints=joints, **(run_of or {}))).findings


CASES: dict[str, Case] = {
    "pieces-are-exact": Case(
        lambda: yarrow.pieces.values(run(end(90), method="table")).findings,
        "note",
        "method",
        None,
        (),
        "",
        "",
        None,
    ),
    "pieces-by-habit": Case(
        pieces_(*(turn(24, SIDES[at % 4]) for at in range(60)), end(24)),
        "note",
        "",
        None,
        (),
        "9",
        "",
        None,
    ),
    "getting-in-not-looked-at": Case(
        pieces_(
            *(turn(24, SIDES[at % 4]) for at in range(61)),
            end(24),
            run_of=RIGID,
        ),
        "warning",
        "joints",
        None,
        (),
        "61 60",
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
    "joint-closes-the-run": Case(
        lambda: (
            yarrow.pieces.values(
                run(
                    end(200, fitting="hub"),
                    start={"kind": "hub"},
                    joints={"places": [{"at": 100, "to": "near"}]},
                    **RIGID,
                )
            ).findings
        ),
        "note",
        "joints.places[0].to",
        None,
        (),
        "1 1 9/16",
        "",
        None,
    ),
    "cannot-be-turned": Case(
        lambda: (
            yarrow.pieces.values(run(turn(30), end(40), start={"kind": "hub"}, **RIGID)).findings
        ),
        "warning",
        "joints.ends",
        None,
        (),
        "1 40 1 1",
        "",
        None,
    ),
    "thread-longer-than-leg": Case(
        lambda: (
            yarrow.pieces.values(
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
    "box-cannot-be-turned": Case(
        lambda: (
            yarrow.pieces.values(
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
            yarrow.pieces.values(
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
        lambda: (
            yarrow.pieces.values(
                run(end(90, fitting="hub"), start={"kind": "hub"}, **RIGID)
            ).findings
        ),
        "warning",
        "joints.ends",
        None,
        (),
        "1",
        "",
        None,
    ),
    "strap-too-far": Case(
        lambda: (
            yarrow.pieces.values(
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
}
