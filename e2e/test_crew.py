"""A crew as its people live in it: invited, signed in by two factors, each doing what they are."""

from __future__ import annotations

from base64 import b32decode

from django_otp.oath import totp
from django_otp.plugins.otp_totp.models import TOTPDevice
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.common.virtual_authenticator import VirtualAuthenticatorOptions

from accounts.models import Member
from e2e.case import PageTest
from jobs.demo import PASSWORD

FRESH = "sedge-warbler-9"


class Crews(PageTest):
    def account(self, name: str, action: str) -> None:
        self.browser.press(f"Account of {name}")
        self.browser.press(action)

    def filled(self, autocomplete: str, text: str) -> None:
        self.browser.see(f"input[autocomplete='{autocomplete}']").send_keys(text)

    def test_whoever_is_invited_comes_in_as_what_the_lead_said(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/")
        browser.see("main li")
        self.account("Wren Hallow", "Crew")
        browser.see_text("Heron crew", "h1")
        browser.press("Invite")
        browser.see("[role=radio][value=bender]").click()
        browser.press("Make the link")
        link = browser.see("[role=dialog] input[readonly]").get_attribute("value")
        browser.keys(Keys.ESCAPE)
        browser.see_text("A link that was handed over", "main")
        browser.see_text("Invited somebody", "main")
        assert link
        # The same window: whoever was signed in there is not any more.
        browser.driver.get(link)
        browser.see_text("As bender", "main")
        self.filled("name", "Sanderling Fenn")
        self.filled("username", "wren")
        self.filled("new-password", FRESH)
        browser.press("Come in")
        browser.see_text("somebody has this one", "[role=alert]")
        self.filled("username", Keys.CONTROL + "a" + Keys.NULL + "sanderling")
        browser.press("Come in")
        browser.see_text("Saltmarsh Cider Works", "main")
        self.assertEqual(browser.ask("return location.pathname + location.hash"), "/")
        browser.gone("New job")
        self.assertEqual(Member.objects.get(username="sanderling").role, "bender")
        browser.driver.get(link)
        browser.see_text("was used already", "[role=alert]")
        browser.press("To the door")
        browser.see_text("Saltmarsh Cider Works", "main")

    def test_a_lead_says_what_somebody_is_puts_them_out_and_lets_them_in_again(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/crew")
        browser.press("What Rook Tansley is", "[role=combobox]")
        browser.press("Inspector", "[role=option]")
        browser.until(lambda: Member.objects.get(username="rook").role == "inspector", "a role")
        rook = browser.see("main li:has([aria-label='What Rook Tansley is'])")
        rook.find_element("css selector", "[aria-label=More]").click()
        browser.press("Put out of the crew")
        browser.press("Put out")
        browser.see_text("rook, put out of the crew", "main")
        browser.see_text("Put somebody out of the crew", "main")
        browser.press("Let in again")
        browser.gone("rook, put out of the crew", "main")
        self.assertTrue(Member.objects.get(username="rook").is_active)

    def test_what_an_inspector_types_is_refused_in_words_and_kept(self) -> None:
        browser = self.browser
        self.enter("siskin")
        run = self.run_named("Press hall feed, bay 2")
        self.go(f"/runs/{run.id}")
        browser.see("svg[aria-label^='The unbent pipe']")
        browser.write("walk[0].at", "40")
        browser.see_text("Not yours to save", "[role=status]")
        run.refresh_from_db()
        self.assertEqual((run.version, run.document["walk"][0]["at"]), (1, "33"))

    def test_whoever_bends_ticks_the_work_of_a_run(self) -> None:
        browser = self.browser
        self.enter("dunlin")
        run = self.run_named("Press hall feed, bay 2")
        self.go(f"/runs/{run.id}")
        browser.see("svg[aria-label^='The unbent pipe']")
        browser.press("Work", "[role=radio]")
        browser.see("main [role=checkbox]").click()
        browser.see_text("Saved", "[role=status]")
        run.refresh_from_db()
        self.assertEqual((run.version, len(run.document["done"])), (2, 1))

    def test_a_second_factor_is_turned_on_and_asked_for_at_the_door(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/")
        browser.see("main li")
        self.account("Wren Hallow", "Second factor")
        self.filled("current-password", PASSWORD)
        browser.press("Use codes of your phone")
        browser.see("[role=dialog] img")
        secret = b32decode(
            browser.ask(
                "return document.querySelector('[role=dialog] p.select-all').textContent"
            ).replace(" ", "")
        )
        self.filled("one-time-code", f"{totp(secret):06}")
        browser.press("Turn it on")
        codes = browser.until(lambda: browser.all("[role=dialog] li"), "codes on paper")
        self.assertEqual(len(codes), 10)
        on_paper = codes[0].text
        browser.press("I have them on paper")
        TOTPDevice.objects.update(last_t=-1)  # the code of this half minute was used
        self.account("Wren Hallow", "Sign out")
        self.filled("username", "wren")
        self.filled("current-password", PASSWORD)
        browser.press("Sign in")
        self.filled("one-time-code", "000000")
        browser.press("Sign in")
        browser.see_text("not the code", "[role=alert]")
        self.filled("one-time-code", Keys.CONTROL + "a" + Keys.NULL + on_paper)
        browser.press("Sign in")
        browser.see_text("Saltmarsh Cider Works", "main")

    def test_a_passkey_is_made_and_signs_in_without_a_password(self) -> None:
        browser = self.browser
        device = VirtualAuthenticatorOptions(
            protocol="ctap2", transport="internal", has_resident_key=True,
            has_user_verification=True, is_user_verified=True,
        )  # fmt: skip
        browser.driver.add_virtual_authenticator(device)
        self.addCleanup(browser.driver.remove_virtual_authenticator)
        self.enter()
        self.go("/")
        browser.see("main li")
        self.account("Wren Hallow", "Second factor")
        self.filled("current-password", PASSWORD)
        browser.press("Add a passkey of this device")
        codes = browser.until(lambda: browser.all("[role=dialog] li"), "codes on paper")
        self.assertEqual(len(codes), 10)
        browser.press("I have them on paper")
        self.account("Wren Hallow", "Sign out")
        self.filled("username", "wren")
        self.filled("current-password", PASSWORD)
        browser.press("Sign in")
        browser.see("input[autocomplete=one-time-code]")  # the password alone is not enough
        browser.press("Sign in with a passkey")
        browser.see_text("Saltmarsh Cider Works", "main")
        self.account("Wren Hallow", "Second factor")
        browser.see_text("last used", "[role=dialog] li")
        # A device that does not know who holds it gives nothing.
        browser.press("Close")
        self.account("Wren Hallow", "Sign out")
        browser.driver.set_user_verified(False)
        browser.press("Sign in with a passkey")
        browser.see_text("gave no passkey", "[role=alert]")
        browser.driver.set_user_verified(True)
        browser.press("Sign in with a passkey")
        self.account("Wren Hallow", "Second factor")
        self.filled("current-password", PASSWORD)
        browser.press("Take off")
        browser.see_text("It is off", "[role=dialog]")
