"""Points: what a session adds on top of marks. Grades never read them.

points = round(100 x mark x weight) + bonus
bonus  = round(20 x mark x weight x share of the time left), where early answers are rewarded
"""

from collections.abc import Mapping
from dataclasses import dataclass

from lantern.core.questions.contract import Item, Question
from lantern.core.session.model import Ask, Phase, Settings, State
from lantern.core.values import Milliseconds

FULL_POINTS = 100
EARLY_POINTS = 20


def points_for(item: Item, mark: float | None, ask: Ask, at: Milliseconds, settings: Settings) -> tuple[int, int]:
    """(points, of which bonus) for an answer given at `at`."""
    if mark is None or not isinstance(item, Question):
        return 0, 0
    base = round(FULL_POINTS * mark * item.weight)
    if not settings.early_bonus or ask.deadline is None:
        return base, 0
    left = max(0, ask.deadline - at) / max(1, ask.deadline - ask.opened_at)
    bonus = round(EARLY_POINTS * mark * item.weight * min(1.0, left))
    return base + bonus, bonus


@dataclass(frozen=True, slots=True)
class Standing:
    """A place in the standings. Equal points share a place: 1, 2, 2, 4."""

    seat: int
    name: str
    points: int
    place: int


def is_over(state: State, ask: Ask) -> bool:
    """Whether marks may be told: before that, a rise in points would give the answer away."""
    return ask.item_id != state.cursor or state.phase not in (Phase.OPEN, Phase.CLOSED)


def total_points(state: State) -> Mapping[int, int]:
    """Seat number to points, over the questions that are over."""
    totals = {seat.number: 0 for seat in state.people()}
    for ask in state.asks.values():
        if not is_over(state, ask):
            continue
        for response in ask.responses.values():
            if response.seat in totals:
                totals[response.seat] += response.points
    return totals


def standings(state: State) -> list[Standing]:
    """Everyone, most points first; equal points in the order of names."""
    totals = total_points(state)
    ranked = sorted(state.people(), key=lambda seat: (-totals[seat.number], seat.name.casefold()))
    rows: list[Standing] = []
    for index, seat in enumerate(ranked, start=1):
        points = totals[seat.number]
        place = rows[-1].place if rows and rows[-1].points == points else index
        rows.append(Standing(seat.number, seat.name, points, place))
    return rows
