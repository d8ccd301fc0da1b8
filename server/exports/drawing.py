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
        """A line through points."""
        self.items.append(Stroke(points, width, stroke, dash=dash))

    def shape(self, *points: Point, fill: str = "", stroke: str = INK, width: float = 0.2) -> None:
        """A closed outline."""
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
        """A rectangle from its top left."""
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
        """A line of text on its baseline."""
        self.items.append(Text(x, y, str(text), size, bold, anchor, colour))

    def paragraph(
        self, x: float, y: float, width: float, text: str, size: float, *, colour: str = INK
    ) -> float:
        """Text broken into lines of a width. Returns the baseline below the last line."""
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
        """A length as on a tape: ``39 9/16`` with a built fraction."""
        text = str(shown)
        x -= {"start": 0.0, "middle": 0.5, "end": 1.0}[anchor] * reading_width(text, size, bold)
        for part, scale, lift, advance in _reading_parts(text, size, bold):
            self.text(x, y - lift, part, size * scale, bold=bold, colour=colour)
            x += advance


_SMALL = 0.62
_RAISED = 0.33


def reading_width(text: str, size: float, bold: bool = True) -> float:
    """How wide a reading will be."""
    return sum(advance for *_, advance in _reading_parts(text, size, bold))


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
    """A text broken into lines of a width."""
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
    """The width of a text in the sheet's font."""
    return _width_of_one(text, bold) * size


@lru_cache(maxsize=8192)
def _width_of_one(text: str, bold: bool) -> float:
    """At a size of 1: a sheet asks for the same words again and again."""
    return float(pdfmetrics.stringWidth(text, font_name(bold), 1.0))


@cache
def font_name(bold: bool) -> str:
    """The name of the sheet's font for PDF, registered on first use."""
    weight = "bold" if bold else "regular"
    name = f"yarrow-{weight}"
    pdfmetrics.registerFont(TTFont(name, FONTS / f"atkinson-hyperlegible-next-{weight}.ttf"))
    return name
