"""A run's rack; answers as frozen values."""

from __future__ import annotations

from yarrow.documents.run.reading import read_run
from yarrow.racks.rack import plan_rack
from yarrow.racks.rack_plan import RackPlan


def rack(document: object) -> RackPlan:
    """The marks of every pipe of a run's rack, and the gaps between them.

    Args:
        document: ``yarrow.run/1`` with ``rack``.

    Returns:
        Pipes and gaps, lengths in the run's units.

    Raises:
        DocumentError.
    """
    return plan_rack(read_run(document))
