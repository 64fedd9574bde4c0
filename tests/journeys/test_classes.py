"""Classes as a teacher fills them, and as students are known: a list, a standing code, picked names, needs, erasing."""

import secrets

import pytest

from lantern.server.demo.school import CLASS_8C
from tests.journeys.pages import fill_area, pick, sign_in, wait_gone
from tests.journeys.test_access import check
from tools import web
from tools.browser import PHONE, body_text, click, find, find_all, press, until, wait_for
from tools.client import TeacherClient, send_answer

LIST = [*CLASS_8C[:24], "Yara Solheim", "Zeno Marsh", "Ada Kvist", "Birk Tammela"]
DOUBTFUL = {
    "A. Renner": "Alva Renner",
    "Tanaka Lind, Bo": "Bo Tanaka-Lind",
    "Cyrus Adeyemy": "Cyrus Adeyemi",
    "Dagny Holdt": "",
}
"""What the list writes, and who it is; Dagny Holdt is somebody else than Dagny Holt."""


def a_question(time_limit=600):
    options = [{"id": f"o{x}", "text": f"The knot {x}", "right": x == "B"} for x in "ABCD"]
    return {"id": "q1", "kind": "choice", "prompt": "Which knot holds?", "options": options, "time_limit": time_limit}


@pytest.fixture
def at_desk(server, teacher, browsers):
    driver = browsers()
    sign_in(driver, server.url, teacher.call("GET", "/accounts/me")["email"])
    return driver


def a_class(teacher, *names, **more):
    made = teacher.call("POST", "/classes", {"name": "8C", "subject": "Coastal Science"})
    for name in names:
        teacher.call("POST", f"/classes/{made['id']}/members", {"name": name, **more})
    return teacher.call("GET", f"/classes/{made['id']}")


def start(teacher, known, of_class=None, **question):
    made = teacher.make_set("Knots that hold", [a_question(**question)])
    body = {"set": made, "of_class": of_class, "settings": {"known": known, "mix_options": False}}
    return teacher.call("POST", "/live/sessions", body)


def comes_in(url, code, **who):
    body = {"code": code, "key": secrets.token_hex(8), **who}
    reply = web.post(f"{url}/api/live/join", json=body)
    reply.raise_for_status()
    return reply.json()["token"]


def test_a_class_of_28_comes_from_a_list_with_doubtful_rows_and_in_by_its_standing_code(
    server, teacher, browsers, at_desk
):
    of_class = a_class(teacher, "Alva Renner", "Bo Tanaka-Lind", "Cyrus Adeyemi", "Dagny Holt")
    written = [*DOUBTFUL, *LIST[4:]]
    at_desk.get(f"{server.url}/classes")
    press(at_desk, "8C")
    wait_for(at_desk, "4 members")
    press(at_desk, "Bring a list in…")
    wait_for(at_desk, "Type or paste names")
    check(at_desk, "bringing a list in")
    fill_area(at_desk, "//textarea", "Name\tRecord ID\n" + "\n".join(f"{name}\t" for name in written))
    press(at_desk, "Read it")
    wait_for(at_desk, "24 new, 4 doubtful")
    wait_for(at_desk, "Settle 4 lines first")
    check(at_desk, "a list beside its class")
    for number, is_whom in enumerate(DOUBTFUL.values(), start=1):
        pick(at_desk, f"(//button[contains(., '{'The same person' if is_whom else 'Somebody else'}')])[{number}]")
    press(at_desk, "Add 25")
    wait_for(at_desk, "29 members")
    wait_for(at_desk, "Holdt, Dagny")
    check(at_desk, "a class")
    click(at_desk, "//button[@aria-label='More for Dagny Holdt']")
    press(at_desk, "Leaves the class")
    wait_for(at_desk, "28 members")

    session = start(teacher, "nickname", of_class["id"])
    teacher.command(session["id"], "end")
    phone = browsers(PHONE)
    phone.get(f"{server.url}/join/{of_class['code']}")
    wait_for(phone, "Nothing is running in 8C just now")
    check(phone, "waiting at a standing code", (PHONE,))
    session = start(teacher, "list", of_class["id"])
    wait_for(phone, "Who are you?")  # it goes on by itself
    check(phone, "names to pick from", (PHONE,))
    names = web.get(f"{server.url}/api/live/codes/{of_class['code']}").json()["names"]
    for one in names[1:]:
        comes_in(server.url, session["code"], member=one["key"])
    find(phone, "input[type=search]").send_keys(names[1]["name"])
    until(phone, lambda: not find(phone, "input[type=radio]").is_enabled())
    wait_for(phone, "taken")
    find(phone, "input[type=search]").clear()
    find(phone, "input[type=search]").send_keys(names[0]["name"][:6])
    click(phone, f"//label[contains(., '{names[0]['name']}')]//input")
    press(phone, "Join")
    wait_for(phone, f"You are in, {names[0]['name']}")
    assert len(teacher.view(session["id"])["people"]) == 28

    other = browsers(PHONE)
    other.get(f"{server.url}/join/{of_class['code']}")
    wait_for(other, "Is your name taken?")
    at_desk.get(f"{server.url}/desk/{session['id']}")
    click(at_desk, f"//th//button[contains(., '{names[0]['name']}')]")
    press(at_desk, "Free the name")
    find(other, "input[type=search]").send_keys(names[0]["name"])
    until(other, lambda: find(other, "input[type=radio]").is_enabled())
    click(other, "//label//input[@type='radio']")
    press(other, "Join")
    wait_for(other, f"You are in, {names[0]['name']}")
    wait_for(phone, "You went on on another device")
    assert len(teacher.view(session["id"])["people"]) == 28


def test_a_student_with_more_time_and_plainer_options_and_the_desk_that_waits(server, teacher, browsers, at_desk):
    needs = {"time": 3.0, "fewer_options": 1, "high_contrast": True, "text": "large", "language": "de"}
    of_class = a_class(teacher, "Fen Okoro", needs=needs)
    teacher.call("POST", f"/classes/{of_class['id']}/members", {"name": "Bo Holt"})
    teacher.call("PUT", f"/classes/{of_class['id']}/phrases", {"on": True}, 204)
    phrases = {
        one["name"]: one["phrase"].replace(" ", "-")
        for one in teacher.call("GET", f"/classes/{of_class['id']}")["members_list"]
    }
    session = start(teacher, "list", of_class["id"], time_limit=5)
    fen, bo = browsers(PHONE), browsers(PHONE)
    for phone, name in ((fen, "Fen Okoro"), (bo, "Bo Holt")):
        phone.get(f"{server.url}/join/{of_class['code']}#{phrases[name]}")
        wait_for(phone, "They say who you are")
        press(phone, "Join")
    wait_for(fen, "Du bist drin, Fen Okoro")
    wait_for(bo, "You are in, Bo Holt")
    check(fen, "large text and contrast", (PHONE,))
    press(bo, "Aa")
    click(bo, "//label[contains(., 'Read aloud')]")
    press(bo, "Aa")
    at_desk.get(f"{server.url}/desk/{session['id']}")
    wait_for(at_desk, "The doors are open")
    teacher.command(session["id"], "advance")
    press(bo, "Read aloud")
    wait_for(bo, "Stop reading")
    until(bo, lambda: bo.execute_script("return CSS.highlights.has('spoken')"))
    wait_for(bo, "Time is up.")
    wait_for(at_desk, "waiting for 1 with more time")
    wait_for(fen, "Wähle eine Antwort")
    assert (len(find_all(fen, "fieldset label")), len(find_all(bo, "fieldset label"))) == (3, 4)
    assert "more time" not in body_text(bo)
    click(fen, "//label[contains(., 'The knot B')]")
    press(fen, "B senden")
    wait_gone(at_desk, "waiting for 1 with more time")
    view = teacher.view(session["id"])
    assert (view["phase"], view["answered"]) == ("closed", 1)

    # Whoever holds a device chooses its language, and it stays.
    press(bo, "Aa")
    click(bo, "//select[@id='page-language']/option[@value='ar']")
    wait_for(bo, "لم ترسل إجابة هذه المرة")
    assert bo.execute_script("return [document.dir, getComputedStyle(document.querySelector('h1')).direction]") == [
        "rtl", "ltr",
    ]  # fmt: skip
    check(bo, "a page from right to left", (PHONE,))
    bo.refresh()
    wait_for(bo, "لم ترسل إجابة هذه المرة")


def test_a_nickname_is_made_and_changed_twice(server, teacher, browsers):
    session = start(teacher, "made_up")
    phone = browsers(PHONE)
    phone.get(f"{server.url}/join/{session['code']}")
    wait_for(phone, "In this session you are")

    def name():
        found = find_all(phone, "p.figure")
        return found[0].text if found and "…" not in found[0].text else ""

    until(phone, name)
    check(phone, "a made-up name", (PHONE,))
    for _ in range(2):
        before = name()
        press(phone, "Another name")
        until(phone, lambda before=before: name() not in ("", before))
    chosen = name()
    press(phone, "Join")
    wait_for(phone, f"You are in, {chosen}")
    assert [one["name"] for one in teacher.view(session["id"])["people"]] == [chosen]


def test_a_record_id_joins_two_sessions_and_who_is_erased_is_gone(server, teacher, browsers, at_desk):
    of_class = a_class(teacher, "Ingeborg Vandermolen", record_id="GB-0777")
    sessions = [start(teacher, "record_id", of_class["id"]) for _ in range(2)]
    phone = browsers(PHONE)
    phone.get(f"{server.url}/join/{sessions[0]['code']}")
    wait_for(phone, "Your record ID")
    check(phone, "a record ID is asked for", (PHONE,))
    find(phone, "#record").send_keys("GB-0777")
    find(phone, "#name").send_keys("Inge")
    press(phone, "Join")
    wait_for(phone, "You are in, Inge")
    token = comes_in(server.url, sessions[1]["code"], record_id="gb-0777", name="Inge")
    teacher.command(sessions[1]["id"], "advance")
    send_answer(server.url, token, "q1", {"kind": "choice", "chosen": ["oB"]})

    at_desk.get(f"{server.url}/classes/{of_class['id']}")
    wait_for(at_desk, "1 member")
    click(at_desk, "//button[@aria-label='More for Ingeborg Vandermolen']")
    press(at_desk, "What is kept of them…")
    wait_for(at_desk, "Is this the same person?")
    wait_for(at_desk, "gb-0777")
    check(at_desk, "what is kept of a student")
    press(at_desk, "It is")
    wait_gone(at_desk, "Is this the same person?")
    until(at_desk, lambda: body_text(at_desk).count("Knots that hold") >= 2)
    press(at_desk, "Erase everywhere…")
    wait_for(at_desk, "The answers stay as nobody’s")
    press(at_desk, "Erase everywhere")
    wait_for(at_desk, "Nobody is in it yet")
    names = [one["name"] for session in sessions for one in teacher.view(session["id"])["people"]]
    assert names == ["#1", "#1"]
    wait_gone(phone, "Inge")


def test_students_ask_to_be_members_and_a_colleague_teaches_the_class_too(server, teacher, browsers, at_desk):
    of_class = a_class(teacher, "Alva Renner")
    at_desk.get(f"{server.url}/classes/{of_class['id']}")
    wait_for(at_desk, "Joining the class by a link")
    click(at_desk, "//select/option[contains(., 'you let each one in')]")
    until(at_desk, lambda: teacher.call("GET", f"/classes/{of_class['id']}")["joining"] == "ask")
    phone = browsers(PHONE)
    phone.get(teacher.call("GET", f"/classes/{of_class['id']}")["join_url"])
    wait_for(phone, "Join 8C")
    check(phone, "a class's link", (PHONE,))
    find(phone, "#name").send_keys("A. Renner")
    press(phone, "Ask to be let in")
    wait_for(phone, "Your teacher lets you in")
    wait_for(at_desk, "may be Alva Renner, who is in the list")
    check(at_desk, "who would like to join")
    press(at_desk, "Is the same")
    wait_for(phone, "You are in the class list, Alva Renner")

    colleague = TeacherClient(server.url)
    secret = teacher.call("POST", "/accounts/invitations", {})["link"].split("=")[-1]
    colleague.sign_up("Ravi Anker", secret)
    at_desk.get(f"{server.url}/school")
    wait_for(at_desk, "Ravi Anker")
    check(at_desk, "the school")
    at_desk.get(f"{server.url}/classes/{of_class['id']}")
    wait_for(at_desk, "1 member")
    press(at_desk, "More")
    press(at_desk, "Who teaches it…")
    click(at_desk, "//label[contains(., 'Ravi Anker')]//input")
    press(at_desk, "Save")
    until(at_desk, lambda: len(colleague.call("GET", "/classes")) == 1)
