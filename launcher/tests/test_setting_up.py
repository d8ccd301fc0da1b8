"""What is set up once and left alone after that, and what the checks and the table say."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path
from unittest import mock

from benchmarks.row import Row, at_most
from launcher import node_env, python_env, setup, testing
from launcher.console import LauncherError


class Python(unittest.TestCase):
    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory()
        self.addCleanup(holder.cleanup)
        self.root = Path(holder.name)
        for name in ("requirements.txt", "requirements-test.txt"):
            (self.root / name).write_text("a==1\n")
        (self.root / "venv").mkdir()
        self.ran: list[list[str]] = []
        for target, value in (
            ("ROOT", self.root),
            ("VENV", self.root / "venv"),
            ("PYTHON", self.root / "venv" / "python"),
            ("succeeds", mock.Mock(return_value=True)),
            ("run", self.run_command),
        ):
            patch = mock.patch.object(python_env, target, value)
            patch.start()
            self.addCleanup(patch.stop)

    def run_command(self, command: list[object], **_: object) -> None:
        self.ran.append([str(part) for part in command])
        (self.root / "venv").mkdir(exist_ok=True)

    def test_packages_are_installed_once_and_again_when_the_list_changes(self) -> None:
        python_env.ensure_python(for_tests=False)
        python_env.ensure_python(for_tests=False)
        uv, packages = self.ran
        self.assertEqual(uv[-2:], ["-r", str(self.root / "requirements-uv.txt")])
        self.assertIn(str(self.root / "requirements.txt"), packages)
        for command in self.ran:
            self.assertIn("--require-hashes", command)
        (self.root / "requirements.txt").write_text("a==2\n")
        python_env.ensure_python(for_tests=False)
        self.assertEqual(len(self.ran), 4)

    def test_the_tests_packages_come_on_top(self) -> None:
        python_env.ensure_python(for_tests=False)
        python_env.ensure_python(for_tests=True)
        self.assertIn(str(self.root / "requirements-test.txt"), self.ran[-1])

    def test_after_the_tests_the_demo_has_all_it_needs(self) -> None:
        python_env.ensure_python(for_tests=True)
        python_env.ensure_python(for_tests=False)
        self.assertEqual(len(self.ran), 2)

    def test_a_broken_environment_is_made_anew(self) -> None:
        with mock.patch.object(python_env, "succeeds", return_value=False):
            python_env.ensure_python(for_tests=False)
        self.assertIn("venv", self.ran[0])


class Npm(unittest.TestCase):
    def test_it_installs_from_the_lock_file_and_not_again_until_that_changes(self) -> None:
        with tempfile.TemporaryDirectory() as name, mock.patch.object(node_env, "run") as run:
            folder = Path(name)
            (folder / "node_modules").mkdir()
            (folder / "package-lock.json").write_text("{}")
            node_env.ensure_packages(folder, {})
            node_env.ensure_packages(folder, {})
            self.assertEqual(run.call_count, 1)
            self.assertEqual(run.call_args.args[0][:2], ["npm", "ci"])
            (folder / "package-lock.json").write_text("{ }")
            node_env.ensure_packages(folder, {})
            self.assertEqual(run.call_count, 2)


class Browser(unittest.TestCase):
    def test_a_driver_of_another_version_is_brought_up_with_its_browser(self) -> None:
        for versions, installs in (
            (("156", "156"), False),
            (("156", "150"), True),
            (("156", None), True),
        ):
            with (
                self.subTest(versions=versions),
                mock.patch.object(setup, "_major_version", side_effect=versions),
                mock.patch.object(setup, "ensure_debian") as install,
            ):
                setup.ensure_browser()
                self.assertEqual(install.called, installs)


class Checks(unittest.TestCase):
    def test_stale_types_are_a_failure_that_says_what_to_run(self) -> None:
        with (
            mock.patch.object(testing, "api_types", return_value="something else"),
            self.assertRaisesRegex(LauncherError, "stale. Run: ./yarrow contract"),
        ):
            testing._current_types({})

    def test_a_promise_is_kept_up_to_its_limit_and_no_further(self) -> None:
        self.assertTrue(at_most("x", 100.0, 100, "ms").kept)
        self.assertFalse(at_most("x", 100.01, 100, "ms").kept)
        self.assertIsNone(Row("x", "1").kept)
