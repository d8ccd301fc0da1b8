"""A port that is taken, a start that was interrupted, a machine without what is needed."""

from __future__ import annotations

import os
import signal
import socket
import stat
import subprocess
import sys
import tempfile
import unittest
from pathlib import Path
from threading import Event
from unittest import mock

from launcher import debian, demo, keys, node_env, paths, postgres
from launcher.console import LauncherError


class Folder(unittest.TestCase):
    """With a state folder of its own, that the postgres user can reach."""

    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory(prefix="yarrow-state-")
        self.addCleanup(holder.cleanup)
        self.state = Path(holder.name)
        self.state.chmod(0o755)
        for module in (keys, postgres, node_env):
            patch = mock.patch.object(module, "STATE", self.state)
            patch.start()
            self.addCleanup(patch.stop)


class Keys(Folder):
    def test_they_are_made_once_and_for_the_owner_alone(self) -> None:
        first = keys.keys()
        self.assertEqual(keys.keys(), first)
        mode = stat.S_IMODE((self.state / "keys.json").stat().st_mode)
        self.assertEqual(mode, 0o600)

    def test_a_half_written_file_is_made_anew(self) -> None:
        (self.state / "keys.json").write_text('{"database": "x"')
        self.assertEqual(set(keys.keys()), {"database", "django"})


class Database(Folder):
    def test_a_half_made_cluster_is_healed_and_its_data_is_kept_after_that(self) -> None:
        data = postgres._data_folder("heal")
        data.mkdir()
        (data / "PG_VERSION").write_text("15\n")  # what an interrupted initdb may leave
        self.addCleanup(subprocess.run, ["rm", "-rf", str(data)], check=False)
        with postgres.cluster("heal", durable=False) as environment:
            self.assertTrue((data / "yarrow-made").is_file())
            self.assertNotIn(":5432/", environment["YARROW_DATABASE"])
            with self.assertRaisesRegex(LauncherError, "already running"), postgres.cluster("heal"):
                self.fail("two starts at once")
        made = (data / "yarrow-made").stat().st_mtime_ns
        with postgres.cluster("heal", durable=False):
            self.assertEqual((data / "yarrow-made").stat().st_mtime_ns, made)

    def test_a_cluster_that_dies_is_started_again_where_it_was(self) -> None:
        data = postgres._data_folder("die")
        self.addCleanup(subprocess.run, ["rm", "-rf", str(data)], check=False)
        started = Event()
        with (
            mock.patch.object(postgres, "_LOOK_EVERY_S", 0.05),
            mock.patch.object(postgres, "write_line", side_effect=lambda _: started.set()),
            postgres.cluster("die", durable=False) as environment,
        ):
            first = int((data / "postmaster.pid").read_text().split("\n")[0])
            os.kill(first, signal.SIGKILL)
            self.assertTrue(started.wait(60))
            self.assertEqual(postgres.running("die"), environment)
            self.assertNotEqual(int((data / "postmaster.pid").read_text().split("\n")[0]), first)
        self.assertIsNone(postgres.running("die"))

    def test_where_the_postgres_user_can_t_reach_the_folder_the_data_goes_elsewhere(self) -> None:
        if os.geteuid() != 0:
            self.assertEqual(postgres._data_folder("x"), self.state / "postgres-x")
            return
        self.state.chmod(0o700)
        self.assertEqual(postgres._data_folder("x").parts[:4], ("/", "var", "lib", "yarrow"))


class Orphans(unittest.TestCase):
    def test_the_port_of_a_server_whose_start_was_killed_becomes_free(self) -> None:
        port = postgres.free_port()
        database = {"YARROW_DATABASE": "postgresql://x@127.0.0.1:1/x", "YARROW_SECRET_KEY": "x"}
        start = f"import os, signal\nfrom launcher import demo\ndemo.serve({port}, {database})\n"
        killed = "while demo._is_free({0}): pass\nos.kill(os.getpid(), signal.SIGKILL)"
        done = subprocess.run(
            [sys.executable, "-c", start + killed.format(port)], cwd=paths.ROOT, check=False
        )
        self.assertEqual(done.returncode, -signal.SIGKILL)
        demo._check_port(port)  # waits for it, and gives up where it stays taken
        self.assertTrue(demo._is_free(port))


class Words(unittest.TestCase):
    def test_a_port_in_use_is_a_clear_word_and_another_to_try(self) -> None:
        with socket.socket() as taken:
            taken.bind(("127.0.0.1", 0))
            taken.listen()
            port = taken.getsockname()[1]
            short = mock.patch.object(demo, "_ORPHAN_ENDS_S", 0.0)
            with (
                short,
                self.assertRaisesRegex(LauncherError, f"Port {port} is in use.*--port {port + 1}"),
            ):
                demo.demo(port=port)

    def test_without_the_right_to_install_the_line_to_run_is_told(self) -> None:
        with (
            mock.patch("os.geteuid", return_value=1000),
            mock.patch.object(debian, "succeeds", return_value=False),
            self.assertRaisesRegex(
                LauncherError, "sudo sh -c 'apt-get update && apt-get install -y"
            ),
        ):
            debian.ensure_packages(["chromium"])

    def test_an_old_node_is_not_enough(self) -> None:
        for version, enough in (("v20.18.3", False), ("v20.19.0", True), ("v22.1.0", True)):
            told = mock.Mock(stdout=version)
            with mock.patch("subprocess.run", return_value=told):
                self.assertEqual(node_env._new_enough("node"), enough, version)
        self.assertFalse(node_env._new_enough(None))
