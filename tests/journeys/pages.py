"""What journeys do on the pages, in a teacher's and a student's words."""

from selenium import webdriver
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement

from tools.browser import body_text, click, find, find_all, press, says, until, wait_for
from tools.client import PASSWORD


def type_keys(driver: webdriver.Chrome, *keys: str) -> None:
    """Types where the focus is, as a keyboard does."""
    for key in keys:
        ActionChains(driver).send_keys(key).perform()


def write_over(driver: webdriver.Chrome, text: str) -> None:
    """Writes over what stands in the field that has the focus, as soon as one has it, and presses Enter."""
    until(driver, lambda: driver.switch_to.active_element.tag_name == "input")
    chord(driver, Keys.CONTROL, "a")
    type_keys(driver, text, Keys.ENTER)


def chord(driver: webdriver.Chrome, modifier: str, key: str) -> None:
    ActionChains(driver).key_down(modifier).send_keys(key).key_up(modifier).perform()


def lines_of_text(driver: webdriver.Chrome) -> WebElement:
    """The field in which a set is written as text: it stands in a tree of its own."""
    found = "return document.querySelector('[data-lines]')?.shadowRoot?.querySelector('.cm-content') ?? null"
    field: WebElement = until(driver, lambda: driver.execute_script(found))
    return field


def tab_to(driver: webdriver.Chrome, wanted: str, most: int = 60) -> None:
    """Presses Tab until the focus is on something that is called `wanted`."""
    for _ in range(most):
        type_keys(driver, Keys.TAB)
        focused = driver.switch_to.active_element
        name = f"{focused.accessible_name} {focused.text}"
        if wanted in name:
            return
    raise AssertionError(f"Tab never came to {wanted!r}")


def sign_in(driver: webdriver.Chrome, url: str, email: str) -> None:
    driver.get(f"{url}/sign-in")
    wait_for(driver, "Password")
    email_field, password_field = find_all(driver, "form input")
    email_field.send_keys(email)
    password_field.send_keys(PASSWORD + Keys.ENTER)
    wait_for(driver, "New set")


def use_session_of(driver: webdriver.Chrome, other: webdriver.Chrome, url: str) -> None:
    """A second window of the same teacher."""
    driver.get(f"{url}/join")
    for cookie in other.get_cookies():
        driver.add_cookie({"name": cookie["name"], "value": cookie["value"]})


def add_question(driver: webdriver.Chrome, kind: str) -> WebElement:
    """Adds a question of a kind in the editor, the cursor in its first line. Returns its block."""
    before = len(find_all(driver, "[data-item]"))
    entry = f"//*[@role='menuitem'][.//b[normalize-space(.)='{kind}']]"
    until(driver, lambda: _opened(driver, "+ Another kind", entry))
    click(driver, entry)
    until(driver, lambda: len(find_all(driver, "[data-item]")) > before)
    until(driver, lambda: find_all(driver, "[data-item]")[-1].find_elements(By.CSS_SELECTOR, ":focus"))
    return find_all(driver, "[data-item]")[-1]


def _opened(driver: webdriver.Chrome, button: str, entry: str) -> bool:
    """Whether a menu is open; the page may still move under the pointer, so it is pressed until it is."""
    if not driver.find_elements(By.XPATH, entry):
        press(driver, button)
    return bool(driver.find_elements(By.XPATH, entry))


def fill(driver: webdriver.Chrome, block: WebElement, label: str, text: str) -> None:
    """Types into the field of a block that is called `label`."""
    path = f".//*[@aria-label={label!r}] | .//label[contains(., {label!r})]//input"
    field = until(driver, lambda: block.find_elements(By.XPATH, path))[0]
    driver.execute_script("arguments[0].scrollIntoView({block: 'center'}); arguments[0].focus()", field)
    if field.get_attribute("value"):
        field.send_keys(Keys.CONTROL, "a")
    field.send_keys(text)


def pick(driver: webdriver.Chrome, path: str) -> None:
    """Chooses what may be covered by its own label."""
    until(driver, lambda: [driver.execute_script("arguments[0].click()", find_all(driver, path)[0])])


def join_as(driver: webdriver.Chrome, url: str, code: str, name: str) -> None:
    driver.get(f"{url}/join/{code}")
    wait_for(driver, "with ")
    find(driver, "#name").send_keys(name)
    press(driver, "Join")
    wait_for(driver, "You are in")


def choose(driver: webdriver.Chrome, *letters: str) -> None:
    """Chooses options on a phone by their letters."""
    wait_for(driver, "Choose an answer")
    for letter in letters:
        pick(driver, f"//fieldset//label[.//span[normalize-space(.)='{letter}']]")


def answer(driver: webdriver.Chrome, *letters: str) -> None:
    choose(driver, *letters)
    press(driver, "Send")
    wait_for(driver, "Sent.")


def counts(driver: webdriver.Chrome) -> list[int]:
    """The figures at the end of the strips, on desk, big screen or phone."""
    texts = [figure.text for figure in find_all(driver, "li > span.figure")]
    return [int(text) for text in texts if text.isdigit()]


def wait_counts(driver: webdriver.Chrome, expected: list[int]) -> None:
    until(driver, lambda: counts(driver) == expected, f"the strips never showed {expected}")


def wait_gone(driver: webdriver.Chrome, text: str) -> None:
    until(driver, lambda: not says(driver, text), f"the page went on saying {text!r}")


def fill_area(driver: webdriver.Chrome, path: str, text: str) -> None:
    """Puts a long text into a text area at once, as pasting does."""
    put = "arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input'))"
    until(driver, lambda: [driver.execute_script(put, find_all(driver, path)[0], text)])


def choose_in(driver: webdriver.Chrome, letter: str) -> None:
    """Chooses an option by what it stands for in its set ("A" is the first one), in whatever order it is shown."""
    pick(driver, f"//fieldset//label[.//input[@value='{letter}']]")


def join_from_list(driver: webdriver.Chrome, name: str) -> None:
    """Takes a name of the class list, once the page offers it."""
    click(driver, f"//label[contains(., '{name}')]")
    press(driver, "Join")
    until(driver, lambda: "Find your name" not in body_text(driver))
