"""What everything asks of a question and a person, whatever the manner of the session. Phones, big screen, desk, games
and reports ask here, and nowhere else.

1. A mark is told only once its answer can be changed no more.
2. An answer can be changed only while its question takes answers of this person.
"""

from collections.abc import Iterator

from lantern.core.questions.items import Item
from lantern.core.session.drawing import in_order
from lantern.core.session.model import Ask, Phase, Seat, State


def told(state: State, seat: int, ask: Ask) -> bool:
    """Whether the mark that this person has in this ask may be told to them.

    Led: showing the right answer or the standings tells it to the class, and closes the ask for good. At own pace, and
    in the end, `Settings.feedback` says when.
    """
    if ask.told:
        return True
    if state.phase is Phase.ENDED:
        return tells_in_the_end(state)
    paper = state.papers.get(seat)
    if paper is None:
        return False
    feedback = state.settings.feedback
    if paper.is_over:
        return paper.told or feedback in ("each", "handed_in") or (feedback == "opened" and state.told)
    return feedback == "each" and seat in ask.responses


def tells_in_the_end(state: State) -> bool:
    """Whether the end of the session tells its marks."""
    feedback = state.settings.feedback
    return state.told if feedback == "opened" else feedback != "never"


def told_to_all(state: State, ask: Ask) -> bool:
    """Whether marks of this ask may be told to the class, as standings tell them."""
    return ask.told or (state.phase is Phase.ENDED and tells_in_the_end(state))


def score_told(state: State, seat: int) -> bool:
    """Whether this person may be told their score. It can be, in the end, also where marks of single questions never
    are."""
    if state.settings.closing.score == "none":
        return False
    feedback = state.settings.feedback
    if state.phase is Phase.ENDED:
        return feedback != "opened" or state.told
    if not state.is_own_pace:
        return True  # of what was told so far
    paper = state.papers.get(seat)
    if paper is None or not paper.is_over:
        return False
    return state.told if feedback == "opened" else feedback != "end"


def told_asks(state: State) -> Iterator[Ask]:
    """Those that count, and that the class may be told of."""
    return (ask for ask in state.standing_asks() if told_to_all(state, ask))


def may_change(state: State, seat: int, ask: Ask) -> bool:
    """Whether this person may change the answer that they gave."""
    return not state.settings.is_final and not ask.told and not is_over(state, seat, ask)


def is_over(state: State, seat: int, ask: Ask) -> bool:
    """Whether this ask takes no answer of this person any more; its time apart."""
    if state.phase is Phase.ENDED or ask.set_aside:
        return True
    if not state.is_own_pace:
        return not ask.is_open
    paper = state.papers.get(seat)
    return paper is not None and paper.is_over


def item_before(state: State, seat: int) -> Item | None:
    """The item that is before this person now, in the order of the options that they see."""
    if not state.is_own_pace:
        return None if state.is_paused else state.current
    paper = state.papers.get(seat)
    if paper is None or paper.is_over or state.is_paused or state.phase is Phase.ENDED:
        return None
    return in_order(state.item(paper.at), state.seed, paper.order_in(paper.round)) if paper.at else None


def was_asked(state: State, seat: Seat, ask: Ask) -> bool:
    """Whether the question was asked of this person: it was open while they were in, or stands on their paper."""
    if state.is_own_pace:
        paper = state.papers.get(seat.number)
        if paper is not None and paper.is_endless:
            return seat.number in ask.responses
        return paper is not None and ask.item_id in paper.items
    return ask.opening > seat.since or seat.number in ask.responses


def may_review(state: State, seat: int) -> bool:
    """Whether this person may look at what was right in what they were asked, once it is over for them."""
    paper = state.papers.get(seat)
    if state.phase is not Phase.ENDED and (paper is None or not paper.is_over):
        return False
    return any(told(state, seat, ask) and was_asked(state, state.seats[seat], ask) for ask in state.standing_asks())
