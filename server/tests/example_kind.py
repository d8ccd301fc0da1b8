"""A kind of saved documents that Yarrow does not have: what is still to be done on a job."""

from __future__ import annotations

from typing import Any, cast

from django.db import models

from jobs.models import Job
from jobs.policy import NamedInJob
from versions.models import VersionedDocument
from yarrow import DocumentError, Format


class SnagFormat(Format):
    """``yarrow.snags/1``: a name and a list of words."""

    def read(self, document: object) -> list[str]:
        """The snags. Raises: DocumentError."""
        snags = cast("dict[str, Any]", document).get("snags")
        if not isinstance(snags, list) or not all(isinstance(snag, str) for snag in snags):
            raise DocumentError("snags", "a list of texts")
        return snags


FORMAT = SnagFormat("snags", "run")


class SnagList(VersionedDocument):
    """A list of snags; its document is a ``yarrow.snags/1``."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="+")
    name = models.CharField(max_length=120)

    class Meta:
        app_label = "example"

    def __str__(self) -> str:
        return self.name


class SnagLists(NamedInJob[SnagList]):
    """Lists of snags of jobs."""

    one, many, called = "snags", "snag_lists", "snag list"
    model = SnagList
    format = "snags"
    most = 5
    most_bytes = 2_000
