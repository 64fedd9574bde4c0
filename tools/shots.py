"""Takes docs/screenshots anew: the demo school, a class of simulated students, every main view."""

import subprocess
import sys
import tempfile
import time
from pathlib import Path

from selenium import webdriver
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tools.browser import DESKTOP, PHONE, click, find, open_browser, picture, press, resize, wait_for
from tools.client import TeacherClient
from tools.server import ROOT, RealServer

OUT = Path(sys.argv[1]) if len(sys.argv) > 1 else ROOT / "docs/screenshots"
TEACHER = ("odile@gullmark.example", "lantern at dusk")


def sign_in(driver: webdriver.Chrome, url: str) -> None:
    driver.get(f"{url}/sign-in")
    wait_for(driver, "Password")
    fields = driver.find_elements(By.TAG_NAME, "input")
    fields[0].send_keys(TEACHER[0])
    fields[1].send_keys(TEACHER[1] + Keys.ENTER)
    wait_for(driver, "Last changed")


def shoot(driver: webdriver.Chrome, name: str, settle: float = 0.5) -> None:
    time.sleep(settle)
    picture(driver, OUT / f"{name}.png")
    print(name)


def main() -> None:
    with tempfile.TemporaryDirectory() as folder:
        server = RealServer(Path(folder))
        server.manage("migrate", "-v0")
        server.manage("load_demo")
        server.start()
        desk, screen, phone = open_browser(), open_browser(), open_browser(PHONE)
        try:
            take_all(server, desk, screen, phone)
        finally:
            for driver in (desk, screen, phone):
                driver.quit()
            server.stop()


def take_all(server: RealServer, desk: webdriver.Chrome, screen: webdriver.Chrome, phone: webdriver.Chrome) -> None:
    url = server.url
    sign_in(desk, url)
    shoot(desk, "sets")
    press(desk, "Reading the harbour lights")
    wait_for(desk, "In this set")
    desk.find_elements(By.CSS_SELECTOR, "[data-item] textarea")[0].click()
    shoot(desk, "editor")
    press(desk, "As text")
    wait_for(desk, "This is how the set is now.")
    shoot(desk, "set-as-text")
    take_import(url, desk)
    take_classes(url, desk)
    desk.get(f"{url}/sets")
    press(desk, "Reading the harbour lights")
    wait_for(desk, "In this set")
    press(desk, "Run it…")
    wait_for(desk, "Open the doors")
    click(desk, "//select/option[normalize-space(.)='whoever has the code']")
    press(desk, "Open the doors")
    wait_for(desk, "The doors are open")
    session = int(desk.current_url.rsplit("/", 1)[1])
    teacher = TeacherClient(url)
    teacher.sign_in(*TEACHER)
    code = teacher.view(session)["code"]
    for cookie in desk.get_cookies():
        screen.get(f"{url}/join")
        screen.add_cookie({"name": cookie["name"], "value": cookie["value"]})
    screen.get(f"{url}/screen/{session}")
    phone.get(f"{url}/join/{code}")
    wait_for(phone, "with Odile Brandt")
    phone.find_element(By.ID, "name").send_keys("Cyrus A.")
    press(phone, "Join")
    wait_for(phone, "You are in")
    command = [sys.executable, "manage.py", "students", code, "-n", "26", "--url", url]
    students = subprocess.Popen(command, cwd=ROOT, env=server.environment)
    wait_for(screen, "27 are here", 30)
    shoot(screen, "big-screen-lobby")
    try:
        lead(teacher, session, desk, screen, phone)
    finally:
        students.kill()
    take_own_pace(server, teacher, desk, phone)
    take_keepers(server, teacher, phone)
    take_set_work(teacher, desk, phone)
    ended = teacher.call("GET", "/sessions?search=8C lights")["rows"]
    past = next(row for row in ended if row["took_part"] == 27)
    desk.get(f"{url}/sessions")
    wait_for(desk, "Took part")
    desk.get(f"{url}/sessions/{past['id']}")
    wait_for(desk, "Everyone, every question")
    shoot(desk, "session")
    take_term(url, teacher, desk)


def take_term(url: str, teacher: TeacherClient, desk: webdriver.Chrome) -> None:
    """What a class did in a term, as lines and as grades."""
    of_class = next(one["id"] for one in teacher.call("GET", "/classes") if one["name"] == "8C")
    desk.get(f"{url}/classes/{of_class}/results")
    press(desk, "Show it as a chart")
    find(desk, "[role=img] svg")
    shoot(desk, "class-over-time")
    book = teacher.call("POST", "/grade-books", {"of_class": of_class, "name": "Autumn term"})
    desk.get(f"{url}/grade-books/{book['id']}")
    wait_for(desk, "Totals")
    shoot(desk, "grade-book")


PASTED = """Knots and tides

1. Which knot makes a loop that holds?
a) Reef knot
b) Bowline *
c) Sheet bend
Source: Harbour book, page 12

2. The tide rises for ____ hours.

3. True or false: The tide turns twice a day.
Answer: True

4. What should be done first when someone falls overboard?
a) Shout “Man overboard!”
Keep pointing at the person
b) Jump in after them
Answer: a

5. How many masts has a ketch?
1) 3
2) 2
3) 1
Answer: 1

bow – the front of a ship
stern – the back of a ship
keel – the bottom of a ship"""


def take_import(url: str, desk: webdriver.Chrome) -> None:
    """A pasted text, one line of it not understood."""
    desk.get(f"{url}/bring-in")
    wait_for(desk, "Paste your questions")
    put = "const a = document.querySelector('textarea'); a.value = arguments[0]; a.dispatchEvent(new Event('input'))"
    desk.execute_script(put, PASTED)
    press(desk, "Read it")
    wait_for(desk, "1 to look at and 2 not understood")
    shoot(desk, "bring-in")


def take_classes(url: str, desk: webdriver.Chrome) -> None:
    desk.get(f"{url}/classes")
    wait_for(desk, "Standing code")
    press(desk, "8C")
    wait_for(desk, "28 members")
    wait_for(desk, "took part")
    shoot(desk, "class")


def lead(
    teacher: TeacherClient, session: int, desk: webdriver.Chrome, screen: webdriver.Chrome, phone: webdriver.Chrome
) -> None:
    """Three questions; the pictures are taken during the first, the second and the third."""
    teacher.command(session, "advance")
    wait_for(phone, "two white flashes")
    find(phone, "(//fieldset//label)[2]").click()
    shoot(phone, "phone-question")
    press(phone, "Send B")
    until_answered(teacher, session, 12)
    shoot(screen, "big-screen-question", 0.3)
    until_answered(teacher, session, 24)
    teacher.command(session, "close")
    teacher.command(session, "reveal")
    wait_for(phone, "Why")
    shoot(phone, "phone-result")
    wait_for(screen, "Why")
    shoot(screen, "big-screen-result")
    for item in range(2):
        go_on_until(teacher, session, "open")
        wait_for(phone, "Choose an answer")
        find(phone, f"(//fieldset//label)[{2 + item % 2}]").click()
        press(phone, "Send")
        until_answered(teacher, session, 17)
    shoot(desk, "desk", 0.4)
    until_answered(teacher, session, 23)
    teacher.command(session, "close") if teacher.view(session)["phase"] == "open" else None
    go_on_until(teacher, session, "standings")
    take_wall(teacher, session, screen)
    teacher.command(session, "end")
    resize(desk, DESKTOP)


def take_wall(teacher: TeacherClient, session: int, screen: webdriver.Chrome) -> None:
    """Something asked on the spot, written on a wall that fills."""
    teacher.command(session, "set_wall", wall={"live": True, "held": False, "named": False, "backing": True})
    prompt = "What did you notice on the water this morning?"
    item = {"kind": "open_response", "id": "wall", "prompt": prompt, "time_limit": 12}
    teacher.command(session, "ask_now", item=item)
    until_answered(teacher, session, 23)
    shoot(screen, "big-screen-wall")


def take_set_work(teacher: TeacherClient, desk: webdriver.Chrome, phone: webdriver.Chrome) -> None:
    """Homework that some have done, and the page of somebody who has not begun."""
    row = next(one for one in teacher.call("GET", "/work") if one["title"] == "Knots that hold")
    detail = teacher.call("GET", f"/work/{row['id']}")
    part = detail["classes"][0]
    desk.get(part["given"]["url"].split("/w/")[0] + f"/work/{row['id']}")
    wait_for(desk, "Handed in")
    shoot(desk, "set-work")
    left = next(line["name"] for line in part["lines"] if line["stage"] == "not_begun")
    members = teacher.call("GET", f"/classes/{part['given']['class_id']}")["members_list"]
    phone.get(part["given"]["url"])
    wait_for(phone, "Your pass phrase")
    phrase = next(one["phrase"] for one in members if one["name"] == left)
    phone.find_element(By.TAG_NAME, "input").send_keys(phrase)
    press(phone, "That’s me")
    wait_for(phone, "questions")
    shoot(phone, "phone-set-work")


def take_own_pace(server: RealServer, teacher: TeacherClient, desk: webdriver.Chrome, phone: webdriver.Chrome) -> None:
    """A class at work, some minutes into it."""
    url, lights = server.url, next(row["id"] for row in teacher.call("GET", "/sets") if "harbour" in row["title"])
    settings = {"manner": "own_pace", "answers": "changeable", "feedback": "handed_in", "time": {"of": "whole"}}
    session = teacher.call("POST", "/live/sessions", {"set": lights, "settings": settings})
    command = [sys.executable, "manage.py", "students", session["code"], "-n", "26", "--url", url]
    students = subprocess.Popen(command, cwd=ROOT, env=server.environment)
    try:
        phone.get(f"{url}/join/{session['code']}")
        wait_for(phone, "with Odile Brandt")
        phone.find_element(By.ID, "name").send_keys("Cyrus A.")
        press(phone, "Join")
        desk.get(f"{url}/desk/{session['id']}")
        wait_for(desk, "27 here", 30)
        teacher.command(session["id"], "advance")
        press(phone, "Begin")
        for question in ("1 of 11", "2 of 11"):
            wait_for(phone, question)
            click(phone, "(//fieldset//label)[2]")
            press(phone, "Keep and go on")
        wait_for(phone, "How to time a light")
        press(phone, "Next")
        wait_for(phone, "3 of 11")
        press(phone, "Flag for later")
        click(phone, "(//fieldset//label)[1]")
        wait_for(desk, "4 / 11", 60)
        shoot(desk, "desk-own-pace")
    finally:
        students.kill()
    teacher.command(session["id"], "end")


def take_keepers(server: RealServer, teacher: TeacherClient, phone: webdriver.Chrome) -> None:
    url, lights = server.url, next(row["id"] for row in teacher.call("GET", "/sets") if "harbour" in row["title"])
    offer = teacher.call("GET", f"/live/sets/{lights}/run")["games"]
    chosen = next(one["settings"] for one in offer if (one["game"], one["manner"]) == ("keepers", "own_pace"))
    session = teacher.call("POST", "/live/sessions", {"set": lights, "settings": chosen})
    phone.get(f"{url}/join/{session['code']}")
    wait_for(phone, "with Odile Brandt")
    phone.find_element(By.ID, "name").send_keys("Cyrus A.")
    press(phone, "Join")
    wait_for(phone, "You are in")
    teacher.command(session["id"], "advance")
    press(phone, "Begin")
    wait_for(phone, "Choose an answer")
    for option in (2, 1):
        click(phone, f"(//fieldset//label)[{option}]")
        press(phone, "Send")
        press(phone, "Next")
    shoot(phone, "phone-keepers")
    teacher.command(session["id"], "end")


def go_on_until(teacher: TeacherClient, session: int, phase: str) -> None:
    for _ in range(8):
        teacher.command(session, "advance")
        if teacher.view(session)["phase"] == phase:
            return


def until_answered(teacher: TeacherClient, session: int, count: int, seconds: float = 45) -> None:
    deadline = time.monotonic() + seconds
    while time.monotonic() < deadline:
        view = teacher.view(session)
        if view["answered"] >= count or view["phase"] != "open":
            return
        time.sleep(0.2)


if __name__ == "__main__":
    main()
