"""Practice: over three days, at Keepers until so much is earned, and what was missed by who was there or came later."""

from tests.builders import choice
from tests.journeys.pages import choose_in, sign_in, wait_gone
from tests.journeys.test_access import check
from tests.journeys.test_set_work import A_DAY, a_class, is_me
from tools.browser import DESKTOP, PHONE, click, find, find_all, press, says, until, wait_for
from tools.client import TeacherClient

NAMES = ("Bowline", "Reef knot", "Sheet bend")
QUESTIONS = ("What do we tie around a post?", "What joins two equal ropes?", "What joins two unequal ropes?")


def knots(teacher):
    def options(right):
        return [{"id": "ABC"[n], "text": text, "right": n == right} for n, text in enumerate(NAMES)]

    items = [
        {**choice("A", id=f"q{n}", prompt=text).model_dump(mode="json"), "options": options(n), "language": "en"}
        for n, text in enumerate(QUESTIONS)
    ]
    return teacher.make_set("Knots that hold", items)


def given(teacher, set_id, class_id, purpose, terms=None, **settings):
    """The link of a piece that is told once it was handed in."""
    start = next(one for one in teacher.call("GET", f"/work/of-set/{set_id}")["starts"] if one["purpose"] == purpose)
    chosen = {**start["settings"], "known": "list", "mix_options": False, "mix_questions": False, **settings}
    form = {"set": set_id, "terms": {**start["terms"], **(terms or {})}, "settings": chosen, "classes": [class_id]}
    return teacher.call("POST", "/work", form)["classes"][0]["given"]["url"]


def class_of(teacher, name, *people):
    a_class(teacher, name, *people)
    return next(one["id"] for one in teacher.call("GET", "/classes") if one["name"] == name)


def is_asked(phone, question, letter, then):
    wait_for(phone, question)
    choose_in(phone, letter)
    press(phone, then)


def test_a_missed_question_comes_back_over_three_days(own_server, browsers):
    server, teacher = own_server, TeacherClient(own_server.url)
    email = teacher.sign_up()
    of_class = class_of(teacher, "8C", "Fen Okoro", "Bo Holt")
    link = given(teacher, knots(teacher), of_class, "homework")
    fen, desk = browsers(PHONE), browsers()

    # Today one of three is missed.
    fen.get(link)
    wait_for(fen, "Fen Okoro")
    is_me(fen, "Fen Okoro")
    press(fen, "Begin")
    for question, letter in zip(QUESTIONS, "ACC", strict=True):
        wait_for(fen, question)
        choose_in(fen, letter)
        press(fen, "Keep and go on" if question != QUESTIONS[-1] else "Keep it")
    press(fen, "Hand in")
    wait_for(fen, "67 % right")
    wait_for(fen, "Nothing to practise today. Something comes back tomorrow.")

    # The next day it comes back; missed again it comes again, in other forms, until it was right twice.
    server.stop()
    server.environment["CLOCK_AHEAD_MS"] = str(A_DAY)
    server.start()
    fen.get(link)
    wait_for(fen, "1 question of your class is ready to come back.")
    check(fen, "a student's page with practice", (PHONE,))
    press(fen, "Practise")
    is_asked(fen, QUESTIONS[1], "C", "Send")
    wait_for(fen, "Not this time")
    check(fen, "a round of practice", (PHONE,))
    press(fen, "Next")
    wait_gone(fen, "Not this time")
    wait_for(fen, "1 to go")
    choose_in(fen, "B")
    press(fen, "Send")
    press(fen, "Next")
    find(fen, "//input[not(@type) or @type='text'] | //textarea").send_keys("reef knot")
    press(fen, "Send")
    press(fen, "Finish")
    wait_for(fen, "That was 1 question. 0 you knew at once.")
    wait_for(fen, "Something comes back tomorrow.")

    # On the third day it is known.
    server.stop()
    server.environment["CLOCK_AHEAD_MS"] = str(2 * A_DAY)
    server.start()
    fen.get(link)
    wait_for(fen, "ready to come back.")
    press(fen, "Practise")
    wait_for(fen, QUESTIONS[1])
    choose_in(fen, "B")
    press(fen, "Send")
    wait_for(fen, "Finish")
    sign_in(desk, server.url, email)
    desk.get(f"{server.url}/classes/{of_class}/results")
    wait_for(desk, "What is held in practice")
    press(desk, "By student")
    until(desk, lambda: "50 %" in find(desk, "//tr[contains(., 'Fen Okoro')]").text)
    check(desk, "a class in practice", (DESKTOP, PHONE))


def test_keepers_as_set_work_until_so_much_oil_is_earned(server, browsers):
    teacher = TeacherClient(server.url)
    email = teacher.sign_up()
    class_of(teacher, "8C", "Fen Okoro")
    set_id = knots(teacher)
    kept = {
        "manner": "own_pace",
        "game": {"game": "keepers", "oil": 50, "gusts": True},
        "answers": "final",
        "feedback": "each",
        "time": {"of": "whole", "whole": 1200},
        "mix_options": False,
        "mix_questions": False,
    }
    teacher.call("PUT", "/live/presets", {"name": "Lamps on Friday", "settings": kept})
    fen, desk = browsers(PHONE), browsers()

    # Given as it was kept, but for what needs others.
    sign_in(desk, server.url, email)
    desk.get(f"{server.url}/work/give?set={set_id}")
    wait_for(desk, "What it is for")
    click(desk, "//label[contains(., '8C')]/input")
    click(desk, "//summary[contains(., 'Played as')]")
    click(desk, "//optgroup[@label='Your own']/option[. = 'Lamps on Friday']")
    wait_for(desk, "oil earned")
    assert not says(desk, "Gusts")
    press(desk, "Give it")
    wait_for(desk, "Not begun")

    (row,) = teacher.call("GET", "/work")
    fen.get(row["given"][0]["url"])
    wait_for(fen, "Fen Okoro")
    click(fen, "//label[contains(., 'Fen Okoro')]")
    press(fen, "That’s me")
    wait_for(fen, "20 minutes")
    check(fen, "keepers as set work", (PHONE,))
    press(fen, "Begin")
    for question, letter in zip((*QUESTIONS, *QUESTIONS), "ABCABC", strict=True):
        is_asked(fen, question, letter, "Send")
        until(fen, lambda: find_all(fen, "//button[. = 'Next']") or says(fen, "You have reached it"))
        if says(fen, "You have reached it"):
            break
        press(fen, "Next")
    wait_for(fen, "You have reached it")
    desk.get(f"{server.url}/work/{row['id']}")
    wait_for(desk, "target reached")


def test_what_was_missed_by_who_was_there_and_a_make_up_for_who_was_not(server, browsers):
    teacher = TeacherClient(server.url)
    email = teacher.sign_up()
    of_class = class_of(teacher, "8C", "Fen Okoro", "Bo Holt")
    chosen = {"known": "list", "close_when_all_answered": False, "mix_options": False}
    body = {"set": knots(teacher), "of_class": of_class, "settings": chosen}
    session = teacher.call("POST", "/live/sessions", body)
    fen, bo, desk = browsers(PHONE), browsers(PHONE), browsers()
    fen.get(f"{server.url}/join/{session['code']}")
    wait_for(fen, "Fen Okoro")
    click(fen, "//label[contains(., 'Fen Okoro')]")
    press(fen, "Join")
    wait_for(fen, "You are in")
    teacher.command(session["id"], "advance")
    is_asked(fen, QUESTIONS[0], "C", "Send")
    wait_for(fen, "Sent.")
    teacher.command(session["id"], "close")
    teacher.command(session["id"], "end")

    # Fen practises what was missed, at the end of the session.
    press(fen, "Practise what you missed")
    wait_for(fen, QUESTIONS[0])
    choose_in(fen, "A")
    press(fen, "Send")
    press(fen, "Finish")
    wait_for(fen, "See what was right")

    # Bo was absent, and does it later.
    sign_in(desk, server.url, email)
    desk.get(f"{server.url}/work/give?session={session['id']}")
    wait_for(desk, "What it is for")
    wait_for(desk, "Bo Holt")
    press(desk, "Give it")
    wait_for(desk, "Not begun")
    (row,) = teacher.call("GET", "/work")
    bo.get(row["given"][0]["url"])
    wait_for(bo, "Bo Holt")
    click(bo, "//label[contains(., 'Bo Holt')]")
    press(bo, "That’s me")
    press(bo, "Begin")
    wait_for(bo, QUESTIONS[0])
    choose_in(bo, "A")
    press(bo, "Look over")
    press(bo, "Hand in")
    wait_for(bo, "Handed in")
    desk.get(f"{server.url}/sessions/{session['id']}")
    wait_for(desk, "1 later, as")
