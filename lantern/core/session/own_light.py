"""Everybody's own light in a session, and the shells that it earns them (docs/games.md, A2 to A6)."""

from collections.abc import Sequence
from random import Random
from typing import NamedTuple

from lantern.core.games import board_game_of
from lantern.core.lights import drawn, unlike
from lantern.core.session.model import Seat, State

MOST_FOR_ANSWERS, MOST_FOR_HELP, FOR_BETTER = 20, 10, 5
ENOUGH = 3
"""Marked questions that a mean mark has to be made of."""


def light_for(state: State, kept: str, seat: int) -> str:
    """What whoever takes this seat has: the light that is kept for them, or one that is drawn; none where there are
    no lights."""
    if not state.settings.has_lights:
        return ""
    rng, there = Random(f"{state.seed}:light:{seat}"), lights_there(state)
    return unlike(kept, there, rng) if kept else drawn(rng, there)


def lights_there(state: State) -> frozenset[str]:
    """Those of who was taken out, too."""
    return frozenset(seat.light for seat in state.seats.values())


class Earned(NamedTuple):
    """Shells of one session: for answers, for helping a team, and for getting better."""

    answers: int
    help: int
    better: int

    @property
    def shells(self) -> int:
        return sum(self)


def earned(state: State, seat: Seat, mean: float | None, before: Sequence[float]) -> Earned:
    """`mean` is this person's mean mark in the session, None for none; `before` are those of their sessions before."""
    given = {
        ask.item_id: ask.responses[seat.number].mark
        for ask in state.asks.values()
        if seat.number in ask.responses and not ask.set_aside
    }
    marked = sum(mark is not None for mark in given.values())
    is_better = mean is not None and marked >= ENOUGH and bool(before) and mean > sum(before) / len(before)
    helped = sum(bool(mark) for mark in given.values()) if _in_a_team(state, seat.number) else 0
    return Earned(
        answers=min(MOST_FOR_ANSWERS, len(given)),
        help=min(MOST_FOR_HELP, helped),
        better=FOR_BETTER if is_better else 0,
    )


def _in_a_team(state: State, seat: int) -> bool:
    game = board_game_of(state.settings.game)
    return game is not None and seat in state.hands and game.team_of(state.hands[seat]) is not None
