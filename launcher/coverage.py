"""./yarrow coverage: which lines and branches of the core and the server no test of theirs runs."""

from __future__ import annotations

import os
import subprocess

from launcher.paths import MANAGE, PYTHON, ROOT
from launcher.postgres import cluster
from launcher.setup import set_up


def coverage() -> int:
    """Run the tests of core and server, and list what they leave out. Returns the exit status.

    Raises: LauncherError.
    """
    set_up(for_tests=True)
    tool = [str(PYTHON), "-m", "coverage"]
    tests = ["core/tests", "server/tests"]
    with cluster("test", durable=False) as environment:
        done = subprocess.run(
            [*tool, "run", str(MANAGE), "test", "--top-level", str(ROOT), *tests],
            cwd=ROOT,
            env={**os.environ, **environment, "YARROW_HOSTS": "127.0.0.1,localhost,testserver"},
            check=False,
        )
    subprocess.run([*tool, "combine", "-q"], cwd=ROOT, check=False)
    subprocess.run([*tool, "report"], cwd=ROOT, check=False)
    return done.returncode
