"""Points: what a session adds on top of marks. Grades never read them.

points = round(100 x mark x weight) + bonus
bonus  = round(20 x mark x weight x share of the time left), where early answers are rewarded

The share of the time left belongs to the answer. It runs from the first opening of the question, by the limit that it
had then: time that is added, and an opening after that one, give nobody more of it and take none away.
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from lantern.core.questions.items import Item, Question
from lantern.core.questions.marking import FIRST
from lantern.core.session.asking import told_asks
from lantern.core.session.model import Ask, Settings, State
from lantern.core.values import Milliseconds

FULL_POINTS = 100
EARLY_POINTS = 20


def time_left(ask: Ask, at: Milliseconds, rules: int) -> float | None:
    """The share of the time, 0..1, that is left for an answer at this moment; None where there is no limit."""
    if rules == FIRST:
        allowed, took = None if ask.deadline is None else ask.deadline - ask.opened_at, at - ask.opened_at
    else:
        allowed, took = ask.limit, at - ask.began_at
    return None if allowed is None else min(1.0, max(0.0, 1 - max(0, took) / max(1, allowed)))


def points_for(item: Item, mark: float | None, left: float | None, settings: Settings) -> tuple[int, int]:
    """(points, of which bonus) for an answer that was given with this share of the time left."""
    if mark is None or not isinstance(item, Question):
        return 0, 0
    base = round(FULL_POINTS * mark * item.weight)
    if not settings.early_bonus or left is None:
        return base, 0
    bonus = round(EARLY_POINTS * mark * item.weight * left)
    return base + bonus, bonus


@dataclass(frozen=True, slots=True)
class Standing:
    """A place in the standings. Equal points share a place: 1, 2, 2, 4."""

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


def standings(state: State, asks: Iterable[Ask] | None = None) -> list[Standing]:
    """Everyone, most points first; equal points in the order of names. Without `asks`, over those that are told."""
    totals = total_points(state, told_asks(state) if asks is None else asks)
    names = {seat.number: state.name(seat) for seat in state.people()}
    ranked = sorted(names.items(), key=lambda one: (-totals[one[0]], one[1].casefold()))
    rows: list[Standing] = []
    for index, (number, name) in enumerate(ranked, start=1):
        points = totals[number]
        place = rows[-1].place if rows and rows[-1].points == points else index
        rows.append(Standing(number, name, points, place))
    return rows
