"""Own pace from the switches to the results: prepared, more time for one, closed for today, gone on another day."""

from selenium.webdriver.common.by import By

from tests.builders import choice
from tests.journeys.pages import choose_in, join_from_list, sign_in, use_session_of, wait_gone
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, click, find, press, until, wait_for
from tools.client import TeacherClient

A_DAY = 86_400_000
QUESTIONS = ("Which knot makes a loop?", "Which joins two ropes?", "Which stops a rope?")


def knots(teacher):
    return teacher.make_set(
        "Knots that hold",
        [choice("B", id=f"q{n}", prompt=text).model_dump(mode="json") for n, text in enumerate(QUESTIONS, start=1)],
    )


def a_class(teacher):
    """Fen needs half as much time again."""
    number = teacher.call("POST", "/classes", {"name": "8C"})["id"]
    for name, needs in (("Fen Okoro", {"time": 1.5}), ("Bo Holt", {})):
        teacher.call("POST", f"/classes/{number}/members", {"name": name, "needs": needs})
    return number


def lines(teacher, session):
    return {line["name"]: line for line in teacher.view(session)["progress"]}


def run_by_the_switches(desk):
    """Own pace, changeable, ten minutes for all of it, for the class; prepared for later."""
    press(desk, "Run it…")
    wait_for(desk, "Open the doors")
    click(desk, "//*[@role='radio'][contains(., 'Own pace')]")
    wait_for(desk, "an answer that was sent stays")
    click(desk, "//*[@role='radio'][contains(., 'Changeable')]")
    wait_for(desk, "may change answers until handing in")
    click(desk, "//select/option[starts-with(normalize-space(.), '8C')]")
    click(desk, "//summary[contains(., 'How much time')]")
    click(desk, "//select/option[normalize-space(.)='for all of it']")
    field = find(desk, "//label[contains(., 'minutes, from when')]//input")
    desk.execute_script("arguments[0].value = 10; arguments[0].dispatchEvent(new Event('change'))", field)
    wait_for(desk, "There are 10 minutes for all of it.")
    click(desk, "//summary[contains(., 'What students see')]")
    click(desk, "//select/option[normalize-space(.)='as both']")
    find(desk, "//label[contains(., 'Words of your own')]//textarea").send_keys("Coil the ropes, please.")
    check(desk, "run dialog, all of it", (DESKTOP, PHONE))
    press(desk, "Prepare for later")
    wait_for(desk, "You open the doors under “Sessions”")


def test_own_pace_from_the_switches_to_the_results(own_server, browsers):
    server, teacher = own_server, TeacherClient(own_server.url)
    email = teacher.sign_up()
    set_id, _ = knots(teacher), a_class(teacher)
    desk, fen, bo = browsers(), browsers(PHONE), browsers(PHONE)
    sign_in(desk, server.url, email)
    desk.get(f"{server.url}/sets/{set_id}")
    wait_for(desk, "In this set")
    run_by_the_switches(desk)

    # Prepared: a phone waits before the closed doors, and goes on by itself.
    (prepared,) = teacher.call("GET", "/live/prepared")
    session, code = prepared["id"], prepared["code"]
    fen.get(f"{server.url}/join/{code}")
    wait_for(fen, "is not open yet")
    desk.get(f"{server.url}/sessions")
    wait_for(desk, "Prepared")
    check(desk, "a session that is prepared", (DESKTOP, PHONE))
    press(desk, "Open the doors")
    wait_for(desk, "The doors are open")
    join_from_list(fen, "Fen Okoro")
    bo.get(f"{server.url}/join/{code}")
    join_from_list(bo, "Bo Holt")
    press(desk, "Start")

    # Fen needs more time, and nobody else is told.
    wait_for(fen, "You have 15 minutes for all of it.")
    wait_for(bo, "You have 10 minutes for all of it.")
    check(fen, "before one begins", (PHONE,))
    press(bo, "Begin")
    press(fen, "Begin")
    wait_for(fen, QUESTIONS[0])
    choose_in(fen, "A")
    press(fen, "Keep and go on")
    wait_for(fen, QUESTIONS[1])
    press(fen, "Flag for later")
    wait_for(fen, "Flagged")
    press(fen, "Back")
    wait_for(fen, QUESTIONS[0])
    wait_for(fen, "Your answer is kept.")
    choose_in(fen, "B")
    press(fen, "Keep and go on")
    wait_for(fen, QUESTIONS[1])
    check(fen, "a question at own pace", (PHONE,))
    until(desk, lambda: lines(teacher, session)["Fen Okoro"]["right"] == 1)
    wait_for(desk, "1 / 3")
    check(desk, "the desk at own pace", (DESKTOP, PHONE))

    # Closed for today; the server is stopped, and it goes on another day, exactly there.
    press(desk, "More…")
    press(desk, "Close for today, go on another day…")
    wait_for(desk, "Kept as")
    check(desk, "kept for another day", (DESKTOP, PHONE))
    click(desk, "//*[@role='dialog']//button[normalize-space(.)='Close for today']")
    for phone in (fen, bo):
        wait_for(phone, "Closed for today")
    left = {name: line["deadline"] for name, line in lines(teacher, session).items()}
    server.stop()
    wait_for(bo, "No connection just now.")
    server.environment["CLOCK_AHEAD_MS"] = str(A_DAY)
    server.start()
    desk.get(f"{server.url}/sessions")
    press(desk, "Closed for today: go on")
    wait_for(desk, "Everything stands where it was.")
    press(desk, "Go on")
    for phone, question in ((fen, QUESTIONS[1]), (bo, QUESTIONS[0])):
        wait_for(phone, question)
        wait_gone(phone, "No connection")
    stood = {name: line["deadline"] - left[name] for name, line in lines(teacher, session).items()}
    assert len(set(stood.values())) == 1
    assert stood["Bo Holt"] >= A_DAY

    # Fen's battery is dead: the teacher frees the name, another phone goes on with everything.
    fen.get("about:blank")
    press(desk, "Fen Okoro")
    press(desk, "Free the name")
    other = browsers(PHONE)
    other.get(f"{server.url}/join/{code}")
    join_from_list(other, "Fen Okoro")
    wait_for(other, QUESTIONS[1])
    choose_in(other, "A")
    press(other, "Look over")
    wait_for(other, "1 without an answer · 1 flagged")
    check(other, "looking over", (PHONE,))
    press(other, "Question 3")
    wait_for(other, QUESTIONS[2])
    choose_in(other, "B")
    press(other, "Keep it")
    wait_for(other, "Every question has an answer.")
    press(other, "Hand in")

    # Two of three are right; afterwards one may look at it.
    for text in ("You have handed in", "2 of 3", "67 % right", "Coil the ropes, please."):
        wait_for(other, text)
    press(other, "See what was right")
    wait_for(other, "Not this time")
    check(other, "what was right", (PHONE,))
    wait_for(desk, "handed in")

    # Bo gets a word and more time, and then the paper is taken in.
    before = lines(teacher, session)["Bo Holt"]["deadline"]
    press(desk, "Bo Holt")
    press(desk, "Write to them…")
    find(desk, "[role=dialog] textarea").send_keys("Look at the splice.")
    press(desk, "Send")
    wait_for(bo, "Look at the splice.")
    press(bo, "I have read it")
    wait_gone(bo, "Look at the splice.")
    press(desk, "Bo Holt")
    press(desk, "Five minutes more")
    until(desk, lambda: lines(teacher, session)["Bo Holt"]["deadline"] == before + 300_000)
    choose_in(bo, "B")
    press(bo, "Keep and go on")
    wait_for(bo, QUESTIONS[1])
    screen = browsers()
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{session}")
    wait_for(screen, "have handed in")
    assert QUESTIONS[1] not in screen.find_element(By.TAG_NAME, "body").text
    check(screen, "the big screen at own pace", (DESKTOP,))
    press(desk, "Take all papers in…")
    press(desk, "Take them in")
    wait_for(bo, "Your teacher has taken it in")
    wait_for(desk, "All papers are in.")
    press(desk, "End the session…")
    click(desk, "//*[@role='dialog']//button[normalize-space(.)='End the session']")
    wait_for(desk, "The session has ended")

    # The same figures to the digit in the report, on the phones, and opened again from the list.
    report = teacher.call("GET", f"/sessions/{session}/report")["report"]
    assert [(one["name"], one["score"], one["out_of"]) for one in report["people"]] == [
        ("Bo Holt", 1, 3),
        ("Fen Okoro", 2, 3),
    ]
    wait_for(bo, "33 % right")
    desk.get(f"{server.url}/sessions")
    click(desk, "//button[starts-with(@aria-label, 'More for')]")
    press(desk, "Open again…")
    press(desk, "Open it again")
    wait_for(desk, "have handed in")
    wait_for(bo, "Your teacher has taken it in")
