"""People at work at the same time, each with a run of their own, against the empty answer alone.

Each opens their job and their run, then types: a key every 0.7 s is a plan, every 5 s a save, every
minute a sheet. Nobody waits for another's answer, and a key comes when its time has come.
"""

from __future__ import annotations

import http.client
import json
import random
import ssl
import statistics
import threading
import time
from collections import defaultdict
from typing import Any

from benchmarks.processes import Processes
from benchmarks.row import Row, at_most
from benchmarks.runs import random_run
from e2e.proxy import nginx

PEOPLE = (10, 50, 100, 200)
PROMISED = 50
_MULTIPLE = 25
_GROWTH = 1.05
_SECONDS = 30.0
_COMING_S = 5.0
_KEY_S, _SAVE_S, _SHEET_S = 0.7, 5.0, 60.0

Taken = dict[str, list[float]]


class Person:
    """One member with a run, a signed-in connection, and what their answers took."""

    def __init__(self, number: int, connection: http.client.HTTPConnection) -> None:
        self.chance = random.Random(number)
        conduit = {"type": "emt", "size": "1/2"}
        self.document: dict[str, Any] = random_run(self.chance, "in", conduit, "hand-emt-1/2", 1.0)
        self.ends_at = float(self.document["walk"][-1]["at"])
        self.job, self.run, cookie = _moved_in(number, self.document)
        self.version = 1
        self.headers = {"Content-Type": "application/json", "Cookie": cookie}
        self.connection = connection
        self.taken: Taken = defaultdict(list)
        session = self.ask("", "GET", "/api/session")
        self.headers["X-CSRFToken"] = session["csrf"]

    def ask(self, what: str, method: str, path: str, body: Any = None) -> Any:
        """One request; what it took is kept under its name. Raises: RuntimeError, if refused."""
        data = None if body is None else json.dumps(body).encode()
        began = time.perf_counter()
        self.connection.request(method, path, data, self.headers)
        answer = self.connection.getresponse()
        text = answer.read()
        if what:
            self.taken[what].append(time.perf_counter() - began)
        if answer.status >= 400:
            raise RuntimeError(f"{method} {path}: {answer.status} {text[:200]!r}")
        for cookie in answer.headers.get_all("Set-Cookie") or ():
            self.headers["Cookie"] += "; " + cookie.partition(";")[0]
        return json.loads(text) if text[:1] in b"[{" else None

    def work(self, until: float) -> None:
        """From coming in, some time at the beginning, to the end of the time."""
        self.connection.close()  # kept idle for too long, the server has closed it
        time.sleep(self.chance.uniform(0, _COMING_S))
        self.ask("open a job", "GET", f"/api/jobs/{self.job}")
        self.ask("open a run", "GET", f"/api/runs/{self.run}")
        now = time.perf_counter()
        due = {
            step: now + self.chance.uniform(0, every)
            for step, every in ((self.key, _KEY_S), (self.save, _SAVE_S), (self.sheet, _SHEET_S))
        }
        every = {self.key: _KEY_S, self.save: _SAVE_S, self.sheet: _SHEET_S}
        while True:
            step = min(due, key=lambda each: due[each])
            if due[step] > until:
                return
            time.sleep(max(due[step] - time.perf_counter(), 0))
            step()
            due[step] = max(due[step] + every[step], time.perf_counter())

    def key(self) -> None:
        """Another number in the walk, planned: the run never grows, whatever is typed."""
        walk = self.document["walk"]
        walk[-1] = {**walk[-1], "at": f"{self.ends_at + self.chance.random():.4f}"}
        self.ask("a key", "POST", "/api/plan", self.document)

    def save(self) -> None:
        """The run as it is now, as the next version."""
        body = {"document": self.document, "base_version": self.version}
        self.version = self.ask("a save", "PUT", f"/api/runs/{self.run}", body)["version"]

    def sheet(self) -> None:
        """The run's page for the bench."""
        self.ask("a sheet", "GET", f"/api/runs/{self.run}/sheet.svg")


def measure(port: int, parent: int) -> list[Row]:
    """The 95th percentiles of all answers, and the promise for fifty people; what an answer takes
    of a processor, and what all those answers leave in memory.

    ``parent`` is the number of the process that started the server's.
    """
    rows = []
    people = [Person(number, to_port(port)) for number in range(max(PEOPLE))]
    processes = Processes(parent)
    _at_work(people)  # to what a process holds once it has worked
    held = processes.memory_mb()
    answers, used = 0, processes.processor_s()
    for count in PEOPLE:
        people[0].connection.close()
        before = _alone_ms(people[0])
        taken = _at_work(people[:count])
        people[0].connection.close()
        # The machine may be faster before than after: what is told is of neither alone.
        alone = statistics.mean((before, _alone_ms(people[0])))
        answers += _count(taken)
        everything = at_share(sorted(each for times in taken.values() for each in times), 0.95)
        kinds = ", ".join(
            f"{what} {statistics.median(times) * 1000:.0f}" for what, times in taken.items()
        )
        rows.append(
            Row(f"{count} people at work, medians in ms: {kinds}", f"{_count(taken)} answers")
        )
        what = f"… 95th percentile of all ({everything * 1000:.0f} ms), of the empty answer alone"
        multiple = everything * 1000 / alone
        row = at_most(what, multiple, _MULTIPLE, "x")
        rows.append(row if count == PROMISED else Row(what, row.measured))
    used = processes.processor_s() - used
    growth = processes.memory_mb() / held
    return [
        *rows,
        Row("… of a processor for each of those answers", f"{used / answers * 1000:.1f} ms"),
        Row("… memory of the server's processes before them", f"{held:.0f} MB"),
        at_most("… and after, of that", growth, _GROWTH, "x"),
    ]


def behind_a_proxy(port: int, another: int) -> list[Row]:
    """What nginx, and a second group of the server's processes, add to the empty answer and to the
    answers of fifty people: by way of nothing, of nginx, and of nginx before both groups, in turns.

    ``another`` is the port of the second group.
    """
    with nginx([port]) as one, nginx([port, another]) as two:
        ways = {
            "straight": [Person(1000 + number, to_port(port)) for number in range(PROMISED)],
            "behind nginx": [Person(2000 + number, _by_tls(one)) for number in range(PROMISED)],
            "behind nginx, two groups of processes": [
                Person(3000 + number, _by_tls(two)) for number in range(PROMISED)
            ],
        }
        alone: dict[str, list[float]] = {way: [] for way in ways}
        for _ in range(3):
            for way, people in ways.items():
                people[0].connection.close()  # kept idle meanwhile, the other end has closed it
                alone[way].append(_alone_ms(people[0]))
        straight = statistics.median(alone["straight"])
        rows = []
        for way, people in ways.items():
            own = statistics.median(alone[way])
            taken = _at_work(people)
            everything = at_share(sorted(each for times in taken.values() for each in times), 0.95)
            rows += [
                Row(f"an empty answer {way}", f"{own:.2f} ms, {own / straight:.2f} x"),
                Row(
                    f"… {PROMISED} people, 95th percentile of all, of the empty answer straight",
                    f"{everything * 1000 / straight:.2f} x",
                ),
            ]
        return rows


def to_port(port: int) -> http.client.HTTPConnection:
    """A connection to the server's processes themselves."""
    return http.client.HTTPConnection("127.0.0.1", port, timeout=60)


def _by_tls(port: int) -> http.client.HTTPConnection:
    context = ssl.create_default_context()
    context.check_hostname, context.verify_mode = False, ssl.CERT_NONE
    return http.client.HTTPSConnection("127.0.0.1", port, timeout=60, context=context)


def _at_work(people: list[Person]) -> Taken:
    for person in people:
        person.taken = defaultdict(list)
    until = time.perf_counter() + _SECONDS
    failed: list[Exception] = []

    def work(person: Person) -> None:
        try:
            person.work(until)
        except Exception as error:  # a refusal in a thread is one of the whole measurement
            failed.append(error)

    threads = [threading.Thread(target=work, args=(person,)) for person in people]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    if failed:
        raise failed[0]
    taken: Taken = defaultdict(list)
    for person in people:
        for what, times in person.taken.items():
            taken[what] += times
    return taken


def _alone_ms(person: Person) -> float:
    """The empty answer, with nobody else there."""
    person.taken = defaultdict(list)
    for _ in range(200):
        person.ask("nothing", "GET", "/api/nothing")
    return statistics.median(person.taken["nothing"]) * 1000


def at_share(ordered: list[float], share: float) -> float:
    """The time that such a share of them does not exceed."""
    return ordered[int(len(ordered) * share) - 1]


def _count(taken: Taken) -> int:
    return sum(map(len, taken.values()))


def _moved_in(number: int, document: dict[str, Any]) -> tuple[int, int, str]:
    """A member with a job and a run: their numbers, and the cookie of a session."""
    from django.test import Client

    from accounts.models import Crew, Member
    from jobs.runs import RUNS
    from jobs.services import create_job

    crew, _ = Crew.objects.get_or_create(name=f"Crew at work {number % 10}")
    member = Member.objects.create(username=f"person-{number}-{time.time_ns()}", crew=crew)
    job = create_job(member, name=f"Job {number}", place="", units="in")
    run = RUNS.create(member, job.id, document)
    client = Client()
    client.force_login(member, "django.contrib.auth.backends.ModelBackend")
    return job.id, run.id, f"sessionid={client.cookies['sessionid'].value}"
