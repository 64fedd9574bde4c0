"""What journeys of games do: a set before the run dialog, and how it is opened, answered, and gone on with."""

from tests.builders import choice
from tests.journeys.pages import pick, wait_gone
from tools.browser import click, find, press, until, wait_for

TOPICS = ("Lights", "Lights", "Lights", "Knots", "Knots")
LIGHTS = [
    choice("B", id=f"q{n}", prompt=f"Which light is number {n}?", tags=(topic,)).model_dump(mode="json")
    for n, topic in enumerate(TOPICS, start=1)
]
OPINION = choice("B", id="o1", prompt="Which light do you like?", scored=False).model_dump(mode="json")


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


def scores(teacher, session):
    report = teacher.call("GET", f"/sessions/{session}/report")["report"]
    return {person["name"]: person["score"] for person in report["people"]}
