"""Documents of every version that was ever written are read; newer ones are refused in words."""

from __future__ import annotations

import json
import unittest
from collections.abc import Callable
from pathlib import Path
from typing import Any
from unittest import mock

import yarrow
from yarrow.documents import upgrading
from yarrow.documents.bender.reading import bender_numbers
from yarrow.documents.bends.reading import fold_document
from yarrow.documents.boxes.reading import box_document, entries_document, pull_box_document
from yarrow.documents.boxes.sitebox import site_box_document
from yarrow.documents.converting import convert_document
from yarrow.documents.errors import DocumentError
from yarrow.documents.fill.reading import fill_document
from yarrow.documents.run.reading import read_run
from yarrow.documents.schema import newest_format

SAMPLES = Path(__file__).parent / "samples"

READS: dict[str, tuple[Callable[[Any], object], tuple[str, str]]] = {
    "run": (lambda document: yarrow.plan.values(document), ("run", "")),
    "bender": (bender_numbers, ("run", "bender_file")),
    "fill": (fill_document, ("run", "fill_file")),
    "bends": (fold_document, ("bends", "")),
    "box": (box_document, ("box", "")),
    "pullbox": (pull_box_document, ("pullbox", "")),
    "entries": (entries_document, ("entries", "")),
    "sitebox": (lambda document: site_box_document(document, []), ("sitebox", "")),
}


def sample(name: str) -> dict[str, Any]:
    found: dict[str, Any] = json.loads((SAMPLES / f"{name}.json").read_text("utf-8"))
    return found


def older(document: dict[str, Any]) -> dict[str, Any]:
    """A run of a version before the first, in which the name was a ``title``."""
    found = {key: value for key, value in document.items() if key != "name"}
    return {**found, "format": "yarrow.run/0", "title": document["name"]}


def titled(document: dict[str, Any]) -> dict[str, Any]:
    """The step from there."""
    found = {key: value for key, value in document.items() if key != "title"}
    return {**found, "format": "yarrow.run/1", "name": document["title"]}


class EveryVersion(unittest.TestCase):
    def test_every_version_of_every_format_has_a_sample_that_is_read(self) -> None:
        for name, (read, of) in READS.items():
            family, _, newest = str(newest_format(*of)).partition("/")
            self.assertEqual(family, f"yarrow.{name}")
            for version in range(1, int(newest) + 1):
                with self.subTest(name, version=version):
                    document = sample(f"{name}-{version}")
                    self.assertEqual(document["format"], f"{family}/{version}")
                    read(document)

    def test_a_run_of_the_first_days_is_read(self) -> None:
        self.assertEqual(yarrow.plan.values(sample("run-1-first")).findings, ())

    def test_a_newer_one_is_refused_as_newer(self) -> None:
        for name, (read, _) in READS.items():
            document = {**sample(f"{name}-1"), "format": f"yarrow.{name}/12"}
            with self.subTest(name), self.assertRaises(DocumentError) as refused:
                read(document)
            self.assertEqual(refused.exception.path, "format")
            self.assertIn("a newer Yarrow wrote this", str(refused.exception))

    def test_what_is_no_version_is_refused_by_the_schema(self) -> None:
        for name in ("", "yarrow.run", "yarrow.run/", "yarrow.run/¹", "yarrow.run/-2", 3, None):
            with self.subTest(name), self.assertRaises(DocumentError) as refused:
                read_run({**sample("run-1"), "format": name})
            self.assertNotIn("newer", str(refused.exception))


class Chain(unittest.TestCase):
    def test_steps_are_taken_one_after_another_before_anything_is_read(self) -> None:
        document = sample("run-1")
        before = older(document)
        with mock.patch.dict(upgrading.STEPS, {"yarrow.run/0": titled}):
            self.assertEqual(read_run(before), read_run(document))
            self.assertEqual(convert_document(before, "mm"), convert_document(document, "mm"))
            self.assertEqual(before["format"], "yarrow.run/0")  # what was given stays as it was
        with self.assertRaises(DocumentError):
            read_run(before)

    def test_a_step_that_fails_leaves_the_document_to_be_refused(self) -> None:
        broken = {"format": "yarrow.run/0", "units": "in"}
        with mock.patch.dict(upgrading.STEPS, {"yarrow.run/0": titled}):
            self.assertIs(upgrading.upgrade(broken), broken)
            with self.assertRaises(DocumentError) as refused:
                read_run(broken)
        self.assertEqual(refused.exception.path, "format")
