"""A student's deck: what comes today, and when there is something again.

1. What is due comes, that first which is most likely forgotten; never more than `MOST`, so that it stays a matter of
   minutes.
2. What was not practised when it was due waits. Nothing is lost by it, and nobody is told so.
3. Where nothing is due there is nothing to do: it says on which day there is.
"""

from collections.abc import Sequence
from math import ceil
from typing import NamedTuple

from lantern.core.practice.schedule import SCHEDULE, Day, Memory, Scheduler

MOST = 12
SECONDS_EACH = 20
"""That an answer roughly takes, with what is read after it."""


class Card(NamedTuple):
    """One question of one student's deck."""

    id: int
    memory: Memory


class Today(NamedTuple):
    """`due` are so many in all, of which `coming` come in the next round, in about so many `minutes`; `again` is the
    next day on which something is due, None where there is nothing at all."""

    due: int
    coming: int
    minutes: int
    again: Day | None


def due(cards: Sequence[Card], day: Day, scheduler: Scheduler = SCHEDULE) -> list[Card]:
    """Those that are, the most likely forgotten first."""
    found = [card for card in cards if card.memory.due <= day]
    return sorted(found, key=lambda card: (scheduler.recall(card.memory, day), card.id))


def today(dues: Sequence[Day], day: Day) -> Today:
    """Of the days on which each card is due."""
    number = sum(one <= day for one in dues)
    coming = min(number, MOST)
    later = [one for one in dues if one > day]
    return Today(number, coming, ceil(coming * SECONDS_EACH / 60), min(later, default=None))
