"""A session's results as a plain table."""

from collections.abc import Mapping

from lantern.core.analysis.results import Asked, Person, PutRight, Results
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item
from lantern.core.questions.marking import LATEST
from lantern.core.session.asking import was_asked
from lantern.core.session.corrections import marked_otherwise
from lantern.core.session.marks import marks_of
from lantern.core.session.model import Ask, State
from lantern.core.session.standings import Standing, standings
from lantern.core.session.views import Shown, shown_item


def results_of(state: State, teachers: Mapping[int, str] | None = None) -> Results:
    """`teachers` are names by account, for who put something right."""
    numbers = state.content.question_numbers()
    return Results(
        title=state.content.title,
        people=tuple(_person(state, row) for row in standings(state, state.standing_asks())),
        asks=tuple(
            _asked(state, item, ask, numbers[item.id], teachers or {})
            for item in state.content.items
            for ask in state.rounds(item.id)
        ),
        marked_otherwise=marked_otherwise(state) if state.rules != LATEST else 0,
    )


def shown_result(state: State, item_id: str) -> Shown | None:
    """A question with its result in its own form, as the desk sees it at the end; None where it was not asked."""
    ask = state.ask_of(item_id)
    if ask is None:
        return None
    item = state.item(item_id)
    kind = kind_of(item)
    tally = kind.tally(item, [r.answer for r in state.responses_to(ask)])
    told = kind.told(item, tally, desk=True, with_key=True)
    return shown_item(state, item, with_key=True, explains=True).model_copy(update={"tally": told})


def _person(state: State, row: Standing) -> Person:
    person = state.roster.get(state.seats[row.seat].person)
    return Person(
        number=row.seat,
        name=row.name,
        points=row.points,
        place=row.place,
        record_id=person.record_id if person else "",
        member=person.member if person else "",
    )


def _asked(state: State, item: Item, ask: Ask, number: int, teachers: Mapping[int, str]) -> Asked:
    corrections = tuple(
        PutRight(one.what, one.text, one.at, teachers.get(one.by.who or 0, ""))
        for one in state.corrections
        if one.item == item.id
    )
    by_hand = sum(of_ask == ask.id for of_ask, _ in state.hand_marks)
    kind = kind_of(item)
    return Asked(
        item=item,
        number=number,
        round=ask.round,
        stands=state.standing.get(item.id) == ask.id,
        set_aside=ask.set_aside,
        dropped=state.is_corrected(item.id, "dropped"),
        asked_of=frozenset(seat.number for seat in state.people() if was_asked(state, seat, ask)),
        responses={r.seat: r for r in state.responses_to(ask)},
        marks=marks_of(state, ask),
        by_hand=by_hand,
        corrections=corrections,
        is_by_hand=kind.is_by_hand(item) or (by_hand > 0 and kind.with_rubric(item, ()) is not None),
        met={seat: lines for (of_ask, seat), lines in state.met.items() if of_ask == ask.id},
        comments={seat: text for (of_ask, seat), text in state.comments.items() if of_ask == ask.id},
    )
