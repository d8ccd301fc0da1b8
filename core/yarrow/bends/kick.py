"""Kick: one small bend that leans the pipe over, until the next turn or the end."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from yarrow.bends.leg import ByRule, Corner, Datum, Laid, Leg, Pipe, Read, RiseFrom, Rule
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, dot, subtract


@dataclass(frozen=True, slots=True)
class Kick:
    """A line of the walk: from ``at`` on the pipe leans over, by ``rise`` at the next turn or end.

    Its angle is not given: it follows from the two places. The turn after it still faces its
    nominal way, so that its own angle comes from the two directions.
    """

    at: Fraction
    rise: Fraction
    toward: Side
    measured_from: Datum = "back"
    rise_from: RiseFrom = "surface"
    loose: tuple[str, ...] = ()
    label: str = ""

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """One vertex on the line; what comes after it is displaced. Source: docs/geometry.md."""
        place = leg.place(float(self.at), self.measured_from)
        return Laid(
            corners=(Corner(leg.point(place), "kick"),),
            begins=place,
            ends=place,
            after=leg.displaced(self.toward, self._rise(pipe)),
            hooked=leg.point(leg.datum(self.measured_from)),
            reached=leg.point(place),
        )

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Read, ...]:
        """At: where it leaves the line. Rise: how far over the next vertex lies."""
        kick, following = vertices[:2]
        place = dot(subtract(kick, origin), leg.frame.ahead)
        rise = dot(subtract(following, kick), leg.frame.toward(self.toward))
        return (
            Read("at", float(self.at), place - leg.datum(self.measured_from)),
            Read("rise", float(self.rise), rise + float(self.rise) - self._rise(pipe)),
        )

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: Rule) -> ByRule | None:
        """Nothing: a kick is bent by eye where no one works it out."""
        return None

    def _rise(self, pipe: Pipe) -> float:
        return pipe.carried(self.rise, self.toward, self.rise_from)


@dataclass(frozen=True, slots=True)
class KickThrough(Kick):
    """A kick whose slope goes through the middle of a hole: ``hole`` is the place of its face on
    the leg, by the same datum, and ``depth`` how far off the line its middle is."""

    hole: Fraction = Fraction(0)
    depth: Fraction = Fraction(0)

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Read, ...]:
        """Depth: how far off the line the pipe passes the hole's face."""
        kick, following = vertices[:2]
        ahead, side = leg.frame.ahead, leg.frame.toward(self.toward)
        slope = subtract(following, kick)
        face = leg.place(float(self.hole), self.measured_from)
        share = (face - dot(subtract(kick, origin), ahead)) / dot(slope, ahead)
        return (Read("depth", float(self.depth), share * dot(slope, side)),)
