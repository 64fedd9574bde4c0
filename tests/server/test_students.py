"""The made-up students: a newcomer alone sees a class at work."""

import subprocess
import sys
import time

import pytest

from tests.builders import choice
from tools.server import ROOT


def class_of(server, code, count):
    command = [sys.executable, "manage.py", "students", code, "-n", str(count), "--url", server.url]
    return subprocess.Popen(command, cwd=ROOT, env=server.environment, stdout=subprocess.PIPE, stderr=subprocess.STDOUT)


def until(true, seconds=25):
    deadline = time.monotonic() + seconds
    while not true():
        assert time.monotonic() < deadline, "it never came"
        time.sleep(0.1)


@pytest.mark.slow
def test_a_made_up_class_joins_answers_and_leaves_at_the_end(server, teacher):
    items = [choice("B", id=f"q{n}", time_limit=10).model_dump(mode="json") for n in (1, 2)]
    session = teacher.start(teacher.make_set("Knots", items), close_when_all_answered=True)
    students = class_of(server, session["code"], 6)
    number = session["id"]
    until(lambda: len(teacher.view(number)["people"]) == 6)
    for _ in range(2):
        teacher.command(number, "advance")
        until(lambda: teacher.view(number)["phase"] == "closed")
        assert teacher.view(number)["answered"] >= 3
        teacher.command(number, "advance")
        teacher.command(number, "advance")
    teacher.command(number, "end")
    assert students.wait(timeout=15) == 0
    assert b"Traceback" not in (students.stdout.read() if students.stdout else b"")
    assert len({person["name"] for person in teacher.view(number)["people"]}) == 6


def test_an_unknown_code_is_a_sentence(server):
    with pytest.raises(RuntimeError, match="No session with the code KELP427 is running"):
        server.manage("students", "KELP427", "--url", server.url)


def test_a_server_that_is_not_there_is_a_sentence(server, teacher):
    session = teacher.start(teacher.make_set("Knots", [choice("B", id="q1").model_dump(mode="json")]))
    with pytest.raises(RuntimeError, match="does not answer"):
        server.manage("students", session["code"], "-n", "1", "--url", "http://127.0.0.1:9")
