"""Whose words an answer is in: the job's country's, whatever unit the tape has."""

from __future__ import annotations

from unittest import mock

from django.db import IntegrityError, transaction

from core.tests.builders import end, run, turn
from jobs.models import Job
from jobs.services import by_rules
from server.tests.people import CrewTest
from yarrow import RuleBook, rulebooks

FIVE_TURNS = run(*(turn(40, side) for side in ("left", "out", "left", "out", "left")), end(40))


class Words(CrewTest):
    def text(self, path: str, code: str) -> str:
        findings = self.send("post", path, FIVE_TURNS).json()["findings"]
        return str(next(each["text"] for each in findings if each["code"] == code))

    def test_an_inch_run_of_a_british_job_is_told_in_british_words(self) -> None:
        self.assertIn(
            "inspection fitting", self.text("/api/plan?language=en-GB", "too-many-degrees")
        )
        for asked in ("/api/plan", "/api/plan?language=en-US"):
            self.assertIn("conduit body", self.text(asked, "too-many-degrees"))

    def test_a_language_that_is_none_is_refused(self) -> None:
        self.assertEqual(self.send("post", "/api/plan?language=fr", FIVE_TURNS).status_code, 422)
        self.assertEqual(self.send("post", "/api/handle?language=fr", FIVE_TURNS).status_code, 422)


class Rules(CrewTest):
    def test_a_code_that_is_put_into_the_catalogue_holds_on_jobs(self) -> None:
        book = RuleBook("XY 1", "X", "mm", "en-GB", {"method": "area"}, "made up")
        with mock.patch.dict(rulebooks(), {"xy": book}):
            self.job.rules = "xy"
            self.job.save()
            job = Job.objects.get(id=self.job.id)
            self.assertEqual((job.rulebook.code, job.wording.language), ("XY 1", "en-GB"))
            self.assertEqual(by_rules(job, {})["method"], "area")

    def test_no_job_is_kept_under_rules_or_units_that_nobody_has(self) -> None:
        with self.assertRaises(IntegrityError), transaction.atomic():
            Job.objects.update(units="xx")
        self.job.rules = "xx"
        with self.assertRaisesRegex(ValueError, "us, uk"):
            self.job.save()
