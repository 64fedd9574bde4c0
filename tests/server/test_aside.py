"""What is made aside, by the real worker of a real server: it survives a reload, a restart and a kill."""

import os
import sqlite3
import time
from contextlib import closing

import psutil
import pytest

from lantern.server.config.backups import DATABASE
from tests.builders import choice
from tools.client import TeacherClient, join


def rows(teacher):
    return teacher.call("GET", "/jobs")


def ended(teacher, job, within=60.0):
    until = time.monotonic() + within
    while True:
        (row,) = [one for one in rows(teacher) if one["id"] == job]
        if row["state"] not in ("waiting", "running"):
            return row
        assert time.monotonic() < until, row
        time.sleep(0.1)


def worker_of(server):
    """The process that makes things for this server."""
    (found,) = [one for one in psutil.Process(server.process.pid).children() if "work_aside" in one.cmdline()]
    return found


def stopped(server):
    """Its worker, stopped where it is not about to write: the server could not write either."""
    worker = worker_of(server)
    while True:
        worker.suspend()
        while worker.status() != psutil.STATUS_STOPPED:
            time.sleep(0.01)
        try:
            with closing(sqlite3.connect(server.folder / DATABASE, timeout=0)) as database:
                database.execute("BEGIN IMMEDIATE")
            return worker
        except sqlite3.OperationalError:
            worker.resume()
            time.sleep(0.01)


@pytest.fixture
def finished(own_server):
    teacher = TeacherClient(own_server.url)
    teacher.sign_up()
    items = [choice("B", id="q1").model_dump(mode="json")]
    session = teacher.start(teacher.make_set("Knots that hold", items))
    join(own_server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    return teacher, session["id"]


def test_it_is_made_while_the_server_goes_on_and_survives_what_dies(own_server, finished):
    teacher, session = finished
    job = teacher.call("POST", f"/sessions/{session}/pages", {"of": "questions"})["id"]
    done = ended(teacher, job)
    assert (done["state"], done["done"], done["total"], done["has_file"]) == ("done", 1, 1, True)
    worker = worker_of(own_server)
    # It stands back before the server: in another session of the system its priority would say nothing.
    assert (os.sched_getscheduler(worker.pid), worker.nice()) == (os.SCHED_IDLE, 19)
    assert os.getsid(worker.pid) == os.getsid(own_server.process.pid)

    # The worker is killed while there is something to do, and another one takes it up.
    worker = stopped(own_server)
    job = teacher.call("POST", f"/sessions/{session}/pages", {"of": "questions"})["id"]
    worker.kill()
    assert ended(teacher, job)["state"] == "done"

    # The server is killed, too: the next one finds what is left to do.
    worker = stopped(own_server)
    job = teacher.call("POST", f"/sessions/{session}/pages", {"of": "questions"})["id"]
    own_server.kill()
    worker.kill()
    own_server.start()
    assert ended(teacher, job)["state"] == "done"


def test_what_is_given_up_is_not_made(own_server, finished):
    teacher, session = finished
    ended(teacher, teacher.call("POST", f"/sessions/{session}/pages", {"of": "questions"})["id"])
    worker = stopped(own_server)
    job = teacher.call("POST", f"/sessions/{session}/pages", {"of": "questions"})["id"]
    teacher.call("DELETE", f"/jobs/{job}", None, 204)
    worker.resume()
    last = teacher.call("POST", f"/sessions/{session}/pages", {"of": "questions"})["id"]
    assert ended(teacher, last)["state"] == "done"
    assert job not in {one["id"] for one in rows(teacher)}


def test_the_worker_ends_with_its_server(own_server, finished):
    teacher, session = finished
    ended(teacher, teacher.call("POST", f"/sessions/{session}/pages", {"of": "questions"})["id"])
    worker = worker_of(own_server)
    own_server.stop()
    worker.wait(timeout=60)
