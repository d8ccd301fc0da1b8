"""Meeting: both ends are fixed, so the loose numbers of the walk are moved until they meet."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Any

from yarrow.features.feature import changed
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.geometry.vectors import Vector, dot, length, scaled, subtract
from yarrow.obstacles.setting import exact
from yarrow.runs.layout.walk import lay_out
from yarrow.runs.model.lines import line_phrase
from yarrow.runs.model.plan import Solved
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Shown, Value

FLOATING = ("at", "rise", "width", "angle")
"""Numbers that a line may have loose."""

_DEGREE = 0.1
"""How far a degree is let go against a length of 1: an angle moves only where lengths do not do."""

_ROUNDS = 25
_NEARER = 0.999
"""Of what was missed before: a round that brings the end no nearer than this is the last one."""

_MET = 1e-7
"""Of the run's own size: ends as close as this meet."""

_SINGULAR = 1e-6
"""What keeps a direction that no loose number reaches from swamping those that are reached."""


@dataclass(frozen=True, slots=True)
class ClosureResult:
    """A run whose ends meet as near as its loose numbers let them."""

    run: ResolvedRun
    solved: tuple[Solved, ...]
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class _Number:
    feature: int
    field: str

    @property
    def weight(self) -> float:
        return _DEGREE if self.field == "angle" else 1.0

    @property
    def trial(self) -> float:
        """By how much it is moved to see where the end goes: lengths go there in proportion."""
        return 0.01 if self.field == "angle" else 1.0

    def read(self, run: ResolvedRun) -> float:
        return float(getattr(run.walk[self.feature], self.field))

    def moved(self, run: ResolvedRun, by: float) -> ResolvedRun:
        line = run.walk[self.feature]
        value = self.read(run) + by
        fields: dict[str, Any] = {self.field: value if self.field == "angle" else exact(value)}
        moved = changed(line, **fields)
        return replace(run, walk=(*run.walk[: self.feature], moved, *run.walk[self.feature + 1 :]))


def close_run(run: ResolvedRun, target: Vector) -> ClosureResult:
    """The least moves of the loose numbers that bring the end's face to where it is fixed.

    Newton's steps, each the least-squares one of the end's three coordinates by the loose numbers.

    Args:
        target: ahead, left and out of the start's face, in the document's unit.

    Returns:
        The run with its numbers moved; an error finding where they do not reach.

    Source:
        docs/geometry.md, fixed ends.
    """
    loose = [
        _Number(feature, field)
        for feature, line in enumerate(run.walk)
        for field in line.loose
        if feature not in run.answers and field in line.may_be_loose
    ]
    solved = _reach(run, loose, target)
    off = subtract(target, _end(solved))
    unreached = length(off) > _MET * max(length(target), 1.0)
    wrong = [number for number in loose if _impossible(number, solved)]
    if unreached or wrong:
        return ClosureResult(run, (), (_not_reached(run, loose, target, off, wrong, solved),))
    moved = tuple(_solved(number, run, solved) for number in loose)
    notes = tuple(
        _note(solved, number) for number in moved if number.said_text != number.became_text
    )
    return ClosureResult(solved, moved, notes)


def _end(run: ResolvedRun) -> Vector:
    return lay_out(run).lines[-1].laid.reached


def _reach(run: ResolvedRun, loose: Sequence[_Number], target: Vector) -> ResolvedRun:
    """The run with its loose numbers moved until it reaches, or comes no nearer."""
    bends_too = any(number.field == "angle" for number in loose)
    columns: list[Vector] = []
    last = math.inf
    for _ in range(_ROUNDS if loose else 0):
        off = subtract(target, _end(run))
        missed = length(off)
        if missed <= _MET * max(length(target), 1.0) / 10 or missed > _NEARER * last:
            break
        last = missed
        if bends_too or not columns:
            columns = _columns(run, loose)
        steps = _least_steps(columns, off)
        for number, step in zip(loose, steps, strict=True):
            run = number.moved(run, _kept(number, run, step * number.weight))
    return run


def _kept(number: _Number, run: ResolvedRun, step: float) -> float:
    """A step that keeps an angle between what any bender makes; lengths go where they must."""
    if number.field != "angle":
        return step
    value = number.read(run)
    return min(max(value + max(min(step, 15.0), -15.0), 1.0), 120.0) - value


def _columns(run: ResolvedRun, numbers: Sequence[_Number]) -> list[Vector]:
    """Where the end goes when each number is moved by one, by its weight."""
    here = _end(run)
    return [
        scaled(subtract(_end(number.moved(run, number.trial)), here), number.weight / number.trial)
        for number in numbers
    ]


def _least_steps(columns: Sequence[Vector], off: Vector) -> list[float]:
    """Jᵀ (J Jᵀ)⁻¹ off, over the directions that the columns reach at all."""
    square = [[math.fsum(c[i] * c[j] for c in columns) for j in range(3)] for i in range(3)]
    trace = math.fsum(square[i][i] for i in range(3))
    for i in range(3):
        square[i][i] += _SINGULAR * trace + 1e-300
    solved = _solve(square, off)
    return [dot(column, solved) for column in columns]


def _solve(square: list[list[float]], right: Vector) -> Vector:
    """Three equations, by Cramer's rule."""
    a, b, c = square
    whole = _determinant(a, b, c)
    if whole == 0.0:
        return (0.0, 0.0, 0.0)
    result = []
    for column in range(3):
        rows = [list(row) for row in square]
        for row, value in zip(rows, right, strict=True):
            row[column] = value
        result.append(_determinant(*rows) / whole)
    return (result[0], result[1], result[2])


def _determinant(a: Sequence[float], b: Sequence[float], c: Sequence[float]) -> float:
    return (
        a[0] * (b[1] * c[2] - b[2] * c[1])
        - a[1] * (b[0] * c[2] - b[2] * c[0])
        + a[2] * (b[0] * c[1] - b[1] * c[0])
    )


def _impossible(number: _Number, run: ResolvedRun) -> bool:
    value = number.read(run)
    return not math.isfinite(value) or (number.field in ("rise", "width") and value <= 0)


def _not_reached(
    run: ResolvedRun,
    loose: Sequence[_Number],
    target: Vector,
    off: Vector,
    wrong: Sequence[_Number],
    solved: ResolvedRun,
) -> Finding:
    """By how much the ends do not meet, and which number would have to be loose for it."""
    words = run.lengths
    values: dict[str, Value]
    if wrong:
        variant = "number"
        values = {
            **_field_and_line(run, wrong[0].feature, wrong[0].field),
            "value": words.measured(wrong[0].read(solved)),
        }
    else:
        variant, values = "off" if loose else "tight", {"off": _missed(off, run)}
    helper, remedy = _helper(run, loose, target), None
    values["helps"] = Phrase("no-number-runs-that-way")
    if helper is not None:
        values["helps"] = Phrase("let-float", _field_and_line(run, helper.feature, helper.field))
        own = run.walk[helper.feature].loose
        path = f"walk[{helper.feature}].loose"
        remedy = Remedy(Phrase("let-it-float"), path, (*own, helper.field))
    last = len(run.walk) - 1
    code, path = FindingCode.END_NOT_REACHED, f"walk[{last}].meet"
    return Finding(code, values, last, path, remedy=remedy, variant=variant)


def _field_and_line(run: ResolvedRun, feature: int, field: str) -> dict[str, Value]:
    return {"field": Phrase(f"field/{field}"), "line": line_phrase(run, feature)}


def _missed(off: Vector, run: ResolvedRun) -> tuple[Phrase, ...]:
    words = run.lengths
    sides = (("back", "ahead"), ("right", "left"), ("in", "out"))
    parts = tuple(
        Phrase(f"too-far/{names[value < 0]}", {"far": words.measured(abs(value))})
        for value, names in zip(off, sides, strict=True)
        if not words.reading(value).is_zero
    )
    return parts or (Phrase("too-far/a-hair"),)


def _helper(run: ResolvedRun, loose: Sequence[_Number], target: Vector) -> _Number | None:
    """A number that is tight, and that would let the ends meet if it were loose."""
    others = [
        _Number(feature, field)
        for field in FLOATING
        for feature, line in enumerate(run.walk)
        if feature not in run.answers and field in line.may_be_loose and field not in line.loose
    ]
    off = subtract(target, _end(run))
    columns = dict(zip([*loose, *others], _columns(run, [*loose, *others]), strict=True))

    def left(helper: _Number) -> float:
        chosen = [columns[number] for number in [*loose, helper]]
        steps = _least_steps(chosen, off)
        moved = [math.fsum(s * c[i] for s, c in zip(steps, chosen, strict=True)) for i in range(3)]
        return math.dist(moved, off)

    ranked = sorted(others, key=left)
    for helper in ranked[:2]:
        solved = _reach(run, [*loose, helper], target)
        near = math.dist(target, _end(solved)) <= _MET * max(length(target), 1.0)
        if near and not any(_impossible(number, solved) for number in [*loose, helper]):
            return helper
    return None


def _solved(number: _Number, run: ResolvedRun, solved: ResolvedRun) -> Solved:
    words = run.lengths
    before, became = number.read(run), number.read(solved)
    texts: list[Shown] = [
        f"{value:.1f}°" if number.field == "angle" else words.reading(value)
        for value in (before, became)
    ]
    return Solved(number.feature, number.field, before, texts[0], became, texts[1])


def _note(run: ResolvedRun, solved: Solved) -> Finding:
    return Finding(
        FindingCode.FREE_DIMENSION,
        {
            **_field_and_line(run, solved.feature, solved.field),
            "became": solved.became_text,
            "said": solved.said_text,
        },
        solved.feature,
        f"walk[{solved.feature}].{solved.field}",
    )
