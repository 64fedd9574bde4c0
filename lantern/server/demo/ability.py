"""A seeded model of who can do what: made-up students whose answers look like real ones, and who get better or slip
over a term.

Chance of a right answer = 1 / (1 + exp(-(ability - difficulty))), both in logits: the Rasch model
(Rasch, G. (1960). Probabilistic models for some intelligence and attainment tests).
"""

import math
from dataclasses import dataclass
from random import Random

from lantern.core.questions.items import Item

SURE = 0.9
"""Most classes get most things right: the mean ability lies this far above the mean difficulty."""


def ability_of(name: str, seed: str) -> float:
    return Random(f"{seed}:{name}").gauss(SURE, 1.0)


def difficulty_of(item: Item, seed: str) -> float:
    return Random(f"{seed}:{item.id}").gauss(0.0, 1.1)


def growth_of(name: str, seed: str) -> float:
    """Logits a week: most get a little better, some slip."""
    return Random(f"{seed}:{name}:growth").gauss(0.03, 0.05)


def liking_of(name: str, topic: str, seed: str) -> float:
    """How much better somebody is in a topic than elsewhere."""
    return Random(f"{seed}:{name}:{topic}").gauss(0.0, 0.6)


@dataclass(frozen=True, slots=True)
class Model:
    """Who can do what in the `week` of a term: the same seed means the same people and questions."""

    seed: str
    week: float = 0.0

    def chance_of(self, name: str, item: Item) -> float:
        """Of a right answer."""
        likings = sum(liking_of(name, topic, self.seed) for topic in item.tags) if self.week else 0.0
        grown = growth_of(name, self.seed) * self.week
        return chance(ability_of(name, self.seed) + grown + likings, difficulty_of(item, self.seed))


def chance(ability: float, difficulty: float) -> float:
    return 1 / (1 + math.exp(difficulty - ability))


def delay(item_limit: int | None, rng: Random) -> float:
    """Seconds until an answer: a few are quick, most take a while, some run up to the limit and beyond it."""
    limit = item_limit or 40
    return min(limit * 1.05, 1.5 + rng.lognormvariate(math.log(limit * 0.28), 0.55))
