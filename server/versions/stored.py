"""Many stored documents, fetched some at a time."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from typing import Any

from django.db.models import QuerySet

_AT_ONCE = 100


class StoredDocuments:
    """The documents of rows, in the order of their ids: so many as there were when it was made."""

    def __init__(self, rows: QuerySet[Any], ids: Sequence[int] | None = None) -> None:
        self._rows = rows
        self._ids = sorted(rows.values_list("id", flat=True)) if ids is None else ids

    def __len__(self) -> int:
        return len(self._ids)

    def __iter__(self) -> Iterator[dict[str, Any]]:
        """Each as it stands when it is fetched."""
        every = self._rows.model._default_manager.order_by("id")
        for start in range(0, len(self._ids), _AT_ONCE):
            batch = every.filter(id__in=self._ids[start : start + _AT_ONCE])
            yield from batch.values_list("document", flat=True)
