"""Yarrow for a crew that works with it: serving it, and what is done beside that, by one file of
settings. Nothing here starts a database, makes data up, or publishes a password."""

from __future__ import annotations

import os
import subprocess
import sys
from contextlib import redirect_stdout
from pathlib import Path

from launcher.console import LauncherError
from launcher.paths import MANAGE, PYTHON, ROOT, SERVER_PATH
from launcher.setup import set_up

FILE = "YARROW_SETTINGS"
_USUAL = Path("/etc/yarrow/yarrow.toml")


def install() -> int:
    """Packages and the page, and nothing else. Returns the exit status. Raises: LauncherError."""
    set_up(for_tests=False)
    return 0


def serve(settings: Path | None, port: int | None) -> int:
    """Serve people, in place of this process: what started it watches the server itself.

    Args: settings, the file; port, instead of that of its address.
    Raises: LauncherError.
    """
    environment = _with_settings(settings)
    set_up(for_tests=False)
    at = ("--port", str(port)) if port else ()
    os.chdir(ROOT / "server")
    os.execve(
        PYTHON,
        [str(PYTHON), "-m", "config.serving", "--fit", *at],
        {**os.environ, **environment, "PYTHONPATH": SERVER_PATH},
    )


def manage(settings: Path | None, *command: str) -> int:
    """One of Django's commands on the database of the settings. Returns the exit status.

    Args: settings, the file; command, with what it is given.
    Raises: LauncherError.
    """
    environment = _with_settings(settings)
    # What a command prints may go into a file: a key, a link.
    with redirect_stdout(sys.stderr):
        set_up(for_tests=False, build=False)
    done = subprocess.run(
        [str(PYTHON), str(MANAGE), *command], env={**os.environ, **environment}, check=False
    )
    return done.returncode


def _with_settings(settings: Path | None) -> dict[str, str]:
    """In which Django finds the settings. Raises: LauncherError, where there is no such file."""
    named = os.environ.get(FILE)
    file = (settings or (Path(named) if named else _USUAL)).resolve()
    try:
        file.open().close()
    except OSError as error:
        raise LauncherError(
            f"The settings can't be read: {file} ({error.strerror}). --settings names another "
            "file; docs/operating.md says what stands in one."
        ) from None
    return {FILE: str(file)}
