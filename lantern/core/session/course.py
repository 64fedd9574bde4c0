"""Many events, one after the other."""

from collections.abc import Iterable

from lantern.core.questions.contract import Answer
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded
from lantern.core.session.effects import judged, response_to
from lantern.core.session.engine import evolve
from lantern.core.session.model import Ask, Response, State, changed


class Course:
    """A session's way through many events: the same states as `evolve` gives, at less cost where many answer at once.

    The state it was given stays as it is. Answers to one question are added in place, to a copy that is made for the
    first of them; so `state` must not be kept while further events are taken. What many answer alike is marked once.
    """

    def __init__(self, state: State) -> None:
        self.state = state
        self._ask: Ask | None = None
        self._responses: dict[int, Response] = {}
        self._judged: dict[Answer, tuple[float | None, str]] = {}

    def take(self, recorded: Recorded) -> None:
        if not isinstance(recorded.event, e.Answered):
            self.state = evolve(self.state, recorded)
            return
        ask = self.state.asks[recorded.event.ask]
        if ask is not self._ask:
            self._judged.clear()
            self._responses = dict(ask.responses)
            self._ask = changed(ask, responses=self._responses)
            self.state = changed(self.state, asks={**self.state.asks, ask.id: self._ask})
        answer = recorded.event.answer
        known = self._judged.get(answer)
        if known is None:
            known = self._judged[answer] = judged(self.state.item(ask.item_id), answer)
        response = response_to(self.state, ask, recorded, *known)
        self._responses[response.seat] = response


def replay(state: State, history: Iterable[Recorded]) -> State:
    course = Course(state)
    for recorded in history:
        course.take(recorded)
    return course.state
