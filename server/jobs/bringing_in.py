"""A whole job from an archive, in one transaction: all of it, or nothing."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from contextlib import contextmanager
from typing import Any

from django.db import transaction

from accounts.models import Member
from benders.policy import benders_for
from benders.services import add_bender
from jobs.models import Job, JobSite, Run
from jobs.redrawn import MOST_PIXELS
from jobs.services import create_job, new_run, save_box
from jobs.sites import create_site, lay_picture
from jobs.stock import save_stock
from jobs.walls import create_wall
from versions import services as versions
from yarrow import DocumentError

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
        made: list[Run] = []
        for number, document in enumerate(runs):
            key = keys[number] if keys else ""
            with _named("run", number):
                made.append(new_run(member, job, _of_no_crew(document), key))
            yield job
        versions.write_new(made, member)
        for number, document in enumerate(boxes):
            with _named("box", number):
                save_box(member, job.id, document, 0)
        for document in stock:
            with _named("stock"):
                save_stock(member, job.id, document, 0)
        there = []
        for number, document in enumerate(sites):
            with _named("site", number):
                there.append(create_site(member, job.id, document, from_file=True))
        _lay_pictures(member, there, pictures)
        for number, document in enumerate(walls):
            with _named("wall", number):
                create_wall(member, job.id, document, with_its_runs=True)
        known = list(benders_for(member).values_list("document", flat=True))
        for number, document in enumerate(benders):
            with _named("bender", number):
                if document not in known:
                    add_bender(member, document)


def _lay_pictures(
    member: Member, sites: Sequence[JobSite], pictures: Iterable[dict[str, Any]]
) -> None:
    laid: set[int] = set()
    pixels = MOST_PIXELS_OF_FILE
    for number, picture in enumerate(pictures):
        with _named("picture", number):
            of = picture.get("of")
            if of in laid:
                raise DocumentError("of", "each site once")
            if not isinstance(of, int) or not 1 <= of <= len(sites):
                raise DocumentError("of", f"one of {len(sites)} sites, counted from 1")
            laid.add(of)
            pixels -= lay_picture(member, sites[of - 1], picture, min(pixels, MOST_PIXELS))


@contextmanager
def _named(what: str, number: int | None = None) -> Iterator[None]:
    """A refusal within it says of which document it is, counted from 1."""
    try:
        yield
    except DocumentError as refusal:
        of = what if number is None else f"{what} {number + 1}"
        raise DocumentError(f"{of}, {refusal.path}", refusal.expected) from None


def _of_no_crew(document: dict[str, Any]) -> dict[str, Any]:
    """A run whose bender is not said to be one that is kept: by its number, it would be another."""
    bender = document.get("bender")
    if not isinstance(bender, dict) or "kept" not in bender:
        return document
    own = {name: value for name, value in bender.items() if name != "kept"}
    return {**document, "bender": own}
