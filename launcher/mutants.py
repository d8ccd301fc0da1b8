"""./yarrow mutants: whether the tests notice small bugs, put in one at a time."""

from __future__ import annotations

import os
import subprocess

from launcher.paths import PYTHON, ROOT
from launcher.postgres import cluster
from launcher.setup import set_up


def mutants(wanted: list[str]) -> int:
    """Run the tests against each small bug, or those whose paths have a word that is wanted.

    Returns the exit status. Raises: LauncherError.
    """
    node = set_up(for_tests=True)
    with cluster("mutants", durable=False) as database:
        done = subprocess.run(
            [str(PYTHON), "-m", "core.tests.mutants", *wanted],
            cwd=ROOT,
            env={**os.environ, **node, **database, "PYTHONPATH": str(ROOT / "core")},
            check=False,
        )
    return done.returncode
