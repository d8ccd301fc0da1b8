"""No function is longer than a screen."""

from __future__ import annotations

import ast
import unittest
from collections.abc import Iterator
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent.parent
MOST_LINES = 60


def functions() -> Iterator[tuple[str, ast.FunctionDef | ast.AsyncFunctionDef]]:
    """Every function that is written by hand, with its file."""
    for room in ("core", "server", "launcher", "e2e", "benchmarks"):
        for path in sorted((ROOT / room).rglob("*.py")):
            if "migrations" not in path.parts:
                for node in ast.walk(ast.parse(path.read_text())):
                    if isinstance(node, ast.FunctionDef | ast.AsyncFunctionDef):
                        yield str(path.relative_to(ROOT)), node


class LengthsOfFunctions(unittest.TestCase):
    def test_each_is_read_on_one_screen(self) -> None:
        longer = [
            f"{path}:{function.lineno} {function.name}"
            for path, function in functions()
            if (function.end_lineno or 0) - function.lineno + 1 > MOST_LINES
        ]
        self.assertEqual(longer, [])
