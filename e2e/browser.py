"""Headless Chromium by way of ChromeDriver, and the words for using it as a person would."""

from __future__ import annotations

import re
import shutil
import tempfile
from collections.abc import Callable
from typing import Any

from selenium import webdriver
from selenium.common.exceptions import (
    ElementClickInterceptedException,
    ElementNotInteractableException,
    StaleElementReferenceException,
)
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement
from selenium.webdriver.support.ui import WebDriverWait

DESK = (1280, 800)
PHONE = (390, 844)
PATIENCE = 30

_FLAGS = (
    "--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
    "--disable-background-networking", "--disable-component-update", "--disable-sync",
    "--hide-scrollbars", "--force-device-scale-factor=1", "--force-prefers-reduced-motion",
)  # fmt: skip

_WORDS = """
const seen = element => {
  const {width, height} = element.getBoundingClientRect();
  const shown = element.checkVisibility({visibilityProperty: true, opacityProperty: true});
  return shown && width + height > 0;
};
const text = element => (seen(element) ? element.innerText ?? element.textContent : '').trim();
const all = selector => [...document.querySelectorAll(selector)];
"""
"""What is looked for is found in the page, in one question for each look: elements asked one by
one would take more of the machine than the page itself does."""

_NOT_YET = (
    StaleElementReferenceException,
    ElementClickInterceptedException,
    ElementNotInteractableException,
)
"""Drawn anew, covered or not laid out between the look and the press: looked for again."""

_WEBGL = ("--use-angle=swiftshader", "--enable-unsafe-swiftshader")
"""WebGL by the software renderer: machines that run tests have no graphics card."""


class Browser:
    """One window of a browser with nothing in it from before, unless its folder is given."""

    def __init__(
        self,
        size: tuple[int, int] = DESK,
        *,
        webgl: bool = False,
        folder: str = "",
    ) -> None:
        self.folder = folder or tempfile.mkdtemp(prefix="yarrow-chromium-")
        options = webdriver.ChromeOptions()
        options.binary_location = shutil.which("chromium") or "/usr/bin/chromium"
        for flag in (*_FLAGS, *(_WEBGL if webgl else ())):
            options.add_argument(flag)
        options.add_argument(f"--user-data-dir={self.folder}")
        options.add_argument(f"--window-size={size[0]},{size[1]}")
        options.set_capability("goog:loggingPrefs", {"browser": "ALL"})
        service = webdriver.ChromeService(shutil.which("chromedriver") or "/usr/bin/chromedriver")
        self.driver = webdriver.Chrome(options=options, service=service)
        self.resize(size)
        self.theme("light")

    def resize(self, size: tuple[int, int]) -> None:
        """Be a screen of that width and height; a narrow one is a phone's, and touched."""
        touch = size[0] < 600
        self.command(
            "Emulation.setDeviceMetricsOverride",
            width=size[0], height=size[1], deviceScaleFactor=1, mobile=touch,
        )  # fmt: skip
        self.command("Emulation.setTouchEmulationEnabled", enabled=touch)

    def single_tab(self) -> None:
        """Close every tab but the first."""
        first, *others = self.driver.window_handles
        for tab in others:
            self.driver.switch_to.window(tab)
            self.driver.close()
        self.driver.switch_to.window(first)

    def theme(self, name: str) -> None:
        """Make the system light or dark; nothing moves in either."""
        scheme = {"name": "prefers-color-scheme", "value": name}
        still = {"name": "prefers-reduced-motion", "value": "reduce"}
        self.command("Emulation.setEmulatedMedia", features=[scheme, still])

    def close(self) -> None:
        """End the browser and what it left behind."""
        self.driver.quit()
        shutil.rmtree(self.folder, ignore_errors=True)

    def process(self) -> int:
        """The number of the browser's first process."""
        found: int = self.driver.capabilities["goog:processID"]
        return found

    def drag(self, element: WebElement, across: int, down: int) -> None:
        """Press on an element, drag, and let go."""
        ActionChains(self.driver).drag_and_drop_by_offset(element, across, down).perform()

    def tap_at(self, element: WebElement, across: float, down: float) -> None:
        """Tap so far from an element's middle."""
        to = ActionChains(self.driver).move_to_element_with_offset(
            element, round(across), round(down)
        )
        to.click().perform()

    def command(self, name: str, /, **values: Any) -> Any:
        """A command of the browser's own protocol."""
        return self.driver.execute_cdp_cmd(name, values)

    def offline(self, gone: bool) -> None:
        """Take the connection of the tab in front away, or give it back."""
        self.command("Network.enable")
        self.command(
            "Network.emulateNetworkConditions",
            offline=gone, latency=0, downloadThroughput=-1, uploadThroughput=-1,
        )  # fmt: skip

    def slow(self, milliseconds: int) -> None:
        """Let every answer come so late to the tab in front."""
        self.command("Network.enable")
        self.command(
            "Network.emulateNetworkConditions",
            offline=False, latency=milliseconds, downloadThroughput=-1, uploadThroughput=-1,
        )  # fmt: skip

    def until(self, true: Callable[[], Any], what: str) -> Any:
        """Wait for something that has to be seen. Returns what it was."""

        def look(_: object) -> Any:
            try:
                return true()
            except _NOT_YET:
                return None

        wait = WebDriverWait(self.driver, PATIENCE, poll_frequency=0.05)
        return wait.until(look, f"never saw: {what}")

    def ask(self, script: str, *values: Any) -> Any:
        """What a script in the page finds; ``all``, ``seen`` and ``text`` are words it may use."""
        return self.driver.execute_script(_WORDS + script, *values)

    def all(self, selector: str) -> list[WebElement]:
        """Everything that a CSS selector finds now."""
        return self.driver.find_elements(By.CSS_SELECTOR, selector)

    def see(self, selector: str) -> WebElement:
        """The first visible element of a selector, as soon as there is one."""
        found: WebElement = self.until(
            lambda: self.ask("return all(arguments[0]).find(seen)", selector), selector
        )
        return found

    def see_text(self, text: str, within: str = "body") -> None:
        """Wait until a text stands somewhere."""
        look = "return all(arguments[1]).some(one => text(one).includes(arguments[0]))"
        self.until(lambda: self.ask(look, text, within), f"{text!r} in {within}")

    def gone(self, text: str, within: str = "body") -> None:
        """Wait until a text stands nowhere."""
        look = "return !all(arguments[1]).some(one => text(one).includes(arguments[0]))"
        self.until(lambda: self.ask(look, text, within), f"no {text!r}")

    def press(self, name: str, role: str = "button, a, [role=menuitem], [role=option]") -> None:
        """Press the control of that name, which is its label or begins its text."""
        self.until(lambda: self._pressed(name, role), f"a control {name!r}")

    def press_past(self, question: str, name: str) -> None:
        """Press a control, and the answer to what may be asked before it can be."""
        self.until(
            lambda: self._pressed(name) or (self._pressed(question) and False),
            f"a control {name!r}",
        )

    def _pressed(self, name: str, role: str = "button") -> bool:
        look = """
        const called = one => one.getAttribute('aria-label') || text(one);
        const found = all(arguments[1]).find(
            one => called(one).startsWith(arguments[0]) && seen(one) && !one.matches(':disabled')
        );
        found?.scrollIntoView({block: 'nearest'});
        return found
        """
        found: WebElement | None = self.ask(look, name, role)
        if found is not None:
            found.click()
        return found is not None

    def field(self, path: str) -> WebElement:
        """A field of the walk by its path, also where a touch brings it in sight."""
        line = re.match(r"walk\[(\d+)\]|(start)", path)
        if line and self.ask("return !all(arguments[0]).length", f'[data-path="{path}"]'):
            toggle = f'[data-all="{line[1] or line[2]}"][aria-expanded=false]'
            self.ask("all(arguments[0])[0]?.click()", toggle)
        return self.see(f'[data-path="{path}"]')

    def write(self, path: str, text: str) -> None:
        """Replace what is in a field of the walk, key by key."""
        self._all_of(path).send_keys(text or Keys.DELETE)

    def paste(self, path: str, text: str) -> None:
        """Replace what is in a field of the walk at one stroke: between two keys, the page's answer
        to the first may take the cursor away."""
        self._all_of(path)
        self.command("Input.insertText", text=text)

    def _all_of(self, path: str) -> WebElement:
        field = self.field(path)
        field.click()
        field.send_keys(Keys.CONTROL, "a")
        return field

    def value(self, path: str) -> str:
        """What stands in a field of the walk."""
        return self.field(path).get_attribute("value") or ""

    def keys(self, *keys: str) -> None:
        """Press keys wherever the cursor is."""
        webdriver.ActionChains(self.driver).send_keys(*keys).perform()

    def chord(self, *keys: str) -> None:
        """Press keys together, the last one while the others are held."""
        actions = webdriver.ActionChains(self.driver)
        for key in keys[:-1]:
            actions.key_down(key)
        actions.send_keys(keys[-1])
        for key in keys[:-1]:
            actions.key_up(key)
        actions.perform()

    def marks(self) -> list[str]:
        """The readings in the table of marks, top to bottom."""
        cells = "tr[data-mark] td > [data-reading]"
        found = self.ask("return all(arguments[0]).map(one => one.dataset.reading)", cells)
        return [str(reading) for reading in found]

    def see_marks(self, *marks: str) -> None:
        """Wait until these are the marks."""
        try:
            self.until(lambda: self.marks() == list(marks), f"marks {marks}")
        except Exception as error:
            raise AssertionError(f"wanted marks {marks}, saw {self.marks()}") from error

    def complaints(self) -> list[str]:
        """What the page's console complained about, but for refusals, which are answers."""
        said = [entry["message"] for entry in self.driver.get_log("browser")]
        return [text for text in said if "the server responded with a status of 4" not in text]
