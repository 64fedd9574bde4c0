"""A session in which everybody works at their own pace: what each command leads to, in each phase.

The desk starts it, takes the papers and ends it; in between, each seat has a paper (`paper.py`). Every question is one
ask for all, so what is counted and reported is counted and reported as in a led session.
"""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.questions import kind_of
from lantern.core.session import boards, papers, pausing, returning, tried
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Sent
from lantern.core.session.allowing import own_deadline, paper_deadline
from lantern.core.session.asking import may_change
from lantern.core.session.common import ENDED, RUNNING, Handlers
from lantern.core.session.drawing import drawn_for, order_for
from lantern.core.session.model import Ask, Phase, State
from lantern.core.session.moves import Move, next_move
from lantern.core.session.paper import Paper
from lantern.core.session.people import own_seat

Events = Sequence[e.Event]
NOT_ON_PAPER = said("not_on_your_paper", "This question is not on your paper.")


def _advance(state: State, command: c.Advance, sent: Sent) -> Events:
    if state.is_paused:
        return pausing.resume(state, command, sent)
    if state.phase is Phase.LOBBY:
        return [e.Started()]
    move = next_move(state)
    if move is Move.COLLECT:
        return papers.collect(state, command, sent)
    return [e.FeedbackOpened()] if move is Move.OPEN_FEEDBACK else [e.Ended()]


def _end(state: State, command: c.End, sent: Sent) -> Events:
    """Papers that are still out are handed in by it, as they are."""
    return [e.Ended()]


def _begin(state: State, command: c.BeginPaper, sent: Sent) -> Events:
    seat = own_seat(state, command.seat, sent)
    if seat.number in state.papers:
        return []
    deadline = paper_deadline(state, seat, sent.at)
    if state.collected or (deadline is not None and deadline <= sent.at):
        raise errors.NotPossible(said("too_late_to_begin", "The time is over, so it cannot be begun any more."))
    items = drawn_for(state.content.items, state.settings, state.seed, seat.number)
    return [e.PaperDrawn(items, deadline, order_for(state.settings, state.seed, seat.number))]


def _go_to(state: State, command: c.GoToPlace, sent: Sent) -> Events:
    paper = _paper(state, command.seat, sent)
    if state.question_of(command.item) not in paper.items:
        raise errors.NotPossible(NOT_ON_PAPER)
    if sent.number <= paper.went:
        return []
    if paper.goes_round:
        if command.item != boards.comes_next(state, command.seat):
            raise errors.NotPossible(NOT_ON_PAPER)
        return [e.WentTo(command.item)]
    return [] if paper.at == command.item else [e.WentTo(command.item)]


def _flag(state: State, command: c.Flag, sent: Sent) -> Events:
    paper = _paper(state, command.seat, sent)
    if command.item not in paper.items:
        raise errors.NotPossible(NOT_ON_PAPER)
    is_late = sent.number <= paper.marked.get(command.item, 0)
    already = (command.item in paper.flagged) == command.flagged
    return [] if is_late or already else [e.Flagged(command.item, command.flagged)]


def _give_answer(state: State, command: c.GiveAnswer, sent: Sent) -> Events:
    ask, paper = _asked(state, command.seat, command.ask, sent)
    given = ask.responses.get(command.seat)
    latest = given.number if given else paper.cleared.get(ask.id, 0)
    if sent.number < latest or (given and sent.number == latest and command.answer == given.answer):
        return []
    if given and not may_change(state, command.seat, ask):
        raise errors.AlreadyAnswered
    if sent.number == latest:  # another device of this seat gave this number to something else
        raise errors.AlreadyMovedOn
    if state.paused_at is not None:
        raise errors.Paused
    _in_time(state, command.seat, ask, paper, sent)
    item = state.item(ask.item_id)
    if command.answer.kind != item.kind:
        raise errors.BadAnswer
    kind_of(item).accept(item, command.answer)
    return [e.Answered(ask.id, command.answer, command.moves_on)]


def _make_move(state: State, command: c.MakeMove, sent: Sent) -> Events:
    return tried.make_move(state, command, sent, _give_answer)


def _clear_answer(state: State, command: c.ClearAnswer, sent: Sent) -> Events:
    ask, paper = _asked(state, command.seat, command.ask, sent)
    given = ask.responses.get(command.seat)
    if given is None or sent.number <= given.number:
        return []
    if not may_change(state, command.seat, ask):
        raise errors.AlreadyAnswered
    _in_time(state, command.seat, ask, paper, sent)
    return [e.AnswerCleared(ask.id)]


def _hand_in(state: State, command: c.HandIn, sent: Sent) -> Events:
    paper = _any_paper(state, command.seat, sent)
    if paper.is_over:
        return []
    return [e.HandedIn(command.seat, "done" if returning.is_through(state, paper) else "hand")]


def _paper_time_up(state: State, command: c.PaperTimeUp, sent: Sent) -> Events:
    paper = state.papers.get(command.seat)
    is_due = paper is not None and not paper.is_over and paper.deadline == command.deadline
    return [e.HandedIn(command.seat, "time")] if is_due and sent.at >= command.deadline else []


def _any_paper(state: State, number: int, sent: Sent) -> Paper:
    paper = state.papers.get(own_seat(state, number, sent).number)
    if paper is None:
        raise errors.NotPossible(said("not_begun", "You have not begun yet."))
    return paper


def _paper(state: State, number: int, sent: Sent) -> Paper:
    paper = _any_paper(state, number, sent)
    if paper.is_over:
        raise errors.HandedIn
    return paper


def _asked(state: State, number: int, ask_id: str, sent: Sent) -> tuple[Ask, Paper]:
    """An answer that was acknowledged may come again after the paper was handed in: it must be told so."""
    paper = _any_paper(state, number, sent)
    ask = state.asks.get(ask_id)
    if ask is None or state.question_of(ask.item_id) not in paper.items:
        raise errors.NotOpen
    given = ask.responses.get(number)
    if paper.goes_round and given is None and ask.id != paper.asked:
        raise errors.NotOpen
    if paper.is_over and (given is None or sent.number > given.number):
        raise errors.HandedIn
    return ask, paper


def _in_time(state: State, seat: int, ask: Ask, paper: Paper, sent: Sent) -> None:
    if paper.deadline is not None and sent.at > paper.deadline:
        raise errors.TooLate
    if state.settings.time.of == "question":
        deadline = own_deadline(state, state.seats[seat], ask)
        if deadline is not None and sent.at > deadline:
            raise errors.TooLate


COMMANDS: dict[Phase, Handlers] = {
    Phase.LOBBY: RUNNING | {c.Advance: _advance, c.End: _end},
    Phase.WORKING: RUNNING
    | {
        c.Advance: _advance,
        c.Collect: papers.collect,
        c.HandInFor: papers.hand_in_for,
        c.GiveTime: papers.give_time,
        c.ReopenPaper: papers.reopen,
        c.OpenFeedback: pausing.open_feedback,
        c.BeginPaper: _begin,
        c.GoToPlace: _go_to,
        c.GiveAnswer: _give_answer,
        c.MakeMove: _make_move,
        c.ClearAnswer: _clear_answer,
        c.Flag: _flag,
        c.HandIn: _hand_in,
        c.PaperTimeUp: _paper_time_up,
        c.End: _end,
    },
    Phase.ENDED: ENDED,
}
