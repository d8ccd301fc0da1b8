"""./yarrow demo: everything on one address, until Ctrl-C."""

from __future__ import annotations

import http.client
import os
import socket
import subprocess
import time
from contextlib import ExitStack
from typing import IO

from launcher.console import LauncherError, step, write_line
from launcher.paths import MANAGE, PYTHON, ROOT, SERVER_PATH
from launcher.postgres import cluster
from launcher.processes import run, stop
from launcher.setup import page_beside

PORT = 8600
_PATIENCE = 30
_ORPHAN_ENDS_S = 3.0


def demo(*, port: int = PORT, fresh: bool = False) -> int:
    """Set up, start the database, migrate, load the demo data, serve. Returns the exit status.

    Raises: LauncherError.
    """
    _check_port(port)
    with ExitStack() as open_:
        page = open_.enter_context(page_beside(for_tests=False))
        write_line("· The database …")
        environment = open_.enter_context(cluster("demo", fresh=fresh))
        with step("Tables and demo data"):
            run([PYTHON, MANAGE, "migrate", "-v0"], environment=environment, what="migrating")
            printed = run([PYTHON, MANAGE, "load_demo"], environment=environment, what="demo data")
        page.result()
        server = serve(port, environment)
        try:
            wait_until_it_answers(server, port)
            write_line(
                f"\nYarrow is at http://127.0.0.1:{port}/\n{printed.rstrip()}\nCtrl-C stops it."
            )
            return server.wait()
        except KeyboardInterrupt:
            write_line("\nStopping …")
            return 0
        finally:
            stop(server)


def _check_port(port: int) -> None:
    """A server of ours whose start was killed ends by itself, and its port is waited for.

    Raises: LauncherError, where the port is somebody else's.
    """
    end = time.monotonic() + _ORPHAN_ENDS_S
    while not _is_free(port):
        if time.monotonic() > end:
            raise LauncherError(
                f"Port {port} is in use. Stop what is there, or: ./yarrow demo --port {port + 1}"
            )
        time.sleep(0.1)


def _is_free(port: int) -> bool:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except OSError:
            return False
    return True


def serve(
    port: int, environment: dict[str, str], log: IO[bytes] | None = None
) -> subprocess.Popen[bytes]:
    """The server, in a session of its own so that Ctrl-C reaches us and not it.

    Args: log, where it writes what happens; None for where we do.
    """
    return subprocess.Popen(
        [
            *(str(PYTHON), "-m", "config.serving"),
            *("--port", str(port), "--parent", str(os.getpid())),
        ],
        cwd=ROOT / "server",
        env={**os.environ, **environment, "PYTHONPATH": SERVER_PATH},
        stderr=log,
        start_new_session=True,
    )


def wait_until_it_answers(server: subprocess.Popen[bytes], port: int) -> None:
    """Wait for the first answer. Raises: LauncherError, where the server ends or is too slow."""
    end = time.monotonic() + _PATIENCE
    while time.monotonic() < end:
        if server.poll() is not None:
            raise LauncherError("The server stopped at once; its own words are above.")
        try:
            connection = http.client.HTTPConnection("127.0.0.1", port, timeout=5)
            connection.request("GET", "/api/session")
            if connection.getresponse().status == 200:
                return
        except OSError:
            time.sleep(0.1)
    raise LauncherError(f"The server did not answer within {_PATIENCE} s.")
