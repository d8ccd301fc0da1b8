"""Who may see and change which benders: the crew that measured them."""

from __future__ import annotations

from django.db.models import QuerySet

from accounts.models import Member
from benders.models import CrewBender, CrewFittings


def fittings_for(member: Member) -> QuerySet[CrewFittings]:
    """What the member's crew has measured of its fittings: one row or none."""
    return CrewFittings.objects.filter(crew_id=member.crew_id).select_related("updated_by")


def benders_for(member: Member) -> QuerySet[CrewBender]:
    """The benders of the member's crew, without those that were taken out."""
    return all_benders_for(member).filter(removed_at=None)


def removed_benders_for(member: Member) -> QuerySet[CrewBender]:
    """The benders that the member's crew has taken out."""
    return all_benders_for(member).exclude(removed_at=None)


def all_benders_for(member: Member) -> QuerySet[CrewBender]:
    """The benders of the member's crew, also those that were taken out."""
    return CrewBender.objects.filter(crew_id=member.crew_id).select_related("updated_by")
