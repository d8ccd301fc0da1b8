"""Who may see and change which jobs, and what belongs to one. What is not yours does not exist."""

from __future__ import annotations

from typing import Any, ClassVar, TypeVar

from django.db.models import QuerySet

from accounts.models import Member
from jobs.models import Job
from versions.kinds import SavedKind
from versions.models import VersionedDocument

Row = TypeVar("Row", bound=VersionedDocument)


def jobs_for(member: Member) -> QuerySet[Job]:
    """The jobs of a member's crew."""
    return Job.objects.filter(crew_id=member.crew_id)


class OfJob(SavedKind[Row]):
    """Kinds of documents that belong to a job: whose crew may see and change them."""

    owner = "job"
    crew = "job__crew_id"
    beside: ClassVar[tuple[str, ...]] = ("updated_by", "job")

    def owner_for(self, member: Member, owner_id: int) -> Any:
        """Their job, locked.

        Raises:
            Job.DoesNotExist.
        """
        return jobs_for(member).select_for_update().get(id=owner_id)


class NamedInJob(OfJob[Row]):
    """Those of them that lists tell by the name in their document."""

    def describe(self, row: Row, document: dict[str, Any]) -> None:
        """Its name.

        Raises:
            DocumentError.
        """
        super().describe(row, document)
        name = str(document.get("name", "")).strip()
        row.name = name or f"Unnamed {self.called}"  # type: ignore[attr-defined]  # all have one
