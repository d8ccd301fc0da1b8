"""A box of a job with every run that meets there; bodies by their marking; holes in a row."""

from __future__ import annotations

import unittest
from typing import Any

from core.tests.builders import end, run, turn
from core.tests.fill.helpers import codes_in, finding_in, wire
from core.tests.fill.test_pull_boxes import entry, holes, pull_box
from yarrow.documents.boxes.reading import entries_document
from yarrow.documents.boxes.sitebox import box_key, ends_named, site_box_document
from yarrow.documents.errors import DocumentError
from yarrow.fill.site_box import SiteBoxResult
from yarrow.wording.wording import EN_GB, EN_US


def wired(name: str, box: str, *conductors: dict[str, Any], **more: Any) -> dict[str, Any]:
    """A run that ends at a box."""
    document = run(turn(30), {**end(40), "box": box}, name=name, **more)
    return {**document, "wires": {"conductors": list(conductors)}}


def site_box(*runs: dict[str, Any], **told: Any) -> SiteBoxResult:
    document = {"format": "yarrow.sitebox/1", "name": "Junction", "units": "in", **told}
    return site_box_document(document, list(runs))


EARTH = {**wire(1, "12"), "role": "earth"}
A = wired("A run", "Junction", wire(4, "12"), EARTH)
B = wired("B run", " junction ", wire(3, "12"), {**wire(1, "10"), "role": "earth"})
ELSEWHERE = wired("C run", "Other box", wire(9, "12"))


class WhatMeets(unittest.TestCase):
    def test_runs_that_name_it_meet_there_whatever_the_letter_case(self) -> None:
        result = site_box(A, B, ELSEWHERE)
        self.assertEqual(
            [(met.id, met.run, met.end) for met in result.met],
            [("A", "A run", "end"), ("B", "B run", "end")],
        )
        wires = [[country.text(each) for each in result.met[0].wires] for country in (EN_US, EN_GB)]
        self.assertEqual(wires[0], ["4 × 12 AWG THHN", "1 × 12 AWG THHN ground"])
        self.assertEqual(wires[1], ["4 × 12 AWG THHN", "1 × 12 AWG THHN earth"])
        self.assertEqual(box_key(" Junction "), box_key("junction"))
        self.assertEqual(list(ends_named(ELSEWHERE)), [("end", "Other box")])

    def test_a_run_can_meet_it_with_both_ends(self) -> None:
        both = {**A, "start": {"kind": "connector", "box": "Junction"}}
        self.assertEqual([met.end for met in site_box(both).met], ["start", "end"])

    def test_what_is_told_of_a_hole_goes_by_the_run_s_key_whatever_it_is_called(self) -> None:
        renamed = {**A, "name": "A run, renamed"}
        twin = {**B, "name": "A run"}
        document = {
            "format": "yarrow.sitebox/1", "name": "Junction", "units": "in",
            "entries": [
                {"run": "A run", "run_key": "k1", "end": "end", "wall": "bottom"},
                {"run": "A run", "end": "end", "wall": "top"},
            ],
        }  # fmt: skip
        keyed = site_box_document(document, [renamed, twin], ["k1", "k2"])
        # The first is known by its key; the second by its name, as one that was told before keys.
        self.assertEqual([met.wall for met in keyed.met], ["bottom", "top"])
        self.assertEqual([met.run_key for met in keyed.met], ["k1", "k2"])
        # A key that is not there is no other run's, also where the name is the same.
        other = site_box_document({**document, "entries": document["entries"][:1]}, [A], ["k9"])
        self.assertEqual([met.wall for met in other.met], ["left"])

    def test_its_volume_by_all_wires_together(self) -> None:
        # Seven 12 AWG, and two grounds by the larger, 10: 7 x 2.25 + 2.5.
        volume = site_box(A, B, contents={"box": "square-4-1-1/2"}).volume
        assert volume is not None
        self.assertEqual((volume.needed, volume.passes), (18.25, True))
        # A 4 in square of 1 1/2 holds 21 in³.
        self.assertEqual(volume.left, 2.75)

    def test_what_passes_through_comes_with_two_runs_and_counts_once(self) -> None:
        contents = {"box": "square-4-1-1/2"}
        through = site_box(A, B, contents=contents, through=[{"size": "12", "count": 3}]).volume
        assert through is not None
        # Seven less six end here, three pass: 1 + 3.
        self.assertEqual(through.needed, 4 * 2.25 + 2.5)
        looped = [{"size": "12", "count": 3, "loop": True}]
        with_loop = site_box(A, B, contents=contents, through=looped).volume
        assert with_loop is not None
        self.assertEqual(with_loop.needed, 7 * 2.25 + 2.5)

    def test_more_through_than_come_is_an_error(self) -> None:
        contents = {"box": "square-4-1-1/2"}
        result = site_box(A, B, contents=contents, through=[{"size": "12", "count": 4}])
        self.assertFalse(result.passes)
        self.assertIn("8 ends", finding_in(result, "more-through-than-come").text)

    def test_a_box_that_is_too_small_for_all_of_them(self) -> None:
        result = site_box(
            A, B, contents={"box": "device-3-2-2", "devices": [{"size": "12", "count": 1}]}
        )
        self.assertFalse(result.passes)

    def test_cables_without_an_allowance_are_named(self) -> None:
        cabled = wired("A run", "Junction", {"count": 1, "diameter": 0.3})
        result = site_box(cabled, contents={"box": "square-4-1-1/2"})
        self.assertIn("0.3 in", finding_in(result, "no-allowance").text)

    def test_large_wire_goes_by_the_pull_box_rule(self) -> None:
        big = {"conduit": {"type": "emt", "size": "1-1/4"}, "bender": "hand-emt-1-1/4"}
        one = wired("A run", "Junction", wire(3, "2"), **big)
        other = wired("B run", "Junction", wire(3, "2"), **big)
        told = {
            "entries": [
                {"run": "A run", "end": "end", "wall": "left"},
                {"run": "B run", "end": "end", "wall": "bottom"},
            ],
            "sides": {"width": 8, "height": 7, "depth": 4},
        }
        result = site_box(one, other, **told)
        assert result.pull_box is not None
        # 6 x 1.25 on both sides; the box at hand is 7 high.
        self.assertEqual((result.pull_box.least.width, result.pull_box.least.height), (7.5, 7.5))
        self.assertFalse(result.passes)
        self.assertIsNone(site_box(A, B).pull_box)

    def test_its_holes_stand_side_by_side_where_none_is_told(self) -> None:
        told = {
            "entries": [
                {"run": "A run", "end": "end", "wall": "top"},
                {"run": "B run", "end": "end", "wall": "top"},
            ],
            "sides": {"width": 4, "height": 4, "depth": 2},
        }
        holes_ = site_box(A, B, **told).entries
        assert holes_ is not None
        # Two rings of 1.13 and air between, about the middle of 4: 2 -/+ 1.255/2.
        self.assertEqual([round(each.along, 4) for each in holes_.entries], [1.3725, 2.6275])
        self.assertTrue(holes_.passes)
        narrow = {**told, "sides": {"width": 2, "height": 4, "depth": 2}}
        self.assertFalse(site_box(A, B, **narrow).passes)

    def test_refusals_name_the_field(self) -> None:
        cases: dict[str, dict[str, Any]] = {
            "contents.box": {"contents": {"box": "hat"}},
            "contents.devices[0].size": {
                "contents": {"box": "square-4-1-1/2", "devices": [{"size": "4", "count": 1}]}
            },
            "through[0].size": {"through": [{"size": "4", "count": 1}]},
            "pulls[0]": {"pulls": [["A", "Z"]]},
            "sides.depth": {"sides": {"width": 4, "height": 4, "depth": -1}},
            "entries[0].wall": {"entries": [{"run": "A run", "end": "end", "wall": "lid"}]},
        }
        for path, told in cases.items():
            with self.subTest(path=path), self.assertRaises(DocumentError) as refused:
                site_box(A, **told)
            self.assertEqual(refused.exception.path, path)


class Bodies(unittest.TestCase):
    TWO = (entry("A", "left", "2"), entry("B", "bottom", "2"))

    def body(self, count: int, size: str) -> dict[str, Any]:
        return {
            "marked": {"count": 3, "size": "2"},
            "conductors": {"count": count, "size": size},
        }

    def test_a_marked_body_may_be_smaller_than_a_box(self) -> None:
        result = pull_box(
            *self.TWO, pulls="A-B", body=self.body(3, "2"), have={"width": 6, "height": 6}
        )
        self.assertTrue(result.passes)
        self.assertIn("body-is-marked", codes_in(result))

    def test_but_not_for_more_or_larger_wire(self) -> None:
        for count, size in ((4, "2"), (3, "1"), (1, "250")):
            result = pull_box(*self.TWO, pulls="A-B", body=self.body(count, size))
            self.assertFalse(result.passes)
            self.assertIn("3 × 2 AWG", finding_in(result, "over-its-marking").text)

    def test_a_wire_that_there_is_not(self) -> None:
        with self.assertRaises(DocumentError) as refused:
            pull_box(*self.TWO, body=self.body(3, "5"))
        self.assertEqual(refused.exception.path, "body.conductors.size")


class HolesInARow(unittest.TestCase):
    def test_where_no_place_is_told_it_is_found_and_told_as_the_tape_reads(self) -> None:
        document = {
            "format": "yarrow.entries/1",
            "units": "in",
            "box": {"width": 6, "height": 4, "depth": 2},
            "entries": [
                {"id": "A", "wall": "top", "size": "1/2"},
                {"id": "B", "wall": "top", "size": "3/4"},
            ],
        }
        result = entries_document(document)
        self.assertTrue(result.passes)
        # 1/8 + 1.13 + 1/8 + 1.38 + 1/8 = 2.885 taken of 6: 1.5575 before it.
        self.assertEqual([each.along_text for each in result.entries], ["2 1/4", "3 5/8"])
        self.assertEqual({each.deep for each in result.entries}, {1.0})

    def test_told_and_found_places_together(self) -> None:
        told = holes(("A", "left", 2, 1, "1/2"))
        self.assertEqual(told.rule.edition, "2026")
        self.assertEqual(told.entries[0].along_text, "2")
