"""What is put right after it was asked: a key, an answer that counts, words counted apart, full marks for all, a
question dropped, a mark by hand, the rules themselves.

1. A correction changes the question from then on, and every kept answer to it is marked anew, in all its rounds.
2. It can be taken back, the last one of its question first. A mark by hand is taken back by itself.
3. A question that is open takes no correction of what is right: the class would be told by it.
4. Each stands with who made it and when; one that was taken back does not stand.
5. Answers of one's own words get their marks by hand, by a rubric where there is one. Until one is given, an answer
   waits: it is in no score. A rubric that is changed changes the marks that were given by it.
"""

from typing import Literal

from lantern.core import errors
from lantern.core.messages import said
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, is_scored
from lantern.core.questions.marking import LATEST, Rules
from lantern.core.questions.typed_form import typed_form
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Recorded, Sent
from lantern.core.session.changed import changed
from lantern.core.session.judging import Judging
from lantern.core.session.marks import mark_by_hand
from lantern.core.session.model import Ask, CorrectedWhat, Correction, Response, State
from lantern.core.session.people import seat_of
from lantern.core.session.rounds import with_asks
from lantern.core.session.rubrics import mark_of, marks_by_another

NOT_HERE = said("what_counts_is_in_set", "This cannot be corrected here: what counts is written in the set.")


def set_key(state: State, command: c.SetKey, sent: Sent) -> list[e.Event]:
    item = _closed(state, command.item)
    kind = kind_of(item)
    if not kind.takes_key(item) or command.answer.kind != item.kind:
        raise errors.NotPossible(said("key_is_in_set", "What is right in this question is written in its set."))
    kind.accept(item, command.answer)
    is_right_already = kind.with_key(item, command.answer) == item
    return [] if is_right_already else [e.KeySet(command.item, command.answer)]


def count_as_right(state: State, command: c.CountAsRight, sent: Sent) -> list[e.Event]:
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


def keep_apart(state: State, command: c.KeepApart, sent: Sent) -> list[e.Event]:
    item = _asked(state, command.item)
    corrected = kind_of(item).kept_apart(item, command.text)
    if corrected is None:
        raise errors.NotPossible(said("nothing_merged", "Nothing is merged here."))
    return [_corrected(corrected, "apart", command.text)]


def join_words(state: State, command: c.JoinWords, sent: Sent) -> list[e.Event]:
    item = _asked(state, command.item)
    corrected = kind_of(item).joined(item, command.text, command.into)
    if corrected is None:
        raise errors.NotPossible(said("nothing_joined", "These cannot be counted as one."))
    return [_corrected(corrected, "joined", command.text)]


def give_full_marks(state: State, command: c.GiveFullMarks, sent: Sent) -> list[e.Event]:
    if not is_scored(_closed(state, command.item)):
        raise errors.NotPossible(
            said("opinion_has_no_marks", "This question is an opinion: there are no marks for it.")
        )
    return [] if state.is_corrected(command.item, "full_marks") else [e.FullMarksGiven(command.item)]


def drop(state: State, command: c.Drop, sent: Sent) -> list[e.Event]:
    _closed(state, command.item)
    return [] if state.is_corrected(command.item, "dropped") else [e.Dropped(command.item)]


def give_mark(state: State, command: c.GiveMark, sent: Sent) -> list[e.Event]:
    item = _closed(state, command.item)
    if not takes_marks(item):
        raise errors.NotPossible(
            said("opinion_has_no_marks", "This question is an opinion: there are no marks for it.")
        )
    ask = state.standing[command.item]
    for seat in command.seats:
        seat_of(state, seat)
    rubric, lines = kind_of(item).rubric_of(item), tuple(sorted(set(command.lines or ())))
    mark = command.mark if command.lines is None else mark_of(rubric, lines)
    changed = [seat for seat in dict.fromkeys(command.seats) if _given(state, ask, seat) != (mark, lines)]
    return [e.MarkGiven(ask, seat, mark, lines) for seat in changed]


def takes_marks(item: Item) -> bool:
    """Whether answers to it may have a mark at all: computed, or by hand."""
    return is_scored(item) or kind_of(item).with_rubric(item, ()) is not None


def _given(state: State, ask: str, seat: int) -> tuple[float | None, tuple[int, ...]]:
    return state.hand_marks.get((ask, seat)), state.met.get((ask, seat), ())


def set_rubric(state: State, command: c.SetRubric, sent: Sent) -> list[e.Event]:
    item = _closed(state, command.item)
    marked = kind_of(item).with_rubric(item, command.rubric)
    if marked is None:
        raise errors.NotPossible(said("marked_by_itself", "Answers to this question are marked by themselves."))
    if marked == item:
        return []
    corrected = _corrected(marked, "by_hand", "; ".join(line.text for line in command.rubric))
    return [corrected, *marks_by_another(state, item, marked)]


def comment(state: State, command: c.Comment, sent: Sent) -> list[e.Event]:
    _closed(state, command.item)
    for seat in command.seats:
        seat_of(state, seat)
    ask, text = state.standing[command.item], command.text.strip()
    changed = [seat for seat in dict.fromkeys(command.seats) if state.comments.get((ask, seat), "") != text]
    return [e.Commented(ask, seat, text) for seat in changed]


def take_back(state: State, command: c.TakeBack, sent: Sent) -> list[e.Event]:
    last = _last_of(state, command.item)
    if last is None:
        return []
    if last.what not in ("apart", "joined"):
        _closed(state, command.item)
    taken_back = e.TakenBack(command.item)
    if last.what != "by_hand" or last.before is None:
        return [taken_back]
    return [taken_back, *marks_by_another(state, state.item(command.item), last.before)]


def mark_anew(state: State, command: c.MarkAnew, sent: Sent) -> list[e.Event]:
    return [e.MarkedAnew(LATEST)] if state.rules != LATEST else []


def on_key_set(state: State, recorded: Recorded) -> State:
    event = recorded.event
    assert isinstance(event, e.KeySet)
    item = state.item(event.item)
    text = kind_of(item).answer_text(item, event.answer)
    return with_item(_kept(state, recorded, item.id, "key", text, item), kind_of(item).with_key(item, event.answer))


def on_corrected(state: State, recorded: Recorded) -> State:
    event = recorded.event
    assert isinstance(event, e.Corrected)
    before = state.item(event.item.id)
    state = _kept(state, recorded, before.id, event.what, event.text, before)
    return with_item(state, event.item.under(before.rules))


def on_full_marks_given(state: State, recorded: Recorded) -> State:
    assert isinstance(recorded.event, e.FullMarksGiven)
    return _marked_again(_kept(state, recorded, recorded.event.item, "full_marks"), recorded.event.item)


def on_dropped(state: State, recorded: Recorded) -> State:
    assert isinstance(recorded.event, e.Dropped)
    return _kept(state, recorded, recorded.event.item, "dropped")


def on_mark_given(state: State, event: e.MarkGiven) -> State:
    place = (event.ask, event.seat)
    marks = {one: mark for one, mark in state.hand_marks.items() if one != place}
    met = {one: lines for one, lines in state.met.items() if one != place}
    if event.mark is not None:
        marks[place] = event.mark
        met |= {place: event.lines} if event.lines else {}
    return _one_marked_again(changed(state, hand_marks=marks, met=met), state.asks[event.ask], event.seat)


def _one_marked_again(state: State, ask: Ask, seat: int) -> State:
    """A mark by hand changes this answer alone: a thousand may get theirs at once."""
    response = ask.responses.get(seat)
    if response is None:
        return state
    marked = _marked(state, ask, response, Judging(state.item(ask.item_id)))
    return with_asks(state, changed(ask, responses={**ask.responses, seat: marked}))


def on_commented(state: State, event: e.Commented) -> State:
    others = {place: text for place, text in state.comments.items() if place != (event.ask, event.seat)}
    said_now = {(event.ask, event.seat): event.text} if event.text else {}
    return changed(state, comments=others | said_now)


def on_taken_back(state: State, event: e.TakenBack) -> State:
    last = _last_of(state, event.item)
    if last is None:
        return state
    state = changed(state, corrections=tuple(one for one in state.corrections if one is not last))
    before = last.before.under(state.item(event.item).rules) if last.before else state.item(event.item)
    return with_item(state, before)


def _kept(
    state: State, recorded: Recorded, item: str, what: CorrectedWhat, text: str = "", before: Item | None = None
) -> State:
    kept = Correction(item, what, text, recorded.at, recorded.by, before)
    return changed(state, corrections=(*state.corrections, kept))


def _marked_again(state: State, item_id: str) -> State:
    return with_item(state, state.item(item_id))


def on_marked_anew(state: State, event: e.MarkedAnew) -> State:
    for item in state.items.values():
        state = with_item(state, item.under(Rules(event.rules, item.rules.words)))
    return changed(state, rules=event.rules)


def with_item(state: State, item: Item) -> State:
    """The state with this item in the place of the one with its id, every answer to it marked anew."""
    items = {**state.items, item.id: item}
    content = state.content.model_copy(update={"items": tuple(items.values())})
    state = _with_marks(changed(state, items=items, content=content), item)
    form = typed_form(item) if state.typed_of(item.id) else None
    return _with_marks(changed(state, typed={**state.typed, form.id: form}), form) if form else state


def _with_marks(state: State, item: Item) -> State:
    """With every answer to this item marked anew."""
    judging = Judging(item)
    return with_asks(
        state,
        *(
            changed(ask, responses={seat: _marked(state, ask, r, judging) for seat, r in ask.responses.items()})
            for ask in state.rounds(item.id)
        ),
    )


def marked_otherwise(state: State) -> int:
    """How many answers would have another mark by the rules of today."""
    if state.rules == LATEST:
        return 0
    return sum(_marked_otherwise(state, ask) for ask in state.standing_asks())


def _marked_otherwise(state: State, ask: Ask) -> int:
    item = state.item(ask.item_id)
    judging = Judging(item.under(Rules(LATEST, item.rules.words)))
    return sum(_marked(state, ask, one, judging).mark != one.mark for one in state.responses_to(ask))


def _marked(state: State, ask: Ask, response: Response, judging: Judging) -> Response:
    """The response with the mark and points that the item gives now."""
    _, mark, short = judging.of(response.answer)
    mark = mark_by_hand(state, ask, response.seat, mark)
    points, bonus, for_run = judging.gain(state, mark, response.left, response.run)
    return response._replace(mark=mark, points=points, bonus=bonus, for_run=for_run, short=short)


def _corrected(item: Item, what: Literal["counts", "apart", "joined", "by_hand"], text: str) -> e.Corrected:
    """What is stored is the question alone: its rules are the session's."""
    return e.Corrected(item.under(Rules()), what, text)


def _asked(state: State, item_id: str) -> Item:
    if item_id not in state.standing:
        raise errors.NotPossible(said("not_asked_yet", "This question has not been asked."))
    return state.item(item_id)


def _closed(state: State, item_id: str) -> Item:
    ask = state.ask_of(item_id)
    if ask is None or ask.is_open:
        raise errors.NotPossible(said("close_it_first", "Close the question first, then say what is right."))
    return state.item(item_id)


def _last_of(state: State, item_id: str) -> Correction | None:
    return next((one for one in reversed(state.corrections) if one.item == item_id), None)
