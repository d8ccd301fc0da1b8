"""Sheets as PDF, and a job of 500 runs out and in again through the production server."""

from __future__ import annotations

import json
from functools import partial

from benchmarks.core import rack_of
from benchmarks.row import Row, within
from benchmarks.runs import run_of
from benchmarks.server import Client
from benchmarks.unit import InUnits, in_units

_TIMES = 15
_RUNS = 500

_SHEET, _OUT_AND_IN, _TABLE = 1500, 40_000, 7500
"""What is promised, in units."""


def measure(client: Client) -> list[Row]:
    """Through the server, so with everything that a person waits for."""
    from exports.job_archive import pack
    from versions.folders import Archive

    runs = tuple({**run_of(6), "name": f"Run {n + 1}"} for n in range(_RUNS))
    packed = b"".join(pack(Archive("Five hundred", "", "in", {"runs": runs})))
    first, again, out = 0, 0, b""

    def bring_in() -> None:
        nonlocal first
        first = _brought_in(client, packed)

    def out_and_in() -> None:
        nonlocal again, out
        out = client.send("GET", f"/api/jobs/{first}/archive")
        again = _brought_in(client, out)

    taken_in = in_units(bring_in, 1)
    taken_again = in_units(out_and_in, 1)
    if client.send("GET", f"/api/jobs/{again}/archive") != out:
        raise RuntimeError("the job did not come in as it went out")
    table = in_units(partial(client.send, "GET", f"/api/jobs/{again}/schedule.csv"), 3)
    job = client.ask("GET", f"/api/jobs/{again}")
    if job["run_count"] != _RUNS:
        raise RuntimeError("not every run came in")
    sheets: dict[str, InUnits] = {}
    for what, document in (("run", run_of(12)), ("rack", rack_of(20, 8))):
        run = client.ask("POST", f"/api/jobs/{again}/runs", document)["id"]
        path = f"/api/runs/{run}/sheet.pdf?of={what}"
        sheets[what] = in_units(partial(client.send, "GET", path), _TIMES)
    return [
        within("PDF of one sheet, 12 bends", sheets["run"], _SHEET),
        within("PDF of the sheet of a rack of 20", sheets["rack"], _SHEET),
        Row("a job of 500 runs, in from a file", f"{taken_in.ms / 1000:.2f} s"),
        within("… out to a file and in again", taken_again, _OUT_AND_IN),
        within("… out as a schedule", table, _TABLE),
    ]


def _brought_in(client: Client, packed: bytes) -> int:
    answer = client.send("POST", "/api/jobs/archive/progress", packed, "application/zip")
    lines = [json.loads(line) for line in answer.splitlines()]
    if len(lines) < _RUNS // 10:
        raise RuntimeError("no progress was told")
    return int(lines[-1]["job"])
