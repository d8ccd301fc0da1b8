"""What is too much: request bodies that are too large, and too many wrong passwords."""

from __future__ import annotations

from collections.abc import Callable
from urllib.parse import unquote_plus

from django.conf import settings
from django.http import HttpRequest, HttpResponse

from api.problem_answers import problem_answer


def locked_out(
    request: HttpRequest, response: HttpResponse | None = None, credentials: object = None
) -> HttpResponse:
    """What django-axes answers while the door is closed after too many wrong passwords.

    Args:
        credentials: what was tried; they are not told.
    """
    message = "Too many wrong passwords. Wait five minutes and try again."
    return problem_answer(429, "throttled", message)


def _most_bytes(path: str) -> int:
    """Of what is sent to an address."""
    if path.startswith("/api/jobs/archive"):
        return settings.LARGEST_ARCHIVE
    if path.startswith("/api/sites/") and path.endswith("/picture"):
        return settings.LARGEST_PICTURE
    return settings.LARGEST_BODY


class BodyLimit:
    """Answers 413 to a body whose declared length is over the limit or is not a number."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Pass the request on, or refuse it."""
        asked = request.path + unquote_plus(request.META.get("QUERY_STRING", ""))
        if "\0" in asked:
            message = "An address has no character without a place in a text."
            return problem_answer(422, "unreadable", message)
        declared = request.META.get("CONTENT_LENGTH") or "0"
        most = _most_bytes(request.path)
        if declared.isdecimal() and int(declared) <= most:
            return self.get_response(request)
        return problem_answer(413, "too-large", f"A request may carry at most {most:,} bytes.")
