"""What the one large button does next."""

from enum import StrEnum

from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Question, explanation_html, is_scored
from lantern.core.session.boards import chooses_questions, following, is_over
from lantern.core.session.model import Phase, State
from lantern.core.values import Milliseconds


class Move(StrEnum):
    NEXT = "next"
    CLOSE = "close"
    REVEAL = "reveal"
    STANDINGS = "standings"
    VOTE_AGAIN = "vote_again"
    RESUME = "resume"
    COLLECT = "collect"
    OPEN_FEEDBACK = "open_feedback"
    ASK_NOW = "ask_now"
    END = "end"


_LAST = (Move.ASK_NOW, Move.END)


def next_move(state: State) -> Move:
    """The next sensible thing. After the end it stays END."""
    item = state.current
    if state.is_paused and state.phase is not Phase.ENDED:
        return Move.RESUME
    if state.phase is Phase.WORKING:
        return _next_at_own_pace(state)
    if state.phase is Phase.OPEN:
        return Move.CLOSE
    if state.phase is Phase.TALK:
        return Move.VOTE_AGAIN
    tells = state.settings.feedback == "each"
    if state.phase is Phase.CLOSED and tells and item and _has_something_to_reveal(item):
        return Move.REVEAL
    wants_standings = state.phase is Phase.REVEALED and state.settings.shows_standings
    if wants_standings and item and is_scored(item) and _weight(item):
        return Move.STANDINGS
    if state.phase is Phase.ENDED:
        return Move.END
    if item_after(state) and not is_over(state):
        looks_first = chooses_questions(state) and state.phase is not Phase.STANDINGS
        return Move.STANDINGS if looks_first else Move.NEXT
    return Move.ASK_NOW if state.is_unprepared else Move.END


def _next_at_own_pace(state: State) -> Move:
    """The desk takes the papers, tells what is right where that waits for it, and ends the session."""
    if not state.collected:
        return Move.COLLECT
    waits = state.settings.feedback == "opened" and not state.told
    return Move.OPEN_FEEDBACK if waits else Move.END


def goes_on_at(state: State) -> Milliseconds | None:
    """When a session that is led goes on by itself from where it stands; None where it waits for the desk."""
    after = state.settings.goes_on_after
    stands = state.phase in (Phase.CLOSED, Phase.REVEALED, Phase.STANDINGS)
    if after is None or not stands or state.is_paused or state.is_own_pace or next_move(state) in _LAST:
        return None
    return state.moved_at + after * 1000


def item_after(state: State) -> str | None:
    """The next item that has not been shown yet; where the game chooses, what it says."""
    if chooses_questions(state):
        return following(state)
    ids = state.ids
    start = ids.index(state.cursor) + 1 if state.cursor else 0
    return next((item_id for item_id in ids[start:] if not state.was_shown(item_id)), None)


def neighbour(state: State, offset: int) -> str | None:
    """The item before (-1) or after (+1) the current one, shown or not."""
    ids = state.ids
    index = (ids.index(state.cursor) if state.cursor else -1) + offset
    return ids[index] if 0 <= index < len(ids) else None


def _has_something_to_reveal(item: Item) -> bool:
    return kind_of(item).key(item) is not None or bool(explanation_html(item))


def _weight(item: Item) -> int:
    return item.weight if isinstance(item, Question) else 0
