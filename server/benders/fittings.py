"""A crew's own fittings: kept as one list, by version."""

from __future__ import annotations

from typing import Any

from django.db import transaction

import yarrow
from accounts.models import Crew, Member
from benders.models import CrewFittings
from benders.policy import fittings_for, fittings_revisions_for
from versions import services as versions


def no_fittings() -> dict[str, Any]:
    """The list of a crew that has measured none yet."""
    return {"format": "yarrow.fittings/1"}


@transaction.atomic
def save_fittings(member: Member, document: dict[str, Any], base_version: int) -> CrewFittings:
    """Save a crew's own fittings; version 0 is a list that nothing was in yet.

    Raises: DocumentError; VersionConflict, where it has been saved since.
    """
    Crew.objects.select_for_update().get(id=member.crew_id)
    yarrow.read_own_fittings(document)
    rows = CrewFittings.objects.filter(crew_id=member.crew_id)
    row = versions.only(rows, base_version, document) or CrewFittings(crew_id=member.crew_id)
    versions.write(row, member, document)
    return row


@transaction.atomic
def restore_fittings(member: Member, version: int, base_version: int) -> CrewFittings:
    """Bring an earlier list back, as a new version.

    Raises: CrewFittings.DoesNotExist; FittingsRevision.DoesNotExist; VersionConflict;
    DocumentError.
    """
    row_id = fittings_for(member).get().id
    row: CrewFittings = versions.locked(fittings_for(member), row_id, base_version)
    revision = fittings_revisions_for(member).get(fittings=row, version=version)
    yarrow.read_own_fittings(revision.document)
    versions.write(row, member, revision.document, restored_from=version)
    return row
