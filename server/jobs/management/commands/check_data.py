"""Reads every stored document and every revision, and says which can't be read, and why."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from versions.kinds import SavedKind, every_kind
from yarrow import DocumentError

_AT_A_TIME = 100


class Command(BaseCommand):
    """``manage.py check_data``; changes nothing, and ends with status 1 where something is told."""

    help = __doc__

    def handle(self, *args: Any, **options: Any) -> None:
        """Check all there is.

        Raises:
            CommandError, where something can't be read.
        """
        read = 0
        broken = 0
        for kind in every_kind():
            for place, document in _documents(kind):
                read += 1
                try:
                    kind.check_document(document)
                except DocumentError as refusal:
                    broken += 1
                    self.stdout.write(f"{place}: {refusal}")
        if broken:
            raise CommandError(f"{broken} of {read} documents can't be read.")
        self.stdout.write(f"All {read} documents can be read.")


def _documents(kind: SavedKind[Any]) -> Iterator[tuple[str, Any]]:
    """Every document of a kind with where it stands: the newest of each, then its revisions."""
    rows = kind.model._default_manager.order_by("pk").iterator(chunk_size=_AT_A_TIME)
    for row in rows:
        place = f"{kind.called} {row.pk}, {str(row)!r}"
        yield place, row.document
        for version, document in row.revisions.values_list("version", "document"):
            yield f"{place}, version {version}", document
