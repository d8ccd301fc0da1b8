"""A coupling at an end that sits on a long thread: it is wound back, then on to the last piece."""

from __future__ import annotations

from yarrow.pieces.getting_in.closings.closing import Offer, RunToClose
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class WindBack:
    """The coupling is turned, and no pipe."""

    kind: str = "wind-back"

    def offers(self, run: RunToClose) -> tuple[Offer, ...]:
        """At an end whose coupling turns.

        Args:
            run: with its joints.
        """
        return tuple(
            Offer(self.kind, at, run.middles)
            for at, fitting, state in run.at_ends()
            if fitting.takes_thread and state == "turns"
        )
