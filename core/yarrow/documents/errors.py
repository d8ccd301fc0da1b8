"""What can't be read, said by its place in the document and what was expected there."""

from __future__ import annotations

from collections.abc import Sequence


class DocumentError(ValueError):
    """A document that can't be read.

    Args: path, the field (``walk[2].rise``; ``document`` for the whole of it); expected, what would
    be read there.
    """

    def __init__(self, path: str, expected: str) -> None:
        self.path = path or "document"
        self.expected = expected
        super().__init__(f"{self.path}: expected {expected}")


class TableError(ValueError):
    """A table of which something can't be read.

    Args: errors, one for each place, in its order.
    """

    def __init__(self, errors: Sequence[DocumentError]) -> None:
        super().__init__("; ".join(str(error) for error in errors))
        self.errors = tuple(errors)
