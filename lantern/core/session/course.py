"""Many events, one after the other."""

from collections.abc import Iterable

from lantern.core.questions.items import Answer, Item
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded
from lantern.core.session.changed import changed
from lantern.core.session.effects import Judged, judged, paper_after, response_to
from lantern.core.session.engine import evolve
from lantern.core.session.model import Response, State
from lantern.core.session.paper import Paper

MOST_KEPT = 4000
"""Different answers to one question of which it is kept how they were judged."""


class Judgements:
    """What has been judged of answers, so that what many answer alike is marked once: of each question as it is, so one
    that was changed is judged anew. Good for one session, and for as long as it is in memory."""

    def __init__(self) -> None:
        self._of: dict[str, tuple[Item, dict[Answer, Judged]]] = {}

    def of(self, item: Item, answer: Answer) -> Judged:
        known = self._of.get(item.id)
        if known is None or known[0] is not item or len(known[1]) >= MOST_KEPT:
            known = self._of[item.id] = item, {}
        found = known[1].get(answer)
        if found is None:
            found = known[1][answer] = judged(item, answer)
        return found


class Course:
    """A session's way through many events: the same states as `evolve` gives, at less cost where many answer at once.

    The state it was given stays as it is. Answers are added in place, to copies that are made for the first answer to
    each question; so `state` must not be kept while further events are taken. `judgements` may be those of the course
    before.
    """

    def __init__(self, state: State, judgements: Judgements | None = None) -> None:
        self.state = state
        self._judgements = judgements or Judgements()
        self._copies: dict[str, dict[int, Response]] = {}
        self._papers: dict[int, Paper] | None = None

    def take(self, recorded: Recorded) -> None:
        event = recorded.event
        if not isinstance(event, e.Answered):
            self.state = evolve(self.state, recorded)
            return
        responses = self._copy_of(event.ask)
        ask = self.state.asks[event.ask]
        known = self._judgements.of(self.state.items[ask.item_id], event.answer)
        response = response_to(self.state, ask, recorded, *known)
        responses[response.seat] = response
        if self.state.papers:
            self._all_papers()[response.seat] = paper_after(self.state, ask, event, response)

    def _copy_of(self, ask_id: str) -> dict[int, Response]:
        """The responses of the ask, to be added to: whatever changed it, or its question, has given it others."""
        ask, copy = self.state.asks[ask_id], self._copies.get(ask_id)
        if copy is None or ask.responses is not copy:
            copy = self._copies[ask_id] = dict(ask.responses)
            changed_ask = changed(ask, responses=copy)
            self.state = changed(self.state, asks={**self.state.asks, ask_id: changed_ask})
        return copy

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
