"""./yarrow coverage: which lines and branches of the core and the server no test of theirs runs."""

from __future__ import annotations

import subprocess

from launcher.paths import PYTHON, ROOT
from launcher.postgres import cluster
from launcher.setup import set_up
from launcher.testing import run_tests


def coverage() -> int:
    """Run the tests of core and server, and list what they leave out. Returns the exit status.

    Raises: LauncherError.
    """
    set_up(for_tests=True)
    tool = [str(PYTHON), "-m", "coverage"]
    with cluster("test", durable=False) as environment:
        status = run_tests([*tool, "run"], environment, "core/tests", "server/tests")
    subprocess.run([*tool, "combine", "-q"], cwd=ROOT, check=False)
    subprocess.run([*tool, "report"], cwd=ROOT, check=False)
    return status
