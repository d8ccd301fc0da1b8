"""A crew's own fittings: kept as one list, by version."""

from __future__ import annotations

from typing import Any

from django.db import transaction
from django.db.models import QuerySet

import yarrow
from accounts.models import Crew, Member
from benders.models import CrewFittings
from benders.policy import fittings_for
from versions import services as versions
from versions.changes import Changes


def no_fittings() -> dict[str, Any]:
    """The list of a crew that has measured none yet."""
    return {"format": "yarrow.fittings/1"}


@transaction.atomic
def save_fittings(member: Member, document: dict[str, Any], base_version: int) -> CrewFittings:
    """Save a crew's own fittings; version 0 is a list that nothing was in yet.

    Raises: DocumentError; VersionConflict, where it has been saved since.
    """
    Crew.objects.select_for_update().get(id=member.crew_id)
    rows = CrewFittings.objects.filter(crew_id=member.crew_id)
    there = versions.only(rows, member, document, base_version)
    row: CrewFittings = there.row or CrewFittings(crew_id=member.crew_id)
    return row if there.saved else FITTINGS.write(row, member, document)


class FittingsChanges(Changes[CrewFittings]):
    """Changes to crews' own fittings; a list is never removed."""

    def every(self, member: Member) -> QuerySet[CrewFittings]:
        """The crew's one."""
        return fittings_for(member)

    def write(
        self,
        row: CrewFittings,
        member: Member,
        document: dict[str, Any],
        restored_from: int | None = None,
    ) -> CrewFittings:
        """Raises: DocumentError."""
        yarrow.read_own_fittings(document)
        versions.write(row, member, document, restored_from)
        return row


FITTINGS = FittingsChanges()
