"""Running other programs, with their output kept until it is needed."""

from __future__ import annotations

import os
import signal
import subprocess
from collections.abc import Iterable, Mapping, Sequence
from contextlib import suppress
from pathlib import Path

from launcher.console import LauncherError

_TAIL = 30


def run(
    command: Sequence[str | Path],
    *,
    cwd: Path | None = None,
    environment: Mapping[str, str] | None = None,
    what: str = "",
) -> str:
    """Run a program to its end. Returns its output.

    Raises: LauncherError, with the end of the output, where it fails or is not there.
    """
    try:
        done = subprocess.run(
            [str(part) for part in command],
            cwd=cwd,
            env={**os.environ, **(environment or {})},
            stdin=subprocess.DEVNULL,
            stdout=subprocess.PIPE,
            stderr=subprocess.STDOUT,
            text=True,
            errors="replace",
            check=False,
        )
    except OSError as error:
        raise LauncherError(
            f"{what or command[0]} could not be started: {error.strerror}"
        ) from None
    if done.returncode:
        tail = "\n".join(done.stdout.splitlines()[-_TAIL:])
        raise LauncherError(f"{what or ' '.join(map(str, command))} failed:\n{tail}")
    return done.stdout


def succeeds(command: Iterable[str | Path]) -> bool:
    """Whether a program is there and ends well."""
    try:
        done = subprocess.run(
            [str(part) for part in command], capture_output=True, stdin=subprocess.DEVNULL,
            check=False,
        )  # fmt: skip
    except OSError:
        return False
    return done.returncode == 0


def stop(process: subprocess.Popen[bytes], patience: float = 10) -> None:
    """Ask a program that we started in a session of its own to end, with all that it started
    itself (npm starts what it runs), and make it where it does not."""
    with suppress(ProcessLookupError):
        os.killpg(process.pid, signal.SIGTERM)
    try:
        process.wait(patience)
    except subprocess.TimeoutExpired:
        with suppress(ProcessLookupError):
            os.killpg(process.pid, signal.SIGKILL)
        process.wait()
