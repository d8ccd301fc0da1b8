"""Sheets as PDF, and a job of 500 runs out and in again through the production server."""

from __future__ import annotations

import json
import statistics
import time

from benchmarks.core import rack_of, run_of
from benchmarks.row import Row, at_most
from benchmarks.server import Client

_TIMES = 15
_RUNS = 500


def measure(client: Client) -> list[Row]:
    """Through the server, so with everything that a person waits for."""
    from exports.job_archive import Archive, pack

    runs = tuple({**run_of(6), "name": f"Run {n + 1}"} for n in range(_RUNS))
    packed = pack(Archive("Five hundred", "", "in", runs))
    first, taken_in = _bring_in(client, packed)
    began = time.perf_counter()
    out = client.send("GET", f"/api/jobs/{first}/archive")
    taken_out = time.perf_counter() - began
    again, taken_again = _bring_in(client, out)
    if client.send("GET", f"/api/jobs/{again}/archive") != out:
        raise RuntimeError("the job did not come in as it went out")
    job = client.ask("GET", f"/api/jobs/{again}")
    if job["run_count"] != _RUNS:
        raise RuntimeError("not every run came in")
    sheets = {}
    for what, document in (("run", run_of(12)), ("rack", rack_of(20, 8))):
        run = client.ask("POST", f"/api/jobs/{again}/runs", document)["id"]
        sheets[what] = _median_ms(client, f"/api/runs/{run}/sheet.pdf?of={what}")
    return [
        at_most("PDF of one sheet, 12 bends, median", sheets["run"], 500, "ms"),
        at_most("PDF of the sheet of a rack of 20, median", sheets["rack"], 500, "ms"),
        Row("a job of 500 runs, in from a file", f"{taken_in:.2f} s"),
        at_most("… out to a file and in again", taken_out + taken_again, 20, "s"),
    ]


def _bring_in(client: Client, packed: bytes) -> tuple[int, float]:
    began = time.perf_counter()
    told = client.send("POST", "/api/jobs/archive/progress", packed, "application/zip")
    lines = [json.loads(line) for line in told.splitlines()]
    if len(lines) < _RUNS // 10:
        raise RuntimeError("no progress was told")
    return int(lines[-1]["job"]), time.perf_counter() - began


def _median_ms(client: Client, path: str) -> float:
    taken = []
    for _ in range(_TIMES):
        began = time.perf_counter()
        client.send("GET", path)
        taken.append(time.perf_counter() - began)
    return statistics.median(taken) * 1000
