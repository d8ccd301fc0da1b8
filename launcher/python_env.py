"""The virtual environment in .venv, filled from a fully pinned list."""

from __future__ import annotations

import hashlib
import importlib.util
import shutil
import sys

from launcher.debian import ensure_packages
from launcher.places import PYTHON, ROOT, VENV
from launcher.processes import answers, run


def ensure_python(*, for_tests: bool) -> None:
    """Make .venv hold exactly what the pinned list says. Raises: GiveUp."""
    name = "requirements-test.txt" if for_tests else "requirements.txt"
    wanted = hashlib.sha256()
    for list_name in ("requirements.txt", name):
        wanted.update((ROOT / list_name).read_bytes())
    # The larger list holds the smaller one: after a test, the demo has all it needs.
    stamps = [VENV / f"yarrow-{kind}" for kind in ("requirements-test.txt", name)]
    usable = answers([PYTHON, "-c", "import pip"])
    if usable and stamps[-1].is_file() and stamps[-1].read_text() == wanted.hexdigest():
        return
    if not usable:
        shutil.rmtree(VENV, ignore_errors=True)
        if importlib.util.find_spec("ensurepip") is None:
            ensure_packages(["python3-venv"])
        run([sys.executable, "-m", "venv", VENV], what="making .venv")
    pip = [str(PYTHON), "-m", "pip", "install", "-q", "--disable-pip-version-check", "--no-input"]
    run([*pip, "-r", ROOT / name], what="pip install")
    stamps[-1].write_text(wanted.hexdigest())
