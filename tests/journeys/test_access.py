"""axe-core finds nothing on any view, at desktop and phone size, and at 200 % zoom nothing is cut off."""

import time

import pytest
from selenium.webdriver.common.keys import Keys

from lantern.core.questions import KINDS
from tests.journeys.pages import answer, choose, chord, fill_area, join_as, lines_of_text, sign_in, use_session_of
from tools.browser import DESKTOP, PHONE, click, press, resize, wait_for
from tools.server import ROOT

AXE = (ROOT / "frontend/node_modules/axe-core/axe.min.js").read_text()
RULES = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"]
ZOOMED = (640, 400)  # a window of 1280x800 at 200 %


def check(driver, name, sizes=(DESKTOP, PHONE, ZOOMED)):
    if not driver.execute_script("return !!window.axe"):
        driver.execute_script(AXE)
    for size in sizes:
        resize(driver, size)
        if size != ZOOMED:  # there, the layouts of the other two meet: what matters is that nothing is cut off
            found = violations(driver)
            for _ in range(10):  # a page that is still being laid out for its new size is looked at again
                if not found:
                    break
                time.sleep(0.2)
                found = violations(driver)
            assert found == [], f"{name} at {size}"
        # Not the window's own width: that of an emulated phone grows with what is too wide for it.
        wide = driver.execute_script("return document.documentElement.scrollWidth") - size[0]
        assert wide <= 0, f"{name} at {size} is {wide} px wider than the window"
    resize(driver, sizes[0])


def violations(driver):
    # What is in order is not described: that takes as long as finding what is not.
    options = {"runOnly": RULES, "resultTypes": ["violations"]}
    script = "const done = arguments[1]; axe.run(document, arguments[0]).then(r => done(r.violations))"
    found = driver.execute_async_script(script, options)
    return [(v["id"], [n["html"][:160] + " :: " + n["failureSummary"][:160] for n in v["nodes"][:3]]) for v in found]


@pytest.fixture
def lesson(teacher):
    return teacher.make_set("Knots that hold", [_item(n) for n in (1, 2)])


def _item(number):
    options = [{"id": f"q{number}{x}", "text": f"A knot with the letter {x}", "right": x == "B"} for x in "ABCD"]
    why = "It **holds** under load."
    return {
        "id": f"q{number}",
        "kind": "choice",
        "prompt": f"Which knot is number {number}?",
        "options": options,
        "time_limit": 600,
        "explanation": why,
    }


def test_the_teachers_pages(server, teacher, browsers, lesson):
    driver = browsers()
    for path, text in (("/sign-in", "Password"), ("/sign-up", "Make the account")):
        driver.get(server.url + path)
        wait_for(driver, text)
        check(driver, path)
    sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
    check(driver, "sets")
    driver.get(f"{server.url}/account")
    wait_for(driver, "Change your password")
    check(driver, "account")
    driver.get(f"{server.url}/sessions")
    wait_for(driver, "No session yet")
    check(driver, "no sessions")
    driver.get(f"{server.url}/nowhere")
    wait_for(driver, "There is no page at this address")
    check(driver, "missing page")
    driver.get(f"{server.url}/bring-in")
    wait_for(driver, "Paste your questions")
    check(driver, "bringing in")
    plain, bare = "1. Which?\na) Reef *\nb) Bend", "2. The ____ rises."
    twice, guessed = "3. How many?\n1) 3\n2) 2\n3) 1\nAnswer: 1", "4. Which light?\nred\ngreen"
    fill_area(driver, "//textarea", "\n\n".join(["Hello everyone,", plain, bare, twice, guessed]))
    press(driver, "Read it")
    wait_for(driver, "4 questions found: 1 to look at and 2 not understood")
    check(driver, "what was found", (DESKTOP, PHONE))
    driver.get(f"{server.url}/sets")
    click(driver, "[aria-label^='More for']")
    press(driver, "Take out…")
    wait_for(driver, "Everything in one file")
    check(driver, "taking out", (DESKTOP, PHONE))
    driver.get(f"{server.url}/sets/{lesson}")
    wait_for(driver, "In this set")
    click(driver, "[data-item] textarea")
    check(driver, "editor")
    press(driver, "30 s") if "30 s" in driver.page_source else press(driver, "10 min")
    wait_for(driver, "no time limit")
    check(driver, "editor with an open chip", (DESKTOP,))
    driver.get(f"{server.url}/sets/{lesson}/text")
    wait_for(driver, "This is how the set is now.")
    chord(driver, Keys.CONTROL, Keys.END)
    lines_of_text(driver).send_keys("\n:: nonsense")
    wait_for(driver, "1 place not understood")
    check(driver, "the set as text")
    driver.get(f"{server.url}/sets/{lesson}")
    press(driver, "Run it…")
    wait_for(driver, "Open the doors")
    check(driver, "run dialog")


def test_what_belongs_to_writing(server, teacher, browsers, lesson):
    driver = browsers()
    sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
    teacher.call("DELETE", f"/sets/{teacher.make_set('Old knots', [_item(3)])}", status=204)
    about = {"subject": "Seamanship", "topics": ["knots", "ropes", "lines"], "tags": ["a tag of many words", "autumn"]}
    teacher.call("PATCH", f"/sets/{lesson}", {"about": about})
    teacher.make_set("Knots that hold under any load and can be untied afterwards by a cold and tired crew", [])
    for path, text in (
        ("/sets", "Seamanship"),
        ("/bin", "Old knots"),
        ("/pick", "Which knot is number 2?"),
        ("/shelf", "Nothing is stored yet"),
        (f"/sets/{lesson}/try/frame", "1 of 2"),
    ):
        driver.get(server.url + path)
        wait_for(driver, text)
        check(driver, path)
    driver.get(f"{server.url}/sets/{lesson}")
    wait_for(driver, "In this set")
    press(driver, "About this set…")
    wait_for(driver, "Cover picture")
    for box in driver.find_elements("css selector", "[data-item] input[type='checkbox']"):
        driver.execute_script("arguments[0].click()", box)
    wait_for(driver, "2 items")
    check(driver, "a set with its particulars and a selection", (DESKTOP, PHONE))
    press(driver, "Make others of them…")
    wait_for(driver, "Asking for")
    check(driver, "making other questions", (DESKTOP, PHONE))
    press(driver, "Cancel")
    click(driver, "[data-item] textarea")
    press(driver, "+ Picture, sound, video")
    for tab, text in (
        ("Picture collection", "What should it show?"),
        ("Record", "microphone"),
        ("Spoken text", "voice"),
    ):
        press(driver, tab)
        wait_for(driver, text)
        check(driver, f"media: {tab}", (DESKTOP, PHONE))


def test_every_kind_in_the_editor_on_the_phone_and_on_the_big_screen(server, teacher, browsers):
    samples = [kind.samples()[0].item.model_dump(mode="json") for kind in KINDS]
    for item in samples:  # their files are not stored here
        item |= {"picture": None, "sound": None, "form": "text"} if item["sound"] else {}
    items = [item for item in samples if item["picture"] is None]
    set_id = teacher.make_set("Every kind", items)
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sets/{set_id}")
    wait_for(desk, "In this set")
    wait_for(desk, "You ask aloud")
    check(desk, "editor with every kind", (DESKTOP, PHONE))
    session = teacher.start(set_id, close_when_all_answered=False)
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{session['id']}")
    join_as(phone, server.url, session["code"], "Fen")
    for item in items:
        teacher.command(session["id"], "go_to", item=item["id"])
        wait_for(phone, item["prompt"].split(".")[0])
        check(phone, f"{item['kind']}: phone", (PHONE,))
        if teacher.view(session["id"])["phase"] == "open":
            teacher.command(session["id"], "close")
            teacher.command(session["id"], "reveal")
            wait_for(phone, "no answer this time")
            check(phone, f"{item['kind']}: result on the phone", (PHONE,))
        check(screen, f"{item['kind']}: big screen", (DESKTOP,))


def test_desk_big_screen_phone_and_results(server, teacher, browsers, lesson):
    session = teacher.start(lesson, close_when_all_answered=False, game={"game": "points", "early_bonus": True})
    number = session["id"]
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/desk/{number}")
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{number}")
    phone.get(f"{server.url}/join")
    wait_for(phone, "Type the code")
    check(phone, "join", (PHONE, DESKTOP, ZOOMED))
    join_as(phone, server.url, session["code"], "Fen")
    wait_for(desk, "1 here")

    def check_all(where):
        check(desk, f"desk: {where}", (DESKTOP, PHONE))
        check(screen, f"big screen: {where}", (DESKTOP, ZOOMED))
        check(phone, f"phone: {where}", (PHONE, DESKTOP, ZOOMED))

    check_all("lobby")
    teacher.command(number, "advance")
    wait_for(screen, "Which knot is number 1?")
    choose(phone, "B")
    check_all("open")
    screen.execute_script(
        "document.querySelector('main').className = document.querySelector('main').className.replace('night', 'day')"
    )
    check(screen, "big screen by day", (DESKTOP,))
    press(phone, "Send B")
    wait_for(phone, "Sent.")
    check(phone, "phone: sent", (PHONE,))
    for where, text in (("closed", "closed"), ("revealed", "Why"), ("standings", "Standings")):
        teacher.command(number, "advance")
        wait_for(screen, text)
        check_all(where)
    teacher.command(number, "advance")
    answer(phone, "A")
    teacher.command(number, "end")
    wait_for(phone, "Thank you")
    wait_for(desk, "The session has ended")
    check_all("ended")
    desk.get(f"{server.url}/sessions")
    wait_for(desk, "Took part")
    check(desk, "sessions")
    desk.get(f"{server.url}/sessions/{number}")
    wait_for(desk, "Everyone, every question")
    check(desk, "session")
    click(desk, "//thead//a")
    wait_for(desk, "Who answered what")
    check(desk, "question of a session")
    click(desk, "//tbody//a")
    wait_for(desk, "Right is")
    check(desk, "student in a session")
