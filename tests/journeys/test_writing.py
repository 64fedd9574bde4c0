"""Writing fast: turning, selecting, undoing, collecting, media, trying a set out, and fog in a lesson."""

import io

import pytest
from PIL import Image
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.ui import Select

from tests.builders import choice
from tests.journeys.pages import chord, join_as, lines_of_text, pick, sign_in, type_keys, use_session_of, wait_gone
from tools.browser import PHONE, body_text, click, find, find_all, press, until, value_of, wait_for


def body(prompt, right="B", **more):
    return choice(right, options=3, prompt=prompt, **more).model_dump(mode="json")


@pytest.fixture
def editor(server, teacher, browsers):
    """Opens a set of these items in a browser of the teacher's."""

    def open_set(*items, title="Knots"):
        driver = browsers()
        sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
        set_id = teacher.make_set(title, list(items))
        driver.get(f"{server.url}/sets/{set_id}")
        wait_for(driver, "In this set")
        return driver, set_id

    return open_set


def stored(teacher, set_id):
    return [entry["item"] for entry in teacher.call("GET", f"/sets/{set_id}")["items"]]


def kinds(teacher, set_id):
    return [item["kind"] for item in stored(teacher, set_id)]


def turn(driver, label):
    press(driver, "Turn into…")
    click(driver, f"//*[@role='menuitem'][.//b[normalize-space(.)='{label}']]")


def select_all(driver):
    for box in driver.find_elements(By.CSS_SELECTOR, "[data-item] input[aria-label^='Select']"):
        driver.execute_script("arguments[0].click()", box)


def test_a_question_turns_and_turns_back_after_a_reload(teacher, editor):
    driver, set_id = editor(body("Which knot is a loop?"))
    click(driver, "[data-item] textarea")
    turn(driver, "Text")
    find(driver, "[aria-label='Accepted answer 1']")
    until(driver, lambda: kinds(teacher, set_id) == ["text_entry"])
    assert stored(teacher, set_id)[0]["accepts"] == ["Knot B"]
    driver.refresh()
    find(driver, "[aria-label='Accepted answer 1']")
    click(driver, "[data-item] textarea")
    chord(driver, Keys.CONTROL, "z")
    until(driver, lambda: kinds(teacher, set_id) == ["choice"])
    assert [option["right"] for option in stored(teacher, set_id)[0]["options"]] == [False, True, False]
    chord(driver, Keys.CONTROL, "y")
    until(driver, lambda: kinds(teacher, set_id) == ["text_entry"])


def test_several_items_are_timed_marked_moved_copied_and_removed_at_once(teacher, editor):
    other = teacher.make_set("Evening", [])
    driver, set_id = editor(body("One"), body("Two"), body("Three"))
    for box in driver.find_elements(By.CSS_SELECTOR, "[data-item] input[aria-label^='Select']")[1:]:
        driver.execute_script("arguments[0].click()", box)
    wait_for(driver, "2 items")
    Select(find(driver, "select[aria-label='Time limit']")).select_by_value("90")
    Select(find(driver, "select[aria-label='Weight']")).select_by_value("2")
    find(driver, "input[aria-label='Add a topic']").send_keys("loops", Keys.ENTER)
    press(driver, "Move up")
    wait_for(driver, "all changes kept")
    until(driver, lambda: [i["prompt"] for i in stored(teacher, set_id)] == ["Two", "Three", "One"])
    facts = [(item["time_limit"], item["weight"], item["tags"]) for item in stored(teacher, set_id)]
    assert facts == [(90, 2, ["loops"]), (90, 2, ["loops"]), (30, 1, [])]
    Select(find(driver, "select[aria-label='Copy to another set']")).select_by_value(str(other))
    wait_for(driver, "2 items copied to “Evening”.")
    assert [item["prompt"] for item in stored(teacher, other)] == ["Two", "Three"]
    click(driver, "//*[@aria-label='Selected items']//button[normalize-space(.)='Remove']")
    until(driver, lambda: [i["prompt"] for i in stored(teacher, set_id)] == ["One"])
    press(driver, "Undo")
    until(driver, lambda: len(stored(teacher, set_id)) == 3)


def test_pairs_are_made_into_choices_seen_before_they_are_added(teacher, editor):
    driver, set_id = editor(*(body(f"What is number {n}?", right=right) for n, right in enumerate("ABC")))
    press(driver, "Make other questions of these")
    wait_for(driver, "Asking for")
    pick(driver, "//label[contains(., 'Text')]//input[@name='into']")
    wait_for(driver, "Add 3 questions")
    preview = find(driver, "[aria-label='Preview']").text
    assert "What is number 0?" in preview
    assert "Knot A" in preview
    press(driver, "Add 3 questions")
    until(driver, lambda: kinds(teacher, set_id) == ["choice"] * 3 + ["text_entry"] * 3)


def test_an_earlier_version_is_looked_at_and_brought_back(teacher, editor):
    driver, set_id = editor(body("As it was", id="q1"))
    find(driver, "[data-item] textarea").send_keys(Keys.CONTROL, "a")
    driver.switch_to.active_element.send_keys("As it is now")
    wait_for(driver, "all changes kept")
    press(driver, "Earlier versions")
    click(driver, "//div[@role='dialog']//button[contains(., '1 item')]")
    wait_for(driver, "As it was")
    press(driver, "Bring it back")
    until(driver, lambda: stored(teacher, set_id)[0]["prompt"] == "As it was")
    until(driver, lambda: value_of(driver, "[data-item] textarea", "value") == "As it was")


def test_a_set_is_written_as_text_and_nothing_is_taken_over_before_all_is_understood(teacher, editor):
    driver, set_id = editor(body("Which knot is a loop?", id="q1"))
    click(driver, "[data-item] textarea")
    chord(driver, Keys.CONTROL, "e")
    wait_for(driver, "This is how the set is now.")
    lines = lines_of_text(driver)
    until(driver, lambda: "## Which knot is a loop?" in lines.text)
    lines.click()
    chord(driver, Keys.CONTROL, Keys.END)
    lines.send_keys("\n## Tides\n:: kind: order\n:: time_limit: 2\n1. Ebb\n1. Slack water\n1. Flood\n")
    wait_for(driver, "time_limit: This is too small: 5 at least.")
    chord(driver, Keys.CONTROL, "s")
    wait_for(driver, "1 place not understood. Nothing has been changed yet.")
    assert len(stored(teacher, set_id)) == 1
    driver.refresh()
    wait_for(driver, "what you were writing last time. It is not taken over yet.")
    click(driver, "//button[contains(., 'time_limit')]")
    type_keys(driver, "0")
    wait_for(driver, "All of it is understood.")
    press(driver, "Take it over")
    wait_for(driver, "Taken over, and kept.")
    until(driver, lambda: kinds(teacher, set_id) == ["choice", "order"])
    first, second = stored(teacher, set_id)
    assert (first["id"], second["time_limit"]) == ("q1", 20)
    assert [line["text"] for line in second["lines"]] == ["Ebb", "Slack water", "Flood"]
    press(driver, "Back to writing")
    click(driver, "[data-item] textarea")
    chord(driver, Keys.CONTROL, "z")
    until(driver, lambda: kinds(teacher, set_id) == ["choice"])


def test_sets_lie_in_folders_have_variants_and_come_back_from_the_bin(teacher, editor, server):
    driver, set_id = editor(body("Which knot?"))
    press(driver, "About this set…")
    find(driver, "//label[contains(., 'Subject')]//input").send_keys("Seamanship")
    find(driver, "[aria-label^='Tags of the set']").send_keys("autumn", Keys.ENTER)
    wait_for(driver, "all changes kept")
    driver.get(f"{server.url}/sets")
    press(driver, "+ Folder")
    find(driver, "[aria-label='Name of the new folder']").send_keys("Harbour", Keys.ENTER)
    wait_for(driver, "Nothing lies here yet")
    press(driver, "All sets")
    click(driver, "[aria-label='More for Knots']")
    click(driver, "//*[@role='menuitem'][normalize-space(.)='Harbour']")
    click(driver, "//nav[@aria-label='Folders']//button[normalize-space(.)='Harbour']")
    wait_for(driver, "Seamanship · autumn")
    click(driver, "[aria-label='More for Knots']")
    press(driver, "Make a variant")
    wait_for(driver, "a variant of Knots")
    driver.get(f"{server.url}/sets")
    wait_for(driver, "Knots (variant)")
    click(driver, "[aria-label='More for Knots']")
    press(driver, "Delete")
    wait_for(driver, "in the recycle bin")
    driver.get(f"{server.url}/bin")
    wait_for(driver, "gone in 30 days")
    press(driver, "Bring back")
    wait_for(driver, "The bin is empty")
    assert any(row["id"] == set_id for row in teacher.call("GET", "/sets"))


def test_questions_are_picked_out_of_all_sets(teacher, editor, server):
    driver, _ = editor(body("Which knot is a loop?"))
    teacher.make_set("Tides", [body("When is low water?")])
    driver.get(f"{server.url}/pick")
    wait_for(driver, "Which knot is a loop?")
    find(driver, "input[type='search']").send_keys("low water")
    wait_gone(driver, "Which knot is a loop?")
    pick(driver, "//label[contains(., 'When is low water?')]//input")
    find(driver, "input[type='search']").send_keys(Keys.CONTROL, "a", Keys.BACKSPACE)
    pick(driver, "//label[contains(., 'Which knot is a loop?')]//input")
    find(driver, "//label[contains(., 'Title of the new set')]//input").send_keys("Mixed")
    press(driver, "Make a set of 2 questions")
    wait_for(driver, "all changes kept")
    row = next(row for row in teacher.call("GET", "/sets") if row["title"] == "Mixed")
    assert [item["prompt"] for item in stored(teacher, row["id"])] == ["When is low water?", "Which knot is a loop?"]


def test_media_from_the_collection_a_voice_a_microphone_and_the_clipboard(teacher, editor, server):
    driver, set_id = editor(body("Which mark is this?"))
    click(driver, "[data-item] textarea")
    press(driver, "+ Picture, sound, video")
    press(driver, "Picture collection")
    find(driver, "input[placeholder^='lighthouse']").send_keys("anchor")
    click(driver, "//div[@role='dialog']//li//button[contains(., 'anchor')]")
    wait_for(driver, "OpenMoji, CC BY-SA 4.0")
    press(driver, "+ Picture, sound, video")
    press(driver, "Spoken text")
    find(driver, "//div[@role='dialog']//textarea").send_keys("à tribord")
    Select(find(driver, "//div[@role='dialog']//select")).select_by_value("fr")
    press(driver, "Listen")
    until(driver, lambda: driver.execute_script("return document.querySelector('[role=dialog] audio')?.duration > 0.3"))
    press(driver, "Keep it")
    find(driver, "[aria-label^='What the sound']")
    until(driver, lambda: (stored(teacher, set_id)[0]["sound"] or {}).get("transcript") == "à tribord")
    assert stored(teacher, set_id)[0]["picture"]["description"] == "Anchor"

    # A recording takes the place of the spoken word.
    press(driver, "Remove sound")
    press(driver, "+ Picture, sound, video")
    press(driver, "Record")
    press(driver, "Start recording")
    wait_for(driver, "Recording, 1 s")
    press(driver, "Stop")
    press(driver, "Keep the recording")
    wait_for(driver, "Write down what the sound says")
    until(driver, lambda: stored(teacher, set_id)[0]["sound"]["seconds"] > 0.5)

    # A picture that is pasted takes the place of the anchor.
    until(driver, lambda: "all changes kept" in body_text(driver))
    before = stored(teacher, set_id)[0]["picture"]["media"]
    driver.execute_async_script(
        """const done = arguments[0]
        const canvas = Object.assign(document.createElement('canvas'), { width: 60, height: 40 })
        canvas.toBlob((blob) => {
          const files = new DataTransfer()
          files.items.add(new File([blob], 'mark.png', { type: 'image/png' }))
          const event = new ClipboardEvent('paste', { clipboardData: files, bubbles: true, cancelable: true })
          document.querySelector('[data-item] textarea').dispatchEvent(event)
          done()
        })"""
    )
    until(driver, lambda: stored(teacher, set_id)[0]["picture"]["media"] != before)
    driver.get(f"{server.url}/shelf")
    press(driver, "Clear 2 unused files")
    wait_for(driver, "Nothing to clear")


def test_a_set_is_tried_on_a_phone_and_a_tablet_and_nothing_is_kept(teacher, editor, server):
    driver, _set_id = editor(body("Which knot is a loop?", explanation="It holds."), body("And which is none?"))
    press(driver, "Try it as a student")
    wait_for(driver, "Nothing you do here is kept.")
    frames = until(driver, lambda: find_all(driver, "iframe"))
    assert [frame.get_attribute("width") for frame in frames] == ["390", "768"]
    driver.switch_to.frame(frames[0])
    wait_for(driver, "Which knot is a loop?")
    pick(driver, "//label[.//span[normalize-space(.)='B']]//input")
    press(driver, "Send B")
    wait_for(driver, "It holds.")
    wait_for(driver, "Right")
    press(driver, "Aa")
    click(driver, "//select[@id='page-language']/option[@value='de']")
    click(driver, "//input[@name='text-size' and @value='largest']")
    wait_for(driver, "Richtig")
    until(driver, lambda: driver.execute_script("return getComputedStyle(document.body).zoom") == "1.5")
    press(driver, "Weiter →")
    wait_for(driver, "And which is none?")
    kept = "return ['language', 'own-look'].filter((one) => localStorage[`lantern.${one}`])"
    assert driver.execute_script(kept) == []
    driver.switch_to.default_content()
    assert teacher.call("GET", "/sessions")["rows"] == []


def lighthouse(teacher):
    out = io.BytesIO()
    Image.new("RGB", (900, 600), "#314a5c").save(out, "PNG")
    files = {"file": ("tower.png", out.getvalue(), "image/png")}
    headers = {"X-CSRFToken": teacher.http.cookies.get("csrftoken"), "Referer": str(teacher.http.base_url)}
    picture: dict = teacher.http.post("/api/media/pictures", files=files, headers=headers).json()
    return picture | {"description": "A lighthouse"}


def fog(driver):
    """How many parts of the fog still lie on the picture."""
    return len(find_all(driver, "[data-fog] span:not(.opacity-0)"))


def test_fog_lifts_in_step_and_not_at_all_for_one_who_needs_it_off(server, teacher, browsers):
    item = body("What comes out of the fog?", picture=lighthouse(teacher), fog="dense", time_limit=20)
    session = teacher.start(teacher.make_set("Fog", [item]), close_when_all_answered=False)
    number = session["id"]
    desk, screen, phone, late = browsers(), browsers(), browsers(PHONE), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{number}")
    join_as(phone, server.url, session["code"], "Fen")
    teacher.command(number, "advance")
    find(phone, "[data-fog]")
    find(screen, "[data-fog]")
    at_first = fog(phone)
    assert at_first > 30
    assert "lighthouse" not in value_of(phone, "img", "alt")
    join_as_late(late, server.url, session["code"])
    until(phone, lambda: 0 < fog(phone) < at_first)
    for _ in range(20):  # all are read within one step of the fog, or read again
        seen = [fog(window) for window in (phone, late, screen)]
        if max(seen) - min(seen) <= 2:
            break
    assert max(seen) - min(seen) <= 2
    teacher.command(number, "lift_fog", seat=2, lifted=True)
    until(late, lambda: not late.find_elements(By.CSS_SELECTOR, "[data-fog]"))
    until(late, lambda: value_of(late, "img", "alt") == "A lighthouse")
    assert fog(phone) > 0
    teacher.command(number, "close")
    for window in (phone, screen):
        until(window, lambda window=window: not window.find_elements(By.CSS_SELECTOR, "[data-fog]"))


def join_as_late(driver, url, code):
    """Into a question that is open already."""
    driver.get(f"{url}/join/{code}")
    find(driver, "#name").send_keys("Bo")
    press(driver, "Join")
    wait_for(driver, "What comes out of the fog?")


def test_formulas_and_right_to_left_text_are_laid_out(server, teacher, browsers):
    item = body("Speed $v = \\frac{s}{t}$", explanation="H₂O and `code`")
    item["options"][0]["text"] = "מהירות **גבוהה**"
    session = teacher.start(teacher.make_set("Formulas", [item]), close_when_all_answered=False)
    phone = browsers(PHONE)
    join_as(phone, server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    find(phone, "h1 math mfrac")
    hebrew = find(phone, "//span[contains(., 'מהירות')][@dir='auto']")
    assert phone.execute_script("return getComputedStyle(arguments[0]).direction", hebrew) == "rtl"
    teacher.command(session["id"], "close")
    teacher.command(session["id"], "reveal")
    wait_for(phone, "H₂O")
    font = phone.execute_script("return getComputedStyle(document.querySelector('.prose code')).fontFamily")
    assert "mono" in font
