"""A job's own stock: what is cut from it, what goes back, pieces that somebody puts together."""

from __future__ import annotations

import unittest
from collections import Counter
from typing import Any

from yarrow import (
    DocumentError,
    StockOfConduit,
    after_cutting,
    cut,
    cut_of_job,
    materials_of_job,
    read,
    stock_of_taken,
    taken_by_run,
)

EMT = {"type": "emt", "size": "1/2"}


def in_hand(*offcuts: dict[str, Any], **more: Any) -> dict[str, Any]:
    return {"format": "yarrow.jobstock/1", "units": "in", "offcuts": list(offcuts), **more}


def offcut(length: Any, **more: Any) -> dict[str, Any]:
    return {**EMT, "length": length, **more}


def pieces(**lengths: Any) -> dict[str, Any]:
    listed = [{"name": name, "length": length} for name, length in lengths.items()]
    return {"format": "yarrow.stock/1", "units": "in", "stick": 120, "pieces": listed}


def bars(answer: dict[str, Any]) -> list[list[str]]:
    return [[each["name"] for each in bar["cuts"]] for bar in answer["bars"]]


class Together(unittest.TestCase):
    def test_pieces_are_cut_from_one_stick_where_somebody_wants_them(self) -> None:
        asked = pieces(a=70, b=50, c=40, d=30)
        # 70 with 40, and 50 with 30, as they fit the closest; 70 with 30 as they are wanted.
        self.assertEqual(bars(cut(asked)), [["a", "c"], ["b", "d"]])
        wanted = cut({**asked, "together": [["a", "d"]]})
        self.assertIn(["a", "d"], [sorted(each) for each in bars(wanted)])
        self.assertEqual((wanted["sticks"], wanted["moved"]), (2, 0))

    def test_what_it_costs_is_said(self) -> None:
        asked = pieces(a=60, b=59, c=80, d=39)
        self.assertEqual(cut(asked)["sticks"], 2)
        wanted = cut({**asked, "together": [["a", "d"]]})
        self.assertEqual((wanted["sticks"], wanted["moved"]), (3, 1))

    def test_what_no_stick_takes_is_told_and_cut_as_is_best(self) -> None:
        found = cut({**pieces(a=70, b=60), "together": [["a", "b"]]})
        self.assertEqual(found["findings"][0]["code"], "not-from-one-stick")
        self.assertEqual(found["sticks"], 2)

    def test_a_name_that_no_piece_has_any_more_is_let_go(self) -> None:
        found = cut({**pieces(a=70, b=40), "together": [["a", "gone"], ["a", "b"]]})
        self.assertEqual((found["sticks"], found["findings"]), (1, []))

    def test_between_them_there_is_a_cut(self) -> None:
        # Twice 60 is a stick, and the cut between them is not there.
        self.assertEqual(cut({**pieces(a=60, b=60), "together": [["a", "b"]]})["sticks"], 2)
        self.assertEqual(cut({**pieces(a=60, b=59.9), "together": [["a", "b"]]})["sticks"], 1)


STRAIGHT: dict[str, Any] = {
    "format": "yarrow.run/1",
    "units": "in",
    "conduit": EMT,
    "bender": "hand-emt-1/2",
    "walk": [{"kind": "end", "at": 150}],
}


def racked(**rack: Any) -> dict[str, Any]:
    return {**STRAIGHT, "rack": {"count": 3, "side": "right", **rack}}


class AfterCutting(unittest.TestCase):
    def wanted(self, *ends: Any) -> Any:
        runs = [
            {
                "format": "yarrow.run/1",
                "name": f"Run {number}",
                "units": "in",
                "conduit": EMT,
                "bender": "hand-emt-1/2",
                "walk": [{"kind": "end", "at": at}],
            }
            for number, at in enumerate(ends, 1)
        ]
        (found,) = stock_of_taken(((run["name"], taken_by_run(run, "in")) for run in runs), "in")
        return found

    def test_a_rack_takes_for_each_of_its_pipes(self) -> None:
        one, three = taken_by_run(STRAIGHT, "in"), taken_by_run(racked(spacing=3), "in")
        assert one is not None
        assert three is not None
        self.assertTrue(one["materials"])
        thrice = {what: 3 * count for what, count in one["materials"].items()}
        self.assertEqual(three["materials"], thrice)

    def test_a_rack_that_can_t_be_made_takes_nothing_though_its_first_pipe_could(self) -> None:
        taken = taken_by_run(racked(spacing="1/4"), "in")
        assert taken is not None
        self.assertEqual((taken["pieces"], taken["materials"]), ([], {}))

    def test_an_offcut_is_gone_and_what_is_left_lies_there(self) -> None:
        stock = in_hand(offcut(40, name="by the door"), offcut(30, count=2), offcut(8))
        answer = cut_of_job(self.wanted(39, 85), stock)
        after = after_cutting(stock, [("emt", "1/2", answer)])
        # 85 off a new stick of 120, and a cut of 1/16.
        self.assertEqual(
            after["offcuts"],
            [
                offcut(30, count=2),
                offcut(8),
                {**EMT, "name": "left of Run 2", "length": "34 15/16"},
            ],
        )
        read(after, "jobstock")

    def test_one_of_several_alike_is_used(self) -> None:
        stock = in_hand(offcut(30, count=2))
        after = after_cutting(stock, [("emt", "1/2", cut_of_job(self.wanted(29), stock))])
        self.assertEqual(after["offcuts"], [offcut(30)])

    def test_offcuts_of_another_conduit_stay(self) -> None:
        other = {"type": "rmc", "size": "1", "length": 50}
        stock = in_hand(other, offcut(40), together=[{**EMT, "names": ["Run 1", "Run 2"]}])
        answer = cut_of_job(self.wanted(39), stock)
        after = after_cutting(stock, [("emt", "1/2", answer)])
        self.assertEqual((after["offcuts"], after["together"]), ([other], []))

    def test_what_is_cut_twice_comes_from_what_was_left(self) -> None:
        first = in_hand()
        after = after_cutting(first, [("emt", "1/2", cut_of_job(self.wanted(80), first))])
        again = cut_of_job(self.wanted(39), after)
        self.assertEqual((again["sticks"], again["bars"][0]["name"]), (0, "left of Run 1"))


class Materials(unittest.TestCase):
    def takes(self, **materials: int) -> StockOfConduit:
        return StockOfConduit("emt", "1/2", "EMT", {}, materials=Counter(materials))

    def test_what_two_conduits_take_is_in_hand_once(self) -> None:
        stock = in_hand(things=[{"what": "strap", "count": 5}, {"what": "strap", "count": 1}])
        held = materials_of_job([self.takes(strap=4), self.takes(strap=4, union=1)], stock)
        figures = [
            [(each["what"], each["in_hand"], each["to_get"]) for each in materials]
            for materials in held["by_conduit"]
        ]
        # Six straps for eight places: four, and two of the next four.
        self.assertEqual(figures, [[("strap", 4, 0)], [("strap", 2, 2), ("union", 0, 1)]])
        self.assertEqual(held["spare"], [])

    def test_what_nothing_takes_is_told(self) -> None:
        stock = in_hand(things=[{"what": "strap", "count": 7}])
        (spare,) = materials_of_job([self.takes(strap=2)], stock)["spare"]
        self.assertEqual((spare["what"], spare["in_hand"]), ("strap", 5))


class Refused(unittest.TestCase):
    def test_what_can_t_be_read_is_refused_at_its_place(self) -> None:
        for stock, path in (
            (in_hand(offcut("tall")), "offcuts[0].length"),
            (in_hand(offcut(-3)), "offcuts[0].length"),
            (in_hand({**offcut(3), "size": "9"}), "offcuts[0].size"),
            (in_hand(offcut(3, count=0)), "offcuts[0].count"),
            (in_hand(kerf=-1), "kerf"),
            (in_hand(things=[{"what": "strap", "count": -2}]), "things[0].count"),
            (in_hand(things=[{"what": "strap", "count": "many"}]), "things[0].count"),
            (in_hand(together=[{**EMT, "names": ["one"]}]), "together[0].names"),
        ):
            with self.subTest(path), self.assertRaises(DocumentError) as caught:
                read(stock, "jobstock")
            self.assertEqual(caught.exception.path, path)


if __name__ == "__main__":
    unittest.main()
