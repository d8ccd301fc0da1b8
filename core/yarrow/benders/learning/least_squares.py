"""Unknowns from many equations with errors: weighted least squares that says how well each is
known, and leaves out what is far from all the others."""

from __future__ import annotations

import math
from collections.abc import Collection, Mapping, Sequence
from operator import mul
from statistics import median
from typing import NamedTuple, get_args

from yarrow.benders.learning.equations import Equation, Group
from yarrow.geometry.least_squares import solved
from yarrow.measure import ieee
from yarrow.values import dataclass, replace

FAR = 4.0
"""Of its errors that a reading may be away from what the others say."""

_FEWEST = 4
"""Equations of a group that can tell which of them is wrong."""

_FEW = 5.0
"""How much wider the limit is for few: with a spread from n others it is 1 + 5/n times as far. At
20 it leaves one good reading in ten thousand out, at 3 one in six hundred."""

_MAD = 1.4826
"""A standard deviation, in medians of the absolute deviation."""

_MANY = 10
"""Equations from which a median says more of their scatter than their mean square, which one that
is wrong spoils."""

_NORMAL = 2.0
_STUDENT = (12.71, 4.30, 3.18, 2.78, 2.57, 2.45, 2.36, 2.31, 2.26, 2.23)
"""What a value is within in 19 of 20 cases: in standard errors that are known, and in those found
from 1, 2, 3 … differences (Student's t, two-sided 5 %)."""

_GROUPS = get_args(Group)

_UNKNOWN = 1e9
"""Standard deviation of an unknown of which nothing is believed beforehand."""


@dataclass(frozen=True, slots=True)
class Prior:
    """What is believed of an unknown before any bend: a value, give or take (None: by anything)."""

    value: float
    give_or_take: float | None


@dataclass(frozen=True, slots=True)
class Fitted:
    """Unknowns as they were found: their ``values``, how they vary together (``covariance``), how
    many standard errors hold each in 19 of 20 cases (``widths``), the sum of the errors' squares,
    and the bends that were left out."""

    values: tuple[float, ...]
    covariance: tuple[tuple[float, ...], ...]
    widths: tuple[float, ...]
    squares: float
    left_out: frozenset[int]

    def known_to(self, factors: Sequence[float]) -> float:
        """Half of the interval of a sum of the unknowns.

        Args:
            factors: one an unknown, in its own unit's inverse; the last ones may be left out.

        Returns:
            In the unit of the sum, for 19 of 20 cases.
        """
        spread = _product(factors, [_product(factors, row) for row in self.covariance])
        most = max(range(len(factors)), key=lambda at: abs(factors[at]))
        return self.widths[most] * math.sqrt(max(spread, 0.0))

    def value(self, factors: Sequence[float]) -> float:
        """A sum of the unknowns.

        Args:
            factors: one an unknown, in its own unit's inverse; the last ones may be left out.

        Returns:
            In the unit of the sum.
        """
        return _product(factors, self.values)

    def off(self, equation: Equation) -> float:
        """By how much an equation's value is more than what was found.

        Args:
            equation: in the same unknowns.

        Returns:
            In the equation's unit; below zero where it is less.
        """
        return equation.value - _product(equation.factors, self.values)


def fitted(
    equations: Sequence[Equation],
    believed: Sequence[Prior],
    without: Collection[int] = (),
    certain: Collection[int] = (),
) -> Fitted:
    """The unknowns at which the errors' squares are least.

    Args:
        equations: each with as many factors as there are unknowns.
        believed: of each unknown.
        without: bends that do not count.
        certain: bends that count however far they are away.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    left_out = set(without)
    while True:
        counted = [equation for equation in equations if equation.bend not in left_out]
        result, wrong = _once(counted, believed, certain)
        if not wrong:
            return replace(result, left_out=frozenset(left_out))
        left_out |= wrong


def estimated_values(equations: Sequence[Equation], believed: Sequence[Prior]) -> tuple[float, ...]:
    """The unknowns where the sum of the errors' squares is least, nothing left out.

    Args:
        equations, believed: as for fitted.

    Returns:
        One an unknown, each in its own unit.
    """
    values, _ = _estimated(equations, believed, dict.fromkeys(_GROUPS, 1.0))
    return values


def _once(
    equations: Sequence[Equation], believed: Sequence[Prior], certain: Collection[int]
) -> tuple[Fitted, set[int]]:
    """What all of them tell, and the bends that are too far from the others: the worst, and what is
    nearly as bad."""
    groups = sorted({equation.group for equation in equations})
    scales = dict.fromkeys(groups, 1.0)
    for _ in range(2):
        values, covariance = _estimated(equations, believed, scales)
        rows = _all_off(equations, values, covariance, scales)
        spreads = {group: _Spread.of(group, rows) for group in groups}
        now = {group: spreads[group].scale for group in groups}
        if now == scales:
            break
        scales = now
    else:
        values, covariance = _estimated(equations, believed, scales)
    far = {
        row.equation.bend: row.errors / spreads[row.equation.group].limit
        for row in sorted(rows, key=lambda row: row.errors)
        if row.equation.bend not in certain and spreads[row.equation.group].is_far(row)
    }
    worst = max(far.values(), default=0.0)
    wrong = {bend for bend, by in far.items() if by >= worst / 2}
    widths = tuple(_width(at, equations, spreads) for at in range(len(believed)))
    squares = math.fsum(row.errors * row.errors for row in rows)
    return Fitted(values, covariance, widths, squares, frozenset()), wrong


def _width(at: int, equations: Sequence[Equation], spreads: Mapping[Group, _Spread]) -> float:
    """How many standard errors hold an unknown in 19 of 20 cases: by the group that tells it."""
    weights: dict[Group, float] = {}
    for equation in equations:
        weight = ieee.square(equation.factors[at] / equation.error)
        weights[equation.group] = weights.get(equation.group, 0.0) + weight
    group = max(weights, key=weights.__getitem__, default=None)
    return spreads[group].width if group and weights[group] else _NORMAL


class _Off(NamedTuple):
    """An equation, by how many of its errors it is off, and the share of it that the unknowns were
    bent to (its leverage)."""

    equation: Equation
    errors: float
    share: float


def _all_off(
    equations: Sequence[Equation],
    values: Sequence[float],
    covariance: Sequence[Sequence[float]],
    scales: Mapping[Group, float],
) -> list[_Off]:
    result = []
    for equation in equations:
        factors, error = equation.factors, equation.error
        off = abs(equation.value - _product(factors, values)) / error
        pulled = _product(factors, [_product(factors, row) for row in covariance])
        share = pulled / ieee.square(error * scales[equation.group])
        result.append(_Off(equation, off, min(share, 1.0)))
    return result


@dataclass(frozen=True, slots=True)
class _Spread:
    """The scatter of a group: how many ``free`` differences it has, their mean square, its
    ``scale`` in errors (1 where the readings explain it), how many of those hold 19 of 20."""

    free: float
    square: float
    middle: float
    scale: float
    width: float
    limit: float

    @classmethod
    def of(cls, group: str, rows: Sequence[_Off]) -> _Spread:
        mine = [row for row in rows if row.equation.group == group]
        free = len(mine) - math.fsum(row.share for row in mine)
        total = math.fsum(ieee.square(row.errors) for row in mine)
        middle = _MAD * median(row.errors for row in mine)
        if free < 0.5:
            return cls(free, 0.0, middle, 1.0, _NORMAL, math.inf)
        square = total / free
        limit = FAR * (1 + _FEW / max(free - 1, 1.0)) if len(mine) >= _FEWEST else math.inf
        if square <= largest_share(free):
            return cls(free, square, middle, 1.0, _NORMAL, limit)
        at = max(round(free), 1)
        student = _STUDENT[at - 1] if at <= len(_STUDENT) else _NORMAL + 2.7 / at
        return cls(free, square, middle, math.sqrt(square), student, limit)

    def is_far(self, row: _Off) -> bool:
        """Whether an equation is off by more than its own error and the others' scatter allow."""
        left = max(1.0 - row.share, 1e-9)
        alone = row.errors / math.sqrt(left)
        if alone <= FAR or self.free <= 1.5:
            return False
        others = max(self.square * self.free - ieee.square(row.errors) / left, 0.0) / (
            self.free - 1
        )
        scatter = math.sqrt(others)
        if self.free >= _MANY:
            scatter = min(scatter, self.middle)
        return alone > self.limit * scatter


def largest_share(freedom: float) -> float:
    """What the square of a spread, over the expected one, keeps within in 19 of 20 cases: chi
    squared over its degrees of freedom, by Wilson and Hilferty (1931).

    Args:
        freedom: its degrees, above 0.

    Returns:
        A ratio, above 1.
    """
    ninth = 2 / (9 * freedom)
    root = 1 - ninth + 1.645 * math.sqrt(ninth)
    return root * root * root


def _estimated(
    equations: Sequence[Equation], believed: Sequence[Prior], scales: Mapping[Group, float]
) -> tuple[tuple[float, ...], tuple[tuple[float, ...], ...]]:
    """The values, and how they vary together."""
    size = len(believed)
    square = [[0.0] * size for _ in range(size)]
    right = [0.0] * size
    for at, prior in enumerate(believed):
        weight = 1 / ieee.square(_UNKNOWN if prior.give_or_take is None else prior.give_or_take)
        square[at][at] += weight
        right[at] += weight * prior.value
    for equation in equations:
        weight = 1 / ieee.square(equation.error * scales[equation.group])
        factors = equation.factors
        for at, factor in enumerate(factors):
            if factor:
                weighed, row = weight * factor, square[at]
                right[at] += weighed * equation.value
                for column, other in enumerate(factors):
                    row[column] += weighed * other
    values = tuple(solved(square, right))
    columns = [
        solved(square, [1.0 if row == at else 0.0 for row in range(size)]) for at in range(size)
    ]
    return values, tuple(zip(*columns, strict=True))


def _product(factors: Sequence[float], values: Sequence[float]) -> float:
    """Their products' sum, as far as there are factors."""
    return math.fsum(map(mul, factors, values))
