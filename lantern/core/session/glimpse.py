"""A game on a set, as it begins for a few made-up players: from the real machine, with nothing kept."""

from itertools import count

from lantern.core.questions.content import SetContent
from lantern.core.session import commands as c
from lantern.core.session.actors import NEWCOMER, Actor, Recorded, Role, Sent
from lantern.core.session.course import replay
from lantern.core.session.engine import decide
from lantern.core.session.model import Phase, State, new_session
from lantern.core.session.own_views import mine_at_own_pace, place_of
from lantern.core.session.settings import Settings, Timing
from lantern.core.session.views import Mine, Places, ScreenView, Shown, mine, screen_view, shown, shown_item
from lantern.core.values import Milliseconds, Value

PLAYERS = 8
DESK = Actor(Role.DESK, 1, "a-page")
FIRST = 1
STEPS = 3
"""To the first question at most: the board, before it, may be looked at first."""


class Glimpse(Value):
    """What the big screen shows, and the device of one player, who has come to the first question."""

    screen: ScreenView
    shown: Shown | None
    mine: Mine


def glimpse(content: SetContent, settings: Settings, now: Milliseconds) -> Glimpse:
    """`settings` are those of a session that could be run with this set. There is no clock, and names are numbers that
    nobody is shown."""
    plain = {"known": "nickname", "names_on_screen": False, "close_when_all_answered": False, "time": Timing(of="none")}
    state, numbers = new_session(content, settings.model_copy(update=plain), "a glimpse"), count(1)

    def do(state: State, command: c.Command, by: Actor = DESK) -> State:
        sent = Sent(by, next(numbers), now)
        return replay(state, [Recorded(sent, event) for event in decide(state, command, sent)])

    for number in range(1, PLAYERS + 1):
        state = do(state, c.Join(str(number), f"glimpse-{number}", f"player-{number}"), NEWCOMER)
    for _ in range(STEPS):
        if state.phase in (Phase.OPEN, Phase.WORKING):
            break
        state = do(state, c.Advance(state.step))
    # Places of people who are not there would be nothing to look at.
    screen = screen_view(state, "").model_copy(update={"standings": ()})
    if not state.is_own_pace:
        return Glimpse(screen=screen, shown=shown(state), mine=mine(state, Places(state), FIRST))
    state = do(state, c.BeginPaper(FIRST), Actor(Role.SEAT, FIRST))
    place = place_of(state, FIRST)
    seen = shown_item(state, state.item(place.item), with_key=False, order=place.order) if place else None
    return Glimpse(screen=screen, shown=seen, mine=mine_at_own_pace(state, state.seats[FIRST]))
