"""./yarrow pictures: docs/screenshots, taken anew from fresh demo data."""

from __future__ import annotations

from launcher.console import write_line
from launcher.demo import serve, wait_until_it_answers
from launcher.paths import MANAGE, PYTHON
from launcher.postgres import cluster, free_port
from launcher.processes import run, stop
from launcher.setup import ensure_browser, set_up


def pictures() -> int:
    """Take every picture again. Raises: LauncherError."""
    set_up(for_tests=True)
    ensure_browser()
    with cluster("pictures", fresh=True, durable=False) as environment:
        run([PYTHON, MANAGE, "migrate", "-v0"], environment=environment, what="migrating")
        run([PYTHON, MANAGE, "load_demo"], environment=environment, what="demo data")
        port = free_port()
        server = serve(port, environment)
        try:
            wait_until_it_answers(server, port)
            take = (
                f"from e2e.pictures import take_pictures; take_pictures('http://127.0.0.1:{port}')"
            )
            write_line(run([PYTHON, MANAGE, "shell", "-v0", "-c", take], environment=environment))
        finally:
            stop(server)
    return 0
