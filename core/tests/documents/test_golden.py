"""The golden plan that the page's tests read: still what the core answers, name by name."""

from __future__ import annotations

import json
import math
import unittest
from pathlib import Path
from typing import Any

import yarrow

ROOT = Path(__file__).resolve().parents[3]
GOLDEN = ROOT / "contracts" / "golden" / "press-hall.plan.json"
RUN = ROOT / "core" / "tests" / "press-hall.run.json"


class Golden(unittest.TestCase):
    def test_the_plan_of_the_golden_run_is_the_golden_plan(self) -> None:
        plan = yarrow.plan(json.loads(RUN.read_text()))
        self.compare(json.loads(json.dumps(plan)), json.loads(GOLDEN.read_text()), "plan")

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
