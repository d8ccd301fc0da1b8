"""The runs of a framed wall: made, brought up to date and put away as the wall says."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

import yarrow
from accounts.models import Member
from jobs.models import JobWall, Run, new_key
from jobs.runs import RUNS
from versions import services as versions


def assign_feed_keys(wall: JobWall, document: dict[str, Any]) -> dict[str, Any]:
    """A wall's document in which every feed has a key of its own, which its run goes by: what it
    had before, for what it joins, where it says none.

    Args:
        wall: as it was.
        document: its next.

    Returns:
        ``yarrow.wall/1``.
    """
    before = (wall.document or {}).get("feeds", []) if wall.pk else []
    kept = {_joins(feed): feed.get("key") for feed in before}
    # Neither another wall's run nor one that somebody drew is taken over by its key.
    runs = Run.objects.filter(job=wall.job)
    if wall.came_with_its_runs:
        runs = runs.exclude(wall=None)
    others = set((runs.exclude(wall=wall) if wall.pk else runs).values_list("key", flat=True))
    feeds = []
    for feed in document.get("feeds", []):
        key = feed.get("key") or kept.get(_joins(feed)) or ""
        if key in others or not (key.isascii() and key.isalnum()):
            key = new_key()
        others.add(key)
        feeds.append({**feed, "key": key})
    return {**document, "feeds": feeds} if feeds else document


def _joins(feed: dict[str, Any]) -> tuple[str, str, str]:
    return feed.get("from", ""), feed.get("to", ""), feed.get("line", "")


def sync_wall_runs(wall: JobWall, member: Member, made: Mapping[str, dict[str, Any]]) -> None:
    """A run of the job for every feed of a wall: written where the wall changed it, with what was
    said of it beside that; put away where its feed is gone.

    Args:
        made: the runs that its document makes, by their keys.

    Raises:
        DocumentError, where the job has no room for it.
    """
    there = {run.key: run for run in wall.job.runs.select_for_update().filter(key__in=made)}
    for key, document in made.items():
        run = there.get(key)
        if run is None:
            RUNS.check_room(wall.job)
            RUNS.write(Run(job=wall.job, key=key, wall=wall), member, document)
            continue
        wanted = yarrow.merge_wall_run(run.document, document)
        run.wall = wall
        if run.removed_at or wanted != run.document:
            RUNS.write(run, member, wanted)
        else:
            run.save(update_fields=["wall"])
    for run in wall.runs.filter(removed_at=None).exclude(key__in=made):
        versions.remove(run)


def remove_wall_runs(wall: JobWall) -> None:
    """A wall that is put away takes its runs with it."""
    for run in wall.runs.filter(removed_at=None):
        versions.remove(run)
