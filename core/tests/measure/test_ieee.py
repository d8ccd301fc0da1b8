"""What has to come to the same bits everywhere: near the true value, and nothing else used."""

from __future__ import annotations

import ast
import math
import random
import unittest
from pathlib import Path

import yarrow
from yarrow.measure import ieee

CORE = Path(yarrow.__file__).parent
DIFFER = {"sin", "cos", "tan", "asin", "acos", "atan", "atan2", "exp", "log", "erf", "pow"}
"""Of ``math``: each C library has its own last digit of these."""


def off(one: float, other: float) -> float:
    """How many of the last bits apart."""
    return abs(one - other) / math.ulp(other)


class NearTheTrueValue(unittest.TestCase):
    def test_within_two_of_the_last_bits_of_the_machine_s_own(self) -> None:
        chance = random.Random(20)
        for _ in range(20_000):
            angle = chance.uniform(-7, 7)
            y, x = chance.uniform(-9, 9), chance.uniform(-9, 9)
            share = chance.uniform(-1, 1)
            for got, wanted in (
                (ieee.sin(angle), math.sin(angle)),
                (ieee.cos(angle), math.cos(angle)),
                (ieee.tan(angle), math.tan(angle)),
                (ieee.atan2(y, x), math.atan2(y, x)),
                (ieee.asin(share), math.asin(share)),
                (ieee.acos(share), math.acos(share)),
                (ieee.exp(angle), math.exp(angle)),
                (ieee.log(abs(y)), math.log(abs(y))),
            ):
                self.assertLessEqual(off(got, wanted), 2)
            self.assertAlmostEqual(ieee.erf(angle), math.erf(angle), 14)

    def test_the_angles_of_every_bender(self) -> None:
        for degrees, sine, cosine, tangent in (
            (30, 0.5, math.sqrt(3) / 2, 1 / math.sqrt(3)),
            (45, math.sqrt(0.5), math.sqrt(0.5), 1.0),
            (60, math.sqrt(3) / 2, 0.5, math.sqrt(3)),
            (180, 0.0, -1.0, 0.0),
            (-45, -math.sqrt(0.5), math.sqrt(0.5), -1.0),
            (405, math.sqrt(0.5), math.sqrt(0.5), 1.0),
        ):
            angle = math.radians(degrees)
            self.assertAlmostEqual(ieee.sin(angle), sine, 14)
            self.assertAlmostEqual(ieee.cos(angle), cosine, 14)
            self.assertAlmostEqual(ieee.tan(angle), tangent, 14)
        self.assertEqual(ieee.sin(math.pi / 2), 1.0)
        self.assertEqual(ieee.cos(0.0), 1.0)

    def test_the_axes_and_the_origin(self) -> None:
        for y in (0.0, -0.0, 1.0, -1.0):
            for x in (0.0, -0.0, 1.0, -1.0):
                got, wanted = ieee.atan2(y, x), math.atan2(y, x)
                self.assertEqual((got, math.copysign(1, got)), (wanted, math.copysign(1, wanted)))

    def test_a_zero_keeps_its_sign_whichever_was_asked_first(self) -> None:
        for zero in (0.0, -0.0, 0.0):
            for function in (ieee.sin, ieee.tan):
                self.assertEqual(math.copysign(1, function(zero)), math.copysign(1, zero))

    def test_what_is_no_angle_is_as_the_machine_has_it(self) -> None:
        self.assertTrue(math.isnan(ieee.tan(math.nan)))
        self.assertAlmostEqual(ieee.sin(1e9), math.sin(1e9), 6)
        with self.assertRaises(ValueError):
            ieee.cos(math.inf)


class NothingElse(unittest.TestCase):
    def test_the_core_asks_nothing_that_differs_of_the_c_library(self) -> None:
        wrong = [
            f"{path.relative_to(CORE)}:{node.lineno}"
            for path in CORE.rglob("*.py")
            for node in ast.walk(ast.parse(path.read_text("utf-8")))
            if _differs(node)
        ]
        self.assertEqual(wrong, [])

    def test_what_differs_is_seen(self) -> None:
        for text in ("math.sin(1)", "x**2", "x**-0.5", "from math import tan"):
            self.assertTrue(any(map(_differs, ast.walk(ast.parse(text)))), text)
        for text in ("ieee.sin(1)", "10**6", "math.hypot(1, 2)"):
            self.assertFalse(any(map(_differs, ast.walk(ast.parse(text)))), text)


def _differs(node: ast.AST) -> bool:
    match node:
        case ast.Attribute(value=ast.Name(id="math"), attr=name):
            return name in DIFFER
        case ast.ImportFrom(module="math", names=names):
            return any(alias.name in DIFFER for alias in names)
        case ast.BinOp(op=ast.Pow(), left=left):
            return not isinstance(left, ast.Constant)
    return False
