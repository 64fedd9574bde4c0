"""When what was asked is asked again. How that is decided is a scheduler's, behind `Scheduler`: times come in, and
there is no chance in it."""

from datetime import UTC, datetime, timedelta
from typing import Literal, NamedTuple, Protocol
from zoneinfo import ZoneInfo

from fsrs import Card, Rating, State
from fsrs import Scheduler as OpenScheduler

from lantern.core.values import Milliseconds

Day = int
"""A day of the school's calendar: `date.toordinal()`."""
Rated = Literal["again", "hard", "good"]
PARTLY = 0.5
"""A mark from which on an answer was hard to find rather than forgotten."""
WANTED = 0.9
"""How likely it should be that a question is still known when it comes back."""


class Memory(NamedTuple):
    """What is known of one student and one question. `stability`: after so many days it is known with a likelihood of
    `WANTED`; `difficulty` is 1..10; `last` is when it was asked last, `due` when it comes back."""

    stability: float
    difficulty: float
    last: Day
    due: Day


class Scheduler(Protocol):
    def reviewed(self, memory: Memory | None, rated: Rated, day: Day) -> Memory:
        """After an answer on that day, which is not before the last; None where it is the first."""

    def recall(self, memory: Memory, day: Day) -> float:
        """How likely it is known on that day, 0..1."""


class OpenSchedule:
    """The free spaced repetition scheduler, version 6, with its published default parameters.

    Ye, J., Su, J. & Cao, Y. (2022). A stochastic shortest path algorithm for optimizing spaced repetition scheduling.
    Proceedings of the 28th ACM SIGKDD Conference, 4381-4390.

    Nothing is due on the day on which it was asked: within a day a round of practice brings back what was missed.
    """

    def __init__(self) -> None:
        self._scheduler = OpenScheduler(
            desired_retention=WANTED, learning_steps=(), relearning_steps=(), enable_fuzzing=False
        )

    def reviewed(self, memory: Memory | None, rated: Rated, day: Day) -> Memory:
        card, _ = self._scheduler.review_card(_card(memory), _RATINGS[rated], _noon(day))
        assert card.stability is not None
        assert card.difficulty is not None
        return Memory(card.stability, card.difficulty, day, card.due.date().toordinal())

    def recall(self, memory: Memory, day: Day) -> float:
        return self._scheduler.get_card_retrievability(_card(memory), _noon(day))


SCHEDULE: Scheduler = OpenSchedule()
_RATINGS = {"again": Rating.Again, "hard": Rating.Hard, "good": Rating.Good}


def rated(mark: float) -> Rated:
    """What a mark, 0..1, says of how well something was known."""
    return "good" if mark >= 1 else "hard" if mark >= PARTLY else "again"


def day_of(at: Milliseconds, zone: str) -> Day:
    return datetime.fromtimestamp(at / 1000, ZoneInfo(zone)).date().toordinal()


def _card(memory: Memory | None) -> Card:
    # A number of its own keeps the library from waiting for the clock to make one.
    if memory is None:
        return Card(card_id=1)
    return Card(
        card_id=1,
        state=State.Review,
        stability=memory.stability,
        difficulty=memory.difficulty,
        due=_noon(memory.due),
        last_review=_noon(memory.last),
    )


def _noon(day: Day) -> datetime:
    return datetime(1, 1, 1, 12, tzinfo=UTC) + timedelta(days=day - 1)
