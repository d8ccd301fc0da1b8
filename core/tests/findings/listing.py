"""docs/findings.md: every finding with an example, from the documents that the tests read."""

from __future__ import annotations

from pathlib import Path

from core.tests.findings.cases import CASES
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding

LISTING = Path(__file__).resolve().parents[3] / "docs" / "findings.md"

_HEAD = """# Findings

What Yarrow says before metal is bent, each with an example. Made by `./yarrow contract` from
`core/yarrow/findings/code.py`, the words in `core/yarrow/wording/` and the documents of
`core/tests/findings/cases/`. An answer has them with `values`: the figures in the words, each
with its unit.

An **error** keeps the piece from being made, or the check from passing; a **warning** is trouble
ahead; a **note** is worth knowing.
"""


def listing() -> str:
    """The page, in Markdown."""
    parts = [_HEAD]
    for code in FindingCode:
        if code in CASES:
            found = next(each for each in CASES[code].found() if each.code == code)
            parts.append(_entry(found))
    return "\n".join(parts)


def _entry(found: Finding) -> str:
    lines = [f"## `{found.code}`", "", f"**{found.level}** {found.text}", ""]
    if found.path:
        lines.append(f"- at `{found.path}`")
    if found.remedy:
        lines.append(f"- remedy: {found.remedy.label} (`{found.remedy.path}`)")
    if found.source:
        lines.append(f"- source: {found.source}")
    return "\n".join(lines).rstrip() + "\n"


if __name__ == "__main__":
    LISTING.write_text(listing(), "utf-8")
