"""The virtual environment in .venv, filled by uv from a list with the hash of every file."""

from __future__ import annotations

import hashlib
import importlib.util
import shutil
import sys
from pathlib import Path

from launcher.debian import ensure_packages
from launcher.paths import PYTHON, ROOT, VENV
from launcher.processes import run, succeeds


def ensure_python(*, for_tests: bool) -> None:
    """Make .venv hold exactly what the pinned list says. Raises: LauncherError."""
    # The tests' list holds the other: after a test, the demo has all it needs.
    lists = [_FOR_TESTS] if for_tests else [_FOR_TESTS, _FOR_RUNNING]
    usable = succeeds([PYTHON, "-c", "import pip"])
    if usable and any(_installed(name) for name in lists):
        return
    if not usable:
        shutil.rmtree(VENV, ignore_errors=True)
        if importlib.util.find_spec("ensurepip") is None:
            ensure_packages(["python3-venv"])
        run([sys.executable, "-m", "venv", VENV], what="making .venv")
    pip = [str(PYTHON), "-m", "pip", "--disable-pip-version-check", "--no-input"]
    held = ["install", "-q", "--require-hashes", "-r"]
    run([*pip, *held, ROOT / _UV], what="pip install uv")
    uv = [str(VENV / "bin" / "uv"), "pip"]
    run([*uv, *held, ROOT / lists[-1], "--python", PYTHON], what="uv pip install")
    _stamp(lists[-1]).write_text(_digest(lists[-1]))


_UV = "requirements-uv.txt"
_FOR_RUNNING = "requirements.txt"
_FOR_TESTS = "requirements-test.txt"


def _installed(name: str) -> bool:
    """Whether a list was installed as it stands now."""
    return _stamp(name).is_file() and _stamp(name).read_text() == _digest(name)


def _stamp(name: str) -> Path:
    return VENV / f"yarrow-{name}"


def _digest(name: str) -> str:
    return hashlib.sha256((ROOT / name).read_bytes()).hexdigest()
