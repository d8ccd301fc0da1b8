"""The built page: one HTML file, given a nonce for the styles that some of its parts insert."""

from __future__ import annotations

from django.http import HttpRequest, HttpResponse
from django.shortcuts import render
from django.template import TemplateDoesNotExist
from django.views.decorators.cache import never_cache
from django.views.decorators.http import require_safe


@require_safe
@never_cache
def page(request: HttpRequest) -> HttpResponse:
    """The page, or a clear word where it has not been built."""
    try:
        return render(request, "index.html")
    except TemplateDoesNotExist:
        return HttpResponse(
            "The page has not been built. Start with ./yarrow demo.",
            content_type="text/plain",
            status=503,
        )
