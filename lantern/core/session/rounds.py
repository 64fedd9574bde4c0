"""Asking a question anew: a second vote, or after its answers were cleared.

1. Each asking is an ask of its own, with its answers. The last one that was not set aside counts.
2. Asking again keeps the round before, to be compared with; clearing sets it aside.
3. Both can be undone until the session ends, the last one first. Nothing is lost by it: what was answered meanwhile is
   set aside in its turn.
"""

from collections.abc import Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.session import boards
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Sent
from lantern.core.session.allowing import limit_of
from lantern.core.session.changed import changed
from lantern.core.session.model import Ask, Laid, Phase, State, ask_id, parts_of
from lantern.core.values import Milliseconds

Events = Sequence[e.Event]


def ask_again(state: State, command: c.AskAgain, sent: Sent) -> Events:
    if state.ask is None or state.ask.is_open:
        raise errors.NotPossible(said("nothing_to_ask_again", "There is no closed question to ask again."))
    return [new_round(state, state.ask.item_id, sent.at)]


def clear_answers(state: State, command: c.ClearAnswers, sent: Sent) -> Events:
    if command.of == "all":
        standing = [one for one in state.asks.values() if not one.set_aside]
        if not any(one.responses for one in standing):
            return []
        asks = _but_withdrawn(state, [one.id for one in standing])
        return [*leave(state), e.SetAside(asks, start_over=True)]
    ask = state.ask
    if ask is None:
        raise errors.NotPossible(said("nothing_to_clear", "There is no question here whose answers could be cleared."))
    rounds = tuple(one.id for one in state.rounds(ask.item_id) if not one.set_aside)
    if not any(state.asks[one].responses for one in rounds):
        return []
    closed: list[e.Event] = [e.Closed(ask.id, "desk")] if ask.is_open else []
    return [*closed, e.SetAside(rounds), new_round(state, ask.item_id, sent.at)]


def bring_back(state: State, command: c.BringBack, sent: Sent) -> Events:
    if not state.laid:
        raise errors.NotPossible(said("nothing_to_bring_back", "There is nothing to bring back."))
    last = state.laid[-1]
    items = {state.asks[ask].item_id for ask in last.asks}
    left = leave(state) if state.ask and state.ask.item_id in items else []
    if last.again:
        before = [ask for ask in state.rounds(*items) if not ask.set_aside and ask.id not in last.asks]
        withdrawn = bool(left) and isinstance(left[0], e.Withdrawn)
        return [*left, e.Revisited(before[-1].id)] if withdrawn else [*left, e.BroughtBack((), last.asks)]
    aside = tuple(ask.id for ask in state.standing_asks() if ask.item_id in items)
    return [*left, e.BroughtBack(last.asks, _but_withdrawn(state, aside))]


def opening(state: State, item_id: str, now: Milliseconds) -> e.Opened:
    """The question's first round, or its last one opened once more."""
    ask = state.ask_of(item_id)
    return e.Opened(ask.id, _deadline(state, item_id, now)) if ask else new_round(state, item_id, now)


def new_round(state: State, item_id: str, now: Milliseconds) -> e.Opened:
    latest = max((ask.round for ask in state.rounds(item_id)), default=0)
    return e.Opened(ask_id(item_id, latest + 1), _deadline(state, item_id, now))


def leave(state: State) -> list[e.Event]:
    """An open question is closed when the desk goes elsewhere; without answers it was never asked."""
    ask = state.ask
    if ask is None or not ask.is_open:
        return []
    return [e.Closed(ask.id, "desk") if ask.responses else e.Withdrawn(ask.id)]


def with_asks(state: State, *asks: Ask) -> State:
    """The state with these asks in the place of those with their ids."""
    return changed(state, asks={**state.asks, **{ask.id: ask for ask in asks}})


def settled(state: State) -> State:
    """The state with what stands found anew: to be called wherever asks came, went or were set aside. At own pace it is
    the first round of each: others are those in which it came back."""
    standing: dict[str, str] = {}
    for ask in state.asks.values():  # in the order in which they were asked
        if ask.item_id in state.typed:
            continue
        if not ask.set_aside and not (state.is_own_pace and ask.item_id in standing):
            standing[ask.item_id] = ask.id
    return changed(state, standing=standing)


def on_set_aside(state: State, event: e.SetAside) -> State:
    laid = Laid(event.asks)
    if event.start_over:
        laid = Laid(
            event.asks,
            cursor=state.cursor,
            pages_shown=state.pages_shown,
            board=state.board,
            hands=state.hands,
            played=state.played,
        )
    state = changed(settled(_aside(state, event.asks, True)), laid=(*state.laid, laid))
    if event.start_over:
        state = boards.begun_anew(state)
        return changed(state, phase=Phase.LOBBY, cursor=None, step=state.step + 1, pages_shown=frozenset())
    return state


def on_brought_back(state: State, event: e.BroughtBack) -> State:
    """A session that had begun anew is where it was; whoever has begun once more stays where they are."""
    state = settled(_aside(_aside(state, event.asks, False), event.aside, True))
    *earlier, last = state.laid
    state = changed(state, laid=tuple(earlier), pages_shown=state.pages_shown | last.pages_shown)
    state = boards.brought_back(state, last)
    if state.phase is Phase.LOBBY:
        state = changed(state, cursor=last.cursor)
    here = state.ask
    if state.phase is Phase.LOBBY and state.cursor in state.pages_shown:
        return changed(state, phase=Phase.PAGE, step=state.step + 1)
    if here is None or all(parts_of(ask)[0] != here.item_id for ask in (*event.asks, *event.aside)):
        return changed(state, step=state.step + 1)
    return changed(state, phase=Phase.REVEALED if here.revealed else Phase.CLOSED, step=state.step + 1)


def _aside(state: State, asks: Sequence[str], set_aside: bool) -> State:
    return with_asks(state, *(changed(state.asks[ask], set_aside=set_aside) for ask in asks if ask in state.asks))


def _but_withdrawn(state: State, asks: Sequence[str]) -> tuple[str, ...]:
    """Without the one that `leave` withdraws."""
    ask = state.ask
    gone = ask.id if ask and ask.is_open and not ask.responses else None
    return tuple(one for one in asks if one != gone)


def _deadline(state: State, item_id: str, now: Milliseconds) -> Milliseconds | None:
    limit = limit_of(state, state.item(item_id))
    return None if limit is None else now + limit
