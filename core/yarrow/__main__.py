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
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from types import FrameType
from typing import Any

import yarrow
from yarrow import DocumentError, TableError, read_json

CATALOGUED = ["conduit", "benders", "fittings", "conductors", "boxes", "trunking"]

LARGEST_FILE = 16 * 1024 * 1024
"""Bytes: far beyond any run, well within memory."""


_WORK_S = 60.0
"""Processor seconds of a command: far more than any honest document takes."""


def main(arguments: list[str] | None = None) -> int:
    """Run one command.

    Args:
        arguments: as typed after the program's name; None: those of this process.

    Returns:
        The exit status: 0, 2 or 3 as above.
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
        message = (
            f"This takes more than {options.work:g} s of work. Make it smaller, or say --work."
        )
        print(message, file=sys.stderr)
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

    for verb in yarrow.VERBS.values():
        _add_verb(commands, verb)

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


def _add_verb(commands: Any, verb: yarrow.Verb[Any, Any]) -> None:
    """A command that asks one thing of a document, and of what that takes beside it."""
    command = commands.add_parser(verb.name.replace("_", "-"), help=verb.words)
    command.add_argument("file", help=f"yarrow.{verb.takes}/1; - reads standard input")
    for beside in verb.beside:
        more = {"nargs": "*"} if beside.many else {}
        command.add_argument(beside.name, help=beside.words, **more)
    for option in verb.options:
        named = f"--{option.name.replace('_', '-')}"
        command.add_argument(named, type=option.kind, default=option.usual, help=option.words)
    command.add_argument(
        "--language", choices=[*yarrow.LANGUAGES], help="left out: of where its units are usual"
    )
    if verb.forms:
        command.add_argument("--format", choices=["json", *verb.forms], default="json")
    command.set_defaults(run=_ask, verb=verb, format="json")


def _ask(options: argparse.Namespace) -> int:
    verb: yarrow.Verb[Any, Any] = options.verb
    document = _document(options.file)
    if options.format != "json":
        return _written(verb.written(document, options.format, options.language))
    beside = [_read_beside(getattr(options, argument.name)) for argument in verb.beside]
    given = {option.name: getattr(options, option.name) for option in verb.options}
    return _print_answer(verb(document, *beside, language=options.language, **given))


def _read_beside(names: str | list[str]) -> Any:
    """A document, or several, by their files. Raises: DocumentError."""
    return _document(names) if isinstance(names, str) else [_document(name) for name in names]


def _schedule(options: argparse.Namespace) -> int:
    try:
        checked = yarrow.schedule(_bytes(options.file), options.units)
    except TableError as error:
        for document_error in error.errors:
            print(document_error, file=sys.stderr)
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
    result = yarrow.quick(
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
    if result["run"] is None:
        raise DocumentError("said", result["expected"])
    return _written(yarrow.plan.written(result["run"], "text"))


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
