"""A crew's own fittings: kept as one list, by version."""

from __future__ import annotations

from typing import Any

from accounts.models import Member
from benders.models import CrewFittings
from benders.of_crew import OfCrew
from versions.folders import Arrival, Documents, KindFolder
from versions.stored import StoredDocuments


class FittingsFolder(KindFolder):
    """The crew's own fittings in a job's file: one list, or none."""

    def out(self, member: Member, job: Any) -> Documents:
        """The crew's list, where it has measured one."""
        return StoredDocuments(FITTINGS.there(member))

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> CrewFittings:
        """What the crew has not got of it, by their names.

        Raises:
            DocumentError.
        """
        FITTINGS.check_document(document)
        crew_id = arrival.member.crew_id
        row = FITTINGS.there(arrival.member).first()
        if row is None:
            return FITTINGS.put(arrival.member, crew_id, document, 0)
        there = row.document.get("fittings", [])
        names = {fitting["name"] for fitting in there}
        new = [fitting for fitting in document.get("fittings", []) if fitting["name"] not in names]
        if not new:
            return row
        both = {**row.document, "fittings": [*there, *new]}
        return FITTINGS.put(arrival.member, crew_id, both, row.version)


class Fittings(OfCrew[CrewFittings]):
    """Crews' own fittings; a crew has one list, which is never removed."""

    one, many, called = "fittings", "fittings", "list of fittings"
    model = CrewFittings
    format = "fittings"
    most_bytes = 24_000
    folder = FittingsFolder


FITTINGS = Fittings()


def no_fittings() -> dict[str, Any]:
    """The list of a crew that has measured none yet.

    Returns:
        ``yarrow.fittings/1``.
    """
    return {"format": "yarrow.fittings/1"}
