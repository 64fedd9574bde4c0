"""What a teacher does between lessons: an account, the list of sets, a picture, results."""

import secrets

from PIL import Image
from selenium.webdriver.common.keys import Keys

from tests.journeys.pages import answer, chord, join_as, pick, sign_in, wait_counts, wait_gone, write_over
from tools.browser import PHONE, body_text, click, find, find_all, press, until, wait_for
from tools.client import PASSWORD


def fill(driver, *texts):
    """Types into the form's fields, in their order, and sends it with Enter."""
    fields = until(driver, lambda: (found := find_all(driver, "form input"))[len(texts) - 1] and found)
    for field, text in zip(fields, texts, strict=True):
        field.clear()
        field.send_keys(text)
    fields[-1].send_keys(Keys.ENTER)


def menu(driver, title, action):
    click(driver, f"[aria-label='More for {title}']")
    press(driver, action)


def titles(driver):
    return [cell.text for cell in find_all(driver, "tbody a.font-bold")]


def test_an_account_from_sign_up_to_a_new_password(server, browsers):
    driver = browsers()
    email = f"s{secrets.token_hex(4)}@gullmark.example"
    driver.get(f"{server.url}/sets")
    wait_for(driver, "Sign in")
    press(driver, "Make an account")
    wait_for(driver, "Make the account")
    fill(driver, "Sunniva Toll", "nowhere", PASSWORD)
    wait_for(driver, "Type a whole e-mail address")
    fill(driver, "Sunniva Toll", email, PASSWORD)
    wait_for(driver, "Write your first set")
    press(driver, "Sunniva Toll")
    press(driver, "Your account")
    wait_for(driver, "Change your password")
    fill(driver, "wrong", "a new lamp 1904")
    wait_for(driver, "This is not your present password.")
    fill(driver, PASSWORD, "a new lamp 1904")
    wait_for(driver, "Your password is changed.")
    press(driver, "Sunniva Toll")
    press(driver, "Sign out")
    wait_for(driver, "New here?")
    fill(driver, email, PASSWORD)
    wait_for(driver, "do not go together")
    fill(driver, email, "a new lamp 1904")
    wait_for(driver, "Write your first set")


def test_the_list_of_sets(server, teacher, browsers):
    driver = browsers()
    for title in ("Knots", "Tides"):
        teacher.make_set(title, [_question(f"A question about {title.lower()}")])
    sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
    until(driver, lambda: titles(driver) == ["Tides", "Knots"])
    menu(driver, "Knots", "Rename")
    write_over(driver, "Knots that hold")
    wait_for(driver, "Knots that hold")
    menu(driver, "Tides", "Copy")
    wait_for(driver, "Tides (copy)")
    menu(driver, "Tides", "Delete")
    wait_for(driver, "“Tides” is in the recycle bin")
    wait_for(driver, "2 sets")
    press(driver, "Undo")
    wait_for(driver, "3 sets")
    search = find(driver, "input[type='search']")
    search.send_keys("about KNOTS")
    wait_gone(driver, "Tides (copy)")
    until(driver, lambda: titles(driver) == ["Knots that hold"])
    search.send_keys(" nowhere")
    wait_for(driver, "Nothing found")


def test_a_picture_is_put_on_a_question_described_and_taken_off(server, teacher, browsers, tmp_path):
    set_id = teacher.make_set("Marks", [_question("Which mark is this?")])
    picture, text = tmp_path / "mark.png", tmp_path / "mark.txt"
    Image.new("RGB", (800, 300), "#b03a2e").save(picture)
    text.write_text("no picture")
    driver = browsers()
    sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
    driver.get(f"{server.url}/sets/{set_id}")
    wait_for(driver, "In this set")
    click(driver, "[data-item] textarea")
    press(driver, "+ Picture, sound, video")
    chooser = find(driver, "//div[@role='dialog']//input[@type='file']")
    chooser.send_keys(str(text))
    wait_for(driver, "This file is not a picture")
    chooser.send_keys(str(picture))
    wait_for(driver, "Describe the picture for those who cannot see it.")
    find(driver, "[placeholder='Describe the picture']").send_keys("A red can-shaped mark")
    wait_gone(driver, "Describe the picture for those who cannot see it.")
    wait_for(driver, "all changes kept")
    stored = teacher.call("GET", f"/sets/{set_id}")["items"][0]["item"]["picture"]
    assert (stored["description"], stored["width"], stored["height"]) == ("A red can-shaped mark", 800, 300)
    press(driver, "Remove picture")
    wait_for(driver, "+ Picture")
    chord(driver, Keys.CONTROL, "z")
    wait_for(driver, "Remove picture")


def test_a_set_that_is_not_ready_says_why_and_leads_there(server, teacher, browsers):
    question = _question("Which mark is this?")
    for option in question["options"]:
        option["right"] = False
    set_id = teacher.make_set("Marks", [question])
    driver = browsers()
    sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
    driver.get(f"{server.url}/sets/{set_id}")
    wait_for(driver, "To settle before running")
    run = find(driver, "//button[normalize-space(.)='Run it…']")
    until(driver, lambda: not run.is_enabled())
    click(driver, "//aside//button[contains(., 'Mark the right answer')]")
    until(driver, lambda: driver.switch_to.active_element.get_attribute("value") == "Which mark is this?")
    pick(driver, "[aria-label='Option A is right']")
    wait_for(driver, "Nothing. It can run as it is.")
    until(driver, run.is_enabled)


def test_a_session_is_found_renamed_and_read(server, teacher, browsers):
    session = teacher.start(teacher.make_set("Marks", [_question("Which mark is this?")]))
    driver = browsers()
    sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
    driver.get(f"{server.url}/sessions")
    wait_for(driver, f"Running: {session['code']}, to the desk")
    teacher.command(session["id"], "end")
    driver.get(f"{server.url}/sessions/{session['id']}")
    wait_for(driver, "Nobody took part in this session.")
    press(driver, "Rename")
    write_over(driver, "Marks, 8C")
    wait_for(driver, "Marks, 8C")
    driver.refresh()
    wait_for(driver, "Marks, 8C")
    assert "undefined" not in body_text(driver)


def _question(prompt):
    options = [{"id": letter, "text": f"Mark {letter}", "right": letter == "B"} for letter in "AB"]
    return {"id": "q1", "kind": "choice", "prompt": prompt, "options": options}


def test_what_is_right_is_said_on_the_desk_after_all_have_answered(server, teacher, browsers):
    letter = {"id": "l1", "kind": "letter", "prompt": "Which line on the board is the stay?", "time_limit": None}
    another = letter | {"id": "l2", "prompt": "And which is the sheet?"}
    session = teacher.start(teacher.make_set("On the board", [letter, another]), close_when_all_answered=False)
    desk, phone = browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    join_as(phone, server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    pick(phone, "//label[normalize-space(.)='C']//input")
    press(phone, "Send")
    wait_for(phone, "Sent.")
    teacher.command(session["id"], "close")
    desk.get(f"{server.url}/desk/{session['id']}")
    wait_for(desk, "Say what is right")
    pick(desk, "//details//label[normalize-space(.)='C']//input")
    press(desk, "This is right")
    wait_for(desk, "right so far")
    teacher.command(session["id"], "reveal")
    wait_for(phone, "Right")
    wait_for(phone, "+ 100")
    # The next question starts without the letter that was chosen for this one.
    teacher.command(session["id"], "go_to", item="l2")
    pick(phone, "//label[normalize-space(.)='A']//input")
    press(phone, "Send")
    wait_for(phone, "Sent.")
    teacher.command(session["id"], "close")
    right = "//button[normalize-space(.)='This is right']"
    until(
        desk,
        lambda: (
            not find_all(desk, right)[0].is_enabled() and "sheet" in find_all(desk, "main h1, main h2, main")[0].text
        ),
    )


def test_a_question_is_asked_again_cleared_and_put_right_and_all_of_it_is_told(server, teacher, browsers):
    session = teacher.start(teacher.make_set("Marks", [_question("Which mark?")]), close_when_all_answered=False)
    number = session["id"]
    desk, phone = browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    join_as(phone, server.url, session["code"], "Ines Dahl")
    desk.get(f"{server.url}/desk/{number}")
    press(desk, "Start")
    answer(phone, "A")
    press(desk, "Close the question")
    _answers(desk, "Ask this question again")
    wait_for(desk, "round 2")
    answer(phone, "B")  # the phone shows an empty question
    _answers(desk, "Clear all answers")
    wait_for(desk, "The doors are open")
    wait_for(phone, "You are in")
    press(desk, "Undo")
    wait_for(desk, "round 2 · choose one · closed")
    wait_counts(desk, [1, 0, 0, 1, 1])  # both votes stand side by side, and the one who changed
    teacher.command(number, "end")
    desk.get(f"{server.url}/sessions/{number}")
    click(desk, "//summary[contains(., 'Which mark?')]")
    wait_for(desk, "Other rounds; round 2 counts")
    wait_for(desk, "Round 1 · 1 answer · 0 %")
    click(desk, "//p[contains(., 'Something else is right')]//button[normalize-space(.)='A']")
    press(desk, "Put it right")
    wait_for(desk, "“Mark A” is right")
    wait_for(desk, "Sunniva Toll")
    wait_for(desk, "Round 1 · 1 answer · 100 %")
    press(desk, "Take back")
    wait_for(desk, "Round 1 · 1 answer · 0 %")
    press(desk, "Ines Dahl")
    wait_for(desk, "Right is")
    press(desk, "Erase the name…")
    click(desk, "//*[@role='dialog']//button[normalize-space(.)='Erase the name']")
    wait_gone(desk, "Ines Dahl")
    wait_for(desk, "#1")
    press(desk, "All of the session")
    click(desk, "//summary[contains(., 'What happened')]")
    told = ("Opened: question 1, round 2.", "Another answer was set as right in question 1.", "The name of #1")
    for line in told:
        wait_for(desk, line)
    assert "Ines" not in body_text(desk)


def _answers(desk, action):
    press(desk, "Answers…")
    press(desk, action)


def test_of_many_questions_the_one_that_is_on_is_in_sight_among_the_people(server, teacher, browsers):
    options = [{"id": x, "text": f"A knot {x}", "right": x == "b"} for x in "ab"]
    items = [
        {"id": f"q{n}", "kind": "choice", "prompt": f"Knot {n}: $k_{{{n}}}$?", "options": options} for n in range(1, 15)
    ]
    session = teacher.start(teacher.make_set("Many knots", items))["id"]
    desk, phone = browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    join_as(phone, server.url, teacher.view(session)["code"], "Fen")
    desk.get(f"{server.url}/desk/{session}")
    for number in range(1, 15):
        teacher.command(session, "go_to", item=f"q{number}")
        teacher.command(session, "advance") if teacher.view(session)["phase"] != "open" else None
    people = "//section[@aria-label='People']"
    until(desk, lambda: find(desk, f"{people}//th[@data-current]").text == "14")
    edges = """const edge = (path) => document.evaluate(path, document, null, 9).singleNodeValue.getBoundingClientRect()
        return [edge(arguments[0]).right, edge(arguments[0] + '//th[@data-current]').right,
                edge(arguments[0]).left, edge(arguments[0] + '//tbody//th').left]"""
    until(desk, lambda: (e := desk.execute_script(edges, people))[1] <= e[0] and 0 <= e[3] - e[2] < 30)
    until(
        desk, lambda: len(find_all(desk, "//nav//*[local-name()='math']")) == 14
    )  # formulas are set in the run order, too
