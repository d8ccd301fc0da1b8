"""Long work: done once by whichever worker, told on the way, stopped by a touch."""

from __future__ import annotations

import io
import json
import zipfile
from collections.abc import Callable
from datetime import timedelta
from typing import Any
from unittest import mock

from asgiref.sync import async_to_sync
from django.db import OperationalError, connection
from django.test import TransactionTestCase
from django.utils import timezone
from pypdf import PdfReader

from jobs.models import Run
from jobs.runs import RUNS
from jobs.services import create_job
from jobs.taken import PLANNING_S
from long_work import services
from long_work.changes import FOLLOWED, notify
from long_work.kind import Finished
from long_work.kinds import KINDS
from long_work.models import LongWork, WorkFile
from long_work.services import LOST_AFTER_S
from long_work.tasks import take_up_again
from server.tests.people import DOCUMENT, CrewTest, People, changed
from server.tests.test_cut_lists import in_hand, straight


def in_between(act: Callable[[], object]) -> Any:
    """A kind of work during whose first part something happens."""

    def work(_member: Any, _job: Any, _options: Any, tell: Callable[[int, int], None]) -> Finished:
        act()
        tell(1, 2)
        return Finished(b"all", "all.zip", "application/zip")

    return mock.patch.object(KINDS["archive"], "work", work)


class AskedFor(CrewTest):
    def ask(self, status: int = 202, **work: Any) -> Any:
        answer = self.send("post", f"/api/jobs/{self.job.id}/work", {"work": work})
        self.assertEqual(answer.status_code, status, answer.content)
        return answer.json()

    def told(self, number: int) -> dict[str, Any]:
        result: dict[str, Any] = self.client.get(f"/api/work/{number}").json()
        return result

    def made(self, **work: Any) -> bytes:
        """The file that comes of it."""
        number = self.ask(**work)["id"]
        services.work(number)
        self.assertEqual(self.told(number)["state"], "done", self.told(number))
        answer = self.client.get(f"/api/work/{number}/file")
        self.assertIn("attachment", answer["Content-Disposition"])
        return bytes(answer.content)

    def test_the_job_s_file_is_the_one_that_was_always_told(self) -> None:
        at_once = b"".join(self.client.get(f"/api/jobs/{self.job.id}/archive").streaming_content)
        made = self.made(kind="archive")
        first, second = (
            {name: zipped.read(name) for name in zipped.namelist()}
            for zipped in (zipfile.ZipFile(io.BytesIO(body)) for body in (at_once, made))
        )
        self.assertEqual(first, second)

    def test_the_sheets_of_all_runs_a_page_each_by_their_names(self) -> None:
        joined = changed(name="A long feed", joints={"stick": 60})
        RUNS.create(self.wren, self.job.id, joined)
        gone = RUNS.create(self.wren, self.job.id, changed(name="Gone"))
        gone.removed_at = timezone.now()
        gone.save()
        pages = [
            page.extract_text() for page in PdfReader(io.BytesIO(self.made(kind="sheets"))).pages
        ]
        names = ["Piece 1 of 2, A long feed", "Piece 2 of 2, A long feed", "Press hall feed"]
        for page, name in zip(pages, names, strict=True):
            self.assertIn(name, page)

    def test_a_run_that_cannot_be_read_is_left_out_and_named(self) -> None:
        Run.objects.filter(pk=RUNS.create(self.wren, self.job.id, changed(name="Odd")).pk).update(
            document={**DOCUMENT, "walk": "?"}
        )
        number = self.ask(kind="sheets", paper="letter")["id"]
        services.work(number)
        self.assertEqual(self.told(number)["left_out"], ["Odd"])
        page = PdfReader(io.BytesIO(bytes(WorkFile.objects.get(work=number).body))).pages[0]
        self.assertAlmostEqual(float(page.mediabox.width), 612, delta=0.5)  # 8 1/2 in

    def test_of_a_job_without_runs_there_are_no_sheets(self) -> None:
        Run.objects.update(removed_at=timezone.now())
        number = self.ask(kind="sheets")["id"]
        services.work(number)
        told = self.told(number)
        self.assertEqual((told["state"], told["problem"][:15]), ("failed", "There is no run"))
        self.assertEqual(self.client.get(f"/api/work/{number}/file").status_code, 404)

    def steps(self, kind: str, options: dict[str, Any]) -> list[tuple[int, int]]:
        """What a kind of work tells on its way: how much is done, of how much."""
        told: list[tuple[int, int]] = []
        KINDS[kind].work(self.wren, self.job, options, lambda done, of: told.append((done, of)))
        return told

    def test_a_file_is_told_a_document_at_a_time(self) -> None:
        RUNS.create(self.wren, self.job.id, straight("Short", 20))
        told = self.steps("archive", {})
        with zipfile.ZipFile(io.BytesIO(self.made(kind="archive"))) as zipped:
            documents = len(zipped.namelist()) - 1
        # The manifest comes first, and the zip's own list last.
        counted = [*range(documents + 1), documents]
        self.assertEqual(told, [(done, documents) for done in counted])

    def test_a_cut_list_counts_its_conduits_behind_its_runs(self) -> None:
        RUNS.create(self.wren, self.job.id, straight("Short", 20))
        stock = in_hand({"type": "emt", "size": "1/2", "length": 30})
        told = self.steps("cut-list", {"document": stock, "seconds": 0.0})
        self.assertEqual(told[-1], (3, 3))

    def test_a_cut_list_that_was_looked_for_long_is_cut_as_it_was_found(self) -> None:
        RUNS.create(self.wren, self.job.id, straight("Short", 20))
        stock = in_hand({"type": "emt", "size": "1/2", "length": 30})
        body = {"document": stock, "base_version": 0}
        listed = self.send("post", f"/api/jobs/{self.job.id}/cuts", {"document": stock}).json()
        found = json.loads(self.made(kind="cut-list", document=stock, seconds=0.5))
        self.assertEqual(found["made_of"], listed["made_of"])
        self.assertEqual(found["conduits"][0]["cuts"]["how"], "proven")
        number = LongWork.objects.get().pk
        there = f"/api/jobs/{self.job.id}/stock"
        answer = self.send("post", f"{there}/cut", {**body, "work": number})
        self.assertEqual(answer.status_code, 200, answer.content)
        # Once a run is another, what was found is of no use.
        RUNS.create(self.wren, self.job.id, straight("More", 20))
        answer = self.send("post", f"{there}/cut", {**body, "base_version": 1, "work": number})
        self.assertEqual((answer.status_code, answer.json()["code"]), (422, "changed-since"))
        answer = self.send("post", f"{there}/cut", {**body, "work": 10**9})
        self.assertEqual(answer.status_code, 404)

    def test_a_list_of_another_job_is_none_of_this_one(self) -> None:
        other = create_job(self.wren, name="Loft", place="", units="in")
        number = services.ask(
            self.wren, other.id, "cut-list", {"document": in_hand(), "seconds": 0.1}
        ).pk
        services.work(number)
        body = {"document": in_hand(), "base_version": 0, "work": number}
        answer = self.send("post", f"/api/jobs/{self.job.id}/stock/cut", body)
        self.assertEqual(answer.status_code, 404)

    def test_what_no_request_has_time_for_is_worked_out(self) -> None:
        for number in range(3):
            RUNS.create(self.wren, self.job.id, straight(f"Run {number}", 20 + number))
        # Of all runs a request gets through one.
        clock = (PLANNING_S * tick for tick in range(10**6))
        with mock.patch("jobs.taken.time.thread_time", side_effect=clock):
            found = json.loads(self.made(kind="cut-list", document=in_hand(), seconds=0.1))
        self.assertEqual((found["worked_out"], found["runs"]), (4, 4))

    def test_what_can_t_be_asked_for(self) -> None:
        wrong: tuple[dict[str, Any], ...] = (
            {"kind": "all"},
            {"kind": "sheets", "paper": "a3"},
            {"kind": "archive", "paper": "a4"},
            {"kind": "cut-list", "document": {}, "seconds": 5},
            {"kind": "cut-list", "document": in_hand(), "seconds": 61},
            {"kind": "cut-list", "document": in_hand({"length": "far"}), "seconds": 5},
        )
        for work in wrong:
            with self.subTest(work):
                self.ask(422, **work)
        self.assertFalse(LongWork.objects.exists())

    def test_one_person_has_three_under_way_and_no_more(self) -> None:
        first, *_ = [self.ask(kind="archive")["id"] for _ in range(3)]
        self.assertEqual(self.ask(429, kind="archive")["code"], "too-much-asked")
        other = self.signed_in_as(self.rook)
        answer = self.send(
            "post", f"/api/jobs/{self.job.id}/work", {"work": {"kind": "archive"}}, other
        )
        self.assertEqual(answer.status_code, 202)
        self.send("post", f"/api/work/{first}/stop")
        self.ask(kind="archive")

    def test_it_is_its_own_person_s_alone(self) -> None:
        number = self.ask(kind="archive")["id"]
        other = self.signed_in_as(self.rook)
        for method, part in (("get", ""), ("post", "/stop"), ("get", "/file"), ("get", "/changes")):
            answer = self.send(method, f"/api/work/{number}{part}", None, other)
            self.assertEqual(answer.status_code, 404)
        self.assertEqual(other.get(f"/api/jobs/{self.job.id}/work").json(), [])

    def test_what_is_stopped_before_it_begins_is_never_begun(self) -> None:
        number = self.ask(kind="archive")["id"]
        self.assertEqual(self.send("post", f"/api/work/{number}/stop").json()["state"], "stopped")
        with in_between(lambda: self.fail("It was begun.")):
            services.work(number)

    def test_what_is_stopped_under_way_goes_no_further(self) -> None:
        number = self.ask(kind="archive")["id"]
        with in_between(lambda: services.stop(self.wren, number)):
            services.work(number)
        self.assertEqual(self.told(number)["state"], "stopped")
        self.assertFalse(WorkFile.objects.exists())

    def test_what_is_done_stays_done_when_it_is_stopped_or_taken_up_again(self) -> None:
        self.made(kind="archive")
        number = LongWork.objects.get().pk
        self.assertEqual(self.send("post", f"/api/work/{number}/stop").json()["state"], "done")
        with in_between(lambda: self.fail("It was done twice.")):
            services.work(number)

    def test_of_two_workers_who_have_it_in_hand_the_later_one_goes_on(self) -> None:
        number = self.ask(kind="archive")["id"]
        with in_between(lambda: LongWork.objects.update(attempt=2)):
            services.work(number)  # another has taken it up meanwhile
        self.assertEqual(self.told(number)["state"], "under-way")
        self.assertFalse(WorkFile.objects.exists())

    def test_what_ended_three_workers_ends_no_fourth(self) -> None:
        number = self.ask(kind="archive")["id"]
        LongWork.objects.update(state="under-way", attempt=3)
        with in_between(lambda: self.fail("It was begun again.")):
            services.work(number)
        self.assertEqual(self.told(number)["state"], "failed")

    def test_what_goes_wrong_is_told_to_whoever_asked(self) -> None:
        number = self.ask(kind="archive")["id"]
        with in_between(lambda: 1 / 0), self.assertRaises(ZeroDivisionError):
            services.work(number)
        told = self.told(number)
        self.assertEqual(told["state"], "failed")
        self.assertIn("server's log", told["problem"])

    def test_where_the_database_was_away_it_is_begun_again(self) -> None:
        number = self.ask(kind="archive")["id"]
        away = mock.Mock(side_effect=OperationalError("terminating connection"))
        closed = mock.patch.object(services.connection, "close")
        with in_between(away), closed, self.assertRaises(OperationalError):
            services.work(number)
        self.assertEqual(self.told(number)["state"], "under-way")
        services.work(number)
        self.assertEqual((self.told(number)["state"], LongWork.objects.get().attempt), ("done", 2))

    def test_what_no_worker_has_in_hand_is_told_to_be_lost(self) -> None:
        waits, lost = (self.ask(kind="archive")["id"] for _ in range(2))
        services.give_up_lost()
        self.assertEqual([self.told(one)["state"] for one in (waits, lost)], ["waiting"] * 2)
        with connection.cursor() as cursor:
            cursor.execute(
                "DELETE FROM procrastinate_jobs WHERE args->>'work_id' = %s", [str(lost)]
            )
        services.give_up_lost()
        self.assertEqual(self.told(waits)["state"], "waiting")
        self.assertEqual(self.told(lost)["problem"], "It was lost on the way. Ask for it again.")

    def test_whoever_was_put_out_is_worked_for_no_more(self) -> None:
        number = services.ask(self.rook, self.job.id, "archive", {}).pk
        self.rook.is_active = False
        self.rook.save()
        services.work(number)
        self.assertEqual(LongWork.objects.get(pk=number).state, "failed")

    def test_how_far_it_is_comes_as_events_until_it_ends(self) -> None:
        number = self.ask(kind="archive")["id"]
        services.work(number)
        stream = self.client.get(f"/api/work/{number}/changes")
        pace, event = b"".join(stream.streaming_content).decode().strip().split("\n\n")
        self.assertEqual(pace, "retry: 1000")
        told = json.loads(event.removeprefix("data: "))
        self.assertEqual((told["state"], told["done"], told["of"]), ("done", 2, 2))

    def test_files_are_kept_for_a_day(self) -> None:
        self.made(kind="archive")
        LongWork.objects.update(ended_at=timezone.now() - timedelta(hours=23))
        services.forget_old()
        self.assertTrue(WorkFile.objects.exists())
        LongWork.objects.update(ended_at=timezone.now() - timedelta(hours=25))
        waits = self.ask(kind="archive")["id"]
        services.forget_old()
        self.assertEqual([work.pk for work in LongWork.objects.all()], [waits])


class SeenFromOutside(CrewTest):
    def heard_of(self, seconds_ago: float) -> None:
        """A worker that said so long ago that it is there."""
        with connection.cursor() as cursor:
            cursor.execute(
                "INSERT INTO procrastinate_workers (last_heartbeat)"
                " VALUES (now() - make_interval(secs => %s))",
                [seconds_ago],
            )

    def queue(self) -> dict[str, Any]:
        answer = self.client.get("/ready")
        self.assertEqual(answer.status_code, 200)
        result: dict[str, Any] = answer.json()["queue"]
        return result

    def test_without_a_worker_people_work_and_the_watch_is_told(self) -> None:
        self.assertFalse(self.queue()["ok"])
        self.heard_of(LOST_AFTER_S + 1)
        self.assertFalse(self.queue()["ok"])
        self.heard_of(LOST_AFTER_S - 2)
        self.assertTrue(self.queue()["ok"])

    def test_what_waits_for_long_is_told(self) -> None:
        self.heard_of(0)
        number = services.ask(self.wren, self.job.id, "archive", {}).pk
        self.assertTrue(self.queue()["ok"])
        begun = timezone.now() - timedelta(seconds=301)
        LongWork.objects.filter(pk=number).update(asked_at=begun)
        told = self.queue()
        self.assertFalse(told["ok"])
        self.assertIn("1 things wait, the first for 301 s", told["words"])
        metrics = self.client.get("/metrics").content.decode()
        for row in ("yarrow_workers 1.0", "yarrow_long_work_waiting 1.0"):
            self.assertIn(row, metrics.splitlines())


class OfALostWorker(CrewTest):
    def test_what_it_had_in_hand_is_for_the_next_and_its_upkeep_is_forgotten(self) -> None:
        for _ in range(2):
            services.ask(self.wren, self.job.id, "archive", {})
        with connection.cursor() as cursor:
            cursor.execute(
                "INSERT INTO procrastinate_workers (last_heartbeat) VALUES"
                " (now() - make_interval(secs => %s)), (now()) RETURNING id",
                [LOST_AFTER_S + 1],
            )
            (lost,), (there,) = cursor.fetchall()
            doing = "UPDATE procrastinate_jobs SET status = 'doing', worker_id = %s WHERE id = %s"
            cursor.execute("SELECT id FROM procrastinate_jobs ORDER BY id")
            first, second = (number for (number,) in cursor.fetchall())
            cursor.execute(doing, [lost, first])
            cursor.execute(doing, [there, second])
            cursor.execute(
                "INSERT INTO procrastinate_jobs (queue_name, task_name, status, worker_id)"
                " VALUES ('upkeep', 'thin-out', 'doing', %s)",
                [lost],
            )
        async_to_sync(take_up_again.func)(0)
        with connection.cursor() as cursor:
            cursor.execute("SELECT id, status::text FROM procrastinate_jobs ORDER BY id")
            self.assertEqual(cursor.fetchall(), [(first, "todo"), (second, "doing")])


class Followed(People, TransactionTestCase):
    def test_who_follows_is_told_of_that_work_by_the_database(self) -> None:
        with FOLLOWED.follow(7) as own, FOLLOWED.follow(8) as other:
            for event in (own, other):
                self.assertTrue(event.wait(10), "Whoever listens looks for themselves first.")
                event.clear()
            notify(7)
            self.assertTrue(own.wait(10))
            self.assertFalse(other.is_set())
