"""Of framed walls."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import yarrow
from core.tests.builders import (
    framed_wall,
    metric,
)
from core.tests.findings.cases.case import Case, Found
from yarrow.documents.wall.runs import plan_wall_document as wall_document
from yarrow.findings.finding import Finding


def framed(**more: Any) -> Found:
    return lambda: wall_document(framed_wall(**more)).findings


def wires(*walk: dict[str, Any], **more: Any) -> Found:
    def found() -> Sequence[Finding]:
        planned = yarrow.plan.values(metric(*walk, **more)).wires
        assert planned is not None
        return planned.findings

    return found


CASES: dict[str, Case] = {
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
    "no-knockout-left": Case(
        framed(
            boxes=[
                {"name": "A", "stud": 2, "height": 16, "kind": "device"},
                *({"name": name, "stud": 3 + at, "height": 16} for at, name in enumerate("BCDEF")),
            ],
            lines=[{"name": f"l{at}", "height": 40 + 8 * at} for at in range(5)],
            feeds=[{"from": "A", "to": name, "line": f"l{at}"} for at, name in enumerate("BCDEF")],
        ),
        "error",
        "feeds[0]",
        None,
        (),
        "",
        "",
        None,
    ),
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
        framed(
            lines=[{"name": "a", "height": 40, "bit": "3/4"}],
            studs={"at": [8, 24, 40, 44, 60, 76]},
            boxes=[
                {"name": "A", "stud": 1, "height": 16},
                {"name": "B", "stud": 6, "height": 16, "side": "left"},
            ],
            feeds=[{"from": "A", "to": "B"}],
        ),
        "warning",
        "feeds[0]",
        None,
        (),
        "1 22 1/8 16",
        "The habit of crews: 32 in of 1/2 thin wall go through two studs",
        None,
    ),
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
}
