"""What answers are worth: what many give alike is marked once, and earns once what it earns."""

from typing import NamedTuple

from lantern.core.games import Gain
from lantern.core.questions import kind_of
from lantern.core.questions.items import Answer, Item
from lantern.core.session.model import State
from lantern.core.session.play import gained

MOST_KEPT = 4000
"""Different answers to one question, and different gains, that are kept."""


class Judged(NamedTuple):
    """An answer, its mark, and what a pane of the grid shows of it. `answer` is one object for all who gave the same:
    a class's answers take the less memory, and are the sooner compared."""

    answer: Answer
    mark: float | None
    short: str


class Judging:
    """Of answers to one question as it is, in a session with one game."""

    def __init__(self, item: Item) -> None:
        self.item = item
        self._judged: dict[Answer, Judged] = {}
        self._gains: dict[tuple[float | None, float | None, int], Gain] = {}

    def of(self, answer: Answer) -> Judged:
        found = self._judged.get(answer)
        if found is None:
            kind = kind_of(self.item)
            found = Judged(answer, kind.score(self.item, answer), kind.short_text(self.item, answer))
            if len(self._judged) < MOST_KEPT:
                self._judged[answer] = found
        return found

    def gain(self, state: State, mark: float | None, left: float | None, run: int) -> Gain:
        """What an answer with this mark earns, given with this share of the time left, after so many right ones."""
        found = self._gains.get((mark, left, run))
        if found is None:
            found = gained(state, self.item, mark, left, run)
            if len(self._gains) < MOST_KEPT:
                self._gains[mark, left, run] = found
        return found


class Judgements:
    """A judging for each question as it is: one that was changed is judged anew. Good for one session, and for as long
    as it is in memory."""

    def __init__(self) -> None:
        self._of: dict[str, Judging] = {}

    def of(self, item: Item) -> Judging:
        known = self._of.get(item.id)
        if known is None or known.item is not item:
            known = self._of[item.id] = Judging(item)
        return known
