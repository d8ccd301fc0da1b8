"""The printed way: multipliers and shrink for the same run, as they stand on a bender's card."""

from __future__ import annotations

import math

from yarrow.catalog.tables import rules_of_thumb
from yarrow.features.leg import RuleMark
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.measure import ieee
from yarrow.runs.layout.walk import LaidLine, Layout
from yarrow.values import dataclass


class PrintedRule:
    """The catalogue's tables; for an angle without a row, what a card would say if it had one."""

    def offset(self, angle: float) -> tuple[float, float]:
        """Multiplier and shrink; else 1/sin θ and tan(θ/2).

        Source:
            catalog/rules-of-thumb.csv.
        """
        radians = math.radians(angle)
        return _printed_row("rules-of-thumb", angle) or (
            1 / ieee.sin(radians),
            ieee.tan(radians / 2),
        )

    def saddle(self, angle: float) -> tuple[float, float]:
        """Distance of an outer and shrink, by the centre angle; else as an offset of half of it.

        Source:
            catalog/rules-of-thumb-saddle.csv.
        """
        half = math.radians(angle) / 2
        usual = (1 / ieee.sin(half), ieee.tan(half / 2))
        return _printed_row("rules-of-thumb-saddle", angle) or usual


def _printed_row(table: str, angle: float) -> tuple[float, float] | None:
    for row in rules_of_thumb(table):
        if row.angle == angle:
            return row.multiplier, row.shrink
    return None


@dataclass(frozen=True, slots=True)
class RuleWork:
    """The printed way for a whole run: a spot a bend, None where no rule is printed and the exact
    arc is moved along by its drift, the pipe that the rules before it used up beyond need."""

    spots: tuple[RuleMark | None, ...]
    drifts: tuple[float, ...]
    cut_length: float


def by_rule(layout: Layout, pipe: StraightPipe) -> RuleWork:
    """Where printed rules put every bend, in order, and the cut length that goes with them."""
    spots: list[RuleMark | None] = []
    drifts: list[float] = []
    drift = 0.0
    rule = PrintedRule()
    by_corner = dict(zip(pipe.corners, pipe.bends, strict=True))
    for item in layout.lines:
        vertices = range(item.first_vertex, item.first_vertex + len(item.laid.corners))
        own = [by_corner[corner] for corner in vertices if corner in by_corner]
        drifts += [drift] * len(own)
        if not own:
            continue
        base, used = _from_leg_to_pipe(own, item)
        worked = item.line.by_rule(item.leg, layout.pipe, base + drift, rule)
        if worked is None:
            spots += [None] * len(own)
        else:
            spots += worked.spots
            drift += worked.shrink - used
    return RuleWork(tuple(spots), tuple(drifts), pipe.cut_length + drift)


def _from_leg_to_pipe(own: list[PipeBend], item: LaidLine) -> tuple[float, float]:
    """What to add to a place on the leg before a line to come to the pipe, and how much more pipe
    the line takes than going straight on."""
    first, last = own[0], own[-1]
    before = first.arc_start + tangent_length(first.radius, first.angle) - item.laid.begins
    after = last.arc_end - tangent_length(last.radius, last.angle) - item.laid.ends
    return before, after - before
