"""A session that stands at an event: its desk is told which, and goes on without it."""

import pytest

from lantern.core.session import Settings
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.stored import write_event
from lantern.server.live import store
from lantern.server.live.actions import start_session
from lantern.server.live.models import SessionEvent
from tests.builders.session import Room


@pytest.fixture
def session(odile, knots):
    """Fen, Bo and Ines have answered the first question; the second is open."""
    started = start_session(odile, knots, Settings(close_when_all_answered=False, mix_options=False))
    loaded = store.load(started.pk)
    room = Room(loaded.state.content, loaded.state.settings)
    room.state = loaded.state
    room.join("Fen", "Bo", "Ines")
    room.advance()
    for seat in (1, 2, 3):
        room.answer(seat, "B")
    room.do(c.GoTo(room.state.step, "q2"))
    store.append(loaded, room.state, room.history)
    return started


def break_first(session, event: type, payload: str) -> int:
    """The number of the event that is spoilt."""
    row = next(row for row in SessionEvent.objects.filter(session=session) if f'"{_type(event)}"' in row.payload)
    row.payload = payload
    row.save(update_fields=["payload"])
    return row.seq


def _type(event: type) -> str:
    return event.__dataclass_fields__["type"].default


def test_it_says_at_which_event_it_stands(as_odile, session):
    assert as_odile("get", f"/live/sessions/{session.pk}/fault") is None
    seq = break_first(session, e.Answered, '{"type":"answered","ask":"q1.1","answer":{"kind":"riddle"}}')
    refusal = as_odile("get", f"/sessions/{session.pk}/report", status=500)
    assert (refusal["family"], refusal["code"], refusal["params"]) == (
        "faulty_session",
        "stands_at_event",
        {"seq": seq},
    )
    fault = as_odile("get", f"/live/sessions/{session.pk}/fault")
    assert (fault["event"]["seq"], fault["event"]["what"], fault["event"]["by"]) == (seq, "answered", "Fen")
    assert fault["others"] == 0


def test_it_goes_on_without_it_and_the_report_says_so(as_odile, session):
    seq = break_first(session, e.Answered, "{")
    as_odile("post", f"/live/sessions/{session.pk}/fault", {"seq": seq + 1}, 204)  # it stands elsewhere
    as_odile("get", f"/sessions/{session.pk}/report", status=500)
    as_odile("post", f"/live/sessions/{session.pk}/fault", {"seq": seq}, 204)
    assert as_odile("get", f"/live/sessions/{session.pk}/fault") is None
    found = as_odile("get", f"/sessions/{session.pk}/report")
    assert [one["seq"] for one in found["set_aside"]] == [seq]
    assert found["report"]["questions"][0]["answered"] == 2
    assert SessionEvent.objects.get(session=session, seq=seq).payload == "{"  # it is kept


def test_what_hangs_on_an_event_goes_with_it_in_one_step(as_odile, session):
    seq = break_first(session, e.Opened, write_event(e.Opened("nowhere.1", None)).replace("nowhere.1", "nowhere"))
    fault = as_odile("get", f"/live/sessions/{session.pk}/fault")
    assert (fault["event"]["seq"], fault["others"] >= 3) == (seq, True)
    as_odile("post", f"/live/sessions/{session.pk}/fault", {"seq": seq}, 204)
    state = store.load(session.pk).state
    assert (state.cursor, list(state.standing)) == ("q2", ["q2"])


@pytest.mark.parametrize("which", ["in the middle", "the last one"])
def test_a_session_that_goes_on_takes_commands_again(as_odile, session, which):
    if which == "the last one":
        last = SessionEvent.objects.filter(session=session).last()
        SessionEvent.objects.filter(pk=last.pk).update(payload="[]")
        seq = last.seq
    else:
        seq = break_first(session, e.Answered, "[]")
    as_odile("post", f"/live/sessions/{session.pk}/fault", {"seq": seq}, 204)
    loaded = store.load(session.pk)
    room = Room(loaded.state.content, loaded.state.settings)
    room.state = loaded.state
    room.do(c.End(), 900)
    after = store.append(loaded, room.state, room.history)
    assert store.load(session.pk).state == after.state


def test_anothers_fault_is_nobodys_business(as_ravi, session):
    as_ravi("get", f"/live/sessions/{session.pk}/fault", status=404)
    as_ravi("post", f"/live/sessions/{session.pk}/fault", {"seq": 1}, 404)
