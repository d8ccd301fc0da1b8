"""Loads the demo data once, and says how to sign in."""

from __future__ import annotations

from typing import Any

from django.core.management.base import BaseCommand
from django.db import transaction

from accounts.models import Crew, Member
from crib.services import add_bender
from jobs.demo import JOBS, MEMBERS, PASSWORD
from jobs.services import create_job, create_run, save_box


class Command(BaseCommand):
    """``manage.py load_demo``; a crew that is there already is left as it is."""

    help = __doc__

    def handle(self, *args: Any, **options: Any) -> None:
        """Load what is missing."""
        for crew_name, people in MEMBERS.items():
            if not Crew.objects.filter(name=crew_name).exists():
                self._load(crew_name, people)
        first = next(iter(MEMBERS["Heron crew"]))
        other = next(iter(MEMBERS["Osprey crew"]))
        self.stdout.write(f"Sign in as {first} with {PASSWORD} (another crew: {other})")

    @transaction.atomic
    def _load(self, crew_name: str, people: dict[str, str]) -> None:
        crew = Crew.objects.create(name=crew_name)
        members = []
        for username, full_name in people.items():
            first, last = full_name.split()
            members.append(
                Member.objects.create_user(
                    username, password=PASSWORD, crew=crew, first_name=first, last_name=last
                )
            )
        for site in JOBS[crew_name]:
            job = create_job(
                members[0], name=site["name"], place=site["place"], units=site["units"]
            )
            for document in site["runs"]:
                create_run(members[0], job.id, document)
            for document in site["boxes"]:
                save_box(members[0], job.id, document, 0)
            for bender in site["benders"]:
                conduit = site["runs"][0]["conduit"]
                add_bender(
                    members[0],
                    {
                        "format": "yarrow.bender/1",
                        "units": site["units"],
                        "conduit": conduit,
                        "bender": bender,
                    },
                )
