"""What is put right after it was asked: a key, an answer that counts, words counted apart, the rules themselves.

1. A correction changes the question from then on, and every kept answer to it is marked anew.
2. It can be taken back, the last one first.
3. A question that is open takes no correction of what is right: the class would be told by it.
"""

from dataclasses import replace
from typing import Literal

from lantern.core import errors
from lantern.core.questions import kind_of
from lantern.core.questions.contract import Item
from lantern.core.questions.marking import LATEST, Rules
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.model import Ask, Correction, Response, State, changed
from lantern.core.session.points import points_for
from lantern.core.values import Milliseconds

NOT_HERE = "This cannot be corrected here: what counts is written in the set."


def set_key(state: State, command: c.SetKey, now: Milliseconds, command_id: str) -> list[e.Event]:
    item = _closed(state, command.item)
    kind = kind_of(item)
    if not kind.keyed_later or command.answer.kind != item.kind:
        raise errors.NotPossible("What is right in this question is written in its set.")
    kind.accept(item, command.answer)
    return [e.KeySet(command.item, command.answer)]


def count_as_right(state: State, command: c.CountAsRight, now: Milliseconds, command_id: str) -> list[e.Event]:
    item = _closed(state, command.item)
    if command.answer.kind != item.kind:
        raise errors.NotPossible(NOT_HERE)
    kind = kind_of(item)
    kind.accept(item, command.answer)
    remark = next((r for r in kind.remarks(item, command.answer) if r.part == command.part), None)
    corrected = kind.accepting(item, command.answer, command.part)
    if corrected is None or remark is None:
        raise errors.NotPossible(NOT_HERE)
    return [] if remark.counts else [_corrected(corrected, "counts", remark.given)]


def keep_apart(state: State, command: c.KeepApart, now: Milliseconds, command_id: str) -> list[e.Event]:
    item = _asked(state, command.item)
    corrected = kind_of(item).kept_apart(item, command.text)
    if corrected is None:
        raise errors.NotPossible("Nothing is merged here.")
    return [_corrected(corrected, "apart", command.text)]


def take_back(state: State, command: c.TakeBack, now: Milliseconds, command_id: str) -> list[e.Event]:
    last = _last_of(state, command.item)
    if last is None:
        return []
    if last.what == "counts":
        _closed(state, command.item)
    return [e.TakenBack(command.item)]


def mark_anew(state: State, command: c.MarkAnew, now: Milliseconds, command_id: str) -> list[e.Event]:
    return [e.MarkedAnew(LATEST)] if state.rules != LATEST else []


def on_key_set(state: State, event: e.KeySet) -> State:
    item = state.item(event.item)
    return with_item(state, kind_of(item).with_key(item, event.answer))


def on_corrected(state: State, event: e.Corrected) -> State:
    before = state.item(event.item.id)
    kept = Correction(before, event.what, event.text)
    return changed(with_item(state, event.item.under(before.rules)), corrections=(*state.corrections, kept))


def on_taken_back(state: State, event: e.TakenBack) -> State:
    last = _last_of(state, event.item)
    if last is None:
        return state
    others = tuple(one for one in state.corrections if one is not last)
    return changed(with_item(state, last.before.under(state.item(event.item).rules)), corrections=others)


def on_marked_anew(state: State, event: e.MarkedAnew) -> State:
    for item in state.items.values():
        state = with_item(state, item.under(Rules(event.rules, item.rules.words)))
    return changed(state, rules=event.rules)


def with_item(state: State, item: Item) -> State:
    """The state with this item in the place of the one with its id, every answer to it marked anew."""
    items = {**state.items, item.id: item}
    content = state.content.model_copy(update={"items": tuple(items.values())})
    state = changed(state, items=items, content=content)
    ask = state.asks.get(item.id)
    if ask is None:
        return state
    marked = changed(ask, responses={seat: _marked(state, ask, r) for seat, r in ask.responses.items()})
    return changed(state, asks={**state.asks, item.id: marked})


def marked_otherwise(state: State) -> int:
    """How many answers would have another mark by the rules of today."""
    return sum(
        kind_of(item).score(item.under(Rules(LATEST, item.rules.words)), response.answer) != response.mark
        for item in state.items.values()
        for response in state.responses(item.id)
    )


def _marked(state: State, ask: Ask, response: Response) -> Response:
    """The response with the mark and points that the item gives now."""
    item = state.item(ask.item_id)
    mark = kind_of(item).score(item, response.answer)
    points, bonus = points_for(item, mark, response.left, state.settings)
    short = kind_of(item).short_text(item, response.answer)
    return replace(response, mark=mark, points=points, bonus=bonus, short=short)


def _corrected(item: Item, what: Literal["counts", "apart"], text: str) -> e.Corrected:
    """What is stored is the question alone: its rules are the session's."""
    return e.Corrected(item.under(Rules()), what, text)


def _asked(state: State, item_id: str) -> Item:
    if item_id not in state.asks:
        raise errors.NotPossible("This question has not been asked.")
    return state.item(item_id)


def _closed(state: State, item_id: str) -> Item:
    ask = state.asks.get(item_id)
    if ask is None or ask.is_open:
        raise errors.NotPossible("Close the question first, then say what is right.")
    return state.item(item_id)


def _last_of(state: State, item_id: str) -> Correction | None:
    return next((one for one in reversed(state.corrections) if one.before.id == item_id), None)
