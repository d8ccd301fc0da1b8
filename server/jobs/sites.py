"""Every change to a job's ducts between buildings: read by the core, saved by version."""

from __future__ import annotations

import base64
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Any

from django.db import transaction
from django.db.models import QuerySet

import yarrow
from accounts.models import Member
from jobs.models import JobSite, SitePicture
from jobs.policy import jobs_for, removed_sites_for, site_revisions_for, sites_for
from jobs.redrawn import redrawn
from jobs.room import check_room
from versions import services as versions
from yarrow.documents.errors import DocumentError

MOST_SITES = 20
MOST_PICTURES = 10
UNNAMED = "Unnamed ducts"


@transaction.atomic
def create_site(member: Member, job_id: int, document: dict[str, Any]) -> JobSite:
    """New ducts of a job.

    Raises: Job.DoesNotExist; DocumentError, also where there are too many.
    """
    job = jobs_for(member).select_for_update().get(id=job_id)
    check_room(job.sites, "sites of ducts", MOST_SITES)
    return _written_site(JobSite(job=job), member, document)


@transaction.atomic
def save_site(member: Member, site_id: int, document: dict[str, Any], base_version: int) -> JobSite:
    """Another version of a site. Raises: JobSite.DoesNotExist; DocumentError, also where somebody
    else's name is put to what was seen; VersionConflict."""
    site: JobSite = versions.locked(sites_for(member), site_id, base_version, document)
    _check_ticks(site.document, document, member)
    return _written_site(site, member, document)


@transaction.atomic
def restore_site(member: Member, site_id: int, version: int, base_version: int) -> JobSite:
    """Bring an earlier revision of a site back, as a new version.

    Raises: as save_site; SiteRevision.DoesNotExist.
    """
    site: JobSite = versions.locked(sites_for(member), site_id, base_version)
    revision = site_revisions_for(member).get(site=site, version=version)
    return _written_site(site, member, revision.document, restored_from=version)


@transaction.atomic
def remove_site(member: Member, site_id: int) -> None:
    """Put a site away. Its revisions stay. Raises: JobSite.DoesNotExist."""
    versions.remove(sites_for(member).select_for_update(of=("self",)).get(id=site_id))


@transaction.atomic
def bring_back_site(member: Member, site_id: int) -> JobSite:
    """Bring a removed site back. Raises: JobSite.DoesNotExist; DocumentError, where the job is
    full."""
    site = removed_sites_for(member).select_for_update(of=("self",)).get(id=site_id)
    check_room(site.job.sites, "sites of ducts", MOST_SITES)
    versions.bring_back(site)
    return site


@transaction.atomic
def add_picture(member: Member, site_id: int, data: bytes) -> SitePicture:
    """A picture to lie under a site's plan: drawn anew, so that nothing comes along but what is
    seen. The same picture twice is one; the oldest goes where there are too many.

    Raises: JobSite.DoesNotExist; DocumentError, where it is no picture or too large.
    """
    site = sites_for(member).select_for_update(of=("self",)).get(id=site_id)
    picture = redrawn(data)
    kept, _ = SitePicture.objects.get_or_create(
        site=site,
        key=picture.key,
        defaults={"data": picture.data, "width": picture.width, "height": picture.height},
    )
    old = site.pictures.exclude(key=site.document.get("plan", {}).get("picture", ""))
    for each in old.exclude(id=kept.id).order_by("-id")[MOST_PICTURES - 2 :]:
        each.delete()
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
        [(number, ids[each]) for number, each in enumerate(laid, 1) if each in ids]
    )


def lay_picture(member: Member, site: JobSite, picture: dict[str, Any]) -> None:
    """A picture out of a job's file, under a site that came in with it: drawn anew it has another
    key. Raises: DocumentError."""
    try:
        data = base64.b64decode(str(picture.get("jpeg", "")), validate=True)
    except ValueError:
        raise DocumentError("jpeg", "a picture in base 64") from None
    plan = site.document.get("plan")
    if isinstance(plan, dict):
        kept = add_picture(member, site.id, data)
        document = {**site.document, "plan": {**plan, "picture": kept.key}}
        save_site(member, site.id, document, site.version)


def _check_ticks(before: dict[str, Any], document: dict[str, Any], member: Member) -> None:
    """What is newly seen is seen by who saves it."""
    known = [_ticked(tick) for tick in before.get("ticks", [])]
    ticks = document.get("ticks", [])
    for number, tick in enumerate(ticks if isinstance(ticks, list) else []):
        own = isinstance(tick, dict) and tick.get("by") == member.shown_name
        if isinstance(tick, dict) and not own and _ticked(tick) not in known:
            raise DocumentError(f"ticks[{number}].by", "your own name")


def _ticked(tick: dict[str, Any]) -> tuple[object, ...]:
    return tick.get("stretch"), tick.get("item"), tick.get("by"), tick.get("at")


def _written_site(
    site: JobSite, member: Member, document: dict[str, Any], restored_from: int | None = None
) -> JobSite:
    yarrow.read_ducts(document)
    site.name = str(document.get("name", "")).strip() or UNNAMED
    versions.write(site, member, document, restored_from)
    return site
