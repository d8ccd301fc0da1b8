"""Debian's packages: installed where that is allowed, else the exact line to run."""

from __future__ import annotations

import os
import shutil
from collections.abc import Sequence

from launcher.console import LauncherError, write_line
from launcher.processes import run, succeeds


def ensure_packages(packages: Sequence[str]) -> None:
    """Install Debian packages. Raises: LauncherError, with the line to run, where we may not."""
    if not packages:
        return
    line = f"apt-get update && apt-get install -y --no-install-recommends {' '.join(packages)}"
    if shutil.which("apt-get") is None:
        raise LauncherError(f"Yarrow needs {', '.join(packages)}, and there is no apt-get here.")
    if os.geteuid() == 0:
        prefix: list[str] = []
    elif succeeds(["sudo", "-n", "true"]):
        prefix = ["sudo", "-n", "env", "DEBIAN_FRONTEND=noninteractive"]
    else:
        raise LauncherError(
            f"Yarrow needs Debian's {', '.join(packages)}. Run:\n  sudo sh -c '{line}'"
        )
    write_line(f"  installing {', '.join(packages)}")
    quiet = {"DEBIAN_FRONTEND": "noninteractive"}
    run([*prefix, "apt-get", "update", "-q"], environment=quiet, what="apt-get update")
    install = ["apt-get", "install", "-y", "-q", "--no-install-recommends", *packages]
    run([*prefix, *install], environment=quiet, what="apt-get install")
