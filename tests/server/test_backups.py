"""Backups: made while sessions run, checked before they are read, and whole whatever dies in between."""

import json
import shutil
import signal
import sqlite3
import subprocess
import sys
import time
import zipfile
from contextlib import closing

import pytest

from lantern.server.config import backups
from lantern.server.config.backups import DATABASE, MANIFEST, BackupFailed, make_backup, restore_backup
from tests.builders import choice
from tools.client import TeacherClient, join
from tools.server import ROOT


@pytest.fixture
def place(tmp_path, settings):
    """An installation of its own, whose database says what it is."""
    settings.VAR = tmp_path / "var"
    settings.MEDIA_ROOT = settings.VAR / "media"
    settings.DATABASES = {"default": {"ENGINE": "django.db.backends.sqlite3", "NAME": str(settings.VAR / DATABASE)}}
    (settings.MEDIA_ROOT / "ab" / "abc").mkdir(parents=True)
    fill(settings.VAR, "old")
    return settings.VAR


def fill(var, word):
    (var / "media/ab/abc/480.webp").write_text(f"picture {word}")
    (var / "secret_key").write_text(f"secret {word}")
    with closing(sqlite3.connect(var / DATABASE)) as database:
        database.execute("PRAGMA journal_mode=WAL")
        database.execute("CREATE TABLE IF NOT EXISTS django_migrations (app TEXT, name TEXT)")
        database.execute("CREATE TABLE IF NOT EXISTS words (word TEXT)")
        database.execute("DELETE FROM words")
        database.execute("INSERT INTO words VALUES (?)", [word])
        database.commit()


def told(var):
    with closing(sqlite3.connect(var / DATABASE)) as database:
        ((word,),) = database.execute("SELECT word FROM words").fetchall()
    return word, (var / "media/ab/abc/480.webp").read_text()[8:], (var / "secret_key").read_text()[7:]


@pytest.fixture
def backup(place, tmp_path):
    """Of the old; what is there now is new."""
    made = make_backup(tmp_path / "backups")
    fill(place, "new")
    return made


def test_what_is_restored_is_what_was_and_what_was_there_is_kept(place, backup):
    before = restore_backup(backup)
    assert told(place) == ("old", "old", "old")
    assert told(before) == ("new", "new", "new")
    assert not (place / backups.NEW).exists()


def rewritten(backup, change):
    """The same backup with a part of it changed, as by a bad disk or by somebody."""
    target = backup.with_name("changed.zip")
    with zipfile.ZipFile(backup) as source, zipfile.ZipFile(target, "w") as made:
        for name in source.namelist():
            content = change(name, source.read(name))
            if content is not None:
                made.writestr(name, content)
    return target


def newer(name, content):
    return json.dumps({**json.loads(content), "format": 99}) if name == MANIFEST else content


def flipped(name, content):
    return content[:-1] + bytes([content[-1] ^ 1]) if name.startswith("media") else content


@pytest.mark.parametrize(
    ("change", "why"),
    [
        (flipped, "is not what it was"),
        (lambda name, content: None if name.startswith("media") else content, "not whole"),
        (lambda name, content: None if name == DATABASE else content, "not whole"),
        (lambda name, content: None if name == MANIFEST else content, "no backup"),
        (newer, "newer version"),
    ],
)
def test_what_is_damaged_is_refused_and_all_stays(place, backup, change, why):
    with pytest.raises(BackupFailed, match=why):
        restore_backup(rewritten(backup, change))
    assert told(place) == ("new", "new", "new")


def test_half_a_file_and_no_file_are_refused(place, backup):
    half = backup.with_name("half.zip")
    half.write_bytes(backup.read_bytes()[: backup.stat().st_size // 2])
    for file, why in ((half, "damaged"), (backup.with_name("none.zip"), "no file")):
        with pytest.raises(BackupFailed, match=why):
            restore_backup(file)
    assert told(place) == ("new", "new", "new")


def test_one_of_a_newer_version_is_refused(place, tmp_path):
    with closing(sqlite3.connect(place / DATABASE)) as database:
        database.execute("INSERT INTO django_migrations VALUES ('live', '9999_of_tomorrow')")
        database.commit()
    with pytest.raises(BackupFailed, match="newer version"):
        restore_backup(make_backup(tmp_path / "backups"))


def test_nothing_is_restored_under_a_running_server(place, backup):
    with backups.serving(), pytest.raises(BackupFailed, match="Stop it first"):
        restore_backup(backup)
    assert told(place) == ("new", "new", "new")


class Killed(BaseException):
    """Nothing catches it, as nothing catches a kill."""


@pytest.mark.parametrize("at", range(12))
def test_a_restore_that_dies_at_any_step_is_all_or_nothing(place, backup, monkeypatch, at):
    """Each change of places is a step."""
    steps, path = iter(range(100)), type(place)
    real = path.replace

    def replace(self, target):
        if next(steps) == at:
            raise Killed
        return real(self, target)

    monkeypatch.setattr(path, "replace", replace)
    try:
        restore_backup(backup)
        died = False
    except Killed:
        died = True
    monkeypatch.setattr(path, "replace", real)
    backups.finish_restoring()
    assert told(place) in (("old", "old", "old"), ("new", "new", "new"))
    if not died:
        assert at > 5  # there are that many steps at least
        assert told(place) == ("old", "old", "old")
    assert told(restore_backup(backup))
    assert told(place) == ("old", "old", "old")


# --- with real processes ----------------------------------------------------------------------------------


def wait_for(condition, within=20.0):
    until = time.monotonic() + within
    while not condition():
        assert time.monotonic() < until
        time.sleep(0.002)


@pytest.mark.slow
def test_a_backup_of_a_running_session_holds_it_and_a_kill_leaves_no_half(own_server, tmp_path):
    teacher = TeacherClient(own_server.url)
    teacher.sign_up()
    session = teacher.start(teacher.make_set("Knots", [choice("B", id="q1").model_dump(mode="json")]))
    join(own_server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    var, target = own_server.folder, tmp_path / "backups"
    # Large enough that a process can be caught in the middle of it.
    (var / "media" / "zz").mkdir(parents=True, exist_ok=True)
    (var / "media" / "zz" / "film").write_bytes(b"\0" * 60_000_000)
    command = [sys.executable, "manage.py", "backup", "--to", str(target)]
    process = subprocess.Popen(command, cwd=ROOT, env=own_server.environment)
    wait_for(lambda: list(target.glob("*.part")) if target.exists() else False)
    process.send_signal(signal.SIGKILL)
    process.wait()
    assert not list(target.glob("*.zip"))
    own_server.manage("backup", "--to", str(target))
    (made,) = target.iterdir()
    assert made.suffix == ".zip"

    own_server.stop()
    events = "SELECT count(*) FROM live_sessionevent"
    with closing(sqlite3.connect(var / DATABASE)) as database:
        ((wanted,),) = database.execute(events).fetchall()
        database.execute("DELETE FROM live_sessionevent")
        database.commit()
    command = [sys.executable, "manage.py", "restore", str(made)]
    process = subprocess.Popen(command, cwd=ROOT, env=own_server.environment)
    wait_for(lambda: (var / backups.NEW / "media/zz").exists())
    process.send_signal(signal.SIGKILL)
    process.wait()
    with closing(sqlite3.connect(var / DATABASE)) as database:  # as it was
        assert database.execute(events).fetchall() == [(0,)]
    own_server.manage("restore", str(made))
    with closing(sqlite3.connect(var / DATABASE)) as database:
        assert database.execute(events).fetchall() == [(wanted,)]
    shutil.rmtree(var / "media" / "zz")
    own_server.start()
    assert teacher.call("GET", f"/sessions/{session['id']}/report")["report"]["took_part"] == 1
