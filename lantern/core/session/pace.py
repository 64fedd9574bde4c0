"""How long an answer takes, so that it can be said how much fits into a time."""

from itertools import pairwise
from statistics import median

from lantern.core.session.model import State

READS = 8.0
"""Seconds for what was right, after an answer; known by itself where everybody goes at their own pace."""
LONGEST = 300.0
"""A longer while between two answers was a break."""


def seconds_of_an_answer(state: State) -> float | None:
    """The median over everybody: from one answer to the next at own pace, else what answering took and READS; None
    where there are fewer than ten. At least 1."""
    found = _between(state) if state.is_own_pace else _taken(state)
    return max(1.0, round(median(found), 1)) if len(found) >= 10 else None


def _between(state: State) -> list[float]:
    at: dict[int, list[int]] = {}
    for ask in state.asks.values():
        for response in ask.responses.values():
            at.setdefault(response.seat, []).append(response.at)
    spans = [(later - earlier) / 1000 for one in at.values() for earlier, later in pairwise(sorted(one))]
    return [span for span in spans if span <= LONGEST]


def _taken(state: State) -> list[float]:
    return [response.took / 1000 + READS for ask in state.asks.values() for response in ask.responses.values()]
