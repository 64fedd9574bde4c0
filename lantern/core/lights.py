"""The light that a player has: a lantern out of eight parts, and what its parts cost (docs/games.md, A1 to A4).

A light is written as one figure for each part, in the order of `PARTS`: which of its forms it has, from 0. What each
form looks like, and what it is called, is the front end's.
"""

from collections.abc import Collection, Iterator
from math import prod
from random import Random
from typing import Annotated, Literal

from pydantic import AfterValidator, StringConstraints

from lantern.core.values import Value

PartName = Literal["roof", "top", "glass", "panes", "flame", "pattern", "foot", "sides"]
PRICES: dict[PartName, tuple[int, ...]] = {
    "roof": (0, 0, 0, 0, 5, 5, 5, 10, 10, 20),
    "top": (0, 0, 0, 0, 5, 5, 5, 10, 10, 20),
    "glass": (0, 0, 0, 0, 5, 5, 5, 10, 10, 20),
    "panes": (0, 0, 0, 0, 5, 5, 10, 20),
    "flame": (0, 0, 0, 0, 5, 5, 5, 10, 10, 20),
    "pattern": (0, 0, 0, 0, 5, 5, 5, 10, 10, 20),
    "foot": (0, 0, 0, 0, 5, 5, 5, 10, 10, 20),
    "sides": (0, 0, 0, 0, 5, 5, 10, 20),
}
"""Of each form of each part, in shells."""
PARTS: tuple[PartName, ...] = tuple(PRICES)
COMBINATIONS = prod(map(len, PRICES.values()))
FREE: dict[PartName, tuple[int, ...]] = {
    part: tuple(form for form, price in enumerate(prices) if not price) for part, prices in PRICES.items()
}
PATIENCE = 40
"""So many parts more than there are lights are drawn anew from what is free, before any form will do."""


def _checked(light: str) -> str:
    if any(int(form) >= len(PRICES[part]) for part, form in zip(PARTS, light, strict=True)):
        raise ValueError("a light has a part that there is not")
    return light


Light = Annotated[str, StringConstraints(pattern=rf"^[0-9]{{{len(PARTS)}}}$"), AfterValidator(_checked)]


class PartOffer(Value):
    """What each form of a part costs, in shells."""

    part: PartName
    prices: tuple[int, ...]


OFFERS = tuple(PartOffer(part=part, prices=prices) for part, prices in PRICES.items())


def drawn(rng: Random, taken: Collection[str]) -> str:
    """A light that nobody has, out of what is free."""
    return unlike("".join(str(rng.choice(FREE[part])) for part in PARTS), taken, rng)


def unlike(light: str, taken: Collection[str], rng: Random) -> str:
    """This light, with parts drawn anew for as long as somebody has it."""
    tries = 0
    while light in taken:
        place, tries = rng.randrange(len(PARTS)), tries + 1
        part = PARTS[place]
        form = rng.choice(FREE[part]) if tries <= PATIENCE + len(taken) else rng.randrange(len(PRICES[part]))
        light = f"{light[:place]}{form}{light[place + 1 :]}"
    return light


def bought(light: str) -> Iterator[str]:
    """Those of its parts that are not free, as they are kept."""
    for part, form in zip(PARTS, light, strict=True):
        if PRICES[part][int(form)]:
            yield f"{part}.{form}"


def price_of(kept: str) -> int:
    """What a part costs, as `bought` names it."""
    part, _, form = kept.partition(".")
    return PRICES[part][int(form)]  # type: ignore[index]
