"""What the session's game is told of an answer, and what it gives for it. Grades never read points.

The share of the time left belongs to the answer. It runs from the first opening of the question, by the limit that it
had then: time that is added, and an opening after that one, give nobody more of it and take none away.
"""

from lantern.core.games import NOTHING, Gain, Play, game_of
from lantern.core.questions.items import Item, Question, is_scored
from lantern.core.questions.marking import FIRST
from lantern.core.session.allowing import time_factor
from lantern.core.session.model import Ask, Seat, State
from lantern.core.values import Milliseconds


def gained(state: State, item: Item, mark: float | None, left: float | None, run: int = 0) -> Gain:
    """What an answer with this mark earns, given with this share of the time left, after so many right ones in a
    row."""
    if mark is None or not isinstance(item, Question):
        return NOTHING
    chosen = state.settings.game
    return game_of(chosen).gain(chosen, Play(mark, item.weight, left, run))


def run_before(state: State, ask: Ask, seat: int) -> int:
    """How many right answers in a row this person gave to the questions that were asked before this one; 0 where the
    game does not look at it. A question that is not scored neither makes a run longer nor ends it."""
    chosen = state.settings.game
    if not game_of(chosen).wants_runs(chosen):
        return 0
    run = 0
    before = sorted((one for one in state.standing_asks() if one.opening < ask.opening), key=lambda one: -one.opening)
    for one in before:
        if not is_scored(state.item(one.item_id)):
            continue
        response = one.responses.get(seat)
        if response is None or response.mark is None or response.mark < 1:
            break
        run += 1
    return run


def time_left(state: State, ask: Ask, seat: Seat, at: Milliseconds) -> float | None:
    """The share of the time, 0..1, that is left for an answer at this moment; None where there is no limit, or where
    the game does not look at it."""
    chosen = state.settings.game
    if not game_of(chosen).wants_time(chosen):
        return None
    if state.rules == FIRST:
        allowed, took = None if ask.deadline is None else ask.deadline - ask.opened_at, at - ask.opened_at
    else:
        allowed, took = ask.limit, at - ask.began_at
    if allowed is None:
        return None
    return min(1.0, max(0.0, 1 - max(0, took) / max(1, allowed * time_factor(state, seat))))
