"""What a class holds of what it practises, topic by topic.

1. An answer counts as recalled, or not, where the question came back on a later day than the one before: what is known
   after five minutes says little.
2. The share recalled has a range (`measures.share_range`). A topic is said to be held, or to slip, only where the whole
   range says so; else more has to be known first.
"""

from collections import defaultdict
from collections.abc import Iterable
from typing import Literal, NamedTuple

from lantern.core.analysis.measures import share_range
from lantern.core.values import Value

HELD = 0.75
"""The share recalled from which on a topic is held."""
Standing = Literal["held", "slips", "open"]


class Return(NamedTuple):
    """A question that came back to somebody. `mark` is 0..1, `expected` how likely it was taken to be known."""

    topic: str
    mark: float
    expected: float


class TopicPractised(Value):
    """`returns` came back so often, of which `recalled` is the share, between `low` and `high`; `expected` is what the
    scheduler took it to be. `cards` are in all decks, of which `due` by now."""

    topic: str
    cards: int
    due: int
    returns: int
    recalled: float | None
    low: float | None
    high: float | None
    expected: float | None
    standing: Standing


def by_topic(cards: Iterable[tuple[str, bool]], returns: Iterable[Return]) -> tuple[TopicPractised, ...]:
    """`cards`: of each its topic, and whether it is due. What slips comes first, then what is recalled least."""
    counts: dict[str, list[bool]] = defaultdict(list)
    for topic, is_due in cards:
        counts[topic].append(is_due)
    came: dict[str, list[Return]] = defaultdict(list)
    for one in returns:
        came[one.topic].append(one)
    found = [_topic(topic, counts.get(topic, []), came.get(topic, [])) for topic in {*counts, *came}]
    order: dict[Standing, int] = {"slips": 0, "open": 1, "held": 2}
    return tuple(
        sorted(found, key=lambda one: (order[one.standing], 1 if one.recalled is None else one.recalled, one.topic))
    )


def _topic(topic: str, cards: list[bool], returns: list[Return]) -> TopicPractised:
    number = len(returns)
    share = sum(one.mark >= 1 for one in returns) / number if number else None
    reach = None if share is None else share_range(share, number)
    standing: Standing = "open"
    if reach is not None:
        standing = "held" if reach.low >= HELD else "slips" if reach.high < HELD else "open"
    return TopicPractised(
        topic=topic,
        cards=len(cards),
        due=sum(cards),
        returns=number,
        recalled=share,
        low=reach.low if reach else None,
        high=reach.high if reach else None,
        expected=sum(one.expected for one in returns) / number if number else None,
        standing=standing,
    )
