"""What goes wrong on our side: told as that, with a number that the log has too."""

from __future__ import annotations

import logging
import secrets
from collections.abc import Callable

from django.http import HttpRequest, HttpResponse

from api.problem_answers import problem_answer

LOG = logging.getLogger("yarrow.failures")
HEADER = "X-Request-Number"


class NumberedFailures:
    """Answers what nothing else has caught, and gives every failure its number."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Pass the request on; what comes back as our own failure is numbered and logged."""
        answer = self.get_response(request)
        if answer.status_code != 500 or HEADER in answer:
            return answer
        return failed(request, None)

    def process_exception(self, request: HttpRequest, error: Exception) -> HttpResponse:
        """What a view let through."""
        return failed(request, error)


def failed(request: HttpRequest, error: BaseException | None) -> HttpResponse:
    """The answer to a failure of ours, logged under the number that it quotes."""
    number = getattr(request, "number", "") or secrets.token_hex(4)
    about = {"number": number, "method": request.method, "path": request.path}
    LOG.error("failure %s", number, extra=about, exc_info=error)
    message = f"Yarrow failed on this; what you typed is kept. Quote number {number}."
    if request.path.startswith("/api/"):
        answer: HttpResponse = problem_answer(500, "failed", message)
    else:
        answer = HttpResponse(message, content_type="text/plain; charset=utf-8", status=500)
    answer[HEADER] = number
    return answer


def failed_view(request: HttpRequest) -> HttpResponse:
    """Django's own last resort, where not even the middleware was reached."""
    return failed(request, None)
