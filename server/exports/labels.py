"""Words on a drawing where nothing runs through them: each at the best of the places that it may
have, the others and every line in mind."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from exports.drawing import Anchor, Drawing, Point, text_width

_MOST_TRIED = 150_000
"""Places against lines: beyond that every word stands at its first place."""

_OVER_WORD = 5
_OFF_THE_PAGE = 50


@dataclass(frozen=True, slots=True)
class Label:
    """A word that may stand at any of ``places``, the best first: where its baseline begins, has
    its middle or ends."""

    text: str
    size: float
    places: tuple[tuple[Point, Anchor], ...]
    bold: bool = False


@dataclass(frozen=True, slots=True)
class _Box:
    left: float
    top: float
    right: float
    bottom: float

    def meets(self, other: _Box) -> bool:
        return (
            self.left < other.right
            and other.left < self.right
            and self.top < other.bottom
            and other.top < self.bottom
        )

    def cut_by(self, one: Point, other: Point) -> bool:
        """Whether a line runs through it (Liang and Barsky)."""
        begins, ends = 0.0, 1.0
        for at, low, high in ((0, self.left, self.right), (1, self.top, self.bottom)):
            along = other[at] - one[at]
            if abs(along) < 1e-9:
                if not low < one[at] < high:
                    return False
                continue
            first, last = sorted(((low - one[at]) / along, (high - one[at]) / along))
            begins, ends = max(begins, first), min(ends, last)
        return begins < ends


def around(point: Point, off: float, size: float) -> tuple[tuple[Point, Anchor], ...]:
    """The places of a word beside a point: to its right, its left, over it and under it.

    Args:
        off: how far from it, in millimetres.
        size: of the word's letters, in millimetres.
    """
    x, y = point
    middle = size * 0.35
    return (
        ((x + off, y - off), "start"),
        ((x + off, y + off + size * 0.7), "start"),
        ((x - off, y - off), "end"),
        ((x - off, y + off + size * 0.7), "end"),
        ((x + off * 1.3, y + middle), "start"),
        ((x - off * 1.3, y + middle), "end"),
        ((x, y - off * 1.3), "middle"),
        ((x, y + off * 1.3 + size * 0.7), "middle"),
    )


def beside_outline(outline: Sequence[Point], size: float) -> tuple[tuple[Point, Anchor], ...]:
    """The places of a word that names what has an outline: within it, over it, under it, beside it.

    Args:
        size: of the word's letters, in millimetres.
    """
    across, down = ([point[at] for point in outline] for at in (0, 1))
    left, right, top, bottom = min(across), max(across), min(down), max(down)
    x, y = (left + right) / 2, (top + bottom) / 2 + size * 0.35
    off = size * 0.35
    return (
        ((x, y), "middle"),
        ((x, top - off), "middle"),
        ((x, bottom + off + size * 0.7), "middle"),
        ((left, top - off), "start"),
        ((right, top - off), "end"),
        ((left, bottom + off + size * 0.7), "start"),
        ((right, bottom + off + size * 0.7), "end"),
        ((right + off, y), "start"),
        ((left - off, y), "end"),
    )


def draw_labels(
    drawing: Drawing,
    labels: Sequence[Label],
    lines: Iterable[tuple[Point, Point]],
    room: tuple[float, float, float, float],
) -> None:
    """Each word where the least runs through it; those that come first choose first.

    Args:
        lines: that no word should stand on.
        room: left, top, right and bottom of the drawing, in millimetres.
    """
    segments = tuple(lines)
    tried = sum(len(label.places) for label in labels) * len(segments)
    page = _Box(*room)
    taken: list[_Box] = []

    def trouble(box: _Box) -> int:
        off = not (
            page.left <= box.left
            and box.right <= page.right
            and page.top <= box.top
            and box.bottom <= page.bottom
        )
        words = sum(box.meets(other) for other in taken)
        return (
            off * _OFF_THE_PAGE
            + words * _OVER_WORD
            + sum(box.cut_by(*segment) for segment in segments)
        )

    for label in labels:
        places = label.places if tried <= _MOST_TRIED else label.places[:1]
        at, anchor = min(places, key=lambda place: trouble(_covered_by(label, *place)))
        taken.append(_covered_by(label, at, anchor))
        drawing.text(*at, label.text, label.size, bold=label.bold, anchor=anchor)


def _covered_by(label: Label, at: Point, anchor: Anchor) -> _Box:
    wide = text_width(label.text, label.size, label.bold)
    left = at[0] - {"start": 0.0, "middle": 0.5, "end": 1.0}[anchor] * wide
    return _Box(left - 0.4, at[1] - label.size * 0.8, left + wide + 0.4, at[1] + label.size * 0.25)
