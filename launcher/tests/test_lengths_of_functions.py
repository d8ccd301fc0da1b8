"""No function is longer than a screen, what its docstring says of it aside."""

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


def lines_of(function: ast.FunctionDef | ast.AsyncFunctionDef) -> int:
    """How many it has, without its docstring."""
    whole = (function.end_lineno or 0) - function.lineno + 1
    first = function.body[0]
    told = ast.get_docstring(function) is not None
    return whole - ((first.end_lineno or 0) - first.lineno + 1 if told else 0)


class LengthsOfFunctions(unittest.TestCase):
    def test_each_is_read_on_one_screen(self) -> None:
        longer = [
            f"{path}:{function.lineno} {function.name}"
            for path, function in functions()
            if lines_of(function) > MOST_LINES
        ]
        self.assertEqual(longer, [])
