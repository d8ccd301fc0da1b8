"""What an answer is by its method: one to HEAD has no body, and a method that an address has not
is answered as every refusal is."""

from __future__ import annotations

from collections.abc import Callable

from django.http import HttpRequest, HttpResponse

from api.problem_answers import problem_answer

_NOT_ALLOWED = 405


class AnswersByMethod:
    """Takes the body off answers to HEAD: what comes next on the connection would be read from it.
    Says what methods an address of the API has, where it has not the one that was used."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Pass the request on, and see to its answer."""
        answer = self.get_response(request)
        if answer.status_code == _NOT_ALLOWED and request.path.startswith("/api/"):
            allowed = answer.headers.get("Allow", "")
            message = f"Nothing is done by {request.method} here; {allowed or 'nothing'} is."
            answer = problem_answer(_NOT_ALLOWED, "method-not-allowed", message)
            answer.headers["Allow"] = allowed
        if request.method == "HEAD":
            answer.close()
            if answer.streaming:
                answer.streaming_content = ()  # type: ignore[attr-defined]
            else:
                answer.content = b""
            answer.headers["Content-Length"] = "0"
        return answer
