"""A question with a talk and a second vote: on the desk, the big screen and a phone."""

import httpx

from tests.builders import choice
from tests.journeys.pages import answer, choose, join_as, sign_in, type_keys, use_session_of, wait_gone
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, find, press, wait_for
from tools.client import answering, join
from tools.client import send_answer as vote

OTHERS = "ABBBA"


def test_a_talk_and_a_second_vote(server, teacher, browsers):
    item = choice("B", id="q1", prompt="Which knot makes a loop?").model_dump(mode="json")
    session = teacher.start(teacher.make_set("Knots that hold", [item]), close_when_all_answered=False)
    number, code = session["id"], session["code"]
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/desk/{number}")
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{number}")
    tokens = [join(server.url, code, f"Student {n}") for n, _ in enumerate(OTHERS)]
    join_as(phone, server.url, code, "Fen")

    # Nobody new comes in once the doors are locked.
    press(desk, "More…")
    press(desk, "Lock the doors")
    wait_for(screen, "The doors are locked.")
    late = browsers(PHONE)
    late.get(f"{server.url}/join/{code}")
    wait_for(late, "with ")
    late.find_element("id", "name").send_keys("Bo")
    press(late, "Join")
    wait_for(late, "The doors are locked. Ask your teacher to let you in.")

    # A student writes to the teacher, who answers that one alone.
    press(phone, "Write to your teacher")
    phone.find_element("id", "note").send_keys("Is it about ropes?")
    check(phone, "phone: a note", (PHONE,))
    press(phone, "Send the note")
    wait_for(phone, "Your note is with your teacher.")
    press(desk, "1 note")
    wait_for(desk, "Is it about ropes?")
    check(desk, "desk: notes", (DESKTOP, PHONE))
    find(desk, "[role=dialog] input").send_keys("About loops.")
    press(desk, "Reply")
    wait_for(phone, "About loops.")
    press(phone, "I have read it")
    press(desk, "Close")

    press(desk, "Start")
    answer(phone, "A")
    for token, letter in zip(tokens, OTHERS, strict=True):
        vote(server.url, token, "q1", {"kind": "choice", "chosen": [letter]})
    wait_for(desk, "6 / 6")
    press(desk, "Close the question")
    wait_for(desk, "50 % were right: let them talk it over, then vote again.")
    type_keys(desk, "v")
    wait_for(phone, "Talk about it")
    wait_for(screen, "Talk it over.")
    check(phone, "phone: they talk", (PHONE,))
    check(screen, "big screen: they talk", (DESKTOP,))
    press(desk, "Vote again")

    # The second vote opens empty, and both stand side by side.
    wait_gone(phone, "Talk about it")
    choose(phone, "B")
    press(phone, "Send B")
    wait_for(phone, "Sent.")
    again = answering("q1.2", {"kind": "choice", "chosen": ["B"]})
    _say(server.url, tokens[0], again)
    wait_for(desk, "2 / 6")
    press(desk, "Close the question")
    for window in (desk, screen):
        wait_for(window, "First vote")
        wait_for(window, "2 of 2 students who voted twice changed their answer.")
    assert "right before" not in screen.find_element("tag name", "body").text
    press(desk, "Show the right answer")
    wait_for(screen, "0 % right before, 100 % after. Gained of what could be: 100 %.")
    check(screen, "big screen: both votes", (DESKTOP,))
    check(desk, "desk: both votes", (DESKTOP, PHONE))
    wait_for(phone, "Right")


def _say(url, token, body):
    headers = {"Authorization": f"Bearer {token}"}
    httpx.post(f"{url}/api/live/student/commands", json=body, headers=headers).raise_for_status()
