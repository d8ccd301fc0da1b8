"""Who asks, where a proxy of our own stands before the server."""

from __future__ import annotations

from collections.abc import Callable
from contextlib import suppress
from ipaddress import ip_address

from django.conf import settings
from django.http import HttpRequest, HttpResponse


class FromProxy:
    """Takes the address that our own proxies saw as the request's: limits and locks go by it. Where
    none is said to stand there, what headers say of it counts for nothing."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Pass the request on as from who sent it."""
        seen = request.META.get("HTTP_X_FORWARDED_FOR", "").split(",")
        if settings.PROXIES and len(seen) >= settings.PROXIES:
            # The last one is what the proxy next to us saw, and so on.
            said = seen[-settings.PROXIES].strip()
            with suppress(ValueError):
                request.META["REMOTE_ADDR"] = str(ip_address(said))
        return self.get_response(request)
