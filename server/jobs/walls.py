"""Framed walls: their kind. The runs that one makes follow it."""

from __future__ import annotations

from typing import Any

import yarrow
from accounts.models import Member
from jobs.models import JobWall
from jobs.policy import NamedInJob
from jobs.wall_runs import assign_feed_keys, remove_wall_runs, sync_wall_runs
from versions.folders import Arrival, KindFolder


class WallsFolder(KindFolder):
    """The walls of a job's file, which come in after their runs."""

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> JobWall:
        """With the runs that its feeds name by their keys.

        Raises:
            DocumentError.
        """
        WALLS.check_room(arrival.job)
        wall = JobWall(job=arrival.job)
        wall.came_with_its_runs = True
        return WALLS.write(wall, arrival.member, document)


class Walls(NamedInJob[JobWall]):
    """Framed walls of jobs."""

    one, many, called = "wall", "walls", "wall"
    model = JobWall
    format = "wall"
    most = 200
    most_bytes = 60_000
    folder = WallsFolder

    def complete(self, row: JobWall, document: dict[str, Any]) -> dict[str, Any]:
        """Every feed has a key, which its run goes by."""
        return assign_feed_keys(row, document)

    def after_writing(self, row: JobWall, member: Member) -> None:
        """Its runs follow.

        Raises:
            DocumentError.
        """
        sync_wall_runs(row, member, yarrow.runs_of_wall(row.document))

    def after_removing(self, row: JobWall) -> None:
        """Its runs go."""
        remove_wall_runs(row)

    def after_bringing_back(self, row: JobWall, member: Member) -> None:
        """Its runs come back.

        Raises:
            DocumentError.
        """
        self.after_writing(row, member)


WALLS = Walls()
