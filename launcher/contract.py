"""./yarrow contract: write the API's contract and the page's types anew."""

from __future__ import annotations

from launcher.places import CONTRACT, MANAGE, PYTHON, WEB
from launcher.processes import run
from launcher.say import step
from launcher.setup import set_up
from launcher.testing import WITHOUT_DATABASE, api_types


def contract() -> int:
    """Write contracts/openapi.json and web/src/api/schema.d.ts. Raises: GiveUp."""
    node = set_up(for_tests=True, build=False)
    with step("The contract"):
        CONTRACT.write_text(run([PYTHON, MANAGE, "contract"], environment=WITHOUT_DATABASE))
    with step("The page's types"):
        (WEB / "src" / "api" / "schema.d.ts").write_text(api_types(node))
    return 0
