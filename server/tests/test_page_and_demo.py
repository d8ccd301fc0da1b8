"""The page itself, the demo data, and jobs as lists show them."""

from __future__ import annotations

import io
from unittest import mock

from django.core.management import call_command
from django.template import TemplateDoesNotExist
from django.test import TestCase

import yarrow
from accounts.models import Crew, Member
from benders.models import CrewBender
from jobs.models import Job, Run
from server.tests.people import CrewTest


class Page(CrewTest):
    def test_every_place_in_the_page_is_the_same_page_with_a_nonce_of_its_own(self) -> None:
        seen = set()
        for path in ("/", "/jobs/3", "/runs/7/sheet", "/nowhere"):
            answer = self.client.get(path)
            self.assertEqual(answer.status_code, 200)
            self.assertIn(b'id="root"', answer.content)
            nonce = answer["Content-Security-Policy"].partition("'nonce-")[2].partition("'")[0]
            self.assertIn(f'content="{nonce}"'.encode(), answer.content)
            seen.add(nonce)
        self.assertEqual(len(seen), 4)

    def test_a_page_that_has_not_been_built_says_so(self) -> None:
        missing = mock.patch("config.page.render", side_effect=TemplateDoesNotExist("index.html"))
        with missing, self.assertLogs("django.request"):
            answer = self.client.get("/")
        self.assertEqual(answer.status_code, 503)
        self.assertIn(b"./yarrow demo", answer.content)

    def test_the_page_only_reads(self) -> None:
        self.assertEqual(self.client.post("/").status_code, 405)


class Jobs(CrewTest):
    def test_a_job_is_made_renamed_and_listed_with_its_runs(self) -> None:
        made = self.send("post", "/api/jobs", {"name": " Weir ", "place": "East", "units": "mm"})
        self.assertEqual((made.status_code, made.json()["name"]), (201, "Weir"))
        path = f"/api/jobs/{made.json()['id']}"
        changed = self.send("put", path, {"name": "Upper weir"})
        self.assertEqual((changed.json()["name"], changed.json()["place"]), ("Upper weir", ""))
        listed = {job["name"]: job["run_count"] for job in self.client.get("/api/jobs").json()}
        self.assertEqual(listed, {"Saltmarsh": 1, "Upper weir": 0})

    def test_names_that_say_nothing_or_too_much_are_refused_by_field(self) -> None:
        for name in ("", "   ", "x" * 121, "a\x00b", "two\nlines"):
            with self.subTest(name=name):
                answer = self.send("post", "/api/jobs", {"name": name, "units": "in"})
                self.assertEqual(answer.status_code, 422)
                self.assertEqual(answer.json()["errors"][0]["path"], "body.name"[5:])
        surplus = self.send("post", "/api/jobs", {"name": "A", "units": "in", "owner": 1})
        self.assertEqual(surplus.status_code, 422)

    def test_a_run_without_a_name_still_has_one_in_the_list(self) -> None:
        document = {**self.run_.document, "name": "  "}
        made = self.send("post", f"/api/jobs/{self.job.id}/runs", document)
        self.assertEqual(made.json()["name"], "Unnamed run")
        self.assertEqual(made.json()["document"]["name"], "  ")


class Demo(TestCase):
    def test_it_loads_once_and_every_run_can_be_made(self) -> None:
        told = io.StringIO()
        for _ in range(2):
            call_command("load_demo", stdout=told)
        self.assertIn("Sign in as wren", told.getvalue())
        self.assertEqual(Job.objects.count(), 3)
        for run in Run.objects.all():
            with self.subTest(run=run.name):
                plan = yarrow.plan.values(run.document)
                self.assertTrue(plan.can_be_made)
                grave = [finding.code for finding in plan.findings if finding.level != "note"]
                # One of them shows what it looks like when the wire does not go in.
                too_full = run.name.startswith("Cellar main")
                self.assertEqual(grave, ["wires-do-not-fit"] if too_full else [])
                self.assertTrue(plan.steps)

    def test_it_gives_nobody_a_well_known_password_once_data_was_changed(self) -> None:
        call_command("load_demo", stdout=io.StringIO())
        wren, tern = (Member.objects.get(username=name) for name in ("wren", "tern"))
        wren.set_password("another-hedge-entirely")
        wren.save()
        Crew.objects.filter(name="Heron crew").update(name="Renamed")
        told = io.StringIO()
        call_command("load_demo", stdout=told)
        self.assertTrue(
            Member.objects.get(username="wren").check_password("another-hedge-entirely")
        )
        self.assertFalse(Crew.objects.filter(name="Heron crew").exists())
        self.assertNotIn("wren", told.getvalue())
        self.assertIn("tern", told.getvalue())
        tern.username = "renamed"
        tern.save()
        told = io.StringIO()
        call_command("load_demo", stdout=told)
        self.assertFalse(Member.objects.filter(username="tern").exists())
        self.assertEqual(told.getvalue(), "Sign in with your own name and password.\n")

    def test_both_sites_have_runs_in_their_own_unit(self) -> None:
        call_command("load_demo", stdout=io.StringIO())
        units = {
            job.name: {run.document["units"] for run in job.runs.all()} for job in Job.objects.all()
        }
        self.assertEqual(units["Saltmarsh Cider Works"], {"in"})
        self.assertEqual(units["Harrow Lock pump house"], {"mm"})

    def test_what_the_tape_met_and_a_crew_s_own_bender_are_there_to_be_seen(self) -> None:
        call_command("load_demo", stdout=io.StringIO())
        kinds = {line["kind"] for run in Run.objects.all() for line in run.document.get("walk", ())}
        self.assertLessEqual({"round", "block", "ledge", "wall", "hole", "box"}, kinds)
        self.assertLessEqual({"saddle3", "saddle4", "kick", "box_offset"}, kinds)
        plans = [yarrow.plan.values(run.document) for run in Run.objects.all()]
        self.assertTrue(
            any(choice.together_with is not None for p in plans for choice in p.choices)
        )
        self.assertTrue(any(plan.solved for plan in plans))
        self.assertTrue(any(row.warm_from for plan in plans for row in plan.working))
        self.assertEqual(CrewBender.objects.get().crew.name, "Heron crew")
