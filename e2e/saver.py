"""Somebody at work while machines are lost."""

from __future__ import annotations

import threading
import time

from e2e.proxy import Visitor
from server.tests.people import changed


class Saver(threading.Thread):
    """Somebody who saves a run again and again, as their page does: what was not answered is sent
    once more, and where that was kept after all, the page is told the version that there is."""

    def __init__(
        self, visitor: Visitor, run_id: int, end: threading.Event, every_s: float = 0.0
    ) -> None:
        super().__init__(daemon=True)
        self.visitor, self.run_id, self.end, self.every_s = visitor, run_id, end, every_s
        self.acknowledged = 1
        self.refusals: set[int] = set()
        self.took_s: list[float] = []

    def run(self) -> None:
        """Until it is told that that is enough."""
        path = f"/api/runs/{self.run_id}"
        while not self.end.wait(self.every_s):
            wanted = self.acknowledged + 1
            body = {
                "document": changed(name=f"Version {wanted}"),
                "base_version": self.acknowledged,
            }
            began = time.monotonic()
            try:
                status, told = self.visitor.ask("PUT", path, body)
            except OSError:
                continue
            self.took_s.append(time.monotonic() - began)
            if status == 200:
                self.acknowledged = told["version"]
            elif status == 409 and told["theirs"]["version"] == wanted:
                self.acknowledged = wanted
            else:
                self.refusals.add(status)
