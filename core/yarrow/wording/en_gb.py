"""The words of the United Kingdom, where they are others than those of the United States."""

from __future__ import annotations

EN_GB: dict[str, str] = {}
