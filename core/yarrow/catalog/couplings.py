"""What joins two sticks of a conduit: how far each goes in, and what stays open between them.

Source: catalog/couplings.toml, with the source of each beside it.
"""

from __future__ import annotations

from functools import cache

from yarrow.catalog.reading import toml
from yarrow.catalog.tables import Conduit
from yarrow.measure.units import Unit, convert, convert_length
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class CouplingKind:
    """A coupling of the catalogue, lengths in mm: what it ``takes`` of a pipe up to an outside
    diameter (none: what the conduit's own thread or socket takes), what stays ``open`` between the
    ends, the turns that are wanted of a thread, and what a long thread has to hold beside;
    ``stands``: it closes a joint while both of its sides stand still."""

    kind: str
    name: str
    joints: tuple[str, ...]
    units: tuple[Unit, ...]
    takes_mm: tuple[tuple[float, float], ...]
    open_mm: float
    threaded: bool
    turns: tuple[int, int]
    long_thread: bool
    spare_turns: int
    ring_mm: float
    stands: bool
    source: str

    def goes_on(self, conduit: Conduit) -> bool:
        """Whether it holds this conduit.

        Args:
            conduit: of the catalogue.
        """
        return conduit.joint in self.joints

    def on(self, conduit: Conduit, unit: Unit) -> Coupling:
        """Its figures on one conduit.

        Args:
            conduit: that it goes on.
            unit: of the figures.
        """
        takes = float(convert(conduit.engaged, conduit.unit, unit))
        if self.takes_mm:
            outside = float(convert(conduit.diameter, conduit.unit, "mm"))
            takes = convert_length(
                next(takes for most, takes in self.takes_mm if outside <= most), "mm", unit
            )
        gap = convert_length(self.open_mm, "mm", unit)
        thread = takes if self.threaded else 0.0
        long_thread = 0.0
        if self.long_thread:
            spare = self.spare_turns * takes / self.turns[1]
            long_thread = 2 * takes + gap + convert_length(self.ring_mm, "mm", unit) + spare
        return Coupling(self, takes, gap, thread, long_thread)


@dataclass(frozen=True, slots=True)
class Coupling:
    """A coupling on one conduit: what it takes of either pipe, what stays open between their ends,
    the thread that each has (0: none), and the long thread of one of them (0: none)."""

    of: CouplingKind
    takes: float
    open: float
    thread: float
    long_thread: float

    @property
    def length(self) -> float:
        """Its own length along the run."""
        return 2 * self.takes + self.open


@cache
def couplings() -> dict[str, CouplingKind]:
    """Every coupling by its kind.

    Returns:
        In the order of ``couplings.toml``.
    """
    return {
        kind: CouplingKind(
            kind=kind,
            name=row["name"],
            joints=tuple(row["joints"]),
            units=tuple(row["units"]),
            takes_mm=tuple((float(most), float(takes)) for most, takes in row.get("takes_mm", [])),
            open_mm=float(row["open_mm"]),
            threaded=row["threaded"],
            turns=tuple(row.get("turns", (0, 0))),
            long_thread=row.get("long_thread", False),
            spare_turns=row.get("spare_turns", 0),
            ring_mm=float(row.get("ring_mm", 0)),
            stands=row.get("stands", False),
            source=row["source"],
        )
        for kind, row in toml("couplings").items()
    }


def usual_coupling(conduit: Conduit) -> str:
    """The kind that is taken where nobody says another.

    Args:
        conduit: of the catalogue.

    Returns:
        The key of one of ``couplings``.
    """
    return next(
        kind
        for kind, coupling in couplings().items()
        if coupling.goes_on(conduit) and conduit.unit in coupling.units
    )
