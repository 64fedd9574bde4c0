"""Games on a set, from the choice to the end, on desk, big screen and phone; the server is killed in the middle."""

from selenium.webdriver.common.keys import Keys

from tests.journeys.evenings import killed_and_started, lights, opened, play_as, say, set_field
from tests.journeys.pages import join_as, pick
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, body_text, click, find, press, until, wait_for
from tools.client import SeatClient


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
