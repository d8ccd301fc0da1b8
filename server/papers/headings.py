"""Whose a sheet is, and what its file is called."""

from __future__ import annotations

from django.utils.text import slugify

from exports.page import Heading
from jobs.models import JobSite, JobWall, Run


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
