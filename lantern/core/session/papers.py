"""What the desk does with papers: takes them all or one, gives more time, gives them back."""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Sent
from lantern.core.session.asking import told
from lantern.core.session.model import Seat, State
from lantern.core.session.paper import Paper
from lantern.core.session.people import seat_of

Events = Sequence[e.Event]


def collect(state: State, command: c.Collect | c.Advance, sent: Sent) -> Events:
    if state.collected:
        return []
    return [e.Collected(), *(e.HandedIn(seat, "desk") for seat, paper in state.papers.items() if not paper.is_over)]


def hand_in_for(state: State, command: c.HandInFor, sent: Sent) -> Events:
    return [] if _paper_of(state, seat_of(state, command.seat)).is_over else [e.HandedIn(command.seat, "desk")]


def give_time(state: State, command: c.GiveTime, sent: Sent) -> Events:
    if state.settings.time.of not in ("whole", "clock"):
        raise errors.NotPossible(
            said("paper_has_no_limit", "There is no limit to the time of these papers, so there is nothing to add to.")
        )
    span = command.seconds * 1000
    if command.seat is None:
        return [e.TimeGiven(span, None)]
    paper = _paper_of(state, seat_of(state, command.seat))
    if paper.is_over:
        raise errors.HandedIn
    return [] if paper.deadline is None else [e.TimeGiven(span, command.seat)]


def reopen(state: State, command: c.ReopenPaper, sent: Sent) -> Events:
    """What is right has been told to who is to have it back: their marks would mean nothing."""
    if command.seat is not None:
        seat = seat_of(state, command.seat)
        paper = _paper_of(state, seat)
        if not paper.is_over:
            return []
        if _is_told(state, seat.number, paper):
            raise errors.NotPossible(
                said("paper_was_told", "What is right has been told with this paper, so it stays handed in.")
            )
        return [_given_back(seat.number, paper, command, sent)]
    back = [
        _given_back(seat, paper, command, sent)
        for seat, paper in state.papers.items()
        if paper.is_over and paper.handed_in_by != "hand" and not _is_told(state, seat, paper)
    ]
    if not back and not state.collected:
        raise errors.NotPossible(said("no_paper_to_reopen", "There is no paper here that could be given back."))
    return [*([e.BeginningOpened()] if state.collected else []), *back]


def _given_back(seat: int, paper: Paper, command: c.ReopenPaper, sent: Sent) -> e.PaperReopened:
    least = sent.at + command.seconds * 1000
    return e.PaperReopened(seat, None if paper.deadline is None else max(paper.deadline, least))


def _is_told(state: State, seat: int, paper: Paper) -> bool:
    asks = (state.ask_of(item) for item in paper.items)
    return any(ask is not None and told(state, seat, ask) for ask in asks)


def _paper_of(state: State, seat: Seat) -> Paper:
    paper = state.papers.get(seat.number)
    if paper is None:
        raise errors.NotPossible(said("paper_not_begun", "This paper has not been begun yet."))
    return paper
