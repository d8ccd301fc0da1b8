"""The core runs on bare Python: it imports nothing outside of the standard library."""

from __future__ import annotations

import ast
import subprocess
import sys
import unittest
from pathlib import Path

CORE = Path(__file__).resolve().parent.parent
RUN = (CORE / "tests" / "press-hall.run.json").read_text()


class BarePython(unittest.TestCase):
    def test_every_import_is_the_core_s_own_or_the_standard_library_s(self) -> None:
        for file in (CORE / "yarrow").rglob("*.py"):
            for node in ast.walk(ast.parse(file.read_text())):
                names = []
                if isinstance(node, ast.Import):
                    names = [alias.name for alias in node.names]
                elif isinstance(node, ast.ImportFrom):
                    names = [node.module or ""]
                for name in names:
                    first = name.partition(".")[0]
                    with self.subTest(file=file.name, name=name):
                        self.assertTrue(first == "yarrow" or first in sys.stdlib_module_names)

    def test_it_plans_without_site_packages(self) -> None:
        done = subprocess.run(
            [sys.executable, "-S", "-m", "yarrow", "plan", "-"],
            input=RUN,
            env={"PYTHONPATH": str(CORE)},
            capture_output=True,
            text=True,
            check=False,
        )
        self.assertEqual((done.returncode, done.stderr), (0, ""))
        self.assertIn('"yarrow.plan/1"', done.stdout)
