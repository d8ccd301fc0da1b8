"""./yarrow bench: the speed that was promised, measured on this machine."""

from __future__ import annotations

import os
import subprocess

from launcher.paths import PYTHON, ROOT
from launcher.postgres import cluster
from launcher.setup import ensure_browser, ensure_proxy, set_up


def bench(commit: str | None = None) -> int:
    """Run the benchmarks and write docs/benchmarks.md; or time the core beside that of a commit.

    Returns the exit status. Raises: LauncherError.
    """
    set_up(for_tests=True)
    ensure_browser()
    ensure_proxy()
    with cluster("bench", durable=False, fresh=True) as environment:
        done = subprocess.run(
            [str(PYTHON), "-m", "benchmarks", *([commit] if commit else [])],
            cwd=ROOT,
            env={**os.environ, **environment},
            check=False,
        )
    return done.returncode
