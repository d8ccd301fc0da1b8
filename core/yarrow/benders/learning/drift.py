"""Drift: whether a bender still does what it did, and its numbers as they are now."""

from __future__ import annotations

import math
from collections import defaultdict
from collections.abc import Callable, Collection, Sequence
from functools import partial
from itertools import accumulate, pairwise
from statistics import median

from yarrow.benders.learning.equations import Equation, Group
from yarrow.benders.learning.least_squares import FAR, Fitted, Prior, fitted
from yarrow.measure import ieee
from yarrow.values import dataclass, replace

_FEWEST = 10
"""Bends among which a change is looked for: fewer tell chance from change badly."""

_NEIGHBOURS = 3
"""Bends to either side that a bend is held against before any is left out."""

_CLEAR = 9.0
"""By how much the errors' squares have to fall for a drift to be told: three errors' worth."""

_STEP_IS_LIKELY = 0.5
_CREEP_IS_LIKELY = 0.05
"""How often a bender changed at some time, at once and little by little, before anything was
measured. Working figures: what keeps the intervals of those that did."""

_MOVES_BY = 5.0
"""What a change may be, one standard deviation, in errors of one bend. A working figure."""

_HELD, _NORMAL = 0.95, 1.96
"""19 of 20 cases, and the standard errors that hold them."""

_FINE = 8
"""Parts of a standard error, within which two histories say the same."""

_CERTAIN = 100.0
"""Logarithm of odds beyond which nothing changes any more."""

_NEVER = 1e-4
"""Of what is likeliest, what is not looked at."""

_MAD = 1.4826
"""A standard deviation, in medians of the absolute deviation."""

Left = Callable[[int], float]
"""How much of a movement, of 1, was still to come when a bend was made, by its number."""


@dataclass(frozen=True, slots=True)
class Drift:
    """What has moved: where bends lie (``stub``) or how far they go (``angle``); by how much, a
    length or degrees, since how many bends, and whether little by little."""

    what: Group
    by: float
    bends: int
    creeps: bool


def followed(
    equations: Sequence[Equation],
    believed: Sequence[Prior],
    without: Collection[int],
    certain: Collection[int],
) -> tuple[Fitted, Drift | None]:
    """The unknowns as they are now. A change of the first of them is looked for before any bend is
    left out, since many that are off alike are no slips: where it has moved, what it was before is
    another unknown. Its interval holds what it is now whether or not it changed.

    Args:
        equations: in the order that the bends were made.
        believed, without, certain: as for fitted.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    still = fitted(equations, believed, without, certain)
    counted = [
        equation for equation in equations if equation.bend not in without and equation.factors[0]
    ]
    bends = _bends_off(still, counted, certain)
    if len(bends) < _FEWEST:
        return still, None
    unchanged, *changes = _histories(bends)
    likeliest = max(changes, key=lambda history: history.evidence)
    against = math.fsum(
        ieee.exp(min(change.evidence - unchanged.evidence, _CERTAIN)) for change in changes
    )
    if against < 1 or likeliest.explains < _CLEAR:
        return _widened(still, unchanged, (unchanged, *changes)), None
    more = (*believed, Prior(0.0, None))
    result = fitted(_moving(equations, likeliest.left), more, without, certain)
    drift = Drift(counted[0].group, -result.values[-1], likeliest.bends, likeliest.creeps)
    return _widened(result, likeliest, (unchanged, *changes)), drift


def _moving(equations: Sequence[Equation], left: Left) -> list[Equation]:
    """The same with how much of a movement was still to come as another unknown."""
    return [
        replace(equation, factors=(*equation.factors, equation.factors[0] * left(equation.bend)))
        for equation in equations
    ]


@dataclass(frozen=True, slots=True)
class _BendOff:
    """By how much a bend is off, as the first unknown, and one over the square of its error."""

    bend: int
    off: float
    weight: float


def _bends_off(
    still: Fitted, counted: Sequence[Equation], certain: Collection[int]
) -> list[_BendOff]:
    """Every bend but those that are far from the bends before and from those behind them, and from
    the next on either side: a slip is off by itself, a change together with what follows."""
    by_bend: dict[int, list[Equation]] = {}
    for equation in counted:
        by_bend.setdefault(equation.bend, []).append(equation)
    bends = []
    for bend, equations in sorted(by_bend.items()):
        weights = [ieee.square(equation.factors[0] / equation.error) for equation in equations]
        offs = [still.off(equation) / equation.factors[0] for equation in equations]
        whole = math.fsum(weights)
        off = math.fsum(map(float.__mul__, weights, offs)) / whole
        bends.append(_BendOff(bend, off, whole))
    if len(bends) < _FEWEST:
        return bends
    # By the differences of neighbours, which a change moves in one place only.
    differences = [
        abs(one.off - other.off) / math.sqrt(1 / one.weight + 1 / other.weight)
        for one, other in pairwise(bends)
    ]
    scale = max(_MAD * median(differences), 1.0)
    scaled = [replace(bend, weight=bend.weight / ieee.square(scale)) for bend in bends]
    return [
        bend
        for at, bend in enumerate(scaled)
        if bend.bend in certain
        or any(
            abs(bend.off - median(one.off for one in some)) <= FAR / math.sqrt(bend.weight)
            for side in (scaled[max(at - _NEIGHBOURS, 0) : at][::-1], scaled[at + 1 :])
            for some in (side[:1], side[:_NEIGHBOURS])
            if some
        )
    ]


@dataclass(frozen=True, slots=True)
class _History:
    """What may have happened: how much was still to come at each bend, since how many bends; by
    how much it explains the errors' squares better than nothing does, the logarithm of how likely
    it is against the others, and what the first unknown is now by it, with its standard error."""

    left: Left
    bends: int
    creeps: bool
    explains: float
    evidence: float
    now: float
    error: float


def _histories(bends: Sequence[_BendOff]) -> list[_History]:
    """That nothing changed, then every way in which it may have: at once before any bend, or little
    by little from the first."""
    whole = math.fsum(bend.weight for bend in bends)
    mean = math.fsum(bend.weight * bend.off for bend in bends) / whole
    stays = _History(
        lambda _: 0.0,
        0,
        False,
        0.0,
        ieee.log(1 - _STEP_IS_LIKELY - _CREEP_IS_LIKELY),
        mean,
        1 / math.sqrt(whole),
    )
    moves_by = _MOVES_BY / math.sqrt(whole / len(bends))
    first, last = bends[0].bend, bends[-1].bend
    creeping: Left = lambda bend: (last - bend) / (last - first)  # noqa: E731
    result = [stays, _creep(bends, creeping, mean, moves_by)]
    weights = list(accumulate(bend.weight for bend in bends))
    sums = list(accumulate(bend.weight * bend.off for bend in bends))
    for at in range(2, len(bends) - 1):
        before, after = weights[at - 1], whole - weights[at - 1]
        was = sums[at - 1] / before
        now = (sums[-1] - sums[at - 1]) / after
        variance = 1 / before + 1 / after
        result.append(
            _History(
                partial(_before, bends[at].bend),
                len(bends) - at,
                False,
                ieee.square(now - was) / variance,
                ieee.log(_STEP_IS_LIKELY / (len(bends) - 3))
                + _evidence(now - was, variance, moves_by),
                now,
                1 / math.sqrt(after),
            )
        )
    return result


def _creep(bends: Sequence[_BendOff], left: Left, mean: float, moves_by: float) -> _History:
    whole = math.fsum(bend.weight for bend in bends)
    middle = math.fsum(bend.weight * left(bend.bend) for bend in bends) / whole
    spread = math.fsum(bend.weight * ieee.square(left(bend.bend) - middle) for bend in bends)
    slope = (
        math.fsum(bend.weight * (left(bend.bend) - middle) * bend.off for bend in bends) / spread
    )
    return _History(
        left,
        len(bends),
        True,
        slope * slope * spread,
        ieee.log(_CREEP_IS_LIKELY) + _evidence(slope, 1 / spread, moves_by),
        mean - slope * middle,
        math.sqrt(1 / whole + middle * middle / spread),
    )


def _evidence(moved: float, variance: float, moves_by: float) -> float:
    """How much likelier what was measured is with a change of which only its size in general is
    known than without one, its logarithm: a normal likelihood and a normal belief, multiplied
    out."""
    wide = variance + moves_by * moves_by
    return ieee.log(variance / wide) / 2 + moved * moved / 2 * (1 / variance - 1 / wide)


def _before(step: int, bend: int) -> float:
    return 1.0 if bend < step else 0.0


def _widened(result: Fitted, taken: _History, histories: Sequence[_History]) -> Fitted:
    """The same with the first unknown's interval as wide as holds 19 of 20 cases over all that may
    have happened."""
    best = max(history.evidence for history in histories)
    fine = taken.error / _FINE
    # Most say nearly the same: together they are one.
    alike: dict[tuple[int, int], float] = defaultdict(float)
    for history in histories:
        alike[round((history.now - taken.now) / fine), round(history.error / fine)] += ieee.exp(
            history.evidence - best
        )
    likely = [
        (weight, now * fine, max(wide, 1) * fine)
        for (now, wide), weight in alike.items()
        if weight > _NEVER
    ]
    whole = math.fsum(weight for weight, _, _ in likely)
    low, high = 0.0, 2 * _NORMAL * max(abs(now) + error for _, now, error in likely)
    while high - low > high / 200:
        half = (low + high) / 2
        held = math.fsum(
            weight * (_below((half - now) / error) - _below((-half - now) / error))
            for weight, now, error in likely
        )
        low, high = (half, high) if held < _HELD * whole else (low, half)
    wider = max(high / (_NORMAL * taken.error), 1.0)
    return replace(result, widths=(result.widths[0] * wider, *result.widths[1:]))


def _below(deviations: float) -> float:
    """The share of a normal distribution that lies below so many standard deviations."""
    return (1 + ieee.erf(deviations / math.sqrt(2))) / 2
