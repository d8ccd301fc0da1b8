"""Who may see and change what: every query starts here. What is not yours does not exist."""

from __future__ import annotations

from django.db.models import QuerySet

from accounts.models import Member
from jobs.models import (
    Job,
    JobSite,
    JobStock,
    JobWall,
    PieceAtBench,
    Revision,
    Run,
    SiteBox,
)


def jobs_for(member: Member) -> QuerySet[Job]:
    """The jobs of a member's crew."""
    return Job.objects.filter(crew_id=member.crew_id)


def runs_for(member: Member) -> QuerySet[Run]:
    """The runs of a member's crew, without those that were removed."""
    return all_runs_for(member).filter(removed_at=None)


def removed_runs_for(member: Member) -> QuerySet[Run]:
    """The runs of a member's crew that were removed."""
    return all_runs_for(member).exclude(removed_at=None)


def all_runs_for(member: Member) -> QuerySet[Run]:
    """The runs of a member's crew, also those that were removed."""
    runs = Run.objects.filter(job__crew_id=member.crew_id)
    return runs.select_related("updated_by", "job", "wall").defer("wall__document")


def boxes_for(member: Member) -> QuerySet[SiteBox]:
    """What is told of the boxes of a member's crew, without those that were removed."""
    return all_boxes_for(member).filter(removed_at=None)


def removed_boxes_for(member: Member) -> QuerySet[SiteBox]:
    """The boxes of a member's crew that were removed."""
    return all_boxes_for(member).exclude(removed_at=None)


def all_boxes_for(member: Member) -> QuerySet[SiteBox]:
    """What is told of the boxes of a member's crew, also of those that were removed."""
    return SiteBox.objects.filter(job__crew_id=member.crew_id).select_related("updated_by")


def walls_for(member: Member) -> QuerySet[JobWall]:
    """The framed walls of a member's crew's jobs, without those that were removed."""
    return all_walls_for(member).filter(removed_at=None)


def removed_walls_for(member: Member) -> QuerySet[JobWall]:
    """The framed walls of a member's crew's jobs that were removed."""
    return all_walls_for(member).exclude(removed_at=None)


def all_walls_for(member: Member) -> QuerySet[JobWall]:
    """The framed walls of a member's crew's jobs, also those that were removed."""
    walls = JobWall.objects.filter(job__crew_id=member.crew_id)
    return walls.select_related("updated_by", "job")


def sites_for(member: Member) -> QuerySet[JobSite]:
    """The sites of ducts of a member's crew's jobs, without those that were removed."""
    return all_sites_for(member).filter(removed_at=None)


def removed_sites_for(member: Member) -> QuerySet[JobSite]:
    """The sites of ducts of a member's crew's jobs that were removed."""
    return all_sites_for(member).exclude(removed_at=None)


def all_sites_for(member: Member) -> QuerySet[JobSite]:
    """The sites of ducts of a member's crew's jobs, also those that were removed."""
    sites = JobSite.objects.filter(job__crew_id=member.crew_id)
    return sites.select_related("updated_by", "job")


def at_bench_for(member: Member) -> QuerySet[PieceAtBench]:
    """The pieces at the bench of the runs that a member can see."""
    pieces = PieceAtBench.objects.filter(run__in=runs_for(member), removed_at=None)
    return pieces.select_related("updated_by")


def stocks_for(member: Member) -> QuerySet[JobStock]:
    """The stocks of a member's crew's jobs."""
    return JobStock.objects.filter(job__crew_id=member.crew_id).select_related("updated_by", "job")


def revisions_for(member: Member) -> QuerySet[Revision]:
    """The revisions of the runs that a member can see."""
    return Revision.objects.filter(run__in=runs_for(member))
