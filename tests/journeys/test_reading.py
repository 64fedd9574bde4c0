"""What a teacher does with a session once it is over: reads it, puts a key right, marks by hand, asks it again."""

import io

import pypdfium2
import pytest
from openpyxl import load_workbook
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from lantern.core.questions.kinds.open_response import OpenResponseItem
from tests.builders import choice
from tests.journeys.pages import chord, sign_in, type_keys, wait_gone
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, click, find, find_all, press, until, value_of, wait_for
from tools.client import SeatClient

BAR = OpenResponseItem(
    id="bar",
    prompt="Why does the sea steepen on the bar?",
    by_hand=True,
    rubric=({"text": "It is shallow there"}, {"text": "Wind stands against tide", "points": 2}),
)
TEXTS = ("It is shallow there", "it is shallow there!", "Wind against tide", "no idea")


def ran(server, teacher, items, answers, names=(), **settings):
    """A session that is over; `answers` has each student's, by item. Names with an address come with it."""
    set_id = teacher.make_set("Bars and marks", [item.model_dump(mode="json") for item in items])
    session = teacher.start(set_id, close_when_all_answered=False, **settings)
    numbered = [(f"Student {n:02}", "") for n in range(1, len(answers) + 1)]
    seats = [SeatClient(server.url, session["code"], name, record_id=address) for name, address in names or numbered]
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


SCRIPTS = {
    "Zoë Ågren": "Grüße, ça va?",
    "Ευγενία Νικολάου": "Τι φωτίζει ο φάρος;",
    "Дмитро Їжак": "Що світить у гавані?",
    "ليلى البحار": "ماذا يضيء الفنار؟",
    "אורי ים": "מה מאיר המגדלור?",
    "अनिका सागर": "दीपस्तंभ क्या दिखाता है?",
    "林海": "灯塔照亮什么？",
}


def test_results_go_out_on_paper_by_mail_and_by_a_link(server, teacher, browsers):
    items = [
        choice("B", id=f"q{n}", prompt=f"{prompt} $\\frac{{{n}}}{{2}}$") for n, prompt in enumerate(SCRIPTS.values(), 1)
    ]
    answers = [{item.id: chosen("AB"[n % 2]) for item in items} for n in range(len(SCRIPTS))]
    names = [(name, f"s{n}@gullmark.example" if n else "GB-1") for n, name in enumerate(SCRIPTS)]
    session = ran(server, teacher, items, answers, names, known="record_id")
    desk = browsers()
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sessions/{session}")
    wait_for(desk, "Everyone, every question")

    # A page for each, in whatever script they write.
    press(desk, "Take out…")
    press(desk, "A page for each student…")
    wait_for(desk, "Each with what that student may see")
    check(desk, "pages for students", (DESKTOP, PHONE))
    press(desk, "Make the pages")
    wait_for(desk, "is made.")
    click(desk, "//header//button[contains(., 'Made for you')]")
    file = find(desk, "//a[normalize-space(.)='Fetch it']").get_attribute("href")
    type_keys(desk, Keys.ESCAPE)
    pages = [page.get_textpage().get_text_bounded() for page in pypdfium2.PdfDocument(teacher.http.get(file).content)]
    told = [next((name for name in SCRIPTS if name in page), None) for page in pages]
    assert set(told) - {None} >= {"Zoë Ågren", "Ευγενία Νικολάου", "Дмитро Їжак", "林海"}
    assert all(prompt[:5] in "".join(pages) for prompt in SCRIPTS.values() if prompt.isascii())

    # Mails: who gets what is seen before, and one is held back.
    press(desk, "Take out…")
    press(desk, "Mail to each student…")
    wait_for(desk, "Without an address: Zoë Ågren.")
    wait_for(desk, "Send 6 mails")
    click(desk, "//*[@role='dialog']//label[contains(., '林海')]//input")
    wait_for(desk, "Send 5 mails")
    check(desk, "mails to students", (DESKTOP, PHONE))
    press(desk, "Send 5 mails")
    wait_for(desk, "done.")
    desk.get(f"{server.url}/outbox")
    wait_for(desk, "to s5@gullmark.example")
    assert "s6@gullmark.example" not in find(desk, "main").text
    assert len(find_all(desk, "//main//li//a[contains(., '.pdf')]")) == 5
    check(desk, "the outbox with results", (DESKTOP, PHONE))

    # A link, without names, for somebody without an account.
    desk.get(f"{server.url}/sessions/{session}")
    wait_for(desk, "Everyone, every question")
    press(desk, "Take out…")
    press(desk, "A link to read by…")
    press(desk, "Make a link")
    wait_for(desk, "it is shown this once")
    check(desk, "a link to results", (DESKTOP, PHONE))
    link = find(desk, "//*[@role='dialog']//*[@role='status']/span").text
    reader = browsers()
    reader.get(link)
    wait_for(reader, "Student 7")
    assert not any(name in find(reader, "main").text for name in SCRIPTS)
    check(reader, "results by a link")
    press(desk, "Stop it")
    wait_gone(desk, "Links that open")
    reader.refresh()
    wait_for(reader, "This link opens nothing")


def test_a_grade_book_is_made_of_what_a_class_did(server, teacher, browsers):
    of_class = teacher.call("POST", "/classes", {"name": "8B"})["id"]
    for name in ("Alva Renner", "Bo Holt"):
        teacher.call("POST", f"/classes/{of_class}/members", {"name": name})
    items = [choice("B", id=f"q{n}") for n in (1, 2)]
    for letters in (("BB", "BA"), ("AB", "AA")):
        set_id = teacher.make_set("Knots", [item.model_dump(mode="json") for item in items])
        body = {"set": set_id, "of_class": of_class, "settings": {"known": "list"}}
        session = teacher.call("POST", "/live/sessions", body)
        listed = teacher.call("GET", f"/live/codes/{session['code']}")["names"]
        seats = [SeatClient(server.url, session["code"], one["name"], member=one["key"]) for one in listed]
        for at, item in enumerate(items):
            teacher.command(session["id"], "go_to", item=item.id)
            for seat, given in zip(seats, letters, strict=True):
                seat.say("answer", ask=f"{item.id}.1", answer=chosen(given[at])).raise_for_status()
        teacher.command(session["id"], "end")
    desk = browsers()
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/classes/{of_class}/results")
    press(desk, "Grade books")
    press(desk, "A new grade book")
    wait_for(desk, "What counts")
    row = "//tr[th[contains(., '{}')]]"
    assert find(desk, row.format("Alva Renner")).text.split()[2:4] == ["75", "%"]
    field = find(desk, "//label[contains(., 'Lowest left out')]//input")
    field.send_keys(Keys.CONTROL, "a")
    field.send_keys("1", Keys.TAB)
    until(desk, lambda: find(desk, row.format("Alva Renner")).text.split()[2:4] == ["100", "%"])
    press(desk, "Add a grade")
    find(desk, "//input[@aria-label='Grade 1']").send_keys("pass", Keys.TAB)
    until(desk, lambda: "pass" in find(desk, row.format("Alva Renner")).text)
    assert "pass" not in find(desk, row.format("Bo Holt")).text
    check(desk, "a grade book")
    press(desk, "Take out…")
    press(desk, "Workbook (xlsx)")
    wait_for(desk, "is made.")
    job = teacher.call("GET", "/jobs")[0]["id"]
    book = load_workbook(io.BytesIO(teacher.http.get(f"/api/jobs/{job}/file").content))
    rows = {row[0]: row for row in book["Grades"].values}
    assert rows["Alva Renner"][1:5] == (1, 0.5, 100, "pass")
    assert rows["Bo Holt"][1:5] == (0.5, 0, 50, None)
