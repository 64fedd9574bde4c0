"""Asking what was never prepared: a question is put into the session after the one that is on, and opened.

1. It is a question of the session like any other: kept, reported, corrected, asked again.
2. Its clock counts up: it has no limit, whatever the others have.
3. What is right in it may be said afterwards, or never; until then no answer has a mark. It may be asked aloud, without
   any words.
4. Left before anybody answered, it was never there.
"""

from collections.abc import Mapping, Sequence

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.questions import check_item, kind_of
from lantern.core.questions.content import MAX_ITEMS, as_run
from lantern.core.questions.items import Item, Problem, Question, Severity
from lantern.core.questions.marking import Rules
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Sent
from lantern.core.session.changed import changed
from lantern.core.session.model import State, ask_id
from lantern.core.session.rounds import leave

Events = Sequence[e.Event]


def ask_now(state: State, command: c.AskNow, sent: Sent) -> Events:
    item = command.item
    if not kind_of(item).is_asked or item.id in state.items:
        raise errors.NotPossible
    if len(state.items) >= MAX_ITEMS:
        raise errors.NotPossible(
            said("session_is_full", "A session holds at most {most} questions. Start another one.", most=MAX_ITEMS)
        )
    problem = what_is_wrong(as_run(item, state.content.about.language, Rules()))
    if problem is not None:
        raise errors.NotPossible(problem, field=problem.field)
    return [*leave(state), e.ItemAdded(item), e.Opened(ask_id(item.id, 1), None)]


def what_is_wrong(item: Item) -> Problem | None:
    """What has to be settled before it can be asked. Its words and, where it takes a key, what is right can wait."""
    may_wait = isinstance(item, Question) and kind_of(item).takes_key(item)
    looked_at = item.model_copy(update={"scored": False}) if may_wait else item
    wrong = (found for found in check_item(looked_at) if found.severity is Severity.WRONG and found.field != "prompt")
    return next(wrong, None)


def on_item_added(state: State, event: e.ItemAdded) -> State:
    asked = event.item
    with_it = state.content.model_copy(update={"items": (*state.content.items, asked)})
    item = as_run(asked, state.content.about.language, Rules(state.rules, with_it.words()))
    kind_of(item).prepare(item)
    ids = state.ids
    at = ids.index(state.cursor) + 1 if state.cursor else 0
    order = [*ids[:at], item.id, *ids[at:]]
    return _with_items(state, {**state.items, item.id: item}, order, state.asked_now | {item.id})


def without_unasked(state: State, item_id: str) -> State:
    """The state without a question that was put in, where it was left before anybody answered it."""
    if item_id not in state.asked_now or state.rounds(item_id):
        return state
    ids = state.ids
    at = ids.index(item_id)
    if state.cursor == item_id:
        state = changed(state, cursor=ids[at - 1] if at else None)
    return _with_items(state, state.items, [*ids[:at], *ids[at + 1 :]], state.asked_now - {item_id})


def _with_items(state: State, items: Mapping[str, Item], order: Sequence[str], asked_now: frozenset[str]) -> State:
    in_order = {item_id: items[item_id] for item_id in order}
    content = state.content.model_copy(update={"items": tuple(in_order.values())})
    return changed(state, items=in_order, content=content, asked_now=asked_now)
