"""Each small bug can still be put in: what it changes stands once in its file."""

from __future__ import annotations

import unittest
from pathlib import Path

from core.tests.mutants.mutants import MUTANTS, Mutant

ROOT = Path(__file__).parents[3]


def places(mutant: Mutant) -> list[Path]:
    """Where the tests are that it says."""
    if mutant.layer == "core":
        return [ROOT / "core" / "tests" / room for room in mutant.tests]
    if mutant.layer == "server":
        return [ROOT / f"{label.replace('.', '/')}.py" for label in mutant.tests]
    return [ROOT / "web" / file for file in mutant.tests]


class Mutants(unittest.TestCase):
    def test_what_each_changes_stands_once(self) -> None:
        for mutant in MUTANTS:
            with self.subTest(mutant.file, old=mutant.old):
                self.assertEqual((ROOT / mutant.path).read_text().count(mutant.old), 1)
                self.assertTrue(all(place.exists() for place in places(mutant)))


if __name__ == "__main__":
    unittest.main()
