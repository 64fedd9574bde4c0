"""Notes to the teacher: a student writes, the desk reads, replies (`pausing.write`), and is done with it.

1. Nobody but the desk sees a note, and it names who wrote it only there.
2. A student may have so many that are not done, and a session so many in all: a desk that is flooded is no use.
3. A late copy of a note is acknowledged and left aside.
"""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded, Sent
from lantern.core.session.changed import changed
from lantern.core.session.model import Note, State
from lantern.core.session.people import own_seat
from lantern.core.values import readable

Events = Sequence[e.Event]
MOST_OF_ONE, MOST_OPEN, LONGEST = 3, 200, 300


def write_note(state: State, command: c.WriteNote, sent: Sent) -> Events:
    seat = own_seat(state, command.seat, sent)
    if sent.number <= state.noted.get(seat.number, 0):
        return []
    if not state.settings.notes:
        raise errors.NotPossible(said("notes_are_off", "Notes to the teacher are switched off here."))
    text = readable(command.text).strip()
    if not text or len(text) > LONGEST:
        raise errors.BadAnswer(said("note_too_long", "Write a note of 1 to {longest} characters.", longest=LONGEST))
    own = sum(note.seat == seat.number for note in state.notes)
    if own >= MOST_OF_ONE or len(state.notes) >= MOST_OPEN:
        raise errors.NotPossible(
            said("notes_wait", "Your notes are with your teacher. Wait until they have been read, then write again.")
        )
    return [e.Noted(text)]


def note_done(state: State, command: c.NoteDone, sent: Sent) -> Events:
    return [e.NoteDone(command.note)] if any(note.id == command.note for note in state.notes) else []


def on_noted(state: State, recorded: Recorded) -> State:
    event, seat = recorded.event, recorded.by.who
    assert isinstance(event, e.Noted)
    assert seat is not None
    number = state.written + 1
    note = Note(number, seat, recorded.sent.number, recorded.at, event.text)
    noted = {**state.noted, seat: recorded.sent.number}
    return changed(state, notes=(*state.notes, note), written=number, noted=noted)


def on_note_done(state: State, event: e.NoteDone) -> State:
    return changed(state, notes=tuple(note for note in state.notes if note.id != event.note))
