"""Springback: the angle to bend to, so that the angle that is wanted is kept after letting go."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Springback:
    """Measured points of a bender with a conduit in it, by angle kept: (commanded, kept), degrees.

    ``typical`` says that nobody measured them: they are what the material usually does.
    """

    points: tuple[tuple[float, float], ...] = ()
    typical: bool = True

    def bend_to(self, angle: float) -> float:
        """What to bend to for ``angle`` degrees to stay.

        Straight lines between the points, from no bend at all to the first, and on in proportion
        from the last, so that one point means in proportion. Without a point: the angle itself.

        Args:
            angle: that is to stay, degrees.

        Returns:
            Degrees.

        Source:
            docs/at-the-bender.md, springback.
        """
        before = (0.0, 0.0)
        for commanded, kept in self.points:
            if angle <= kept:
                share = (angle - before[1]) / (kept - before[1])
                return before[0] + share * (commanded - before[0])
            before = (commanded, kept)
        return angle * before[0] / before[1] if before[1] else angle

    def kept_of(self, bent_to: float) -> float:
        """The angle that stays of one that was bent to: what bend_to answers, the other way round.

        Args:
            bent_to: degrees.

        Returns:
            Degrees.
        """
        before = (0.0, 0.0)
        for commanded, kept in self.points:
            if bent_to <= commanded:
                share = (bent_to - before[0]) / (commanded - before[0])
                return before[1] + share * (kept - before[1])
            before = (commanded, kept)
        return bent_to * before[1] / before[0] if before[0] else bent_to


UNMEASURED = Springback()
"""What is bent to is kept: where nothing is known of the material either."""


def springback(points: Sequence[tuple[float, float]], *, typical: bool) -> Springback:
    """Springback from points in any order.

    Args:
        points: commanded and kept, in degrees.
        typical: whether they are the material's usual and not measured.

    Raises:
        ValueError where a point keeps nothing or more than it was bent to, or where two points
        contradict each other (bent further, kept less).
    """
    ordered = tuple(sorted(points, key=lambda point: point[1]))
    reached = 0.0
    for number, (commanded, kept) in enumerate(ordered):
        if not 0 < kept <= commanded or commanded <= reached:
            raise ValueError(f"springback point {number + 1}")
        if number and kept == ordered[number - 1][1]:
            raise ValueError(f"springback point {number + 1}")
        reached = commanded
    return Springback(ordered, typical)
