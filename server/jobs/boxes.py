"""What is told of the boxes of a job, with the runs that meet there."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Any

import yarrow
from accounts.models import Member
from jobs.models import Job, SiteBox
from jobs.policy import OfJob
from jobs.runs import problem_of
from versions.folders import Arrival, KindFolder
from yarrow import box_key, ends_named


class BoxesFolder(KindFolder):
    """The boxes of a job's file."""

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> SiteBox:
        """By its name.

        Raises:
            DocumentError.
        """
        return put_box(arrival.member, arrival.job.id, document, 0)


class Boxes(OfJob[SiteBox]):
    """What is told of boxes."""

    one, many, called = "box", "boxes", "box"
    model = SiteBox
    format = "sitebox"
    most = 1000
    most_bytes = 6_000
    folder = BoxesFolder

    def describe(self, row: SiteBox, document: dict[str, Any]) -> None:
        """By the runs that meet there.

        Raises:
            DocumentError, also where they can't bear it.
        """
        check_box(row.job, document)
        row.name = document["name"].strip()


BOXES = Boxes()


def put_box(member: Member, job_id: int, document: dict[str, Any], base_version: int) -> SiteBox:
    """Save what is told of a box, by the name in its document; version 0 is a box not told of yet.

    Args:
        job_id: of the crew's.
        document: ``yarrow.sitebox/1``.
        base_version: the version that it was made from.

    Raises:
        Job.DoesNotExist; DocumentError, also where the runs that meet there can't bear it;
        VersionConflict, where it has been saved since: nothing changes.
    """
    yarrow.read(document, "sitebox")
    key = box_key(document["name"])
    return BOXES.put(member, job_id, document, base_version, key=key)


def box_id(member: Member, job_id: int, name: str) -> int:
    """Which box of a job is called so, removed or not.

    Args:
        job_id: of the crew's.
        name: as it was typed.

    Returns:
        Of its row.

    Raises:
        SiteBox.DoesNotExist.
    """
    return BOXES.every(member).get(job_id=job_id, key=box_key(name)).id


@dataclass(frozen=True, slots=True)
class RunsAtBox:
    """The runs that meet at a box: their documents, and which runs of the job they are."""

    runs: list[dict[str, Any]] = field(default_factory=list)
    keys: list[str] = field(default_factory=list)
    ids: list[int] = field(default_factory=list)


def runs_by_box(job: Job) -> dict[str, RunsAtBox]:
    """The runs of a job that name each box, by its key, in the order that they were made; without
    those that were removed. A run that can't be read names none, so that it takes nothing else of
    the job with it.

    Returns:
        By the box's key.
    """
    result: dict[str, RunsAtBox] = {}
    live = job.runs.filter(removed_at=None).order_by("id")
    for document, run_key, run_id in live.values_list("document", "key", "id"):
        boxes = dict.fromkeys(box_key(name) for _, name in ends_named(document))
        if boxes and not problem_of(document):
            for key in boxes:
                at_box = result.setdefault(key, RunsAtBox())
                at_box.runs.append(document)
                at_box.keys.append(run_key)
                at_box.ids.append(run_id)
    return result


def check_box(job: Job, document: dict[str, Any]) -> dict[str, Any]:
    """A box with all runs of its job that meet there, in the job's own words.

    Args:
        document: ``yarrow.sitebox/1``.

    Returns:
        ``yarrow.sitebox-result/1``.

    Raises:
        DocumentError.
    """
    key = box_key(str(document.get("name", "")))
    return box_answer(job, document, runs_by_box(job).get(key, RunsAtBox()))


def box_answer(job: Job, document: dict[str, Any], at_box: RunsAtBox) -> dict[str, Any]:
    """The same where the runs that meet there are known.

    Args:
        document: ``yarrow.sitebox/1``.

    Returns:
        ``yarrow.sitebox-result/1``.
    """
    return yarrow.sitebox(document, at_box.runs, at_box.keys, language=job.rulebook.language)
