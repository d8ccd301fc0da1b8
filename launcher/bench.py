"""./yarrow bench and ./yarrow soak: the speed that was promised, and an hour of work, measured on
this machine."""

from __future__ import annotations

import os
import subprocess

from launcher.paths import PYTHON, ROOT
from launcher.postgres import cluster
from launcher.setup import ensure_browser, ensure_proxy, set_up

LEAST_SOAK_MINUTES = 3
"""In less, what goes wrong meanwhile leaves no time at rest to be told from."""


def bench(commit: str | None = None) -> int:
    """Run the benchmarks and write docs/benchmarks.md; or time the core beside that of a commit.

    Returns the exit status. Raises: LauncherError.
    """
    return _measured("benchmarks", *([commit] if commit else []), durable=False)


def soak(minutes: float) -> int:
    """A crew at work for so long, and what goes wrong meanwhile; writes docs/soak.md.

    Returns the exit status. Raises: LauncherError.
    """
    return _measured("benchmarks.soak", str(minutes), durable=True)


def _measured(module: str, *arguments: str, durable: bool) -> int:
    set_up(for_tests=True)
    ensure_browser()
    ensure_proxy()
    with cluster(module.rpartition(".")[2], durable=durable, fresh=True) as environment:
        done = subprocess.run(
            [str(PYTHON), "-m", module, *arguments],
            cwd=ROOT,
            env={**os.environ, **environment},
            check=False,
        )
    return done.returncode
