"""Games of pairs and words, led, alone and together."""

import pytest
from selenium.webdriver.common.keys import Keys

from lantern.core.games.word_search import cells_between
from tests.journeys.evenings import opened, play_as, scores
from tests.journeys.pages import join_as, sign_in, use_session_of
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, click, find, press, until, wait_for
from tools.client import SeatClient, TeacherClient

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


def _place(teacher, session, n):
    """As a phone says it: "7 across"."""
    word = next(one for one in teacher.view(session)["board"]["words"] if one["question"] == f"q{n}")
    return f"{word['number']} {'down' if word['down'] else 'across'}"


def _letters(teacher, session):
    return ["".join(word["letters"]) for word in teacher.view(session)["board"]["words"] if word["letters"]]


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
    for sorted_now, missed in enumerate((True, False, False), start=1):
        hook = find(phone, "//*[@aria-label='On the hook']//p").text
        if missed:
            wrong = "Fish" if crates[hook] == "Bird" else "Bird"
            click(phone, f"//main//ul//button[contains(., {wrong!r})]")
            wait_for(phone, f"{hook} does not go into {wrong}.")
            check(phone, "phone: the catch", (PHONE,))
        click(phone, f"//main//ul//button[contains(., {crates[hook]!r})]")
        # Till it lies in its crate, the hook still shows it.
        wait_for(phone, f"{sorted_now} of 3 in their crates" if sorted_now < 3 else "Part right: ⅔")
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
