"""The golden answers that the page's tests read: still what the core answers, name by name."""

from __future__ import annotations

import json
import math
import unittest
from typing import Any

from core.tests.documents.golden_answers import ASKED, GOLDEN, answer


class Golden(unittest.TestCase):
    def test_what_the_core_answers_is_what_is_kept(self) -> None:
        for name in ASKED:
            with self.subTest(name):
                kept = json.loads((GOLDEN / f"{name}.json").read_text("utf-8"))
                self.compare(answer(name), kept, name)

    def compare(self, got: Any, wanted: Any, path: str) -> None:
        """The same names and words everywhere; numbers to a millionth."""
        self.assertIs(type(got), type(wanted), path)
        if isinstance(got, dict):
            self.assertEqual(got.keys(), wanted.keys(), path)
            for key in got:
                self.compare(got[key], wanted[key], f"{path}.{key}")
        elif isinstance(got, list):
            self.assertEqual(len(got), len(wanted), path)
            for index, (one, other) in enumerate(zip(got, wanted, strict=True)):
                self.compare(one, other, f"{path}[{index}]")
        elif isinstance(got, float):
            self.assertTrue(math.isclose(got, wanted, abs_tol=1e-6), f"{path}: {got} {wanted}")
        else:
            self.assertEqual(got, wanted, path)
