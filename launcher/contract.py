"""./yarrow contract: write the API's contract, the page's types and the list of findings anew."""

from __future__ import annotations

from launcher.console import step
from launcher.page_files import CORE, FILES, ask
from launcher.paths import CONTRACT, MANAGE, PYTHON, ROOT, WEB
from launcher.processes import run
from launcher.setup import set_up
from launcher.testing import WITHOUT_DATABASE, api_types


def contract() -> int:
    """Write contracts/openapi.json, web/src/api/schema.d.ts, what it is told of the core, and
    docs/findings.md. Raises: LauncherError."""
    node = set_up(for_tests=True, build=False)
    with step("The contract"):
        CONTRACT.write_text(run([PYTHON, MANAGE, "contract"], environment=WITHOUT_DATABASE))
    with step("The page's types"):
        (WEB / "src" / "api" / "schema.d.ts").write_text(api_types(node))
    for what, (file, asking) in FILES.items():
        with step(what):
            path = WEB / "src" / file
            path.write_text(ask(asking))
            run(["npx", "biome", "format", "--write", path], cwd=WEB, environment=node)
    with step("The template of the page's catalogues"):
        run(["npx", "vitest", "run", "src/words", "-u"], cwd=WEB, environment=node)
    with step("The documents of each format, for type checkers"):
        run([PYTHON, "-m", "core.tests.documents.typed_shapes"], cwd=ROOT, environment=CORE)
    with step("The list of findings"):
        run([PYTHON, "-m", "core.tests.findings.listing"], cwd=ROOT, environment=CORE)
    return 0
