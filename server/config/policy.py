"""What a page may load, said where there is something that loads."""

from __future__ import annotations

from csp.middleware import CSPMiddleware
from django.http import HttpRequest
from django.http.response import HttpResponseBase


class PagePolicy(CSPMiddleware):
    """django-csp's own, but for JSON: it loads nothing, and to compose a policy for every answer
    of the API takes a tenth of the time of an empty one."""

    def process_response(
        self, request: HttpRequest, response: HttpResponseBase
    ) -> HttpResponseBase:
        """The policy's header, where the answer is no JSON."""
        if response.get("Content-Type", "").startswith("application/json"):
            return response
        return super().process_response(request, response)
