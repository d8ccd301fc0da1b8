"""What the documents say to type works, what they lead to is there, and none is too long."""

from __future__ import annotations

import json
import os
import re
import shlex
import subprocess
import sys
import unittest

import yarrow
from launcher.__main__ import _parser
from launcher.paths import ROOT

DOCUMENTS = (
    ROOT / "README.md",
    ROOT / "CONTRIBUTING.md",
    *sorted((ROOT / "docs").rglob("*.md")),
)
_COMMAND = re.compile(r"^PYTHONPATH=core python3 (-m yarrow .*)$", re.M)
_LAUNCHED = re.compile(r"\./yarrow ([a-z-]+)")
_LINK = re.compile(r"\]\(([^)#\s]+)(?:#[^)]*)?\)")
_EXAMPLE = re.compile(r"```python\n(.*?)```", re.S)
LONGEST = 200


class Documents(unittest.TestCase):
    def test_every_command_of_the_core_runs(self) -> None:
        commands = [
            (path.name, found)
            for path in DOCUMENTS
            for found in _COMMAND.findall(path.read_text("utf-8"))
        ]
        self.assertGreater(len(commands), 8)
        for name, command in commands:
            with self.subTest(name, command=command):
                done = subprocess.run(
                    [sys.executable, *shlex.split(command, comments=True)],
                    cwd=ROOT,
                    env={**os.environ, "PYTHONPATH": "core"},
                    capture_output=True,
                    text=True,
                    check=False,
                )
                # 3 is an answer that something can't be made.
                self.assertIn(done.returncode, (0, 3), done.stderr)
                self.assertTrue(done.stdout)

    def test_every_command_of_the_start_script_is_one(self) -> None:
        known = _commands()
        for path in DOCUMENTS:
            for command in _LAUNCHED.findall(path.read_text("utf-8")):
                with self.subTest(path.name, command=command):
                    self.assertIn(command, known)

    def test_every_command_is_in_the_documents(self) -> None:
        running = (ROOT / "docs" / "running.md").read_text("utf-8")
        self.assertEqual(_commands() - set(_LAUNCHED.findall(running)), set())
        told = (ROOT / "docs" / "command-line.md").read_text("utf-8")
        for name in yarrow.VERBS:
            with self.subTest(name):
                self.assertRegex(told, rf"[`, ]{name.replace('_', '-')} [A-Z]")

    def test_the_library_s_examples_run(self) -> None:
        document = json.loads((ROOT / "core" / "tests" / "press-hall.run.json").read_text("utf-8"))
        joints = {"joints": {"stick": 60}}
        for name in ("README.md", "docs/library.md"):
            (example,) = _EXAMPLE.findall((ROOT / name).read_text("utf-8"))
            exec(compile(example, name, "exec"), {"document": {**document, **joints}})

    def test_every_link_leads_somewhere(self) -> None:
        for path in DOCUMENTS:
            for link in _LINK.findall(path.read_text("utf-8")):
                if "://" not in link:
                    with self.subTest(path.name, link=link):
                        self.assertTrue((path.parent / link).exists())

    def test_none_is_too_long(self) -> None:
        for path in DOCUMENTS:
            with self.subTest(path.name):
                self.assertLess(len(path.read_text("utf-8").splitlines()), LONGEST)


def _commands() -> set[str]:
    usage = _parser().format_help()
    return set(re.findall(r"^    ([a-z-]+)(?: |$)", usage, re.M))


if __name__ == "__main__":
    unittest.main()
