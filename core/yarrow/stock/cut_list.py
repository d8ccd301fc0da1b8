"""From pieces and stock to what is cut from what, with how near that is to the least."""

from __future__ import annotations

import math
from collections.abc import Sequence
from fractions import Fraction
from typing import Literal

from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, gravest_first, nothing_wrong
from yarrow.measure.units import Unit
from yarrow.stock.bars import (
    CutBar,
    PieceToCut,
    StockBar,
    fewest_sticks,
    first_fit,
    in_order,
    put_together,
    sticks_in,
    without_offcut,
)
from yarrow.stock.solver import solve
from yarrow.values import dataclass
from yarrow.wording.lengths import JobTape
from yarrow.wording.phrase import Phrase, Shown, Value, count

FORMAT = "yarrow.cut-list/1"

_SCALE = 8000
"""Parts of a unit that lengths are counted in: sixty-fourths and thousandths come out even."""


@dataclass(frozen=True, slots=True)
class NamedBar:
    """A piece to cut or an offcut in hand: its name and length, and the field that it is in."""

    name: str
    length: Fraction
    path: str


@dataclass(frozen=True, slots=True)
class Stock:
    """What is cut, from sticks of a length (``sticks`` of them; None: as many as it takes) and from
    offcuts; what each cut takes, what is lost at an end of every stick, and from how long an offcut
    is kept. ``together`` are pieces, by their places, that somebody wants from one bar."""

    name: str
    unit: Unit
    stick: Fraction
    sticks: int | None
    kerf: Fraction
    end: Fraction
    keep: Fraction
    pieces: tuple[NamedBar, ...]
    offcuts: tuple[NamedBar, ...]
    together: tuple[tuple[int, ...], ...] = ()

    @property
    def lengths(self) -> JobTape:
        """How its lengths are written: to the marks that are usual with its unit."""
        return JobTape.usual(self.unit)


@dataclass(frozen=True, slots=True)
class Cut:
    """A piece on its bar: its place in the list that was asked for, where it begins, how long it
    is, and what it ``takes`` with the cut behind it."""

    piece: int
    name: str
    begins: float
    length: float
    takes: float
    text: Shown


@dataclass(frozen=True, slots=True)
class BarToCut:
    """A stick or an offcut (``offcut``: its place among those in hand, None for a stick) with what
    is cut from it; ``kept``: what is left is worth keeping. ``room``: what all that is cut from it
    may take, its last cut too, which may lie beyond its end."""

    source: Literal["stick", "offcut"]
    offcut: int | None
    name: str
    length: float
    length_text: Shown
    room: float
    cuts: tuple[Cut, ...]
    left: float
    left_text: Shown
    kept: bool


@dataclass(frozen=True, slots=True)
class CutList:
    """What is cut from what. ``how``: ``proven`` to be the fewest sticks, ``within`` so many of the
    least that there can be (``bound``), or ``first-fit``, longest first, which nothing is proven
    of. ``moved`` are the sticks more that it takes as somebody put pieces together. ``waste`` is
    what is neither cut nor kept."""

    format: str
    units: Unit
    name: str
    how: Literal["proven", "within", "first-fit"]
    says: Phrase
    sticks: int
    bound: int
    moved: int
    bars: tuple[BarToCut, ...]
    waste: float
    waste_text: Shown
    kept: float
    kept_text: Shown
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether every piece comes out of what there is."""
        return nothing_wrong(self.findings)


def cut_list(stock: Stock, seconds: float) -> CutList:
    """What is cut from what, of as few sticks as are found in a time.

    Args:
        stock: what there is, and what it is wanted for.
        seconds: that looking for fewer may take; 0: first fit alone.

    Source:
        docs/pieces-and-walls.md, stock.
    """
    stick = _down(stock.stick - stock.end)
    kerf = _up(stock.kerf)
    offcuts = [
        StockBar(_down(offcut.length), number) for number, offcut in enumerate(stock.offcuts)
    ]
    longest = max([stick, *(bar.length for bar in offcuts)])
    every = [PieceToCut(number, _up(piece.length)) for number, piece in enumerate(stock.pieces)]
    too_long = without_offcut(every, offcuts, stick, kerf)
    findings = [_too_long(stock, stock.pieces[piece.number], longest) for piece in too_long]
    longer = {piece.number for piece in too_long}
    pieces = [piece for piece in every if piece.number not in longer]
    joined = put_together(pieces, stock.together, longest, kerf)
    findings += [_not_together(stock, group) for group in joined.refused]
    bars, how, bound = _found(joined.pieces, offcuts, stick, kerf, seconds)
    bars = [joined.apart(bar) for bar in bars]
    sticks = sticks_in(bars)
    moved = sticks - sticks_in(first_fit(pieces, offcuts, stick, kerf)) if stock.together else 0
    if stock.sticks is not None and sticks > stock.sticks:
        short: dict[str, Value] = {"more": count(sticks - stock.sticks), "sticks": count(sticks)}
        findings.append(Finding(FindingCode.STICKS_RUN_OUT, short, path="sticks"))
    as_told = _StockAsTold.of(stock, kerf)
    written = tuple(_bar_to_cut(bar, as_told) for bar in bars)
    kept = math.fsum(bar.left for bar in written if bar.kept)
    waste = math.fsum(bar.left for bar in written if not bar.kept)
    return CutList(
        format=FORMAT,
        units=stock.unit,
        name=stock.name,
        how=how,
        says=Phrase(
            f"cut-list/{how}",
            {"sticks": count(sticks), "fewer": count(sticks - bound), "bound": count(bound)},
        ),
        sticks=sticks,
        bound=bound,
        moved=max(moved, 0),
        bars=written,
        waste=waste,
        waste_text=stock.lengths.reading(waste),
        kept=kept,
        kept_text=stock.lengths.reading(kept),
        findings=gravest_first(findings),
    )


def _found(
    pieces: Sequence[PieceToCut],
    offcuts: Sequence[StockBar],
    stick: int,
    kerf: int,
    seconds: float,
) -> tuple[list[CutBar], Literal["proven", "within", "first-fit"], int]:
    """The bars, how good they are, and the least number of sticks."""
    bars = first_fit(pieces, offcuts, stick, kerf)
    bound = fewest_sticks(pieces, offcuts, stick, kerf)
    if sticks_in(bars) <= bound:
        return in_order(bars), "proven", bound
    solved = solve(pieces, offcuts, stick, kerf, bars, seconds) if seconds > 0 else None
    if solved is None:
        return in_order(bars), "first-fit", bound
    if sticks_in(solved.bars) < sticks_in(bars):
        bars = list(solved.bars)
    if solved.proven:
        return in_order(bars), "proven", sticks_in(bars)
    bound = max(bound, solved.bound)
    return in_order(bars), "proven" if sticks_in(bars) <= bound else "within", bound


@dataclass(frozen=True, slots=True)
class _StockAsTold:
    """What every bar is told in: lengths as floats, each made once."""

    stock: Stock
    tape: JobTape
    kerf: int
    stick: float
    end: float
    saw: float
    keep: float

    @classmethod
    def of(cls, stock: Stock, kerf: int) -> _StockAsTold:
        """Of a stock, and what a cut takes in parts of its unit."""
        lengths = (stock.stick, stock.end, stock.kerf, stock.keep)
        return cls(stock, stock.lengths, kerf, *map(float, lengths))


def _bar_to_cut(bar: CutBar, told: _StockAsTold) -> BarToCut:
    stock, tape, offcut = told.stock, told.tape, bar.bar.offcut
    length = told.stick if offcut is None else float(stock.offcuts[offcut].length)
    begins = told.end if offcut is None else 0.0
    cuts = []
    for piece in bar.pieces:
        named = stock.pieces[piece.number]
        size = float(named.length)
        takes = (piece.length + told.kerf) / _SCALE
        cuts.append(Cut(piece.number, named.name, begins, size, takes, tape.reading(size)))
        begins += size + told.saw
    left = max(bar.left(told.kerf) / _SCALE, 0.0)
    return BarToCut(
        source="stick" if offcut is None else "offcut",
        offcut=offcut,
        name="" if offcut is None else stock.offcuts[offcut].name,
        length=length,
        length_text=tape.reading(length),
        room=(bar.bar.length + told.kerf) / _SCALE,
        cuts=tuple(cuts),
        left=left,
        left_text=tape.reading(left),
        kept=left >= told.keep,
    )


def _not_together(stock: Stock, group: Sequence[int]) -> Finding:
    names = tuple(stock.pieces[number].name for number in group)
    return Finding(FindingCode.NOT_FROM_ONE_STICK, {"names": names}, path="together")


def _too_long(stock: Stock, bar: NamedBar, longest: int) -> Finding:
    words = stock.lengths
    values: dict[str, Value] = {
        "name": bar.name or words.measured(float(bar.length)),
        "over": words.needed(float(bar.length) - longest / _SCALE),
        "longest": words.available(longest / _SCALE),
    }
    variant = "" if bar.length > longest / _SCALE else "none-left"
    code = FindingCode.PIECE_LONGER_THAN_STOCK
    return Finding(code, values, path=f"{bar.path}.length", variant=variant)


def _up(length: Fraction) -> int:
    return -(-length.numerator * _SCALE // length.denominator)


def _down(length: Fraction) -> int:
    return length.numerator * _SCALE // length.denominator
