"""No file needs itself by way of others, not for its types either."""

from __future__ import annotations

import ast
import unittest
from collections.abc import Iterator
from graphlib import TopologicalSorter
from pathlib import Path

_ROOT = Path(__file__).resolve().parents[2]


def _modules(folder: Path) -> dict[str, Path]:
    """Files by the name that they are imported by; tests and migrations are no part of it."""
    found = {}
    for path in folder.rglob("*.py"):
        parts = path.relative_to(folder).with_suffix("").parts
        if not {"tests", "migrations"} & set(parts):
            found[".".join(part for part in parts if part != "__init__")] = path
    return found


def _needed(path: Path, known: dict[str, Path]) -> Iterator[str]:
    """What a file imports of its own layer, wherever in it."""
    for node in ast.walk(ast.parse(path.read_text("utf-8"))):
        if isinstance(node, ast.Import):
            yield from (alias.name for alias in node.names if alias.name in known)
        elif isinstance(node, ast.ImportFrom) and node.module:
            for alias in node.names:
                inside = f"{node.module}.{alias.name}"
                yield from (name for name in (inside, node.module) if name in known)


class Imports(unittest.TestCase):
    def test_core_and_server_have_no_circles(self) -> None:
        for folder in ("core", "server"):
            known = _modules(_ROOT / folder)
            self.assertGreater(len(known), 80)
            graph = {name: set(_needed(path, known)) - {name} for name, path in known.items()}
            with self.subTest(folder):
                # Raises CycleError, which names the files.
                TopologicalSorter(graph).prepare()


if __name__ == "__main__":
    unittest.main()
