"""A number for every request, in its answer and in the log, which has a line for each if wanted."""

from __future__ import annotations

import logging
import secrets
import time
from collections.abc import Callable
from functools import cache
from hashlib import sha256

from django.conf import settings
from django.http import HttpRequest, HttpResponse

from api.failures import HEADER
from config.metrics import count

ACCESS = logging.getLogger("yarrow.access")
SLOW = logging.getLogger("yarrow.slow")
PAGE = "X-Page"
"""Which page this server has: one that is open and came from another says so."""
_REFUSED = 400


@cache
def page_name() -> str:
    """What the built page is known by; it is another one whenever anything of it is.

    Returns:
        8 hexadecimal digits; ``none``, where it was not built.
    """
    try:
        return sha256((settings.WEB_DIST / "index.html").read_bytes()).hexdigest()[:8]
    except OSError:
        return "none"


class NumberedRequests:
    """Numbers requests, and tells of them in the log: each where ``access_log`` is set, those that
    took long in any case."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Pass the request on; its answer has the number."""
        request.number = secrets.token_hex(4)  # type: ignore[attr-defined]
        began = time.perf_counter()
        answer = self.get_response(request)
        took = time.perf_counter() - began
        answer.headers.setdefault(HEADER, request.number)  # type: ignore[attr-defined]
        if request.path.startswith("/api/"):
            answer.headers[PAGE] = page_name()
        count(request, answer.status_code, took)
        slow = took > settings.SLOW_S
        if slow or settings.ACCESS_LOG:
            self._tell(request, answer, took, slow)
        return answer

    def _tell(self, request: HttpRequest, answer: HttpResponse, took: float, slow: bool) -> None:
        # The address alone, without what is asked of it: names of boxes are nobody's business.
        refused = answer.status_code >= _REFUSED
        about = {
            "number": request.number,  # type: ignore[attr-defined]
            "method": request.method,
            "path": request.path,
            "status": answer.status_code,
            "ms": round(took * 1000, 1),
            # Whom the API let in: to look it up for a file of the page would cost a query.
            "member": getattr(request, "member_name", None),
            "address": request.META.get("REMOTE_ADDR") or None,
        }
        if slow:
            SLOW.warning("slow", extra=about)
        if settings.ACCESS_LOG:
            ACCESS.info("refused" if refused else "answered", extra=about)
