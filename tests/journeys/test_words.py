"""Every page speaks the language of who reads it: no word is forgotten, cut off, or turned the wrong way."""

import re

import pytest
from selenium.webdriver import ActionChains, Keys

from tests.journeys.pages import pick, use_session_of
from tests.journeys.test_access import check
from tools.browser import DESKTOP, PHONE, click, find, find_all, press, resize, says, speak, until, wait_for
from tools.client import PASSWORD, SeatClient

# What the test itself writes is in a script that no catalogue of the disguise has.
KNOTS = "Κόμποι"
ITEMS = [
    {
        "id": "q1",
        "kind": "choice",
        "prompt": "Ποιος κόμπος;",
        "options": [
            {"id": f"q1{letter}", "text": text, "right": letter == "B"}
            for letter, text in zip("ABC", ("Σταυρόκομπος", "Καντηλίτσα", "Ψαλιδιά"), strict=True)
        ],
        "explanation": "Κρατάει.",
        "time_limit": None,
    },
    {"id": "q2", "kind": "open_response", "prompt": "Γιατί;", "scored": False, "time_limit": None},
]
# The same everywhere: the product's name, keys, files, units, addresses, codes, and what the test signs up with.
SAME = (
    r"Tall Lantern|\bAa\b|Ctrl|Alt|xlsx|ods|csv|JSON|docx|pptx|pdf|txt|md|json|zip|QTI|OneRoster|CSV|PDF|QR|Enter|UTC|"
    r"EMAIL_URL|\.\w+|"
    r"https?://\S+|\S+@\S+|\S*/\S*|\b[A-Z]{2,8}\s?\d{3,4}\b|\b[A-F]\b|English|Deutsch|Français|Español|Sunniva Toll|"
    r"kB|MB|min|\band\b|Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sept?|Oct|Nov|Dec|Mon|Tue|Wed|Thu|Fri|Sat|Sun|\w+/\w+"
)
READ = """
const shown = (node) => node.checkVisibility?.({ visibilityProperty: true, opacityProperty: false }) ?? true
const skipped = 'script, style, noscript, svg title, .katex, select[data-own], [lang]:not(html)'
const texts = []
const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
for (let node = walk.nextNode(); node; node = walk.nextNode()) {
  const above = node.parentElement
  if (above && !above.closest(skipped) && shown(above)) texts.push(node.data)
}
for (const one of document.querySelectorAll('[aria-label], [placeholder], [title], [alt]'))
  if (shown(one) && !one.closest(skipped))
    texts.push(...['aria-label', 'placeholder', 'title', 'alt'].map((name) => one.getAttribute(name) ?? ''))
return [document.title, ...texts]
"""
RIGHT = {"en": "Right", "fr": "Juste", "es": "Correcto", "ar": "صحيح", "uk": "Правильно", "de": "Richtig"}
IN = "return [document.documentElement.lang, document.documentElement.dir]"
IN_WHOSE_VOICE = """
const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT), found = new Set()
for (let node = walk.nextNode(); node; node = walk.nextNode())
  if (/^(Which knot|Knot [A-C])/.test(node.data.trim())) found.add(node.parentElement.closest('[lang]').lang)
return [...found]
"""
SCRIPTS = """
return [...document.fonts].filter((face) => face.family.includes('Other Scripts') && face.status === 'loaded')
  .map((face) => face.unicodeRange)
"""
CUT = """
return [...document.querySelectorAll('button, a, label, th, h1, h2, legend, summary, option')].filter((one) => {
  const style = getComputedStyle(one)
  return one.checkVisibility() && style.overflowX === 'hidden' && style.textOverflow !== 'ellipsis' &&
    one.scrollWidth > one.clientWidth + 1 && !one.closest('.sr-only')
}).map((one) => one.outerHTML.slice(0, 120))
"""


def english(driver):
    """Words that can still be read, where every letter that comes out of a catalogue is another."""
    found = []
    for text in driver.execute_script(READ):
        left = re.sub(SAME, " ", text)
        found += [text.strip()] if re.search(r"[A-Za-z]{2,}", left) else []
    return sorted(set(found))


def looked_after(driver, name, size=DESKTOP):
    assert english(driver) == [], name
    assert driver.execute_script(CUT) == [], name
    wide = driver.execute_script("return document.documentElement.scrollWidth") - size[0]
    assert wide <= 0, f"{name} is {wide} px wider than the window"


OPENERS = """
const inMenu = arguments[0]
return [...document.querySelectorAll(inMenu ? '[role=menu] button' : 'main button, aside button')].filter((one) =>
  one.checkVisibility() && !one.disabled && !one.closest('[role=dialog]') && (inMenu || !one.closest('[role=menu]')) &&
  !one.parentElement.querySelector('input[type=file]') &&
  (one.getAttribute('aria-haspopup') || one.textContent.trim().endsWith('…')))
"""
OPENED = "[role=dialog], [role=menu], [role=listbox], main [aria-expanded=true]"


def looked_into(driver, path):
    """What its buttons open, and what the menus open in turn."""
    for at in range(len(driver.execute_script(OPENERS, False))):
        for inside in range(opened(driver, path, at)):
            opened(driver, path, at, inside)


def opened(driver, path, at, inside=None):
    """Opens what the button `at` opens, and what `inside` its menu does; looks, and closes. How many its menu has."""
    here, name = driver.current_url, f"{path}: what opens at {at}, {inside}"
    opener = until(driver, lambda: driver.execute_script(OPENERS, False)[at], name)
    until(driver, lambda: opener.click() or True, name)
    until(driver, lambda: find_all(driver, OPENED) or driver.current_url != here, name)
    many = len(driver.execute_script(OPENERS, True))
    if inside is not None:
        until(driver, lambda: driver.execute_script(OPENERS, True)[inside].click() or True, name)
        until(driver, lambda: find_all(driver, "[role=dialog]") or driver.current_url != here, name)
    if driver.current_url != here:
        driver.back()
        until(driver, lambda: driver.current_url == here and find_all(driver, "main h1, main input"))
        return 0
    looked_after(driver, name)
    check(driver, name, (DESKTOP,))
    if not find_all(driver, "[role=dialog], [role=menu], [role=listbox]"):
        opener.click()
    until(driver, lambda: not find_all(driver, OPENED) or ActionChains(driver).send_keys(Keys.ESCAPE).perform())
    return many


def disguise(driver, url, way):
    driver.get(f"{url}/static/teacher/lantern.svg")
    driver.execute_script("localStorage.setItem('lantern.pseudo', arguments[0])", way)


@pytest.fixture
def ran(server, teacher):
    """A set, a class with somebody in it, and a session with both that is over."""
    number = teacher.make_set(KNOTS, ITEMS)
    of_class = teacher.call("POST", "/classes", {"name": "8Γ"})["id"]
    teacher.call("POST", f"/classes/{of_class}/members", {"name": "Άλβα"})
    settings = {"known": "nickname", "mix_options": False}
    session = teacher.call("POST", "/live/sessions", {"set": number, "of_class": of_class, "settings": settings})
    seat = SeatClient(server.url, session["code"], "Φεν")
    teacher.command(session["id"], "go_to", item="q1")
    seat.answer("q1A")
    teacher.command(session["id"], "end")
    return {"set": number, "class": of_class, "session": session["id"]}


@pytest.mark.parametrize("way", ["ltr", "rtl"])
def test_no_page_of_a_teacher_says_a_word_that_no_catalogue_has(server, teacher, browsers, ran, way):
    driver = browsers()
    disguise(driver, server.url, way)
    driver.get(f"{server.url}/sign-in")
    email, password = until(driver, lambda: find_all(driver, "form input")[:2])
    looked_after(driver, "sign in")
    email.send_keys(teacher.call("GET", "/accounts/me")["email"])
    password.send_keys(PASSWORD + "\n")
    wait_for(driver, KNOTS)
    assert driver.execute_script("return document.documentElement.dir") == way
    pages = {
        "/sets": KNOTS, f"/sets/{ran['set']}": KNOTS, f"/sets/{ran['set']}/text": KNOTS, "/shelf": "", "/bin": "",
        "/bring-in": "", "/pick": "Ποιος",
        "/classes": "8Γ", f"/classes/{ran['class']}": "8Γ", f"/classes/{ran['class']}/results": "8Γ",
        "/sessions": KNOTS, f"/sessions/{ran['session']}": "Ποιος",
        f"/sessions/{ran['session']}/questions/q1": "Σταυρόκομπος",
        f"/sessions/{ran['session']}/students/1": "Φεν", "/work": "", f"/work/give?set={ran['set']}": "",
        "/account": "", "/school": "", "/nowhere": "",
    }  # fmt: skip
    for path, text in pages.items():
        driver.get(server.url + path)
        until(driver, lambda text=text: text in driver.page_source and find_all(driver, "main h1, main input"), path)
        looked_after(driver, path)
        if way == "ltr":
            looked_into(driver, path)


def test_no_desk_and_no_screen_says_a_word_that_no_catalogue_has(server, teacher, browsers):
    number = teacher.make_set(KNOTS, ITEMS)
    session = teacher.start(number, known="nickname")
    desk, screen, phone = browsers(), browsers(), browsers(PHONE)
    for driver in (desk, screen, phone):
        disguise(driver, server.url, "ltr")
    desk.get(f"{server.url}/sign-in")
    email, password = until(desk, lambda: find_all(desk, "form input")[:2])
    email.send_keys(teacher.call("GET", "/accounts/me")["email"])
    password.send_keys(PASSWORD + "\n")
    wait_for(desk, KNOTS)
    use_session_of(screen, desk, server.url)
    desk.get(f"{server.url}/desk/{session['id']}")
    screen.get(f"{server.url}/screen/{session['id']}")
    phone.get(f"{server.url}/join/{session['code']}")
    find(phone, "#name")
    looked_after(phone, "the door", PHONE)
    find(phone, "#name").send_keys("Φεν\n")
    for driver in (desk, screen):
        wait_for(driver, "Φεν")
    wait_for(phone, KNOTS)
    looked_after(phone, "the lobby on a phone", PHONE)
    for driver, name in ((desk, "the desk's lobby"), (screen, "the big screen's lobby")):
        looked_after(driver, name)
    looked_into(desk, "the desk's lobby")
    for step in ("advance", "close", "reveal"):
        if step == "advance":
            teacher.command(session["id"], "go_to", item="q1")
            wait_for(phone, "Ποιος κόμπος;")
            looked_after(phone, "an open question on a phone", PHONE)
            pick(phone, "//fieldset//label[.//span[normalize-space(.)='B']]")
        else:
            teacher.command(session["id"], step)
        for driver in (desk, screen):
            wait_for(driver, "Καντηλίτσα")
        for driver, name in ((desk, "desk"), (screen, "screen")):
            looked_after(driver, f"{name}: {step}")
    wait_for(phone, "Κρατάει.")
    looked_after(phone, "what was right on a phone", PHONE)
    teacher.command(session["id"], "end")
    for driver in (desk, screen, phone):
        until(driver, lambda driver=driver: not says(driver, "Καντηλίτσα"))
    for driver, name, size in ((desk, "desk", DESKTOP), (screen, "screen", DESKTOP), (phone, "phone", PHONE)):
        looked_after(driver, f"{name}: the end", size)


def test_a_german_student_sits_beside_an_arabic_one_in_an_english_teachers_session(server, teacher, browsers):
    options = [{"id": f"q1{x}", "text": f"Knot {x}", "right": x == "B"} for x in "ABC"]
    item = {"id": "q1", "kind": "choice", "prompt": "Which knot?", "options": options, "time_limit": None}
    number = teacher.make_set("Knots that hold", [item])
    session = teacher.start(number, known="nickname")
    german, arabic, screen, desk = browsers(PHONE), browsers(PHONE), browsers(), browsers()
    speak(german, "de-AT,de")
    speak(arabic, "ar-EG,ar")
    speak(screen, "fr-FR,fr")
    desk.get(f"{server.url}/sign-in")
    email, password = until(desk, lambda: find_all(desk, "form input")[:2])
    email.send_keys(teacher.call("GET", "/accounts/me")["email"])
    password.send_keys(PASSWORD + "\n")
    wait_for(desk, "Knots that hold")
    use_session_of(screen, desk, server.url)
    desk.get(f"{server.url}/desk/{session['id']}")
    screen.get(f"{server.url}/screen/{session['id']}")
    wait_for(screen, "et tapez")
    for phone, name in ((german, "Jorun"), (arabic, "Samir")):
        phone.get(f"{server.url}/join/{session['code']}")
        find(phone, "#name").send_keys(name)
    check(arabic, "the Arabic door", (PHONE,))
    press(german, "Mitmachen")
    press(arabic, "انضم")
    wait_for(german, "Du bist drin, Jorun")
    until(arabic, lambda: says(arabic, "Samir"))
    wait_for(desk, "2 here")
    spoken = [driver.execute_script(IN) for driver in (german, arabic, screen, desk)]
    assert spoken == [["de", "ltr"], ["ar", "rtl"], ["fr", "ltr"], ["en", "ltr"]]
    # A script's letters are fetched where there are any.
    until(arabic, lambda: len(arabic.execute_script(SCRIPTS)) == 1)
    assert german.execute_script(SCRIPTS) == screen.execute_script(SCRIPTS) == []

    teacher.command(session["id"], "go_to", item="q1")
    for phone, letter in ((german, "B"), (arabic, "A")):
        wait_for(phone, "Which knot?")
        prompt = find(phone, "//*[normalize-space(text())='Which knot?']/ancestor-or-self::*[@dir][1]")
        assert prompt.get_attribute("dir") in ("auto", "ltr")
        pick(phone, f"//fieldset//label[.//span[normalize-space(.)='{letter}']]")
    check(arabic, "the Arabic question", (PHONE,))
    press(german, "B senden")
    wait_for(german, "Gesendet.")
    press(arabic, "أرسل")  # the last one: the question closes
    wait_for(german, "Die Frage ist geschlossen.")
    wait_for(screen, "2 sur 2 ont répondu")
    teacher.command(session["id"], "reveal")
    wait_for(german, "Richtig")
    wait_for(screen, "50 % de réponses justes")
    check(screen, "the French big screen", (DESKTOP,))
    # The set's own words are spoken in the set's language, whoever's page they stand on.
    for driver in (screen, arabic):
        assert driver.execute_script(IN_WHOSE_VOICE) == ["en"]

    # A student may choose another, at any time.
    press(german, "Aa")
    for language, right in RIGHT.items():
        click(german, f"//select[@id='page-language']/option[@value='{language}']")
        wait_for(german, right)
        way = "rtl" if language == "ar" else "ltr"
        assert german.execute_script(IN) == [language, way]
        assert german.execute_script(CUT) == []
        check(german, f"what was right, in {language}", (PHONE,))

    # The big screen's language is chosen at the desk, for its machine.
    press(desk, "More…")
    click(desk, "//*[@role='menuitem'][contains(., 'Look and sound of the big screen')]")
    click(desk, "//dialog//select/option[@value='ar'] | //*[@role='dialog']//select/option[@value='ar']")
    assert find(desk, "//*[@role='dialog']//select").get_attribute("value") == "ar"
    report = teacher.call("GET", f"/sessions/{session['id']}/report")["report"]
    assert {one["name"]: one["score"] for one in report["people"]} == {"Jorun": 1, "Samir": 0}


def test_a_teacher_chooses_german_and_everything_is_german(server, teacher, browsers, ran):
    driver = browsers()
    speak(driver, "de-DE,de")
    driver.get(f"{server.url}/sign-in")
    wait_for(driver, "Passwort")
    email, password = find_all(driver, "form input")
    email.send_keys(teacher.call("GET", "/accounts/me")["email"])
    password.send_keys("wrong\n")
    wait_for(driver, "E-Mail-Adresse und Passwort passen nicht zusammen.")
    password.clear()
    password.send_keys(PASSWORD + "\n")
    wait_for(driver, "Neues Set")
    assert teacher.call("GET", "/accounts/me")["language"] == "de"
    driver.get(f"{server.url}/sessions/{ran['session']}")
    wait_for(driver, "Was noch einmal dran ist")
    wait_for(driver, "1 von 1 antworteten A „Σταυρόκομπος“.")
    wait_for(driver, "Zu wenige für eine Aussage: 1 geantwortet.")
    check(driver, "a report in German", (DESKTOP, PHONE))
    resize(driver, DESKTOP)
    text = teacher.call("GET", f"/sessions/{ran['session']}/answers.csv").decode("utf-8-sig")
    assert text.splitlines()[0].startswith("Frage,Text der Frage,Art,Platznummer,Name,Antwort")
    teacher.call("PATCH", f"/sets/{ran['set']}", {"about": {"language": "el"}})
    driver.get(f"{server.url}/sets/{ran['set']}")
    wait_for(driver, "In diesem Set")
    fields = find_all(driver, "main textarea, h1 input")
    assert {one.get_attribute("lang") for one in fields if one.get_attribute("value")} == {"el"}
    driver.get(f"{server.url}/account")
    wait_for(driver, "Ihr Konto")
    click(driver, "//select/option[@value='en']")
    wait_for(driver, "Your account")
    assert teacher.call("GET", "/accounts/me")["language"] == "en"
