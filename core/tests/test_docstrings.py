"""What a public function takes is said: a bare value says nothing of itself, so its docstring does.

A value of a class of ours is told by that class's own docstring. Numbers with a unit say which.
"""

from __future__ import annotations

import ast
import re
import unittest
from collections.abc import Iterator
from pathlib import Path

ROOT = Path(__file__).parents[2]

BARE = {"float", "int", "str", "bool", "bytes", "object", "Any", "Fraction", "Vector"}
MEASURED = {"float", "Fraction", "Vector"}

UNITS = re.compile(
    r"\b(unit|units|inch|inches|in\b|mm|millimetres|metres|degrees|radians|angle|share|ratio|percent"
    r"|coordinates|length|lengths|place|force|weight|friction|mass|tape)\b",
    re.IGNORECASE,
)


def functions() -> Iterator[tuple[str, ast.FunctionDef, str]]:
    """Every public function and method of the core, but those that a protocol describes."""
    trees = {path: ast.parse(path.read_text()) for path in (ROOT / "core/yarrow").rglob("*.py")}
    described = {
        method.name
        for tree in trees.values()
        for each in ast.walk(tree)
        if isinstance(each, ast.ClassDef) and _is_protocol(each)
        for method in each.body
        if isinstance(method, ast.FunctionDef)
    }
    for path, tree in trees.items():
        for each in tree.body:
            if isinstance(each, ast.FunctionDef):
                yield f"{path.stem}.{each.name}", each, ast.get_docstring(tree) or ""
            elif isinstance(each, ast.ClassDef) and not each.name.startswith("_"):
                for method in each.body:
                    own = _is_protocol(each) or getattr(method, "name", "") not in described
                    if isinstance(method, ast.FunctionDef) and own:
                        name = f"{path.stem}.{each.name}.{method.name}"
                        yield name, method, ast.get_docstring(tree) or ""


def _is_protocol(each: ast.ClassDef) -> bool:
    return any(ast.unparse(base).startswith(("Protocol", "ABC")) for base in each.bases)


def unsaid(function: ast.FunctionDef, module: str) -> list[str]:
    """What a docstring leaves open: a bare parameter's name, or the unit of a number, where the
    file's own first lines do not say that of all."""
    text = ast.get_docstring(function) or ""
    found = []
    given = function.args.posonlyargs + function.args.args + function.args.kwonlyargs
    for each in given:
        if each.annotation is None:
            continue
        types = set(re.findall(r"\w+", ast.unparse(each.annotation)))
        if types & BARE and not re.search(rf"\b{each.arg}\b", text):
            found.append(each.arg)
        elif types & MEASURED and not (UNITS.search(text) or " unit" in module):
            found.append(f"{each.arg}: unit")
    return found


class Docstrings(unittest.TestCase):
    def test_what_public_functions_take_is_said(self) -> None:
        for name, function, module in functions():
            if not function.name.startswith("_"):
                with self.subTest(name):
                    self.assertEqual(unsaid(function, module), [])

    def test_what_is_raised_is_said(self) -> None:
        for name, function, _module in functions():
            raised = {
                ast.unparse(node.exc.func)
                for node in ast.walk(function)
                if isinstance(node, ast.Raise) and isinstance(node.exc, ast.Call)
                if not ast.unparse(node.exc.func).startswith("_")
            }
            for error in raised - {"AssertionError", "SystemExit"}:
                if not function.name.startswith("_"):
                    with self.subTest(name):
                        self.assertIn(error, ast.get_docstring(function) or "")


if __name__ == "__main__":
    unittest.main()
