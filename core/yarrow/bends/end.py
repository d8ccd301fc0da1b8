"""End: where the run stops, at the face of a fitting, with what the pipe goes beyond it."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from yarrow.bends.leg import ByRule, Corner, Datum, Laid, Leg, Pipe, Read, Rule
from yarrow.geometry.vectors import Vector, dot, subtract


@dataclass(frozen=True, slots=True)
class End:
    """The last line of a walk; ``allowance`` is resolved: pipe beyond the face (< 0: short)."""

    at: Fraction
    allowance: Fraction
    fitting: str = "open"
    measured_from: Datum = "back"
    loose: tuple[str, ...] = ()
    box: str = ""
    label: str = ""

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """One vertex, the end of the pipe: the face and the allowance beyond it."""
        face = leg.place(float(self.at), self.measured_from)
        place = face + float(self.allowance)
        return Laid(
            corners=(Corner(leg.point(place), "end"),),
            begins=place,
            ends=place,
            after=leg,
            hooked=leg.point(leg.datum(self.measured_from)),
            reached=leg.point(face),
        )

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Read, ...]:
        """At: along the leg to the face."""
        place = dot(subtract(vertices[0], origin), leg.frame.ahead)
        face = place - float(self.allowance) - leg.datum(self.measured_from)
        return (Read("at", float(self.at), face),)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: Rule) -> ByRule | None:
        """No bend."""
        return None
