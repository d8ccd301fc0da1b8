"""A box that comes off its mounting: it is turned on to the last piece, and goes back."""

from __future__ import annotations

from yarrow.pieces.getting_in.closings.closing import Offer, RunToClose, box_reach
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class BoxOff:
    """The box is turned, and no pipe."""

    kind: str = "box-off"

    def offers(self, run: RunToClose) -> tuple[Offer, ...]:
        """At an end whose box comes off.

        Args:
            run: with its joints.
        """
        return tuple(
            Offer(self.kind, at, run.middles, box=box_reach(run, fitting))
            for at, fitting, state in run.at_ends()
            if fitting.takes_thread and state == "comes-off"
        )
