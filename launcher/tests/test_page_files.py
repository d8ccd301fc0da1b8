"""What the page is told of the core is told anew where the core says otherwise."""

from __future__ import annotations

import unittest
from unittest import mock

from launcher import page_files


class Told(unittest.TestCase):
    def test_every_file_is_as_the_core_says_today(self) -> None:
        self.assertEqual(page_files.stale(), [])

    def test_one_that_is_not_is_named(self) -> None:
        other = {**page_files.FILES, "other": ("documents/usual.json", "print('{}')")}
        with mock.patch.object(page_files, "FILES", other):
            self.assertEqual(page_files.stale(), ["documents/usual.json"])


if __name__ == "__main__":
    unittest.main()
