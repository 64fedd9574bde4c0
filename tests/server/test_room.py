"""A room's texts: encoded once for each role, sent only when they have changed, whole for each device."""

import json

import pytest

from lantern.core.games.soundings import GiveFathoms, Signal, SoundingsSettings
from lantern.core.questions.kinds.open_response import OpenResponseAnswer, OpenResponseItem
from lantern.core.session import commands as c
from lantern.server.live import room as rooms
from lantern.server.live.connections import Audience, Connection
from lantern.server.live.room import Peer, Room
from lantern.server.live.store import Loaded
from tests.builders import a_session, a_set, choice
from tests.builders.wire import FakeWire, payloads


def loaded_from(session, seq):
    return Loaded(1, "KELP427", 1, seq, session.state)


class Stage:
    """A session in memory and the room that shows it."""

    def __init__(self, *names, items=(), **settings):
        usual = (choice("B", id="q1", time_limit=60), choice(id="q2"))
        self.session = a_session(a_set(*(items or usual)), *names, **settings)
        self.seq = 1
        self.room = Room(loaded_from(self.session, self.seq))

    def connect(self, role, seat=None):
        connection = Connection(role, seat, FakeWire())
        self.room.add(connection)
        return connection

    def do(self, command):
        self.session.do(command)
        self.seq += 1
        self.room.update(loaded_from(self.session, self.seq))

    def messages(self):
        return [(connection, json.loads(*payloads(frame))) for connection, frame in self.room.changed_messages()]


@pytest.fixture
def stage():
    return Stage("Fen", "Bo")


def test_everyone_gets_a_change_and_nobody_gets_it_twice(stage):
    devices = [stage.connect(Audience.STUDENT, 1), stage.connect(Audience.STUDENT, 2), stage.connect(Audience.DESK)]
    stage.messages()
    stage.do(c.Advance(0))
    assert {connection for connection, _ in stage.messages()} == set(devices)
    assert stage.messages() == []


def test_an_answer_is_news_for_desk_and_big_screen_and_not_for_students(stage):
    stage.connect(Audience.STUDENT, 1)
    stage.connect(Audience.DESK)
    stage.connect(Audience.SCREEN)
    stage.do(c.Advance(0))
    stage.messages()
    stage.session.answer(2, "B")
    stage.room.update(loaded_from(stage.session, 9))
    assert sorted(connection.role for connection, _ in stage.messages()) == ["desk", "screen"]


def test_an_opening_question_is_one_text_for_the_whole_class(stage):
    for seat in (1, 2):
        stage.connect(Audience.STUDENT, seat)
    stage.messages()
    stage.do(c.Advance(0))
    frames = [frame for _, frame in stage.room.changed_messages()]
    assert frames[0] is frames[1]
    assert "mine" not in json.loads(*payloads(frames[0]))


def test_a_result_comes_with_each_students_own_part(stage):
    connections = {stage.connect(Audience.STUDENT, seat): seat for seat in (1, 2)}
    stage.do(c.Advance(0))
    stage.session.answer(1, "B")
    stage.do(c.Advance(1))
    stage.do(c.Advance(2))
    messages = stage.messages()
    assert {connections[device]: message["mine"]["seat"] for device, message in messages} == {1: 1, 2: 2}
    assert {message["mine"]["seat"]: message["mine"]["mark"] for _, message in messages} == {1: 1, 2: None}


def test_who_wrote_a_note_is_told_that_it_was_read_and_nobody_else(stage):
    for seat in (1, 2):
        stage.connect(Audience.STUDENT, seat)
    stage.do(c.WriteNote(2, "I cannot hear you."))
    stage.session.do(c.NoteDone(1))
    assert stage.room.update(loaded_from(stage.session, stage.seq + 1)) == {2}


def test_a_voice_on_a_wall_is_news_for_whose_it_is_alone():
    stage = Stage("Fen", "Bo", items=[OpenResponseItem(id="q1", prompt="What did you see?")], wall={"backing": True})
    for seat in (1, 2):
        stage.connect(Audience.STUDENT, seat)
    stage.do(c.Advance(0))
    stage.do(c.GiveAnswer(1, "q1.1", OpenResponseAnswer(text="a light")))
    stage.do(c.Advance(1))
    stage.messages()
    (entry,) = json.loads(stage.room.text(Audience.STUDENT))["shown"]["wall"]["entries"]
    stage.session.do(c.Back(2, "q1.1", entry["id"], True))
    assert stage.room.update(loaded_from(stage.session, stage.seq + 1)) == {2}
    assert stage.messages() == []  # how many voices there are is on the big screen and the desk


def test_what_one_does_on_a_board_that_all_see_is_told_to_all():
    stage = Stage("Fen", "Bo", "Ines", game=SoundingsSettings(teams=2, claims="signal"))
    for seat in (1, 2, 3):
        stage.connect(Audience.STUDENT, seat)
    stage.do(c.Advance(0))
    stage.messages()
    stage.do(c.Advance(1))
    assert [message["mine"]["board"]["signals"] for _, message in stage.messages()] == [True] * 3
    stage.session.do(c.MakeMove(1, Signal()))
    assert stage.room.update(loaded_from(stage.session, stage.seq + 1)) == {1, 2, 3}
    stage.session.do(c.GuideGame(GiveFathoms(team=1, fathoms=2)))
    assert stage.room.update(loaded_from(stage.session, stage.seq + 2)) == {1, 2, 3}
    stage.session.join("Late")
    assert stage.room.update(loaded_from(stage.session, stage.seq + 3)) == set()


def test_who_comes_late_gets_the_whole_view_and_the_own_part(stage):
    stage.do(c.Advance(0))
    late = stage.connect(Audience.STUDENT, 2)
    message = json.loads(stage.room.message(late))
    assert (message["view"]["phase"], message["mine"]["name"]) == ("open", "Bo")


def test_an_older_state_does_not_replace_a_newer_one(stage):
    old = loaded_from(stage.session, 1)
    stage.do(c.Advance(0))
    stage.room.update(old)
    assert stage.room.state.phase == "open"


def test_a_reload_is_not_an_absence(stage, monkeypatch):
    now = [1_000_000]
    monkeypatch.setattr(rooms, "now_ms", lambda: now[0])
    phone = stage.connect(Audience.STUDENT, 1)
    stage.room.discard(phone)
    assert stage.room.present() == {1}
    now[0] += rooms.LINGER
    assert stage.room.present() == frozenset()


def test_a_second_device_of_one_seat_keeps_it_here(stage, monkeypatch):
    now = [1_000_000]
    monkeypatch.setattr(rooms, "now_ms", lambda: now[0])
    first, _ = stage.connect(Audience.STUDENT, 1), stage.connect(Audience.STUDENT, 1)
    stage.room.discard(first)
    now[0] += rooms.LINGER * 2
    assert stage.room.present() == {1}


def test_another_process_is_believed_for_a_while(stage, monkeypatch):
    now = [1_000_000]
    monkeypatch.setattr(rooms, "now_ms", lambda: now[0])
    stage.room.peers["other"] = Peer(until=now[0] + 100, present=frozenset({2}))
    assert stage.room.present() == {2}
    now[0] += 200
    assert stage.room.present() == frozenset()


def test_the_version_tells_two_views_apart_and_only_those(stage):
    desk = stage.connect(Audience.DESK)
    versions = [json.loads(stage.room.message(desk))["version"] for _ in range(2)]
    stage.do(c.Advance(0))
    assert versions[0] == versions[1] != json.loads(stage.room.message(desk))["version"]


def test_a_desk_view_made_with_a_memo_is_the_view_made_without(stage):
    """The memo only saves work: names, marks, removals and presence still come through."""
    desk = stage.connect(Audience.DESK)
    phone = stage.connect(Audience.STUDENT, 1)
    commands = [
        lambda: c.Advance(stage.session.state.step),
        lambda: c.Rename(1, "Fen O."),
        lambda: c.Remove(2),
        lambda: c.Advance(stage.session.state.step),
        lambda: c.Restore(2),
        lambda: c.Advance(stage.session.state.step),
        lambda: c.GoTo(stage.session.state.step, "q2"),
    ]
    for number, command in enumerate(commands):
        stage.do(command())
        if number == 0:
            stage.session.answer(1, "B")
            stage.session.answer(2, "C")
            stage.room.update(loaded_from(stage.session, 2))
        with_memo = json.loads(stage.room.message(desk))["view"]
        fresh = Room(loaded_from(stage.session, stage.seq))
        fresh.add(phone)
        assert json.loads(fresh.message(desk))["view"] == with_memo


def test_a_seat_has_a_few_devices_and_the_oldest_makes_room(stage):
    lines = [stage.connect(Audience.STUDENT, 1) for _ in range(rooms.MOST_LINES)]
    newest = Connection(Audience.STUDENT, 1, FakeWire())
    assert stage.room.add(newest) is lines[0]
    stage.room.discard(lines[0])
    assert set(stage.room.devices[1]) == {*lines[1:], newest}
    stage.room.discard(lines[0])  # twice, as when it is closed and then goes
    assert set(stage.room.devices[1]) == {*lines[1:], newest}
