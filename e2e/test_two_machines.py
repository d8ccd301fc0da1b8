"""Two machines on one database, one of them lost under load."""

from __future__ import annotations

import threading
from typing import Any

from accounts.models import Crew, Member
from accounts.roles import CrewRole
from e2e.proxy import Visitor
from e2e.saver import Saver
from e2e.serving import PASSWORD, ServingTest
from jobs.models import Run
from jobs.runs import RUNS
from jobs.services import create_job
from long_work.models import LongWork, WorkFile
from server.tests.people import changed
from versions.services import write_new

_RUNS = 80
"""Enough that their sheets are not done before the machine is lost."""

_SAVERS = 3


class TwoMachines(ServingTest):
    def setUp(self) -> None:
        super().setUp()
        self.write()
        crew = Crew.objects.create(name="Plover")
        self.wren = Member.objects.create_user(
            "wren-plover", password=PASSWORD, crew=crew, role=CrewRole.LEAD
        )
        self.job = create_job(self.wren, name="Works", place="", units="in")
        runs = [
            RUNS.unwritten(Run(job=self.job), self.wren, changed(name=f"Feed {number}"))
            for number in range(_RUNS)
        ]
        write_new(runs)

    def visitor(self) -> Visitor:
        visitor = Visitor(self.port)
        visitor.ask("GET", "/api/session")
        who = {"username": "wren-plover", "password": PASSWORD}
        self.assertEqual(visitor.ask("POST", "/api/session", who)[0], 200)
        return visitor

    def followed(self, visitor: Visitor, number: int) -> list[dict[str, Any]]:
        """What is told of long work until it ends, by as many streams as that takes."""
        told: list[dict[str, Any]] = []
        while not told or told[-1]["state"] in ("waiting", "under-way"):
            told += visitor.events(f"/api/work/{number}/changes")
        return told

    def test_no_answer_is_lost_no_work_done_twice_and_streams_go_on(self) -> None:
        lost, _ = (self.serving(port) for port in self.ports)
        visitor, end = self.visitor(), threading.Event()
        runs = Run.objects.order_by("id").values_list("id", flat=True)[:_SAVERS]
        savers = [Saver(self.visitor(), run_id, end) for run_id in runs]
        # Two, so that each machine has one in hand.
        asked = {"work": {"kind": "sheets"}}
        works = [
            visitor.ask("POST", f"/api/jobs/{self.job.id}/work", asked)[1]["id"] for _ in range(2)
        ]
        told: dict[int, list[dict[str, Any]]] = {}
        followers = [
            threading.Thread(
                target=lambda work, who: told.update({work: self.followed(who, work)}),
                args=(work, self.visitor()),
                daemon=True,
            )
            for work in works
        ]
        for thread in (*savers, *followers):
            thread.start()
        while LongWork.objects.filter(done__gt=0).count() < len(works):
            pass
        self.lose(lost)
        before = [saver.acknowledged for saver in savers]
        for follower in followers:
            follower.join(120)
        end.set()
        for saver in savers:
            saver.join(30)
        for work in works:
            last = told[work][-1]
            self.assertEqual((last["state"], last["done"], last["of"]), ("done", _RUNS, _RUNS))
        # One was done at once, the other begun again where its machine was lost.
        attempts = sorted(LongWork.objects.values_list("attempt", flat=True))
        self.assertEqual((attempts, WorkFile.objects.count()), ([1, 2], 2))
        for saver, acknowledged in zip(savers, before, strict=True):
            self.assertGreater(saver.acknowledged, acknowledged)
            run = Run.objects.get(pk=saver.run_id)
            self.assertEqual(run.version, saver.acknowledged)
            self.assertEqual(run.name, f"Version {run.version}")
            kept = run.revisions.order_by("version").values_list("version", flat=True)
            self.assertEqual(list(kept), list(range(1, run.version + 1)))
            # What the lost machine was asked is answered for it by the proxy.
            self.assertLessEqual(saver.refusals, {502})
