"""An open question's wall: thirty write, and what they write is read before it is shown."""

from concurrent.futures import ThreadPoolExecutor
from itertools import cycle

from tests.journeys.pages import join_as, sign_in, type_keys, use_session_of
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, body_text, click, find, press, until, wait_for
from tools.client import join, send_answer

LINES = ("too little chain", "Too little chain!", "the ground was rock", "the wind turned", "nobody was on watch")
RUDE = "the skipper is a jellyfish"
ITEM = {"kind": "open_response", "id": "q1", "prompt": "Why did the boat drag her anchor?", "time_limit": None}


def on_wall(screen):
    return [line.text for line in screen.find_elements("css selector", "[aria-label='What was written'] li")]


def test_an_open_wall_is_moderated_while_thirty_write(server, teacher, browsers):
    session = teacher.start(teacher.make_set("At anchor", [ITEM]), close_when_all_answered=False)
    number, code = session["id"], session["code"]
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/desk/{number}")
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{number}")
    with ThreadPoolExecutor(6) as pool:
        tokens = list(pool.map(lambda n: join(server.url, code, f"Student {n}"), range(30)))
    join_as(phone, server.url, code, "Fen")
    press(desk, "Start")
    for way in ("Fills as they come", "Read before shown", "They may back each other’s"):
        click(desk, f"//label[contains(., '{way}')]")
    until(desk, lambda: teacher.view(number)["wall"] == {"live": True, "held": True, "named": False, "backing": True})
    wait_for(screen, "What you write comes up here.")

    def write(numbered):
        at, (token, text) = numbered
        send_answer(server.url, token, "q1", {"kind": "open_response", "text": f"{text} ({at})" if at > 5 else text})

    texts = [RUDE, *(text for text, _ in zip(cycle(LINES), tokens[1:], strict=False))]
    with ThreadPoolExecutor(4) as pool:
        writing = [pool.submit(write, pair) for pair in enumerate(zip(tokens, texts, strict=True))]
        # While they write, one is hidden and one let through.
        click(desk, f"//li[contains(., '{RUDE}')]//button[normalize-space(.)='Hide']")
        click(desk, "//li[contains(., 'the wind turned')]//button[normalize-space(.)='Let through']")
        until(screen, lambda: any("the wind turned" in line for line in on_wall(screen)))
        assert len(on_wall(screen)) == 1
        for one in writing:
            one.result()
    wait_for(desk, "30 / 31")
    check(desk, "desk: a wall, some unread", (DESKTOP, PHONE))
    press(desk, "Let all")
    until(screen, lambda: len(on_wall(screen)) == 29)
    check(screen, "big screen: a wall", (DESKTOP,))
    assert RUDE not in body_text(screen)

    # Closed, everybody has it on the own device, and backs what they think, too.
    press(desk, "Close the question")
    wait_for(phone, "I think so, too")
    assert RUDE not in body_text(phone)
    click(phone, "//li[contains(., 'the ground was rock')]//button")
    wait_for(screen, "1 thinks so, too")
    check(phone, "phone: a wall", (PHONE,))
    find(phone, "button[aria-pressed=true]").click()
    until(screen, lambda: "thinks so, too" not in body_text(screen))
    press(desk, "Group those alike")
    until(screen, lambda: len(on_wall(screen)) < 10)
    wait_for(screen, "more alike")
    click(desk, "//li[contains(., 'the ground was rock')]//button[normalize-space(.)='Pin']")
    until(screen, lambda: "the ground was rock" in on_wall(screen)[0])
    type_keys(desk, "c")
    until(screen, lambda: not on_wall(screen))
    until(phone, lambda: "I think so, too" not in body_text(phone))
