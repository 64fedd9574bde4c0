"""What the server has to do next by itself, and when: the clock and the room are asked here and know no rule."""

from collections.abc import Callable, Collection
from dataclasses import dataclass

from lantern.core.session.actors import CLOCK, ROOM, Actor
from lantern.core.session.allowing import closes_at
from lantern.core.session.commands import CloseIfAllAnswered, GoOn, PaperTimeUp, TalkOver, TimeUp
from lantern.core.session.model import Phase, State
from lantern.core.session.moves import goes_on_at
from lantern.core.values import Milliseconds


@dataclass(frozen=True, slots=True)
class Due:
    """At `at`, `by` gives `command`. What was due already when it was asked for is due at once."""

    at: Milliseconds
    by: Actor
    command: TimeUp | TalkOver | PaperTimeUp | CloseIfAllAnswered | GoOn


def next_due(state: State, present: Callable[[], Collection[int]]) -> Due | None:
    """The next of it, or None. `present` gives the seats with a device connected; it is asked only where that matters.

    Whoever holds the timer asks again after every change of the state, and of who is there.
    """
    if state.is_paused:
        return None
    if state.phase is Phase.WORKING:
        return _next_paper(state)
    if state.phase is Phase.TALK and state.ask and state.talk_until is not None:
        return Due(state.talk_until, CLOCK, TalkOver(state.ask.id, state.talk_until))
    goes_on = goes_on_at(state)
    if goes_on is not None:
        return Due(goes_on, CLOCK, GoOn(state.step))
    ask = state.ask
    if state.phase is not Phase.OPEN or ask is None:
        return None
    if state.settings.close_when_all_answered and ask.responses:
        here = {seat for seat in present() if seat in state.seats and not state.seats[seat].removed}
        if here and here <= ask.responses.keys():
            return Due(0, ROOM, CloseIfAllAnswered(ask.id, frozenset(here)))
    if ask.deadline is None:
        return None
    at = closes_at(state, ask, present()) if any(p.needs.more_time for p in state.roster.values()) else ask.deadline
    return None if at is None else Due(at, CLOCK, TimeUp(ask.id, ask.deadline))


def _next_paper(state: State) -> Due | None:
    """The paper whose time is up first."""
    if state.settings.time.of not in ("whole", "clock"):
        return None
    out = ((p.deadline, seat) for seat, p in state.papers.items() if p.deadline is not None and not p.is_over)
    first = min(out, default=None)
    return Due(first[0], CLOCK, PaperTimeUp(first[1], first[0])) if first else None
