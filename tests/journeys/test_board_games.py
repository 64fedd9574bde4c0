"""Games on one board that all look at, in which the desk has its part: a chart, an island, a boathouse, a chest."""

from tests.journeys.evenings import killed_and_started, opened, play_as, say, scores, set_field
from tests.journeys.pages import join_as
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, body_text, click, find, press, until, wait_for
from tools.client import SeatClient


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
