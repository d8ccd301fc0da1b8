"""Will the wire go in: on a run, without one, in boxes, and for a whole schedule."""

from __future__ import annotations

import tempfile
from pathlib import Path

from selenium.webdriver.common.keys import Keys

from e2e.case import PageTest
from jobs.models import SiteBox

CELLAR_MAIN = "Cellar main, over the water pipe"
PRESS_HALL = "Press hall feed, bay 2"


class OfARun(PageTest):
    def wires(self) -> None:
        self.browser.press("Wires", "[role=radio]")

    def test_what_does_not_go_in_is_said_beside_the_bends_and_a_touch_takes_the_next_size(
        self,
    ) -> None:
        browser = self.browser
        self.open_run(CELLAR_MAIN)
        browser.see_text("118 %", "[data-fill]")
        browser.see_text("The wires: It does not go in", "[data-finding=wires-do-not-fit]")
        self.wires()
        browser.see("[data-verdict=full]")
        browser.press("Take 3/4", "[data-finding=does-not-fit] button")
        browser.see("[data-verdict=fits]")
        browser.see_text("67 %", "[data-verdict]")
        browser.see_text(
            "EMT (thin wall) 3/4", "section[aria-label='What it is bent from and with']"
        )
        browser.see_text("Saved")
        self.assertEqual(self.run_named(CELLAR_MAIN).document["conduit"]["size"], "3/4")
        browser.chord(Keys.CONTROL, "z")
        browser.see("[data-verdict=full]")
        self.assertEqual(browser.complaints(), [])

    def test_wire_is_said_dragged_and_kept_and_every_one_is_drawn(self) -> None:
        browser = self.browser
        self.open_run("Framed office, as the tape met it")
        self.wires()
        browser.press("Say what goes in")
        browser.field("say").send_keys("8 x 12 thhn, 1 x 12 bare", Keys.ENTER)
        browser.see("[data-verdict=fits]")
        browser.see("svg[data-packed='9']")
        slider = browser.see("[role=slider]")
        slider.send_keys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT)
        browser.see("[data-verdict=full]")
        browser.see("svg[data-packed='11']")
        slider.send_keys(Keys.ARROW_LEFT)
        browser.see_text("Saved")
        kept = self.run_named("Framed office, as the tape met it").document["wires"]
        self.assertEqual([each["count"] for each in kept["conductors"]], [9, 1])
        browser.field("say").send_keys("three fat ones", Keys.ENTER)
        browser.see_text('not "three fat ones"', "[role=alert]")
        self.assertEqual(browser.complaints(), [])

    def test_another_bend_checks_the_factors_again(self) -> None:
        browser = self.browser
        self.open_run("Pump 2 supply, set and back to back")
        self.wires()
        browser.see_text("3 bends", "[data-verdict]")
        before = browser.see("[data-fill]").text
        browser.press("Line 1: move")
        browser.press("Remove", "[role=menuitem]")
        browser.see_text("2 bends", "[data-verdict]")
        browser.until(lambda: browser.see("[data-fill]").text != before, "another share")

    def test_the_pull_names_the_easier_end_and_the_stricter_habit_a_pull_point(self) -> None:
        browser = self.browser
        self.open_run("Bottling line drop")
        self.wires()
        browser.see_text("the start (easier)", "section[aria-label='The pull']")
        browser.press("Most degrees between pull points", "[role=combobox]")
        browser.press("270°", "[role=option]")
        browser.see_text("270° of 270° between pull points", "section[aria-label='The pull']")
        browser.write("wires.pull.mass", "2")
        browser.gone("(estimated)", "section[aria-label='The pull']")
        browser.see_text("Saved")
        pull = self.run_named("Bottling line drop").document["wires"]["pull"]
        self.assertEqual(pull["mass"], 2)

    def test_circuits_become_conductors_and_colours_tell_what_is_asked(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.keys("w")
        browser.see("svg[data-packed='8']")
        browser.press("Kind of circuit", "[role=combobox]")
        browser.press("radial", "[role=option]")
        # A line, a neutral; the ground of the other circuits serves this one too.
        browser.see("svg[data-packed='7']")
        browser.press("Travellers", "[role=combobox]")
        browser.press("2 travellers", "[role=option]")
        browser.see("svg[data-packed='9']")
        first = browser.see("svg[data-packed] ellipse").get_attribute("fill")
        self.assertIn("--wire-", first or "")
        browser.press("By phase colours", "[role=radio]")
        browser.until(
            lambda: (
                "--us-" in (browser.see("svg[data-packed] ellipse").get_attribute("fill") or "")
            ),
            "phase colours, now that they are asked for",
        )
        browser.press("Remove this circuit")
        browser.see("svg[data-packed='5']")
        browser.press("Add wire")
        browser.press("An oval cable", "[role=menuitem]")
        browser.see("svg[data-packed='6']")
        browser.see_text("Saved")
        kept = self.run_named(PRESS_HALL).document["wires"]
        self.assertEqual(kept["conductors"], [{"count": 1, "width": "0.41", "height": "0.18"}])
        browser.keys("w")
        browser.see("[aria-label='The shape'] svg")
        self.assertEqual(browser.complaints(), [])

    def test_the_rules_of_the_job_decide_how_wire_is_checked(self) -> None:
        browser = self.browser
        run = self.run_named("Level sensor, wet well stair")
        self.enter()
        self.go(f"/jobs/{run.job_id}")
        browser.see_text("by BS 7671 (UK)", "main")
        browser.press("The rules of this job", "[role=combobox]")
        browser.press("by NFPA 70 (US)", "[role=option]")
        browser.until(lambda: self.run_named(run.name).job.rules == "us", "the rules are kept")
        self.go(f"/runs/{run.id}")
        browser.see("[data-cut]")
        browser.press("Wires", "[role=radio]")
        browser.press("Say what goes in")
        browser.field("say").send_keys("6 x 2.5", Keys.ENTER)
        browser.see_text("40 %", "[data-verdict]")
        browser.press("By which rule", "[role=combobox]")
        browser.press("by drawing-in factors", "[role=option]")
        browser.see_text("by factor", "[data-verdict]")
        browser.see_text("By area, more than two", "dl")

    def test_no_wires_and_back_again(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.press("Wires", "[data-fill], dt button")
        browser.see("[data-verdict]")
        browser.press("No wires")
        browser.see_text("Say what goes in")
        browser.until(lambda: not browser.all("[data-fill]"), "its fill is gone")
        browser.chord(Keys.CONTROL, "z")
        browser.see("[data-verdict]")


class WithoutARun(PageTest):
    def test_three_entries_and_the_answer_is_there(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/")
        browser.press("Quick check")
        browser.see_text("98 %", "[data-verdict]")
        browser.press("Size", "[role=combobox]")
        browser.press("3/4", "[role=option]")
        browser.see_text("56 %", "[data-verdict]")
        field = browser.see("input[aria-label='How many']")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys("17")
        browser.see("[data-verdict=full]")
        browser.press("Take 1", "[data-finding=does-not-fit] button")
        browser.see("[data-verdict=fits]")
        # It is there again the next time.
        browser.driver.refresh()
        browser.see_text("EMT (thin wall) 1", "[data-verdict]")

    def test_factors_trunking_boxes_and_holes(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/check/conduit")
        browser.press("By factors", "[role=radio]")
        browser.see_text("of 209 by factor", "[data-verdict]")
        browser.write("length", "")
        browser.see_text("Expected the run's length", "[role=alert]")
        self.go("/check/box")
        browser.see_text("20.25", "[data-verdict]")
        browser.press("Cable clamps inside", "button[role=checkbox], label")
        browser.see_text("The box is too small", "[data-verdict]")
        browser.press("Take square-4-2-1/8")
        browser.see_text("30.3 in³ there", "[data-verdict]")
        self.go("/check/pullbox")
        browser.see_text("At least 18 by 12 in", "[data-verdict]")
        browser.until(lambda: len(browser.all("[data-raceway]")) == 2, "two raceways")
        self.go("/check/holes")
        browser.see_text("behind a device's screws", "[data-finding=at-the-screws]")
        self.assertEqual(browser.complaints(), [])

    def test_what_can_t_be_read_is_said_where_it_stands(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/check/conduit")
        browser.see("[data-verdict=fits]")
        field = browser.see("input[aria-label='How many']")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys("1000000")
        browser.see_text("from 1 to 10000", "[role=alert]")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys("9")
        browser.gone("from 1 to 10000")
        browser.write("spare", "95")
        browser.see_text("from 0 to 90", "[role=alert]")
        browser.write("spare", "20")
        browser.see("[data-verdict=spare]")
        browser.press("Take 3/4", "[data-finding=spare-not-kept] button")
        browser.see("[data-verdict=fits]")
        self.go("/check/box")
        browser.press("Box", "[role=combobox]")
        browser.press("conduit body", "[role=option]")
        browser.see_text("12 in³ there", "[data-verdict]")
        browser.see_text("The box is too small", "[data-verdict]")

    def bring_in(self, table: bytes, label: str = "A schedule as CSV") -> None:
        with tempfile.NamedTemporaryFile(suffix=".csv", delete=False) as file:
            file.write(table)
        self.addCleanup(Path(file.name).unlink)
        self.browser.all(f"input[aria-label='{label}']")[0].send_keys(file.name)

    def test_a_schedule_is_checked_or_refused_by_line_and_column(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/check/schedule")
        head = "name,type,size,length,bends,wires\n"
        rows = "".join(f"run {n},emt,1/2,60,1,{n % 12 + 1} x 12\n" for n in range(240))
        browser.see("pre")
        self.bring_in((head + rows).encode())
        browser.see_text("60 of 240 do not go in", "[data-schedule]")
        browser.press("Those that do not", "[role=radio]")
        browser.until(lambda: len(browser.all("tbody tr")) == 60, "sixty rows")
        self.bring_in(f"{head}a,emt,1/2,60,1,9 x 12\nb,emt,5/8,60,1,9 x 12".encode())
        browser.see_text("Nothing of it was taken")
        browser.see_text("Line 3, column 3 (size)", "[role=alert]")
        self.assertEqual(browser.complaints(), [])

    def test_a_schedule_gives_the_runs_of_a_job_their_wire_or_none(self) -> None:
        browser = self.browser
        self.enter()
        run = self.run_named(PRESS_HALL)
        self.go(f"/jobs/{run.job_id}")
        label = "Schedule for this job, CSV"
        browser.see("section[aria-label='Wire schedule']")
        head = "name,type,size,wires\n"
        good = f'"{PRESS_HALL}",emt,1/2,4 x 12\n'
        self.bring_in(f"{head}{good}Nowhere,emt,1/2,4 x 12\n".encode(), label)
        browser.see_text("Line 3, column 1 (name)", "[role=alert]")
        self.assertIn("circuits", self.run_named(PRESS_HALL).document["wires"])
        self.bring_in((head + good).encode(), label)
        browser.see_text("1 run has new wire")
        self.assertNotIn("circuits", self.run_named(PRESS_HALL).document["wires"])


class AtABox(PageTest):
    def test_who_changes_a_box_second_is_told(self) -> None:
        browser = self.browser
        job = self.run_named(PRESS_HALL).job_id
        self.enter()
        self.go(f"/jobs/{job}/box?name=Press%20hall%20junction")
        browser.see("[data-met]")
        box = SiteBox.objects.get(key="press hall junction")
        box.version += 1
        box.save()
        browser.press("A device in the middle", "button[role=checkbox], label")
        browser.see_text("You saved this box in another tab", "[role=dialog]")
        box.refresh_from_db()
        self.assertNotIn("device", box.document)
        browser.press("Keep mine as the next version")
        browser.see_text("Saved", "[role=status]")
        box.refresh_from_db()
        self.assertTrue(box.document["device"])

    def test_large_wire_is_checked_by_the_box_at_hand(self) -> None:
        browser = self.browser
        job = self.run_named(PRESS_HALL).job_id
        self.enter()
        self.go(f"/jobs/{job}/box?name=Bottling%20pull%20box")
        browser.see_text("12 by 12 in at hand, 7.5 by 7.5 needed", "section[aria-label='Pull box']")
        field = browser.see("section[aria-label='Its sides'] input")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys("7")
        browser.see_text("It is too small", "section[aria-label='Pull box']")
        browser.until(lambda: browser.all("[data-saving=saved]"), "saved")
        self.go(f"/jobs/{job}")
        browser.see_text("something about it does not do", "section[aria-label=Boxes]")

    def test_a_run_names_a_box_and_the_box_shows_it_whole(self) -> None:
        browser = self.browser
        run = self.open_run("Weighbridge, on strut")
        browser.write("start.box", "Press hall junction")
        browser.see_text("Saved")
        browser.press("open", "a")
        browser.see("[data-met=D]")
        browser.see_text("Weighbridge, on strut", "[data-met=D]")
        browser.press("Wall of D", "[role=combobox]")
        browser.press("top wall", "[role=option]")
        browser.until(lambda: browser.all("[data-saving=saved]"), "saved")
        browser.until(
            lambda: SiteBox.objects.get(key="press hall junction").document.get("entries"),
            "the wall is kept",
        )
        kept = SiteBox.objects.get(key="press hall junction").document["entries"]
        self.assertEqual((kept[0]["run"], kept[0]["wall"]), ("Weighbridge, on strut", "top"))
        self.go(f"/jobs/{run.job_id}")
        browser.see_text("Weighbridge, on strut", "section[aria-label=Boxes]")
        self.assertEqual(browser.complaints(), [])
