"""Saving: versions, conflicts, history; nothing is overwritten and nothing is lost."""

from __future__ import annotations

import threading
from datetime import timedelta
from typing import Any
from unittest import mock

from django.db import connection
from django.test import TransactionTestCase
from django.utils import timezone

from jobs.models import Run
from jobs.runs import RUNS
from server.tests.people import DOCUMENT, CrewTest, People, changed
from versions.services import VersionConflict


class Saving(CrewTest):
    def save(self, base_version: int, **fields: object) -> object:
        body = {"document": changed(**fields), "base_version": base_version}
        return self.send("put", f"/api/runs/{self.run_.id}", body)

    def test_saving_makes_the_next_version_and_keeps_the_one_before(self) -> None:
        answer = self.save(1, name="Second")
        self.assertEqual((answer.status_code, answer.json()["version"]), (200, 2))
        history = self.client.get(f"/api/runs/{self.run_.id}/revisions").json()
        self.assertEqual([revision["version"] for revision in history], [2, 1])
        first = self.client.get(f"/api/runs/{self.run_.id}/revisions/1").json()
        self.assertEqual(first["document"], DOCUMENT)

    def test_a_run_that_is_asked_for_twice_by_one_key_is_made_once(self) -> None:
        key = "0123456789abcdef" * 2

        def made(name: str, key: str) -> Any:
            body = changed(name=name)
            path = f"/api/jobs/{self.run_.job_id}/runs"
            return self.client.post(
                path, body, content_type="application/json", headers={"Idempotency-Key": key}
            )

        first, again = made("New", key), made("New, changed since", key)
        self.assertEqual((first.status_code, again.status_code), (201, 201))
        self.assertEqual(first.json()["id"], again.json()["id"])
        # What it says is what it was made with: whoever asks sees that, and saves what is newer.
        self.assertEqual(again.json()["document"]["name"], "New")
        self.assertNotEqual(made("Another", "f" * 32).json()["id"], first.json()["id"])
        self.assertEqual(made("No key", "not one").status_code, 422)
        self.assertEqual(self.run_.job.runs.count(), 3)

    def test_what_is_queried_follows_the_document(self) -> None:
        self.save(
            1, walk=[{"kind": "turn", "at": "60", "toward": "out"}, {"kind": "end", "at": 30}]
        )
        self.run_.refresh_from_db()
        self.assertEqual(self.run_.bend_degrees, 90)
        # By hand: 60 + 30 − (g(90) + D) = 90 − 2 5/8 = 87 3/8.
        self.assertEqual(self.run_.cut_length_text, "7' 3 3/8\"")

    def test_a_clock_that_is_set_back_loses_nothing_and_ends_no_session(self) -> None:
        self.save(1, name="Second")
        before = timezone.now() - timedelta(hours=5)
        with mock.patch("django.utils.timezone.now", return_value=before):
            self.assertEqual(self.save(2, name="Third").status_code, 200)
            self.assertEqual(self.save(2, name="Late").status_code, 409)
        self.assertEqual(self.save(3, name="Fourth").status_code, 200)
        history = self.client.get(f"/api/runs/{self.run_.id}/revisions").json()
        self.assertEqual([revision["version"] for revision in history], [4, 3, 2, 1])
        self.run_.refresh_from_db()
        self.assertEqual(self.run_.document["name"], "Fourth")

    def test_a_stale_save_gets_both_documents_and_changes_nothing(self) -> None:
        self.save(1, name="Rook's")
        answer = self.save(1, name="Wren's")
        self.assertEqual(answer.status_code, 409)
        body = answer.json()
        self.assertEqual(body["yours"]["name"], "Wren's")
        self.assertEqual(body["theirs"]["document"]["name"], "Rook's")
        self.assertEqual(body["theirs"]["version"], 2)
        self.assertEqual(self.run_.revisions.count(), 2)

    def test_an_earlier_revision_comes_back_as_a_new_version(self) -> None:
        self.save(1, name="Second")
        path = f"/api/runs/{self.run_.id}/revisions/1/restore"
        stale = self.send("post", path, {"base_version": 1})
        self.assertEqual(stale.status_code, 409)
        answer = self.send("post", path, {"base_version": 2})
        self.assertEqual((answer.json()["version"], answer.json()["document"]), (3, DOCUMENT))
        newest = self.run_.revisions.get(version=3)
        self.assertEqual(newest.restored_from, 1)

    def test_a_document_that_can_t_be_read_is_refused_by_path_and_not_saved(self) -> None:
        walk = [{**DOCUMENT["walk"][0], "rise": "4 3/"}, *DOCUMENT["walk"][1:]]
        answer = self.save(1, walk=walk)
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(answer.json()["errors"][0]["path"], "walk[0].rise")
        self.run_.refresh_from_db()
        self.assertEqual(self.run_.version, 1)

    def test_a_run_that_can_t_be_made_is_saved_with_its_error(self) -> None:
        walk = [{**DOCUMENT["walk"][0], "rise": "1/2", "angle": 60}, *DOCUMENT["walk"][1:]]
        self.assertEqual(self.save(1, walk=walk).json()["worst_finding"], "error")

    def test_a_removed_run_is_gone_from_lists_and_comes_back_whole(self) -> None:
        self.client.delete(f"/api/runs/{self.run_.id}")
        self.assertEqual(self.client.get(f"/api/jobs/{self.job.id}").json()["runs"], [])
        self.assertEqual(self.client.get(f"/api/runs/{self.run_.id}").status_code, 404)
        back = self.send("post", f"/api/runs/{self.run_.id}/bring-back")
        self.assertEqual(back.json()["document"], DOCUMENT)

    def test_export_and_import_lose_nothing(self) -> None:
        file = self.client.get(f"/api/runs/{self.run_.id}/file")
        self.assertIn('filename="press-hall-feed.json"', file["Content-Disposition"])
        again = self.send("post", f"/api/jobs/{self.job.id}/runs", file.content)
        self.assertEqual(again.json()["document"], DOCUMENT)

    def test_screens_cost_a_fixed_number_of_queries(self) -> None:
        budgets = {"/api/jobs": 2, f"/api/jobs/{self.job.id}": 5, f"/api/runs/{self.run_.id}": 2}
        for path, queries in budgets.items():
            with self.subTest(path=path), self.assertNumQueries(queries):
                self.client.get(path)


class TwoAtOnce(People, TransactionTestCase):
    def test_of_two_saves_from_one_version_just_one_goes_through(self) -> None:
        self.make_people()
        run, outcomes = self.run_, []
        ready = threading.Barrier(2)

        def save(name: str) -> None:
            try:
                ready.wait()
                RUNS.save(self.wren, run.id, changed(name=name), 1)
                outcomes.append("saved")
            except VersionConflict:
                outcomes.append("conflict")
            finally:
                connection.close()

        threads = [threading.Thread(target=save, args=(name,)) for name in ("one", "other")]
        for thread in threads:
            thread.start()
        for thread in threads:
            thread.join()
        self.assertEqual(sorted(outcomes), ["conflict", "saved"])
        self.assertEqual(Run.objects.get(id=run.id).version, 2)
