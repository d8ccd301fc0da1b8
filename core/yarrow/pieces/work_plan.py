"""The order of work of a run as it is answered, in ``yarrow.work/1``'s names."""

from __future__ import annotations

from yarrow.findings.finding import Finding, nothing_wrong
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase


@dataclass(frozen=True, slots=True)
class WorkItem:
    """One thing to do: ``id`` is what a document's ``done`` ticks it off by, and is another where
    a figure in it is another; ``piece`` counted from 1 (0: the run as a whole); ``kind`` is what it
    is; ``people`` how many it takes."""

    id: str
    piece: int
    kind: str
    title: Phrase
    do: Phrase
    check: Phrase
    caution: Phrase
    people: int
    done: bool


@dataclass(frozen=True, slots=True)
class InspectionPoint:
    """What an inspector asks, answered from the ticks: ``open`` are the items that it still waits
    for."""

    name: Phrase
    items: int
    open: int

    @property
    def ready(self) -> bool:
        """Whether all that it rests on is ticked."""
        return self.open == 0


@dataclass(frozen=True, slots=True)
class OrderOfWork:
    """All that is done for a run, in order. ``takes_up`` is which dimension takes up what is off;
    ``stale`` are ticks of items that have changed since."""

    format: str
    units: Unit
    name: str
    takes_up: Phrase
    items: tuple[WorkItem, ...]
    inspection: tuple[InspectionPoint, ...]
    stale: int
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error."""
        return nothing_wrong(self.findings)
