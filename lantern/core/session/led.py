"""A session that the desk leads: everybody is on the same question. What each command leads to, in each phase."""

from collections.abc import Callable, Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.questions import kind_of
from lantern.core.session import backing, boards, impromptu, pausing, placing, rounds, tried, votes
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Sent
from lantern.core.session.allowing import own_deadline
from lantern.core.session.common import CORRECTED, ENDED, RUNNING, Handlers
from lantern.core.session.model import Phase, State
from lantern.core.session.moves import Move, goes_on_at, item_after, next_move
from lantern.core.session.people import own_seat
from lantern.core.session.rounds import leave, opening
from lantern.core.values import Milliseconds

Events = Sequence[e.Event]
LATE_BY: Milliseconds = 0  # how long after the deadline an answer still counts


def _advance(state: State, command: c.Advance, sent: Sent) -> Events:
    move = next_move(state)
    if move is Move.NEXT:
        following = item_after(state)
        assert following is not None
        return _show(state, following, sent)
    simple: dict[Move, Callable[[], Events]] = {
        Move.VOTE_AGAIN: lambda: votes.vote_again(state, sent),
        Move.RESUME: lambda: pausing.resume(state, command, sent),
        Move.CLOSE: lambda: _close(state, command, sent),
        Move.REVEAL: lambda: _reveal(state, command, sent),
        Move.STANDINGS: lambda: [e.StandingsShown()],
        Move.ASK_NOW: lambda: [],  # the desk says what
        Move.END: lambda: [e.Ended()],
    }
    return simple[move]()


def _go_on(state: State, command: c.GoOn, sent: Sent) -> Events:
    due = goes_on_at(state)
    is_due = due is not None and command.at_step == state.step and sent.at >= due
    return _advance(state, c.Advance(state.step), sent) if is_due else []


def _go_to(state: State, command: c.GoTo, sent: Sent) -> Events:
    if command.item not in state.items:
        raise errors.NotPossible(said("item_not_in_set", "This item is not in the set."))
    if command.item == state.cursor and state.phase is Phase.OPEN:
        return []
    return [*leave(state), *_show(state, command.item, sent)]


def _show(state: State, item_id: str, sent: Sent) -> Events:
    if not kind_of(state.item(item_id)).is_asked:
        return [e.PageShown(item_id)]
    ask = state.ask_of(item_id)
    return [e.Revisited(ask.id) if ask else opening(state, item_id, sent.at)]


def _close(state: State, command: c.Command, sent: Sent) -> Events:
    assert state.ask
    return [e.Closed(state.ask.id, "desk")]


def _reopen(state: State, command: c.Reopen, sent: Sent) -> Events:
    assert state.ask
    if state.ask.told:
        if state.ask.revealed:
            raise errors.NotPossible(
                said("right_answer_was_shown", "The right answer has been shown, so this question stays closed.")
            )
        raise errors.NotPossible(
            said("points_were_shown", "Points for it have been shown, so this question stays closed.")
        )
    return [opening(state, state.ask.item_id, sent.at)]


def _add_time(state: State, command: c.AddTime, sent: Sent) -> Events:
    assert state.ask
    if state.phase is Phase.TALK and state.talk_until is not None:
        return [e.TalkMoved(max(sent.at, state.talk_until) + command.seconds * 1000)]
    if state.ask.deadline is None:
        raise errors.NotPossible(
            said("no_time_limit", "This question has no time limit, so there is nothing to add to.")
        )
    return [e.TimeAdded(state.ask.id, max(sent.at, state.ask.deadline) + command.seconds * 1000)]


def _set_curtain(state: State, command: c.SetCurtain, sent: Sent) -> Events:
    return [] if command.drawn == state.curtain else [e.CurtainSet(command.drawn)]


def _set_form(state: State, command: c.SetForm, sent: Sent) -> Events:
    item = state.items.get(command.item)
    if item is None or command.form not in kind_of(item).forms:
        raise errors.NotPossible(said("no_such_form", "This result has no such form."))
    return [] if state.forms.get(item.id) == command.form else [e.FormSet(item.id, command.form)]


def _hide_share(state: State, command: c.HideShare, sent: Sent) -> Events:
    return [] if command.hidden == state.share_hidden else [e.ShareHidden(command.hidden)]


def _reveal(state: State, command: c.Command, sent: Sent) -> Events:
    assert state.ask
    return [e.Revealed(state.ask.id)]


def _show_standings(state: State, command: c.ShowStandings, sent: Sent) -> Events:
    return [e.StandingsShown()]


def _end(state: State, command: c.End, sent: Sent) -> Events:
    return [*leave(state), e.Ended()]


def _give_answer(state: State, command: c.GiveAnswer, sent: Sent) -> Events:
    seat = own_seat(state, command.seat, sent)
    ask = state.asks.get(command.ask)
    given = ask.responses.get(command.seat) if ask else None
    if given is not None:
        if sent.number < given.number or (sent.number == given.number and command.answer == given.answer):
            return ()
        if state.settings.is_final:
            raise errors.AlreadyAnswered
    if ask is None or ask is not state.ask or not ask.is_open:
        raise errors.AlreadyAnswered if given else errors.NotOpen
    if state.is_paused:
        raise errors.Paused
    if given and sent.number == given.number:  # another device of this seat gave this number to something else
        raise errors.AlreadyMovedOn
    deadline = own_deadline(state, seat, ask)
    if deadline is not None and sent.at > deadline + LATE_BY:
        raise errors.TooLate
    item = state.item(ask.item_id)
    if command.answer.kind != item.kind:
        raise errors.BadAnswer
    kind_of(item).accept(item, command.answer)
    return (e.Answered(command.ask, command.answer),)


def _make_move(state: State, command: c.MakeMove, sent: Sent) -> Events:
    """What a player asks for while the board is looked at is opened at once."""
    moved = tried.make_move(state, command, sent, _give_answer)
    wanted = boards.asked_for(state, command.move) if moved and state.phase is Phase.STANDINGS else None
    return [*moved, *(_show(state, wanted, sent) if wanted else [])]


def _time_up(state: State, command: c.TimeUp, sent: Sent) -> Events:
    ask = state.ask
    is_due = ask is not None and ask.id == command.ask and ask.deadline == command.deadline
    return [e.Closed(command.ask, "time")] if is_due and sent.at >= command.deadline else []


def _close_if_all(state: State, command: c.CloseIfAllAnswered, sent: Sent) -> Events:
    ask = state.ask
    here = {seat.number for seat in state.people()} & command.present
    if ask is None or ask.id != command.ask or not here or not state.settings.close_when_all_answered:
        return []
    return [e.Closed(command.ask, "all_answered")] if here <= ask.responses.keys() else []


_ANYWHERE: Handlers = RUNNING | {
    c.SetCurtain: _set_curtain,
    c.HideShare: _hide_share,
    c.SetWall: placing.set_wall,
    c.GoTo: _go_to,
    c.Advance: _advance,
    c.AskNow: impromptu.ask_now,
    c.BringBack: rounds.bring_back,
    c.End: _end,
    c.GoOn: _go_on,
    c.MakeMove: _make_move,
}
# An answer that was acknowledged may be sent again after the question closed: it must be told so.
_ASKED: Handlers = (
    _ANYWHERE
    | CORRECTED
    | {c.GiveAnswer: _give_answer, c.ClearAnswers: rounds.clear_answers, c.SetForm: _set_form}
    | {c.Place: placing.place, c.GroupAlike: placing.group_alike, c.Back: backing.back}
)
_OVER: Handlers = _ASKED | {c.AskAgain: rounds.ask_again}

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
    Phase.CLOSED: _OVER | {c.Reopen: _reopen, c.Reveal: _reveal, c.ShowStandings: _show_standings, c.Talk: votes.talk},
    Phase.TALK: _OVER | {c.AddTime: _add_time, c.Reveal: _reveal, c.TalkOver: votes.talk_over},
    Phase.REVEALED: _OVER | {c.ShowStandings: _show_standings},
    Phase.STANDINGS: _OVER,
    Phase.ENDED: ENDED,
}
