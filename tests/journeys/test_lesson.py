"""A whole lesson in the browser: written with the keyboard, run, joined, answered, read, taken away."""

import io

import pytest
from openpyxl import load_workbook
from selenium.webdriver.common.keys import Keys

from tests.journeys.pages import (
    add_question,
    answer,
    choose,
    chord,
    join_as,
    pick,
    sign_in,
    tab_to,
    type_keys,
    use_session_of,
    wait_counts,
    wait_gone,
    write_over,
)
from tools.browser import PHONE, click, find, go_offline, press, until, wait_for
from tools.client import TeacherClient, join, send_answer


def in_empty_block(driver, count):
    """Until there are so many blocks, and the cursor stands in the first line of the last."""
    focused = (
        f"return document.querySelectorAll('[data-item]').length === {count} && document.activeElement.value === ''"
    )
    until(driver, lambda: driver.execute_script(focused))


def write_question(driver, prompt, options, right):
    """From the first line of an empty question, with the keyboard alone."""
    type_keys(driver, prompt, Keys.ENTER)
    for index, option in enumerate(options):
        if index:
            type_keys(driver, Keys.ENTER)
        type_keys(driver, option)
    # Back to the mark of the right option: each line is a mark, a text, and (from three on) a remove button.
    for _ in range(40):
        chord(driver, Keys.SHIFT, Keys.TAB)
        label = driver.switch_to.active_element.get_attribute("aria-label") or ""
        if label.endswith("is right"):
            break
    group = driver.switch_to.active_element
    if group.get_attribute("type") == "radio":
        letters = "ABCD"
        for _ in range(12):
            if (driver.switch_to.active_element.get_attribute("aria-label") or "").startswith(
                f"Option {letters[right]} "
            ):
                break
            type_keys(driver, Keys.ARROW_UP)
        type_keys(driver, Keys.SPACE)


def test_a_lesson_from_the_first_key_to_the_workbook(server, teacher, browsers):
    email = teacher.call("GET", "/accounts/me")["email"]
    desk, screen = browsers(), browsers()
    fen, bo, ines = browsers(PHONE), browsers(PHONE), browsers(PHONE)

    # She writes a set of three questions with the keyboard alone.
    sign_in(desk, server.url, email)
    tab_to(desk, "New set")
    type_keys(desk, Keys.ENTER)
    wait_for(desk, "Nothing here yet")
    tab_to(desk, "Title of the set")
    type_keys(desk, "Knots for the evening")
    chord(desk, Keys.CONTROL, Keys.ENTER)
    in_empty_block(desk, 1)
    write_question(desk, "Which knot makes a loop?", ["Reef knot", "Bowline", "Sheet bend"], right=1)
    chord(desk, Keys.CONTROL, Keys.ENTER)
    in_empty_block(desk, 2)
    write_question(desk, "Which joins two ropes?", ["Sheet bend", "Bowline"], right=0)
    chord(desk, Keys.CONTROL, Keys.ENTER)
    in_empty_block(desk, 3)
    write_question(desk, "Which stops a rope running out?", ["Clove hitch", "Figure of eight"], right=1)
    wait_for(desk, "Nothing. It can run as it is.")
    wait_for(desk, "all changes kept")

    # She runs it; the big screen is a second window.
    tab_to(desk, "Run it…")
    type_keys(desk, Keys.ENTER)
    wait_for(desk, "Open the doors")
    tab_to(desk, "What is asked")
    type_keys(desk, Keys.ENTER)
    tab_to(desk, "Mix the options")  # they are, unless she wants them as she wrote them
    type_keys(desk, Keys.SPACE)
    tab_to(desk, "Open the doors")
    type_keys(desk, Keys.ENTER)
    wait_for(desk, "The doors are open")
    session = int(desk.current_url.rsplit("/", 1)[1])
    code = teacher.view(session)["code"]
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{session}")
    wait_for(screen, "Nobody is here yet.")

    for phone, name in ((fen, "Fen"), (bo, "Bo"), (ines, "Fen")):
        join_as(phone, server.url, code, name)
    wait_for(screen, "3 are here")
    wait_for(ines, "You are in, Fen 2")

    # First question: one reloads in mid-question with an answer sent, one loses the network.
    type_keys(desk, Keys.SPACE)
    wait_for(fen, "Which knot makes a loop?")
    answer(fen, "B")
    fen.refresh()
    wait_for(fen, "Sent.")
    choose(bo, "A")
    go_offline(bo, True)
    press(bo, "Send A")
    wait_for(bo, "No connection just now.")
    wait_counts(desk, [0, 1, 0])
    go_offline(bo, False)
    wait_for(bo, "Sent.")
    wait_counts(desk, [1, 1, 0])
    ines.refresh()
    choose(ines, "B")
    press(ines, "Send B")

    # All have answered, so it has closed by itself: the same figures on desk, big screen and phones.
    wait_for(desk, "Show the right answer")
    for window in (desk, screen, fen, bo, ines):
        wait_counts(window, [1, 2, 0])
    type_keys(desk, Keys.SPACE)
    wait_for(fen, "Right")
    wait_for(bo, "Not this time")
    wait_for(fen, "points. Place 1 of 3.")
    wait_for(screen, "✓ right")

    # The curtain hides the next result from the class, not from the desk.
    type_keys(desk, Keys.SPACE)
    wait_for(screen, "Standings")
    wait_for(bo, "Place 3")
    type_keys(desk, Keys.SPACE)
    wait_for(fen, "Choose an answer")
    type_keys(desk, "c")
    for phone in (fen, bo):
        answer(phone, "A")
    wait_counts(desk, [2, 0])
    press(desk, "Close the question")
    wait_for(screen, "closed")
    wait_counts(screen, [])
    press(desk, "Lift the curtain")
    wait_counts(screen, [2, 0])
    wait_for(ines, "You sent no answer this time.")

    # Last question, then the end.
    for label in ("Show the right answer", "Show the standings", "Next"):
        wait_for(desk, label)
        type_keys(desk, Keys.SPACE)
        wait_gone(desk, label)
    for phone, letter in ((fen, "A"), (bo, "B")):
        answer(phone, letter)
    choose(ines, "B")
    press(ines, "Send B")
    wait_for(desk, "Show the right answer")
    press(desk, "End session…")
    wait_for(desk, "End this session?")
    click(desk, "//div[@role='dialog']//button[normalize-space(.)='End the session']")
    wait_for(fen, "2 of 3")
    wait_for(bo, "2 of 3")
    wait_for(ines, "2 of 3")
    wait_for(screen, "That was it. Thank you!")

    # The page of the session and the workbook say the same.
    press(desk, "See the results")
    wait_for(desk, "Everyone, every question")
    wait_for(desk, "67 %")
    wait_for(desk, "1 of 3 answered A “Reef knot”")
    reply = teacher.http.get(f"/api/sessions/{session}/workbook.xlsx")
    rows = list(load_workbook(io.BytesIO(reply.content))["Class"].values)
    assert {row[0]: row[1:5] for row in rows[1:4]} == {
        "Bo": (0, 1, 1, 2),
        "Fen": (1, 1, 0, 2),
        "Fen 2": (1, None, 1, 2),
    }


def test_a_number_is_written_asked_typed_and_read(server, teacher, browsers):
    set_id = teacher.make_set("Tides", [])
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sets/{set_id}")
    add_question(desk, "Number")
    type_keys(desk, "How much does the tide rise?")
    for label, text in (("Right:", "0.9"), ("Unit", "m")):
        find(desk, f"//label[contains(., '{label}')]//input").send_keys(text)
    press(desk, "Exactly this number")
    click(desk, "//li[normalize-space(.)='A little more or less']")
    tolerance = find(desk, "//label[contains(., '±')]//input")
    tolerance.send_keys(Keys.BACKSPACE, "0.05")
    wait_for(desk, "Nothing. It can run as it is.")
    wait_for(desk, "all changes kept")
    session = teacher.start(set_id, close_when_all_answered=False)
    join_as(phone, server.url, session["code"], "Fen")
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{session['id']}")
    teacher.command(session["id"], "advance")
    wait_for(phone, "Type a number")
    field = find(phone, "//input[@id=//label[.='Your number']/@for]")
    field.send_keys("3 kg")
    wait_for(phone, "This is answered in m")
    field.send_keys(Keys.CONTROL, "a")
    field.send_keys("0,92 m")
    wait_for(phone, "Read as 0.92 m")
    press(phone, "Send 0,92 m")
    wait_for(phone, "Sent.")
    teacher.command(session["id"], "close")
    teacher.command(session["id"], "reveal")
    wait_for(phone, "Right")
    wait_for(phone, "Your answer: 0,92 m")
    wait_for(screen, "0.9 m (0.85 to 0.95 m counts)")
    reply = teacher.http.get(f"/api/sessions/{session['id']}/workbook.xlsx")
    rows = list(load_workbook(io.BytesIO(reply.content))["Class"].values)
    assert rows[1][:3] == ("Fen", 1, 1)


def test_a_mark_is_tried_explained_and_put_right(server, teacher, browsers):
    knot = {"id": "t1", "kind": "text_entry", "prompt": "Which knot?", "accepts": ["bowline"], "language": "en"}
    words = {"id": "w1", "kind": "word_cloud", "prompt": "What is at sea?", "language": "en"}
    set_id = teacher.make_set("Knots", [knot, words])
    desk, phone = browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sets/{set_id}")
    click(desk, "(//*[@data-item])[1]//textarea")
    press(desk, "Would this count?")
    wait_for(desk, "Not “bowline”: slips are not forgiven here.")
    press(desk, "usual spelling")
    pick(desk, "//label[contains(., 'Small typos')]/input")
    type_keys(desk, Keys.ESCAPE)
    find(desk, "//input[@placeholder='What a student might type']").send_keys("bowlinne")
    wait_for(desk, "bowlinne → bowline, a slip forgiven")
    wait_for(desk, "all changes kept")

    session = teacher.start(set_id, close_when_all_answered=False)
    join_as(phone, server.url, session["code"], "Fen")
    others = [join(server.url, session["code"], name) for name in ("Bo", "Ines")]
    teacher.command(session["id"], "advance")
    find(phone, "//input[@id=//label[.='Your answer']/@for]").send_keys("bowlinne")
    press(phone, "Send it")
    wait_for(phone, "Sent.")
    send_answer(server.url, others[0], "t1", {"kind": "text_entry", "text": "bowline knot"})
    for command in ("close", "reveal"):
        teacher.command(session["id"], command)
    wait_for(phone, "bowlinne → bowline, a slip forgiven")

    teacher.command(session["id"], "go_to", item="w1")
    for student, word in zip(others, ("wave", "waves"), strict=True):
        send_answer(server.url, student, "w1", {"kind": "word_cloud", "words": [word]})
    desk.get(f"{server.url}/desk/{session['id']}")
    wait_for(desk, "Counted as one: wave, waves")
    press(desk, "waves")
    wait_gone(desk, "Counted as one")
    teacher.command(session["id"], "end")

    desk.get(f"{server.url}/sessions/{session['id']}")
    click(desk, "//summary[contains(., 'Which knot?')]")
    click(desk, "//button[@aria-label='Why bowline knot does not count']")
    wait_for(desk, "Not among the accepted answers.")
    press(desk, "Count it")
    wait_for(desk, "It changes the score of 1 student.")
    press(desk, "Put it right")
    wait_for(desk, "“bowline knot” counts")
    wait_for(desk, "100 %")
    press(desk, "Take back")
    wait_gone(desk, "“bowline knot” counts")


def test_where_sockets_are_blocked_everything_goes_over_http(server, teacher, browsers):
    item = _question("q1", "Which knot?", "AB")
    session = teacher.start(teacher.make_set("Knots", [item]), close_when_all_answered=False)
    phone, desk = browsers(PHONE), browsers()
    for driver in (phone, desk):
        driver.execute_cdp_cmd("Network.enable", {})
        driver.execute_cdp_cmd(
            "Page.addScriptToEvaluateOnNewDocument",
            {"source": "window.WebSocket = class { constructor() { throw new Error('blocked') } }"},
        )
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/desk/{session['id']}")
    wait_for(desk, "The doors are open")
    join_as(phone, server.url, session["code"], "Fen")
    wait_for(desk, "1 here")
    type_keys(desk, Keys.SPACE)
    answer(phone, "B")
    wait_counts(desk, [0, 1])
    press(desk, "Close the question")
    wait_counts(phone, [0, 1])


def test_when_the_server_is_killed_devices_come_back_by_themselves(own_server, browsers):
    teacher = TeacherClient(own_server.url)
    email = teacher.sign_up()
    session = teacher.start(
        teacher.make_set("Knots", [_question("q1", "Which knot?", "AB")]), close_when_all_answered=False
    )
    phone, late, desk = browsers(PHONE), browsers(PHONE), browsers()
    sign_in(desk, own_server.url, email)
    desk.get(f"{own_server.url}/desk/{session['id']}")
    for window, name in ((phone, "Fen"), (late, "Bo")):
        join_as(window, own_server.url, session["code"], name)
    type_keys(desk, Keys.SPACE)
    answer(phone, "B")
    choose(late, "A")
    own_server.kill()
    wait_for(late, "No connection just now.")
    press(late, "Send A")
    own_server.start()
    wait_gone(phone, "No connection")
    wait_for(phone, "Sent.")
    wait_for(late, "Sent.")
    wait_counts(desk, [1, 1])
    press(desk, "Close the question")
    wait_counts(phone, [1, 1])


def test_a_student_can_be_renamed_removed_and_brought_back(server, teacher, browsers):
    session = teacher.start(teacher.make_set("Knots", [_question("q1", "Which knot?", "AB")]))
    phone, desk = browsers(PHONE), browsers()
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/desk/{session['id']}")
    join_as(phone, server.url, session["code"], "Fennn")
    press(desk, "Fennn")
    press(desk, "Rename")
    write_over(desk, "Fen")
    wait_for(phone, "You are in, Fen")
    wait_gone(desk, "Fennn")
    press(desk, "Fen")
    press(desk, "Remove")
    wait_for(phone, "has taken you out of this session")
    press(phone, "Join")
    wait_for(phone, "Ask to be let in again")
    press(desk, "Undo")
    wait_for(desk, "(away)")
    find(phone, "#name").send_keys("Fen")
    press(phone, "Join")
    wait_for(phone, "You are in, Fen")


def test_two_windows_of_the_editor_overwrite_nothing(server, teacher, browsers):
    set_id = teacher.make_set("Knots", [_question("q1", "Which knot?", "AB"), _question("q2", "Which rope?", "AB")])
    first, second = browsers(), browsers()
    email = teacher.call("GET", "/accounts/me")["email"]
    for window in (first, second):
        sign_in(window, server.url, email)
        window.get(f"{server.url}/sets/{set_id}")
        wait_for(window, "In this set")
    go_offline(second, True)
    _type_into(second, 0, " Mine.")
    _type_into(first, 0, " Theirs.")
    wait_for(first, "all changes kept")
    wait_for(second, "your changes are kept on this device")
    go_offline(second, False)
    wait_for(second, "Nothing has been overwritten.")
    press(second, "Keep mine")
    wait_for(second, "all changes kept")
    document = teacher.call("GET", f"/sets/{set_id}")
    assert document["items"][0]["item"]["prompt"] == "Which knot? Mine."


def test_what_was_written_without_a_connection_is_there_after_the_window_was_closed(server, teacher, browsers):
    set_id = teacher.make_set("Knots", [_question("q1", "Which knot?", "AB")])
    window = browsers()
    sign_in(window, server.url, teacher.call("GET", "/accounts/me")["email"])
    window.get(f"{server.url}/sets/{set_id}")
    wait_for(window, "In this set")
    go_offline(window, True)
    _type_into(window, 0, " Kept.")
    wait_for(window, "your changes are kept on this device")
    window.get("about:blank")
    go_offline(window, False)
    window.get(f"{server.url}/sets/{set_id}")
    wait_for(window, "Which knot? Kept.")
    wait_for(window, "all changes kept")
    assert teacher.call("GET", f"/sets/{set_id}")["items"][0]["item"]["prompt"] == "Which knot? Kept."


def test_undo_and_redo_reach_over_questions(server, teacher, browsers):
    set_id = teacher.make_set("Knots", [_question("q1", "Which knot?", "AB"), _question("q2", "Which rope?", "AB")])
    window = browsers()
    sign_in(window, server.url, teacher.call("GET", "/accounts/me")["email"])
    window.get(f"{server.url}/sets/{set_id}")
    wait_for(window, "In this set")
    _type_into(window, 0, "!")
    chord(window, Keys.CONTROL, "d")
    wait_for(window, "all changes kept")
    assert len(teacher.call("GET", f"/sets/{set_id}")["items"]) == 3
    for _ in range(2):
        chord(window, Keys.CONTROL, "z")
    wait_for(window, "all changes kept")
    prompts = [row["item"]["prompt"] for row in teacher.call("GET", f"/sets/{set_id}")["items"]]
    assert prompts == ["Which knot?", "Which rope?"]


@pytest.mark.parametrize("close", ["reload", "reopen"])
def test_a_phone_that_was_closed_leads_back(server, teacher, browsers, close):
    session = teacher.start(
        teacher.make_set("Knots", [_question("q1", "Which knot?", "AB")]), close_when_all_answered=False
    )
    phone = browsers(PHONE)
    join_as(phone, server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    answer(phone, "A")
    if close == "reload":
        phone.refresh()
    else:
        phone.get("about:blank")
        phone.get(f"{server.url}/join")
    wait_for(phone, "Sent.")
    assert len(teacher.view(session["id"])["people"]) == 1


def _question(item_id, prompt, letters):
    options = [{"id": f"{item_id}{letter}", "text": f"Knot {letter}", "right": letter == "B"} for letter in letters]
    return {"id": item_id, "kind": "choice", "prompt": prompt, "options": options, "time_limit": 600}


def _type_into(driver, index, text):
    block = f"(//*[@data-item])[{index + 1}]//textarea"
    click(driver, block)
    find(driver, block).send_keys(Keys.END, text)
