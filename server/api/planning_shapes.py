"""What is asked of the core about a run, and answered, without saving."""

from __future__ import annotations

from typing import Annotated

from ninja import Schema
from pydantic import StringConstraints

from api.documents import CameOutDocument, ConductorShape, LineDocument, OwnBender, RunDocument
from api.shapes import PRINTABLE, Body, Units


class WireText(Schema):
    """Conductors as a document has them."""

    conductors: list[ConductorShape]


class TypedText(Body):
    """What was typed for a line of the walk."""

    text: Annotated[str, StringConstraints(max_length=200, pattern=PRINTABLE)]
    units: Units


class AtBench(Body):
    """A run, one of its pieces counted from 1 (none: the run as one), and what was read of the
    bends that are made."""

    document: RunDocument
    came_out: CameOutDocument
    piece: int | None = None


class KnownBetter(Body):
    """A run, and its bender as it is known now."""

    document: RunDocument
    bender: OwnBender


class Conversion(Body):
    """A run, and the unit that it is to be in. What can't be read yet stays as it was typed."""

    document: RunDocument
    to: Units


class DxfText(Body):
    """A DXF drawing as text; ``units`` is what it is drawn in, where it does not say."""

    dxf: Annotated[str, StringConstraints(max_length=900_000)]
    into: Units
    units: Units | None = None


class PathShape(Schema):
    """Centreline vertices with both ends, as a run's ``path`` takes them, and the radius that each
    arc is drawn with, along it."""

    path: list[tuple[float, float, float]]
    radii: list[float]


class CompletionShape(Schema):
    """What could be typed next: the whole text with it, and what it is for."""

    text: str
    hint: str


class TypedLineShape(Schema):
    """A typed line as far as it can be read; ``line`` is null until nothing more is expected."""

    line: LineDocument | None
    expected: str
    completions: list[CompletionShape]


class QuickBendShape(Schema):
    """A bend by itself as a run; ``run`` is null until nothing more is expected."""

    run: RunDocument | None
    expected: str
    completions: list[CompletionShape]
