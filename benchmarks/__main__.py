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

from benchmarks import core, page, server  # noqa: E402
from benchmarks.row import Row  # noqa: E402
from launcher.demo import serve, wait_until_it_answers  # noqa: E402
from launcher.postgres import free_port  # noqa: E402
from launcher.processes import stop  # noqa: E402


def main() -> int:
    """Measure, print, write. Returns 1 where a promise is not kept."""
    django.setup()
    call_command("migrate", verbosity=0)
    call_command("load_demo")
    rows = core.measure()
    rows.append(page.script_size(ROOT / "web" / "dist"))
    port = free_port()
    running = serve(port, dict(os.environ))
    try:
        wait_until_it_answers(running, port)
        rows += _through_the_server(port)
    finally:
        stop(running)
    table = _table(rows)
    print(table)
    (ROOT / "docs" / "benchmarks.md").write_text(_document(table))
    return int(any(row.kept is False for row in rows))


def _through_the_server(port: int) -> list[Row]:
    from jobs.demo import PASSWORD
    from jobs.models import Run

    run = Run.objects.get(name="Bottling line drop")
    client = server.Client(port, "wren", PASSWORD)
    return [
        *server.measure(client),
        *page.measure(f"http://127.0.0.1:{port}", "wren", PASSWORD, run.id),
    ]


def _table(rows: list[Row]) -> str:
    lines = ["| what | measured | promised | |", "| --- | ---: | ---: | --- |"]
    for row in rows:
        told = {True: "kept", False: "**not kept**", None: ""}[row.kept]
        lines.append(f"| {row.what} | {row.measured} | {row.promised} | {told} |")
    return "\n".join(lines)


def _document(table: str) -> str:
    today = datetime.date.today().isoformat()
    machine = f"{platform.machine()}, {os.cpu_count()} cores, Python {platform.python_version()}"
    return f"""# Benchmarks

Written by `./yarrow bench` on {today} ({machine}, {_system()}).
Times on shared machines are noisy: the ratios, taken within one run, are what is promised.

{table}

- Planning: reading the document, the plan with its steps and findings, and the rounded marks
  folded back, in one process.
- The endpoint: through gunicorn on loopback, signed in, one open connection, the two asked in turn.
- The page: headless Chromium with a real key press, from `keydown` to the frame in which the new
  plan stands; numbers that were planned before are left out.
"""


def _system() -> str:
    return platform.freedesktop_os_release()["PRETTY_NAME"]


if __name__ == "__main__":
    sys.exit(main())
