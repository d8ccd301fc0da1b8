"""Boxes, benders and runs keep every revision, are restored, put away and brought back alike."""

from __future__ import annotations

import io
from datetime import UTC, datetime
from typing import Any
from unittest import mock

from django.core.management import CommandError, call_command
from django.utils import timezone

from jobs.models import Run
from server.tests.people import BENDER, DOCUMENT, CrewTest, changed
from versions.models import Revision
from versions.retention import thin_out
from yarrow.documents import upgrading

BOX: dict[str, Any] = {"format": "yarrow.sitebox/1", "name": "Panel", "units": "in"}


class Tables(CrewTest):
    def test_no_migration_is_missing(self) -> None:
        call_command("makemigrations", check=True, dry_run=True, verbosity=0)


class Versions(CrewTest):
    """One walk through every kind: saved twice, restored, moved on, removed, brought back."""

    def kinds(self) -> list[tuple[str, str, dict[str, Any], dict[str, Any], str]]:
        job, bender = self.run_.job_id, self.bender.id
        renamed = {**BENDER["bender"], "name": "New shoe"}
        sides = {"width": 8, "height": 8, "depth": 4}
        return [
            (f"/api/runs/{self.run_.id}", "", DOCUMENT, changed(name="Second"), "run"),
            (f"/api/benders/{bender}", "", BENDER, {**BENDER, "bender": renamed}, "bender"),
            (f"/api/jobs/{job}/box", "?name=Panel", BOX, {**BOX, "sides": sides}, "box"),
        ]

    def test_every_kind_goes_the_same_way(self) -> None:
        self.send("put", f"/api/jobs/{self.run_.job_id}/box", {"document": BOX, "base_version": 0})
        for path, name, first, second, what in self.kinds():
            with self.subTest(what):
                saved = self.send("put", path, {"document": second, "base_version": 1}).json()
                self.assertEqual((saved["version"], saved["document"]), (2, second))
                late = self.send("put", path, {"document": first, "base_version": 1})
                problem = late.json()
                self.assertEqual((late.status_code, problem["code"]), (409, "conflict"))
                self.assertEqual(problem["yours"], first)
                theirs = problem["theirs"]
                self.assertEqual(theirs["document"], second)
                self.assertEqual((theirs["version"], theirs["updated_by"]), (2, "wren"))
                self.assertIn(what, problem["message"])
                listed = self.send("get", f"{path}/revisions{name}").json()
                self.assertEqual([each["version"] for each in listed], [2, 1])
                restore = f"{path}/revisions/1/restore{name}"
                self.assertEqual(self.send("post", restore, {"base_version": 1}).status_code, 409)
                restored = self.send("post", restore, {"base_version": 2}).json()
                self.assertEqual((restored["version"], restored["document"]), (3, first))
                self.assertEqual(self.send("delete", f"{path}{name}").status_code, 200)
                body = {"document": second, "base_version": 3}
                self.assertEqual(self.send("put", path, body).status_code, 404)
                back = self.send("post", f"{path}/bring-back{name}").json()
                self.assertEqual((back["version"], back["document"]), (3, first))

    def test_what_was_removed_is_listed_for_its_crew_alone(self) -> None:
        self.send("put", f"/api/jobs/{self.run_.job_id}/box", {"document": BOX, "base_version": 0})
        for path, name, *_ in self.kinds():
            self.send("delete", f"{path}{name}")
        removed = self.send("get", f"/api/jobs/{self.run_.job_id}/removed").json()
        self.assertEqual([run["id"] for run in removed["runs"]], [self.run_.id])
        self.assertEqual([box["name"] for box in removed["boxes"]], ["Panel"])
        benders = self.send("get", "/api/benders/removed").json()
        self.assertEqual([each["id"] for each in benders], [self.bender.id])
        self.assertEqual(self.send("get", "/api/benders").json(), [])
        tern = self.signed_in_as(self.tern)
        theirs = self.send("get", "/api/benders/removed", client=tern)
        self.assertEqual(theirs.json(), [])
        answer = self.send("get", f"/api/jobs/{self.run_.job_id}/removed", client=tern)
        self.assertEqual(answer.status_code, 404)

    def test_a_box_told_of_again_after_it_was_removed_goes_on_from_there(self) -> None:
        path = f"/api/jobs/{self.run_.job_id}/box"
        self.send("put", path, {"document": BOX, "base_version": 0})
        self.send("delete", f"{path}?name=Panel")
        self.assertEqual(self.send("get", f"{path}?name=Panel").json()["version"], 0)
        again = self.send("put", path, {"document": BOX, "base_version": 0}).json()
        self.assertEqual(again["version"], 2)


class OneBroken(CrewTest):
    """A stored run that the reader refuses takes nothing else of its job with it."""

    def setUp(self) -> None:
        super().setUp()
        self.job = f"/api/jobs/{self.run_.job_id}"
        whole = changed(name="Whole", start={"kind": "connector", "box": "Panel"})
        self.whole = self.send("post", f"{self.job}/runs", whole).json()["id"]
        spoilt = changed(start={"kind": "connector", "box": "Panel"}, later_field=1)
        Run.objects.filter(id=self.run_.id).update(document=spoilt)

    def test_the_rest_of_the_job_works(self) -> None:
        self.assertEqual(len(self.send("get", self.job).json()["runs"]), 2)
        (box,) = self.send("get", f"{self.job}/boxes").json()
        self.assertEqual(box["runs"], ["Whole"])
        self.assertEqual(self.send("get", f"{self.job}/box?name=Panel").status_code, 200)
        table = self.client.get(f"{self.job}/schedule.csv")
        self.assertEqual(table.status_code, 200)
        self.assertIn("Whole", self.body(table))
        self.assertEqual(self.client.get(f"{self.job}/archive").status_code, 200)

    def test_the_broken_one_says_why_and_hands_out_its_text(self) -> None:
        run = self.send("get", f"/api/runs/{self.run_.id}").json()
        self.assertIn("later_field", run["problem"])
        self.assertEqual(run["document"]["later_field"], 1)
        whole = self.send("get", f"/api/runs/{self.whole}").json()
        self.assertEqual(whole["problem"], "")
        self.assertEqual(self.client.get(f"/api/runs/{self.run_.id}/file").status_code, 200)
        sheet = self.client.get(f"/api/runs/{self.run_.id}/sheet.svg")
        self.assertEqual((sheet.status_code, sheet.json()["code"]), (422, "unreadable"))

    def body(self, answer: Any) -> str:
        return (b"".join(answer) if answer.streaming else answer.content).decode()


class Pages(CrewTest):
    def test_a_history_is_read_page_by_page(self) -> None:
        path = f"/api/runs/{self.run_.id}"
        for version in range(2, 4):
            self.run_.version = version
            self.run_.revision().save()
        with mock.patch("api.shapes.MOST_LISTED", 2):
            first = self.send("get", f"{path}/revisions").json()
            self.assertEqual([each["version"] for each in first], [3, 2])
            second = self.send("get", f"{path}/revisions?before=2").json()
            self.assertEqual([each["version"] for each in second], [1])
        for before in ("0", "x", "1_0", "-1"):
            refused = self.send("get", f"{path}/revisions?before={before}")
            self.assertEqual(refused.status_code, 422, before)

    def test_a_job_s_runs_are_read_page_by_page(self) -> None:
        path = f"/api/jobs/{self.run_.job_id}"
        for name in ("B", "C"):
            self.send("post", f"{path}/runs", changed(name=name))
        with mock.patch("api.routes.jobs.MOST_LISTED", 2):
            job = self.send("get", path).json()
            rest = self.send("get", f"{path}/runs?offset=2").json()
            beyond = self.send("get", f"{path}/runs?offset=3").json()
        self.assertEqual((len(job["runs"]), job["run_count"], len(rest), beyond), (2, 3, 1, []))
        names = [each["name"] for each in [*job["runs"], *rest]]
        self.assertEqual(names, sorted(names))


class Retention(CrewTest):
    def saved(self, run: Run, *moments: str) -> None:
        """Revisions of a run at those moments of November, from its second on."""
        for version, moment in enumerate(moments, 2):
            row = Revision(
                kind="jobs.run", row_id=run.pk, version=version, document={}, saved_by=self.wren
            )
            row.save()
            at = datetime.fromisoformat(f"2026-11-{moment}:00+00:00")
            Revision.objects.filter(pk=row.pk).update(saved_at=at)

    def kept(self, run: Run) -> list[int]:
        return sorted(run.revisions.values_list("version", flat=True))

    def test_after_so_many_days_the_first_is_kept_and_the_last_of_a_day(self) -> None:
        days = (timezone.now() - datetime(2026, 11, 20, tzinfo=UTC)).days
        begun = datetime.fromisoformat("2026-11-02T08:00:00+00:00")
        self.run_.revisions.update(saved_at=begun)
        moments = ("02T09:00", "02T23:59", "03T00:00", "03T10:00", "25T09:00", "25T10:00")
        self.saved(self.run_, *moments)
        self.saved(self.their_run, "02T10:00")
        self.assertEqual(thin_out(0), 0)
        self.assertEqual(thin_out(days), 2)
        # Of the second the last is the third version; what is younger is all there.
        self.assertEqual(self.kept(self.run_), [1, 3, 5, 6, 7])
        self.assertEqual(self.kept(self.their_run), [1, 2])
        self.assertEqual(thin_out(days), 0)

    def test_many_go_a_lot_at_a_time(self) -> None:
        self.run_.revisions.update(saved_at=datetime(2025, 1, 1, tzinfo=UTC))
        self.saved(self.run_, *("02T09:00" for _ in range(8)))
        with mock.patch("versions.retention._AT_ONCE", 3):
            self.assertEqual(thin_out(1), 7)
        self.assertEqual(self.kept(self.run_), [1, 9])


class Upgrading(CrewTest):
    """What an earlier version stored comes out as today's, wherever it is asked for."""

    def test_a_run_and_its_revisions_come_out_upgraded_and_stay_stored_as_they_were(self) -> None:
        old = {**DOCUMENT, "format": "yarrow.run/0"}
        Run.objects.filter(id=self.run_.id).update(document=old)
        self.run_.revisions.update(document=old)
        to_today = {"yarrow.run/0": lambda found: {**found, "format": "yarrow.run/1"}}
        path = f"/api/runs/{self.run_.id}"
        with mock.patch.dict(upgrading.STEPS, to_today):
            detail = self.send("get", path).json()
            self.assertEqual((detail["document"], detail["problem"]), (DOCUMENT, ""))
            revision = self.send("get", f"{path}/revisions/1").json()
            self.assertEqual(revision["document"], DOCUMENT)
            listed = Run.objects.filter(id=self.run_.id).values_list("document", flat=True)
            self.assertEqual(list(listed), [DOCUMENT])
        self.assertIn("format", self.send("get", path).json()["problem"])


class CheckData(CrewTest):
    """``manage.py check_data``: all that is stored, and every revision of it."""

    def test_what_can_be_read_is_counted(self) -> None:
        told = io.StringIO()
        call_command("check_data", stdout=told)
        # A run and a bender, each with its one revision; another crew has as much.
        self.assertRegex(told.getvalue(), r"All \d+ documents can be read\.")

    def test_each_that_cannot_be_read_is_told_with_its_place_and_reason(self) -> None:
        Run.objects.filter(id=self.run_.id).update(document={**DOCUMENT, "method": "guess"})
        self.bender.revisions.update(document={"format": "yarrow.bender/9", "units": "in"})
        told = io.StringIO()
        with self.assertRaisesMessage(CommandError, "2 of "):
            call_command("check_data", stdout=told)
        lines = told.getvalue().splitlines()
        self.assertEqual(len(lines), 2)
        self.assertTrue(any(f"run {self.run_.id}" in line and "method" in line for line in lines))
        self.assertTrue(
            any(
                f"bender {self.bender.id}" in line and "version 1: format" in line for line in lines
            )
        )
