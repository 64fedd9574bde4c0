"""Set work from giving it to what came of it: two classes, one student without a network in the middle, one with more
time whose attempt is opened again, one reminded and late."""

from tests.builders import choice
from tests.journeys.pages import choose_in, sign_in
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


def a_class(teacher, name, *people):
    number = teacher.call("POST", "/classes", {"name": name})["id"]
    for person in people:
        address = f"{person.split()[0].lower()}@gullmark.example"
        teacher.call("POST", f"/classes/{number}/members", {"name": person, "record_id": address})


def is_me(phone, name):
    click(phone, f"//label[contains(., {name!r})]")
    press(phone, "That’s me")
    wait_for(phone, "3 questions")


def answer(phone, question, letter):
    wait_for(phone, question)
    choose_in(phone, letter)


def more_for(desk, name, action):
    click(desk, f"//button[@aria-label='More for {name}']")
    press(desk, action)


def test_set_work_from_giving_it_to_what_came_of_it(own_server, browsers):
    server, teacher = own_server, TeacherClient(own_server.url)
    email = teacher.sign_up()
    knots(teacher)
    a_class(teacher, "8C", "Fen Okoro", "Bo Holt")
    a_class(teacher, "9A", "Una Vass")
    desk, fen, bo, una = browsers(), browsers(PHONE), browsers(PHONE), browsers(PHONE)

    # Given to two classes, told what was right when it is due.
    sign_in(desk, server.url, email)
    click(desk, "//button[contains(@aria-label, 'More for')]")
    press(desk, "Set it as work…")
    wait_for(desk, "What it is for")
    for name in ("8C", "9A"):
        click(desk, f"//label[contains(., '{name}')]/input")
    find(desk, "//label[contains(., 'Words to the students')]//textarea").send_keys("Have a rope at hand.")
    click(desk, "//summary[contains(., 'What students see')]")
    click(desk, "//select/option[normalize-space(.)='when it is due']")
    click(desk, "//summary[contains(., 'How much time there is')]")
    click(desk, "//select/option[normalize-space(.)='for all of it']")
    check(desk, "giving set work", (DESKTOP, PHONE))
    press(desk, "Give it")
    wait_for(desk, "Not begun")
    (row,) = teacher.call("GET", "/work")
    of_8c, of_9a = (one["url"] for one in row["given"])

    # Fen goes on without a network, also after the page was closed.
    fen.get(of_8c)
    wait_for(fen, "Knots that hold")
    check(fen, "a link to set work", (PHONE,))
    is_me(fen, "Fen Okoro")
    wait_for(fen, "Have a rope at hand.")
    check(fen, "a student's page of set work", (PHONE,))
    press(fen, "Begin")
    answer(fen, QUESTIONS[0], "B")
    press(fen, "Keep and go on")
    wait_for(fen, QUESTIONS[1])
    until(fen, lambda: fen.execute_script("return !!navigator.serviceWorker.controller"))
    until(fen, lambda: fen.execute_async_script("caches.match('/w/page').then((page) => arguments[0](!!page))"))
    server.stop()
    answer(fen, QUESTIONS[1], "B")
    press(fen, "Keep and go on")
    wait_for(fen, "One answer is kept on this device")
    check(fen, "an attempt without a network", (PHONE,))
    fen.get(of_8c)
    answer(fen, QUESTIONS[2], "A")
    press(fen, "Keep it")
    wait_for(fen, "Every question has an answer.")
    press(fen, "Hand in")
    wait_for(fen, "It is handed in as soon as the network is back.")
    server.start()
    wait_for(fen, "Attempt 1")
    wait_for(fen, "What was right is told")
    check(fen, "an attempt that was handed in", (PHONE,))

    # Bo hands in too early; it is opened again, with more time, and handed in anew.
    bo.get(of_8c)
    wait_for(bo, "Bo Holt")
    is_me(bo, "Bo Holt")
    wait_for(bo, "20 minutes")
    press(bo, "Begin")
    answer(bo, QUESTIONS[0], "B")
    press(bo, "Look over")
    press(bo, "Hand in")
    wait_for(bo, "1 of 3 answered")
    desk.get(f"{server.url}/work/{row['id']}")
    wait_for(desk, "all done")
    more_for(desk, "Bo Holt", "Open the last one again")
    wait_for(desk, "1 of 3 answered")
    check(desk, "following set work", (DESKTOP, PHONE))
    more_for(desk, "Bo Holt", "10 minutes more")
    until(desk, lambda: "10 minutes more" in find(desk, "//tr[contains(., 'Bo Holt')]").text)
    bo.refresh()
    wait_for(bo, "30 minutes")
    wait_for(bo, "It is over at")
    press(bo, "Go on")
    wait_for(bo, QUESTIONS[0])
    press(bo, "Look over")
    press(bo, "Hand in")
    wait_for(bo, "Attempt 1")

    # Somebody else at Bo's phone is not taken for Bo.
    press(bo, "Not you?")
    wait_for(bo, "That’s me")
    until(bo, lambda: bo.find_elements("xpath", "//label[contains(., 'Bo Holt')]//input[@disabled]"))

    # Una has not begun, and is reminded by mail.
    more_for(desk, "Una Vass", "Remind by mail")
    until(desk, lambda: "reminded" in find(desk, "//tr[contains(., 'Una Vass')]").text)

    # It was due: Una is late, and Fen sees what was right.
    server.stop()
    server.environment["CLOCK_AHEAD_MS"] = str(8 * A_DAY)
    server.start()
    una.get(of_9a)
    wait_for(una, "Una Vass")
    is_me(una, "Una Vass")
    wait_for(una, "it counts as late")
    press(una, "Begin")
    answer(una, QUESTIONS[0], "B")
    press(una, "Look over")
    press(una, "Hand in")
    wait_for(una, "33 % right")
    desk.get(f"{server.url}/work/{row['id']}")
    wait_for(desk, "past due, still taken")
    until(desk, lambda: "late" in find(desk, "//tr[contains(., 'Una Vass')]").text)
    fen.get(of_8c)
    wait_for(fen, "67 % right")
    press(fen, "See what was right")
    wait_for(fen, QUESTIONS[2])
    check(fen, "what was right in set work", (PHONE,))

    # The results are those of a session.
    click(desk, "(//a[normalize-space(.)='Results'])[1]")
    wait_for(desk, "Who has done it")
    wait_for(desk, "Fen Okoro")
