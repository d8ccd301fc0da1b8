"""A crew at work for an hour on two machines behind nginx, while what goes wrong goes wrong: the
database is killed, a machine is lost and comes back, a client floods. Says what was held of memory,
connections and disk, and whether every save that was acknowledged is there. Writes docs/soak.md."""

from __future__ import annotations

import datetime
import multiprocessing
import os
import platform
import signal
import statistics
import subprocess
import sys
import threading
import time
from collections.abc import Callable
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

ROOT = Path(__file__).resolve().parent.parent
sys.path[:0] = [str(ROOT / "core"), str(ROOT / "server"), str(ROOT)]
os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")

import django  # noqa: E402
from django.core.management import call_command  # noqa: E402
from django.db import OperationalError, connection  # noqa: E402

from benchmarks.load import at_share  # noqa: E402
from benchmarks.processes import Processes  # noqa: E402
from benchmarks.row import Row, at_most  # noqa: E402
from e2e.proxy import Visitor, nginx  # noqa: E402
from launcher.demo import serve, wait_until_it_answers  # noqa: E402
from launcher.postgres import free_port  # noqa: E402

_PEOPLE = 8
_SAVE_EVERY_S = 2.0
_SHEETS_EVERY_S = 120.0
_LOOK_EVERY_S = 10.0
_FLOOD_S, _FLOODERS = 20.0, 24
_GROWTH = 1.05
_PASSWORD = "sedge-warbler-9"


@dataclass
class Machine:
    """A group of the server's processes, on a port of its own."""

    port: int
    environment: dict[str, str]
    log: Path
    process: subprocess.Popen[bytes] = field(init=False)

    def start(self) -> None:
        """Until it answers."""
        with self.log.open("ab") as log:
            self.process = serve(self.port, self.environment, log)
        wait_until_it_answers(self.process, self.port)

    def lose(self) -> None:
        """All of it at once."""
        os.killpg(self.process.pid, signal.SIGKILL)
        self.process.wait()


@dataclass(frozen=True, slots=True)
class Seen:
    """What is held at a moment: MB of memory, the database's connections, open files, MB of the
    database's disk beside the saves themselves."""

    at_s: float
    memory_mb: float
    connections: int
    files: int
    disk_mb: float


def main() -> int:
    """Soak for so many minutes, print, write. Returns 1 where something was not kept."""
    minutes = float(sys.argv[1])
    django.setup()
    call_command("migrate", verbosity=0)
    call_command("load_demo")
    log = ROOT / ".yarrow" / "soak.log"
    log.write_bytes(b"")
    ports = [free_port(), free_port()]
    with nginx(ports) as port:
        origin = {"YARROW_ORIGINS": f"https://127.0.0.1:{port}"}
        own = {**origin, "YARROW_HTTPS": "true", "YARROW_PROXIES": "1", "YARROW_PROCESSES": "2"}
        machines = [Machine(each, own, log) for each in ports]
        for machine in machines:
            machine.start()
        try:
            rows = _soaked(machines, port, minutes * 60)
        finally:
            for machine in machines:
                machine.lose()
    words = _words(minutes, rows, log)
    (ROOT / "docs" / "soak.md").write_text(words)
    print(words)
    return int(any(row.kept is False for row in rows))


def _soaked(machines: list[Machine], port: int, seconds: float) -> list[Row]:
    from e2e.saver import Saver

    job, runs = _work_to_do()
    end = threading.Event()
    savers = [Saver(_come_in(port), run, end, _SAVE_EVERY_S) for run in runs]
    sheets = _Sheets(_come_in(port), job, end)
    for thread in (*savers, sheets):
        thread.start()
    flood_ms: list[float] = []

    def flood() -> None:
        before = [len(saver.took_s) for saver in savers]
        client = multiprocessing.get_context("spawn").Process(target=_flood, args=(port,))
        client.start()
        client.join()
        for saver, first in zip(savers, before, strict=True):
            flood_ms.extend(1000 * each for each in saver.took_s[first:])

    seen = _through_it_all(machines, seconds, flood)
    end.set()
    for thread in (*savers, sheets):
        thread.join(120)
    saved = sum(saver.acknowledged for saver in savers)
    usual = [1000 * each for saver in savers for each in saver.took_s]
    return [
        Row(f"saves that were acknowledged, of {_PEOPLE} people", f"{saved:,}"),
        at_most("… and are not there, or are there twice", _lost(savers), 0, "runs"),
        Row("… answered with", ", ".join(map(str, sorted(_refusals(savers)))) or "200 alone"),
        Row(
            "… median, 95th percentile",
            f"{statistics.median(usual):.0f}, {at_share(sorted(usual), 0.95):.0f} ms",
        ),
        Row("… while a client floods, median", f"{statistics.median(flood_ms):.0f} ms"),
        Row("sheets of all runs that were asked for, and made", f"{sheets.asked}, {sheets.made}"),
        at_most("… and not made", sheets.asked - sheets.made, 0, ""),
        *_flat(seen, seconds),
    ]


def _work_to_do() -> tuple[int, list[int]]:
    """A crew's job, and a run of it for each: their numbers."""
    from accounts.models import Crew, Member
    from jobs.runs import RUNS
    from jobs.services import create_job
    from server.tests.people import changed

    member = Member.objects.create_user(
        "dunnock", password=_PASSWORD, crew=Crew.objects.create(name="Soak"), role="lead"
    )
    job = create_job(member, name="Soak", place="", units="in")
    runs = [RUNS.create(member, job.id, changed(name=f"Run {each}")) for each in range(_PEOPLE)]
    return job.id, [run.pk for run in runs]


def _through_it_all(
    machines: list[Machine], seconds: float, flood: Callable[[], None]
) -> list[Seen]:
    """What is held from the beginning to the end, while each thing goes wrong in its time."""

    def lose_machine() -> None:
        machines[0].lose()
        time.sleep(5)
        machines[0].start()

    happenings: list[tuple[float, Callable[[], None]]] = [
        (0.25, _kill_database),
        (0.45, flood),
        (0.6, lose_machine),
        (0.7, _kill_database),
    ]
    began = time.monotonic()
    seen: list[Seen] = []
    while (now := time.monotonic() - began) < seconds:
        if happenings and now > happenings[0][0] * seconds:
            happenings.pop(0)[1]()
        if (one := _look(machines, now)) is not None:
            seen.append(one)
        time.sleep(_LOOK_EVERY_S)
    return seen


def _lost(savers: list[Any]) -> int:
    """How many runs are not as their person was told last."""
    from jobs.models import Run

    lost = 0
    for saver in savers:
        run = Run.objects.get(pk=saver.run_id)
        kept = {run.version, run.revisions.count()}
        lost += kept != {saver.acknowledged}
    return lost


def _flat(seen: list[Seen], seconds: float) -> list[Row]:
    """What is held in the last sixth, of what was in the second."""

    def held(first: float, last: float, of: Callable[[Seen], float]) -> float:
        sixth = [of(one) for one in seen if first <= one.at_s / seconds < last]
        return statistics.median(sixth)

    rows = []
    parts: tuple[tuple[str, str, Callable[[Seen], float]], ...] = (
        ("memory of both machines' processes", "MB", lambda one: one.memory_mb),
        ("connections to the database", "", lambda one: one.connections),
        ("files that their processes hold open", "", lambda one: one.files),
        ("tables beside saves, their record and files", "MB", lambda one: one.disk_mb),
    )
    for what, unit, of in parts:
        before, after = held(1 / 6, 1 / 4, of), held(5 / 6, 1.0, of)
        rows.append(Row(f"{what}, early and late", f"{before:.0f}, {after:.0f} {unit}".strip()))
        rows.append(at_most("… late, of early", after / before, _GROWTH, "x"))
    return rows


class _Sheets(threading.Thread):
    """Somebody who has all sheets made each minute, and waits for them."""

    def __init__(self, visitor: Visitor, job_id: int, end: threading.Event) -> None:
        super().__init__(daemon=True)
        self.visitor, self.job_id, self.end = visitor, job_id, end
        self.asked = self.made = 0

    def run(self) -> None:
        while not self.end.wait(_SHEETS_EVERY_S if self.asked else 1.0):
            status, work = self._ask("POST", f"/api/jobs/{self.job_id}/work", _SHEETS)
            if status != 202:
                continue
            self.asked += 1
            told = {"state": "waiting"}
            while told["state"] in ("waiting", "under-way"):
                events = self.visitor.events(f"/api/work/{work['id']}/changes")
                told = events[-1] if events else told
                time.sleep(0.2)
            self.made += told["state"] == "done"

    def _ask(self, *asked: object) -> tuple[int, dict[str, int]]:
        try:
            return self.visitor.ask(*asked)  # type: ignore[arg-type]
        except OSError:
            return 0, {}


_SHEETS = {"work": {"kind": "sheets"}}


def _come_in(port: int) -> Visitor:
    visitor = Visitor(port)
    visitor.ask("GET", "/api/session")
    visitor.ask("POST", "/api/session", {"username": "dunnock", "password": _PASSWORD})
    return visitor


def _flood(port: int) -> None:
    """One client that asks without end, on as many connections as it gets."""
    end = time.monotonic() + _FLOOD_S
    one = _come_in(port)

    def ask() -> None:
        own = Visitor(port, dict(one.cookies), one.token)
        while time.monotonic() < end:
            try:
                own.ask("GET", "/api/jobs")
            except OSError:
                continue

    threads = [threading.Thread(target=ask, daemon=True) for _ in range(_FLOODERS)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()


def _kill_database() -> None:
    """At once, as when its machine loses power; whoever keeps it starts it again."""
    with connection.cursor() as cursor:
        cursor.execute("SHOW data_directory")
        (folder,) = cursor.fetchone()
    connection.close()
    number = int((Path(folder) / "postmaster.pid").read_text().splitlines()[0])
    os.kill(number, signal.SIGQUIT)


def _look(machines: list[Machine], at_s: float) -> Seen | None:
    """None, while the database or a machine is away."""
    try:
        with connection.cursor() as cursor:
            cursor.execute("SELECT count(*) FROM pg_stat_activity WHERE datname IS NOT NULL")
            (connections,) = cursor.fetchone()
            cursor.execute(_DISK)
            (disk,) = cursor.fetchone()
        processes = [Processes(machine.process.pid) for machine in machines]
        memory = sum(each.memory_mb() for each in processes)
        return Seen(at_s, memory, connections, sum(each.open_files() for each in processes), disk)
    except (OperationalError, OSError):
        connection.close()
        return None


_DISK = """
SELECT sum(pg_total_relation_size(oid))::float8 / 1e6 FROM pg_class
WHERE relkind = 'r' AND relnamespace = 'public'::regnamespace
    AND relname NOT IN ('versions_revision', 'accounts_auditentry', 'long_work_workfile')
"""
"""Saves, the record of who made them, and files that were made are to grow."""


def _refusals(savers: list[Any]) -> set[int]:
    return set().union(*(saver.refusals for saver in savers))


def _words(minutes: float, rows: list[Row], log: Path) -> str:
    machine = f"{platform.machine()}, {os.cpu_count()} cores"
    errors = sum(b'"level": "ERROR"' in line for line in log.read_bytes().splitlines())
    lines = [
        "# A crew at work for an hour",
        "",
        f"Written by `./yarrow soak {minutes:g}` on {datetime.date.today()} ({machine}): two",
        "machines' processes behind nginx on one PostgreSQL, all on this one machine. At a quarter",
        "and at seven tenths of the time the database is killed and started again, at 45 % one",
        f"client floods for {_FLOOD_S:g} s, at 60 % a machine is killed and started again.",
        "",
        "| what | measured | promised | |",
        "| --- | ---: | ---: | --- |",
        *(f"| {row.what} | {row.measured} | {row.promised} | {_KEPT[row.kept]} |" for row in rows),
        "",
        f"The servers' logs have {errors:,} errors, of the times when the database was away.",
        "",
    ]
    return "\n".join(lines)


_KEPT = {True: "kept", False: "**not kept**", None: ""}

if __name__ == "__main__":
    sys.exit(main())
