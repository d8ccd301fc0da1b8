"""3-bend saddle: over something round, a centre bend and two outers of half its angle."""

from __future__ import annotations

import math
from dataclasses import dataclass
from fractions import Fraction
from typing import ClassVar, Literal

from yarrow.bends.in_document import (
    AT,
    CARRIED,
    FROM,
    LABEL,
    NO_AIR,
    RISE,
    RISE_FROM,
    TOWARD,
    InDocument,
    Said,
    angle_of,
)
from yarrow.bends.leg import (
    ByRule,
    Corner,
    Datum,
    Following,
    Laid,
    Leg,
    Pipe,
    Read,
    RiseFrom,
    Rule,
    RuleSpot,
)
from yarrow.bends.on_site import Dimension, SiteObject, Spot
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, dot, subtract
from yarrow.role import Role


@dataclass(frozen=True, slots=True)
class Saddle3:
    """A line of the walk: what stands in the way is ``rise`` high, with ``clearance`` of air above.

    ``at`` is the middle of it; ``angle`` the centre bend's, in degrees.
    """

    at: Fraction
    rise: Fraction
    toward: Side
    angle: float = 45.0
    clearance: Fraction = Fraction(0)
    measured_from: Datum = "back"
    rise_from: RiseFrom = "surface"
    loose: tuple[str, ...] = ()
    label: str = ""

    is_met: ClassVar[Literal[False]] = False
    document: ClassVar[InDocument] = InDocument(
        "saddle3",
        (AT, FROM, RISE, NO_AIR, TOWARD, angle_of(45), RISE_FROM, LABEL),
        loose=("at", "rise"),
        said=(
            Said(
                ("saddle",),
                "a 3-bend saddle; 4 bends with wide",
                "rise",
                ("rise", "at"),
                ("width", "angle", "clearance"),
                "width",
                CARRIED,
                with_field={"width": "saddle4"},
            ),
        ),
    )

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """Vertices at 0, at h + R (1/cos θ − 1), at 0, with θ half the centre angle.

        The arc cuts the corner, so that its vertex stands higher than the pipe has to reach.
        Source: docs/geometry.md, the named bends.
        """
        place = leg.place(float(self.at), self.measured_from)
        half = math.radians(self.angle) / 2
        height = self._height(leg, pipe) + pipe.radius * (1 / math.cos(half) - 1)
        run = height / math.tan(half)
        raised = leg.displaced(self.toward, height)
        return Laid(
            corners=(
                Corner(leg.point(place - run), Role.OUTER_NEAR),
                Corner(raised.point(place), Role.SADDLE_CENTRE),
                Corner(leg.point(place + run), Role.OUTER_FAR),
            ),
            begins=place - run,
            ends=place + run,
            after=leg.straightened(),
            hooked=leg.point(leg.datum(self.measured_from)),
            reached=leg.point(place),
        )

    def dimensions(self, spot: Spot) -> tuple[Dimension, ...]:
        """How far along the leg, and its rise."""
        return (
            spot.measured(self.at, self.measured_from, spot.reached),
            spot.rise(self.rise, self.toward, self.rise_from),
        )

    def site_object(self, spot: Spot) -> SiteObject | None:
        """Something round, as wide as it is high."""
        width = float(self.rise)
        return spot.passed_over(
            "round", self.label, -width / 2, width, self.rise, self.toward, self.rise_from
        )

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following | None:
        """The leg goes on."""
        return None

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Read, ...]:
        """At: the middle of the centre arc, along the leg. Rise: how high it passes there."""
        near, centre = vertices[:2]
        half = math.radians(self.angle) / 2
        cut = pipe.radius * (1 / math.cos(half) - 1)
        height = dot(subtract(centre, near), leg.frame.toward(self.toward)) - cut
        place = dot(subtract(centre, origin), leg.frame.ahead)
        return (
            Read("at", float(self.at), place - leg.datum(self.measured_from)),
            Read("rise", float(self.rise), height + float(self.rise) - self._height(leg, pipe)),
        )

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: Rule) -> ByRule | None:
        """Centre at the place plus the shrink, outers a multiple of the rise to either side.

        Source: catalog/rules-of-thumb-saddle.csv. Both outers' hooks face the centre.
        """
        multiplier, shrink = rule.saddle(self.angle)
        height = self._height(leg, pipe)
        centre = base + leg.place(float(self.at), self.measured_from) + shrink * height
        apart = multiplier * height
        return ByRule(
            (
                RuleSpot(centre - apart),
                RuleSpot(centre, "centre"),
                RuleSpot(centre + apart, hook="start"),
            ),
            2 * shrink * height,
        )

    def _height(self, leg: Leg, pipe: Pipe) -> float:
        return leg.carried(pipe, self.rise + self.clearance, self.toward, self.rise_from)
