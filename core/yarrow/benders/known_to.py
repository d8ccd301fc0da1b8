"""How well a bender's numbers are known."""

from __future__ import annotations

import math

from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class KnownTo:
    """Take-up and radius are within so much of the truth in 19 of 20 cases, lengths in one unit;
    how far they are off ``together``, −1 to 1 (their correlation). ``springback``: what is bent to
    for a 90, degrees likewise; None where nothing was read of angles. ``angles``, one standard
    deviation by which the angles that stay scatter about what was asked, degrees; None where too
    few were read to tell."""

    take_up: float
    radius: float
    together: float = 0.0
    springback: float | None = None
    angles: float | None = None

    def of_sum(self, take_ups: float, radii: float) -> float:
        """Within what a sum of so many take-ups and radii is.

        Args:
            take_ups, radii: by how much the sum grows with one of each, in the same unit.

        Returns:
            Half of the interval of 19 in 20 cases, in that unit.
        """
        one, other = take_ups * self.take_up, radii * self.radius
        return math.sqrt(max(one * one + other * other + 2 * self.together * one * other, 0.0))
