"""Every sentence that the code names has words, in both countries, and no words are left over."""

from __future__ import annotations

import ast
import re
import unittest
from collections.abc import Iterator
from pathlib import Path
from string import Formatter

import yarrow
from yarrow.documents.written_finding import written
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.wording.phrase import Phrase, Quantity, count
from yarrow.wording.wording import EN_GB, EN_US, wording_of

_SERVER = Path(yarrow.__file__).parents[2] / "server"


def _calls(name: str) -> Iterator[ast.Call]:
    """Where something is made, in the core and the server."""
    for folder in (Path(yarrow.__file__).parent, _SERVER / "exports"):
        for path in folder.rglob("*.py"):
            for node in ast.walk(ast.parse(path.read_text("utf-8"))):
                if isinstance(node, ast.Call) and getattr(node.func, "id", "") == name:
                    yield node


def _texts(node: ast.AST) -> Iterator[str]:
    """The texts within an expression; what is put into one stands for any."""
    if isinstance(node, ast.JoinedStr):
        yield "".join(
            re.escape(str(part.value)) if isinstance(part, ast.Constant) else "[a-z-]+"
            for part in node.values
        )
        return
    if isinstance(node, ast.Constant) and isinstance(node.value, str) and node.value:
        yield re.escape(node.value)
    for child in ast.iter_child_nodes(node):
        yield from _texts(child)


def _named() -> list[str]:
    """What the code names, as patterns of keys."""
    found = [text for call in _calls("Phrase") if call.args for text in _texts(call.args[0])]
    keywords = [keyword for call in _calls("Finding") for keyword in call.keywords]
    variants = {text for each in keywords if each.arg == "variant" for text in _texts(each.value)}
    codes = "|".join(FindingCode)
    # Of a number that would have to be changed, or of how far off an end is: by a name.
    variants |= {"number", "off", "tight", "zero", "place", "rise", "turned-round"}
    advised = ["measure-further", "end-further", "move-further"]
    return [*found, *advised, codes, *(f"({codes})/{text}" for text in variants)]


class Words(unittest.TestCase):
    def test_what_the_code_names_has_words(self) -> None:
        for pattern in _named():
            with self.subTest(pattern):
                self.assertTrue(any(re.fullmatch(pattern, key) for key in EN_US.templates))
        with_words = {key.partition("/")[0] for key in EN_US.templates}
        self.assertEqual(set(FindingCode) - with_words, set())

    def test_no_words_are_left_over(self) -> None:
        patterns = [re.compile(pattern) for pattern in _named()]
        left = [key for key in EN_US.templates if not any(p.fullmatch(key) for p in patterns)]
        self.assertEqual(left, [])

    def test_both_countries_say_the_same_with_the_same_figures(self) -> None:
        self.assertEqual(set(EN_GB.templates), set(EN_US.templates))
        for key, text in EN_US.templates.items():
            with self.subTest(key):
                self.assertEqual(_places(EN_GB.templates[key]), _places(text))

    def test_each_country_has_its_own_words_for_the_same(self) -> None:
        for key, american, british in (
            ("rings-meet", "locknuts", "lock rings"),
            ("too-many-degrees", "conduit body", "inspection fitting"),
            ("too-close", "Raceways", "Conduits"),
        ):
            self.assertIn(american, EN_US.templates[key])
            self.assertIn(british, EN_GB.templates[key])
            self.assertNotIn(american, EN_GB.templates[key])

    def test_the_country_is_the_named_one_or_that_of_the_units(self) -> None:
        told = [wording_of(*asked) for asked in ((None, "mm"), (None, "in"), ("us", "mm"))]
        self.assertEqual(told, [EN_GB, EN_US, EN_US])
        self.assertIs(wording_of("uk", "in"), EN_GB)


def _places(template: str) -> set[str]:
    return {name for _, name, _, _ in Formatter().parse(template) if name}


class Sentences(unittest.TestCase):
    def test_a_sentence_may_begin_with_a_name_and_hold_several_and_another_s_first(self) -> None:
        ledge = Phrase("line/labelled", {"number": count(2), "label": "ledge"})
        behind = Quantity(1.5, "in", "1 1/2 in")
        start = {"line": ledge, "behind": behind, "before": Phrase("start-of-pipe")}
        early = Finding(FindingCode.BEFORE_START, start)
        self.assertEqual(
            early.text,
            "Line 2 (ledge) would begin 1 1/2 in before the start of the pipe. Move it further "
            "along, or check which face it was measured from.",
        )
        off = (Phrase("too-far/back", {"far": behind}), Phrase("too-far/left", {"far": behind}))
        missed = {"off": off, "helps": Phrase("no-number-runs-that-way")}
        self.assertIn(
            "1 1/2 in too far back and 1 1/2 in too far left.",
            Finding(FindingCode.END_NOT_REACHED, missed, variant="off").text,
        )
        racked = {"pipe": count(3), "why": early.phrase, "frees": Phrase("rack-frees")}
        self.assertIn(
            "as it lies: Line 2 (ledge) would begin 1 1/2 in before the start of the pipe. Set",
            Finding(FindingCode.RACK_PIPE_CANNOT_BE_MADE, racked).text,
        )

    def test_braces_in_a_name_stay_braces(self) -> None:
        odd = Phrase("line/labelled", {"number": count(1), "label": "{number} {0}"})
        self.assertEqual(EN_US.text(odd), "line 1 ({number} {0})")

    def test_what_can_be_done_all_the_same_makes_a_warning_of_an_error(self) -> None:
        bad = Finding(FindingCode.KICK_NOT_LAST)
        still = Finding(FindingCode.KICK_NOT_LAST, still=Phrase("printed-marks-can-be-made"))
        self.assertEqual((bad.level, still.level), ("error", "warning"))
        self.assertEqual(still.text.removeprefix(bad.text + " ")[:17], "The printed marks")

    def test_its_figures_are_written_as_data_whatever_can_be_done(self) -> None:
        off = Quantity(0.5, "in", "1/2 in")
        values = {"mark": count(2), "off": off}
        still = Phrase("printed-marks-can-be-made")
        mark = Finding(FindingCode.MARK_OFF_PIPE, values, variant="end", still=still)
        answer = written(mark, EN_GB)
        self.assertEqual((answer.level, answer.values), ("warning", values))
        self.assertTrue(answer.text.startswith("Mark 2 would lie 1/2 in off the end of the pipe"))

    def test_a_remedy_says_what_it_does(self) -> None:
        remedy = Remedy(Phrase("move-to", {"place": "33 1/2"}), "walk[0].at", "33 1/2")
        self.assertEqual(remedy.label, "Move it to 33 1/2")


if __name__ == "__main__":
    unittest.main()
