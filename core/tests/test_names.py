"""One word for one thing: no public class and no private helper of one name in two files."""

from __future__ import annotations

import ast
import unittest
from collections import defaultdict
from collections.abc import Iterator
from pathlib import Path

ROOT = Path(__file__).parents[2]

DJANGO_ASKS_FOR = {"Command", "Migration"}


def sources(*folders: str) -> Iterator[Path]:
    for folder in folders:
        for path in sorted((ROOT / folder).rglob("*.py")):
            if not {"tests", "migrations"} & set(path.parts):
                yield path


def places(*folders: str, of: type[ast.ClassDef] | type[ast.FunctionDef]) -> dict[str, list[str]]:
    """The files that define each name at their top, by name."""
    found: dict[str, list[str]] = defaultdict(list)
    for path in sources(*folders):
        for statement in ast.parse(path.read_text()).body:
            if isinstance(statement, of):
                found[statement.name].append(str(path.relative_to(ROOT)))
    return found


class Names(unittest.TestCase):
    def test_no_class_is_the_name_of_two_things(self) -> None:
        for name, files in places("core/yarrow", "server", "launcher", of=ast.ClassDef).items():
            if name not in DJANGO_ASKS_FOR:
                with self.subTest(name):
                    self.assertEqual(len(files), 1, files)

    def test_no_helper_means_another_thing_in_the_next_file(self) -> None:
        for room in ("core/yarrow", "server", "launcher"):
            for name, files in places(room, of=ast.FunctionDef).items():
                if name.startswith("_"):
                    with self.subTest(name):
                        self.assertEqual(len(files), 1, files)


if __name__ == "__main__":
    unittest.main()
