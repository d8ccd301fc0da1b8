"""The virtual environment in .venv, filled from a fully pinned list."""

from __future__ import annotations

import hashlib
import importlib.util
import shutil
import sys
from pathlib import Path

from launcher.debian import ensure_packages
from launcher.places import PYTHON, ROOT, VENV
from launcher.processes import answers, run


def ensure_python(*, for_tests: bool) -> None:
    """Make .venv hold exactly what the pinned list says. Raises: GiveUp."""
    # The tests' list holds the other: after a test, the demo has all it needs.
    lists = [_FOR_TESTS] if for_tests else [_FOR_TESTS, _FOR_RUNNING]
    usable = answers([PYTHON, "-c", "import pip"])
    if usable and any(_installed(name) for name in lists):
        return
    if not usable:
        shutil.rmtree(VENV, ignore_errors=True)
        if importlib.util.find_spec("ensurepip") is None:
            ensure_packages(["python3-venv"])
        run([sys.executable, "-m", "venv", VENV], what="making .venv")
    # What is never imported is not compiled: a third of the wait.
    pip = [str(PYTHON), "-m", "pip", "install", "-q", "--disable-pip-version-check", "--no-input"]
    run([*pip, "--no-compile", "-r", ROOT / lists[-1]], what="pip install")
    _stamp(lists[-1]).write_text(_digest(lists[-1]))


_FOR_RUNNING = "requirements.txt"
_FOR_TESTS = "requirements-test.txt"


def _installed(name: str) -> bool:
    """Whether a list was installed as it stands now."""
    return _stamp(name).is_file() and _stamp(name).read_text() == _digest(name)


def _stamp(name: str) -> Path:
    return VENV / f"yarrow-{name}"


def _digest(name: str) -> str:
    """Of a list and the one that it may include."""
    wanted = hashlib.sha256((ROOT / _FOR_RUNNING).read_bytes())
    wanted.update((ROOT / name).read_bytes())
    return wanted.hexdigest()
