"""Headless Chromium, set up the same way for tests and pictures."""

import os
import tempfile
from collections.abc import Callable
from pathlib import Path
from typing import Any, TypeVar

from selenium import webdriver
from selenium.common.exceptions import (
    ElementClickInterceptedException,
    ElementNotInteractableException,
    NoSuchElementException,
    StaleElementReferenceException,
    TimeoutException,
)
from selenium.webdriver.chrome.service import Service
from selenium.webdriver.common.by import By
from selenium.webdriver.remote.webelement import WebElement
from selenium.webdriver.support.ui import WebDriverWait

T = TypeVar("T")

os.environ.setdefault("SE_OFFLINE", "true")

DESKTOP = (1280, 800)
PHONE = (390, 844)
FLAGS = (
    "--headless=new",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--disable-dev-shm-usage",
    "--force-prefers-reduced-motion",
    "--hide-scrollbars",
    # A microphone that beeps, so that recording can be tried.
    "--use-fake-device-for-media-stream",
    "--use-fake-ui-for-media-stream",
    "--autoplay-policy=no-user-gesture-required",
)


def open_browser(size: tuple[int, int] = DESKTOP) -> webdriver.Chrome:
    """A browser with a fresh profile and a viewport of exactly `size`."""
    options = webdriver.ChromeOptions()
    for flag in FLAGS:
        options.add_argument(flag)
    options.add_argument(f"--user-data-dir={tempfile.mkdtemp(prefix='lantern-')}")
    options.set_capability("goog:loggingPrefs", {"browser": "ALL"})
    driver = webdriver.Chrome(options=options, service=Service("/usr/bin/chromedriver"))
    resize(driver, size)
    return driver


def as_new(driver: webdriver.Chrome, size: tuple[int, int] = DESKTOP) -> webdriver.Chrome:
    """The same browser in a new tab, with nothing of what any site kept in it but scripts and styles, whose names
    change with what is in them: at a quarter of a new one's cost."""
    before = driver.window_handles
    driver.switch_to.new_window("tab")
    new = driver.current_window_handle
    for handle in before:
        driver.switch_to.window(handle)
        driver.close()
    driver.switch_to.window(new)
    driver.execute_cdp_cmd("Network.clearBrowserCookies", {})
    driver.execute_cdp_cmd("Storage.clearDataForOrigin", {"origin": "*", "storageTypes": "all"})
    resize(driver, size)
    return driver


def resize(driver: webdriver.Chrome, size: tuple[int, int], scale: float = 1) -> None:
    metrics: dict[str, Any] = {"width": size[0], "height": size[1], "deviceScaleFactor": scale, "mobile": size[0] < 600}
    driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)


def picture(driver: webdriver.Chrome, path: Path) -> None:
    path.parent.mkdir(parents=True, exist_ok=True)
    driver.save_screenshot(str(path))


def speak(driver: webdriver.Chrome, languages: str) -> None:
    """What this browser tells every page that it speaks: "de-AT,de"."""
    agent = driver.execute_script("return navigator.userAgent")
    driver.execute_cdp_cmd("Emulation.setUserAgentOverride", {"userAgent": agent, "acceptLanguage": languages})


def go_offline(driver: webdriver.Chrome, offline: bool) -> None:
    """Take the network from this browser, or give it back."""
    driver.execute_cdp_cmd("Network.enable", {})
    rates = {"latency": 0, "downloadThroughput": -1, "uploadThroughput": -1}
    driver.execute_cdp_cmd("Network.emulateNetworkConditions", {"offline": offline, **rates})


# A page that is drawn anew under the pointer, or under a question about it, is asked again.
MOVED = (
    ElementClickInterceptedException,
    ElementNotInteractableException,
    NoSuchElementException,
    StaleElementReferenceException,
    IndexError,
)


IS_SEEN = r"""return document.body.innerText.replace(/\u00a0/g, " ").includes(arguments[0])"""
LOOKS_EVERY = 0.1
"""Seconds between two looks at a page that is waited for."""
MOST_TOLD = 1500
WAITS = 60.0
"""Seconds after which something that is waited for will not come, on however busy a machine."""


def until(driver: webdriver.Chrome, wanted: Callable[[], T], message: str = "", seconds: float = WAITS) -> T:
    """What `wanted` gives, as soon as it is something; a page that moves meanwhile is asked again."""
    waiting = WebDriverWait(driver, seconds, LOOKS_EVERY, ignored_exceptions=MOVED)
    return waiting.until(lambda _: wanted(), message)


def wait_for(driver: webdriver.Chrome, text: str, seconds: float = WAITS) -> None:
    """Until the page says `text`; if it never does, what it says instead is told."""
    try:
        until(driver, lambda: says(driver, text), seconds=seconds)
    except TimeoutException:
        instead = str(driver.execute_script("return document.body.innerText"))[:MOST_TOLD]
        raise TimeoutException(f"{driver.current_url} never said {text!r}, but: {instead}") from None


def says(driver: webdriver.Chrome, text: str) -> bool:
    """Whether a person sees `text`: what is hidden is not in it, and it reads as it is set."""
    return bool(driver.execute_script(IS_SEEN, text))


def find_all(driver: webdriver.Chrome, path: str) -> list[WebElement]:
    """All that the XPath or CSS selector finds at this moment."""
    return driver.find_elements(By.XPATH if path.startswith(("/", "(")) else By.CSS_SELECTOR, path)


def find(driver: webdriver.Chrome, path: str) -> WebElement:
    """What the XPath or CSS selector finds, as soon as it is there."""
    return until(driver, lambda: find_all(driver, path), f"nothing at {path}")[0]


def click(driver: webdriver.Chrome, path: str) -> None:
    """Clicks what the path finds, again where the page moved under the pointer."""

    def clicked() -> bool:
        find_all(driver, path)[0].click()
        return True

    until(driver, clicked, f"could not click {path}")


def value_of(driver: webdriver.Chrome, path: str, name: str) -> str:
    """An attribute of what the path finds, as soon as it is there."""
    return until(driver, lambda: [find_all(driver, path)[0].get_attribute(name) or ""])[0]


def press(driver: webdriver.Chrome, label: str) -> None:
    """Clicks the button or link with these words."""
    click(
        driver,
        f"//button[contains(normalize-space(.), {label!r}) and not(@disabled)] | //a[normalize-space(.)={label!r}]",
    )


def body_text(driver: webdriver.Chrome) -> str:
    return driver.find_element(By.TAG_NAME, "body").text
