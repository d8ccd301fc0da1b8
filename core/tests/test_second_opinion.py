"""A plan is read back by other sums than it was laid out by: one shows an error of the other."""

from __future__ import annotations

import ast
import inspect
import textwrap
import unittest
from collections.abc import Callable
from typing import Any

from yarrow.features.feature import Feature
from yarrow.features.kick import KickThrough
from yarrow.features.registry import KINDS
from yarrow.features.straight import Straight

OF_THE_PLACE = ("self", "leg", "pipe")


def calls(function: Callable[..., Any]) -> set[tuple[str, str]]:
    """What a function calls of the feature, the leg and the pipe."""
    tree = ast.parse(textwrap.dedent(inspect.getsource(function)))
    return {
        (node.func.value.id, node.func.attr)
        for node in ast.walk(tree)
        if isinstance(node, ast.Call)
        and isinstance(node.func, ast.Attribute)
        and isinstance(node.func.value, ast.Name)
        and node.func.value.id in OF_THE_PLACE
    }


def called(kind: type[Feature], method: str) -> set[tuple[str, str]]:
    """What a method and its own helpers call, as its kind and those it is made of have them."""
    found: set[tuple[str, str]] = set()
    waiting = {method}
    while waiting:
        name = waiting.pop()
        for part in kind.__mro__:
            if name in vars(part):
                new = calls(vars(part)[name]) - found
                found |= new
                waiting |= {helper for owner, helper in new if owner == "self"}
    return found


class SecondOpinion(unittest.TestCase):
    def test_laying_out_and_reading_back_share_nothing(self) -> None:
        for kind in (*KINDS.values(), KickThrough, Straight):
            with self.subTest(kind.__name__):
                both = called(kind, "lay") & called(kind, "read_back")
                self.assertEqual(both, set())
