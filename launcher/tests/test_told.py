"""What the page is told of the core is told anew where the core says otherwise."""

from __future__ import annotations

import unittest
from unittest import mock

from launcher import told


class Told(unittest.TestCase):
    def test_every_file_is_as_the_core_says_today(self) -> None:
        self.assertEqual(told.stale(), [])

    def test_one_that_is_not_is_named(self) -> None:
        other = {**told.FILES, "other": ("documents/usual.json", "print('{}')")}
        with mock.patch.object(told, "FILES", other):
            self.assertEqual(told.stale(), ["documents/usual.json"])


if __name__ == "__main__":
    unittest.main()
