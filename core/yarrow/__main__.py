"""The command line, ``yarrow COMMAND FILE``: documents in, answers out; ``--help`` lists them.

Exit status: 0 a result; 3 a result with an error finding, still printed; 2 can't be read.
"""

from __future__ import annotations

import argparse
import json
import os
import sys
from collections.abc import Callable
from dataclasses import asdict
from pathlib import Path

from yarrow import __version__
from yarrow.documents.bender_file import bender_numbers
from yarrow.documents.bends_file import fold_document
from yarrow.documents.box_files import box_document, entries_document, pull_box_document
from yarrow.documents.catalogue import catalogue
from yarrow.documents.converting import convert_document
from yarrow.documents.fill_file import fill_document
from yarrow.documents.json_text import read_json
from yarrow.documents.notation import typed_line
from yarrow.documents.refusal import Refusal
from yarrow.documents.run_file import read_run
from yarrow.documents.schedule import Unreadable, check_schedule, read_schedule, schedule_csv
from yarrow.documents.site_box_file import site_box_document
from yarrow.documents.writing import bend_table_csv, marks_csv, plan_text, rack_csv, to_json
from yarrow.fill.boxes import BoxResult
from yarrow.fill.entries import EntriesResult
from yarrow.fill.pull_boxes import PullBoxResult
from yarrow.fill.result import FillResult
from yarrow.racks.rack import plan_rack
from yarrow.runs.handle import handle_run
from yarrow.runs.plan import Plan
from yarrow.runs.planner import plan_run

Checked = FillResult | BoxResult | PullBoxResult | EntriesResult

CATALOGUED = ["conduit", "benders", "fittings", "conductors", "boxes", "trunking"]

LARGEST_FILE = 16 * 1024 * 1024
"""Bytes: far beyond any run, well within memory."""


def main(arguments: list[str] | None = None) -> int:
    """Run one command. Returns the exit status."""
    options = _parser().parse_args(arguments)
    # A path's name or a label may hold letters that the terminal's encoding has not.
    for stream in (sys.stdout, sys.stderr):
        if hasattr(stream, "reconfigure"):
            stream.reconfigure(errors="backslashreplace")
    try:
        return int(options.run(options))
    except Refusal as refusal:
        print(refusal, file=sys.stderr)
        return 2
    except BrokenPipeError:
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 0


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="yarrow", description=__doc__.splitlines()[0])
    parser.add_argument("--version", action="version", version=f"yarrow {__version__}")
    commands = parser.add_subparsers(required=True, metavar="COMMAND")

    plan = commands.add_parser("plan", help="plan a run; - reads standard input")
    plan.add_argument("file")
    plan.add_argument("--format", choices=["json", "text", "csv", "bends"], default="json")
    plan.set_defaults(run=_plan)

    handle = commands.add_parser("handle", help="the orders a run's piece can be bent in")
    handle.add_argument("file")
    handle.set_defaults(run=_handle)

    rack = commands.add_parser("rack", help="a run's rack: the marks of every pipe, the gaps")
    rack.add_argument("file")
    rack.add_argument("--format", choices=["json", "csv"], default="json")
    rack.set_defaults(run=_rack)

    fold = commands.add_parser("fold", help="straight pipe and bends to their shape")
    fold.add_argument("file")
    fold.set_defaults(run=_fold)

    for name, (_, help_) in CHECKS.items():
        check = commands.add_parser(name, help=help_)
        check.add_argument("file")
        check.set_defaults(run=_check, check=name)

    site_box = commands.add_parser("sitebox", help="a box of a job, with the runs that meet there")
    site_box.add_argument("file")
    site_box.add_argument("runs", nargs="*", metavar="RUN")
    site_box.set_defaults(run=_site_box)

    schedule = commands.add_parser("schedule", help="a CSV schedule with its answers")
    schedule.add_argument("file")
    schedule.add_argument("--units", choices=["in", "mm"], default="in")
    schedule.set_defaults(run=_schedule)

    bender = commands.add_parser("bender", help="a crew's own bender: its worked numbers")
    bender.add_argument("file")
    bender.set_defaults(run=_bender)

    convert = commands.add_parser(
        "convert", help="a document in the other unit, otherwise the same"
    )
    convert.add_argument("file")
    convert.add_argument("--to", choices=["in", "mm"], required=True)
    convert.set_defaults(run=_convert)

    line = commands.add_parser("line", help="a walk line as it is said, in the run file's shape")
    line.add_argument("text")
    line.add_argument("--units", choices=["in", "mm"], default="in")
    line.set_defaults(run=_line)

    catalog = commands.add_parser("catalog", help="what is known, as JSON")
    catalog.add_argument("part", nargs="?", choices=CATALOGUED)
    catalog.set_defaults(run=_catalog)
    return parser


def _plan(options: argparse.Namespace) -> int:
    plan = plan_run(read_run(_document(options.file)))
    writers: dict[str, Callable[[Plan], str]] = {
        "json": lambda made: to_json(made) + "\n",
        "text": plan_text,
        "csv": marks_csv,
        "bends": bend_table_csv,
    }
    sys.stdout.write(writers[options.format](plan))
    return 0 if plan.can_be_made else 3


def _handle(options: argparse.Namespace) -> int:
    handling = handle_run(read_run(_document(options.file)))
    print(to_json(handling))
    return 3 if handling.findings else 0


def _rack(options: argparse.Namespace) -> int:
    plan = plan_rack(read_run(_document(options.file)))
    sys.stdout.write(rack_csv(plan) if options.format == "csv" else to_json(plan) + "\n")
    return 0 if plan.can_be_made else 3


def _fold(options: argparse.Namespace) -> int:
    print(to_json(fold_document(_document(options.file))))
    return 0


CHECKS: dict[str, tuple[Callable[[object], Checked], str]] = {
    "fill": (fill_document, "whether conductors go into a conduit or trunking"),
    "box": (box_document, "whether a box is large enough for what is in it"),
    "pullbox": (pull_box_document, "the least box for large wire"),
    "entries": (entries_document, "whether the holes in a box's walls go together"),
}
"""Each check by its command: document in, answer out."""


def _check(options: argparse.Namespace) -> int:
    answer = CHECKS[options.check][0](_document(options.file))
    print(to_json(answer))
    return 0 if answer.can_be_made else 3


def _site_box(options: argparse.Namespace) -> int:
    runs = []
    for name in options.runs:
        run = _document(name)
        if not isinstance(run, dict):
            raise Refusal(name, "a run's document")
        runs.append(run)
    answer = site_box_document(_document(options.file), runs)
    print(to_json(answer))
    return 0 if answer.can_be_made else 3


def _schedule(options: argparse.Namespace) -> int:
    try:
        rows = read_schedule(_bytes(options.file), options.units)
        answers = list(check_schedule(rows))
    except Unreadable as error:
        for refusal in error.refusals:
            print(refusal, file=sys.stderr)
        return 2
    sys.stdout.write(schedule_csv(rows, answers))
    return 0 if all(answer.passes for answer in answers) else 3


def _bender(options: argparse.Namespace) -> int:
    print(to_json(bender_numbers(_document(options.file))))
    return 0


def _convert(options: argparse.Namespace) -> int:
    converted = convert_document(_document(options.file), options.to)
    print(json.dumps(converted, indent=2, ensure_ascii=False, default=float))
    return 0


def _line(options: argparse.Namespace) -> int:
    typed = typed_line(options.text, options.units)
    if typed.line is None:
        raise Refusal("line", typed.expected)
    print(json.dumps(typed.line, indent=2, ensure_ascii=False))
    return 0


def _catalog(options: argparse.Namespace) -> int:
    whole = asdict(catalogue())
    print(json.dumps(whole[options.part] if options.part else whole, indent=2, ensure_ascii=False))
    return 0


def _bytes(name: str) -> bytes:
    """What is in a file, - for standard input. Raises: Refusal."""
    try:
        if name == "-":
            data = sys.stdin.buffer.read(LARGEST_FILE + 1)
        else:
            with Path(name).open("rb") as file:
                data = file.read(LARGEST_FILE + 1)
    except OSError as error:
        raise Refusal(name, f"a file that can be read ({error.strerror})") from None
    if len(data) > LARGEST_FILE:
        raise Refusal("", f"at most {LARGEST_FILE // 1024 // 1024} MB")
    return data


def _document(name: str) -> object:
    """The JSON of a file, numbers exact. Raises: Refusal."""
    return read_json(_bytes(name), exact=True)


if __name__ == "__main__":
    sys.exit(main())
