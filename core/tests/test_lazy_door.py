"""``import yarrow`` loads a room when it is first asked; a type checker sees the same names."""

from __future__ import annotations

import ast
import subprocess
import sys
import unittest
from importlib import import_module
from pathlib import Path

import yarrow

STUB = Path(yarrow.__file__).with_suffix(".pyi")

_LOADED = "print(*sorted(name for name in sys.modules if name.startswith('yarrow.')))"


def loaded_by(code: str) -> set[str]:
    """The modules of the core that are loaded after some lines, in a Python of their own."""
    program = f"import sys, yarrow\n{code}\n{_LOADED}"
    core = Path(yarrow.__file__).parents[1]
    done = subprocess.run(
        [sys.executable, "-c", program],
        capture_output=True,
        text=True,
        check=True,
        env={"PYTHONPATH": str(core)},
    )
    return set(done.stdout.split())


class Lazily(unittest.TestCase):
    def test_the_door_by_itself_loads_nothing(self) -> None:
        self.assertEqual(loaded_by(""), set())

    def test_a_check_of_fill_loads_no_run_and_no_site(self) -> None:
        loaded = loaded_by("yarrow.read_json(b'{}')")
        self.assertIn("yarrow.documents.json_text", loaded)
        for room in ("runs", "walls", "site", "stock", "bench", "pieces"):
            self.assertFalse(any(name.startswith(f"yarrow.{room}") for name in loaded), room)

    def test_a_verb_is_no_room_of_the_same_name_whichever_was_loaded_first(self) -> None:
        for verb in ("bench", "catalog", "fill", "pieces", "site"):
            import_module(f"yarrow.{verb}")
            self.assertTrue(callable(getattr(yarrow, verb)), verb)

    def test_the_stub_names_what_the_door_has_from_where_it_has_it(self) -> None:
        stub = ast.parse(STUB.read_text("utf-8"))
        names = {
            alias.name: node.module
            for node in stub.body
            if isinstance(node, ast.ImportFrom)
            for alias in node.names
        }
        verbs = {
            node.target.id: ast.unparse(node.annotation)
            for node in stub.body
            if isinstance(node, ast.AnnAssign) and isinstance(node.target, ast.Name)
        }
        listed = {"__version__", "__all__", *yarrow.VERBS}
        self.assertEqual(set(verbs), listed)
        self.assertEqual({*names, *listed}, {*yarrow.__all__, "__all__"})
        for name, verb in yarrow.VERBS.items():
            takes = f"{verb.takes.capitalize()}Document"
            self.assertEqual(verbs[name], f"Verb[{takes}, {verb.result}]")
            self.assertIs(getattr(yarrow, name), verb)
        for name, module in names.items():
            assert module is not None
            self.assertIs(getattr(yarrow, name), getattr(import_module(module), name), name)

    def test_what_is_not_there_is_said_so(self) -> None:
        with self.assertRaises(AttributeError):
            _ = yarrow.nothing  # type: ignore[attr-defined]


if __name__ == "__main__":
    unittest.main()
