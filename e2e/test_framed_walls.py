"""A framed wall on the page: drawn from its numbers, changed by typing, by keys and by tapping."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from e2e.browser import PHONE
from e2e.case import PageTest
from jobs.models import JobWall

NAME = "Framed office, gable wall"


class FramedWalls(PageTest):
    def open_wall(self) -> None:
        self.enter()
        self.go("/")
        self.browser.press("Saltmarsh Cider Works")
        self.browser.press(NAME)
        self.browser.see("[data-wall-box='Switch']")

    def kept(self) -> JobWall:
        return JobWall.objects.get(name=NAME)

    def test_a_wall_replans_as_it_is_typed_and_is_kept(self) -> None:
        browser = self.browser
        self.open_wall()
        browser.until(lambda: len(browser.all("[data-feed-pieces]")) == 3, "three feeds")
        before = browser.see("[data-feed-pieces='2']").text
        browser.write("boxes[3].height", "20")
        browser.until(lambda: browser.see("[data-feed-pieces='2']").text != before, "other pieces")
        browser.see_text("Saved")
        self.assertEqual(self.kept().document["boxes"][3]["height"], "20")
        height = browser.field("boxes[3].height")
        browser.press("Undo (Ctrl Z)")
        browser.until(lambda: height.get_attribute("value") == "16", "what was there, in one step")
        browser.chord(Keys.CONTROL, Keys.SHIFT, "z")
        browser.until(lambda: height.get_attribute("value") == "20", "what was typed")
        browser.write("lines[2].height", "21")
        browser.see_text("Bore it at")
        browser.write("lines[2].height", "tall")
        browser.see_text("lines[2].height: expected")
        self.assertEqual(browser.complaints(), [])

    def test_boxes_are_moved_by_keys_and_fed_by_tapping_two(self) -> None:
        browser = self.browser
        self.open_wall()
        outlet = browser.see("[data-wall-box='Outlet 2']")
        outlet.send_keys("\ue013")  # Arrow up
        browser.until(lambda: browser.value("boxes[3].height") == "16.5", "half an inch higher")
        browser.see("[data-wall-box='Outlet 2']").send_keys("\ue012")  # Arrow left: the other face
        browser.see_text("left", "[data-box='3']")
        browser.press("Take out feed 3")
        browser.until(lambda: len(browser.all("[data-feed-line]")) == 2, "two feeds")
        browser.see("[data-wall-box='Outlet 1']").send_keys("\ue007")  # Enter
        browser.see("[data-wall-box='Outlet 2']").send_keys("\ue007")
        browser.until(lambda: len(browser.all("[data-feed-line]")) == 3, "a feed more")
        browser.see_text("Saved")
        feeds = self.kept().document["feeds"]
        self.assertEqual((feeds[-1]["from"], feeds[-1]["to"]), ("Outlet 1", "Outlet 2"))
        self.assertEqual(browser.complaints(), [])

    def test_a_new_wall_is_begun_on_a_phone(self) -> None:
        browser = self.browser
        browser.resize(PHONE)
        self.enter()
        self.go("/")
        browser.press("Saltmarsh Cider Works")
        browser.press("New wall")
        browser.press("Add a box")
        browser.see("[data-wall-box='Box 1']")
        browser.see_text("Saved")
        self.assertEqual(JobWall.objects.get(name="New wall").document["boxes"][0]["stud"], 2)
        self.assertEqual(browser.complaints(), [])

    def test_a_wall_is_removed_and_brought_back(self) -> None:
        browser = self.browser
        self.open_wall()
        browser.press("More")
        browser.press("Remove this wall", "[role=menuitem]")
        browser.press("What was removed")
        browser.see_text(NAME, "[role=dialog]")
        self.assertIsNotNone(self.kept().removed_at)
        browser.press(f"Restore {NAME}", "[role=dialog] button")
        browser.until(lambda: self.kept().removed_at is None, "the wall that is back")
        self.assertEqual(browser.complaints(), [])
