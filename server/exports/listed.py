"""Lists on a sheet: in columns, as large as they all go in, and on as many pages as they take."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from exports.drawing import INK, SOFT, Drawing, lines_of
from exports.page import MARGIN

_SIZES = (3.4, 3.1, 2.9)
"""Sizes that the lists are set in: the largest that all of them go on
the page in, or the least."""

_LINE = 1.36
_GAP = 5.0
_COLUMNS = 3


@dataclass(frozen=True, slots=True)
class ListedLine:
    """A line of a list: what it says, whether it stands over others, and whether it is what is said
    beside one."""

    text: str
    title: bool = False
    beside: bool = False


def draw_lists(
    drawing: Drawing, lines: Sequence[ListedLine], top: float, bottom: float
) -> Sequence[ListedLine]:
    """The lists in columns, as large as they all go in. Returns those that go on to a page more.

    Args:
        top: millimetres from the page's top.
        bottom: likewise.
    """
    wide = (drawing.width - 2 * MARGIN - (_COLUMNS - 1) * _GAP) / _COLUMNS
    size = next((s for s in _SIZES if _fits(lines, s, wide, bottom - top)), _SIZES[-1])
    column, y = 0, top
    for number, line in enumerate(lines):
        broken = lines_of(line.text, _size_of(line, size), wide)
        tall = len(broken) * size * _LINE + (size if line.title else 0.0)
        # A title never stands last in a column.
        if y + tall + (size * _LINE if line.title else 0.0) > bottom:
            column, y = column + 1, top
            if column == _COLUMNS:
                return lines[number:]
        x = MARGIN + column * (wide + _GAP)
        if line.title and y > top:
            y += size
        for text in broken:
            colour = SOFT if line.beside else INK
            drawing.text(x, y, text, _size_of(line, size), bold=line.title, colour=colour)
            y += size * _LINE
    return ()


def _size_of(line: ListedLine, size: float) -> float:
    return size * 0.86 if line.beside else size


def _fits(lines: Sequence[ListedLine], size: float, wide: float, tall: float) -> bool:
    # A column may stay short by what a title and its first line take.
    left = _COLUMNS * (tall - size * 2 * _LINE)
    for line in lines:
        left -= len(lines_of(line.text, _size_of(line, size), wide)) * size * _LINE
        left -= size * line.title
        if left < 0:
            return False
    return True
