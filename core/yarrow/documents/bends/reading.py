"""Reading ``yarrow.bends/1`` and answering with the shape that the bent pipe has."""

from __future__ import annotations

from yarrow.documents.errors import DocumentError
from yarrow.documents.schema import reader
from yarrow.documents.unit import read_unit
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.frame import Frame
from yarrow.geometry.pipe import PipeBend, fold
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class FoldedPipe:
    """The answer of fold: vertices with both ends, and the end's place and direction."""

    format: str
    units: Unit
    path: tuple[Vector, ...]
    end: Vector
    direction: Vector


def fold_document(document: object) -> FoldedPipe:
    """The shape of a straight pipe with its bends made.

    Args:
        document: ``yarrow.bends/1``.

    Raises:
        DocumentError; also where an arc begins before the last one ends, which no pipe can do.

    Source:
        docs/other-files.md.
    """
    unit = read_unit(document)
    shape = reader("bends")(document, "", unit)
    radius = float(shape["radius"].value)
    bends = [
        PipeBend(
            arc_start=float(bend["arc_start"].value),
            angle=bend["angle"],
            roll=bend["roll"],
            radius=float(bend["radius"].value) if "radius" in bend else radius,
        )
        for bend in shape["bends"]
    ]
    cut_length = float(shape["cut_length"].value)
    try:
        folded = fold(bends, cut_length, first_toward=Frame().toward(shape["first_toward"]))
    except GeometryError as error:
        raise _refused_overlap(bends, error.index) from None
    return FoldedPipe(
        "yarrow.shape/1", unit, folded.vertices, folded.vertices[-1], folded.direction
    )


def _refused_overlap(bends: list[PipeBend], index: int) -> DocumentError:
    end_of_last = bends[index - 1].arc_end if index else 0.0
    if index == len(bends):
        return DocumentError("cut_length", f"at least {end_of_last:.4g}, where the last arc ends")
    where = "where the arc before it ends" if index else "the start of the pipe"
    return DocumentError(f"bends[{index}].arc_start", f"at least {end_of_last:.4g}, {where}")
