"""Some eight hundred lines as people say them, each with its meaning beside it: read so, or asked
about (?), and none is misread."""

from __future__ import annotations

import re
import unittest
from pathlib import Path
from typing import Any

from yarrow.documents.run.notation import typed_line
from yarrow.measure.units import Unit

SAID = Path(__file__).with_name("said_lines.tsv")
"""What is said, in which unit, and its kind with its fields; ``?``, where it can't be known yet."""

_FIELD = re.compile(r"(\w+)=(.*?)(?= \w+=|$)")


def meaning(text: str, unit: Unit) -> dict[str, str] | None:
    line = typed_line(text, unit).line
    return None if line is None else {name: str(value) for name, value in line.items()}


def wanted(said: str) -> dict[str, Any] | None:
    if said == "?":
        return None
    kind, _, fields = said.partition(" ")
    return {"kind": kind, **dict(_FIELD.findall(fields))}


class SaidLines(unittest.TestCase):
    def test_every_line_means_what_a_person_means_by_it(self) -> None:
        rows = [row.split("\t") for row in SAID.read_text("utf-8").splitlines()]
        self.assertGreaterEqual(len(rows), 600)
        for text, units, said in rows:
            unit: Unit = "in" if units == "in" else "mm"
            with self.subTest(text, units=units):
                self.assertEqual(meaning(text, unit), wanted(said))

    def test_what_is_in_doubt_is_asked_in_a_way_that_settles_it(self) -> None:
        for text, settled, kind in (
            ("saddle 2 7 at 40", "saddle 2 7 wide at 40", "saddle4"),
            ("offset 6 at 45", "offset 6 at 45 in", "offset"),
            ("kick 10", "kick 10 in", "kick"),
            ("left 90", "left 90 in", "wall"),
            ("wall at 96 3/16", "wall left at 96 3/16", "wall"),
        ):
            self.assertTrue(typed_line(text, "in").expected)
            line = typed_line(settled, "in").line or {}
            self.assertEqual(line.get("kind"), kind, settled)


if __name__ == "__main__":
    unittest.main()
