"""Who may see and change which benders: the crew that measured them."""

from __future__ import annotations

from django.db.models import QuerySet

from accounts.models import Member
from crib.models import CribBender


def benders_for(member: Member) -> QuerySet[CribBender]:
    """The benders of the member's crew."""
    return CribBender.objects.filter(crew_id=member.crew_id).select_related("updated_by")
