"""What goes out as a file or on paper: its name, its heading, the answer that carries it."""

from __future__ import annotations

from typing import Literal

from django.http import HttpResponse
from django.utils.text import slugify

from exports.page import Heading
from jobs.models import JobSite, JobWall, Run

Paper = Literal["a4", "letter"]


def as_file(body: bytes, kind: str, name: str) -> HttpResponse:
    """An answer that is shown or kept under a name."""
    headers = {"Content-Disposition": f'inline; filename="{name}"'}
    return HttpResponse(body, content_type=kind, headers=headers)


def file_name(of: Run | JobWall | JobSite) -> str:
    """What a file of a run, a wall or a site is called, without its ending."""
    return slugify(of.name) or f"{of.what}-{of.pk}"


def heading_of(of: Run | JobWall | JobSite) -> Heading:
    """Whose sheet it is, and of which version."""
    saved = f"version {of.version}, saved {of.updated_at:%d %b %Y} by {of.updated_by.shown_name}"
    return Heading(of.job.name, of.name, saved, of.job.wording)
