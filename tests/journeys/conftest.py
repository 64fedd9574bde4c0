from collections.abc import Callable, Iterator

import pytest
from selenium import webdriver
from selenium.common.exceptions import TimeoutException, WebDriverException

from tests.journeys.evenings import LIGHTS, OPINION
from tests.journeys.pages import sign_in, use_session_of
from tools.browser import DESKTOP, PHONE, as_new, open_browser, press, wait_for
from tools.client import TeacherClient
from tools.server import RealServer

Open = Callable[..., webdriver.Chrome]


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    for item in items:
        if "journeys" in item.path.parts:
            item.add_marker(pytest.mark.journey)
            # A browser that stumbles on a busy machine is started once more, and the run says so (RERUN);
            # a figure that is wrong, or a page that never says what it should, is wrong the first time.
            item.add_marker(
                pytest.mark.flaky(reruns=1, only_rerun=[WebDriverException], rerun_except=[TimeoutException])
            )


@pytest.fixture(scope="session")
def used_browsers() -> Iterator[list[webdriver.Chrome]]:
    """Those that nobody uses any more."""
    used: list[webdriver.Chrome] = []
    yield used
    for driver in used:
        driver.quit()


@pytest.fixture
def browsers(used_browsers: list[webdriver.Chrome]) -> Iterator[Open]:
    """Opens browsers, each as new; none may have met an error that nobody caught."""
    opened: list[webdriver.Chrome] = []

    def open_one(size: tuple[int, int] = DESKTOP) -> webdriver.Chrome:
        opened.append(as_new(used_browsers.pop(), size) if used_browsers else open_browser(size))
        return opened[-1]

    yield open_one
    faults = [entry for driver in opened for entry in driver.get_log("browser") if _is_fault(entry)]
    for driver in opened:
        driver.get("about:blank")  # pages of before let go of their servers
    used_browsers += opened
    assert faults == []


def _is_fault(entry: dict[str, str]) -> bool:
    """Failed requests are what some journeys are about; a script's error or a breach of the policy never is."""
    return (
        entry["level"] == "SEVERE" and entry["source"] != "network" and "WebSocket connection" not in entry["message"]
    )


@pytest.fixture(scope="session")
def game_server(tmp_path_factory):
    """One for all games, each of which may kill it."""
    running = RealServer(tmp_path_factory.mktemp("games"), RATE_LIMITS_ON="0").start()
    yield running
    running.stop()


@pytest.fixture
def evening(game_server, browsers):
    """A teacher before the run dialog of a set, and windows for the big screen and a phone."""
    teacher = TeacherClient(game_server.url)
    email = teacher.sign_up()
    number = teacher.make_set("Harbour lights", [*LIGHTS, OPINION])
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, game_server.url, email)
    use_session_of(screen, desk, game_server.url)
    desk.get(f"{game_server.url}/sets/{number}")
    wait_for(desk, "In this set")
    press(desk, "Run it…")
    wait_for(desk, "Played as")
    return game_server, teacher, desk, screen, phone
