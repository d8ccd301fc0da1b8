"""The built page: one HTML file, given a nonce for the styles that some of its parts insert."""

from __future__ import annotations

from django.conf import settings
from django.http import HttpRequest, HttpResponse
from django.shortcuts import render
from django.template import TemplateDoesNotExist
from django.views.decorators.cache import never_cache
from django.views.decorators.http import require_safe

from config.access import PAGE, page_name

_NOT_BUILT = "The page has not been built. Start with ./yarrow demo."


@require_safe
@never_cache
def page(request: HttpRequest) -> HttpResponse:
    """The page, or a clear word where it has not been built. It says which one it is, so that no
    other network's page is taken for it."""
    try:
        answer = render(request, "index.html")
    except TemplateDoesNotExist:
        return HttpResponse(_NOT_BUILT, content_type="text/plain", status=503)
    answer.headers[PAGE] = page_name()
    return answer


@require_safe
@never_cache
def service_worker(request: HttpRequest) -> HttpResponse:
    """What serves the page's files where there is no network. It stands at the top, since a browser
    lets it answer only for what is below its own address."""
    try:
        script = (settings.WEB_DIST / "sw.js").read_bytes()
    except OSError:
        return HttpResponse(_NOT_BUILT, content_type="text/plain", status=404)
    return HttpResponse(script, content_type="text/javascript")
