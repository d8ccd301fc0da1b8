"""A run with an open end: its last piece goes on like the others."""

from __future__ import annotations

from yarrow.pieces.getting_in.closings.closing import Offer, RunToClose
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class LastPiece:
    """Nothing has to be closed."""

    kind: str = "last-piece"

    def offers(self, run: RunToClose) -> tuple[Offer, ...]:
        """At an end that takes no thread.

        Args:
            run: with its joints.
        """
        return tuple(
            Offer(self.kind, at, run.middles)
            for at, fitting, _ in run.at_ends()
            if not fitting.takes_thread
        )
