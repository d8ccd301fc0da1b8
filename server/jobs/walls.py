"""Every change to a job's framed walls: read by the core, saved by version."""

from __future__ import annotations

from typing import Any

from django.db import transaction

import yarrow
from accounts.models import Member
from jobs.models import JobWall
from jobs.policy import jobs_for, removed_walls_for, wall_revisions_for, walls_for
from jobs.room import check_room
from jobs.wall_runs import follow_wall, keyed, leave_wall
from versions import services as versions

MOST_WALLS = 200
UNNAMED = "Unnamed wall"


@transaction.atomic
def create_wall(member: Member, job_id: int, document: dict[str, Any]) -> JobWall:
    """A new wall of a job.

    Raises: Job.DoesNotExist; DocumentError, also where there are too many.
    """
    job = jobs_for(member).select_for_update().get(id=job_id)
    check_room(job.walls, "walls", MOST_WALLS)
    return _written_wall(JobWall(job=job), member, document)


@transaction.atomic
def save_wall(member: Member, wall_id: int, document: dict[str, Any], base_version: int) -> JobWall:
    """Another version of a wall. Raises: JobWall.DoesNotExist; DocumentError; VersionConflict."""
    wall: JobWall = versions.locked(walls_for(member), wall_id, base_version, document)
    return _written_wall(wall, member, document)


@transaction.atomic
def restore_wall(member: Member, wall_id: int, version: int, base_version: int) -> JobWall:
    """Bring an earlier revision of a wall back, as a new version.

    Raises: as save_wall; WallRevision.DoesNotExist.
    """
    wall: JobWall = versions.locked(walls_for(member), wall_id, base_version)
    revision = wall_revisions_for(member).get(wall=wall, version=version)
    return _written_wall(wall, member, revision.document, restored_from=version)


@transaction.atomic
def remove_wall(member: Member, wall_id: int) -> None:
    """Put a wall away, with its runs. Their revisions stay. Raises: JobWall.DoesNotExist."""
    wall = walls_for(member).select_for_update(of=("self",)).get(id=wall_id)
    versions.remove(wall)
    leave_wall(wall)


@transaction.atomic
def bring_back_wall(member: Member, wall_id: int) -> JobWall:
    """Bring a removed wall back. Raises: JobWall.DoesNotExist; DocumentError, where the job is
    full."""
    wall = removed_walls_for(member).select_for_update(of=("self",)).get(id=wall_id)
    check_room(wall.job.walls, "walls", MOST_WALLS)
    versions.bring_back(wall)
    follow_wall(wall, member)
    return wall


def _written_wall(
    wall: JobWall, member: Member, document: dict[str, Any], restored_from: int | None = None
) -> JobWall:
    yarrow.read_framed_wall(document)
    wall.name = str(document.get("name", "")).strip() or UNNAMED
    versions.write(wall, member, keyed(wall, document), restored_from)
    follow_wall(wall, member)
    return wall
