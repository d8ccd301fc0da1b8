"""The bender's buttons, as a small page of its own."""

from __future__ import annotations

import json
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from typing import cast, get_args

from launcher.gauge.lines import Gauge
from launcher.gauge.simulated_bender import Doing

PAGE = """<!doctype html><html lang="en"><meta charset="utf-8">
<meta name="viewport" content="width=device-width"><title>Simulated bender</title>
<style>
body { font: 18px system-ui; max-width: 30rem; margin: 2rem auto; padding: 0 1rem; color: #14181c }
output { display: block; font-size: 4rem; font-weight: 700; font-variant-numeric: tabular-nums }
button { font: inherit; padding: .8rem 1.2rem; margin: .25rem .25rem .25rem 0 }
</style>
<h1>Simulated powered bender</h1>
<p>Hold <b>Bend</b> while it is to bend. What it springs back by is its own affair.</p>
<output aria-live="off">0.0°</output>
<p>Its code, to pair it at the bench: <b>CODE</b></p>
<p><button data-hold="bending">Bend</button><button data-hold="unbending">Unbend</button>
<button data-do="next">Next bend</button></p>
<p><button data-do="silent">Stop talking</button><button data-do="talk">Talk again</button></p>
<script>
const post = (what) => fetch("/" + what, { method: "POST" });
for (const one of document.querySelectorAll("[data-hold]")) {
  one.onpointerdown = () => post(one.dataset.hold);
  one.onpointerup = one.onpointerleave = () => post("nothing");
}
for (const one of document.querySelectorAll("[data-do]")) {
  one.onclick = () => post(one.dataset.do);
}
setInterval(async () => {
  const { reading } = await (await fetch("/reading")).json();
  document.querySelector("output").textContent = reading.toFixed(1) + "°";
}, 200);
</script></html>
"""


def buttons(gauge: Gauge, port: int) -> ThreadingHTTPServer:
    """The page's server, not yet serving. Args: gauge; port, 0 for any."""

    class Buttons(BaseHTTPRequestHandler):
        """One request of it."""

        def do_GET(self) -> None:
            """The page, or what the gauge shows."""
            if self.path == "/reading":
                with gauge.lock:
                    body = json.dumps({"reading": gauge.bender.reading}).encode()
                self._answer(200, "application/json", body)
            elif self.path == "/":
                self._answer(
                    200, "text/html; charset=utf-8", PAGE.replace("CODE", gauge.code).encode()
                )
            else:
                self._answer(404, "text/plain", b"")

        def do_POST(self) -> None:
            """A button."""
            what = self.path.removeprefix("/")
            with gauge.lock:
                if what in get_args(Doing):
                    gauge.bender.press(cast(Doing, what))
                elif what == "next":
                    gauge.bender.next_bend()
                elif what in ("silent", "talk"):
                    gauge.silent = what == "silent"
                else:
                    self._answer(404, "text/plain", b"")
                    return
            self._answer(204, "text/plain", b"")

        def _answer(self, status: int, kind: str, body: bytes) -> None:
            self.send_response(status)
            self.send_header("Content-Type", kind)
            self.send_header("Content-Length", str(len(body)))
            self.end_headers()
            self.wfile.write(body)

        def log_message(self, format: str, *args: object) -> None:
            """Nothing: buttons are pressed often."""

    return ThreadingHTTPServer(("127.0.0.1", port), Buttons)
