"""Loads the demo data once, and says how to sign in."""

from __future__ import annotations

from typing import Any

from django.core.management.base import BaseCommand
from django.db import transaction
from django.utils import timezone

from accounts.models import Crew, Member
from accounts.roles import CrewRole
from benders.services import BENDERS, carried_by
from jobs.boxes import put_box
from jobs.demo import JOBS, MEMBERS, PASSWORD, ROLES
from jobs.demo_site import over_picture, picture_of_the_grounds
from jobs.runs import RUNS
from jobs.services import create_job
from jobs.sites import SITES, add_picture
from jobs.stock import STOCKS
from jobs.walls import WALLS


class Command(BaseCommand):
    """``manage.py load_demo``; where anybody is there already, all is left as it is: whoever was
    renamed, removed or given another password does not come back with a well-known one."""

    help = __doc__

    def handle(self, *args: Any, **options: Any) -> None:
        """Load it all into what is empty, and say who can sign in."""
        if not Member.objects.exists() and not Crew.objects.exists():
            with transaction.atomic():
                for crew_name, people in MEMBERS.items():
                    self._load(crew_name, people)
        first, other = (next(iter(MEMBERS[crew])) for crew in ("Heron crew", "Osprey crew"))
        open_ = [name for name in (first, other) if _has_demo_password(name)]
        how_to_sign_in = f"Sign in as {' or, of another crew, as '.join(open_)} with {PASSWORD}"
        self.stdout.write(how_to_sign_in if open_ else "Sign in with your own name and password.")

    def _load(self, crew_name: str, people: dict[str, str]) -> None:
        crew = Crew.objects.create(name=crew_name)
        members = []
        for username, full_name in people.items():
            first, last = full_name.split()
            members.append(
                Member.objects.create_user(
                    username,
                    password=PASSWORD,
                    crew=crew,
                    first_name=first,
                    last_name=last,
                    role=ROLES.get(username, CrewRole.LEAD),
                )
            )
        for site in JOBS[crew_name]:
            job = create_job(
                members[0], name=site["name"], place=site["place"], units=site["units"]
            )
            for document in site["runs"]:
                RUNS.create(members[0], job.id, document)
            for document in site["boxes"]:
                put_box(members[0], job.id, document, 0)
            for wall in site.get("walls", ()):
                WALLS.create(members[0], job.id, wall)
            if "ducts" in site:
                _load_ducts(members[0], job.id, site["ducts"])
            if "stock" in site:
                STOCKS.put(members[0], job.id, site["stock"], 0)
            for bender in site["benders"]:
                kept = BENDERS.create(
                    members[0],
                    crew.id,
                    {
                        "format": "yarrow.bender/1",
                        "units": site["units"],
                        "conduit": site["runs"][0]["conduit"],
                        "bender": bender,
                    },
                )
                for document in site["runs_with_bender"]:
                    carried = carried_by(kept, site["units"])
                    RUNS.create(members[0], job.id, {**document, "bender": carried})


def _load_ducts(member: Member, job_id: int, document: dict[str, Any]) -> None:
    """The ducts of a job, ticked today, with the picture of its grounds underneath."""
    at = timezone.now().isoformat(timespec="seconds")
    document = {**document, "ticks": [{**tick, "at": at} for tick in document["ticks"]]}
    site = SITES.create(member, job_id, document)
    picture = add_picture(member, site.id, picture_of_the_grounds())
    SITES.save(member, site.id, over_picture(document, picture.key, picture.height), 1)


def _has_demo_password(username: str) -> bool:
    member = Member.objects.filter(username=username, is_active=True).first()
    return member is not None and member.check_password(PASSWORD)
