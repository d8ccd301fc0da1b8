"""Run documents for tests, with only what a test is about said."""

from __future__ import annotations

from typing import Any

import yarrow
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.reading import read_run
from yarrow.findings.finding import Finding
from yarrow.runs.model.plan import CandidateView, Choice, WrittenPlan
from yarrow.wording.wording import EN_US

# Half-inch thin wall on a hand bender with K 5 and G 2 5/8: geometry.md's own example.
RADIUS = 4.471070775489305
DIAMETER = 0.706


def offset(
    at: Any, rise: Any, angle: float = 30, toward: str = "left", **more: Any
) -> dict[str, Any]:
    return {"kind": "offset", "at": at, "rise": rise, "toward": toward, "angle": angle, **more}


def turn(at: Any, toward: str = "left", angle: float = 90, **more: Any) -> dict[str, Any]:
    return {"kind": "turn", "at": at, "toward": toward, "angle": angle, **more}


def end(at: Any, **more: Any) -> dict[str, Any]:
    return {"kind": "end", "at": at, **more}


def saddle3(
    at: Any, rise: Any, angle: float = 45, toward: str = "out", **more: Any
) -> dict[str, Any]:
    return {"kind": "saddle3", "at": at, "rise": rise, "toward": toward, "angle": angle, **more}


def saddle4(
    at: Any, width: Any, rise: Any, angle: float = 30, toward: str = "out", **more: Any
) -> dict[str, Any]:
    line = {"kind": "saddle4", "at": at, "width": width, "rise": rise, "toward": toward}
    return {**line, "angle": angle, **more}


def kick(at: Any, rise: Any, toward: str = "in", **more: Any) -> dict[str, Any]:
    return {"kind": "kick", "at": at, "rise": rise, "toward": toward, **more}


def box_offset(where: str, rise: Any, toward: str = "in", **more: Any) -> dict[str, Any]:
    return {"kind": "box_offset", "where": where, "rise": rise, "toward": toward, **more}


def run(*walk: dict[str, Any], **more: Any) -> dict[str, Any]:
    return {
        "format": "yarrow.run/1",
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": "hand-emt-1/2",
        "walk": list(walk),
        **more,
    }


def framed_wall(**more: Any) -> dict[str, Any]:
    """A wall of studs 16 apart, the first one's middle at 3/4, with three boxes, and holes over
    them."""
    boxes = [
        {"name": name, "stud": stud, "height": 16}
        for name, stud in zip("ABC", (3, 6, 9), strict=True)
    ]
    return {
        "format": "yarrow.wall/1",
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": "hand-emt-1/2",
        "length": 192,
        "height": 96,
        "studs": {"first": "3/4"},
        "boxes": boxes,
        "lines": [{"name": "a", "height": 40}],
        **more,
    }


def metric(*walk: dict[str, Any], **more: Any) -> dict[str, Any]:
    steel = {"type": "steel", "size": "20"}
    return run(*walk, **{"units": "mm", "conduit": steel, "bender": "bench-steel-20", **more})


def planned(*walk: dict[str, Any], **more: Any) -> WrittenPlan:
    return yarrow.plan.values(run(*walk, **more))


def found(plan: WrittenPlan, code: str) -> Finding:
    """The one finding with a code; the test fails where there is none."""
    matching = [finding for finding in plan.findings if finding.code == code]
    assert matching, f"no {code} among {[finding.code for finding in plan.findings]}"
    return matching[0]


def codes(plan: WrittenPlan) -> list[str]:
    return [finding.code for finding in plan.findings]


def round_thing(at: Any, across: Any, toward: str = "out", **more: Any) -> dict[str, Any]:
    return {"kind": "round", "at": at, "across": across, "toward": toward, **more}


def block(at: Any, width: Any, height: Any, toward: str = "out", **more: Any) -> dict[str, Any]:
    line = {"kind": "block", "at": at, "width": width, "height": height, "toward": toward}
    return {**line, **more}


def ledge(at: Any, height: Any, toward: str = "out", **more: Any) -> dict[str, Any]:
    return {"kind": "ledge", "at": at, "height": height, "toward": toward, **more}


def wall(at: Any, toward: str = "left", **more: Any) -> dict[str, Any]:
    return {"kind": "wall", "at": at, "toward": toward, **more}


def hole(at: Any, depth: Any, toward: str = "out", **more: Any) -> dict[str, Any]:
    return {"kind": "hole", "at": at, "depth": depth, "toward": toward, **more}


def box(where: str, knockout: Any, **more: Any) -> dict[str, Any]:
    return {"kind": "box", "where": where, "knockout": knockout, **more}


def choice(plan: WrittenPlan, feature: int) -> Choice:
    """What was chosen for a line of the walk."""
    return next(each for each in plan.choices if each.feature == feature)


def taken(plan: WrittenPlan, feature: int) -> CandidateView:
    """The candidate that was taken for a line of the walk."""
    return next(each for each in choice(plan, feature).candidates if each.taken)


def refused(document: dict[str, Any]) -> str:
    """What a document that can't be read is told."""
    try:
        read_run(document)
    except DocumentError as refusal:
        return str(refusal)
    raise AssertionError("it was read")


text_of = EN_US.text
"""A sentence of a plan in words."""
