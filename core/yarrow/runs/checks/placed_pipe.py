"""A run's pipe with the bender on each of its bends, as marks and checks take it."""

from __future__ import annotations

import math

from yarrow.bend_simulation.order import Order
from yarrow.benders.placing import Placing
from yarrow.findings.finding import Remedy
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import StraightPipe, develop
from yarrow.geometry.vectors import along
from yarrow.role import Role
from yarrow.runs.layout.walk import Layout
from yarrow.runs.model.lines import move, place_field
from yarrow.runs.model.plan import Mark
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase

_HAIR = 1e-6

_ROUNDS = 40
"""Steps toward the place that is far enough; each takes off most of what was lacking."""


@dataclass(frozen=True, slots=True)
class PlacedPipe:
    """A run, laid out and straightened, with the bender on each bend: ``order`` is how they are
    made, one after the other; ``placings`` and the exact ``marks`` stand in order along the pipe.
    """

    run: ResolvedRun
    layout: Layout
    pipe: StraightPipe
    order: Order
    placings: tuple[Placing, ...]
    marks: tuple[Mark, ...]

    def feature(self, bend: int) -> int:
        """The line of the walk that a bend belongs to.

        Args:
            bend: its number along the pipe, from 0.

        Returns:
            The line's number on the walk, from 0.
        """
        return self.layout.owners[self.pipe.corners[bend] - 1][0]

    def role(self, bend: int) -> Role:
        """The part that a bend has in its line.

        Args:
            bend: its number along the pipe, from 0.
        """
        return self.layout.owners[self.pipe.corners[bend] - 1][1]

    def field(self, feature: int) -> str:
        """The path of the field that says where a line is.

        Args:
            feature: the line's number, from 0.
        """
        return place_field(self.run, feature)

    def further(self, feature: int, straight: int, wanted: float) -> float:
        """How much further along a line has to be, so that a straight of the pipe is at least so
        long; infinite where no place is far enough. Beside a kick that is more than what the
        straight lacks: its slope, and with it its arc, changes with the place.

        Args:
            feature: the line's number.
            straight: counted along the pipe from 0.
            wanted: a length, longer than it is.

        Returns:
            In the run's unit.
        """
        short = wanted - self.pipe.straights[straight]
        kicks = any(
            self.role(bend).leans
            for bend in (straight - 1, straight)
            if 0 <= bend < len(self.pipe.bends)
        )
        if not (kicks and self.layout.lines):
            return short
        by = short
        for _ in range(_ROUNDS):
            lacking = wanted - self._straight_moved(feature, straight, by)
            if lacking <= 0:
                return by
            by += lacking + _HAIR
        return math.inf

    def _straight_moved(self, feature: int, straight: int, by: float) -> float:
        """How long a straight is with a line moved along its leg: what comes after it goes with it,
        but for what a kick leads up to."""
        item, corners = self.layout.lines[feature], self.pipe.corners
        vertices = self.layout.vertices
        begins = corners[straight - 1] if straight else 0
        ends = corners[straight] if straight < len(corners) else len(vertices) - 1
        first, last = max(begins - 1, 0), min(ends + 1, len(vertices) - 1)
        alone = item.laid.corners[-1].role.leans
        near = [
            along(vertex, item.leg.frame.ahead, by)
            if index == item.first_vertex or (index > item.first_vertex and not alone)
            else vertex
            for index, vertex in enumerate(vertices[first : last + 1], first)
        ]
        try:
            moved = develop(near, self.layout.pipe.radius)
        except GeometryError:
            return -math.inf  # it has come to lie on, or behind, what it leads up to
        if straight and begins - first not in moved.corners:
            return math.inf
        return moved.straights[moved.corners.index(begins - first) + 1 if straight else 0]

    def advise(self, by: float, key: str) -> Phrase:
        """A sentence with how much ``more`` something has to be further on; where no place is far
        enough, what helps then.

        Args:
            by: in the document's unit.
            key: of the sentence.
        """
        if math.isinf(by):
            return Phrase("no-place-far-enough")
        return Phrase(key, {"more": self.run.lengths.needed(by)})

    def move(self, feature: int, by: float) -> Remedy | None:
        """The fix that moves a line further along by at least so much; None on a path run, and
        where no place is far enough."""
        return move(self.run, feature, by)
