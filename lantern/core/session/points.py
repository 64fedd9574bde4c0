"""Points: what a session adds on top of marks. Grades never read them.

points = round(100 x mark x weight) + bonus
bonus  = round(20 x mark x weight x share of the time left), where early answers are rewarded

The share of the time left is 1 - took / allowed, of the time that was allowed when the answer was given.
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from lantern.core.questions.contract import Item, Question
from lantern.core.session.model import Ask, Phase, Settings, State
from lantern.core.values import Milliseconds

FULL_POINTS = 100
EARLY_POINTS = 20


def points_for(
    item: Item, mark: float | None, took: Milliseconds, allowed: Milliseconds | None, settings: Settings
) -> tuple[int, int]:
    """(points, of which bonus) for an answer given `took` after the opening, of the time `allowed`."""
    if mark is None or not isinstance(item, Question):
        return 0, 0
    base = round(FULL_POINTS * mark * item.weight)
    if not settings.early_bonus or allowed is None:
        return base, 0
    left = min(1.0, max(0.0, 1 - took / max(1, allowed)))
    bonus = round(EARLY_POINTS * mark * item.weight * left)
    return base + bonus, bonus


@dataclass(frozen=True, slots=True)
class Standing:
    """A place in the standings. Equal points share a place: 1, 2, 2, 4."""

    seat: int
    name: str
    points: int
    place: int


def told(state: State, ask: Ask) -> bool:
    """Whether marks of this ask may be told to the class: never while its question could still take an answer.

    Everything that a phone or the big screen says of marks, points and places asks here. Showing the right answer
    or the standings tells, and closes the question for good; the end tells all.
    """
    return ask.told or state.phase is Phase.ENDED


def told_asks(state: State) -> list[Ask]:
    return [ask for ask in state.asks.values() if told(state, ask)]


def total_points(state: State, asks: Iterable[Ask]) -> Mapping[int, int]:
    """Seat number to points, over these asks: those that are told, for what the class sees; all, for a report."""
    totals = {seat.number: 0 for seat in state.people()}
    for ask in asks:
        for response in ask.responses.values():
            if response.seat in totals:
                totals[response.seat] += response.points
    return totals


def standings(state: State, asks: Iterable[Ask] | None = None) -> list[Standing]:
    """Everyone, most points first; equal points in the order of names. Without `asks`, over those that are told."""
    totals = total_points(state, told_asks(state) if asks is None else asks)
    ranked = sorted(state.people(), key=lambda seat: (-totals[seat.number], seat.name.casefold()))
    rows: list[Standing] = []
    for index, seat in enumerate(ranked, start=1):
        points = totals[seat.number]
        place = rows[-1].place if rows and rows[-1].points == points else index
        rows.append(Standing(seat.number, seat.name, points, place))
    return rows
