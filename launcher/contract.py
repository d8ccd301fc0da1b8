"""./yarrow contract: write the API's contract, the page's types and the list of findings anew."""

from __future__ import annotations

from launcher.console import step
from launcher.paths import CONTRACT, MANAGE, PYTHON, ROOT, WEB
from launcher.processes import run
from launcher.setup import set_up
from launcher.testing import WITHOUT_DATABASE, api_types

CORE = {"PYTHONPATH": str(ROOT / "core")}

_NAMED = """
import dataclasses, json, yarrow
named = {name: yarrow.references(name) for name in yarrow.FORMATS}
found = {name: [*map(dataclasses.asdict, rows)] for name, rows in named.items() if rows}
print(json.dumps(found, indent=2))
"""

_RULEBOOKS = """
import dataclasses, json, yarrow
books = {name: dataclasses.asdict(book) for name, book in yarrow.rulebooks().items()}
print(json.dumps(books, indent=2))
"""

_TOLD = {
    "What of documents names what": ("documents/references.json", _NAMED),
    "Whose rules hold on jobs": ("words/rulebooks.json", _RULEBOOKS),
}
"""What the page is told of the core when it is built: each file of it, and what writes that."""


def contract() -> int:
    """Write contracts/openapi.json, web/src/api/schema.d.ts, what it is told of the core, and
    docs/findings.md. Raises: LauncherError."""
    node = set_up(for_tests=True, build=False)
    with step("The contract"):
        CONTRACT.write_text(run([PYTHON, MANAGE, "contract"], environment=WITHOUT_DATABASE))
    with step("The page's types"):
        (WEB / "src" / "api" / "schema.d.ts").write_text(api_types(node))
    for what, (file, asking) in _TOLD.items():
        with step(what):
            path = WEB / "src" / file
            path.write_text(run([PYTHON, "-c", asking], cwd=ROOT, environment=CORE))
            run(["npx", "biome", "format", "--write", path], cwd=WEB, environment=node)
    with step("The documents of each format, for type checkers"):
        run([PYTHON, "-m", "core.tests.documents.typed_shapes"], cwd=ROOT, environment=CORE)
    with step("The list of findings"):
        run([PYTHON, "-m", "core.tests.findings.listing"], cwd=ROOT, environment=CORE)
    return 0
