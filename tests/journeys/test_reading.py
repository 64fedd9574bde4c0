"""What a teacher does with a session once it is over: reads it, puts a key right, marks by hand, asks it again."""

import io

import pytest
from openpyxl import load_workbook
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from lantern.core.questions.kinds.open_response import OpenResponseItem
from tests.builders import choice
from tests.journeys.pages import chord, sign_in, type_keys, wait_gone
from tests.journeys.test_access import check
from tools.browser import DESKTOP, click, find, find_all, press, until, value_of, wait_for
from tools.client import SeatClient

BAR = OpenResponseItem(
    id="bar",
    prompt="Why does the sea steepen on the bar?",
    by_hand=True,
    rubric=({"text": "It is shallow there"}, {"text": "Wind stands against tide", "points": 2}),
)
TEXTS = ("It is shallow there", "it is shallow there!", "Wind against tide", "no idea")


def ran(server, teacher, items, answers):
    """A session that is over; `answers` has each student's, by item."""
    set_id = teacher.make_set("Bars and marks", [item.model_dump(mode="json") for item in items])
    session = teacher.start(set_id, close_when_all_answered=False)
    seats = [SeatClient(server.url, session["code"], f"Student {n:02}") for n in range(1, len(answers) + 1)]
    for item in items:
        teacher.command(session["id"], "go_to", item=item.id)
        for seat, of_seat in zip(seats, answers, strict=True):
            seat.say("answer", ask=f"{item.id}.1", answer=of_seat[item.id]).raise_for_status()
        teacher.command(session["id"], "close")
    teacher.command(session["id"], "end")
    return session["id"]


def chosen(letter):
    return {"kind": "choice", "chosen": [letter]}


def test_twenty_seven_answers_are_marked_by_keys_alone(server, teacher, browsers):
    answers = [{"bar": {"kind": "open_response", "text": TEXTS[n % 4]}} for n in range(27)]
    session = ran(server, teacher, [BAR], answers)
    desk = browsers()
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sessions")
    wait_for(desk, "27 answers wait for a mark")
    desk.get(f"{server.url}/sessions/{session}")
    wait_for(desk, "27 answers wait for a mark by hand: they are in no score yet.")
    press(desk, "Mark them")
    wait_for(desk, "0 of 27 marked")
    wait_for(desk, "14 answers that say the same")
    type_keys(desk, "n")
    wait_for(desk, "Seat 1")
    check(desk, "marking by hand", (DESKTOP,))
    type_keys(desk, "1", Keys.ENTER)
    wait_for(desk, "14 of 27 marked")
    wait_for(desk, "2 of 3")
    type_keys(desk, "0")  # nothing of it: by mistake
    wait_for(desk, "21 of 27 marked")
    type_keys(desk, "u")
    wait_for(desk, "14 of 27 marked")
    wait_for(desk, "2 of 3")
    type_keys(desk, "2", Keys.ENTER)
    wait_for(desk, "21 of 27 marked")
    wait_for(desk, "no idea")
    type_keys(desk, "c")
    until(desk, lambda: desk.switch_to.active_element.tag_name == "textarea")
    type_keys(desk, "Look at the chart once more.", Keys.ESCAPE)
    until(desk, lambda: desk.switch_to.active_element.tag_name != "textarea")
    type_keys(desk, "0")
    wait_for(desk, "All 27 are marked.")
    type_keys(desk, "n")

    report = teacher.call("GET", f"/sessions/{session}/report")["report"]
    assert (report["waiting"], report["questions"][0]["share"]) == (0, pytest.approx((14 / 3 + 7 * 2 / 3) / 27))
    press(desk, "All of the session")
    wait_for(desk, "Everyone, every question")
    wait_gone(desk, "wait for a mark")
    press(desk, "Student 04")
    wait_for(desk, "Look at the chart once more.")


def test_a_key_is_put_right_and_the_workbook_agrees_to_the_digit(server, teacher, browsers):
    items = [choice("B", id=f"q{n}", prompt=f"Question {n} of the bar?") for n in (1, 2, 3, 4)]
    rows = ("BBBB", "ABBB", "ABAB", "AAAB", "ACAB", "BBAA")
    answers = [{item.id: chosen(letter) for item, letter in zip(items, row, strict=True)} for row in rows]
    session = ran(server, teacher, items, answers)
    desk = browsers()
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sessions/{session}")
    wait_for(desk, "4 of the 4 who were wrong answered A “Knot A”")
    click(desk, "//thead//a[contains(., '1')]")
    wait_for(desk, "Question 1 of “Bars and marks”")
    click(desk, "//summary[contains(., 'can be put right')]")
    click(desk, "//p[contains(., 'Something else is right')]//button[normalize-space(.)='A']")
    wait_for(desk, "It changes the score of 6 students.")
    wait_for(desk, "This question: 33 % right before, 67 % right after.")
    press(desk, "Put it right")
    wait_for(desk, "“Knot A” is right")
    chord(desk, Keys.ALT, Keys.ARROW_RIGHT)  # a browser's own key does nothing here
    type_keys(desk, Keys.ARROW_RIGHT)
    wait_for(desk, "Question 2 of “Bars and marks”")

    press(desk, "All of the session")
    wait_for(desk, "Everyone, every question")
    book = load_workbook(io.BytesIO(teacher.http.get(f"/api/sessions/{session}/workbook.xlsx").content))
    grid = {row[0]: row[1:] for row in book["Class"].values if str(row[0]).startswith("Student")}
    glyphs = {"✓": 1, "✗": 0}
    for line in find_all(desk, "//tbody/tr[th/a]"):
        name = line.find_element(By.TAG_NAME, "th").text
        score, *panes = (cell.text for cell in line.find_elements(By.TAG_NAME, "td"))
        marks = sum(glyphs[pane[0]] for pane in panes)
        assert (sum(grid[name][:4]), grid[name][4]) == (marks, float(score)) == (marks, marks)
    assert [row[2] for row in list(book["Put right"].values)[1:]] == ["“Knot A” is right"]

    press(desk, "Ask it again…")
    wait_for(desk, "A set of 3 questions.")
    press(desk, "Make it")
    wait_for(desk, "The set is made.")
    assert value_of(desk, "//*[@aria-label='Title of the set']", "value") == "Bars and marks, again"
    hardest = [one["item"] for one in teacher.call("GET", f"/sessions/{session}/report")["teach"]["questions"][:3]]
    made = int(desk.current_url.rsplit("/", 1)[1])
    assert [row["item"]["id"] for row in teacher.call("GET", f"/sets/{made}")["items"]] == hardest
    assert find(desk, "//*[@data-item]")
