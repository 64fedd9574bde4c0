"""Games on the server: what can be chosen, who sits at a device, what is kept, what is read aloud."""

import pytest

from tests.builders import choice, page
from tools.client import SeatClient, TeacherClient

KNOTS = [choice("B", id=f"q{n}").model_dump(mode="json") for n in range(1, 4)]
OWN = {"manner": "own_pace", "answers": "final", "feedback": "each", "time": {"of": "none"}}
KEEPERS = {**OWN, "game": {"game": "keepers", "answers": 4}}
BEACONS = {"game": {"game": "beacons", "teams": 2}}


@pytest.fixture
def knots(teacher):
    return teacher.make_set("Knots that hold", [*KNOTS, page(id="p1").model_dump(mode="json")])


def test_what_can_be_played_is_offered_with_the_settings_that_fit(teacher, knots):
    offer = teacher.call("GET", f"/live/sets/{knots}/run")
    offered = [(one["game"], one["manner"]) for one in offer["games"]]
    assert offered == [
        ("", "led"),
        ("", "own_pace"),
        ("points", "led"),
        ("beacons", "led"),
        ("beacons", "own_pace"),
        ("keepers", "own_pace"),
    ]
    for one in offer["games"]:
        teacher.start(knots, **one["settings"])


@pytest.mark.parametrize(
    ("settings", "code"),
    [
        ({"game": {"game": "keepers"}}, "game_of_another_manner"),
        ({**OWN, **BEACONS, "feedback": "end"}, "game_tells_each"),
        ({**BEACONS, "answers": "changeable"}, "game_tells_each"),
    ],
)
def test_what_does_not_fit_is_said_at_the_game(teacher, knots, settings, code):
    body = {"set": knots, "settings": settings}
    refused = teacher.call("POST", "/live/sessions", body, status=422)
    assert (refused["code"], refused["field"]) == (code, "game")


def test_a_set_in_which_nothing_counts_is_not_played(teacher):
    opinion = choice(id="o1", scored=False).model_dump(mode="json")
    number = teacher.make_set("What do you think?", [opinion])
    refused = teacher.call("POST", "/live/sessions", {"set": number, "settings": BEACONS}, status=422)
    assert refused["code"] == "no_question_played"


def test_the_usual_pace_is_that_of_the_last_sessions(teacher, knots):
    plan = {"set": knots, "settings": KEEPERS}
    usual = teacher.call("POST", "/live/plan", plan)["pace"]
    session = teacher.start(knots, **{**KEEPERS, "game": {"game": "keepers"}})
    students = [SeatClient(str(teacher.http.base_url), session["code"], name) for name in ("Fen", "Bo", "Ines")]
    teacher.command(session["id"], "advance")
    for student in students:
        student.say("begin")
        student.work("BBBBB")
    teacher.command(session["id"], "end")
    assert teacher.call("POST", "/live/plan", plan)["pace"] == 1 < usual  # they read nothing


def test_who_sits_at_a_shared_device_is_asked_for_together(teacher, knots):
    session = teacher.start(knots, game={"game": "beacons", "made": "shared"})
    assert teacher.call("GET", f"/live/codes/{session['code']}")["asks"] == "crew"
    SeatClient(str(teacher.http.base_url), session["code"], "Fen Okoro, Ines Dahl")
    assert [person["name"] for person in teacher.view(session["id"])["people"]] == ["Fen Okoro, Ines Dahl"]
    form = {"code": session["code"], "name": "Fen, shit", "key": "another"}
    refused = teacher.call("POST", "/live/join", form, status=422)
    assert (refused["code"], refused["field"]) == ("name_unfit", "name")


def test_a_game_that_is_kept_stands_in_a_list_of_its_own_under_its_name(teacher, knots):
    session = teacher.start(knots, **KEEPERS)
    other = teacher.start(knots)
    teacher.command(session["id"], "advance")
    teacher.command(session["id"], "pause", for_today=True)
    teacher.call("PATCH", f"/sessions/{session['id']}", {"title": "Knots, second evening"}, status=204)
    (kept,) = teacher.call("GET", "/sessions?kept=true")["rows"]
    assert (kept["title"], kept["game"], kept["stopped"]) == ("Knots, second evening", "keepers", "today")
    games = {row["id"]: row["game"] for row in teacher.call("GET", "/sessions")["rows"]}
    assert games == {session["id"]: "keepers", other["id"]: "points"}


def test_a_sentence_is_read_aloud_and_no_long_text(teacher, knots):
    session = teacher.start(knots, **BEACONS)
    fen = SeatClient(str(teacher.http.base_url), session["code"], "Fen")
    said = fen.http.post("/api/live/student/spoken", json={"text": "Everybody in your team answers."})
    assert (said.json()["of"], said.json()["wav"][:4]) == (5, "UklG")
    assert fen.http.post("/api/live/student/spoken", json={"text": "a" * 301}).status_code == 422


@pytest.mark.parametrize(
    "settings", [{**BEACONS, "close_when_all_answered": False}, KEEPERS], ids=["beacons", "keepers"]
)
def test_a_process_that_has_never_seen_it_loads_the_same_game(own_server, settings):
    """Killed in the middle: what was acknowledged is there, and it goes on."""
    teacher = TeacherClient(own_server.url)
    teacher.sign_up()
    session = teacher.start(teacher.make_set("Knots that hold", KNOTS), **settings)
    students = [SeatClient(str(teacher.http.base_url), session["code"], name) for name in ("Fen", "Bo", "Ines")]
    teacher.command(session["id"], "advance")
    for student, letter in zip(students, "BAB", strict=True):
        student.say("begin")
        student.answer(letter)
    if "manner" not in settings:
        teacher.command(session["id"], "close")
        teacher.command(session["id"], "reveal")
    before = teacher.view(session["id"])["board"]
    own = [student.told["mine"]["board"] for student in students]
    own_server.kill()
    own_server.start()
    assert teacher.view(session["id"])["board"] == before
    assert [student.told["mine"]["board"] for student in students] == own
    assert any(hand.get("light") or hand.get("oil") for hand in own)
    # One seat has only so much read aloud to it.
    body = {"text": "Everybody in your team answers."}
    codes = [students[0].http.post("/api/live/student/spoken", json=body).status_code for _ in range(42)]
    assert codes == [200] * 40 + [429] * 2
