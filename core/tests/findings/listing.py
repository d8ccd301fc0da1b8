"""docs/findings.md: every finding with an example, from the documents that the tests read; a page a
subject."""

from __future__ import annotations

from collections.abc import Iterator
from pathlib import Path
from types import ModuleType

from core.tests.findings.cases import SUBJECTS
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding

DOCS = Path(__file__).resolve().parents[3] / "docs"

_HEAD = """# Findings

What Yarrow says before metal is bent, each with an example on the page of its subject. Made by
`./yarrow contract` from `core/yarrow/findings/code.py`, the words in `core/yarrow/wording/` and the
documents of `core/tests/findings/cases/`. An answer has them with `values`: the figures in the
words, each with its unit.

An **error** keeps the piece from being made, or the check from passing; a **warning** is trouble
ahead; a **note** is worth knowing.

| code | | says |
| --- | --- | --- |
"""


def pages() -> dict[Path, str]:
    """Every page in Markdown, by where it lies: the list of all, and one a subject."""
    found = {
        DOCS / "findings" / f"{_name(subject)}.md": "\n".join(_page(subject))
        for subject in SUBJECTS
    }
    rows = [row for subject in SUBJECTS for row in _rows(subject)]
    return {DOCS / "findings.md": _HEAD + "\n".join(rows) + "\n", **found}


def _name(subject: ModuleType) -> str:
    return subject.__name__.rpartition(".")[2]


def _findings(subject: ModuleType) -> Iterator[Finding]:
    for code in FindingCode:
        if code in subject.CASES:
            yield next(each for each in subject.CASES[code].found() if each.code == code)


def _rows(subject: ModuleType) -> Iterator[str]:
    for finding in _findings(subject):
        first = finding.text.partition(". ")[0].rstrip(".")
        link = f"[`{finding.code}`](findings/{_name(subject)}.md#{finding.code})"
        yield f"| {link} | {finding.level} | {first} |"


def _page(subject: ModuleType) -> Iterator[str]:
    yield f"# Findings: {_name(subject)}\n"
    for finding in _findings(subject):
        yield _entry(finding)


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
    for path, text in pages().items():
        path.parent.mkdir(exist_ok=True)
        path.write_text(text, "utf-8")
