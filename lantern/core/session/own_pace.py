"""A session in which everybody works at their own pace: what each command leads to, in each phase.

The desk starts it and ends it; in between, each seat has a paper (`paper.py`). Every question is one ask for all, so
what is counted and reported is counted and reported as in a led session.
"""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.questions import kind_of
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session import people
from lantern.core.session.actors import Sent
from lantern.core.session.allowing import needs_of
from lantern.core.session.asking import may_change
from lantern.core.session.common import ALWAYS, CORRECTED, Handlers
from lantern.core.session.model import Ask, Phase, State
from lantern.core.session.paper import Paper, drawn
from lantern.core.session.people import own_seat

Events = Sequence[e.Event]


def _start(state: State, command: c.Advance, sent: Sent) -> Events:
    return [e.Started()]


def _end(state: State, command: c.End, sent: Sent) -> Events:
    """Papers that are still out are handed in by it, as they are."""
    return [e.Ended()]


def _begin(state: State, command: c.BeginPaper, sent: Sent) -> Events:
    seat = own_seat(state, command.seat, sent)
    if seat.number in state.papers:
        return []
    rules, needs = state.paper_rules, needs_of(state, seat)
    items = drawn(state.content.items, rules, state.seed, seat.number)
    has_limit = rules.limit is not None and not needs.no_limit
    return [e.PaperDrawn(items, sent.at + round((rules.limit or 0) * 1000 * needs.time) if has_limit else None)]


def _go_to(state: State, command: c.GoToPlace, sent: Sent) -> Events:
    paper = _paper(state, command.seat, sent)
    if command.item not in paper.items:
        raise errors.NotPossible(said("not_on_your_paper", "This question is not on your paper."))
    is_late = sent.number <= paper.went
    return [] if is_late or paper.at == command.item else [e.WentTo(command.item)]


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
    _in_time(paper, sent)
    item = state.item(ask.item_id)
    if command.answer.kind != item.kind:
        raise errors.BadAnswer
    kind_of(item).accept(item, command.answer)
    return [e.Answered(ask.id, command.answer, command.moves_on)]


def _clear_answer(state: State, command: c.ClearAnswer, sent: Sent) -> Events:
    ask, paper = _asked(state, command.seat, command.ask, sent)
    given = ask.responses.get(command.seat)
    if given is None or sent.number <= given.number:
        return []
    if not may_change(state, command.seat, ask):
        raise errors.AlreadyAnswered
    _in_time(paper, sent)
    return [e.AnswerCleared(ask.id)]


def _hand_in(state: State, command: c.HandIn, sent: Sent) -> Events:
    return [] if _any_paper(state, command.seat, sent).is_over else [e.HandedIn(command.seat, "hand")]


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
    if ask is None or ask.item_id not in paper.items:
        raise errors.NotOpen
    given = ask.responses.get(number)
    if paper.is_over and (given is None or sent.number > given.number):
        raise errors.HandedIn
    return ask, paper


def _in_time(paper: Paper, sent: Sent) -> None:
    if paper.deadline is not None and sent.at > paper.deadline:
        raise errors.TooLate


_PEOPLE: Handlers = {**ALWAYS, c.Join: people.join}

COMMANDS: dict[Phase, Handlers] = {
    Phase.LOBBY: _PEOPLE | {c.Advance: _start, c.End: _end},
    Phase.WORKING: _PEOPLE
    | {
        c.BeginPaper: _begin,
        c.GoToPlace: _go_to,
        c.GiveAnswer: _give_answer,
        c.ClearAnswer: _clear_answer,
        c.HandIn: _hand_in,
        c.PaperTimeUp: _paper_time_up,
        c.End: _end,
    },
    Phase.ENDED: ALWAYS | CORRECTED,
}
