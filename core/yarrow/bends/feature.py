"""What every kind of line in a walk can do: lie on its leg, be read back, be drawn on its site."""

from __future__ import annotations

from typing import ClassVar, Literal, Protocol

from yarrow.bends.leg import ByRule, Laid, Leg, Pipe, Read, Rule
from yarrow.bends.on_site import OnSite
from yarrow.geometry.vectors import Vector


class Feature(OnSite, Protocol):
    """A line of the walk that has its bends."""

    is_met: ClassVar[Literal[False]]
    """Whether it is something that is there, and that bends are chosen for."""

    @property
    def label(self) -> str:
        """What the person calls it; empty where nothing was said."""

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """The vertices of this line on its leg."""

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Read, ...]:
        """This line's dimensions as they come out on a bent pipe.

        Args: leg, as it was laid; origin, where the leg begins on the bent pipe; vertices, this
        feature's own on the bent pipe, and the one after them where there is one; the last of all
        is where the pipe passes the face at its end.
        """

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: Rule) -> ByRule | None:
        """Where printed multipliers and shrink put this line's marks; None where there are none.

        Args: base, what to add to a place on this leg to come to a position on the pipe.
        """
