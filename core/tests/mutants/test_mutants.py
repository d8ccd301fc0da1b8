"""Each small bug can still be put in: what it changes stands once in its file."""

from __future__ import annotations

import unittest
from pathlib import Path

import yarrow
from core.tests.mutants.mutants import MUTANTS

CORE = Path(yarrow.__file__).parent


class Mutants(unittest.TestCase):
    def test_what_each_changes_stands_once(self) -> None:
        for mutant in MUTANTS:
            with self.subTest(mutant.file, old=mutant.old):
                self.assertEqual((CORE / mutant.file).read_text().count(mutant.old), 1)
                self.assertTrue(
                    all((CORE.parent / "tests" / room).is_dir() for room in mutant.rooms)
                )


if __name__ == "__main__":
    unittest.main()
