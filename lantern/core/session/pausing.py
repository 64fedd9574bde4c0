"""What every manner has alike of stopping and going on: a pause, words from the desk, feedback that waits for it, and a
session that had ended.

1. While a session is paused its clocks stand: once it goes on, everything that had a time has as much of it left.
2. Nothing that somebody does on a question or a paper counts while it is paused.
3. A session that is opened again after its end is where it was, its clocks as after a pause. What was told by the end
   stays told: those questions take no answers any more, and papers whose marks were told stay handed in.
"""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded, Sent
from lantern.core.session.asking import tells_in_the_end
from lantern.core.session.changed import changed
from lantern.core.session.model import Ask, Phase, State, Word
from lantern.core.session.people import seat_of
from lantern.core.session.rounds import with_asks
from lantern.core.values import Milliseconds, readable

Events = Sequence[e.Event]


def pause(state: State, command: c.Pause, sent: Sent) -> Events:
    already = state.is_paused and state.for_today == command.for_today
    return [] if already else [e.Paused(command.for_today)]


def resume(state: State, command: c.Resume | c.Advance, sent: Sent) -> Events:
    return [e.Resumed()] if state.is_paused else []


def write(state: State, command: c.Write, sent: Sent) -> Events:
    if command.seat is not None:
        seat_of(state, command.seat)
    text = readable(command.text).strip()
    before = state.words.get(command.seat)
    return [] if not text and (before is None or not before.text) else [e.Wrote(command.seat, text)]


def open_feedback(state: State, command: c.OpenFeedback, sent: Sent) -> Events:
    if state.settings.feedback != "opened":
        raise errors.NotPossible(
            said("feedback_waits_for_nobody", "In this session nothing waits for you to open the feedback.")
        )
    return [] if state.told else [e.FeedbackOpened()]


def open_again(state: State, command: c.OpenAgain, sent: Sent) -> Events:
    return [e.OpenedAgain()]


def on_paused(state: State, recorded: Recorded) -> State:
    assert isinstance(recorded.event, e.Paused)
    since = recorded.at if state.paused_at is None else state.paused_at
    return changed(state, paused_at=since, for_today=recorded.event.for_today, step=state.step + 1)


def on_resumed(state: State, recorded: Recorded) -> State:
    return gone_on(state, recorded.at)


def gone_on(state: State, at: Milliseconds) -> State:
    """The state with its clocks running, as from `at`."""
    if state.paused_at is None:
        return state
    span = max(0, at - state.paused_at)
    state = changed(state, paused_at=None, for_today=False, step=state.step + 1)
    if state.is_own_pace:
        return _after_standing(state, span) if state.phase is Phase.WORKING else state
    if state.phase is Phase.TALK and state.talk_until is not None:
        return changed(state, talk_until=state.talk_until + span, moved_at=state.moved_at + span)
    ask = state.ask
    return with_asks(state, _later(ask, span)) if ask and ask.is_open else state


def _after_standing(state: State, span: Milliseconds) -> State:
    """At own pace, after all clocks stood for so long."""
    papers = {seat: paper.later_by(span) for seat, paper in state.papers.items()}
    return changed(state, stood=state.stood + span, started_at=state.started_at + span, papers=papers)


def _later(ask: Ask, span: int) -> Ask:
    deadline = None if ask.deadline is None else ask.deadline + span
    return changed(ask, opened_at=ask.opened_at + span, began_at=ask.began_at + span, deadline=deadline)


def on_wrote(state: State, event: e.Wrote) -> State:
    word = Word(state.said + 1, event.text)
    return changed(state, words={**state.words, event.seat: word}, said=word.number)


def on_feedback_opened(state: State) -> State:
    return changed(state, told=True, step=state.step + 1)


def on_opened_again(state: State, at: Milliseconds) -> State:
    """Where it was: in a session that is led, at the question that was on last."""
    was_told = tells_in_the_end(state)
    if state.is_own_pace:
        return _papers_again(state, was_told, span=max(0, at - (state.ended_at or at)))
    asks = [changed(ask, told=ask.told or was_told) for ask in state.asks.values()]
    state = changed(with_asks(state, *asks), ended_at=None, step=state.step + 1)
    ask = state.ask
    if ask is not None:
        return changed(state, phase=Phase.REVEALED if ask.revealed else Phase.CLOSED)
    return changed(state, phase=Phase.PAGE if state.cursor in state.pages_shown else Phase.LOBBY)


def _papers_again(state: State, was_told: bool, span: Milliseconds) -> State:
    """Before the first paper could be begun it was in the lobby."""
    if not state.started_at:
        return changed(state, phase=Phase.LOBBY, ended_at=None, step=state.step + 1)
    given_back = {
        seat: changed(paper, handed_in_at=None, handed_in_by=None)
        for seat, paper in state.papers.items()
        if paper.handed_in_by == "end" and not was_told
    }
    papers = {seat: changed(paper, told=was_told) for seat, paper in state.papers.items()}
    asks = [changed(ask, is_open=True) for ask in state.asks.values()]
    state = _after_standing(changed(with_asks(state, *asks), papers={**papers, **given_back}), span)
    return changed(state, phase=Phase.WORKING, ended_at=None, step=state.step + 1)
