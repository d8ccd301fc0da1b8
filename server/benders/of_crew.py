"""What belongs to a crew: its members may see and change it."""

from __future__ import annotations

from typing import TypeVar

from accounts.models import Crew, Member
from versions.kinds import SavedKind
from versions.models import VersionedDocument

Row = TypeVar("Row", bound=VersionedDocument)


class OfCrew(SavedKind[Row]):
    """Kinds of documents that belong to a crew."""

    owner, crew = "crew", "crew_id"

    def owner_for(self, member: Member, owner_id: int) -> Crew:
        """The member's crew, locked.

        Raises:
            Crew.DoesNotExist.
        """
        return Crew.objects.select_for_update().filter(id=member.crew_id).get(id=owner_id)
