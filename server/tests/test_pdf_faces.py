"""The PDF has two weights, as the page's sheet has, and many at once are the same as one alone."""

from __future__ import annotations

import re
import subprocess
import sys
import tempfile
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path
from unittest import TestCase

import yarrow
from exports.drawing import Drawing, Text
from exports.page import PAPERS, Heading
from exports.pdf import sheet_pdf
from exports.sheet import compose_sheet
from server.tests.people import DOCUMENT, changed

WORDS = "Mark all the way round the pipe 27 11/16"


def line(*, bold: bool) -> bytes:
    return sheet_pdf(Drawing(150, 40, "Weights", [Text(10, 20, WORDS, 6, bold)]))


def ink(pdf: bytes) -> int:
    """How dark a page is, from its pixels."""
    with tempfile.TemporaryDirectory() as folder:
        file = Path(folder) / "page.pdf"
        file.write_bytes(pdf)
        subprocess.run(["pdftoppm", "-gray", "-r", "150", file, file.with_suffix("")], check=True)
        (page,) = Path(folder).glob("*.pgm")
        *_, pixels = page.read_bytes().split(b"\n", 3)
    return sum(255 - pixel for pixel in pixels)


def faces(pdf: bytes) -> set[str]:
    """The faces embedded in a PDF, without the tag of their subset."""
    with tempfile.NamedTemporaryFile(suffix=".pdf") as file:
        file.write(pdf)
        file.flush()
        told = subprocess.run(["pdffonts", file.name], check=True, capture_output=True, text=True)
    return set(re.findall(r"^[A-Z]{6}\+(\S+)", told.stdout, re.M))


def sheet(name: str) -> Drawing:
    document = changed(name=name)
    order = next(order for order in yarrow.handle.values(document).orders if order.taken)
    heading = Heading("Saltmarsh", name, "Version 3")
    return compose_sheet(yarrow.plan.values(document), order, heading, PAPERS["a4"])


class Faces(TestCase):
    def test_a_sheet_embeds_the_plain_and_the_bold_face(self) -> None:
        names = {"AtkinsonHyperlegibleNext-Regular", "AtkinsonHyperlegibleNext-Bold"}
        self.assertEqual(faces(sheet_pdf(sheet(str(DOCUMENT["name"])))), names)

    def test_bold_is_darker_than_plain_on_the_page(self) -> None:
        self.assertGreater(ink(line(bold=True)), 1.2 * ink(line(bold=False)))


class AtTheSameTime(TestCase):
    def test_sixteen_at_once_give_the_bytes_that_one_alone_gives(self) -> None:
        sheets = [sheet(f"Feed {number}") for number in range(8)]
        alone = [sheet_pdf(each) for each in sheets]
        self.addCleanup(sys.setswitchinterval, sys.getswitchinterval())
        sys.setswitchinterval(1e-4)
        with ThreadPoolExecutor(16) as pool:
            made = list(pool.map(sheet_pdf, sheets * 8))
        self.assertEqual([pdf == alone[at % 8] for at, pdf in enumerate(made)], [True] * 64)
