"""The commands of ./yarrow."""

from __future__ import annotations

import argparse
import signal
import sys
from types import FrameType

from launcher.bench import bench
from launcher.check_data import check_data
from launcher.console import LauncherError, write_error
from launcher.contract import contract
from launcher.coverage import coverage
from launcher.demo import PORT, demo
from launcher.dev import dev
from launcher.gauge.command import BUTTONS_PORT, LINES_PORT, gauge
from launcher.mutants import mutants
from launcher.pictures import pictures
from launcher.testing import test


def main() -> int:
    """Run one command. Returns the exit status."""
    signal.signal(signal.SIGTERM, _interrupted)
    options = _parser().parse_args()
    try:
        if options.command == "demo":
            return demo(port=options.port, fresh=options.fresh)
        if options.command == "test":
            return test(options.labels)
        if options.command == "gauge":
            return gauge(
                seed=options.seed, lines_port=options.port, buttons_port=options.buttons_port
            )
        if options.command == "mutants":
            return mutants(options.wanted)
        if options.command == "bench":
            return bench(options.commit)
        others = {
            "dev": dev,
            "check-data": check_data,
            "contract": contract,
            "coverage": coverage,
            "pictures": pictures,
        }
        return others[options.command]()
    except LauncherError as error:
        write_error(f"\n{error}")
        return 1
    except KeyboardInterrupt:
        write_error("\nStopped.")
        return 130


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="./yarrow", description="Start Yarrow.")
    commands = parser.add_subparsers(dest="command", required=True, metavar="COMMAND")
    demo_command = commands.add_parser("demo", help="install what is missing and serve the demo")
    demo_command.add_argument("--port", type=int, default=PORT)
    demo_command.add_argument("--fresh", action="store_true", help="start over with empty data")
    gauge_command = commands.add_parser("gauge", help="a simulated bender with a digital gauge")
    gauge_command.add_argument("--port", type=int, default=LINES_PORT, help="of its lines")
    gauge_command.add_argument("--buttons-port", type=int, default=BUTTONS_PORT)
    gauge_command.add_argument("--seed", type=int, help="of its true numbers; left out, by chance")
    test_command = commands.add_parser("test", help="run every check and test")
    test_command.add_argument("labels", nargs="*", help="tests to run alone, without the checks")
    commands.add_parser("dev", help="a server and page that reload")
    bench_command = commands.add_parser(
        "bench", help="measure the speed and write docs/benchmarks.md"
    )
    bench_command.add_argument(
        "commit", nargs="?", help="time the core beside that of a commit, in turns, and no more"
    )
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


def _interrupted(_number: int, _frame: FrameType | None) -> None:
    """Ending by a signal goes the same way as Ctrl-C: everything that was started is stopped."""
    raise KeyboardInterrupt


if __name__ == "__main__":
    sys.exit(main())
