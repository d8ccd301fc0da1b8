"""What to expect of a plan's piece, as it is told: a figure a dimension, a word on the worst."""

from __future__ import annotations

from collections.abc import Sequence
from typing import NamedTuple

from yarrow.benders.placing import other_end
from yarrow.catalog.limits import limits
from yarrow.runs.expecting.expected import DimensionSpread, Expecting, ScatterPart, Spread
from yarrow.runs.model.lines import line_phrase
from yarrow.runs.model.plan import Expected, ToExpect
from yarrow.runs.model.run import ResolvedRun
from yarrow.runs.stages import BuildablePlan
from yarrow.wording.phrase import Phrase, Value, count

_DIFFER = 1.5
"""Times that one habit's spread is the other's, from which it is said."""


class Expectation(NamedTuple):
    """Every dimension's spread, and what is said of them."""

    dimensions: tuple[Expected, ...]
    said: ToExpect


NOTHING_EXPECTED = Expectation((), ToExpect())
"""Of a run of which no pipe comes out."""


def expect(plan: BuildablePlan) -> Expectation:
    """How far each dimension of a plan comes out, by either habit.

    Args:
        plan: of the piece.

    Source:
        docs/at-the-bender.md, what to expect.
    """
    if not plan.marked.dimensions:
        return NOTHING_EXPECTED
    spreads = tuple(Expecting(plan).spreads())
    words = plan.resolution.run.lengths
    dimensions = []
    for one in spreads:
        flat, go = one.flat.half, one.as_you_go.half
        texts = words.reading(words.up(flat)), words.reading(words.up(go))
        dimensions.append(Expected(one.feature, one.field, flat, texts[0], go, texts[1]))
    return Expectation(tuple(dimensions), _said(plan, spreads, dimensions))


def _said(
    plan: BuildablePlan, spreads: Sequence[DimensionSpread], expected: Sequence[Expected]
) -> ToExpect:
    """Of what was measured and has to fit: what is loose moves by itself."""
    run = plan.resolution.run
    matters = limits().as_good_as_right.of(run.unit)
    loose = [dimension.loose for dimension in plan.marked.dimensions]
    fixed = [at for at in range(len(expected)) if not loose[at]]
    worst = max(fixed, key=lambda at: expected[at].half(run.marking), default=None)
    if worst is None or expected[worst].half(run.marking) <= matters:
        return ToExpect()
    spread = spreads[worst]
    return ToExpect(
        _habits(run, [expected[at] for at in fixed], matters),
        _taken_up(plan, [expected[at] for at in range(len(expected)) if loose[at]]),
        _narrowed(run, expected[worst], spread.flat if run.marking == "flat" else spread.as_you_go),
    )


def _habits(run: ResolvedRun, expected: Sequence[Expected], matters: float) -> Phrase | str:
    """The dimension at which they differ most."""
    most = max(expected, key=lambda one: abs(one.flat - one.as_you_go))
    less, more = sorted((most.flat, most.as_you_go))
    if run.method == "table" or more - less <= matters or more < _DIFFER * less:
        return ""
    values: dict[str, Value] = {
        "what": _dimension(run, most),
        "flat": run.lengths.needed(most.flat),
    }
    return Phrase("expect/habits", {**values, "as_you_go": run.lengths.needed(most.as_you_go)})


def _taken_up(plan: BuildablePlan, loose: Sequence[Expected]) -> Phrase:
    """Where what is left goes: a loose number, the piece that goes up last, the end that is cut
    last."""
    run = plan.resolution.run
    if loose:
        return Phrase("expect/taken-up/loose", {"what": _dimension(run, loose[-1])})
    if run.joints is not None:
        return Phrase("expect/taken-up/last-piece")
    return Phrase(f"expect/taken-up/{other_end(plan.finding_marks[-1].first)}")


def _narrowed(run: ResolvedRun, worst: Expected, spread: Spread) -> Phrase:
    values: dict[str, Value] = {
        "what": _dimension(run, worst),
        "half": run.lengths.needed(spread.half),
        "number": _what_scatters(spread.most),
    }
    return Phrase("expect/narrowed", values)


def _what_scatters(part: ScatterPart) -> Phrase:
    """What a person can look at: one mark, one angle, or the bender."""
    if part.bend is None:
        return Phrase(f"expect/number/{'cut' if part.number == 'mark' else part.number}")
    return Phrase(f"expect/number/{part.number}", {"bend": count(part.bend + 1)})


def _dimension(run: ResolvedRun, one: Expected) -> Phrase:
    field = Phrase(f"field/{one.field}")
    return Phrase("expect/what", {"field": field, "line": line_phrase(run, one.feature)})
