"""What every way to close a threaded run answers: where it can be done on a run."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Protocol

from yarrow.catalog.couplings import CouplingKind, couplings
from yarrow.catalog.fittings import Fitting, fittings
from yarrow.measure.units import convert_length
from yarrow.pieces.places import JointRoom, RunToPart
from yarrow.runs.model.run import EndState
from yarrow.values import dataclass

_FREE: tuple[EndState, ...] = ("comes-off", "loose")


@dataclass(frozen=True, slots=True)
class RunToClose:
    """A threaded run with its joints at ``middles``, its two ends as they are held, and the
    ``rooms`` where a joint may lie."""

    parted: RunToPart
    middles: tuple[float, ...]
    ends: tuple[EndState, EndState]
    rooms: Sequence[JointRoom]

    @property
    def is_screwed(self) -> bool:
        """Whether anything of it has to be turned on: it has a joint, or a threaded end."""
        threaded = self.parted.run.conduit.joint == "threaded"
        return threaded and (bool(self.middles) or any(f.takes_thread for f in self.fittings))

    @property
    def last(self) -> int:
        """The number of its last connection: its end."""
        return len(self.middles) + 1

    @property
    def fittings(self) -> tuple[Fitting, Fitting]:
        """What it starts from and ends at."""
        start, end = self.parted.end_fittings
        return fittings()[start], fittings()[end]

    def at_ends(self) -> tuple[tuple[int, Fitting, EndState], ...]:
        """Its end and its start: the number of the connection, its fitting, how that is held.

        Returns:
            The end first.
        """
        start, end = self.fittings
        return ((self.last, end, self.ends[1]), (0, start, self.ends[0]))

    def is_free(self, at_start: bool) -> bool:
        """Whether what hangs from an end can be moved with it: nothing holds it there, or that can
        be taken off.

        Args:
            at_start: which end.
        """
        which = 0 if at_start else 1
        return not self.fittings[which].takes_thread or self.ends[which] in _FREE


@dataclass(frozen=True, slots=True)
class Offer:
    """A place where a run can be closed: ``at`` which connection of those that the joints at
    ``middles`` make; ``coupling``: the kind that the joint there takes, None where it is the run's
    own; ``box``: how far a box that is turned there reaches from the pipe's line (0: none is);
    ``split``: a joint more than the run has."""

    by: str
    at: int
    middles: tuple[float, ...]
    coupling: CouplingKind | None = None
    box: float = 0.0
    split: bool = False


class ClosingKind(Protocol):
    """A way to close a run both ends of which are held."""

    @property
    def kind(self) -> str:
        """Its name in a document."""

    def offers(self, run: RunToClose) -> tuple[Offer, ...]:
        """Where it can be done.

        Args:
            run: with its joints.
        """


def box_reach(run: RunToClose, fitting: Fitting) -> float:
    """From the middle of a box to its corner, as it is drawn.

    Args:
        run: for its unit.
        fitting: the box.

    Returns:
        In the run's unit.
    """
    return float(convert_length(fitting.drawn_mm, "mm", run.parted.run.unit)) / math.sqrt(2)


def standing_kinds(run: RunToClose) -> tuple[CouplingKind, ...]:
    """The couplings that close a joint of the run while both of its sides stand still, where they
    are usual.

    Args:
        run: for its conduit and its unit.
    """
    conduit, unit = run.parted.run.conduit, run.parted.run.unit
    own = run.parted.coupling.of
    return tuple(
        coupling
        for coupling in couplings().values()
        if coupling.stands
        and coupling.goes_on(conduit)
        and (unit in coupling.units or coupling == own)
    )
