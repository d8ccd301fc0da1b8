"""Behind nginx, which ends TLS: people sign in, and nobody passes for another address."""

from __future__ import annotations

import http.client
import json
import socket
import ssl
import subprocess
import tempfile
from pathlib import Path
from typing import Any, ClassVar

from django.test import LiveServerTestCase, override_settings

from accounts.models import Crew, Member

PASSWORD = "kestrel-over-marsh"

_CONFIGURATION = """
daemon off; pid {folder}/nginx.pid; error_log {folder}/error.log;
events {{ worker_connections 64; }}
http {{
  access_log off; client_body_temp_path {folder}/body; proxy_temp_path {folder}/proxy;
  fastcgi_temp_path {folder}/fastcgi; uwsgi_temp_path {folder}/uwsgi; scgi_temp_path {folder}/scgi;
  server {{
    listen 127.0.0.1:{port} ssl;
    ssl_certificate {folder}/certificate.pem; ssl_certificate_key {folder}/key.pem;
    location / {{
      proxy_pass {behind};
      proxy_set_header Host $http_host;
      proxy_set_header X-Forwarded-For $proxy_add_x_forwarded_for;
      proxy_set_header X-Forwarded-Proto $scheme;
    }}
  }}
}}
"""
"""The address that it saw is the last one that it passes on."""


class BehindNginx(LiveServerTestCase):
    nginx: ClassVar[subprocess.Popen[bytes]]
    port: ClassVar[int]

    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        folder = cls.enterClassContext(tempfile.TemporaryDirectory(prefix="yarrow-nginx-"))
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            cls.port = free.getsockname()[1]
        make = ["openssl", "req", "-x509", "-newkey", "rsa:2048", "-nodes", "-days", "2"]
        where = ["-keyout", f"{folder}/key.pem", "-out", f"{folder}/certificate.pem"]
        subprocess.run([*make, *where, "-subj", "/CN=127.0.0.1"], check=True, capture_output=True)
        configuration = Path(folder) / "nginx.conf"
        configuration.write_text(
            _CONFIGURATION.format(folder=folder, port=cls.port, behind=cls.live_server_url)
        )
        cls.nginx = subprocess.Popen(["nginx", "-p", folder, "-c", str(configuration)])
        cls.addClassCleanup(cls.nginx.wait)
        cls.addClassCleanup(cls.nginx.terminate)

    def setUp(self) -> None:
        crew = Crew.objects.create(name="Heron")
        Member.objects.create_user("wren", password=PASSWORD, crew=crew)

    def asked(
        self, method: str, body: Any = None, **headers: str
    ) -> tuple[http.client.HTTPResponse, Any]:
        """An answer of the session's route, by way of nginx."""
        context = ssl.create_default_context()
        context.check_hostname, context.verify_mode = False, ssl.CERT_NONE
        connection = http.client.HTTPSConnection("127.0.0.1", self.port, context=context)
        while True:
            try:
                connection.connect()
                break
            except ConnectionRefusedError:  # it is still on its way up
                assert self.nginx.poll() is None, "nginx did not start"
        sent = {"Content-Type": "application/json", **headers}
        connection.request(method, "/api/session", json.dumps(body) if body else None, sent)
        answer = connection.getresponse()
        return answer, json.loads(answer.read())

    def signs_in(self, password: str, origin: str, **headers: str) -> int:
        answer, session = self.asked("GET")
        cookie = (answer.getheader("Set-Cookie") or "").partition(";")[0]
        by = {"Origin": origin, "X-CSRFToken": session["csrf"], "Cookie": cookie, **headers}
        return self.asked("POST", {"username": "wren", "password": password}, **by)[0].status

    def settings_of(self, **more: Any) -> override_settings:
        """As ``YARROW_ORIGINS`` and ``YARROW_PROXIES`` set them."""
        return override_settings(
            CSRF_TRUSTED_ORIGINS=[f"https://127.0.0.1:{self.port}"],
            PROXIES=1,
            SECURE_PROXY_SSL_HEADER=("HTTP_X_FORWARDED_PROTO", "https"),
            **more,
        )

    def test_who_comes_by_https_signs_in_and_another_site_does_not(self) -> None:
        with self.settings_of():
            self.assertEqual(self.signs_in(PASSWORD, f"https://127.0.0.1:{self.port}"), 200)
            self.assertEqual(self.signs_in(PASSWORD, "https://elsewhere.example"), 403)

    def test_an_address_that_somebody_made_up_does_not_open_a_door_that_was_closed(self) -> None:
        own = f"https://127.0.0.1:{self.port}"
        with self.settings_of():
            tries = [
                self.signs_in("wrong", own, **{"X-Forwarded-For": f"10.0.0.{number}"})
                for number in range(5)
            ]
            # The fifth closes the door, and is told so.
            self.assertEqual(tries, [403, 403, 403, 403, 429])
            closed = self.signs_in(PASSWORD, own, **{"X-Forwarded-For": "10.9.9.9"})
            self.assertEqual(closed, 429)
