"""Who may see and change what: every query starts here. What is not yours does not exist."""

from __future__ import annotations

from django.db.models import QuerySet

from accounts.models import Member
from jobs.models import (
    BoxRevision,
    Job,
    JobSite,
    JobStock,
    JobWall,
    PieceAtBench,
    Revision,
    Run,
    SiteBox,
    SiteRevision,
    StockRevision,
    WallRevision,
)


def jobs_for(member: Member) -> QuerySet[Job]:
    """The jobs of a member's crew."""
    return Job.objects.filter(crew_id=member.crew_id)


def runs_for(member: Member) -> QuerySet[Run]:
    """The runs of a member's crew, without those that were removed."""
    return Run.objects.filter(job__crew_id=member.crew_id, removed_at=None)


def removed_runs_for(member: Member) -> QuerySet[Run]:
    """The runs of a member's crew that were removed."""
    return Run.objects.filter(job__crew_id=member.crew_id).exclude(removed_at=None)


def boxes_for(member: Member) -> QuerySet[SiteBox]:
    """What is told of the boxes of a member's crew, without those that were removed."""
    return all_boxes_for(member).filter(removed_at=None)


def removed_boxes_for(member: Member) -> QuerySet[SiteBox]:
    """The boxes of a member's crew that were removed."""
    return all_boxes_for(member).exclude(removed_at=None)


def box_revisions_for(member: Member) -> QuerySet[BoxRevision]:
    """The revisions of the boxes that a member can see."""
    return BoxRevision.objects.filter(box__in=boxes_for(member))


def all_boxes_for(member: Member) -> QuerySet[SiteBox]:
    """What is told of the boxes of a member's crew, also of those that were removed."""
    return SiteBox.objects.filter(job__crew_id=member.crew_id).select_related("updated_by")


def walls_for(member: Member) -> QuerySet[JobWall]:
    """The framed walls of a member's crew's jobs, without those that were removed."""
    return _every_wall_for(member).filter(removed_at=None)


def removed_walls_for(member: Member) -> QuerySet[JobWall]:
    """The framed walls of a member's crew's jobs that were removed."""
    return _every_wall_for(member).exclude(removed_at=None)


def _every_wall_for(member: Member) -> QuerySet[JobWall]:
    walls = JobWall.objects.filter(job__crew_id=member.crew_id)
    return walls.select_related("updated_by", "job")


def sites_for(member: Member) -> QuerySet[JobSite]:
    """The sites of ducts of a member's crew's jobs, without those that were removed."""
    return _every_site_for(member).filter(removed_at=None)


def removed_sites_for(member: Member) -> QuerySet[JobSite]:
    """The sites of ducts of a member's crew's jobs that were removed."""
    return _every_site_for(member).exclude(removed_at=None)


def _every_site_for(member: Member) -> QuerySet[JobSite]:
    sites = JobSite.objects.filter(job__crew_id=member.crew_id)
    return sites.select_related("updated_by", "job")


def site_revisions_for(member: Member) -> QuerySet[SiteRevision]:
    """The revisions of the sites that a member can see."""
    return SiteRevision.objects.filter(site__in=sites_for(member))


def wall_revisions_for(member: Member) -> QuerySet[WallRevision]:
    """The revisions of the walls that a member can see."""
    return WallRevision.objects.filter(wall__in=walls_for(member))


def at_bench_for(member: Member) -> QuerySet[PieceAtBench]:
    """The pieces at the bench of the runs that a member can see."""
    pieces = PieceAtBench.objects.filter(run__in=runs_for(member), removed_at=None)
    return pieces.select_related("updated_by")


def stocks_for(member: Member) -> QuerySet[JobStock]:
    """The stocks of a member's crew's jobs."""
    return JobStock.objects.filter(job__crew_id=member.crew_id).select_related("updated_by", "job")


def stock_revisions_for(member: Member) -> QuerySet[StockRevision]:
    """The revisions of the stocks that a member can see."""
    return StockRevision.objects.filter(stock__in=stocks_for(member))


def revisions_for(member: Member) -> QuerySet[Revision]:
    """The revisions of the runs that a member can see."""
    return Revision.objects.filter(run__in=runs_for(member))
