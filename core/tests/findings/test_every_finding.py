"""Every finding once, as it was read against its document; and the list of them in the docs."""

from __future__ import annotations

import re
import unittest

from core.tests.findings.cases import CASES
from core.tests.findings.listing import pages
from yarrow.findings.code import FindingCode

_FIGURE = re.compile(r"\d[\d./]*(?: \d+/\d+)?")


class EveryFinding(unittest.TestCase):
    def test_code_place_figures_source_and_remedy(self) -> None:
        for code, case in CASES.items():
            with self.subTest(code=code):
                found = next((f for f in case.found() if f.code == code), None)
                assert found is not None
                self.assertEqual(
                    (found.level, found.path, found.feature, found.bends),
                    (case.level, case.path, case.feature, case.bends),
                )
                figures = " ".join(each.rstrip(".") for each in _FIGURE.findall(found.text))
                self.assertEqual(figures, case.figures, found.text)
                self.assertTrue(found.source.startswith(case.source))
                self.assertEqual(bool(found.source), bool(case.source))
                remedy = found.remedy and (found.remedy.path, found.remedy.value)
                self.assertEqual(remedy, case.remedy)

    def test_no_finding_is_without_a_case(self) -> None:
        self.assertEqual({code for code in FindingCode if code != "wires"} - set(CASES), set())

    def test_the_list_in_the_docs_is_theirs(self) -> None:
        for path, text in pages().items():
            self.assertEqual(path.read_text("utf-8"), text, "Run: ./yarrow contract")

    def test_a_source_names_its_edition_or_says_that_it_is_our_own(self) -> None:
        for code, case in CASES.items():
            for found in (f for f in case.found() if f.code == code and "NFPA" in f.source):
                self.assertRegex(found.source, r"\(20\d\d\)")


if __name__ == "__main__":
    unittest.main()
