"""Where things are in a checkout."""

from __future__ import annotations

import os
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
STATE = ROOT / ".yarrow"
VENV = ROOT / ".venv"
PYTHON = VENV / "bin" / "python"
WEB = ROOT / "web"
DIST = WEB / "dist"
API_TYPES = WEB / "tools" / "api-types"
SERVER_PATH = f"{ROOT / 'core'}{os.pathsep}{ROOT / 'server'}"
"""Where Python finds the core and the server."""
MANAGE = ROOT / "server" / "manage.py"
CONTRACT = ROOT / "contracts" / "openapi.json"
