"""Every screen: readable by everyone (axe), quiet in the console, and nothing from elsewhere."""

from __future__ import annotations

from pathlib import Path
from typing import Any
from urllib.parse import urlsplit

from selenium.webdriver.common.keys import Keys

from e2e.browser import PHONE
from e2e.case import PageTest
from jobs.models import JobSite, JobWall

AXE = Path(__file__).resolve().parent.parent / "web" / "node_modules" / "axe-core" / "axe.min.js"


class EveryScreen(PageTest):
    on_a_phone = False

    def readable(self, screen: str, options: dict[str, Any]) -> None:
        result = self.browser.driver.execute_async_script(
            "axe.run(document, arguments[0]).then(arguments[1])",
            {"resultTypes": ["violations"], "preload": False, **options},
        )
        found = [
            f"{v['id']}: {v['help']}: {[n['html'][:120] for n in v['nodes'][:3]]}"
            for v in result["violations"]
        ]
        self.assertEqual(found, [], screen)

    def check(self, screen: str, title: str = "") -> None:
        browser = self.browser
        if title:
            browser.until(lambda: browser.driver.title == f"{title} · Yarrow", f"a tab {title!r}")
        if not browser.driver.execute_script("return 'axe' in window"):
            browser.driver.execute_script(AXE.read_text())
        self.readable(screen, {})
        if not self.on_a_phone:
            browser.theme("dark")
            browser.see("[data-theme=dark]")
            self.readable(f"{screen}, in the dark", {"runOnly": ["color-contrast"]})
            browser.theme("light")
            browser.see("[data-theme=light]")
        self.assertEqual(browser.complaints(), [], screen)
        said = browser.ask("return document.body.innerText")
        self.assertNotIn("\\u", said, f"{screen} shows a character by its code")
        beyond = browser.driver.execute_script(
            "const {width, scale} = visualViewport;"
            "return document.documentElement.scrollWidth - Math.ceil(width * scale)"
        )
        self.assertLessEqual(beyond, 0, f"{screen} is wider than its window")
        longer = browser.driver.execute_script(
            "const filled = document.querySelector('#root > .h-full, #root > .h-dvh');"
            "return filled ? document.scrollingElement.scrollHeight - innerHeight : 0"
        )
        self.assertLessEqual(longer, 0, f"{screen} fills its window, and makes it scroll as well")
        asked = browser.driver.execute_script(
            "return performance.getEntriesByType('resource').map(entry => entry.name)"
        )
        own = urlsplit(self.live_server_url).netloc
        self.assertEqual({urlsplit(address).netloc for address in asked} - {own}, set(), screen)

    def tour(self) -> None:
        self.tour_of_a_run()
        self.tour_of_the_bench()
        self.tour_of_racks_and_wires()
        self.tour_of_checks()
        self.tour_of_a_job()
        self.tour_of_the_crew()

    def tour_of_a_run(self) -> None:
        browser = self.browser
        self.go("/")
        browser.see("form")
        self.check("sign in")
        self.sign_in()
        browser.see("main li")
        self.check("jobs", "Jobs")
        run = self.run_named("Bottling line drop")
        self.follow(f"/jobs/{run.job_id}")
        browser.see("main li")
        self.check("job", "Saltmarsh Cider Works")
        self.follow(f"/runs/{run.id}")
        browser.see("[data-stick-mark]")
        self.check("planner", "Bottling line drop")
        browser.write("walk[0].rise", "1")
        browser.see("[data-finding=arcs-overlap]")
        self.check("planner with an error")
        browser.write("walk[0].rise", "1 1/")
        browser.see("[role=alert]")
        self.check("planner with a half typed number")
        browser.press("More")
        browser.see("[role=menu]")
        browser.press("Shortcuts")
        browser.see("[role=dialog]")
        self.check("shortcuts")

    def tour_of_the_crew(self) -> None:
        browser = self.browser
        self.follow("/crew")
        browser.see_text("What was done", "main")
        self.check("crew", "Crew")
        browser.press("Invite")
        browser.see_text("Inspector", "[role=dialog]")
        self.check("inviting somebody")
        browser.press("Make the link")
        browser.see_text("opens once", "[role=dialog]")
        self.check("a link to hand over")
        link = browser.ask("return document.querySelector('[role=dialog] input').value")
        browser.keys(Keys.ESCAPE)
        browser.press("Account of Wren Hallow")
        browser.press("Where you are signed in")
        browser.see_text("this one", "[role=dialog]")
        self.check("where one is signed in")
        browser.keys(Keys.ESCAPE)
        browser.press("Account of Wren Hallow")
        browser.press("Second factor")
        browser.see_text("It is off", "[role=dialog]")
        self.check("a second factor")
        browser.driver.get(link)
        browser.see_text("Come into Heron crew")
        self.check("coming in", "Come in")

    def tour_of_the_bench(self) -> None:
        browser = self.browser
        met = self.run_named("Framed office, as the tape met it")
        self.follow(f"/runs/{met.id}")
        browser.see("[data-stick-mark]")
        if self.on_a_phone:
            browser.press("Marks", "nav [role=radio]")
        browser.press("Steps", "[role=radio]")
        browser.see("[data-step]")
        self.check("steps")
        if self.on_a_phone:
            browser.press("Walk", "nav [role=radio]")
        browser.see("[data-compare='1']").click()
        browser.see("[data-candidate]")
        browser.see("[data-typed-line]").click()
        browser.keys("du")
        browser.see("[role=option]")
        self.check("candidates, and a line half typed")
        browser.press("My benders")
        browser.see_text("In hand", "[role=dialog]")
        self.check("the crew's benders")
        browser.press("Change")
        browser.see_text("19 of 20 cases", "[role=dialog]")
        self.check("a bender of one's own")
        self.follow(f"/runs/{met.id}/bench")
        browser.see("[data-bench][data-current=true]")
        self.check("the bench, before a bend")
        browser.press("Done. Next mark")
        browser.press("It came out different")
        browser.write("read.angle", "11")
        browser.see("[role=dialog] [data-verdict]")
        self.check("what came out different")
        browser.press("Keep it, and go on")
        browser.see_text("3 of")
        browser.see("[data-bench][data-current=true]")
        self.check("the bench", "Framed office, as the tape met it, bench")

    def tour_of_racks_and_wires(self) -> None:
        browser = self.browser
        bank = self.run_named("Bottling feeds, a bank of five")
        self.follow(f"/runs/{bank.id}")
        browser.see("[data-stick-mark]")
        if self.on_a_phone:
            browser.press("Shape", "nav [role=radio]")
        browser.press("Rack", "[role=radio]")
        browser.see("[data-rack-mark]")
        self.check("a rack")
        browser.press("Pipe 2 as built")
        browser.see("[role=dialog]")
        self.check("a pipe as it was built")
        self.follow(f"/runs/{bank.id}/sheet")
        browser.see("[data-sheet] svg")
        browser.press("The rack", "[role=radio]")
        browser.see_text("least air", "[data-sheet]")
        self.check("sheet", "Sheet")
        wired = self.run_named("Cellar main, over the water pipe")
        self.follow(f"/runs/{wired.id}")
        browser.see("[data-stick-mark]")
        if self.on_a_phone:
            browser.press("Shape", "nav [role=radio]")
        browser.press("Wires", "[role=radio]")
        browser.see("[data-verdict=full]")
        browser.see("svg[data-packed]")
        self.check("the wires of a run")

    def tour_of_checks(self) -> None:
        browser = self.browser
        for what in ("conduit", "trunking", "box", "pullbox", "holes"):
            self.follow(f"/check/{what}")
            browser.see("[data-verdict]")
            self.check(f"quick check, {what}")
        self.follow("/check/schedule")
        browser.press("Try the example")
        browser.see("[data-schedule]")
        self.check("a schedule")

    def tour_of_a_job(self) -> None:
        browser = self.browser
        job = self.run_named("Bottling line drop").job_id
        self.follow(f"/jobs/{job}/box?name=Press%20hall%20junction")
        browser.see("[data-met]")
        self.check("a box of a job", "Press hall junction")
        self.follow(f"/walls/{JobWall.objects.get().id}")
        browser.see("[data-wall-plan][data-current=true]")
        self.check("a framed wall", "Framed office, gable wall")
        self.follow(f"/sites/{JobSite.objects.get().id}")
        browser.see("[data-stretch='PH–H1']").send_keys(Keys.ENTER)
        browser.see("[data-stretch-pane]")
        self.check("ducts and a stretch", "Ducts in the grounds")
        browser.press("What is drawn", "button")
        browser.see("[data-row='cables[0]']")
        self.check("ducts as they are drawn")

    def test_at_a_desk(self) -> None:
        self.tour()

    def test_on_a_phone_in_the_dark(self) -> None:
        self.browser.resize(PHONE)
        self.browser.theme("dark")
        self.on_a_phone = True
        self.tour()
        self.browser.see("[data-theme=dark]")

    def test_the_password_is_changed_and_the_door_shut_behind(self) -> None:
        browser = self.browser
        self.sign_in()
        browser.press("Account of Wren Hallow")
        browser.press("Change password")
        fields = browser.until(
            lambda: browser.all("[role=dialog] input[type=password]"), "the form"
        )
        fields[0].send_keys("wrong")
        fields[1].send_keys("sedge-warbler-9")
        browser.press("Change password", "[role=dialog] button")
        browser.see_text("the password that you signed in with", "[role=dialog]")
        fields[0].clear()
        fields[0].send_keys("kestrel-over-marsh")
        browser.press("Change password", "[role=dialog] button")
        browser.until(lambda: not browser.all("[role=dialog]"), "the form is gone")
        browser.press("Account of Wren Hallow")
        browser.press("Sign out")
        browser.see("input[autocomplete=username]").send_keys("wren")
        browser.see("input[type=password]").send_keys("kestrel-over-marsh")
        browser.press("Sign in")
        browser.see_text("do not go together", "[role=alert]")
