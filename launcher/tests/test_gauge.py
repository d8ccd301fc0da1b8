"""The stand-in for a gauge: what its bender does, and that it speaks as docs/gauge.md says."""

from __future__ import annotations

import re
import socket
import threading
import unittest

from launcher.gauge.lines import Gauge
from launcher.gauge.simulated_bender import BENDS_PER_S, LARGEST, SimulatedBender


class ABender(unittest.TestCase):
    def bent_to(self, bender: SimulatedBender, angle: float) -> float:
        """What stays after bending to an angle."""
        bender.press("bending")
        bender.run(angle / BENDS_PER_S)
        bender.press("nothing")
        for _ in range(40):
            bender.run(0.05)
        return bender.pipe

    def test_it_springs_back_by_its_seed_s_own_share(self) -> None:
        bender = SimulatedBender(3)
        kept = self.bent_to(bender, 93)
        self.assertAlmostEqual(kept, 93 / (1 + bender.springs / 90))
        self.assertTrue(2 <= bender.springs <= 6)
        self.assertEqual(SimulatedBender(3).springs, bender.springs)
        self.assertNotEqual(SimulatedBender(4).springs, bender.springs)

    def test_bent_on_it_goes_further_and_never_back(self) -> None:
        bender = SimulatedBender(3)
        first = self.bent_to(bender, 40)
        self.assertGreater(self.bent_to(bender, 10), first)
        bender.press("unbending")
        before = bender.pipe
        bender.run(1.0)
        self.assertAlmostEqual(bender.pipe, before)

    def test_after_many_bends_the_shoe_still_comes_away_from_the_pipe(self) -> None:
        bender = SimulatedBender(3)
        for _ in range(20):
            bender.next_bend()
        kept = self.bent_to(bender, 48)
        bender.press("unbending")
        for _ in range(60):
            bender.run(0.05)
        self.assertAlmostEqual(bender.pipe, kept)

    def test_it_stops_at_its_end_and_drifts_from_bend_to_bend(self) -> None:
        bender = SimulatedBender(3)
        bender.press("bending")
        bender.run(60.0)
        self.assertEqual(bender.pipe, LARGEST)
        kept = bender.kept(90)
        bender.next_bend()
        self.assertEqual(bender.pipe, 0)
        self.assertLess(bender.kept(90), kept)


class ItsLines(unittest.TestCase):
    def test_a_listener_is_greeted_and_hears_readings(self) -> None:
        gauge = Gauge(SimulatedBender(1), "482913")
        with socket.create_server(("127.0.0.1", 0)) as server:
            for work in (gauge.run, lambda: gauge.accept(server)):
                threading.Thread(target=work, daemon=True).start()
            with socket.create_connection(server.getsockname(), timeout=5) as heard:
                lines = heard.makefile("rb")
                hello = b"YARROW-GAUGE/1 simulated powered bender 482913\n"
                self.assertEqual(lines.readline(), hello)
                for _ in range(3):
                    self.assertRegex(lines.readline(), re.compile(rb"^A -?\d+\.\d\d [LF]\n$"))


if __name__ == "__main__":
    unittest.main()
