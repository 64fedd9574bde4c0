"""The machine: what each command leads to, and what each event changes.

1. `decide` changes nothing. It returns events, or raises a refusal that says why.
2. `evolve` never refuses: what has happened has happened.
3. A command that is missing from a phase's row in COMMANDS is illegal there.
4. A command id that was handled once leads to no events when it comes again.
5. A question takes answers again only as long as no mark of it has been told (`points.told`).
6. Marks and points are computed in `evolve`, from the frozen set and the kept answer, so a replay
   with a corrected set, or a key that was set afterwards, gives corrected marks.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from typing import Any

from lantern.core import errors
from lantern.core.questions import kind_of
from lantern.core.questions.contract import Answer, Item, Question
from lantern.core.session import commands as c
from lantern.core.session import corrections
from lantern.core.session import events as e
from lantern.core.session.model import Ask, Phase, Response, Seat, State, changed
from lantern.core.session.moves import Move, item_after, next_move
from lantern.core.session.names import clean_name, told_apart
from lantern.core.session.points import points_for, time_left
from lantern.core.values import Milliseconds

Events = Sequence[e.Event]
TOLD_APART = (e.Answered, e.Joined)
LATE_BY: Milliseconds = 0  # how long after the deadline an answer still counts


@dataclass(frozen=True, slots=True)
class Recorded:
    """An event as it is kept, with the id of the command that led to it."""

    command_id: str
    event: e.Event


def decide(state: State, command: c.Command, now: Milliseconds, command_id: str) -> Events:
    """The events that `command` leads to at `now`. Raises a NotPossible, or what the command raises."""
    if command_id in state.handled:
        return ()
    handler = COMMANDS[state.phase].get(type(command))
    if handler is None:
        raise _refusal(state, command)
    step = getattr(command, "step", None)
    if step is not None and step != state.step:
        raise errors.AlreadyMovedOn
    return handler(state, command, now, command_id)


def evolve(state: State, recorded: Recorded) -> State:
    """The state after the event."""
    state = EVENTS[type(recorded.event)](state, recorded)
    if isinstance(recorded.event, TOLD_APART):
        return state  # these are told apart by seat and key, without a growing set of ids
    return changed(state, handled=state.handled | {recorded.command_id})


# --- commands ------------------------------------------------------------------------------------


def _advance(state: State, command: c.Advance, now: Milliseconds, command_id: str) -> Events:
    move = next_move(state)
    if move is Move.NEXT:
        following = item_after(state)
        assert following is not None
        return _show(state, following, now)
    simple: dict[Move, Callable[[], Events]] = {
        Move.CLOSE: lambda: _close(state, command, now, command_id),
        Move.REVEAL: lambda: _reveal(state, command, now, command_id),
        Move.STANDINGS: lambda: [e.StandingsShown()],
        Move.END: lambda: [e.Ended(at=now)],
    }
    return simple[move]()


def _go_to(state: State, command: c.GoTo, now: Milliseconds, command_id: str) -> Events:
    if command.item not in state.items:
        raise errors.NotPossible("This item is not in the set.")
    if command.item == state.cursor and state.phase is Phase.OPEN:
        return []
    return [*_leave(state), *_show(state, command.item, now)]


def _leave(state: State) -> Events:
    """An open question is closed when the desk goes elsewhere; without answers it was never asked."""
    ask = state.ask
    if ask is None or not ask.is_open:
        return []
    return [e.Closed(ask.item_id, "desk") if ask.responses else e.Withdrawn(ask.item_id)]


def _show(state: State, item_id: str, now: Milliseconds) -> Events:
    item = state.item(item_id)
    if not kind_of(item).is_asked:
        return [e.PageShown(item_id)]
    return [e.Revisited(item_id) if item_id in state.asks else _opening(state, item_id, now)]


def _opening(state: State, item_id: str, now: Milliseconds) -> e.Opened:
    item = state.item(item_id)
    limit = item.time_limit if isinstance(item, Question) else None
    return e.Opened(item_id, at=now, deadline=now + limit * 1000 if limit else None)


def _close(state: State, command: c.Command, now: Milliseconds, command_id: str) -> Events:
    assert state.cursor
    return [e.Closed(state.cursor, "desk")]


def _reopen(state: State, command: c.Reopen, now: Milliseconds, command_id: str) -> Events:
    assert state.ask
    if state.ask.told:
        shown = "The right answer has" if state.ask.revealed else "Points for it have"
        raise errors.NotPossible(f"{shown} been shown, so this question stays closed.")
    return [_opening(state, state.ask.item_id, now)]


def _add_time(state: State, command: c.AddTime, now: Milliseconds, command_id: str) -> Events:
    assert state.ask
    if state.ask.deadline is None:
        raise errors.NotPossible("This question has no time limit, so there is nothing to add to.")
    return [e.TimeAdded(state.ask.item_id, max(now, state.ask.deadline) + command.seconds * 1000)]


def _set_curtain(state: State, command: c.SetCurtain, now: Milliseconds, command_id: str) -> Events:
    return [] if command.drawn == state.curtain else [e.CurtainSet(command.drawn)]


def _reveal(state: State, command: c.Command, now: Milliseconds, command_id: str) -> Events:
    assert state.cursor
    return [e.Revealed(state.cursor)]


def _show_standings(state: State, command: c.ShowStandings, now: Milliseconds, command_id: str) -> Events:
    return [e.StandingsShown()]


def _end(state: State, command: c.End, now: Milliseconds, command_id: str) -> Events:
    return [*_leave(state), e.Ended(at=now)]


def _join(state: State, command: c.Join, now: Milliseconds, command_id: str) -> Events:
    if command.key in state.seat_of_key:
        if state.seats[state.seat_of_key[command.key]].removed:
            raise errors.TakenOut
        return []
    number = len(state.seats) + 1
    name = clean_name(command.name) if state.settings.ask_names else f"Guest {number}"
    if any(seat.removed and seat.name.casefold() == name.casefold() for seat in state.seats.values()):
        raise errors.TakenOut(
            "Somebody of this name was taken out of this session. Ask your teacher to let you in, "
            "or join under the name the class knows you by.",
            field="name",
        )
    taken = [seat.name for seat in state.people()]
    return [e.Joined(number, told_apart(name, taken), command.key)]


def _rename(state: State, command: c.Rename, now: Milliseconds, command_id: str) -> Events:
    _seat(state, command.seat)
    taken = [seat.name for seat in state.people() if seat.number != command.seat]
    return [e.Renamed(command.seat, told_apart(clean_name(command.name), taken))]


def _remove(state: State, command: c.Remove, now: Milliseconds, command_id: str) -> Events:
    return [] if _seat(state, command.seat).removed else [e.Removed(command.seat)]


def _restore(state: State, command: c.Restore, now: Milliseconds, command_id: str) -> Events:
    seat = _seat(state, command.seat)
    if not seat.removed:
        return []
    name = told_apart(seat.name, [other.name for other in state.people()])
    renamed = [] if name == seat.name else [e.Renamed(command.seat, name)]
    return [e.Restored(command.seat), *renamed]


def _lift_fog(state: State, command: c.LiftFog, now: Milliseconds, command_id: str) -> Events:
    already = _seat(state, command.seat).fog_lifted == command.lifted
    return [] if already else [e.FogLifted(command.seat, command.lifted)]


def _give_answer(state: State, command: c.GiveAnswer, now: Milliseconds, command_id: str) -> Events:
    if _seat(state, command.seat).removed:
        raise errors.TakenOut
    ask = state.asks.get(command.item)
    given = ask.responses.get(command.seat) if ask else None
    if given is not None:
        if given.command_id == command_id:
            return ()
        raise errors.AlreadyAnswered
    if ask is None or not ask.is_open or command.item != state.cursor:
        raise errors.NotOpen
    if ask.deadline is not None and now > ask.deadline + LATE_BY:
        raise errors.TooLate
    item = state.item(command.item)
    if command.answer.kind != item.kind:
        raise errors.BadAnswer
    kind_of(item).accept(item, command.answer)
    return (e.Answered(command.seat, command.item, command.answer, now),)


def _time_up(state: State, command: c.TimeUp, now: Milliseconds, command_id: str) -> Events:
    ask = state.ask
    is_due = ask is not None and ask.item_id == command.item and ask.deadline == command.deadline
    return [e.Closed(command.item, "time")] if is_due and now >= command.deadline else []


def _close_if_all(state: State, command: c.CloseIfAllAnswered, now: Milliseconds, command_id: str) -> Events:
    ask = state.ask
    here = {seat.number for seat in state.people()} & command.present
    if ask is None or ask.item_id != command.item or not here or not state.settings.close_when_all_answered:
        return []
    return [e.Closed(command.item, "all_answered")] if here <= ask.responses.keys() else []


def _nothing(state: State, command: c.Command, now: Milliseconds, command_id: str) -> Events:
    return []


def _seat(state: State, number: int) -> Seat:
    seat = state.seats.get(number)
    if seat is None:
        raise errors.UnknownSeat
    return seat


def _refusal(state: State, command: c.Command) -> errors.NotPossible:
    if isinstance(command, c.GiveAnswer) and state.phase is not Phase.ENDED:
        return errors.NotOpen()
    if state.phase is Phase.ENDED:
        return errors.SessionEnded()
    return errors.NotPossible()


Handlers = dict[type, Callable[[State, Any, Milliseconds, str], Events]]

_ANYWHERE: Handlers = {
    c.Join: _join,
    c.Rename: _rename,
    c.Remove: _remove,
    c.Restore: _restore,
    c.LiftFog: _lift_fog,
    c.SetCurtain: _set_curtain,
    c.GoTo: _go_to,
    c.Advance: _advance,
    c.End: _end,
    c.TimeUp: _nothing,
    c.CloseIfAllAnswered: _nothing,
}
_CORRECTED: Handlers = {
    c.SetKey: corrections.set_key,
    c.CountAsRight: corrections.count_as_right,
    c.KeepApart: corrections.keep_apart,
    c.TakeBack: corrections.take_back,
    c.MarkAnew: corrections.mark_anew,
}
# An answer that was acknowledged may be sent again after the question closed: it must be told so.
_ASKED: Handlers = _ANYWHERE | _CORRECTED | {c.GiveAnswer: _give_answer}

COMMANDS: dict[Phase, Handlers] = {
    Phase.LOBBY: _ANYWHERE,
    Phase.PAGE: _ASKED,
    Phase.OPEN: _ASKED
    | {
        c.Close: _close,
        c.AddTime: _add_time,
        c.TimeUp: _time_up,
        c.CloseIfAllAnswered: _close_if_all,
    },
    Phase.CLOSED: _ASKED | {c.Reopen: _reopen, c.Reveal: _reveal, c.ShowStandings: _show_standings},
    Phase.REVEALED: _ASKED | {c.ShowStandings: _show_standings},
    Phase.STANDINGS: _ASKED,
    Phase.ENDED: _CORRECTED
    | {
        c.Rename: _rename,
        c.Remove: _remove,
        c.Restore: _restore,
        c.LiftFog: _lift_fog,
        c.TimeUp: _nothing,
        c.CloseIfAllAnswered: _nothing,
    },
}


# --- events --------------------------------------------------------------------------------------


def _on_joined(state: State, event: e.Joined) -> State:
    is_open = state.ask is not None and state.ask.is_open
    seat = Seat(event.seat, event.name, event.key, since=state.openings - is_open)
    return changed(
        state,
        seats={**state.seats, seat.number: seat},
        seat_of_key={**state.seat_of_key, seat.key: seat.number},
    )


def _with_seat(state: State, number: int, **changes: Any) -> State:
    return changed(state, seats={**state.seats, number: replace(state.seats[number], **changes)})


def _with_ask(state: State, ask: Ask, **changes: Any) -> State:
    return changed(state, asks={**state.asks, ask.item_id: changed(ask, **changes)})


def _moved(state: State, phase: Phase, cursor: str | None) -> State:
    return changed(state, phase=phase, cursor=cursor, step=state.step + 1)


def _on_page_shown(state: State, event: e.PageShown) -> State:
    state = changed(state, pages_shown=state.pages_shown | {event.item})
    return _moved(state, Phase.PAGE, event.item)


def _on_opened(state: State, event: e.Opened) -> State:
    limit = None if event.deadline is None else event.deadline - event.at
    ask = state.asks.get(event.item) or Ask(event.item, event.at, event.deadline, began_at=event.at, limit=limit)
    state = changed(state, openings=state.openings + 1)
    state = _with_ask(state, ask, opened_at=event.at, deadline=event.deadline, is_open=True, opening=state.openings)
    return _moved(state, Phase.OPEN, event.item)


def _on_answered(state: State, recorded: Recorded) -> State:
    assert isinstance(recorded.event, e.Answered)
    ask = state.asks[recorded.event.item]
    response = response_to(state, ask, recorded, *judged(state.item(ask.item_id), recorded.event.answer))
    return _with_ask(state, ask, responses={**ask.responses, response.seat: response})


def judged(item: Item, answer: Answer) -> tuple[float | None, str]:
    """The mark of an answer, and the answer in a pane of the grid."""
    kind = kind_of(item)
    return kind.score(item, answer), kind.short_text(item, answer)


def response_to(state: State, ask: Ask, recorded: Recorded, mark: float | None, short: str) -> Response:
    """The answer with the points that it gets for its mark."""
    event = recorded.event
    assert isinstance(event, e.Answered)
    left = time_left(ask, event.at, state.rules) if state.settings.early_bonus else None
    points, bonus = points_for(state.item(event.item), mark, left, state.settings)
    return Response(
        seat=event.seat,
        answer=event.answer,
        command_id=recorded.command_id,
        at=event.at,
        took=max(0, event.at - ask.opened_at),
        left=left,
        mark=mark,
        points=points,
        bonus=bonus,
        short=short,
    )


def _on_closed(state: State, event: e.Closed) -> State:
    return _moved(_with_ask(state, state.asks[event.item], is_open=False), Phase.CLOSED, event.item)


def _on_withdrawn(state: State, event: e.Withdrawn) -> State:
    asks = {item: ask for item, ask in state.asks.items() if item != event.item}
    return changed(state, asks=asks)


def _on_revealed(state: State, event: e.Revealed) -> State:
    return _moved(_with_ask(state, state.asks[event.item], revealed=True, told=True), Phase.REVEALED, event.item)


def _on_standings_shown(state: State, event: e.StandingsShown) -> State:
    """Points of every question that is closed are told with it: none of them can be reopened from now on."""
    asks = {item: changed(ask, told=True) for item, ask in state.asks.items()}
    return _moved(changed(state, asks=asks), Phase.STANDINGS, state.cursor)


def _on_revisited(state: State, event: e.Revisited) -> State:
    revealed = state.asks[event.item].revealed
    return _moved(state, Phase.REVEALED if revealed else Phase.CLOSED, event.item)


Evolver = Callable[[State, Recorded], State]


def _of(change: Callable[[State, Any], State]) -> Evolver:
    """Most events need no command id."""
    return lambda state, recorded: change(state, recorded.event)


EVENTS: dict[type, Evolver] = {
    e.Joined: _of(_on_joined),
    e.Renamed: _of(lambda s, ev: _with_seat(s, ev.seat, name=ev.name)),
    e.Removed: _of(lambda s, ev: _with_seat(s, ev.seat, removed=True)),
    e.Restored: _of(lambda s, ev: _with_seat(s, ev.seat, removed=False)),
    e.FogLifted: _of(lambda s, ev: _with_seat(s, ev.seat, fog_lifted=ev.lifted)),
    e.PageShown: _of(_on_page_shown),
    e.Opened: _of(_on_opened),
    e.TimeAdded: _of(lambda s, ev: _with_ask(s, s.asks[ev.item], deadline=ev.deadline)),
    e.Answered: _on_answered,
    e.KeySet: _of(corrections.on_key_set),
    e.Corrected: _of(corrections.on_corrected),
    e.TakenBack: _of(corrections.on_taken_back),
    e.MarkedAnew: _of(corrections.on_marked_anew),
    e.Closed: _of(_on_closed),
    e.Withdrawn: _of(_on_withdrawn),
    e.Revealed: _of(_on_revealed),
    e.Revisited: _of(_on_revisited),
    e.CurtainSet: _of(lambda s, ev: changed(s, curtain=ev.drawn)),
    e.StandingsShown: _of(_on_standings_shown),
    e.Ended: _of(lambda s, ev: changed(_moved(s, Phase.ENDED, s.cursor), ended_at=ev.at)),
}
