"""What can go wrong in geometry, as data."""

from __future__ import annotations


class GeometryError(ValueError):
    """A shape that does not exist: ``code`` says why, ``index`` at which corner or point."""

    def __init__(self, code: str, index: int) -> None:
        super().__init__(f"{code} at {index}")
        self.code = code
        self.index = index
