"""What the page is told of the core when it is built: files that follow from the core's own."""

from __future__ import annotations

import json

from launcher.paths import PYTHON, ROOT, WEB
from launcher.processes import run

CORE = {"PYTHONPATH": str(ROOT / "core")}

_REFERENCES = """
import dataclasses, json, yarrow
named = {name: yarrow.references(name) for name in yarrow.FORMATS}
found = {name: [*map(dataclasses.asdict, rows)] for name, rows in named.items() if rows}
print(json.dumps(found, indent=2))
"""

_USUAL = """
import json, yarrow
found = {}
for name, row in yarrow.FORMATS.items():
    schema = yarrow.schema(row.schema)
    for part, node in () if row.part else ({"": schema} | schema["$defs"]).items():
        fields = {field: one["x-usual"] for field, one in node.get("properties", {}).items()
                  if "x-usual" in one}
        if fields:
            found.setdefault(name, {})[part] = fields
print(json.dumps(found, indent=2))
"""

_RULEBOOKS = """
import dataclasses, json, yarrow
books = {name: dataclasses.asdict(book) for name, book in yarrow.rulebooks().items()}
print(json.dumps(books, indent=2))
"""

_ADDRESSES = "import json, yarrow; print(json.dumps(sorted(yarrow.ADDRESSES), indent=2))"

FILES = {
    "What is answered from what is sent alone": ("pocket/addresses.json", _ADDRESSES),
    "What of documents names what": ("documents/references.json", _REFERENCES),
    "What is usual where nothing is said": ("documents/usual.json", _USUAL),
    "Whose rules hold on jobs": ("words/rulebooks.json", _RULEBOOKS),
}
"""Each by what it says: the file, and what the core is asked for it."""


def ask(asking: str) -> str:
    """What the core answers, as JSON.

    Args: asking, a program that prints it.
    """
    return run([PYTHON, "-c", asking], cwd=ROOT, environment=CORE)


def stale() -> list[str]:
    """The files that say what the core no longer does."""
    return [
        file
        for file, asking in FILES.values()
        if json.loads((WEB / "src" / file).read_text("utf-8")) != json.loads(ask(asking))
    ]
