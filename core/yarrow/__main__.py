"""The command line, ``yarrow COMMAND FILE``: documents in, answers out; ``--help`` lists them.

Exit status: 0 a result; 3 a result with an error finding, still printed; 2 can't be read, or takes
more work than it may (``yarrow --work 120 COMMAND FILE`` gives it more).
"""

from __future__ import annotations

import argparse
import json
import os
import signal
import sys
import threading
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from types import FrameType
from typing import Any

import yarrow
from yarrow import DocumentError, TableError
from yarrow.documents.json_text import read_json

CATALOGUED = ["conduit", "benders", "fittings", "conductors", "boxes", "trunking"]

LARGEST_FILE = 16 * 1024 * 1024
"""Bytes: far beyond any run, well within memory."""


_WORK_S = 60.0
"""Processor seconds of a command: far more than any honest document takes."""


def main(arguments: list[str] | None = None) -> int:
    """Run one command. Returns the exit status.

    Args: arguments, as typed after the program's name; None: those of this process.
    """
    options = _parser().parse_args(arguments)
    # A path's name or a label may hold letters that the terminal's encoding has not.
    for stream in (sys.stdout, sys.stderr):
        if hasattr(stream, "reconfigure"):
            stream.reconfigure(errors="backslashreplace")
    try:
        with _no_more_than(options.work):
            return int(options.run(options))
    except _WorkOver:
        told = f"This takes more than {options.work:g} s of work. Make it smaller, or say --work."
        print(told, file=sys.stderr)
        return 2
    except DocumentError as refusal:
        print(refusal, file=sys.stderr)
        return 2
    except BrokenPipeError:
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 0


class _WorkOver(BaseException):
    """A command has had all the work that it may have."""


@contextmanager
def _no_more_than(seconds: float) -> Iterator[None]:
    """Ends what is done within it after so much processor time, where the system can tell.

    Raises: _WorkOver.
    """
    if (
        not hasattr(signal, "setitimer")
        or threading.current_thread() is not threading.main_thread()
    ):
        yield
        return

    def over(_number: int, _frame: FrameType | None) -> None:
        raise _WorkOver

    before = signal.signal(signal.SIGPROF, over)
    signal.setitimer(signal.ITIMER_PROF, seconds)
    try:
        yield
    finally:
        signal.setitimer(signal.ITIMER_PROF, 0)
        signal.signal(signal.SIGPROF, before)


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="yarrow", description=__doc__.splitlines()[0])
    parser.add_argument("--version", action="version", version=f"yarrow {yarrow.__version__}")
    parser.add_argument(
        "--work", type=float, default=_WORK_S, help="processor seconds that it may take"
    )
    commands = parser.add_subparsers(required=True, metavar="COMMAND")

    plan = commands.add_parser("plan", help="plan a run; - reads standard input")
    plan.add_argument("file")
    plan.add_argument("--format", choices=["json", "text", "csv", "bends"], default="json")
    plan.set_defaults(run=_plan_command)

    handle = commands.add_parser("handle", help="the orders a run's piece can be bent in")
    handle.add_argument("file")
    handle.add_argument("--piece", type=int, help="of which of its pieces, counted from 1")
    handle.set_defaults(run=_handle)

    bench = commands.add_parser(
        "bench", help="a piece whose bends came out different: what is left"
    )
    bench.add_argument("file", help="the run")
    bench.add_argument("came_out", help="what was read of its bends (yarrow.bench/1)")
    bench.add_argument("--piece", type=int, help="of which of its pieces, counted from 1")
    bench.set_defaults(run=_bench)

    pieces = commands.add_parser("pieces", help="a run in sticks: every piece, joints, ways")
    pieces.add_argument("file")
    pieces.add_argument("--format", choices=["json", "text"], default="json")
    pieces.set_defaults(run=_pieces_command)

    rack = commands.add_parser("rack", help="a run's rack: the marks of every pipe, the gaps")
    rack.add_argument("file")
    rack.add_argument("--format", choices=["json", "csv"], default="json")
    rack.set_defaults(run=_rack_command)

    work = commands.add_parser("work", help="the order of work of a run, ticked off by its done")
    work.add_argument("file")
    work.add_argument("--format", choices=["json", "text"], default="json")
    work.set_defaults(run=_work_command)

    cut = commands.add_parser("cut", help="what is cut from what: pieces on sticks and offcuts")
    cut.add_argument("file")
    cut.add_argument("--seconds", type=float, default=4.0, help="for looking for fewer sticks")
    cut.set_defaults(run=_cut)

    for name, (_, help_) in CHECKS.items():
        check = commands.add_parser(name, help=help_)
        check.add_argument("file")
        check.set_defaults(run=_check_command, check=name)

    site_box = commands.add_parser("sitebox", help="a box of a job, with the runs that meet there")
    site_box.add_argument("file")
    site_box.add_argument("runs", nargs="*", metavar="RUN")
    site_box.set_defaults(run=_site_box)

    schedule = commands.add_parser("schedule", help="a CSV schedule with its answers")
    schedule.add_argument("file")
    schedule.add_argument("--units", choices=["in", "mm"], default="in")
    schedule.set_defaults(run=_schedule)

    convert = commands.add_parser(
        "convert", help="a document in the other unit, otherwise the same"
    )
    convert.add_argument("file")
    convert.add_argument("--to", choices=["in", "mm"], required=True)
    convert.set_defaults(run=_convert)

    line = commands.add_parser("line", help="a walk line as it is said, in the run file's shape")
    line.add_argument("text")
    line.add_argument("--units", choices=["in", "mm"], default="in")
    line.set_defaults(run=_line_command)

    quick = commands.add_parser(
        "quick", help="a bend by itself, as it is said: its marks and steps"
    )
    quick.add_argument("said")
    quick.add_argument("--units", choices=["in", "mm"], default="in")
    quick.add_argument("--type", help="of conduit")
    quick.add_argument("--size", help="of conduit")
    quick.add_argument("--bender", help="its id in the catalogue")
    quick.set_defaults(run=_quick)

    catalog = commands.add_parser("catalog", help="what is known, as JSON")
    catalog.add_argument("part", nargs="?", choices=CATALOGUED)
    catalog.set_defaults(run=_catalog)

    schema = commands.add_parser("schema", help="the JSON Schema of a format")
    schema.add_argument("of", choices=yarrow.SCHEMAS)
    schema.set_defaults(run=_schema)
    return parser


def _print_answer(answer: dict[str, Any]) -> int:
    """Print an answer. Returns the exit status."""
    print(json.dumps(answer, indent=2, ensure_ascii=False, allow_nan=False))
    return 0 if yarrow.can_be_made(answer) else 3


def _written(answer: yarrow.Written) -> int:
    """Print an answer that is text. Returns the exit status."""
    sys.stdout.write(answer.text)
    return 0 if answer.can_be_made else 3


def _plan_command(options: argparse.Namespace) -> int:
    document = _document(options.file)
    if options.format == "json":
        return _print_answer(yarrow.plan(document))
    return _written(yarrow.plan_as(document, options.format))


def _handle(options: argparse.Namespace) -> int:
    handling = yarrow.handle(_document(options.file), piece=options.piece)
    _print_answer(handling)
    return 3 if handling["findings"] else 0


def _bench(options: argparse.Namespace) -> int:
    answer = yarrow.bench(_document(options.file), _document(options.came_out), piece=options.piece)
    _print_answer(answer)
    return 3 if answer["verdict"] == "scrap" else 0


def _pieces_command(options: argparse.Namespace) -> int:
    document = _document(options.file)
    if options.format == "json":
        return _print_answer(yarrow.pieces(document))
    return _written(yarrow.pieces_as_text(document))


def _work_command(options: argparse.Namespace) -> int:
    document = _document(options.file)
    if options.format == "json":
        return _print_answer(yarrow.work(document))
    return _written(yarrow.work_as_text(document))


def _rack_command(options: argparse.Namespace) -> int:
    document = _document(options.file)
    if options.format == "json":
        return _print_answer(yarrow.rack(document))
    return _written(yarrow.rack_as_csv(document))


def _cut(options: argparse.Namespace) -> int:
    return _print_answer(yarrow.cut(_document(options.file), seconds=options.seconds))


CHECKS: dict[str, tuple[Callable[[dict[str, Any]], dict[str, Any]], str]] = {
    "fold": (yarrow.fold, "straight pipe and bends to their shape"),
    "fill": (yarrow.fill, "whether conductors go into a conduit or trunking"),
    "wall": (yarrow.wall, "a framed wall: boxes, holes, a run for every feed"),
    "site": (yarrow.site, "ducts between buildings: pull points, ways, ducts, cuts"),
    "box": (yarrow.box, "whether a box is large enough for what is in it"),
    "pullbox": (yarrow.pullbox, "the least box for large wire"),
    "entries": (yarrow.entries, "whether the holes in a box's walls go together"),
    "bender": (yarrow.bender, "a crew's own bender: its worked numbers"),
}
"""What takes one document and gives one answer, by its command."""


def _check_command(options: argparse.Namespace) -> int:
    return _print_answer(CHECKS[options.check][0](_document(options.file)))


def _site_box(options: argparse.Namespace) -> int:
    runs = []
    for name in options.runs:
        run = _document(name)
        if not isinstance(run, dict):
            raise DocumentError(name, "a run's document")
        runs.append(run)
    return _print_answer(yarrow.sitebox(_document(options.file), runs))


def _schedule(options: argparse.Namespace) -> int:
    try:
        checked = yarrow.schedule(_bytes(options.file), options.units)
    except TableError as error:
        for each in error.errors:
            print(each, file=sys.stderr)
        return 2
    sys.stdout.write(checked["csv"])
    return 0 if all(row["passes"] for row in checked["rows"]) else 3


def _convert(options: argparse.Namespace) -> int:
    converted = yarrow.convert(_document(options.file), options.to)
    print(json.dumps(converted, indent=2, ensure_ascii=False, default=float))
    return 0


def _line_command(options: argparse.Namespace) -> int:
    typed = yarrow.line(options.text, options.units)
    if typed["line"] is None:
        raise DocumentError("line", typed["expected"])
    print(json.dumps(typed["line"], indent=2, ensure_ascii=False))
    return 0


USUAL = {
    "in": {"type": "emt", "size": "1/2", "bender": "hand-emt-1/2"},
    "mm": {"type": "steel", "size": "20", "bender": "bench-steel-20"},
}
"""What a quick bend is made from and with, where nothing is said."""


def _quick(options: argparse.Namespace) -> int:
    usual = USUAL[options.units]
    found = yarrow.quick(
        {
            "format": "yarrow.quick/1",
            "units": options.units,
            "said": options.said,
            "conduit": {
                "type": options.type or usual["type"],
                "size": options.size or usual["size"],
            },
            "bender": options.bender or usual["bender"],
        }
    )
    if found["run"] is None:
        raise DocumentError("said", found["expected"])
    return _written(yarrow.plan_as(found["run"], "text"))


def _catalog(options: argparse.Namespace) -> int:
    whole = yarrow.catalog()
    print(json.dumps(whole[options.part] if options.part else whole, indent=2, ensure_ascii=False))
    return 0


def _schema(options: argparse.Namespace) -> int:
    print(json.dumps(yarrow.schema(options.of), indent=2, ensure_ascii=False))
    return 0


def _bytes(name: str) -> bytes:
    """What is in a file, - for standard input. Raises: DocumentError."""
    try:
        if name == "-":
            data = sys.stdin.buffer.read(LARGEST_FILE + 1)
        else:
            with Path(name).open("rb") as file:
                data = file.read(LARGEST_FILE + 1)
    except OSError as error:
        raise DocumentError(name, f"a file that can be read ({error.strerror})") from None
    if len(data) > LARGEST_FILE:
        raise DocumentError("", f"at most {LARGEST_FILE // 1024 // 1024} MB")
    return data


def _document(name: str) -> Any:
    """The JSON of a file, numbers exact. Raises: DocumentError."""
    return read_json(_bytes(name), exact=True)


if __name__ == "__main__":
    sys.exit(main())
