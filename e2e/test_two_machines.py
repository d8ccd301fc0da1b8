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

_RUNS = 150
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
        lost = self.serving(self.ports[0])
        visitor, end = self.visitor(), threading.Event()
        runs = Run.objects.order_by("id").values_list("id", flat=True)[:_SAVERS]
        savers = [Saver(self.visitor(), run_id, end) for run_id in runs]
        asked = {"work": {"kind": "sheets"}}
        _, work = visitor.ask("POST", f"/api/jobs/{self.job.id}/work", asked)
        while not LongWork.objects.filter(pk=work["id"], done__gt=0).exists():
            pass
        self.serving(self.ports[1])
        told: list[dict[str, Any]] = []
        follower = threading.Thread(
            target=lambda: told.extend(self.followed(self.visitor(), work["id"])), daemon=True
        )
        for thread in (*savers, follower):
            thread.start()
        while min(saver.acknowledged for saver in savers) < 4:
            pass
        self.lose(lost)
        before = [saver.acknowledged for saver in savers]
        follower.join(120)
        end.set()
        for saver in savers:
            saver.join(30)
        self.assertEqual(told[-1]["state"], "done")
        self.assertEqual((told[-1]["done"], told[-1]["of"]), (_RUNS, _RUNS))
        done = LongWork.objects.get()
        self.assertEqual((done.attempt, WorkFile.objects.count()), (2, 1))
        for saver, acknowledged in zip(savers, before, strict=True):
            self.assertGreater(saver.acknowledged, acknowledged)
            run = Run.objects.get(pk=saver.run_id)
            self.assertEqual(
                (run.version, run.name), (saver.acknowledged, f"Version {run.version}")
            )
            kept = run.revisions.order_by("version").values_list("version", flat=True)
            self.assertEqual(list(kept)[-saver.acknowledged + 1 :], list(range(2, run.version + 1)))
            # What the lost machine was asked is answered for it by the proxy.
            self.assertLessEqual(saver.refusals, {502})
