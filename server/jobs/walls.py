"""Every change to a job's framed walls: read by the core, saved by version."""

from __future__ import annotations

from typing import Any

from django.db import transaction
from django.db.models import QuerySet

import yarrow
from accounts.models import Member
from jobs.models import JobWall
from jobs.policy import all_walls_for, jobs_for
from jobs.room import check_room
from jobs.wall_runs import follow_wall, keyed, leave_wall
from versions import services as versions
from versions.changes import Changes

MOST_WALLS = 200
UNNAMED = "Unnamed wall"


@transaction.atomic
def create_wall(
    member: Member, job_id: int, document: dict[str, Any], *, with_its_runs: bool = False
) -> JobWall:
    """A new wall of a job.

    Args: with_its_runs, whether those that its feeds name by their keys came in with it.
    Raises: Job.DoesNotExist; DocumentError, also where there are too many.
    """
    job = jobs_for(member).select_for_update().get(id=job_id)
    check_room(job.walls, "walls", MOST_WALLS)
    wall = JobWall(job=job)
    wall.came_with_its_runs = with_its_runs
    return WALLS.write(wall, member, document)


class WallChanges(Changes[JobWall]):
    """Changes to framed walls; the runs that one makes follow it."""

    def every(self, member: Member) -> QuerySet[JobWall]:
        """Those of the crew's jobs."""
        return all_walls_for(member)

    def check_room(self, row: JobWall) -> None:
        """In its job. Raises: DocumentError."""
        check_room(row.job.walls, "walls", MOST_WALLS)

    def write(
        self,
        row: JobWall,
        member: Member,
        document: dict[str, Any],
        restored_from: int | None = None,
    ) -> JobWall:
        """With its runs. Raises: DocumentError."""
        yarrow.read_framed_wall(document)
        row.name = str(document.get("name", "")).strip() or UNNAMED
        with_keys = keyed(row, document)
        made = yarrow.runs_of_wall(with_keys)
        versions.write(row, member, with_keys, restored_from)
        follow_wall(row, member, made)
        return row

    def after_removing(self, row: JobWall) -> None:
        """Its runs go."""
        leave_wall(row)

    def after_bringing_back(self, row: JobWall, member: Member) -> None:
        """Its runs come back."""
        follow_wall(row, member, yarrow.runs_of_wall(row.document))


WALLS = WallChanges()
