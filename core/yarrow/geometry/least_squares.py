"""The values that make a list of errors as small as can be, their squares summed: Levenberg and
Marquardt's damped steps, the slopes by differences. For a few dozen unknowns."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from operator import mul

_STEP = 1e-6
"""By how much an unknown is moved to see the slope: all unknowns are near one in size."""

ROUNDS = 60
"""Of steps, at most: far more than anything takes that comes to an end."""

_DAMPING = (1e-3, 1e12)

_NOTHING = 1e-20

Errors = Callable[[Sequence[float]], Sequence[float] | None]
"""The errors at some values; None where those can't be."""


def least_squares(errors: Errors, begin: Sequence[float]) -> list[float]:
    """Values near ``begin`` at which the sum of the errors' squares is least.

    Args:
        errors: as many at every values, at least one of each unknown.
        begin: values that can be, in whatever unit each has.

    Returns:
        As many as ``begin``, in the same units.

    Raises:
        ValueError, where ``begin`` can't be.

    Source:
        Levenberg (1944), Marquardt (1963).
    """
    return least_squares_in(errors, begin, ROUNDS)[0]


def least_squares_in(errors: Errors, begin: Sequence[float], most: int) -> tuple[list[float], int]:
    """The same in so many rounds at the most, the best so far then; and how many it took.

    Args:
        errors, begin: as for least_squares, in whatever unit each has.
        most: rounds, 0 for none.

    Returns:
        As many as ``begin``, in the same units; and the rounds.

    Raises:
        ValueError, as for least_squares.
    """
    taken = 0
    values = list(begin)
    result = errors(values)
    if result is None:
        raise ValueError("the values to begin with can't be")
    least, damping = _squares(result), _DAMPING[0]
    while taken < min(most, ROUNDS) and least > _NOTHING:
        taken += 1
        slopes = _slopes(errors, values, result)
        pulls = [math.fsum(map(mul, slope, result)) for slope in slopes]
        square = _products(slopes)
        before = least
        while damping < _DAMPING[1]:
            step = solved(
                [
                    [cell * (1 + damping) if i == j else cell for j, cell in enumerate(row)]
                    for i, row in enumerate(square)
                ],
                [-pull for pull in pulls],
            )
            tried = [value + by for value, by in zip(values, step, strict=True)]
            there = errors(tried)
            if there is not None and (sum_there := _squares(there)) <= least:
                values, result, least = tried, there, sum_there
                damping = max(damping / 10, 1e-12)
                break
            damping *= 10
        if before - least <= 1e-10 * before or least < _NOTHING:
            break
    return values, taken


def solved(rows: Sequence[Sequence[float]], right: Sequence[float]) -> list[float]:
    """The unknowns of as many linear equations, by elimination with pivots; 0 for an unknown that
    they say nothing of.

    Args:
        rows: the equations' factors, a square of them, in whatever unit.
        right: what each comes to, likewise.

    Returns:
        One a column.
    """
    table = [[*row, value] for row, value in zip(rows, right, strict=True)]
    size = len(table)
    for column in range(size):
        pivot = max(range(column, size), key=lambda row: abs(table[row][column]))
        table[column], table[pivot] = table[pivot], table[column]
        if abs(table[column][column]) < 1e-300:
            continue
        for row in range(column + 1, size):
            share = table[row][column] / table[column][column]
            if share:
                table[row] = [a - share * b for a, b in zip(table[row], table[column], strict=True)]
    result = [0.0] * size
    for row in range(size - 1, -1, -1):
        if abs(table[row][row]) >= 1e-300:
            known = math.fsum(table[row][at] * result[at] for at in range(row + 1, size))
            result[row] = (table[row][size] - known) / table[row][row]
    return result


def _slopes(errors: Errors, values: Sequence[float], here: Sequence[float]) -> list[list[float]]:
    """For each unknown, how fast each error grows with it."""
    result = []
    for at in range(len(values)):
        moved, step = list(values), _STEP
        moved[at] += step
        there = errors(moved)
        if there is None:
            step = -_STEP
            moved[at] = values[at] + step
            there = errors(moved)
        if there is None:
            result.append([0.0] * len(here))
        else:
            result.append([(b - a) / step for a, b in zip(here, there, strict=True)])
    return result


def _squares(errors: Sequence[float]) -> float:
    return math.fsum(error * error for error in errors)


def _products(slopes: Sequence[Sequence[float]]) -> list[list[float]]:
    """Every slope times every other, summed: the same over its diagonal as under it."""
    size = len(slopes)
    square = [[0.0] * size for _ in range(size)]
    for at, one in enumerate(slopes):
        for beside in range(at + 1):
            square[at][beside] = square[beside][at] = math.fsum(map(mul, one, slopes[beside]))
    return square
