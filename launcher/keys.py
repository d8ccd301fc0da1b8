"""The secrets of this checkout, made once and kept in .yarrow/ for its owner alone."""

from __future__ import annotations

import json
import os
import secrets

from launcher.paths import STATE


def keys() -> dict[str, str]:
    """``database`` (a password) and ``django`` (the secret key), the same on every start."""
    path = STATE / "keys.json"
    try:
        known = json.loads(path.read_text())
        if {"database", "django"} <= set(known):
            return {name: str(known[name]) for name in ("database", "django")}
    except (OSError, ValueError):
        pass  # none yet, or half written by a start that was interrupted: make new ones
    made = {"database": secrets.token_urlsafe(24), "django": secrets.token_urlsafe(48)}
    draft = path.with_suffix(".draft")
    with os.fdopen(os.open(draft, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "w") as file:
        json.dump(made, file)
    draft.replace(path)
    return made
