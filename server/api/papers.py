"""What goes out as a file or on paper: its name, its heading, the answer that carries it."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

from django.http import HttpResponse
from django.utils.text import slugify

from exports.drawing import Drawing
from exports.page import Heading
from exports.svg import drawing_svg
from jobs.models import JobSite, JobWall, Run

Paper = Literal["a4", "letter"]
LargePaper = Literal["a4", "letter", "a3"]


def as_file(body: bytes, kind: str, name: str) -> HttpResponse:
    """An answer that is shown or kept under a name.

    Args:
        body: its bytes.
        kind: its media type.
        name: that it is kept under.
    """
    headers = {"Content-Disposition": f'inline; filename="{name}"'}
    return HttpResponse(body, content_type=kind, headers=headers)


def one_page(pages: Sequence[Drawing], page: int) -> HttpResponse:
    """One of a sheet's pages, counted from 1, as the page shows and prints it; how many there are
    stands in ``X-Pages``. Beyond the last, that.

    Args:
        page: counted from 1.
    """
    shown = pages[min(max(page, 1), len(pages)) - 1]
    headers = {"X-Pages": str(len(pages))}
    return HttpResponse(drawing_svg(shown), content_type="image/svg+xml", headers=headers)


def file_name(of: Run | JobWall | JobSite) -> str:
    """What a file of a run, a wall or a site is called, without its ending.

    Returns:
        Small letters, digits, dashes and underscores.
    """
    return slugify(of.name) or f"{of._meta.model_name}-{of.pk}"


def heading_of(of: Run | JobWall | JobSite) -> Heading:
    """Whose sheet it is, and of which version."""
    saved = f"version {of.version}, saved {of.updated_at:%d %b %Y} by {of.updated_by.shown_name}"
    return Heading(of.job.name, of.name, saved, of.job.wording)
