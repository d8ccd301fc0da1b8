"""A run copied side by side on the page: marks, corners, the next from the last, its sheet."""

from __future__ import annotations

from e2e.case import PageTest

BANK = "Bottling feeds, a bank of five"
PRESS_HALL = "Press hall feed, bay 2"


class Racks(PageTest):
    def marks(self, pipe: int) -> list[str]:
        cells = self.browser.all(f"tr[data-pipe='{pipe}'] [data-rack-mark] [data-reading]")
        return [cell.get_attribute("data-reading") or "" for cell in cells]

    def see_marks(self, pipe: int, *marks: str) -> None:
        self.browser.until(
            lambda: self.marks(pipe) == list(marks), f"{marks}, not {self.marks(pipe)}"
        )

    def test_a_bank_of_five_keeps_its_spacing_from_pipe_to_pipe(self) -> None:
        browser = self.browser
        self.open_run(BANK)
        browser.press("Rack", "[role=radio]")
        browser.until(lambda: len(browser.all("[data-rack-pipe]")) == 5, "five pipes")
        self.see_marks(0, *browser.marks())
        # At the turn a mark moves by the spacing: 58 7/8, 61 1/8, and so on by 2 1/4.
        self.assertEqual(
            [self.marks(pipe)[2] for pipe in range(5)],
            ["58 7/8", "61 1/8", "63 3/8", "65 5/8", "67 7/8"],
        )
        browser.write("rack.spacing", "1/2")
        browser.press("Space them", "[data-finding=pipes-touch] button")
        browser.until(lambda: browser.value("rack.spacing") == "3/4", "the spacing that frees them")
        browser.gone("into each other")
        browser.write("rack.spacing", "2 1/")
        browser.until(
            lambda: browser.field("rack.spacing").get_attribute("aria-invalid") == "true",
            "half a number is said to be one",
        )
        browser.write("rack.spacing", "3")
        browser.see_text("Saved")
        self.assertEqual(self.run_named(BANK).document["rack"]["spacing"], "3")
        browser.press("Sheet")
        browser.press("The rack", "[role=radio]")
        browser.see_text("least air", "[data-sheet]")
        self.assertEqual(browser.complaints(), [])

    def test_a_run_becomes_a_rack_about_one_centre_and_a_plain_run_again(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.press("Rack", "[role=radio]")
        browser.press("Make a rack of it")
        browser.until(lambda: len(browser.all("[data-rack-pipe]")) == 3, "three pipes")
        browser.press("Corners", "[role=combobox]")
        browser.press("about one centre", "[role=option]")
        browser.see_text("15 × 6°", "tr[data-pipe='0']")
        browser.press("How many pipes", "[role=combobox]")
        browser.press("4", "[role=option]")
        browser.until(lambda: len(browser.all("[data-rack-pipe]")) == 4, "four pipes")
        browser.press("No rack")
        browser.see_text("Make a rack of it")
        browser.chord("\ue009", "z")  # Control
        browser.until(lambda: len(browser.all("[data-rack-pipe]")) == 4, "four again")

    def test_the_next_pipe_is_laid_beside_the_last_as_it_was_built(self) -> None:
        browser = self.browser
        self.open_run(BANK)
        browser.press("Rack", "[role=radio]")
        self.see_marks(1, "24 3/4", "31 3/16", "61 1/8")
        browser.press("Pipe 1 as built")
        fields = browser.until(lambda: browser.all("[role=dialog] input"), "the form")
        # The last mark was put half an inch further along: the next one's goes there too.
        fields[4].send_keys("59 3/8")
        browser.press("Lay the next one beside it")
        self.see_marks(1, "24 3/4", "31 3/16", "61 5/8")
        browser.see_text("Built", "tr[data-pipe='0']")
        self.assertEqual(browser.complaints(), [])
