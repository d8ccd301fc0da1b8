"""Fewest sticks by patterns, with HiGHS: every pattern where there are few of them, else those that
the prices of pieces call for. The one room that imports it; without it nothing is looked for."""

from __future__ import annotations

import math
import time
from collections import Counter
from collections.abc import Sequence
from contextlib import suppress
from importlib import import_module
from typing import Any

from yarrow.stock.bars import CutBar, PieceToCut, StockBar
from yarrow.values import dataclass

highspy: Any = None
with suppress(ImportError):  # the extra yarrow[stock] may not be there
    highspy = import_module("highspy")

MOST_PATTERNS = 4000
"""So many are listed one by one; beyond that they are found by price."""

MOST_LENGTHS = 500
"""Lengths that are looked for by price: of more, a round of prices alone takes seconds."""

_EPS = 1e-6

_LEAST_S = 0.05
"""Seconds that a step of the search has, however late it is."""


@dataclass(frozen=True, slots=True)
class SolvedBars:
    """The bars that were found, and whether no fewer sticks can do, by the patterns themselves;
    ``bound`` is the least that the prices allow."""

    bars: tuple[CutBar, ...]
    proven: bool
    bound: int


Pattern = tuple[int, ...]
"""How many of each length are cut from one bar."""


def available() -> bool:
    """Whether the solver is there."""
    return highspy is not None


def solve(
    pieces: Sequence[PieceToCut],
    offcuts: Sequence[StockBar],
    stick: int,
    kerf: int,
    known: Sequence[CutBar],
    seconds: float,
) -> SolvedBars | None:
    """Bars with as few sticks as can be found in a time; None where nothing is, or where there are
    too many lengths to look.

    Args:
        pieces, offcuts, stick, kerf: as for first_fit.
        known: bars that do, to begin from.
        seconds: that it may take.
    """
    if highspy is None:
        return None
    end = time.monotonic() + seconds
    counts = Counter(piece.length for piece in pieces)
    lengths = sorted(counts, reverse=True)
    if len(lengths) > MOST_LENGTHS:
        return None
    wanted = [counts[length] for length in lengths]
    in_hand = Counter(bar.length for bar in offcuts)
    kinds = [stick, *in_hand]
    cutting = _Patterns(lengths, wanted, kinds, [None, *in_hand.values()], kerf)
    patterns, complete, bound = cutting.every_pattern(), True, 0
    if patterns is None:
        complete = False
        patterns, bound = cutting.priced(cutting.patterns_of(known), end)
    picked = cutting.pick(patterns, max(end - time.monotonic(), 0.2))
    if picked is None:
        return None
    chosen, optimal = picked
    return SolvedBars(
        tuple(_with_pieces(chosen, kinds, lengths, pieces, offcuts)), complete and optimal, bound
    )


@dataclass(frozen=True, slots=True)
class _Patterns:
    """The lengths that are wanted, how often; the kinds of bars, the first one whole sticks; how
    many there are of each (None: any number)."""

    lengths: list[int]
    wanted: list[int]
    kinds: list[int]
    numbers: list[int | None]
    kerf: int

    def every_pattern(self) -> list[tuple[int, Pattern]] | None:
        """All patterns that nothing more could be cut from, each with its kind of bar; None where
        they are too many."""
        result: list[tuple[int, Pattern]] = []
        for kind, length in enumerate(self.kinds):
            stack: list[tuple[int, int, Pattern]] = [(0, length + self.kerf, ())]
            while stack:
                at, room, cut = stack.pop()
                if at == len(self.lengths) or room < self.lengths[-1] + self.kerf:
                    if any(cut):
                        result.append((kind, (*cut, *[0] * (len(self.lengths) - at))))
                    if len(result) > MOST_PATTERNS:
                        return None
                    continue
                size = self.lengths[at] + self.kerf
                most = min(room // size, self.wanted[at])
                stack += [(at + 1, room - n * size, (*cut, n)) for n in range(most + 1)]
                if len(stack) > MOST_PATTERNS:
                    return None
        return result

    def patterns_of(self, known: Sequence[CutBar]) -> list[tuple[int, Pattern]]:
        """The patterns of bars that do, and each length by itself."""
        result = set()
        for bar in known:
            cut = Counter(piece.length for piece in bar.pieces)
            kind = 0 if bar.bar.offcut is None else self.kinds.index(bar.bar.length, 1)
            result.add((kind, tuple(cut[length] for length in self.lengths)))
        for at in range(len(self.lengths)):
            result.add((0, tuple(int(n == at) for n in range(len(self.lengths)))))
        return list(result)

    def priced(
        self, patterns: list[tuple[int, Pattern]], end: float
    ) -> tuple[list[tuple[int, Pattern]], int]:
        """More patterns, as long as a price of the pieces says that one would save something; and
        the least number of sticks that the last prices allow."""
        bound, known = 0.0, set(patterns)
        while time.monotonic() < end:
            solver, rows = self._master(patterns, integer=False)
            solver.run()
            duals = list(solver.getSolution().row_dual)[:rows]
            total = solver.getInfo().objective_function_value
            worst, news = 1.0, []
            for kind in range(len(self.kinds)):
                dearest = self._dearest(kind, duals, end)
                if dearest is None:
                    return patterns, _least(bound)
                worth, cut = dearest
                if kind == 0:
                    worst = max(worst, worth)
                if worth > (1.0 if kind == 0 else 0.0) + _EPS and (kind, cut) not in known:
                    known.add((kind, cut))
                    news.append((kind, cut))
            bound = max(bound, total / worst if len(self.kinds) == 1 else 0.0)
            if not news:
                bound = max(bound, total)
                break
            patterns = [*patterns, *news]
        return patterns, _least(bound)

    def _dearest(
        self, kind: int, duals: Sequence[float], end: float
    ) -> tuple[float, Pattern] | None:
        """The pattern of a kind of bar that is worth most by prices; None where it is not found in
        time."""
        solver = _quiet()
        solver.setOptionValue("time_limit", max(end - time.monotonic(), _LEAST_S))
        names = []
        for at, wanted in enumerate(self.wanted):
            most = min(wanted, (self.kinds[kind] + self.kerf) // (self.lengths[at] + self.kerf))
            names.append(solver.addIntegral(0, most, -max(duals[at], 0.0)))
        used = sum(
            (size + self.kerf) * name for size, name in zip(self.lengths, names, strict=True)
        )
        solver.addConstr(used <= self.kinds[kind] + self.kerf)
        solver.run()
        if solver.getModelStatus() != highspy.HighsModelStatus.kOptimal:
            return None
        cut = tuple(round(value) for value in list(solver.getSolution().col_value)[: len(names)])
        return sum(n * price for n, price in zip(cut, duals, strict=True)), cut

    def _master(self, patterns: Sequence[tuple[int, Pattern]], *, integer: bool) -> tuple[Any, int]:
        """Enough of every length from as few sticks as can be, and of the offcuts the shortest."""
        solver = _quiet()
        add = solver.addIntegral if integer else solver.addVariable
        names = [
            add(0, highspy.kHighsInf, 1.0 if kind == 0 else self._little(kind))
            for kind, _ in patterns
        ]
        for at, wanted in enumerate(self.wanted):
            cuts = zip(patterns, names, strict=True)
            solver.addConstr(sum(cut[at] * name for (_, cut), name in cuts if cut[at]) >= wanted)
        for kind, number in enumerate(self.numbers):
            of_kind = [name for (k, _), name in zip(patterns, names, strict=True) if k == kind]
            if number is not None and of_kind:
                solver.addConstr(sum(of_kind) <= number)
        return solver, len(self.wanted)

    def _little(self, kind: int) -> float:
        """What an offcut costs beside a stick: so little that no number of them is worth one."""
        return 1e-4 * self.kinds[kind] / self.kinds[0]

    def pick(
        self, patterns: Sequence[tuple[int, Pattern]], seconds: float
    ) -> tuple[list[tuple[int, Pattern]], bool] | None:
        """So many of each pattern that all pieces are cut; and whether that is the least."""
        solver, _ = self._master(patterns, integer=True)
        solver.setOptionValue("time_limit", seconds)
        solver.run()
        values = list(solver.getSolution().col_value)
        if not values or sum(values) < _EPS:
            return None
        chosen = [
            pattern
            for pattern, value in zip(patterns, values[: len(patterns)], strict=True)
            for _ in range(round(value))
        ]
        return chosen, solver.getModelStatus() == highspy.HighsModelStatus.kOptimal


def _least(bound: float) -> int:
    """So many sticks at the least, by a bound that is no whole number."""
    return math.ceil(bound - _EPS) if bound > 0 else 0


def _quiet() -> Any:
    solver = highspy.Highs()
    solver.silent()
    solver.setOptionValue("mip_rel_gap", 0.0)
    return solver


def _with_pieces(
    chosen: Sequence[tuple[int, Pattern]],
    kinds: Sequence[int],
    lengths: Sequence[int],
    pieces: Sequence[PieceToCut],
    offcuts: Sequence[StockBar],
) -> list[CutBar]:
    """Patterns with the pieces themselves; what a pattern has too many of is not cut."""
    waiting = {length: [p for p in pieces if p.length == length] for length in lengths}
    in_hand = {length: [bar for bar in offcuts if bar.length == length] for length in kinds[1:]}
    cut_bars = []
    for kind, cut in chosen:
        on = []
        for length, number in zip(lengths, cut, strict=True):
            for _ in range(min(number, len(waiting[length]))):
                on.append(waiting[length].pop())
        if on:
            bar = in_hand[kinds[kind]].pop() if kind else StockBar(kinds[0])
            cut_bars.append(CutBar(bar, tuple(on)))
    return cut_bars
