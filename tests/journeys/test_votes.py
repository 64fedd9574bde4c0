"""A lecture of sixty with nothing prepared: a letter asked on the spot, its key said afterwards, a talk and a second
vote, led from a remote; on the desk, the big screen and a phone."""

from concurrent.futures import ThreadPoolExecutor

from selenium.webdriver.common.keys import Keys

from tests.journeys.pages import join_as, pick, sign_in, type_keys, use_session_of, wait_gone
from tests.journeys.test_access import check
from tools import web
from tools.browser import DESKTOP, PHONE, find, press, wait_for
from tools.client import answering, join

FIRST = "B" * 29 + "A" * 24 + "H" * 6
"""What the sixty answer at first, but for the one on the phone, who says A."""


def everyone(url, tokens, ask, letters):
    with ThreadPoolExecutor(8) as pool:
        votes = [pool.submit(vote, url, token, ask, letter) for token, letter in zip(tokens, letters, strict=True)]
        for one in votes:
            one.result()


def vote(url, token, ask, letter):
    headers = {"Authorization": f"Bearer {token}"}
    body = answering(ask, {"kind": "letter", "letter": letter})
    web.post(f"{url}/api/live/student/commands", json=body, headers=headers).raise_for_status()


def choose_letter(driver, letter):
    pick(driver, f"//fieldset//label[normalize-space(.)='{letter}']")


def test_a_lecture_with_nothing_prepared(server, teacher, browsers):
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    press(desk, "Start without a set…")
    wait_for(desk, "You ask as you go")
    check(desk, "start without a set", (DESKTOP, PHONE))
    press(desk, "Open the doors")
    wait_for(desk, "Nothing is prepared")
    number = int(desk.current_url.rsplit("/", 1)[1])
    code = teacher.view(number)["code"]
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{number}")
    with ThreadPoolExecutor(8) as pool:
        tokens = list(pool.map(lambda n: join(server.url, code, f"Student {n}"), range(len(FIRST))))
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
    pick(phone, "//button[contains(., 'Write to your teacher')]")
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

    # N and Enter ask with letters; the clock counts up, and nothing is right yet.
    type_keys(desk, "n")
    wait_for(desk, "Answered with")
    check(desk, "desk: ask now", (DESKTOP, PHONE))
    find(desk, "form select").send_keys("A to H")
    field = find(desk, "form input[maxlength]")
    field.send_keys("Which light is this?" + Keys.ENTER)
    wait_for(screen, "Which light is this?")
    wait_for(screen, "choose a letter · ")
    everyone(server.url, tokens, teacher.view(number)["shown"]["ask"], FIRST)
    wait_for(desk, "59 / 60")
    choose_letter(phone, "A")
    press(phone, "Send A")  # the last of those who are there, so the question closes
    wait_for(desk, "Say what is right")
    assert teacher.view(number)["right_share"] is None
    choose_letter(desk, "B")
    press(desk, "This is right")
    assert "right" not in screen.find_element("tag name", "body").text
    wait_for(desk, "48 % were right: let them talk it over, then vote again.")
    # The teacher walks about: the own phone leads, by a picture that the desk shows.
    press(desk, "More…")
    press(desk, "Your phone as a remote…")
    find(desk, "img[alt='QR picture for your phone']")
    check(desk, "desk: a remote", (DESKTOP, PHONE))
    remote = browsers(PHONE)
    remote.get(teacher.call("POST", f"/live/sessions/{number}/remotes")["url"])
    wait_for(remote, "48 %")
    check(remote, "remote", (PHONE,))
    wait_for(desk, "Your phone is connected.")
    press(desk, "Good")
    press(remote, "Talk it over")
    wait_for(phone, "Talk about it")
    wait_for(screen, "Talk it over.")
    check(phone, "phone: they talk", (PHONE,))
    check(screen, "big screen: they talk", (DESKTOP,))
    press(remote, "Vote again")

    # The second vote opens empty, and both stand side by side.
    wait_gone(phone, "Talk about it")
    everyone(server.url, tokens, teacher.view(number)["shown"]["ask"], FIRST.replace("A", "B"))
    wait_for(desk, "59 / 60")
    choose_letter(phone, "B")
    press(phone, "Send B")
    for window in (desk, screen):
        wait_for(window, "First vote")
        wait_for(window, "25 of 60 students who voted twice changed their answer.")
    assert "right before" not in screen.find_element("tag name", "body").text
    press(remote, "Show what is right")
    wait_for(screen, "48 % right before, 90 % after. Gained of what could be: 81 %.")
    check(screen, "big screen: both votes", (DESKTOP,))
    check(desk, "desk: both votes", (DESKTOP, PHONE))
    wait_for(phone, "Right")

    # Cut off, the phone leads nothing any more.
    press(desk, "More…")
    press(desk, "Your phone as a remote…")
    press(desk, "Cut it off")
    wait_for(remote, "This remote is not connected any more.")
    press(desk, "Good")

    # At the end it is offered to the library, with its key.
    press(desk, "End session…")
    press(desk, "End the session")
    wait_for(desk, "You asked 1 question on the spot.")
    check(desk, "desk: what was asked is offered", (DESKTOP, PHONE))
    press(desk, "Keep as a set")
    wait_for(desk, "1 question that you asked on the spot is in your library")
    (kept,) = teacher.call("GET", "/sets")
    (item,) = teacher.call("GET", f"/sets/{kept['id']}")["items"]
    item = item["item"]
    assert (item["prompt"], item["letters"], item["right"]) == ("Which light is this?", 8, ["B"])
