"""What was right in what one student was asked, to be looked at again once it is over for them
(`asking.may_review`)."""

from lantern.core.questions import AnyAnswer
from lantern.core.questions.items import Remark
from lantern.core.session.asking import may_review, told, was_asked
from lantern.core.session.model import Ask, Seat, State
from lantern.core.session.views import Shown, own_answer, own_remarks, shown_item
from lantern.core.values import Value


class Reviewed(Value):
    """A question that is over, as one student may look at it again."""

    shown: Shown
    answer: AnyAnswer | None
    mark: float | None
    forgiven: tuple[Remark, ...]


def reviewed(state: State, seat_number: int) -> tuple[Reviewed, ...]:
    """What this person may look at again, in the order in which they had it."""
    seat, paper = state.seats[seat_number], state.papers.get(seat_number)
    if not may_review(state, seat_number):
        return ()
    asks = [state.ask_of(item) for item in (paper.items if paper else state.ids)]
    return tuple(
        _reviewed(state, seat, ask, paper.order if paper else 0)
        for ask in asks
        if ask and told(state, seat_number, ask) and was_asked(state, seat, ask)
    )


def _reviewed(state: State, seat: Seat, ask: Ask, order: int) -> Reviewed:
    item, response, marks = state.item(ask.item_id), ask.responses.get(seat.number), state.settings.marks
    return Reviewed(
        shown=shown_item(state, item, with_key=True, order=order),
        answer=own_answer(item, response, is_told=True) if response else None,
        mark=response.mark if response and marks else None,
        forgiven=own_remarks(item, response) if response and marks else (),
    )
