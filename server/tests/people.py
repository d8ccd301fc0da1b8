"""Two crews with a job and a run each, for tests that need someone to be someone else."""

from __future__ import annotations

import io
import json
from typing import Any

from django.core.cache import cache
from django.test import Client, TestCase
from PIL import Image

from accounts.models import Crew, Member
from accounts.roles import CrewRole
from benders.models import CrewBender
from benders.services import BENDERS
from exports.job_archive import pack
from jobs.models import Job, Run
from jobs.runs import RUNS
from jobs.services import create_job
from versions.folders import Archive

PASSWORD = "kestrel-over-marsh"
DOCUMENT: dict[str, Any] = {
    "format": "yarrow.run/1",
    "name": "Press hall feed",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
    "start": {"kind": "connector"},
    "walk": [
        {"kind": "offset", "at": "33", "rise": "4 3/8", "toward": "left", "angle": 30},
        {"kind": "turn", "at": "71 5/8", "toward": "left"},
        {"kind": "end", "at": "34 1/8", "fitting": "connector"},
    ],
}


BENDER: dict[str, Any] = {
    "format": "yarrow.bender/1",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": {
        "kind": "hand",
        "name": "The old half-inch",
        "tests": [{"mark": "13 3/8", "stick": "40", "stub": "18 3/8", "tail": "24 1/4"}],
    },
}


def changed(**fields: Any) -> dict[str, Any]:
    """The document with other fields."""
    return {**DOCUMENT, **fields}


def packed(archive: Archive) -> bytes:
    """A job's file as a whole."""
    return b"".join(pack(archive))


def archive(*runs: dict[str, Any], units: str = "in", **folders: Any) -> Archive:
    """What a job's file holds: its runs, and what else is in its folders."""
    return Archive("Mill", "", units, {"runs": runs, **folders})


class People:
    """Heron crew's wren and rook, Osprey crew's tern, and a job and a run of each crew."""

    wren: Member
    rook: Member
    tern: Member
    job: Job
    run_: Run
    their_job: Job
    their_run: Run
    bender: CrewBender
    their_bender: CrewBender

    @classmethod
    def make_people(cls) -> None:
        """Make them all, as they are named here."""
        heron, osprey = (Crew.objects.create(name=name) for name in ("Heron", "Osprey"))
        cls.wren = Member.objects.create_user(
            "wren", password=PASSWORD, crew=heron, role=CrewRole.LEAD
        )
        cls.rook = Member.objects.create_user("rook", password=PASSWORD, crew=heron)
        cls.tern = Member.objects.create_user(
            "tern", password=PASSWORD, crew=osprey, role=CrewRole.LEAD
        )
        cls.job = create_job(cls.wren, name="Saltmarsh", place="", units="in")
        cls.run_ = RUNS.create(cls.wren, cls.job.id, DOCUMENT)
        cls.their_job = create_job(cls.tern, name="Reedbank", place="", units="in")
        cls.their_run = RUNS.create(cls.tern, cls.their_job.id, DOCUMENT)
        cls.bender = BENDERS.create(cls.wren, heron.id, BENDER)
        cls.their_bender = BENDERS.create(cls.tern, osprey.id, BENDER)


def a_picture(size: tuple[int, int] = (40, 30), kind: str = "PNG", **more: Any) -> bytes:
    """A picture of nothing in particular."""
    out = io.BytesIO()
    Image.new("RGB", size, "seagreen").save(out, kind, **more)
    return out.getvalue()


class CrewTest(People, TestCase):
    """Signed in as wren."""

    @classmethod
    def setUpTestData(cls) -> None:
        cls.make_people()

    def setUp(self) -> None:
        cache.clear()  # what was tried too often in another test counts for nothing here
        self.client.force_login(self.wren)

    def send(self, method: str, path: str, body: Any = None, client: Client | None = None) -> Any:
        """A request with a JSON body."""
        data = body if isinstance(body, str | bytes) else json.dumps(body)
        return (client or self.client).generic(
            method, path, data if body is not None else "", content_type="application/json"
        )

    def signed_in_as(self, member: Member) -> Client:
        """Another browser, with someone else in it."""
        client = Client()
        member.refresh_from_db()  # its password may have changed
        client.force_login(member)
        return client
