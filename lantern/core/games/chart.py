"""The chart of Soundings: channels out of topics and weights, or laid by hand (docs/games.md, S1)."""

from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from math import ceil
from typing import Annotated

from pydantic import Field

from lantern.core.games.contract import Asked
from lantern.core.values import ShortId, Written

MOST_CHANNELS, MOST_SOUNDINGS = 8, 10
OPEN_WATER = 5
"""Soundings that a channel of the open water has, as long as there is room for another."""


class LaidChannel(Written):
    """A channel that was laid by hand: its questions, from the shore outwards."""

    name: Annotated[str, Field(max_length=60)] = ""
    questions: Annotated[tuple[ShortId, ...], Field(max_length=MOST_SOUNDINGS)] = ()


@dataclass(frozen=True, slots=True)
class Sounding:
    """`first` is the team, from 0, that comes first at it. Once it is `over`, `team` has charted it; None: it is lost.
    `by_hand`: the desk said so, and that stays."""

    question: str
    fathoms: int
    first: int | None = None
    over: bool = False
    team: int | None = None
    by_hand: bool = False


@dataclass(frozen=True, slots=True)
class Channel:
    """`name` is empty for the open water."""

    name: str
    soundings: tuple[Sounding, ...]


def channels_of(by_hand: Sequence[LaidChannel] | None, questions: Sequence[Asked]) -> tuple[Channel, ...]:
    """As they were laid by hand, or as they lay themselves."""
    there = {one.question for one in questions}
    if by_hand is not None:
        asked = ((one.name, [id_ for id_ in one.questions if id_ in there]) for one in by_hand)
        laid = [(name, list(dict.fromkeys(ids))) for name, ids in asked if ids]
        if laid:
            return _laid(laid)
    return _laid(_by_itself(questions))


def _laid(channels: Iterable[tuple[str, Sequence[str]]]) -> tuple[Channel, ...]:
    """A question lies in the first channel that has it."""
    seen, found = set[str](), []
    for name, ids in channels:
        here = [id_ for id_ in ids if id_ not in seen]
        seen.update(here)
        if here:
            found.append(Channel(name, tuple(Sounding(id_, place) for place, id_ in enumerate(here, start=1))))
    return tuple(found)


def _by_itself(questions: Sequence[Asked]) -> list[tuple[str, list[str]]]:
    """Channels by topic, the open water last."""
    topics = Counter(one.topic for one in questions if one.topic)
    by_topic, open_water = _sorted_out(questions, topics, MOST_CHANNELS)
    if open_water and len(by_topic) == MOST_CHANNELS:
        by_topic, open_water = _sorted_out(questions, topics, MOST_CHANNELS - 1)
    number = min(MOST_CHANNELS - len(by_topic), ceil(len(open_water) / OPEN_WATER))
    waters = (open_water[start::number][:MOST_SOUNDINGS] for start in range(number))
    return [*by_topic.items(), *(("", water) for water in waters)]


def _sorted_out(questions: Sequence[Asked], topics: Counter[str], most: int) -> tuple[dict[str, list[str]], list[str]]:
    """The questions of the topics that have a channel, and those that are left for the open water; light ones first."""
    large = {topic for topic, _ in topics.most_common(most)}
    by_topic: dict[str, list[str]] = {topic: [] for topic in topics if topic in large}
    open_water: list[str] = []
    for one in sorted(questions, key=lambda one: one.weight):
        channel = by_topic.get(one.topic, open_water)
        (channel if len(channel) < MOST_SOUNDINGS else open_water).append(one.question)
    return by_topic, open_water
