"""Walls that the tests of walls begin with."""

from __future__ import annotations

from typing import Any

from core.tests.builders import framed_wall
from yarrow.documents.wall.reading import read_framed_wall
from yarrow.walls.laying import LaidWall
from yarrow.walls.laying import lay_wall as lay_read_wall

OPEN = 1.6 / 25.4
"""What a set-screw coupling's stop holds apart."""


def lay_wall(document: dict[str, Any]) -> LaidWall:
    return lay_read_wall(read_framed_wall(document).to_lay)


def wall(*feeds: dict[str, Any], **more: Any) -> dict[str, Any]:
    boxes = [box("A", 3), box("B", 6), box("C", 9, height=48)]
    lines = [{"name": "low", "height": 40}, {"name": "high", "height": 72}]
    return framed_wall(**{"boxes": boxes, "lines": lines, "feeds": list(feeds), **more})


def box(name: str, stud: int, **more: Any) -> dict[str, Any]:
    return {"name": name, "stud": stud, "height": 16, **more}


def feed(one: str, other: str, line: str = "low") -> dict[str, Any]:
    return {"from": one, "to": other, "line": line}


def codes(answer: dict[str, Any]) -> list[str]:
    return [each["code"] for each in answer["findings"]]
