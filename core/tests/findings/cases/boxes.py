"""Of boxes, pull boxes and holes."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import yarrow
from core.tests.builders import (
    end,
    metric,
    run,
)
from core.tests.fill.helpers import core, wire
from core.tests.findings.cases.case import Case, Found
from yarrow.documents.boxes.reading import box_document, entries_document, pull_box_document
from yarrow.documents.boxes.sitebox import site_box_document
from yarrow.findings.finding import Finding


def wires(*walk: dict[str, Any], **more: Any) -> Found:
    def found() -> Sequence[Finding]:
        planned = yarrow.plan.values(metric(*walk, **more)).wires
        assert planned is not None
        return planned.findings

    return found


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


def entry(name: str, wall: str, size: str, **more: Any) -> dict[str, Any]:
    return {"id": name, "wall": wall, "size": size, **more}


CASES: dict[str, Case] = {
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
}
