"""What every sheet of paper has: its size, whose it is, its findings, its cautions and sign-off."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from exports.drawing import AMBER, BRICK, SOFT, Drawing, lines_of, text_width
from yarrow import EN_US, Finding, Wording

PAPERS = {"a4": (210.0, 297.0), "letter": (215.9, 279.4)}
"""Width and height in millimetres."""

LARGE_PAPERS = {**PAPERS, "a3": (420.0, 297.0)}
"""With one that a whole site goes on."""

MARGIN = 14.0
ABOVE_FOOT = 19.0
"""What the cautions and the lines to sign on take, above the margin."""

_COLOURS = {"error": BRICK, "warning": AMBER, "note": SOFT}


@dataclass(frozen=True, slots=True)
class Heading:
    """Whose run this is, which version of it, and the words of its job."""

    job: str
    run: str
    saved: str
    wording: Wording = EN_US


def draw_heading(drawing: Drawing, heading: Heading, facts: str, reading: tuple[str, str]) -> float:
    """Whose sheet it is, and the one figure that stands over all.

    Args:
        facts: what it is made of and with.
        reading: what the figure is and the figure itself (empty: none).

    Returns:
        Millimetres from the page's top.
    """
    right = drawing.width - MARGIN
    y = MARGIN + 6
    drawing.text(MARGIN, y, _fitted(heading.run, 6.4, right - MARGIN - 62), 6.4, bold=True)
    drawing.text(right, y - 2.6, reading[0], 3, anchor="end", colour=SOFT)
    y += 5.4
    drawing.text(MARGIN, y, heading.job, 3.6, colour=SOFT)
    if reading[1]:
        drawing.reading(right, y, reading[1], 7, anchor="end")
    y += 5
    room = right - MARGIN - text_width(heading.saved, 2.8) - 4
    drawing.text(MARGIN, y, _fitted(facts, 3.3, room, bold=False), 3.3)
    drawing.text(right, y, heading.saved, 2.8, anchor="end", colour=SOFT)
    y += 3
    drawing.line((MARGIN, y), (right, y), width=0.3)
    return y


def _fitted(text: str, size: float, width: float, *, bold: bool = True) -> str:
    while text_width(text, size, bold) > width and len(text) > 1:
        text = text[:-2] + "…"
    return text


_FINDING = 2.7
_MOST_FINDINGS = 30.0


def findings_height(findings: Sequence[Finding], width: float, wording: Wording) -> float:
    """How much room findings are given on paper of a width.

    Args:
        width: in millimetres.

    Returns:
        In millimetres.
    """
    placed = _with_places(findings, wording)
    lines = sum(len(lines_of(text, _FINDING, width - 2 * MARGIN - 4)) for _, text in placed)
    tall = lines * _FINDING * 1.35 + len(placed) * 0.6
    return min(tall + 3, _MOST_FINDINGS) if placed else 0.0


def _with_places(findings: Sequence[Finding], wording: Wording) -> list[tuple[Finding, str]]:
    """Each finding in words with the places it is about; what is said of several is said once."""
    places: dict[tuple[str, str], list[str]] = {}
    first: dict[tuple[str, str], Finding] = {}
    for finding in findings:
        key = (finding.sentence(wording), finding.source)
        first.setdefault(key, finding)
        where = "start" if finding.path.startswith("start") else ""
        where = f"line {finding.feature + 1}" if finding.feature is not None else where
        places.setdefault(key, []).append(where)
    placed = []
    for (text, source), finding in first.items():
        named = " and ".join(sorted({where for where in places[text, source] if where}))
        where = f"{named[0].upper()}{named[1:]}: " if named else ""
        placed.append((finding, f"{where}{text}" + (f" ({source})" if source else "")))
    return placed


def draw_findings(
    drawing: Drawing, findings: Sequence[Finding], y: float, bottom: float, wording: Wording
) -> None:
    """What there is to know, gravest first; what there is no room for is counted.

    Args:
        y: where they begin, millimetres from the page's top.
        bottom: where they have to end, likewise.
    """
    placed = _with_places(findings, wording)
    for number, (finding, text) in enumerate(placed):
        if y > bottom - 4 and number < len(placed) - 1:
            left = len(placed) - number
            drawing.text(MARGIN + 2, y, f"and {left} more: see them in Yarrow", _FINDING)
            return
        drawing.line((MARGIN, y - 2.6), (MARGIN, y + 1), width=0.7, stroke=_COLOURS[finding.level])
        wide = drawing.width - 2 * MARGIN - 4
        y = drawing.paragraph(MARGIN + 2, y, wide, text, _FINDING) + 0.6


BENDING = (
    "Gloves and eye protection when cutting and bending. Isolate and prove dead before a box is "
    "opened. These figures are a plan, for a licensed electrician to check; local code and the "
    "inspector decide."
)
DIGGING = (
    "Have what lies in the ground located before digging. Shore a trench before anyone climbs in. "
    "These figures are a plan, for those who are licensed to check; local rules decide on depths "
    "and distances."
)
"""What is said on every sheet, by what is done with it."""


def draw_foot(drawing: Drawing, y: float, cautions: str = BENDING, by: str = "Bent by") -> None:
    """The cautions, and the lines to sign on.

    Args:
        y: where it begins, millimetres from the page's top.
        cautions: what to mind.
        by: whose signature there is room for.
    """
    right = drawing.width - MARGIN
    drawing.line((MARGIN, y - 3), (right, y - 3), width=0.3)
    end = drawing.paragraph(MARGIN, y + 1, right - MARGIN, cautions, 2.6, colour=SOFT) - 1
    for name, x in ((by, 0.0), ("Checked by", 62.0), ("Date", 124.0)):
        drawing.text(MARGIN + x, end + 7, name, 2.8, colour=SOFT)
        drawing.line((MARGIN + x + 17, end + 7.4), (MARGIN + x + 56, end + 7.4), width=0.15)
