"""Every change to a job's ducts between buildings: read by the core, saved by version."""

from __future__ import annotations

import base64
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from typing import Any

from django.db import transaction
from django.db.models import QuerySet
from django.utils import timezone

from accounts.models import Member
from jobs.models import JobSite, SitePicture
from jobs.policy import NamedInJob
from jobs.redrawn import MOST_PIXELS, Redrawn, redrawn
from versions.folders import Arrival, Documents, Folder, KindFolder
from yarrow import DocumentError

MOST_PICTURES = 10
MOST_PIXELS_OF_FILE = 2 * MOST_PIXELS
"""Of all pictures of a job's file: what Yarrow kept itself is less than a tenth of that."""


_FROM_FILE = ", out of a file"


def _ticked_in_a_file(document: dict[str, Any]) -> dict[str, Any]:
    ticks = document.get("ticks")
    if not isinstance(ticks, list):
        return document
    said = [
        {**tick, "by": f"{str(tick.get('by', ''))[:120].removesuffix(_FROM_FILE)}{_FROM_FILE}"}
        if isinstance(tick, dict)
        else tick
        for tick in ticks
    ]
    return {**document, "ticks": said}


class SitesFolder(KindFolder):
    """The ducts of a job's file: what was ticked in them is ticked by whom that says."""

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> JobSite:
        """New ducts of the job.

        Raises:
            DocumentError.
        """
        SITES.check_room(arrival.job)
        row = JobSite(job=arrival.job, document={})
        return SITES.write(row, arrival.member, _ticked_in_a_file(document))


class PicturesFolder(Folder):
    """The pictures under the ducts of a job's file: ``of`` which, counted from 1, and the ``jpeg``
    in base 64."""

    name, one, most = "pictures", "picture", 20
    most_bytes = 900_000

    def out(self, member: Member, job: Any) -> Documents:
        """Those that lie under the plans of the job."""
        return pictures_under(SITES.there(member).filter(job=job))

    def take(self, arrival: Arrival, number: int, document: dict[str, Any]) -> int:
        """Drawn anew.

        Returns:
            Of which site it is.

        Raises:
            DocumentError.
        """
        of, site = arrival.named("sites", document, "of")
        if of in arrival.rows[self.name]:
            raise DocumentError("of", "each site once")
        left = MOST_PIXELS_OF_FILE - arrival.spent.get(self.name, 0)
        pixels = lay_picture(arrival.member, site, document, min(left, MOST_PIXELS))
        arrival.spent[self.name] = MOST_PIXELS_OF_FILE - left + pixels
        return of


class Sites(NamedInJob[JobSite]):
    """Ducts between buildings."""

    one, many, called = "site", "sites", "site"
    model = JobSite
    format = "site"
    most = 20
    most_bytes = 90_000
    folder = SitesFolder
    by_hand = frozenset({"ticks"})

    @property
    def folders(self) -> Sequence[Folder]:
        """With the pictures that lie under them."""
        return (*super().folders, PicturesFolder())

    def check(self, row: JobSite, member: Member, document: dict[str, Any]) -> None:
        """What is newly seen is seen by who saves it.

        Raises:
            DocumentError.
        """
        known = [_ticked(tick) for tick in row.document.get("ticks", [])]
        ticks = document.get("ticks", [])
        for number, tick in enumerate(ticks if isinstance(ticks, list) else []):
            if not isinstance(tick, dict) or _ticked(tick) in known:
                continue
            if tick.get("by") != member.shown_name:
                raise DocumentError(f"ticks[{number}].by", "your own name")
            if not _is_now(tick.get("at")):
                raise DocumentError(
                    f"ticks[{number}].at", "now: a tick is of the day that it is set"
                )


SITES = Sites()


_A_DAY = timedelta(days=1)


def _is_now(at: object) -> bool:
    """Whether a time is within a day of now, whatever zone its clock is in."""
    try:
        said = datetime.fromisoformat(str(at))
    except ValueError:
        return False
    return abs((said if said.tzinfo else said.replace(tzinfo=UTC)) - timezone.now()) <= _A_DAY


def _ticked(tick: dict[str, Any]) -> tuple[object, ...]:
    return tick.get("stretch"), tick.get("item"), tick.get("by"), tick.get("at")


def add_picture(member: Member, site_id: int, data: bytes) -> SitePicture:
    """A picture to lie under a site's plan: drawn anew, so that nothing comes along but what is
    seen. The same picture twice is one; the oldest goes where there are too many.

    Args:
        site_id: of the crew's.
        data: the file's bytes.

    Raises:
        JobSite.DoesNotExist; DocumentError, where it is no picture or too large.
    """
    # Drawn before anybody waits for the site.
    SITES.there(member).get(id=site_id)
    return keep_picture(member, site_id, redrawn(data))


@transaction.atomic
def keep_picture(member: Member, site_id: int, picture: Redrawn) -> SitePicture:
    """A picture that was drawn anew, under a site's plan.

    Args:
        site_id: of the crew's.

    Raises:
        JobSite.DoesNotExist.
    """
    site = SITES.there(member).select_for_update(of=("self",)).get(id=site_id)
    kept, _ = SitePicture.objects.get_or_create(
        site=site,
        key=picture.key,
        defaults={"data": picture.data, "width": picture.width, "height": picture.height},
    )
    old = site.pictures.exclude(key=site.document.get("plan", {}).get("picture", ""))
    for dropped in old.exclude(id=kept.id).order_by("-id")[MOST_PICTURES - 2 :]:
        dropped.delete()
    return kept


@dataclass(frozen=True, slots=True)
class PicturesUnderSites:
    """Pictures that lie under sites: ``of`` which, counted from 1, and the ``jpeg`` in base 64.
    Each is fetched when it is asked for."""

    there: Sequence[tuple[int, int]]
    """Of which site, and the picture's number in the database."""

    def __len__(self) -> int:
        return len(self.there)

    def __iter__(self) -> Iterator[dict[str, Any]]:
        for number, picture_id in self.there:
            data = bytes(SitePicture.objects.get(id=picture_id).data)
            yield {"of": number, "jpeg": base64.b64encode(data).decode()}


def pictures_under(sites: QuerySet[JobSite]) -> PicturesUnderSites:
    """The pictures that lie under the plans of some sites, in their order."""
    kept = SitePicture.objects.filter(site__in=sites).values_list("site_id", "key", "id")
    ids = {(site_id, key): picture_id for site_id, key, picture_id in kept}
    laid = sites.order_by("id").values_list("id", "document__plan__picture")
    return PicturesUnderSites(
        [(number, ids[trench]) for number, trench in enumerate(laid, 1) if trench in ids]
    )


def lay_picture(member: Member, site: JobSite, picture: dict[str, Any], most_pixels: int) -> int:
    """A picture out of a job's file, under a site that came in with it: drawn anew it has another
    key.

    Args:
        picture: as a job's file has it.
        most_pixels: that it may have.

    Returns:
        How many pixels it had, of so many that it may.

    Raises:
        DocumentError.
    """
    try:
        data = base64.b64decode(str(picture.get("jpeg", "")), validate=True)
    except ValueError:
        raise DocumentError("jpeg", "a picture in base 64") from None
    plan = site.document.get("plan")
    if not isinstance(plan, dict):
        return 0
    drawn = redrawn(data, most_pixels)
    with transaction.atomic():
        kept = keep_picture(member, site.id, drawn)
        document = {**site.document, "plan": {**plan, "picture": kept.key}}
        SITES.save(member, site.id, document, site.version)
    return drawn.pixels
