"""Runs every measurement and writes docs/benchmarks.md."""

from __future__ import annotations

import datetime
import os
import platform
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
sys.path[:0] = [str(ROOT / "core"), str(ROOT / "server"), str(ROOT)]
os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")

import django  # noqa: E402
from django.core.management import call_command  # noqa: E402

from benchmarks import (  # noqa: E402
    accuracy,
    bench,
    beside_work,
    core,
    ducts,
    joined,
    load,
    page,
    paper,
    parting,
    server,
    turning,
    turns,
    walls,
    wires,
    worst,
)
from benchmarks.row import Row  # noqa: E402
from benchmarks.runs import RUN, THREADED, TWELVE, grounds  # noqa: E402
from launcher.demo import serve, wait_until_it_answers  # noqa: E402
from launcher.postgres import free_port  # noqa: E402
from launcher.processes import stop  # noqa: E402


def main() -> int:
    """Measure, print, write. Returns 1 where a promise is not kept. With a commit: the core beside
    that commit's alone."""
    if len(sys.argv) > 1:
        turns.against(sys.argv[1])
        return 0
    django.setup()
    call_command("migrate", verbosity=0)
    call_command("load_demo")
    rows = core.measure()
    rows += joined.measure()
    rows += walls.measure()
    rows += bench.measure()
    rows += ducts.measure()
    rows += worst.measure()
    rows.append(page.script_size(ROOT / "web" / "dist"))
    port = free_port()
    gauge = ("127.0.0.1", free_port())
    running = serve(port, {**os.environ, "YARROW_GAUGE": f"{gauge[0]}:{gauge[1]}"})
    try:
        wait_until_it_answers(running, port)
        rows += _through_the_server(port, gauge, running.pid)
        another = free_port()
        second = serve(another, dict(os.environ))
        try:
            wait_until_it_answers(second, another)
            rows += load.behind_a_proxy(port, another)
        finally:
            stop(second)
    finally:
        stop(running)
    out = accuracy.measure()
    table, accurate = _table(rows), _accuracy_table(out)
    print(table)
    print(accurate)
    (ROOT / "docs" / "benchmarks.md").write_text(_document(table, accurate))
    return int(any(row.kept is False for row in rows) or any(each.beyond for each in out))


def _through_the_server(port: int, gauge: tuple[str, int], parent: int) -> list[Row]:
    from jobs.demo import PASSWORD
    from jobs.models import Run
    from jobs.runs import RUNS
    from jobs.sites import SITES
    from jobs.walls import WALLS

    run = Run.objects.get(name="Bottling line drop")
    twelve = RUNS.create(run.updated_by, run.job_id, TWELVE)
    parted = RUNS.create(run.updated_by, run.job_id, RUN)
    threaded = RUNS.create(run.updated_by, run.job_id, THREADED)
    six = RUNS.create(run.updated_by, run.job_id, bench.six_bends())
    site = SITES.create(run.updated_by, run.job_id, grounds(ducts.ON_THE_PAGE, 8))
    wall = WALLS.create(run.updated_by, run.job_id, walls.WALL)
    address = f"http://127.0.0.1:{port}"
    client = server.Client(port, "wren", PASSWORD)
    return [
        *server.measure(client),
        *paper.measure(client),
        *wires.schedule(client),
        *wires.packing(address, "wren", PASSWORD),
        *page.measure(address, "wren", PASSWORD, twelve.id),
        *parting.measure(address, "wren", PASSWORD, "12 sticks of thin wall", parted.id),
        *parting.measure(address, "wren", PASSWORD, "12 sticks of threaded pipe", threaded.id),
        *walls.on_the_page(address, "wren", PASSWORD, wall.id),
        *ducts.on_the_page(address, "wren", PASSWORD, site.id),
        *bench.on_the_page(address, "wren", PASSWORD, six.id, gauge),
        *turning.measure(address, "wren", PASSWORD, twelve.id),
        *beside_work.measure(port),
        *load.measure(port, parent),
    ]


def _table(rows: list[Row]) -> str:
    lines = ["| what | measured | promised | |", "| --- | ---: | ---: | --- |"]
    for row in rows:
        verdict = {True: "kept", False: "**not kept**", None: ""}[row.kept]
        lines.append(f"| {row.what} | {row.measured} | {row.promised} | {verdict} |")
    return "\n".join(lines)


def _accuracy_table(out: list[accuracy.Accuracy]) -> str:
    lines = [
        "| bender | dimension | exact: median, 95th | printed: median, 95th | of | beyond |",
        "| --- | --- | ---: | ---: | ---: | ---: |",
    ]
    for each in out:
        places = 3 if each.units == "in" else 2
        exact, printed = (
            ", ".join(f"{value:.{places}f}" for value in pair)
            for pair in (each.exact, each.printed)
        )
        lines.append(
            f"| {each.bender} | {each.field} | {exact} {each.units} | {printed} {each.units} "
            f"| {each.dimensions} | {each.beyond} |"
        )
    return "\n".join(lines)


def _document(table: str, accurate: str) -> str:
    today = datetime.date.today().isoformat()
    machine = f"{platform.machine()}, {os.cpu_count()} cores, Python {platform.python_version()}"
    return f"""# Benchmarks

Written by `./yarrow bench` on {today} ({machine}, {_system()}).
Times on shared machines are noisy: the ratios, taken within one run, are what is promised.

{table}

- A unit is a fixed loop of plain Python, measured in turns with what is told in it: another machine
  slows both alike. Where 6 bends took 0.76 ms it takes about 0.1 ms.
- A floor is what a key costs at the least: one that fetches the empty answer and paints one word,
  measured in turns with the keys that are told in it, the median of the median, the 95th percentile
  of its own.
- Planning: reading the document, the plan with its steps and findings, and the rounded marks
  folded back, in one process.
- The endpoint: through the server on loopback, signed in, one open connection, the two asked in
  turn.
- People at work: each opens their job and their run, then a key (a plan) every 0.7 s, a save every
  5 s, a sheet a minute. They come in over the first 5 s of 30; the clients run on the same cores.
- The page: headless Chromium with a real key press, from `keydown` to the frame in which the new
  marks stand, in the table and on the stick (the drawing and the comparison follow them), in a run
  of 12 features with six things that bends are chosen for; numbers that were planned before are
  left out.
- The picture of a step: from the press on "The next bend", or back, to the frame that it stands in.
- The script for the first view: what the planner imports before it is drawn, all of it.
- Seconds are promised where time itself is given: fewer sticks are looked for so long.
- People: a key is a plan, and 200 people press 286 keys a second. At what an answer takes of a
  processor (the row says it) that is more than two processors have, the clients' own share not
  counted: answers queue from some 100 people on, and no order of service changes that.
- Behind nginx: by TLS, as `deploy/nginx.conf` has it. Two groups of processes on two cores share
  what one had: what a second machine adds can't be seen here, only what the way to it costs.
- A worst request is told in the loop as it ran just before and just after it.
- Turning: a key at every frame, in a window of 1280x800. There is no promise for a machine that
  draws without a graphics card; with one, the display's own rate is the limit.

## Accuracy

2,000 random runs for each bender (offsets at 22.5, 30 and 45 degrees, saddles, turns), made to the
letter with the marks as rounded: how far each kind of dimension comes out from what was asked.
Angles and rolls are taken as bent true. *Beyond rounding*: dimensions of exact plans that are
further out than half a mark for every mark and the cut.

{accurate}
"""


def _system() -> str:
    return platform.freedesktop_os_release()["PRETTY_NAME"]


if __name__ == "__main__":
    sys.exit(main())
