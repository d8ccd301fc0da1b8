"""A run parted into sticks on the page: pieces with marks of their own, joints moved by hand."""

from __future__ import annotations

from e2e.browser import PHONE
from e2e.case import PageTest

LONG = "Loft feed, three sticks"


class Pieces(PageTest):
    def cuts(self) -> list[str]:
        found = self.browser.all("[data-piece] .text-lg [data-reading]")
        return [cell.get_attribute("data-reading") or "" for cell in found]

    def test_a_long_run_is_parted_and_every_piece_has_its_own_marks(self) -> None:
        browser = self.browser
        self.open_run(LONG)
        browser.press("Pieces", "[role=radio]")
        browser.press("One piece")
        browser.see_text("longer than a stick")
        whole = browser.until(lambda: len(browser.marks()) == 4 and browser.marks(), "four marks")
        browser.press("Part it")
        browser.see_text("Piece 1 of 3")
        # Two whole sticks, and the rest: 29' 5/8" less twice 10' and twice what a stop holds open.
        self.assertEqual(self.cuts(), ["10' 0\"", "10' 0\"", "9' 1/2\""])
        browser.until(lambda: browser.marks() == whole[:3], "the marks of the first piece")
        browser.press("The next piece")
        # 211 7/8 along the run, less 120 and 1/16.
        browser.until(lambda: browser.marks() == ["91 13/16"], "the second piece's one mark")
        browser.press("Steps", "[role=radio]")
        browser.see_text("Push piece 2 into the set-screw coupling on piece 1")
        browser.press("Marks", "[role=radio]")
        browser.press("Flat", "[role=radio]")
        browser.until(lambda: len(browser.all("[data-joint-at]")) == 4, "two joints in two views")
        browser.see_text("Saved")
        browser.press("Sheet")
        browser.see_text("Piece 1 of 3", "[data-sheet]")
        browser.press("The next piece")
        browser.see_text("Piece 2 of 3", "[data-sheet]")
        browser.see_text("Push piece 2 into the set-screw coupling", "[data-sheet]")
        self.assertEqual(browser.complaints(), [])

    def test_joints_are_moved_by_hand_and_mended_where_they_are_wrong(self) -> None:
        browser = self.browser
        self.open_run(LONG)
        browser.press("Pieces", "[role=radio]")
        browser.press("Who says where", "[role=combobox]")
        browser.press("where you say", "[role=option]")
        browser.write("joints.places[0].at", "1")
        browser.see_text("Joint 1 lies in a bend")
        browser.press("Move it to", "[data-finding=joint-in-bend] button")
        browser.gone("Joint 1 lies in a bend")
        browser.write("joints.places[0].at", "24")
        browser.see_text("Saved")
        self.assertEqual(
            self.run_named(LONG).document["joints"]["places"][0], {"leg": 2, "at": "24"}
        )
        browser.press("One piece")
        browser.see_text("Part it")
        browser.chord("\ue009", "z")  # Control
        browser.see_text("Joint 1")
        self.assertEqual(browser.complaints(), [])

    def test_a_joint_is_put_in_the_walk_and_on_the_drawing(self) -> None:
        browser = self.browser
        self.open_run("Bottling line drop")
        browser.press("Add what comes next")
        browser.press("Coupling", "[role=menuitem]")
        browser.write("joints.places[0].leg", "1")
        browser.write("joints.places[0].at", "12")
        browser.see_text("Saved")
        browser.press("Flat", "[role=radio]")
        browser.until(lambda: len(browser.all("[data-joint-at]")) == 2, "a joint in two views")
        browser.see("[data-room]").send_keys("\ue007")  # Enter
        browser.until(lambda: len(browser.all("[data-joint]")) == 2, "two joints in the walk")
        browser.until(lambda: len(browser.all("[data-joint-at]")) == 4, "two joints in two views")
        browser.see_text("Saved")
        self.assertEqual(len(self.run_named("Bottling line drop").document["joints"]["places"]), 2)
        self.assertEqual(browser.complaints(), [])

    def test_a_chain_of_readings_is_shown_as_the_worked_sum(self) -> None:
        browser = self.browser
        self.open_run("Kiosk feed over the strut, rigid")
        browser.press("Pieces", "[role=radio]")
        # Floor to hub, less the strut: what was read off the tape stays, and its sum beside it.
        browser.until(
            lambda: browser.value("joints.places[0].at") == "floor to hub 45 1/4 - strut 3 3/8",
            "what was measured",
        )
        browser.see_text("= 41 7/8", "[data-joint='0']")
        self.assertEqual(browser.complaints(), [])

    def test_how_a_threaded_run_is_got_in(self) -> None:
        browser = self.browser
        name = "Kiosk feed over the strut, rigid"
        self.open_run(name)
        browser.press("Pieces", "[role=radio]")
        browser.see_text(
            "The box is turned while the pipe is off the wall", "[data-way-in=box-off]"
        )
        # Nothing of the start moves: what is screwed into it meets the wall.
        browser.press("How the start is held", "[role=combobox]")
        browser.press("is fixed", "[role=option]")
        browser.see("[data-finding=cannot-be-turned]")
        browser.press("How the start is held", "[role=combobox]")
        browser.press("comes off", "[role=option]")
        browser.gone("and meets the surface under leg 1")
        browser.press("Take", "[data-way-in=union] button")
        browser.see_text("Joint 1, three-piece coupling")
        browser.see_text("Saved")
        self.assertEqual(
            self.run_named(name).document["joints"]["closing"], {"by": "union", "at": 1}
        )
        browser.press("Steps", "[role=radio]")
        browser.press("The next piece")
        browser.see_text("draw the nut tight")
        self.assertEqual(browser.complaints(), [])

    def test_work_is_ticked_off_and_kept(self) -> None:
        browser = self.browser
        name = "Kiosk feed over the strut, rigid"
        browser.resize(PHONE)
        self.open_run(name)
        browser.press("Marks", "nav [role=radio]")
        browser.press("Work", "[role=radio]")
        browser.see_text("0 of 23", "[data-work-done]")
        for kind in ("measure", "label"):
            browser.see(f"[data-work={kind}] [role=checkbox]").click()
        browser.see_text("2 of 23", "[data-work-done]")
        browser.see("[data-inspected=true]")
        browser.see_text("Saved")
        self.assertEqual(len(self.run_named(name).document["done"]), 2)
        browser.press("How the last piece is cut", "[role=combobox]")
        browser.press("once it was offered up", "[role=option]")
        browser.see_text("add 9/16 in for the thread", "[data-work=cut]")
        browser.driver.refresh()
        browser.press("Marks", "nav [role=radio]")
        browser.press("Work", "[role=radio]")
        browser.see_text("2 of 23", "[data-work-done]")
        self.assertEqual(browser.complaints(), [])

    def test_pieces_are_paged_with_a_thumb(self) -> None:
        browser = self.browser
        browser.resize(PHONE)
        self.open_run(LONG)
        browser.press("Shape", "nav [role=radio]")
        browser.press("Pieces", "[role=radio]")
        browser.see_text("Piece 3")
        browser.press("Marks", "nav [role=radio]")
        browser.press("The next piece")
        browser.until(lambda: browser.marks() == ["91 13/16"], "the second piece's one mark")
        self.assertEqual(browser.complaints(), [])
