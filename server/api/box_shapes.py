"""Boxes of a job."""

from __future__ import annotations

from ninja import Schema

from api.documents import SiteBoxDocument
from api.shapes import Body, VersionOrNone
from yarrow import SiteBoxResult


class JobBoxSave(Body):
    """A whole box document and the version that it was made from; 0 for a box not told of yet."""

    document: SiteBoxDocument
    base_version: VersionOrNone


class JobBoxSummary(Schema):
    """A box in a list: the runs that meet there, and whether something is told of it."""

    name: str
    runs: list[str]
    told: bool
    passes: bool


class JobBoxDetail(Schema):
    """A box with its document and its answer; version 0 where nothing is told of it yet.
    ``run_ids`` has the runs that meet there, by their keys."""

    name: str
    version: int
    job_id: int
    job_name: str
    document: SiteBoxDocument
    result: SiteBoxResult
    run_ids: dict[str, int]
