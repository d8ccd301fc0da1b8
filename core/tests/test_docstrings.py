"""What a public function takes, gives and raises is said, in the core and on the server.

A value of a class of ours is told by that class's own docstring; a bare one (a number, a text, a
mapping) says nothing of itself, so it has an entry of its own, and a number's says its unit.
"""

from __future__ import annotations

import ast
import re
import unittest
from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache
from pathlib import Path

ROOT = Path(__file__).parents[2]

BARE = {
    *("float", "int", "str", "bytes", "bool", "object", "Any", "dict"),
    *("Fraction", "Vector", "Document", "Answer"),
}
MEASURED = {"float", "Fraction", "Vector"}

UNITS = re.compile(
    r"\b(units?|inch|inches|mm|millimetres?|metres?|degrees|radians|seconds|pixels|percent|per cent"
    r"|share|ratios?|coordinates|frame|kilograms|pounds|force|tape|direction|axis|length 1|factors?"
    r"|along the (?:leg|pipe|run|wall)|z)\b",
    re.IGNORECASE,
)
"""What a number can be in. Neither ``in`` nor ``length`` says it."""

ENTRY = re.compile(r"^ {4}([*\w]+(?:, [*\w]+)*): +(\S.*(?:\n {8,}.*)*)", re.MULTILINE)


@dataclass(frozen=True)
class Public:
    """A public function with the first lines of its file."""

    name: str
    node: ast.FunctionDef | ast.AsyncFunctionDef
    module: str

    @property
    def text(self) -> str:
        return ast.get_docstring(self.node) or ""

    def section(self, name: str) -> str:
        """What stands under a heading of its docstring."""
        found = re.search(rf"^{name}:\n((?: {{4}}.*\n?|\n)+)", self.text + "\n", re.MULTILINE)
        return found[1] if found else ""

    @property
    def entries(self) -> dict[str, str]:
        """What is said of each parameter; some share an entry."""
        return {
            name.strip("*"): said
            for names, said in ENTRY.findall(self.section("Args"))
            for name in names.split(", ")
        }

    @property
    def parameters(self) -> list[tuple[str, set[str]]]:
        """Each parameter with the names in its annotation."""
        given = self.node.args.posonlyargs + self.node.args.args + self.node.args.kwonlyargs
        return [
            (each.arg, set(re.findall(r"\w+", ast.unparse(each.annotation))))
            for each in given
            if each.annotation is not None and each.arg != "_"
        ]

    @property
    def returns(self) -> set[str]:
        """The names in what it gives; of a property its own docstring tells."""
        named = {ast.unparse(each).rpartition(".")[2] for each in self.node.decorator_list}
        if self.node.returns is None or named & {"property", "cached_property", "overload"}:
            return set()
        return set(re.findall(r"\w+", ast.unparse(self.node.returns)))

    @property
    def is_route(self) -> bool:
        """What a route takes and gives stands in the contract."""
        return any("router." in ast.unparse(each) for each in self.node.decorator_list)


def functions(*rooms: str) -> Iterator[Public]:
    """Every public function and method, but those that a protocol describes.

    Args:
        rooms: folders, from the project's own.
    """
    trees = {
        path: ast.parse(path.read_text())
        for room in rooms
        for path in (ROOT / room).rglob("*.py")
        if not {"tests", "migrations", "management"} & {*path.parts}
    }
    described = {
        method.name
        for tree in trees.values()
        for each in ast.walk(tree)
        if isinstance(each, ast.ClassDef) and _is_protocol(each)
        for method in each.body
        if isinstance(method, ast.FunctionDef)
    }
    for path, tree in trees.items():
        module = ast.get_docstring(tree) or ""
        for each in tree.body:
            if isinstance(each, ast.FunctionDef | ast.AsyncFunctionDef):
                yield Public(f"{path.stem}.{each.name}", each, module)
            elif isinstance(each, ast.ClassDef) and not each.name.startswith("_"):
                for method in each.body:
                    own = _is_protocol(each) or getattr(method, "name", "") not in described
                    if isinstance(method, ast.FunctionDef | ast.AsyncFunctionDef) and own:
                        yield Public(f"{path.stem}.{each.name}.{method.name}", method, module)


def _is_protocol(each: ast.ClassDef) -> bool:
    return any(ast.unparse(base).startswith(("Protocol", "ABC")) for base in each.bases)


@cache
def public() -> tuple[Public, ...]:
    """Those whose docstrings are held to this."""
    return tuple(
        each
        for each in functions("core/yarrow", "server")
        if not each.node.name.startswith("_") and not each.is_route
    )


class Docstrings(unittest.TestCase):
    def test_each_bare_value_that_is_taken_has_its_entry(self) -> None:
        for each in public():
            bare = [name for name, types in each.parameters if types & BARE]
            with self.subTest(each.name):
                self.assertEqual([name for name in bare if name not in each.entries], [])

    def test_no_entry_is_of_what_is_not_taken(self) -> None:
        for each in public():
            arguments = each.node.args
            given = {name for name, _ in each.parameters} | {
                one.arg for one in (arguments.vararg, arguments.kwarg) if one
            }
            with self.subTest(each.name):
                self.assertEqual({*each.entries} - given - {"_"}, set())

    def test_a_number_that_is_taken_says_its_unit(self) -> None:
        for each in public():
            measured = [name for name, types in each.parameters if types & MEASURED]
            said = each.text + each.module
            with self.subTest(each.name):
                self.assertFalse(measured and not UNITS.search(said), measured)

    def test_a_bare_value_that_is_given_is_told(self) -> None:
        for each in public():
            bare = each.returns & BARE
            counts = each.text.startswith(("How many", "Whether")) and bare <= {"int", "bool"}
            if bare and bare != {"bool"} and not counts:
                with self.subTest(each.name):
                    told = each.section("Returns") + each.section("Yields")
                    self.assertRegex(told, r"\w+")
                    if bare & MEASURED:
                        self.assertRegex(told + each.text + each.module, UNITS)

    def test_what_is_raised_is_said(self) -> None:
        for each in public():
            raised = {
                ast.unparse(node.exc.func)
                for node in ast.walk(each.node)
                if isinstance(node, ast.Raise) and isinstance(node.exc, ast.Call)
                if not ast.unparse(node.exc.func).startswith("_")
            }
            for error in raised - {"AssertionError", "SystemExit"}:
                with self.subTest(each.name):
                    self.assertIn(error, each.section("Raises"))


if __name__ == "__main__":
    unittest.main()
