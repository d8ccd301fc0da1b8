"""Every sentence that the code names has words, in both countries, and no words are left over."""

from __future__ import annotations

import ast
import re
import unittest
from collections.abc import Iterator
from functools import cache
from pathlib import Path
from string import Formatter

import polib

import yarrow
from yarrow.catalog.fittings import fittings
from yarrow.catalog.rulebooks import wording_of
from yarrow.documents.written_finding import WrittenQuantity, written
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.wording import catalogue
from yarrow.wording.catalogue import languages, read_catalogue
from yarrow.wording.phrase import Phrase, Quantity, Term, count
from yarrow.wording.wording import (
    EN_GB,
    EN_US,
    LANGUAGES,
    Wording,
    in_each_language,
)

_SERVER = Path(yarrow.__file__).parents[2] / "server"


@cache
def _nodes() -> tuple[ast.AST, ...]:
    """All of the code that has something to say, in the core and the server."""
    folders = (Path(yarrow.__file__).parent, _SERVER / "exports")
    files = [path for folder in folders for path in folder.rglob("*.py")]
    return tuple(node for path in files for node in ast.walk(ast.parse(path.read_text("utf-8"))))


def _calls(name: str) -> Iterator[ast.Call]:
    """Where something is made."""
    for node in _nodes():
        if isinstance(node, ast.Call) and getattr(node.func, "id", "") == name:
            yield node


def _values_named(name: str) -> Iterator[ast.expr]:
    """What a name is given, alone or as one of several."""
    for node in _nodes():
        if not isinstance(node, ast.Assign):
            continue
        for target in node.targets:
            if isinstance(target, ast.Tuple) and isinstance(node.value, ast.Tuple):
                pairs = zip(target.elts, node.value.elts, strict=True)
                yield from (value for of, value in pairs if getattr(of, "id", "") == name)
            elif getattr(target, "id", "") == name:
                yield node.value


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
    named = [call for of in ("Phrase", "Term") for call in _calls(of) if call.args]
    texts = [text for call in named for text in _texts(call.args[0])]
    # A finding's own, by its code and variant, would let any key pass: those are listed below.
    found = [text for text in texts if not text.startswith("[a-z-]+/[")]
    keywords = [keyword for call in _calls("Finding") for keyword in call.keywords]
    variants = {text for each in keywords if each.arg == "variant" for text in _texts(each.value)}
    codes = "|".join(FindingCode)
    variants |= {text for value in _values_named("variant") for text in _texts(value)}
    # Handed to a helper: of how far off an end is, of a number that is a slip, of a loose trench.
    variants |= {"off", "tight", "zero", "place", "rise", "turned-round", "alone"}
    advised = ["measure-further", "end-further", "move-further", "check/clears"]
    return [*found, *advised, codes, *(f"({codes})/{text}" for text in variants)]


class Words(unittest.TestCase):
    def test_what_the_code_names_has_words(self) -> None:
        for pattern in _named():
            with self.subTest(pattern):
                self.assertTrue(any(re.fullmatch(pattern, key) for key in EN_GB.templates))
        with_words = {key.partition("/")[0] for key in EN_US.templates}
        self.assertEqual(set(FindingCode) - with_words, set())

    def test_no_words_are_left_over(self) -> None:
        patterns = [re.compile(pattern) for pattern in _named()]
        left = [key for key in EN_US.templates if not any(p.fullmatch(key) for p in patterns)]
        self.assertEqual(left, [])

    def test_each_language_says_the_same_with_the_same_figures(self) -> None:
        for language in languages():
            for key, text in read_catalogue(language).items():
                with self.subTest(language=language, key=key):
                    if key in EN_US.templates:
                        self.assertEqual(_places(text), _places(EN_US.templates[key]))
                    else:
                        self.assertIn(key, _terms())

    def test_no_language_is_without_a_sentence(self) -> None:
        self.assertEqual(set(LANGUAGES), set(languages()))
        for language in LANGUAGES:
            self.assertLessEqual(set(EN_US.templates), set(Wording(language).templates))

    def test_catalogues_are_what_gettext_s_own_tools_read(self) -> None:
        for language in languages():
            path = Path(catalogue.__file__).parent / "catalogues" / f"{language}.po"
            entries = {entry.msgid: entry.msgstr for entry in polib.pofile(str(path))}
            self.assertEqual(read_catalogue(language), entries)

    def test_neither_country_reads_the_other_s_words(self) -> None:
        """The pairs of the trade: none of one side's stands in any sentence of the other."""
        for american, british in (
            ("offset", r"\ba set\b|shallower sets"),
            ("locknut", "lock ring"),
            ("bushing", r"\bbush(es)?\b"),
            (r"\bstrap", "saddles? (with|nearest|of|off)|Saddles|one saddle"),
            ("connector", "gland"),
            (r"\bstub\b", "upstand"),
            ("conduit bod(y|ies)", "inspection fitting"),
            ("raceway", "conduits? (of a pull|and the others)"),
            (r"equipment ground|\bground$", r"\bearths?\b"),
        ):
            with self.subTest(american):
                self.assertEqual(_with(american, EN_GB), [])
                self.assertNotEqual(_with(american, EN_US), [])
                self.assertNotEqual(_with(british, EN_GB), [])
                self.assertEqual(_with(british, EN_US), [])

    def test_a_name_is_the_country_s_own(self) -> None:
        gland = Term("fitting/connector", "box connector")
        sized = Phrase("material/sized", {"what": gland, "size": "20"})
        self.assertEqual((EN_US.text(sized), EN_GB.text(sized)), ("box connector, 20", "gland, 20"))
        told = in_each_language(gland)
        self.assertEqual((told["en-US"], told["en-GB"]), ("box connector", "gland"))

    def test_one_is_not_said_as_several(self) -> None:
        lines = [Phrase("box-line/ends", {"count": count(number)}) for number in (0, 1, 2)]
        self.assertEqual(
            [EN_US.text(each) for each in lines],
            [
                "0 conductors ending or spliced here",
                "1 conductor ending or spliced here",
                "2 conductors ending or spliced here",
            ],
        )

    def test_the_language_is_the_named_one_or_that_of_the_units(self) -> None:
        told = [wording_of(*asked) for asked in ((None, "mm"), (None, "in"), ("en-US", "mm"))]
        self.assertEqual(told, [EN_GB, EN_US, EN_US])
        self.assertIs(wording_of("en-GB", "in"), EN_GB)


def _terms() -> set[str]:
    """The names that a language may have a word of its own for."""
    brought = (each for fitting in fittings().values() for each in fitting.brings if each.name)
    return {
        term.key for term in (*(f.term for f in fittings().values()), *(b.term for b in brought))
    }


def _with(pattern: str, wording: Wording) -> list[str]:
    """The sentences in which a word stands; places for figures left out."""
    said = {key: re.sub(r"\{[^}]*\}", "#", text) for key, text in wording.templates.items()}
    return [key for key, text in said.items() if re.search(pattern, text, re.IGNORECASE)]


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
        figures = {"mark": WrittenQuantity(2, "", "2"), "off": WrittenQuantity(0.5, "in", "1/2 in")}
        self.assertEqual((answer.level, answer.values), ("warning", figures))
        self.assertTrue(answer.text.startswith("Mark 2 would lie 1/2 in off the end of the pipe"))

    def test_a_remedy_says_what_it_does(self) -> None:
        remedy = Remedy(Phrase("move-to", {"place": "33 1/2"}), "walk[0].at", "33 1/2")
        self.assertEqual(remedy.label, "Move it to 33 1/2")


if __name__ == "__main__":
    unittest.main()
