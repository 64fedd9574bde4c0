"""Games on the server: what can be chosen, who sits at a device, what is kept, what is read aloud."""

import pytest

from lantern.core.games import GAMES, BoardGame
from lantern.core.questions.kinds.classify import KIND as CLASSIFY
from tests.builders import choice, page
from tools.client import SeatClient, TeacherClient

KNOTS = [choice("B", id=f"q{n}").model_dump(mode="json") for n in range(1, 4)]


def _with_answer(item, text):
    """Where B is right."""
    options = [{**one, "text": text} if one["id"] == "B" else one for one in item["options"]]
    return {**item, "prompt": f"Which knot is {item['id']}?", "options": options}


TERMS = [_with_answer(item, text) for item, text in zip(KNOTS, ("bowline", "reef knot", "clove hitch"), strict=True)]
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
        ("soundings", "led"),
        ("island", "led"),
        ("sea_chest", "led"),
        ("boathouse", "own_pace"),
        ("crossword", "own_pace"),
        ("word_search", "own_pace"),
        ("two_halves", "led"),
        ("two_halves", "own_pace"),
        ("shutters", "led"),
        ("shutters", "own_pace"),
        ("sort_the_catch", "led"),
        ("sort_the_catch", "own_pace"),
    ]
    fits = {(one["game"], one["manner"]): one["played"] for one in offer["games"]}
    assert (fits["beacons", "led"], fits["crossword", "own_pace"]) == (3, 0)  # all have the same answer
    terms = teacher.call("GET", f"/live/sets/{teacher.make_set('Knots by name', TERMS)}/run")["games"]
    pairs = {one["game"]: (one["played"], one["pairs"]) for one in terms}
    assert (pairs["beacons"], pairs["two_halves"], pairs["sort_the_catch"]) == ((3, None), (1, 3), (0, 0))
    for one in offer["games"]:
        if one["played"]:
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


SHARED = [
    {"game": "beacons", "made": "shared"},
    {"game": "boathouse", "made": "shared"},
    {"game": "sea_chest", "made": "shared"},
    {"game": "two_halves", "shared": True},
]


@pytest.mark.parametrize("game", SHARED, ids=[game["game"] for game in SHARED])
def test_who_sits_at_a_shared_device_is_asked_for_together_v5_u8(teacher, game):
    own = OWN if game["game"] == "boathouse" else {}
    session = teacher.start(teacher.make_set("Knots by name", TERMS), **own, game=game)
    assert teacher.call("GET", f"/live/codes/{session['code']}")["asks"] == "crew"
    fen = SeatClient(str(teacher.http.base_url), session["code"], "Fen Okoro, Ines Dahl")
    assert fen.told["mine"]["name"] == "Fen Okoro, Ines Dahl"
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


PLAYED = {
    "beacons": {**BEACONS, "close_when_all_answered": False},
    "keepers": KEEPERS,
    "soundings": {"game": {"game": "soundings", "teams": 2}, "close_when_all_answered": False},
    "island": {"game": {"game": "island", "teams": 2}, "close_when_all_answered": False},
    "sea_chest": {"game": {"game": "sea_chest", "teams": 2, "made": "drawn"}, "close_when_all_answered": False},
    "boathouse": {**OWN, "game": {"game": "boathouse", "made": "drawn", "teams": 2}},
    "crossword": {**OWN, "game": {"game": "crossword", "together": True}},
    "word_search": {**OWN, "game": {"game": "word_search"}},
    "two_halves": {**OWN, "game": {"game": "two_halves"}},
    "shutters": {"game": {"game": "shutters"}, "close_when_all_answered": False},
    "sort_the_catch": {**OWN, "game": {"game": "sort_the_catch"}},
}


class Evening:
    """A game of three on a server, played up to somewhere in its middle."""

    def __init__(self, teacher, number, settings):
        self.teacher, self.settings = teacher, settings
        self.session = teacher.start(number, **settings)
        url = str(teacher.http.base_url)
        self.students = [SeatClient(url, self.session["code"], name) for name in ("Fen", "Bo", "Ines")]
        teacher.command(self.session["id"], "advance")
        if teacher.view(self.session["id"])["phase"] == "standings":  # the chart comes before the question
            teacher.command(self.session["id"], "advance")
        for student, letter in zip(self.students, "BAB", strict=True):
            student.say("begin")
            self.play(student, letter)
        if "manner" not in settings:
            self.guide()
            teacher.command(self.session["id"], "close")
            teacher.command(self.session["id"], "reveal")

    def play(self, student, letter):
        item = student.told["view"]["shown"]["item"]
        if item["kind"] == "choice":
            student.answer(letter)
        elif self.settings["game"]["game"] == "word_search":
            self.move(student, move="mark_letters", question=item["id"], start=0, end=2)
        elif self.settings["game"]["game"] == "shutters":
            for place in (0, 1, 2):
                self.move(student, move="open_shutter", question=item["id"], place=place)
        else:
            left, right = (
                item[side] for side in (("left", "right") if item["kind"] == "match" else ("members", "groups"))
            )
            self.move(student, move="try_pair", question=item["id"], left=left[0]["id"], right=right[0]["id"])

    def guide(self):
        """What the desk does in a game in which it says what answers are worth."""
        board = self.teacher.view(self.session["id"])["board"]
        if board["game"] == "sea_chest":
            pearls = {"move": "give_pearls", "question": board["card"], "team": 1, "pearls": 2}
            self.teacher.command(self.session["id"], "guide_game", guide=pearls)

    def move(self, student, **move):
        assert student.say("move", move=move).is_success

    def seen(self):
        own = [student.told["mine"]["board"] for student in self.students]
        return self.teacher.view(self.session["id"])["board"], own


def test_a_process_that_has_never_seen_them_loads_the_same_games(own_server):
    """Killed in the middle of each: what was acknowledged is there, and it goes on."""
    teacher = TeacherClient(own_server.url)
    teacher.sign_up()
    sets = {"sort_the_catch": teacher.make_set("Ropes", [CLASSIFY.samples()[0].item.model_dump(mode="json")])}
    knots = teacher.make_set("Knots that hold", TERMS)
    evenings = [Evening(teacher, sets.get(game, knots), settings) for game, settings in PLAYED.items()]
    assert {game.name for game in GAMES if isinstance(game, BoardGame)} == PLAYED.keys()
    before = [evening.seen() for evening in evenings]
    own_server.kill()
    own_server.start()
    assert [evening.seen() for evening in evenings] == before
    for (_, own), game in zip(before, PLAYED, strict=True):
        boards = [board for hand in own for board in hand.get("boards", [])]
        moved = any(board["found"] or board["missed"] for board in boards)
        done = [hand.get(what) for hand in own for what in ("light", "oil", "right", "boat")]
        turned = [dial["figure"] for hand in own for dial in hand.get("dials", [])]
        pearls = [hand["team"]["pearls"] for hand in own if game == "sea_chest"]
        assert moved or any([*done, *turned, *pearls]), game
    # One seat has only so much read aloud to it.
    body = {"text": "Everybody in your team answers."}
    fen = evenings[0].students[0]
    codes = [fen.http.post("/api/live/student/spoken", json=body).status_code for _ in range(42)]
    assert codes == [200] * 40 + [429] * 2


@pytest.fixture
def watch(teacher):
    """A class of four in two groups, by name; how a session of it is begun, and how its members come in."""
    of_class = teacher.call("POST", "/classes", {"name": "8C"})["id"]
    for number, name in enumerate(("Alva", "Bo", "Cyrus", "Dora")):
        form = {"name": name, "group": ("Bow  watch", "stern watch")[number // 2]}
        teacher.call("POST", f"/classes/{of_class}/members", form)

    def begin(number, **game):
        body = {
            "set": number,
            "of_class": of_class,
            "settings": {"known": "list", "close_when_all_answered": False, "game": game},
        }
        return teacher.call("POST", "/live/sessions", body)

    return begin


def _come_in(teacher, session, names):
    """By name: how each answers over HTTP."""
    code, url = session["code"], str(teacher.http.base_url)
    listed = {one["name"]: one["key"] for one in teacher.call("GET", f"/live/codes/{code}")["names"]}
    return {name: SeatClient(url, code, name, member=listed[name]) for name in names}


def _team(student):
    return student.told["mine"]["board"]["team"]["number"]


def test_teams_are_as_the_class_list_has_its_groups_v3(teacher, knots, watch):
    session = watch(knots, game="beacons", teams=4, made="listed")
    students = _come_in(teacher, session, ("Alva", "Dora", "Bo", "Cyrus"))
    teams = {name: _team(student) for name, student in students.items()}
    assert teams == {"Alva": 1, "Bo": 1, "Cyrus": 2, "Dora": 2}


def test_teams_are_balanced_by_the_marks_of_the_sessions_before_v4(teacher, knots, watch):
    for letters in ({"Alva": "B", "Bo": "B", "Cyrus": "A", "Dora": "A"}, {"Alva": "B", "Bo": "A"}):
        before = watch(knots, game="points")
        students = _come_in(teacher, before, letters)
        teacher.command(before["id"], "advance")
        for name, letter in letters.items():
            students[name].answer(letter)
        teacher.command(before["id"], "end")
    session = watch(knots, game="beacons", teams=2, made="balanced")
    students = _come_in(teacher, session, ("Alva", "Bo", "Cyrus", "Dora"))
    assert students["Alva"].told["mine"]["board"]["team"] is None
    teacher.command(session["id"], "advance")
    # Alva (1.0) and Cyrus or Dora (0), against Bo (0.5) and the other of the two.
    assert _team(students["Alva"]) != _team(students["Bo"])
    assert _team(students["Cyrus"]) != _team(students["Dora"])
    seen = " ".join(student.http.get("/api/live/student").text for student in students.values())
    assert "earlier" not in seen
    assert "watch" not in seen
