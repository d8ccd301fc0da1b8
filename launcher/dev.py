"""./yarrow dev: a server and a page that reload as they are edited."""

from __future__ import annotations

import os
import subprocess

from launcher.console import write_line
from launcher.paths import MANAGE, PYTHON, WEB
from launcher.postgres import cluster
from launcher.processes import run, stop
from launcher.setup import set_up

SERVER_PORT = 8601
PAGE_PORT = 8602


def dev() -> int:
    """Serve the page from Vite and the API from Django until Ctrl-C. Raises: LauncherError."""
    node = set_up(for_tests=True, build=False)
    with cluster("dev") as environment:
        environment["YARROW_DEBUG"] = "1"
        run([PYTHON, MANAGE, "migrate", "-v0"], environment=environment, what="migrating")
        write_line(run([PYTHON, MANAGE, "load_demo"], environment=environment, what="demo data"))
        server = subprocess.Popen(
            [str(PYTHON), str(MANAGE), "runserver", f"127.0.0.1:{SERVER_PORT}"],
            env={**os.environ, **environment},
            start_new_session=True,
        )
        page = subprocess.Popen(
            ["npm", "run", "dev", "--", "--port", str(PAGE_PORT), "--strictPort"],
            cwd=WEB,
            env={**os.environ, **node, "YARROW_API": f"http://127.0.0.1:{SERVER_PORT}"},
            start_new_session=True,
        )
        write_line(f"The page is at http://127.0.0.1:{PAGE_PORT}/. Ctrl-C stops it.")
        try:
            return page.wait()
        except KeyboardInterrupt:
            return 0
        finally:
            stop(page)
            stop(server)
