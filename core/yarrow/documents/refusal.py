"""What can't be read, said by its place in the document and what was expected there."""

from __future__ import annotations


class Refusal(ValueError):
    """``path`` names the field (``walk[2].rise``); ``expected`` says what would be read there."""

    def __init__(self, path: str, expected: str) -> None:
        self.path = path or "document"
        self.expected = expected
        super().__init__(f"{self.path}: expected {expected}")
