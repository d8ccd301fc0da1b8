"""How findings and sentences stand in the contract: as answers have them, in words.

Put in before the routes, whose answers' types have findings in them.
"""

from __future__ import annotations

from typing import Any

from pydantic import GetCoreSchemaHandler
from pydantic_core import CoreSchema

from yarrow import READINGS, Finding, Phrase, WrittenFinding


def _as_written(_source: Any, handler: GetCoreSchemaHandler) -> CoreSchema:
    return handler(WrittenFinding)


def _as_text(_source: Any, handler: GetCoreSchemaHandler) -> CoreSchema:
    return handler(str)


for _kind in (*READINGS, Phrase):
    setattr(_kind, "__get_pydantic_core_schema__", staticmethod(_as_text))  # noqa: B010
setattr(Finding, "__get_pydantic_core_schema__", staticmethod(_as_written))  # noqa: B010
