"""Games on a set, from the choice to the end, on desk, big screen and phone; the server is killed in the middle."""

import pytest
from selenium.webdriver.common.keys import Keys

from lantern.core.games.word_search import cells_between
from tests.builders import choice
from tests.journeys.pages import join_as, pick, sign_in, use_session_of, wait_gone
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, body_text, click, find, press, until, wait_for
from tools.client import SeatClient, TeacherClient
from tools.server import RealServer

TOPICS = ("Lights", "Lights", "Lights", "Knots", "Knots")
LIGHTS = [
    choice("B", id=f"q{n}", prompt=f"Which light is number {n}?", tags=(topic,)).model_dump(mode="json")
    for n, topic in enumerate(TOPICS, start=1)
]
OPINION = choice("B", id="o1", prompt="Which light do you like?", scored=False).model_dump(mode="json")


@pytest.fixture(scope="module")
def game_server(tmp_path_factory):
    """One for all games, each of which may kill it."""
    running = RealServer(tmp_path_factory.mktemp("games"), RATE_LIMITS_ON="0").start()
    yield running
    running.stop()


@pytest.fixture
def evening(game_server, browsers):
    """A teacher before the run dialog of a set, and windows for the big screen and a phone."""
    teacher = TeacherClient(game_server.url)
    email = teacher.sign_up()
    number = teacher.make_set("Harbour lights", [*LIGHTS, OPINION])
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, game_server.url, email)
    use_session_of(screen, desk, game_server.url)
    desk.get(f"{game_server.url}/sets/{number}")
    wait_for(desk, "In this set")
    press(desk, "Run it…")
    wait_for(desk, "Played as")
    return game_server, teacher, desk, screen, phone


def opened(server, teacher, desk, screen):
    """Opens the doors. Returns the session and its code."""
    press(desk, "Open the doors")
    until(desk, lambda: "/desk/" in desk.current_url)
    session = int(desk.current_url.rsplit("/", 1)[1])
    screen.get(f"{server.url}/screen/{session}")
    return session, teacher.view(session)["code"]


def play_as(desk, game):
    click(desk, f"//*[@role='radio'][contains(., {game!r})]")


def set_field(desk, label, value):
    field = find(desk, f"//label[contains(., {label!r})]//input")
    script = "arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('change'))"
    desk.execute_script(script, field, value)


def say(phone, letter):
    """The option that was written under this letter: on the phone they are mixed."""
    wait_for(phone, "Choose an answer")
    pick(phone, f"//fieldset//label[contains(., 'Knot {letter}')]")
    press(phone, "Send")


def lights(teacher, session):
    return {team["number"]: team["light"] for team in teacher.view(session)["board"]["teams"]}


def killed_and_started(server, *windows):
    server.kill()
    wait_for(windows[0], "No connection")
    server.start()
    for window in windows:
        wait_gone(window, "No connection")


def test_a_beacon_run_of_two_teams_goes_on_after_the_server_was_killed(evening):
    server, teacher, desk, screen, phone = evening
    play_as(desk, "Beacon run")
    wait_for(desk, "5 questions count in it.")
    wait_for(desk, "1 does not, and why")
    click(desk, "//select/option[normalize-space(.)='chosen by the players']")
    click(desk, "//select/option[normalize-space(.)='whoever is first at the end of the chain']")
    set_field(desk, "How many", 2)
    set_field(desk, "Beacons in a chain", 3)
    check(desk, "a game is chosen", (DESKTOP, PHONE))
    session, code = opened(server, teacher, desk, screen)

    # Before it starts: the rules on both screens, and teams to choose from.
    wait_for(screen, "Right answers light the next beacons")
    check(screen, "big screen: rules of a game", (DESKTOP,))
    join_as(phone, server.url, code, "Fen")
    wait_for(phone, "First is the team whose chain is lit to the end.")
    press(phone, "Puffin")
    wait_for(phone, "You are in team Puffin.")
    check(phone, "phone: a team is chosen", (PHONE,))
    others = [SeatClient(server.url, code, name) for name in ("Bo", "Ines", "Ada", "Jon")]
    for other, team in zip(others, (1, 1, 1, 2), strict=True):
        assert other.say("move", move={"move": "join_team", "team": team}).is_success

    # A right answer lights the next; a team is the mean of its members.
    # The phone answers last: whoever only asks over HTTP is not waited for.
    def question(letters):
        wait_for(phone, "Choose an answer")
        for other, letter in zip(others, letters, strict=True):
            other.answer(letter)
        say(phone, "B")
        wait_for(desk, "Show the right answer")

    press(desk, "Start")
    question("BBAB")
    assert lights(teacher, session) == {1: 0, 2: 0}
    press(desk, "Show the right answer")
    wait_for(phone, "Right")
    press(desk, "Show the standings")
    wait_for(screen, "Beacon run")
    wait_for(phone, "1 of 3 lit")
    check(screen, "big screen: beacons", (DESKTOP,))
    check(phone, "phone: beacons", (PHONE,))
    assert lights(teacher, session) == {1: 0.67, 2: 1}

    # Killed while a question is open; who comes late goes to the smaller team.
    press(desk, "Next")
    wait_for(phone, "Choose an answer")
    others[0].answer("B")
    killed_and_started(server, phone, screen)
    others.append(SeatClient(server.url, code, "Late"))
    for other in others[1:]:
        other.answer("B")
    say(phone, "B")
    wait_for(desk, "Show the right answer")
    assert sum(team["members"] for team in teacher.view(session)["board"]["teams"]) == 6
    press(desk, "Show the right answer")
    press(desk, "Show the standings")
    wait_for(phone, "2 of 3 lit")
    press(desk, "Next")
    question("AAABB")
    press(desk, "Show the right answer")
    press(desk, "Show the standings")

    # A team is there: the large button ends it, though questions are left. Reports tell what was right, and no more.
    wait_for(phone, "At the end of the chain!")
    press(desk, "End the session…")
    click(desk, "//*[@role='dialog']//button[normalize-space(.)='End the session']")
    wait_for(screen, "Team Puffin")
    wait_for(phone, "3 of 3 lit")
    check(screen, "big screen: the end of a game", (DESKTOP,))
    check(phone, "phone: the end of a game", (PHONE,))
    press(desk, "See the results")
    wait_for(desk, "Hardest first")
    report = teacher.call("GET", f"/sessions/{session}/report")["report"]
    assert {person["name"]: person["score"] for person in report["people"]}["Fen"] == 3


def to_tops(phone):
    """To what may stand on top of one's own light, by keyboard."""
    pick(phone, "//button[contains(., 'Change your light')]")
    wait_for(phone, "Draw one by chance")
    until(phone, lambda: phone.switch_to.active_element.get_attribute("value") == "roof")
    phone.switch_to.active_element.send_keys(Keys.ARROW_RIGHT)
    wait_for(phone, "a star on top")


def another_top(phone):
    """Another one that is free; what costs shells cannot be had without."""
    before = find(phone, "//h2[.='Your light']/..").text
    to_tops(phone)
    pick(phone, "//label[contains(., 'a star on top')]")
    wait_for(phone, "This takes 5 more shells than you have.")
    chosen = next(top for top in ("a ball on top", "a ring on top") if top not in before)
    pick(phone, f"//label[contains(., {chosen!r})]")
    press(phone, "Take this light")
    wait_for(phone, "Change your light")
    assert chosen in body_text(phone)
    return chosen


def test_keepers_close_for_today_and_go_on_another_day(evening):
    server, teacher, desk, screen, phone = evening
    click(desk, "//*[@role='radio'][contains(., 'Own pace')]")
    play_as(desk, "Keepers")
    wait_for(desk, "questions for each")
    set_field(desk, "for each one after", 8)
    check(desk, "Keepers are chosen", (DESKTOP, PHONE))
    session, code = opened(server, teacher, desk, screen)
    join_as(phone, server.url, code, "Fen")
    others = [SeatClient(server.url, code, name) for name in ("Bo", "Ines", "Ada")]
    press(desk, "Start")
    wait_for(phone, "Right answers fill your oil can")
    check(phone, "phone: before a game at own pace", (PHONE,))
    top = another_top(phone)
    for other, letters in zip(others, ("BBBB", "BAB", "AAA"), strict=True):
        other.say("begin")
        other.work(letters)
    wait_for(desk, "stuck")
    wait_for(screen, "Bo")

    # A right answer fills the can, which buys a chart: one wrong option less. The oil is there after a kill.
    press(phone, "Begin")
    for oil in ("10 oil", "22 oil"):
        say(phone, "B")
        wait_for(phone, oil)
        press(phone, "Next")
    check(phone, "phone: a keeper", (PHONE,))
    press(phone, "Chart")
    wait_for(phone, "2 oil")
    until(phone, lambda: len(phone.find_elements("css selector", "fieldset label")) == 3)
    killed_and_started(server, phone, screen)
    check(screen, "big screen: keepers", (DESKTOP,))
    check(desk, "desk: keepers", (DESKTOP, PHONE))

    # Kept under a name, and found again.
    press(desk, "More…")
    press(desk, "Close for today, go on another day…")
    field = find(desk, "[role=dialog] input")
    field.clear()
    field.send_keys("Harbour lights, second evening")
    click(desk, "//*[@role='dialog']//button[normalize-space(.)='Close for today']")
    wait_for(phone, "Closed for today")
    desk.get(f"{server.url}/sessions")
    wait_for(desk, "Kept for another day")
    check(desk, "a game that is kept", (DESKTOP, PHONE))
    press(desk, "Go on with “Harbour lights, second evening”")
    press(desk, "Go on")

    # What was missed comes back, and with eight answers it is done.
    for letter in "BABBB":
        say(phone, letter)
        press(phone, "Next")
    wait_for(phone, "6 of 7 right")
    say(phone, "B")
    wait_for(phone, "You have done it")
    check(phone, "phone: done", (PHONE,))
    press(desk, "End session…")
    press(desk, "End the session")
    wait_for(screen, "A light for each of you")

    # The light came through the kill, and what was answered earned shells: they buy a part for the next time.
    wait_for(phone, "This session gave you 5 shells.")
    assert top in body_text(phone)
    to_tops(phone)
    pick(phone, "//label[contains(., 'a star on top')]")
    check(phone, "phone: a light is put together", (PHONE,))
    press(phone, "Take it for 5 shells")
    wait_for(phone, "You have 0 shells.")
    assert "a star on top" in body_text(phone)
    report = teacher.call("GET", f"/sessions/{session}/report")["report"]
    fen = next(person for person in report["people"] if person["name"] == "Fen")
    assert (fen["score"], fen["out_of"], fen["points"]) == (4, 5, 0)


def test_soundings_are_chosen_signalled_for_and_put_right_by_hand(evening):
    server, teacher, desk, screen, phone = evening
    play_as(desk, "Soundings")
    wait_for(desk, "Lights 3 · Knots 2")
    click(desk, "//select/option[normalize-space(.)='chosen by the players']")
    click(desk, "//select/option[normalize-space(.)='whoever signals first']")
    set_field(desk, "How many", 2)
    press(desk, "Lay it by hand…")
    click(desk, "//select[starts-with(@aria-label, 'Channel of 3 ')]/option[normalize-space(.)='off the chart']")
    wait_for(desk, "Lights 2 · Knots 2")
    wait_for(desk, "4 questions count in it.")
    check(desk, "a chart is laid by hand", (DESKTOP, PHONE))
    session, code = opened(server, teacher, desk, screen)
    wait_for(screen, "the further out, the more fathoms")
    join_as(phone, server.url, code, "Fen")
    press(phone, "Puffin")
    wait_for(phone, "You are in team Puffin.")
    others = [SeatClient(server.url, code, name) for name in ("Bo", "Ines")]
    for other in others:
        assert other.say("move", move={"move": "join_team", "team": 1}).is_success

    # The chart first. The team whose turn it is chooses, and that opens the question.
    press(desk, "Start")
    wait_for(screen, "Team Tern chooses.")
    wait_for(phone, "Team Tern chooses.")
    check(screen, "big screen: the chart", (DESKTOP,))
    assert others[0].say("move", move={"move": "choose", "question": "q2"}).is_success
    wait_for(screen, "Who signals first?")
    press(phone, "Signal")
    wait_for(phone, "Your team comes first.")
    wait_for(screen, "Team Puffin comes first.")
    check(phone, "phone: a sounding", (PHONE,))

    def told():
        wait_for(desk, "Show the right answer")
        press(desk, "Show the right answer")
        press(desk, "Show the standings")

    for other in others:
        other.answer("B")
    say(phone, "B")
    told()

    # Who took it chooses the next one; one that its team did not take is open to all.
    wait_for(phone, "Your team chooses")
    check(phone, "phone: a team chooses", (PHONE,))
    check(desk, "desk: the chart", (DESKTOP, PHONE))
    click(phone, "//button[@aria-label='Knots, 2 fathoms']")
    press(phone, "Signal")
    others[0].answer("B")
    say(phone, "C")
    told()
    wait_for(phone, "2 fathoms")
    boats = {boat["number"]: boat["fathoms"] for boat in teacher.view(session)["board"]["boats"]}
    assert boats == {1: 2, 2: 2}

    # The teacher opens what was called out, and puts right who charted it.
    click(desk, "//button[starts-with(@aria-label, 'Ask 1 fathom')]")
    say(phone, "A")
    told()
    click(desk, "//*[@aria-label='Who has charted it']//button[normalize-space(.)='Puffin']")
    wait_for(phone, "3 fathoms")
    click(desk, "//button[normalize-space(.)='−1 fathom for Tern']")
    press(desk, "Next")
    say(phone, "B")
    told()

    # No sounding is free: it is over.
    wait_for(phone, "4 fathoms")
    press(desk, "End the session…")
    click(desk, "//*[@role='dialog']//button[normalize-space(.)='End the session']")
    wait_for(phone, "Place 1 of 2")
    wait_for(screen, "That was it")
    check(screen, "big screen: who charted which water", (DESKTOP,))
    report = teacher.call("GET", f"/sessions/{session}/report")["report"]
    assert {person["name"]: person["score"] for person in report["people"]}["Fen"] == 2


def test_a_crossword_is_printed_and_solved_together(game_server, browsers):
    teacher = TeacherClient(game_server.url)
    email = teacher.sign_up()
    words = ("tide", "buoy", "gannet", "lighthouse")
    items = [
        {"kind": "text_entry", "id": f"q{n}", "prompt": f"Which word is number {n}?", "accepts": [word]}
        for n, word in enumerate(words)
    ]
    number = teacher.make_set("Words of the harbour", items)
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, game_server.url, email)
    use_session_of(screen, desk, game_server.url)
    desk.get(f"{game_server.url}/sets/{number}")
    wait_for(desk, "In this set")

    # On paper: looked at, with its answers, as another, and as a word search.
    press(desk, "Crossword, word search")
    wait_for(desk, "4 words;")
    until(desk, lambda: desk.execute_script("return document.querySelector('[role=dialog] img').naturalWidth > 50"))
    check(desk, "a crossword to print", (DESKTOP, PHONE))
    click(desk, "//label[contains(., 'Word search')]")
    wait_for(desk, "Words run")
    press(desk, "Close")

    press(desk, "Run it…")
    wait_for(desk, "Played as")
    click(desk, "//*[@role='radio'][contains(., 'Own pace')]")
    play_as(desk, "Crossword")
    click(desk, "//select/option[starts-with(normalize-space(.), 'together')]")
    wait_for(desk, "4 questions count in it.")
    session, code = opened(game_server, teacher, desk, screen)
    wait_for(screen, "You have done it when every word stands.")
    join_as(phone, game_server.url, code, "Fen")
    bo = SeatClient(game_server.url, code, "Bo")
    press(desk, "Start")
    press(phone, "Begin")
    wait_for(phone, "letters")
    check(phone, "phone: a crossword", (PHONE,))

    # A word is gone to by its place in the grid; its letters stand there once it was answered, also what Bo has right.
    def solve(n, text, told):
        cell = f"//button[starts-with(normalize-space(.), '{_place(teacher, session, n)}')]"
        phone.execute_script("arguments[0].click()", find(phone, cell))
        wait_for(phone, f"Which word is number {n}?")
        find(phone, "main input, main textarea").send_keys(text)
        press(phone, "Send")
        wait_for(phone, told)

    bo.say("begin")
    bo.say("go_to", item="q1")
    bo.say("answer", ask="q1.1", answer={"kind": "text_entry", "text": "buoy"})
    solve(0, "Tide", "Right")
    assert {"TIDE", "BUOY"} <= set(_letters(teacher, session))
    solve(3, "light ship", "Not this time")
    bo.say("go_to", item="q3")
    bo.say("answer", ask="q3.1", answer={"kind": "text_entry", "text": "lighthouse"})
    solve(2, "gannet", "Right")
    assert set(_letters(teacher, session)) == {word.upper() for word in words}
    check(screen, "big screen: a crossword", (DESKTOP,))
    press(desk, "End session…")
    press(desk, "End the session")
    wait_for(phone, "2 of 4 words right")
    wait_for(screen, "That was it")
    report = teacher.call("GET", f"/sessions/{session}/report")["report"]
    assert {person["name"]: person["score"] for person in report["people"]} == {"Fen": 2, "Bo": 2}


def _place(teacher, session, n):
    """As a phone says it: "7 across"."""
    word = next(one for one in teacher.view(session)["board"]["words"] if one["question"] == f"q{n}")
    return f"{word['number']} {'down' if word['down'] else 'across'}"


def _letters(teacher, session):
    return ["".join(word["letters"]) for word in teacher.view(session)["board"]["words"] if word["letters"]]


TIDES = (("ebb", "goes out"), ("flood", "comes in"), ("slack", "stands still"))
BIRDS = (("Gannet", "Bird"), ("Tern", "Bird"), ("Herring", "Fish"))


@pytest.fixture
def harbour(game_server, browsers):
    """A teacher with a set of three pairs, one with a picture and one that is heard, and three things to sort; and
    windows for all."""
    teacher = TeacherClient(game_server.url)
    email = teacher.sign_up()
    code = teacher.call("GET", "/media/collection?q=anchor")[0]["code"]
    voice = teacher.call("GET", "/media/voices")[0]["id"]
    spoken = teacher.call("POST", "/media/speech", {"text": "Slack water", "voice": voice})
    media = (teacher.call("POST", "/media/collection", {"code": code}), None, {**spoken, "transcript": "Slack water"})
    pairs = [
        {"id": f"l{n}", "left": left, "left_media": shown, "partner_id": f"r{n}", "right": right}
        for n, ((left, right), shown) in enumerate(zip(TIDES, media, strict=True))
    ]
    groups = [{"id": name[0], "text": name} for name in ("Bird", "Fish")]
    members = [{"id": text[0], "text": text, "group": group[0]} for text, group in BIRDS]
    number = teacher.make_set(
        "Tides and catches",
        [
            {"kind": "match", "id": "m1", "prompt": "What does the tide do?", "pairs": pairs, "time_limit": None},
            {
                "kind": "classify",
                "id": "c1",
                "prompt": "What is it?",
                "groups": groups,
                "members": members,
                "time_limit": None,
            },
        ],
    )
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, game_server.url, email)
    use_session_of(screen, desk, game_server.url)
    return game_server, teacher, number, desk, screen, phone


def touch(phone, text):
    click(phone, f"//main//ul//button[contains(., {text!r})]")


def scores(teacher, session):
    report = teacher.call("GET", f"/sessions/{session}/report")["report"]
    return {person["name"]: person["score"] for person in report["people"]}


def test_two_halves_are_joined_on_phones_while_the_teacher_leads(harbour):
    server, teacher, number, desk, screen, phone = harbour
    desk.get(f"{server.url}/sets/{number}")
    wait_for(desk, "In this set")
    press(desk, "Run it…")
    wait_for(desk, "Played as")
    play_as(desk, "Two halves")
    wait_for(desk, "6 pairs on 2 boards.")
    check(desk, "a game of pairs is chosen", (DESKTOP, PHONE))
    session, code = opened(server, teacher, desk, screen)
    wait_for(screen, "Everything lies there in two halves.")
    join_as(phone, server.url, code, "Fen")
    bo = SeatClient(server.url, code, "Bo")
    press(desk, "Start")

    # A wrong try first, then all of it: two of three were right at once.
    wait_for(phone, "0 of 3 found")
    assert find(phone, "//main//ul//button[contains(., 'ebb')]//img").get_attribute("alt") == "Anchor"
    touch(phone, "slack")
    wait_for(phone, "Read it instead")
    touch(phone, "slack")
    wait_for(phone, "Touch a sound to hear it.")
    bo.say("move", move={"move": "try_pair", "question": "m1", "left": "l0", "right": "r0"})
    touch(phone, "ebb")
    touch(phone, "comes in")
    wait_for(phone, "ebb and comes in do not belong together.")
    check(phone, "phone: two halves", (PHONE,))
    for left, right in TIDES:
        touch(phone, left)
        touch(phone, right)
        if left != "slack":
            wait_for(phone, f"{left} and {right} belong together.")

    # It closes by itself: Bo, who is not waited for, has what was found by then.
    press(desk, "Show the right answer")
    wait_for(phone, "Part right: ⅔")
    press(desk, "Show the standings")
    wait_for(screen, "1 of 2 have all of it")
    wait_for(phone, "2 right at the first try")
    check(screen, "big screen: boards of pairs", (DESKTOP,))
    press(desk, "Next")
    wait_for(phone, "0 of 3 found")
    press(desk, "End session…")
    press(desk, "End the session")
    wait_for(phone, "See what was right")
    wait_for(screen, "A light for each of you")
    assert scores(teacher, session) == {"Fen": pytest.approx(2 / 3), "Bo": pytest.approx(1 / 3)}


def test_shutters_and_the_catch_are_played_at_ones_own_pace(harbour):
    server, teacher, number, _, screen, phone = harbour
    own = {"manner": "own_pace", "answers": "final", "feedback": "each", "time": {"of": "none"}}

    def begin(game):
        session = teacher.start(number, **own, show_standings=True, game={"game": game})
        screen.get(f"{server.url}/screen/{session['id']}")
        join_as(phone, server.url, session["code"], "Fen")
        teacher.command(session["id"], "advance")
        press(phone, "Begin")
        return session["id"]

    def end(session, told):
        teacher.command(session, "end")
        wait_for(phone, told)
        wait_for(screen, "A light for each of you")
        return scores(teacher, session)["Fen"]

    # Everything lies at the same place for everybody, so Bo finds out where: of all but the last, lest luck has him
    # finish first, which would leave Fen out of the first half.
    session = begin("shutters")
    wait_for(phone, "0 of 3 found")
    check(phone, "phone: shutters", (PHONE,))
    bo = SeatClient(server.url, teacher.view(session)["code"], "Bo")
    bo.say("begin")
    lies = {}
    for place in range(5):
        bo.say("move", move={"move": "open_shutter", "question": "m1", "place": place})
        lies[bo.told["mine"]["board"]["boards"][0]["places"][place]] = place + 1
    (last,) = {f"{side}{n}" for side in "lr" for n in range(3)} - lies.keys()
    lies[last] = 6

    def turn(part):
        place = lies[part]
        click(phone, f"//button[starts-with(@aria-label, 'Shutter {place}') and @aria-disabled='false']")
        find(phone, f"//button[starts-with(@aria-label, 'Shutter {place}: ')]")

    # A miss counts once one could have known better.
    for part in ("l0", "r1"):
        turn(part)
    check(phone, "phone: two shutters are open", (PHONE,))
    for part in ("r0", "l2", "l0", "r0"):
        turn(part)
    wait_for(phone, "1 of 3 found")
    for part in ("l1", "r1", "r2"):
        turn(part)
    click(phone, f"//button[starts-with(@aria-label, 'Shutter {lies['l2']}')]")
    wait_for(phone, "Part right: ⅔")
    wait_for(screen, "Fen")
    assert end(session, "2 right at the first try") == pytest.approx(2 / 3)

    # What goes into a wrong crate hangs on the hook again.
    session = begin("sort_the_catch")
    wait_for(phone, "0 of 3 in their crates")
    press(phone, "Another one first")
    crates = dict(BIRDS)
    for missed in (True, False, False):
        hook = find(phone, "//*[@aria-label='On the hook']//p").text
        if missed:
            wrong = "Fish" if crates[hook] == "Bird" else "Bird"
            click(phone, f"//main//ul//button[contains(., {wrong!r})]")
            wait_for(phone, f"{hook} does not go into {wrong}.")
            check(phone, "phone: the catch", (PHONE,))
        click(phone, f"//main//ul//button[contains(., {crates[hook]!r})]")
        wait_gone(phone, f"{hook} does not")
    wait_for(phone, "Part right: ⅔")
    assert end(session, "2 right at the first try") == pytest.approx(2 / 3)

    # A word is marked by its ends; by keyboard, too.
    session = begin("word_search")
    wait_for(phone, "0 of 3 found")
    check(phone, "phone: a word search", (PHONE,))
    board = SeatClient(server.url, teacher.view(session)["code"], "Bo").told["mine"]["board"]["boards"][0]
    side = board["side"]
    for word in (left for left, _ in TIDES):
        lines = (cells_between(side, one, other) for one in range(side**2) for other in range(side**2))
        line = next(line for line in lines if "".join(board["letters"][cell] for cell in line) == word.upper())
        cell = find(phone, f"[data-cell='{line[0]}']")
        cell.send_keys(Keys.ENTER)
        phone.find_element("css selector", f"[data-cell='{line[-1]}']").click()
        wait_for(phone, f"Found: {word.upper()}." if word != TIDES[-1][0] else "Right")
    wait_for(screen, "Fen")
    assert end(session, "3 words found") == 1


def test_boats_go_round_the_island_by_what_teams_roll_and_know(evening):
    server, teacher, desk, screen, phone = evening
    play_as(desk, "Round the island")
    wait_for(desk, "A game of luck.")
    click(desk, "//select/option[normalize-space(.)='chosen by the players']")
    set_field(desk, "How many", 2)
    set_field(desk, "Bays round the island", 12)
    check(desk, "a game of luck is chosen", (DESKTOP, PHONE))
    session, code = opened(server, teacher, desk, screen)
    wait_for(screen, "A current carries a boat on")
    join_as(phone, server.url, code, "Fen")
    press(phone, "Tern")
    bo = SeatClient(server.url, code, "Bo")
    bo.say("move", move={"move": "join_team", "team": 2})

    # The board first: Fen's team rolls, and that opens the question. Each team goes on by what it knows.
    press(desk, "Start")
    wait_for(screen, "Team Tern rolls.")
    check(screen, "big screen: the island", (DESKTOP,))
    check(desk, "desk: the island", (DESKTOP, PHONE))
    wait_for(phone, "Your team rolls")
    check(phone, "phone: it is for one's team to roll", (PHONE,))
    press(phone, "Roll")
    wait_for(screen, "Team Tern has rolled")
    rolled = teacher.view(session)["board"]["rolled"]
    bo.answer("B")
    say(phone, "B")
    press(desk, "Show the right answer")
    press(desk, "Show the standings")
    wait_for(screen, f"Team Tern goes on by {rolled}.")
    boats = {boat["number"]: boat["bay"] for boat in teacher.view(session)["board"]["boats"]}
    assert boats == {1: 6 if rolled == 4 else rolled, 2: 1}

    # The desk moves boats, and rolls for a team that does not.
    for bay in range(boats[2] + 1, 13):
        click(desk, "//button[normalize-space(.)='+1 bay for Puffin']")
        wait_for(phone, "Place 2 of 2" if bay > boats[1] else "Place 1 of")
    wait_for(screen, "A boat is round the island.")
    press(desk, "End the session…")
    click(desk, "//*[@role='dialog']//button[normalize-space(.)='End the session']")
    wait_for(phone, f"Bay {boats[1]} of 12")
    wait_for(screen, "That was it")
    check(screen, "big screen: who was round the island first", (DESKTOP,))
    assert scores(teacher, session) == {"Fen": 1, "Bo": 1}


def test_a_boathouse_is_opened_by_a_team_lock_by_lock_across_a_kill(evening):
    server, teacher, desk, screen, phone = evening
    click(desk, "//*[@role='radio'][contains(., 'Own pace')]")
    play_as(desk, "Locked boathouse")
    click(desk, "//select/option[normalize-space(.)='chosen by the players']")
    set_field(desk, "How many", 2)
    set_field(desk, "Locks", 2)
    wait_for(desk, "Dials of each lock: 3 · 2")
    press(desk, "Write a story…")
    for label, text in (("Story at lock 1", "A rusty gate."), ("Hint at lock 1", "Think of the tide.")):
        find(desk, f"//*[@aria-label='{label}']").send_keys(text)
    check(desk, "a story is written", (DESKTOP, PHONE))
    session, code = opened(server, teacher, desk, screen)
    join_as(phone, server.url, code, "Fen")
    press(phone, "Tern")
    bo, ada = (SeatClient(server.url, code, name) for name in ("Bo", "Ada"))
    for other, team in ((bo, 1), (ada, 2)):
        other.say("move", move={"move": "join_team", "team": team})

    # The lock that one is at tells its story; a hint costs a lantern, and is there after a kill.
    press(desk, "Start")
    press(phone, "Begin")
    wait_for(phone, "A rusty gate.")
    press(phone, "A hint for 1 lantern")
    wait_for(phone, "Think of the tide.")
    wait_for(phone, "2 lanterns here")
    check(phone, "phone: at a lock", (PHONE,))
    bo.say("begin")
    bo.work("B")
    until(phone, lambda: len(phone.find_elements("css selector", "[aria-label=Dials] .border-lamp-ink")) == 1)
    killed_and_started(server, phone, screen)

    # What others of the team have turned is not asked any more; with the last dial it is over for all of them.
    ada.say("begin")
    ada.work("BAB")
    opens = "All locks are open!"
    while opens not in body_text(phone):
        say(phone, "B")
        until(phone, lambda: opens in body_text(phone) or "Right" in body_text(phone))
        if opens not in body_text(phone):
            press(phone, "Next")
    check(phone, "phone: all locks are open", (PHONE,))
    wait_for(screen, "5 lanterns")
    check(screen, "big screen: locks of two teams", (DESKTOP,))
    crews = {crew["number"]: (crew["opened"], crew["lanterns"]) for crew in teacher.view(session)["board"]["crews"]}
    assert crews == {1: (2, 5), 2: (0, 0)}
    press(desk, "End session…")
    press(desk, "End the session")
    wait_for(screen, "That was it")
    assert scores(teacher, session)["Ada"] == 2


def test_cards_of_a_chest_are_drawn_talked_about_and_given_pearls(evening):
    server, teacher, desk, screen, phone = evening
    play_as(desk, "Sea chest")
    wait_for(desk, "6 questions count in it.")
    click(desk, "//select/option[normalize-space(.)='chosen by the players']")
    click(desk, "//select/option[normalize-space(.)='in the order of the set']")
    set_field(desk, "How many", 2)
    check(desk, "a chest is chosen", (DESKTOP, PHONE))
    session, code = opened(server, teacher, desk, screen)
    join_as(phone, server.url, code, "Fen")
    press(phone, "Tern")
    bo = SeatClient(server.url, code, "Bo")
    bo.say("move", move={"move": "join_team", "team": 2})
    press(desk, "Start")
    wait_for(screen, "6 cards in the chest")
    wait_for(screen, "Team Tern draws.")
    check(screen, "big screen: the chest", (DESKTOP,))

    # A phone draws; the desk says what each team found to the card.
    press(phone, "Draw a card")
    wait_for(phone, "Talk about it in your team.")
    wait_for(screen, "Team Tern has drawn this card.")
    wait_for(desk, "For this card")
    check(desk, "desk: a card", (DESKTOP, PHONE))
    click(desk, "//button[contains(., 'all of it was right: Tern')]")
    click(desk, "//button[contains(., 'half of it was right: Puffin')]")
    say(phone, "A")
    press(desk, "Show the right answer")
    press(desk, "Show the standings")
    wait_for(phone, "2 pearls")
    wait_for(phone, "Team Puffin draws.")
    check(phone, "phone: pearls", (PHONE,))

    # What is given again stands in place of what was given; marks are no pearls.
    click(desk, "//button[contains(., 'none of it was right: Tern')]")
    wait_for(screen, "5 cards in the chest")
    wait_for(phone, "Place 2 of 2")
    press(desk, "End session…")
    click(desk, "//*[@role='dialog']//button[normalize-space(.)='End the session']")
    wait_for(screen, "That was it")
    check(screen, "big screen: pearls in the end", (DESKTOP,))
    assert scores(teacher, session) == {"Fen": 0, "Bo": 0}
