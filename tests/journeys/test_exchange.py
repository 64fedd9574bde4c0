"""Questions come in from a text and a spreadsheet; a package goes out, comes back, and is run."""

import io

import pytest
from openpyxl import Workbook, load_workbook

from tests.journeys.pages import answer, fill_area, join_as, sign_in
from tests.journeys.test_writing import body
from tools.browser import PHONE, click, find, find_all, press, until, value_of, wait_for

LETTERS = "abc"


def thirty_questions():
    """Hand-made, in several layouts; two of them cannot be understood as they stand."""
    lines = ["Knots for the autumn", ""]
    for number in range(1, 29):
        right = LETTERS[number % 3]
        options = [f"{one}) Knot {number}{one}{' *' if one == right else ''}" for one in LETTERS]
        lines += [f"{number}. Which knot is number {number}?", *options, ""]
    lines += ["29. Which knot joins two ropes?", "a) Sheet bend", "b) Bowline", "Answer: D", ""]
    lines += ["30. The tide ____ for six hours.", ""]
    return "\n".join(lines)


@pytest.fixture
def bringing_in(server, teacher, browsers):
    driver = browsers()
    sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
    driver.get(f"{server.url}/sets")
    press(driver, "Bring in…")
    wait_for(driver, "Paste your questions")
    return driver


def set_number(driver):
    until(driver, lambda: driver.current_url.rsplit("/", 1)[-1].isdigit())
    return int(driver.current_url.rsplit("/", 1)[-1])


def test_thirty_questions_are_pasted_two_are_mended_and_the_set_is_run(server, teacher, browsers, bringing_in):
    desk = bringing_in
    fill_area(desk, "//textarea", thirty_questions())
    press(desk, "Read it")
    wait_for(desk, "30 questions found: 2 not understood")
    wait_for(desk, "The answer “D” is none of the options.")
    until(desk, lambda: not find(desk, "//button[contains(., 'Add 28 questions')]").is_enabled())
    assert teacher.call("GET", "/sets") == []  # nothing is kept yet
    click(desk, "//label[contains(., 'Show only what to look at')]//input")
    until(desk, lambda: len(find_all(desk, "main li textarea")) == 2)
    fill_area(desk, "(//main//li//textarea)[1]", "Which knot joins two ropes?\na) Sheet bend\nb) Bowline\nAnswer: A")
    click(desk, "(//button[contains(., 'Read it again')])[1]")
    wait_for(desk, "30 questions found: 1 not understood")
    wait_for(desk, "Kept on this device until it is added")
    desk.refresh()  # nothing of it is lost
    wait_for(desk, "30 questions found: 1 not understood")
    click(desk, "//label[contains(., 'Show only what to look at')]//input")
    fill_area(desk, "(//main//li//textarea)[1]", "The tide ____ for six hours.\nAnswer: rises")
    click(desk, "(//button[contains(., 'Read it again')])[1]")
    wait_for(desk, "30 questions found, all of them understood")
    assert value_of(desk, "//label[contains(., 'Title of the new set')]//input", "value") == "Knots for the autumn"
    press(desk, "Add 30 questions")
    wait_for(desk, "In this set")
    items = [one["item"] for one in teacher.call("GET", f"/sets/{set_number(desk)}")["items"]]
    assert len(items) == 30
    assert [option["right"] for option in items[28]["options"]] == [True, False]
    assert items[29]["text"] == "The tide [rises] for six hours."
    session = teacher.start(set_number(desk), close_when_all_answered=False)
    phone = browsers(PHONE)
    join_as(phone, server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    answer(phone, "B")
    teacher.command(session["id"], "close")
    teacher.command(session["id"], "reveal")
    wait_for(phone, "Right")
    teacher.command(session["id"], "end")


def test_questions_that_students_wrote_keep_their_names(server, teacher, browsers, bringing_in, tmp_path):
    book = Workbook()
    book.active.append(["Kysymys", "Right", "Wrong 1", "Wrong 2", "Name"])
    book.active.append(["Which knot makes a loop?", "Bowline", "Reef knot", "Hitch", "Tove Hallin"])
    book.active.append(["How many hours does the tide rise?", 6, 5, 12, "Ines Varga"])
    file = tmp_path / "class 8c.xlsx"
    book.save(file)
    desk = bringing_in
    find(desk, "input[type='file']").send_keys(str(file))
    wait_for(desk, "No column holds the questions. Choose it among the columns.")
    click(desk, "//li[contains(., 'Kysymys')]//option[normalize-space(.)='question']")
    wait_for(desk, "2 questions found, all of them understood")
    wait_for(desk, "written by Tove Hallin")
    press(desk, "Add 2 questions")
    wait_for(desk, "In this set")
    session = teacher.start(set_number(desk), close_when_all_answered=False)
    number = session["id"]
    phone = browsers(PHONE)
    join_as(phone, server.url, session["code"], "Fen")
    teacher.command(number, "advance")
    desk.get(f"{server.url}/desk/{number}")
    wait_for(desk, "written by Tove Hallin")
    answer(phone, "A")
    for command in ("close", "reveal", "end"):
        teacher.command(number, command)
    workbook = load_workbook(io.BytesIO(teacher.http.get(f"/api/sessions/{number}/workbook.xlsx").content))
    assert "Tove Hallin" in {row[-1] for row in workbook["Questions"].values}
    # The same form comes again: what its columns hold is remembered.
    desk.get(f"{server.url}/bring-in")
    wait_for(desk, "Paste your questions")
    find(desk, "input[type='file']").send_keys(str(file))
    wait_for(desk, "2 questions found, all of them understood")


def test_a_package_goes_out_comes_back_and_is_run(server, teacher, browsers, bringing_in, tmp_path):
    set_id = teacher.make_set("Knots that hold", [body("Which knot is a loop?"), body("Which joins?", right="C")])
    desk = bringing_in
    desk.get(f"{server.url}/sets")
    click(desk, "[aria-label='More for Knots that hold']")
    press(desk, "Take out…")
    click(desk, "//label[contains(., 'QTI 3.0')]//input")
    address = value_of(desk, "//a[contains(., 'Save the file')]", "href")
    assert address == f"{server.url}/api/exchange/sets/{set_id}/qti3"
    file = tmp_path / "knots.qti3.zip"
    file.write_bytes(teacher.http.get(address).content)
    desk.get(f"{server.url}/bring-in")
    wait_for(desk, "Paste your questions")
    find(desk, "input[type='file']").send_keys(str(file))
    wait_for(desk, "2 questions found, all of them understood")
    press(desk, "Add 2 questions")
    wait_for(desk, "In this set")
    again = set_number(desk)
    assert again != set_id
    session = teacher.start(again, close_when_all_answered=False)
    phone = browsers(PHONE)
    join_as(phone, server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    answer(phone, "B")
    teacher.command(session["id"], "end")
    assert teacher.call("GET", f"/sessions/{session['id']}/report")["report"]["questions"][0]["share"] == 1
