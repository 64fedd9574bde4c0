"""A school from before: what stood in the database when people and rounds came is opened and goes on.

The samples were made then: the demo school, a session in mid-question, one of guests under the first rules, and what
was read of each.
"""

import gzip
import json
import re
import sqlite3
from datetime import datetime
from pathlib import Path

import pytest
from django.core.management import call_command
from django.db import connections

from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.tables import raw_table
from lantern.core.formats.table import moment_text
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Actor, Phase, Recorded, Role, Sent, decide, replay
from lantern.core.session import commands as c
from lantern.core.session.desk_view import desk_view
from lantern.server.live import store
from lantern.server.live.models import LiveSession, Person, SessionEvent
from lantern.server.reports.queries import session_happenings

SAMPLES = Path(__file__).parents[1] / "samples"
RUNNING, GUESTS = 2, 3


@pytest.fixture
def school(tmp_path, settings, django_db_blocker):
    """The database as it was, brought up by the migrations, in the place of the tests' own."""
    path = tmp_path / "before.sqlite3"
    with sqlite3.connect(path) as before:
        before.executescript(gzip.decompress((SAMPLES / "school-of-live-0002.sql.gz").read_bytes()).decode())
    before.close()
    with django_db_blocker.unblock():
        usual = connections["default"]
        aside = usual.settings_dict["NAME"]
        usual.close()
        usual.settings_dict["NAME"] = str(path)
        call_command("migrate", verbosity=0)
        read = gzip.decompress((SAMPLES / "school-of-live-0002.json.gz").read_bytes()).decode()
        yield json.loads(re.sub(r'"Guest (\d+)"', r'"#\1"', read))  # a number, now, that is no word
        usual.close()
        usual.settings_dict["NAME"] = aside


def known(before, now):
    """What was read before, of what is read now: new fields are left out, but for those of what the desk may do."""
    if isinstance(before, dict):
        return {name: known(value, now[name]) for name, value in before.items() if name not in ("allowed", "corrected")}
    if isinstance(before, list) and isinstance(now, list) and len(before) == len(now):
        return [known(*pair) for pair in zip(before, now, strict=True)]
    return now


def without(value):
    """The same without what is said otherwise now."""
    if isinstance(value, dict):
        return {name: without(one) for name, one in value.items() if name not in ("allowed", "corrected")}
    return [without(one) for one in value] if isinstance(value, list) else value


def in_words(value):
    """The same with what is said to people as its sentence alone, and no note as an empty one."""
    if isinstance(value, dict):
        if value.keys() == {"code", "params", "sentence"}:
            return value["sentence"]
        if value.keys() == {"what", "count"}:  # what was forgiven, called its sentence before
            return {"sentence": in_words(value["what"]), "count": value["count"]}
        return {name: "" if (name, one) == ("note", None) else in_words(one) for name, one in value.items()}
    return [in_words(one) for one in value] if isinstance(value, list) else value


def said(cell):
    return moment_text(cell) if isinstance(cell, datetime) else str(cell)


@pytest.mark.parametrize("number", ["1", "2", "3"])
def test_every_figure_and_every_name_is_as_it_was(school, number):
    loaded, before = store.load(int(number)), school[number]
    report = report_of(results_of(loaded.state)).model_dump(mode="json")
    for was in before["report"]["questions"]:  # letters offer no key that is right already
        was.pop("keys")
    report = in_words(report)
    for one in (report, before["report"]):  # who gave no name is called by a number now, and stands elsewhere
        one["people"].sort(key=lambda person: person["seat"])
    report["reliability"] = report["reliability"]["alpha"]  # told with its range and its error now
    assert report["reliability"] == pytest.approx(before["report"].pop("reliability"))
    assert known(before["report"], report) == without(before["report"])
    raw = raw_table(results_of(loaded.state)).spoken("en")
    assert [[said(cell) for cell in row][:11] for row in raw.rows] == before["raw"]
    desk = desk_view(loaded.state, loaded.code, ()).model_dump(mode="json")
    early = before["desk"]["settings"].pop("early_bonus")  # the game's now
    assert desk["settings"]["game"] == {"game": "points", "early_bonus": early, "run_bonus": False}
    asked = before["desk"]["settings"].pop("ask_names")  # one way of several now
    assert desk["settings"]["known"] == ("nickname" if asked else "nobody")
    assert known(before["desk"], desk) == without(before["desk"])


def test_no_event_holds_a_name_any_more_and_guests_have_none(school):
    names = set(Person.objects.values_list("name", flat=True))
    assert "Bo of the boats" in names
    assert not any(name.startswith("#") for name in names)
    everything = "".join(SessionEvent.objects.values_list("payload", flat=True))
    assert not [name for name in names if name in everything]
    guests = store.load(GUESTS).state
    assert [guests.name(seat) for seat in guests.people()] == ["#1", "#2", "Fen"]


def test_the_session_in_mid_question_is_carried_on(school):
    loaded = store.load(RUNNING)
    state, history = loaded.state, []
    assert (state.phase, state.ask.id, len(state.ask.responses)) == (Phase.OPEN, "tide.1", 2)
    now = state.ask.deadline - 1000
    desk = Actor(Role.DESK, loaded.owner_id, "a-page")
    chosen = ChoiceAnswer(chosen=("B",))
    for number, (command, by) in enumerate(
        (
            (c.GiveAnswer(1, "tide.1", chosen), Actor(Role.SEAT, 1)),  # sent before, acknowledged, sent again
            (c.GiveAnswer(4, "tide.1", chosen), Actor(Role.SEAT, 4)),
            (c.Close(state.step), desk),
            (c.AskAgain(state.step + 1), desk),
            (c.GiveAnswer(4, "tide.2", chosen), Actor(Role.SEAT, 4)),
            (c.TakeBack("knot"), desk),
            (c.End(), desk),
        ),
        start=1,
    ):
        sent = Sent(by, 1 if by.role is Role.SEAT else number, now)
        records = [Recorded(sent, event) for event in decide(state, command, sent)]
        state, history = replay(state, records), history + records
    store.append(loaded, state, history)
    again = store.load(RUNNING).state
    assert again == state
    assert [len(ask.responses) for ask in again.rounds("tide")] == [3, 1]
    lines = [line.what.code for line in session_happenings(LiveSession.objects.get(pk=RUNNING))]
    assert lines[-5:] == ["closed", "opened", "taken_back", "closed", "ended"]
