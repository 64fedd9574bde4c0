"""Backing what others wrote: one voice for each entry of a wall, given and taken back by whoever did not write it."""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded, Sent
from lantern.core.session.changed import changed
from lantern.core.session.model import Backed, State
from lantern.core.session.people import own_seat
from lantern.core.session.wall import backed_by, gathered, is_shown, may_back

Events = Sequence[e.Event]


def back(state: State, command: c.Back, sent: Sent) -> Events:
    seat = own_seat(state, command.seat, sent)
    ask = state.asks.get(command.ask)
    own = backed_by(state, seat.number, ask.item_id) if ask else None
    if own and sent.number <= own.number:
        return []
    if ask is None or ask is not state.ask or not may_back(state):
        raise errors.NotPossible(said("no_backing_now", "This cannot be backed now."))
    found = gathered(state, ask)
    one = found.get(command.entry)
    if one is None or not is_shown(state, ask.item_id, command.entry):
        raise errors.NotPossible(said("not_on_the_wall", "This is not on the wall any more."))
    if seat.number in one.seats:
        raise errors.NotPossible(said("own_words", "These are your own words. Back another’s."))
    return [e.Backing(ask.id, command.entry, command.backs)]


def on_backing(state: State, recorded: Recorded) -> State:
    event, seat = recorded.event, recorded.by.who
    assert isinstance(event, e.Backing)
    assert seat is not None
    item = state.asks[event.ask].item_id
    before = backed_by(state, seat, item).entries
    entries = before | {event.entry} if event.backs else before - {event.entry}
    own = {**state.backed.get(seat, {}), item: Backed(entries, recorded.sent.number)}
    return changed(state, backed={**state.backed, seat: own})
