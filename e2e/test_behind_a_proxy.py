"""Behind nginx, which ends TLS: people sign in, and nobody passes for another address."""

from __future__ import annotations

from typing import Any, ClassVar
from urllib.parse import urlsplit

from django.test import LiveServerTestCase, override_settings

from accounts.models import Crew, Member
from e2e.proxy import Visitor, nginx

PASSWORD = "kestrel-over-marsh"


class BehindNginx(LiveServerTestCase):
    port: ClassVar[int]

    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        behind = urlsplit(cls.live_server_url).port
        assert behind
        cls.port = cls.enterClassContext(nginx([behind]))

    def setUp(self) -> None:
        crew = Crew.objects.create(name="Heron")
        Member.objects.create_user("wren", password=PASSWORD, crew=crew)

    def signs_in(self, password: str, **headers: str) -> int:
        visitor = Visitor(self.port)
        visitor.ask("GET", "/api/session")
        body = {"username": "wren", "password": password}
        return visitor.ask("POST", "/api/session", body, **headers)[0]

    def settings_of(self, **more: Any) -> override_settings:
        """As ``hosts`` and ``proxies`` set them."""
        return override_settings(
            CSRF_TRUSTED_ORIGINS=[f"https://127.0.0.1:{self.port}"],
            PROXIES=1,
            SECURE_PROXY_SSL_HEADER=("HTTP_X_FORWARDED_PROTO", "https"),
            **more,
        )

    def test_who_comes_by_https_signs_in_and_another_site_does_not(self) -> None:
        with self.settings_of():
            self.assertEqual(self.signs_in(PASSWORD), 200)
            self.assertEqual(self.signs_in(PASSWORD, Origin="https://elsewhere.example"), 403)

    def test_an_address_that_somebody_made_up_does_not_open_a_door_that_was_closed(self) -> None:
        with self.settings_of():
            tries = [
                self.signs_in("wrong", **{"X-Forwarded-For": f"10.0.0.{number}"})
                for number in range(5)
            ]
            # The fifth closes the door, and is told so.
            self.assertEqual(tries, [403, 403, 403, 403, 429])
            self.assertEqual(self.signs_in(PASSWORD, **{"X-Forwarded-For": "10.9.9.9"}), 429)
