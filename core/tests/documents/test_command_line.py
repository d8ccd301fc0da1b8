"""The command line, as a user has it: documents in, documents out, exit status by contract."""

from __future__ import annotations

import csv
import io
import json
import math
import subprocess
import sys
import tempfile
import unittest
from pathlib import Path
from typing import Any, ClassVar

from core.tests.builders import end, offset, run, turn

CORE = Path(__file__).resolve().parents[2]


def yarrow(*arguments: str, given: object = "") -> subprocess.CompletedProcess[str]:
    text = given if isinstance(given, str) else json.dumps(given)
    return subprocess.run(
        [sys.executable, "-S", "-m", "yarrow", *arguments],
        input=text,
        env={"PYTHONPATH": str(CORE)},
        capture_output=True,
        text=True,
        check=False,
    )


GOOD = run(offset(33, "4 3/8"), turn("71 5/8"), end("34 1/8"), name="Press hall")


class Rack(unittest.TestCase):
    RACKED: ClassVar[dict[str, Any]] = {**GOOD, "rack": {"count": 3, "side": "left", "spacing": 3}}

    def test_a_rack_as_json_and_as_a_table_with_a_row_a_mark_and_a_cut(self) -> None:
        answer = yarrow("rack", "-", given=self.RACKED)
        plan = json.loads(answer.stdout)
        self.assertEqual((answer.returncode, plan["format"]), (0, "yarrow.rack-plan/1"))
        table = yarrow("rack", "-", "--format", "csv", given=self.RACKED).stdout
        rows = list(csv.DictReader(io.StringIO(table)))
        self.assertEqual(len(rows), 3 * (3 + 1))
        self.assertEqual([row["mark"] for row in rows[:3]], ["25 9/16", "34 1/4", "72 11/16"])
        self.assertEqual((rows[3]["bend"], rows[3]["mark"]), ("cut", "8' 8 3/16\""))
        # 3 tan 15° at the set; the spacing at the turn. As numbers: no cell reads as a formula.
        self.assertEqual([row["moved"] for row in rows[4:7]], ["-0.8038", "-0.8038", "-3.0000"])

    def test_exit_status_by_contract(self) -> None:
        close = {**GOOD, "rack": {"count": 3, "side": "left", "spacing": "1/4"}}
        answer = yarrow("rack", "-", given=close)
        self.assertEqual(answer.returncode, 3)
        self.assertEqual(json.loads(answer.stdout)["findings"][0]["code"], "pipes-touch")
        wrong = {**GOOD, "rack": {"count": "three", "side": "left", "spacing": 3}}
        answer = yarrow("rack", "-", given=wrong)
        self.assertEqual((answer.returncode, answer.stdout), (2, ""))
        self.assertTrue(answer.stderr.startswith("rack.count: "), answer.stderr)

    def test_a_piece_that_no_order_can_make_is_status_3_and_says_why(self) -> None:
        answer = yarrow("handle", "-", given=run(turn(40), turn(20), end(60)))
        self.assertEqual(answer.returncode, 3)
        self.assertEqual(json.loads(answer.stdout)["findings"][0]["code"], "no-order")


class WrittenPlan(unittest.TestCase):
    def test_a_plan_of_a_file_and_of_standard_input_are_the_same(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            file = Path(folder) / "run.json"
            file.write_text(json.dumps(GOOD))
            by_file, by_input = yarrow("plan", str(file)), yarrow("plan", "-", given=GOOD)
        self.assertEqual((by_file.returncode, by_file.stderr), (0, ""))
        self.assertEqual(by_file.stdout, by_input.stdout)
        self.assertEqual(json.loads(by_file.stdout)["format"], "yarrow.plan/1")

    def test_text_reads_like_a_card(self) -> None:
        text = yarrow("plan", "-", "--format", "text", given=GOOD).stdout
        for wanted in ("Press hall", "25 9/16", "back-of-bend mark", "8' 8 3/16\"", "local code"):
            self.assertIn(wanted, text)

    def test_text_says_what_was_put_to_what_is_there(self) -> None:
        met = {"kind": "round", "at": 50, "across": 2}
        text = yarrow("plan", "-", "--format", "text", given=run(met, end(100))).stdout
        self.assertIn("line 1: saddle3 45, Yarrow's choice. The usual for this", text)
        picked = run({**met, "pick": "saddle3 30"}, end(100))
        self.assertIn(
            "saddle3 30, as picked", yarrow("plan", "-", "--format", "text", given=picked).stdout
        )

    def test_findings_are_in_the_language_that_is_asked_for(self) -> None:
        turned = run(*(turn(40, side) for side in ("left", "out", "left", "out", "left")), end(40))
        told = [
            yarrow("plan", "-", *asked, given=turned).stdout
            for asked in ((), ("--language", "en-US"), ("--language", "en-GB"))
        ]
        self.assertEqual(told[0], told[1])
        self.assertIn("conduit body", told[1])
        self.assertIn("inspection fitting", told[2])
        self.assertEqual(yarrow("plan", "-", "--language", "fr", given=GOOD).returncode, 2)

    def test_csv_has_a_row_a_mark(self) -> None:
        rows = list(
            csv.DictReader(io.StringIO(yarrow("plan", "-", "--format", "csv", given=GOOD).stdout))
        )
        self.assertEqual([row["mark"] for row in rows], ["25 9/16", "34 1/4", "72 11/16"])
        self.assertEqual([row["angle"] for row in rows], ["30", "30", "90"])

    def test_what_can_t_be_made_is_printed_with_status_3(self) -> None:
        done = yarrow("plan", "-", given=run(offset(40, 1, angle=60), end(80)))
        self.assertEqual((done.returncode, done.stderr), (3, ""))
        self.assertEqual(json.loads(done.stdout)["findings"][0]["level"], "error")
        text = yarrow("plan", "-", "--format", "text", given=run(offset(40, 1, angle=60), end(80)))
        self.assertEqual(text.returncode, 3)
        self.assertNotIn("front mark", text.stdout)

    def test_what_can_t_be_read_is_one_line_with_its_path_and_status_2(self) -> None:
        cases: list[tuple[Any, str]] = [
            (run(offset(40, "4 3/"), end(80)), "walk[0].rise: expected a length"),
            (run(offset(40, 0), end(80)), "walk[0].rise: expected a length above 0"),
            (
                run({**offset(40, 4), "colour": 1}, end(80)),
                "walk[0].colour: expected no such field",
            ),
            ("{", "document: expected JSON"),
            ("[" * 200_000, "document: expected at most 60,000 values"),
            ("[" * 25, "document: expected lists and objects at most 24 deep"),
            ('{"units": NaN}', "document: expected JSON"),
            ("[]", "document: expected a JSON object"),
            ("", "document: expected JSON"),
            ('{"units": "in", "format": "yarrow.run/1", "name": 1' + "0" * 5000 + "}", "document"),
        ]
        for given, wanted in cases:
            with self.subTest(wanted=wanted):
                done = yarrow("plan", "-", given=given)
                self.assertEqual((done.returncode, done.stdout), (2, ""))
                self.assertEqual(done.stderr.count("\n"), 1)
                self.assertTrue(done.stderr.startswith(wanted), done.stderr)

    def test_what_takes_more_work_than_it_may_is_ended_in_a_line(self) -> None:
        sides = ("left", "out", "right", "in")
        long = run(*(turn(24, sides[at % 4]) for at in range(120)), end(24))
        ended = yarrow("--work", "0.2", "pieces", "-", given=long)
        self.assertEqual((ended.returncode, ended.stdout), (2, ""))
        self.assertIn("more than 0.2 s of work", ended.stderr)
        self.assertEqual(ended.stderr.count("\n"), 1)

    def test_a_file_that_is_not_there(self) -> None:
        done = yarrow("plan", "/nowhere/run.json")
        self.assertEqual(done.returncode, 2)
        self.assertIn("/nowhere/run.json: expected a file that can be read", done.stderr)


class Fold(unittest.TestCase):
    def test_a_plan_s_own_bends_come_back_to_its_shape(self) -> None:
        plan = json.loads(yarrow("plan", "-", given=GOOD).stdout)
        bends = {
            "format": "yarrow.bends/1",
            "units": "in",
            "radius": plan["bender"]["radius"],
            "cut_length": plan["cut_length"],
            "first_toward": "left",
            "bends": [{k: b[k] for k in ("arc_start", "angle", "roll")} for b in plan["bends"]],
        }
        folded = json.loads(yarrow("fold", "-", given=bends).stdout)
        for made, meant in zip(folded["path"], plan["path"], strict=True):
            self.assertLess(math.dist(made, meant), 1e-6)
        for got, wanted in zip(folded["direction"], (0, 1, 0), strict=True):
            self.assertAlmostEqual(got, wanted)

    def test_the_contract_s_own_example(self) -> None:
        example = {
            "format": "yarrow.bends/1", "units": "in", "radius": 4.471, "cut_length": 60,
            "bends": [{"arc_start": 12.31, "angle": 30, "roll": 0}],
        }  # fmt: skip
        folded = json.loads(yarrow("fold", "-", given=example).stdout)
        # By hand: T = 4.471 tan 15° = 1.198; the vertex lies at 13.508, the pipe turns toward +z.
        self.assertAlmostEqual(folded["path"][1][0], 13.508, places=3)
        self.assertAlmostEqual(folded["direction"][2], 0.5)
        self.assertEqual(folded["end"], folded["path"][-1])

    def test_bends_that_overlap_are_refused_by_path(self) -> None:
        bends = [{"arc_start": 10, "angle": 90}, {"arc_start": 12, "angle": 30}]
        given = {"format": "yarrow.bends/1", "units": "in", "radius": 4, "cut_length": 60}
        done = yarrow("fold", "-", given={**given, "bends": bends})
        self.assertEqual(done.returncode, 2)
        self.assertIn("bends[1].arc_start: expected at least 16.28", done.stderr)


class Catalog(unittest.TestCase):
    def test_parts_and_whole(self) -> None:
        whole = json.loads(yarrow("catalog").stdout)
        for part in ("conduit", "benders", "fittings"):
            self.assertEqual(json.loads(yarrow("catalog", part).stdout), whole[part])
        self.assertIn("hand-emt-1/2", [bender["id"] for bender in whole["benders"]])


class Handle(unittest.TestCase):
    def test_the_orders_of_a_piece(self) -> None:
        handling = json.loads(yarrow("handle", "-", given=GOOD).stdout)
        first, *_ = handling["orders"]
        self.assertTrue(first["taken"] and first["chosen"] and first["works"])
        self.assertIn(first["bends"][0]["place"], ("floor", "air"))
        unmade = yarrow("handle", "-", given=run(offset(40, 1, angle=60), end(80)))
        self.assertEqual(unmade.returncode, 3)

    def test_a_bend_table(self) -> None:
        text = yarrow("plan", "-", "--format", "bends", given=GOOD).stdout
        rows = list(csv.DictReader(io.StringIO(text)))
        self.assertEqual([row["bend"] for row in rows], ["1", "2", "3", "end"])
        self.assertEqual(rows[1]["roll"], "180")


class OwnBender(unittest.TestCase):
    FILE: ClassVar[dict[str, Any]] = {
        "format": "yarrow.bender/1",
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": {
            "kind": "ratchet",
            "name": "Shed",
            "degrees_per_click": 1.5,
            "tests": [{"mark": "13 3/8", "stick": 40, "stub": "18 3/8", "tail": "24 1/4"}],
        },
    }

    def test_a_test_90_gives_its_numbers(self) -> None:
        numbers = json.loads(yarrow("bender", "-", given=self.FILE).stdout)
        self.assertEqual((numbers["take_up_text"], numbers["gain_text"]), ("5", "2 5/8"))
        self.assertEqual(numbers["least_stub_text"], "7")
        # 93 commanded for 90 kept, the usual of thin wall, at 1 1/2 degrees a click.
        self.assertEqual(numbers["clicks_at_90"], 62)

    def test_what_no_bender_made_is_shown_and_one_that_tells_nothing_is_refused(self) -> None:
        wrong = {"mark": 9, "stick": 40, "stub": 8, "tail": 40}
        own = {"take_up": 5, "radius": "4 1/2"}
        bender = {**self.FILE["bender"], "tests": [wrong]}
        alone = {name: value for name, value in bender.items() if name not in own}
        done = yarrow("bender", "-", given={**self.FILE, "bender": alone})
        self.assertEqual(done.returncode, 2)
        self.assertTrue(done.stderr.startswith("bender.tests[0]: expected both legs"), done.stderr)
        stamped = yarrow("bender", "-", given={**self.FILE, "bender": {**bender, **own}})
        (off,) = json.loads(stamped.stdout)["tested"]["bends"]
        self.assertEqual((off["left_out"], off["impossible"]), (True, "stub-under-mark"))


class TypedLine(unittest.TestCase):
    def test_a_line_as_it_is_said(self) -> None:
        done = yarrow("line", "left 11' 4")
        self.assertEqual(json.loads(done.stdout), {"kind": "wall", "toward": "left", "at": "11' 4"})

    def test_half_a_line_says_what_is_missing(self) -> None:
        done = yarrow("line", "pipe 50", "--units", "mm")
        self.assertEqual((done.returncode, done.stdout), (2, ""))
        self.assertIn("at, and where", done.stderr)


class Checks(unittest.TestCase):
    """The documents of docs/run-file.md, and their exit status by contract."""

    FILL: ClassVar[dict[str, Any]] = {
        "format": "yarrow.fill/1",
        "units": "in",
        "conduit": {"type": "emt"},
        "conductors": [{"count": 9, "insulation": "thhn", "size": "12"}],
    }

    def test_each_check_answers_in_its_own_format(self) -> None:
        box = {"format": "yarrow.box/1", "box": {"volume": 24.5}}
        entry = {"id": "A", "wall": "left", "size": "3"}
        hole = {"id": "A", "wall": "left", "at": 2, "deep": 1, "size": "1/2"}
        sides = {"width": 4, "height": 4, "depth": 2}
        given = {
            "fill": self.FILL,
            "box": box,
            "pullbox": {"format": "yarrow.pullbox/1", "units": "in", "entries": [entry]},
            "entries": {
                "format": "yarrow.entries/1",
                "units": "in",
                "box": sides,
                "entries": [hole],
            },
        }
        for command, document in given.items():
            answer = yarrow(command, "-", given=document)
            self.assertEqual(answer.returncode, 0, answer.stderr)
            self.assertEqual(json.loads(answer.stdout)["format"], f"yarrow.{command}-result/1")

    def test_what_does_not_go_in_is_exit_3_and_what_can_t_be_read_is_2(self) -> None:
        full = {**self.FILL, "conduit": {"type": "emt", "size": "1/2"}}
        full["conductors"] = [{"count": 10, "insulation": "thhn", "size": "12"}]
        answer = yarrow("fill", "-", given=full)
        self.assertEqual((answer.returncode, json.loads(answer.stdout)["smallest"]), (3, "3/4"))
        wrong = yarrow("fill", "-", given={**full, "conductors": [{"count": 1, "size": "12"}]})
        self.assertEqual((wrong.returncode, wrong.stdout), (2, ""))
        self.assertEqual(wrong.stderr.splitlines(), [wrong.stderr.strip()])
        self.assertTrue(wrong.stderr.startswith("conductors[0].insulation: expected "))

    def test_the_catalogue_tells_conductors_and_boxes(self) -> None:
        wires = json.loads(yarrow("catalog", "conductors").stdout)
        self.assertIn(("12 AWG THHN", 0.0133), [(each["name"], each["area"]) for each in wires])
        boxes = json.loads(yarrow("catalog", "boxes").stdout)
        self.assertEqual((boxes[0]["id"], boxes[0]["volume"]), ("octagon-4-1-1/4", 12.5))
        self.assertTrue(all(each["source"] for each in [*wires, *boxes]))

    def test_a_schedule_with_its_answers_or_every_cell_that_can_t_be_read(self) -> None:
        table = "name,type,size,wires\na,emt,1/2,9 x 12\nb,emt,1/2,10 x 12"
        answer = yarrow("schedule", "-", given=table)
        rows = list(csv.DictReader(io.StringIO(answer.stdout)))
        self.assertEqual((answer.returncode, [row["passes"] for row in rows]), (3, ["yes", "no"]))
        wrong = yarrow("schedule", "-", given=table.replace("1/2", "5/8"))
        self.assertEqual((wrong.returncode, wrong.stdout), (2, ""))
        self.assertEqual(len(wrong.stderr.splitlines()), 2)
        self.assertTrue(wrong.stderr.startswith("line 2, column 3 (size): expected one of 1/2"))
        metric = "name,type,size,length,wires\na,steel,20,2000,3 x 2.5"
        self.assertEqual(yarrow("schedule", "-", "--units", "mm", given=metric).returncode, 0)

    def test_the_schedule_of_the_readme_is_read(self) -> None:
        table = CORE.parent / "docs" / "schedule.csv"
        self.assertEqual(yarrow("schedule", str(table)).returncode, 0)

    def test_a_box_with_the_runs_that_meet_there(self) -> None:
        wires = {"conductors": [{"count": 4, "insulation": "thhn", "size": "12"}]}
        meets = {**GOOD, "wires": wires, "start": {"kind": "connector", "box": "Junction"}}
        box = {
            "format": "yarrow.sitebox/1",
            "name": "Junction",
            "units": "in",
            "contents": {"box": "device-3-2-1-1/2"},
        }
        with tempfile.TemporaryDirectory() as folder:
            file = Path(folder) / "run.json"
            file.write_text(json.dumps(meets))
            answer = yarrow("sitebox", "-", str(file), given=box)
        # Four at 2.25 in a box of 7.5.
        self.assertEqual(answer.returncode, 3)
        self.assertEqual(json.loads(answer.stdout)["volume"]["needed"], 9.0)

    def test_the_catalogue_has_what_forms_offer(self) -> None:
        known = json.loads(yarrow("catalog").stdout)
        kinds = {each["kind"]: each["neutral"] for each in known["circuits"]}
        self.assertEqual((kinds["lighting"], kinds["three_phase"]), (True, False))
        self.assertEqual(known["factor_sizes"], ["16", "20", "25", "32", "38", "50", "63"])
        self.assertEqual([each["size"] for each in known["box_wires"]][0::6], ["18", "6"])
        self.assertEqual(
            {each["units"] for each in known["raceways"] if each["size"] in ("20", "1/2")},
            {"in", "mm"},
        )
        points = {"usual": 360, "stricter": 270, "duct": 270}
        self.assertEqual(known["pull_points"], points)
