"""./yarrow check-data: whether all that the demo's database holds can still be read."""

from __future__ import annotations

import os
import subprocess
from contextlib import nullcontext

from launcher.paths import MANAGE, PYTHON
from launcher.postgres import cluster, running
from launcher.processes import run
from launcher.setup import set_up


def check_data() -> int:
    """Read it all, with a demo running or without. Returns the exit status. Raises:
    LauncherError."""
    set_up(for_tests=False, build=False)
    there = running("demo")
    with nullcontext(there) if there else cluster("demo") as environment:
        if not there:
            run([PYTHON, MANAGE, "migrate", "-v0"], environment=environment, what="migrating")
        command = [str(PYTHON), str(MANAGE), "check_data"]
        return subprocess.run(command, env={**os.environ, **environment}, check=False).returncode
