"""A drawing as a list of plain marks in millimetres, from the top left, for SVG and PDF."""

from __future__ import annotations

from dataclasses import dataclass, field
from functools import cache, lru_cache
from pathlib import Path
from typing import Literal

from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont

from yarrow import Shown

Anchor = Literal["start", "middle", "end"]
Point = tuple[float, float]

FONTS = Path(__file__).parent / "fonts"
INK, SOFT, FAINT, PIPE, BAND, ACCENT, AMBER, BRICK, MOSS = (
    "#15191d",
    "#4c555e",
    "#c3ccd3",
    "#eef1f3",
    "#b4c0c9",
    "#74285f",
    "#8a5600",
    "#9c2f1f",
    "#47631f",
)


@dataclass(frozen=True, slots=True)
class Stroke:
    """A line through points; filled where a fill is given."""

    points: tuple[Point, ...]
    width: float = 0.2
    stroke: str = INK
    fill: str = ""
    closed: bool = False
    dash: tuple[float, ...] = ()


@dataclass(frozen=True, slots=True)
class Text:
    """One line of text on its baseline; size in millimetres."""

    x: float
    y: float
    text: str
    size: float
    bold: bool = False
    anchor: Anchor = "start"
    colour: str = INK


Item = Stroke | Text


@dataclass(slots=True)
class Drawing:
    """A page being drawn."""

    width: float
    height: float
    title: str
    items: list[Item] = field(default_factory=list)

    def line(
        self,
        *points: Point,
        width: float = 0.2,
        stroke: str = INK,
        dash: tuple[float, ...] = (),
    ) -> None:
        """A line through points.

        Args:
            width: of the stroke, millimetres.
            stroke: its colour.
            dash: lengths of strokes and gaps in turn, millimetres; none: unbroken.
        """
        self.items.append(Stroke(points, width, stroke, dash=dash))

    def shape(self, *points: Point, fill: str = "", stroke: str = INK, width: float = 0.2) -> None:
        """A closed outline.

        Args:
            fill: its colour, empty for none.
            stroke: likewise.
            width: of the stroke, millimetres.
        """
        self.items.append(Stroke(points, width, stroke, fill, closed=True))

    def rectangle(
        self,
        x: float,
        y: float,
        width: float,
        height: float,
        *,
        fill: str = "",
        stroke: str = INK,
        line: float = 0.2,
    ) -> None:
        """A rectangle from its top left.

        Args:
            x: of its left side, millimetres from the page's left.
            y: of its top, millimetres from the page's top.
            width: in millimetres.
            height: in millimetres.
            fill: its colour, empty for none.
            stroke: likewise.
            line: the stroke's width, millimetres.
        """
        corners = ((x, y), (x + width, y), (x + width, y + height), (x, y + height))
        self.shape(*corners, fill=fill, stroke=stroke, width=line)

    def text(
        self,
        x: float,
        y: float,
        text: Shown,
        size: float,
        *,
        bold: bool = False,
        anchor: Anchor = "start",
        colour: str = INK,
    ) -> None:
        """A line of text on its baseline.

        Args:
            x: of its anchor, millimetres from the page's left.
            y: of its baseline, millimetres from the page's top.
            size: of the letters, millimetres.
            bold: whether in the heavier face.
            colour: of the letters.
        """
        self.items.append(Text(x, y, str(text), size, bold, anchor, colour))

    def paragraph(
        self, x: float, y: float, width: float, text: str, size: float, *, colour: str = INK
    ) -> float:
        """Text broken into lines of a width.

        Args:
            x: of its left side, millimetres from the page's left.
            y: of its first baseline, millimetres from the page's top.
            width: of the lines, millimetres.
            text: that is broken at its spaces.
            size: of the letters, millimetres.
            colour: of the letters.

        Returns:
            The baseline below the last line, millimetres.
        """
        for line in lines_of(text, size, width):
            self.text(x, y, line, size, colour=colour)
            y += size * 1.35
        return y

    def reading(
        self,
        x: float,
        y: float,
        shown: Shown,
        size: float,
        *,
        anchor: Anchor = "start",
        bold: bool = True,
        colour: str = INK,
    ) -> None:
        """A length as on a tape: ``39 9/16`` with a built fraction.

        Args:
            x: of its anchor, millimetres from the page's left.
            y: of its baseline, millimetres from the page's top.
            size: of the letters, millimetres.
            bold: whether in the heavier face.
            colour: of the letters.
        """
        text = str(shown)
        x -= {"start": 0.0, "middle": 0.5, "end": 1.0}[anchor] * reading_width(text, size, bold)
        for part, scale, lift, advance in _reading_parts(text, size, bold):
            self.text(x, y - lift, part, size * scale, bold=bold, colour=colour)
            x += advance


_SMALL = 0.62
_RAISED = 0.33


def reading_width(text: Shown, size: float, bold: bool = True) -> float:
    """How wide a reading will be.

    Args:
        text: as it is read off a tape.
        size: of the letters, millimetres.
        bold: whether in the heavier face.

    Returns:
        Millimetres.
    """
    return sum(advance for *_, advance in _reading_parts(str(text), size, bold))


def _reading_parts(text: str, size: float, bold: bool) -> list[tuple[str, float, float, float]]:
    """(text, scale, lift, advance) of each part of a reading."""
    parts = []
    words = text.split(" ")
    for word, following in zip(words, [*words[1:], ""], strict=True):
        over, slash, under = word.partition("/")
        if not slash:
            # A fraction belongs to the figure before it; a unit, or inches after feet, stand apart.
            close = "/" in following and word[-1:].isdigit()
            gap = 0.0 if not following else size * (0.08 if close else 0.25)
            parts.append((word, 1.0, 0.0, text_width(word, size, bold) + gap))
            continue
        inch = '"' if under.endswith('"') else ""
        under = under.removesuffix('"')
        small = size * _SMALL
        parts += [
            (over, _SMALL, size * _RAISED, text_width(over, small, bold)),
            ("⁄", 1.0, 0.0, text_width("⁄", size, bold)),
            (under, _SMALL, 0.0, text_width(under, small, bold)),
        ]
        if inch:
            parts.append((inch, 1.0, 0.0, text_width(inch, size, bold)))
    return parts


def lines_of(text: str, size: float, width: float) -> list[str]:
    """A text broken into lines of a width.

    Args:
        text: that is broken at its spaces.
        size: of the letters, millimetres.
        width: of a line, millimetres.

    Returns:
        From the top down.
    """
    lines: list[list[str]] = [[]]
    gap, taken = text_width(" ", size), 0.0
    for word in text.split():
        wide = text_width(word, size)
        if lines[-1] and taken + gap + wide > width:
            lines.append([word])
            taken = wide
        else:
            taken += gap + wide if lines[-1] else wide
            lines[-1].append(word)
    return [" ".join(words) for words in lines]


def text_width(text: str, size: float, bold: bool = False) -> float:
    """The width of a text in the sheet's font.

    Args:
        text: in one line.
        size: of the letters, millimetres.
        bold: whether in the heavier face.

    Returns:
        Millimetres.
    """
    return _width_of_one(text, bold) * size


@lru_cache(maxsize=8192)
def _width_of_one(text: str, bold: bool) -> float:
    """At a size of 1: a sheet asks for the same words again and again."""
    return float(pdfmetrics.stringWidth(text, font_name(bold), 1.0))


@cache
def font_name(bold: bool) -> str:
    """The name of the sheet's font for PDF, registered on first use.

    Args:
        bold: whether of the heavier face.

    Returns:
        As a PDF refers to it.
    """
    weight = "bold" if bold else "regular"
    name = f"yarrow-{weight}"
    pdfmetrics.registerFont(TTFont(name, FONTS / f"atkinson-hyperlegible-next-{weight}.ttf"))
    return name
