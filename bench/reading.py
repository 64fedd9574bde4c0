"""What lies behind a school: the page of a large session in a browser, the list of a year's sessions, a class by topic.

Run as a module it fills the database in LANTERN_VAR.
"""

import statistics
import subprocess
import sys
import tempfile
from collections.abc import Callable
from datetime import timedelta
from functools import partial
from itertools import cycle
from pathlib import Path
from typing import Any

import psutil
from selenium.webdriver.common.by import By
from selenium.webdriver.remote.webdriver import WebDriver
from selenium.webdriver.support.wait import WebDriverWait

from bench.questions import questions
from bench.reports import QUESTIONS, STUDENTS, a_large_session, seconds
from bench.targets import SERVER_CORE, pin
from tools.browser import open_browser, wait_for
from tools.client import TeacherClient
from tools.server import ROOT, RealServer

EMAIL, PASSWORD = "odile@gullmark.example", "a lamp in the fog 7"
SESSIONS, CLASSES, MEMBERS, ASKED = 600, 5, 27, 10
TOPICS = ("tides", "lights", "knots", "weather")
ROUNDS = 5


def measure_reading() -> dict[str, Any]:
    with tempfile.TemporaryDirectory() as folder:
        server = RealServer(Path(folder))
        server.manage("migrate", "-v0")
        program = [sys.executable, "-m", "bench.reading"]
        subprocess.run(program, cwd=ROOT, env=server.environment, check=True)
        server.start()
        try:
            assert server.process
            pin([server.process.pid], SERVER_CORE)
            return _read(server)
        finally:
            server.stop()


def _read(server: RealServer) -> dict[str, Any]:
    teacher = TeacherClient(server.url)
    teacher.sign_in(EMAIL, PASSWORD)
    of_class = teacher.call("GET", "/classes")[0]["id"]
    over_time = f"/sessions/of-class/{of_class}"
    first_over_time = seconds(lambda: teacher.call("GET", over_time))
    page = _pages(server, teacher)
    return {
        "page_students": STUDENTS,
        "page_questions": QUESTIONS,
        "page_of_a_new_process_s": round(page["new"], 2),
        "page_after_a_correction_s": round(page["corrected"], 2),
        "page_again_s": round(page["again"], 2),
        "year_sessions": SESSIONS,
        "year_list_ms": round(1000 * _usual(lambda: teacher.call("GET", "/sessions"))),
        "year_found_ms": round(1000 * _usual(lambda: teacher.call("GET", "/sessions?search=tides"))),
        "class_sessions": SESSIONS // CLASSES,
        "class_first_s": round(first_over_time, 2),
        "class_s": round(_usual(lambda: teacher.call("GET", over_time)), 2),
    }


def _usual(action: Callable[[], object]) -> float:
    return statistics.median(seconds(action) for _ in range(ROUNDS))


def _pages(server: RealServer, teacher: TeacherClient) -> dict[str, float]:
    """Seconds from asking for the page to its grid: for the first time since the server was started, after something in
    the session has changed, as at its end, and once it was read."""
    large = next(row["id"] for row in teacher.call("GET", "/sessions")["rows"] if row["title"] == "Large")
    own = psutil.Process()
    before = own.cpu_affinity() or []
    own.cpu_affinity([])  # all of them: a teacher's browser has more than one
    driver = open_browser()
    own.cpu_affinity(before)
    try:
        driver.get(f"{server.url}/join")
        for name, value in teacher.http.cookies.items():
            driver.add_cookie({"name": name, "value": value})
        driver.get(f"{server.url}/sessions")  # the application is in the browser's cache, as a teacher's is
        wait_for(driver, "Large")
        opening = partial(_open, driver, f"{server.url}/sessions/{large}")
        found = {"new": seconds(opening), "again": _usual(opening)}
        corrected = []
        for number in range(ROUNDS):
            teacher.command(large, "drop", item=f"q{number}")
            corrected.append(seconds(opening))
        return {**found, "corrected": statistics.median(corrected)}
    finally:
        driver.quit()


def _open(driver: WebDriver, address: str) -> None:
    driver.get(address)
    WebDriverWait(driver, 60, 0.02).until(lambda here: here.find_elements(By.ID, "grid"))


def _fill() -> None:
    from django.db import transaction
    from django.utils import timezone

    from lantern.core.questions.marking import LATEST
    from lantern.core.session import Actor, Recorded, Role, Sent, Settings, replay
    from lantern.core.session import events as e
    from lantern.server.accounts.models import Teacher
    from lantern.server.classes.models import Member, SchoolClass
    from lantern.server.demo.ability import Model
    from lantern.server.demo.rehearsal import Rehearsal, Student
    from lantern.server.library.actions import make_set
    from lantern.server.library.models import Revision
    from lantern.server.live import store
    from lantern.server.live.actions import start_session
    from lantern.server.live.models import LiveSession

    odile = Teacher.objects.create_user(EMAIL, PASSWORD, "Odile Brandt")
    first, history = a_large_session()
    history.append(Recorded(Sent(Actor(Role.DESK, 1), 1000, 40_000), e.Ended()))
    large = make_set(odile, "Large", first.content.items)
    revision = Revision.objects.create(set=large, version=1, content=first.content.model_dump(mode="json"))
    chosen = first.settings.model_dump(mode="json")
    session = LiveSession.objects.create(
        owner=odile, revision=revision, title="Large", code="KELP427", settings=chosen, seed="seed",
        rules=LATEST, created_at=timezone.now(),
    )  # fmt: skip
    LiveSession.objects.filter(pk=session.pk).update(opened_at=timezone.now())
    with transaction.atomic():
        store.append(store.load(session.pk), replay(first, history), history)

    topics = cycle(TOPICS)
    items = tuple(item.model_copy(update={"tags": (next(topics),)}) for item in questions(ASKED, mixed=True))
    run = make_set(odile, "Tides, lights and knots", items)
    year = timezone.now() - timedelta(days=365)
    classes = [SchoolClass.objects.create(name=f"8{letter}", code=f"HERON{n}") for n, letter in enumerate("ABCDE")]
    for one in classes:
        one.teachers.add(odile)
        for number in range(MEMBERS):
            name = f"Student {number}"
            Member.objects.create(of_class=one, name=name, sort_name=name, record_key=f"k{number}")
        Member.objects.filter(of_class=one).update(created_at=year)
    for number in range(SESSIONS):
        of_class = classes[number % CLASSES]
        at = year + timedelta(hours=14 * number)
        ran = start_session(odile, run, Settings(known="list"), of_class)
        LiveSession.objects.filter(pk=ran.pk).update(created_at=at, opened_at=at)
        there = [Student(member.name, member.person) for member in of_class.members.order_by("pk")]
        Rehearsal(ran, there, f"year-{number}", round(at.timestamp() * 1000), Model("year", number / 15)).run()


if __name__ == "__main__":
    import django

    django.setup()
    _fill()
