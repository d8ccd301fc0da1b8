"""A crew's file and a person's data: out, in elsewhere, and forgotten."""

from __future__ import annotations

import io
import json
import tempfile
import zipfile
from contextlib import redirect_stdout
from pathlib import Path
from typing import Any

from django.core.management import CommandError, call_command
from django.test import Client

from accounts.models import Member, MemberSession
from jobs.models import Job, Run
from jobs.policy import jobs_for
from jobs.services import create_job
from jobs.sites import SITES, add_picture
from jobs.walls import WALLS
from server.tests.people import PASSWORD, CrewTest, a_picture
from server.tests.test_walls import DUCTS, FRAMED


class CrewFile(CrewTest):
    def setUp(self) -> None:
        super().setUp()
        self.file = Path(self.enterContext(tempfile.TemporaryDirectory())) / "heron.zip"

    def call(self, *command: str) -> str:
        said = io.StringIO()
        call_command(*command, stdout=said)
        return said.getvalue()

    def written(self) -> None:
        create_job(self.wren, name="Upper weir", place="", units="mm")
        WALLS.create(self.wren, self.job.id, FRAMED)
        site = SITES.create(self.wren, self.job.id, DUCTS)
        add_picture(self.wren, site.id, a_picture())
        self.assertIn("jobs of Heron: 2", self.call("export_crew", "Heron", str(self.file)))

    def test_all_jobs_of_a_crew_come_into_another(self) -> None:
        self.written()
        self.assertIn("came into Osprey: 2", self.call("take_in_crew", str(self.file), "tern"))
        names = list(jobs_for(self.tern).order_by("name").values_list("name", flat=True))
        self.assertEqual(names, ["Reedbank", "Saltmarsh", "Upper weir"])
        came = jobs_for(self.tern).get(name="Saltmarsh")
        self.assertEqual(
            [run.document for run in came.runs.all()], [run.document for run in self.job.runs.all()]
        )
        self.assertEqual((came.walls.count(), came.sites.count()), (1, 1))
        about = json.loads(zipfile.ZipFile(self.file).read("crew.json"))
        self.assertEqual([each["username"] for each in about["people"]], ["wren", "rook"])
        self.assertNotIn("argon2", str(about))
        self.assertEqual(self.file.stat().st_mode & 0o777, 0o600)

    def rewritten(self, **entries: Any) -> None:
        """The file with other entries; one that is None is left out."""
        was = zipfile.ZipFile(io.BytesIO(self.file.read_bytes()))
        held = {name: was.read(name) for name in was.namelist()} | entries
        with zipfile.ZipFile(self.file, "w") as out:
            for name, data in held.items():
                if data is not None:
                    out.writestr(name, data)

    def test_of_a_file_that_can_t_be_read_nothing_comes_in(self) -> None:
        self.written()
        whole = self.file.read_bytes()
        before = Job.objects.count(), Run.objects.count()
        broken: list[dict[str, Any]] = [
            {"jobs/0002.zip": b"no zip"},
            {"jobs/0002.zip": None},
            {"crew.json": None},
            {"crew.json": b'{"format": "yarrow.crew/9", "jobs": 2}'},
            {"crew.json": b'{"format": "yarrow.crew/1", "jobs": "2"}'},
        ]
        for entries in broken:
            with self.subTest(entries), self.assertRaisesMessage(CommandError, "Nothing"):
                self.file.write_bytes(whole)
                self.rewritten(**entries)
                self.call("take_in_crew", str(self.file), "tern")
        self.file.write_bytes(whole[: len(whole) // 2])
        with self.assertRaisesMessage(CommandError, "cut short"):
            self.call("take_in_crew", str(self.file), "tern")
        self.assertEqual((Job.objects.count(), Run.objects.count()), before)

    def test_a_crew_or_a_person_that_there_is_not_is_told(self) -> None:
        for command in (
            ("export_crew", "Nobody", str(self.file)),
            ("take_in_crew", str(self.file), "nobody"),
            ("forget_person", "nobody"),
        ):
            with self.subTest(command), self.assertRaisesMessage(CommandError, "There is no"):
                self.call(*command)


class Person(CrewTest):
    def test_one_takes_out_what_is_kept_of_oneself_and_of_nobody_else(self) -> None:
        phone = Client(headers={"User-Agent": "Phone"})
        body = {"username": "wren", "password": PASSWORD}
        self.send("post", "/api/session", body, phone)
        self.send(
            "post", "/api/jobs", {"name": "Yard", "units": "in"}, self.signed_in_as(self.rook)
        )
        kept = phone.get("/api/session/data").json()
        self.assertEqual((kept["username"], kept["role"]), ("wren", "lead"))
        self.assertIn("Phone", [session["device"] for session in kept["sessions"]])
        self.assertEqual([entry["did"] for entry in kept["did"]], ["sign_in"])
        self.assertNotIn("argon2", str(kept))
        self.assertNotIn(phone.cookies["sessionid"].value, str(kept))

    def test_whoever_was_put_out_is_forgotten_and_what_they_made_stays(self) -> None:
        Member.objects.filter(pk=self.wren.pk).update(
            first_name="Wren", last_name="Hallow", email="wren@heron.example"
        )
        with self.assertRaisesMessage(CommandError, "put them out first"):
            call_command("forget_person", "wren")
        Member.objects.filter(pk=self.wren.pk).update(is_active=False)
        with redirect_stdout(io.StringIO()):
            call_command("forget_person", "wren")
        self.wren.refresh_from_db()
        told = str({name: value for name, value in vars(self.wren).items() if name[0] != "_"})
        for gone in ("Hallow", "example", "argon2"):
            self.assertNotIn(gone, told)
        self.assertFalse(MemberSession.objects.filter(member=self.wren).exists())
        self.assertFalse(Member.objects.filter(username="wren").exists())
        self.run_.refresh_from_db()
        self.assertEqual(self.run_.updated_by.shown_name, "Somebody")
