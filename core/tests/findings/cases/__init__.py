"""A document for every finding, with what it is to say: its level and place, the figures in its
words, its source, its remedy. A file a subject.

Each was read against its document; figures that need a sum are worked in the tests of their room.
"""

from __future__ import annotations

from core.tests.findings.cases import (
    bending,
    boxes,
    fill,
    pieces,
    racks,
    site,
    walk,
    walls,
    wires,
)
from core.tests.findings.cases.case import Case

SUBJECTS = (walk, bending, wires, pieces, racks, fill, boxes, walls, site)

CASES: dict[str, Case] = {
    code: case for subject in SUBJECTS for code, case in subject.CASES.items()
}
