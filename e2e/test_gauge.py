"""A gauge at the bench: the stand-in's, live through the server, and the phone itself."""

from __future__ import annotations

import socket
import threading

from django.test import override_settings

from e2e.case import PageTest
from launcher.gauge.lines import Gauge
from launcher.gauge.simulated_bender import SimulatedBender

NAME = "Capper drop, own bender"


class AGaugeAtTheBench(PageTest):
    def bend_step(self) -> None:
        self.enter()
        self.go(f"/runs/{self.run_named(NAME).id}/bench")
        self.browser.see("[data-bench][data-current=true]")
        self.browser.press("Done. Next mark")

    def test_the_angle_climbs_it_says_stop_and_what_stayed_is_kept(self) -> None:
        browser = self.browser
        bender = SimulatedBender(5, noise=0.05)
        gauge = Gauge(bender, "482913")
        with socket.create_server(("127.0.0.1", 0)) as server:
            for work in (gauge.run, lambda: gauge.accept(server)):
                threading.Thread(target=work, daemon=True).start()
            with override_settings(GAUGE=server.getsockname()):
                self.bend_step()
                browser.press("Gauge", "[role=radio]")
                browser.write("gauge.code", "482914")
                browser.press("Pair it")
                browser.see_text("not the code that the gauge shows")
                browser.write("gauge.code", "482913")
                browser.press("Pair it")
                browser.see("[data-gauge=instrument] [data-live-angle]")
                browser.press("Zero")
                bender.press("bending")
                browser.see_text("Stop", "[data-gauge]")
                bender.press("nothing")
                browser.press("It stayed at")
                browser.see_text("3 of 5")
                browser.see("[data-bench][data-current=true]")
                gauge.silent = True
                browser.until(self.says_nothing, "that it says nothing")
                browser.press_past("Leave it so", "Bent. Next mark")
                browser.see_text("4 of 5")
        browser.press("Back")
        browser.press("Back")
        browser.press("It came out different")
        kept = float(browser.value("read.angle"))
        # Stopped at 93 or a little later; it springs back by its own share.
        self.assertAlmostEqual(kept, bender.pipe, delta=0.6)
        self.assertEqual(browser.complaints(), [])

    def test_without_a_gauge_it_says_so_and_goes_on(self) -> None:
        browser = self.browser
        with override_settings(GAUGE=("127.0.0.1", 1)):
            self.bend_step()
            browser.press("Gauge", "[role=radio]")
            browser.see_text("There is no gauge. Read by hand")
            browser.press("Bent. Next mark")
            browser.see_text("3 of 5")

    def test_the_phone_shows_by_how_far_it_was_turned_from_the_other_leg(self) -> None:
        browser = self.browser
        self.bend_step()
        self.lies(alpha=10, beta=20, gamma=0)
        browser.press("This phone", "[role=radio]")
        browser.see("[data-gauge=phone] [data-live-angle='0.0']")
        browser.press("Zero")
        self.lies(alpha=10, beta=110, gamma=0)
        browser.see("[data-gauge=phone] [data-live-angle='90.0']")
        browser.press("It stayed at 90°")
        browser.see_text("3 of 5")

    def says_nothing(self) -> bool:
        """What stopped a little late may be far enough off to be mended: it is left so."""
        self.browser.ask("all('button').find(one => text(one) === 'Leave it so')?.click()")
        said = "return all('[data-gauge]').some(one => text(one).includes(arguments[0]))"
        return bool(self.browser.ask(said, "says nothing. Read by hand"))

    def lies(self, **degrees: float) -> None:
        """How the device lies, as its sensor tells."""
        self.browser.command("DeviceOrientation.setDeviceOrientationOverride", **degrees)
