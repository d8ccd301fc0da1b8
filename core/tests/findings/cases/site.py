"""Of ducts between buildings."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import yarrow
from core.tests.builders import (
    metric,
    run,
)
from core.tests.findings.cases.case import Case, Found
from core.tests.site.helpers import between_holes, building, fibre, site, trench
from core.tests.site.helpers import hole as hand_hole
from yarrow.documents.site.reading import site_document
from yarrow.findings.finding import Finding

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


def ducts(document: dict[str, Any]) -> Found:
    return lambda: site_document(document).findings


CASES: dict[str, Case] = {
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
    "ducts-too-small-for-building": Case(
        ducts(
            site(
                [building("Hut", 0, 0), hand_hole("B", 60, 0)],
                [trench("T", (0, 0), (60, 0), duct="32")],
                [fibre("Hut", "B", diameter=6)],
                future=0,
            )
        ),
        "warning",
        "places[0]",
        None,
        (),
        "2 32 1 100 2 50",
        "The habit of planners: at least one 100 mm or two 50 mm ducts to each building",
        None,
    ),
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
}
