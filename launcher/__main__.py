"""The commands of ./yarrow."""

from __future__ import annotations

import argparse
import math
import signal
import sys
from collections.abc import Callable
from pathlib import Path
from types import FrameType

from launcher.bench import LEAST_SOAK_MINUTES, bench, soak
from launcher.check_data import check_data
from launcher.console import LauncherError, write_error
from launcher.contract import contract
from launcher.coverage import coverage
from launcher.demo import PORT, demo
from launcher.dev import dev
from launcher.gauge.command import BUTTONS_PORT, LINES_PORT, gauge
from launcher.mutants import mutants
from launcher.operating import install, manage, serve
from launcher.pictures import pictures
from launcher.testing import test


def main() -> int:
    """Run one command. Returns the exit status."""
    signal.signal(signal.SIGTERM, _interrupted)
    options = _parser().parse_args()
    try:
        return _COMMANDS[options.command](options)
    except LauncherError as error:
        write_error(f"\n{error}")
        return 1
    except KeyboardInterrupt:
        write_error("\nStopped.")
        return 130


_Options = argparse.Namespace

_COMMANDS: dict[str, Callable[[_Options], int]] = {
    "demo": lambda given: demo(port=given.port, fresh=given.fresh),
    "install": lambda _: install(),
    "serve": lambda given: serve(given.settings, given.port),
    "upgrade": lambda given: manage(given.settings, "migrate"),
    "first-crew": lambda given: manage(given.settings, "first_crew", given.name),
    "password-link": lambda given: manage(given.settings, "password_link", given.username),
    "forget-person": lambda given: manage(given.settings, "forget_person", given.username),
    "export-crew": lambda given: manage(given.settings, "export_crew", given.name, _file(given)),
    "take-in-crew": lambda given: manage(
        given.settings, "take_in_crew", _file(given), given.username
    ),
    "backup-key": lambda given: manage(given.settings, "backup_key"),
    "backup": lambda given: manage(given.settings, "backup", *_backup(given)),
    "restore": lambda given: manage(given.settings, "restore", *_backup(given)),
    "test": lambda given: test(given.labels),
    "gauge": lambda given: gauge(
        seed=given.seed, lines_port=given.port, buttons_port=given.buttons_port
    ),
    "mutants": lambda given: mutants(given.wanted),
    "bench": lambda given: bench(given.commit),
    "soak": lambda given: soak(given.minutes),
    "dev": lambda _: dev(),
    "check-data": lambda _: check_data(),
    "contract": lambda _: contract(),
    "coverage": lambda _: coverage(),
    "pictures": lambda _: pictures(),
}


def _backup(given: _Options) -> tuple[str, ...]:
    """The file, and the key, as Django's command takes them: found from where this was called."""
    key = ("--key", str(given.key.resolve())) if given.key else ()
    return (_file(given), *key)


def _file(given: _Options) -> str:
    return str(given.file.resolve())


def _minutes(text: str) -> float:
    if not LEAST_SOAK_MINUTES <= float(text) < math.inf:
        raise argparse.ArgumentTypeError(f"at least {LEAST_SOAK_MINUTES} minutes")
    return float(text)


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="./yarrow", description="Start Yarrow.")
    commands = parser.add_subparsers(dest="command", required=True, metavar="COMMAND")
    demo_command = commands.add_parser("demo", help="install what is missing and serve the demo")
    demo_command.add_argument("--port", type=int, default=PORT)
    demo_command.add_argument("--fresh", action="store_true", help="start over with empty data")
    _add_operating(commands)
    gauge_command = commands.add_parser("gauge", help="a simulated bender with a digital gauge")
    gauge_command.add_argument("--port", type=int, default=LINES_PORT, help="of its lines")
    gauge_command.add_argument("--buttons-port", type=int, default=BUTTONS_PORT)
    gauge_command.add_argument("--seed", type=int, help="of its true numbers; left out, by chance")
    test_command = commands.add_parser("test", help="run every check and test")
    test_command.add_argument("labels", nargs="*", help="tests to run alone, without the checks")
    commands.add_parser("dev", help="a server and a page that reload")
    bench_command = commands.add_parser(
        "bench", help="measure the speed and write docs/benchmarks.md"
    )
    bench_command.add_argument(
        "commit", nargs="?", help="time the core beside that of a commit, in turns, and no more"
    )
    soak_command = commands.add_parser(
        "soak", help="a crew at work for an hour, and what goes wrong meanwhile"
    )
    soak_command.add_argument("minutes", nargs="?", type=_minutes, default=60.0)
    commands.add_parser(
        "check-data", help="read all that the demo's database holds, say what fails"
    )
    commands.add_parser("contract", help="write the API's contract and the page's types anew")
    commands.add_parser("coverage", help="what no test of core and server runs")
    mutants_command = commands.add_parser(
        "mutants", help="whether the tests notice small bugs (an hour)"
    )
    mutants_command.add_argument("wanted", nargs="*", help="words of the paths of some")
    commands.add_parser("pictures", help="take docs/screenshots anew")
    return parser


def _add_operating(commands: argparse._SubParsersAction[argparse.ArgumentParser]) -> None:
    """What is done for a crew that works with it: docs/operating.md."""
    commands.add_parser("install", help="install what is missing, build the page, start nothing")
    operated = {
        "serve": "serve a crew, by the settings of one file",
        "upgrade": "bring the database to this version",
        "first-crew": "make a crew, and the link by which its lead comes in",
        "password-link": "a link to a new password for somebody",
        "forget-person": "forget who somebody was, once they were put out of their crew",
        "export-crew": "write all of a crew into one file",
        "take-in-crew": "take the jobs of a crew's file into a crew, as somebody of it",
        "backup-key": "print a new key for backups",
        "backup": "write a backup, and read it again",
        "restore": "take a backup into an empty database",
    }
    for name, words in operated.items():
        command = commands.add_parser(name, help=words)
        command.add_argument(
            "--settings", type=Path, help="the file; left out, /etc/yarrow/yarrow.toml"
        )
        if name == "serve":
            command.add_argument("--port", type=int, help="instead of that of the settings")
        if name in ("first-crew", "export-crew"):
            command.add_argument("name", help="of the crew")
        if name in ("backup", "restore", "export-crew", "take-in-crew"):
            command.add_argument("file", type=Path)
        if name in ("password-link", "forget-person", "take-in-crew"):
            command.add_argument("username", help="of whom")
        if name in ("backup", "restore"):
            command.add_argument("--key", type=Path, help="file of a key, of backup-key")


def _interrupted(_number: int, _frame: FrameType | None) -> None:
    """Ending by a signal goes the same way as Ctrl-C: everything that was started is stopped."""
    raise KeyboardInterrupt


if __name__ == "__main__":
    sys.exit(main())
