"""Of a run's wires and their pull."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import yarrow
from core.tests.builders import (
    end,
    metric,
    run,
    turn,
)
from core.tests.fill.helpers import cable, core, wire
from core.tests.findings.cases.case import Case, Found, metric_, planned_
from yarrow.findings.finding import Finding


def pulled(*walk: dict[str, Any], **more: Any) -> Found:
    def found() -> Sequence[Finding]:
        planned = yarrow.plan.values(run(*walk, **more)).wires
        assert planned is not None
        assert planned.pull is not None
        return planned.pull.findings

    return found


def wires(*walk: dict[str, Any], **more: Any) -> Found:
    def found() -> Sequence[Finding]:
        planned = yarrow.plan.values(metric(*walk, **more)).wires
        assert planned is not None
        return planned.findings

    return found


CASES: dict[str, Case] = {
    "duct-too-long": Case(
        metric_(end(230000), wires={"duct": True, "conductors": [core(1, 2.5)]}),
        "warning",
        "wires.duct",
        None,
        (),
        "0 200 230",
        "The habit of crews who lay",
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
