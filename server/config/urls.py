"""Addresses: the API, and the page for everything else."""

from __future__ import annotations

from django.urls import path, re_path

from api.api import api, missing
from config.page import page, service_worker

handler500 = "api.failures.failed_view"

urlpatterns = [
    path("api/", api.urls),
    re_path(r"^api/", missing),
    path("sw.js", service_worker),
    # Everything that is not the API or a built file is a place in the page.
    re_path(r"^(?!api/|static/).*$", page),
]
