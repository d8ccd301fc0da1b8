"""nginx by the example that ships, before servers on this machine."""

from __future__ import annotations

import http.client
import json
import re
import socket
import ssl
import subprocess
import tempfile
from collections.abc import Iterator, Sequence
from contextlib import contextmanager
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from launcher.paths import ROOT
from launcher.postgres import free_port

_AROUND = """
daemon off; pid {folder}/nginx.pid; error_log {folder}/error.log;
events {{ worker_connections 1024; }}
http {{
  access_log off; client_body_temp_path {folder}/body; proxy_temp_path {folder}/proxy;
  fastcgi_temp_path {folder}/fastcgi; uwsgi_temp_path {folder}/uwsgi; scgi_temp_path {folder}/scgi;
  {example}
}}
"""


@contextmanager
def nginx(behind: Sequence[int]) -> Iterator[int]:
    """Before servers on those ports; the port that it ends TLS on."""
    with tempfile.TemporaryDirectory(prefix="yarrow-nginx-") as folder:
        make = ["openssl", "req", "-x509", "-newkey", "rsa:2048", "-nodes", "-days", "2"]
        where = ["-keyout", f"{folder}/key.pem", "-out", f"{folder}/certificate.pem"]
        subprocess.run([*make, *where, "-subj", "/CN=127.0.0.1"], check=True, capture_output=True)
        port = free_port()
        example = (ROOT / "deploy" / "nginx.conf").read_text()
        servers = "".join(
            f"server 127.0.0.1:{each} max_fails=1 fail_timeout=2s;\n" for each in behind
        )
        example = re.sub(r"(?:\s*server 127\S+ .*;\n)+", f"\n{servers}", example, count=1)
        example = example.replace("listen 443 ssl", f"listen 127.0.0.1:{port} ssl")
        example = example.replace("server_name yarrow.example", "server_name 127.0.0.1")
        example = example.replace("/etc/yarrow/", f"{folder}/")
        configuration = Path(folder) / "nginx.conf"
        configuration.write_text(_AROUND.format(folder=folder, example=example))
        running = subprocess.Popen(["nginx", "-p", folder, "-c", str(configuration)])
        try:
            while True:
                assert running.poll() is None, "nginx did not start"
                with socket.socket() as probe:
                    if probe.connect_ex(("127.0.0.1", port)) == 0:
                        break
            yield port
        finally:
            running.terminate()
            running.wait()


@dataclass
class Visitor:
    """A browser's part of the way: cookies and the token, by HTTPS."""

    port: int
    cookies: dict[str, str] = field(default_factory=dict)
    token: str = ""

    @property
    def origin(self) -> str:
        """Where the page comes from."""
        return f"https://127.0.0.1:{self.port}"

    def events(self, path: str) -> list[Any]:
        """What a stream of events tells until it ends, or breaks."""
        told = []
        try:
            answer = self._answer("GET", path)
            for line in answer:
                if line.startswith(b"data: "):
                    told.append(json.loads(line.removeprefix(b"data: ")))
            answer.close()
        except (OSError, http.client.HTTPException):
            pass
        return told

    def ask(self, method: str, path: str, body: Any = None, **headers: str) -> tuple[int, Any]:
        """An answer: its status, and its JSON."""
        answer = self._answer(method, path, body, **headers)
        read = answer.read()
        answer.close()
        told = json.loads(read) if "json" in (answer.getheader("Content-Type") or "") else read
        if isinstance(told, dict) and "csrf" in told:
            self.token = told["csrf"]
        return answer.status, told

    def _answer(
        self, method: str, path: str, body: Any = None, **headers: str
    ) -> http.client.HTTPResponse:
        context = ssl.create_default_context()
        context.check_hostname, context.verify_mode = False, ssl.CERT_NONE
        connection = http.client.HTTPSConnection("127.0.0.1", self.port, context=context)
        sent = {
            "Content-Type": "application/json",
            "Origin": self.origin,
            "Referer": f"{self.origin}/",
            "X-CSRFToken": self.token,
            "Connection": "close",
            "Cookie": "; ".join(f"{name}={value}" for name, value in self.cookies.items()),
            **headers,
        }
        connection.request(method, path, json.dumps(body) if body is not None else None, sent)
        answer = connection.getresponse()
        for cookie in answer.headers.get_all("Set-Cookie") or ():
            name, _, value = cookie.partition(";")[0].partition("=")
            self.cookies[name] = value
        return answer
