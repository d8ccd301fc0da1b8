"""A coupling that closes a joint while both of its sides stand still: a union, a running coupler;
at a joint that the run has, or at one more."""

from __future__ import annotations

from collections.abc import Iterator

from yarrow.pieces.getting_in.closings.closing import Offer, RunToClose, standing_kinds
from yarrow.pieces.places import allowed
from yarrow.values import dataclass, replace


@dataclass(frozen=True, slots=True)
class StandingCoupling:
    """A kind of the catalogue."""

    kind: str

    def offers(self, run: RunToClose) -> tuple[Offer, ...]:
        """At every joint with room for it, and with a joint more in every straight that has none.

        Args:
            run: with its joints.
        """
        return tuple(self._offers(run))

    def _offers(self, run: RunToClose) -> Iterator[Offer]:
        kind = next((kind for kind in standing_kinds(run) if kind.kind == self.kind), None)
        if kind is None:
            return
        own = run.parted.coupling
        coupling = kind.on(run.parted.run.conduit, run.parted.run.unit)
        rooms = run.rooms if kind == own.of else allowed(replace(run.parted, coupling=coupling))
        changed = None if kind == own.of else kind
        for number, middle in enumerate(run.middles, 1):
            if any(room.begins <= middle <= room.ends for room in rooms):
                yield Offer(self.kind, number, run.middles, changed)
        for room in rooms:
            if room.in_line or any(room.begins <= m <= room.ends for m in run.middles):
                continue
            middles = tuple(sorted((*run.middles, room.middle)))
            at = middles.index(room.middle) + 1
            yield Offer(self.kind, at, middles, changed, split=True)
