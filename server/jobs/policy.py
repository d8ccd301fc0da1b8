"""Who may see and change what: every query starts here. What is not yours does not exist."""

from __future__ import annotations

from django.db.models import QuerySet

from accounts.models import Member
from jobs.models import Job, Revision, Run, SiteBox


def jobs_for(member: Member) -> QuerySet[Job]:
    """The jobs of a member's crew."""
    return Job.objects.filter(crew_id=member.crew_id)


def runs_for(member: Member) -> QuerySet[Run]:
    """The runs of a member's crew, without those that were removed."""
    return Run.objects.filter(job__crew_id=member.crew_id, removed_at=None)


def boxes_for(member: Member) -> QuerySet[SiteBox]:
    """What is told of the boxes of a member's crew."""
    return SiteBox.objects.filter(job__crew_id=member.crew_id).select_related("updated_by")


def revisions_for(member: Member) -> QuerySet[Revision]:
    """The revisions of the runs that a member can see."""
    return Revision.objects.filter(run__in=runs_for(member))
