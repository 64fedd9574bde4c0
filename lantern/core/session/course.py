"""Many events, one after the other."""

from collections.abc import Iterable
from typing import Any

from lantern.core.session import boards
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded
from lantern.core.session.changed import changed
from lantern.core.session.effects import handed_in, paper_after, paper_gone_on, response_to
from lantern.core.session.engine import evolve
from lantern.core.session.judging import Judgements
from lantern.core.session.model import Ask, Response, State
from lantern.core.session.paper import Paper


class Course:
    """A session's way through many events: the same states as `evolve` gives, at less cost where many answer at once.

    The state it was given stays as it is. Answers, and goings from one question to the next, are added in place, to
    copies that are made for the first of them; so `state` must not be kept while further events are taken. `judgements`
    may be those of the course before.

    `only`: at own pace, where nothing is played, answers to other asks than these are left out but for how far they
    bring a paper. It is all that deciding about these asks needs, at half the cost.
    """

    def __init__(self, state: State, judgements: Judgements | None = None, only: frozenset[str] | None = None) -> None:
        self.state = state
        self._only = only
        self._judgements = judgements or Judgements()
        self._copies: dict[str, dict[int, Response]] = {}
        self._asks: dict[str, Ask] | None = None
        self._papers: dict[int, Paper] | None = None
        self._hands: dict[int, Any] | None = None

    def take(self, recorded: Recorded) -> None:
        event = recorded.event
        if isinstance(event, e.Answered):
            self._answered(recorded, event)
        elif not (isinstance(event, e.WentTo) and self._goes_on(recorded)):
            self.state = evolve(self.state, recorded)

    def _answered(self, recorded: Recorded, event: e.Answered) -> None:
        if self._only is not None and event.ask not in self._only:
            seat, papers = recorded.sent.by.who, self._all_papers()
            assert seat is not None
            item = self.state.asks[event.ask].item_id
            papers[seat] = papers[seat].with_answer(item, recorded.sent.at, moves_on=event.moves_on)
            return
        responses = self._copy_of(event.ask)
        ask = self.state.asks[event.ask]
        response = response_to(self.state, ask, recorded, self._judgements.of(self.state.item(ask.item_id)))
        responses[response.seat] = response
        if self.state.papers:
            self._all_papers()[response.seat] = paper_after(self.state, ask, event, response)
            if self.state.board is not None:
                self._play(ask, response)

    def _goes_on(self, recorded: Recorded) -> bool:
        """Somebody went to another place of their paper. False where the question has not come back to anybody yet."""
        seat, papers = recorded.by.who, self._all_papers()
        assert seat is not None
        paper = paper_gone_on(papers[seat], recorded)
        if paper.asked not in self.state.asks:
            return False
        papers[seat] = paper
        return True

    def _play(self, ask: Ask, response: Response) -> None:
        turn = boards.turn_of(self.state, ask, response)
        if turn is None:
            return
        if turn.hands:
            if self._hands is None or self.state.hands is not self._hands:
                self._hands = dict(self.state.hands)
                self.state = changed(self.state, hands=self._hands)
            self._hands.update(turn.hands)
        if turn.board is not self.state.board:
            self.state = changed(self.state, board=turn.board)
        for seat in boards.done_by(self.state, turn):
            papers = self._all_papers()
            papers[seat] = handed_in(papers[seat], response.at, "done")

    def _copy_of(self, ask_id: str) -> dict[int, Response]:
        """The responses of the ask, to be added to: whatever changed it, or its question, has given it others."""
        ask, copy = self.state.asks[ask_id], self._copies.get(ask_id)
        if copy is None or ask.responses is not copy:
            copy = self._copies[ask_id] = dict(ask.responses)
            self._all_asks()[ask_id] = changed(ask, responses=copy)
        return copy

    def _all_asks(self) -> dict[str, Ask]:
        if self._asks is None or self.state.asks is not self._asks:
            self._asks = dict(self.state.asks)
            self.state = changed(self.state, asks=self._asks)
        return self._asks

    def _all_papers(self) -> dict[int, Paper]:
        if self._papers is None or self.state.papers is not self._papers:
            self._papers = dict(self.state.papers)
            self.state = changed(self.state, papers=self._papers)
        return self._papers


def replay(state: State, history: Iterable[Recorded]) -> State:
    course = Course(state)
    for recorded in history:
        course.take(recorded)
    return course.state
