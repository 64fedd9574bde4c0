"""What a person's needs change for them in a session, and for nobody else. Whoever asks how long, or between what, asks
here (docs/classes.md, D1 to D6)."""

from collections.abc import Collection
from random import Random

from lantern.core.classes.needs import NONE, Needs
from lantern.core.games import board_game_of
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Question
from lantern.core.session.model import Ask, Phase, Seat, State
from lantern.core.values import Milliseconds

NO_LIMIT_IS = 3.0
"""Where the share of the time counts, no limit counts as so many times the time of others."""


def needs_of(state: State, seat: Seat) -> Needs:
    person = state.roster.get(seat.person)
    return person.needs if person else NONE


def time_factor(state: State, seat: Seat) -> float:
    needs = needs_of(state, seat)
    return NO_LIMIT_IS if needs.no_limit else needs.time


def limit_of(state: State, item: Item) -> Milliseconds | None:
    """The time that there is for a question; None for no limit."""
    time = state.settings.time
    if time.of != "question" or not isinstance(item, Question) or item.id in state.asked_now:
        return None
    seconds = time.each or item.time_limit
    return seconds * 1000 if seconds else None


def paper_deadline(state: State, seat: Seat, now: Milliseconds) -> Milliseconds | None:
    """When the time of a paper is over that is begun now; None for never."""
    time, needs = state.settings.time, needs_of(state, seat)
    if ends_together(state):
        return class_deadline(state)
    if needs.no_limit:
        return None
    if time.of == "whole":
        return now + round((time.whole * 1000 + state.time_given) * needs.time)
    if time.of == "clock" and (ends := class_deadline(state)) is not None:
        return now + round((ends - now) * needs.time)
    return None


def ends_together(state: State) -> bool:
    """Whether it is over for all at once, whoever may take more time: the game sees to it that nobody falls behind by
    that."""
    game = board_game_of(state.settings.game)
    return game is not None and game.usual_minutes is not None


def class_deadline(state: State) -> Milliseconds | None:
    """At own pace: when the class's time is over, which began when everybody could begin."""
    time = state.settings.time
    if time.of == "whole":
        return state.started_at + time.whole * 1000 + state.time_given
    if time.of == "clock" and time.until is not None:
        return time.until + state.time_given + state.stood
    return None


def own_deadline(state: State, seat: Seat, ask: Ask) -> Milliseconds | None:
    """When this person's time for the question is over; None for never."""
    needs = needs_of(state, seat)
    if state.is_own_pace:
        paper, limit = state.papers.get(seat.number), limit_of(state, state.item(ask.item_id))
        reached = paper.reached.get(ask.item_id) if paper else None
        if limit is None or reached is None or needs.no_limit:
            return None
        return reached + round(limit * needs.time)
    if ask.deadline is None or needs.no_limit:
        return None
    return ask.opened_at + round((ask.deadline - ask.opened_at) * needs.time)


def waited_for(state: State, ask: Ask, present: Collection[int]) -> list[Seat]:
    """Those with more time who are here and have not answered: the question stays open for them."""
    if ask.deadline is None or not ask.is_open:
        return []
    return [
        seat
        for seat in state.people()
        if needs_of(state, seat).more_time and seat.number in present and seat.number not in ask.responses
    ]


def closes_at(state: State, ask: Ask, present: Collection[int]) -> Milliseconds | None:
    """When the question closes by itself: once the time of everybody who is waited for is over; None for never."""
    deadlines = [own_deadline(state, seat, ask) for seat in waited_for(state, ask, present)]
    return None if None in deadlines else max((at for at in deadlines if at), default=ask.deadline)


def left_out(state: State, seat: Seat, item: Item, more: int = 0) -> tuple[str, ...]:
    """The parts of a question that this person is not shown: wrong ones, the same each time, at least one stays. `more`
    than their needs say are left out besides those."""
    wanted = needs_of(state, seat).fewer_options + more
    spare = sorted(kind_of(item).spare(item)) if wanted else []
    count = min(wanted, len(spare) - 1)
    if count <= 0:
        return ()
    person = state.roster.get(seat.person)
    who = (person.member or person.id) if person else seat.person
    return tuple(sorted(Random(f"{who}:{item.id}").sample(spare, len(spare))[:count]))


def has_own_options(state: State) -> frozenset[int]:
    """The seats whose own part says which options they are shown, also while a question is open."""
    if state.phase not in (Phase.OPEN, Phase.PAGE):
        return frozenset()
    return frozenset(seat.number for seat in state.people() if needs_of(state, seat).fewer_options)
