"""A whole job from an archive, in one transaction: all of it, or nothing."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from typing import Any

from django.db import transaction

from accounts.models import Member
from benders.policy import benders_for
from benders.services import add_bender
from jobs.models import Job
from jobs.redrawn import MOST_PIXELS
from jobs.services import create_job, create_run, save_box
from jobs.sites import create_site, lay_picture
from jobs.stock import save_stock
from jobs.walls import create_wall
from yarrow.documents.errors import DocumentError

MOST_PIXELS_OF_FILE = 2 * MOST_PIXELS
"""Of all pictures of a job's file: what Yarrow kept itself is less than a tenth of that."""


def bring_in_job(
    member: Member,
    *,
    name: str,
    place: str,
    units: str,
    runs: Iterable[dict[str, Any]],
    keys: Sequence[str] = (),
    boxes: Iterable[dict[str, Any]] = (),
    benders: Iterable[dict[str, Any]] = (),
    rules: str | None = None,
    stock: Iterable[dict[str, Any]] = (),
    walls: Iterable[dict[str, Any]] = (),
    sites: Iterable[dict[str, Any]] = (),
    pictures: Iterable[dict[str, Any]] = (),
) -> Iterator[Job]:
    """A whole job with its runs, boxes, walls, ducts and stock, and those of its benders that the
    crew has not got, or nothing of it: the job after every run that is in.

    It is one transaction: where the caller stops asking, or a run can't be read, nothing is kept.

    Raises: DocumentError, with the number of the run before the field, where one can't be read.
    """
    with transaction.atomic():
        job = create_job(member, name=name, place=place, units=units, rules=rules)
        yield job
        for number, document in enumerate(runs):
            try:
                create_run(member, job.id, _of_no_crew(document), keys[number] if keys else "")
            except DocumentError as refusal:
                raise DocumentError(f"run {number + 1}, {refusal.path}", refusal.expected) from None
            yield job
        for number, document in enumerate(boxes):
            try:
                save_box(member, job.id, document, 0)
            except DocumentError as refusal:
                raise DocumentError(f"box {number + 1}, {refusal.path}", refusal.expected) from None
        for document in stock:
            try:
                save_stock(member, job.id, document, 0)
            except DocumentError as refusal:
                raise DocumentError(f"stock, {refusal.path}", refusal.expected) from None
        there = []
        for number, document in enumerate(sites):
            try:
                there.append(create_site(member, job.id, document, from_file=True))
            except DocumentError as refusal:
                path = f"site {number + 1}, {refusal.path}"
                raise DocumentError(path, refusal.expected) from None
        laid: set[int] = set()
        pixels = MOST_PIXELS_OF_FILE
        for number, picture in enumerate(pictures):
            try:
                of = picture.get("of")
                if of in laid:
                    raise DocumentError("of", "each site once")
                if not isinstance(of, int) or not 1 <= of <= len(there):
                    raise DocumentError("of", f"one of {len(there)} sites, counted from 1")
                laid.add(of)
                most = min(pixels, MOST_PIXELS)
                pixels -= lay_picture(member, there[of - 1], picture, most)
            except DocumentError as refusal:
                path = f"picture {number + 1}, {refusal.path}"
                raise DocumentError(path, refusal.expected) from None
        for number, document in enumerate(walls):
            try:
                create_wall(member, job.id, document, with_its_runs=True)
            except DocumentError as refusal:
                path = f"wall {number + 1}, {refusal.path}"
                raise DocumentError(path, refusal.expected) from None
        known = list(benders_for(member).values_list("document", flat=True))
        for number, document in enumerate(benders):
            try:
                if document not in known:
                    add_bender(member, document)
            except DocumentError as refusal:
                raise DocumentError(
                    f"bender {number + 1}, {refusal.path}", refusal.expected
                ) from None


def _of_no_crew(document: dict[str, Any]) -> dict[str, Any]:
    """A run whose bender is not said to be one that is kept: by its number, it would be another."""
    bender = document.get("bender")
    if not isinstance(bender, dict) or "kept" not in bender:
        return document
    own = {name: value for name, value in bender.items() if name != "kept"}
    return {**document, "bender": own}
