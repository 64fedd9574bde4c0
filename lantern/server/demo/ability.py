"""A seeded model of who can do what: made-up students whose answers look like real ones.

Chance of a right answer = 1 / (1 + exp(-(ability - difficulty))), both in logits: the Rasch model
(Rasch, G. (1960). Probabilistic models for some intelligence and attainment tests).
"""

import math
from random import Random

from lantern.core.questions.items import Item

SURE = 0.9
"""Most classes get most things right: the mean ability lies this far above the mean difficulty."""


def ability_of(name: str, seed: str) -> float:
    return Random(f"{seed}:{name}").gauss(SURE, 1.0)


def difficulty_of(item: Item, seed: str) -> float:
    return Random(f"{seed}:{item.id}").gauss(0.0, 1.1)


def chance(ability: float, difficulty: float) -> float:
    return 1 / (1 + math.exp(difficulty - ability))


def delay(item_limit: int | None, rng: Random) -> float:
    """Seconds until an answer: a few are quick, most take a while, some run up to the limit and beyond it."""
    limit = item_limit or 40
    return min(limit * 1.05, 1.5 + rng.lognormvariate(math.log(limit * 0.28), 0.55))
