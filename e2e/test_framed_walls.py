"""A framed wall on the page: drawn from its numbers, changed by typing, by keys and by tapping."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from e2e.browser import PHONE
from e2e.case import PageTest
from jobs.models import JobWall, Run

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
        browser.until(lambda: len(browser.all("[data-feed-pieces]")) == 4, "four feeds")
        before = browser.see("[data-feed-pieces='3']").text
        browser.write("boxes[3].height", "20")
        browser.until(lambda: browser.see("[data-feed-pieces='3']").text != before, "other pieces")
        browser.see_text("Saved")
        self.assertEqual(self.kept().document["boxes"][3]["height"], "20")
        height = browser.field("boxes[3].height")
        browser.press("Undo (Ctrl Z)")
        browser.until(lambda: height.get_attribute("value") == "16", "what was there, in one step")
        browser.chord(Keys.CONTROL, Keys.SHIFT, "z")
        browser.until(lambda: height.get_attribute("value") == "20", "what was typed")
        browser.press("Conduit")
        browser.press("EMT (thin wall) 3/4", "[role=option]")
        browser.see_text("Saved")
        browser.until(lambda: self.kept().document["conduit"]["size"] == "3/4", "another size")
        self.assertEqual(self.kept().document["bender"], "hand-emt-3/4")
        browser.write("studs.at", "1, 17")
        browser.see_text(", stud: expected one of 2 studs")
        browser.write("studs.at", "")
        browser.write("lines[2].height", "21")
        browser.see_text("Bore it at")
        browser.write("lines[2].height", "tall")
        browser.see_text(", height: expected")
        self.assertEqual(browser.complaints(), [])

    def test_boxes_are_moved_by_keys_and_fed_by_tapping_two(self) -> None:
        browser = self.browser
        self.open_wall()
        outlet = browser.see("[data-wall-box='Outlet 2']")
        outlet.send_keys("\ue013")  # Arrow up
        browser.until(lambda: browser.value("boxes[3].height") == "16.5", "half an inch higher")
        browser.see("[data-wall-box='Outlet 2']").send_keys("\ue014")  # Arrow right: the other face
        browser.see_text("right", "[data-box='3']")
        browser.press("Take out feed 4")
        browser.until(lambda: len(browser.all("[data-feed-line]")) == 3, "three feeds")
        browser.see("[data-wall-box='Outlet 1']").send_keys("\ue007")  # Enter
        browser.see("[data-wall-box='Outlet 2']").send_keys("\ue007")
        browser.until(lambda: len(browser.all("[data-feed-line]")) == 4, "a feed more")
        browser.see_text("Saved")
        feeds = self.kept().document["feeds"]
        self.assertEqual((feeds[-1]["from"], feeds[-1]["to"]), ("Outlet 1", "Outlet 2"))
        self.assertEqual(browser.complaints(), [])

    def test_a_box_and_a_line_of_holes_are_dragged_to_what_they_snap_to(self) -> None:
        browser = self.browser
        self.open_wall()
        browser.drag(browser.see("[data-wall-box='Outlet 2']"), -42, -3)
        # Level with the other outlet again, and against the right face of the stud before.
        browser.until(lambda: browser.value("boxes[3].stud") == "11", "the next stud")
        browser.see_text("right", "[data-box='3']")
        self.assertEqual(browser.value("boxes[3].height"), "16")
        browser.drag(browser.see("[data-wall-line='middle']"), 0, -24)
        browser.until(lambda: browser.value("lines[1].height") == "80", "level with the upper line")
        browser.see("[data-wall-line='middle']").send_keys(Keys.ARROW_DOWN)
        browser.until(lambda: browser.value("lines[1].height") == "79.5", "half an inch lower")
        self.assertEqual(browser.complaints(), [])

    def test_a_box_goes_where_the_wall_is_tapped(self) -> None:
        browser = self.browser
        self.open_wall()
        count = len(self.kept().document["boxes"])
        scale = float(browser.see("[data-wall-free]").get_attribute("height")) / 96
        # From the wall's middle: 10 in over the outlets' tops, 3 in right of stud 6's right face.
        studs = {each.text: each for each in browser.all("[data-wall-plan] text")}
        middle = browser.see("[data-wall-free]").rect
        stud = studs["6"].rect
        across = stud["x"] + stud["width"] / 2 - (middle["x"] + middle["width"] / 2)
        browser.tap_at(browser.see("[data-wall-free]"), across + 3 * scale, (48 - 27) * scale)
        browser.see(f"[data-box='{count}']")
        browser.see_text("Saved")
        box = self.kept().document["boxes"][count]
        self.assertEqual((box["stud"], box["side"], box["to"]), (6, "right", "top"))
        self.assertAlmostEqual(float(box["height"]), 27, delta=0.5)
        # Once a feed is begun, a tap beside the boxes lets go of it.
        browser.see("[data-wall-box='Outlet 1']").send_keys(Keys.ENTER)
        browser.see("[data-wall-box='Outlet 1'][aria-pressed=true]")
        browser.tap_at(browser.see("[data-wall-free]"), 0, 0)
        browser.see("[data-wall-box='Outlet 1'][aria-pressed=false]")
        self.assertEqual(len(browser.all("[data-box]")), count + 1)
        self.assertEqual(browser.complaints(), [])

    def test_an_opening_takes_studs_away_and_a_box_stands_beside_it(self) -> None:
        browser = self.browser
        self.open_wall()
        browser.press("Add an opening")
        browser.see("[data-wall-opening='Opening 2']")
        browser.write("openings[1].name", "Door")
        browser.see("[data-wall-opening='Door']")
        # From 48 to 80 along: over the door there is no more left of the switch's stud.
        browser.see_text("There is no stud behind Switch at its height")
        browser.press("What Switch stands beside")
        browser.press("Door", "[role=option]")
        browser.see_text("left of an opening's frame")
        browser.see_text("Saved")
        self.assertEqual(self.kept().document["boxes"][1]["beside"], "Door")
        self.assertEqual(browser.complaints(), [])

    def test_another_knockout_is_taken_and_told_where_it_is_wrong(self) -> None:
        browser = self.browser
        self.open_wall()
        browser.press("Knockout of Outlet 1, feed 4")
        browser.press("right middle", "[role=option]")
        browser.see_text("right middle of Outlet 1 lies behind the device's screws")
        browser.press("Knockout of Outlet 1, feed 4")
        browser.press("right upper", "[role=option]")
        browser.gone("behind the device's screws")
        browser.see_text("right upper", "[data-feed-line='3']")
        self.assertEqual(browser.complaints(), [])

    def test_a_feed_is_a_run_that_opens_in_the_planner_and_replans_with_the_wall(self) -> None:
        browser = self.browser
        self.open_wall()
        browser.press("Outlet 1 to Outlet 2")
        browser.see_text("This run is made by the wall Framed office, gable wall")
        browser.see_text("Piece 1 of 3")
        before = Run.objects.get(name="Outlet 1 to Outlet 2")
        browser.press(NAME)
        browser.see("[data-wall-box='Switch']")
        browser.write("boxes[3].height", "18")
        browser.until(
            lambda: Run.objects.get(id=before.id).document["path"] != before.document["path"],
            "the run's own way",
        )
        self.assertEqual(browser.complaints(), [])

    def test_the_sheet_has_what_was_typed_last(self) -> None:
        browser = self.browser
        self.open_wall()
        browser.write("boxes[3].height", "17")
        browser.press("Sheet")
        browser.see_text("top at 17", "[data-sheet]")
        browser.see_text("Board to Outlet 1", "[data-sheet]")
        browser.press("Letter", "button")
        browser.see("[data-paper=letter] svg")
        browser.press("Back to the wall")
        browser.see("[data-wall-box='Switch']")
        self.assertEqual(browser.complaints(), [])

    def test_a_way_out_is_fed_from_the_list(self) -> None:
        browser = self.browser
        self.open_wall()
        browser.press("Add a way out")
        browser.press("Add a feed")
        browser.see("[data-wall-out='Ceiling 2']")
        browser.see_text("Saved")
        browser.write("ways_out[1].at", "64 3/4")
        browser.see_text("Ceiling 2 goes up at 64 3/4 in, on stud 5. Put it in a bay.")
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
