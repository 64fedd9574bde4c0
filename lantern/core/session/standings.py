"""Who is ahead: the points of everybody, over the asks that may be told, and places made of them."""

from collections.abc import Iterable, Mapping
from typing import NamedTuple

from lantern.core.classes.ordering import order_of
from lantern.core.games import places_of
from lantern.core.session.asking import told_asks
from lantern.core.session.boards import scores_of
from lantern.core.session.model import Ask, State


class Standing(NamedTuple):
    """A place in the standings."""

    seat: int
    name: str
    points: int
    place: int


def total_points(state: State, asks: Iterable[Ask]) -> Mapping[int, int]:
    """Seat number to points, over these asks: those that are told, for what the class sees; all, for a report.

    A question that was dropped gives none.
    """
    totals = {seat.number: 0 for seat in state.people()}
    for ask in asks:
        if state.corrections and state.is_corrected(ask.item_id, "dropped"):
            continue
        for response in ask.responses.values():
            if response.seat in totals:
                totals[response.seat] += response.points
    return totals


def places_taken(state: State, asks: Iterable[Ask] | None = None) -> list[Standing]:
    """Everyone's points and place, in no order. Without `asks`, over those that are told, or by what the game's board
    says."""
    scores = scores_of(state) if asks is None else None
    if scores is not None:
        totals: Mapping[int, int] = {seat.number: scores.get(seat.number, 0) for seat in state.people()}
    else:
        totals = total_points(state, told_asks(state) if asks is None else asks)
    found = places_of(totals)
    return [Standing(seat.number, state.name(seat), totals[seat.number], found[seat.number]) for seat in state.people()]


def standings(state: State, asks: Iterable[Ask] | None = None) -> list[Standing]:
    """The places of everyone, the first one first; who has the same in the order of the class's alphabet."""
    order = order_of(state.alphabet)
    return sorted(places_taken(state, asks), key=lambda row: (row.place, order(row.name)))
