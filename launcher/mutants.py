"""./yarrow mutants: whether the core's tests notice small bugs, put in one at a time."""

from __future__ import annotations

import os
import subprocess

from launcher.paths import PYTHON, ROOT
from launcher.setup import set_up


def mutants() -> int:
    """Run the core's tests against each small bug. Returns the exit status. Raises:
    LauncherError."""
    set_up(for_tests=True, build=False)
    done = subprocess.run(
        [str(PYTHON), "-m", "core.tests.mutants"],
        cwd=ROOT,
        env={**os.environ, "PYTHONPATH": str(ROOT / "core")},
        check=False,
    )
    return done.returncode
