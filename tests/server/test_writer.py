"""The writer and the store, without a server around them."""

import queue
from itertools import count

import pytest
from django.db import DatabaseError

from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Phase, Recorded, Settings, decide, engine, evolve
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.server.live import ended, store, writer
from lantern.server.live.actions import start_session
from lantern.server.live.models import LiveSession, SessionEvent
from lantern.server.live.writer import Job, Writer
from tests.builders import joins
from tests.builders.session import sent

pytestmark = pytest.mark.django_db(transaction=True)
NOW = 1_800_000_000_000
B = ChoiceAnswer(chosen=("B",))


@pytest.fixture
def session(odile, knots):
    return start_session(odile, knots, Settings(close_when_all_answered=False))


class Office:
    """A writer whose outcomes are collected batch by batch."""

    def __init__(self):
        self.settled = queue.Queue()
        self.writer = Writer(lambda outcomes, loaded: self.settled.put((outcomes, loaded)))

    def batch(self, *jobs):
        """All jobs are queued before the writer starts, so that they are one batch."""
        for job in jobs:
            self.writer.put(job)
        if not self.writer._thread.is_alive():
            self.writer.start()
        return self.settled.get(timeout=30)


@pytest.fixture
def office():
    office = Office()
    yield office
    if office.writer._thread.is_alive():
        office.writer.stop()


_numbers = count(10)


def job(session, command, number=None, now=NOW):
    by = sent(command, next(_numbers) if number is None else number, now)
    return Job(session.pk, command, by, lambda outcome: None)


def names(state):
    return [state.name(seat) for seat in state.people()]


def opened(session):
    """Fen and Bo are in, the first question is open."""
    with_two = store.load(session.pk)
    state, records = with_two.state, []
    for number, command in enumerate((joins("Fen", "k1"), joins("Bo", "k2"), c.Advance(0)), start=1):
        for event in store_decide(state, command, number):
            records.append(event)
            state = store_evolve(state, event)
    return store.append(with_two, state, records)


def store_decide(state, command, number=1):
    by = sent(command, number, NOW)
    return [Recorded(by, event) for event in decide(state, command, by)]


def store_evolve(state, record):
    return evolve(state, record)


def test_a_batch_is_one_transaction_and_each_command_sees_those_before_it(session, office):
    opened(session)
    outcomes, loaded = office.batch(
        job(session, c.GiveAnswer(1, "q1.1", B), 1),
        job(session, c.GiveAnswer(1, "q1.1", B), 2),
        job(session, c.GiveAnswer(1, "q1.1", B), 1),
        job(session, c.GiveAnswer(2, "q1.1", B), 1),
    )
    assert [outcome.error.code if outcome.error else None for outcome in outcomes] == [
        None,
        "already_answered",
        None,
        None,
    ]
    assert len(loaded[session.pk].state.responses("q1")) == 2
    assert SessionEvent.objects.filter(session=session).count() == LiveSession.objects.get(pk=session.pk).seq == 5


def test_what_another_process_stored_is_decided_on(session, office):
    before = opened(session)
    office.batch(job(session, c.GiveAnswer(1, "q1.1", B)))
    elsewhere = store.load(session.pk)
    closed = store_decide(elsewhere.state, c.Close(elsewhere.state.step), 9)
    store.append(elsewhere, store_evolve(elsewhere.state, closed[0]), closed)
    outcomes, loaded = office.batch(job(session, c.GiveAnswer(2, "q1.1", B)))
    assert outcomes[0].error.code == "not_open"
    assert loaded[session.pk].seq == before.seq + 2


def test_a_command_refused_only_because_this_process_was_behind_is_decided_again(session, office):
    first = store.load(session.pk)
    outcomes, _ = office.batch(job(session, joins("Fen", "k1")))
    assert not outcomes[0].error
    elsewhere = store.catch_up(first)
    step = store_decide(elsewhere.state, c.Advance(0), 9)
    store.append(elsewhere, store_evolve(elsewhere.state, step[0]), step)
    outcomes, _ = office.batch(job(session, c.GiveAnswer(1, "q1.1", B)))
    assert outcomes[0].error is None


def test_nothing_is_added_to_a_session_that_has_moved_on(session):
    stale = store.load(session.pk)
    opened(session)
    with pytest.raises(store.Stale):
        store.append(stale, stale.state, store_decide(stale.state, joins("Ines", "k3"), 9))
    with pytest.raises(store.Stale):
        store.append(stale, stale.state, [])
    assert SessionEvent.objects.filter(session=session).count() == 3


def test_a_batch_that_cannot_be_stored_is_refused_whole_and_leaves_nothing_behind(session, office, monkeypatch):
    opened(session)
    office.batch(job(session, c.GiveAnswer(1, "q1.1", B)))
    real = store.append

    def broken(*args):
        raise DatabaseError("the disk is full")

    monkeypatch.setattr(writer.store, "append", broken)
    outcomes, loaded = office.batch(job(session, c.GiveAnswer(2, "q1.1", B)))
    assert (outcomes[0].error.code, loaded) == ("not_stored", {})
    monkeypatch.setattr(writer.store, "append", real)
    outcomes, loaded = office.batch(job(session, c.GiveAnswer(2, "q1.1", B)))
    assert outcomes[0].error is None
    assert len(loaded[session.pk].state.responses("q1")) == 2


def test_a_fault_in_one_command_stays_with_it(session, office, monkeypatch):
    opened(session)
    real = writer.decide

    def faulty(state, command, by):
        if by.number == 99:
            raise ZeroDivisionError
        return real(state, command, by)

    monkeypatch.setattr(writer, "decide", faulty)
    outcomes, _ = office.batch(job(session, c.GiveAnswer(1, "q1.1", B), 99), job(session, c.GiveAnswer(2, "q1.1", B)))
    assert [bool(outcome.error) for outcome in outcomes] == [True, False]


def test_a_command_that_fails_halfway_leaves_nothing_of_itself(session, office, monkeypatch):
    opened(session)
    monkeypatch.setitem(engine.EVENTS, e.Ended, lambda state, recorded: 1 / 0)
    outcomes, loaded = office.batch(
        job(session, c.GiveAnswer(1, "q1.1", B)),
        job(session, c.End(), 99),  # the open question is closed, then the session ends
        job(session, c.GiveAnswer(2, "q1.1", B)),
    )
    assert [bool(outcome.error) for outcome in outcomes] == [False, True, False]
    assert loaded[session.pk].state.asks["q1.1"].responses.keys() == {1, 2}
    monkeypatch.undo()
    assert store.load(session.pk) == loaded[session.pk]


@pytest.fixture
def other(odile, knots):
    return start_session(odile, knots, Settings(close_when_all_answered=False))


def in_both(office, session, other, number):
    """One batch with a command for each; the code of the first's refusal, and whether the second's was refused."""
    outcomes, _ = office.batch(
        job(session, joins(f"Fen {number}", f"k{number}")),
        job(other, joins(f"Bo {number}", f"k{number}")),
    )
    return outcomes[0].error and outcomes[0].error.code, outcomes[1].error is not None


def breaking(session, real, fault):
    """`real`, but for this session."""

    def call(first, *args):
        if first == session.pk or getattr(first, "session_id", None) == session.pk:
            raise fault
        return real(first, *args)

    return call


FAULTS = {
    "load": (ValueError("a value that no longer validates"), "faulty_session"),
    "append": (ZeroDivisionError("a fault in a kind"), "faulty_session"),
    "stale": (store.Stale(), "not_stored"),
    "disk": (DatabaseError("a row that cannot be written"), "not_stored"),
}


@pytest.mark.parametrize("where", FAULTS)
def test_one_sessions_fault_stays_its_own(session, other, office, monkeypatch, caplog, where):
    fault, code = FAULTS[where]
    name = "load" if where == "load" else "append"
    monkeypatch.setattr(writer.store, name, breaking(session, getattr(store, name), fault))
    assert in_both(office, session, other, 1) == (code, False)
    assert f"session {session.pk}" in caplog.text
    assert in_both(office, session, other, 2) == (code, False)
    assert office.writer._thread.is_alive()
    monkeypatch.undo()
    assert in_both(office, session, other, 3) == (None, False)
    found = [names(store.load(one.pk).state) for one in (session, other)]
    assert found == [["Fen 3"], ["Bo 1", "Bo 2", "Bo 3"]]


def test_settings_that_no_longer_validate_refuse_their_session_alone(session, other, office):
    LiveSession.objects.filter(pk=session.pk).update(settings={"known": "perhaps"})
    assert in_both(office, session, other, 1) == ("faulty_session", False)


def test_an_outcome_that_cannot_be_told_does_not_end_the_writer(session, caplog):
    told = queue.Queue()

    def settled(outcomes, loaded):
        told.put(outcomes)
        raise RuntimeError("the hub has a fault")

    faulty = Writer(settled)
    faulty.start()
    try:
        for number in range(3):
            faulty.put(job(session, joins(f"Fen {number}", f"k{number}")))
            assert told.get(timeout=30)[0].error is None
    finally:
        faulty.stop()
    assert "could not be told" in caplog.text


def test_a_fault_in_summing_up_holds_up_no_end(session, office, monkeypatch, caplog):
    opened(session)
    monkeypatch.setattr(store, "report_of", lambda state: 1 / 0)
    outcomes, _ = office.batch(job(session, c.End()))
    assert outcomes[0].error is None
    row = LiveSession.objects.get(pk=session.pk)
    assert (row.ended_at is not None, row.summary) == (True, None)
    assert "could not be summed up" in caplog.text


def test_who_is_removed_after_the_end_leaves_the_summary(session, office):
    opened(session)
    office.batch(job(session, c.End()))
    office.batch(job(session, c.Remove(1)))
    assert LiveSession.objects.get(pk=session.pk).summary["took_part"] == 1
    office.batch(job(session, c.Restore(1)))
    assert LiveSession.objects.get(pk=session.pk).summary["took_part"] == 2


def test_a_session_that_another_process_stores_in_is_locked_before_it_is_caught_up_with(session, office, monkeypatch):
    opened(session)
    office.batch(job(session, c.GiveAnswer(1, "q1.1", B)))
    steps = []
    for name in ("lock", "catch_up", "append"):
        does = getattr(store, name)
        monkeypatch.setattr(store, name, lambda *given, does=does, name=name: (steps.append(name), does(*given))[1])
    elsewhere = Office()
    try:
        elsewhere.batch(job(session, c.GiveAnswer(2, "q1.1", B)))
        steps.clear()
        was_overtaken = ["append", "lock", "catch_up", "append"]
        for number, locked in ((1, was_overtaken), (2, ["lock", "append"])):
            outcomes, loaded = office.batch(job(session, joins(f"Late {number}", f"late-{number}")))
            assert (outcomes[0].error, steps) == (None, locked)
            steps.clear()
        outcomes, loaded = elsewhere.batch(job(session, joins("Late 3", "late-3")))
        known_to_the_room = job(session, joins("Late 4", "late-4"))
        known_to_the_room.known = loaded[session.pk]
        steps.clear()
        outcomes, _ = office.batch(known_to_the_room)
        assert (outcomes[0].error, steps) == (None, ["lock", "append"])
    finally:
        elsewhere.writer.stop()


def test_sessions_that_nobody_commands_leave_memory(session, other, office, monkeypatch):
    in_both(office, session, other, 1)
    assert office.writer._sessions.keys() == {session.pk, other.pk}
    monkeypatch.setattr(writer, "IDLE_LASTS", 0.0)
    office.writer.forget_idle()
    assert not office.writer._sessions
    monkeypatch.undo()
    assert in_both(office, session, other, 2) == (None, False)
    office.batch(job(session, c.End()))
    assert office.writer._sessions.keys() == {session.pk, other.pk}, "after its end it is put right"


def test_whoever_reads_a_session_that_was_commanded_after_its_end_need_not_load_it(session, office, monkeypatch):
    step = opened(session).state.step
    office.batch(job(session, c.Close(step)), job(session, c.End()))
    loading = []
    monkeypatch.setattr(ended.store, "load", loading.append)
    row = LiveSession.objects.get(pk=session.pk)
    assert ended.state_of(row).phase is Phase.ENDED
    (outcome,), _ = office.batch(job(session, c.Drop("q1")))
    assert outcome.error is None
    row.refresh_from_db()
    assert ended.state_of(row).is_corrected("q1", "dropped")
    assert loading == []
    monkeypatch.undo()
    # One that another process has taken further is loaded, and so is one that goes on without one of its events.
    row.events.filter(seq=row.seq).update(set_aside=True)
    assert not ended.state_of(row).is_corrected("q1", "dropped")
    elsewhere = Office()
    try:
        elsewhere.batch(job(session, c.GiveFullMarks("q1")))
    finally:
        elsewhere.writer.stop()
    row.refresh_from_db()
    assert ended.state_of(row).is_corrected("q1", "full_marks")


def test_an_idle_session_leaves_memory_also_while_another_is_busy(session, other, office, monkeypatch):
    monkeypatch.setattr(writer, "LOOK_EVERY", 0.0)
    in_both(office, session, other, 1)
    office.writer._used[session.pk] -= 2 * writer.IDLE_LASTS
    for seat in (3, 4):  # when the second is told of, the look after the first is over
        office.batch(job(other, joins(f"Bo {seat}", f"k{seat}")))
    assert office.writer._sessions.keys() == {other.pk}


def test_a_session_that_does_not_exist_is_told_so(session, office):
    outcomes, _ = office.batch(job(an_unknown(session), joins("Fen", "k")))
    assert outcomes[0].error.sentence == "This session does not exist."


def an_unknown(session):
    return type(session)(pk=session.pk + 999)


def test_sessions_in_one_batch_do_not_touch_each_other(odile, knots, session, office):
    other = start_session(odile, knots, Settings())
    outcomes, loaded = office.batch(
        job(session, joins("Fen", "k1")),
        job(other, joins("Bo", "k2")),
        job(session, joins("Ines", "k3")),
    )
    assert not any(outcome.error for outcome in outcomes)
    assert names(loaded[session.pk].state) == ["Fen", "Ines"]
    assert names(loaded[other.pk].state) == ["Bo"]


def test_the_end_is_written_beside_the_events_and_frees_the_code(session, office):
    opened(session)
    office.batch(job(session, c.End()))
    row = LiveSession.objects.get(pk=session.pk)
    assert row.ended_at is not None
    assert row.summary["took_part"] == 2


def test_a_loaded_state_is_what_the_writer_had(session, office):
    opened(session)
    _, loaded = office.batch(job(session, c.GiveAnswer(1, "q1.1", B)), job(session, c.Rename(2, "Bo T.")))
    assert store.load(session.pk) == loaded[session.pk]
