"""The planning endpoint against one that answers ``{}``, through the production server."""

from __future__ import annotations

import http.client
import json
import statistics
import time
from typing import Any

from benchmarks.row import Row, at_most
from benchmarks.runs import moved_runs, run_of

_TIMES = 300
_MULTIPLE = 4
"""Of the empty answer, which got cheaper than it was when this was twice as much."""
_WARM_UP = 30


class Client:
    """A signed-in connection that is kept open, as a browser keeps it."""

    def __init__(self, port: int, username: str, password: str) -> None:
        self.connection = http.client.HTTPConnection("127.0.0.1", port)
        self.headers = {"Content-Type": "application/json"}
        first = self.ask("GET", "/api/session")
        self.headers["X-CSRFToken"] = first["csrf"]
        body = {"username": username, "password": password}
        self.headers["X-CSRFToken"] = self.ask("POST", "/api/session", body)["csrf"]

    def ask(self, method: str, path: str, body: Any = None) -> Any:
        """One request, answered as JSON; cookies are kept."""
        data = None if body is None else json.dumps(body).encode()
        return json.loads(self.send(method, path, data))

    def send(
        self, method: str, path: str, data: bytes | None = None, kind: str = "application/json"
    ) -> bytes:
        """One request and the bytes of its answer. Raises: RuntimeError, where it is refused."""
        self.connection.request(method, path, data, {**self.headers, "Content-Type": kind})
        answer = self.connection.getresponse()
        for cookie in answer.headers.get_all("Set-Cookie") or ():
            pair = cookie.partition(";")[0]
            kept = [c for c in self.headers.get("Cookie", "").split("; ") if c]
            name = pair.partition("=")[0]
            others = [c for c in kept if not c.startswith(f"{name}=")]
            self.headers["Cookie"] = "; ".join([*others, pair])
        text = answer.read()
        if answer.status >= 400:
            raise RuntimeError(f"{method} {path}: {answer.status} {text[:200]!r}")
        return text


def measure(client: Client) -> list[Row]:
    """Medians of both endpoints, asked in turn, and their ratio; each plan has a set moved."""
    moved = moved_runs(run_of(6))
    taken: dict[str, list[float]] = {"/api/nothing": [], "/api/plan": []}
    for turn in range(_WARM_UP + _TIMES):
        for path, method, body in (
            ("/api/nothing", "GET", None),
            ("/api/plan", "POST", next(moved)),
        ):
            began = time.perf_counter()
            client.ask(method, path, body)
            if turn >= _WARM_UP:
                taken[path].append(time.perf_counter() - began)
    nothing, plan = (statistics.median(times) * 1000 for times in taken.values())
    return [
        Row("an answer of {} behind the same middleware, median", f"{nothing:.2f} ms"),
        Row("the plan of 6 bends, median", f"{plan:.2f} ms"),
        at_most("… ratio", plan / nothing, _MULTIPLE, "x"),
    ]
