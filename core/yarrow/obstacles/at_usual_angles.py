"""What an obstacle answers that is taken at usual angles."""

from __future__ import annotations

from fractions import Fraction
from typing import ClassVar, Literal

from yarrow.obstacles.setting import Setting


class AtUsualAngles:
    """What is answered at usual angles, however much of the leg its bends take."""

    __slots__ = ()
    is_obstacle: ClassVar[Literal[True]] = True
    implied_fitting: ClassVar[str] = ""
    pick_field: ClassVar[Literal["pick", "angle"]] = "pick"

    @property
    def room_given(self) -> Fraction | None:
        """Nothing was said."""
        return None

    def further_angles(self, setting: Setting) -> tuple[tuple[str, float], ...]:
        """None."""
        return ()
