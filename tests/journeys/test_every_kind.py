"""Each kind is written by hand, asked, answered on a phone, and read on the screens, the page and the workbook."""

import base64
import io
from collections.abc import Callable
from dataclasses import dataclass

import pytest
from openpyxl import load_workbook
from PIL import Image
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.ui import Select

from tests.journeys.pages import add_question, fill, join_as, pick, sign_in, type_keys, use_session_of, wait_gone
from tools.browser import DESKTOP, PHONE, click, find, find_all, press, resize, until, value_of, wait_for


@dataclass(frozen=True)
class Lesson:
    """`write` fills the block, `answer` answers on the phone; `shown` stands on the big screen at the end.

    `pane` is what the workbook's grid holds for the student, `told` what its raw table says was answered.
    """

    label: str
    prompt: str
    write: Callable
    answer: Callable
    shown: str
    pane: object
    told: str


def lines(*texts: str, name: str) -> Callable:
    def write(desk, block):
        for number, text in enumerate(texts, start=1):
            fill(desk, block, f"{name} {number}", text)
            if number < len(texts):
                type_keys(desk, Keys.ENTER)

    return write


def into_fields(css: str, *texts: str) -> Callable:
    def answer(phone):
        find(phone, css)
        for field, text in zip(find_all(phone, css), texts, strict=False):
            field.send_keys(text)

    return answer


def write_text(desk, block):
    fill(desk, block, "Accepted answer 1", "bowline")


def write_slider(desk, block):
    fill(desk, block, "to ", "10")
    fill(desk, block, "Right from", "5")
    block.find_element(By.XPATH, ".//div[contains(., 'Right from')]/label[2]//input").send_keys("6")


def write_match(desk, block):
    for number, (left, right) in enumerate((("bâbord", "port"), ("tribord", "starboard"), ("proue", "bow")), start=1):
        fill(desk, block, f"Left {number}", left)
        fill(desk, block, f"Right {number}", right)


def answer_match(phone):
    for left, right in (("bâbord", "port"), ("tribord", "starboard"), ("proue", "bow")):
        select = find(phone, f"//div[label[normalize-space(.)='{left}']]/select")
        wanted = next(o.text for o in Select(select).options if o.text.endswith(f" {right}") or o.text[3:] == right)
        Select(select).select_by_visible_text(wanted)


def write_groups(desk, block):
    fill(desk, block, "Group A", "Stays")
    fill(desk, block, "Group B", "Moves")
    fill(desk, block, "Line 1", "Shroud")
    fill(desk, block, "Line 2", "Sheet")


def answer_groups(phone):
    for line, group in (("Shroud", "Stays"), ("Sheet", "Moves")):
        pick(phone, f"//fieldset[legend[normalize-space(.)='{line}']]//label[normalize-space(.)='{group}']//input")


def write_gaps(desk, block):
    fill(desk, block, "Text with gaps", "The tide [rises|climbs] for [six] hours.")


def write_letter(desk, block):
    pick(desk, "//*[@data-item][last()]//input[@aria-label='C is right']")


def answer_order(phone):
    """By the buttons alone: each line is moved up until it stands where it belongs."""
    for place, text in enumerate(("Light air", "Breeze", "Gale")):
        while True:
            shown = until(phone, lambda: [row.text for row in find_all(phone, "ol li .prose")])
            if shown.index(text) == place:
                break
            pick(phone, f"//button[@aria-label='Move {text} up']")
    if find_all(phone, "//button[contains(., 'It stands right')]"):
        press(phone, "It stands right")


def answer_slider(phone):
    find(phone, "input[type='range']").send_keys(Keys.ARROW_RIGHT)


def answer_ratings(phone):
    for statement, step in (("I can read a chart", 4), ("I can tie a knot", 2)):
        pick(phone, f"(//fieldset[legend[normalize-space(.)='{statement}']]//input)[{step}]")


def answer_split(phone):
    for name, times in (("Sails", 7), ("Radio", 3)):
        for _ in range(times):
            pick(phone, f"//button[@aria-label='More for {name}']")


SCORED = (
    Lesson("Text", "Which knot?", write_text, into_fields("input[id^='text-']", "Bowline"), "bowline", 1, "Bowline"),
    Lesson("Slider", "How strong?", write_slider, answer_slider, "5 to 6", 1, "6"),
    Lesson(
        "Order",
        "Weakest first",
        lines("Light air", "Breeze", "Gale", name="Line"),
        answer_order,
        "This is the right order",
        1,
        "Light air > Breeze > Gale",
    ),
    Lesson(
        "Match",
        "What is it?",
        write_match,
        answer_match,
        "bâbord",
        1,
        "bâbord – port; tribord – starboard; proue – bow",
    ),
    Lesson("Classify", "Where to?", write_groups, answer_groups, "Shroud", 1, "Shroud – Stays; Sheet – Moves"),
    Lesson(
        "Gap fill",
        "Tides",
        write_gaps,
        into_fields("input[aria-label^='Gap']", "climbs", "nine"),
        "rises",
        0.5,
        "1: climbs; 2: nine",
    ),
    Lesson(
        "Letter",
        "Which curve?",
        write_letter,
        lambda phone: pick(phone, "//label[normalize-space(.)='C']//input"),
        "right",
        1,
        "C",
    ),
)
OPINIONS = (
    Lesson(
        "Open response",
        "Why did she drag?",
        lambda desk, block: None,
        into_fields("textarea", "Too little chain."),
        "Too little chain.",
        "Too little c",
        "Too little chain.",
    ),
    Lesson(
        "Word cloud",
        "The sea?",
        lambda desk, block: None,
        into_fields("input[aria-label^='Word']", "Waves", "salt"),
        "Waves",
        "Waves; salt",
        "Waves; salt",
    ),
    Lesson(
        "Rating scale",
        "How far?",
        lines("I can read a chart", "I can tie a knot", name="Statement"),
        answer_ratings,
        "I can tie a knot",
        "4 2",
        "I can read a chart: 4; I can tie a knot: 2",
    ),
    Lesson(
        "Point split",
        "On what?",
        lambda desk, block: [fill(desk, block, f"Option {x}", t) for x, t in (("A", "Sails"), ("B", "Radio"))],
        answer_split,
        "Mean points of 10",
        "7·3",
        "Sails: 7; Radio: 3",
    ),
)


@pytest.mark.parametrize("lessons", [SCORED, OPINIONS], ids=["scored", "opinions"])
def test_kinds_are_written_asked_answered_and_read(server, teacher, browsers, lessons):
    set_id = teacher.make_set("Every kind", [])
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sets/{set_id}")
    for lesson in lessons:
        block = add_question(desk, lesson.label)
        type_keys(desk, lesson.prompt)
        lesson.write(desk, block)
    wait_for(desk, "Nothing. It can run as it is.")
    wait_for(desk, "all changes kept")
    session = teacher.start(set_id, close_when_all_answered=False)["id"]
    code = teacher.view(session)["code"]
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{session}")
    join_as(phone, server.url, code, "Fen")
    desk.get(f"{server.url}/desk/{session}")
    for lesson, run in zip(lessons, teacher.view(session)["run"], strict=True):
        teacher.command(session, "go_to", item=run["id"])
        wait_for(phone, lesson.prompt)
        lesson.answer(phone)
        press(phone, "Send")
        wait_for(phone, "Sent.")
        teacher.command(session, "close")
        teacher.command(session, "reveal")
        for window in (screen, desk):
            wait_for(window, lesson.shown)
        wait_gone(phone, "Sent.")
    teacher.command(session, "end")
    desk.get(f"{server.url}/sessions/{session}")
    wait_for(desk, "Everyone, every question")
    for lesson in lessons:
        wait_for(desk, lesson.prompt)
    check_workbook(teacher, session, lessons)


def check_workbook(teacher, session, lessons):
    book = load_workbook(io.BytesIO(teacher.http.get(f"/api/sessions/{session}/workbook.xlsx").content))
    grid = list(book["Class"].values)[1]
    raw = list(book["Answers"].values)[1:]
    for number, lesson in enumerate(lessons, start=1):
        pane = grid[number]
        assert pane == lesson.pane or str(pane).startswith(str(lesson.pane)[:11])
        assert raw[number - 1][5] == lesson.told


def test_a_place_is_drawn_pointed_at_and_chosen_by_its_name(server, teacher, browsers, tmp_path):
    chart = tmp_path / "chart.png"
    Image.new("RGB", (800, 400), "#cfe3ea").save(chart)
    set_id = teacher.make_set("Charts", [])
    desk, screen, seeing, hearing = browsers(), browsers(), browsers(PHONE), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sets/{set_id}")
    block = add_question(desk, "Point on a picture")
    type_keys(desk, "Where is the mole?")
    press(desk, "+ Picture, sound, video")
    find(desk, "//div[@role='dialog']//input[@type='file']").send_keys(str(chart))
    wait_for(desk, "+ Area in the middle")
    for number, name in ((1, "The mole"), (2, "The shoal")):
        press(desk, "+ Area in the middle")
        fill(desk, block, f"Name of area {number}", name)
    pick(desk, "(//*[@data-item]//ol//input[@type='checkbox'])[2]")
    left = block.find_element(By.XPATH, ".//ol/li[2]//label[contains(., 'left')]//input")
    left.send_keys(Keys.CONTROL, "a")
    left.send_keys("80")
    press(desk, "by pointing only")
    click(desk, "//li[normalize-space(.)='also by name']")
    fill(desk, block, "What the picture of question 1 shows", "A chart with a mole")
    wait_for(desk, "Nothing. It can run as it is.")
    wait_for(desk, "all changes kept")
    session = teacher.start(set_id, close_when_all_answered=False)["id"]
    code = teacher.view(session)["code"]
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{session}")
    for phone, name in ((seeing, "Fen"), (hearing, "Bo")):
        join_as(phone, server.url, code, name)
    teacher.command(session, "advance")
    click(seeing, "img[alt='A chart with a mole']")
    wait_for(seeing, "The mark is 50 % across and 50 % down.")
    press(seeing, "Send this place")
    pick(hearing, "//label[normalize-space(.)='The shoal']//input")
    press(hearing, "Send “The shoal”")
    for phone in (seeing, hearing):
        wait_for(phone, "Sent.")
    teacher.command(session, "close")
    teacher.command(session, "reveal")
    wait_for(seeing, "Right")
    wait_for(hearing, "Not this time")
    wait_for(screen, "right: The mole")
    panes = {person["name"]: person["panes"] for person in teacher.view(session)["people"]}
    assert panes == {"Fen": [1], "Bo": [0]}


def test_a_dictation_and_pictures_as_options(server, teacher, browsers, tmp_path):
    spoken = teacher.call("POST", "/media/speech", {"text": "à tribord", "voice": "fr", "speed": 120})
    set_id = teacher.make_set("On deck", [])
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    desk.get(f"{server.url}/sets/{set_id}")
    block = add_question(desk, "Text")
    type_keys(desk, "Write the order")
    fill(desk, block, "Accepted answer 1", "à tribord")
    press(desk, "Typed text")
    click(desk, "//li[starts-with(normalize-space(.), 'Dictation')]")
    wait_gone(desk, "Record, upload or have spoken")  # nothing is said against what is being written
    click(desk, "//input[@aria-label='Title of the set']")
    wait_for(desk, "Record, upload or have spoken what the students will write.")
    press(desk, "+ Picture, sound, video")
    press(desk, "Shelf")
    click(desk, "//div[@role='dialog']//li//button[contains(., 'à tribord')]")
    wait_for(desk, "Nothing. It can run as it is.")
    add_question(desk, "Choice")
    type_keys(desk, "Which is red?")
    for letter, colour in (("A", "#b03a2e"), ("B", "#2f7d4f")):
        mark = tmp_path / f"{letter}.png"
        Image.new("RGB", (900, 600), colour).save(mark)
        pick(desk, f"//button[@aria-label='Add media to Option {letter}']")
        find(desk, "//div[@role='dialog']//input[@type='file']").send_keys(str(mark))
        find(desk, f"input[aria-label='What the picture of Option {letter} shows']").send_keys("A mark")
    pick(desk, "//*[@aria-label='Option A is right']")
    wait_for(desk, "Nothing. It can run as it is.")
    resize(desk, PHONE)  # pictures on options make no page wider than a phone
    wide = "return document.documentElement.scrollWidth - window.innerWidth"
    until(desk, lambda: desk.execute_script(wide) <= 0)
    resize(desk, DESKTOP)
    wait_for(desk, "all changes kept")
    session = teacher.start(set_id, close_when_all_answered=False)["id"]
    use_session_of(screen, desk, server.url)
    screen.get(f"{server.url}/screen/{session}")
    join_as(phone, server.url, teacher.view(session)["code"], "Fen")
    teacher.command(session, "advance")
    assert spoken["media"] in value_of(phone, "audio", "src")
    assert "Read it instead" not in phone.page_source
    assert "tribord" not in phone.page_source
    find(phone, "input[id^='text-']").send_keys("à babord")
    press(phone, "Send")
    wait_for(phone, "Sent.")
    teacher.command(session, "close")
    wait_for(screen, "à babord")
    teacher.command(session, "reveal")
    wait_for(screen, "right: à tribord")
    wait_for(phone, "Not this time")
    teacher.command(session, "go_to", item=teacher.view(session)["run"][1]["id"])
    wait_for(phone, "Which is red?")
    until(phone, lambda: len(find_all(phone, "fieldset img[alt='A mark']")) == 2)
    lie_within = """const edge = (element) => element.getBoundingClientRect()
        return [...document.querySelectorAll('fieldset img')].every(
            (img) => edge(img).width > 80 && edge(img).right <= edge(img.closest('label')).right)"""
    until(phone, lambda: phone.execute_script(lie_within))
    pick(phone, "//label[.//span[normalize-space(.)='A']]//input")
    press(phone, "Send A")
    wait_for(phone, "Sent.")
    teacher.command(session, "close")
    teacher.command(session, "reveal")
    wait_for(screen, "right")
    until(screen, lambda: len(find_all(screen, "li img")) == 2)


FILM = """
    const done = arguments[0], canvas = document.createElement('canvas'), parts = []
    const brush = canvas.getContext('2d')
    const painting = setInterval(() => {
        brush.fillStyle = `hsl(${Date.now() % 360}, 60%, 50%)`
        brush.fillRect(0, 0, canvas.width, canvas.height)
    }, 50)
    const recorder = new MediaRecorder(canvas.captureStream(20), { mimeType: 'video/webm;codecs=vp8' })
    recorder.ondataavailable = (event) => parts.push(event.data)
    recorder.onstop = () => {
        const reader = new FileReader()
        reader.onload = () => done(reader.result.split(',')[1])
        reader.readAsDataURL(new Blob(parts))
    }
    recorder.start()
    setTimeout(() => (clearInterval(painting), recorder.stop()), 3500)
"""
"""Paints and records three and a half seconds of video, as base64."""


def film_state(driver):
    return driver.execute_script(
        """const film = document.querySelector('video')
        return { at: film.currentTime, paused: film.paused,
                 says: [...(film.textTracks[0].activeCues ?? [])].map((cue) => cue.text) }"""
    )


def test_a_video_has_captions_and_its_start_and_end(server, teacher, browsers, tmp_path):
    film, captions = tmp_path / "boat.webm", tmp_path / "boat.vtt"
    captions.write_text("WEBVTT\n\n00:00:00.500 --> 00:00:04.000\nAlongside!\n")
    set_id = teacher.make_set("Boats", [])
    desk, phone = browsers(), browsers(PHONE)
    sign_in(desk, server.url, teacher.call("GET", "/accounts/me")["email"])
    film.write_bytes(base64.b64decode(desk.execute_async_script(FILM)))
    desk.get(f"{server.url}/sets/{set_id}")
    block = add_question(desk, "Open response")
    type_keys(desk, "What happens here?")
    press(desk, "+ Picture, sound, video")
    find(desk, "//div[@role='dialog']//input[@type='file']").send_keys(str(film))
    wait_for(desk, "Add captions to the video, for those who cannot hear it.")
    find(desk, "input[aria-label='Captions file']").send_keys(str(captions))
    wait_gone(desk, "Add captions to the video")
    for label, seconds in (("from", "1"), ("to", "2")):
        field = block.find_element(By.XPATH, f".//label[starts-with(normalize-space(.), '{label}')]//input")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys(seconds)
    wait_for(desk, "all changes kept")
    video = teacher.call("GET", f"/sets/{set_id}")["items"][0]["item"]["video"]
    assert (video["start"], video["end"]) == (1, 2)
    session = teacher.start(set_id)
    join_as(phone, server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    assert value_of(phone, "video track", "src").endswith(f"/media/{video['captions']}/captions.vtt")
    phone.execute_script("document.querySelector('video').play()")
    until(phone, lambda: film_state(phone)["at"] > 1)
    until(phone, lambda: film_state(phone)["says"] == ["Alongside!"])
    until(phone, lambda: film_state(phone)["paused"])
    assert 2 <= film_state(phone)["at"] < 3.3
    once_more = """const done = arguments[0], film = document.querySelector('video')
        film.addEventListener('seeked', () => done(film.currentTime), { once: true })
        film.play()"""
    assert 1 <= phone.execute_async_script(once_more) < 2
